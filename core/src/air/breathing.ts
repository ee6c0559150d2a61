/** What people breathe over a shift, against the limit for a shift of that length. Concentrations of lead in ug/m3. */
import type { StateLayer } from '../facts';
import type { SourceId } from '../reasons';
import type { Respirator } from '../rulebook';
import { RangedError } from '../units/ranged';

/** Whose limit for lead in air. */
export const LIMIT_SETS = ['osha', 'california', 'uk'] as const;
export type LimitSet = (typeof LIMIT_SETS)[number];

/** Of a rulebook, or of the stricter state that is laid over it. */
export const limitSetOf = (rulebook: 'us' | 'uk', layer: StateLayer): LimitSet =>
  rulebook === 'uk' ? 'uk' : layer === 'california' ? 'california' : 'osha';

interface LeadLimits {
  /** Over eight hours. */
  readonly limit: number;
  /** From which duties begin, whatever mask is worn. */
  readonly action: number;
  /** What a longer shift may hold, as a product of ug/m3 and hours; null: the limit stands as it is. */
  readonly longShift: number | null;
}
/** 29 CFR 1926.62(b), (c); 8 CCR 1532.1 (from memory); CLAW 2002, HSE L132: "significant" from half the limit. */
export const LEAD_LIMITS: Readonly<Record<LimitSet, LeadLimits>> = {
  osha: { limit: 50, action: 30, longShift: 400 },
  california: { limit: 10, action: 2, longShift: 80 },
  uk: { limit: 150, action: 75, longShift: null },
};

/** Who stands behind each set. */
export const LIMIT_SOURCES = { osha: 'cfr29-1926.62c', california: 'ca-1532.1', uk: 'clw2002' } as const satisfies Record<
  LimitSet,
  SourceId
>;

/** The limit for a shift, ug/m3: 400 / h past eight hours. 29 CFR 1926.62(c)(2). */
export function leadLimit(set: LimitSet, shiftH: number): number {
  const { limit, longShift } = LEAD_LIMITS[set];
  return longShift !== null && shiftH > 8 ? longShift / shiftH : limit;
}

/** A part of the day: what was breathed, and how long. */
export interface Task {
  readonly ugM3: number;
  readonly hours: number;
}
const DAY_H = 24;

function hoursOf(tasks: readonly Task[]): number {
  for (const t of tasks) {
    if (t.hours < 0 || t.ugM3 < 0) throw new RangedError('hours and concentrations cannot be negative');
  }
  const hours = tasks.reduce((sum, t) => sum + t.hours, 0);
  if (hours > DAY_H) throw new RangedError(`${hours} hours in one day: check the tasks`);
  return hours;
}

/** Over eight hours, whatever the shift's length: sum(C T) / 8. 29 CFR 1926.62. */
export function twa8(tasks: readonly Task[]): number {
  hoursOf(tasks);
  return tasks.reduce((sum, t) => sum + t.ugM3 * t.hours, 0) / 8;
}

/** Over the shift itself: what the limit of a longer one is held against. */
export function shiftAverage(tasks: readonly Task[]): number {
  const hours = hoursOf(tasks);
  return hours === 0 ? 0 : tasks.reduce((sum, t) => sum + t.ugM3 * t.hours, 0) / hours;
}

export interface DayOfLead {
  readonly shiftH: number;
  readonly twa8: number;
  /** What is held against the limit: over eight hours, or over the shift where it is longer. */
  readonly average: number;
  readonly limit: number;
  readonly over: boolean;
  /** At or above the action level over eight hours, without regard to the mask. */
  readonly atAction: boolean;
  /** The factor that a mask must have; 1: none is asked for by the limit. */
  readonly factor: number;
}

/** One person's day. A shift of eight hours or less is held over eight; a longer one over itself, against its own limit. */
export function dayOfLead(tasks: readonly Task[], set: LimitSet): DayOfLead {
  const shiftH = hoursOf(tasks);
  const eight = twa8(tasks);
  const average = shiftH > 8 ? shiftAverage(tasks) : eight;
  const limit = leadLimit(set, shiftH);
  return {
    shiftH,
    twa8: eight,
    average,
    limit,
    over: average > limit + 1e-9,
    atAction: eight >= LEAD_LIMITS[set].action - 1e-9,
    factor: Math.max(1, average / limit),
  };
}

/** Solvents that act alike: the sum of each over its limit; above 1 is over. ACGIH, appendix on mixtures. */
export const mixture = (parts: readonly { readonly ppm: number; readonly limitPpm: number }[]): number =>
  parts.reduce((sum, p) => sum + p.ppm / p.limitPpm, 0);

/** The least mask of a rulebook's list that has a factor, and takes a vapour cartridge where one is needed; null: none does. */
export const maskFor = (list: readonly Respirator[], factor: number, vapour: boolean): Respirator | null =>
  list
    .filter((r) => r.apf >= factor - 1e-9 && (!vapour || r.vapour))
    .reduce<Respirator | null>((a, r) => (a === null || r.apf < a.apf ? r : a), null);

export interface AirSample {
  /** L/min through the filter. */
  readonly lPerMin: number;
  readonly minutes: number;
  /** The least that the lab can see on a filter, ug. */
  readonly leastUg: number;
}
export interface SamplePlan {
  readonly litres: number;
  /** The least that it can show, ug/m3. */
  readonly detectableUgM3: number;
  /** Low enough to say anything about a limit: at most a tenth of it. NIOSH sampling practice. */
  readonly tells: boolean;
}

/**
 * What a personal sample could show.
 * @param shiftMin it cannot run longer than the shift
 * @throws RangedError
 */
export function samplePlan({ lPerMin, minutes, leastUg }: AirSample, shiftMin: number, limitUgM3: number): SamplePlan {
  if (lPerMin <= 0 || minutes <= 0) throw new RangedError('a sample has a flow and a time');
  if (minutes > shiftMin) throw new RangedError(`the sample runs ${minutes} min, the shift ${shiftMin}: it cannot be longer`);
  const litres = lPerMin * minutes;
  const detectableUgM3 = leastUg / (litres / 1000);
  return { litres, detectableUgM3, tells: detectableUgM3 <= limitUgM3 / 10 };
}

/** What a lab found on a filter, ug/m3. */
export const airFrom = (ug: number, litres: number): number => ug / (litres / 1000);

/** Dust with so much lead in it, ug/m3. */
export const leadInDust = (dustMgM3: number, leadPct: number): number => dustMgM3 * 1000 * (leadPct / 100);

/** Two results under the action level, at least seven days apart: monitoring of that task may stop. 29 CFR 1926.62(d)(6). */
export function mayStop(results: readonly { readonly at: string; readonly twa8: number }[], set: LimitSet): boolean {
  const sorted = [...results].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const under = (r: { readonly twa8: number }) => r.twa8 < LEAD_LIMITS[set].action;
  const last = sorted.at(-1);
  if (!last || !under(last)) return false;
  const week = 7 * 24 * 3600 * 1000;
  const run: typeof sorted = [];
  for (const r of [...sorted].reverse()) {
    if (!under(r)) break;
    run.push(r);
  }
  return run.some((r) => Date.parse(last.at) - Date.parse(r.at) >= week);
}

/** How often air is looked at again, months: every six from the action level on, every three above the limit. 29 CFR 1926.62(d)(6). */
export const monthsToNext = (day: DayOfLead): 3 | 6 | null => (day.over ? 3 : day.atAction ? 6 : null);
