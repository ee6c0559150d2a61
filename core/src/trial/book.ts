/** What the trial squares of one surface say of each method. */
import type { MethodId, PartKind } from '../facts';
import { why, type Reason } from '../reasons';
import type { Conclusion } from './conclude';

export interface Learned {
  /** done: tried here; carried: taken over from the same coating elsewhere; failed: tried, and nothing brought it off; harmed: it did harm. */
  readonly state: 'done' | 'carried' | 'failed' | 'harmed';
  /** At 20 C, h. Null: the method does not soak, or nothing worked. */
  readonly dwellH: { readonly low: number; readonly high: number } | null;
  readonly passes: { readonly low: number; readonly high: number } | null;
  /** Multiplies hands-on hours, from how easily it came off. */
  readonly ease: { readonly low: number; readonly high: number };
  /** L per m2 of the product in all passes, and h per m2 of one person's work, where they were measured. */
  readonly coverageLPerM2: { readonly low: number; readonly high: number } | null;
  readonly workHPerM2: { readonly low: number; readonly high: number } | null;
  readonly squares: number;
  /** Kinds of part on which it came clean here; null: of one nobody said on which, and it counts for all. */
  readonly kinds: readonly PartKind[] | null;
  readonly because: readonly Reason[];
}
export type TrialBook = Readonly<Partial<Record<MethodId, Learned>>>;
export const NO_TRIALS: TrialBook = {};
/** What was shown on another part of the piece is carried to this one, and proves nothing on it. Law V3. */
export const trialOn = (learned: Learned | undefined, part: PartKind): Learned['state'] | 'none' =>
  learned === undefined
    ? 'none'
    : learned.state === 'done' && learned.kinds !== null && !learned.kinds.includes(part)
      ? 'carried'
      : learned.state;

const widest = (rs: readonly { low: number; high: number }[]) => ({
  low: Math.min(...rs.map((r) => r.low)),
  high: Math.max(...rs.map((r) => r.high)),
});

const among = (rs: readonly ({ low: number; high: number } | null)[]) => {
  const known = rs.filter((r): r is { low: number; high: number } => r !== null);
  return known.length === 0 ? null : widest(known);
};

/**
 * One entry for each method that has an answer. Where coatings answered differently, the plan is made for those that it lifts, and says
 * on which it does not: never one verdict for two coatings.
 */
export function trialBook(conclusions: readonly Conclusion[]): TrialBook {
  if (conclusions.length === 0) return NO_TRIALS;
  const out: Partial<Record<MethodId, Learned>> = {};
  for (const id of new Set(conclusions.map((c) => c.methodId))) {
    const all = conclusions.filter((c) => c.methodId === id && c.state.value !== 'open');
    const works = all.filter((c) => c.state.value === 'works');
    if (all.length === 0) continue;
    const squares = all.reduce((n, c) => n + c.squares, 0);
    if (works.length === 0) {
      out[id] = {
        state: all.some((c) => c.harmed) ? 'harmed' : 'failed',
        dwellH: null,
        passes: null,
        ease: { low: 1, high: 1 },
        coverageLPerM2: null,
        workHPerM2: null,
        squares,
        kinds: null,
        because: all.flatMap((c) => c.state.because),
      };
      continue;
    }
    const lifted = new Set(works.map((c) => c.coating.toLowerCase()));
    const differs = all
      .filter((c) => c.state.value === 'failed' && !lifted.has(c.coating.toLowerCase()))
      .map((c) => why('trial.differs', 'job-record', { coating: c.coating || 'the coats recorded' }, 'care'));
    const dwells = works.flatMap((c) => (c.dwellH ? [c.dwellH] : []));
    out[id] = {
      state: works.every((c) => c.carried) ? 'carried' : 'done',
      dwellH: dwells.length > 0 ? widest(dwells) : null,
      passes: widest(works.flatMap((c) => (c.passes ? [c.passes] : []))),
      ease: widest(works.map((c) => c.ease)),
      coverageLPerM2: among(works.map((c) => c.coverageLPerM2)),
      workHPerM2: among(works.map((c) => c.workHPerM2)),
      squares,
      kinds: works.some((c) => c.kinds === null) ? null : [...new Set(works.flatMap((c) => c.kinds ?? []))],
      because: [...differs, ...works.flatMap((c) => c.state.because)],
    };
  }
  return out;
}
