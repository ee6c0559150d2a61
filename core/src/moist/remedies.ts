/** Remedies by what they cost and what they do: each by itself, and the cheapest set that keeps growth away. */
import type { MoistureFacts, Space } from '../facts';
import type { Climate } from './climate';
import { outlook, remediesFor, roomAir, type Outlook, type Remedy } from './cause';
import type { MoldMaterial } from './growth';

/** In the firm's money; from memory of estimating practice. A lining for each m2, a fan with its duct and its switch; the rest costs heat or habits. */
const PRICE = { insulationM2: 85, fan: 480, kWh: 0.2 };
/** What is bought lasts so long: a year of it is a tenth. Common practice, no published source. */
const YEARS = 10;

export interface Cost {
  readonly once: number;
  /** Heat that it takes more, or less, than now. */
  readonly aYear: number;
}
export interface Priced extends Outlook {
  readonly cost: Cost;
}
export interface Forecast {
  readonly now: Priced;
  /** Each by itself, the cheapest first. */
  readonly singles: readonly Priced[];
  readonly all: Priced;
  /** The cheapest of all sets with which growth does not start; null: none of them together keeps it away, or nothing is needed. */
  readonly least: Priced | null;
}

const yearly = ({ once, aYear }: Cost): number => once / YEARS + aYear;
export const staysAway = (o: Outlook): boolean => o.firstWeek === null;

/** Every set of them but the empty one. */
const setsOf = (from: readonly Remedy[]): Remedy[][] =>
  Array.from({ length: 2 ** from.length - 1 }, (_, i) => from.filter((_r, bit) => ((i + 1) >> bit) & 1));

/**
 * @param onProgress share done, 0 to 1
 * @returns what becomes of the room now, with each remedy, with all, and with the cheapest set that is enough
 */
export function forecast(
  m: MoistureFacts,
  space: Pick<Space, 'lengthM' | 'widthM' | 'heightM'>,
  climate: Climate,
  material: MoldMaterial,
  rules: 'us' | 'uk',
  onProgress?: (share: number) => void,
): Forecast {
  const kinds = remediesFor(m);
  const years = climate.tempC.length / 8760;
  const usual = kinds.length + 2;
  let done = 0;
  const of = (takes: readonly Remedy[], now?: Outlook): Priced => {
    const o = outlook(m, space, climate, material, takes, rules, (share) => onProgress?.(Math.min(0.99, (done + share) / (usual + 1))));
    done += 1;
    const air = roomAir(m, space, takes, rules);
    const once = (takes.includes('insulation') ? PRICE.insulationM2 * air.coldM2 : 0) + (takes.includes('fan') ? PRICE.fan : 0);
    return { ...o, cost: { once, aYear: now ? ((o.heatKWh - now.heatKWh) / years) * PRICE.kWh : 0 } };
  };
  const now = of([]);
  const singles = kinds.map((r) => of([r], now)).sort((a, b) => yearly(a.cost) - yearly(b.cost));
  const all = of(kinds, now);
  const least = staysAway(now) || !staysAway(all) ? null : cheapest(kinds, singles, all, (takes) => of(takes, now));
  onProgress?.(1);
  return { now, singles, all, least };
}

/**
 * Every set but those within one that is not enough: fewer remedies never keep away what more of them do not. Large sets first, so that
 * one that fails saves all that are within it.
 */
function cheapest(kinds: readonly Remedy[], singles: readonly Priced[], all: Priced, of: (takes: readonly Remedy[]) => Priced): Priced {
  const known = new Map([...singles, all].map((o) => [o.takes.join(), o]));
  const failed: (readonly Remedy[])[] = singles.filter((o) => !staysAway(o)).map((o) => o.takes);
  let best: Priced = all;
  for (const takes of setsOf(kinds).sort((a, b) => b.length - a.length)) {
    if (failed.some((f) => takes.every((r) => f.includes(r)))) continue;
    const o = known.get(takes.join()) ?? of(takes);
    if (!staysAway(o)) failed.push(takes);
    else if (yearly(o.cost) < yearly(best.cost)) best = o;
  }
  return best;
}
