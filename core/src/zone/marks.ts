/**
 * What stands round the work, on the drawing of a room or side: seals, the flap, the air machine, the clean way, screens, scaffold, what lies
 * near, and the line past which nobody goes. Metres, in the drawing's own coordinates.
 */
import type { Nearby, Space, Surface } from '../facts';
import type { Protection } from '../protect';
import { say } from '../reasons';
import { isOpening } from '../walk';
import type { Rect } from '../geometry/shapes';
import type { Unfolded } from './unfold';

export const MARKS = ['seal', 'flap', 'air', 'way', 'screen', 'keepOut', 'scaffold', 'near', 'damage'] as const;
export type MarkKind = (typeof MARKS)[number];
export interface Line {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}
export interface Mark {
  readonly kind: MarkKind;
  readonly box: Rect | null;
  readonly lines: readonly Line[];
  /** A word that stands on it; none where its look says it. */
  readonly name: string | null;
}

/** What of a zone is drawn round its work. */
export interface SetUpDrawn {
  readonly openings: Protection['openings']['value'];
  readonly screen: boolean;
  /** A piece of the zone is its way in, here or in a room that is joined. */
  readonly wayIn: boolean;
  /** It is a part of its room or side. */
  readonly part: boolean;
  /** As it lies on this drawing. */
  readonly sheet: readonly Rect[];
}

const line = (x0: number, y0: number, x1: number, y1: number): Line => ({ x0, y0, x1, y1 });
const mark = (kind: MarkKind, lines: readonly Line[], box: Rect | null = null, name: string | null = null): Mark => ({
  kind,
  lines,
  box,
  name,
});
const aboutOf = (rects: readonly Rect[]): Rect | null =>
  rects.length === 0
    ? null
    : {
        x0: Math.min(...rects.map((r) => r.x0)),
        x1: Math.max(...rects.map((r) => r.x1)),
        y0: Math.min(...rects.map((r) => r.y0)),
        y1: Math.max(...rects.map((r) => r.y1)),
      };
const edges = (r: Rect): Line[] => [
  line(r.x0, r.y0, r.x1, r.y0),
  line(r.x1, r.y0, r.x1, r.y1),
  line(r.x1, r.y1, r.x0, r.y1),
  line(r.x0, r.y1, r.x0, r.y0),
];

/** Where an opening meets the floor, and which way is out there. */
function footOf(r: Rect, floor: Rect): { readonly x: number; readonly y: number; readonly out: readonly [number, number] } {
  const [mx, my] = [(r.x0 + r.x1) / 2, (r.y0 + r.y1) / 2];
  if (r.y0 >= floor.y1) return { x: mx, y: floor.y1, out: [0, 1] };
  if (r.y1 <= floor.y0) return { x: mx, y: floor.y0, out: [0, -1] };
  return r.x1 <= floor.x0 ? { x: floor.x0, y: my, out: [-1, 0] } : { x: floor.x1, y: my, out: [1, 0] };
}

/** An arrow from one place so far in a direction. */
function arrow(x: number, y: number, [dx, dy]: readonly [number, number], far: number): Line[] {
  const [tx, ty] = [x + dx * far, y + dy * far];
  const head = 0.22;
  return [
    line(x, y, tx, ty),
    line(tx, ty, tx - (dx + dy) * head, ty - (dy - dx) * head),
    line(tx, ty, tx - (dx - dy) * head, ty - (dy + dx) * head),
  ];
}

const MACHINE = 0.5;

function openingMarks(of: Unfolded, floor: Rect, surfaces: readonly Surface[], inside: boolean): Mark[] {
  return of.pieces.flatMap((p): Mark[] => {
    const s = surfaces.find((x) => x.id === p.surfaceId);
    const [first] = p.rects;
    if (!s || !first || !isOpening(s.element)) return [];
    const use = inside ? s.opening : 'sealed';
    if (use === 'sealed') return p.rects.map((r) => mark('seal', [], r));
    const foot = footOf(first, floor);
    const [dx, dy] = foot.out;
    const sealed = p.rects.slice(1).map((r) => mark('seal', [], r));
    if (use === 'wayIn')
      return [
        mark('flap', [], first),
        mark('way', arrow(foot.x - dx * 0.8, foot.y - dy * 0.8, foot.out, 1.7), null, 'in and out'),
        ...sealed,
      ];
    const [cx, cy] = [foot.x - dx * MACHINE, foot.y - dy * MACHINE];
    const box = { x0: cx - MACHINE / 2, x1: cx + MACHINE / 2, y0: cy - MACHINE / 2, y1: cy + MACHINE / 2 };
    return [
      mark('seal', [], first),
      mark('air', arrow(cx + (dx * MACHINE) / 2, cy + (dy * MACHINE) / 2, foot.out, 0.9), box, 'air'),
      ...sealed,
    ];
  });
}

/** Round a part of a room: where its sheet does not end at a wall. */
const screenRound = (r: Rect, floor: Rect): Line[] =>
  edges(r).filter((l) =>
    l.x0 === l.x1
      ? Math.min(Math.abs(l.x0 - floor.x0), Math.abs(l.x0 - floor.x1)) > 0.01
      : Math.min(Math.abs(l.y0 - floor.y0), Math.abs(l.y0 - floor.y1)) > 0.01,
  );

const BAY = 2.1;
const LIFT = 2;

/** Standards and ledgers before a side. */
function scaffoldOf(n: Nearby, side: Rect, accessM: number | null): Mark {
  const from = Math.min(side.x0 + (n.alongM ?? 0), side.x1);
  const to = n.lengthM === null ? side.x1 : Math.min(from + n.lengthM, side.x1);
  const top = side.y1 - Math.min(side.y1 - side.y0, Math.max(LIFT, accessM ?? side.y1 - side.y0));
  const bays = Math.max(1, Math.round((to - from) / BAY));
  const lifts = Math.max(1, Math.floor((side.y1 - top) / LIFT + 1e-9));
  return mark('scaffold', [
    ...Array.from({ length: bays + 1 }, (_, i) => from + ((to - from) * i) / bays).map((x) => line(x, top, x, side.y1)),
    ...Array.from({ length: lifts }, (_, i) => side.y1 - (i + 1) * LIFT).map((y) => line(from, y, to, y)),
  ]);
}

/** How deep each thing is drawn, away from the house, m; a window stands in a wall. */
const depthOf = (n: Pick<Nearby, 'what'>): number => (n.what === 'neighbourWindow' ? 0.25 : n.what === 'path' ? 1 : 0.7);
/** How long, where nobody measured it. */
const longOf = (n: Nearby, wholeM: number): number => n.lengthM ?? (n.what === 'path' ? wholeM : 1);

/** What lies before a side, seen flat: the wall along y = 0, the ground below it. */
export function nearRect(n: Nearby, wholeM: number): Rect {
  const out = n.outM ?? 1;
  const x0 = n.alongM ?? 0;
  return { x0, x1: Math.min(x0 + longOf(n, wholeM), Math.max(wholeM, x0 + 0.3)), y0: -out - depthOf(n), y1: -out };
}

/** Half a cross where the ground is damaged, m. */
const CROSS = 0.08;
/** Damage that somebody placed, on the piece on which it is: along it from its left edge, up from below, whichever way its wall is folded. */
export function damageMarks(of: Unfolded, surfaces: readonly Surface[]): Mark[] {
  return of.pieces.flatMap((p): Mark[] => {
    const s = surfaces.find((x) => x.id === p.surfaceId);
    const [r] = p.rects;
    if (!s || !r) return [];
    const [mx, my] = [(r.x0 + r.x1) / 2, (r.y0 + r.y1) / 2];
    const face = of.faces.find((f) => f.id !== 'ground' && mx >= f.rect.x0 && mx <= f.rect.x1 && my >= f.rect.y0 && my <= f.rect.y1);
    // Walls B and D are folded out sideways: what is up on them lies left and right.
    const aside = face?.id === 'B' || face?.id === 'D';
    const [longM, highM] = aside ? [r.y1 - r.y0, r.x1 - r.x0] : [r.x1 - r.x0, r.y1 - r.y0];
    return s.defects.flatMap((x): Mark[] => {
      if (x.removedAt !== null || x.alongM === null || x.upM === null) return [];
      const [along, up] = [Math.min(x.alongM, longM), Math.min(x.upM, highM)];
      const at = {
        A: [r.x1 - along, r.y0 + up],
        B: [r.x1 - up, r.y1 - along],
        C: [r.x0 + along, r.y1 - up],
        D: [r.x0 + up, r.y0 + along],
      }[face?.id === 'A' || face?.id === 'B' || face?.id === 'D' ? face.id : 'C'] as [number, number];
      const [cx, cy] = at;
      return [mark('damage', [line(cx - CROSS, cy - CROSS, cx + CROSS, cy + CROSS), line(cx - CROSS, cy + CROSS, cx + CROSS, cy - CROSS)])];
    });
  });
}

export function marksOf(
  of: Unfolded,
  space: Pick<Space, 'kind' | 'nearby' | 'accessM' | 'lengthM'>,
  surfaces: readonly Surface[],
  z: SetUpDrawn,
): Mark[] {
  const ground = of.faces.find((f) => f.id === 'floor' || f.id === 'ground')!.rect;
  const guarded = z.openings !== 'none';
  const sheet = aboutOf(z.sheet);
  const out: Mark[] = guarded ? openingMarks(of, ground, surfaces, space.kind === 'room') : [];
  if (space.kind === 'room') {
    // Wall A is the one with the door, whether it is on the list or not.
    if (guarded && !z.part && !z.wayIn) {
      const { x0, x1, y1: y } = ground;
      const [from, to] = [x0 + (x1 - x0) * 0.5 - 0.45, x0 + (x1 - x0) * 0.5 + 0.45];
      out.push(
        mark('flap', [], { x0: from, x1: to, y0: y, y1: y + 2 }),
        mark('way', arrow((from + to) / 2, y - 0.8, [0, 1], 1.7), null, 'in and out'),
      );
    }
    if (guarded && z.part && sheet) out.push(mark('screen', screenRound(sheet, ground), null, 'sealed screen'));
    else if (guarded && !z.part) out.push(mark('keepOut', edges(ground)));
    return out;
  }
  const side = of.faces.find((f) => f.id === 'side')!.rect;
  for (const n of space.nearby) {
    if (n.what === 'scaffold') out.push(scaffoldOf(n, side, space.accessM));
    const flat = nearRect(n, space.lengthM ?? side.x1);
    const box = of.onFloor(flat);
    // What lies farther out than the ground that is drawn stands on the house from above.
    if (n.what !== 'scaffold' && n.outM !== null && box.y0 < ground.y1 - 0.1)
      out.push(mark('near', [], { ...box, y1: Math.min(box.y1, ground.y1) }, say(`near.${n.what}`)));
  }
  if (guarded && sheet) {
    if (z.screen) out.push(mark('screen', [line(sheet.x0, sheet.y1, sheet.x1, sheet.y1)], null, 'screen'));
    // Along the wall nobody passes anyway; where the screen stands it is the line.
    const ahead = (l: Line) => l.y0 === l.y1;
    out.push(
      mark(
        'keepOut',
        edges(sheet).filter((l) => !ahead(l) || (l.y0 > sheet.y0 && !z.screen)),
      ),
    );
  }
  return out;
}
