/**
 * Random jobs, and random edits of them. Fields come from the registry's schemas, so that one which is added later is tried without
 * anybody remembering it; only what a job could never hold, or what would drown the rest, is steered here.
 */
import fc from 'fast-check';
import { z } from 'zod';
import { arbitraryOf } from '../../../core/src/arbitrary';
import {
  BINDERS,
  BLANK_LAYER,
  BLANK_SQUARE,
  BLANK_ZONE,
  BOUGHT,
  CHEMISTRIES,
  ELEMENT_IDS,
  GLOVE_MATERIALS,
  SHEET_FILTERS,
  LAYINGS,
  emptyLists,
  HAZARDS,
  MATERIALS,
  METHOD_IDS,
  PART_KINDS,
  READING_KINDS,
  SOAKS,
  specOf,
  SUSPECT_KINDS,
  type Entity,
  type JobFacts,
  type Surface,
  NEARBY,
  ProductFields,
  type Product,
} from '../../../core/src/facts';
import { surfaceProblems } from '../../../core/src/facts/validate';
import { RESPIRATOR_IDS } from '../../../core/src/rulebook';
import { AS_CATALOGUED, FirmSettings } from '../../../core/src/rulebook/settings';
import { at, c, few, hours, maybe, REACHES, reached, year, type Fields, type Reach } from './draw';
import {
  alone,
  aloneOf,
  aloneOn,
  bulkSet,
  HARMED,
  HOLDER,
  pair,
  pairOf,
  PLAIN,
  setOf,
  type AloneRecipe,
  type PairRecipe,
  type SetRecipe,
} from './steered';

export const THIS_YEAR = 2026;
/** Every field of an entity: steered where it is named, else whatever its schema takes. */
function fieldsOf(entity: Entity, steered: Readonly<Record<string, fc.Arbitrary<unknown>>>): fc.Arbitrary<Fields> {
  const schema = z.toJSONSchema(specOf(entity).fields, { io: 'output', unrepresentable: 'any' }) as {
    properties: Record<string, object>;
  };
  const each = Object.fromEntries(Object.entries(schema.properties).map(([k, s]) => [k, steered[k] ?? arbitraryOf(s)]));
  return fc.record(each) as fc.Arbitrary<Fields>;
}
const job = fieldsOf('job', {
  name: c('Job'),
  place: c(''),
  yearBuilt: maybe(year, 5),
  timeZone: c('UTC'),
  dwelling: fc.oneof({ weight: 3, arbitrary: c(true) }, { weight: 1, arbitrary: c(false) }),
  sample: c(false),
  otherTrades: fc.constantFrom('', 'roofers'),
  dwellings: c(null),
  startOn: maybe(fc.constantFrom('2026-03-02', '2025-11-30')),
  samplingSeed: c('seed'),
});
const NAMES = ['River room', 'Kitchen', 'West face'];
const space = fieldsOf('space', {
  name: fc.constantFrom(...NAMES),
  kind: fc.oneof({ weight: 3, arbitrary: c('room') }, { weight: 1, arbitrary: c('elevation') }),
  position: c(0),
  yearBuilt: maybe(year),
  lengthM: maybe(fc.constantFrom(2, 4.5, 9), 3),
  widthM: maybe(fc.constantFrom(1.8, 3.5, 6), 3),
  heightM: maybe(fc.constantFrom(2.4, 3.1), 3),
  boundaryM: maybe(fc.constantFrom(0, 1, 3.04, 3.05, 12)),
  accessM: maybe(fc.constantFrom(0, 1.9, 2, 6)),
  goesAnyway: fc.constantFrom('', 'the carpet'),
  // By place among the rooms, until they have their ids.
  nearby: fc.array(
    fc.record({
      what: fc.constantFrom(...NEARBY),
      outM: maybe(fc.constantFrom(0, 2, 6, 6.2, 11, 14, 30)),
      alongM: maybe(fc.constantFrom(0, 3)),
      lengthM: maybe(fc.constantFrom(1, 4)),
    }),
    { maxLength: 2 },
  ),
  shaded: fc.constantFrom([], [], [{ fromH: 8, toH: 12 }]),
  joinedToId: fc.oneof({ weight: 4, arbitrary: c(null) }, { weight: 1, arbitrary: fc.nat(1) }),
  workingDoor: c(''),
  washPlace: c(''),
  cleanWay: c(''),
  airMachine: c(''),
  machineIds: c([]),
  note: c(''),
  staying: c(''),
});
/** Most are laid as is usual. */
const layings = fc.oneof(
  { weight: 3, arbitrary: c({}) },
  { weight: 2, arbitrary: fc.record({ primer: fc.constantFrom(...LAYINGS), topcoat: fc.constantFrom(...LAYINGS) }, { requiredKeys: [] }) },
);
const surface = fieldsOf('surface', {
  spaceId: c(''),
  position: c(0),
  name: fc.constantFrom('Piece', 'Sash', 'Wall'),
  count: fc.constantFrom(1, 1, 1, 2, 7),
  lengthM: fc.constantFrom(0.3, 1, 2.4, 6, 30),
  widthM: fc.constantFrom(0.1, 0.6, 1.2, 3, 20),
  yearMade: maybe(year),
  conditions: few(
    [
      'blistered',
      'flaking',
      'checked',
      'powdery',
      'runs',
      'oilSoaked',
      'moldy',
      'wet',
      'openJoints',
      'rubbing',
      'chewable',
      'waterStain',
      'smokeStain',
      'salty',
    ],
    3,
  ),
  coatsCounted: fc.oneof({ weight: 4, arbitrary: c(true) }, { weight: 1, arbitrary: c(false) }),
  measures: c({}),
  finish: fc.constantFrom(null, null, 'smooth', 'utility', 'museum'),
  colour: fc.constantFrom('', '', 'harbor grey'),
  serviceC: maybe(fc.constantFrom(60, 90, 90.5, 140, 250), 3),
  layings,
  filmUm: maybe(fc.constantFrom(60, 125, 126, 1600)),
  stainM2: maybe(fc.constantFrom(0, 0.3, 2, 40)),
  moldM2: maybe(fc.constantFrom(0, 0.2, 0.9, 0.93, 5, 9.2, 9.3, 40)),
  species: c(''),
  declinedOn: fc.oneof({ weight: 14, arbitrary: c(null) }, { weight: 1, arbitrary: c('2026-03-01') }),
  zoneId: fc.oneof({ weight: 4, arbitrary: c(null) }, { weight: 1, arbitrary: fc.nat(1) }),
  alongM: maybe(fc.constantFrom(0, 1.2, 4, 8)),
  workOrder: c([]),
});
const part = fieldsOf('part', {
  kind: fc.constantFrom(...PART_KINDS),
  sharePct: c(0),
  methodId: maybe(fc.constantFrom(...METHOD_IDS)),
  insistedWhy: maybe(c('the client wants it so')),
  // Mostly what may come together on one piece, and must be kept apart.
  grits: fc.constantFrom([], [], [36, 60, 100], [120, 220], [60, 240]),
  toolC: maybe(fc.constantFrom(260, 420, 499, 500, 537, 538, 593, 593.4, 700), 3),
  alsoIds: fc.oneof(few(METHOD_IDS, 2), few(['washDegrease', 'moldBleach', 'moldWash', 'rustGel', 'puttyCut'] as const, 3)),
});
const layer = fieldsOf('layer', {
  position: c(0),
  colour: fc.constantFrom('', 'white', 'green'),
  look: fc.constantFrom('', 'stippled', 'combed'),
  poisons: fc.oneof(
    { weight: 7, arbitrary: c([]) },
    { weight: 1, arbitrary: few(['chromate', 'cadmium', 'arsenic', 'coalTar', 'copper'], 2) },
  ),
  poisonsLookedFor: fc.boolean(),
  yearApplied: maybe(year),
});

const LEVELS: Readonly<Record<string, readonly number[]>> = {
  'mass%': [0, 0.005, 0.05, 0.0599, 0.06, 0.3, 0.49, 0.499, 0.5, 0.51, 4, 30],
  ppm: [0, 5, 30, 40, 89, 90, 599, 600, 1006, 4999, 5000, 5001, 200_000],
  'mg/cm2': [0, 0.1, 0.89, 0.99, 1, 1.01, 2.4, 12],
};
interface Made {
  readonly fields: Fields;
  readonly reach: Reach;
  readonly changed: Reach;
  /** By place among the earlier records of its kind; none: -1. */
  readonly replaces: number;
  readonly sample: number;
  readonly pick: number;
}
const made = (fields: fc.Arbitrary<Fields>): fc.Arbitrary<Made> =>
  fc.record({
    fields,
    reach: fc.oneof({ weight: 2, arbitrary: fc.constantFrom(...REACHES) }, { weight: 1, arbitrary: c('allAndBelow' as const) }),
    changed: fc.constantFrom('nowhere', 'nowhere', 'face', 'deepest'),
    replaces: fc.oneof({ weight: 3, arbitrary: c(-1) }, { weight: 1, arbitrary: fc.nat(3) }),
    sample: fc.nat(3),
    pick: fc.nat(20),
  });
const reading = made(
  fieldsOf('reading', {
    kind: fc.oneof(
      { weight: 3, arbitrary: fc.constantFrom('spot', 'lab', 'xrf', 'bulk') },
      { weight: 1, arbitrary: fc.constantFrom(...READING_KINDS) },
    ),
    takenAt: hours.map(at),
    note: c(''),
    supersedesId: c(null),
    supersedesWhy: fc.constantFrom('.', 'taken again at the same notch'),
    sampleId: c(null),
    humidityPct: fc.constantFrom(30, 60, 95),
    // Mostly as a test is made that means to clear something: what is wrong with it is then one thing at a time.
    device: fc.constantFrom('X-1', 'X-1', 'X-1', 'X-2', ''),
    kitRecognised: fc.constantFrom(true, true, true, false),
    control: fc.constantFrom('worked', 'worked', 'worked', 'unsaid', 'dead'),
    decidedBy: fc.constantFrom('inspector', 'inspector', 'inspector', 'renovator', 'unsaid'),
    certificate: fc.constantFrom('RA-104', 'RA-104', 'RA-104', ''),
    file: fc.constantFrom('survey.pdf', 'survey.pdf', ''),
    below: fc.constantFrom(false, false, false, true),
    lot: c(''),
    bandLow: maybe(c(0.9)),
    bandHigh: c(1.1),
    atX: maybe(fc.constantFrom(0.1, 0.9)),
    atY: maybe(fc.constantFrom(0.1, 0.9)),
  }),
);
const sample = made(
  fieldsOf('sample', {
    number: c(''),
    hazard: fc.oneof({ weight: 3, arbitrary: c('asbestos') }, { weight: 1, arbitrary: fc.constantFrom(...HAZARDS) }),
    kind: fc.oneof({ weight: 4, arbitrary: c('bulk') }, { weight: 1, arbitrary: fc.constantFrom('chip', 'duplicate', 'blank') }),
    suspect: fc.constantFrom(...SUSPECT_KINDS),
    place: fc.constantFrom('', 'by the door', 'over the window'),
    atX: maybe(fc.constantFrom(0.1, 0.5, 0.9), 4),
    atY: maybe(fc.constantFrom(0.1, 0.5, 0.9), 4),
    takenAt: maybe(hours.map(at), 6),
    takenBy: c('Tester'),
    sentAt: c(null),
    lab: c(''),
    repeatsId: c(null),
    note: c(''),
  }),
);
const square = made(
  fieldsOf('square', {
    methodId: fc.oneof(fc.constantFrom(...SOAKS), fc.constantFrom(...METHOD_IDS)),
    product: fc.constantFrom('', 'mix A', 'mix B', 'DCM gel'),
    chemistry: fc.oneof({ weight: 4, arbitrary: c('unsaid') }, { weight: 1, arbitrary: fc.constantFrom(...CHEMISTRIES) }),
    partId: c(null),
    coating: fc.constantFrom('', 'the green stretch'),
    place: c(''),
    dwellMin: maybe(fc.constantFrom(10, 20, 60, 90, 1440, 10_080), 8),
    startedAt: c(null),
    stoppedAt: c(null),
    stoppedOnLayerId: c(null),
    stayedPct: maybe(fc.constantFrom(0, 5, 40, 100)),
    harms: few(['grainRaised', 'darkened', 'scorched', 'etched', 'softened', 'bleached'], 1),
    carriedFrom: fc.constantFrom('', '', 'the other sash'),
    note: c(''),
  }),
);
const board = fieldsOf('board', { label: c(''), note: c(''), coats: maybe(c(4)), soundCoats: maybe(fc.constantFrom(0, 2, 4)) });
const GATES = [
  'cause-cured',
  'containment-up',
  'kit-on.halfMask',
  'moisture',
  'adhesion',
  'dew-point',
  'verified',
  'clean.dust',
  'mold-clean',
  'mold-dry',
];
const check = fieldsOf('check', {
  pieceIds: c(null),
  spokeOf: c(null),
  gate: fc.constantFrom(...GATES),
  note: c(''),
  takenAt: hours.map(at),
  supersedesId: c(null),
  supersedesWhy: c(null),
});
const defect = fieldsOf('defect', {
  partId: c(null),
  alongM: c(null),
  upM: c(null),
  areaM2: maybe(fc.constantFrom(0.001, 0.05, 0.4, 30)),
  lengthM: maybe(fc.constantFrom(0.2, 1.5)),
  pieces: fc.constantFrom(1, 1, 3),
  depthMm: maybe(fc.constantFrom(0.2, 3, 18, 90)),
  seenOn: c('2026-02-20'),
  repair: maybe(fc.constantFrom('leave', 'fill', 'splice', 'patch', 'skim'), 3),
  repairWhy: c(''),
  note: c(''),
});
/** Where it was seen is settled when the surface stands: at one of its strokes, its coats, or the look before them. */
const SEEN = {
  stroke: [
    'oldColour',
    'oldColour',
    'edgeLifts',
    'edgeHeld',
    'dustRises',
    'sandShiny',
    'sandClogs',
    'gelStillWet',
    'gelThirsty',
    'gouge',
    'washColour',
  ],
  coat: ['coatRun', 'coatLump', 'coatBloom', 'coatBleeds', 'coatWrinkles', 'coatSkips', 'coatThirsty'],
  check: ['tapeSand', 'tapeFilm', 'dropBeads'],
} as const;
const aLaid = fieldsOf('laid', {
  product: fc.constantFrom('matEmulsion', 'exteriorAcrylic', 'alkydGloss', 'acrylicWood', 'bonding'),
  withdrawn: c(false),
  supersedesId: c(null),
});
const sign = fieldsOf('sign', {
  sign: fc.nat(20),
  partId: fc.nat(2),
  methodId: fc.constantFrom('stroke', 'coat', 'check', 'stroke'),
  product: fc.constantFrom('alkydGloss', 'matEmulsion', 'exteriorAcrylic', 'plasterSealer', 'acrylicWood', 'zincPhosphate'),
  note: c(''),
  takenAt: hours.map(at),
  supersedesId: c(null),
  supersedesWhy: c(null),
});
const instrumentCheck = fieldsOf('instrumentCheck', {
  device: fc.constantFrom('X-1', 'X-1', 'X-2'),
  what: fc.constantFrom('calibration', 'calibration', 'calibration', 'substrate'),
  material: fc.constantFrom(...MATERIALS),
  values: fc.constantFrom([1.02, 1, 1.04], [1.02, 1, 1.04], [1.3, 1.4, 1.3]),
  filmMgCm2: c(1.02),
  tolerance: c(0.15),
  takenAt: hours.map(at),
  note: c(''),
});

export const proof = (hour: number, holds: boolean): Fields => ({
  device: 'X-1',
  what: 'calibration',
  material: null,
  values: holds ? [1.02, 1, 1.04] : [1.3, 1.4, 1.3],
  filmMgCm2: 1.02,
  tolerance: 0.15,
  takenAt: at(hour),
  note: '',
});

/** What the firm says is in the strippers that it buys. */
const rates = fc
  .tuple(maybe(fc.constantFrom(...BOUGHT)), fc.constantFrom(...CHEMISTRIES))
  .map(([method, chemistry]) => (method === null ? {} : { [method]: { ...AS_CATALOGUED, chemistry } }));
const BLANK_PERSON = { id: 'person-1', name: 'Person 1', fitTests: [], training: [], removedAt: null };
const OWNED = { id: 'machine-1', name: 'Machine 1', flowM3h: null, filter: 'hepa', lastOn: 'nothing', removedAt: null } as const;
/** By its own sheet, which fits itself. */
const product = fc
  .record({
    id: fc.constantFrom('product-1', 'product-2'),
    name: fc.constantFrom('Alder', 'Birch'),
    good: fc.constantFrom(
      'matEmulsion',
      'exteriorAcrylic',
      'alkydWood',
      'acrylicWood',
      'alkydGloss',
      'stripperGel',
      'stainBlock',
      'glazingPutty',
    ),
    inUse: fc.boolean(),
    chemistry: fc.constantFrom('unsaid', 'nmp', 'benzylAlcohol', 'xylene', 'mineralSpirits', 'water'),
    solidsPct: maybe(fc.integer({ min: 15, max: 80 }), 2),
    dryFilmUm: maybe(fc.integer({ min: 10, max: 120 }), 2),
    coats: maybe(fc.integer({ min: 1, max: 4 }), 2),
    recoatLeastH: maybe(fc.integer({ min: 1, max: 48 }), 2),
    leastFaceC: maybe(fc.integer({ min: 0, max: 12 }), 2),
    flashC: maybe(fc.constantFrom(23, 60, 61), 2),
    gloves: maybe(fc.constantFrom(...GLOVE_MATERIALS), 2),
    filter: maybe(fc.constantFrom(...SHEET_FILTERS), 2),
    guaranteeYears: maybe(fc.constantFrom(5, 10), 2),
    packs: fc.constantFrom(
      [],
      [{ size: 5, price: 90 }],
      [
        { size: 1, price: 30 },
        { size: 2.5, price: 60 },
        { size: 10, price: 210 },
      ],
    ),
  })
  .map((fields) => ({ ...ProductFields.parse({ name: 'x', good: fields.good }), ...fields, removedAt: null }) as unknown as Product);
const settings = fc
  .tuple(
    arbitraryOf(z.toJSONSchema(FirmSettings, { io: 'output', unrepresentable: 'any' }) as object, 2) as fc.Arbitrary<Fields>,
    rates,
    maybe(fc.constantFrom('vacuum', 'shroudedSander'), 3),
    // On the days on which work begins, before and after them.
    fc.record({
      certifiedUntil: maybe(fc.constantFrom('2025-11-29', '2026-03-02'), 3),
      masks: maybe(fc.subarray([...RESPIRATOR_IDS]), 2),
      renovator: maybe(fc.constantFrom('2025-11-30', '2026-03-01', '2027-01-01'), 3),
      trained: maybe(fc.constantFrom('2025-11-30', '2026-03-01', '2027-01-01'), 3),
    }),
    fc.uniqueArray(product, { maxLength: 2, selector: (p) => p.id }),
  )
  .map(([drawn, own, owned, { renovator, trained, ...held }, products]): FirmSettings | undefined => {
    // Prices and rates do not decide what is safe; names must be names.
    const parsed = FirmSettings.safeParse({ ...drawn, ...held, firmName: 'Firm', rates: own, samplePrefix: 'S', leadThresholdPpm: 600 });
    if (!parsed.success) return undefined;
    const certificates = [
      ...(renovator === null ? [] : [{ kind: 'renovator' as const, number: '', until: renovator }]),
      ...(trained === null ? [] : [{ kind: 'asbestosTrained' as const, number: '', until: trained }]),
    ];
    const people = certificates.length === 0 ? [] : [{ ...BLANK_PERSON, certificates }];
    return { ...parsed.data, people, products, ...(owned === null ? {} : { machines: [{ ...OWNED, kind: owned }] }) };
  });

interface SurfaceRecipe {
  /** Which harm a square did, by its place in the list; null: none of this. */
  readonly harmed: number | null;
  /** Rusty steel with growth on it, and two helpers that must not meet. */
  readonly meeting: readonly string[] | null;
  /** The year of an ordinary piece; null: whatever was drawn. */
  readonly plain: number | null;
  readonly bulkSet: SetRecipe | null;
  readonly pair: PairRecipe | null;
  readonly alone: AloneRecipe | null;
  readonly fields: Fields;
  readonly room: number;
  readonly parts: readonly Fields[];
  readonly layers: readonly Fields[];
  readonly readings: readonly Made[];
  readonly samples: readonly Made[];
  readonly squares: readonly Made[];
  readonly boards: readonly Fields[];
  readonly checks: readonly Fields[];
  readonly defects: readonly Fields[];
  readonly signs: readonly Fields[];
  readonly laid: readonly Fields[];
  readonly removed: boolean;
}
const list = <T>(x: fc.Arbitrary<T>, max: number, min = 0) => fc.array(x, { minLength: min, maxLength: max });
const surfaceRecipe: fc.Arbitrary<SurfaceRecipe> = fc.record({
  plain: maybe(fc.constantFrom(1925, 1985, 2005)),
  bulkSet: maybe(bulkSet),
  pair: maybe(pair, 2),
  alone: fc.oneof({ weight: 5, arbitrary: c(null) }, { weight: 1, arbitrary: alone }),
  harmed: fc.oneof({ weight: 14, arbitrary: c(null) }, { weight: 1, arbitrary: fc.nat(2) }),
  meeting: fc.oneof(
    { weight: 9, arbitrary: c(null) },
    { weight: 1, arbitrary: fc.constantFrom(['moldBleach', 'rustGel'], ['washDegrease', 'moldBleach'], ['washDegrease', 'rustGel']) },
  ),
  fields: surface,
  room: fc.nat(1),
  parts: list(part, 3, 1),
  layers: list(layer, 4),
  readings: list(reading, 4),
  samples: list(sample, 3),
  squares: fc.oneof({ weight: 2, arbitrary: c([] as Made[]) }, { weight: 1, arbitrary: list(square, 3) }),
  boards: fc.oneof({ weight: 4, arbitrary: c([] as Fields[]) }, { weight: 1, arbitrary: list(board, 2) }),
  checks: fc.oneof({ weight: 2, arbitrary: c([] as Fields[]) }, { weight: 1, arbitrary: list(check, 3) }),
  defects: fc.oneof({ weight: 2, arbitrary: c([] as Fields[]) }, { weight: 1, arbitrary: list(defect, 3, 1) }),
  laid: fc.oneof({ weight: 5, arbitrary: c([] as Fields[]) }, { weight: 1, arbitrary: list(aLaid, 2, 1) }),
  signs: fc.oneof({ weight: 2, arbitrary: c([] as Fields[]) }, { weight: 1, arbitrary: list(sign, 4, 1) }),
  removed: fc.oneof({ weight: 9, arbitrary: c(false) }, { weight: 1, arbitrary: c(true) }),
});

/** Some that count, and some that are short, old, unanswered or of another task. */
const airSample = fieldsOf('airSample', {
  number: c(''),
  onSurfaceId: fc.nat(2),
  methodId: fc.constantFrom('wetScrapeLoose', 'overcoat', 'heatGun', 'solventGel', 'wetScrapeLoose'),
  startedAt: fc.constantFrom(
    '2024-11-29T10:00:00.000Z',
    '2025-11-30T10:00:00.000Z',
    '2026-02-02T10:00:00.000Z',
    '2026-02-09T10:00:00.000Z',
  ),
  minutes: fc.constantFrom(59, 60, 240),
  flowLMin: c(2),
  // With 240 min: 2, 15, 45, 200 and 1,000 ug/m3.
  massUg: maybe(fc.constantFrom(0.96, 7.2, 21.6, 96, 480), 5),
  below: c(false),
});

/** Of one task, all of them standing: the worst is what counts, and each on its own coating. */
const sameTask = fc
  .tuple(fc.constantFrom('wetScrapeLoose', 'overcoat', 'solventGel'), list(airSample, 3, 2))
  .map(([methodId, all]) =>
    all.map((a) => ({ ...a, methodId, minutes: 240, startedAt: '2026-02-02T10:00:00.000Z', massUg: a['massUg'] ?? 480 })),
  );

export interface Recipe {
  readonly job: Fields;
  readonly spaces: readonly Fields[];
  readonly surfaces: readonly SurfaceRecipe[];
  readonly instrumentChecks: readonly Fields[];
  /** Where each of two people is before noon and after it: a place in the list, or the bench; null: at home. */
  readonly halves: readonly (number | null)[];
  /** By place among the surfaces, until they have their ids. */
  readonly airSamples: readonly Fields[];
  readonly settings: FirmSettings;
}
export const recipe: fc.Arbitrary<Recipe> = fc.record({
  job,
  spaces: list(space, 2, 1),
  surfaces: list(surfaceRecipe, 3, 1),
  instrumentChecks: fc.oneof(
    { weight: 1, arbitrary: c([] as Fields[]) },
    { weight: 3, arbitrary: list(instrumentCheck, 8, 2) },
    // Proven in the morning and in the evening: what was read late in the day stands too far from its check.
    { weight: 2, arbitrary: c([0, 20].map((h) => proof(h, true))) },
    // The closing check fails: the day is worth nothing.
    { weight: 2, arbitrary: c([proof(4, true), proof(8, false)]) },
    // Nobody proved it in the evening: what was read stays provisional.
    { weight: 2, arbitrary: c([proof(4, true)]) },
    { weight: 2, arbitrary: c([proof(4, true), proof(8, true)]) },
  ),
  halves: fc.array(maybe(fc.constantFrom(0, 1, 2), 2), { minLength: 4, maxLength: 4 }),
  airSamples: fc.oneof(
    { weight: 2, arbitrary: c([] as Fields[]) },
    { weight: 1, arbitrary: list(airSample, 4, 1) },
    { weight: 1, arbitrary: sameTask },
  ),
  settings: settings.filter((s): s is FirmSettings => s !== undefined),
});

const pickFrom = <T>(xs: readonly T[], i: number): T | undefined => (xs.length === 0 ? undefined : xs[i % xs.length]);

const UNITS: Readonly<Record<string, readonly string[]>> = {
  lab: ['mass%', 'ppm', 'mg/cm2'],
  xrf: ['mg/cm2'],
  bulk: ['mass%'],
  moisture: ['%MC', '%gypsum', '%rel', '%RH'],
  air: ['C'],
  surfaceTemp: ['C'],
  crossCut: ['class'],
  knife: ['class'],
  drop: ['s'],
};
const VALUES: Readonly<Record<string, readonly number[]>> = {
  ...LEVELS,
  bulk: [0, 0.4, 1, 1.01, 4, 30],
  '%MC': [8, 15, 16.5, 24, 31],
  '%gypsum': [0.4, 1, 2],
  '%rel': [10, 60, 110],
  '%RH': [50, 75, 90],
  C: [-5, 2, 18, 45],
  class: [0, 2, 4],
  s: [4, 60, 200],
};

function readingOf(m: Made, i: number, coats: readonly string[], earlier: readonly Fields[], samples: readonly Fields[]): Fields {
  const f = m.fields;
  const kind = f['kind'] as string;
  const unit = pickFrom(UNITS[kind] ?? [], m.pick) ?? null;
  const waits = kind === 'lab' && m.pick % 5 === 0;
  const value = unit === null || waits ? null : pickFrom(VALUES[kind === 'bulk' ? 'bulk' : unit]!, m.pick)!;
  const r = reached(m.reach, coats);
  const hazard = kind === 'bulk' ? 'asbestos' : 'lead';
  const own = samples.filter((x) => x['hazard'] === hazard && x['takenAt'] !== null);
  const from = kind === 'bulk' || (kind === 'lab' && m.sample % 2 === 0) ? pickFrom(own, m.sample) : undefined;
  const replaced = m.replaces < 0 ? undefined : pickFrom(earlier, m.replaces);
  const changed = kind === 'spot' && f['spot'] === 'changed' ? reached(m.changed, coats).reachedLayerIds : [];
  return {
    ...f,
    ...r,
    id: `r-${i}`,
    by: 'Tester',
    spot: kind === 'spot' ? (f['spot'] ?? 'changed') : null,
    changedLayerIds: changed.filter((id) => r.reachedLayerIds.includes(id)),
    value,
    unit: value === null ? null : unit,
    trace: kind === 'bulk' ? f['trace'] : false,
    bandLow: kind === 'xrf' ? f['bandLow'] : null,
    bandHigh: kind === 'xrf' && f['bandLow'] !== null ? f['bandHigh'] : null,
    humidityPct: kind === 'air' ? f['humidityPct'] : null,
    sampleId: from ? from['id'] : null,
    takenAt: from && (from['takenAt'] as string) > (f['takenAt'] as string) ? from['takenAt'] : f['takenAt'],
    supersedesId: replaced ? replaced['id'] : null,
    supersedesWhy: replaced ? f['supersedesWhy'] : null,
  };
}

/** The parts' shares, in whole percents that add up. */
function partsOf(drawn: readonly Fields[], id: string): Fields[] {
  const kinds = [...new Map(drawn.map((p) => [p['kind'], p])).values()];
  const share = Math.floor(100 / kinds.length);
  return kinds.map((p, i) => ({
    ...p,
    id: `${id}-part-${p['kind'] as string}`,
    removedAt: null,
    sharePct: i === 0 ? 100 - share * (kinds.length - 1) : share,
  }));
}

export function surfaceOf(r: SurfaceRecipe, n: number, spaces: readonly { readonly id: string }[]): Surface {
  const id = `surface-${n}`;
  const drawnParts = partsOf(
    r.bulkSet?.suspect === 'putty'
      ? [{ ...r.parts[0]!, kind: 'besideGlass' }, ...r.parts]
      : r.plain === null
        ? r.parts
        : r.parts.map((p) => ({ ...p, methodId: null })),
    id,
  );
  const met = r.meeting === null ? drawnParts : drawnParts.map((p) => ({ ...p, methodId: 'wetScrapeLoose', alsoIds: r.meeting }));
  const asked = r.harmed !== null ? HARMED.methodId : r.bulkSet?.sealed ? 'encapsulate' : null;
  const parts = asked === null ? met : met.map((p) => ({ ...p, methodId: asked, alsoIds: [] }));
  // Recipes from before a field came do without it.
  const coat = { ...BLANK_LAYER, soundness: 'sound' };
  const plain = (xs: readonly Fields[], over: Fields) => (r.plain === null ? xs : xs.map((x) => ({ ...x, ...over })));
  const drawn =
    r.bulkSet?.suspect === 'texturedCoat'
      ? [{ ...coat, binder: 'textured' }, ...r.layers]
      : plain(r.layers, { soundness: 'sound', water: 'untried' });
  const layers = drawn.map((l, i): Fields => ({
    ...coat,
    ...l,
    id: `${id}-coat-${i}`,
    position: i,
    removedAt: r.pair?.gone && i === 0 && drawn.length > 1 ? at(200) : null,
  }));
  const coats = layers.map((l) => l['id'] as string);
  const samples = r.samples.map((m, i): Fields => {
    const hazard = m.fields['hazard'] as string;
    return {
      ...m.fields,
      ...reached(m.reach, coats),
      id: `${id}-sample-${i}`,
      number: `S-${n}${i}`,
      removedAt: null,
      suspect: hazard === 'asbestos' ? m.fields['suspect'] : null,
    };
  });
  const readings: Fields[] = [];
  (r.plain === null ? r.readings : []).forEach((m, i) => {
    readings.push({ ...readingOf(m, i, coats, readings, samples), id: `${id}-r-${i}` });
  });
  // A pair may replace each other: a file can say so, whatever the screens offer.
  const [first, second] = readings;
  if (first && second && second['supersedesId'] === first['id'] && r.readings[0]!.pick % 7 === 0) {
    first['supersedesId'] = second['id'];
    first['supersedesWhy'] = 'the other way round';
  }
  if (r.bulkSet !== null) {
    const { taken, answers } = setOf(r.bulkSet, id, n);
    samples.push(...taken);
    readings.push(...answers);
  }
  if (r.alone !== null) {
    readings.length = 0;
    samples.length = 0;
    readings.push(aloneOf(r.alone, id, coats));
  } else if (r.pair !== null) readings.push(...pairOf(r.pair, id, coats, r.readings[0]?.fields));
  const squares = r.squares.map((m, i): Fields => {
    const lifted = m.fields['lifted'] as string | null;
    const stop = pickFrom(coats, m.pick);
    return {
      ...m.fields,
      id: `${id}-square-${i}`,
      removedAt: null,
      lifted: lifted === 'toCoat' && stop === undefined ? 'some' : lifted,
      stoppedOnLayerId: lifted === 'toCoat' ? (stop ?? null) : null,
      stayedPct: lifted === 'bare' ? 0 : m.fields['stayedPct'],
      dwellMin: m.fields['dwellMin'] ?? (lifted === null ? null : 60),
    };
  });
  if (r.harmed !== null)
    squares.push({
      ...BLANK_SQUARE,
      id: `${id}-harmed`,
      removedAt: null,
      methodId: HARMED.methodId,
      dwellMin: 600,
      lifted: 'bare',
      stayedPct: 0,
      harms: [HARMED.harms[r.harmed]!],
    });
  const facts = {
    ...r.fields,
    ...(r.plain === null ? {} : { ...PLAIN, yearMade: r.plain }),
    ...(r.meeting === null
      ? {}
      : { ...PLAIN, element: 'gutter', material: 'mildSteel', yearMade: 2005, rustGrade: 3, conditions: ['moldy'] }),
    ...(r.harmed === null
      ? {}
      : { ...PLAIN, element: 'casing', material: 'softwood', yearMade: 2005, aim: 'bareClear', topcoat: 'alkydGloss' }),
    ...(r.bulkSet === null ? {} : HOLDER[r.bulkSet.suspect]),
    ...(r.alone === null ? {} : { ...PLAIN, ...aloneOn(r.alone) }),
    ...emptyLists('surface'),
    id,
    spaceId: spaces[r.room % spaces.length]!.id,
    position: n,
    zoneId: r.fields['zoneId'] === null ? null : `zone-${(r.fields['zoneId'] as number) % spaces.length}`,
    removedAt: r.removed ? at(300) : null,
    parts,
    layers,
    samples,
    readings,
    squares,
    boards: r.boards.map((b, i) => ({
      ...b,
      id: `${id}-board-${i}`,
      label: `${i + 1}`,
      removedAt: null,
      soundCoats: b['coats'] === null ? null : b['soundCoats'],
    })),
    checks: r.checks.map((k, i) => ({ ...k, id: `${id}-check-${i}`, by: 'Tester' })),
    defects: r.defects.map((k, i) => ({ ...k, id: `${id}-defect-${i}`, removedAt: null })),
    laid: r.laid.map((k, i) => ({
      ...k,
      id: `${id}-laid-${i}`,
      by: 'Tester',
      product: r.fields['topcoat'] ?? k['product'],
      supersedesId: null,
    })),
    signs: r.signs.map((k, i) => {
      const part = pickFrom(parts, k['partId'] as number) as { readonly id: string; readonly methodId: string | null } | undefined;
      const at = k['methodId'] as keyof typeof SEEN;
      const seen = SEEN[at];
      return {
        ...k,
        id: `${id}-sign-${i}`,
        by: 'Tester',
        sign: seen[(k['sign'] as number) % seen.length],
        partId: at === 'stroke' ? (part?.id ?? null) : null,
        methodId: at === 'stroke' ? (part?.methodId ?? 'overcoat') : null,
        product: at === 'coat' ? (r.fields['topcoat'] ?? k['product']) : null,
      };
    }),
  };
  return facts as unknown as Surface;
}

/** What the door would refuse is left out, so that a breach is never one of a job that cannot be. */
function withoutProblems(facts: JobFacts): JobFacts {
  let out = facts;
  for (let round = 0; round < 4; round += 1) {
    let dropped = false;
    const surfaces = out.surfaces.map((s) => {
      const paths = surfaceProblems(out, s, 's', THIS_YEAR).map((p) => /^s\.(\w+)\[(\d+)\]/.exec(p.path));
      const bad = new Map<string, Set<number>>();
      for (const m of paths) if (m) bad.set(m[1]!, (bad.get(m[1]!) ?? new Set()).add(Number(m[2])));
      if (bad.size === 0) return s;
      dropped = true;
      const lists = s as unknown as Record<string, unknown[]>;
      return { ...s, ...Object.fromEntries([...bad].map(([list, at]) => [list, lists[list]!.filter((_, i) => !at.has(i))])) };
    });
    out = { ...out, surfaces };
    if (!dropped) break;
  }
  return out;
}

export function factsOf(r: Recipe): JobFacts {
  const spaces = r.spaces.map((s, i) => {
    const to = s['joinedToId'] as number | null;
    return {
      ...s,
      id: `space-${i}`,
      position: i,
      removedAt: null,
      joinedToId: to === null || to === i || to >= r.spaces.length ? null : `space-${to}`,
    };
  });
  const zones = r.spaces.map((_, i) => ({
    ...BLANK_ZONE,
    id: `zone-${i}`,
    spaceId: `space-${i}`,
    name: `Bay ${i}`,
    position: i,
    removedAt: null,
  }));
  const facts = {
    job: { ...r.job, id: 'job-1', createdAt: at(0), removedAt: null },
    ...emptyLists('job'),
    spaces,
    surfaces: r.surfaces.map((s, i) => surfaceOf(s, i, spaces)),
    zones,
    checks: [],
    stints: r.halves.flatMap((to, i) =>
      to === null
        ? []
        : [
            {
              id: `stint-${i}`,
              person: `Person ${i % 2}`,
              zoneId: to < r.spaces.length ? `space-${to}` : 'job-1',
              on: '2026-05-04',
              // Half the days are long ones.
              fromMin: i < 2 ? 360 : 720,
              hours: i % 2 === 0 ? 4 : 6,
              removedAt: null,
            },
          ],
    ),
    airSamples: r.airSamples.map((a, i) => ({
      ...a,
      id: `air-${i}`,
      number: `A-${i}`,
      onSurfaceId: `surface-${Math.min(a['onSurfaceId'] as number, r.surfaces.length - 1)}`,
      removedAt: null,
    })),
    instrumentChecks: r.instrumentChecks.map((k, i) => ({
      ...k,
      id: `check-${i}`,
      by: 'Tester',
      material: k['what'] === 'substrate' ? k['material'] : null,
    })),
  };
  return withoutProblems(facts as unknown as JobFacts);
}

/** One thing that a person does to a job after it was recorded. */
export type Edit =
  | { readonly kind: 'set'; readonly entity: Entity; readonly which: number; readonly field: string; readonly value: unknown }
  | { readonly kind: 'remove' | 'restore'; readonly entity: Entity; readonly which: number }
  | { readonly kind: 'enterAgain'; readonly which: number; readonly element: string; readonly material: string; readonly binder: string }
  | { readonly kind: 'split'; readonly which: number }
  | { readonly kind: 'addCheck'; readonly hour: number; readonly holds: boolean };

/** The fields on which answers turn, each with what it may become; the schema gives the values. */
function anyField(entity: Entity): fc.Arbitrary<Edit> {
  const schema = z.toJSONSchema(specOf(entity).fields, { io: 'output', unrepresentable: 'any' }) as { properties: Record<string, object> };
  const steered: Record<string, fc.Arbitrary<unknown>> = {
    yearBuilt: maybe(year, 5),
    yearMade: maybe(year, 5),
    joinedToId: fc.constantFrom(null, 'space-0', 'space-1'),
    zoneId: fc.constantFrom(null, 'zone-0', 'zone-1'),
    yearApplied: maybe(year, 5),
    binder: fc.constantFrom(...BINDERS),
    element: fc.constantFrom(...ELEMENT_IDS),
    material: fc.constantFrom(...MATERIALS),
    layings,
  };
  // What names another record, or how a place is called, is edited by its own kinds of edit.
  const skip = new Set(['spaceId', 'name', 'place', 'timeZone', 'position', 'workOrder', 'sharePct', 'samplingSeed', 'measures']);
  const fields = Object.entries(schema.properties).filter(([k]) => !skip.has(k));
  return fc
    .constantFrom(...fields)
    .chain(([field, s]) =>
      fc.record({ kind: c('set' as const), entity: c(entity), which: fc.nat(4), field: c(field), value: steered[field] ?? arbitraryOf(s) }),
    );
}
export const edit: fc.Arbitrary<Edit> = fc.oneof(
  { weight: 2, arbitrary: anyField('job') },
  { weight: 1, arbitrary: anyField('space') },
  { weight: 4, arbitrary: anyField('surface') },
  { weight: 2, arbitrary: anyField('layer') },
  { weight: 1, arbitrary: anyField('part') },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constantFrom('remove' as const, 'remove' as const, 'restore' as const),
      entity: fc.constantFrom<Entity>('surface', 'layer', 'layer', 'space', 'sample', 'part'),
      which: fc.nat(4),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: c('enterAgain' as const),
      which: fc.nat(3),
      element: fc.constantFrom('', ...ELEMENT_IDS),
      material: fc.constantFrom('', ...MATERIALS),
      binder: fc.constantFrom('', ...BINDERS),
    }),
  },
  { weight: 1, arbitrary: fc.record({ kind: c('split' as const), which: fc.nat(3) }) },
  { weight: 1, arbitrary: fc.record({ kind: c('addCheck' as const), hour: fc.constantFrom(2, 9, 23), holds: fc.boolean() }) },
);
