/**
 * Lengths as people say them: 4' 6", 14 1/2", 6'8, 6 ft 8 in, 1200 mm, 1.2; and small sums of them, as a tape gives them: 3' 4" x 2 + 8".
 * Within, a length is metres.
 */
export type UnitSystem = 'ft' | 'm';

export type Read = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly says: string };

// Exact by definition: the international foot.
export const FOOT_M = 0.3048;
export const INCH_M = FOOT_M / 12;

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const FRACTION = String.raw`\d+\s*/\s*\d+`;
/** 14, 14.5, 14 1/2, 1/2. */
const MIXED = String.raw`(?:(?:${NUMBER})(?:[\s-]+(?:${FRACTION}))?|(?:${FRACTION}))`;
const FEET = new RegExp(String.raw`^(${MIXED})\s*(?:'|ft\.?|feet|foot)[\s-]*(?:(${MIXED})\s*(?:"|in\.?|inch(?:es)?)?)?$`);
const INCHES = new RegExp(String.raw`^(${MIXED})\s*(?:"|in\.?|inch(?:es)?)$`);
const METRIC = new RegExp(String.raw`^(${NUMBER})\s*(mm|cm|m)\.?$`);
const BARE = new RegExp(`^${MIXED}$`);
const METRES: Readonly<Record<string, number>> = { mm: 1e-3, cm: 1e-2, m: 1 };
const VULGAR: Readonly<Record<string, string>> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' };

/** Every mark that phones and spreadsheets put for feet and inches, as one. */
const plain = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (f) => ` ${VULGAR[f]!}`)
    .replace(/''|[″”“‟〃]/g, '"')
    .replace(/[′’‘‛`´]/g, "'")
    .replace(/[×*]/g, ' x ')
    .replace(/[−–]/g, '-')
    .replace(/\s+/g, ' ')
    .trim();

function mixed(text: string): number {
  const [, whole, top, bottom] = /^(?:([\d.,]+)(?:[\s-]+|$))?(?:(\d+)\s*\/\s*(\d+))?$/.exec(text.trim()) ?? [];
  return (whole === undefined ? 0 : Number(whole.replace(',', '.'))) + (top === undefined ? 0 : Number(top) / Number(bottom));
}

/** One length with its marks, metres; null: it has none, or is not one. */
function marked(text: string): number | null {
  const feet = FEET.exec(text);
  if (feet) return mixed(feet[1]!) * FOOT_M + (feet[2] === undefined ? 0 : mixed(feet[2]) * INCH_M);
  const inches = INCHES.exec(text);
  if (inches) return mixed(inches[1]!) * INCH_M;
  const metric = METRIC.exec(text);
  return metric ? mixed(metric[1]!) * METRES[metric[2]!]! : null;
}

interface Factor {
  readonly value: number;
  readonly isLength: boolean;
}
const factor = (text: string): Factor | null => {
  const m = marked(text);
  if (m !== null) return { value: m, isLength: true };
  return BARE.test(text) ? { value: mixed(text), isLength: false } : null;
};

/** A product of which one factor at most is a length; without any, it is one in the job's own unit. */
function product(text: string, unitM: number): Factor | string {
  const factors = text.split(/\s+x\s+|(?<=\d)x(?=\d)/).map((f) => [f.trim(), factor(f.trim())] as const);
  const bad = factors.find(([, f]) => f === null);
  if (bad) return `“${bad[0]}” is not a length.`;
  const lengths = factors.filter(([, f]) => f!.isLength).length;
  if (lengths === 0 && /\dx\d/.test(text)) return `Two lengths, “${text}”: enter each in its own field.`;
  if (lengths > 1) return 'Two lengths multiplied are an area: enter them in their own fields.';
  const value = factors.reduce((p, [, f]) => p * f!.value, 1);
  return { value: lengths === 1 ? value : value * unitM, isLength: true };
}

/** A single value may be below zero: what is wrong with that the field says. */
function sum(given: string, one: (term: string) => Factor | string, what: string): Read {
  const below = /^\s*[-−]\s*(?=[\d.,])/.exec(given);
  const text = below ? given.slice(below[0].length) : given;
  const clean = plain(text);
  if (clean === '') return { ok: false, says: `A ${what} is needed here.` };
  // A minus with a space on both sides takes away; without, it stands between whole and fraction.
  const terms = clean.split(/\s*(\+)\s*|\s+(-)\s+/).filter((t) => t !== undefined);
  let value = 0;
  for (let i = 0; i < terms.length; i += 2) {
    const made = one(terms[i]!);
    if (typeof made === 'string') return { ok: false, says: made };
    value += i > 0 && terms[i - 1] === '-' ? -made.value : made.value;
  }
  return Number.isFinite(value) ? { ok: true, value: below ? -value : value } : { ok: false, says: `“${text.trim()}” is not a ${what}.` };
}

/**
 * Reads a length as it is said or pasted, or a small sum of lengths. A bare number is feet under US rules, metres under UK rules.
 * @returns metres, or what is wrong with it
 */
export function readLength(text: string, system: UnitSystem): Read {
  const says =
    system === 'ft' ? `“${text.trim()}” is not a length such as 4' 6" or 4.5.` : `“${text.trim()}” is not a length such as 1.2 or 1200 mm.`;
  const read = sum(text, (t) => product(t, system === 'ft' ? FOOT_M : 1), 'length');
  return read.ok || read.says.startsWith('Two lengths') || text.trim() === '' ? read : { ok: false, says };
}

/** Reads a number or a small sum: 12 + 3 x 4. */
export function readNumber(text: string): Read {
  const read = sum(
    text,
    (t) => {
      const factors = t.split(/\s+x\s+|(?<=\d)x(?=\d)/).map((f) => (BARE.test(f.trim()) ? mixed(f) : NaN));
      return { value: factors.reduce((p, f) => p * f, 1), isLength: false };
    },
    'number',
  );
  return read.ok ? read : { ok: false, says: text.trim() === '' ? read.says : `“${text.trim()}” is not a number.` };
}

/** A tape is read to a sixteenth of an inch. */
const PER_INCH = 16;
/** Narrower than this it is said in inches. Common practice, no published source. */
const INCHES_BELOW_FT = 2;
/** Beyond this nobody reads the fraction: to the inch, m. */
const TO_THE_INCH = 20 * FOOT_M;

const inchText = (sixteenths: number): string => {
  const whole = Math.floor(sixteenths / PER_INCH);
  let [top, bottom] = [sixteenths % PER_INCH, PER_INCH];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const part = top === 0 ? '' : `${top}/${bottom}`;
  return [whole > 0 || part === '' ? String(whole) : '', part].filter(Boolean).join(' ');
};

/** Metres in feet and inches, to a sixteenth: 4' 6", 14 1/2", 10'. Read back, it gives the same. */
export function feetAndInches(metres: number, per = PER_INCH): string {
  const minus = metres < 0 ? '-' : '';
  const all = Math.round((Math.abs(metres) / INCH_M) * per) * (PER_INCH / per);
  const feet = Math.floor(all / (12 * PER_INCH));
  const rest = all - feet * 12 * PER_INCH;
  if (feet > 0 && rest === 0) return `${minus}${feet}'`;
  return feet < INCHES_BELOW_FT ? `${minus}${inchText(all)}"` : `${minus}${feet}' ${inchText(rest)}"`;
}

/** Whole feet as in the rulebook, 10 ft; else feet and inches, of long ones without the fraction. */
export function feetForReading(metres: number): string {
  const said = feetAndInches(metres, Math.abs(metres) > TO_THE_INCH ? 1 : PER_INCH);
  return /^-?\d+'$/.test(said) ? `${said.slice(0, -1)} ft` : said;
}

/** A usual size as somebody here would say it: to the inch, or to 5 mm. Metres in, metres out. */
export function usualSize(metres: number, system: UnitSystem): number {
  const step = system === 'ft' ? INCH_M : 0.005;
  return Number((Math.max(1, Math.round(metres / step)) * step).toFixed(6));
}

/** Metres as they stand in a field: 4' 6", or 1.372. */
export const lengthText = (metres: number, system: UnitSystem): string =>
  system === 'ft' ? feetAndInches(metres) : String(Number(metres.toFixed(3)));
