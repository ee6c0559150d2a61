/** A table from a lab, an instrument or a spreadsheet: any of the usual encodings, separators and number styles. */
import Papa from 'papaparse';
import { ok, wrong, type Outcome } from '../facts/problems';

export interface Table {
  readonly headers: readonly string[];
  /** Cells by row, with the line of the file that each row stands on. */
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
  readonly separator: string;
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252';
}

const MAX_ROWS = 20_000;
/** A name longer than this names nothing; what looks for words in it would look for ever. */
const LONGEST_HEADER = 200;
/** A table's days lie between these; a clock that was never set stands before them. */
const FIRST_YEAR = 1900;
const LAST_YEAR = 2199;

/** Windows-1252 is Latin-1 but for these places. */
const CP1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008DŽ\u008F\u0090‘’“”•–—˜™š›œ\u009DžŸ';

/** Reads bytes as UTF-8; null when they are not. */
function utf8(bytes: Uint8Array): string | null {
  let out = '';
  for (let i = bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? 3 : 0; i < bytes.length;) {
    const b = bytes[i]!;
    const n = b < 0x80 ? 0 : b >= 0xc2 && b < 0xe0 ? 1 : b >= 0xe0 && b < 0xf0 ? 2 : b >= 0xf0 && b < 0xf5 ? 3 : -1;
    if (n < 0 || i + n >= bytes.length + (n === 0 ? 1 : 0)) return null;
    let code = n === 0 ? b : b & (0x3f >> n);
    for (let k = 1; k <= n; k += 1) {
      const next = bytes[i + k]!;
      if ((next & 0xc0) !== 0x80) return null;
      code = (code << 6) | (next & 0x3f);
    }
    out += String.fromCodePoint(code);
    i += n + 1;
  }
  return out;
}

function utf16(bytes: Uint8Array, little: boolean): string {
  let out = '';
  for (let i = 2; i + 1 < bytes.length; i += 2)
    out += String.fromCharCode(little ? bytes[i]! | (bytes[i + 1]! << 8) : (bytes[i]! << 8) | bytes[i + 1]!);
  return out;
}

const cp1252 = (bytes: Uint8Array): string =>
  Array.from(bytes, (b) => (b >= 0x80 && b < 0xa0 ? CP1252[b - 0x80]! : String.fromCharCode(b))).join('');

/** Bytes to text, by byte-order mark, else UTF-8 when it is, else Windows-1252. */
export function decode(bytes: Uint8Array): { readonly text: string; readonly encoding: Table['encoding'] } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: utf16(bytes, true), encoding: 'UTF-16' };
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return { text: utf16(bytes, false), encoding: 'UTF-16' };
  const text = utf8(bytes);
  return text === null ? { text: cp1252(bytes), encoding: 'Windows-1252' } : { text, encoding: 'UTF-8' };
}

/** Splits a file into headers and rows; comma, semicolon, tab or bar, whichever the file uses. */
export function readTable(bytes: Uint8Array): Outcome<Table> {
  const { text, encoding } = decode(bytes);
  if (text.includes('\u0000')) return wrong({ path: '(file)', message: 'is not a text table: export it as CSV first' });
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimitersToGuess: [',', ';', '\t', '|'] });
  const quote = parsed.errors.find((e) => e.type === 'Quotes');
  if (quote) return wrong({ path: `line ${(quote.row ?? 0) + 1}`, message: 'a quotation mark is not closed' });
  const [first, ...rest] = parsed.data;
  if (!first || first.length < 2) return wrong({ path: '(file)', message: 'holds no table: the first line must name its columns' });
  const long = first.findIndex((h) => h.length > LONGEST_HEADER);
  if (long >= 0) return wrong({ path: 'line 1', message: `the name of column ${long + 1} is over ${LONGEST_HEADER} letters long` });
  if (rest.length === 0) return wrong({ path: '(file)', message: 'names its columns, but holds no row' });
  if (rest.length > MAX_ROWS) return wrong({ path: '(file)', message: `holds ${rest.length} rows; at most ${MAX_ROWS} are taken at once` });
  return ok({
    headers: first.map((h) => h.trim()),
    rows: rest.map((cells, i) => ({ line: i + 2, cells: cells.map((c) => c.trim()) })),
    separator: parsed.meta.delimiter,
    encoding,
  });
}

/** Begins a formula: in plain form or full-width, which some spreadsheets take for the same. */
const STARTS = '=@+\\-\uFF1D\uFF20\uFF0B\uFF0D';
/** What some spreadsheets pass over before it: blanks of every kind, tabs, marks of no width. */
const BLANKS = '[\\s\\u0000-\\u001F\\u200B-\\u200F\\u2060\\uFEFF]*';
const FORMULA = new RegExp(`^${BLANKS}[${STARTS}]`);
/** The same within a cell, where a spreadsheet that parts by semicolons, tabs or lines begins a new one. */
const INNER_FORMULA = new RegExp(`([;\\t\\r\\n]${BLANKS})(?=[${STARTS}])`, 'g');
const NUMBER = /^[+-]?[\d.,]+$/;

/** A cell as a spreadsheet would run it: never taken for a value, never written out bare. */
export const isFormula = (cell: string): boolean => FORMULA.test(cell) && !NUMBER.test(cell);

export interface ReadNumber {
  readonly value: number;
  /** The lab wrote "<": less than this, which is not none. */
  readonly under: number | null;
  readonly trace: boolean;
}

/**
 * A number as labs write it: `0.42`, `0,42`, `1,234.5`, `1.234,5`, `<0.01`, `ND`, `none detected`, `trace`.
 * @returns null when it is none of these
 */
export function readNumber(cell: string): ReadNumber | null {
  const t = cell.replace(/\s|%|\u00a0/g, '').toLowerCase();
  if (/^(nd|nad|none|nonedetected|notdetected|n\.d\.|-|nil)$/.test(t)) return { value: 0, under: null, trace: false };
  if (/^(trace|tr|<?trace)$/.test(t)) return { value: 0, under: null, trace: true };
  const m = /^(<|≤)?([+-]?[\d.,]+)$/.exec(t);
  if (!m) return null;
  const number = plainNumber(m[2]!);
  if (number === null) return null;
  return m[1] ? { value: 0, under: number, trace: false } : { value: number, under: null, trace: false };
}

/** Which of point and comma is the decimal mark: the last one that stands alone; groups of three are thousands. */
function plainNumber(t: string): number | null {
  const comma = t.lastIndexOf(',');
  const point = t.lastIndexOf('.');
  let plain = t;
  if (comma >= 0 && point >= 0) plain = comma > point ? t.replace(/\./g, '').replace(',', '.') : t.replace(/,/g, '');
  else if (comma >= 0) plain = /^[+-]?[1-9]\d{0,2}(,\d{3})+$/.test(t) ? t.replace(/,/g, '') : t.replace(',', '.');
  else if (/^[+-]?\d{1,3}(\.\d{3}){2,}$/.test(t)) plain = t.replace(/\./g, '');
  const n = Number(plain);
  return plain === '' || Number.isNaN(n) ? null : n;
}

export interface ReadDate {
  /** UTC instant; a day alone stands at its noon. */
  readonly at: string;
  /** How far off the instant may be for want of a time or its seconds, ms. */
  readonly withinMs: number;
}

/** An instant or a day: ISO, or day.month.year / month/day/year by the job's country; null when it is neither. */
export function readDate(cell: string, rules: 'us' | 'uk'): ReadDate | null {
  if (cell === '') return null;
  const iso = /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{2}):(\d{2})(?::(\d{2}))?)?/.exec(cell);
  const other = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:[ T](\d{1,2}):(\d{2}))?/.exec(cell);
  let parts: number[] | null = null;
  const time = iso ? iso[4] : other?.[4];
  if (iso) parts = [iso[1], iso[2], iso[3], iso[4] ?? '12', iso[5] ?? '0'].map(Number);
  else if (other) {
    const [a, b] = [Number(other[1]), Number(other[2])];
    const dayFirst = a > 12 || (b <= 12 && (rules === 'uk' || cell.includes('.')));
    parts = [Number(other[3]), dayFirst ? b : a, dayFirst ? a : b, Number(other[4] ?? 12), Number(other[5] ?? 0)];
  }
  if (!parts) return null;
  const [y, mo, d, h, mi] = parts as [number, number, number, number, number];
  if (!(y >= FIRST_YEAR && y <= LAST_YEAR)) return null;
  const at = new Date(Date.UTC(y, mo - 1, d, h, mi));
  if (at.getUTCMonth() !== mo - 1 || at.getUTCDate() !== d) return null;
  return { at: at.toISOString(), withinMs: time === undefined ? 86_400_000 : 60_000 };
}

/** Writes a table; a cell that a spreadsheet would run, whole or from a semicolon on, is defused with an apostrophe. */
export function writeTable(headers: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string {
  const safe = (v: string | number | null) => (typeof v === 'string' ? `${isFormula(v) ? "'" : ''}${v.replace(INNER_FORMULA, "$1'")}` : v);
  return `${Papa.unparse([headers, ...rows.map((r) => r.map(safe))], { newline: '\r\n' })}\r\n`;
}

/** A block of cells as a spreadsheet puts it on the clipboard: tabs between, quotation marks doubled, nothing skipped but a last empty line. */
export function readBlock(text: string): string[][] {
  const rows = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data;
  return rows.slice(0, MAX_ROWS).map((cells) => cells.map((c) => c.trim()));
}
