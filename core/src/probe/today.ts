/** Today's picture of a job: what is clear, assumed, waiting, found; what nobody may touch, and what to do next about it. */
import type { Hazard } from '../facts';
import type { MethodId } from '../facts/vocabulary';
import type { HazardState } from './state';
import type { Register } from './register';
import type { Depth, Touch } from './touch';

export interface TodaySurface {
  readonly surfaceId: string;
  readonly states: Readonly<Record<Hazard, HazardState>>;
  readonly touch: Readonly<Record<Depth, Touch>>;
  /** Some hazard of it is low. */
  readonly low: boolean;
}

export interface Today {
  /** Surfaces by the strictest state over all hazards. */
  readonly clear: number;
  /** Lead or asbestos below what counts as found. */
  readonly low: number;
  readonly assumed: number;
  readonly waiting: number;
  readonly found: number;
  /** Surfaces that nobody touches at all, and those that are worked with set-up only. */
  readonly stopped: readonly string[];
  readonly controlled: readonly string[];
  readonly act: TodayAct;
}

export type TodayAct =
  | { readonly kind: 'overdue'; readonly count: number }
  | { readonly kind: 'send'; readonly count: number }
  | { readonly kind: 'take'; readonly count: number }
  | { readonly kind: 'renumber'; readonly count: number }
  | { readonly kind: 'none' };

/** What the sample register asks for first: a clash of numbers, then what is late, unsent, untaken. */
export function registerAct({ counts, lines }: Register): TodayAct {
  const twice = lines.filter((l) => l.numberTwice).length;
  if (twice > 0) return { kind: 'renumber', count: twice };
  if (counts.due > 0) return { kind: 'overdue', count: counts.due };
  if (counts.taken > 0) return { kind: 'send', count: counts.taken };
  if (counts.planned > 0) return { kind: 'take', count: counts.planned };
  return { kind: 'none' };
}

const RANK: Readonly<Record<HazardState, number>> = { notFound: 0, unknown: 2, assumed: 2, waiting: 3, found: 4 };

export function todayOf(surfaces: readonly TodaySurface[], register: Register): Today {
  const n = [0, 0, 0, 0, 0];
  for (const s of surfaces) n[Math.max(s.low ? 1 : 0, RANK[s.states.lead], RANK[s.states.asbestos], RANK[s.states.mold])]! += 1;
  return {
    clear: n[0]!,
    low: n[1]!,
    assumed: n[2]!,
    waiting: n[3]!,
    found: n[4]!,
    stopped: surfaces.filter((s) => s.touch.skin === 'stop').map((s) => s.surfaceId),
    controlled: surfaces
      .filter((s) => s.touch.skin !== 'stop' && [s.touch.skin, s.touch.loose, s.touch.bare].some((t) => t === 'controlled' || t === 'stop'))
      .map((s) => s.surfaceId),
    act: registerAct(register),
  };
}

/** Methods that are blocked on every part of a surface, and on how many surfaces each is. */
export function blockedMethods(
  options: readonly { readonly surfaceId: string; readonly blocked: readonly MethodId[] }[],
): { readonly methodId: MethodId; readonly surfaces: number }[] {
  const n = new Map<MethodId, number>();
  for (const o of options) for (const m of o.blocked) n.set(m, (n.get(m) ?? 0) + 1);
  return [...n].map(([methodId, surfaces]) => ({ methodId, surfaces })).sort((a, b) => b.surfaces - a.surfaces);
}
