/**
 * The ladder of what is known of a hazard, on which every stage, screen and paper stands. `notFound` alone says too little: never
 * suspected, tested with none found, and found below a limit are three things, and the rules for whoever works bind on the last.
 */
import type { Reading } from '../facts';
import { say } from '../reasons';
import type { Rulebook } from '../rulebook';
import { convert, formatMeasure, measure, type Measure, type UnitSystem } from '../units/units';
import { stricter, type HazardState } from './state';

/**
 * From the mildest. `notSuspected`: nothing of that kind, or too young, and no test. `noneFound`: the lab says none, with its reporting
 * limit. `trace`, `below`: it was seen, under what the rulebook or the firm calls found.
 * Lead: below 90 ppm (16 CFR 1303) is a trace; from there to the limit it is below the limit. Asbestos: at or below 1 % by count is a trace.
 */
export const RUNGS = ['notSuspected', 'noneFound', 'trace', 'below', 'present'] as const;
export type Rung = (typeof RUNGS)[number];

/** What a result shows of a hazard where it does not convict. */
export interface Low {
  readonly rung: Exclude<Rung, 'notSuspected' | 'present'>;
  /** As measured; null: the test gives no number. */
  readonly measured: Measure | null;
  /** The number is the least that the lab reports: there is less. */
  readonly under: boolean;
}

export type HazardWord = Exclude<HazardState, 'notFound'> | Exclude<Rung, 'present'>;

/** A state with its rung, and the number that put it there. */
export interface Standing {
  readonly state: HazardState;
  readonly rung: Rung;
  /** Under which every screen and paper names it: the state while it counts as present, else the rung. */
  readonly word: HazardWord;
  readonly measured: Measure | null;
  readonly under: boolean;
}

const RANK: Readonly<Record<Rung, number>> = { notSuspected: 0, noneFound: 1, trace: 2, below: 3, present: 4 };
const more = (a: Measure | null, b: Measure | null): boolean => b !== null && (a === null || (a.unit === b.unit && b.value > a.value));
/** The worse of two: by rung, of those that are present by their state, of equals by the number. */
export function worse(a: Standing, b: Standing): Standing {
  if (RANK[a.rung] !== RANK[b.rung]) return RANK[b.rung] > RANK[a.rung] ? b : a;
  if (a.state !== b.state) return stricter(a.state, b.state) === b.state ? b : a;
  return more(a.measured, b.measured) ? b : a;
}

/** It is there, though not as much as the limit: the rules for dust and fume bind. 29 CFR 1926.62(d)(2). */
export const isLow = ({ rung }: Pick<Standing, 'rung'>): boolean => rung === 'trace' || rung === 'below';

/**
 * @param shown what the tests show that reached it; the worst of them holds
 * @param most of what was found, the most that was measured; null: by a test without a number
 */
export function standingAt(state: HazardState, shown: readonly Low[], most: Measure | null = null): Standing {
  if (state !== 'notFound') return { state, rung: 'present', word: state, measured: state === 'found' ? most : null, under: false };
  if (shown.length === 0) return { state, rung: 'notSuspected', word: 'notSuspected', measured: null, under: false };
  const worst = shown.reduce((a, b) => {
    if (RANK[a.rung] !== RANK[b.rung]) return RANK[b.rung] > RANK[a.rung] ? b : a;
    return more(a.measured, b.measured) ? b : a;
  });
  return { state, rung: worst.rung, word: worst.rung, measured: worst.measured, under: worst.under };
}

/** The key of its word: the same on every chip, screen and paper. */
export const rungKey = ({ word }: Pick<Standing, 'word'>): `rung.${HazardWord}` => `rung.${word}`;

/** "0.49 %", "under 40 ppm"; null: no number stands behind it. */
export const numberOf = ({ measured, under }: Standing, units: UnitSystem): string | null =>
  measured === null ? null : `${under ? 'under ' : ''}${formatMeasure(measured, units)}`;

/** Word and number as papers put them: "low, 1,006 ppm", "tested, none found (the lab reports from 40 ppm)", "found". */
export function standingText(standing: Standing, units: UnitSystem): string {
  const word = say(rungKey(standing));
  if (standing.measured === null) return word;
  if (standing.rung === 'noneFound') return `${word} (the lab reports from ${formatMeasure(standing.measured, units)})`;
  return `${word}, ${numberOf(standing, units)}`;
}

/** Lead in paint sold to consumers, at most. 16 CFR 1303.1. */
export const TRACE_BELOW = measure(90, 'ppm');
/** A lab that reports from here up has looked well enough to say none: common practice, no published source. */
export const SEES_WELL: Readonly<Partial<Record<Measure['unit'], number>>> = { ppm: 100, 'mass%': 0.01, 'mg/cm2': 0.02 };
export const seesWell = (least: Measure): boolean => least.value <= (SEES_WELL[least.unit] ?? 0);

/** A result that is not lead paint: on which rung it stands. @param by mass or by area as the lab gave it; nothing is converted by area */
export function lowOf(found: Measure, under: Reading['below'], byLab: boolean): Low {
  if (under && byLab && seesWell(found)) return { rung: 'noneFound', measured: found, under: true };
  if (!under && found.value === 0 && byLab) return { rung: 'noneFound', measured: null, under: false };
  const ppm = found.unit === 'ppm' ? found.value : found.unit === 'mass%' ? found.value * 1e4 : null;
  return { rung: ppm !== null && ppm < TRACE_BELOW.value && !under ? 'trace' : 'below', measured: found, under };
}

/** Lead in the paint of what is given back: 0.009 % by weight, 16 CFR 1303.1; scraped-off material of toys, EN 71-3 as amended in 2018, from memory. */
export const GOODS_LEAD = { us: TRACE_BELOW, uk: measure(23, 'mg/kg') } as const;
/** Too much for a thing that is given back: present, or measured at that or over, or not measured as low. */
export function isOnGoods({ rung, measured }: Standing, { id }: Pick<Rulebook, 'id'>): boolean {
  if (rung === 'present' || rung === 'below') return true;
  if (rung !== 'trace' || measured === null) return false;
  return convert(measured.value, measured.unit, 'ppm') >= GOODS_LEAD[id].value;
}
