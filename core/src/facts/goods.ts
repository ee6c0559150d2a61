/** What stands on a shelf, by what it is: generic goods. A firm's own product stands for one of them. */
import { TOPCOATS } from './vocabulary';

export const GOOD_GROUPS = [
  'strippers',
  'neutralise',
  'cleaners',
  'solvents',
  'media',
  'primers',
  'topcoats',
  'fillers',
  'sheets',
  'tapes',
  'wear',
  'protection',
  'pieces',
] as const;
export type GoodGroup = (typeof GOOD_GROUPS)[number];

export const GOODS_BY_GROUP = {
  strippers: [
    'stripperGel',
    'neutralGel',
    'masonryGel',
    'causticPaste',
    'readyCaustic',
    'causticSoda',
    'milkPowder',
    'rustAcid',
    'siliconeRemover',
    'waxRemover',
  ],
  neutralise: ['neutraliser', 'citricAcid', 'phosphoricAcid', 'washingSoda', 'flushLiquid', 'thickener'],
  cleaners: ['cleaner', 'biocide', 'bleach', 'peroxide'],
  solvents: ['whiteSpirit', 'toolThinner', 'alcohol', 'xylene', 'acetone'],
  media: ['softGrit', 'soda', 'spongeGrit', 'hardGrit'],
  primers: [
    'acrylicWood',
    'alkydWood',
    'knotting',
    'stainBlock',
    'oilyWood',
    'bonding',
    'sandingSealer',
    'plasterSealer',
    'thinnedPva',
    'mineral',
    'alkaliResistant',
    'zincPhosphate',
    'etch',
    'heatResistant',
    'underwaterPrimer',
    'rustPrimer',
    'thickPrimer',
    'encapsulant',
  ],
  topcoats: TOPCOATS,
  fillers: [
    'fineSurfacer',
    'woodFiller',
    'woodResin',
    'woodGlue',
    'gypsumFiller',
    'limePlasterMix',
    'mineralMortar',
    'limeMortar',
    'flexibleSealant',
    'metalFiller',
    'glazingPutty',
    'plasterWashers',
  ],
  sheets: ['sheet', 'coverFilm', 'maskFilm', 'maskPaper', 'heatCard'],
  tapes: ['tape', 'crepeTape', 'longLifeTape', 'filmTape', 'foilTape', 'clothTape', 'zipDoors'],
  wear: [
    'blades',
    'plasticBlade',
    'contourPad',
    'narrowScraper',
    'abrasive',
    'flapDiscs',
    'wireCups',
    'nylonWheels',
    'steelWool',
    'wipeCloths',
  ],
  protection: ['wasteBags', 'coverall'],
  pieces: ['coverBoard', 'timber', 'stock'],
} as const satisfies Record<GoodGroup, readonly string[]>;
export type GoodId = (typeof GOODS_BY_GROUP)[GoodGroup][number];
export const GOOD_IDS = Object.values(GOODS_BY_GROUP).flat() as [GoodId, ...GoodId[]];
const KNOWN = new Set<string>(GOOD_IDS);
export const isGood = (what: string): what is GoodId => KNOWN.has(what);

/** What is in a product that decides by itself how it is handled. */
export const STUFFS = [
  'unsaid',
  'benzylAlcohol',
  'nmp',
  'limonene',
  'mineralSpirits',
  'xylene',
  'isopropanol',
  'acetone',
  'water',
  'sodiumHydroxide',
  'quickLime',
  'citricAcid',
  'aceticAcid',
  'phosphoricAcid',
  'hydrochloricAcid',
  'hypochlorite',
  'peroxide',
  'ammonia',
  'quat',
  'dryingOil',
  'twoPart',
  'methyleneChloride',
  'trichloroethylene',
  'perchloroethylene',
  'carbonTetrachloride',
  'benzene',
  'leadPigment',
] as const;
export type StuffId = (typeof STUFFS)[number];

export const STANDS_AT = ['shelf', 'van', 'job'] as const;
export type StandsAt = (typeof STANDS_AT)[number];
