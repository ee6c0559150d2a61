/**
 * Generic goods: in what they are sold, what one of it costs, and what they must not meet. Prices are round middles of estimating practice,
 * from memory; sizes are those in which each country sells. The firm's own product outranks all of it (shelf/firm-sheets.ts).
 */
import type { GoodId } from '../facts/goods';
import type { AgentId } from './incompatible';

export type GoodUnit = 'L' | 'kg' | 'm' | 'm2' | 'pieces';

export interface Good {
  readonly unit: GoodUnit;
  /** Sizes of pack, in that unit. */
  readonly packs: { readonly us: readonly number[]; readonly uk: readonly number[] };
  /** Of one unit, in the firm's money. Null: the firm's settings say it. */
  readonly price: number | null;
  /** What it counts as where two things must not meet. */
  readonly agents: readonly AgentId[];
  /** Once opened it does not go back to the shelf for the next job: this one pays for all of it. Common practice, no published source. */
  readonly spoils: boolean;
}

/** US quart, gallon, five gallons, L. */
const US_TINS = [0.946, 3.784, 18.92] as const;
const UK_TINS = [0.75, 2.5, 5] as const;
const SMALL = { us: [0.2365, 0.473, 0.946], uk: [0.25, 0.5, 1] } as const;
const JUGS = { us: US_TINS, uk: [1, 5, 25] } as const;
const TINS = { us: US_TINS, uk: UK_TINS } as const;
const both = (...sizes: readonly number[]): Good['packs'] => ({ us: sizes, uk: sizes });

const liquid = (price: number | null, agents: readonly AgentId[] = [], packs: Good['packs'] = JUGS, spoils = false): Good => ({ unit: 'L', packs, price, agents, spoils });
const coating = (agents: readonly AgentId[] = [], packs: Good['packs'] = TINS): Good => ({ unit: 'L', packs, price: null, agents, spoils: true });
const powder = (price: number, agents: readonly AgentId[], ...sizes: readonly number[]): Good => ({ unit: 'kg', packs: both(...sizes), price, agents, spoils: false });
const each = (price: number, ...sizes: readonly number[]): Good => ({ unit: 'pieces', packs: both(...sizes), price, agents: [], spoils: false });
const roll = (unit: 'm' | 'm2', price: number | null, us: readonly number[], uk: readonly number[]): Good => ({ unit, packs: { us, uk }, price, agents: [], spoils: false });
const filler = (price: number, agents: readonly AgentId[] = []): Good => liquid(price, agents, SMALL);

export const GOODS: Readonly<Record<GoodId, Good>> = {
  stripperGel: liquid(15.5, ['alcohol'], TINS),
  neutralGel: liquid(26, ['alcohol'], TINS),
  masonryGel: liquid(12.9, ['alkali'], JUGS),
  causticPaste: liquid(0.88, ['alkali'], { us: [3.784, 18.92], uk: [5, 10, 25] }),
  readyCaustic: liquid(13.2, ['alkali'], { us: [3.784, 18.92], uk: [5, 10, 20] }),
  causticSoda: powder(5, ['alkali'], 0.5, 1, 5),
  milkPowder: liquid(15.8, ['alkali'], { us: [0.473, 0.946, 3.784], uk: [0.5, 1, 2.5] }),
  rustAcid: liquid(17, ['acid'], SMALL),
  siliconeRemover: liquid(28, ['solvent'], SMALL),
  waxRemover: liquid(14, ['solvent'], SMALL),
  neutraliser: liquid(1.9, ['acid'], { us: [0.946, 3.784], uk: [1, 5] }),
  citricAcid: powder(6, ['acid'], 0.5, 1, 5),
  phosphoricAcid: liquid(14, ['acid'], { us: [0.946, 3.784], uk: [1, 5] }),
  washingSoda: powder(2.5, ['alkali'], 0.5, 1, 5),
  flushLiquid: liquid(3.5, [], { us: [3.784, 18.92], uk: [5, 20] }),
  thickener: powder(18, [], 0.25, 0.5, 1),
  cleaner: liquid(6, ['alkali']),
  biocide: liquid(12, [], { us: [0.946, 3.784], uk: [1, 2.5, 5] }),
  bleach: liquid(3.3, ['bleach'], { us: [0.946, 3.784], uk: [1, 5] }),
  peroxide: liquid(9, ['peroxide'], { us: [0.946, 3.784], uk: [1, 5] }),
  whiteSpirit: liquid(4, ['solvent']),
  toolThinner: liquid(4, ['solvent']),
  alcohol: liquid(7, ['alcohol']),
  xylene: liquid(8, ['solvent']),
  acetone: liquid(7, ['solvent']),
  softGrit: liquid(0.5, [], both(20, 25)),
  soda: liquid(0.9, ['alkali'], both(20, 25)),
  spongeGrit: liquid(2.8, [], both(20, 25)),
  hardGrit: liquid(0.5, [], both(15, 25)),
  acrylicWood: coating(),
  alkydWood: coating(['solvent', 'dryingOil']),
  knotting: coating(['alcohol'], SMALL),
  stainBlock: coating(['solvent']),
  oilyWood: coating(['solvent']),
  bonding: coating(),
  sandingSealer: coating(['solvent']),
  plasterSealer: coating(),
  // A concentrate is bought: a litre of it is five on the wall.
  thinnedPva: coating(),
  mineral: coating(['alkali']),
  alkaliResistant: coating(),
  zincPhosphate: coating(['solvent']),
  etch: coating(['acid', 'alcohol'], SMALL),
  heatResistant: coating(['solvent'], SMALL),
  underwaterPrimer: coating(['solvent']),
  rustPrimer: liquid(22, ['solvent'], SMALL, true),
  thickPrimer: liquid(22.5, [], TINS, true),
  encapsulant: liquid(25.7, [], TINS, true),
  waterborneEggshell: coating(),
  waterborneGloss: coating(),
  alkydGloss: coating(['solvent', 'dryingOil']),
  exteriorAcrylic: coating(),
  matEmulsion: coating([], { us: US_TINS, uk: [2.5, 5, 10] }),
  limewash: coating(['alkali', 'lime'], { us: [3.784, 18.92], uk: [5, 10, 20] }),
  clearVarnish: coating(['solvent', 'dryingOil']),
  metalEnamel: coating(['solvent']),
  antifoulingCoat: coating(['solvent', 'copper']),
  silicatePaint: coating(['alkali'], { us: [3.784, 18.92], uk: [5, 15] }),
  heatEnamel: coating(['solvent'], SMALL),
  floorPaint: coating(),
  woodStain: liquid(24, ['solvent', 'dryingOil'], SMALL),
  penetratingOil: liquid(20, ['solvent', 'dryingOil'], JUGS),
  pasteWax: liquid(30, ['solvent'], SMALL),
  fineSurfacer: filler(12),
  woodFiller: filler(28),
  woodResin: filler(45),
  woodGlue: filler(18),
  gypsumFiller: filler(6),
  limePlasterMix: liquid(2, ['lime', 'alkali'], both(10, 20)),
  mineralMortar: liquid(3, ['alkali'], both(10, 20)),
  limeMortar: liquid(2, ['lime', 'alkali'], both(10, 20)),
  flexibleSealant: liquid(16, [], both(0.29, 0.31)),
  metalFiller: filler(26),
  glazingPutty: filler(11, ['dryingOil']),
  plasterWashers: each(0.6, 50, 100),
  // 10 x 100 ft and 10 x 25 ft; 4 x 25 m and 2 x 10 m.
  sheet: roll('m2', null, [23.2, 92.9], [20, 100]),
  coverFilm: roll('m2', 0.25, [18.6, 92.9], [20, 100]),
  maskFilm: roll('m2', 0.1, [18.6, 55.7], [20, 60]),
  maskPaper: roll('m2', 0.15, [16.7, 51], [15, 45]),
  heatCard: roll('m2', 2.5, [0.5], [0.5]),
  // 60 yd and 50 m.
  tape: roll('m', 0.1, [54.864], [50]),
  crepeTape: roll('m', 0.06, [54.864], [50]),
  longLifeTape: roll('m', 0.12, [54.864], [50]),
  filmTape: roll('m', 0.15, [54.864], [50]),
  foilTape: roll('m', 0.35, [45.72], [45]),
  clothTape: roll('m', 0.2, [54.864], [50]),
  zipDoors: each(12, 1, 2),
  blades: each(2, 1, 10),
  plasticBlade: each(2, 1, 5),
  contourPad: each(4, 1, 3),
  narrowScraper: each(5, 1),
  abrasive: each(1.5, 10, 50),
  flapDiscs: each(6.7, 1, 10),
  wireCups: each(7, 1),
  nylonWheels: each(10, 1),
  steelWool: each(2, 1, 8),
  wipeCloths: each(0.2, 50, 100),
  wasteBags: { ...each(2.5, 10, 50), price: null },
  coverall: { ...each(9, 1, 25), price: null },
  coverBoard: roll('m2', 21.4, [2.97], [2.88]),
  timber: roll('m2', 63.6, [0.929], [1]),
  stock: roll('m', 14, [2.44], [2.4]),
};
