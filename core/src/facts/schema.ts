/**
 * The fields of what is recorded: facts only. Everything else is derived (job/derive.ts).
 * The same schemas check a tap, an API call, an imported file and the demo seed. How the entities hang together: registry.ts.
 */
import { z } from 'zod';
import {
  ANALYSES,
  AIMS,
  GLOVE_MATERIALS,
  SHEET_FILTERS,
  BINDERS,
  CHEMISTRIES,
  CERTIFICATES,
  CHECK_NUMBERS,
  COAT_USES,
  FILTERS,
  MACHINE_KINDS,
  NEARBY,
  OPENING_USES,
  USED_ON,
  CONDITIONS,
  DECIDERS,
  DEFECTS,
  ELEMENT_IDS,
  EXTENTS,
  COLD_FACES,
  FAN_BLOWS,
  FAN_ROOMS,
  HEATINGS,
  LININGS,
  FINDINGS,
  FINISHES,
  HARMS,
  HAZARDS,
  INSTRUMENT_CHECKS,
  JOB_STATES,
  KIT_CONTROLS,
  CLIENT_LANGUAGES,
  LAYINGS,
  LEFT_BEHIND,
  LIFTED,
  MARK_KINDS,
  MATERIALS,
  MEASURES,
  METHOD_IDS,
  PART_KINDS,
  POISONS,
  POT_IDS,
  PASTS,
  READING_KINDS,
  READING_UNITS,
  REPAIRS,
  RESPONSES,
  SAMPLE_KINDS,
  SERVICES,
  SIGNS,
  STATE_LAYERS,
  WASTE_STREAMS,
  WALLS,
  SOUNDNESS,
  SUSPECT_KINDS,
  SPOT_RESULTS,
  TOPCOATS,
  WORKERS,
  YES_NO,
  CAUSTIC_VESSELS,
  FACINGS,
  TINTS,
} from './vocabulary';
import { GOOD_IDS, STANDS_AT, STUFFS } from './goods';

/** Letters, digits and hyphens, made by the client so that a record can be written without signal. */
export const Id = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9-]{2,63}$/, 'an id is 3 to 64 letters, digits or hyphens');

// Control characters cannot be stored or printed; emoji, accents and right-to-left text can.
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/;
// Half of a two-part letter: no file and no database can hold it.
const LONE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
export const text = (max: number) =>
  z
    .string()
    .max(max, `at most ${max} characters`)
    .refine((s) => !CONTROL.test(s), 'holds a control character: type it again')
    .refine((s) => !LONE.test(s), 'holds half a letter: type it again');
export const name = (what: string) => text(120).refine((s) => s.trim().length > 0, `${what} needs a name`);

/** The trade's records begin after this; a clock that was never set stands before it. */
const FIRST_INSTANT_YEAR = 1900;
const LAST_INSTANT_YEAR = 2199;
/** Of a day or an instant as ISO writes it. */
export const isYearOfTrade = (s: string): boolean =>
  Number(s.slice(0, 4)) >= FIRST_INSTANT_YEAR && Number(s.slice(0, 4)) <= LAST_INSTANT_YEAR;
/** UTC instant. The job's zone stands beside it, on the job. */
export const Instant = z.iso
  .datetime({ precision: 3, error: 'a time is written in UTC as 2026-05-04T13:20:00.000Z' })
  .refine(isYearOfTrade, 'check the year of the time');

const size = (what: string, max: number) =>
  z
    .number({ error: `${what} is a number` })
    .positive({ error: `${what} must be more than 0`, abort: true })
    .min(0.001, `${what} is under a millimetre: check the unit`)
    .max(max, `${what} is over ${max} m: check the unit`);

/** Years before 1500 are taken for a slip; the upper bound is today's and is checked with the clock (validate.ts). */
const year = z.number().int('a year is a whole number').min(1500, 'before 1500: check the year').max(9999, 'check the year');

/** Named zones only: what the calendar of this machine knows. */
export function isTimeZone(zone: string): boolean {
  try {
    return zone !== '' && new Intl.DateTimeFormat('en', { timeZone: zone }) !== null;
  } catch {
    return false;
  }
}

/**
 * A field that came later has a default, so that a record from before is still read. Patches keep only the fields that
 * were sent (change.ts), so that a default never overwrites what stands.
 */
const yesNo = z.enum(YES_NO).default('unknown');
const list = <T extends string>(values: readonly [T, ...T[]], what: string) =>
  z
    .array(z.enum(values))
    .max(values.length)
    .refine((c) => new Set(c).size === c.length, `${what} is listed twice`);
const share01 = z.number().min(0, 'lies outside the area').max(1, 'lies outside the area').nullable().default(null);
const degree = z.number().int('a degree is a whole number, 0 to 5').min(0, 'from 0 to 5').max(5, 'from 0 to 5').nullable().default(null);

export const Day = z.iso.date('is a day such as 2026-05-04').refine(isYearOfTrade, 'check the year of the day');

const size0 = (what: string, most: number) =>
  z
    .number({ error: `${what} is a number` })
    .min(0, `${what} cannot be negative`)
    .max(most, `${what} is over ${most} m: check the unit`)
    .nullable();

const tested = (most: number, what: string) =>
  z
    .number({ error: `${what} is a number` })
    .min(0, `${what} cannot be negative`)
    .max(most, `${what}: check the unit`)
    .nullable()
    .default(null);
export const WasteTest = z.strictObject({
  stream: z.enum(WASTE_STREAMS, { error: 'say what was tested' }),
  /** What leaches out, and what is in it, of lead. */
  leachMgL: tested(100_000, 'the leachate'),
  totalMgKg: tested(1_000_000, 'the lead in it'),
  ph: tested(14, 'the pH'),
  flashC: tested(300, 'the flash point'),
  lab: text(120).default(''),
});
export type WasteTest = z.infer<typeof WasteTest>;

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
  asthma: yesNo,
  livedIn: yesNo,
  /** Other people at work in the house, in words. */
  otherTrades: text(200).default(''),
  family: z.enum(['single', 'multi', 'unknown']).default('unknown'),
  /** Dwellings of like construction and history in the building. */
  dwellings: z.number().int('a whole number').min(1, 'at least 1').max(100_000, 'check the number').nullable().default(null),
  tenure: z.enum(['ownerOccupied', 'rented', 'unknown']).default('unknown'),
  publicFunding: yesNo,
  listed: yesNo,
  power: yesNo,
  water: yesNo,
  /** Draws the random places and dwellings; the same seed draws the same. */
  samplingSeed: text(60).default(''),
  /** Anything else to know about the whole job. */
  note: text(2000).default(''),
  /** The firm's site at which it is; the place above says it in words, for whoever has no list of sites. */
  siteId: Id.nullable().default(null),
  /** Who does the work that disturbs: the rule for renovators binds who is paid. */
  worker: z.enum(WORKERS).default('firm'),
  /** The edition of the rulebook on which the job stands; null: what held when jobs began to be pinned. */
  edition: text(40).nullable().default(null),
  /** The first day on which anything is disturbed; null: not set. Notices and own air data hang on it. */
  startOn: Day.nullable().default(null),
  stateLayer: z.enum(STATE_LAYERS).default('none'),
  /** What a lab or a strip said of what leaves the job: one line a stream. */
  wasteTests: z
    .array(WasteTest)
    .max(WASTE_STREAMS.length)
    .refine((all) => new Set(all.map((t) => t.stream)).size === all.length, 'a stream is tested twice: keep the later answer')
    .default([]),
  /** For whom it is done, of the firm's clients; the name below says it, for whoever has no list of them. */
  clientId: Id.nullable().default(null),
  clientName: text(120).default(''),
  /** ClientLanguage of the contract: what the law wants acknowledged is acknowledged in it. */
  contractIn: z.enum(CLIENT_LANGUAGES).default('en'),
  jobState: z.enum(JOB_STATES).default('open'),
});

const between = (low: number, high: number, what: string) =>
  z
    .number({ error: `${what} is a number` })
    .min(low, `${what} under ${low} is not plausible`)
    .max(high, `${what} over ${high} is not plausible`);

/** A logger's days in one room, summed up. */
const Logged = z.strictObject({
  from: z.string().min(1).max(40),
  hours: z.number().int('a whole number').min(1).max(20_000, 'check the hours'),
  /** Hours without a value. */
  missing: z.number().int('a whole number').min(0).max(20_000, 'check the hours'),
  meanC: between(-30, 60, 'the mean temperature'),
  meanRhPct: between(0, 100, 'the mean humidity'),
  /** At the coldest face, over all its hours, %. Null: the weather of those days was not at hand, and a simulated one says nothing of them. */
  faceRhPct: between(0, 100, 'the humidity at the face').nullable(),
  hoursAbove80: z.number().int('a whole number').min(0).max(20_000, 'check the hours').nullable(),
});
export type Logged = z.infer<typeof Logged>;

/** What the mold cause finder weighs of a room: climate, the coldest outside face, the fan, and what wets the room. */
export const MoistureFacts = z.strictObject({
  insideC: between(-20, 50, 'the temperature inside'),
  insideRhPct: between(1, 100, 'the humidity inside'),
  outsideC: between(-50, 50, 'the temperature outside'),
  outsideRhPct: between(1, 100, 'the humidity outside'),
  /** Heat loss of the outside wall or roof there, W/m2K. */
  uValueWm2K: between(0.05, 8, 'the U-value'),
  /** As the maker states it, m3/h. Null: no fan. */
  fanRatedM3h: between(0, 5000, 'the fan').nullable(),
  /** As measured at the grille, m3/h. Null: not measured. */
  fanMeasuredM3h: between(0, 5000, 'the fan').nullable(),
  fanMinPerDay: between(0, 1440, 'the minutes of a day'),
  /** Leaks through gaps and cracks, air changes an hour. */
  leakAch: between(0, 20, 'air changes'),
  /** Water given off in the room, g a day. */
  waterGPerDay: between(0, 50_000, 'the water'),
  /** Times a day that it is given off: showers, cooking. */
  burstsPerDay: z.number().int('a whole number').min(0).max(48, 'check the number'),
  leak: z.enum(YES_NO),
  rising: z.enum(YES_NO),
  fanVentsOutside: z.enum(FAN_BLOWS),
  laundryDries: z.enum(YES_NO),
  coldCorner: z.enum(YES_NO),
  fanRoom: z.enum(FAN_ROOMS).default('bath'),
  /** When it is heated to the temperature inside, and by how much it is let down meanwhile, C. */
  heating: z.enum(HEATINGS).default('steady'),
  letDownC: between(0, 20, 'the temperature let down').default(4),
  /** Windows wide open, min a day. */
  windowMinPerDay: between(0, 1440, 'the minutes of a day').default(0),
  lining: z.enum(LININGS).default('plaster'),
  coldFace: z.enum(COLD_FACES).default('plain'),
  /** The coldest spot as measured with the temperatures inside and outside, C: a bridge shows itself so. Null: not measured. */
  measuredFaceC: between(-50, 50, 'the temperature of the face').nullable().default(null),
  /** What a logger that hung in the room said: the last one that was brought in. */
  logged: Logged.nullable().default(null),
});
export type MoistureFacts = z.infer<typeof MoistureFacts>;

/** What lies before a side of the house: how far out from the wall, how far along it from its left corner, and how long. Null: not measured. */
const Nearby = z.strictObject({
  what: z.enum(NEARBY),
  outM: z.number().min(0, 'a distance cannot be negative').max(200, 'check the distance').nullable(),
  alongM: z.number().min(0, 'a distance cannot be negative').max(200, 'check the distance').nullable(),
  lengthM: size('length', 200).nullable(),
});
export type Nearby = z.infer<typeof Nearby>;

/** How a work zone is run: one containment, whether it is a whole room, a bay of a side, or what lies behind a sealed screen. */
const zoneSetup = {
  /** By which it is entered and left; the others are sealed. */
  workingDoor: text(120).default(''),
  washPlace: text(120).default(''),
  /** The way on which nothing that is worked in may be worn. */
  cleanWay: text(200).default(''),
  airMachine: text(120).default(''),
  /** Machines of the firm that stand in it. */
  machineIds: z.array(Id).max(20, 'at most 20 machines').default([]),
  /** People who work in it; null: as the firm has it. */
  crew: z.number().int('a whole number').min(1, 'at least 1').max(50, 'check the number').nullable().default(null),
  shiftH: z.number().min(0.5, 'a shift is half an hour or more').max(16, 'over 16 h is no shift').nullable().default(null),
  /** Anything else to know about the place. */
  note: text(1000).default(''),
  /** Who stays in the house meanwhile, where and when, in words. */
  staying: text(300).default(''),
};

/** A part of a room or side that is worked by itself: behind a sealed screen, or a bay of the scaffold. */
export const ZoneFields = z.strictObject({ spaceId: Id, name: name('the zone'), position: z.number(), ...zoneSetup });

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
  /** Beside the work. */
  services: list(SERVICES, 'a service').default([]),
  /** Height at which the work stands. */
  accessM: z.number().min(0, 'a height cannot be negative').max(100, 'check the unit').nullable().default(null),
  /** What is thrown out anyway and needs no saving. */
  goesAnyway: text(200).default(''),
  moisture: MoistureFacts.nullable().default(null),
  /** elevation: which side of the house it is; null: nobody said. */
  side: z.enum(WALLS).nullable().default(null),
  /** elevation: what lies before it. */
  nearby: z.array(Nearby).max(30, 'at most 30').default([]),
  /** elevation: which way it looks; null: nobody said. */
  facing: z.enum(FACINGS).nullable().default(null),
  /** elevation: hours of the day by the sun in which a tree or a wall keeps it in the shade. */
  shaded: z
    .array(
      z
        .strictObject({ fromH: between(0, 24, 'an hour of the day'), toH: between(0, 24, 'an hour of the day') })
        .refine((x) => x.fromH < x.toH, 'the shade ends before it begins'),
    )
    .max(3, 'at most 3 times a day')
    .default([]),
  /** The neighbouring room or side with which it shares one containment. */
  joinedToId: Id.nullable().default(null),
  ...zoneSetup,
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
  /** How that year is known, for all of it: its putty, plaster and coats too. Without it the year ends no suspicion of what was in use later. */
  yearHow: text(200).default(''),
  conditions: z
    .array(z.enum(CONDITIONS))
    .max(CONDITIONS.length)
    .refine((c) => new Set(c).size === c.length, 'a condition is listed twice'),
  /** True when every coat down to the material has been counted. */
  coatsCounted: z.boolean(),
  knots: z.enum(YES_NO),
  aim: z.enum(AIMS),
  topcoat: z.enum(TOPCOATS).nullable(),
  /** Its wanted color: how much it hides, and as it is called. Null: nobody said. */
  tint: z.enum(TINTS).nullable().default(null),
  colour: text(60).default(''),
  /** So many coats of the topcoat are wanted; null: as many as it takes. */
  coatsWanted: z
    .number()
    .int('coats are a whole number')
    .min(1, 'at least one coat')
    .max(6, 'over 6 coats: check')
    .nullable()
    .default(null),
  /** How hot it gets in use, C. Null: nobody said. */
  serviceC: between(20, 600, 'how hot it gets, C,').nullable().default(null),
  /** How good it has to look; null: nobody said, and it is made tidy. */
  finish: z.enum(FINISHES).nullable().default(null),
  /** In which way its primers and its topcoat are laid; what is not in it: as is usual there. */
  layings: z.partialRecord(z.enum(COAT_USES), z.enum(LAYINGS, { error: 'no such way of laying a coat' })).default({}),
  /** True when the piece is taken down and worked on a bench. */
  bench: z.boolean(),
  measures: z
    .partialRecord(
      z.enum(MEASURES),
      z.number({ error: 'a size is a number' }).min(0, 'a size cannot be negative').max(10_000, 'check the size'),
    )
    .default({}),
  blisterGrade: degree,
  flakeGrade: degree,
  crackGrade: degree,
  chalkGrade: degree,
  rustGrade: degree,
  /** Visible mold on it, m2. */
  moldM2: z.number().min(0, 'an area cannot be negative').max(20_000, 'check the unit').nullable().default(null),
  /** Of stains that would bleed through the next coat, m2; null: not measured, and all of it counts. */
  stainM2: z.number().min(0, 'an area cannot be negative').max(20_000, 'check the unit').nullable().default(null),
  /** Thrown out anyway: nothing on it needs saving. */
  scrapped: z.boolean().default(false),
  /** A door or window: what it is to the zone round it. */
  opening: z.enum(OPENING_USES).default('sealed'),
  /** The wood, when it matters to a moisture meter; as the meter's list calls it. */
  species: text(60).default(''),
  /** The order in which the person wants the work, as `partId/methodId`; empty: the core's own order. */
  workOrder: z.array(z.string().max(140)).max(200).default([]),
  /** What ended the memory of what was found here, and how that is known. */
  past: z.enum(PASTS).default('asBefore'),
  pastWhy: text(300).default(''),
  /** Why this method, in the firm's own words, for whoever pays. */
  clientWhy: text(300).default(''),
  /** The day on which the client declined work on it, and what was said; null: nobody did. */
  declinedOn: Day.nullable().default(null),
  declinedNote: text(300).default(''),
  /** All coats together, as a gauge read them, um. Null: not measured. */
  filmUm: z
    .number({ error: 'the film is a number' })
    .positive('a film is more than 0')
    .max(20_000, 'over 20 mm of paint: check the unit')
    .nullable()
    .default(null),
  /** The part of its room or side in which it is worked; null: the whole of it. */
  zoneId: Id.nullable().default(null),
  /** Where it stands: which wall of its room, and from the wall's left corner, m. Null: nobody said. */
  wall: z.enum(WALLS).nullable().default(null),
  alongM: z
    .number({ error: 'the distance is a number' })
    .min(0, 'a distance cannot be negative')
    .max(200, 'check the unit')
    .nullable()
    .default(null),
});

export const PartFields = z.strictObject({
  kind: z.enum(PART_KINDS),
  sharePct: z.number({ error: 'a share is a number' }).min(0, 'a share cannot be negative').max(100, 'a share is at most 100 %'),
  methodId: z.enum(METHOD_IDS, { error: 'no such method' }).nullable(),
  /** Why the person keeps a method that good practice (not law) blocks. */
  insistedWhy: text(500).nullable(),
  /** Others that the part gets before or after its main method. */
  alsoIds: list(METHOD_IDS, 'a method').default([]),
  /** Abrasives in the order in which they are used, as the number on the back. */
  grits: z
    .array(
      z
        .number({ error: 'a grit is a number' })
        .int('a grit is a whole number')
        .min(12, 'coarser than any paper')
        .max(3000, 'finer than any paper'),
    )
    .max(8, 'at most 8 grits')
    .default([]),
  /** What the hot tool is set to, at its mouth, C. Null: not recorded. */
  toolC: z
    .number({ error: 'the tool’s temperature is a number' })
    .min(50, 'colder than any hot tool')
    .max(2200, 'hotter than any torch')
    .nullable()
    .default(null),
});

export const LayerFields = z.strictObject({
  /** 0 is the top coat; larger is deeper. */
  position: z.number(),
  binder: z.enum(BINDERS),
  colour: text(60),
  soundness: z.enum(SOUNDNESS),
  yearApplied: year.nullable(),
  /** How it took simple trials; what binder that points to is reckoned (walk/binder.ts). */
  alcohol: z.enum(RESPONSES).default('untried'),
  alkali: z.enum(RESPONSES).default('untried'),
  water: z.enum(RESPONSES).default('untried'),
  heat: z.enum(RESPONSES).default('untried'),
  look: text(120).default(''),
  /** Poisons other than lead that its tin names, its look points to, or a test found. */
  poisons: z
    .array(z.enum(POISONS))
    .max(POISONS.length)
    .refine((p) => new Set(p).size === p.length, 'a poison is listed twice')
    .default([]),
  /** Its edge was scratched and looked at, or its tin read, for such poisons: what is not listed is not in it. */
  poisonsLookedFor: z.boolean().default(false),
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
  /** lab (null: result not in yet), xrf, bulk (% asbestos), moisture, air and surfaceTemp (C) */
  value: z.number({ error: 'the result is a number' }).min(-50, 'colder than any house').nullable(),
  unit: z.enum(READING_UNITS, { error: 'state the unit: %, ppm or mg/cm2' }).nullable(),
  /** xrf: the instrument sheet's inconclusive range, when it has one */
  bandLow: z.number().min(0).nullable(),
  bandHigh: z.number().min(0).nullable(),
  note: text(500),
  supersedesId: Id.nullable(),
  supersedesWhy: text(300).nullable(),
  /** The sample whose answer this is. */
  sampleId: Id.nullable().default(null),
  /** air: relative humidity, %. */
  humidityPct: z.number().min(0, 'a humidity cannot be negative').max(100, 'a humidity is at most 100 %').nullable().default(null),
  /** Which instrument, as its checks are filed; empty: taken from somebody's report. */
  device: text(80).default(''),
  analysis: z.enum(ANALYSES).nullable().default(null),
  /** bulk: asbestos was seen, too little to measure. */
  trace: z.boolean().default(false),
  /** Place on the face, shares of its length and width. */
  atX: share01,
  atY: share01,
  /** spot: what the kit's own control showed, how long was waited, and which lot. */
  control: z.enum(KIT_CONTROLS).default('unsaid'),
  minutes: z.number().min(0, 'a time cannot be negative').max(1440, 'over a day: check').nullable().default(null),
  lot: text(40).default(''),
  /** xrf and report: who decided, by which certificate. */
  decidedBy: z.enum(DECIDERS).default('unsaid'),
  certificate: text(80).default(''),
  /** lab and bulk: the value is the least that the lab could see, and the result lies below it. */
  below: z.boolean().default(false),
  /** report: what a signed inspection report determines of this piece, and which file it is. */
  finding: z.enum(FINDINGS).nullable().default(null),
  file: text(160).default(''),
});

export const SampleFields = z.strictObject({
  /** The firm's own number, as it stands on the bag. */
  number: text(40).refine((s) => s.trim().length > 0, 'a sample needs a number'),
  hazard: z.enum(HAZARDS),
  kind: z.enum(SAMPLE_KINDS),
  /** asbestos: what it was cut from. */
  suspect: z.enum(SUSPECT_KINDS).nullable(),
  reachedLayerIds: z.array(Id).max(60),
  toSubstrate: z.boolean(),
  place: text(200),
  atX: share01,
  atY: share01,
  takenAt: Instant.nullable(),
  takenBy: text(120),
  sentAt: Instant.nullable(),
  lab: text(120),
  /** For a duplicate: the sample that it repeats. */
  repeatsId: Id.nullable(),
  note: text(500),
});

/** A trial square: one product, one dwell, one spot. The clock runs from `startedAt` to `stoppedAt`. */
export const SquareFields = z.strictObject({
  methodId: z.enum(METHOD_IDS, { error: 'no such method' }),
  product: text(80),
  chemistry: z.enum(CHEMISTRIES).default('unsaid'),
  partId: Id.nullable(),
  /** What coats stand at this spot when they differ from the rest of the surface, in words; empty: those recorded. */
  coating: text(60),
  place: text(120),
  atX: share01,
  atY: share01,
  covered: z.boolean(),
  surfaceC: between(-20, 70, 'the temperature').nullable(),
  /** How long it is meant to stand, min. */
  dwellMin: between(1, 20_160, 'the dwell').nullable(),
  startedAt: Instant.nullable(),
  stoppedAt: Instant.nullable(),
  lifted: z.enum(LIFTED).nullable(),
  /** For `toCoat`: the coat on which it stopped. */
  stoppedOnLayerId: Id.nullable(),
  /** Share of the square on which something stayed, %. */
  stayedPct: between(0, 100, 'a share').nullable(),
  leftBehind: list(LEFT_BEHIND, 'what was left'),
  harms: list(HARMS, 'a harm'),
  /** Its size, what was laid on it in all passes, and how long one person worked on it: from these come coverage and pace. */
  sizeCm2: between(1, 50_000, 'the square').nullable().default(null),
  usedMl: between(0.1, 20_000, 'the product used').nullable().default(null),
  workMin: between(0.1, 600, 'the work on it').nullable().default(null),
  /** 1 hard work, 5 falls off. */
  ease: z.number().int('from 1 to 5').min(1, 'from 1 to 5').max(5, 'from 1 to 5').nullable(),
  /** Where the result comes from when it was not tried here; empty: tried here. */
  carriedFrom: text(160),
  note: text(500),
});

/** One board, baluster or other piece of a surface, looked at by itself. */
export const BoardFields = z.strictObject({
  label: text(40).refine((s) => s.trim().length > 0, 'a piece needs its number'),
  oilSoaked: z.enum(YES_NO),
  rotten: z.enum(YES_NO),
  /** Coats left on it, and how many of them are bonded. */
  coats: z.number().int('a whole number').min(0, 'at least 0').max(60, 'check the number').nullable(),
  soundCoats: z.number().int('a whole number').min(0, 'at least 0').max(60, 'check the number').nullable(),
  /** One end sound, the other bare or failing. */
  mixed: z.boolean(),
  note: text(300),
});

const shareOfPicture = z.number().min(0).max(1);
export const Mark = z.strictObject({
  kind: z.enum(MARK_KINDS),
  x: shareOfPicture,
  y: shareOfPicture,
  /** arrow: where it points from; circle: a point on its rim. */
  toX: shareOfPicture,
  toY: shareOfPicture,
});
export type Mark = z.infer<typeof Mark>;

/** A photograph: what it shows. The picture itself lies outside the database, under the hash of its bytes. */
export const PhotoFields = z.strictObject({
  hash: z.string().regex(/^[0-9a-f]{64}$/, 'a picture is named by the SHA-256 of its bytes'),
  width: z.number().int().min(1).max(20_000),
  height: z.number().int().min(1).max(20_000),
  ofSurfaceId: Id.nullable(),
  ofSampleId: Id.nullable(),
  ofCheckId: Id.nullable(),
  ofSquareId: Id.nullable().default(null),
  /** A zone, by its own id, its room's or side's, or the job's for the bench; with all of these null the job itself. */
  ofZoneId: Id.nullable().default(null),
  ofBagId: Id.nullable().default(null),
  ofSignId: Id.nullable().default(null),
  ofDefectId: Id.nullable().default(null),
  caption: text(200),
  marks: z.array(Mark).max(30, 'at most 30 marks'),
  takenAt: Instant,
});

/** What was seen at a stroke or a coat, and over how much of the part. */
export const SignFields = z.strictObject({
  /** `withdrawn`: takes back the one that it names. */
  sign: z.enum([...SIGNS, 'withdrawn'], { error: 'no such sign' }),
  /** On which part; null: on the piece as a whole. */
  partId: Id.nullable(),
  /** At which method's stroke; null: at a coat. */
  methodId: z.enum(METHOD_IDS).nullable(),
  /** At which coat, as the plan names its product; null: at a stroke. */
  product: z
    .string()
    .regex(/^[A-Za-z0-9]{2,40}$/, 'a product is named as in the plan')
    .nullable(),
  extent: z.enum(EXTENTS),
  note: text(300),
  takenAt: Instant,
  supersedesId: Id.nullable(),
  supersedesWhy: text(300).nullable(),
});

/** A coat as it was really laid: what it took, and what the comb showed. From then on the rest of the job follows it. */
export const LaidFields = z.strictObject({
  product: z.string().regex(/^[A-Za-z0-9]{2,40}$/, 'a product is named as in the plan'),
  /** Takes back the one that it names. */
  withdrawn: z.boolean().default(false),
  way: z.enum(LAYINGS),
  coats: z.number().int('coats are a whole number').min(1, 'at least one coat').max(6, 'over 6 coats: check'),
  areaM2: z.number({ error: 'an area is a number' }).positive('an area is more than 0').max(5000, 'over 5,000 m2 in one: check the unit'),
  /** Of the product, thinner not counted. Null: nobody measured it. */
  litres: z.number().positive('what was laid is more than 0').max(2000, 'over 2,000 L: check the unit').nullable(),
  /** By the comb, fresh. Null: none was held in. */
  wetUm: z.number().positive('a film is more than 0').max(2000, 'over 2,000 um: check the unit').nullable(),
  /** Thinner, % by volume of the product. */
  thinnedPct: z.number().min(0, 'less than none is not thinned').max(100, 'more thinner than paint: check').default(0),
  /** Out of which tin of the firm, and how much of it: taken back, it is in it again. Null: nobody said. */
  tinId: Id.nullable().default(null),
  tinL: z.number().min(0, 'less than nothing was not taken').max(2000, 'over 2,000 L: check the unit').nullable().default(null),
  /** Why it went on before the coat below was ready, in the words of whoever insisted; empty: it did not, or nobody said. */
  earlyWhy: text(300).default(''),
  takenAt: Instant,
  supersedesId: Id.nullable().default(null),
});

/** What is wrong with the ground of a piece, where, how large and how deep. */
export const DefectFields = z.strictObject({
  kind: z.enum(DEFECTS),
  partId: Id.nullable(),
  /** Where it stands on the piece, from its left edge and from below, m; null: nobody said. */
  alongM: size0('the distance', 200),
  upM: size0('the height', 100),
  /** Its extent: an area, a length, or how many. Null: not measured. */
  areaM2: z.number().positive('an area is more than 0').max(20_000, 'check the unit').nullable(),
  lengthM: z.number().positive('a length is more than 0').max(1000, 'check the unit').nullable(),
  pieces: z.number().int('how many is a whole number').min(1, 'at least 1').max(999, 'at most 999'),
  depthMm: z.number().positive('a depth is more than 0').max(500, 'over 500 mm deep: that is a piece to replace').nullable(),
  /** Whether it still moves. */
  moving: z.enum(YES_NO),
  /** There before the first stroke, or made by it. */
  asFound: z.boolean(),
  seenOn: Day,
  /** What the person decided; null: as proposed. */
  repair: z.enum(REPAIRS).nullable(),
  repairWhy: text(300),
  note: text(300),
});

/** The firm's own picture of a sign. */
export const SignPictureFields = z.strictObject({
  sign: z.enum(SIGNS),
  hash: z.string().regex(/^[0-9a-f]{64}$/, 'a picture is named by the SHA-256 of its bytes'),
  width: z.number().int().min(1).max(20_000),
  height: z.number().int().min(1).max(20_000),
});

/** A check of an instrument: the calibration film, or bare material with the film over it. HUD Guidelines ch. 7. */
export const InstrumentCheckFields = z.strictObject({
  device: name('the instrument'),
  what: z.enum(INSTRUMENT_CHECKS),
  /** substrate: which bare material. */
  material: z.enum(MATERIALS).nullable(),
  values: z.array(z.number().min(-1).max(20, 'over 20 mg/cm2 on a film: check it')).min(3, 'at least 3 readings').max(12),
  filmMgCm2: z.number().positive('the film has a value').max(10),
  /** calibration: by how much the mean may differ, from the instrument's own sheet. */
  tolerance: z.number().positive('a tolerance is more than 0').max(2),
  takenAt: Instant,
  note: text(300),
});

/** Somebody of the firm, with what entitles them. */
export const PersonFields = z.strictObject({
  name: name('the person'),
  certificates: z
    .array(z.strictObject({ kind: z.enum(CERTIFICATES), number: text(60), until: Day.nullable() }))
    .max(20, 'at most 20 certificates')
    .default([]),
  fitTests: z
    .array(z.strictObject({ mask: text(60), on: Day }))
    .max(20, 'at most 20 fit tests')
    .default([]),
  training: z
    .array(z.strictObject({ what: text(120), on: Day }))
    .max(40, 'at most 40 trainings')
    .default([]),
});

/** A house at which the firm works, whatever jobs it has there. */
export const ClientFields = z.strictObject({
  name: name('the client'),
  address: text(200).default(''),
  phone: text(60).default(''),
  email: text(120).default(''),
  /** What they read: papers and the contract are in it, or somebody explains them. */
  reads: z.enum(CLIENT_LANGUAGES).default('en'),
  note: text(1000).default(''),
});
export const SiteFields = z.strictObject({
  name: name('the site'),
  address: text(200).default(''),
  yearBuilt: year.nullable().default(null),
  note: text(1000).default(''),
});

const sheetNumber = (what: string, least: number, most: number) =>
  z
    .number({ error: `${what} is a number` })
    .min(least, `${what} is at least ${least}`)
    .max(most, `${what} is at most ${most}: check the unit`)
    .nullable()
    .default(null);

/** What the firm buys, by its own data sheet. Null: the sheet does not say, and the generic value stands. */
export const ProductFields = z.strictObject({
  name: name('the product'),
  /** What it is: for this it is taken. */
  good: z.enum(GOOD_IDS),
  /** The firm works with it: it outranks the generic values. Off: it only stands there. */
  inUse: z.boolean().default(true),
  chemistry: z.enum(STUFFS).default('unsaid'),
  /** Of what works in it, % by weight. */
  strengthPct: sheetNumber('a strength, %,', 0.01, 100),
  densityKgL: sheetNumber('a density, kg/L,', 0.3, 4),
  /** Volume solids, %. */
  solidsPct: sheetNumber('volume solids, %,', 1, 100),
  dryFilmUm: sheetNumber('a dry film, um,', 1, 2000),
  /** So many coats by the sheet. */
  coats: z.number().int('coats are a whole number').min(1, 'at least one coat').max(6, 'over 6 coats: check').nullable().default(null),
  /** May be thinned by so much of it, % by volume. */
  thinMostPct: sheetNumber('thinning, %,', 0, 100),
  /** Least and most until the next coat, h, at `atC` and `atRhPct`. */
  recoatLeastH: sheetNumber('the shortest wait, h,', 0.05, 336),
  recoatMostH: sheetNumber('the longest wait, h,', 0.05, 8760),
  atC: sheetNumber('the temperature of the sheet, C,', -10, 50),
  atRhPct: sheetNumber('the humidity of the sheet, %,', 0, 100),
  /** The shortest wait at another temperature: with it the sheet's own slope is known. */
  coldC: sheetNumber('the other temperature, C,', -10, 50),
  coldLeastH: sheetNumber('the wait at the other temperature, h,', 0.05, 720),
  leastAirC: sheetNumber('the coldest air, C,', -20, 40),
  leastFaceC: sheetNumber('the coldest face, C,', -20, 40),
  mostRhPct: sheetNumber('the highest humidity, %,', 10, 100),
  /** Once mixed or opened, h. */
  openLifeH: sheetNumber('the open life, h,', 0.05, 8760),
  flashC: sheetNumber('the flash point, C,', -60, 400),
  /** Of what the gloves are that its sheet asks for; null: by what is in it. */
  gloves: z.enum(GLOVE_MATERIALS).nullable().default(null),
  /** Of the mask, beside what the work throws up; null: by what is in it. */
  filter: z.enum(SHEET_FILTERS).nullable().default(null),
  /** Of two parts: its sheet names isocyanate in one of them; unknown counts as yes. */
  isocyanate: z.enum(YES_NO).default('unknown'),
  /** How long its maker stands for the finish, years, and on what terms. */
  guaranteeYears: sheetNumber('a guarantee, years,', 0.5, 50),
  guaranteeTerms: text(400).default(''),
  /** In which it is sold: in the unit of the good, with a price in the firm's money. */
  packs: z
    .array(
      z.strictObject({
        size: z.number().min(0.001, 'a pack holds something').max(2000, 'over 2,000 in one pack: check the unit'),
        price: z.number().min(0, 'a price cannot be negative').max(100_000, 'check the price'),
      }),
    )
    .max(12, 'at most 12 sizes of pack')
    .default([]),
  /** Which sheet says so, and of when. */
  sheet: text(200).default(''),
});

/** What stands there: a tin, a roll, a bag, with what is left in it. */
export const TinFields = z.strictObject({
  good: z.enum(GOOD_IDS),
  /** Of which of the firm's products it is; null: of no sheet that the firm entered. */
  productId: Id.nullable().default(null),
  /** In the unit of the good. */
  amount: z
    .number({ error: 'what is left is a number' })
    .min(0, 'less than nothing is not left')
    .max(5000, 'over 5,000 of it: check the unit'),
  at: z.enum(STANDS_AT).default('shelf'),
  /** Bought for this job; null: for any. */
  forJobId: Id.nullable().default(null),
  batch: text(40).default(''),
  colour: text(60).default(''),
  openedOn: Day.nullable().default(null),
});

/** A caustic on its way into water, as it was set up. One pail is one record, whoever stands at it. */
export const MixFields = z.strictObject({
  name: name('the pail'),
  waterL: between(0.1, 500, 'the water, L,'),
  causticG: between(1, 100_000, 'the caustic, g,'),
  waterC: between(0, 60, 'the temperature of the water, C,'),
  airC: between(-20, 50, 'the temperature of the air, C,'),
  vesselKind: z.enum(CAUSTIC_VESSELS, { error: 'a caustic is mixed in plastic or stainless steel' }),
  acrossM: between(0.05, 2, 'the pail across, m,'),
  deepM: between(0.05, 2, 'the depth of the pail, m,'),
  stirrer: z.enum(['hand', 'drill']),
  /** Of the cold water in which it stands; null: it stands in air. */
  bathC: between(0, 40, 'the bath, C,').nullable().default(null),
  ceilingC: between(10, 100, 'the ceiling, C,'),
  /** The water stood in the pail. */
  beganAt: Instant,
  /** Nobody waits for it any longer. */
  endedAt: Instant.nullable().default(null),
  by: text(120).default(''),
});

/** Somebody of the firm held a source against the document itself. It stands for the text that was checked: another text is checked anew. */
export const SourceCheckFields = z.strictObject({
  source: z.string().regex(/^[a-z0-9.-]{2,60}$/, 'names no source'),
  /** As the program told it then. */
  says: text(400).refine((s) => s.trim() !== '', 'says nothing'),
  on: Day,
  /** The document, with its date or edition. */
  against: text(200).refine((s) => s.trim() !== '', 'name the document that was looked at'),
  person: name('whoever checked it'),
});

/** What stands mixed and is used up in time: known on every phone of the firm. Taken off the list, it was used up or thrown out. */
export const PotFields = z.strictObject({
  name: name('what stands mixed'),
  kind: z.enum(POT_IDS),
  /** Of the air in which it stands, C. */
  airC: between(-10, 45, 'the temperature of the air, C,'),
  /** How long it keeps by its own sheet, h; null: as is usual. */
  ownH: between(0.05, 8760, 'how long it keeps, h,').nullable().default(null),
  mixedAt: Instant,
  stirredAt: Instant,
});

/** What happened to a mix: a portion that went in, or a thermometer that was read. */
export const MixStepFields = z.strictObject({
  mixId: Id,
  at: Instant,
  /** Counted from 1; the same one confirmed on two phones is one portion. Null: a reading. */
  portion: z.number().int('portions are counted').min(1, 'portions are counted from 1').max(500, 'over 500 portions: check').nullable(),
  /** Of a portion, g; of a reading, C. */
  amount: between(0, 100_000, 'a weight or a temperature'),
  by: text(120).default(''),
});

/** A machine that the firm owns: what was drawn into it comes out again where it is opened or moved. */
export const MachineFields = z.strictObject({
  name: name('the machine'),
  kind: z.enum(MACHINE_KINDS),
  /** As the maker states it, m3/h; null: not said. */
  flowM3h: z.number().positive('a flow is more than 0').max(20_000, 'check the unit').nullable().default(null),
  filter: z.enum(FILTERS).default('none'),
  /** Until it was cleaned and its filter changed. */
  lastOn: z.enum(USED_ON).default('nothing'),
});

/** A pump on a person for as long as one task takes: what was in the air that one breathed, before any mask. */
export const AirSampleFields = z.strictObject({
  number: text(40).refine((s) => s.trim().length > 0, 'a sample needs a number'),
  /** What was worked on, and how. A record of the job, not of the surface: it stands for others with the same coats. */
  onSurfaceId: Id,
  methodId: z.enum(METHOD_IDS, { error: 'no such method' }),
  person: text(120).default(''),
  startedAt: Instant,
  minutes: between(1, 960, 'the minutes of a sample'),
  flowLMin: between(0.1, 20, 'the flow of a pump, L/min'),
  /** Lead on the filter, ug; null: the lab has not answered. */
  massUg: z
    .number({ error: 'the lead on the filter is a number' })
    .min(0, 'an amount cannot be negative')
    .max(100_000, 'check the unit: micrograms')
    .nullable()
    .default(null),
  /** The mass is the least that the lab could see, and there was less. */
  below: z.boolean().default(false),
  lab: text(120).default(''),
  note: text(500).default(''),
});

const DAY_MIN = 24 * 60;
/** Somebody's time in a zone on one day. */
export const StintFields = z.strictObject({
  person: name('the shift'),
  /** As a zone goes by everywhere: its own id, its room's or side's, or the job's for the bench. */
  zoneId: Id,
  on: Day,
  /** Minutes after midnight, by the job's own clock. */
  fromMin: z
    .number({ error: 'the time is a number' })
    .int('a whole minute')
    .min(0, 'a time of the day')
    .max(DAY_MIN - 1, 'a time of the day'),
  hours: between(0.25, 16, 'the hours in a zone'),
});

/** Waste that left together: one ticket, one carrier, one place. */
export const HaulFields = z.strictObject({
  /** Of the ticket or the consignment note. */
  number: text(60).refine((s) => s.trim().length > 0, 'a load needs the number of its ticket'),
  leftAt: Instant,
  carrier: text(120).default(''),
  to: text(160).default(''),
  /** As the ticket has it; null: it does not say. */
  bags: z.number().int('a whole number').min(0, 'at least 0').max(2000, 'check the number').nullable().default(null),
  kg: z.number().positive('a weight is more than 0').max(40_000, 'check the unit').nullable().default(null),
  note: text(300).default(''),
});

/** One bag, drum or wrapped piece, from filling to leaving. */
export const BagFields = z.strictObject({
  /** As it stands on the bag. */
  number: text(40).refine((s) => s.trim().length > 0, 'a bag needs a number'),
  stream: z.enum(WASTE_STREAMS, { error: 'say what is in it' }),
  /** Null: not weighed. */
  kg: z.number({ error: 'a weight is a number' }).positive('a weight is more than 0').max(2000, 'check the unit').nullable().default(null),
  filledAt: Instant,
  filledBy: text(120).default(''),
  /** Where it was filled: a zone by its own id, its room's or side's, or the job's for the bench. */
  zoneId: Id.nullable().default(null),
  /** Where it stands until it leaves. */
  place: text(160).default(''),
  /** Null: it stands here. */
  haulId: Id.nullable().default(null),
  note: text(300).default(''),
});

export const CheckFields = z.strictObject({
  gate: z.string().regex(/^[a-zA-Z0-9.-]{2,80}$/),
  /**
   * Of a job's own checks: the zone it belongs to, as the zone's own id, its room's or side's, or the job's for the bench; null: the job.
   * Of a surface's: the zone in which it was made; null: not recorded.
   */
  zoneId: Id.nullable().default(null),
  outcome: z.enum(['pass', 'fail']),
  /** What was read off, where the check has a number. */
  measured: z
    .array(
      z.strictObject({ what: z.enum(CHECK_NUMBERS), value: z.number().min(-100, 'check the number').max(100_000, 'check the number') }),
    )
    .max(CHECK_NUMBERS.length)
    .refine((all) => new Set(all.map((m) => m.what)).size === all.length, 'is measured twice in one check')
    .default([]),
  /** The pieces for which it was passed, where it speaks of pieces; null: not recorded, it counts for all. */
  pieceIds: z.array(Id).max(2000).nullable().default(null),
  /** What else it spoke of when it was passed: methods, equipment, notices; null: not recorded, it counts for all. */
  spokeOf: z.array(text(80)).max(200).nullable().default(null),
  note: text(500),
  takenAt: Instant,
  supersedesId: Id.nullable(),
  supersedesWhy: text(300).nullable(),
});
