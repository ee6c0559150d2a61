/**
 * Asbestos by homogeneous area: one material, of one look and one date, wherever on the job it stands. Its samples speak for all of it.
 * Sources: 40 CFR 763.86 (how many), 763.87 (negative only when all are), 29 CFR 1926.1101 (what is presumed), HSG264 (UK).
 */
import type { Material, Reading, Sample, Surface, SuspectKind } from '../facts';
import { MASONRY, METAL, PLASTER, TIMBER } from '../facts/vocabulary';
import { answer, why, type Answer, type Reason, type SourceId } from '../reasons';
import type { Rulebook } from '../rulebook';
import { convert, measure, type Measure } from '../units/units';
import { stackOf } from './stack';
import { isPresent, strictest, type HazardState } from './state';
import type { SampleAnswer } from './result';
import { standingAt, worse, type Low, type Standing } from './rung';
import { seeded } from '../graph/seeded';
import { meantBack, saysSomething, standingReadings } from './standing';

/** Which part of a surface it is: a coat on it, the material below the paint, the whole piece, or the putty beside its glass. */
type Lies = 'coat' | 'material' | 'piece' | 'putty';
type AsbestosClass = 'surfacing' | 'lagging' | 'other';

interface SuspectDef {
  readonly lies: Lies;
  readonly of: AsbestosClass;
  /** By law presumed to contain it until sampled; the others are suspects, and unknown. */
  readonly presumed: boolean;
  /** Under UK rules work on it is for a licensed contractor beyond short work; the others are work for trained people. CAR 2012, HSE task sheets. */
  readonly licensedUk: boolean;
}
const SUSPECTS: Readonly<Record<SuspectKind, SuspectDef>> = {
  texturedCoat: { lies: 'coat', of: 'surfacing', presumed: true, licensedUk: false },
  plaster: { lies: 'material', of: 'surfacing', presumed: false, licensedUk: false },
  jointCompound: { lies: 'material', of: 'other', presumed: false, licensedUk: false },
  bitumenCoat: { lies: 'coat', of: 'other', presumed: false, licensedUk: false },
  putty: { lies: 'putty', of: 'other', presumed: false, licensedUk: false },
  lagging: { lies: 'piece', of: 'lagging', presumed: true, licensedUk: true },
  heaterBoard: { lies: 'piece', of: 'other', presumed: false, licensedUk: true },
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

/** Lagging or a board: the piece itself is the material, loose or brittle, and whatever shakes the room shakes it. */
export const isAsbestosPiece = (element: Surface['element']): boolean => element === 'pipeLagging' || element === 'heaterBoard';

/** The area that a suspect belongs to, but for its year: colour is painted over, texture and look are not. */
const areaOf = (kind: SuspectKind, look: string, year: number | null): string =>
  [kind, look.trim().toLowerCase(), year ?? UNDATED].join(' · ');
const UNDATED = 'year unknown';

/**
 * What on a surface may hold asbestos, by what it is and its year; and what its samples found or still may find, whatever is written of
 * the surface now. What is newer than such materials were sold is none.
 */
export function suspectsOf(s: Surface, builtYear: number | null, totalM2: number, rulebook: Rulebook): Suspect[] {
  const before = rulebook.asbestosSuspectedBefore.is.value;
  const out: Suspect[] = [];
  // The year of the building says nothing of what was renewed in it; the piece's own does, where somebody wrote down how it is known.
  const proven = saysSomething(s.yearHow) ? s.yearMade : null;
  const add = (kind: SuspectKind, year: number | null, look: string, areaM2 = totalM2, runM: number | null = null, own = proven) => {
    if (own !== null && own < rulebook.asbestosFrom[kind].is.value) return;
    if (year === null || year < before) out.push({ kind, key: areaOf(kind, look, year), year, areaM2, runM });
  };
  // A coat is as old as it is, not as what it lies on.
  const ownYear = (c: { readonly yearApplied: number | null }): number | null => (proven === null ? null : c.yearApplied);
  for (const c of stackOf(s)) {
    if (c.binder === 'textured') add('texturedCoat', c.yearApplied ?? builtYear, c.look, totalM2, null, ownYear(c));
    if (c.binder === 'bitumen') add('bitumenCoat', c.yearApplied ?? builtYear, c.look, totalM2, null, ownYear(c));
  }
  if (s.element === 'pipeLagging') add('lagging', builtYear, '', totalM2, s.lengthM * s.count);
  else if (s.element === 'heaterBoard') add('heaterBoard', builtYear, '');
  else if (s.material === 'board') add('jointCompound', builtYear, '');
  else if (PLASTER.includes(s.material)) add('plaster', builtYear, s.material);
  if (s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass')) add('putty', builtYear, '', 0);
  if (s.samples.length > 0 && !pastEnded(s))
    for (const kind of foundOrOut(s, rulebook))
      if (!out.some((x) => x.kind === kind))
        out.push({ kind, key: `${kind} · found before · ${s.id}`, year: null, areaM2: totalM2, runM: null });
  return out;
}

/** The piece was stripped with proof, or is a new one: said, and how that is known. */
const pastEnded = (s: Pick<Surface, 'past' | 'pastWhy'>): boolean => s.past !== 'asBefore' && saysSomething(s.pastWhy);

/** A sample that can tell something: taken, and of the material itself. One that was sent is out, even when its line was removed. */
const speaks = (x: Sample): boolean =>
  x.hazard === 'asbestos' && x.suspect !== null && x.kind !== 'blank' && x.takenAt !== null && (x.removedAt === null || x.sentAt !== null);

/** The lab's answers that count. What somebody meant to take back goes on convicting, but clears no more. */
function bulkAnswers(s: Pick<Surface, 'readings' | 'samples'>, rulebook: Rulebook): readonly Reading[] {
  const back = meantBack(s);
  return standingReadings(s).filter((r) => r.kind === 'bulk' && !(back.has(r.id) && judgeBulk(r, rulebook).says === 'none'));
}

const answerTo = (s: Pick<Surface, 'samples' | 'readings'>, x: Sample, rulebook: Rulebook): BulkSays | null => {
  const own = bulkAnswers(s, rulebook).filter((r) => r.sampleId === x.id);
  const says = own.map((r) => judgeBulk(r, rulebook).says);
  return says.length === 0 ? null : says.includes('asbestos') ? 'asbestos' : says.includes('unsure') ? 'unsure' : 'none';
};

/** Kinds of suspect of which a sample here was positive or doubtful, or is still out. */
function foundOrOut(s: Pick<Surface, 'samples' | 'readings'>, rulebook: Rulebook): SuspectKind[] {
  const answered = new Set(s.readings.flatMap((r) => (r.kind === 'bulk' && r.sampleId !== null ? [r.sampleId] : [])));
  return [
    ...new Set(
      s.samples
        .filter((x) => x.suspect !== null && (speaks(x) || answered.has(x.id)) && answerTo(s, x, rulebook) !== 'none')
        .map((x) => x.suspect!),
    ),
  ];
}

const FAMILIES: readonly (readonly Material[])[] = [TIMBER, PLASTER, MASONRY, METAL];
const familyOf = (m: Material): readonly Material[] => FAMILIES.find((f) => f.includes(m))!;
type Seen = Pick<Surface, 'element' | 'material' | 'name'>;
/** May `s` be the same piece as `gone`, entered anew under another name, element or material? */
export const isLike = (s: Seen, gone: Seen): boolean =>
  s.element === gone.element ||
  familyOf(s.material) === familyOf(gone.material) ||
  s.name.trim().toLowerCase() === gone.name.trim().toLowerCase();

/** What a surface takes over from one that was removed at the same place: the suspects of which samples found something or are out. */
export const inheritedFrom = (
  s: Seen & Pick<Surface, 'past' | 'pastWhy'>,
  gone: Seen & Pick<Surface, 'samples' | 'readings'>,
  suspects: readonly Suspect[],
  rulebook: Rulebook,
): Suspect[] => (pastEnded(s) || !isLike(s, gone) ? [] : suspects.filter((x) => foundOrOut(gone, rulebook).includes(x.kind)));

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
  readonly samples: readonly {
    readonly sample: Sample;
    readonly surfaceId: string;
    readonly reading: Reading | null;
    readonly answer: SampleAnswer | null;
  }[];
  readonly state: Answer<HazardState>;
  /** The same on the ladder, with the most that was counted. */
  readonly standing: Standing;
  /** Clear by the limit, but asbestos was seen or not ruled out: wet work and HEPA cleaning still bind. */
  readonly trace: boolean;
}

export type BulkSays = 'asbestos' | 'none' | 'unsure';

/** UK: HSG264, from memory: lagging one in 3 m, over 20 m one in 6 m; boards one in 25 m2; textured coatings one or two an area. */
function neededUk(kind: SuspectKind, of: AsbestosClass, totalM2: number, runM: number | null, source: SourceId): Answer<number> {
  if (of === 'lagging') {
    const run = runM ?? 0;
    const n = Math.max(1, Math.ceil((run > 20 ? run / 6 : run / 3) - 1e-9));
    return answer(
      n,
      why('asbestos.laggingCountUk', source, {
        run: measure(run, 'm'),
        count: n,
        short: measure(3, 'm'),
        long: measure(20, 'm'),
        far: measure(6, 'm'),
      }),
    );
  }
  if (kind === 'heaterBoard') {
    const n = Math.max(1, Math.ceil(totalM2 / 25 - 1e-9));
    return answer(n, why('asbestos.boardCountUk', source, { area: measure(totalM2, 'm2'), count: n, each: measure(25, 'm2') }));
  }
  return answer(2, why('asbestos.coatCountUk', source, { area: measure(totalM2, 'm2') }));
}

/**
 * 40 CFR 763.86(a), (b): surfacing 3, 5 or 7 by area, lagging 3 (one only for a patch of repair, which is not recorded apart);
 * "other" materials: enough by judgement, common practice two.
 */
function neededFor(kind: SuspectKind, of: AsbestosClass, totalM2: number, runM: number | null, rulebook: Rulebook): Answer<number> {
  const source = rulebook.sources.asbestosCount;
  if (rulebook.id === 'uk') return neededUk(kind, of, totalM2, runM, source);
  const ft2 = convert(totalM2, 'm2', 'ft2');
  if (of === 'surfacing') {
    const n = ft2 <= 1000 + 1e-6 ? 3 : ft2 <= 5000 + 1e-6 ? 5 : 7;
    return answer(
      n,
      why('asbestos.surfacingCount', source, {
        area: measure(totalM2, 'm2'),
        count: n,
        small: measure(1000, 'ft2'),
        large: measure(5000, 'ft2'),
      }),
    );
  }
  if (of === 'lagging') return answer(3, why('asbestos.laggingCount', source, { run: measure(runM ?? 0, 'm') }));
  return answer(2, why('asbestos.otherCount', 'trade-sample', {}));
}

/**
 * What one bulk result says.
 * US: more than 1 %; a count by eye under 10 % and above 1 % may be challenged by point count, and until then counts. UK: any trace.
 * "Less than so much" is not none: it clears where a count shows it to be 1 % or less, and nowhere that any trace counts.
 * Source: 40 CFR 763.83, 61.141; HSG264.
 */
export function judgeBulk(r: Reading, rulebook: Rulebook): { readonly says: BulkSays; readonly trace: boolean; readonly reason: Reason } {
  const value = r.value ?? 0;
  const result = measure(value, 'mass%');
  if (r.below && value > 0) {
    const counted = r.analysis === 'pointCount' || r.analysis === 'tem';
    const clears = rulebook.asbestosAbove !== null && counted && value <= rulebook.asbestosAbove.is.value && !r.trace;
    return clears
      ? { says: 'none', trace: true, reason: why('asbestos.belowCounted', 'cfr40-61.141', { least: result }) }
      : {
          says: 'unsure',
          trace: true,
          reason: why(rulebook.asbestosAbove ? 'asbestos.belowByEye' : 'asbestos.belowAny', rulebook.sources.asbestosAll, {
            least: result,
          }),
        };
  }
  if (rulebook.asbestosAbove === null) {
    const any = r.trace || value > 0;
    return {
      says: any ? 'asbestos' : 'none',
      trace: any,
      reason: why(any ? 'asbestos.anyTrace' : 'asbestos.noneSeen', 'uk-asbestos', { result }),
    };
  }
  const { is: limit, source } = rulebook.asbestosAbove;
  const trace = r.trace || value > 0;
  if (value > limit.value) {
    const mayCount = value < 10 && r.analysis !== 'pointCount' && r.analysis !== 'tem';
    return { says: 'asbestos', trace, reason: why(mayCount ? 'asbestos.overByEye' : 'asbestos.over', source, { result: [result, limit] }) };
  }
  // At or under the limit by eye is not proof: a count of points is. 40 CFR 61.141
  if (trace && (r.analysis === 'plm' || r.analysis === null))
    return { says: 'unsure', trace, reason: why('asbestos.traceByEye', 'cfr40-61.141', { result }) };
  return {
    says: 'none',
    trace,
    reason: value > 0 ? why('asbestos.underCounted', source, { result: [result, limit] }) : why('asbestos.noneSeen', source, { result }),
  };
}

const lowOfBulk = (r: Reading, rulebook: Rulebook): Low => ({
  rung: judgeBulk(r, rulebook).trace ? 'trace' : 'noneFound',
  measured: r.value ? measure(r.value, 'mass%') : null,
  under: r.below,
});
const mostOfBulk = (taken: readonly Taken[], rulebook: Rulebook): Measure | null =>
  taken.reduce<Measure | null>(
    (a, { reading: r }) =>
      r && r.value !== null && r.value > (a?.value ?? 0) && judgeBulk(r, rulebook).says === 'asbestos' ? measure(r.value, 'mass%') : a,
    null,
  );

export const answerOfBulk = ({ says, trace }: Pick<ReturnType<typeof judgeBulk>, 'says' | 'trace'>): SampleAnswer =>
  says === 'asbestos' ? 'found' : says === 'unsure' ? 'unclear' : trace ? 'low' : 'clear';

interface Taken {
  readonly sample: Sample;
  readonly surface: SuspectPiece;
  readonly reading: Reading | undefined;
}

/** Shares of a face: closer than this is the same place. */
const APART = 0.1;
/** Samples that each come from a place of their own. Of several whose place nobody wrote down, one counts for each surface. */
function atDistinctPlaces(samples: readonly Taken[]): Taken[] {
  const out: Taken[] = [];
  for (const x of samples) {
    const { sample, surface } = x;
    const same = out.some((o) => {
      if (o.surface.id !== surface.id) return false;
      const [a, b] = [o.sample, sample];
      if (a.atX !== null && b.atX !== null) return Math.abs(a.atX - b.atX) < APART && Math.abs((a.atY ?? 0) - (b.atY ?? 0)) < APART;
      return a.place.trim().toLowerCase() === b.place.trim().toLowerCase();
    });
    if (!same) out.push(x);
  }
  return out;
}

interface AreaFacts {
  readonly kind: SuspectKind;
  readonly year: number | null;
  readonly needed: number;
  readonly taken: readonly Taken[];
  /** Rooms and sides in which it stands. */
  readonly places: ReadonlySet<string>;
}

function stateOf({ kind, year, needed, taken, places }: AreaFacts, rulebook: Rulebook): Answer<HazardState> {
  const { is: limit, source } = rulebook.asbestosPresumedThrough;
  const suspect = kind;
  const base =
    year === null
      ? answer<HazardState>('unknown', why('asbestos.ageUnknown', source, { suspect, limit: rulebook.asbestosSuspectedBefore.is }))
      : year > limit.value
        ? answer<HazardState>(
            'unknown',
            why('asbestos.possible', rulebook.asbestosSuspectedBefore.source, {
              suspect,
              built: [measure(year, 'year'), rulebook.asbestosSuspectedBefore.is],
            }),
          )
        : SUSPECTS[kind].presumed
          ? answer<HazardState>('assumed', why('asbestos.presumed', source, { suspect, built: [measure(year, 'year'), limit] }))
          : answer<HazardState>('unknown', why('asbestos.suspect', 'trade-sample', { suspect, built: measure(year, 'year') }));
  const judged = taken.flatMap((x) => (x.reading ? [{ ...x, ...judgeBulk(x.reading, rulebook) }] : []));
  const positive = judged.find((j) => j.says === 'asbestos');
  if (positive) return answer<HazardState>('found', positive.reason, why('asbestos.onePositive', rulebook.sources.asbestosAll, {}));
  const unsure = judged.find((j) => j.says === 'unsure');
  if (unsure) return { value: 'assumed', because: [unsure.reason, ...base.because] };
  const clear = atDistinctPlaces(
    judged.filter((j) => j.says === 'none' && j.sample.kind !== 'duplicate' && j.surface.removedAt === null && j.sample.removedAt === null),
  );
  const count = clear.length;
  if (taken.some((x) => !x.reading))
    return answer<HazardState>('waiting', why('asbestos.waiting', 'trade-wait-lab', { count, needed }), ...base.because);
  if (judged.length === 0) return base;
  if (count < needed)
    return { value: base.value, because: [why('asbestos.tooFew', rulebook.sources.asbestosCount, { count, needed }), ...base.because] };
  const seen = new Set(clear.map((x) => x.surface.spaceId)).size;
  const spread = Math.min(needed, places.size);
  if (seen < spread)
    return { value: base.value, because: [why('asbestos.oneCorner', rulebook.sources.asbestosCount, { seen, spread }), ...base.because] };
  // What was seen under the limit is told with its number and what still binds. Law E7.
  const seenLow = judged.filter((j) => j.says === 'none' && j.trace).map((j) => j.reason);
  return answer<HazardState>('notFound', ...seenLow, why('asbestos.allNegative', rulebook.sources.asbestosAll, { count, needed }));
}

/** What an area weighs of a surface. */
export type SuspectPiece = Pick<Surface, 'id' | 'spaceId' | 'samples' | 'readings' | 'removedAt'>;
export interface SuspectSurface {
  readonly surface: SuspectPiece;
  readonly suspects: readonly Suspect[];
}

interface Group {
  readonly suspect: Suspect;
  readonly members: readonly SuspectSurface[];
}

function areaFrom(key: string, { suspect, members }: Group, rulebook: Rulebook): AsbestosArea {
  const of = SUSPECTS[suspect.kind].of;
  const mine = (s: SuspectSurface) => s.suspects.find((x) => x.key === key || sameButYear(x.key, key))!;
  // What was taken off the list still speaks through its samples, but needs none itself.
  const live = members.filter((m) => m.surface.removedAt === null);
  const totalM2 = live.reduce((sum, m) => sum + mine(m).areaM2, 0);
  const runs = live.flatMap((m) => mine(m).runM ?? []);
  const runM = runs.length > 0 ? runs.reduce((a, b) => a + b, 0) : null;
  const needed = neededFor(suspect.kind, of, totalM2, runM, rulebook);
  const taken = members.flatMap(({ surface }): Taken[] => {
    const readings = bulkAnswers(surface, rulebook);
    return surface.samples
      .filter((x) => x.hazard === 'asbestos' && x.kind !== 'blank' && x.suspect === suspect.kind)
      .map((sample) => ({
        sample,
        surface,
        reading: strictestOf(
          readings.filter((r) => r.sampleId === sample.id),
          rulebook,
        ),
      }));
  });
  const counted = taken.filter((x) => x.reading !== undefined || speaks(x.sample));
  const state = stateOf(
    { kind: suspect.kind, year: suspect.year, needed: needed.value, taken: counted, places: new Set(live.map((m) => m.surface.spaceId)) },
    rulebook,
  );
  return {
    key,
    kind: suspect.kind,
    of,
    year: suspect.year,
    members: live.map((m) => ({ surfaceId: m.surface.id, areaM2: mine(m).areaM2 })),
    totalM2,
    runM,
    needed,
    samples: taken
      .filter((x) => x.sample.removedAt === null || x.reading !== undefined)
      .map((x) => ({
        sample: x.sample,
        surfaceId: x.surface.id,
        reading: x.reading ?? null,
        answer: x.reading ? answerOfBulk(judgeBulk(x.reading, rulebook)) : null,
      })),
    state,
    standing: standingAt(
      state.value,
      counted.flatMap(({ reading }) => (reading ? [lowOfBulk(reading, rulebook)] : [])),
      mostOfBulk(counted, rulebook),
    ),
    trace: state.value === 'notFound' && counted.some((x) => x.reading && judgeBulk(x.reading, rulebook).trace),
  };
}

const SAYS_STRICT: Readonly<Record<BulkSays, number>> = { none: 0, unsure: 1, asbestos: 2 };
/** Two records of one sample: the stricter counts. */
const strictestOf = (readings: readonly Reading[], rulebook: Rulebook): Reading | undefined =>
  [...readings].sort(
    (a, b) => SAYS_STRICT[judgeBulk(b, rulebook).says] - SAYS_STRICT[judgeBulk(a, rulebook).says] || (b.value ?? 0) - (a.value ?? 0),
  )[0];

const withoutYear = (key: string): string => key.slice(0, key.lastIndexOf(' · '));
/** One of them without a year, the rest alike. */
const sameButYear = (a: string, b: string): boolean => (a.endsWith(UNDATED) || b.endsWith(UNDATED)) && withoutYear(a) === withoutYear(b);

/** All homogeneous areas of a job, with what their samples say. What has no year belongs to the stricter of the areas that look like it. */
export function asbestosAreas(list: readonly SuspectSurface[], rulebook: Rulebook): AsbestosArea[] {
  const groups = new Map<string, { suspect: Suspect; members: SuspectSurface[] }>();
  for (const x of list) {
    for (const suspect of x.suspects) {
      const g = groups.get(suspect.key);
      if (!g) groups.set(suspect.key, { suspect, members: [x] });
      else if (!g.members.includes(x)) g.members.push(x);
    }
  }
  const areas = new Map([...groups].map(([key, g]) => [key, areaFrom(key, g, rulebook)]));
  for (const [key, undated] of groups) {
    if (!key.endsWith(UNDATED)) continue;
    const like = [...areas.values()].filter((a) => a.key !== key && !a.key.endsWith(UNDATED) && withoutYear(a.key) === withoutYear(key));
    if (like.length === 0) continue;
    const worst = strictest(like.map((a) => a.state.value));
    const joins = like.find((a) => a.state.value === worst)!;
    const g = groups.get(joins.key)!;
    areas.set(
      joins.key,
      areaFrom(
        joins.key,
        { suspect: g.suspect, members: [...g.members, ...undated.members.filter((m) => !g.members.includes(m))] },
        rulebook,
      ),
    );
    areas.delete(key);
  }
  return [...areas.values()];
}

export interface AsbestosPicture {
  /** A coat on it, or lagging and board that are the piece itself: nothing may disturb it. */
  readonly coat: Answer<HazardState>;
  /** The plaster or joint compound below the paint. */
  readonly below: Answer<HazardState>;
  readonly putty: Answer<HazardState>;
  readonly overall: Answer<HazardState>;
  /** The worst of it on the ladder: not suspected, tested with none found, a trace, or present. */
  readonly standing: Standing;
  /** Nowhere above the limit, but some asbestos was seen or not ruled out. */
  readonly trace: boolean;
  /** What is not ruled out on it is, under UK rules, work for a licensed contractor. */
  readonly licensed: boolean;
}

const NOT_SUSPECT = answer<HazardState>('notFound', why('asbestos.notSuspect', 'job-record'));
export const NO_ASBESTOS: AsbestosPicture = {
  coat: NOT_SUSPECT,
  below: NOT_SUSPECT,
  putty: NOT_SUSPECT,
  overall: NOT_SUSPECT,
  standing: standingAt('notFound', []),
  trace: false,
  licensed: false,
};

/** What a surface takes from its areas: for each place the strictest. */
export function asbestosPicture(
  s: Pick<Surface, 'id'>,
  suspects: readonly Suspect[],
  areas: ReadonlyMap<string, AsbestosArea>,
): AsbestosPicture {
  if (suspects.length === 0) return NO_ASBESTOS;
  // What has no year may have joined an area that has one.
  const areaFor = (x: Suspect): AsbestosArea | undefined =>
    areas.get(x.key) ?? [...areas.values()].find((a) => sameButYear(a.key, x.key) && a.members.some((m) => m.surfaceId === s.id));
  const pick = (want: (x: Suspect) => boolean): Answer<HazardState> => {
    const states = suspects.filter(want).flatMap((x) => areaFor(x)?.state ?? []);
    if (states.length === 0) return NOT_SUSPECT;
    const worst = strictest(states.map((a) => a.value));
    return states.find((a) => a.value === worst)!;
  };
  const coat = pick((x) => SUSPECTS[x.kind].lies === 'coat' || SUSPECTS[x.kind].lies === 'piece');
  const below = pick((x) => SUSPECTS[x.kind].lies === 'material');
  const putty = pick((x) => SUSPECTS[x.kind].lies === 'putty');
  return {
    coat,
    below,
    putty,
    overall: pick(() => true),
    standing: suspects.map((x) => areaFor(x)?.standing ?? NO_ASBESTOS.standing).reduce(worse),
    trace: suspects.some((x) => areaFor(x)?.trace === true),
    licensed: suspects.some((x) => SUSPECTS[x.kind].licensedUk && isPresent(areaFor(x)?.state.value ?? 'unknown')),
  };
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
