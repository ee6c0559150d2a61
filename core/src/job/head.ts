/** What a job comes to, in the few figures that stand at its head. */
import type { JobFacts } from '../facts';
import type { Range } from '../units/units';
import type { FirmSettings } from '../rulebook';
import { bookOf } from '../rulebook';
import type { JobDigest, SurfaceDigest } from './digest';
import { MONEY_LINES, type MoneyLine } from './money';

export interface JobHead {
  readonly money: Range;
  /** What it is made of; lines that come to nothing are left out. */
  readonly lines: readonly { readonly line: MoneyLine; readonly money: Range }[];
  readonly personHours: Range;
  /** Days of the crew with hands on; what waits in between is apart. */
  readonly days: Range;
  /** Laid, all zones together, m2. */
  readonly sheetM2: number;
  /** The best mask that any zone asks for, and in how many of them. */
  readonly mask: { readonly id: NonNullable<SurfaceDigest['respirator']>; readonly zones: number } | null;
  readonly zones: number;
  readonly surfaces: number;
  /** Surfaces that stand in no sum: nobody can price them yet. */
  readonly unpriced: number;
  /** The surface whose own range is widest, when it makes a tenth of the job's or more. */
  readonly widest: { readonly surfaceId: string; readonly money: Range } | null;
}

/** A range that hardly matters to the whole is not named. */
const TENTH = 0.1;
const width = (r: Range): number => r.high - r.low;

export function headOf(facts: JobFacts, digest: JobDigest, settings: FirmSettings): JobHead {
  const { totals, zones, surfaces } = digest;
  const day = settings.crew * settings.hoursPerDay;
  const masks = bookOf(facts.job).respirators.map((r) => r.id);
  const best = zones.reduce((at, z) => Math.max(at, z.respirator === null ? -1 : masks.indexOf(z.respirator)), -1);
  const id = masks[best];
  const widest = surfaces.reduce<SurfaceDigest | null>((a, s) => (a === null || width(s.money) > width(a.money) ? s : a), null);
  return {
    money: totals.money,
    lines: MONEY_LINES.flatMap((line) => (totals.lines[line].high > 0 ? [{ line, money: totals.lines[line] }] : [])),
    personHours: totals.personHours,
    days: { low: totals.personHours.low / day, high: totals.personHours.high / day },
    sheetM2: zones.reduce((sum, z) => sum + z.sheetM2, 0),
    mask: id === undefined ? null : { id, zones: zones.filter((z) => z.respirator === id).length },
    zones: zones.length,
    surfaces: surfaces.length,
    unpriced: digest.unpriced,
    widest: widest && width(widest.money) > TENTH * width(totals.money) ? { surfaceId: widest.surfaceId, money: widest.money } : null,
  };
}
