/**
 * The drawing of a room, a side or the house as plain shapes at a given width: the screen, the saved SVG and the paper draw the same ones.
 * Named paints, so that each may have its own colours; a state is always a texture or a letter too.
 */
import type { HazardState } from '../probe';
import type { Mark, MarkKind } from './marks';
import type { Rect } from '../geometry/shapes';
import type { Face, Unfolded } from './unfold';

/** What a piece is shown as: the state of its hazard, how deep the plan bites, or how far its work has come. */
export type Tone = HazardState | 'biteNone' | 'biteSkin' | 'biteLoose' | 'biteBare' | 'open' | 'begun' | 'done';
export type Paint = Tone | 'wall' | 'floor' | 'ground' | 'sheet' | 'paper' | 'house';
export type Ink = 'ink' | 'faint' | 'oxide' | 'slate' | 'ochre';

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
export type Shape =
  | ({
      readonly kind: 'rect';
      readonly paint: Paint | null;
      readonly textured?: boolean;
      readonly ink?: Ink;
      readonly wide?: number;
      readonly dashed?: boolean;
    } & Box)
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly ink: Ink;
      readonly wide: number;
      readonly dashed?: boolean;
    }
  | { readonly kind: 'dot'; readonly x: number; readonly y: number; readonly r: number; readonly ink: Ink }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly text: string;
      readonly ink: Ink;
      readonly middle?: boolean;
    };

/** What is drawn of one piece; `opens`: the surface that a tap on it leads to. */
export interface PieceShapes {
  readonly opens: string;
  readonly shapes: readonly Shape[];
}
export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly behind: readonly Shape[];
  readonly pieces: readonly PieceShapes[];
  readonly before: readonly Shape[];
}

export interface PlanPiece {
  readonly name: string;
  readonly tone: Tone;
  /** Letters that stand beside the name: Pb, asbestos, mold; a count of checks. */
  readonly mark: string;
  /** Where samples were taken on it: shares of its face from the left and from below. */
  readonly samples?: readonly { readonly x: number; readonly y: number; readonly number: string }[];
}

export interface SceneOptions {
  readonly width: number;
  readonly maxHeight: number;
  readonly currentId?: string;
  /** Seen from above; `whole`: all of the floor. */
  readonly sheet?: readonly Rect[] | 'whole';
  readonly sheetSays?: string | null;
  readonly marks?: readonly Mark[];
}

const TEXTURED: readonly Paint[] = ['found', 'assumed', 'waiting', 'biteBare', 'biteLoose', 'done', 'begun'];
const LABEL = 11.5;
/** Width of a letter of that size, near enough to keep names apart. */
const LETTER = 6.4;

/** One square is a metre; of a large room five. */
const gridOf = (of: Unfolded): number => (Math.max(of.widthM, of.heightM) > 30 ? 5 : 1);
const paintOf = (f: Face): Paint => (f.id === 'floor' ? 'floor' : f.id === 'ground' ? 'ground' : 'wall');

/** The letter of what was found, and the name where there is room for it: none lies over another. */
function labels(of: Unfolded, pieces: ReadonlyMap<string, PlanPiece>, box: (r: Rect) => Box): Shape[] {
  const taken: Box[] = [];
  const out: Shape[] = [];
  // The smallest first: it has the fewest places for its name.
  for (const p of [...of.pieces].reverse()) {
    const piece = pieces.get(p.surfaceId);
    const largest = p.rects.reduce<Rect | undefined>((a, r) => (a === undefined || r.x1 - r.x0 > a.x1 - a.x0 ? r : a), undefined);
    if (!piece || !largest) continue;
    const b = box(largest);
    const wide = (text: string) => text.length * LETTER + 6;
    const at = { x: b.x + 4, y: b.y + 3 };
    const meets = (w: number) => taken.some((n) => at.x < n.x + n.w && n.x < at.x + w && at.y < n.y + n.h && n.y < at.y + 14);
    const whole = piece.mark === '' ? piece.name : `${piece.name} · ${piece.mark}`;
    const fits = [whole, ...(piece.mark === '' ? [] : [piece.mark])].find((text) => b.w > wide(text) + 4 && b.h > 15 && !meets(wide(text)));
    if (fits === undefined) continue;
    const plate: Box = { ...at, w: wide(fits), h: 14 };
    taken.push(plate);
    out.push(
      { kind: 'rect', ...plate, paint: 'paper' },
      { kind: 'text', x: at.x + 3, y: at.y + 11, size: LABEL, text: fits, ink: piece.tone === 'found' ? 'oxide' : 'ink' },
    );
  }
  return out;
}

/** A letter on a wall, in the corner that the next wall leaves free. */
function wallLetters(of: Unfolded, box: (r: Rect) => Box): Shape[] {
  return of.faces
    .filter((f) => /^[ABCD]$/.test(f.id))
    .flatMap((f): Shape[] => {
      const b = box(f.rect);
      const x = f.id === 'B' ? b.x + 3 : b.x + b.w - 19;
      const y = f.id === 'A' ? b.y + b.h - 19 : b.y + 3;
      return [
        { kind: 'rect', x, y, w: 16, h: 16, paint: 'paper' },
        { kind: 'text', x: x + 8, y: y + 13, size: 13, text: f.id, ink: 'ink', middle: true },
      ];
    });
}

/** How each mark is drawn: a look of its own, so that none needs its colour to be told. */
const LOOK: Readonly<
  Record<MarkKind, { readonly ink: Ink; readonly wide: number; readonly dashed: boolean; readonly paint: Paint | null }>
> = {
  seal: { ink: 'slate', wide: 3.5, dashed: false, paint: null },
  flap: { ink: 'slate', wide: 3.5, dashed: true, paint: null },
  way: { ink: 'slate', wide: 2.5, dashed: false, paint: null },
  air: { ink: 'slate', wide: 2, dashed: false, paint: 'paper' },
  screen: { ink: 'ink', wide: 4, dashed: false, paint: null },
  keepOut: { ink: 'oxide', wide: 2.5, dashed: true, paint: null },
  scaffold: { ink: 'ink', wide: 1, dashed: false, paint: null },
  near: { ink: 'ink', wide: 1.2, dashed: false, paint: 'house' },
  damage: { ink: 'oxide', wide: 2.2, dashed: false, paint: null },
};

function markShapes(m: Mark, box: (r: Rect) => Box, width: number): Shape[] {
  const { ink, wide, dashed, paint } = LOOK[m.kind];
  const at = (x: number, y: number): Box => box({ x0: x, x1: x, y0: y, y1: y });
  const lines = m.lines.map((l): Shape => {
    const [a, b] = [at(l.x0, l.y0), at(l.x1, l.y1)];
    return { kind: 'line', x1: a.x, y1: a.y, x2: b.x, y2: b.y, ink, wide, dashed };
  });
  const own = m.box ? box(m.box) : null;
  const [first] = lines;
  // Beside its box; of a line above where it begins, or above its middle when it lies flat.
  const stands = own
    ? { x: own.x + own.w + 3, y: own.y + own.h / 2 - 7 }
    : first?.kind === 'line'
      ? first.y1 === first.y2
        ? { x: (first.x1 + first.x2) / 2, y: first.y1 - 19 }
        : { x: first.x1 + 5, y: Math.min(first.y1, first.y2) - 2 }
      : null;
  const w = (m.name ?? '').length * LETTER + 6;
  const x = Math.min(stands?.x ?? 0, width - w - 1);
  return [
    ...(own ? [{ kind: 'rect', ...own, paint, ink, wide, dashed } as const] : []),
    ...lines,
    ...(m.name && stands
      ? ([
          { kind: 'rect', x, y: stands.y, w, h: 14, paint: 'paper' },
          { kind: 'text', x: x + 3, y: stands.y + 11, size: LABEL, text: m.name, ink },
        ] as const)
      : []),
  ];
}

function sheetName(b: Box, says: string): Shape[] {
  const wide = says.length * 6.9 + 8;
  if (b.w < wide || b.h < 18) return [];
  const [x, y] = [b.x + (b.w - wide) / 2, b.y + b.h / 2 - 9];
  return [
    { kind: 'rect', x, y, w: wide, h: 18, paint: 'paper' },
    { kind: 'text', x: x + 4, y: y + 13.5, size: 13, text: says, ink: 'slate' },
  ];
}

export function scene(of: Unfolded, pieces: ReadonlyMap<string, PlanPiece>, o: SceneOptions): Scene {
  const k = Math.min(o.width / of.widthM, o.maxHeight / of.heightM);
  const left = (o.width - of.widthM * k) / 2;
  const box = (r: Rect): Box => ({
    x: left + r.x0 * k,
    y: r.y0 * k,
    w: Math.max(1, (r.x1 - r.x0) * k),
    h: Math.max(1, (r.y1 - r.y0) * k),
  });
  const ground = of.faces.find((f) => f.id === 'floor' || f.id === 'ground')!.rect;
  const inside = (r: Rect): Rect => ({
    x0: Math.max(r.x0, ground.x0),
    x1: Math.min(r.x1, ground.x1),
    y0: Math.max(r.y0, ground.y0),
    y1: Math.min(r.y1, ground.y1),
  });
  const sheet = o.sheet === 'whole' ? [ground] : (o.sheet ?? []).map(of.onFloor).map(inside);
  const step = gridOf(of);
  const marks = (from: number, to: number) =>
    Array.from({ length: Math.max(0, Math.ceil((to - from) / step) - 1) }, (_, i) => from + (i + 1) * step);
  const g = box(ground);
  const behind: Shape[] = [
    ...of.faces.map((f): Shape => ({ kind: 'rect', ...box(f.rect), paint: paintOf(f), ink: 'ink', wide: 1 })),
    ...marks(ground.x0, ground.x1).map((x): Shape => ({
      kind: 'line',
      x1: left + x * k,
      x2: left + x * k,
      y1: g.y,
      y2: g.y + g.h,
      ink: 'faint',
      wide: 1,
    })),
    ...marks(ground.y0, ground.y1).map((y): Shape => ({
      kind: 'line',
      x1: g.x,
      x2: g.x + g.w,
      y1: y * k,
      y2: y * k,
      ink: 'faint',
      wide: 1,
    })),
    ...sheet.map((r): Shape => ({ kind: 'rect', ...box(r), paint: 'sheet', textured: true, ink: 'slate', wide: 1.5 })),
  ];
  const drawn = of.pieces.flatMap((p): PieceShapes[] => {
    const piece = pieces.get(p.surfaceId);
    if (!piece) return [];
    const shapes = p.rects.flatMap((r, i): Shape[] => [
      { kind: 'rect', ...box(r), paint: piece.tone, textured: TEXTURED.includes(piece.tone) },
      { kind: 'rect', ...box(r), paint: null, ink: 'ink', wide: p.surfaceId === o.currentId ? 3.5 : 1.3, dashed: p.guessed },
      ...(i > 0
        ? []
        : (piece.samples ?? []).map((x): Shape => ({
            kind: 'dot',
            x: box(r).x + x.x * box(r).w,
            y: box(r).y + (1 - x.y) * box(r).h,
            r: 4,
            ink: 'oxide',
          }))),
    ]);
    return [{ opens: p.surfaceId, shapes }];
  });
  return {
    width: o.width,
    height: of.heightM * k + 2,
    behind,
    pieces: drawn,
    before: [
      ...(o.marks ?? []).flatMap((m) => markShapes(m, box, o.width)),
      ...labels(of, pieces, box),
      ...wallLetters(of, box),
      ...(o.sheetSays && sheet.length > 0 ? sheetName(box(sheet[0]!), o.sheetSays) : []),
    ],
  };
}

/** Colours on paper: pigments on white. */
const COLOUR: Readonly<Record<Paint | Ink, string>> = {
  found: '#dfa79c',
  assumed: '#f4e6e2',
  waiting: '#f9f3e2',
  unknown: '#f9f9f7',
  notFound: '#dfe9e2',
  biteNone: '#f9f9f7',
  biteSkin: '#f4eeda',
  biteLoose: '#ead8ac',
  biteBare: '#d9b98a',
  open: '#f9f9f7',
  begun: '#f4eeda',
  done: '#cfe0d4',
  wall: '#f4f2ea',
  floor: '#ffffff',
  ground: '#e7e4d4',
  house: '#e2ded0',
  sheet: '#c3cfdb',
  paper: '#f9f9f7',
  ink: '#21201c',
  faint: '#d8d4c4',
  oxide: '#8e2f20',
  slate: '#3a5068',
  ochre: '#a87012',
};
export const paintColour = (p: Paint | Ink): string => COLOUR[p];

/** Strokes of a texture, drawn as lines so that every reader of SVG shows them: in one direction, so far apart. */
export const TEXTURES: Readonly<
  Partial<Record<Paint, { readonly ink: Ink; readonly gap: number; readonly wide: number; readonly lean: 'up' | 'down' | 'flat' | 'dots' }>>
> = {
  found: { ink: 'oxide', gap: 8, wide: 2, lean: 'up' },
  assumed: { ink: 'oxide', gap: 9, wide: 1, lean: 'up' },
  waiting: { ink: 'ochre', gap: 7, wide: 1.8, lean: 'dots' },
  sheet: { ink: 'slate', gap: 7, wide: 0.9, lean: 'flat' },
  biteLoose: { ink: 'ochre', gap: 9, wide: 1, lean: 'down' },
  biteBare: { ink: 'ochre', gap: 6, wide: 1.6, lean: 'down' },
  begun: { ink: 'slate', gap: 10, wide: 1, lean: 'down' },
  done: { ink: 'slate', gap: 6, wide: 1, lean: 'down' },
};

const escaped = (s: string): string => s.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
const n = (x: number): string => String(Number(x.toFixed(2)));

/** Lines across a box, clipped to it by arithmetic: patterns are not drawn by every reader. */
export function hatch(
  b: Box,
  t: NonNullable<(typeof TEXTURES)[Paint]>,
): { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number }[] {
  const out: { x1: number; y1: number; x2: number; y2: number }[] = [];
  if (t.lean === 'flat') {
    for (let y = b.y + t.gap / 2; y < b.y + b.h; y += t.gap) out.push({ x1: b.x, x2: b.x + b.w, y1: y, y2: y });
    return out;
  }
  if (t.lean === 'dots') {
    for (let y = b.y + t.gap / 2; y < b.y + b.h; y += t.gap)
      for (let x = b.x + t.gap / 2; x < b.x + b.w; x += t.gap) out.push({ x1: x, x2: x + t.wide, y1: y, y2: y });
    return out;
  }
  for (let c = t.gap; c < b.w + b.h; c += t.gap) {
    // From the upper or left edge to the right or lower one, at 45 degrees.
    const from = c <= b.w ? { x: c, y: 0 } : { x: b.w, y: c - b.w };
    const to = c <= b.h ? { x: 0, y: c } : { x: c - b.h, y: b.h };
    const side = (x: number) => (t.lean === 'up' ? b.x + x : b.x + b.w - x);
    out.push({ x1: side(from.x), y1: b.y + from.y, x2: side(to.x), y2: b.y + to.y });
  }
  return out;
}

function shapeSvg(s: Shape): string {
  switch (s.kind) {
    case 'rect': {
      const texture = s.paint !== null && s.textured ? TEXTURES[s.paint] : undefined;
      const stroke = s.ink ? ` stroke="${COLOUR[s.ink]}" stroke-width="${n(s.wide ?? 1)}"${s.dashed ? ' stroke-dasharray="4 3"' : ''}` : '';
      const rect = `<rect x="${n(s.x)}" y="${n(s.y)}" width="${n(s.w)}" height="${n(s.h)}" fill="${s.paint === null ? 'none' : COLOUR[s.paint]}"${stroke}/>`;
      const lines = texture
        ? `<path d="${hatch(s, texture)
            .map((l) => `M${n(l.x1)} ${n(l.y1)}L${n(l.x2)} ${n(l.y2)}`)
            .join('')}" stroke="${COLOUR[texture.ink]}" stroke-width="${texture.wide}" fill="none"/>`
        : '';
      return rect + lines;
    }
    case 'line':
      return `<line x1="${n(s.x1)}" y1="${n(s.y1)}" x2="${n(s.x2)}" y2="${n(s.y2)}" stroke="${COLOUR[s.ink]}" stroke-width="${n(s.wide)}"${s.dashed ? ' stroke-dasharray="6 4"' : ''}/>`;
    case 'dot':
      return `<circle cx="${n(s.x)}" cy="${n(s.y)}" r="${n(s.r)}" fill="${COLOUR.paper}" stroke="${COLOUR[s.ink]}" stroke-width="2"/>`;
    case 'text':
      return `<text x="${n(s.x)}" y="${n(s.y)}" font-size="${n(s.size)}" font-weight="bold" fill="${COLOUR[s.ink]}"${s.middle ? ' text-anchor="middle"' : ''}>${escaped(s.text)}</text>`;
  }
}

/** @returns a whole SVG file, with what it shows in words as its title */
export function sceneSvg(s: Scene, title: string): string {
  const all = [...s.behind, ...s.pieces.flatMap((p) => p.shapes), ...s.before].map(shapeSvg).join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n(s.width)} ${n(s.height)}" width="${n(s.width)}" height="${n(s.height)}" font-family="sans-serif" role="img">\n<title>${escaped(title)}</title>\n${all}\n</svg>\n`;
}
