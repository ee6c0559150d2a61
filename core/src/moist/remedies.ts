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
  /** The cheapest set with which growth does not start; null: none of them together keeps it away, or nothing is needed. */
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

/** Sets in the order of what they cost at most, until one is enough and no cheaper one is left. */
function cheapest(kinds: readonly Remedy[], singles: readonly Priced[], all: Priced, of: (takes: readonly Remedy[]) => Priced): Priced {
  const alone = new Map(singles.map((o) => [o.takes[0]!, o]));
  // Heat and air add up to about what each takes by itself; the real one is reckoned before it is compared.
  const about = (takes: readonly Remedy[]) => takes.reduce((sum, r) => sum + yearly(alone.get(r)!.cost), 0);
  let best: Priced = all;
  for (const takes of setsOf(kinds).sort((a, b) => about(a) - about(b) || a.length - b.length)) {
    if (takes.length === kinds.length) continue;
    if (about(takes) >= yearly(best.cost) && staysAway(best) && best !== all) break;
    const o = takes.length === 1 ? alone.get(takes[0]!)! : of(takes);
    if (staysAway(o) && (best === all || yearly(o.cost) < yearly(best.cost))) best = o;
  }
  return best;
}
