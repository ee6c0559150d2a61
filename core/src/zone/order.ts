/**
 * In which order the surfaces of a zone are worked: from above down, for what is above drips and sheds on what is below; wide faces before
 * what stands on them, the floor last. Common practice, no published source.
 */
import { typed, why, type Reason } from '../reasons';

interface Turned {
  readonly surfaceId: string;
  readonly name: string;
  readonly turn: number;
}

/** @returns the order in which they are worked, and what of the entered order it changed */
export function zoneOrder(members: readonly Turned[]): { readonly order: readonly string[]; readonly moved: readonly Reason[] } {
  const sorted = members
    .map((m, i) => ({ m, i }))
    .sort((a, b) => a.m.turn - b.m.turn || a.i - b.i)
    .map((x) => x.m);
  // The first that was entered after something it drips on says enough.
  const late = members.findIndex((m, i) => members.slice(0, i).some((x) => x.turn > m.turn));
  const early = late < 0 ? undefined : members.slice(0, late).find((x) => x.turn > members[late]!.turn);
  return {
    order: sorted.map((m) => m.surfaceId),
    moved:
      early === undefined ? [] : [why('order.fromAbove', 'trade-order', { first: typed(members[late]!.name), then: typed(early.name) })],
  };
}
