/**
 * Floor and ground as seen from above, metres. A room: wall A along the bottom, then B left, C top and D right, as one meets them turning
 * right in its door; a run along the walls goes the same way round, from the left corner of A. A house: the same letters round its outside.
 */
import type { WallId } from '../facts';

export interface Rect {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

const width = (r: Rect): number => Math.max(0, r.x1 - r.x0);
const height = (r: Rect): number => Math.max(0, r.y1 - r.y0);

export const clip = (r: Rect, to: Rect): Rect => ({
  x0: Math.max(r.x0, to.x0),
  y0: Math.max(r.y0, to.y0),
  x1: Math.min(r.x1, to.x1),
  y1: Math.min(r.y1, to.y1),
});

/** Area that rectangles cover together, m2: what lies under several of them is counted once. Exact, by the lines of their edges. */
export function unionArea(rects: readonly Rect[]): number {
  const real = rects.filter((r) => width(r) > 0 && height(r) > 0);
  const xs = [...new Set(real.flatMap((r) => [r.x0, r.x1]))].sort((a, b) => a - b);
  let area = 0;
  for (let i = 0; i + 1 < xs.length; i += 1) {
    const [from, to] = [xs[i]!, xs[i + 1]!];
    const spans = real.filter((r) => r.x0 <= from && r.x1 >= to).sort((a, b) => a.y0 - b.y0);
    let covered = 0;
    let top = -Infinity;
    for (const s of spans) {
      covered += Math.max(0, s.y1 - Math.max(s.y0, top));
      top = Math.max(top, s.y1);
    }
    area += covered * (to - from);
  }
  return area;
}

export interface Floor {
  readonly lengthM: number;
  readonly widthM: number;
}
export const floorOf = ({ lengthM, widthM }: Floor): Rect => ({ x0: 0, y0: 0, x1: lengthM, y1: widthM });

const ORDER: readonly WallId[] = ['A', 'B', 'C', 'D'];

/**
 * Several like pieces on one wall stand evenly on it, as far from its right corner as the first from its left, where there is room for that.
 * @returns from the left edge of one to that of the next, and how far all of them reach, m
 */
export function spread(count: number, eachM: number, alongM: number, wallM: number): { readonly pitchM: number; readonly spanM: number } {
  const span = wallM - 2 * alongM;
  if (count < 2 || span < count * eachM) return { pitchM: eachM, spanM: count * eachM };
  return { pitchM: (span - eachM) / (count - 1), spanM: span };
}

export const wallLength = (wall: WallId, f: Floor): number => (wall === 'A' || wall === 'C' ? f.lengthM : f.widthM);

/** Pieces of the walls that a run takes up: it goes round the corners, and once round at most. */
export function wallsOf(wall: WallId, alongM: number, runM: number, f: Floor): { wall: WallId; fromM: number; toM: number }[] {
  const out: { wall: WallId; fromM: number; toM: number }[] = [];
  let left = Math.min(runM, 2 * (f.lengthM + f.widthM));
  let i = ORDER.indexOf(wall);
  let from = Math.min(alongM, wallLength(wall, f));
  while (left > 1e-9) {
    const on = ORDER[i % 4]!;
    const to = Math.min(from + left, wallLength(on, f));
    if (to > from) out.push({ wall: on, fromM: from, toM: to });
    left -= to - from;
    from = 0;
    i += 1;
  }
  return out;
}

/** A strip on the inside of a wall, `deep` out from it, from one place along it to another. */
function inside(wall: WallId, from: number, to: number, deep: number, f: Floor): Rect {
  switch (wall) {
    case 'A':
      return { x0: f.lengthM - to, x1: f.lengthM - from, y0: 0, y1: deep };
    case 'B':
      return { x0: 0, x1: deep, y0: from, y1: to };
    case 'C':
      return { x0: from, x1: to, y0: f.widthM - deep, y1: f.widthM };
    case 'D':
      return { x0: f.lengthM - deep, x1: f.lengthM, y0: f.widthM - to, y1: f.widthM - from };
  }
}

/** Floor sheet for a run along the walls: so far beyond it on each side and out, cut off by the walls. 40 CFR 745.85(a)(2)(i) */
export const sheetInside = (wall: WallId, alongM: number, runM: number, beyondM: number, f: Floor): Rect[] =>
  wallsOf(wall, alongM, runM, f).map((w) => clip(inside(w.wall, w.fromM - beyondM, w.toM + beyondM, beyondM, f), floorOf(f)));

/** What lies before a side, seen flat with the wall along y = 0 and the ground below it, on the footprint. */
export function beforeSide(side: WallId, r: Rect, f: Floor): Rect {
  // Seen from outside the left corner of a side is its other end.
  switch (side) {
    case 'A':
      return r;
    case 'B':
      return { x0: r.y0, x1: r.y1, y0: f.widthM - r.x1, y1: f.widthM - r.x0 };
    case 'C':
      return { x0: f.lengthM - r.x1, x1: f.lengthM - r.x0, y0: f.widthM - r.y1, y1: f.widthM - r.y0 };
    case 'D':
      return { x0: f.lengthM - r.y1, x1: f.lengthM - r.y0, y0: r.x0, y1: r.x1 };
  }
}

/** Ground sheet for a run along one side of a house, outside its footprint; its ends go round the corners. 40 CFR 745.85(a)(2)(ii) */
export const sheetOutside = (side: WallId, alongM: number, runM: number, beyondM: number, outM: number, f: Floor): Rect =>
  beforeSide(side, { x0: alongM - beyondM, x1: alongM + runM + beyondM, y0: -outM, y1: 0 }, f);
