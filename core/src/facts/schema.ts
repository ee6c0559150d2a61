/**
 * What is recorded on a job: facts only. Everything else is derived (pipeline.ts).
 * The same schemas check a tap, an API call, an imported file and the demo seed.
 */
import { z } from 'zod';
import {
  AIMS,
  BINDERS,
  CONDITIONS,
  ELEMENT_IDS,
  LAB_UNITS,
  MATERIALS,
  METHOD_IDS,
  PART_KINDS,
  READING_KINDS,
  SOUNDNESS,
  SPOT_RESULTS,
  TOPCOATS,
  YES_NO,
} from './vocabulary';

/** Letters, digits and hyphens, made by the client so that a record can be written without signal. */
export const Id = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9-]{2,63}$/, 'an id is 3 to 64 letters, digits or hyphens');

// Control characters cannot be stored or printed; emoji, accents and right-to-left text can.
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/;
const text = (max: number) =>
  z
    .string()
    .max(max, `at most ${max} characters`)
    .refine((s) => !CONTROL.test(s), 'holds a control character: type it again');
const name = (what: string) => text(120).refine((s) => s.trim().length > 0, `${what} needs a name`);

/** UTC instant. The job's zone stands beside it, on the job. */
export const Instant = z.iso.datetime({ precision: 3, error: 'a time is written in UTC as 2026-05-04T13:20:00.000Z' });

const size = (what: string, max: number) =>
  z
    .number({ error: `${what} is a number` })
    .positive(`${what} must be more than 0`)
    .max(max, `${what} is over ${max} m: check the unit`);

/** Years before 1500 are taken for a slip; the upper bound is today's and is checked with the clock (validate.ts). */
const year = z.number().int('a year is a whole number').min(1500, 'before 1500: check the year').max(9999, 'check the year');

/** Named zones only: what the calendar of this machine knows. */
function isTimeZone(zone: string): boolean {
  try {
    return zone !== '' && new Intl.DateTimeFormat('en', { timeZone: zone }) !== null;
  } catch {
    return false;
  }
}

export const JobFields = z.strictObject({
  name: name('the job'),
  place: text(200),
  yearBuilt: year.nullable(),
  rulebook: z.enum(['us', 'uk']),
  units: z.enum(['ft', 'm']),
  timeZone: z.string().max(64).refine(isTimeZone, 'is not a known time zone: write it as Europe/London'),
  childUnder6: z.enum(YES_NO),
  pregnancy: z.enum(YES_NO),
  dwelling: z.boolean(),
  sample: z.boolean(),
});

export const SpaceFields = z.strictObject({
  name: name('the space'),
  kind: z.enum(['room', 'elevation']),
  position: z.number(),
  yearBuilt: year.nullable(),
  lengthM: size('length', 200).nullable(),
  widthM: size('width', 200).nullable(),
  heightM: size('height', 100).nullable(),
  /** Elevations: distance from the wall to the boundary. */
  boundaryM: z.number().min(0, 'a distance cannot be negative').max(10000).nullable(),
});

export const SurfaceFields = z.strictObject({
  spaceId: Id,
  position: z.number(),
  name: name('the surface'),
  element: z.enum(ELEMENT_IDS),
  count: z.number({ error: 'how many is a number' }).int('how many is a whole number').min(1, 'at least 1').max(999, 'at most 999'),
  material: z.enum(MATERIALS),
  lengthM: size('length', 200),
  widthM: size('width', 100),
  faces: z.number().int().min(1, 'at least 1 face').max(2, 'at most 2 faces'),
  /** Year this piece was made or first painted, when it is not the building's. */
  yearMade: year.nullable(),
  conditions: z
    .array(z.enum(CONDITIONS))
    .max(CONDITIONS.length)
    .refine((c) => new Set(c).size === c.length, 'a condition is listed twice'),
  /** True when every coat down to the material has been counted. */
  coatsCounted: z.boolean(),
  knots: z.enum(YES_NO),
  aim: z.enum(AIMS),
  topcoat: z.enum(TOPCOATS).nullable(),
  /** True when the piece is taken down and worked on a bench. */
  bench: z.boolean(),
});

export const PartFields = z.strictObject({
  kind: z.enum(PART_KINDS),
  sharePct: z.number({ error: 'a share is a number' }).min(0, 'a share cannot be negative').max(100, 'a share is at most 100 %'),
  methodId: z.enum(METHOD_IDS, { error: 'no such method' }).nullable(),
  /** Why the person keeps a method that good practice (not law) blocks. */
  insistedWhy: text(500).nullable(),
});

export const LayerFields = z.strictObject({
  /** 0 is the top coat; larger is deeper. */
  position: z.number(),
  binder: z.enum(BINDERS),
  colour: text(60),
  soundness: z.enum(SOUNDNESS),
  yearApplied: year.nullable(),
});

export const ReadingFields = z.strictObject({
  kind: z.enum(READING_KINDS),
  takenAt: Instant,
  /** Layers the test reached, top down; the face only, or a notch through all. */
  reachedLayerIds: z.array(Id).max(60),
  /** The cut or beam reached the material itself. */
  toSubstrate: z.boolean(),
  /** spot */
  spot: z.enum(SPOT_RESULTS).nullable(),
  changedLayerIds: z.array(Id).max(60),
  kitRecognised: z.boolean(),
  /** lab (null: result not in yet), xrf */
  value: z.number({ error: 'the result is a number' }).min(0, 'a result cannot be negative').nullable(),
  unit: z.enum(LAB_UNITS, { error: 'state the unit: %, ppm or mg/cm2' }).nullable(),
  /** xrf: the instrument sheet's inconclusive range, when it has one */
  bandLow: z.number().min(0).nullable(),
  bandHigh: z.number().min(0).nullable(),
  note: text(500),
  supersedesId: Id.nullable(),
  supersedesWhy: text(300).nullable(),
});

export const CheckFields = z.strictObject({
  gate: z.string().regex(/^[a-zA-Z0-9.-]{2,60}$/),
  outcome: z.enum(['pass', 'fail']),
  note: text(500),
  takenAt: Instant,
  supersedesId: Id.nullable(),
  supersedesWhy: text(300).nullable(),
});

const ids = { id: Id };
const life = { removedAt: Instant.nullable() };
const author = { by: name('the person') };

export const Part = z.strictObject({ ...ids, ...PartFields.shape, ...life });
export const Layer = z.strictObject({ ...ids, ...LayerFields.shape, ...life });
export const Reading = z.strictObject({ ...ids, ...ReadingFields.shape, ...author });
export const Check = z.strictObject({ ...ids, ...CheckFields.shape, ...author });
export const Job = z.strictObject({ ...ids, ...JobFields.shape, createdAt: Instant, ...life });
export const Space = z.strictObject({ ...ids, ...SpaceFields.shape, ...life });
export const Surface = z.strictObject({
  ...ids,
  ...SurfaceFields.shape,
  ...life,
  parts: z.array(Part).max(20),
  layers: z.array(Layer).max(60),
  readings: z.array(Reading).max(500),
  checks: z.array(Check).max(2000),
});

/** One job, whole: the shape in the store, in the job file and in every derivation. */
export const JobFacts = z.strictObject({ job: Job, spaces: z.array(Space).max(500), surfaces: z.array(Surface).max(5000) });

export type Job = z.infer<typeof Job>;
export type Space = z.infer<typeof Space>;
export type Surface = z.infer<typeof Surface>;
export type Part = z.infer<typeof Part>;
export type Layer = z.infer<typeof Layer>;
export type Reading = z.infer<typeof Reading>;
export type Check = z.infer<typeof Check>;
export type JobFacts = z.infer<typeof JobFacts>;

/** Child entities hang under a surface; the others under the job. */
export const ENTITY_FIELDS = {
  job: JobFields,
  space: SpaceFields,
  surface: SurfaceFields,
  part: PartFields,
  layer: LayerFields,
  reading: ReadingFields,
  check: CheckFields,
} as const;
export type Entity = keyof typeof ENTITY_FIELDS;
export const CHILD_LIST = { part: 'parts', layer: 'layers', reading: 'readings', check: 'checks' } as const;
export type ChildEntity = keyof typeof CHILD_LIST;
export const isChild = (e: Entity): e is ChildEntity => e in CHILD_LIST;
/** Records of what was observed: added, superseded, never edited or removed. */
export const APPEND_ONLY: readonly Entity[] = ['reading', 'check'];
