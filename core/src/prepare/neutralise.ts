/**
 * Acid for the alkali that is left, and carbonate for acid: how much, how warm, and the pH on the way. Stoichiometry by molar mass;
 * pH by the balance of charges with ideal activities and constants at 25 C (CRC Handbook).
 */
import { FACE_PH } from '../work/judge';
import { measure } from '../units/units';
import { refuse, within } from './refused';
import { NAOH_G_MOL } from './heat';

export const ACID_IDS = ['citric', 'acetic', 'phosphoric'] as const;
export type AcidId = (typeof ACID_IDS)[number];

interface AcidKind {
  readonly gMol: number;
  readonly pKa: readonly number[];
  /** Protons given up by the time the wash is neutral enough to paint over. */
  readonly gives: number;
  /** As it is sold, share of mass, and kg/L; null: a powder. */
  readonly sold: { readonly share: number; readonly kgL: number | null };
}
export const ACIDS: Readonly<Record<AcidId, AcidKind>> = {
  citric: { gMol: 192.12, pKa: [3.13, 4.76, 6.4], gives: 3, sold: { share: 1, kgL: null } },
  // Household vinegar of 5 %.
  acetic: { gMol: 60.05, pKa: [4.76], gives: 1, sold: { share: 0.05, kgL: 1.005 } },
  // To the second hydrogen: the third leaves only far above pH 12.
  phosphoric: { gMol: 98.0, pKa: [2.15, 7.2, 12.35], gives: 2, sold: { share: 0.85, kgL: 1.685 } },
};
/** kJ for each mol of hydroxide. CRC: 55.8 for a strong acid; a little less for weak ones. */
const NEUTRAL_KJ_MOL = 56;
const KW = 1e-14;

export interface Alkali {
  /** Caustic that is left, g. */
  readonly causticG: number;
}
/** Caustic in a rinse water by its pH, g/L. Ideal activity; a strip tells half a unit. */
export const causticGL = (ph: number): number => 10 ** (within(ph, 0, 14, 'ph') - 14) * NAOH_G_MOL;

export interface Neutral {
  /** Pure acid, and as it is sold. */
  readonly pureG: number;
  readonly soldG: number;
  readonly soldMl: number | null;
  readonly heatKJ: number;
  /** Water in which it warms by no more than `WARMS_BY`, L. */
  readonly waterL: number;
}
/** A wash may warm by this much, C. Common practice, no published source. */
export const WARMS_BY_C = 10;

/**
 * Acid for so much caustic.
 * @param soldShare strength as sold, share of mass; the usual one when left out
 * @throws Refused outside 0 to 100 kg, or a strength that cannot be
 */
export function acidFor(causticG: number, acid: AcidId, soldShare = ACIDS[acid].sold.share): Neutral {
  within(causticG, 0, 100_000, 'leftG');
  within(soldShare * 100, 0.1, 100, 'stockPct');
  const { gMol, gives, sold } = ACIDS[acid];
  const mol = causticG / NAOH_G_MOL;
  const pureG = (mol / gives) * gMol;
  const soldG = pureG / soldShare;
  const heatKJ = mol * NEUTRAL_KJ_MOL;
  return { pureG, soldG, soldMl: sold.kgL === null ? null : soldG / sold.kgL, heatKJ, waterL: heatKJ / (4.18 * WARMS_BY_C) };
}

/** Charge that an acid of `pKa` carries at a pH, for each mol. */
function chargeAt(pKa: readonly number[], h: number): number {
  let term = 1;
  let sum = 1;
  let charge = 0;
  pKa.forEach((k, i) => {
    term *= 10 ** -k / h;
    sum += term;
    charge += (i + 1) * term;
  });
  return charge / sum;
}

/**
 * pH of caustic and an acid in water: sodium and hydrogen on one side, hydroxide and the acid's ions on the other.
 * @param causticMolL, acidMolL mol in each litre of the whole
 */
export function phOf(causticMolL: number, acidMolL: number, pKa: readonly number[]): number {
  let low = 0;
  let high = 14.5;
  for (let i = 0; i < 60; i += 1) {
    const ph = (low + high) / 2;
    const h = 10 ** -ph;
    const over = causticMolL + h - KW / h - acidMolL * chargeAt(pKa, h);
    if (over > 0) low = ph;
    else high = ph;
  }
  return (low + high) / 2;
}

/** @returns the pH after each tenth of the acid that is reckoned, from none to twice as much; the acid's own water counts */
export function phOnTheWay(causticG: number, litres: number, acid: AcidId): { readonly share: number; readonly ph: number }[] {
  within(litres, 0.05, 10_000, 'waterL');
  const { gMol, pKa } = ACIDS[acid];
  const { pureG, soldMl } = acidFor(causticG, acid);
  return Array.from({ length: 21 }, (_, i) => {
    const share = i / 10;
    const whole = litres + (share * (soldMl ?? 0)) / 1000;
    return { share, ph: phOf(causticG / NAOH_G_MOL / whole, (share * pureG) / gMol / whole, pKa) };
  });
}

export interface Rinse {
  /** Rinses until the water that runs off is at the wanted pH. */
  readonly times: number;
  readonly litresM2: number;
}
/** Water from the tap is about this. From memory. */
const TAP_PH = 7.5;
/** A wetted face holds back so much when the water has run off, L/m2. From memory: smooth 0.1, wood and brick more. */
export const HOLDS_BACK_L = { smooth: 0.1, wood: 0.3, masonry: 0.8 } as const;
export type RinsedFace = keyof typeof HOLDS_BACK_L;

/**
 * Rinse water alone: each rinse thins what the face holds back.
 * @param eachLM2 water for each rinse, L/m2
 * @throws Refused where water alone cannot bring it there
 */
export function rinsesFor(fromPh: number, toPh: number, eachLM2: number, face: RinsedFace): Rinse {
  within(eachLM2, 0.1, 200, 'rinseL');
  const from = within(fromPh, 7, 14, 'ph');
  const to = within(toPh, 7, 14, 'toPh');
  if (to < TAP_PH) refuse({ id: 'tapWater', least: measure(TAP_PH, 'pH') });
  if (to >= from) return { times: 0, litresM2: 0 };
  const thins = HOLDS_BACK_L[face] / (HOLDS_BACK_L[face] + eachLM2);
  const times = Math.ceil((from - to) / -Math.log10(thins) - 1e-9);
  return { times, litresM2: times * eachLM2 };
}

export type Proof = 'again' | 'acid' | 'ready';
/**
 * The two-step proof: the face after rinsing, and again after it has dried and been wetted anew, each against the rinse water.
 * @returns ready only when both lie within; alkali above asks for acid or rinse, acid below for rinse
 */
export function proofOf(rinseWaterPh: number, faces: readonly number[]): Proof {
  const water = within(rinseWaterPh, 0, 14, 'ph');
  for (const f of faces) {
    if (within(f, 0, 14, 'ph') > water + FACE_PH.above) return 'acid';
    if (f < water - FACE_PH.below) return 'again';
  }
  return faces.length >= 2 ? 'ready' : 'again';
}

export const CARBONATE_IDS = ['bicarbonate', 'washingSoda'] as const;
export type CarbonateId = (typeof CARBONATE_IDS)[number];
/** g/mol, and hydrogen taken up for each mol until only gas and water are left. */
const CARBONATES: Readonly<Record<CarbonateId, { readonly gMol: number; readonly takes: number }>> = {
  bicarbonate: { gMol: 84.01, takes: 1 },
  washingSoda: { gMol: 105.99, takes: 2 },
};
const GAS_L_MOL = 24.06;

/**
 * Carbonate for an acid that is left, with the gas that foams out of it.
 * @param acidG pure acid, g
 */
export function carbonateFor(acidG: number, acid: AcidId, carbonate: CarbonateId): { readonly g: number; readonly gasL: number } {
  within(acidG, 0, 100_000, 'leftG');
  const { gMol, gives } = ACIDS[acid];
  const hydrogen = (acidG / gMol) * gives;
  const mol = hydrogen / CARBONATES[carbonate].takes;
  return { g: mol * CARBONATES[carbonate].gMol, gasL: mol * GAS_L_MOL };
}
