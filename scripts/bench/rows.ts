/** A figure, the baseline it is held against, and their ratio: what a bench prints. */
export interface Row {
  what: string;
  own: string;
  baseline: string;
  ratio: string;
  aim: string;
}

export const rows: Row[] = [];
const shown = (x: number, unit: string) => `${x.toFixed(x < 10 ? 2 : 0)} ${unit}`;

export function row(what: string, own: number, base: number, unit: string, aim: string) {
  rows.push({
    what,
    own: shown(own, unit),
    baseline: shown(base, unit),
    ratio: (own / base).toFixed(own / base < 0.1 ? 4 : 2),
    aim,
  });
}

export const median = (xs: readonly number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? NaN;

/** Milliseconds that a call takes. */
export function time(f: () => unknown): number {
  const t = performance.now();
  f();
  return performance.now() - t;
}
