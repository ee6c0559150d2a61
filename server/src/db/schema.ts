/**
 * The tables: facts only, one table an entity, every row inside a firm. Column keys are the field names of the core's schemas,
 * so that a change writes straight through. Primary keys hold the firm, so that no query can reach another firm's row by id.
 */
import { sql } from 'drizzle-orm';
import {
  DECIDERS,
  HAZARDS,
  KIT_CONTROLS,
  LIFTED,
  PASTS,
  READING_KINDS,
  DEFECTS,
  EXTENTS,
  type Check,
  type WasteTest,
  type JobState,
  type ClientLanguage,
  type Machine,
  type Nearby,
  type Person,
  type PotId,
  type Product,
  type RespiratorId,
  type FirmSettings,
  type Mix,
  type Tin,
} from '@roughsill/core';
import {
  bigint,
  bigserial,
  boolean,
  check,
  customType,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
} from 'drizzle-orm/pg-core';

/** UTC instants, exact to the millisecond, as the job file writes them. */
const instant = customType<{ data: string; driverData: string }>({
  dataType: () => 'timestamp(3) with time zone',
  fromDriver: (v) => new Date(v).toISOString(),
});

/** Added later: what the record did not know is what the core calls unknown. */
const unknown = (column: string) => text(column).notNull().default('unknown');

const oneOfText = (column: string, values: readonly string[]) => `${column} in (${values.map((v) => `'${v}'`).join(', ')})`;
const oneOf = (column: string, values: readonly string[]) => sql.raw(oneOfText(column, values));

export const firms = pgTable('firms', {
  id: text().primaryKey(),
  firmName: text('firm_name').notNull(),
  pricesIn: text('prices_in').notNull().default('USD').$type<'USD' | 'GBP'>(),
  labourPerHour: doublePrecision('labour_per_hour').notNull(),
  sheetPerM2: doublePrecision('sheet_per_m2').notNull(),
  bagEach: doublePrecision('bag_each').notNull(),
  disposalPerBag: doublePrecision('disposal_per_bag').notNull().default(7),
  coatPerLitre: jsonb('coat_per_litre').notNull().default({ water: 15, solvent: 19, mineral: 9 }).$type<Record<string, number>>(),
  wearPerDay: jsonb('wear_per_day')
    .notNull()
    .default({ disposable: 6, half: 5, powered: 14, full: 9, airline: 60, suit: 9 })
    .$type<Record<string, number>>(),
  certified: boolean().notNull(),
  certifiedUntil: text('certified_until'),
  masks: jsonb().$type<RespiratorId[]>(),
  recognisedKit: boolean('recognised_kit').notNull(),
  leadThresholdPpm: doublePrecision('lead_threshold_ppm').notNull().default(600),
  allowHotAirOnLead: boolean('allow_hot_air_on_lead').notNull(),
  allowCausticOnTimber: boolean('allow_caustic_on_timber').notNull(),
  labDays: jsonb('lab_days').notNull().default({ lead: 4, asbestos: 4, mold: 4 }).$type<Record<string, number>>(),
  testPrices: jsonb('test_prices').notNull().default({ swab: 5, chip: 28, bulk: 38, xrf: 6 }).$type<Record<string, number>>(),
  licensedRemovalPerM2: doublePrecision('licensed_removal_per_m2').notNull().default(95),
  samplePrefix: text('sample_prefix').notNull().default('S'),
  allowInfraredOnLead: boolean('allow_infrared_on_lead').notNull().default(true),
  allowDryScrapeOutdoors: boolean('allow_dry_scrape_outdoors').notNull().default(false),
  allowSoftBlastOnTimber: boolean('allow_soft_blast_on_timber').notNull().default(true),
  stopOnLead: boolean('stop_on_lead').notNull().default(false),
  moldSchool: text('mold_school').notNull().default('moldWash').$type<'moldWash' | 'moldBiocide' | 'moldBleach'>(),
  dustOff: text('dust_off').notNull().default('microfibre').$type<'microfibre' | 'tackCloth'>(),
  fittings: text().notNull().default('off').$type<'off' | 'stay'>(),
  glassLine: text().notNull().default('tape').$type<'tape' | 'cutIn'>(),
  moldSeal: text('mold_seal').notNull().default('stainBlock').$type<'stainBlock' | 'undercoat' | 'pva'>(),
  primeAlways: boolean('prime_always').notNull().default(false),
  heaterGround: text('heater_ground').notNull().default('keyedCoat').$type<FirmSettings['heaterGround']>(),
  brightSteel: text('bright_steel').notNull().default('zincPhosphate').$type<FirmSettings['brightSteel']>(),
  plasterSeal: text('plaster_seal').notNull().default('sealer').$type<FirmSettings['plasterSeal']>(),
  timberBlast: text('timber_blast').notNull().default('gentle').$type<FirmSettings['timberBlast']>(),
  lastWipe: text('last_wipe').notNull().default('water').$type<FirmSettings['lastWipe']>(),
  crew: integer().notNull().default(2),
  hoursPerDay: doublePrecision('hours_per_day').notNull().default(7.5),
  /** Place in the change log up to which the firm's own records are written. */
  cursor: bigint({ mode: 'number' }).notNull().default(0),
});

export const firmRates = pgTable(
  'firm_rates',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    methodId: text('method_id').notNull(),
    lowM2PerH: doublePrecision('low_m2_per_h'),
    highM2PerH: doublePrecision('high_m2_per_h'),
    dwellLowH: doublePrecision('dwell_low_h'),
    dwellHighH: doublePrecision('dwell_high_h'),
    materialsPerM2: doublePrecision('materials_per_m2'),
    owned: boolean().notNull().default(true),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.methodId] }),
    check('firm_rates_order', sql`low_m2_per_h > 0 and low_m2_per_h <= high_m2_per_h`),
  ],
);

export const people = pgTable(
  'people',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    certificates: jsonb().notNull().default([]).$type<Person['certificates']>(),
    fitTests: jsonb('fit_tests').notNull().default([]).$type<Person['fitTests']>(),
    training: jsonb().notNull().default([]).$type<Person['training']>(),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
export const sites = pgTable(
  'sites',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    address: text().notNull().default(''),
    yearBuilt: integer('year_built'),
    note: text().notNull().default(''),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
export const clients = pgTable(
  'clients',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    address: text().notNull().default(''),
    phone: text().notNull().default(''),
    email: text().notNull().default(''),
    reads: text().notNull().default('en').$type<ClientLanguage>(),
    note: text().notNull().default(''),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
export const sourceChecks = pgTable(
  'source_checks',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    source: text().notNull(),
    says: text().notNull(),
    on: text().notNull(),
    against: text().notNull(),
    person: text().notNull(),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
export const pots = pgTable(
  'pots',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    kind: text().notNull().$type<PotId>(),
    airC: doublePrecision('air_c').notNull(),
    ownH: doublePrecision('own_h'),
    mixedAt: instant('mixed_at').notNull(),
    stirredAt: instant('stirred_at').notNull(),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
export const machines = pgTable(
  'machines',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    kind: text().notNull().$type<Machine['kind']>(),
    flowM3h: doublePrecision('flow_m3h'),
    filter: text().notNull().$type<Machine['filter']>(),
    lastOn: text('last_on').notNull().$type<Machine['lastOn']>(),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);

/** What the firm buys, by its own data sheets. */
export const products = pgTable(
  'products',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    good: text().notNull().$type<Product['good']>(),
    inUse: boolean('in_use').notNull().default(true),
    chemistry: text().notNull().default('unsaid').$type<Product['chemistry']>(),
    strengthPct: doublePrecision('strength_pct'),
    densityKgL: doublePrecision('density_kg_l'),
    solidsPct: doublePrecision('solids_pct'),
    dryFilmUm: doublePrecision('dry_film_um'),
    coats: integer(),
    thinMostPct: doublePrecision('thin_most_pct'),
    recoatLeastH: doublePrecision('recoat_least_h'),
    recoatMostH: doublePrecision('recoat_most_h'),
    atC: doublePrecision('at_c'),
    atRhPct: doublePrecision('at_rh_pct'),
    coldC: doublePrecision('cold_c'),
    coldLeastH: doublePrecision('cold_least_h'),
    leastAirC: doublePrecision('least_air_c'),
    leastFaceC: doublePrecision('least_face_c'),
    mostRhPct: doublePrecision('most_rh_pct'),
    openLifeH: doublePrecision('open_life_h'),
    flashC: doublePrecision('flash_c'),
    gloves: text().$type<Product['gloves']>(),
    isocyanate: text().$type<Product['isocyanate']>().notNull().default('unknown'),
    filter: text().$type<Product['filter']>(),
    guaranteeYears: doublePrecision('guarantee_years'),
    guaranteeTerms: text('guarantee_terms').notNull().default(''),
    packs: jsonb().notNull().default([]).$type<Product['packs']>(),
    sheet: text().notNull().default(''),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
/** What stands on the shelf, in the van, on a job. */
export const tins = pgTable(
  'tins',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    good: text().notNull().$type<Tin['good']>(),
    productId: text('product_id'),
    amount: doublePrecision().notNull(),
    at: text().notNull().$type<Tin['at']>(),
    forJobId: text('for_job_id'),
    batch: text().notNull().default(''),
    colour: text().notNull().default(''),
    openedOn: text('opened_on'),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);

/** A caustic on its way into water. */
export const mixes = pgTable(
  'mixes',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    waterL: doublePrecision('water_l').notNull(),
    causticG: doublePrecision('caustic_g').notNull(),
    waterC: doublePrecision('water_c').notNull(),
    airC: doublePrecision('air_c').notNull(),
    vesselKind: text('vessel_kind').notNull().$type<Mix['vesselKind']>(),
    acrossM: doublePrecision('across_m').notNull(),
    deepM: doublePrecision('deep_m').notNull(),
    stirrer: text().notNull().$type<Mix['stirrer']>(),
    bathC: doublePrecision('bath_c'),
    ceilingC: doublePrecision('ceiling_c').notNull(),
    beganAt: instant('began_at').notNull(),
    endedAt: instant('ended_at'),
    by: text().notNull().default(''),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);
/** What happened to it: portions and readings. */
export const mixSteps = pgTable(
  'mix_steps',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    mixId: text('mix_id').notNull(),
    at: instant().notNull(),
    portion: integer(),
    amount: doublePrecision().notNull(),
    by: text().notNull().default(''),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] }), index('mix_steps_mix').on(t.firmId, t.mixId)],
);

/** The firm's own pictures of what is seen at a stroke. */
export const signPictures = pgTable(
  'sign_pictures',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    sign: text().notNull(),
    hash: text().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    removedAt: instant('removed_at'),
  },
  (t) => [primaryKey({ columns: [t.firmId, t.id] })],
);

/** What the database says of itself: its epoch, and which sample job was brought in. */
export const serverState = pgTable('server_state', { key: text().primaryKey(), value: text().notNull() });

export const jobs = pgTable(
  'jobs',
  {
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    id: text().notNull(),
    name: text().notNull(),
    place: text().notNull(),
    yearBuilt: integer('year_built'),
    rulebook: text().notNull().$type<'us' | 'uk'>(),
    units: text().notNull().$type<'ft' | 'm'>(),
    timeZone: text('time_zone').notNull(),
    childUnder6: text('child_under_6').notNull(),
    pregnancy: text().notNull(),
    dwelling: boolean().notNull(),
    sample: boolean().notNull(),
    asthma: unknown('asthma'),
    livedIn: unknown('lived_in'),
    otherTrades: text('other_trades').notNull().default(''),
    family: unknown('family'),
    dwellings: integer(),
    tenure: unknown('tenure'),
    publicFunding: unknown('public_funding'),
    listed: unknown('listed'),
    power: unknown('power'),
    water: unknown('water'),
    samplingSeed: text('sampling_seed').notNull().default(''),
    note: text().notNull().default(''),
    worker: text().notNull().default('firm'),
    edition: text(),
    startOn: text('start_on'),
    stateLayer: text('state_layer').notNull().default('none'),
    wasteTests: jsonb('waste_tests').notNull().default([]).$type<WasteTest[]>(),
    siteId: text('site_id'),
    clientId: text('client_id'),
    clientName: text('client_name').notNull().default(''),
    contractIn: text('contract_in').notNull().default('en').$type<ClientLanguage>(),
    jobState: text('job_state').notNull().default('open').$type<JobState>(),
    createdAt: instant('created_at').notNull(),
    removedAt: instant('removed_at'),
    /** Place in the change log up to which this job is written. */
    cursor: bigint({ mode: 'number' }).notNull().default(0),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    check('jobs_rulebook', oneOf('rulebook', ['us', 'uk'])),
    check('jobs_units', oneOf('units', ['ft', 'm'])),
  ],
);

const inJob = { firmId: text('firm_id').notNull(), jobId: text('job_id').notNull(), id: text().notNull() };
const life = { removedAt: instant('removed_at') };

/** How a work zone is run: on a whole room or side, or on a part of one. */
const zoneSetup = {
  workingDoor: text('working_door').notNull().default(''),
  washPlace: text('wash_place').notNull().default(''),
  cleanWay: text('clean_way').notNull().default(''),
  airMachine: text('air_machine').notNull().default(''),
  note: text().notNull().default(''),
  machineIds: jsonb('machine_ids').notNull().default([]).$type<string[]>(),
  crew: integer(),
  shiftH: doublePrecision('shift_h'),
  staying: text().notNull().default(''),
};

export const spaces = pgTable(
  'spaces',
  {
    ...inJob,
    name: text().notNull(),
    kind: text().notNull(),
    position: doublePrecision().notNull(),
    yearBuilt: integer('year_built'),
    lengthM: doublePrecision('length_m'),
    widthM: doublePrecision('width_m'),
    heightM: doublePrecision('height_m'),
    boundaryM: doublePrecision('boundary_m'),
    services: text().array().notNull().default([]),
    accessM: doublePrecision('access_m'),
    goesAnyway: text('goes_anyway').notNull().default(''),
    /** What the mold cause finder weighs; one record, checked whole by the core's schema. */
    moisture: jsonb().$type<Record<string, unknown>>(),
    side: text(),
    nearby: jsonb().notNull().default([]).$type<Nearby[]>(),
    facing: text(),
    shaded: jsonb().notNull().default([]).$type<{ fromH: number; toH: number }[]>(),
    joinedToId: text('joined_to_id'),
    ...zoneSetup,
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    foreignKey({ columns: [t.firmId, t.joinedToId], foreignColumns: [t.firmId, t.id] }),
    index('spaces_job').on(t.firmId, t.jobId),
    check('spaces_kind', oneOf('kind', ['room', 'elevation'])),
    check(
      'spaces_sizes',
      sql`(length_m is null or length_m > 0) and (width_m is null or width_m > 0) and (height_m is null or height_m > 0) and (boundary_m is null or boundary_m >= 0)`,
    ),
  ],
);

export const zones = pgTable(
  'zones',
  { ...inJob, spaceId: text('space_id').notNull(), name: text().notNull(), position: doublePrecision().notNull(), ...zoneSetup, ...life },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    foreignKey({ columns: [t.firmId, t.spaceId], foreignColumns: [spaces.firmId, spaces.id] }),
    index('zones_job').on(t.firmId, t.jobId),
  ],
);

export const surfaces = pgTable(
  'surfaces',
  {
    ...inJob,
    spaceId: text('space_id').notNull(),
    position: doublePrecision().notNull(),
    name: text().notNull(),
    element: text().notNull(),
    count: integer().notNull(),
    material: text().notNull(),
    lengthM: doublePrecision('length_m').notNull(),
    widthM: doublePrecision('width_m').notNull(),
    faces: integer().notNull(),
    yearMade: integer('year_made'),
    conditions: text().array().notNull(),
    coatsCounted: boolean('coats_counted').notNull(),
    knots: text().notNull(),
    aim: text().notNull(),
    topcoat: text(),
    tint: text(),
    colour: text().notNull().default(''),
    coatsWanted: integer('coats_wanted'),
    serviceC: doublePrecision('service_c'),
    finish: text(),
    layings: jsonb().notNull().default({}).$type<Record<string, string>>(),
    bench: boolean().notNull(),
    measures: jsonb().notNull().default({}).$type<Record<string, number>>(),
    blisterGrade: integer('blister_grade'),
    flakeGrade: integer('flake_grade'),
    crackGrade: integer('crack_grade'),
    chalkGrade: integer('chalk_grade'),
    rustGrade: integer('rust_grade'),
    moldM2: doublePrecision('mold_m2'),
    stainM2: doublePrecision('stain_m2'),
    scrapped: boolean().notNull().default(false),
    species: text().notNull().default(''),
    workOrder: text('work_order').array().notNull().default([]),
    past: text().notNull().default('asBefore'),
    pastWhy: text('past_why').notNull().default(''),
    yearHow: text('year_how').notNull().default(''),
    clientWhy: text('client_why').notNull().default(''),
    declinedOn: text('declined_on'),
    declinedNote: text('declined_note').notNull().default(''),
    filmUm: doublePrecision('film_um'),
    opening: text().notNull().default('sealed'),
    zoneId: text('zone_id'),
    wall: text(),
    alongM: doublePrecision('along_m'),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    check('surfaces_past', oneOf('past', PASTS)),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    foreignKey({ columns: [t.firmId, t.spaceId], foreignColumns: [spaces.firmId, spaces.id] }),
    foreignKey({ columns: [t.firmId, t.zoneId], foreignColumns: [zones.firmId, zones.id] }),
    index('surfaces_job').on(t.firmId, t.jobId),
    check('surfaces_sizes', sql`length_m > 0 and width_m > 0 and count >= 1 and faces between 1 and 2`),
  ],
);

const onSurface = { ...inJob, surfaceId: text('surface_id').notNull() };

export const parts = pgTable(
  'parts',
  {
    ...onSurface,
    kind: text().notNull(),
    sharePct: doublePrecision('share_pct').notNull(),
    methodId: text('method_id'),
    insistedWhy: text('insisted_why'),
    alsoIds: text('also_ids').array().notNull().default([]),
    grits: integer().array().notNull().default([]),
    toolC: doublePrecision('tool_c'),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('parts_job').on(t.firmId, t.jobId),
    check('parts_share', sql`share_pct between 0 and 100`),
  ],
);

export const layers = pgTable(
  'layers',
  {
    ...onSurface,
    position: doublePrecision().notNull(),
    binder: text().notNull(),
    colour: text().notNull(),
    soundness: text().notNull(),
    yearApplied: integer('year_applied'),
    alcohol: text().notNull().default('untried'),
    alkali: text().notNull().default('untried'),
    water: text().notNull().default('untried'),
    heat: text().notNull().default('untried'),
    look: text().notNull().default(''),
    poisons: text().array().notNull().default([]),
    poisonsLookedFor: boolean('poisons_looked_for').notNull().default(false),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('layers_job').on(t.firmId, t.jobId),
  ],
);

export const samples = pgTable(
  'samples',
  {
    ...onSurface,
    number: text().notNull(),
    hazard: text().notNull(),
    kind: text().notNull(),
    suspect: text(),
    reachedLayerIds: text('reached_layer_ids').array().notNull(),
    toSubstrate: boolean('to_substrate').notNull(),
    place: text().notNull(),
    atX: doublePrecision('at_x'),
    atY: doublePrecision('at_y'),
    takenAt: instant('taken_at'),
    takenBy: text('taken_by').notNull(),
    sentAt: instant('sent_at'),
    lab: text().notNull(),
    repeatsId: text('repeats_id'),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('samples_job').on(t.firmId, t.jobId),
    check('samples_hazard', oneOf('hazard', HAZARDS)),
  ],
);

export const squares = pgTable(
  'squares',
  {
    ...onSurface,
    methodId: text('method_id').notNull(),
    product: text().notNull(),
    chemistry: text().notNull().default('unsaid'),
    partId: text('part_id'),
    coating: text().notNull(),
    place: text().notNull(),
    atX: doublePrecision('at_x'),
    atY: doublePrecision('at_y'),
    covered: boolean().notNull(),
    surfaceC: doublePrecision('surface_c'),
    dwellMin: doublePrecision('dwell_min'),
    startedAt: instant('started_at'),
    stoppedAt: instant('stopped_at'),
    lifted: text(),
    stoppedOnLayerId: text('stopped_on_layer_id'),
    stayedPct: doublePrecision('stayed_pct'),
    leftBehind: text('left_behind').array().notNull(),
    harms: text().array().notNull(),
    sizeCm2: doublePrecision('size_cm2'),
    usedMl: doublePrecision('used_ml'),
    workMin: doublePrecision('work_min'),
    ease: integer(),
    carriedFrom: text('carried_from').notNull(),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('squares_job').on(t.firmId, t.jobId),
    check('squares_clock', sql`stopped_at is null or (started_at is not null and stopped_at >= started_at)`),
    check('squares_lifted', sql.raw(`lifted is null or ${oneOfText('lifted', LIFTED)}`)),
  ],
);

export const boards = pgTable(
  'boards',
  {
    ...onSurface,
    label: text().notNull(),
    oilSoaked: text('oil_soaked').notNull(),
    rotten: text().notNull(),
    coats: integer(),
    soundCoats: integer('sound_coats'),
    mixed: boolean().notNull(),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('boards_job').on(t.firmId, t.jobId),
    check('boards_coats', sql`sound_coats is null or coats is null or sound_coats <= coats`),
  ],
);

/** Append-only by trigger (migration 0020). */
export const signs = pgTable(
  'signs',
  {
    ...onSurface,
    sign: text().notNull(),
    partId: text('part_id'),
    methodId: text('method_id'),
    product: text(),
    extent: text().notNull(),
    note: text().notNull(),
    takenAt: instant('taken_at').notNull(),
    supersedesId: text('supersedes_id'),
    supersedesWhy: text('supersedes_why'),
    by: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('signs_job').on(t.firmId, t.jobId),
    check('signs_extent', oneOf('extent', EXTENTS)),
  ],
);

/** Append-only by trigger (migration 0023). */
export const laid = pgTable(
  'laid',
  {
    ...onSurface,
    product: text().notNull(),
    withdrawn: boolean().notNull().default(false),
    way: text().notNull(),
    coats: integer().notNull(),
    areaM2: doublePrecision('area_m2').notNull(),
    litres: doublePrecision(),
    wetUm: doublePrecision('wet_um'),
    thinnedPct: doublePrecision('thinned_pct').notNull().default(0),
    tinId: text('tin_id'),
    tinL: doublePrecision('tin_l'),
    earlyWhy: text('early_why').notNull().default(''),
    takenAt: instant('taken_at').notNull(),
    supersedesId: text('supersedes_id'),
    by: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('laid_job').on(t.firmId, t.jobId),
  ],
);

export const defects = pgTable(
  'defects',
  {
    ...onSurface,
    kind: text().notNull(),
    partId: text('part_id'),
    alongM: doublePrecision('along_m'),
    upM: doublePrecision('up_m'),
    areaM2: doublePrecision('area_m2'),
    lengthM: doublePrecision('length_m'),
    pieces: integer().notNull(),
    depthMm: doublePrecision('depth_mm'),
    moving: text().notNull(),
    asFound: boolean('as_found').notNull(),
    seenOn: text('seen_on').notNull(),
    repair: text(),
    repairWhy: text('repair_why').notNull(),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('defects_job').on(t.firmId, t.jobId),
    check('defects_kind', oneOf('kind', DEFECTS)),
    check('defects_pieces', sql`pieces >= 1`),
  ],
);

/** Append-only by trigger (migration 0001): a correction is a new row that supersedes. */
export const readings = pgTable(
  'readings',
  {
    ...onSurface,
    kind: text().notNull(),
    takenAt: instant('taken_at').notNull(),
    toSubstrate: boolean('to_substrate').notNull(),
    spot: text(),
    kitRecognised: boolean('kit_recognised').notNull(),
    value: doublePrecision(),
    unit: text(),
    bandLow: doublePrecision('band_low'),
    bandHigh: doublePrecision('band_high'),
    note: text().notNull(),
    supersedesId: text('supersedes_id'),
    supersedesWhy: text('supersedes_why'),
    sampleId: text('sample_id'),
    humidityPct: doublePrecision('humidity_pct'),
    device: text().notNull().default(''),
    analysis: text(),
    trace: boolean().notNull().default(false),
    atX: doublePrecision('at_x'),
    atY: doublePrecision('at_y'),
    control: text().notNull().default('unsaid'),
    minutes: doublePrecision(),
    lot: text().notNull().default(''),
    decidedBy: text('decided_by').notNull().default('unsaid'),
    certificate: text().notNull().default(''),
    below: boolean().notNull().default(false),
    finding: text(),
    file: text().notNull().default(''),
    by: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    foreignKey({ columns: [t.firmId, t.sampleId], foreignColumns: [samples.firmId, samples.id] }),
    foreignKey({ columns: [t.firmId, t.supersedesId], foreignColumns: [t.firmId, t.id] }),
    index('readings_job').on(t.firmId, t.jobId),
    check('readings_kind', oneOf('kind', READING_KINDS)),
    check('readings_control', oneOf('control', KIT_CONTROLS)),
    check('readings_decided_by', oneOf('decided_by', DECIDERS)),
    check('readings_value', sql`value is null or (unit is not null and (value >= 0 or unit = 'C'))`),
    check('readings_why', sql`supersedes_id is null or length(supersedes_why) > 0`),
  ],
);

/** The coats that a reading reached, in order, and whether each changed. */
export const readingLayers = pgTable(
  'reading_layers',
  {
    firmId: text('firm_id').notNull(),
    jobId: text('job_id').notNull(),
    readingId: text('reading_id').notNull(),
    layerId: text('layer_id').notNull(),
    place: integer().notNull(),
    changed: boolean().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.readingId, t.layerId] }),
    foreignKey({ columns: [t.firmId, t.readingId], foreignColumns: [readings.firmId, readings.id] }),
    foreignKey({ columns: [t.firmId, t.layerId], foreignColumns: [layers.firmId, layers.id] }),
    index('reading_layers_job').on(t.firmId, t.jobId),
  ],
);

export const checks = pgTable(
  'checks',
  {
    ...inJob,
    /** Null: a check of a zone or of the job. */
    surfaceId: text('surface_id'),
    zoneId: text('zone_id'),
    gate: text().notNull(),
    outcome: text().notNull(),
    measured: jsonb().notNull().default([]).$type<Check['measured']>(),
    pieceIds: text('piece_ids').array(),
    spokeOf: text('spoke_of').array(),
    note: text().notNull(),
    takenAt: instant('taken_at').notNull(),
    supersedesId: text('supersedes_id'),
    supersedesWhy: text('supersedes_why'),
    by: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.surfaceId], foreignColumns: [surfaces.firmId, surfaces.id] }),
    index('checks_job').on(t.firmId, t.jobId),
    check('checks_outcome', oneOf('outcome', ['pass', 'fail'])),
  ],
);

export const photos = pgTable(
  'photos',
  {
    ...inJob,
    hash: text().notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    ofSurfaceId: text('of_surface_id'),
    ofSampleId: text('of_sample_id'),
    ofCheckId: text('of_check_id'),
    ofSquareId: text('of_square_id'),
    ofZoneId: text('of_zone_id'),
    ofBagId: text('of_bag_id'),
    ofSignId: text('of_sign_id'),
    ofDefectId: text('of_defect_id'),
    caption: text().notNull(),
    marks: jsonb().notNull().$type<unknown[]>(),
    takenAt: instant('taken_at').notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    index('photos_job').on(t.firmId, t.jobId),
    index('photos_hash').on(t.firmId, t.hash),
  ],
);

export const airSamples = pgTable(
  'air_samples',
  {
    ...inJob,
    number: text().notNull(),
    onSurfaceId: text('on_surface_id').notNull(),
    methodId: text('method_id').notNull(),
    person: text().notNull(),
    startedAt: instant('started_at').notNull(),
    minutes: doublePrecision().notNull(),
    flowLMin: doublePrecision('flow_l_min').notNull(),
    massUg: doublePrecision('mass_ug'),
    below: boolean().notNull(),
    lab: text().notNull(),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    index('air_samples_job').on(t.firmId, t.jobId),
    check('air_samples_run', sql`minutes > 0 and flow_l_min > 0 and (mass_ug is null or mass_ug >= 0)`),
  ],
);

export const stints = pgTable(
  'stints',
  {
    ...inJob,
    person: text().notNull(),
    zoneId: text('zone_id').notNull(),
    on: text().notNull(),
    fromMin: integer('from_min').notNull(),
    hours: doublePrecision().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    index('stints_job').on(t.firmId, t.jobId),
    check('stints_day', sql`from_min >= 0 and from_min < 1440 and hours > 0`),
  ],
);

export const hauls = pgTable(
  'hauls',
  {
    ...inJob,
    number: text().notNull(),
    leftAt: instant('left_at').notNull(),
    carrier: text().notNull(),
    to: text().notNull(),
    bags: integer(),
    kg: doublePrecision(),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    index('hauls_job').on(t.firmId, t.jobId),
  ],
);

export const bags = pgTable(
  'bags',
  {
    ...inJob,
    number: text().notNull(),
    stream: text().notNull(),
    kg: doublePrecision(),
    filledAt: instant('filled_at').notNull(),
    filledBy: text('filled_by').notNull(),
    zoneId: text('zone_id'),
    place: text().notNull(),
    haulId: text('haul_id'),
    note: text().notNull(),
    ...life,
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    index('bags_job').on(t.firmId, t.jobId),
    check('bags_weight', sql`kg is null or kg > 0`),
  ],
);

/** Append-only by trigger (migration 0003). */
export const instrumentChecks = pgTable(
  'instrument_checks',
  {
    ...inJob,
    device: text().notNull(),
    what: text().notNull(),
    material: text(),
    values: doublePrecision().array().notNull(),
    filmMgCm2: doublePrecision('film_mg_cm2').notNull(),
    tolerance: doublePrecision().notNull(),
    takenAt: instant('taken_at').notNull(),
    note: text().notNull(),
    by: text().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.firmId, t.id] }),
    foreignKey({ columns: [t.firmId, t.jobId], foreignColumns: [jobs.firmId, jobs.id] }),
    index('instrument_checks_job').on(t.firmId, t.jobId),
  ],
);

/** Every write that was ever accepted, in the server's order. Append-only by trigger (migrations 0001, 0006). */
export const changeLog = pgTable(
  'change_log',
  {
    seq: bigserial({ mode: 'number' }).primaryKey(),
    firmId: text('firm_id')
      .notNull()
      .references(() => firms.id),
    changeId: text('change_id').notNull(),
    jobId: text('job_id'),
    entity: text().notNull(),
    entityId: text('entity_id').notNull(),
    /** Form 1 only: those rows stand as they were written. */
    surfaceId: text('surface_id'),
    /** The envelope's form. */
    v: integer().notNull().default(1),
    parentKind: text('parent_kind'),
    parentId: text('parent_id'),
    /** Who of the firm's people; `by` is the name. */
    personId: text('person_id'),
    device: text(),
    act: text(),
    op: text().notNull(),
    fields: jsonb().notNull().$type<Record<string, unknown>>(),
    saw: jsonb().$type<Record<string, unknown>>(),
    at: instant().notNull(),
    by: text().notNull(),
    receivedAt: instant('received_at').notNull(),
  },
  (t) => [
    unique('change_log_once').on(t.firmId, t.changeId),
    index('change_log_job').on(t.firmId, t.jobId, t.seq),
    check('change_log_parent', sql`v = 1 or (parent_kind is not null and parent_id is not null)`),
  ],
);
