/** Checks that need more than one field: shares, units beside values, what a record points at, the clock. */
import type { JobFacts, Reading, Surface } from './schema';
import type { Problem } from './problems';

/** Shares are entered to a whole percent; a thousandth forgives floating addition. */
const SHARE_TOLERANCE_PCT = 0.001;

function yearProblems(year: number | null, path: string, thisYear: number): Problem[] {
  return year !== null && year > thisYear ? [{ path, message: `${year} is in the future: check the year` }] : [];
}

/** A reading must say enough to be read: kind, depth, value with its unit. */
export function readingProblems(r: Reading, surface: Surface, path: string): Problem[] {
  const out: Problem[] = [];
  const add = (field: string, message: string) => out.push({ path: `${path}.${field}`, message });
  const layers = new Set(surface.layers.map((l) => l.id));
  if (r.kind === 'spot' && r.spot === null) add('spot', 'say what the swab did: changed, unchanged or unclear');
  if (r.kind !== 'spot' && r.spot !== null) add('spot', 'only a spot test has a swab result');
  if (r.value !== null && r.unit === null) add('unit', 'state the unit: %, ppm or mg/cm2');
  if (r.unit === 'mass%' && r.value !== null && r.value > 100) add('value', 'more than 100 % by mass: check the unit');
  if (r.unit === 'ppm' && r.value !== null && r.value > 1_000_000) add('value', 'more than 1,000,000 ppm: check the unit');
  if (r.unit === 'mg/cm2' && r.value !== null && r.value > 100) add('value', 'over 100 mg/cm2 is beyond any paint film: check the unit');
  if (r.kind === 'xrf') {
    if (r.value === null) add('value', 'an XRF reading needs its value');
    if (r.unit !== null && r.unit !== 'mg/cm2') add('unit', 'an XRF reads mg/cm2');
    if ((r.bandLow === null) !== (r.bandHigh === null)) add('bandHigh', 'give both ends of the inconclusive range, or neither');
    if (r.bandLow !== null && r.bandHigh !== null && r.bandLow >= r.bandHigh) add('bandHigh', 'the upper end must be above the lower');
  }
  if ((r.kind === 'spot' || r.kind === 'lab') && r.reachedLayerIds.length === 0 && !r.toSubstrate) {
    add('reachedLayerIds', 'say how deep it went: the face, or through all coats');
  }
  for (const id of [...r.reachedLayerIds, ...r.changedLayerIds]) {
    if (!layers.has(id)) add('reachedLayerIds', `names a coat that is not on this surface: ${id}`);
  }
  if (new Set(r.reachedLayerIds).size !== r.reachedLayerIds.length) add('reachedLayerIds', 'names a coat twice');
  if (r.changedLayerIds.some((id) => !r.reachedLayerIds.includes(id))) add('changedLayerIds', 'a coat changed that the test did not reach');
  if (r.changedLayerIds.length > 0 && r.spot !== 'changed') add('changedLayerIds', 'coats are named as changed, but the swab is not');
  if (r.kind === 'withdrawn' && r.supersedesId === null) add('supersedesId', 'a withdrawal names the reading it withdraws');
  if (r.supersedesId !== null) {
    if (r.supersedesId === r.id || !surface.readings.some((o) => o.id === r.supersedesId))
      add('supersedesId', 'the reading it replaces is not on this surface');
    if (!r.supersedesWhy?.trim()) add('supersedesWhy', 'say why it replaces the earlier reading');
  }
  return out;
}

/** @param path where the surface stands, for messages */
export function surfaceProblems(facts: JobFacts, surface: Surface, path: string, thisYear: number): Problem[] {
  const out: Problem[] = [];
  if (!facts.spaces.some((s) => s.id === surface.spaceId))
    out.push({ path: `${path}.spaceId`, message: 'the room or elevation it stands in is not on this job' });
  const parts = surface.parts.filter((p) => p.removedAt === null);
  const sum = parts.reduce((a, p) => a + p.sharePct, 0);
  if (parts.length > 0 && Math.abs(sum - 100) > SHARE_TOLERANCE_PCT) {
    out.push({ path: `${path}.parts`, message: `the shares add to ${Number(sum.toFixed(2))} %, not 100 %` });
  }
  const kinds = parts.map((p) => p.kind);
  if (new Set(kinds).size !== kinds.length)
    out.push({ path: `${path}.parts`, message: 'a kind of part is listed twice: add the shares together' });
  out.push(...yearProblems(surface.yearMade, `${path}.yearMade`, thisYear));
  surface.layers.forEach((l, i) => out.push(...yearProblems(l.yearApplied, `${path}.layers[${i}].yearApplied`, thisYear)));
  surface.readings.forEach((r, i) => out.push(...readingProblems(r, surface, `${path}.readings[${i}]`)));
  surface.checks.forEach((c, i) => {
    if (c.supersedesId !== null && (c.supersedesId === c.id || !surface.checks.some((o) => o.id === c.supersedesId))) {
      out.push({ path: `${path}.checks[${i}].supersedesId`, message: 'the check it replaces is not on this surface' });
    }
  });
  return out;
}

/** @param touched only these surfaces are looked at; undefined: all */
export function jobProblems(facts: JobFacts, thisYear: number, touched?: ReadonlySet<string>): Problem[] {
  const out: Problem[] = [...yearProblems(facts.job.yearBuilt, 'job.yearBuilt', thisYear)];
  facts.spaces.forEach((s, i) => out.push(...yearProblems(s.yearBuilt, `spaces[${i}].yearBuilt`, thisYear)));
  facts.surfaces.forEach((s, i) => {
    if (touched === undefined || touched.has(s.id)) out.push(...surfaceProblems(facts, s, `surfaces[${i}]`, thisYear));
  });
  return out;
}

/** Ids must be unique over the whole job: a change finds its record by id alone. */
export function duplicateIds(facts: JobFacts): Problem[] {
  const seen = new Map<string, string>();
  const out: Problem[] = [];
  const see = (id: string, path: string) => {
    const first = seen.get(id);
    if (first === undefined) seen.set(id, path);
    else out.push({ path: `${path}.id`, message: `is the same id as ${first}` });
  };
  see(facts.job.id, 'job');
  facts.spaces.forEach((s, i) => see(s.id, `spaces[${i}]`));
  facts.surfaces.forEach((s, i) => {
    see(s.id, `surfaces[${i}]`);
    for (const list of ['parts', 'layers', 'readings', 'checks'] as const) {
      s[list].forEach((c, j) => see(c.id, `surfaces[${i}].${list}[${j}]`));
    }
  });
  return out;
}
