/** Generic coatings. Values from memory of maker practice: the product's own data sheet rules. */
import type { TopcoatId } from '../facts';

export type PrimerId =
  'acrylicWood' | 'alkydWood' | 'knotting' | 'stainBlock' | 'oilyWood' | 'bonding' | 'sandingSealer' | 'plasterSealer' | 'thinnedPva' | 'mineral' | 'alkaliResistant' | 'zincPhosphate' | 'etch' | 'heatResistant' | 'underwaterPrimer' | 'none';

export type CoatId = Exclude<PrimerId, 'none'> | TopcoatId;

export interface Coating {
  readonly base: 'water' | 'solvent' | 'mineral';
  readonly volumeSolidsPct: number;
  readonly dryFilmUm: number;
  readonly coats: number;
  /** Before the next coat, h at about 20 C. */
  readonly recoatH: { readonly low: number; readonly high: number };
  readonly clear: boolean;
}

const c = (base: Coating['base'], volumeSolidsPct: number, dryFilmUm: number, coats: number, low: number, high: number, clear = false): Coating => ({
  base,
  volumeSolidsPct,
  dryFilmUm,
  coats,
  recoatH: { low, high },
  clear,
});

// Intervals: waterborne primer 4-6 h, solvent undercoat 18 h, waterborne eggshell 6-8 h, etch 20 min: common practice.
export const TOPCOATS_DATA: Readonly<Record<TopcoatId, Coating>> = {
  waterborneEggshell: c('water', 38, 35, 2, 6, 8),
  waterborneGloss: c('water', 38, 35, 2, 6, 8),
  alkydGloss: c('solvent', 52, 40, 2, 16, 24),
  exteriorAcrylic: c('water', 40, 40, 2, 4, 6),
  matEmulsion: c('water', 35, 35, 2, 4, 6),
  limewash: c('mineral', 20, 60, 3, 24, 48),
  clearVarnish: c('solvent', 48, 38, 3, 16, 24, true),
  metalEnamel: c('solvent', 48, 40, 2, 16, 24),
  antifoulingCoat: c('solvent', 50, 50, 2, 6, 16),
  silicatePaint: c('mineral', 45, 90, 2, 12, 24),
  heatEnamel: c('solvent', 40, 25, 2, 16, 24),
  floorPaint: c('water', 40, 45, 2, 6, 12),
  // What soaks in leaves no film to speak of: the figures give its spread.
  woodStain: c('solvent', 25, 18, 2, 12, 24, true),
  penetratingOil: c('solvent', 60, 40, 2, 12, 24, true),
  pasteWax: c('solvent', 40, 10, 2, 1, 4, true),
};

export const PRIMERS_DATA: Readonly<Record<PrimerId, Coating>> = {
  acrylicWood: c('water', 38, 35, 2, 4, 6),
  alkydWood: c('solvent', 52, 40, 1, 18, 24),
  knotting: c('solvent', 25, 15, 2, 0.5, 1),
  stainBlock: c('solvent', 45, 35, 2, 18, 24),
  oilyWood: c('solvent', 45, 35, 1, 18, 24),
  bonding: c('water', 38, 35, 1, 4, 6),
  sandingSealer: c('solvent', 25, 20, 1, 2, 4, true),
  plasterSealer: c('water', 25, 25, 1, 4, 6),
  // As it is bought, about 55 %: one part of it in four of water. From memory.
  thinnedPva: c('water', 55, 12, 1, 4, 12),
  mineral: c('mineral', 30, 40, 1, 12, 24),
  alkaliResistant: c('water', 38, 35, 1, 4, 6),
  zincPhosphate: c('solvent', 48, 45, 2, 6, 12),
  etch: c('solvent', 15, 10, 1, 0.33, 1),
  heatResistant: c('solvent', 40, 30, 2, 16, 24),
  underwaterPrimer: c('solvent', 45, 40, 2, 6, 24),
  none: c('water', 100, 1, 0, 0, 0),
};

/** All that is laid, but none. */
export const PRODUCT_IDS = [...Object.keys(PRIMERS_DATA).filter((id) => id !== 'none'), ...Object.keys(TOPCOATS_DATA)] as CoatId[];

const THINNED = {
  knotting: 'isopropanol',
  etch: 'isopropanol',
  metalEnamel: 'xylene',
  heatResistant: 'xylene',
  underwaterPrimer: 'xylene',
  antifoulingCoat: 'xylene',
  heatEnamel: 'xylene',
} as const;
/** The solvent in one that is thinned with solvent, as is usual; a sheet outranks it (shelf/firm-sheets.ts). From memory of data sheets. */
export const thinsWith = (id: PrimerId | TopcoatId): 'isopropanol' | 'xylene' | 'mineralSpirits' => (id in THINNED ? THINNED[id as keyof typeof THINNED] : 'mineralSpirits');

/**
 * Past it the next coat does not bite without abrading, h. Timber primers two weeks: FPL, T11; etch and underwater primers from memory of
 * data sheets. What has none here has none that is known: the sheet rules.
 */
const MOST_RECOAT_H: Partial<Record<PrimerId | TopcoatId, number>> = {
  acrylicWood: 336,
  alkydWood: 336,
  etch: 24,
  underwaterPrimer: 168,
};
export const mostRecoatOf = (id: PrimerId | TopcoatId): number | null => MOST_RECOAT_H[id] ?? null;

/** Before the next coat at about 20 C, h. */
export const recoatOf = (id: PrimerId | TopcoatId): Coating['recoatH'] => (id in TOPCOATS_DATA ? TOPCOATS_DATA[id as TopcoatId] : PRIMERS_DATA[id as PrimerId]).recoatH;

/** What thins a product: water, solvent, or neither. */
export const baseOf = (id: PrimerId | TopcoatId): Coating['base'] => (id in TOPCOATS_DATA ? TOPCOATS_DATA[id as TopcoatId] : PRIMERS_DATA[id as PrimerId]).base;
