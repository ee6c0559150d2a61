/** A logger's days laid over what was reckoned: whether the inputs explain them, what water they show, and how damp the coldest face was. */
import type { Logged, MoistureFacts, Space } from '../facts';
import { answer, why, type Answer } from '../reasons';
import { formatMeasure, measure, type UnitSystem } from '../units/units';
import { saturationPa, surfaceC, surfaceRh, vapourGM3 } from './air';
import type { Climate } from './climate';
import { faceFactor, roomAir } from './cause';
import { faceClimate } from './room';

/** Hourly means; NaN: an hour without a value. */
export interface Logger {
  readonly from: string;
  readonly tempC: Float64Array;
  readonly rhPct: Float64Array;
  /** Hour of the year of the first value, 0 to 8759. */
  readonly startsAt: number;
}

export interface LaidOver {
  readonly logged: Logged;
  /** Reckoned humidity of the room in the same hours, %. */
  readonly reckonedRhPct: Float64Array;
  /** Water that the days show, g a day, at the air changes that were entered. */
  readonly shownGPerDay: number;
  /** Air changes an hour as the humidity fell after its tops; null: it never fell freely. */
  readonly shownAch: number | null;
  readonly verdict: Answer<'fits' | 'wetter' | 'drier' | 'elsewhere'>;
}

/** So far from what was reckoned is more than loggers and guesses differ, g/m3. Common practice, no published source. */
const OFF_GM3 = 1;
/** Room and outside so alike, C, are one place. Common practice, no published source. */
const ALIKE_C = 1.5;
/** So many hours of falling humidity tell how fast the air changes. Common practice, no published source. */
const FALLS_FOR = 3;

/** What is kept of a logger, in one sentence for every screen and paper. */
export function loggedSays(l: Logged, units: UnitSystem): string {
  const gaps = l.missing > 0 ? `, ${l.missing} h missing` : '';
  const face =
    l.faceRhPct === null || l.hoursAbove80 === null
      ? 'at the coldest face not known: the weather of those days was not at hand'
      : `${Math.round(l.faceRhPct)} % at the coldest face, ${l.hoursAbove80} h at 80 % and more there`;
  return `Logged from ${l.from}: ${l.hours} h${gaps}; on average ${formatMeasure(measure(l.meanC, 'C'), units)} and ${Math.round(l.meanRhPct)} % in the room, ${face}.`;
}

const mean = (xs: readonly number[]): number => (xs.length === 0 ? 0 : xs.reduce((a, b) => a + b, 0) / xs.length);

/** The climate of the hours of the logger: the year begins again after its end. */
const hourOf = (k: Climate, logger: Logger, i: number): number => {
  const n = k.tempC.length;
  return (((logger.startsAt + i - k.startsAt) % n) + n) % n;
};

/**
 * @param climate outside; a simulated one says nothing of those very days, so that only means are held against it
 */
export function laidOver(
  m: MoistureFacts,
  space: Pick<Space, 'lengthM' | 'widthM' | 'heightM'>,
  climate: Climate,
  logger: Logger,
  rules: 'us' | 'uk',
): LaidOver {
  const n = logger.tempC.length;
  const air = roomAir(m, space, [], rules);
  // Two days before, so that it has settled when the logger begins.
  const lead = 48;
  const at = Array.from({ length: n + lead }, (_, i) => hourOf(climate, logger, i - lead));
  const hours: Climate = {
    tempC: Float64Array.from(at, (h) => climate.tempC[h]!),
    rhPct: Float64Array.from(at, (h) => climate.rhPct[h]!),
    startsAt: (((logger.startsAt - lead) % 24) + 24) % 24,
    simulated: climate.simulated,
  };
  const sim = faceClimate(air, hours);
  const reckonedRhPct = sim.roomRhPct.slice(lead);
  const fRsi = faceFactor(m);
  const there = Array.from({ length: n }, (_, i) => i).filter((i) => !Number.isNaN(logger.tempC[i]!) && !Number.isNaN(logger.rhPct[i]!));
  const gM3 = (c: number, rh: number) => vapourGM3((saturationPa(c) * rh) / 100, c);
  const inside = there.map((i) => gM3(logger.tempC[i]!, logger.rhPct[i]!));
  const outside = there.map((i) => gM3(hours.tempC[i + lead]!, hours.rhPct[i + lead]!));
  const reckoned = there.map((i) => gM3(sim.roomC[i + lead]!, reckonedRhPct[i]!));
  const face = there.map((i) => {
    const faceC = surfaceC(logger.tempC[i]!, hours.tempC[i + lead]!, fRsi);
    return surfaceRh(logger.tempC[i]!, logger.rhPct[i]!, faceC);
  });
  const dailyM3h = air.leakM3h + (air.fanM3h * air.fanMinPerDay + air.windowM3h * air.windowMinPerDay) / 1440;
  const shownGPerDay = Math.max(0, dailyM3h * (mean(inside) - mean(outside)) * 24);
  const apart = mean(there.map((i) => Math.abs(logger.tempC[i]! - hours.tempC[i + lead]!)));
  const heated = m.heating !== 'off' && m.insideC - mean(there.map((i) => hours.tempC[i + lead]!)) > 2 * ALIKE_C;
  const off = mean(inside) - mean(reckoned);
  const logged: Logged = {
    from: logger.from,
    hours: n,
    missing: n - there.length,
    meanC: mean(there.map((i) => logger.tempC[i]!)),
    meanRhPct: mean(there.map((i) => logger.rhPct[i]!)),
    faceRhPct: climate.simulated ? null : mean(face),
    hoursAbove80: climate.simulated ? null : face.filter((rh) => rh >= 80).length,
  };
  const facts = { humid: measure(Math.round(logged.meanRhPct), '%RH'), reckoned: measure(Math.round(mean([...reckonedRhPct])), '%RH') };
  const verdict: LaidOver['verdict'] =
    heated && apart < ALIKE_C
      ? answer('elsewhere', why('logger.elsewhere', 'trade-mold', { apart: measure(Math.round(apart * 10) / 10, 'deltaC') }, 'care'))
      : Math.abs(off) <= OFF_GM3
        ? answer('fits', why('logger.fits', 'trade-mold', facts))
        : off > 0
          ? answer(
              'wetter',
              why('logger.wetter', 'trade-mold', { ...facts, water: measure(Math.round(shownGPerDay / 10) * 10, 'g') }, 'care'),
            )
          : answer('drier', why('logger.drier', 'trade-mold', facts));
  return { logged, reckonedRhPct, shownGPerDay, shownAch: changesShown(inside, outside, there), verdict };
}

/** ln of the excess over outside falls by the air changes, where nothing is given off: the steepest run of hours that fall. */
function changesShown(inside: readonly number[], outside: readonly number[], hours: readonly number[]): number | null {
  const excess = inside.map((v, i) => v - outside[i]!);
  let best: number | null = null;
  for (let i = 0; i + FALLS_FOR < excess.length; i += 1) {
    const run = excess.slice(i, i + FALLS_FOR + 1);
    const whole = hours[i + FALLS_FOR]! - hours[i]! === FALLS_FOR;
    if (!whole || run.some((x) => x <= 0.2) || run.some((x, k) => k > 0 && x >= run[k - 1]!)) continue;
    const ach = Math.log(run[0]! / run[FALLS_FOR]!) / FALLS_FOR;
    if (best === null || ach > best) best = ach;
  }
  return best;
}
