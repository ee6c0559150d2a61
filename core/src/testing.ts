/** Short hand for tests: a job with one room and one surface, and what follows from it. */
import { createDeriver, type SurfacePlan } from './pipeline';
import type { Job, JobFacts, Layer, Part, Reading, Space, Surface } from './facts';
import { DEFAULT_SETTINGS, type FirmSettings } from './rulebook';
import { ELEMENTS } from './walk';

export const THIS_YEAR = 2026;
export const AT = '2026-05-04T13:20:00.000Z';

export const aJob = (over: Partial<Job> = {}): Job => ({
  id: 'job-1',
  name: 'Test',
  place: '',
  yearBuilt: 1904,
  rulebook: 'us',
  units: 'ft',
  timeZone: 'UTC',
  childUnder6: 'no',
  pregnancy: 'no',
  dwelling: true,
  sample: false,
  createdAt: AT,
  removedAt: null,
  ...over,
});
export const aSpace = (over: Partial<Space> = {}): Space => ({
  id: 'room-1',
  name: 'Room',
  kind: 'room',
  position: 0,
  yearBuilt: null,
  lengthM: null,
  widthM: null,
  heightM: null,
  boundaryM: null,
  removedAt: null,
  ...over,
});
export const aLayer = (n: number, over: Partial<Layer> = {}): Layer => ({
  id: `coat-${n}`,
  position: n,
  binder: 'oil',
  colour: '',
  soundness: 'sound',
  yearApplied: null,
  removedAt: null,
  ...over,
});
export const aReading = (over: Partial<Reading>): Reading => ({
  id: `reading-${over.kind ?? 'spot'}`,
  kind: 'spot',
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
  by: 'Tester',
  ...over,
});
/** A surface with three coats, counted, sound, from its template. */
export function aSurface(over: Partial<Surface> = {}): Surface {
  const e = ELEMENTS[over.element ?? 'casing'];
  return {
    id: 'surface-1',
    spaceId: 'room-1',
    position: 0,
    name: 'Piece',
    element: e.id,
    count: 1,
    material: e.material,
    lengthM: e.lengthM,
    widthM: e.widthM,
    faces: 1,
    yearMade: null,
    conditions: [],
    coatsCounted: true,
    knots: 'no',
    aim: 'keepSound',
    topcoat: null,
    bench: false,
    removedAt: null,
    parts: e.parts.map(([kind, sharePct]): Part => ({
      id: `part-${kind}`,
      kind,
      sharePct,
      methodId: null,
      insistedWhy: null,
      removedAt: null,
    })),
    layers: [aLayer(0), aLayer(1), aLayer(2)],
    readings: [],
    checks: [],
    ...over,
  };
}
export const COATS = ['coat-0', 'coat-1', 'coat-2'];

export interface Setup {
  readonly job?: Partial<Job>;
  readonly space?: Partial<Space>;
  readonly settings?: Partial<FirmSettings>;
  /** More surfaces in the same room. */
  readonly others?: readonly Surface[];
}
export const aFacts = (surface: Surface, { job, space, others = [] }: Setup = {}): JobFacts => ({
  job: aJob(job),
  spaces: [aSpace(space)],
  surfaces: [surface, ...others],
});

export function planOf(surface: Surface, setup: Setup = {}): SurfacePlan {
  const plan = createDeriver().surface(aFacts(surface, setup), surface.id, { ...DEFAULT_SETTINGS, ...setup.settings }, THIS_YEAR);
  if (!plan) throw new Error('the surface was not planned');
  return plan;
}

export const rulesOf = (because: readonly { readonly rule: string }[]): string[] => because.map((r) => r.rule);
