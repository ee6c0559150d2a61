/** A surface and its parts from the element's template. */
import { usualSize } from '../units/length';
import type { UnitSystem } from '../units/units';
import type { ElementId, Part, Surface } from '../facts';
import { ELEMENTS } from './elements';

export type SurfaceDraft = Omit<
  Surface,
  'id' | 'removedAt' | 'parts' | 'layers' | 'readings' | 'checks' | 'samples' | 'squares' | 'boards' | 'signs' | 'laid' | 'defects'
>;
export type PartDraft = Omit<Part, 'id' | 'removedAt'>;

/** Fields of a surface as its template has them. Nothing is known of its coats yet. */
export function surfaceDraft(
  element: ElementId,
  spaceId: string,
  position: number,
  name: string,
  system: UnitSystem,
  over: Partial<SurfaceDraft> = {},
): SurfaceDraft {
  const e = ELEMENTS[element];
  return {
    spaceId,
    position,
    name,
    element,
    count: 1,
    material: e.material,
    lengthM: usualSize(e.lengthM, system),
    widthM: usualSize(e.widthM, system),
    faces: 1,
    yearMade: null,
    conditions: [],
    coatsCounted: false,
    knots: 'unknown',
    aim: 'keepSound',
    topcoat: null,
    tint: null,
    colour: '',
    coatsWanted: null,
    serviceC: null,
    bench: false,
    measures: {},
    blisterGrade: null,
    flakeGrade: null,
    crackGrade: null,
    chalkGrade: null,
    rustGrade: null,
    moldM2: null,
    stainM2: null,
    scrapped: false,
    opening: 'sealed',
    species: '',
    past: 'asBefore',
    pastWhy: '',
    yearHow: '',
    clientWhy: '',
    finish: null,
    layings: {},
    declinedOn: null,
    declinedNote: '',
    filmUm: null,
    zoneId: null,
    wall: null,
    alongM: null,
    workOrder: [],
    ...over,
  };
}

export const partDrafts = (element: ElementId): PartDraft[] =>
  ELEMENTS[element].parts.map(([kind, sharePct]) => ({
    kind,
    sharePct,
    methodId: null,
    insistedWhy: null,
    alsoIds: [],
    grits: [],
    toolC: null,
  }));
