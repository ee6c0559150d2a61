import type { Part, Surface } from '../facts';
import { ELEMENTS } from './elements';

export interface TakeOff {
  /** Coated area of one piece, m2. */
  readonly eachM2: number;
  /** All pieces, m2. */
  readonly totalM2: number;
  readonly partM2: Readonly<Record<string, number>>;
  /** The numbers of the formula in order: length, width, coated share, faces, count. */
  readonly formula: {
    readonly lengthM: number;
    readonly widthM: number;
    readonly coatedShare: number;
    readonly faces: number;
    readonly count: number;
  };
}

export const liveParts = (s: Surface): Part[] => s.parts.filter((p) => p.removedAt === null);
export const liveLayers = (s: Surface): Surface['layers'] =>
  s.layers.filter((l) => l.removedAt === null).sort((a, b) => a.position - b.position);

/** Coated area: length x width x coated share x faces x count, m2, shared out over the parts by their percentages. */
export function takeOff(s: Surface): TakeOff {
  const { coatedShare } = ELEMENTS[s.element];
  const eachM2 = s.lengthM * s.widthM * coatedShare * s.faces;
  const totalM2 = eachM2 * s.count;
  const partM2: Record<string, number> = {};
  for (const p of liveParts(s)) partM2[p.id] = (totalM2 * p.sharePct) / 100;
  return { eachM2, totalM2, partM2, formula: { lengthM: s.lengthM, widthM: s.widthM, coatedShare, faces: s.faces, count: s.count } };
}
