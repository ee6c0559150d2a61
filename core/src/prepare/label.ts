/**
 * What stands on a bottle that somebody filled: hazards by what is in it and how strong, with the pictograms of the UN's Globally
 * Harmonized System. Limits of concentration from memory of the EU list of harmonised classifications; the data sheet outranks them.
 */
import { MEETINGS, type AgentId } from '../catalogue';
import type { GloveMaterial, GoodId, Product, StuffId } from '../facts';
import { refuse, within } from './refused';

export const CONTENT_IDS = [
  'caustic',
  'citric',
  'vinegar',
  'phosphoric',
  'bleach',
  'alcohol',
  'whiteSpirit',
  'detergent',
  'biocide',
  'benzylAlcohol',
  'nmp',
  'limonene',
  'xylene',
  'acetone',
  'lime',
  'hydrochloric',
  'peroxide',
  'ammonia',
  'quat',
  'dryingOil',
  'twoPart',
] as const;
export type ContentId = (typeof CONTENT_IDS)[number];
export const PICTOGRAM_IDS = ['corrosion', 'flame', 'exclamation', 'health', 'environment'] as const;
export type PictogramId = (typeof PICTOGRAM_IDS)[number];
export const HAZARD_CODES = [
  'H225',
  'H226',
  'H290',
  'H302',
  'H304',
  'H312',
  'H314',
  'H315',
  'H317',
  'H318',
  'H319',
  'H332',
  'H335',
  'H336',
  'H360D',
  'H411',
  'EUH031',
] as const;
export type HazardCode = (typeof HAZARD_CODES)[number];
/** By what is in it, or of the material that its sheet names. */
export type GloveId = 'causticGloves' | 'solventGloves' | GloveMaterial;
export type EyesId = 'gogglesShield' | 'goggles';

interface Class {
  /** From this strength on, % by mass. */
  readonly fromPct: number;
  readonly signal: 'danger' | 'warning';
  readonly codes: readonly HazardCode[];
  readonly pictograms: readonly PictogramId[];
}
interface ContentKind {
  /** What it counts as in the table of what must not meet. */
  readonly agents: readonly AgentId[];
  readonly strongest: number;
  /** The strictest that is reached holds alone. */
  readonly classes: readonly Class[];
  readonly gloves: GloveId;
  readonly eyes: EyesId;
}
const c = (fromPct: number, signal: Class['signal'], codes: readonly HazardCode[], pictograms: readonly PictogramId[]): Class => ({
  fromPct,
  signal,
  codes,
  pictograms,
});

export const CONTENTS: Readonly<Record<ContentId, ContentKind>> = {
  caustic: {
    agents: ['alkali'],
    strongest: 50,
    classes: [c(2, 'danger', ['H290', 'H314'], ['corrosion']), c(0.5, 'warning', ['H315', 'H319'], ['exclamation'])],
    gloves: 'causticGloves',
    eyes: 'gogglesShield',
  },
  citric: { agents: ['acid'], strongest: 60, classes: [c(10, 'warning', ['H319'], ['exclamation'])], gloves: 'nitrile', eyes: 'goggles' },
  vinegar: {
    agents: ['acid'],
    strongest: 25,
    classes: [c(10, 'warning', ['H315', 'H319'], ['exclamation'])],
    gloves: 'nitrile',
    eyes: 'goggles',
  },
  phosphoric: {
    agents: ['acid'],
    strongest: 85,
    classes: [c(25, 'danger', ['H290', 'H314'], ['corrosion']), c(10, 'warning', ['H315', 'H319'], ['exclamation'])],
    gloves: 'causticGloves',
    eyes: 'gogglesShield',
  },
  bleach: {
    agents: ['bleach'],
    strongest: 15,
    classes: [
      c(5, 'danger', ['H314', 'H411', 'EUH031'], ['corrosion', 'environment']),
      c(3, 'danger', ['H315', 'H318', 'H411'], ['corrosion', 'environment']),
      c(1, 'warning', ['H315', 'H319'], ['exclamation']),
    ],
    gloves: 'nitrile',
    eyes: 'goggles',
  },
  alcohol: {
    agents: ['alcohol'],
    strongest: 100,
    classes: [
      c(60, 'danger', ['H225', 'H319', 'H336'], ['flame', 'exclamation']),
      c(10, 'warning', ['H226', 'H319'], ['flame', 'exclamation']),
    ],
    gloves: 'nitrile',
    eyes: 'goggles',
  },
  whiteSpirit: {
    agents: ['solvent'],
    strongest: 100,
    classes: [c(10, 'danger', ['H226', 'H304', 'H336', 'H411'], ['flame', 'health', 'exclamation', 'environment'])],
    gloves: 'solventGloves',
    eyes: 'goggles',
  },
  detergent: { agents: [], strongest: 100, classes: [c(20, 'warning', ['H319'], ['exclamation'])], gloves: 'nitrile', eyes: 'goggles' },
  biocide: {
    agents: [],
    strongest: 100,
    classes: [c(10, 'danger', ['H314', 'H411'], ['corrosion', 'environment']), c(1, 'warning', ['H315', 'H319'], ['exclamation'])],
    gloves: 'nitrile',
    eyes: 'goggles',
  },
  benzylAlcohol: {
    agents: ['alcohol'],
    strongest: 100,
    classes: [c(25, 'warning', ['H302', 'H319', 'H332'], ['exclamation']), c(10, 'warning', ['H319'], ['exclamation'])],
    gloves: 'butyl',
    eyes: 'goggles',
  },
  nmp: {
    agents: ['solvent'],
    strongest: 100,
    classes: [c(10, 'danger', ['H315', 'H319', 'H335', 'H360D'], ['health', 'exclamation']), c(0.3, 'danger', ['H360D'], ['health'])],
    gloves: 'butyl',
    eyes: 'goggles',
  },
  limonene: {
    agents: ['solvent'],
    strongest: 100,
    classes: [
      c(10, 'danger', ['H226', 'H304', 'H315', 'H317', 'H411'], ['flame', 'health', 'exclamation', 'environment']),
      c(1, 'warning', ['H317'], ['exclamation']),
    ],
    gloves: 'solventGloves',
    eyes: 'goggles',
  },
  xylene: {
    agents: ['solvent'],
    strongest: 100,
    classes: [
      c(20, 'danger', ['H226', 'H304', 'H312', 'H315', 'H332'], ['flame', 'health', 'exclamation']),
      c(10, 'danger', ['H226', 'H304', 'H315'], ['flame', 'health', 'exclamation']),
    ],
    gloves: 'solventGloves',
    eyes: 'goggles',
  },
  acetone: {
    agents: ['solvent'],
    strongest: 100,
    classes: [
      c(20, 'danger', ['H225', 'H319', 'H336'], ['flame', 'exclamation']),
      c(10, 'danger', ['H225', 'H319'], ['flame', 'exclamation']),
    ],
    gloves: 'butyl',
    eyes: 'goggles',
  },
  lime: {
    agents: ['alkali', 'lime'],
    strongest: 100,
    classes: [c(3, 'danger', ['H315', 'H318', 'H335'], ['corrosion', 'exclamation']), c(1, 'warning', ['H319'], ['exclamation'])],
    gloves: 'causticGloves',
    eyes: 'gogglesShield',
  },
  hydrochloric: {
    agents: ['acid'],
    strongest: 37,
    classes: [
      c(25, 'danger', ['H290', 'H314', 'H335'], ['corrosion', 'exclamation']),
      c(10, 'warning', ['H290', 'H315', 'H319', 'H335'], ['corrosion', 'exclamation']),
      c(1, 'warning', ['H290'], ['corrosion']),
    ],
    gloves: 'causticGloves',
    eyes: 'gogglesShield',
  },
  peroxide: {
    agents: ['peroxide'],
    strongest: 35,
    classes: [
      c(35, 'danger', ['H302', 'H315', 'H318', 'H335'], ['corrosion', 'exclamation']),
      c(8, 'danger', ['H318'], ['corrosion']),
      c(5, 'warning', ['H319'], ['exclamation']),
    ],
    gloves: 'nitrile',
    eyes: 'gogglesShield',
  },
  ammonia: {
    agents: ['ammonia', 'alkali'],
    strongest: 35,
    classes: [c(5, 'danger', ['H314', 'H335'], ['corrosion', 'exclamation']), c(1, 'warning', ['H315', 'H319'], ['exclamation'])],
    gloves: 'causticGloves',
    eyes: 'gogglesShield',
  },
  quat: {
    agents: [],
    strongest: 80,
    classes: [
      c(5, 'danger', ['H302', 'H314', 'H411'], ['corrosion', 'exclamation', 'environment']),
      c(1, 'warning', ['H315', 'H319'], ['exclamation']),
    ],
    gloves: 'nitrile',
    eyes: 'goggles',
  },
  dryingOil: {
    agents: ['solvent', 'dryingOil'],
    strongest: 100,
    classes: [c(10, 'danger', ['H226', 'H304', 'H336', 'H411'], ['flame', 'health', 'exclamation', 'environment'])],
    gloves: 'solventGloves',
    eyes: 'goggles',
  },
  // Resin or hardener: which of the two, and what else, its own sheet says.
  twoPart: {
    agents: ['solvent'],
    strongest: 100,
    classes: [c(1, 'danger', ['H315', 'H317', 'H318', 'H335'], ['corrosion', 'exclamation'])],
    gloves: 'butyl',
    eyes: 'gogglesShield',
  },
};

/** What is in it, for its label. What must not be used at all has no label: it is not filled. */
const OF_STUFF: Readonly<Partial<Record<StuffId, ContentId>>> = {
  benzylAlcohol: 'benzylAlcohol',
  nmp: 'nmp',
  limonene: 'limonene',
  mineralSpirits: 'whiteSpirit',
  xylene: 'xylene',
  isopropanol: 'alcohol',
  acetone: 'acetone',
  sodiumHydroxide: 'caustic',
  quickLime: 'lime',
  citricAcid: 'citric',
  aceticAcid: 'vinegar',
  phosphoricAcid: 'phosphoric',
  hydrochloricAcid: 'hydrochloric',
  hypochlorite: 'bleach',
  peroxide: 'peroxide',
  ammonia: 'ammonia',
  quat: 'quat',
  dryingOil: 'dryingOil',
  twoPart: 'twoPart',
};
/** Where its sheet names no chemistry: what every product of that kind is. A stripper may be anything, and is not guessed at. */
const OF_GOOD: Readonly<Partial<Record<GoodId, ContentId>>> = {
  causticPaste: 'caustic',
  readyCaustic: 'caustic',
  causticSoda: 'caustic',
  citricAcid: 'citric',
  phosphoricAcid: 'phosphoric',
  rustAcid: 'phosphoric',
  bleach: 'bleach',
  peroxide: 'peroxide',
  whiteSpirit: 'whiteSpirit',
  toolThinner: 'whiteSpirit',
  alcohol: 'alcohol',
  xylene: 'xylene',
  acetone: 'acetone',
  cleaner: 'detergent',
  biocide: 'biocide',
};
/** @returns what a product of the firm is for its label; null: its sheet does not say what is in it, or it must not be used */
export const contentOf = (p: Pick<Product, 'good' | 'chemistry'>): ContentId | null =>
  p.chemistry === 'unsaid' ? (OF_GOOD[p.good] ?? null) : (OF_STUFF[p.chemistry] ?? null);

/** What a data sheet says that outranks the general hazards of what is in it. */
export interface BySheet {
  readonly gloves: GloveMaterial | null;
  /** Of what is filled, not of what it was thinned from, C. */
  readonly flashC: number | null;
}
/** A liquid that flashes below 23 C is highly flammable, up to 60 C flammable. UN GHS 2.6. */
const FLAMES = [
  { belowC: 23, code: 'H225', signal: 'danger' },
  { belowC: 60 + 1e-9, code: 'H226', signal: 'warning' },
] as const;

export interface BottleHazards {
  readonly signal: 'danger' | 'warning' | null;
  readonly codes: readonly HazardCode[];
  readonly pictograms: readonly PictogramId[];
  readonly gloves: GloveId;
  readonly eyes: EyesId;
  /** What it must never meet. */
  readonly never: readonly AgentId[];
}

/** @throws Refused for a strength that cannot be */
export function hazardsOf(content: ContentId, pct: number, sheet: BySheet = { gloves: null, flashC: null }): BottleHazards {
  const kind = CONTENTS[content];
  if (!(pct > 0)) refuse({ id: 'notNumber', what: 'wantPct' });
  within(pct, 0.001, kind.strongest, 'wantPct');
  const reached = kind.classes.find((k) => pct >= k.fromPct);
  const has = (a: AgentId) => kind.agents.includes(a);
  const { flashC } = sheet;
  const flame = flashC === null ? undefined : FLAMES.find((f) => flashC < f.belowC);
  // Of the sheet's flash point and the general one, the one that catches more easily.
  const codes = (reached?.codes ?? []).filter((code) => code !== 'H226' || flame?.code !== 'H225');
  const burns = codes.includes('H225') || codes.includes('H226');
  return {
    signal: flame?.signal === 'danger' ? 'danger' : (reached?.signal ?? flame?.signal ?? null),
    codes: flame === undefined || burns ? codes : [flame.code, ...codes],
    pictograms:
      flame === undefined || reached?.pictograms.includes('flame')
        ? (reached?.pictograms ?? [])
        : ['flame', ...(reached?.pictograms ?? [])],
    gloves: sheet.gloves ?? kind.gloves,
    eyes: reached?.signal === 'danger' ? kind.eyes : 'goggles',
    never: [...new Set(MEETINGS.flatMap((m) => [...(has(m.one) ? [m.other] : []), ...(has(m.other) ? [m.one] : [])]))],
  };
}

/** The pictograms: a red diamond with a black sign, drawn anew on a field of 100 x 100. UN GHS, annex 1. */
const SIGNS: Readonly<Record<PictogramId, string>> = {
  // Two tubes that pour: on a bar that is eaten away, and on a hand.
  corrosion:
    '<g transform="translate(51 50) scale(.86) translate(-49 -47)"><g fill="none" stroke="#000" stroke-width="2.6"><path d="M30 22 51 31a3.4 3.4 0 0 1-3 6.4L27 28.5z"/><path d="M57 27 77 36a3.4 3.4 0 0 1-3 6.4L54 33.5z"/></g><path d="M36 31l12 5-1 2-13-5z M63 36l12 5-1 2-13-5z"/><path d="M27 33v5M31 37v7M27 43v6M54 38v5M58 42v6M54 47v5" stroke="#000" stroke-width="2.8" stroke-linecap="round"/><path d="M15 56h9c1 6 3 3 4 8s4 2 5-2 2-6 4-6h8v9H24z"/><path d="M48 62c0-5 3-8 7-7 2-3 6-1 6 2 4 0 8-1 12-3l12-5c3-1 4 3 2 4l-9 5 2 1c-1 3-3 5-6 6l-9 7H55c-4-1-7-5-7-10z"/></g>',
  flame: '<path d="M50 24c4 10 16 14 16 28 0 9-7 15-16 15s-16-6-16-15c0-7 4-11 7-16 1 5 3 7 5 8 0-8 1-13 4-20z M32 71h36v4H32z"/>',
  exclamation: '<path d="M44 26h12l-3 30h-6z"/><circle cx="50" cy="67" r="6"/>',
  health:
    '<circle cx="50" cy="31" r="8"/><path d="M34 76c0-22 5-34 16-34s16 12 16 34z"/><path d="M50 48l3 7 7-3-3 7 6 4-7 2 1 7-6-4-5 6-1-8-8 0 6-5-4-6 7 1z" fill="#fff"/>',
  environment:
    '<path d="M28 70h44v3H28z M36 68V46l-8-8 2-2 7 6 1-12h3v14l8-6 2 3-11 9v18z"/><path d="M52 64c6-7 14-8 20-3l5-4v12l-5-4c-6 5-14 4-20-1z"/><circle cx="57" cy="63" r="1.6" fill="#fff"/>',
};
export const pictogramSvg = (id: PictogramId, size: number): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 100 100"><path d="M50 4 96 50 50 96 4 50z" fill="#fff" stroke="#c1121f" stroke-width="6"/>${SIGNS[id]}</svg>`;
