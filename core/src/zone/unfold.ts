/**
 * A room unfolded to scale: the floor in the middle, walls A to D folded out, the ceiling beside; a side of a house flat on its ground. Metres,
 * x to the right and y downwards, as a drawing is read.
 */
import type { ElementId, Space, Surface, WallId } from '../facts';
import { ROUND_OPENING } from '../surface/needs';
import { ELEMENTS, isWindow } from '../walk';
import { spread, wallLength, wallsOf, type Floor, type Rect } from '../geometry/shapes';

export interface Face {
  readonly id: WallId | 'floor' | 'ceiling' | 'side' | 'ground';
  readonly rect: Rect;
}
export interface Drawn {
  readonly surfaceId: string;
  readonly rects: readonly Rect[];
  /** Nobody said where it stands: it is drawn somewhere, dashed. */
  readonly guessed: boolean;
}
export interface Unfolded {
  readonly widthM: number;
  readonly heightM: number;
  readonly faces: readonly Face[];
  readonly pieces: readonly Drawn[];
  /** From above (zone/shapes.ts) to the drawing. */
  readonly onFloor: (r: Rect) => Rect;
}

/** Between the wall that is folded out on the right and the ceiling, m. */
const GAP = 0.5;
/** Ground that is drawn before a side, m. */
const GROUND = 3.5;
/** Usual height of a window's lower edge above the floor, m. Common practice, no published source. */
const SILL = 0.9;

/** What runs along the top of its wall. */
const UNDER_THE_TOP: readonly ElementId[] = ['cornice', 'corbel'];

/** How wide along the wall, how high, and how far above the floor a piece is drawn. */
function sizeOf(s: Surface, wallM: number): { w: number; h: number; z: number } {
  const [first] = ELEMENTS[s.element].sides;
  const [w, high] = first === 'height' ? [s.widthM, s.lengthM] : [s.lengthM, s.widthM];
  // A casing runs round its opening: it is drawn as the opening, not as the run.
  const [wide, tall] = s.element === 'casing' ? [w / ROUND_OPENING, Math.min(wallM, w / 2.4)] : [w, Math.min(high, wallM)];
  const z = isWindow(s.element) ? SILL : s.element === 'sill' ? SILL - 0.1 : UNDER_THE_TOP.includes(s.element) ? wallM - tall : 0;
  return { w: wide, h: tall, z: Math.max(0, Math.min(z, wallM - tall)) };
}

/** Pieces that nobody placed, one after another round the walls, long runs from the corner of A. */
function placing(f: Floor) {
  const around = 2 * (f.lengthM + f.widthM);
  // From the wall across from the door: where most windows are.
  let t = f.lengthM + f.widthM;
  return (s: Surface, runM: number): { wall: WallId; alongM: number } => {
    if (s.wall !== null && s.alongM !== null) return { wall: s.wall, alongM: s.alongM };
    if (s.wall !== null) return { wall: s.wall, alongM: 0.3 };
    if (runM > around * 0.5) return { wall: 'A', alongM: 0 };
    const at = t % around;
    t += runM + 0.4;
    if (at < f.lengthM) return { wall: 'A', alongM: at };
    if (at < f.lengthM + f.widthM) return { wall: 'B', alongM: at - f.lengthM };
    if (at < 2 * f.lengthM + f.widthM) return { wall: 'C', alongM: at - f.lengthM - f.widthM };
    return { wall: 'D', alongM: at - 2 * f.lengthM - f.widthM };
  };
}

/** Wide faces lie behind what hangs on them. */
const bigFirst = (a: Drawn, b: Drawn): number => {
  const area = (d: Drawn) => d.rects.reduce((sum, r) => sum + (r.x1 - r.x0) * (r.y1 - r.y0), 0);
  return area(b) - area(a);
};

function unfoldRoom(f: Floor, heightM: number, surfaces: readonly Surface[]): Unfolded {
  const [L, W, H] = [f.lengthM, f.widthM, heightM];
  const floor: Rect = { x0: H, y0: H, x1: H + L, y1: H + W };
  const ceiling: Rect = { x0: 2 * H + L + GAP, y0: H, x1: 2 * H + 2 * L + GAP, y1: H + W };
  const onWall = (wall: WallId, from: number, to: number, z: number, h: number): Rect => {
    switch (wall) {
      case 'A':
        return { x0: H + L - to, x1: H + L - from, y0: H + W + z, y1: H + W + z + h };
      case 'B':
        return { x0: H - z - h, x1: H - z, y0: H + W - to, y1: H + W - from };
      case 'C':
        return { x0: H + from, x1: H + to, y0: H - z - h, y1: H - z };
      case 'D':
        return { x0: H + L + z, x1: H + L + z + h, y0: H + from, y1: H + to };
    }
  };
  const place = placing(f);
  const pieces = surfaces.map((s): Drawn => {
    if (s.element === 'ceiling') return { surfaceId: s.id, rects: [ceiling], guessed: false };
    if (s.element === 'floorBoards') return { surfaceId: s.id, rects: [floor], guessed: false };
    const { w, h, z } = sizeOf(s, H);
    const { wall, alongM } = place(s, w * s.count);
    const said = s.wall !== null && s.alongM !== null;
    const pitch = said ? spread(s.count, w, alongM, wallLength(wall, f)).pitchM : w;
    const rects = Array.from({ length: Math.min(s.count, 24) }, (_, i) =>
      wallsOf(wall, alongM + i * pitch, Math.max(0.05, w * (s.count > 1 ? 0.86 : 1)), f).map((x) => onWall(x.wall, x.fromM, x.toM, z, h)),
    ).flat();
    return { surfaceId: s.id, rects, guessed: !said };
  });
  const face = (id: WallId, lengthM: number): Face => ({ id, rect: onWall(id, 0, lengthM, 0, H) });
  return {
    widthM: pieces.some((p) => p.rects.includes(ceiling)) ? ceiling.x1 : 2 * H + L,
    heightM: 2 * H + W,
    faces: [
      { id: 'floor', rect: floor },
      face('A', L),
      face('B', W),
      face('C', L),
      face('D', W),
      ...(pieces.some((p) => p.rects.includes(ceiling)) ? [{ id: 'ceiling' as const, rect: ceiling }] : []),
    ],
    pieces: pieces.sort(bigFirst),
    onFloor: (r) => ({ x0: H + r.x0, x1: H + r.x1, y0: H + W - r.y1, y1: H + W - r.y0 }),
  };
}

function unfoldSide(lengthM: number, heightM: number, groundM: number, surfaces: readonly Surface[]): Unfolded {
  let t = 0.3;
  const pieces = surfaces.map((s): Drawn => {
    const { w, h, z } = sizeOf(s, heightM);
    const run = Math.min(w * s.count, lengthM);
    const alongM = s.alongM ?? (run > lengthM * 0.6 ? 0 : Math.min(t, Math.max(0, lengthM - run)));
    if (s.alongM === null && run <= lengthM * 0.6) t += run + 0.4;
    const pitch = s.alongM === null ? w : spread(s.count, w, alongM, lengthM).pitchM;
    const rects = Array.from({ length: Math.min(s.count, 24) }, (_, i): Rect => {
      const x0 = Math.min(alongM + i * pitch, lengthM);
      return { x0, x1: Math.min(x0 + w * (s.count > 1 ? 0.86 : 1), lengthM), y0: heightM - z - h, y1: heightM - z };
    });
    return { surfaceId: s.id, rects, guessed: s.alongM === null };
  });
  return {
    widthM: lengthM,
    heightM: heightM + groundM,
    faces: [
      { id: 'side', rect: { x0: 0, y0: 0, x1: lengthM, y1: heightM } },
      { id: 'ground', rect: { x0: 0, y0: heightM, x1: lengthM, y1: heightM + groundM } },
    ],
    pieces: pieces.sort(bigFirst),
    onFloor: (r) => ({ x0: Math.max(0, r.x0), x1: Math.min(lengthM, r.x1), y0: heightM - r.y1, y1: heightM - r.y0 }),
  };
}

/**
 * @param surfaces those that stand in it
 * @returns null where the room was not measured: there is nothing to draw to scale
 */
export function unfold(
  space: Pick<Space, 'kind' | 'lengthM' | 'widthM' | 'heightM' | 'boundaryM'>,
  surfaces: readonly Surface[],
): Unfolded | null {
  const { lengthM, widthM } = space;
  if (lengthM === null) return null;
  if (space.kind === 'elevation') return unfoldSide(lengthM, space.heightM ?? 3, Math.min(GROUND, space.boundaryM ?? GROUND), surfaces);
  return widthM === null ? null : unfoldRoom({ lengthM, widthM }, space.heightM ?? 2.5, surfaces);
}
