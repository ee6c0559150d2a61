/** Short hand for writing a job by hand, with ids that read well. */
import {
  BLANK_DEFECT,
  BLANK_JOB,
  BLANK_LAYER,
  BLANK_READING,
  BLANK_BOARD,
  BLANK_SAMPLE,
  BLANK_SPACE,
  BLANK_SQUARE,
  partDrafts,
  surfaceDraft,
  type Board,
  type Defect,
  type Sign,
  type ElementId,
  type InstrumentCheck,
  type Job,
  type JobFacts,
  type Layer,
  type Part,
  type Reading,
  type Sample,
  type Space,
  type Square,
  type Surface,
} from '@roughsill/core';

export const AT = '2026-04-13T08:30:00.000Z';

export const job = (over: Partial<Job> & Pick<Job, 'id' | 'name'>): Job => ({
  ...BLANK_JOB,
  timeZone: 'America/New_York',
  createdAt: AT,
  removedAt: null,
  ...over,
});

export const space = (id: string, name: string, kind: Space['kind'], position: number, over: Partial<Space> = {}): Space => ({
  ...BLANK_SPACE,
  id,
  name,
  kind,
  position,
  removedAt: null,
  ...over,
});

export type CoatSpec = readonly [binder: Layer['binder'], colour: string, soundness: Layer['soundness'], yearApplied?: number];

/** A surface from its template, with coats from the top down. */
export function surface(
  id: string,
  spaceId: string,
  position: number,
  element: ElementId,
  name: string,
  coats: readonly CoatSpec[],
  over: Partial<Surface> = {},
): Surface {
  return {
    ...surfaceDraft(element, spaceId, position, name, 'm', { coatsCounted: true }),
    id,
    removedAt: null,
    parts: partDrafts(element).map((p): Part => ({ ...p, id: `${id}-${p.kind}`, removedAt: null })),
    layers: coats.map(([binder, colour, soundness, yearApplied], i): Layer => ({
      ...BLANK_LAYER,
      id: `${id}-coat${i + 1}`,
      position: i,
      binder,
      colour,
      soundness,
      yearApplied: yearApplied ?? null,
      removedAt: null,
    })),
    readings: [],
    checks: [],
    samples: [],
    squares: [],
    boards: [],
    signs: [],
    laid: [],
    defects: [],
    ...over,
  };
}

export const reading = (id: string, over: Partial<Reading> & Pick<Reading, 'kind'>): Reading => ({
  ...BLANK_READING,
  id,
  takenAt: AT,
  kitRecognised: over.kind === 'spot',
  control: over.kind === 'spot' ? 'worked' : 'unsaid',
  minutes: over.kind === 'spot' ? 1 : null,
  lot: over.kind === 'spot' ? 'Q-118' : '',
  by: 'Ines Marlow',
  ...over,
});

export const sample = (id: string, number: string, over: Partial<Sample> = {}): Sample => ({
  ...BLANK_SAMPLE,
  id,
  number,
  takenBy: 'Ines Marlow',
  removedAt: null,
  ...over,
});

export const check = (
  id: string,
  over: Partial<InstrumentCheck> & Pick<InstrumentCheck, 'device' | 'what' | 'values' | 'filmMgCm2' | 'tolerance'>,
): InstrumentCheck => ({
  id,
  material: null,
  takenAt: AT,
  note: '',
  by: 'Ines Marlow',
  ...over,
});

/** A trial square whose clock ran: stopped so many minutes after it was started. */
export const square = (
  id: string,
  methodId: Square['methodId'],
  dwellMin: number | null,
  startedAt: string | null,
  over: Partial<Square> = {},
): Square => ({
  ...BLANK_SQUARE,
  id,
  methodId,
  dwellMin,
  startedAt,
  stoppedAt:
    startedAt === null || dwellMin === null || (over.lifted ?? null) === null
      ? null
      : new Date(Date.parse(startedAt) + dwellMin * 60_000).toISOString(),
  removedAt: null,
  ...over,
});

export const board = (id: string, label: string, over: Partial<Board> = {}): Board => ({
  ...BLANK_BOARD,
  id,
  label,
  removedAt: null,
  ...over,
});

/** Seen on the day of the walk, before the first stroke. */
export const defect = (id: string, kind: Defect['kind'], over: Partial<Defect> = {}): Defect => ({
  ...BLANK_DEFECT,
  id,
  kind,
  seenOn: AT.slice(0, 10),
  removedAt: null,
  ...over,
});

/** Seen at a stroke. */
export const sign = (id: string, over: Partial<Sign> & Pick<Sign, 'sign' | 'extent' | 'takenAt'>): Sign => ({
  id,
  partId: null,
  methodId: null,
  product: null,
  note: '',
  supersedesId: null,
  supersedesWhy: null,
  by: 'Ines Marlow',
  ...over,
});

export const choose = (s: Surface, methodId: Part['methodId']): Surface => ({ ...s, parts: s.parts.map((p) => ({ ...p, methodId })) });

export const facts = (j: Job, spaces: Space[], surfaces: Surface[]): JobFacts => ({
  job: j,
  spaces,
  surfaces,
  airSamples: [],
  stints: [],
  hauls: [],
  bags: [],
  photos: [],
  instrumentChecks: [],
  zones: [],
  checks: [],
});
