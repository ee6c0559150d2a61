/**
 * Limits by jurisdiction, each in the unit in which it was published and with its source.
 * Rough Sill advises: the local authority, the licensed professional, the data sheet and the lab come first.
 */
import type { EditionId, SuspectKind } from '../facts/vocabulary';
import type { SourceId } from '../reasons/sources';
import { same } from '../graph/same';
import { measure, type Measure } from '../units/units';

export interface Limit {
  readonly is: Measure;
  readonly source: SourceId;
}
const limit = (value: number, unit: Measure['unit'], source: SourceId): Limit => ({ is: measure(value, unit), source });

export const RESPIRATOR_IDS = [
  'halfMask',
  'fullFace',
  'poweredHood',
  'airline',
  'airlineFlow',
  'airlineDemand',
  'ffp3',
  'halfP3',
  'fullP3',
  'th3',
] as const;
export type RespiratorId = (typeof RESPIRATOR_IDS)[number];

export interface Respirator {
  readonly id: RespiratorId;
  readonly apf: number;
  /** Takes a vapour cartridge as well as a dust filter. */
  readonly vapour: boolean;
  /** How it is built, for what it uses up in a day. */
  readonly build: 'disposable' | 'half' | 'powered' | 'full' | 'airline';
}

/** Presumed exposure classes until air is sampled. */
export type ExposureClassId = 'none' | 'class1' | 'class2' | 'class3';

export interface Rulebook {
  readonly id: 'us' | 'uk';
  readonly name: string;
  /** As a job is pinned to it: what it says never changes once a job may stand on it. */
  readonly editionId: EditionId;
  /** Since when it binds, `2026-01-12`. */
  readonly since: string;
  /** As papers put it. */
  readonly edition: string;
  /** Housing first built in or after this year is not presumed to hold lead paint. */
  readonly leadPresumedBefore: Limit;
  /** The same for coats on iron, steel and zinc, for which lead was sold longer. */
  readonly leadOnSteelBefore: Limit;
  /** Old stock was used up until about then: said, not held against anybody. */
  readonly leadStockUntil: Limit;
  /** A result at or above one of these is lead paint; null: the rulebook has no figure, and the firm's threshold stands in. */
  readonly leadPaint: { readonly loading: Limit; readonly byMass: Limit; readonly ppm: Limit } | null;
  /** Where the rulebook has no figure: from how much on the firm treats paint as lead paint. No law says so. */
  readonly leadThreshold: Limit | null;
  /** Work at or below these needs no certified renovator; null: the rulebook has no such class. */
  readonly minorWork: { readonly insideRoom: Limit; readonly outside: Limit } | null;
  /** Of a coat that may hold asbestos, what trained people of the firm may work at once; null: no such bound. */
  readonly trainedAsbestos: Limit | null;
  /** Minor work where public money is in it; null: no stricter class. */
  readonly minorWorkAssisted: { readonly insideRoom: Limit; readonly outside: Limit } | null;
  readonly sheetBeyond: { readonly inside: Limit; readonly outside: Limit };
  /** Nearer the boundary than this: a vertical screen. */
  readonly screenWithin: Limit;
  readonly openingsClosedWithin: Limit;
  readonly windStop: Limit;
  /** Hot air at or above this is forbidden on lead paint. */
  readonly hotAirBelow: Limit;
  /** Infrared is kept below this. */
  readonly infraredBelow: Limit;
  readonly asbestosPresumedThrough: Limit;
  /** What was put in from then on is not suspected at all; between the two years it is possible, and sampled before it is cut. */
  readonly asbestosSuspectedBefore: Limit;
  /** From when on such a material can hold asbestos. It clears only what has a year of its own, with how that is known; never by the building's. */
  readonly asbestosFrom: Readonly<Record<SuspectKind, Limit>>;
  /** A sample holding more than this is asbestos-containing; null: any trace is. */
  readonly asbestosAbove: Limit | null;
  readonly leadAir: Limit;
  readonly silicaAir: Limit;
  readonly respiratorSource: SourceId;
  /** From the least protection to the most. */
  readonly respirators: readonly Respirator[];
  /** The least that is worn against each, where no exposure asks for more. 29 CFR 1926.1101(h): no filtering facepiece; HSE task sheets: FFP3 or a half mask with P3. */
  readonly leastMask: Readonly<Record<'fibres' | 'toxicDust' | 'mist', RespiratorId>>;
  readonly floorSectionBelow: Limit;
  /** Inside, cleaning is verified against the US cleaning card, or by looking and by cloths that stay clean. */
  readonly verifiedBy: 'card' | 'cloth';
  /** Who stands behind clothing, cleaning, waste, verification, sampling, mold and the like here. */
  readonly sources: Readonly<
    Record<
      | 'clothing'
      | 'cleaning'
      | 'waste'
      | 'verification'
      | 'asbestosCount'
      | 'asbestosAll'
      | 'asbestosWork'
      | 'mold'
      | 'sampling'
      | 'xrf'
      | 'silica'
      | 'noise'
      | 'nests'
      | 'asbestosTold'
      | 'childsGoods'
      | 'childWipes'
      | 'afterSwabs',
      SourceId
    >
  >;
  /** Lead dust on a wiped area, at or above which it fails where an examination clears it; null: the rulebook has no such examination. */
  readonly dustAction: Readonly<Record<'floor' | 'sill' | 'trough', Limit>> | null;
  readonly signLines: readonly string[];
  readonly signSource: SourceId;
}

const US: Rulebook = {
  id: 'us',
  name: 'US federal',
  editionId: 'us-2026',
  since: '2026-01-12',
  edition: 'US federal rules in force from 2026-01-12, as recalled on 2026-11-01; state and local rules may be stricter',
  leadPresumedBefore: limit(1978, 'year', 'cfr40-745.80'),
  leadOnSteelBefore: limit(2000, 'year', 'cfr16-1303'),
  leadStockUntil: limit(1980, 'year', 'mem-stock'),
  leadPaint: {
    loading: limit(1.0, 'mg/cm2', 'cfr24-35.110'),
    byMass: limit(0.5, 'mass%', 'cfr24-35.110'),
    ppm: limit(5000, 'ppm', 'cfr24-35.110'),
  },
  leadThreshold: null,
  minorWork: { insideRoom: limit(6, 'ft2', 'cfr40-745.83'), outside: limit(20, 'ft2', 'cfr40-745.83') },
  // Class III: no more than fits one bag of 60 x 60 in; taken for the 10 ft2 below which even class I counts as small.
  trainedAsbestos: limit(10, 'ft2', 'cfr29-1926.1101'),
  minorWorkAssisted: { insideRoom: limit(2, 'ft2', 'cfr24-35.1350'), outside: limit(20, 'ft2', 'cfr24-35.1350') },
  sheetBeyond: { inside: limit(6, 'ft', 'cfr40-745.85a2i'), outside: limit(10, 'ft', 'cfr40-745.85a2ii') },
  screenWithin: limit(10, 'ft', 'cfr40-745.85a2ii'),
  openingsClosedWithin: limit(20, 'ft', 'cfr40-745.85a2ii'),
  windStop: limit(20, 'mph', 'hud-g'),
  hotAirBelow: limit(1100, 'F', 'cfr40-745.85a3'),
  infraredBelow: limit(1000, 'F', 'trade-heat'),
  asbestosPresumedThrough: limit(1980, 'year', 'cfr29-1926.1101'),
  asbestosSuspectedBefore: limit(1990, 'year', 'mem-asbestos-stock'),
  asbestosFrom: {
    lagging: limit(1870, 'year', 'mem-asbestos-from'),
    bitumenCoat: limit(1910, 'year', 'mem-asbestos-from'),
    plaster: limit(1920, 'year', 'mem-asbestos-from'),
    heaterBoard: limit(1930, 'year', 'mem-asbestos-from'),
    jointCompound: limit(1940, 'year', 'mem-asbestos-from'),
    texturedCoat: limit(1940, 'year', 'mem-asbestos-from'),
    putty: limit(1930, 'year', 'mem-asbestos-from'),
  },
  asbestosAbove: limit(1, 'mass%', 'cfr40-763.83'),
  leadAir: limit(50, 'ug/m3', 'cfr29-1926.62c'),
  silicaAir: limit(50, 'ug/m3', 'cfr29-1926.1153'),
  respiratorSource: 'cfr29-1910.134',
  leastMask: { fibres: 'halfMask', toxicDust: 'halfMask', mist: 'halfMask' },
  respirators: [
    { id: 'halfMask', apf: 10, vapour: true, build: 'half' },
    { id: 'poweredHood', apf: 25, vapour: true, build: 'powered' },
    { id: 'fullFace', apf: 50, vapour: true, build: 'full' },
    { id: 'airline', apf: 1000, vapour: true, build: 'airline' },
  ],
  floorSectionBelow: limit(40, 'ft2', 'cfr40-745.85b'),
  verifiedBy: 'card',
  sources: {
    clothing: 'cfr29-1926.62d2',
    cleaning: 'cfr40-745.85a5',
    waste: 'cfr40-745.85a4',
    verification: 'cfr40-745.85b',
    asbestosCount: 'cfr40-763.86',
    asbestosAll: 'cfr40-763.87',
    asbestosWork: 'cfr29-1926.1101',
    mold: 'epa-mold',
    sampling: 'hud-g',
    xrf: 'hud-g',
    silica: 'cfr29-1926.1153',
    noise: 'niosh-98-126',
    nests: 'mbta',
    asbestosTold: 'cfr29-1926.1101k',
    childsGoods: 'cfr16-1303',
    childWipes: 'cfr24-35.1340',
    afterSwabs: 'cfr40-745.88',
  },
  dustAction: {
    floor: limit(5, 'ug/ft2', 'cfr24-35.1340'),
    sill: limit(40, 'ug/ft2', 'cfr24-35.1340'),
    trough: limit(100, 'ug/ft2', 'cfr24-35.1340'),
  },
  signLines: [
    'DANGER',
    'LEAD WORK AREA',
    'MAY DAMAGE FERTILITY OR THE UNBORN CHILD',
    'CAUSES DAMAGE TO THE CENTRAL NERVOUS SYSTEM',
    'DO NOT EAT, DRINK OR SMOKE IN THIS AREA',
  ],
  signSource: 'cfr29-1926.62m',
};

const UK: Rulebook = {
  id: 'uk',
  name: 'United Kingdom',
  editionId: 'uk-2012',
  since: '2012-04-06',
  edition: 'UK rules as recalled on 2026-11-01; verify with HSE and the local authority',
  leadPresumedBefore: limit(1992, 'year', 'si1992-31'),
  leadOnSteelBefore: limit(2000, 'year', 'mem-stock'),
  leadStockUntil: limit(1994, 'year', 'mem-stock'),
  leadPaint: null,
  leadThreshold: limit(600, 'ppm', 'firm-setting'),
  minorWork: null,
  trainedAsbestos: null,
  minorWorkAssisted: null,
  // No published distance in UK rules: the US distances are taken over as common practice, in metres.
  sheetBeyond: { inside: limit(1.83, 'm', 'trade-contain'), outside: limit(3.05, 'm', 'trade-contain') },
  screenWithin: limit(3.05, 'm', 'trade-contain'),
  openingsClosedWithin: limit(6.1, 'm', 'trade-contain'),
  windStop: limit(9, 'm/s', 'trade-contain'),
  // No published UK figure: the stricter infrared practice is used for hot air too.
  hotAirBelow: limit(500, 'C', 'trade-heat'),
  infraredBelow: limit(500, 'C', 'trade-heat'),
  asbestosPresumedThrough: limit(1999, 'year', 'uk-asbestos'),
  asbestosSuspectedBefore: limit(2000, 'year', 'uk-asbestos'),
  asbestosFrom: {
    lagging: limit(1880, 'year', 'mem-asbestos-from'),
    bitumenCoat: limit(1910, 'year', 'mem-asbestos-from'),
    plaster: limit(1920, 'year', 'mem-asbestos-from'),
    heaterBoard: limit(1935, 'year', 'mem-asbestos-from'),
    jointCompound: limit(1950, 'year', 'mem-asbestos-from'),
    texturedCoat: limit(1950, 'year', 'mem-asbestos-from'),
    putty: limit(1930, 'year', 'mem-asbestos-from'),
  },
  asbestosAbove: null,
  leadAir: limit(0.15, 'mg/m3', 'clw2002'),
  silicaAir: limit(0.1, 'mg/m3', 'uk-silica'),
  respiratorSource: 'hsg53',
  leastMask: { fibres: 'ffp3', toxicDust: 'halfP3', mist: 'ffp3' },
  respirators: [
    { id: 'ffp3', apf: 20, vapour: false, build: 'disposable' },
    { id: 'halfP3', apf: 20, vapour: true, build: 'half' },
    { id: 'fullP3', apf: 40, vapour: true, build: 'full' },
    { id: 'th3', apf: 40, vapour: true, build: 'powered' },
    // By type, from memory (HSG53): constant flow at most 40; full face with positive pressure 1,000 to 2,000, and the lower is taken.
    { id: 'airlineFlow', apf: 40, vapour: true, build: 'airline' },
    { id: 'airlineDemand', apf: 1000, vapour: true, build: 'airline' },
  ],
  floorSectionBelow: limit(3.7, 'm2', 'trade-contain'),
  verifiedBy: 'cloth',
  sources: {
    clothing: 'clw2002',
    cleaning: 'clw2002',
    waste: 'trade-contain',
    verification: 'trade-contain',
    asbestosCount: 'hsg264',
    asbestosAll: 'uk-asbestos',
    asbestosWork: 'uk-asbestos',
    mold: 'trade-mold',
    sampling: 'trade-sample',
    xrf: 'trade-sample',
    silica: 'uk-silica',
    noise: 'uk-noise',
    nests: 'wca1981',
    asbestosTold: 'uk-asbestos',
    childsGoods: 'mem-toys-uk',
    childWipes: 'trade-contain',
    afterSwabs: 'trade-sample',
  },
  dustAction: null,
  signLines: ['LEAD PAINT WORK', 'KEEP OUT', 'NO EATING, DRINKING OR SMOKING', 'RPE AND OVERALLS BEYOND THIS POINT'],
  signSource: 'clw2002',
};

/** What each rulebook says now. */
export const RULEBOOKS: Readonly<Record<Rulebook['id'], Rulebook>> = { us: US, uk: UK };

/** The federal rules before the dust levels of 2026. 40 CFR 745.227(e)(8) as amended in 2021; the dates are recalled from memory. */
const US_2021: Rulebook = {
  ...US,
  editionId: 'us-2021',
  since: '2021-03-08',
  edition: 'US federal rules in force from 2021-03-08 to 2026-01-11, as recalled on 2026-11-01; state and local rules may be stricter',
  dustAction: {
    floor: limit(10, 'ug/ft2', 'cfr24-35.1340'),
    sill: limit(100, 'ug/ft2', 'cfr24-35.1340'),
    trough: limit(400, 'ug/ft2', 'cfr24-35.1340'),
  },
};

/** From the oldest to the newest. */
export const EDITIONS: Readonly<Record<Rulebook['id'], readonly Rulebook[]>> = { us: [US_2021, US], uk: [UK] };

/** What a job without an edition stands on: what held when jobs began to be pinned. */
const UNPINNED: Readonly<Record<Rulebook['id'], EditionId>> = { us: 'us-2026', uk: 'uk-2012' };

interface Pinned {
  readonly rulebook: Rulebook['id'];
  readonly edition: string | null;
}

/** The edition that a job is pinned to: a newer one is taken over by a person, and never by itself. One that is of another rulebook pins nothing. */
export function bookOf({ rulebook, edition }: Pinned): Rulebook {
  const all = EDITIONS[rulebook];
  return all.find((b) => b.editionId === edition) ?? all.find((b) => b.editionId === UNPINNED[rulebook])!;
}

const withThreshold = new Map<string, Rulebook>();
/** The edition with the firm's own threshold in it, where the rulebook has no figure: equal ones are one object. */
export function bookFor(job: Pinned, { leadThresholdPpm }: { readonly leadThresholdPpm: number }): Rulebook {
  const book = bookOf(job);
  const own = book.leadThreshold;
  if (own === null || own.is.value === leadThresholdPpm) return book;
  const key = `${book.editionId}/${leadThresholdPpm}`;
  const known = withThreshold.get(key) ?? { ...book, leadThreshold: limit(leadThresholdPpm, 'ppm', own.source) };
  // A firm has one, and a phone one firm; a server holds those of a few.
  if (withThreshold.size > 100) withThreshold.clear();
  withThreshold.set(key, known);
  return known;
}

/** What an edition says of one thing: a limit, a mask with what it may be counted on for, or what has no number, by its code or as it is printed. */
export type EditionSays = Limit | Respirator | string;
export interface EditionChange {
  /** The code of its name. */
  readonly what: string;
  /** Null: it had none. */
  readonly was: EditionSays | null;
  /** Null: it has none any more. */
  readonly is: EditionSays | null;
}

const isLimit = (x: unknown): x is Limit => typeof x === 'object' && x !== null && 'is' in x && 'source' in x;
/** Every limit of a rulebook, by its way down to it. */
function limitsIn(x: object, at: string): [string, Limit][] {
  return Object.entries(x).flatMap(([key, value]): [string, Limit][] => {
    const path = `${at}.${key}`;
    if (isLimit(value)) return [[path, value]];
    return typeof value === 'object' && value !== null && !Array.isArray(value) ? limitsIn(value as object, path) : [];
  });
}
/** All that binds in an edition, by the code of its name: limits, masks with what each may be counted on for, the card, the sign. */
export const editionSays = (book: Rulebook): ReadonlyMap<string, EditionSays> =>
  new Map<string, EditionSays>([
    ...limitsIn(book, 'limit'),
    ...book.respirators.map((r): [string, EditionSays] => [r.id, r]),
    ['limit.verifiedBy', book.verifiedBy],
    ['limit.signLines', book.signLines.join(' / ')],
  ]);
/** Another source for the same number changes nothing for whoever works. */
const binds = (x: EditionSays | null): unknown => (isLimit(x) ? x.is : x);

/** What another edition puts in place of what a job stands on, adds and leaves out. */
export function editionChanges(was: Rulebook, is: Rulebook): EditionChange[] {
  const [before, after] = [editionSays(was), editionSays(is)];
  return [...new Set([...before.keys(), ...after.keys()])].flatMap((what) => {
    const [then, now] = [before.get(what) ?? null, after.get(what) ?? null];
    return same(binds(then), binds(now)) ? [] : [{ what, was: then, is: now }];
  });
}

/**
 * Upper end of each presumed exposure class, ug/m3. 29 CFR 1926.62(d)(2).
 * The classes are presumptions about tasks on lead coatings, not measurements; class 3 has no upper end.
 */
export const EXPOSURE_CLASSES: Readonly<Record<ExposureClassId, { readonly upperUgM3: number | null }>> = {
  none: { upperUgM3: 0 },
  class1: { upperUgM3: 500 },
  class2: { upperUgM3: 2500 },
  class3: { upperUgM3: null },
};
