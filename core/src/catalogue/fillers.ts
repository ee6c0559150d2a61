/** What a repair is made with. Layers and drying: data sheets, from memory; the product's own sheet rules. */
import type { Range } from '../units/units';
import { GOODS_BY_GROUP } from '../facts';

/** What stands among the fillers of the shelf, and two that are found elsewhere on it. */
export const FILLERS = [...GOODS_BY_GROUP.fillers, 'siliconeRemover', 'rustPrimer'] as const;
export type FillerId = (typeof FILLERS)[number];

export interface Filler {
  /** The most of one layer, mm; null: it is no filler. */
  readonly layerMm: number | null;
  /** The most in all its layers, mm. */
  readonly mostMm: number | null;
  /** Before the next layer or the coat, h at about 20 C. */
  readonly dryH: Range;
  readonly unit: 'L' | 'pieces';
  /** Rubbed down when it is dry; lime and mortar are finished wet, sealant never is rubbed. */
  readonly rubbed: boolean;
  /** What is breathed when it is rubbed. */
  readonly dust: 'none' | 'gypsum' | 'resin' | 'silica';
  /** What goes on before any coat. */
  readonly sealedBy: 'primer' | 'nothing';
}
const f = (layerMm: number | null, mostMm: number | null, [low, high]: readonly [number, number], dust: Filler['dust'], over: Partial<Filler> = {}): Filler => ({
  layerMm,
  mostMm,
  dryH: { low, high },
  unit: 'L',
  rubbed: dust !== 'none',
  dust,
  sealedBy: 'primer',
  ...over,
});
export const FILLER: Readonly<Record<FillerId, Filler>> = {
  fineSurfacer: f(2, 3, [2, 4], 'gypsum'),
  woodFiller: f(15, 50, [0.5, 1], 'resin'),
  woodResin: f(null, null, [12, 24], 'none', { sealedBy: 'nothing' }),
  woodGlue: f(null, null, [4, 24], 'none', { sealedBy: 'nothing' }),
  gypsumFiller: f(8, 25, [4, 24], 'gypsum'),
  // About a millimetre a day, and it is kept damp meanwhile.
  limePlasterMix: f(9, 40, [72, 168], 'silica', { rubbed: false }),
  mineralMortar: f(20, 60, [24, 48], 'silica', { rubbed: false }),
  limeMortar: f(20, 60, [48, 168], 'silica', { rubbed: false, sealedBy: 'nothing' }),
  flexibleSealant: f(12, 12, [12, 24], 'none', { sealedBy: 'nothing' }),
  metalFiller: f(5, 15, [0.5, 1], 'resin'),
  glazingPutty: f(null, null, [168, 336], 'none', { sealedBy: 'nothing' }),
  plasterWashers: f(null, null, [12, 24], 'none', { unit: 'pieces', sealedBy: 'nothing' }),
  siliconeRemover: f(null, null, [1, 4], 'none', { sealedBy: 'nothing' }),
  rustPrimer: f(null, null, [6, 12], 'none', { sealedBy: 'nothing' }),
};
/** How many layers a depth takes. */
export const layersFor = (id: FillerId, depthMm: number): number => {
  const { layerMm } = FILLER[id];
  return layerMm === null ? 1 : Math.max(1, Math.ceil(depthMm / layerMm - 1e-9));
};
