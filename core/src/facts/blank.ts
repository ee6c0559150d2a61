/** Records of which nothing is known yet: what every form, template, test and demo starts from. */
import type { z } from 'zod';
import type {
  AirSampleFields,
  MoistureFacts,
  BagFields,
  BoardFields,
  DefectFields,
  HaulFields,
  JobFields,
  LayerFields,
  ReadingFields,
  SampleFields,
  SpaceFields,
  SquareFields,
  ZoneFields,
} from './schema';

export type JobDraft = z.infer<typeof JobFields>;
export type ZoneDraft = z.infer<typeof ZoneFields>;
export type SpaceDraft = z.infer<typeof SpaceFields>;
export type LayerDraft = z.infer<typeof LayerFields>;
export type ReadingDraft = z.infer<typeof ReadingFields>;
export type SampleDraft = z.infer<typeof SampleFields>;
export type SquareDraft = z.infer<typeof SquareFields>;
export type AirSampleDraft = z.infer<typeof AirSampleFields>;
export type BagDraft = z.infer<typeof BagFields>;
export type HaulDraft = z.infer<typeof HaulFields>;
export type BoardDraft = z.infer<typeof BoardFields>;
export type DefectDraft = z.infer<typeof DefectFields>;

export const BLANK_JOB: JobDraft = {
  name: '',
  place: '',
  yearBuilt: null,
  rulebook: 'us',
  units: 'ft',
  timeZone: 'UTC',
  childUnder6: 'unknown',
  pregnancy: 'unknown',
  dwelling: true,
  sample: false,
  asthma: 'unknown',
  livedIn: 'unknown',
  otherTrades: '',
  family: 'unknown',
  dwellings: null,
  tenure: 'unknown',
  publicFunding: 'unknown',
  listed: 'unknown',
  power: 'unknown',
  water: 'unknown',
  samplingSeed: '',
  note: '',
  siteId: null,
  worker: 'firm',
  edition: null,
  startOn: null,
  stateLayer: 'none',
  wasteTests: [],
  clientId: null,
  clientName: '',
  contractIn: 'en',
  jobState: 'open',
};

export const BLANK_SETUP = {
  workingDoor: '',
  washPlace: '',
  cleanWay: '',
  airMachine: '',
  machineIds: [],
  crew: null,
  shiftH: null,
  note: '',
  staying: '',
};

export const BLANK_SPACE: SpaceDraft = {
  name: '',
  kind: 'room',
  position: 0,
  yearBuilt: null,
  lengthM: null,
  widthM: null,
  heightM: null,
  boundaryM: null,
  services: [],
  accessM: null,
  goesAnyway: '',
  moisture: null,
  side: null,
  nearby: [],
  facing: null,
  shaded: [],
  joinedToId: null,
  ...BLANK_SETUP,
};

export const BLANK_ZONE: Omit<ZoneDraft, 'spaceId'> = { name: '', position: 0, ...BLANK_SETUP };

export const BLANK_LAYER: LayerDraft = {
  position: 0,
  binder: 'unknown',
  colour: '',
  soundness: 'unknown',
  yearApplied: null,
  alcohol: 'untried',
  alkali: 'untried',
  water: 'untried',
  heat: 'untried',
  look: '',
  poisons: [],
  poisonsLookedFor: false,
};

export const BLANK_READING: Omit<ReadingDraft, 'takenAt'> = {
  kind: 'spot',
  reachedLayerIds: [],
  toSubstrate: false,
  spot: null,
  changedLayerIds: [],
  kitRecognised: false,
  value: null,
  unit: null,
  bandLow: null,
  bandHigh: null,
  note: '',
  supersedesId: null,
  supersedesWhy: null,
  sampleId: null,
  humidityPct: null,
  device: '',
  analysis: null,
  trace: false,
  atX: null,
  atY: null,
  control: 'unsaid',
  minutes: null,
  lot: '',
  decidedBy: 'unsaid',
  certificate: '',
  below: false,
  finding: null,
  file: '',
};

export const BLANK_SAMPLE: SampleDraft = {
  number: '',
  hazard: 'lead',
  kind: 'chip',
  suspect: null,
  reachedLayerIds: [],
  toSubstrate: false,
  place: '',
  atX: null,
  atY: null,
  takenAt: null,
  takenBy: '',
  sentAt: null,
  lab: '',
  repeatsId: null,
  note: '',
};

export const BLANK_SQUARE: Omit<SquareDraft, 'methodId'> = {
  product: '',
  chemistry: 'unsaid',
  partId: null,
  coating: '',
  place: '',
  atX: null,
  atY: null,
  covered: true,
  surfaceC: null,
  dwellMin: null,
  startedAt: null,
  stoppedAt: null,
  lifted: null,
  stoppedOnLayerId: null,
  stayedPct: null,
  leftBehind: [],
  harms: [],
  sizeCm2: null,
  usedMl: null,
  workMin: null,
  ease: null,
  carriedFrom: '',
  note: '',
};

export const BLANK_BOARD: BoardDraft = {
  label: '',
  oilSoaked: 'unknown',
  rotten: 'unknown',
  coats: null,
  soundCoats: null,
  mixed: false,
  note: '',
};

export const BLANK_DEFECT: Omit<DefectDraft, 'kind' | 'seenOn'> = {
  partId: null,
  alongM: null,
  upM: null,
  areaM2: null,
  lengthM: null,
  pieces: 1,
  depthMm: null,
  moving: 'unknown',
  asFound: true,
  repair: null,
  repairWhy: '',
  note: '',
};

export const BLANK_AIR_SAMPLE: Omit<AirSampleDraft, 'onSurfaceId' | 'methodId' | 'startedAt' | 'minutes'> = {
  number: '',
  person: '',
  flowLMin: 2,
  massUg: null,
  below: false,
  lab: '',
  note: '',
};
export const BLANK_HAUL: Omit<HaulDraft, 'leftAt'> = { number: '', carrier: '', to: '', bags: null, kg: null, note: '' };
export const BLANK_BAG: Omit<BagDraft, 'stream' | 'filledAt'> = {
  number: '',
  kg: null,
  filledBy: '',
  zoneId: null,
  place: '',
  haulId: null,
  note: '',
};

/** A usual small bathroom in a cool season, to be put right. */
export const USUAL_MOISTURE: MoistureFacts = {
  insideC: 20,
  insideRhPct: 60,
  outsideC: 5,
  outsideRhPct: 85,
  uValueWm2K: 1.5,
  fanRatedM3h: null,
  fanMeasuredM3h: null,
  fanMinPerDay: 30,
  leakAch: 0.5,
  waterGPerDay: 600,
  burstsPerDay: 2,
  leak: 'unknown',
  rising: 'unknown',
  fanVentsOutside: 'unknown',
  laundryDries: 'unknown',
  coldCorner: 'unknown',
  fanRoom: 'bath',
  heating: 'steady',
  letDownC: 4,
  windowMinPerDay: 0,
  lining: 'plaster',
  coldFace: 'plain',
  measuredFaceC: null,
  logged: null,
};
