/** One sheet for a zone: what its pieces ask for together, cut off by walls and boundary. */
import type { WallId } from '../facts';
import { clip, floorOf, sheetInside, sheetOutside, spread, unionArea, wallLength, type Floor, type Rect } from '../geometry/shapes';
import type { Needs } from '../surface/needs';
import type { ZoneContext } from './zone-context';

export interface Sheet {
  readonly areaM2: number;
  /** Of the pieces whose place was said, of one room or one side by itself; several have no drawing in common. */
  readonly rects: readonly Rect[];
  /** Pieces whose place nobody said: each is given a sheet of its own. */
  readonly guessed: number;
  /** The walls hold less than the pieces ask for. */
  readonly capped: boolean;
  readonly cutAtBoundary: boolean;
}

const NONE: Sheet = { areaM2: 0, rects: [], guessed: 0, capped: false, cutAtBoundary: false };

/**
 * @param working surfaces on which something is disturbed
 * @returns m2 as laid, never more than the room or side holds
 */
export function sheetOf(working: readonly Needs[], beyondM: number, ctx: ZoneContext): Sheet {
  if (working.length === 0) return NONE;
  return ctx.place === 'outside' ? groundSheet(working, beyondM, ctx) : floorSheet(working, beyondM, ctx);
}

/** Room by room: a sheet ends at the walls, also where a door stands open between two. */
function floorSheet(working: readonly Needs[], beyond: number, { place, rooms }: ZoneContext): Sheet {
  const ids = [...new Set(working.map((n) => n.spaceId))];
  const each = ids.map((id) => {
    const floor = place === 'inside' ? (rooms.find((r) => r.spaceId === id)?.floor ?? null) : null;
    return roomSheet(
      working.filter((n) => n.spaceId === id),
      beyond,
      floor,
    );
  });
  return {
    areaM2: each.reduce((sum, s) => sum + s.areaM2, 0),
    rects: each.length === 1 ? each[0]!.rects : [],
    guessed: each.reduce((sum, s) => sum + s.guessed, 0),
    capped: each.some((s) => s.capped),
    cutAtBoundary: false,
  };
}

function roomSheet(working: readonly Needs[], beyond: number, floor: Floor | null): Sheet {
  const rects: Rect[] = [];
  let strips = 0;
  let guessed = 0;
  const short = floor ? Math.min(floor.lengthM, floor.widthM) : Infinity;
  let cut = false;
  for (const n of working) {
    if (n.over) {
      const [l, w] = [n.over.lengthM + 2 * beyond, n.over.widthM + 2 * beyond];
      if (floor) {
        // Which way the ceiling was measured does not matter: its long side lies along the room's.
        const [long, across] = floor.lengthM >= floor.widthM === l >= w ? [l, w] : [w, l];
        const [x, y] = [floor.lengthM / 2, floor.widthM / 2];
        rects.push(clip({ x0: x - long / 2, x1: x + long / 2, y0: y - across / 2, y1: y + across / 2 }, floorOf(floor)));
        cut ||= long > floor.lengthM || across > floor.widthM;
      } else strips += l * w;
    } else if (floor && n.wall !== null && n.alongM !== null) {
      const { spanM } = spread(n.pieces, n.runM, n.alongM, wallLength(n.wall, floor));
      rects.push(...sheetInside(n.wall, n.alongM, spanM, beyond, floor));
    } else {
      guessed += n.pieces;
      strips += n.pieces * (n.runM + 2 * beyond) * Math.min(beyond, short);
      cut ||= beyond > short;
    }
  }
  const asked = unionArea(rects) + strips;
  const holds = floor ? floor.lengthM * floor.widthM : Infinity;
  return { areaM2: Math.min(asked, holds), rects, guessed, capped: asked > holds || cut, cutAtBoundary: false };
}

function groundSheet(working: readonly Needs[], beyond: number, { footprint, sides, boundaryM }: ZoneContext): Sheet {
  const out = boundaryM === null ? beyond : Math.min(beyond, boundaryM);
  /** On the footprint: sides of one house share their corners. */
  const shared: Rect[] = [];
  const drawn: Rect[] = [];
  let area = 0;
  let guessed = 0;
  for (const { spaceId, side, lengthM } of sides) {
    const here = working.filter((n) => n.spaceId === spaceId);
    const placed = lengthM === null ? [] : here.filter((n) => n.alongM !== null);
    // A side by itself needs no depth of house behind it.
    const house = footprint ?? { lengthM: lengthM ?? 1, widthM: 1 };
    const rectOf = (n: Needs, on: WallId): Rect => {
      // What is said to stand past the corner stands at it.
      const run = Math.min(spread(n.pieces, n.runM, n.alongM!, lengthM!).spanM, lengthM!);
      return sheetOutside(on, Math.min(n.alongM!, lengthM! - run), run, beyond, out, house);
    };
    const own = placed.map((n) => rectOf(n, side ?? 'A'));
    const strips = here.filter((n) => !placed.includes(n)).reduce((sum, n) => sum + n.pieces * (n.runM + 2 * beyond) * out, 0);
    guessed += here.reduce((sum, n) => sum + (placed.includes(n) ? 0 : n.pieces), 0);
    if (strips === 0 && side !== null && footprint !== null) shared.push(...own);
    else area += Math.min(unionArea(own) + strips, lengthM === null ? Infinity : (lengthM + 2 * beyond) * out);
    // A side is drawn flat with the ground in front of it, whichever side of the house it is.
    if (sides.length === 1) drawn.push(...placed.map((n) => rectOf(n, 'A')));
  }
  return { areaM2: area + unionArea(shared), rects: drawn, guessed, capped: false, cutAtBoundary: out < beyond };
}
