/** One method for all parts of a surface at once: what a person asks first, before they look part by part. */
import type { MethodId } from '../facts';
import { methodById } from '../catalogue';
import { effortOn, type Range } from './cost';
import type { PartChoice } from './choose';
import type { Verdict } from './verdict';

export interface Together {
  readonly methodId: MethodId;
  /** The strictest of its parts. */
  readonly verdict: Verdict;
  readonly personHours: Range;
  readonly total: Range;
  /** It stands on every part of the plan. */
  readonly inPlan: boolean;
}

const plus = (a: Range, b: Range): Range => ({ low: a.low + b.low, high: a.high + b.high });

/** Doing nothing, hiding it and giving it up are decisions: they stand behind what works on the coat. */
const isLast = ({ methodId }: Together): boolean =>
  ['leave', 'cover', 'encapsulate'].includes(methodId) || methodById(methodId).removesPiece;

/**
 * Methods that are blocked on no part, best first: by their verdict, then by the places that they take in the ranking of each part.
 * @param parts those with an area
 */
export function bestTogether(parts: readonly PartChoice[]): Together[] {
  const [first, ...rest] = parts;
  if (!first) return [];
  const made = first.options.flatMap((o): (Together & { readonly place: number })[] => {
    const each = [first, ...rest].map((p) => ({ p, o: p.options.find((x) => x.methodId === o.methodId) }));
    if (each.some((x) => x.o === undefined || x.o.verdict === 'blocked')) return [];
    const effort = each.map((x) => effortOn(x.p.areaM2, x.o!.perM2, methodById(o.methodId)));
    return [
      {
        methodId: o.methodId,
        verdict: each.some((x) => x.o!.verdict === 'care') ? 'care' : 'go',
        personHours: effort.reduce<Range>((sum, e) => plus(sum, e.personHours), { low: 0, high: 0 }),
        total: effort.reduce<Range>((sum, e) => plus(sum, e.total), { low: 0, high: 0 }),
        inPlan: each.every((x) => x.p.selected.value === o.methodId),
        place: each.reduce((sum, x) => sum + x.p.options.indexOf(x.o!), 0),
      },
    ];
  });
  return made
    .sort(
      (a, b) =>
        Number(b.inPlan) - Number(a.inPlan) ||
        Number(isLast(a)) - Number(isLast(b)) ||
        Number(a.verdict === 'care') - Number(b.verdict === 'care') ||
        a.place - b.place,
    )
    .map(({ place: _p, ...t }) => t);
}
