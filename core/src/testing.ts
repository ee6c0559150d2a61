/** Short hand for tests: a job with one room and one surface, and what follows from it. */
import { createDeriver } from './job/derive';
import type { SurfacePlan } from './zone/surface-plan';
import {
  CHANGE_VERSION,
  type Defect,
  type DefectKind,
  type Laid,
  BLANK_DEFECT,
  BLANK_JOB,
  BLANK_LAYER,
  BLANK_READING,
  BLANK_SAMPLE,
  BLANK_SPACE,
  BLANK_SQUARE,
  BLANK_ZONE,
  type Check,
  type InstrumentCheck,
  type Job,
  type JobFacts,
  type Layer,
  type Machine,
  type MethodId,
  type Part,
  type PartKind,
  type Person,
  type Reading,
  type Sample,
  type Sign,
  type Space,
  type Square,
  type Surface,
  type Zone,
} from './facts';
import { scopeParent, type JobChange } from './facts/envelope';
import { DEFAULT_SETTINGS, type FirmSettings } from './rulebook';
import { partDrafts, surfaceDraft } from './walk';

export const THIS_YEAR = 2026;
export const AT = '2026-05-04T13:20:00.000Z';

export const aJob = (over: Partial<Job> = {}): Job => ({
  ...BLANK_JOB,
  id: 'job-1',
  name: 'Test',
  yearBuilt: 1904,
  childUnder6: 'no',
  pregnancy: 'no',
  asthma: 'no',
  livedIn: 'no',
  listed: 'no',
  createdAt: AT,
  removedAt: null,
  ...over,
});
let changes = 0;
/** A change of the job's surface, unless it says otherwise; each with an id of its own. */
export const aChange = (over: Partial<JobChange>): JobChange => ({
  v: CHANGE_VERSION,
  id: `change-${(changes += 1)}`,
  jobId: 'job-1',
  entity: 'surface',
  entityId: 'surface-1',
  parent: scopeParent(over.entity ?? 'surface', 'job-1'),
  op: 'set',
  fields: {},
  at: AT,
  by: 'Tester',
  personId: null,
  device: null,
  act: null,
  ...over,
});
export const aSpace = (over: Partial<Space> = {}): Space => ({ ...BLANK_SPACE, id: 'room-1', name: 'Room', removedAt: null, ...over });
export const aMachine = (over: Partial<Machine> = {}): Machine => ({
  id: 'machine-1',
  name: 'Vacuum 1',
  kind: 'vacuum',
  flowM3h: null,
  filter: 'hepa',
  lastOn: 'nothing',
  removedAt: null,
  ...over,
});
export const aZone = (over: Partial<Zone> = {}): Zone => ({
  ...BLANK_ZONE,
  id: 'zone-1',
  spaceId: 'room-1',
  name: 'Bay',
  removedAt: null,
  ...over,
});
/** Every number that a check may ask for, well within its limit. */
export const GOOD_NUMBERS: Check['measured'] = [
  { what: 'moisturePct', value: 12 },
  { what: 'ph', value: 7 },
  { what: 'aboveDewC', value: 5 },
  { what: 'windMs', value: 2 },
  { what: 'waitedMin', value: 60 },
  { what: 'waitedH', value: 48 },
  { what: 'dustFloor', value: 1 },
  { what: 'dustSill', value: 10 },
  { what: 'dustTrough', value: 20 },
  { what: 'leadPpm', value: 10 },
  { what: 'faceRhPct', value: 60 },
  { what: 'faceC', value: 20 },
  { what: 'adhesionClass', value: 4 },
  { what: 'chalkClass', value: 1 },
  { what: 'rinsePh', value: 7 },
  { what: 'dropS', value: 30 },
  { what: 'filmS', value: 40 },
  { what: 'saltMgM2', value: 20 },
  { what: 'profileUm', value: 50 },
];
/** A check that passed, of a surface or, with its zone, of the job. */
export const aCheck = (gate: string, over: Partial<Check> = {}): Check => ({
  id: `check-${gate}`,
  gate,
  zoneId: null,
  outcome: 'pass',
  measured: GOOD_NUMBERS,
  pieceIds: null,
  spokeOf: null,
  note: '',
  takenAt: AT,
  supersedesId: null,
  supersedesWhy: null,
  by: 'Tester',
  ...over,
});
export const aLayer = (n: number, over: Partial<Layer> = {}): Layer => ({
  ...BLANK_LAYER,
  id: `coat-${n}`,
  position: n,
  binder: 'oil',
  soundness: 'sound',
  removedAt: null,
  ...over,
});
/** Coats of metal that somebody looked at: nothing in the primer but paint. */
export const looked = (layers: readonly Layer[]): Layer[] => layers.map((l) => ({ ...l, poisonsLookedFor: true }));
export const aReading = (over: Partial<Reading>): Reading => ({
  ...BLANK_READING,
  id: `reading-${over.kind ?? 'spot'}`,
  takenAt: AT,
  kitRecognised: true,
  control: 'worked',
  decidedBy: 'inspector',
  certificate: 'RA-104',
  device: over.kind === 'xrf' ? 'X-1' : '',
  by: 'Tester',
  ...over,
});
/** The calibration film read before and after AT, in its tolerance. */
export const PROVEN: readonly InstrumentCheck[] = ['2026-05-04T11:00:00.000Z', '2026-05-04T15:00:00.000Z'].map((takenAt, i) => ({
  id: `proof-${i}`,
  device: 'X-1',
  what: 'calibration',
  material: null,
  values: [1, 1.05, 1.02],
  filmMgCm2: 1.02,
  tolerance: 0.1,
  takenAt,
  note: '',
  by: 'Tester',
}));
export const aSample = (over: Partial<Sample> = {}): Sample => ({
  ...BLANK_SAMPLE,
  id: 'sample-1',
  number: 'S-001',
  removedAt: null,
  ...over,
});
export const aSquare = (over: Partial<Square> & Pick<Square, 'id' | 'methodId'>): Square => ({ ...BLANK_SQUARE, removedAt: null, ...over });
/** A part that nobody has decided anything about, the whole of its surface. */
export const aPart = (kind: PartKind, methodId: MethodId | null = null, over: Partial<Part> = {}): Part => ({
  id: `part-${kind}`,
  kind,
  sharePct: 100,
  methodId,
  insistedWhy: null,
  alsoIds: [],
  grits: [],
  toolC: null,
  removedAt: null,
  ...over,
});
/** A surface with three coats, counted, sound, from its template. */
export function aSurface(over: Partial<Surface> = {}): Surface {
  const element = over.element ?? 'casing';
  return {
    ...surfaceDraft(element, 'room-1', 0, 'Piece', 'm', { coatsCounted: true, knots: 'no' }),
    id: 'surface-1',
    removedAt: null,
    parts: partDrafts(element).map((p): Part => ({ ...p, id: `part-${p.kind}`, removedAt: null })),
    layers: [aLayer(0), aLayer(1), aLayer(2)],
    readings: [],
    checks: [],
    samples: [],
    squares: [],
    boards: [],
    signs: [],
    laid: [],
    defects: [],
    ...over,
  };
}
/** One coat by roller, of which nothing was measured. */
export const aLaid = (over: Partial<Laid> = {}): Laid => ({
  id: 'laid-1',
  product: 'matEmulsion',
  withdrawn: false,
  way: 'roller',
  coats: 1,
  areaM2: 5,
  litres: null,
  wetUm: null,
  thinnedPct: 0,
  tinId: null,
  tinL: null,
  earlyWhy: '',
  takenAt: AT,
  supersedesId: null,
  by: 'Ines',
  ...over,
});
/** Seen on a spot, at no step that is said. */
export const aSign = (sign: Sign['sign'], over: Partial<Sign> = {}): Sign => ({
  id: `sign-${sign}`,
  sign,
  partId: null,
  methodId: null,
  product: null,
  extent: 'spot',
  note: '',
  takenAt: AT,
  supersedesId: null,
  supersedesWhy: null,
  by: 'Tester',
  ...over,
});
/** A defect of the ground that nobody measured. */
export const aDefect = (kind: DefectKind, over: Partial<Defect> = {}): Defect => ({
  ...BLANK_DEFECT,
  id: `defect-${kind}`,
  kind,
  seenOn: '2026-05-04',
  removedAt: null,
  ...over,
});

export const COATS = ['coat-0', 'coat-1', 'coat-2'];

export interface Setup {
  readonly job?: Partial<Job>;
  readonly space?: Partial<Space>;
  readonly settings?: Partial<FirmSettings>;
  /** More surfaces in the same room. */
  readonly others?: readonly Surface[];
  /** Checks of the room’s zone. */
  readonly zoneChecks?: readonly Check[];
}
export const aFacts = (surface: Surface, { job, space, others = [], zoneChecks = [] }: Setup = {}): JobFacts => ({
  job: aJob(job),
  spaces: [aSpace(space)],
  surfaces: [surface, ...others],
  airSamples: [],
  stints: [],
  hauls: [],
  bags: [],
  photos: [],
  instrumentChecks: [...PROVEN],
  zones: [],
  checks: zoneChecks.map((c) => ({ ...c, zoneId: 'room-1' })),
});

export function planOf(surface: Surface, setup: Setup = {}): SurfacePlan {
  const plan = createDeriver().surface(aFacts(surface, setup), surface.id, { ...DEFAULT_SETTINGS, ...setup.settings }, THIS_YEAR);
  if (!plan) throw new Error('the surface was not planned');
  return plan;
}

/** Somebody of the firm who is trained for asbestos work, for years to come. */
export const aTrained: Person = {
  id: 'person-trained',
  name: 'Ines Marlow',
  certificates: [{ kind: 'asbestosTrained', number: '', until: '2099-01-01' }],
  fitTests: [],
  training: [],
  removedAt: null,
};

export const rulesOf = (because: readonly { readonly rule: string }[]): string[] => because.map((r) => r.rule);
