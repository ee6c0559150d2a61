/** Law W4: what a person typed stands in Markdown as typed, and is never read as markup. */

const asTyped = (text: string): string => text.replace(/\s*[\r\n]+\s*/g, ' ').replace(/[\\`*_[\]<>#|~&]/g, '\\$&');

/** A report with every text in it escaped; ids and states have nothing to escape, and what is shared stays shared. */
export function escaped<T>(report: T): T {
  const made = new Map<object, unknown>();
  const visit = (x: unknown): unknown => {
    if (typeof x === 'string') return asTyped(x);
    if (typeof x !== 'object' || x === null) return x;
    const known = made.get(x);
    if (known !== undefined) return known;
    const copy = Array.isArray(x) ? x.map(visit) : Object.fromEntries(Object.entries(x).map(([k, v]) => [k, visit(v)]));
    made.set(x, copy);
    return copy;
  };
  return visit(report) as T;
}
