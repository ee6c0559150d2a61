/** Element templates: usual sizes and parts, so that a surface is there in one tap. Sizes are common practice; measure yours. */
import type { ElementId, Material, MeasureId, PartKind } from '../facts/vocabulary';

/** How the coated area follows from the sizes (measure.ts). */
export type Shape = 'face' | 'sash' | 'panels' | 'girth' | 'course' | 'balustrade' | 'stair' | 'sections';

export interface Element {
  readonly id: ElementId;
  readonly material: Material;
  readonly shape: Shape;
  readonly lengthM: number;
  readonly widthM: number;
  /** Its named sizes, with what they usually are. */
  readonly measures: Readonly<Partial<Record<MeasureId, number>>>;
  readonly parts: readonly (readonly [PartKind, sharePct: number])[];
  /** Rubs on itself in use: lead on it turns to dust. */
  readonly friction: boolean;
  /** Within a small child's bite. */
  readonly chewable: boolean;
  /** Joinery that can go to the bench, as against fixed work. */
  readonly loose: boolean;
  readonly inside: boolean;
  readonly outside: boolean;
  /** What the two sides are called. */
  readonly sides: readonly [Side, Side];
}
export type Side = 'height' | 'length' | 'width' | 'girth' | 'stringDepth';

type Where = 'in' | 'out' | 'both';
type Trait = 'friction' | 'chewable' | 'loose';
const FLAT: Element['parts'] = [['flat', 100]];

function e(id: ElementId, shape: Shape, material: Material, [lengthM, widthM]: readonly [number, number], sides: Element['sides'], where: Where, parts: Element['parts'] = FLAT, measures: Element['measures'] = {}, traits: readonly Trait[] = []): Element {
  const has = (t: Trait) => traits.includes(t);
  return {
    id,
    material,
    shape,
    lengthM,
    widthM,
    measures,
    parts,
    friction: has('friction'),
    chewable: has('chewable'),
    loose: has('loose'),
    inside: where !== 'out',
    outside: where !== 'in',
    sides,
  };
}

const SASH: Element['parts'] = [
  ['flat', 50],
  ['moulded', 30],
  ['besideGlass', 20],
];

export const ELEMENTS: Readonly<Record<ElementId, Element>> = {
  doubleHungSash: e('doubleHungSash', 'sash', 'softwood', [0.76, 0.86], ['height', 'width'], 'both', SASH, { panesAcross: 1, panesDown: 1, stileM: 0.05, muntinM: 0.02, edgeM: 0.04 }, ['friction', 'loose']),
  casementSash: e('casementSash', 'sash', 'softwood', [1.2, 0.55], ['height', 'width'], 'both', SASH, { panesAcross: 1, panesDown: 3, stileM: 0.05, muntinM: 0.022, edgeM: 0.04 }, ['friction', 'loose']),
  casing: e('casing', 'girth', 'softwood', [4.9, 0.14], ['length', 'girth'], 'both', [
    ['flat', 60],
    ['moulded', 40],
  ]),
  sill: e(
    'sill',
    'girth',
    'softwood',
    [1.0, 0.2],
    ['length', 'girth'],
    'both',
    [
      ['flat', 80],
      ['moulded', 20],
    ],
    {},
    ['friction', 'chewable'],
  ),
  door: e(
    'door',
    'panels',
    'softwood',
    [2.03, 0.81],
    ['height', 'width'],
    'both',
    [
      ['flat', 65],
      ['moulded', 25],
      ['tight', 10],
    ],
    { panels: 4, mouldingM: 0.03, edgeM: 0.04 },
    ['friction', 'loose'],
  ),
  baseboard: e('baseboard', 'girth', 'softwood', [14, 0.19], ['length', 'girth'], 'in', [
    ['flat', 75],
    ['moulded', 25],
  ]),
  wainscot: e(
    'wainscot',
    'panels',
    'softwood',
    [12, 1.0],
    ['length', 'height'],
    'in',
    [
      ['flat', 55],
      ['moulded', 45],
    ],
    { panels: 20, mouldingM: 0.02, edgeM: 0 },
  ),
  panelling: e(
    'panelling',
    'panels',
    'tanninWood',
    [8, 2.1],
    ['length', 'height'],
    'both',
    [
      ['flat', 60],
      ['moulded', 40],
    ],
    { panels: 16, mouldingM: 0.03, edgeM: 0 },
  ),
  wall: e('wall', 'face', 'limePlaster', [4.2, 2.7], ['length', 'height'], 'both', FLAT, { openingsM2: 0, factor: 1 }),
  ceiling: e('ceiling', 'face', 'limePlaster', [4.2, 3.6], ['length', 'width'], 'in', FLAT, { openingsM2: 0, factor: 1 }),
  cornice: e(
    'cornice',
    'course',
    'limePlaster',
    [15.6, 0.35],
    ['length', 'girth'],
    'in',
    [
      ['moulded', 80],
      ['tight', 20],
    ],
    { pieces: 0, pieceM: 0.1, pieceGirthM: 0.2 },
  ),
  railing: e(
    'railing',
    'balustrade',
    'softwood',
    [3.6, 0.8],
    ['length', 'height'],
    'both',
    [
      ['flat', 25],
      ['turned', 60],
      ['tight', 15],
    ],
    { pieces: 30, pieceGirthM: 0.13, railGirthM: 0.3 },
    ['chewable', 'loose'],
  ),
  newelPost: e('newelPost', 'girth', 'softwood', [1.2, 0.36], ['height', 'girth'], 'both', [
    ['turned', 70],
    ['flat', 30],
  ]),
  column: e('column', 'girth', 'softwood', [2.6, 0.63], ['height', 'girth'], 'out', [
    ['turned', 80],
    ['moulded', 20],
  ]),
  stairFlight: e(
    'stairFlight',
    'stair',
    'softwood',
    [0.9, 0.25],
    ['width', 'stringDepth'],
    'both',
    [
      ['flat', 75],
      ['tight', 25],
    ],
    { steps: 13, riseM: 0.19, goingM: 0.24 },
    ['friction'],
  ),
  floorBoards: e('floorBoards', 'face', 'softwood', [4.2, 3.6], ['length', 'width'], 'both', FLAT, { openingsM2: 0, factor: 1 }, ['friction']),
  siding: e(
    'siding',
    'face',
    'softwood',
    [6, 2.7],
    ['length', 'height'],
    'out',
    [
      ['flat', 90],
      ['tight', 10],
    ],
    { openingsM2: 0, factor: 1.1 },
  ),
  soffit: e(
    'soffit',
    'face',
    'softwood',
    [6, 0.4],
    ['length', 'width'],
    'out',
    [
      ['flat', 85],
      ['tight', 15],
    ],
    { openingsM2: 0, factor: 1 },
  ),
  shutter: e(
    'shutter',
    'face',
    'softwood',
    [1.4, 0.5],
    ['height', 'width'],
    'out',
    [
      ['flat', 40],
      ['tight', 60],
    ],
    { openingsM2: 0, factor: 1.75 },
    ['loose'],
  ),
  heater: e(
    'heater',
    'sections',
    'castIron',
    [0.66, 1.0],
    ['height', 'length'],
    'in',
    [
      ['moulded', 60],
      ['tight', 40],
    ],
    { sections: 10, columns: 3 },
  ),
  heaterBoard: e('heaterBoard', 'face', 'board', [1.2, 0.9], ['length', 'height'], 'in', FLAT, { openingsM2: 0, factor: 1 }),
  pipe: e('pipe', 'girth', 'mildSteel', [3, 0.085], ['length', 'girth'], 'both', [
    ['turned', 80],
    ['tight', 20],
  ]),
  pipeLagging: e('pipeLagging', 'girth', 'gypsumPlaster', [3, 0.35], ['length', 'girth'], 'in'),
  ironRailing: e(
    'ironRailing',
    'balustrade',
    'mildSteel',
    [4, 0.9],
    ['length', 'height'],
    'out',
    [
      ['turned', 70],
      ['tight', 30],
    ],
    { pieces: 32, pieceGirthM: 0.06, railGirthM: 0.28 },
  ),
  gutter: e('gutter', 'girth', 'castIron', [6, 0.3], ['length', 'girth'], 'out', [
    ['flat', 80],
    ['tight', 20],
  ]),
  corrugatedSheet: e('corrugatedSheet', 'face', 'galvanised', [4, 2.4], ['length', 'height'], 'out', FLAT, { openingsM2: 0, factor: 1.15 }),
  handrail: e(
    'handrail',
    'girth',
    'softwood',
    [3.6, 0.2],
    ['length', 'girth'],
    'both',
    [
      ['turned', 75],
      ['underside', 25],
    ],
    {},
    ['chewable', 'loose'],
  ),
  post: e('post', 'girth', 'softwood', [2.4, 0.4], ['height', 'girth'], 'both', [
    ['flat', 90],
    ['arris', 10],
  ]),
  furniture: e(
    'furniture',
    'panels',
    'softwood',
    [0.9, 1.1],
    ['height', 'width'],
    'in',
    [
      ['flat', 65],
      ['moulded', 20],
      ['tight', 8],
      ['arris', 7],
    ],
    { panels: 2, mouldingM: 0.02, edgeM: 0.45 },
    ['friction', 'loose'],
  ),
  chair: e(
    'chair',
    'balustrade',
    'softwood',
    [0.45, 0.9],
    ['width', 'height'],
    'in',
    [
      ['turned', 60],
      ['flat', 25],
      ['tight', 15],
    ],
    { pieces: 8, pieceGirthM: 0.11, railGirthM: 0.9 },
    ['friction', 'loose'],
  ),
  cot: e(
    'cot',
    'balustrade',
    'softwood',
    [3.6, 0.6],
    ['length', 'height'],
    'in',
    [
      ['turned', 60],
      ['flat', 25],
      ['tight', 15],
    ],
    { pieces: 48, pieceGirthM: 0.06, railGirthM: 0.36 },
    ['friction', 'chewable', 'loose'],
  ),
  toy: e(
    'toy',
    'face',
    'softwood',
    [0.4, 0.25],
    ['length', 'height'],
    'in',
    [
      ['flat', 70],
      ['tight', 15],
      ['arris', 15],
    ],
    { openingsM2: 0, factor: 3 },
    ['friction', 'chewable', 'loose'],
  ),
  // Front and back of a panel with its recesses, the lip all round and the fins that a brush reaches.
  panelRadiator: e(
    'panelRadiator',
    'face',
    'mildSteel',
    [0.6, 1.0],
    ['height', 'length'],
    'in',
    [
      ['flat', 45],
      ['moulded', 25],
      ['tight', 22],
      ['arris', 8],
    ],
    { openingsM2: 0, factor: 2.2 },
  ),
  windowFrame: e(
    'windowFrame',
    'girth',
    'softwood',
    [4.2, 0.16],
    ['length', 'girth'],
    'both',
    [
      ['flat', 65],
      ['moulded', 25],
      ['arris', 10],
    ],
    {},
    ['friction'],
  ),
  metalCasement: e(
    'metalCasement',
    'sash',
    'mildSteel',
    [1.2, 0.55],
    ['height', 'width'],
    'both',
    [
      ['flat', 45],
      ['tight', 20],
      ['besideGlass', 25],
      ['arris', 10],
    ],
    { panesAcross: 1, panesDown: 3, stileM: 0.03, muntinM: 0.016, edgeM: 0.03 },
    ['friction'],
  ),
  corbel: e(
    'corbel',
    'course',
    'stone',
    [6, 0.3],
    ['length', 'girth'],
    'out',
    [
      ['moulded', 55],
      ['carved', 35],
      ['underside', 10],
    ],
    { pieces: 8, pieceM: 0.35, pieceGirthM: 0.6 },
  ),
  stringCourse: e(
    'stringCourse',
    'course',
    'stone',
    [6, 0.25],
    ['length', 'girth'],
    'out',
    [
      ['flat', 60],
      ['moulded', 30],
      ['underside', 10],
    ],
    { pieces: 0, pieceM: 0.15, pieceGirthM: 0.3 },
  ),
  downpipe: e('downpipe', 'girth', 'castIron', [5.4, 0.33], ['height', 'girth'], 'out', [
    ['turned', 80],
    ['tight', 20],
  ]),
  gasPipe: e('gasPipe', 'girth', 'mildSteel', [3, 0.085], ['length', 'girth'], 'both', [
    ['turned', 80],
    ['threads', 8],
    ['tight', 12],
  ]),
  machineHousing: e(
    'machineHousing',
    'panels',
    'castIron',
    [1.3, 0.9],
    ['height', 'width'],
    'both',
    [
      ['flat', 70],
      ['tight', 18],
      ['arris', 12],
    ],
    { panels: 2, mouldingM: 0.02, edgeM: 0.6 },
  ),
  hull: e(
    'hull',
    'face',
    'softwood',
    [6, 1.5],
    ['length', 'height'],
    'out',
    [
      ['flat', 85],
      ['tight', 15],
    ],
    { openingsM2: 0, factor: 1.1 },
  ),
  plinth: e('plinth', 'face', 'brick', [6, 0.5], ['length', 'height'], 'out', FLAT, { openingsM2: 0, factor: 1 }),
};

/** Named sizes that are counted, not measured in metres. */
export const COUNTED: readonly MeasureId[] = ['panesAcross', 'panesDown', 'panels', 'pieces', 'steps', 'sections', 'columns', 'factor'];

/** A hole in the wall that is closed and sealed where the room is worked, or by which it is entered. */
export const isOpening = (id: ElementId): boolean => id === 'door' || isWindow(id);
/** A sash with its glass. */
export const isWindow = (id: ElementId): boolean => ELEMENTS[id].shape === 'sash';
/** It is worked off and cold, painted with what bears its heat, and warmed again slowly. */
export const isHeater = (id: ElementId): boolean => id === 'heater' || id === 'panelRadiator';
/** Part of a building; else loose goods, a machine or a boat, whose waste is nobody's household waste. */
export const isOfHouse = (id: ElementId): boolean => goodsOf(id) === null && id !== 'machineHousing' && id !== 'hull';
/** Loose goods that go back to somebody: no part of a house, and bound by what may be given back. Null: fixed work. */
export const goodsOf = (id: ElementId): 'furniture' | 'childs' | null => (id === 'cot' || id === 'toy' ? 'childs' : id === 'furniture' || id === 'chair' ? 'furniture' : null);
