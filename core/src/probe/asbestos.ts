/**
 * Asbestos by homogeneous area: one material, of one look and one date, wherever on the job it stands. Its samples speak for all of it.
 * Sources: 40 CFR 763.86 (how many), 763.87 (negative only when all are), 29 CFR 1926.1101 (what is presumed), HSG264 (UK).
 */
import type { Reading, Sample, Surface, SuspectKind } from '../facts';
import { PLASTER } from '../facts/vocabulary';
import { answer, why, type Answer, type Reason, type SourceId } from '../reasons';
import type { Rulebook } from '../rulebook';
import { convert, measure } from '../units/units';
import { stackOf } from './stack';
import { strictest, type HazardState } from './state';
import { seeded } from './seeded';
import { standingReadings } from './reading';

/** Which part of a surface it is: a coat on it, the material itself, or the putty beside its glass. */
type Lies = 'coat' | 'material' | 'putty';
type AsbestosClass = 'surfacing' | 'lagging' | 'other';

interface SuspectDef {
  readonly lies: Lies;
  readonly of: AsbestosClass;
  /** By law presumed to contain it until sampled; the others are suspects, and unknown. */
  readonly presumed: boolean;
}
const SUSPECTS: Readonly<Record<SuspectKind, SuspectDef>> = {
  texturedCoat: { lies: 'coat', of: 'surfacing', presumed: true },
  plaster: { lies: 'material', of: 'surfacing', presumed: false },
  jointCompound: { lies: 'material', of: 'other', presumed: false },
  bitumenCoat: { lies: 'coat', of: 'other', presumed: false },
  putty: { lies: 'putty', of: 'other', presumed: false },
  lagging: { lies: 'material', of: 'lagging', presumed: true },
  heaterBoard: { lies: 'material', of: 'other', presumed: false },
};

export interface Suspect {
  readonly kind: SuspectKind;
  /** Equal keys are one homogeneous area. */
  readonly key: string;
  readonly year: number | null;
  readonly areaM2: number;
  /** Run of a pipe, m; null where area counts. */
  readonly runM: number | null;
}

/** What on a surface may hold asbestos, by what it is and its year. A coat newer than the ban is none. */
export function suspectsOf(s: Surface, builtYear: number | null, totalM2: number, rulebook: Rulebook): Suspect[] {
  const limit = rulebook.asbestosPresumedThrough.is.value;
  const out: Suspect[] = [];
  const add = (kind: SuspectKind, year: number | null, look: string, areaM2 = totalM2, runM: number | null = null) => {
    if (year === null || year <= limit)
      out.push({ kind, key: [kind, look.trim().toLowerCase(), year ?? 'year unknown'].join(' · '), year, areaM2, runM });
  };
  for (const c of stackOf(s)) {
    if (c.binder === 'textured') add('texturedCoat', c.yearApplied ?? builtYear, c.colour);
    if (c.binder === 'bitumen') add('bitumenCoat', c.yearApplied ?? builtYear, c.colour);
  }
  if (s.element === 'pipeLagging') add('lagging', builtYear, '', totalM2, s.lengthM * s.count);
  else if (s.element === 'heaterBoard') add('heaterBoard', builtYear, '');
  else if (s.material === 'board') add('jointCompound', builtYear, '');
  else if (PLASTER.includes(s.material)) add('plaster', builtYear, s.material);
  if (s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass')) add('putty', builtYear, '', 0);
  return out;
}

export interface SamplePoint {
  readonly surfaceId: string;
  /** Shares of the face's length and width. */
  readonly x: number;
  readonly y: number;
}

export interface AsbestosArea {
  readonly key: string;
  readonly kind: SuspectKind;
  readonly of: AsbestosClass;
  readonly year: number | null;
  readonly members: readonly { readonly surfaceId: string; readonly areaM2: number }[];
  readonly totalM2: number;
  readonly runM: number | null;
  /** Samples that the area needs. */
  readonly needed: Answer<number>;
  readonly samples: readonly { readonly sample: Sample; readonly surfaceId: string; readonly says: BulkSays | null }[];
  readonly state: Answer<HazardState>;
}

export type BulkSays = 'asbestos' | 'none' | 'unsure';

/** 40 CFR 763.86(a), (b); "other" materials: enough by judgement, common practice two. */
function neededFor(of: AsbestosClass, totalM2: number, runM: number | null, source: SourceId): Answer<number> {
  const ft2 = convert(totalM2, 'm2', 'ft2');
  const size = measure(totalM2, 'm2');
  if (of === 'surfacing') {
    const n = ft2 <= 1000 + 1e-6 ? 3 : ft2 <= 5000 + 1e-6 ? 5 : 7;
    return answer(
      n,
      why(source === 'cfr40-763.86' ? 'asbestos.surfacingCount' : 'asbestos.surfacingCountUk', source, { area: size, count: n }),
    );
  }
  if (of === 'lagging') {
    const patch = runM !== null && convert(runM, 'm', 'ft') < 6;
    return patch
      ? answer(1, why(source === 'cfr40-763.86' ? 'asbestos.patchCount' : 'asbestos.patchCountUk', source, { run: measure(runM, 'm') }))
      : answer(3, why('asbestos.laggingCount', source, { run: measure(runM ?? 0, 'm') }));
  }
  return answer(2, why('asbestos.otherCount', 'trade-sample', {}));
}

/**
 * What one bulk result says.
 * US: more than 1 %; a count by eye under 10 % and above 1 % may be challenged by point count, and until then counts. UK: any trace.
 * Source: 40 CFR 763.83, 61.141; HSG264.
 */
export function judgeBulk(r: Reading, rulebook: Rulebook): { readonly says: BulkSays; readonly reason: Reason } {
  const value = r.value ?? 0;
  const result = measure(value, 'mass%');
  if (rulebook.asbestosAbove === null) {
    const any = r.trace || value > 0;
    return { says: any ? 'asbestos' : 'none', reason: why(any ? 'asbestos.anyTrace' : 'asbestos.noneSeen', 'uk-asbestos', { result }) };
  }
  const { is: limit, source } = rulebook.asbestosAbove;
  if (value > limit.value) {
    const mayCount = value < 10 && r.analysis !== 'pointCount' && r.analysis !== 'tem';
    return { says: 'asbestos', reason: why(mayCount ? 'asbestos.overByEye' : 'asbestos.over', source, { result: [result, limit] }) };
  }
  // At or under the limit by eye is not proof: a count of points is. 40 CFR 61.141
  if ((r.trace || value > 0) && (r.analysis === 'plm' || r.analysis === null))
    return { says: 'unsure', reason: why('asbestos.traceByEye', 'cfr40-61.141', { result }) };
  return { says: 'none', reason: why(value > 0 ? 'asbestos.underCounted' : 'asbestos.noneSeen', source, { result }) };
}

function stateOf(
  kind: SuspectKind,
  year: number | null,
  needed: number,
  samples: readonly { readonly sample: Sample; readonly reading: Reading | undefined }[],
  rulebook: Rulebook,
): Answer<HazardState> {
  const { is: limit, source } = rulebook.asbestosPresumedThrough;
  const base =
    year === null
      ? answer<HazardState>('unknown', why('asbestos.ageUnknown', source, { suspect: kind, limit }))
      : SUSPECTS[kind].presumed
        ? answer<HazardState>('assumed', why('asbestos.presumed', source, { suspect: kind, built: [measure(year, 'year'), limit] }))
        : answer<HazardState>('unknown', why('asbestos.suspect', 'trade-sample', { suspect: kind, built: measure(year, 'year') }));
  const judged = samples.flatMap((x) => (x.reading ? [judgeBulk(x.reading, rulebook)] : []));
  const positive = judged.filter((j) => j.says === 'asbestos');
  if (positive.length > 0)
    return answer<HazardState>('found', positive[0]!.reason, why('asbestos.onePositive', rulebook.sources.asbestosAll, {}));
  const unsure = judged.filter((j) => j.says === 'unsure');
  const negative = judged.filter((j) => j.says === 'none').length;
  if (negative >= needed && unsure.length === 0 && samples.every((x) => x.reading))
    return answer<HazardState>('notFound', why('asbestos.allNegative', rulebook.sources.asbestosAll, { count: negative, needed }));
  if (unsure.length > 0) return { value: 'assumed', because: [unsure[0]!.reason, ...base.because] };
  if (samples.some((x) => !x.reading))
    return answer<HazardState>('waiting', why('asbestos.waiting', 'trade-wait-lab', { count: negative, needed }), ...base.because);
  if (judged.length > 0)
    return {
      value: base.value,
      because: [why('asbestos.tooFew', rulebook.sources.asbestosCount, { count: negative, needed }), ...base.because],
    };
  return base;
}

export interface SuspectSurface {
  readonly surface: Surface;
  readonly suspects: readonly Suspect[];
}

/** All homogeneous areas of a job, with what their samples say. */
export function asbestosAreas(list: readonly SuspectSurface[], rulebook: Rulebook): AsbestosArea[] {
  const groups = new Map<string, { suspect: Suspect; members: SuspectSurface[] }>();
  for (const x of list) {
    for (const suspect of x.suspects) {
      const g = groups.get(suspect.key);
      if (g) g.members.push(x);
      else groups.set(suspect.key, { suspect, members: [x] });
    }
  }
  return [...groups].map(([key, { suspect, members }]) => {
    const of = SUSPECTS[suspect.kind].of;
    const mine = (s: SuspectSurface) => s.suspects.find((x) => x.key === key)!;
    // What was taken off the list still speaks through its samples, but needs none itself.
    const live = members.filter((m) => m.surface.removedAt === null);
    const totalM2 = live.reduce((sum, m) => sum + mine(m).areaM2, 0);
    const runs = live.flatMap((m) => mine(m).runM ?? []);
    const runM = runs.length > 0 ? runs.reduce((a, b) => a + b, 0) : null;
    const needed = neededFor(of, totalM2, runM, rulebook.sources.asbestosCount);
    const taken = members.flatMap(({ surface }) => {
      const readings = standingReadings(surface.readings).filter((r) => r.kind === 'bulk');
      return surface.samples
        .filter((x) => x.removedAt === null && x.hazard === 'asbestos' && x.kind !== 'blank' && x.suspect === suspect.kind)
        .map((sample) => {
          // Two records of one sample: the stricter counts.
          const own = readings.filter((r) => r.sampleId === sample.id);
          const reading = own.sort((a, b) => (b.value ?? 0) - (a.value ?? 0))[0];
          return { sample, surfaceId: surface.id, reading };
        });
    });
    const counted = taken.filter((x) => x.sample.takenAt !== null);
    return {
      key,
      kind: suspect.kind,
      of,
      year: suspect.year,
      members: live.map((m) => ({ surfaceId: m.surface.id, areaM2: mine(m).areaM2 })),
      totalM2,
      runM,
      needed,
      samples: taken.map((x) => ({
        sample: x.sample,
        surfaceId: x.surfaceId,
        says: x.reading ? judgeBulk(x.reading, rulebook).says : null,
      })),
      state: stateOf(suspect.kind, suspect.year, needed.value, counted, rulebook),
    };
  });
}

export interface AsbestosPicture {
  /** A coat on it, or lagging and board that are the piece itself: nothing may disturb it. */
  readonly coat: Answer<HazardState>;
  /** The plaster or joint compound below the paint. */
  readonly below: Answer<HazardState>;
  readonly putty: Answer<HazardState>;
  readonly overall: Answer<HazardState>;
}

const NOT_SUSPECT = answer<HazardState>('notFound', why('asbestos.notSuspect', 'job-record'));
export const NO_ASBESTOS: AsbestosPicture = { coat: NOT_SUSPECT, below: NOT_SUSPECT, putty: NOT_SUSPECT, overall: NOT_SUSPECT };

/** What a surface takes from its areas: for each place the strictest. */
export function asbestosPicture(s: Surface, suspects: readonly Suspect[], areas: ReadonlyMap<string, AsbestosArea>): AsbestosPicture {
  if (suspects.length === 0) return NO_ASBESTOS;
  const pick = (want: (x: Suspect) => boolean): Answer<HazardState> => {
    const states = suspects.filter(want).flatMap((x) => areas.get(x.key)?.state ?? []);
    if (states.length === 0) return NOT_SUSPECT;
    const worst = strictest(states.map((a) => a.value));
    return states.find((a) => a.value === worst)!;
  };
  const isPiece = s.element === 'pipeLagging' || s.element === 'heaterBoard';
  const coat = pick((x) => SUSPECTS[x.kind].lies === 'coat' || (isPiece && SUSPECTS[x.kind].lies === 'material'));
  const below = pick((x) => !isPiece && SUSPECTS[x.kind].lies === 'material');
  const putty = pick((x) => SUSPECTS[x.kind].lies === 'putty');
  return { coat, below, putty, overall: pick(() => true) };
}

/**
 * Where to cut, at random over the area, larger faces more often; the first `taken` places are the ones that were cut already.
 * @param seed the job's seed; the area's own key goes in, so that areas do not repeat each other
 * @returns one place for each sample needed
 * @throws RangeError without a seed
 */
export function samplePoints(area: AsbestosArea, seed: string): SamplePoint[] {
  const random = seeded(seed.trim() && `${seed}/${area.key}`);
  const weight = (m: AsbestosArea['members'][number]) => (m.areaM2 > 0 ? m.areaM2 : 1);
  const sum = area.members.reduce((a, m) => a + weight(m), 0);
  return Array.from({ length: area.members.length === 0 ? 0 : area.needed.value }, () => {
    let at = random() * sum;
    const member = area.members.find((m) => (at -= weight(m)) < 0) ?? area.members.at(-1)!;
    // Kept off the very edge, where no sample can be cut whole.
    return { surfaceId: member.surfaceId, x: 0.05 + 0.9 * random(), y: 0.05 + 0.9 * random() };
  });
}
