/** What the money of a job is made of. Each line is reckoned where its work is planned; here they are named and added up. */
import type { JobFacts, Reading, Surface } from '../facts';
import type { Range } from '../units/units';
import { standingOf, standingReadings } from '../probe';
import type { FirmSettings } from '../rulebook';

export const MONEY_LINES = ['labour', 'methods', 'coats', 'packs', 'sheet', 'wear', 'disposal', 'tests'] as const;
export type MoneyLine = (typeof MONEY_LINES)[number];
/** In the firm's money. The lines together are the whole. */
export type MoneyLines = Readonly<Record<MoneyLine, Range>>;

/**
 * What testing came to, with the samples that are planned: every sample at the lab's price, every swab and every reading of the instrument.
 * An answer that was withdrawn was paid for all the same; one that only moved to where it was made is paid for there.
 */
export function testsMoney({ surfaces }: JobFacts, { testPrices }: FirmSettings): number {
  const all = surfaces.map(testsOn);
  // Moving a record keeps its kind and the moment it was taken. Looked for only where something was taken back.
  const standing = all.some((t) => t.withdrawn.length > 0) ? surfaces.flatMap((s) => [...standingReadings(s)]) : [];
  const moved = (r: Reading) => standing.some((x) => x.id !== r.id && x.kind === r.kind && x.takenAt === r.takenAt);
  let sum = 0;
  for (const { bulk, chip, swab, xrf, withdrawn } of all) {
    sum += bulk * testPrices.bulk + chip * testPrices.chip + swab * testPrices.swab + xrf * testPrices.xrf;
    for (const r of withdrawn) if (moved(r)) sum -= r.kind === 'spot' ? testPrices.swab : r.kind === 'xrf' ? testPrices.xrf : 0;
  }
  return sum;
}

interface Tests {
  readonly bulk: number;
  readonly chip: number;
  readonly swab: number;
  readonly xrf: number;
  /** Taken back: paid for all the same, but when it was moved to where it belongs, once. */
  readonly withdrawn: readonly Reading[];
}
/** Counted once for as long as the surface says the same. */
const counted = new WeakMap<Surface, Tests>();
function testsOn(s: Surface): Tests {
  let made = counted.get(s);
  if (made) return made;
  const taken = s.samples.filter((x) => x.removedAt === null);
  const bulk = taken.filter((x) => x.hazard === 'asbestos').length;
  const of = (kind: Reading['kind']) => s.readings.filter((r) => r.kind === kind).length;
  const { withdrawn } = standingOf(s);
  made = { bulk, chip: taken.length - bulk, swab: of('spot'), xrf: of('xrf'), withdrawn: s.readings.filter((r) => withdrawn.includes(r)) };
  counted.set(s, made);
  return made;
}
