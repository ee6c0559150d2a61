/**
 * What the recorded facts prove, judged by itself: nothing here comes from the stages that it judges. Limits are written down again from
 * their sources. It answers one question per coat and hazard: may this be called "not found", and if not, why not.
 */
import type { JobFacts, Layer, Reading, Sample, Surface } from '../../../../core/src/facts';

type Rules = 'us' | 'uk';

/** 24 CFR 35.110: at or above 1.0 mg/cm2, 0.5 % or 5,000 ppm. */
const LEAD_PAINT: Readonly<Record<string, number>> = { 'mg/cm2': 1.0, 'mass%': 0.5, ppm: 5000 };
/** No figure in law: 600 ppm of the film is common practice, no published source; by area there is none, and any reading counts. */
const UK_THRESHOLD: Readonly<Record<string, number>> = { 'mg/cm2': 0, 'mass%': 0.06, ppm: 600 };
/** 40 CFR 745: housing before 1978. UK: general sale ended in 1992 (SI 1992/31). Industrial coatings on iron and steel: into the 1990s. */
const CONSUMER_LEAD_BEFORE: Readonly<Record<Rules, number>> = { us: 1978, uk: 1992 };
const INDUSTRIAL_LEAD_BEFORE = 2000;
const FERROUS = ['mildSteel', 'castIron', 'galvanised'];
/** EPA recognition notices: wood, ferrous metal, drywall and plaster. */
const KIT_MATERIALS = ['softwood', 'tanninWood', 'oilyWood', 'plywood', 'mildSteel', 'castIron', 'limePlaster', 'gypsumPlaster', 'board'];
const FOUR_HOURS = 4 * 3_600_000;

const saysSomething = (text: string | null): boolean => (text ?? '').replace(/[^\p{L}]/gu, '').length >= 3;

export const isLead = (r: Reading): boolean => ['spot', 'lab', 'xrf', 'report'].includes(r.kind);
export const isWaiting = (r: Reading): boolean => r.kind === 'lab' && r.value === null;
const RANK: Readonly<Record<string, number>> = { spot: 1, xrf: 2, report: 3, lab: 3 };

/** The reach of a reading: its own, or its sample's where it states none. */
export function reachOf(r: Reading, s: Surface): { readonly ids: readonly string[]; readonly below: boolean } {
  // A signed report speaks of the component, which is all of its coats.
  if (r.kind === 'report') return { ids: [], below: true };
  const sample = s.samples.find((x) => x.id === r.sampleId);
  const own = r.reachedLayerIds.length > 0 || r.toSubstrate;
  return own || !sample ? { ids: r.reachedLayerIds, below: r.toSubstrate } : { ids: sample.reachedLayerIds, below: sample.toSubstrate };
}

/** What the bare material adds to an instrument's reading, by its last check on that material. HUD Guidelines ch. 7. */
function bareAdds(r: Reading, s: Surface, facts: JobFacts): number {
  const checks = facts.instrumentChecks.filter((k) => k.device === r.device && k.what === 'substrate' && k.material === s.material);
  const last = [...checks].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1)).at(-1);
  return last ? last.values.reduce((a, b) => a + b, 0) / last.values.length - last.filmMgCm2 : 0;
}

export function isPositive(r: Reading, s: Surface, facts: JobFacts): boolean {
  const rules = facts.job.rulebook;
  if (r.kind === 'spot') return r.spot === 'changed';
  if (r.finding === 'lead') return true;
  if (!['lab', 'xrf'].includes(r.kind) || r.value === null || r.unit === null) return false;
  // Less than so much is no find.
  if (r.below) return false;
  // A number that no lab reports in that unit convicts nobody and clears nobody.
  if (r.unit === 'ppm' && r.value > 0 && r.value < 10) return false;
  // Inside the instrument's inconclusive range it says neither.
  const value = r.kind === 'xrf' ? r.value - bareAdds(r, s, facts) : r.value;
  if (r.kind === 'xrf' && r.bandLow !== null && r.bandHigh !== null && value >= r.bandLow && value <= r.bandHigh) return false;
  return rules === 'us' ? value >= LEAD_PAINT[r.unit]! : value > 0 && value >= UK_THRESHOLD[r.unit]!;
}

/**
 * What stands. A record takes another out when it is later, at least as decisive, as deep, at the same place and says why; a positive
 * that somebody only withdrew leaves doubt behind (see `doubted`).
 */
export function standing(s: Surface, facts: JobFacts): { readonly stands: readonly Reading[]; readonly doubted: readonly Reading[] } {
  const byId = new Map(s.readings.map((r) => [r.id, r]));
  const out = new Set<string>();
  const doubted: Reading[] = [];
  const takesOut = (by: Reading, old: Reading): boolean => {
    if (by.takenAt < old.takenAt || !saysSomething(by.supersedesWhy) || by.id === old.id) return false;
    if (by.supersedesId === old.id && old.supersedesId === by.id) return false;
    if (!isLead(old)) return true;
    if (by.kind === 'withdrawn') return true;
    if (!isLead(by) || isWaiting(by) || RANK[by.kind]! < RANK[old.kind]!) return false;
    const [a, b] = [reachOf(by, s), reachOf(old, s)];
    const unknownReach = b.ids.length === 0 && !b.below;
    const whole = by.kind === 'xrf' || by.kind === 'report';
    const deep = whole || (unknownReach ? a.below : b.ids.every((id) => a.ids.includes(id)) && (!b.below || a.below));
    const apart =
      by.atX !== null && old.atX !== null && (Math.abs(by.atX - old.atX) > 0.2 || Math.abs((by.atY ?? 0) - (old.atY ?? 0)) > 0.2);
    return deep && !apart;
  };
  for (const by of s.readings) {
    const old = by.supersedesId === null ? undefined : byId.get(by.supersedesId);
    if (!old || !takesOut(by, old)) continue;
    out.add(old.id);
    if (!isPositive(old, s, facts) && !isWaiting(old)) continue;
    // Taken back, or answered by what neither finds nor clears: the doubt stays.
    if (by.kind === 'withdrawn' || (isPositive(old, s, facts) && !isPositive(by, s, facts) && !clears(by, s, facts))) doubted.push(old);
  }
  return { stands: s.readings.filter((r) => !out.has(r.id) && r.kind !== 'withdrawn'), doubted };
}

/** Does this reading clear what it reached? E5. */
export function clears(r: Reading, s: Surface, facts: JobFacts): boolean {
  const rules = facts.job.rulebook;
  const sample = s.samples.find((x) => x.id === r.sampleId);
  if (sample && sample.kind === 'blank') return false;
  if (r.kind === 'spot')
    return rules === 'us' && r.spot === 'unchanged' && r.kitRecognised && KIT_MATERIALS.includes(s.material) && r.control === 'worked';
  if (isPositive(r, s, facts)) return false;
  if (r.kind === 'lab') {
    if (r.value === null || r.unit === null || (r.unit === 'ppm' && r.value > 0 && r.value < 10)) return false;
    // Less than so much clears where so much would; by area under UK rules, only what was looked for finely enough (practice).
    if (r.below) return r.value <= (rules === 'us' ? LEAD_PAINT : { ...UK_THRESHOLD, 'mg/cm2': 0.02 })[r.unit as 'ppm']!;
    return true;
  }
  if (r.kind === 'report')
    return (
      r.finding === 'noLead' && rules === 'us' && r.decidedBy === 'inspector' && r.certificate.trim().length >= 3 && r.file.trim() !== ''
    );
  if (r.kind !== 'xrf' || rules === 'uk' || r.value === null || r.device === '') return false;
  if (r.decidedBy !== 'inspector' || r.certificate.trim().length < 3) return false;
  const value = r.value - bareAdds(r, s, facts);
  if (r.bandLow !== null && r.bandHigh !== null && value >= r.bandLow && value <= r.bandHigh) return false;
  const checks = facts.instrumentChecks
    .filter((k) => k.device === r.device && k.what === 'calibration')
    .map((k) => ({
      at: Date.parse(k.takenAt),
      holds: Math.abs(k.values.reduce((a, b) => a + b, 0) / k.values.length - k.filmMgCm2) <= k.tolerance + 1e-9,
    }))
    .sort((a, b) => a.at - b.at);
  const t = Date.parse(r.takenAt);
  const before = checks.filter((k) => k.at <= t).at(-1);
  const after = checks.find((k) => k.at > t);
  return before?.holds === true && t - before.at <= FOUR_HOURS && after?.holds === true;
}

const live = <T extends { readonly removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);

/** Lead that was ever found in a place, and is not there any more as a record of a live surface. */
function foundBefore(s: Surface, facts: JobFacts): boolean {
  const convicts = (x: Surface) => {
    const { stands, doubted } = standing(x, facts);
    // What a blank said speaks of the bag.
    const blank = (r: Reading) => x.samples.find((m) => m.id === r.sampleId)?.kind === 'blank';
    return doubted.some((r) => !blank(r)) || stands.some((r) => isLead(r) && !blank(r) && isPositive(r, x, facts));
  };
  const room = facts.spaces.find((x) => x.id === s.spaceId);
  const sameRoom = (x: Surface) => x.spaceId === s.spaceId || facts.spaces.find((p) => p.id === x.spaceId)?.removedAt !== null;
  return room !== undefined && facts.surfaces.some((x) => x.id !== s.id && sameRoom(x) && convicts(x));
}

/** The piece was replaced, or its coats were stripped with proof: said, and with what. */
const pastEnded = (s: Surface): boolean => {
  return (s.past === 'replaced' || s.past === 'stripped') && saysSomething(s.pastWhy);
};

function tooYoung(s: Surface, layer: Layer | null, facts: JobFacts): boolean {
  const rules = facts.job.rulebook;
  const before = Math.max(CONSUMER_LEAD_BEFORE[rules], FERROUS.includes(s.material) ? INDUSTRIAL_LEAD_BEFORE : 0);
  if (layer?.yearApplied !== null && layer?.yearApplied !== undefined && layer.yearApplied >= before) return true;
  const built = s.yearMade ?? facts.spaces.find((x) => x.id === s.spaceId)?.yearBuilt ?? facts.job.yearBuilt;
  return built !== null && built >= before;
}

export interface MayClear {
  readonly coatId: string;
  /** Why it may not be called "not found"; null: it may. */
  readonly not: 'positive' | 'reachUnknown' | 'waiting' | 'doubted' | 'before' | 'unmeasured' | null;
}

/**
 * For each live coat (and `uncounted`): may it be called free of lead?
 * E1 readings outrank ages; E2 the strictest standing one; E3 reach unknown is every coat; E4 the place remembers; E5 what clears.
 */
export function leadMayBeCleared(s: Surface, facts: JobFacts): MayClear[] {
  const coats: (Layer | null)[] = live(s.layers).sort((a, b) => a.position - b.position);
  if (!s.coatsCounted) coats.push(null);
  const { stands, doubted } = standing(s, facts);
  const lead = stands.filter((r) => isLead(r) && s.samples.find((x) => x.id === r.sampleId)?.kind !== 'blank');
  const positives = lead.filter((r) => isPositive(r, s, facts));
  const answered = new Set(lead.map((r) => r.sampleId));
  const out: Pick<Sample, 'reachedLayerIds' | 'toSubstrate'>[] = [
    ...lead.filter(isWaiting).map((r) => {
      const reach = reachOf(r, s);
      return { reachedLayerIds: [...reach.ids], toSubstrate: reach.below };
    }),
    ...live(s.samples).filter((x) => x.hazard === 'lead' && x.takenAt !== null && x.kind !== 'blank' && !answered.has(x.id)),
  ];
  const named = (r: Reading): readonly string[] =>
    r.changedLayerIds.length > 0 ? r.changedLayerIds : reachOf(r, s).ids.length === 1 && !reachOf(r, s).below ? reachOf(r, s).ids : [];
  const isNamedSomewhere = positives.some((r) => named(r).length > 0);
  const gone = new Set(s.layers.filter((l) => l.removedAt !== null).map((l) => l.id));
  const reaches = (x: { readonly ids: readonly string[]; readonly below: boolean }, id: string | null) => {
    const unknown = x.ids.length === 0 && !x.below;
    return unknown || (id === null ? x.below : x.ids.includes(id)) || (x.below && x.ids.length === 0);
  };
  // A doubt is only answered by what came after it.
  const doubts = [...doubted, ...positives.filter((r) => reachOf(r, s).ids.some((id) => gone.has(id)))].map((r) => r.takenAt);
  const later = (r: Reading) => pastEnded(s) || doubts.every((t) => r.takenAt > t);
  return coats.map((coat): MayClear => {
    const coatId = coat?.id ?? 'uncounted';
    const not = (why: MayClear['not']): MayClear => ({ coatId, not: why });
    const acquit = lead.filter((r) => later(r) && clears(r, s, facts) && (r.kind === 'xrf' || reaches(reachOf(r, s), coat?.id ?? null)));
    for (const r of positives) {
      const reach = reachOf(r, s);
      const names = named(r);
      if (names.length > 0) {
        if (coat !== null && names.includes(coat.id)) return not('positive');
        continue;
      }
      const unknown = reach.ids.length === 0 && !reach.below && r.kind !== 'xrf';
      const hit = r.kind === 'xrf' || reaches(reach, coat?.id ?? null);
      if (!hit) continue;
      // Another test that names the coat explains this one, for a coat that was cleared by itself.
      if (isNamedSomewhere && acquit.length > 0) continue;
      return not(unknown ? 'reachUnknown' : 'positive');
    }
    if (out.some((x) => reaches({ ids: x.reachedLayerIds, below: x.toSubstrate }, coat?.id ?? null))) return not('waiting');
    if (acquit.length > 0) return not(null);
    if (doubted.length > 0 && !pastEnded(s)) return not('doubted');
    const lostHere = positives.some((r) => reachOf(r, s).ids.some((id) => gone.has(id)));
    if (!pastEnded(s) && (lostHere || foundBefore(s, facts))) return not('before');
    if (positives.length > 0 && !(coat !== null && tooYoung({ ...s, yearMade: 1500 }, coat, facts))) return not('positive');
    return tooYoung(s, coat, facts) ? not(null) : not('unmeasured');
  });
}

/**
 * Lead that was seen on a coat without being called found: by a lab or an instrument as a number above none, or by a test that only tells
 * lead paint from what is none. 16 CFR 1303.1: 90 ppm is the line between a trace and more; a lab that reports from 100 ppm has looked.
 */
export function lowOn(s: Surface, coatId: string, facts: JobFacts): 'none' | 'trace' | 'below' {
  const ppm = (r: Reading): number | null => (r.unit === 'ppm' ? r.value : r.unit === 'mass%' ? r.value! * 10_000 : null);
  // A kit, a determination and "less than so much" leave it open; a lab that gave a number, or none, has answered.
  const says = (r: Reading): 'none' | 'trace' | 'below' | 'open' => {
    if (r.kind === 'spot' || r.kind === 'report') return clears(r, s, facts) ? 'open' : 'none';
    if (r.value === null || r.unit === null || isPositive(r, s, facts)) return 'none';
    const finest = { ppm: 100, 'mass%': 0.01, 'mg/cm2': 0.02 }[r.unit as 'ppm'];
    if (r.kind === 'lab' && (r.below ? r.value <= finest : r.value === 0)) return 'none';
    const by = ppm(r);
    return r.below ? 'open' : by !== null && by < 90 ? 'trace' : 'below';
  };
  const reached = (r: Reading): boolean => {
    if (r.kind === 'xrf' || r.kind === 'report') return true;
    const { ids, below } = reachOf(r, s);
    if (ids.length === 0) return true;
    return coatId === 'uncounted' ? below : ids.includes(coatId);
  };
  const all = standing(s, facts).stands.filter(
    (r) => isLead(r) && s.samples.find((x) => x.id === r.sampleId)?.kind !== 'blank' && reached(r),
  );
  const answered = all.some((r) => r.kind === 'lab' && clears(r, s, facts) && says(r) !== 'open');
  const seen = all.map(says).map((x) => (x === 'open' ? (answered ? 'none' : 'below') : x));
  return seen.includes('below') ? 'below' : seen.includes('trace') ? 'trace' : 'none';
}
