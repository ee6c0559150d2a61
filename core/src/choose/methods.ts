/** The methods as data: what each suits, how deep it bites, what it makes and leaves, how fast it goes. */
import type { ExposureClassId } from '../rulebook';
import { MASONRY, METAL, PLASTER, TIMBER, type Material, type MethodId, type PartKind } from '../facts/vocabulary';
import type { SourceId } from '../reasons';
import type { Measure } from '../units/units';

/** How deep: nothing; the skin of the top coat; whatever is loose; down to the material. */
export const BITES = ['none', 'skin', 'loose', 'bare'] as const;
export type Bite = (typeof BITES)[number];
export const biteDepth = (b: Bite): number => BITES.indexOf(b);

export type Residue = 'none' | 'dust' | 'solvent' | 'alkali' | 'water' | 'grit' | 'char';

export interface Consumable {
  readonly id: 'stripperGel' | 'coverFilm' | 'whiteSpirit' | 'causticPaste' | 'neutraliser' | 'milkPowder' | 'abrasive' | 'softGrit' | 'hardGrit' | 'water' | 'encapsulant' | 'timber' | 'blades';
  /** Per m2 of the part. */
  readonly perM2: Measure;
  /** Price per m2 in the firm's money. */
  readonly pricePerM2: number;
}

export interface Method {
  readonly id: MethodId;
  readonly bite: Bite;
  readonly suits: readonly Material[];
  /** Speed on a part against flat work; a part that is missing cannot be worked with it. */
  readonly reach: Readonly<Partial<Record<PartKind, number>>>;
  readonly dust: 'none' | 'low' | 'high';
  readonly wet: boolean;
  readonly powered: boolean;
  readonly hepa: boolean;
  readonly handDry: boolean;
  readonly vapour: boolean;
  readonly caustic: boolean;
  readonly flame: boolean;
  readonly blast: 'no' | 'soft' | 'hard';
  /** Hottest that the tool gets, C; null: no heat. */
  readonly heatC: number | null;
  readonly infrared: boolean;
  readonly noisy: boolean;
  /** Disturbs the coating at all. */
  readonly disturbs: boolean;
  readonly removesPiece: boolean;
  /** Presumed exposure when the coat holds lead. 29 CFR 1926.62(d)(2). */
  readonly exposure: ExposureClassId;
  readonly leaves: Residue;
  /** m2 per person-hour on flats, one pass. */
  readonly rate: { readonly lowM2PerH: number; readonly highM2PerH: number };
  readonly passes: { readonly low: number; readonly high: number };
  readonly people: 1 | 2;
  /** Time that it works by itself, h. */
  readonly dwellH: { readonly low: number; readonly high: number } | null;
  readonly consumables: readonly Consumable[];
  /** How hard it is on the old material, 0 none to 3 hard. */
  readonly harm: 0 | 1 | 2 | 3;
  readonly source: SourceId;
}

const ALL_PARTS = { flat: 1, moulded: 0.6, turned: 0.5, tight: 0.4, besideGlass: 0.5 } as const;
const NONE = {
  dust: 'none',
  wet: false,
  powered: false,
  hepa: false,
  handDry: false,
  vapour: false,
  caustic: false,
  flame: false,
  blast: 'no',
  heatC: null,
  infrared: false,
  noisy: false,
  disturbs: true,
  removesPiece: false,
  exposure: 'none',
  leaves: 'none',
  passes: { low: 1, high: 1 },
  people: 1,
  dwellH: null,
  consumables: [],
  harm: 0,
} as const satisfies Partial<Method>;
const EVERY: readonly Material[] = [...TIMBER, ...PLASTER, ...MASONRY, ...METAL];
/** ft2/h as estimating practice gives it, in m2/h. */
const ft2h = (low: number, high: number) => ({ lowM2PerH: low * 0.09290304, highM2PerH: high * 0.09290304 });
const consumable = (id: Consumable['id'], value: number, unit: Measure['unit'], pricePerM2: number): Consumable => ({ id, perM2: { value, unit }, pricePerM2 });
const BLADES = consumable('blades', 0.2, 'pieces', 0.4);

export const METHODS: readonly Method[] = [
  { ...NONE, id: 'leave', bite: 'none', suits: EVERY, reach: ALL_PARTS, disturbs: false, rate: ft2h(2000, 4000), source: 'trade-aim' },
  { ...NONE, id: 'overcoat', bite: 'skin', suits: EVERY, reach: ALL_PARTS, dust: 'low', wet: true, exposure: 'class1', leaves: 'water', rate: ft2h(125, 300), consumables: [consumable('abrasive', 0.3, 'pieces', 0.5)], harm: 0, source: 'trade-sand' },
  { ...NONE, id: 'encapsulate', bite: 'none', suits: EVERY, reach: ALL_PARTS, disturbs: false, rate: ft2h(100, 200), passes: { low: 2, high: 2 }, consumables: [consumable('encapsulant', 0.35, 'L', 9)], harm: 1, source: 'trade-aim' },
  { ...NONE, id: 'wetScrapeLoose', bite: 'loose', suits: EVERY, reach: ALL_PARTS, dust: 'low', wet: true, exposure: 'class1', leaves: 'water', rate: ft2h(20, 60), consumables: [BLADES], harm: 1, source: 'trade-scrape' },
  { ...NONE, id: 'dryScrapeLoose', bite: 'loose', suits: EVERY, reach: ALL_PARTS, dust: 'high', handDry: true, exposure: 'class1', leaves: 'dust', rate: ft2h(60, 200), consumables: [BLADES], harm: 1, source: 'trade-scrape' },
  {
    ...NONE,
    id: 'wetSand',
    bite: 'skin',
    suits: [...TIMBER, ...METAL],
    reach: ALL_PARTS,
    dust: 'low',
    wet: true,
    exposure: 'class1',
    leaves: 'water',
    rate: ft2h(80, 200),
    consumables: [consumable('abrasive', 0.5, 'pieces', 0.9)],
    harm: 1,
    source: 'trade-sand',
  },
  { ...NONE, id: 'drySand', bite: 'skin', suits: EVERY, reach: ALL_PARTS, dust: 'high', handDry: true, exposure: 'class1', leaves: 'dust', rate: ft2h(150, 350), consumables: [consumable('abrasive', 0.5, 'pieces', 0.7)], harm: 1, source: 'trade-sand' },
  {
    ...NONE,
    id: 'hepaSand',
    bite: 'bare',
    suits: [...TIMBER, ...METAL],
    reach: { flat: 1 },
    dust: 'low',
    powered: true,
    hepa: true,
    exposure: 'class1',
    leaves: 'dust',
    rate: ft2h(40, 100),
    passes: { low: 2, high: 3 },
    noisy: true,
    consumables: [consumable('abrasive', 2, 'pieces', 2.4)],
    harm: 2,
    source: 'trade-sand',
  },
  {
    ...NONE,
    id: 'powerSand',
    bite: 'bare',
    suits: [...TIMBER, ...METAL],
    reach: { flat: 1 },
    dust: 'high',
    powered: true,
    exposure: 'class2',
    leaves: 'dust',
    rate: ft2h(50, 120),
    passes: { low: 2, high: 3 },
    noisy: true,
    consumables: [consumable('abrasive', 2, 'pieces', 2)],
    harm: 2,
    source: 'trade-sand',
  },
  {
    ...NONE,
    id: 'solventGel',
    bite: 'bare',
    suits: [...TIMBER, 'mildSteel', 'castIron', 'brick', 'stone'],
    reach: { flat: 1, moulded: 0.9, turned: 0.8, tight: 0.6, besideGlass: 0.6 },
    wet: true,
    vapour: true,
    exposure: 'class1',
    leaves: 'solvent',
    rate: ft2h(10, 30),
    passes: { low: 1, high: 2 },
    dwellH: { low: 1, high: 1.5 },
    consumables: [consumable('stripperGel', 0.9, 'L', 14), consumable('coverFilm', 1.2, 'm2', 0.3), consumable('whiteSpirit', 0.25, 'L', 1)],
    harm: 1,
    source: 'trade-strip',
  },
  {
    ...NONE,
    id: 'causticPoultice',
    bite: 'bare',
    suits: ['softwood', 'plywood', 'brick', 'stone', 'castIron', 'mildSteel'],
    reach: { flat: 1, moulded: 1, turned: 0.9, tight: 0.8, besideGlass: 0.5 },
    wet: true,
    caustic: true,
    exposure: 'class1',
    leaves: 'alkali',
    rate: ft2h(14, 35),
    dwellH: { low: 24, high: 168 },
    consumables: [consumable('causticPaste', 2.5, 'L', 2.2), consumable('coverFilm', 1.2, 'm2', 0.3), consumable('neutraliser', 0.6, 'L', 1.1)],
    harm: 2,
    source: 'trade-strip',
  },
  {
    ...NONE,
    id: 'milkPowder',
    bite: 'bare',
    suits: TIMBER,
    reach: { flat: 1, moulded: 0.9, turned: 0.8, tight: 0.7, besideGlass: 0.6 },
    wet: true,
    caustic: true,
    exposure: 'class1',
    leaves: 'alkali',
    rate: ft2h(15, 35),
    passes: { low: 1, high: 2 },
    dwellH: { low: 0.5, high: 2 },
    consumables: [consumable('milkPowder', 0.19, 'L', 3), consumable('neutraliser', 0.4, 'L', 0.8)],
    harm: 1,
    source: 'trade-strip',
  },
  {
    ...NONE,
    id: 'infrared',
    bite: 'bare',
    suits: TIMBER,
    reach: { flat: 1, moulded: 0.8, turned: 0.4, besideGlass: 0.5 },
    dust: 'low',
    heatC: 500,
    infrared: true,
    exposure: 'class1',
    leaves: 'none',
    rate: ft2h(10, 30),
    people: 2,
    consumables: [BLADES],
    harm: 1,
    source: 'trade-heat',
  },
  { ...NONE, id: 'heatGun', bite: 'bare', suits: TIMBER, reach: ALL_PARTS, dust: 'low', heatC: 550, exposure: 'class1', leaves: 'char', rate: ft2h(8, 25), consumables: [BLADES], harm: 2, source: 'trade-heat' },
  {
    ...NONE,
    id: 'steam',
    bite: 'bare',
    suits: ['softwood', 'tanninWood', 'oilyWood'],
    reach: { flat: 1, moulded: 0.9, turned: 0.6, tight: 0.4, besideGlass: 0.9 },
    wet: true,
    heatC: 100,
    exposure: 'class1',
    leaves: 'water',
    rate: ft2h(8, 20),
    consumables: [consumable('water', 1, 'L', 0.1), BLADES],
    harm: 1,
    source: 'trade-heat',
  },
  { ...NONE, id: 'torch', bite: 'bare', suits: TIMBER, reach: { flat: 1, moulded: 0.7 }, dust: 'low', flame: true, heatC: 1900, exposure: 'class3', leaves: 'char', rate: ft2h(20, 50), harm: 3, source: 'nps-pb10' },
  {
    ...NONE,
    id: 'softBlast',
    bite: 'bare',
    suits: [...TIMBER, ...METAL],
    reach: { flat: 1, moulded: 0.9, turned: 0.8, tight: 0.7 },
    dust: 'high',
    powered: true,
    blast: 'soft',
    exposure: 'class3',
    leaves: 'grit',
    rate: ft2h(60, 150),
    noisy: true,
    consumables: [consumable('softGrit', 12, 'L', 6)],
    harm: 2,
    source: 'trade-blast',
  },
  {
    ...NONE,
    id: 'hardBlast',
    bite: 'bare',
    suits: ['mildSteel', 'castIron'],
    reach: { flat: 1, moulded: 0.9, turned: 0.8, tight: 0.8 },
    dust: 'high',
    powered: true,
    blast: 'hard',
    exposure: 'class3',
    leaves: 'grit',
    rate: ft2h(100, 250),
    noisy: true,
    consumables: [consumable('hardGrit', 15, 'L', 5)],
    harm: 3,
    source: 'nps-pb6',
  },
  {
    ...NONE,
    id: 'replacePart',
    bite: 'bare',
    suits: TIMBER,
    reach: ALL_PARTS,
    dust: 'low',
    wet: true,
    removesPiece: true,
    exposure: 'class1',
    leaves: 'none',
    rate: ft2h(4, 10),
    consumables: [consumable('timber', 1.1, 'm2', 70)],
    harm: 3,
    source: 'trade-aim',
  },
];

const BY_ID = new Map(METHODS.map((m) => [m.id, m]));
export function methodById(id: MethodId): Method {
  const m = BY_ID.get(id);
  if (!m) throw new RangeError(`no method ${id} in the catalogue`);
  return m;
}
