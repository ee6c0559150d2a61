/** Hours, materials and money of one method on one part. Ranges, because rates are ranges. */
import type { PartKind } from '../facts';
import type { FirmSettings } from '../rulebook';
import { priceOf } from '../shelf/firm-sheets';
import { fromReference, type Learned } from '../trial';
import type { Measure, Range } from '../units/units';
import type { Consumable, Method } from '../catalogue';

/** Effort on one square metre of one kind of part. It is linear in area, so it is reckoned once and scaled (effortOn). */
export interface UnitEffort {
  /** Person-hours, hands on, per m2. */
  readonly personHours: Range;
  /** Hours that it works by itself, per round, whatever the area. */
  readonly dwellHours: Range | null;
  /** Money per m2. */
  readonly materials: Range;
  /** Labour and materials in the firm's money, per m2. */
  readonly total: Range;
  readonly passes: Range;
  /** The product as squares took it, L per m2 in all passes. Null: as usual. */
  readonly coverageLPerM2: Range | null;
  /** A rate, dwell or price is the firm's own, not the catalogue's. */
  readonly ownRate: boolean;
  /** What stands behind the numbers: a trial here, one carried over, or none, which makes the price a guess. */
  readonly proof: 'trial' | 'carried' | 'none';
}

export interface Effort {
  readonly personHours: Range;
  readonly dwellHours: Range | null;
  readonly materials: Range;
  readonly total: Range;
  readonly consumables: readonly { readonly id: Consumable['id']; readonly amount: Measure }[];
}

export const midpoint = (r: Range): number => (r.low + r.high) / 2;
const times = (r: Range, k: number): Range => ({ low: r.low * k, high: r.high * k });

/** How much slower from a step-up, a tower, a scaffold. Common practice, no published source. */
const HEIGHT_STEPS: readonly (readonly [upToM: number, factor: number])[] = [
  [2, 1],
  [4, 1.2],
  [8, 1.35],
  [Infinity, 1.5],
];
export const heightFactor = (accessM: number): number => HEIGHT_STEPS.find(([upTo]) => accessM <= upTo)![1];

/** What may change from surface to surface beside the method and the part. */
export interface Conditions {
  readonly accessM: number;
  /** C; null: not read. */
  readonly faceC: number | null;
  readonly learned: Learned | undefined;
}
export const PLAIN_CONDITIONS: Conditions = { accessM: 0, faceC: null, learned: undefined };

function dwellOf(method: Method, settings: FirmSettings, { faceC, learned }: Conditions): Range | null {
  const own = settings.rates[method.id];
  const base =
    learned?.dwellH ??
    (own && own.dwellLowH !== null && own.dwellHighH !== null ? { low: own.dwellLowH, high: own.dwellHighH } : method.dwellH);
  return base && { low: fromReference(base.low, faceC), high: fromReference(base.high, faceC) };
}

/**
 * Person-hours per m2 = passes x people x height / (rate x part speed). Money = hours x labour + consumables.
 * A trial narrows passes, dwell and hours to what it showed.
 * @returns ranges: the fast rate with few passes, the slow rate with many
 */
export function unitEffort(method: Method, part: PartKind, settings: FirmSettings, at: Conditions = PLAIN_CONDITIONS): UnitEffort {
  const own = settings.rates[method.id];
  const fast = own?.highM2PerH ?? method.rate.highM2PerH;
  const slow = own?.lowM2PerH ?? method.rate.lowM2PerH;
  const speed = method.reach[part] ?? 0.4;
  const { learned } = at;
  const passes = learned?.passes ?? method.passes;
  const height = heightFactor(at.accessM) * method.people;
  const usual = { low: (passes.low * height) / (fast * speed), high: (passes.high * height) / (slow * speed) };
  const personHours = hoursWith(learned, usual, passes, 1 / speed);
  const coverage = learned?.coverageLPerM2 ?? null;
  const materials = materialsOf(method, passes, settings, coverage);
  const labour = times(personHours, settings.labourPerHour);
  return {
    personHours,
    dwellHours: dwellOf(method, settings, at),
    materials,
    total: { low: labour.low + materials.low, high: labour.high + materials.high },
    passes,
    coverageLPerM2: coverage,
    ownRate: own !== undefined && (own.lowM2PerH !== null || own.dwellLowH !== null || own.materialsPerM2 !== null),
    proof: learned?.state === 'done' ? 'trial' : learned?.state === 'carried' ? 'carried' : 'none',
  };
}

/**
 * With a trial the hours are those that were timed on its squares; else the usual middle, made easier or harder by what was seen.
 * Either way no longer the whole width of the trade.
 */
function hoursWith(learned: Learned | undefined, usual: Range, passes: Range, slower: number): Range {
  if (learned === undefined || learned.state === 'failed') return usual;
  const timed = learned.workHPerM2;
  if (timed) return { low: timed.low * slower, high: (timed.high * slower * passes.high) / passes.low };
  const middle = Math.sqrt(usual.low * usual.high);
  return { low: middle * learned.ease.low, high: middle * learned.ease.high };
}

/** Used up on a square metre, in the firm's money. */
export const moneyPerM2 = (c: Consumable, settings: FirmSettings): number => c.perM2.value * priceOf(settings, c.id);

/** What is laid, lifted and paid for: the first that is measured in litres. */
const productOf = (method: Method): Consumable | undefined =>
  method.laying ? method.consumables.find((c) => c.perM2.unit === 'L') : undefined;

/** Money per m2. A coverage from squares counts all passes; the firm's own price stands before it. */
function materialsOf(method: Method, passes: Range, settings: FirmSettings, coverage: Range | null): Range {
  const ownPrice = settings.rates[method.id]?.materialsPerM2 ?? null;
  if (ownPrice !== null) return times(passes, ownPrice);
  const product = coverage === null ? undefined : productOf(method);
  const rest = method.consumables.filter((c) => c !== product);
  const each = rest.reduce((sum, c) => sum + (c.everyPass ? moneyPerM2(c, settings) : 0), 0);
  const flat = rest.reduce((sum, c) => sum + (c.everyPass ? 0 : moneyPerM2(c, settings)), 0);
  const perLitre = product && coverage ? times(coverage, priceOf(settings, product.id)) : { low: 0, high: 0 };
  return { low: flat + each * passes.low + perLitre.low, high: flat + each * passes.high + perLitre.high };
}

/** The effort on an area, m2, with what it uses up: the materials of the longer case, so that nobody runs out. */
export function effortOn(areaM2: number, unit: UnitEffort, method: Method): Effort {
  return {
    personHours: times(unit.personHours, areaM2),
    dwellHours: unit.dwellHours,
    materials: times(unit.materials, areaM2),
    total: times(unit.total, areaM2),
    consumables: method.consumables.map((c) => {
      const perM2 =
        unit.coverageLPerM2 && c === productOf(method) ? unit.coverageLPerM2.high : c.perM2.value * (c.everyPass ? unit.passes.high : 1);
      return { id: c.id, amount: { value: perM2 * areaM2, unit: c.perM2.unit } };
    }),
  };
}
