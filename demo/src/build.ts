/** Short hand for writing a job by hand, with ids that read well. */
import {
  ELEMENTS,
  type ElementId,
  type Job,
  type JobFacts,
  type Layer,
  type Part,
  type Reading,
  type Space,
  type Surface,
} from '@roughsill/core';

export const AT = '2026-04-13T08:30:00.000Z';

export const job = (over: Partial<Job> & Pick<Job, 'id' | 'name'>): Job => ({
  place: '',
  yearBuilt: null,
  rulebook: 'us',
  units: 'ft',
  timeZone: 'America/New_York',
  childUnder6: 'unknown',
  pregnancy: 'unknown',
  dwelling: true,
  sample: false,
  createdAt: AT,
  removedAt: null,
  ...over,
});

export const space = (id: string, name: string, kind: Space['kind'], position: number, over: Partial<Space> = {}): Space => ({
  id,
  name,
  kind,
  position,
  yearBuilt: null,
  lengthM: null,
  widthM: null,
  heightM: null,
  boundaryM: null,
  removedAt: null,
  ...over,
});

export type CoatSpec = readonly [binder: Layer['binder'], colour: string, soundness: Layer['soundness'], yearApplied?: number];

/** A surface from its template, with coats from the top down. */
export function surface(
  id: string,
  spaceId: string,
  position: number,
  element: ElementId,
  name: string,
  coats: readonly CoatSpec[],
  over: Partial<Surface> = {},
): Surface {
  const e = ELEMENTS[element];
  return {
    id,
    spaceId,
    position,
    name,
    element,
    count: 1,
    material: e.material,
    lengthM: e.lengthM,
    widthM: e.widthM,
    faces: 1,
    yearMade: null,
    conditions: [],
    coatsCounted: true,
    knots: 'unknown',
    aim: 'keepSound',
    topcoat: null,
    bench: false,
    removedAt: null,
    parts: e.parts.map(([kind, sharePct]): Part => ({
      id: `${id}-${kind}`,
      kind,
      sharePct,
      methodId: null,
      insistedWhy: null,
      removedAt: null,
    })),
    layers: coats.map(([binder, colour, soundness, yearApplied], i): Layer => ({
      id: `${id}-coat${i + 1}`,
      position: i,
      binder,
      colour,
      soundness,
      yearApplied: yearApplied ?? null,
      removedAt: null,
    })),
    readings: [],
    checks: [],
    ...over,
  };
}

export const reading = (id: string, over: Partial<Reading> & Pick<Reading, 'kind'>): Reading => ({
  id,
  takenAt: AT,
  reachedLayerIds: [],
  toSubstrate: false,
  spot: null,
  changedLayerIds: [],
  kitRecognised: true,
  value: null,
  unit: null,
  bandLow: null,
  bandHigh: null,
  note: '',
  supersedesId: null,
  supersedesWhy: null,
  by: 'Ines Marlow',
  ...over,
});

export const choose = (s: Surface, methodId: Part['methodId']): Surface => ({ ...s, parts: s.parts.map((p) => ({ ...p, methodId })) });

export const facts = (j: Job, spaces: Space[], surfaces: Surface[]): JobFacts => ({ job: j, spaces, surfaces });
