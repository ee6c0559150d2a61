/**
 * Caustic soda in water, simulated: how hot it gets, how large a portion may be, how long to wait.
 * One balance of heat: what dissolving gives off and what is put in, less what leaves through the wall and the top.
 */
import { measure } from '../units/units';
import { refuse, within } from './refused';
import { HEAT_DOUBT, heatOfSolutionKJ, SOLID_CP, solutionCp, solutionKgL } from './heat';
import { checkVessel, FREE_SHARE, holdsL, lossWK, VESSELS, wallM2, type Vessel } from './vessel';

export interface CausticMix {
  readonly waterL: number;
  readonly causticG: number;
  /** The water before anything is in it, C. */
  readonly waterC: number;
  readonly airC: number;
  readonly vessel: Vessel;
  readonly stirrer: 'hand' | 'drill';
  /** Cold water around the vessel, C; null for none. */
  readonly bathC: number | null;
  /** Never hotter than this, C. */
  readonly ceilingC: number;
  /** What goes into what. */
  readonly order: 'causticToWater' | 'waterToCaustic';
}

export interface Put {
  readonly atS: number;
  readonly g: number;
}
export interface Felt {
  readonly atS: number;
  readonly c: number;
}
export interface HeatPoint {
  readonly atS: number;
  readonly c: number;
}

/** A step of the model, s. */
const STEP_S = 5;
/** And while nothing but the wait is left, s. */
const WAITING_STEP_S = 15;
/** Two thirds of what lies in it dissolve in this time, s. From memory: flakes, stirred. */
const DISSOLVES_S = { hand: 120, drill: 60 } as const;
/** Undissolved to this share, it counts as gone. */
const GONE = 0.02;
/** The usual ceiling, C: above it plastic softens and the mix spits. Common practice, no published source. */
export const USUAL_CEILING_C = 50;
/** The trade's strongest: 500 g in a litre. Beyond it nobody has tried squares. */
export const STRONGEST_G_L = 500;
/** One portion for each litre of water. Common practice, no published source. */
export const PORTION_G_L = 100;
/** Kitchen scale in gloves, g. */
const SCALE_G = 10;
/** Colder than this is "cold water", C. */
const COLD_C = 25;

/** State of the pail. Enthalpy from water, caustic and vessel at 25 C, kJ. */
interface Pail {
  readonly waterKg: number;
  dissolvedKg: number;
  lyingKg: number;
  enthalpyKJ: number;
}

const REF_C = 25;
const shareOf = (p: Pick<Pail, 'waterKg' | 'dissolvedKg'>) => p.dissolvedKg / (p.waterKg + p.dissolvedKg);

/** What the whole of it, vessel included, holds for each degree, kJ/K. */
export function heldKJK(mix: CausticMix, dissolvedKg: number, lyingKg: number): number {
  const p = { waterKg: mix.waterL * solutionKgL(0), dissolvedKg };
  const solution = p.waterKg + dissolvedKg;
  const { side, base } = wallM2(mix.vessel, solution / solutionKgL(shareOf(p)));
  return solution * solutionCp(shareOf(p)) + lyingKg * SOLID_CP + (side + base) * VESSELS[mix.vessel.kind].holdsKJm2K;
}
const filledL = (p: Pail) => (p.waterKg + p.dissolvedKg) / solutionKgL(shareOf(p));

const heatC = (mix: CausticMix, p: Pail): number =>
  REF_C + (p.enthalpyKJ + heatOfSolutionKJ(p.dissolvedKg, p.waterKg)) / heldKJK(mix, p.dissolvedKg, p.lyingKg);

/** The enthalpy at which it would be as warm as the thermometer says. */
const enthalpyAt = (mix: CausticMix, p: Pail, c: number): number =>
  (c - REF_C) * heldKJK(mix, p.dissolvedKg, p.lyingKg) - heatOfSolutionKJ(p.dissolvedKg, p.waterKg);

/**
 * @throws Refused in trade words: caustic that is too much, a vessel too small or of the wrong stuff, water into caustic
 */
export function checkMix(mix: CausticMix): void {
  within(mix.waterL, 0.1, 200, 'waterL');
  within(mix.causticG, 1, 100_000, 'causticG');
  within(mix.airC, -20, 45, 'airC');
  if (mix.bathC !== null) within(mix.bathC, 0, 30, 'bathC');
  within(mix.waterC, 0, 100, 'waterC');
  if (mix.order === 'waterToCaustic') refuse({ id: 'waterIntoCaustic' });
  checkVessel(mix.vessel);
  if (mix.waterC > COLD_C) refuse({ id: 'warmWater', most: measure(COLD_C, 'C') });
  const strong = mix.causticG / mix.waterL;
  if (strong > STRONGEST_G_L) refuse({ id: 'tooStrong', found: measure(Math.round(strong), 'g'), most: measure(STRONGEST_G_L, 'g') });
  const { limitC } = VESSELS[mix.vessel.kind];
  if (mix.ceilingC > limitC) refuse({ id: 'vesselGivesWay', limit: measure(limitC, 'C'), ceiling: measure(mix.ceilingC, 'C') });
  within(mix.ceilingC, mix.waterC + 5, 95, 'ceilingC');
  // Air that is as warm as the ceiling carries it there by itself.
  if (mix.ceilingC < mix.airC + 5) refuse({ id: 'warmAir', air: measure(mix.airC, 'C'), least: measure(mix.airC + 5, 'C') });
  const fills = finalL(mix);
  const needs = fills / (1 - FREE_SHARE);
  const holds = holdsL(mix.vessel);
  if (holds < needs) refuse({ id: 'vesselSmall', holds: measure(holds, 'L'), fills: measure(fills, 'L'), needs: measure(needs, 'L') });
}

/** What the finished mix fills, L. */
export function finalL(mix: Pick<CausticMix, 'waterL' | 'causticG'>): number {
  const waterKg = mix.waterL * solutionKgL(0);
  const kg = mix.causticG / 1000;
  return (waterKg + kg) / solutionKgL(kg / (waterKg + kg));
}

function emptyPail(mix: CausticMix): Pail {
  const p: Pail = { waterKg: mix.waterL * solutionKgL(0), dissolvedKg: 0, lyingKg: 0, enthalpyKJ: 0 };
  p.enthalpyKJ = enthalpyAt(mix, p, mix.waterC);
  return p;
}

function put(mix: CausticMix, p: Pail, g: number): void {
  p.lyingKg += g / 1000;
  p.enthalpyKJ += (g / 1000) * SOLID_CP * (mix.airC - REF_C);
}

/** @returns heat that left, kJ */
function step(mix: CausticMix, p: Pail, seconds: number): number {
  const c = heatC(mix, p);
  const loss = lossWK(mix.vessel, filledL(p), mix.bathC !== null);
  const lost = ((loss.air * (c - mix.airC) + loss.bath * (c - (mix.bathC ?? c))) * seconds) / 1000;
  const melts = p.lyingKg * (1 - Math.exp(-seconds / DISSOLVES_S[mix.stirrer]));
  p.dissolvedKg += melts;
  p.lyingKg -= melts;
  p.enthalpyKJ -= lost;
  return lost;
}

export interface Course {
  readonly points: readonly HeatPoint[];
  readonly peakC: number;
  /** Heat that dissolving gave off, and that left through wall and top, kJ. */
  readonly gaveKJ: number;
  readonly lostKJ: number;
  readonly dissolvedG: number;
}

/**
 * @param puts portions as they went or will go in, in order of time
 * @param felt what the thermometer said; each moves the model to it
 * @param untilS how far to look, s
 * @returns a point every `everyS`, and at each portion and reading
 */
export function course(mix: CausticMix, puts: readonly Put[], felt: readonly Felt[], untilS: number, everyS = 30): Course {
  const points: HeatPoint[] = [{ atS: 0, c: mix.waterC }];
  let peakC = mix.waterC;
  const { pail, lostKJ } = play(mix, puts, felt, untilS, (atS, c, event) => {
    peakC = Math.max(peakC, c);
    if (event || atS - points.at(-1)!.atS >= everyS || atS >= untilS) points.push({ atS, c });
  });
  return { points, peakC, gaveKJ: heatOfSolutionKJ(pail.dissolvedKg, pail.waterKg), lostKJ, dissolvedG: pail.dissolvedKg * 1000 };
}

/** Plays what happened up to a time; `seen` is told how warm it is after each step, and at each portion or reading. */
function play(
  mix: CausticMix,
  puts: readonly Put[],
  felt: readonly Felt[],
  untilS: number,
  seen: (atS: number, c: number, event: boolean) => void = () => {},
): { readonly pail: Pail; readonly lostKJ: number } {
  const pail = emptyPail(mix);
  const events = [...puts.map((x) => ({ ...x, c: null })), ...felt.map((x) => ({ ...x, g: null }))]
    .filter((e) => e.atS <= untilS)
    .sort((a, b) => a.atS - b.atS);
  let lostKJ = 0;
  let atS = 0;
  const goTo = (target: number) => {
    while (atS < target) {
      const seconds = Math.min(STEP_S, target - atS);
      lostKJ += step(mix, pail, seconds);
      atS += seconds;
      seen(atS, heatC(mix, pail), false);
    }
  };
  for (const e of events) {
    goTo(e.atS);
    if (e.g !== null) put(mix, pail, e.g);
    else pail.enthalpyKJ = enthalpyAt(mix, pail, e.c);
    seen(atS, heatC(mix, pail), true);
  }
  goTo(untilS);
  return { pail, lostKJ };
}

/** As warm as it would get if all that lies in it and `g` more dissolved at once and nothing left: the hot side of what is known. */
function hottestC(mix: CausticMix, p: Pail, g: number): number {
  const more: Pail = { ...p };
  put(mix, more, g);
  const before = heatOfSolutionKJ(p.dissolvedKg, p.waterKg);
  const dissolvedKg = more.dissolvedKg + more.lyingKg;
  const all = { ...more, dissolvedKg, lyingKg: 0 };
  const rise = heatOfSolutionKJ(dissolvedKg, p.waterKg) - before;
  return heatC(mix, all) + (rise * HEAT_DOUBT) / heldKJK(mix, dissolvedKg, 0);
}

/** The largest portion that stays under the ceiling even if the heat is as high as it may be, g on the scale. */
function largestG(mix: CausticMix, p: Pail, most: number): number {
  if (hottestC(mix, p, most) <= mix.ceilingC) return most;
  let low = 0;
  let high = Math.ceil(most / SCALE_G);
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (hottestC(mix, p, middle * SCALE_G) <= mix.ceilingC) low = middle;
    else high = middle;
  }
  return Math.max(SCALE_G, low * SCALE_G);
}

export interface Portion extends Put {
  /** Waited since the portion before, s. */
  readonly waitedS: number;
  /** Before it goes in, and the hottest it may become after, C. */
  readonly fromC: number;
  readonly toC: number;
}
export interface Schedule {
  readonly portions: readonly Portion[];
  /** When the last has dissolved, s. */
  readonly doneS: number;
  /** When it is back within `USABLE_C`, s; null when not within two days. */
  readonly coldS: number | null;
}
/** Thickened and laid from here down, C. Common practice, no published source. */
export const USABLE_C = 30;
const LONGEST_S = 48 * 3600;

/**
 * Portions from where a mix stands: each as large as stays under the ceiling, each after the one before has dissolved; where a worthwhile
 * one would be too hot, the wait until it is not.
 * @throws Refused when it never cools enough
 */
export function schedule(mix: CausticMix, done: readonly Put[] = [], felt: readonly Felt[] = [], nowS = 0): Schedule {
  checkMix(mix);
  const p = play(mix, done, felt, nowS).pail;
  let left = mix.causticG - done.reduce((sum, d) => sum + d.g, 0);
  let atS = nowS;
  let lastS = done.at(-1)?.atS ?? nowS;
  const portions: Portion[] = [];
  const usual = Math.max(SCALE_G, Math.floor((PORTION_G_L * mix.waterL) / SCALE_G) * SCALE_G);
  while (left > 0.5) {
    const dissolved = p.lyingKg <= GONE * (p.dissolvedKg + p.lyingKg);
    // A smaller one at once or the whole one later: half a portion is worth opening the tub for.
    if (dissolved && hottestC(mix, p, Math.min(left, usual / 2)) <= mix.ceilingC) {
      const g = largestG(mix, p, Math.min(left, usual));
      portions.push({ atS, g, waitedS: atS - lastS, fromC: heatC(mix, p), toC: hottestC(mix, p, g) });
      put(mix, p, g);
      left -= g;
      lastS = atS;
    } else if (atS - lastS > LONGEST_S) {
      refuse({ id: 'neverCools' });
    }
    const seconds = dissolved ? WAITING_STEP_S : STEP_S;
    step(mix, p, seconds);
    atS += seconds;
  }
  while (p.lyingKg > GONE * (p.dissolvedKg + p.lyingKg)) {
    step(mix, p, STEP_S);
    atS += STEP_S;
  }
  const doneS = atS;
  while (heatC(mix, p) > USABLE_C && atS - doneS < LONGEST_S) {
    step(mix, p, STEP_S * 6);
    atS += STEP_S * 6;
  }
  return { portions, doneS, coldS: heatC(mix, p) > USABLE_C ? null : atS };
}
