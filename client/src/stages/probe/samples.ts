/** What is done with samples: planned at drawn places, taken, sent, answered. Each is a batch of changes. */
import {
  BLANK_READING,
  BLANK_SAMPLE,
  liveLayers,
  nextNumber,
  type AsbestosArea,
  type JobFacts,
  type Reading,
  type Sample,
  type Surface,
} from '@roughsill/core';
import { samplePoints } from '@roughsill/core/survey';
import { add, set, type Draft } from '../../store';

/** The samples that an area still needs, at the places its seed draws. Without a seed none is drawn. */
export function planArea(facts: JobFacts, area: AsbestosArea, prefix: string): Draft[] {
  const seed = facts.job.samplingSeed.trim();
  if (seed === '') return [];
  const open = samplePoints(area, seed).slice(area.samples.length);
  return open.map((p, i) =>
    add(
      'sample',
      {
        ...BLANK_SAMPLE,
        number: nextNumber(facts, prefix, i),
        hazard: 'asbestos',
        kind: 'bulk',
        suspect: area.kind,
        atX: p.x,
        atY: p.y,
        toSubstrate: true,
      },
      p.surfaceId,
    ),
  );
}

/** A lead chip of the face, or of all coats, cut now. */
export function takeChip(
  facts: JobFacts,
  s: Surface,
  depth: 'face' | 'all',
  by: string,
  prefix: string,
  over: Partial<Sample> = {},
): Draft {
  const coats = liveLayers(s);
  return add(
    'sample',
    {
      ...BLANK_SAMPLE,
      number: nextNumber(facts, prefix),
      reachedLayerIds: (depth === 'face' ? coats.slice(0, 1) : coats).map((l) => l.id),
      toSubstrate: depth === 'all',
      takenAt: new Date().toISOString(),
      takenBy: by,
      ...over,
    },
    s.id,
  );
}

export const taken = (surfaceId: string, sample: Sample, by: string): Draft =>
  set('sample', sample.id, { takenAt: new Date().toISOString(), takenBy: by }, surfaceId);
export const sent = (surfaceId: string, sample: Sample, lab: string): Draft =>
  set('sample', sample.id, { sentAt: new Date().toISOString(), lab }, surfaceId);

/** An answer typed in from the lab's sheet. */
export const answered = (
  surfaceId: string,
  sample: Sample,
  fields: Pick<Reading, 'value' | 'unit' | 'trace' | 'analysis' | 'note'>,
): Draft =>
  add(
    'reading',
    {
      ...BLANK_READING,
      kind: sample.hazard === 'asbestos' ? 'bulk' : 'lab',
      takenAt: new Date().toISOString(),
      sampleId: sample.id,
      ...fields,
    },
    surfaceId,
  );

/** A second cut beside the first, under a number of its own: what the lab makes of one paint twice. */
export const duplicateOf = (
  facts: JobFacts,
  surfaceId: string,
  { id: _id, removedAt: _gone, ...first }: Sample,
  by: string,
  prefix: string,
): Draft =>
  add(
    'sample',
    {
      ...first,
      number: nextNumber(facts, prefix),
      kind: 'duplicate',
      repeatsId: _id,
      takenAt: new Date().toISOString(),
      takenBy: by,
      sentAt: null,
    },
    surfaceId,
  );

/** A clean bag that goes along: whatever the lab finds in it came from the bags, not from the paint. */
export const blankFor = (facts: JobFacts, s: Surface, by: string, prefix: string): Draft =>
  add(
    'sample',
    {
      ...BLANK_SAMPLE,
      number: nextNumber(facts, prefix),
      kind: 'blank',
      place: 'clean bag',
      takenAt: new Date().toISOString(),
      takenBy: by,
    },
    s.id,
  );

/** A full-depth chip, still to be cut, on the first surface of each combination. */
export const planChips = (facts: JobFacts, surfaceIds: readonly string[], prefix: string): Draft[] =>
  surfaceIds.flatMap((id, i) => {
    const s = facts.surfaces.find((x) => x.id === id);
    return s
      ? [
          add(
            'sample',
            { ...BLANK_SAMPLE, number: nextNumber(facts, prefix, i), reachedLayerIds: liveLayers(s).map((l) => l.id), toSubstrate: true },
            s.id,
          ),
        ]
      : [];
  });
