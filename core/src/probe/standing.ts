/** Which readings still count. A record takes another out only when it is worth as much; two cannot take out each other. */
import type { Reading, ReadingKind, Sample, Surface } from '../facts';

type Recorded = Pick<Surface, 'readings' | 'samples'>;

export const isLeadReading = (r: Pick<Reading, 'kind'>): boolean =>
  r.kind === 'spot' || r.kind === 'lab' || r.kind === 'xrf' || r.kind === 'report';

/** How much a test of lead proves. A signed report rests on a lab, or on an instrument in an inspector's hands. */
const PROVES: Readonly<Partial<Record<ReadingKind, number>>> = { spot: 1, xrf: 2, report: 3, lab: 3 };

/** A reason says something when somebody could argue with it: at least a word. */
export const saysSomething = (text: string | null | undefined): boolean => (text ?? '').replace(/[^\p{L}]/gu, '').length >= 3;

export interface Reach {
  readonly ids: readonly string[];
  /** Down to the material itself. */
  readonly below: boolean;
}
export const reachIsUnknown = (r: Reach): boolean => r.ids.length === 0 && !r.below;

/** An instrument's beam and a signed report speak of the whole component, whatever coats stand beside them. */
export const seesAll = (r: Pick<Reading, 'kind'>): boolean => r.kind === 'xrf' || r.kind === 'report';

/** How deep a reading went: what it says itself, else what its sample says. */
export function reachOf(r: Reading, samples: readonly Sample[]): Reach {
  const stated = r.reachedLayerIds.length > 0 || r.toSubstrate;
  const sample = stated || r.sampleId === null ? undefined : samples.find((x) => x.id === r.sampleId);
  return sample ? { ids: sample.reachedLayerIds, below: sample.toSubstrate } : { ids: r.reachedLayerIds, below: r.toSubstrate };
}

/** Shares of the face: farther apart than this is another place. */
const SAME_PLACE = 0.2;
function isElsewhere(a: Reading, b: Reading): boolean {
  if (a.atX === null || b.atX === null) return false;
  return Math.abs(a.atX - b.atX) > SAME_PLACE || Math.abs((a.atY ?? 0) - (b.atY ?? 0)) > SAME_PLACE;
}

function reachesAsFar(by: Reading, old: Reading, samples: readonly Sample[]): boolean {
  const [a, b] = [reachOf(by, samples), reachOf(old, samples)];
  // Nobody knows how deep the old one went: only what went through everything is sure to be as deep.
  if (seesAll(by)) return by.kind === 'xrf' || !reachIsUnknown(b);
  if (reachIsUnknown(b) || seesAll(old)) return a.below;
  return b.ids.every((id) => a.ids.includes(id)) && (!b.below || a.below);
}

/** May `by` take `old` out? */
function replaces(by: Reading, old: Reading, { samples }: Recorded): boolean {
  if (by.supersedesId !== old.id || by.id === old.id || old.supersedesId === by.id) return false;
  if (by.takenAt < old.takenAt || !saysSomething(by.supersedesWhy)) return false;
  if (by.kind === 'withdrawn') return true;
  if (isLeadReading(old))
    return (
      isLeadReading(by) &&
      !(by.kind === 'lab' && by.value === null) &&
      PROVES[by.kind]! >= PROVES[old.kind]! &&
      reachesAsFar(by, old, samples) &&
      !isElsewhere(by, old)
    );
  if (old.kind !== 'bulk') return by.kind === old.kind;
  if (by.kind === 'bulk') return by.sampleId === old.sampleId && proves(by) >= proves(old);
  // Another kind of record answers no sample; but a clear result that somebody meant to take back does not go on clearing.
  return (old.value ?? 0) === 0 && !old.trace;
}
/** Of two counts of one asbestos sample the finer method proves more. */
const proves = (r: Reading): number => (r.analysis === 'tem' ? 2 : r.analysis === 'pointCount' ? 1 : 0);

export interface Standing {
  readonly readings: readonly Reading[];
  /** Taken back by somebody, with nothing in their place. */
  readonly withdrawn: readonly Reading[];
  /** Taken out by another record, each with that record. */
  readonly replaced: readonly (readonly [old: Reading, by: Reading])[];
  /** Records that meant to replace another and are not worth as much: both stand. */
  readonly tooWeak: readonly Reading[];
}

const remembered = new WeakMap<readonly Reading[], { readonly samples: readonly Sample[]; readonly is: Standing }>();

export function standingOf(s: Recorded): Standing {
  const known = remembered.get(s.readings);
  if (known && known.samples === s.samples) return known.is;
  const byId = new Map(s.readings.map((r) => [r.id, r]));
  const out = new Set<string>();
  const withdrawn: Reading[] = [];
  const tooWeak: Reading[] = [];
  const replaced: [Reading, Reading][] = [];
  for (const by of s.readings) {
    const old = by.supersedesId === null ? undefined : byId.get(by.supersedesId);
    if (!old) continue;
    if (!replaces(by, old, s)) {
      tooWeak.push(by);
      continue;
    }
    out.add(old.id);
    if (by.kind === 'withdrawn') withdrawn.push(old);
    else replaced.push([old, by]);
  }
  const is: Standing = { readings: s.readings.filter((r) => !out.has(r.id) && r.kind !== 'withdrawn'), withdrawn, replaced, tooWeak };
  remembered.set(s.readings, { samples: s.samples, is });
  return is;
}

/** Results that somebody meant to take back with a record of another kind: they stand, but clear nothing any more. */
export const meantBack = (s: Recorded): ReadonlySet<string> =>
  new Set(standingOf(s).tooWeak.flatMap((by) => (by.kind !== 'bulk' && saysSomething(by.supersedesWhy) ? [by.supersedesId!] : [])));

export const standingReadings = (s: Recorded): readonly Reading[] => standingOf(s).readings;
