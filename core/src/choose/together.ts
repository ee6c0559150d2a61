/** All parts of a surface at once: one method for them, or each its own. What a person asks first, before they look part by part. */
import type { MethodId } from '../facts';
import { methodById } from '../catalogue';
import type { Reason } from '../reasons';
import { effortOn } from './cost';
import type { Range } from '../units/units';
import type { MethodOption, PartChoice } from './choose';
import type { Verdict } from './verdict';

/** What the parts come to, before anything is set up. */
export interface Summed {
  /** The strictest of its parts. */
  readonly verdict: Verdict;
  /** Everything that asks for care, or blocks, on any of them: each rule once. */
  readonly because: readonly Reason[];
  readonly personHours: Range;
  readonly total: Range;
}

export interface Together extends Summed {
  readonly methodId: MethodId;
  /** It stands on every part of the plan. */
  readonly inPlan: boolean;
}

const plus = (a: Range, b: Range): Range => ({ low: a.low + b.low, high: a.high + b.high });
const STRICTNESS: Readonly<Record<Verdict, number>> = { go: 0, care: 1, blocked: 2 };

/** Doing nothing, hiding it and giving it up are decisions: they stand behind what works on the coat. */
const isLast = ({ methodId }: Together): boolean =>
  ['leave', 'cover', 'encapsulate'].includes(methodId) || methodById(methodId).removesPiece;

interface Each {
  readonly part: PartChoice;
  readonly option: MethodOption;
}

function summed(each: readonly Each[]): Summed {
  const told = new Map(
    each.flatMap(({ option }) => option.because.filter((r) => r.effect === 'care' || r.effect === 'block')).map((r) => [r.rule, r]),
  );
  const efforts = each.map(({ part, option }) => effortOn(part.areaM2, option.perM2, methodById(option.methodId)));
  return {
    verdict: each.reduce<Verdict>((v, { option }) => (STRICTNESS[option.verdict] > STRICTNESS[v] ? option.verdict : v), 'go'),
    because: [...told.values()],
    personHours: efforts.reduce<Range>((sum, e) => plus(sum, e.personHours), { low: 0, high: 0 }),
    total: efforts.reduce<Range>((sum, e) => plus(sum, e.total), { low: 0, high: 0 }),
  };
}

/** What is planned on each part, together; null while any part has nothing. One that is kept against practice counts as blocked. */
export function eachItsOwn(parts: readonly PartChoice[]): Summed | null {
  const each = parts.flatMap((part): Each[] => {
    const option = part.options.find((o) => o.methodId === part.selected.value);
    return option ? [{ part, option }] : [];
  });
  return each.length === parts.length && each.length > 0 ? summed(each) : null;
}

/**
 * Methods that are blocked on no part, best first: by their verdict, then by the places that they take in the ranking of each part.
 * @param parts those with an area
 */
export function bestTogether(parts: readonly PartChoice[]): Together[] {
  const [first] = parts;
  if (!first) return [];
  const made = first.options.flatMap(({ methodId }): (Together & { readonly place: number })[] => {
    const each = parts.flatMap((part): Each[] => {
      const option = part.options.find((o) => o.methodId === methodId);
      return option && option.verdict !== 'blocked' ? [{ part, option }] : [];
    });
    if (each.length < parts.length) return [];
    return [
      {
        methodId,
        ...summed(each),
        inPlan: parts.every((p) => p.selected.value === methodId),
        place: each.reduce((sum, x) => sum + x.part.options.indexOf(x.option), 0),
      },
    ];
  });
  return made
    .sort(
      (a, b) =>
        Number(b.inPlan) - Number(a.inPlan) ||
        Number(isLast(a)) - Number(isLast(b)) ||
        STRICTNESS[a.verdict] - STRICTNESS[b.verdict] ||
        a.place - b.place,
    )
    .map(({ place: _p, ...t }) => t);
}
