/** What the money of a job is made of. Each line is reckoned where its work is planned; here they are named and added up. */
import type { JobFacts, Reading } from '../facts';
import type { Range } from '../choose';
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
  const standing = surfaces.flatMap((s) => [...standingReadings(s)]);
  // Moving a record keeps its kind and the moment it was taken.
  const moved = (r: Reading) => standing.some((x) => x.id !== r.id && x.kind === r.kind && x.takenAt === r.takenAt);
  let sum = 0;
  for (const s of surfaces) {
    for (const x of s.samples) if (x.removedAt === null) sum += x.hazard === 'asbestos' ? testPrices.bulk : testPrices.chip;
    const back = standingOf(s).withdrawn;
    for (const r of s.readings)
      if (!(back.includes(r) && moved(r))) sum += r.kind === 'spot' ? testPrices.swab : r.kind === 'xrf' ? testPrices.xrf : 0;
  }
  return sum;
}
