/** Whose face a tight mask was tested on. 29 CFR 1910.134(f)(2): each year, and for every other mask; HSE INDG479 says the same of UK rules. */
import type { Person } from '../facts';
import type { Respirator } from '../rulebook';

/** A loose hood seals on nothing and is tested on nobody. */
export const needsFit = ({ build }: Pick<Respirator, 'build'>): boolean => build !== 'powered';

export interface Fitted {
  readonly name: string;
  /** As the record calls the masks; which of them is the one that is asked for, a person reads. */
  readonly masks: readonly string[];
}

/** @param on `2026-05-04`; tests of the year before it, that day itself included */
export function fittedOn(people: readonly Person[], on: string): { readonly fitted: readonly Fitted[]; readonly not: readonly string[] } {
  const since = `${Number(on.slice(0, 4)) - 1}${on.slice(4)}`;
  const live = people.filter((p) => p.removedAt === null);
  const of = (p: Person) => p.fitTests.filter((f) => f.on >= since && f.on <= on).map((f) => f.mask);
  return {
    fitted: live.flatMap((p) => (of(p).length > 0 ? [{ name: p.name, masks: of(p) }] : [])),
    not: live.filter((p) => of(p).length === 0).map((p) => p.name),
  };
}
