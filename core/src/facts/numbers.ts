/** The firm's own numbers, as they stand on bags, tubes and tickets. */

/** A number as it is compared: `qp-7`, `QP-07` and `QP 7` are one. */
export const sameNumber = (n: string): string =>
  n
    .trim()
    .toUpperCase()
    .replace(/[\s_.-]+/g, '-')
    .replace(/-0+(?=\d)/g, '-');

/** The next free number: the prefix, and one more than the highest that was used, also by what was taken off. */
export function numberAfter(prefix: string, all: readonly { readonly number: string }[], ahead = 0): string {
  const used = all.map((x) => Number(/(\d+)\s*$/.exec(x.number)?.[1] ?? 0));
  return `${prefix}-${String(Math.max(0, ...used) + 1 + ahead).padStart(3, '0')}`;
}
