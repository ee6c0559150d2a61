/** Element templates: usual sizes and parts, so that a surface is there in one tap. Sizes are common practice; measure yours. */
import type { ElementId, Material, PartKind } from '../facts/vocabulary';

export interface Element {
  readonly id: ElementId;
  readonly material: Material;
  readonly lengthM: number;
  readonly widthM: number;
  /** Share of the face that is coated: a sash is mostly glass. */
  readonly coatedShare: number;
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
  readonly sides: readonly ['height' | 'length', 'width' | 'girth' | 'height'];
}

const e = (id: ElementId, rest: Omit<Element, 'id'>): Element => ({ id, ...rest });

export const ELEMENTS: Readonly<Record<ElementId, Element>> = {
  doubleHungSash: e('doubleHungSash', {
    material: 'softwood',
    lengthM: 0.76,
    widthM: 0.86,
    coatedShare: 0.45,
    parts: [
      ['flat', 50],
      ['moulded', 30],
      ['besideGlass', 20],
    ],
    friction: true,
    chewable: false,
    loose: true,
    inside: true,
    outside: true,
    sides: ['height', 'width'],
  }),
  casing: e('casing', {
    material: 'softwood',
    lengthM: 4.9,
    widthM: 0.14,
    coatedShare: 1,
    parts: [
      ['flat', 60],
      ['moulded', 40],
    ],
    friction: false,
    chewable: false,
    loose: false,
    inside: true,
    outside: true,
    sides: ['length', 'girth'],
  }),
  sill: e('sill', {
    material: 'softwood',
    lengthM: 1.0,
    widthM: 0.2,
    coatedShare: 1,
    parts: [
      ['flat', 80],
      ['moulded', 20],
    ],
    friction: true,
    chewable: true,
    loose: false,
    inside: true,
    outside: true,
    sides: ['length', 'girth'],
  }),
  door: e('door', {
    material: 'softwood',
    lengthM: 2.03,
    widthM: 0.81,
    coatedShare: 1.1,
    parts: [
      ['flat', 65],
      ['moulded', 25],
      ['tight', 10],
    ],
    friction: true,
    chewable: false,
    loose: true,
    inside: true,
    outside: true,
    sides: ['height', 'width'],
  }),
  baseboard: e('baseboard', {
    material: 'softwood',
    lengthM: 14,
    widthM: 0.19,
    coatedShare: 1,
    parts: [
      ['flat', 75],
      ['moulded', 25],
    ],
    friction: false,
    chewable: false,
    loose: false,
    inside: true,
    outside: false,
    sides: ['length', 'girth'],
  }),
  wainscot: e('wainscot', {
    material: 'softwood',
    lengthM: 12,
    widthM: 1.0,
    coatedShare: 1.05,
    parts: [
      ['flat', 55],
      ['moulded', 45],
    ],
    friction: false,
    chewable: false,
    loose: false,
    inside: true,
    outside: false,
    sides: ['length', 'height'],
  }),
  wall: e('wall', { material: 'limePlaster', lengthM: 4.2, widthM: 2.7, coatedShare: 1, parts: [['flat', 100]], friction: false, chewable: false, loose: false, inside: true, outside: true, sides: ['length', 'height'] }),
  ceiling: e('ceiling', { material: 'limePlaster', lengthM: 4.2, widthM: 3.6, coatedShare: 1, parts: [['flat', 100]], friction: false, chewable: false, loose: false, inside: true, outside: false, sides: ['length', 'width'] }),
  railing: e('railing', {
    material: 'softwood',
    lengthM: 3.6,
    widthM: 1.2,
    coatedShare: 1,
    parts: [
      ['flat', 25],
      ['turned', 60],
      ['tight', 15],
    ],
    friction: false,
    chewable: true,
    loose: true,
    inside: true,
    outside: true,
    sides: ['length', 'girth'],
  }),
  siding: e('siding', {
    material: 'softwood',
    lengthM: 6,
    widthM: 2.7,
    coatedShare: 1.05,
    parts: [
      ['flat', 90],
      ['tight', 10],
    ],
    friction: false,
    chewable: false,
    loose: false,
    inside: false,
    outside: true,
    sides: ['length', 'height'],
  }),
  heater: e('heater', {
    material: 'castIron',
    lengthM: 1.0,
    widthM: 0.7,
    coatedShare: 3,
    parts: [
      ['moulded', 60],
      ['tight', 40],
    ],
    friction: false,
    chewable: false,
    loose: false,
    inside: true,
    outside: false,
    sides: ['length', 'height'],
  }),
  plinth: e('plinth', { material: 'brick', lengthM: 6, widthM: 0.5, coatedShare: 1, parts: [['flat', 100]], friction: false, chewable: false, loose: false, inside: false, outside: true, sides: ['length', 'height'] }),
};
