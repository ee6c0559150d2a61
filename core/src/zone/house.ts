/** The house from above: its footprint, its sides with their letters, ground sheets and boundaries round it. */
import type { Space } from '../facts';
import { say } from '../reasons';
import { nearRect } from './marks';
import { beforeSide, type Floor, type Rect } from '../geometry/shapes';
import type { Box, Scene, Shape } from './scene';

export interface SideShown {
  readonly space: Pick<Space, 'id' | 'name' | 'side' | 'boundaryM' | 'lengthM' | 'nearby'>;
  /** Its ground sheet as it lies before the side, seen flat; where nobody placed its pieces, only how far it goes out. */
  readonly sheet: { readonly outM: number; readonly rects: readonly Rect[] };
  /** A surface of it, to which a tap leads. */
  readonly opens: string | null;
}

/** Ground that is drawn round a house, m: at least, and at most for what lies far off. */
const ROUND = 5;
const FAR = 9;

/** @param sides those that stand on the list; a side without its letter is not drawn */
export function houseScene(house: Floor, sides: readonly SideShown[], width: number, maxHeight: number): Scene {
  const [L, W] = [house.lengthM, house.widthM];
  const near = sides.flatMap((s) => (s.space.side === null ? [] : s.space.nearby.map((n) => ({ n, side: s.space.side! }))));
  const round = Math.max(ROUND, ...near.map(({ n }) => Math.min(n.outM ?? 0, FAR) + 1.2));
  const k = Math.min(width / (L + 2 * round), maxHeight / (W + 2 * round));
  const left = (width - (L + 2 * round) * k) / 2;
  /** From metres, A at the bottom, to the drawing. */
  const box = (x0: number, y0: number, x1: number, y1: number): Box => ({
    x: left + (round + x0) * k,
    y: (round + W - y1) * k,
    w: (x1 - x0) * k,
    h: (y1 - y0) * k,
  });
  const strip = (side: NonNullable<Space['side']>, out: number): Box => {
    switch (side) {
      case 'A':
        return box(-out, -out, L + out, 0);
      case 'C':
        return box(-out, W, L + out, W + out);
      case 'B':
        return box(-out, -out, 0, W + out);
      case 'D':
        return box(L, -out, L + out, W + out);
    }
  };
  const behind: Shape[] = [
    { kind: 'rect', x: left, y: 0, w: (L + 2 * round) * k, h: (W + 2 * round) * k, paint: 'ground', ink: 'faint', wide: 1 },
  ];
  const before: Shape[] = [];
  const placed = sides.flatMap((s) => (s.space.side === null ? [] : [{ ...s, side: s.space.side }]));
  for (const { side, sheet } of placed) {
    const laid = sheet.rects.map((r) => beforeSide(side, r, house));
    for (const r of laid)
      behind.push({ kind: 'rect', ...box(r.x0, r.y0, r.x1, r.y1), paint: 'sheet', textured: true, ink: 'slate', wide: 1.5 });
    // Somewhere along it: dashed, as all that nobody placed.
    if (laid.length === 0 && sheet.outM > 0)
      behind.push({ kind: 'rect', ...strip(side, Math.min(sheet.outM, round)), paint: null, ink: 'slate', wide: 1.5, dashed: true });
  }
  behind.push({ kind: 'rect', ...box(0, 0, L, W), paint: 'house', ink: 'ink', wide: 2 });
  for (const s of placed) {
    const { boundaryM: edge } = s.space;
    if (edge !== null && edge < round) {
      const b = strip(s.side, edge);
      const [across, at] =
        s.side === 'A' || s.side === 'C' ? [true, s.side === 'A' ? b.y + b.h : b.y] : [false, s.side === 'B' ? b.x : b.x + b.w];
      before.push(
        across
          ? { kind: 'line', x1: left, x2: left + (L + 2 * round) * k, y1: at, y2: at, ink: 'oxide', wide: 2, dashed: true }
          : { kind: 'line', x1: at, x2: at, y1: 0, y2: (W + 2 * round) * k, ink: 'oxide', wide: 2, dashed: true },
      );
    }
  }
  for (const { n, side } of near) {
    const long = sides.find((s) => s.space.side === side)?.space.lengthM ?? (side === 'A' || side === 'C' ? L : W);
    if ((n.outM ?? 0) > FAR) continue;
    const flat = n.what === 'scaffold' ? { ...nearRect({ ...n, lengthM: n.lengthM ?? long }, long), y0: -1, y1: 0 } : nearRect(n, long);
    const on = beforeSide(side, flat, house);
    const b = box(on.x0, on.y0, on.x1, on.y1);
    const text = say(`near.${n.what}`);
    const w = text.length * 6.4 + 6;
    // On it where it is large enough, else beside it.
    const x = b.w > w + 8 ? b.x + b.w / 2 - w / 2 : b.x + b.w + 2;
    before.push(
      {
        kind: 'rect',
        ...b,
        paint: n.what === 'scaffold' ? null : 'house',
        ink: 'ink',
        wide: n.what === 'neighbourWindow' ? 3 : 1.2,
        dashed: n.outM === null && n.what !== 'scaffold',
      },
      { kind: 'rect', x, y: b.y + b.h / 2 - 7, w, h: 14, paint: 'paper' },
      { kind: 'text', x: x + w / 2, y: b.y + b.h / 2 + 4, size: 11, text, ink: 'ink', middle: true },
    );
  }
  const pieces = placed.map((s) => {
    const b = strip(s.side, 0.001);
    const flat = s.side === 'A' || s.side === 'C';
    const [cx, cy] = [b.x + b.w / 2, b.y + b.h / 2];
    const text = `${s.side} ${s.space.name}`;
    const shown = text.length * 6.4 + 6 < L * k - 8 || !flat ? (flat ? text : s.side) : s.side;
    const w = shown.length * 6.4 + 8;
    const y = s.side === 'A' ? cy - 20 : s.side === 'C' ? cy + 4 : cy - 8;
    const x = s.side === 'B' ? cx + 4 : s.side === 'D' ? cx - w - 4 : cx - w / 2;
    return {
      opens: s.opens ?? '',
      shapes: [
        { kind: 'rect', x, y, w, h: 16, paint: 'paper' },
        { kind: 'text', x: x + w / 2, y: y + 12.5, size: 12, text: shown, ink: 'ink', middle: true },
      ] satisfies Shape[],
    };
  });
  return { width, height: (W + 2 * round) * k + 2, behind, pieces, before };
}
