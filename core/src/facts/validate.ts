/** Checks that need more than one field: shares, units beside values, what a record points at, the clock. */
import type { JobChange } from './envelope';
import {
  childrenOf,
  eachRecord,
  specOf,
  type Entity,
  type JobFacts,
  type Reading,
  type Row,
  type Sample,
  type Square,
  type Stint,
  type Surface,
} from './registry';
import { EDITION_IDS, LAB_UNITS, MOISTURE_UNITS, SOAKS, type ReadingKind, type ReadingUnit } from './vocabulary';
import { clock } from './clock';
import { sameNumber } from './numbers';
import type { Problem } from './problems';

/** What a batch wrote to. Only that, and what points at it, is looked at again. */
export class Touched {
  readonly ids = new Set<string>();
  readonly surfaces = new Set<string>();

  add(c: Pick<JobChange, 'entity' | 'entityId' | 'parent'>): void {
    this.ids.add(c.entityId);
    if (c.entity === 'surface') this.surfaces.add(c.entityId);
    if (c.parent.kind === 'surface') this.surfaces.add(c.parent.id);
  }
}

type Lists = Readonly<Record<string, readonly Row[]>>;

/** Ids that a field names: none, one, or several. */
function namedBy(row: Row, field: string): readonly string[] {
  const value = row[field];
  return Array.isArray(value) ? (value as string[]) : typeof value === 'string' ? [value] : [];
}

const pointsAt = (entity: Entity, row: Row, ids: ReadonlySet<string>): boolean =>
  specOf(entity).refs.some((r) => !r.prefix && namedBy(row, r.field).some((id) => ids.has(id)));

/**
 * What a record names has to be there, in the place where the registry says. A record does not name itself.
 * @param facts null: only what has to stand beside it is looked for
 */
function referenceProblems(facts: JobFacts | null, parent: object, entity: Entity, row: Row, path: string): Problem[] {
  const out: Problem[] = [];
  for (const ref of specOf(entity).refs) {
    if (ref.prefix || (facts === null && ref.where !== 'beside')) continue;
    const named = namedBy(row, ref.field);
    if (named.length === 0) continue;
    const { where } = ref;
    const holder: object | undefined =
      where === 'beside' ? parent : where === 'job' ? facts! : facts!.surfaces.find((s) => s.id === row[where.under]);
    const there = (typeof ref.to === 'string' ? [ref.to] : ref.to).flatMap((to): readonly { readonly id: string }[] =>
      to === 'job' ? (facts === null ? [] : [facts.job]) : ((holder as Lists | undefined)?.[specOf(to as Entity).list!] ?? []),
    );
    for (const id of named)
      if (id === row.id || !there.some((r) => r.id === id))
        out.push({ path: `${path}.${ref.at ?? ref.field}`, message: ref.says(row, id) });
  }
  return out;
}

/** Shares are entered to a whole percent; a thousandth forgives floating addition. */
const SHARE_TOLERANCE_PCT = 0.001;

function yearProblems(year: number | null, path: string, thisYear: number): Problem[] {
  return year !== null && year > thisYear ? [{ path, message: `${year} is in the future: check the year` }] : [];
}

/** The units in which each kind of reading may be written. */
const UNITS_OF: Readonly<Record<ReadingKind, readonly ReadingUnit[]>> = {
  spot: [],
  lab: LAB_UNITS,
  xrf: ['mg/cm2'],
  report: [],
  bulk: ['mass%'],
  moisture: MOISTURE_UNITS,
  air: ['C'],
  surfaceTemp: ['C'],
  crossCut: ['class'],
  knife: ['class'],
  drop: ['s'],
  withdrawn: [],
};
/** Above this a result cannot be what it says: the unit was mixed up. White lead, the heaviest paint, is about 80 % lead. */
const AT_MOST: Readonly<Record<ReadingUnit, readonly [number, string]>> = {
  'mass%': [100, 'more than 100 % by mass: check the unit'],
  ppm: [1_000_000, 'more than 1,000,000 ppm: check the unit'],
  'mg/cm2': [100, 'over 100 mg/cm2 is beyond any paint film: check the unit'],
  '%MC': [200, 'over 200 % in wood: check the reading'],
  '%gypsum': [50, 'over 50 % on the gypsum scale: check the scale'],
  '%rel': [200, 'over 200 on a relative scale: check the scale'],
  '%RH': [100, 'a humidity is at most 100 %'],
  C: [100, 'hotter than boiling: check whether it was read in F'],
  class: [10, 'adhesion classes end at 10: check it'],
  s: [7200, 'over two hours for a drop: check it'],
};

const NEEDS_VALUE: readonly ReadingKind[] = ['moisture', 'surfaceTemp', 'air', 'crossCut', 'knife', 'drop'];

/** A reading must say enough to be read: kind, depth, value with its unit. */
export function readingProblems(r: Reading, surface: Surface, path: string): Problem[] {
  const out: Problem[] = [];
  const add = (field: string, message: string) => out.push({ path: `${path}.${field}`, message });
  if (r.kind === 'spot' && r.spot === null) add('spot', 'say what the swab did: changed, unchanged or unclear');
  if (r.kind !== 'spot' && r.spot !== null) add('spot', 'only a spot test has a swab result');
  if (r.value !== null && r.unit === null) add('unit', 'state the unit: %, ppm or mg/cm2');
  if (r.unit !== null && !UNITS_OF[r.kind].includes(r.unit)) {
    const allowed = UNITS_OF[r.kind];
    add(
      'unit',
      r.kind === 'xrf'
        ? 'an XRF reads mg/cm2'
        : allowed.length === 0
          ? 'this record carries no unit'
          : `is written in ${allowed.join(', ')}`,
    );
  }
  if (r.unit !== null && r.value !== null) {
    const [most, message] = AT_MOST[r.unit];
    if (r.value > most) add('value', message);
    if (r.value < 0 && r.unit !== 'C')
      add('value', r.kind === 'moisture' ? 'a moisture cannot be negative' : 'a result cannot be negative');
  }
  if (NEEDS_VALUE.includes(r.kind) && r.value === null) add('value', 'the reading needs its value');
  if (r.kind === 'crossCut' && r.value !== null && (r.value > 5 || !Number.isInteger(r.value)))
    add('value', 'a cross-cut is a class from 0 to 5');
  if (r.kind === 'knife' && r.value !== null && r.value % 2 !== 0) add('value', 'the knife test knows 0, 2, 4, 6, 8 and 10');
  if (r.kind === 'air' && r.humidityPct === null) add('humidityPct', 'a reading of the air needs its humidity');
  if ((r.kind === 'report') !== (r.finding !== null))
    add('finding', r.kind === 'report' ? 'say what the report determines: lead, or none' : 'only a report determines');
  if (r.kind === 'bulk' && r.sampleId === null) add('sampleId', 'an asbestos result belongs to a sample');
  if (r.kind === 'bulk' && r.value === null && !r.trace) add('value', 'the result needs its %, or "trace"');
  const sample = surface.samples.find((x) => x.id === r.sampleId);
  if (sample && sample.takenAt !== null && Date.parse(r.takenAt) < Date.parse(sample.takenAt))
    add('takenAt', `is dated before sample ${sample.number} was taken`);
  if (sample && r.kind !== 'withdrawn' && (sample.hazard === 'asbestos') !== (r.kind === 'bulk'))
    add('sampleId', `sample ${sample.number} was taken for ${sample.hazard}`);
  if (r.kind === 'xrf') {
    if (r.value === null) add('value', 'an XRF reading needs its value');
    if ((r.bandLow === null) !== (r.bandHigh === null)) add('bandHigh', 'give both ends of the inconclusive range, or neither');
    if (r.bandLow !== null && r.bandHigh !== null && r.bandLow >= r.bandHigh) add('bandHigh', 'the upper end must be above the lower');
  }
  if ((r.kind === 'spot' || (r.kind === 'lab' && r.sampleId === null)) && r.reachedLayerIds.length === 0 && !r.toSubstrate) {
    add('reachedLayerIds', 'say how deep it went: the face, or through all coats');
  }
  if (new Set(r.reachedLayerIds).size !== r.reachedLayerIds.length) add('reachedLayerIds', 'names a coat twice');
  if (r.changedLayerIds.some((id) => !r.reachedLayerIds.includes(id))) add('changedLayerIds', 'a coat changed that the test did not reach');
  if (r.changedLayerIds.length > 0 && r.spot !== 'changed') add('changedLayerIds', 'coats are named as changed, but the swab is not');
  if (r.kind === 'withdrawn' && r.supersedesId === null) add('supersedesId', 'a withdrawal names the reading it withdraws');
  if (r.supersedesId !== null && !r.supersedesWhy?.trim()) add('supersedesWhy', 'say why it replaces the earlier reading');
  return out;
}

function sampleProblems(x: Sample, path: string): Problem[] {
  const out: Problem[] = [];
  const add = (field: string, message: string) => out.push({ path: `${path}.${field}`, message });
  if ((x.hazard === 'asbestos') !== (x.suspect !== null))
    add('suspect', `sample ${x.number}: an asbestos sample says what it was cut from, others do not`);
  if (x.sentAt !== null && x.takenAt === null) add('sentAt', `sample ${x.number} is sent but was not taken`);
  if (x.sentAt !== null && x.takenAt !== null && Date.parse(x.sentAt) < Date.parse(x.takenAt))
    add('sentAt', `sample ${x.number} is sent before it was taken`);
  return out;
}

/** A square's clock runs forwards. */
function squareProblems(q: Square, path: string): Problem[] {
  const out: Problem[] = [];
  const add = (field: string, message: string) => out.push({ path: `${path}.${field}`, message });
  if (q.lifted === 'toCoat' && q.stoppedOnLayerId === null) add('stoppedOnLayerId', 'say on which coat it stopped');
  if (q.stoppedAt !== null && q.startedAt === null) add('stoppedAt', 'the clock was stopped but never started');
  if (q.startedAt !== null && q.stoppedAt !== null && Date.parse(q.stoppedAt) < Date.parse(q.startedAt))
    add('stoppedAt', 'the clock was stopped before it was started');
  if (SOAKS.includes(q.methodId) && q.lifted !== null && q.startedAt === null && q.dwellMin === null)
    add('dwellMin', 'how long did it stand');
  if (q.lifted === 'bare' && q.stayedPct === 100) add('stayedPct', 'all of it stayed, and all of it came off: check');
  return out;
}

/** Nothing was measured in a year that has not begun; the day is held against the clock where it comes in. */
const laterProblems = (takenAt: string, path: string, thisYear: number): Problem[] =>
  Number(takenAt.slice(0, 4)) > thisYear ? [{ path, message: `is dated ${takenAt.slice(0, 10)}, after today: check the date` }] : [];

/** What the fields of one record of a surface do not say together. */
function ownProblems(entity: Entity, row: Row, surface: Surface, path: string, thisYear: number): Problem[] {
  switch (entity) {
    case 'layer':
      return yearProblems(row['yearApplied'] as number | null, `${path}.yearApplied`, thisYear);
    case 'reading':
      return [
        ...readingProblems(row as unknown as Reading, surface, path),
        ...laterProblems(row['takenAt'] as string, `${path}.takenAt`, thisYear),
      ];
    case 'sample':
      return sampleProblems(row as unknown as Sample, path);
    case 'square':
      return squareProblems(row as unknown as Square, path);
    case 'board': {
      const [coats, sound] = [row['coats'], row['soundCoats']] as (number | null)[];
      const over = coats !== null && sound !== null && sound! > coats!;
      return over ? [{ path: `${path}.soundCoats`, message: `piece ${row['label']}: more sound coats than coats` }] : [];
    }
    default:
      return [];
  }
}

const UNDER_SURFACE = childrenOf('surface').map((entity) => ({ entity, list: specOf(entity).list! }));

/**
 * @param facts null: what the surface can tell by itself
 * @param path where the surface stands, for messages
 * @param touched only these records, and what points at them, are looked at; undefined: all
 */
export function surfaceProblems(
  facts: JobFacts | null,
  surface: Surface,
  path: string,
  thisYear: number,
  touched?: ReadonlySet<string>,
): Problem[] {
  const out: Problem[] = [];
  if (touched === undefined || touched.has(surface.id)) {
    out.push(...referenceProblems(facts, surface, 'surface', surface as unknown as Row, path));
    out.push(...yearProblems(surface.yearMade, `${path}.yearMade`, thisYear));
  }
  const parts = surface.parts.filter((p) => p.removedAt === null);
  const sum = parts.reduce((a, p) => a + p.sharePct, 0);
  if (parts.length > 0 && Math.abs(sum - 100) > SHARE_TOLERANCE_PCT) {
    out.push({ path: `${path}.parts`, message: `the shares add to ${Number(sum.toFixed(2))} %, not 100 %` });
  }
  const kinds = parts.map((p) => p.kind);
  if (new Set(kinds).size !== kinds.length)
    out.push({ path: `${path}.parts`, message: 'a kind of part is listed twice: add the shares together' });
  for (const { entity, list } of UNDER_SURFACE) {
    (surface as unknown as Lists)[list]!.forEach((row, i) => {
      if (touched !== undefined && !touched.has(row.id) && !pointsAt(entity, row, touched)) return;
      const at = `${path}.${list}[${i}]`;
      out.push(...referenceProblems(facts, surface, entity, row, at), ...ownProblems(entity, row, surface, at, thisYear));
    });
  }
  return out;
}

/** Two live ones of one number: whoever reads the bag or the tube cannot tell which it is. */
function twiceProblems(rows: readonly Row[], row: Row, path: string, what: string): Problem[] {
  const number = (r: Row) => sameNumber(r['number'] as string);
  const twin = row['removedAt'] === null && rows.some((r) => r.id !== row.id && r['removedAt'] === null && number(r) === number(row));
  return twin ? [{ path: `${path}.number`, message: `there is a ${what} ${String(row['number']).trim()} already` }] : [];
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
/** Nobody works in two zones at once, and a day ends at midnight. */
function stintProblems(all: readonly Stint[], s: Stint, path: string): Problem[] {
  if (s.removedAt !== null) return [];
  const until = (x: Stint): number => x.fromMin + x.hours * 60;
  const out: Problem[] = [];
  if (until(s) > 24 * 60)
    out.push({
      path: `${path}.hours`,
      message: `${s.hours} h from ${clock(s.fromMin)} go past midnight: enter what is left on the next day`,
    });
  const twin = all.find(
    (x) =>
      x.id !== s.id &&
      x.removedAt === null &&
      x.on === s.on &&
      sameName(x.person, s.person) &&
      x.fromMin < until(s) - 1e-9 &&
      s.fromMin < until(x) - 1e-9,
  );
  if (twin)
    out.push({
      path: `${path}.person`,
      message: `${s.person.trim()} is in a zone from ${clock(twin.fromMin)} to ${clock(Math.round(until(twin)))} on ${s.on} already: nobody works in two at once`,
    });
  return out;
}

/** What the fields of a record of the job do not say together, or with the others of its kind. */
function ofJobProblems(entity: Entity, row: Row, facts: JobFacts, path: string, thisYear: number): Problem[] {
  switch (entity) {
    case 'space':
      return yearProblems(row['yearBuilt'] as number | null, `${path}.yearBuilt`, thisYear);
    case 'instrumentCheck':
      return (row['what'] === 'substrate') === (row['material'] !== null)
        ? []
        : [{ path: `${path}.material`, message: 'a substrate check names its bare material; a calibration check does not' }];
    case 'airSample':
      return [
        ...twiceProblems(facts.airSamples as unknown as Row[], row, path, 'sample'),
        ...(row['below'] === true && row['massUg'] === null
          ? [{ path: `${path}.massUg`, message: 'below what: the least that the lab can see, ug' }]
          : []),
      ];
    case 'stint':
      return stintProblems(facts.stints, row as unknown as Stint, path);
    case 'haul':
      return twiceProblems(facts.hauls as unknown as Row[], row, path, 'load');
    case 'bag': {
      const haul = facts.hauls.find((h) => h.id === row['haulId']);
      const late = haul && row['removedAt'] === null && Date.parse(haul.leftAt) < Date.parse(row['filledAt'] as string);
      return [
        ...twiceProblems(facts.bags as unknown as Row[], row, path, 'bag'),
        ...(late ? [{ path: `${path}.haulId`, message: `bag ${row['number']} was filled after load ${haul.number} left` }] : []),
      ];
    }
    default:
      return [];
  }
}

/** @param touched only what a batch wrote to, and what points at it, is looked at; undefined: all */
export function jobProblems(facts: JobFacts, thisYear: number, touched?: Touched): Problem[] {
  const out: Problem[] = [];
  const wanted = (id: string) => touched === undefined || touched.ids.has(id);
  if (wanted(facts.job.id)) {
    const { yearBuilt, edition } = facts.job;
    out.push(...yearProblems(yearBuilt, 'job.yearBuilt', thisYear));
    if (edition !== null && !(EDITION_IDS as readonly string[]).includes(edition))
      out.push({ path: 'job.edition', message: `stands on rules “${edition}”, which this Rough Sill does not know: update it` });
  }
  for (const entity of childrenOf('job')) {
    if (entity === 'surface') continue;
    const list = specOf(entity).list!;
    (facts as unknown as Lists)[list]!.forEach((row, i) => {
      if (!wanted(row.id)) return;
      const at = `${list}[${i}]`;
      out.push(...referenceProblems(facts, facts, entity, row, at), ...ofJobProblems(entity, row, facts, at, thisYear));
    });
  }
  facts.surfaces.forEach((s, i) => {
    if (touched === undefined || touched.surfaces.has(s.id))
      out.push(...surfaceProblems(facts, s, `surfaces[${i}]`, thisYear, touched?.ids));
  });
  return out;
}

/** Ids must be unique over the whole job: a change finds its record by id alone. */
export function duplicateIds(facts: JobFacts): Problem[] {
  const seen = new Map<string, string>();
  const out: Problem[] = [];
  eachRecord(facts, (row, { path }) => {
    const first = seen.get(row.id);
    if (first === undefined) seen.set(row.id, path);
    else out.push({ path: `${path}.id`, message: `is the same id as ${first}` });
  });
  return out;
}
