/** Which glove holds which chemical, for how long, and when it is changed. */
import { GLOVE_MATERIALS, type Chemistry, type GloveMaterial } from '../facts';

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

function holdsMin(m: GloveMaterial, chemicals: readonly (HandChemical | 'unsaid')[]): number {
  const all = chemicals.flatMap((c) => (c === 'unsaid' ? BOUGHT_CHEMICALS : [c]));
  return Math.min(SHIFT_MIN, ...all.map((c) => BREAKTHROUGH_MIN[c][m]));
}

/** The lightest that holds all of them. What nobody said is taken for the worst on the list. */
export const gloveFor = (chemicals: readonly (HandChemical | 'unsaid')[]): Glove => {
  const material = GLOVE_MATERIALS.find((m) => holdsMin(m, chemicals) >= LEAST_MIN) ?? 'laminate';
  return { material, changeMin: holdsMin(material, chemicals) / 2 };
};

/** What one product puts on the hands, and the glove that its own sheet names: null, none. */
export interface OnHands {
  readonly chemical: HandChemical | 'unsaid' | null;
  readonly said: GloveMaterial | null;
}
/** A sheet rules for its own product, and over several the strictest; it is changed by what comes through the very glove. */
export function gloveOver(all: readonly OnHands[]): Glove {
  const found = gloveFor(all.flatMap((p) => (p.said === null && p.chemical !== null ? [p.chemical] : [])));
  const silent = all.some((p) => p.said === null && p.chemical !== null);
  const material = GLOVE_MATERIALS.findLast((m) => all.some((p) => p.said === m) || (silent && m === found.material)) ?? found.material;
  return {
    material,
    changeMin:
      holdsMin(
        material,
        all.flatMap((p) => p.chemical ?? []),
      ) / 2,
  };
}
