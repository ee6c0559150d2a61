/** Hours, materials and money of one method on one part. Ranges, because rates are ranges. */
import type { PartKind } from '../facts';
import type { FirmSettings } from '../rulebook';
import type { Measure } from '../units/units';
import type { Consumable, Method } from './methods';

export interface Range {
  readonly low: number;
  readonly high: number;
}

/** Effort on one square metre of one kind of part. It is linear in area, so it is reckoned once and scaled (effortOn). */
export interface UnitEffort {
  /** Person-hours, hands on, per m2. */
  readonly personHours: Range;
  /** Hours that it works by itself, per round, whatever the area. */
  readonly dwellHours: Range | null;
  readonly materials: number;
  /** Labour and materials in the firm's money, per m2. */
  readonly total: Range;
  /** The rate is the firm's own, not the catalogue's. */
  readonly ownRate: boolean;
}

export interface Effort {
  readonly personHours: Range;
  readonly dwellHours: Range | null;
  readonly materials: number;
  readonly total: Range;
  readonly consumables: readonly { readonly id: Consumable['id']; readonly amount: Measure }[];
}

export const midpoint = (r: Range): number => (r.low + r.high) / 2;
const times = (r: Range, k: number): Range => ({ low: r.low * k, high: r.high * k });

/**
 * Person-hours per m2 = passes x people / (rate x part speed). Money = hours x labour + consumables.
 * @returns ranges: the fast rate with few passes, the slow rate with many
 */
export function unitEffort(method: Method, part: PartKind, settings: FirmSettings): UnitEffort {
  const own = settings.rates[method.id];
  const rate = own ?? method.rate;
  const speed = method.reach[part] ?? 0.4;
  const personHours = {
    low: (method.passes.low * method.people) / (rate.highM2PerH * speed),
    high: (method.passes.high * method.people) / (rate.lowM2PerH * speed),
  };
  const materials = method.consumables.reduce((sum, c) => sum + c.pricePerM2, 0);
  const labour = times(personHours, settings.labourPerHour);
  return {
    personHours,
    dwellHours: method.dwellH,
    materials,
    total: { low: labour.low + materials, high: labour.high + materials },
    ownRate: own !== undefined,
  };
}

/** The effort on an area, m2, with what it uses up. */
export function effortOn(areaM2: number, unit: UnitEffort, method: Method): Effort {
  return {
    personHours: times(unit.personHours, areaM2),
    dwellHours: unit.dwellHours,
    materials: unit.materials * areaM2,
    total: times(unit.total, areaM2),
    consumables: method.consumables.map((c) => ({ id: c.id, amount: { value: c.perM2.value * areaM2, unit: c.perM2.unit } })),
  };
}
