/** What a repair is made with. Layers, drying and prices: data sheets, from memory; the product's own sheet rules. */
import type { Range } from '../choose';

export const FILLERS = [
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
  'siliconeRemover',
  'rustPrimer',
] as const;
export type FillerId = (typeof FILLERS)[number];

export interface Filler {
  /** The most of one layer, mm; null: it is no filler. */
  readonly layerMm: number | null;
  /** The most in all its layers, mm. */
  readonly mostMm: number | null;
  /** Before the next layer or the coat, h at about 20 C. */
  readonly dryH: Range;
  /** Its unit of sale, and what one costs. */
  readonly unit: 'L' | 'pieces';
  readonly price: number;
  /** Rubbed down when it is dry; lime and mortar are finished wet, sealant never is rubbed. */
  readonly rubbed: boolean;
  /** What is breathed when it is rubbed. */
  readonly dust: 'none' | 'gypsum' | 'resin' | 'silica';
  /** What goes on before any coat. */
  readonly sealedBy: 'primer' | 'nothing';
}
const f = (
  layerMm: number | null,
  mostMm: number | null,
  [low, high]: readonly [number, number],
  price: number,
  dust: Filler['dust'],
  over: Partial<Filler> = {},
): Filler => ({ layerMm, mostMm, dryH: { low, high }, unit: 'L', price, rubbed: dust !== 'none', dust, sealedBy: 'primer', ...over });
export const FILLER: Readonly<Record<FillerId, Filler>> = {
  fineSurfacer: f(2, 3, [2, 4], 12, 'gypsum'),
  woodFiller: f(15, 50, [0.5, 1], 28, 'resin'),
  woodResin: f(null, null, [12, 24], 45, 'none', { sealedBy: 'nothing' }),
  woodGlue: f(null, null, [4, 24], 18, 'none', { sealedBy: 'nothing' }),
  gypsumFiller: f(8, 25, [4, 24], 6, 'gypsum'),
  // About a millimetre a day, and it is kept damp meanwhile.
  limePlasterMix: f(9, 40, [72, 168], 2, 'silica', { rubbed: false }),
  mineralMortar: f(20, 60, [24, 48], 3, 'silica', { rubbed: false }),
  limeMortar: f(20, 60, [48, 168], 2, 'silica', { rubbed: false, sealedBy: 'nothing' }),
  flexibleSealant: f(12, 12, [12, 24], 16, 'none', { sealedBy: 'nothing' }),
  metalFiller: f(5, 15, [0.5, 1], 26, 'resin'),
  glazingPutty: f(null, null, [168, 336], 11, 'none', { sealedBy: 'nothing' }),
  plasterWashers: f(null, null, [12, 24], 0.6, 'none', { unit: 'pieces', sealedBy: 'nothing' }),
  siliconeRemover: f(null, null, [1, 4], 30, 'none', { sealedBy: 'nothing' }),
  rustPrimer: f(null, null, [6, 12], 22, 'none', { sealedBy: 'nothing' }),
};
/** How many layers a depth takes. */
export const layersFor = (id: FillerId, depthMm: number): number => {
  const { layerMm } = FILLER[id];
  return layerMm === null ? 1 : Math.max(1, Math.ceil(depthMm / layerMm - 1e-9));
};
