/** What a firm decides for itself: rates, prices, schools, certificates. Every default can be changed; a change is marked as the firm's. */
import { z } from 'zod';
import type { Machine, Person, Product, SourceCheck } from '../facts';
import { Day } from '../facts/schema';
import { CHEMISTRIES, METHOD_IDS } from '../facts/vocabulary';
import { RESPIRATOR_IDS } from './rulebook';

const money = z.number().min(0, 'a price cannot be negative').max(100000, 'check the price');
const days = z.number().min(0, 'days cannot be negative').max(60, 'over 60 days: check');
const rate = z.number().positive('a rate must be more than 0').max(500, 'check the rate').nullable().default(null);
const dwell = z.number().positive('a dwell is more than 0').max(336, 'over two weeks: check').nullable().default(null);
/** What the firm knows better than the catalogue of one method. Null: the catalogue stands. */
export const MethodOwn = z
  .strictObject({
    /** m2 per person-hour on flat work, one pass. */
    lowM2PerH: rate,
    highM2PerH: rate,
    /** h */
    dwellLowH: dwell,
    dwellHighH: dwell,
    /** What it uses up, per m2 and pass, in the firm's money. */
    materialsPerM2: money.nullable().default(null),
    /** The firm has the tool, or hires it. */
    owned: z.boolean().default(true),
    /** Of a bought stripper, what is in it. */
    chemistry: z.enum(CHEMISTRIES).default('unsaid'),
  })
  .refine((r) => (r.lowM2PerH === null) === (r.highM2PerH === null), 'give both the slow and the fast rate')
  .refine((r) => r.lowM2PerH === null || r.highM2PerH === null || r.lowM2PerH <= r.highM2PerH, 'the slow rate is above the fast one')
  .refine((r) => (r.dwellLowH === null) === (r.dwellHighH === null), 'give both the short and the long dwell')
  .refine((r) => r.dwellLowH === null || r.dwellHighH === null || r.dwellLowH <= r.dwellHighH, 'the short dwell is above the long one');
export type MethodOwn = z.infer<typeof MethodOwn>;
export const AS_CATALOGUED: MethodOwn = {
  lowM2PerH: null,
  highM2PerH: null,
  dwellLowH: null,
  dwellHighH: null,
  materialsPerM2: null,
  owned: true,
  chemistry: 'unsaid',
};

export const CURRENCIES = ['USD', 'GBP'] as const;

export const FirmSettings = z.strictObject({
  firmName: z.string().min(1).max(120),
  /** The money in which the firm's rates and prices are: that of the firm, whatever the rules of a job. */
  pricesIn: z.enum(CURRENCIES).default('USD'),
  labourPerHour: money,
  /** The firm's own rates, dwells and prices by method; a method without one uses the catalogue's. */
  rates: z.partialRecord(z.enum(METHOD_IDS), MethodOwn),
  sheetPerM2: money,
  bagEach: money,
  /** What one full bag costs to be rid of, carriage and tip together. */
  disposalPerBag: money.default(7),
  /** What is laid on, per litre, by what thins it. */
  coatPerLitre: z.strictObject({ water: money, solvent: money, mineral: money }).default({ water: 15, solvent: 19, mineral: 9 }),
  /** What one person uses up in a day: a mask by its build with its filters, and a suit. */
  wearPerDay: z
    .strictObject({ disposable: money, half: money, powered: money, full: money, airline: money, suit: money })
    .default({ disposable: 6, half: 5, powered: 14, full: 9, airline: 60, suit: 9 }),
  /** Holds the certificate that paid lead work beyond minor repair needs (US). */
  certified: z.boolean(),
  /** The last day of that certificate, `2026-05-04`; null: nobody said. */
  certifiedUntil: Day.nullable().default(null),
  /** The masks that the firm owns; null: nobody said, and it is taken to have what its work needs. */
  masks: z.array(z.enum(RESPIRATOR_IDS)).max(RESPIRATOR_IDS.length).nullable().default(null),
  /** The firm's spot kit is a recognised one, to be relied on when it shows no lead (US). */
  recognisedKit: z.boolean(),
  /** School (UK): from how much lead in a coat, ppm, it is worked as lead paint. No law gives a figure; 600, 0.06 %, is common practice. */
  leadThresholdPpm: z.number().min(90, 'under 90 ppm is what new paint may hold').max(5000, 'over 5,000 ppm nobody calls low').default(600),
  /** School: hot air on lead paint below the legal limit. Off: fume is invisible. */
  allowHotAirOnLead: z.boolean(),
  /** School: a firm's own caustic mix on timber, trial square first. */
  allowCausticOnTimber: z.boolean(),
  /** School: infrared on lead paint. On: it stays cool enough that lead does not fume. */
  allowInfraredOnLead: z.boolean().default(true),
  /** School: scrape loose lead paint outdoors dry, over a sheet and in a mask. Off: wet only. */
  allowDryScrapeOutdoors: z.boolean().default(false),
  /** School: a soft sweep on sound timber, trial first. On; never on historic masonry whatever this says. */
  allowSoftBlastOnTimber: z.boolean().default(true),
  /** School: found lead is handed over to others. Off: the rules decide. */
  stopOnLead: z.boolean().default(false),
  /** School: what cleans mold once the cause is cured. */
  moldSchool: z.enum(['moldWash', 'moldBiocide', 'moldBleach']).default('moldWash'),
  /** School: dusting off before waterborne paint. */
  dustOff: z.enum(['microfibre', 'tackCloth']).default('microfibre'),
  /** School: handles, stays and plates come off before the coat, or stay and are cleaned, scuffed and primed. */
  fittings: z.enum(['off', 'stay']).default('off'),
  /** School: glass is taped before a brush goes along it, or the line is cut in by hand. */
  glassLine: z.enum(['tape', 'cutIn']).default('tape'),
  /** School: what seals a cleaned and dried mold stain. */
  moldSeal: z.enum(['stainBlock', 'undercoat', 'pva']).default('stainBlock'),
  /** School: prime everything. Off: prime bare, mixed, stained and metal; direct over sound, keyed, compatible coats. */
  primeAlways: z.boolean().default(false),
  /** School: a heater that stays at hot water is painted straight onto its cold, keyed coat, or heat-resistant primer goes under all of it. */
  heaterGround: z.enum(['keyedCoat', 'primed']).default('keyedCoat'),
  /** School: what goes first onto bright mild steel. */
  brightSteel: z.enum(['zincPhosphate', 'etch']).default('zincPhosphate'),
  /** School: what stills bare plaster that drinks or powders. Diluted PVA wets again in a damp room: never there, on lime or outdoors. */
  plasterSeal: z.enum(['sealer', 'thinnedPva']).default('sealer'),
  /** School: with what pressure soft grit goes over timber, at the bench of blasting air. */
  timberBlast: z.enum(['gentle', 'brisk']).default('gentle'),
  /** School: the last wipe before the coat over sound old paint. */
  lastWipe: z.enum(['water', 'alcohol']).default('water'),
  /** People on a job, and hours that they work in a day. */
  crew: z.number().int('a whole number').min(1, 'at least 1').max(12, 'at most 12').default(2),
  hoursPerDay: z.number().min(1, 'at least 1 h').max(16, 'at most 16 h').default(7.5),
  /** Days that the lab usually takes, by hazard. */
  labDays: z.strictObject({ lead: days, asbestos: days, mold: days }).default({ lead: 4, asbestos: 4, mold: 4 }),
  /** What one test costs, with its share of the carriage. */
  testPrices: z.strictObject({ swab: money, chip: money, bulk: money, xrf: money }).default({ swab: 5, chip: 28, bulk: 38, xrf: 6 }),
  /** What a licensed remover asks, per m2 of asbestos-containing material. */
  licensedRemovalPerM2: money.default(95),
  /** Prefix of the firm's own sample numbers. */
  samplePrefix: z.string().trim().min(1, 'a prefix has at least one letter').max(10, 'at most 10 letters').default('S'),
});
/** With its machines, people and products, where they are at hand: they are records of their own. */
export type FirmSettings = z.infer<typeof FirmSettings> & {
  readonly machines?: readonly Machine[];
  readonly people?: readonly Person[];
  readonly products?: readonly Product[];
  /** Sources that somebody of the firm held against the document. */
  readonly sourceChecks?: readonly SourceCheck[];
  /** The day on which it is planned, `2026-05-04`: a certificate that has run out by then is out. Not there: the first day of work alone counts. */
  readonly today?: string;
};

/** Settings that an older form had, and that stand elsewhere now: passed over wherever they are read. */
const RETIRED: readonly string[] = ['ownsHepaSander'];
export const withoutRetired = (raw: unknown): unknown =>
  typeof raw === 'object' && raw !== null ? Object.fromEntries(Object.entries(raw).filter(([k]) => !RETIRED.includes(k))) : raw;
/** Settings as a phone or an older server kept them. */
export const readSettings = (raw: unknown) => FirmSettings.safeParse(withoutRetired(raw));

/** On its list of machines. A firm that entered none yet is taken to have what its methods need: nobody said that it has not. */
export const ownsShroud = ({ machines = [] }: Pick<FirmSettings, 'machines'>): boolean => {
  const live = machines.filter((m) => m.removedAt === null);
  return live.length === 0 || live.some((m) => m.kind === 'shroudedSander');
};

/** Its list of machines is kept, and has nothing on it that supplies breathing air. */
export const lacksAirSupply = ({ machines = [] }: Pick<FirmSettings, 'machines'>): boolean => {
  const live = machines.filter((m) => m.removedAt === null);
  return live.length > 0 && live.every((m) => m.kind !== 'airSupply');
};

export const DEFAULT_SETTINGS: FirmSettings = {
  firmName: 'Your firm',
  pricesIn: 'USD',
  labourPerHour: 58,
  rates: {},
  sheetPerM2: 0.9,
  bagEach: 2.5,
  disposalPerBag: 7,
  coatPerLitre: { water: 15, solvent: 19, mineral: 9 },
  wearPerDay: { disposable: 6, half: 5, powered: 14, full: 9, airline: 60, suit: 9 },
  certified: true,
  certifiedUntil: null,
  masks: null,
  recognisedKit: true,
  leadThresholdPpm: 600,
  allowHotAirOnLead: false,
  allowCausticOnTimber: true,
  allowInfraredOnLead: true,
  allowDryScrapeOutdoors: false,
  allowSoftBlastOnTimber: true,
  stopOnLead: false,
  moldSchool: 'moldWash',
  dustOff: 'microfibre',
  moldSeal: 'stainBlock',
  fittings: 'off',
  glassLine: 'tape',
  primeAlways: false,
  heaterGround: 'keyedCoat',
  brightSteel: 'zincPhosphate',
  plasterSeal: 'sealer',
  timberBlast: 'gentle',
  lastWipe: 'water',
  crew: 2,
  hoursPerDay: 7.5,
  labDays: { lead: 4, asbestos: 4, mold: 4 },
  testPrices: { swab: 5, chip: 28, bulk: 38, xrf: 6 },
  licensedRemovalPerM2: 95,
  samplePrefix: 'S',
};
