/** Which glove holds which chemical, for how long, and when it is changed. */
import type { Chemistry } from '../facts';

export const GLOVE_MATERIALS = ['nitrile', 'neoprene', 'butyl', 'laminate'] as const;
export type GloveMaterial = (typeof GLOVE_MATERIALS)[number];

/** What hands meet: what a bought stripper is made of, and what thins a coat. */
export type HandChemical = Exclude<Chemistry, 'unsaid'> | 'acetone' | 'isopropanol' | 'xylene';

/**
 * Minutes until the first of it comes through a glove of 0.35 to 0.5 mm, rounded down. From memory of makers' permeation charts by EN ISO
 * 374-1 and ASTM F739: the chart of the very glove comes first.
 */
export const BREAKTHROUGH_MIN: Readonly<Record<HandChemical, Readonly<Record<GloveMaterial, number>>>> = {
  benzylAlcohol: { nitrile: 30, neoprene: 120, butyl: 480, laminate: 480 },
  nmp: { nitrile: 10, neoprene: 60, butyl: 480, laminate: 480 },
  limonene: { nitrile: 480, neoprene: 30, butyl: 10, laminate: 480 },
  mineralSpirits: { nitrile: 480, neoprene: 120, butyl: 30, laminate: 480 },
  methyleneChloride: { nitrile: 2, neoprene: 5, butyl: 20, laminate: 120 },
  acetone: { nitrile: 2, neoprene: 10, butyl: 480, laminate: 480 },
  isopropanol: { nitrile: 480, neoprene: 480, butyl: 480, laminate: 480 },
  xylene: { nitrile: 30, neoprene: 10, butyl: 10, laminate: 480 },
};
const BOUGHT_CHEMICALS: readonly HandChemical[] = ['benzylAlcohol', 'nmp', 'limonene', 'mineralSpirits', 'methyleneChloride'];

/** Good for half a shift at least, else the next better. Common practice, no published source. */
const LEAST_MIN = 240;
/** Changed at half of what it holds, and every shift. Common practice, no published source. */
const SHIFT_MIN = 480;

export interface Glove {
  readonly material: GloveMaterial;
  /** Off and binned after so many minutes, whatever they look like. */
  readonly changeMin: number;
}

/** The lightest that holds all of them. What nobody said is taken for the worst on the list. */
export function gloveFor(chemicals: readonly (HandChemical | 'unsaid')[]): Glove {
  const all = chemicals.flatMap((c) => (c === 'unsaid' ? BOUGHT_CHEMICALS : [c]));
  const holds = (m: GloveMaterial): number => Math.min(SHIFT_MIN, ...all.map((c) => BREAKTHROUGH_MIN[c][m]));
  const material = GLOVE_MATERIALS.find((m) => holds(m) >= LEAST_MIN) ?? 'laminate';
  return { material, changeMin: holds(material) / 2 };
}
