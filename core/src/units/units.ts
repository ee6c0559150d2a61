/**
 * The one place where a unit is converted.
 *
 * Inside the core every quantity is SI or an accepted companion (m, m2, L, h, C, ug/m3) and says so in its name.
 * A limit stays in the unit in which it was published, as a `Measure`, and is converted here when it is compared.
 */
import { feetForReading, FOOT_M, INCH_M, type UnitSystem } from './length';

export type Dimension =
  | 'length'
  | 'area'
  | 'volume'
  | 'time'
  | 'temperature'
  | 'temperatureDifference'
  | 'airborne'
  | 'massShare'
  | 'areaLoading'
  | 'share'
  | 'ratio'
  | 'speed'
  | 'money'
  | 'count'
  | 'film'
  | 'depth'
  | 'years'
  | 'woodMoisture'
  | 'gypsumScale'
  | 'relativeScale'
  | 'humidity'
  | 'flow'
  | 'roomVolume'
  | 'pressure'
  | 'gaugePressure'
  | 'heatLoss'
  | 'mass'
  | 'dustLoading'
  | 'grade'
  | 'acidity'
  | 'weight'
  | 'leachate'
  | 'sound'
  | 'hangingLoad'
  | 'salt'
  | 'power';

interface UnitDef {
  readonly dimension: Dimension;
  /** SI value = value * scale + offset. */
  readonly scale: number;
  readonly offset?: number;
  readonly label: string;
}

// Exact by definition: US liquid gallon 231 in3; mile 1609.344 m.
const GALLON_L = 231 * (INCH_M * 10) ** 3;

export const UNITS = {
  m: { dimension: 'length', scale: 1, label: 'm' },
  ft: { dimension: 'length', scale: FOOT_M, label: 'ft' },
  in: { dimension: 'length', scale: INCH_M, label: 'in' },
  m2: { dimension: 'area', scale: 1, label: 'm²' },
  ft2: { dimension: 'area', scale: FOOT_M ** 2, label: 'ft²' },
  L: { dimension: 'volume', scale: 1, label: 'L' },
  gal: { dimension: 'volume', scale: GALLON_L, label: 'US gal' },
  mL: { dimension: 'volume', scale: 1e-3, label: 'mL' },
  floz: { dimension: 'volume', scale: GALLON_L / 128, label: 'US fl oz' },
  h: { dimension: 'time', scale: 1, label: 'h' },
  min: { dimension: 'time', scale: 1 / 60, label: 'min' },
  s: { dimension: 'time', scale: 1 / 3600, label: 's' },
  d: { dimension: 'time', scale: 24, label: 'days' },
  yr: { dimension: 'time', scale: 24 * 365.25, label: 'years' },
  C: { dimension: 'temperature', scale: 1, label: '°C' },
  F: { dimension: 'temperature', scale: 5 / 9, offset: -160 / 9, label: '°F' },
  deltaC: { dimension: 'temperatureDifference', scale: 1, label: '°C' },
  deltaF: { dimension: 'temperatureDifference', scale: 5 / 9, label: '°F' },
  'ug/m3': { dimension: 'airborne', scale: 1, label: 'µg/m³' },
  'mg/m3': { dimension: 'airborne', scale: 1000, label: 'mg/m³' },
  ppm: { dimension: 'massShare', scale: 1e-6, label: 'ppm' },
  'mass%': { dimension: 'massShare', scale: 1e-2, label: '%' },
  'mg/cm2': { dimension: 'areaLoading', scale: 1, label: 'mg/cm²' },
  '%': { dimension: 'share', scale: 1, label: '%' },
  x: { dimension: 'ratio', scale: 1, label: '' },
  mph: { dimension: 'speed', scale: 0.44704, label: 'mph' },
  'm/s': { dimension: 'speed', scale: 1, label: 'm/s' },
  USD: { dimension: 'money', scale: 1, label: '$' },
  GBP: { dimension: 'money', scale: 1, label: '£' },
  pieces: { dimension: 'count', scale: 1, label: '' },
  um: { dimension: 'film', scale: 1, label: 'µm' },
  mil: { dimension: 'film', scale: INCH_M * 1000, label: 'mil' },
  mm: { dimension: 'depth', scale: 1, label: 'mm' },
  inDeep: { dimension: 'depth', scale: INCH_M * 1000, label: 'in' },
  year: { dimension: 'years', scale: 1, label: '' },
  '%MC': { dimension: 'woodMoisture', scale: 1, label: '% moisture' },
  '%gypsum': { dimension: 'gypsumScale', scale: 1, label: '% gypsum scale' },
  '%rel': { dimension: 'relativeScale', scale: 1, label: 'relative scale' },
  '%RH': { dimension: 'humidity', scale: 1, label: '% RH' },
  m3: { dimension: 'roomVolume', scale: 1, label: 'm³' },
  ft3: { dimension: 'roomVolume', scale: FOOT_M ** 3, label: 'ft³' },
  'm3/h': { dimension: 'flow', scale: 1, label: 'm³/h' },
  cfm: { dimension: 'flow', scale: FOOT_M ** 3 * 60, label: 'cfm' },
  Pa: { dimension: 'pressure', scale: 1, label: 'Pa' },
  // At 4 C: 249.089 Pa.
  inH2O: { dimension: 'pressure', scale: 249.089, label: 'in of water' },
  // Above the air around, in kPa.
  bar: { dimension: 'gaugePressure', scale: 100, label: 'bar' },
  psi: { dimension: 'gaugePressure', scale: 6.894757, label: 'psi' },
  kW: { dimension: 'power', scale: 1, label: 'kW' },
  'W/m2K': { dimension: 'heatLoss', scale: 1, label: 'W/m²K' },
  g: { dimension: 'mass', scale: 1e-3, label: 'g' },
  mg: { dimension: 'mass', scale: 1e-6, label: 'mg' },
  // Exact by definition: the avoirdupois pound.
  kg: { dimension: 'weight', scale: 1, label: 'kg' },
  lb: { dimension: 'weight', scale: 0.45359237, label: 'lb' },
  'mg/L': { dimension: 'leachate', scale: 1, label: 'mg/L' },
  'mg/kg': { dimension: 'massShare', scale: 1e-6, label: 'mg/kg' },
  class: { dimension: 'grade', scale: 1, label: '' },
  pH: { dimension: 'acidity', scale: 1, label: 'pH' },
  dBA: { dimension: 'sound', scale: 1, label: 'dB' },
  'kg/m2': { dimension: 'hangingLoad', scale: 1, label: 'kg/m²' },
  'mg/m2': { dimension: 'salt', scale: 1, label: 'mg/m²' },
  'lb/ft2': { dimension: 'hangingLoad', scale: 0.45359237 / FOOT_M ** 2, label: 'lb/ft²' },
  'ug/ft2': { dimension: 'dustLoading', scale: 1, label: 'µg/ft²' },
  'ug/m2': { dimension: 'dustLoading', scale: FOOT_M ** 2, label: 'µg/m²' },
} as const satisfies Record<string, UnitDef>;

export type Unit = keyof typeof UNITS;

/** From the least to the most that is expected, both in one unit. */
export interface Range {
  readonly low: number;
  readonly high: number;
}

/** A number that carries its unit. */
export interface Measure {
  readonly value: number;
  readonly unit: Unit;
}

export type { UnitSystem };

export const measure = (value: number, unit: Unit): Measure => ({ value, unit });

/**
 * Converts between two units of one dimension.
 * @returns the value in `to`
 * @throws RangeError when the dimensions differ: % by mass never becomes mg/cm2 without film data
 */
export function convert(value: number, from: Unit, to: Unit): number {
  if (from === to) return value;
  const a: UnitDef = UNITS[from];
  const b: UnitDef = UNITS[to];
  if (a.dimension !== b.dimension) {
    throw new RangeError(`${from} measures ${a.dimension}; ${to} measures ${b.dimension}: one does not convert to the other`);
  }
  // A mil is 1/1000 in = 25.4 um; its scale above is written in mm x 1000, i.e. um.
  const si = value * a.scale + (a.offset ?? 0);
  return (si - (b.offset ?? 0)) / b.scale;
}

/** The unit in which a person on this job reads the dimension. */
export function unitFor(dimension: Dimension, system: UnitSystem): Unit | undefined {
  const metric: Partial<Record<Dimension, Unit>> = {
    length: 'm',
    area: 'm2',
    volume: 'L',
    temperature: 'C',
    temperatureDifference: 'deltaC',
    film: 'um',
    depth: 'mm',
    speed: 'm/s',
    flow: 'm3/h',
    pressure: 'Pa',
    gaugePressure: 'bar',
    roomVolume: 'm3',
    weight: 'kg',
    hangingLoad: 'kg/m2',
  };
  const feet: Partial<Record<Dimension, Unit>> = {
    length: 'ft',
    area: 'ft2',
    volume: 'gal',
    temperature: 'F',
    temperatureDifference: 'deltaF',
    film: 'mil',
    depth: 'inDeep',
    speed: 'mph',
    flow: 'cfm',
    pressure: 'inH2O',
    gaugePressure: 'psi',
    roomVolume: 'ft3',
    weight: 'lb',
    hangingLoad: 'lb/ft2',
  };
  return (system === 'ft' ? feet : metric)[dimension];
}

/** Rounds to a sensible number of figures for reading, never for reckoning. */
export function roundForReading(value: number): number {
  const size = Math.abs(value);
  const decimals = size >= 100 ? 0 : size >= 10 ? 1 : size >= 0.1 || size === 0 ? 2 : 3;
  return Number(value.toFixed(decimals));
}

const WITH_COMMAS = new Intl.NumberFormat('en-US');
/** A number with its thousands set apart. */
export function withCommas(value: number): string {
  // Most are small and short, and a report writes tens of thousands of them.
  const size = Math.abs(value);
  return size < 1000 && size >= 0.001 && Number(value.toFixed(3)) === value ? String(value) : WITH_COMMAS.format(value);
}

/** Money in whole units of the firm's currency, whatever the rules of a job. */
export const moneyIn =
  (currency: 'USD' | 'GBP') =>
  (n: number): string =>
    `${UNITS[currency].label}${withCommas(Math.round(n))}`;

function text(value: number, unit: Unit): string {
  if (unit === 'year') return String(value);
  const shown = withCommas(UNITS[unit].dimension === 'money' ? Math.round(value) : roundForReading(value));
  if (UNITS[unit].dimension === 'money') return `${UNITS[unit].label}${shown}`;
  const label = UNITS[unit].label;
  if (label === '') return shown;
  return unit === '%' || unit === 'mass%' ? `${shown} %` : `${shown} ${label}`;
}

/** A word or a sentence as it begins; what begins small and goes on large, such as pH, stays. */
export const cap = (t: string): string => (/^[a-z][A-Z]/.test(t) ? t : t.charAt(0).toUpperCase() + t.slice(1));

/** "1 surface", "4 surfaces". */
export const many = (n: number, one: string, several = `${one}s`): string => `${withCommas(n)} ${n === 1 ? one : several}`;

/**
 * Writes a measure for a person, in the job's unit system. A published limit in another unit keeps its own
 * unit in brackets, so that it can be looked up: `1.86 m² (20 ft²)`.
 */
export function formatMeasure(m: Measure, system: UnitSystem): string {
  if (m.unit === 'h') return formatHours(m.value);
  // A share too small for percent is not 0 %.
  if (m.unit === 'mass%' && m.value > 0 && m.value < 0.01) return text(m.value * 1e4, 'ppm');
  if (UNITS[m.unit].dimension === 'length' && system === 'ft') return feetForReading(convert(m.value, m.unit, 'm'));
  if (UNITS[m.unit].dimension === 'volume') return formatVolume(convert(m.value, m.unit, 'L'), system);
  if (UNITS[m.unit].dimension === 'depth' && system === 'ft') return inchesDeep(convert(m.value, m.unit, 'inDeep'));
  const own = unitFor(UNITS[m.unit].dimension, system);
  if (own === undefined || own === m.unit) return text(m.value, m.unit);
  const isSi = UNITS[m.unit].scale === 1;
  const shown = text(convert(m.value, m.unit, own), own);
  return isSi ? shown : `${shown} (${text(m.value, m.unit)})`;
}

/** Depths by the rule in the pocket: 1/32 in, 3/4 in, 1 1/2 in; from half a foot on without the fraction. */
function inchesDeep(inches: number): string {
  if (inches >= 6) return `${Math.round(inches)} in`;
  const parts = Math.max(1, Math.round(inches * (inches < 1 / 8 ? 64 : 16)));
  const of = inches < 1 / 8 ? 64 : 16;
  const whole = Math.floor(parts / of);
  let [top, below] = [parts % of, of];
  while (top > 0 && top % 2 === 0) [top, below] = [top / 2, below / 2];
  return `${[whole > 0 ? String(whole) : '', top > 0 ? `${top}/${below}` : ''].filter(Boolean).join(' ')} in`;
}

/** Small amounts in the small unit: nobody measures 0.001 gallons. */
function formatVolume(litres: number, system: UnitSystem): string {
  const unit = system === 'ft' ? (litres < GALLON_L / 4 ? 'floz' : 'gal') : litres < 1 ? 'mL' : 'L';
  return text(convert(litres, 'L', unit), unit);
}

/** 0.5 -> "30 min", 26 -> "26 h", 96 -> "4 days". */
export function formatHours(hours: number): string {
  if (hours < 0.05) return `${Math.round(hours * 60)} min`;
  if (hours < 1.5) return `${Math.round((hours * 60) / 5) * 5} min`;
  if (hours < 48) return `${Number(hours.toFixed(1))} h`;
  return `${Number((hours / 24).toFixed(1))} days`;
}

/** What is lifted and carried, in whole pounds or kilograms, never none of what is there. */
export function formatWeight(kg: number, system: UnitSystem): string {
  const unit = system === 'ft' ? 'lb' : 'kg';
  return text(Math.max(kg > 0 ? 1 : 0, Math.round(convert(kg, 'kg', unit))), unit);
}

/** Person-hours stay hours, however many: a crew's day is not 24 of them. */
export const formatWork = (hours: number): string => (hours < 1.5 ? formatHours(hours) : `${Number(hours.toFixed(hours < 20 ? 1 : 0))} h`);

/** "5 to 20 min", "30 min to 2 h", "$6 to $19": the unit once where it is the same. */
export function formatRange(r: Range, format: (n: number) => string): string {
  const low = format(r.low);
  const high = format(r.high);
  if (low === high) return low;
  const unit = / \D+$/.exec(low)?.[0];
  return `${unit && high.endsWith(unit) ? low.slice(0, -unit.length) : low} to ${high}`;
}
