/** Solvent in the air of a room: how much it becomes, how much air keeps it from burning and from harming. */
import { RangedError } from '../units/ranged';

/** m3 of vapour from a mole, at 20 C and 1 atm. Ideal gas. */
const MOLAR_M3 = 0.02406;

export const SOLVENT_IDS = [
  'mineralSpirits',
  'turpentine',
  'limonene',
  'acetone',
  'isopropanol',
  'toluene',
  'xylene',
  'benzylAlcohol',
  'nmp',
] as const;
export type SolventId = (typeof SOLVENT_IDS)[number];

export interface Solvent {
  /** g/mol */
  readonly mw: number;
  /** kg/L */
  readonly density: number;
  /** Lower explosive limit, % by volume. NFPA 325; NIOSH Pocket Guide; the lower of a range. */
  readonly lelPct: number;
  /** C; the lower of a range. NFPA 325; NIOSH Pocket Guide. */
  readonly flashC: number;
  /** Limit over a shift, ppm: the strictest that we know of. */
  readonly limitPpm: number;
  /** Who published it; 29 CFR 1910.1000 asks for no less of any of them. */
  readonly limitBy: string;
}

const s = (mw: number, density: number, lelPct: number, flashC: number, limitPpm: number, limitBy: string): Solvent => ({
  mw,
  density,
  lelPct,
  flashC,
  limitPpm,
  limitBy,
});

export const SOLVENTS: Readonly<Record<SolventId, Solvent>> = {
  mineralSpirits: s(142, 0.78, 0.9, 38, 100, 'ACGIH'),
  turpentine: s(136.2, 0.86, 0.8, 35, 20, 'ACGIH'),
  limonene: s(136.2, 0.84, 0.7, 48, 30, 'AIHA, from memory'),
  acetone: s(58.08, 0.791, 2.5, -20, 250, 'NIOSH'),
  isopropanol: s(60.1, 0.785, 2.0, 12, 200, 'ACGIH, from memory'),
  toluene: s(92.14, 0.867, 1.1, 4, 20, 'ACGIH, from memory'),
  xylene: s(106.16, 0.87, 0.9, 25, 20, 'ACGIH, from memory'),
  benzylAlcohol: s(108.1, 1.045, 1.3, 93, 10, 'AIHA, from memory'),
  nmp: s(99.13, 1.028, 1.3, 91, 10, 'AIHA, from memory'),
};

/** g of a liquid as vapour, m3. */
export const vapourM3 = (grams: number, { mw }: Pick<Solvent, 'mw'>): number => (grams / mw) * MOLAR_M3;

/** What a mass of it makes of a closed room when all of it evaporates, ppm. */
export function ppmIn(grams: number, solvent: Pick<Solvent, 'mw'>, volumeM3: number): number {
  if (volumeM3 <= 0) throw new RangedError('the room has no volume: give its length, width and height');
  return (vapourM3(grams, solvent) / volumeM3) * 1e6;
}

/** Never nearer to burning than this share of the lower explosive limit. Common practice; ACGIH Industrial Ventilation, safety factor 10. */
export const LEL_SHARE = 0.1;
/** How badly fresh air mixes in an ordinary room. Industrial ventilation texts: 3 to 10. */
export const MIXING = 3;

/** Fresh air that keeps what evaporates at a share of its lower explosive limit, m3/h for g/h; m3 for g. */
export const airAgainstFire = (grams: number, { mw, lelPct }: Pick<Solvent, 'mw' | 'lelPct'>, share = LEL_SHARE): number =>
  vapourM3(grams, { mw }) / ((lelPct / 100) * share);

/** Fresh air that keeps what evaporates at a limit, m3/h for g/h: Q = (G/M) 0.0241 K / (C 1e-6). */
export const airAgainstHarm = (grams: number, { mw }: Pick<Solvent, 'mw'>, limitPpm: number, mixing = MIXING): number =>
  (vapourM3(grams, { mw }) * mixing) / (limitPpm * 1e-6);

export interface SolventRoom {
  readonly solvent: SolventId;
  /** L/m2, that evaporate while it is worked. */
  readonly litresPerM2: number;
  /** h over which what is laid evaporates. */
  readonly hours: number;
  readonly volumeM3: number;
  /** Fresh air, m3/h, from windows or machines. */
  readonly freshM3h: number;
}

export interface SolventAnswer {
  /** Fresh air that one square metre in so many hours asks for, m3/h. */
  readonly perM2: { readonly fire: number; readonly harm: number };
  /** As much as may be laid at once, m2. What one breathes decides: every limit is far under a tenth of what burns. */
  readonly atOnceM2: number;
}

/** "Too much at once": how much may be laid with the air that there is. */
export function layAtOnce({ solvent, litresPerM2, hours, freshM3h, volumeM3 }: SolventRoom): SolventAnswer {
  if (volumeM3 <= 0) throw new RangedError('the room has no volume: give its length, width and height');
  if (litresPerM2 <= 0 || hours <= 0) throw new RangedError('say how much is laid on a square metre, and over how many hours it dries');
  const data = SOLVENTS[solvent];
  const gPerH = (litresPerM2 * data.density * 1000) / hours;
  const perM2 = { fire: airAgainstFire(gPerH, data), harm: airAgainstHarm(gPerH, data, data.limitPpm) };
  // Of the air that stands in the room each hour's share counts, while what is laid evaporates.
  const there = freshM3h + volumeM3 / hours;
  return { perM2, atOnceM2: there / Math.max(perM2.fire, perM2.harm) };
}
