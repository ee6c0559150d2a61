/** Kits of rooms and sides: what one tap unfolds into. */
import { usualSize } from '../units/length';
import type { UnitSystem } from '../units/units';
import { BLANK_SPACE, type ElementId, type Space, type SpaceDraft } from '../facts';
import { ELEMENTS, isWindow } from './elements';
import { surfaceDraft, type SurfaceDraft } from './templates';

export const KIT_IDS = [
  'bedroom',
  'kitchen',
  'bath',
  'stair',
  'hall',
  'cellar',
  'shopfront',
  'elevation',
  'porch',
  'workshop',
  'plantRoom',
  'boatyard',
] as const;
export type KitId = (typeof KIT_IDS)[number];

/** How a piece of a kit takes its size from the room: walls all round, a face, a run along the walls; else as its template. */
type Fit = 'round' | 'ceiling' | 'run' | 'front' | 'own';
interface KitPiece {
  readonly element: ElementId;
  readonly count: number;
  readonly fit: Fit;
}
export interface RoomKit {
  readonly id: KitId;
  readonly kind: Space['kind'];
  /** Usual inside sizes, m. An elevation has length and height. */
  readonly lengthM: number;
  readonly widthM: number | null;
  readonly heightM: number;
  readonly pieces: readonly KitPiece[];
}
const piece = (element: ElementId, fit: Fit = 'own', count = 1): KitPiece => ({ element, fit, count });
const DOOR_M2 = 1.7;
const WINDOW_M2 = 1.5;

/** Common practice, no published source: what such a room usually holds. */
export const KITS: Readonly<Record<KitId, RoomKit>> = {
  bedroom: {
    id: 'bedroom',
    kind: 'room',
    lengthM: 4.2,
    widthM: 3.6,
    heightM: 2.7,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('cornice', 'run'),
      piece('baseboard', 'run'),
      piece('door'),
      piece('casing', 'own', 3),
      piece('doubleHungSash', 'own', 4),
      piece('sill', 'own', 2),
      piece('heater'),
      piece('floorBoards', 'ceiling'),
    ],
  },
  kitchen: {
    id: 'kitchen',
    kind: 'room',
    lengthM: 3.9,
    widthM: 3.3,
    heightM: 2.6,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('baseboard', 'run'),
      piece('door', 'own', 2),
      piece('casing', 'own', 4),
      piece('doubleHungSash', 'own', 4),
      piece('sill', 'own', 2),
      piece('heater'),
      piece('heaterBoard'),
      piece('pipe'),
    ],
  },
  bath: {
    id: 'bath',
    kind: 'room',
    lengthM: 2.4,
    widthM: 1.9,
    heightM: 2.5,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('wainscot', 'run'),
      piece('door'),
      piece('casing', 'own', 2),
      piece('doubleHungSash', 'own', 2),
      piece('sill'),
      piece('pipe'),
    ],
  },
  stair: {
    id: 'stair',
    kind: 'room',
    lengthM: 3.6,
    widthM: 1.9,
    heightM: 5.2,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('stairFlight'),
      piece('railing'),
      piece('newelPost', 'own', 2),
      piece('baseboard', 'run'),
      piece('doubleHungSash', 'own', 2),
      piece('casing', 'own', 3),
    ],
  },
  hall: {
    id: 'hall',
    kind: 'room',
    lengthM: 5.5,
    widthM: 1.8,
    heightM: 2.9,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('cornice', 'run'),
      piece('wainscot', 'run'),
      piece('baseboard', 'run'),
      piece('door', 'own', 3),
      piece('casing', 'own', 4),
      piece('heater'),
    ],
  },
  cellar: {
    id: 'cellar',
    kind: 'room',
    lengthM: 5,
    widthM: 4,
    heightM: 2.1,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('door'),
      piece('casing'),
      piece('pipe', 'own', 3),
      piece('pipeLagging', 'own', 2),
      piece('stairFlight'),
    ],
  },
  shopfront: {
    id: 'shopfront',
    kind: 'elevation',
    lengthM: 5.5,
    widthM: null,
    heightM: 3.4,
    pieces: [
      piece('casementSash', 'own', 2),
      piece('panelling', 'front'),
      piece('column', 'own', 2),
      piece('door'),
      piece('casing', 'own', 2),
      piece('soffit', 'front'),
    ],
  },
  elevation: {
    id: 'elevation',
    kind: 'elevation',
    lengthM: 9,
    widthM: null,
    heightM: 5.4,
    pieces: [
      piece('siding', 'round'),
      piece('doubleHungSash', 'own', 8),
      piece('casing', 'own', 4),
      piece('sill', 'own', 4),
      piece('shutter', 'own', 4),
      piece('soffit', 'front'),
      piece('gutter', 'front'),
      piece('plinth', 'front'),
    ],
  },
  porch: {
    id: 'porch',
    kind: 'elevation',
    lengthM: 4,
    widthM: null,
    heightM: 2.7,
    pieces: [
      piece('column', 'own', 4),
      piece('railing'),
      piece('floorBoards'),
      piece('soffit', 'front'),
      piece('stairFlight'),
      piece('door'),
    ],
  },
  workshop: {
    id: 'workshop',
    kind: 'room',
    lengthM: 6,
    widthM: 4,
    heightM: 2.7,
    pieces: [piece('furniture'), piece('chair', 'own', 4), piece('cot'), piece('toy', 'own', 3)],
  },
  plantRoom: {
    id: 'plantRoom',
    kind: 'room',
    lengthM: 4,
    widthM: 3,
    heightM: 2.6,
    pieces: [
      piece('wall', 'round'),
      piece('ceiling', 'ceiling'),
      piece('metalCasement', 'own', 2),
      piece('windowFrame'),
      piece('gasPipe'),
      piece('pipe', 'own', 2),
      piece('machineHousing'),
      piece('panelRadiator'),
    ],
  },
  boatyard: {
    id: 'boatyard',
    kind: 'elevation',
    lengthM: 8,
    widthM: null,
    heightM: 2,
    pieces: [piece('hull', 'own', 2), piece('handrail', 'own', 2)],
  },
};

export interface UnfoldedKit {
  readonly space: SpaceDraft;
  /** Surfaces without the space's id, which the caller makes. */
  readonly surfaces: readonly SurfaceDraft[];
}

/** Sizes of a piece in a room of this length, width and height, m. */
function fitted(p: KitPiece, l: number, w: number, h: number, openingsM2: number): Partial<SurfaceDraft> {
  const own = ELEMENTS[p.element];
  switch (p.fit) {
    case 'round':
      return { lengthM: w > 0 ? 2 * (l + w) : l, widthM: h, measures: { openingsM2 } };
    case 'ceiling':
      return { lengthM: l, widthM: w };
    case 'run':
      return { lengthM: Math.max(0.5, 2 * (l + w) - 0.9), widthM: own.widthM };
    case 'front':
      return { lengthM: l, widthM: own.widthM };
    case 'own':
      return {};
  }
}

/**
 * What a kit unfolds into.
 * @param size measured length, width and height, m; what is not given is taken as usual
 * @param words names an element for the list
 */
export function unfoldKit(
  id: KitId,
  name: string,
  position: number,
  words: (element: ElementId) => string,
  system: UnitSystem,
  size: Partial<Record<'lengthM' | 'widthM' | 'heightM', number | null>> = {},
): UnfoldedKit {
  const kit = KITS[id];
  const usual = (m: number) => usualSize(m, system);
  const l = size.lengthM ?? usual(kit.lengthM);
  const w = kit.widthM === null ? 0 : (size.widthM ?? usual(kit.widthM));
  const h = size.heightM ?? usual(kit.heightM);
  const openingsM2 = kit.pieces.reduce(
    (sum, p) => sum + p.count * (p.element === 'door' ? DOOR_M2 : isWindow(p.element) ? WINDOW_M2 / 2 : 0),
    0,
  );
  return {
    space: { ...BLANK_SPACE, name, kind: kit.kind, position, lengthM: l, widthM: kit.widthM === null ? null : w, heightM: h },
    surfaces: kit.pieces.map((p, i) =>
      surfaceDraft(p.element, '', i, words(p.element), system, { count: p.count, ...fitted(p, l, w, h, openingsM2) }),
    ),
  };
}
