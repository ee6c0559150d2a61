/** Lab results and instrument readings from a table: columns matched, every row judged, nothing written until the whole is right. */
import type { Hazard, JobFacts, Reading, ReadingKind, ReadingUnit, Sample, Surface } from '../facts';
import { ANALYSES, BLANK_READING, READING_UNITS, type Analysis } from '../facts';
import { readingProblems } from '../facts/validate';
import type { Problem } from '../facts/problems';
import { sameNumber } from '../facts/numbers';
import { standingReadings } from '../probe/standing';
import { isFormula, readDate, readNumber, type ReadDate, type Table } from './table';

export const IMPORT_KINDS = ['lab', 'instrument'] as const;
export type ImportKind = (typeof IMPORT_KINDS)[number];

export const COLUMNS = ['sample', 'surface', 'space', 'value', 'unit', 'analyte', 'analysis', 'date', 'device', 'note'] as const;
export type Column = (typeof COLUMNS)[number];
/** Which of the file's columns holds what; null: not in the file. */
export type Mapping = Readonly<Record<Column, number | null>>;

const LOOKS: Readonly<Record<Column, RegExp>> = {
  sample: /sample|specimen|client ?(id|no)|^id$|field ?(id|no)|bag/i,
  surface: /surface|component|substrate name|item|location/i,
  space: /room|space|side|area$/i,
  value: /result|value|conc|content|reading|pb\b|lead|asbestos|moisture/i,
  unit: /unit/i,
  analyte: /analyte|parameter|element|tested for|compound/i,
  analysis: /analysis|method/i,
  date: /date|time|analy[sz]ed/i,
  device: /instrument|device|serial|meter/i,
  note: /note|comment|remark|type/i,
};

/** A first guess, by the names of the columns; each column is used once. */
export function guessMapping(headers: readonly string[]): Mapping {
  const used = new Set<number>();
  const out = {} as Record<Column, number | null>;
  for (const c of COLUMNS) {
    const at = headers.findIndex((h, i) => !used.has(i) && LOOKS[c].test(h));
    if (at >= 0) used.add(at);
    out[c] = at < 0 ? null : at;
  }
  return out;
}

export const NEEDED: Readonly<Record<ImportKind, readonly Column[]>> = { lab: ['sample', 'value'], instrument: ['surface', 'value'] };

export interface ImportSettings {
  readonly kind: ImportKind;
  readonly mapping: Mapping;
  /** Where a row does not say. */
  readonly unit: ReadingUnit | null;
  /** Where a row does not say. */
  readonly takenAt: string;
  readonly rules: 'us' | 'uk';
  readonly by: string;
  /** Nothing was found later than this. */
  readonly now: string;
  /** Sample numbers or surfaces that were put right, by the line on which they stand. */
  readonly renamed?: Readonly<Record<number, string>>;
  /** Who decides by the instrument, and by which certificate: one person for the whole table. */
  readonly decidedBy?: Reading['decidedBy'];
  readonly certificate?: string;
}

export interface ImportRow {
  readonly line: number;
  readonly label: string;
  readonly surfaceId: string | null;
  readonly reading: Omit<Reading, 'id' | 'by'> | null;
  readonly problems: readonly Problem[];
  /** The same answer stands already: nothing to write. */
  readonly already: boolean;
}

export interface ImportPreview {
  readonly rows: readonly ImportRow[];
  /** Problems of the file as a whole: a needed column is missing. */
  readonly problems: readonly Problem[];
  readonly ready: number;
  readonly wrong: number;
  readonly already: number;
}

const UNIT_WORDS: readonly (readonly [RegExp, ReadingUnit])[] = [
  [/^(wt\.?%|w\/w|%|mass ?%|percent|% ?by (mass|weight))$/i, 'mass%'],
  [/^(ppm|mg\/kg|ug\/g|µg\/g)$/i, 'ppm'],
  [/^mg\/(cm2|cm²|cm\^2|sq ?cm)$/i, 'mg/cm2'],
  [/^(%mc|% ?moisture|mc)$/i, '%MC'],
  [/^(%rh|rh)$/i, '%RH'],
  [/^(rel|relative|digits)$/i, '%rel'],
  [/^(gypsum|%gypsum)$/i, '%gypsum'],
  [/^(c|°c)$/i, 'C'],
];
const unitOf = (cell: string): ReadingUnit | null =>
  UNIT_WORDS.find(([looks]) => looks.test(cell.trim()))?.[1] ??
  READING_UNITS.find((u) => u.toLowerCase() === cell.trim().toLowerCase()) ??
  null;
const analysisOf = (cell: string): Analysis | null =>
  /point/i.test(cell)
    ? 'pointCount'
    : /tem|electron/i.test(cell)
      ? 'tem'
      : /plm|polar/i.test(cell)
        ? 'plm'
        : (ANALYSES.find((a) => a === cell) ?? null);

/** What the lab says it looked for. */
const ANALYTES: readonly (readonly [RegExp, Hazard])[] = [
  [/\b(pb|lead|7439-92-1)\b/i, 'lead'],
  [/asbestos|chrysotile|amosite|crocidolite|tremolite|fib(er|re)/i, 'asbestos'],
  [/mou?ld|fung|spore/i, 'mold'],
];
/** Above this no lab reports lead in a paint as a matter of course, by mass in %: it is asked about. Common practice. */
const USUAL_LEAD_PCT = 30;
const pctOf = (value: number, unit: ReadingUnit | null): number => (unit === 'ppm' ? value / 10_000 : unit === 'mass%' ? value : 0);

interface Places {
  readonly samples: ReadonlyMap<string, readonly { readonly surface: Surface; readonly sample: Sample }[]>;
  readonly surfaces: ReadonlyMap<string, readonly Surface[]>;
}
const plain = (t: string) => t.trim().toLowerCase().replace(/\s+/g, ' ');

function placesOf(facts: JobFacts): Places {
  const samples = new Map<string, { surface: Surface; sample: Sample }[]>();
  const surfaces = new Map<string, Surface[]>();
  const put = <V>(m: Map<string, V[]>, k: string, v: V) => {
    const list = m.get(k);
    if (list) list.push(v);
    else m.set(k, [v]);
  };
  const spaces = new Map(facts.spaces.map((s) => [s.id, s.name]));
  for (const surface of facts.surfaces) {
    for (const sample of surface.samples) if (sample.removedAt === null) put(samples, sameNumber(sample.number), { surface, sample });
    if (surface.removedAt !== null) continue;
    put(surfaces, plain(surface.name), surface);
    put(surfaces, `${plain(spaces.get(surface.spaceId) ?? '')}/${plain(surface.name)}`, surface);
  }
  return { samples, surfaces };
}

/** A day without its hour may seem to lie before the hour at which the sample was cut on that very day. */
const notBefore = (d: ReadDate, sample: Sample | undefined): string => {
  const early = sample?.takenAt ? Date.parse(sample.takenAt) - Date.parse(d.at) : 0;
  return sample?.takenAt && early > 0 && early < d.withinMs ? sample.takenAt : d.at;
};

/** The kind of reading that a unit on an instrument's list means. */
const kindByUnit = (unit: ReadingUnit | null): ReadingKind =>
  unit === 'C' ? 'surfaceTemp' : unit === 'mg/cm2' || unit === null ? 'xrf' : 'moisture';

/**
 * Judges every row against the job. Nothing is written: the caller commits `ready` rows in one batch, or none.
 * @returns rows in the file's order, each with its draft or its problems
 */
export function previewImport(table: Table, facts: JobFacts, s: ImportSettings): ImportPreview {
  const missing = NEEDED[s.kind].filter((c) => s.mapping[c] === null);
  if (missing.length > 0) {
    const names: Record<string, string> = { sample: 'the sample number', value: 'the result', surface: 'the surface' };
    return {
      rows: [],
      problems: missing.map((c) => ({ path: c, message: `say which column holds ${names[c] ?? c}` })),
      ready: 0,
      wrong: 0,
      already: 0,
    };
  }
  const places = placesOf(facts);
  const seen = new Map<string, number>();
  const rows = table.rows.map(({ line, cells }): ImportRow => {
    const problems: Problem[] = [];
    const bad = (message: string) => void problems.push({ path: `line ${line}`, message });
    const cell = (c: Column): string => (s.mapping[c] === null ? '' : (cells[s.mapping[c]!] ?? ''));
    const label = s.renamed?.[line] ?? cell(s.kind === 'lab' ? 'sample' : 'surface');
    if (cells.length !== table.headers.length) bad(`has ${cells.length} cells where the first line has ${table.headers.length}`);
    for (const c of COLUMNS) if (isFormula(cell(c)) && c !== 'note') bad(`${c} begins like a spreadsheet formula: ${cell(c).slice(0, 20)}`);
    const number = readNumber(cell('value'));
    if (cell('value') === '') bad('has no result');
    else if (!number) bad(`"${cell('value').slice(0, 20)}" is not a result`);
    const unit = cell('unit') === '' ? s.unit : unitOf(cell('unit'));
    if (cell('unit') !== '' && unit === null) bad(`"${cell('unit')}" is not a unit that is known here`);
    const dated = cell('date') === '' ? { at: s.takenAt, withinMs: 0 } : readDate(cell('date'), s.rules);
    if (dated === null) bad(`"${cell('date')}" is not a date`);
    else if (dated.at > s.now) bad(`is dated in the future: ${cell('date')}`);

    let surface: Surface | undefined;
    let sample: Sample | undefined;
    if (s.kind === 'lab') {
      const hits = places.samples.get(sameNumber(label)) ?? [];
      if (label === '') bad('has no sample number');
      else if (hits.length === 0) bad(`sample ${label} is not on this job`);
      else if (hits.length > 1) bad(`sample ${label} is on this job twice: renumber one first`);
      else ({ surface, sample } = hits[0]!);
      const before = seen.get(sameNumber(label));
      if (label !== '' && before !== undefined) bad(`sample ${label} stands on line ${before} already`);
      seen.set(sameNumber(label), before ?? line);
      if (sample && sample.takenAt === null) bad(`sample ${label} is planned, but was not taken`);
      const looked = ANALYTES.filter(([looks]) => looks.test(cell('analyte'))).map(([, hazard]) => hazard);
      if (sample && looked.length > 0 && !looked.includes(sample.hazard))
        bad(`the lab looked for ${looked.join(' and ')}, and sample ${label} was taken for ${sample.hazard}`);
      if (number && sample?.hazard === 'lead' && pctOf(number.value, unit) > USUAL_LEAD_PCT && pctOf(number.value, unit) <= 100)
        bad(`${cell('value')} is more lead than paint holds (${USUAL_LEAD_PCT} %): check the unit, and enter it by hand if it is right`);
    } else {
      const wide = cell('space') === '' ? [] : (places.surfaces.get(`${plain(cell('space'))}/${plain(label)}`) ?? []);
      const hits = wide.length > 0 ? wide : (places.surfaces.get(plain(label)) ?? []);
      if (hits.length === 0) bad(`there is no surface "${label}" on this job`);
      else if (hits.length > 1) bad(`"${label}" is more than one surface: add a column with the room`);
      else surface = hits[0];
    }
    if (problems.length > 0 || !surface || !number || dated === null)
      return { line, label, surfaceId: surface?.id ?? null, reading: null, problems, already: false };

    const kind: ReadingKind = s.kind === 'instrument' ? kindByUnit(unit) : sample?.hazard === 'asbestos' ? 'bulk' : 'lab';
    const reading: Omit<Reading, 'id' | 'by'> = {
      ...BLANK_READING,
      kind,
      takenAt: notBefore(dated, sample),
      value: number.trace ? null : (number.under ?? number.value),
      below: number.under !== null,
      unit: number.trace ? null : (unit ?? (kind === 'bulk' ? 'mass%' : kind === 'xrf' ? 'mg/cm2' : null)),
      trace: number.trace,
      analysis: kind === 'bulk' ? analysisOf(cell('analysis')) : null,
      toSubstrate: kind === 'xrf',
      device: s.kind === 'instrument' ? cell('device') : '',
      decidedBy: kind === 'xrf' ? (s.decidedBy ?? 'unsaid') : 'unsaid',
      certificate: kind === 'xrf' ? (s.certificate ?? '').trim().slice(0, 80) : '',
      sampleId: sample?.id ?? null,
      note: cell('note')
        .replace(/^[=@+-]+/, '')
        .slice(0, 500),
    };
    const standing = sample ? standingReadings(surface).filter((r) => r.sampleId === sample.id) : [];
    const already = standing.some(
      (r) => r.value === reading.value && r.below === reading.below && r.unit === reading.unit && r.trace === reading.trace,
    );
    problems.push(
      ...readingProblems({ ...reading, id: 'import-row', by: s.by }, surface, '').map((p) => ({
        path: `line ${line}`,
        message: p.message,
      })),
    );
    if (!already && standing.length > 0)
      problems.push({
        path: `line ${line}`,
        message: `sample ${label} is answered with another result: withdraw that one first, and say why`,
      });
    return { line, label, surfaceId: surface.id, reading: problems.length > 0 ? null : reading, problems, already };
  });
  const count = (want: (r: ImportRow) => boolean) => rows.filter(want).length;
  return {
    rows,
    problems: [],
    ready: count((r) => r.problems.length === 0 && !r.already),
    wrong: count((r) => r.problems.length > 0),
    already: count((r) => r.already && r.problems.length === 0),
  };
}
