/**
 * Why mold grows in a room, and whether it comes back: an hourly balance of the room's vapour, the climate at its coldest face,
 * and the growth index there; now, and with each remedy.
 */
import type { MoistureFacts, Space } from '../facts';
import { answer, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';
import { FRSI_WANTED, leastTemperatureFactor, saturationPa, surfaceC, surfaceRh, temperatureFactor, vapourGM3, vapourPa } from './air';
import type { Climate } from './climate';
import { airChanges, realFlow, wantedFan } from './fan';
import { growthIndex, type MoldMaterial } from './growth';

export const REMEDIES = ['now', 'fan', 'heat', 'insulation', 'all'] as const;
export type Remedy = (typeof REMEDIES)[number];

export interface RoomAir {
  readonly volumeM3: number;
  readonly insideC: number;
  readonly fRsi: number;
  readonly leakM3h: number;
  readonly fanM3h: number;
  readonly fanMinPerDay: number;
  readonly waterGPerDay: number;
  readonly burstsPerDay: number;
}

/** Heated by this much more, and never let down. */
const MORE_HEAT_C = 2;
/** A wall or roof lined to about this. Common practice: 60 to 80 mm of insulation. */
const LINED_U = 0.4;
/** A better fan runs on after each burst. Common practice: 30 minutes. */
const RUN_ON_MIN = 30;

export function roomAir(
  m: MoistureFacts,
  space: Pick<Space, 'lengthM' | 'widthM' | 'heightM'>,
  remedy: Remedy,
  rules: 'us' | 'uk',
): RoomAir {
  const [l, w, h] = [space.lengthM ?? 2.4, space.widthM ?? 1.9, space.heightM ?? 2.5];
  const volumeM3 = l * w * h;
  const with_ = (r: Remedy) => remedy === r || remedy === 'all';
  const real = m.fanVentsOutside === 'no' ? 0 : realFlow(m.fanRatedM3h, m.fanMeasuredM3h);
  return {
    volumeM3,
    insideC: m.insideC + (with_('heat') ? MORE_HEAT_C : 0),
    fRsi: temperatureFactor(with_('insulation') ? Math.min(m.uValueWm2K, LINED_U) : m.uValueWm2K),
    leakM3h: m.leakAch * volumeM3,
    fanM3h: with_('fan') ? Math.max(real, wantedFan(m.fanRoom, l * w, rules)) : real,
    fanMinPerDay: with_('fan') ? Math.max(m.fanMinPerDay, m.burstsPerDay * (15 + RUN_ON_MIN)) : m.fanMinPerDay,
    waterGPerDay: m.waterGPerDay,
    burstsPerDay: m.burstsPerDay,
  };
}

/** Hours of the day in which water is given off: spread from seven in the morning to ten at night. */
function burstHours(n: number): readonly number[] {
  return Array.from({ length: n }, (_, i) => (n === 1 ? 7 : 7 + Math.round((15 * i) / (n - 1))));
}

export interface FaceClimate {
  readonly tempC: Float64Array;
  readonly rhPct: Float64Array;
}

/** Steps in an hour: a shower is a matter of a quarter of an hour. */
const STEPS = 4;
const STEP_H = 1 / STEPS;

/**
 * Climate at the coldest face, hour by hour. Vapour: V dv/dt = G - Q (v - v_out), solved exactly within each quarter of an hour;
 * water is given off in the first quarter of a burst, the fan runs from then on for its share of the day's minutes; what the air
 * cannot hold at the face condenses there.
 */
export function faceClimate(air: RoomAir, outside: Climate): FaceClimate {
  const n = outside.tempC.length;
  const tempC = new Float64Array(n);
  const rhPct = new Float64Array(n);
  const bursts = new Uint8Array(24);
  for (const h of burstHours(air.burstsPerDay)) bursts[h]! += 1;
  const perBurstG = air.burstsPerDay > 0 ? air.waterGPerDay / air.burstsPerDay : 0;
  const backgroundGH = air.burstsPerDay > 0 ? 0 : air.waterGPerDay / 24;
  const fanPerBurstH = air.burstsPerDay > 0 ? air.fanMinPerDay / 60 / air.burstsPerDay : 0;
  const fanAlways = air.burstsPerDay > 0 ? 0 : air.fanMinPerDay / 1440;
  let fanLeftH = 0;
  let v = vapourGM3((saturationPa(air.insideC) * 50) / 100, air.insideC);
  for (let i = 0; i < n; i += 1) {
    const out = outside.tempC[i]!;
    const face = surfaceC(air.insideC, out, air.fRsi);
    const saturated = saturationPa(face);
    const most = vapourGM3(saturated, air.insideC);
    const vOut = vapourGM3((saturationPa(out) * outside.rhPct[i]!) / 100, air.insideC);
    const here = bursts[(outside.startsAt + i) % 24]!;
    if (here > 0) fanLeftH += here * fanPerBurstH;
    let sum = 0;
    for (let step = 0; step < STEPS; step += 1) {
      const fanShare = fanAlways + Math.min(1, fanLeftH / STEP_H);
      fanLeftH = Math.max(0, fanLeftH - STEP_H);
      const q = air.leakM3h + air.fanM3h * fanShare;
      const g = backgroundGH + (step === 0 ? (here * perBurstG) / STEP_H : 0);
      if (q > 1e-9) {
        const steady = vOut + g / q;
        v = steady + (v - steady) * Math.exp((-q * STEP_H) / air.volumeM3);
      } else v += (g * STEP_H) / air.volumeM3;
      if (v > most) v = most;
      sum += v;
    }
    tempC[i] = face;
    rhPct[i] = Math.min(100, (100 * vapourPa(sum / STEPS, air.insideC)) / saturated);
  }
  return { tempC, rhPct };
}

export interface Outlook {
  readonly remedy: Remedy;
  readonly fRsi: number;
  readonly airChanges: number;
  /** Mean humidity at the face in the dampest month, %. */
  readonly dampestMonthRhPct: number;
  readonly hoursAbove80: number;
  /** Index at the end of each week. */
  readonly weekly: readonly number[];
  readonly peak: number;
  /** Weeks until growth is first seen under a microscope (1) and by eye (3); null: not within the climate given. */
  readonly firstWeek: number | null;
  readonly seenWeek: number | null;
}

const HOURS_A_WEEK = 168;
const HOURS_A_MONTH = 730;

function dampestMonth(rh: Float64Array): number {
  let worst = 0;
  for (let from = 0; from < rh.length; from += HOURS_A_MONTH) {
    const part = rh.subarray(from, from + HOURS_A_MONTH);
    if (part.length < 24) continue;
    worst = Math.max(worst, part.reduce((a, b) => a + b, 0) / part.length);
  }
  return worst;
}

/** What becomes of the room under one remedy. @param onProgress share done, 0 to 1 */
export function outlook(
  m: MoistureFacts,
  space: Pick<Space, 'lengthM' | 'widthM' | 'heightM'>,
  climate: Climate,
  material: MoldMaterial,
  remedy: Remedy,
  rules: 'us' | 'uk',
  onProgress?: (share: number) => void,
): Outlook {
  const air = roomAir(m, space, remedy, rules);
  const face = faceClimate(air, climate);
  const index = growthIndex(face.tempC, face.rhPct, material, 0, onProgress && ((done) => onProgress(done / face.tempC.length)));
  const weekly: number[] = [0];
  for (let i = HOURS_A_WEEK - 1; i < index.length; i += HOURS_A_WEEK) weekly.push(index[i]!);
  const reached = (level: number) => {
    const at = index.findIndex((x) => x >= level);
    return at < 0 ? null : (at + 1) / HOURS_A_WEEK;
  };
  let peak = 0;
  let above = 0;
  for (let i = 0; i < index.length; i += 1) {
    if (index[i]! > peak) peak = index[i]!;
    if (face.rhPct[i]! >= 80) above += 1;
  }
  return {
    remedy,
    fRsi: air.fRsi,
    airChanges: airChanges(air.leakM3h + (air.fanM3h * air.fanMinPerDay) / 1440, air.volumeM3),
    dampestMonthRhPct: dampestMonth(face.rhPct),
    hoursAbove80: above,
    weekly,
    peak,
    firstWeek: reached(1),
    seenWeek: reached(3),
  };
}

export interface SpotClimate {
  readonly faceC: number;
  readonly faceRhPct: number;
  readonly fRsi: number;
  readonly leastFRsi: number;
  readonly risk: Answer<'dry' | 'risk' | 'condenses'>;
}

/** The moment's picture from spot readings: ISO 13788, 80 % at the face. */
export function spotClimate(m: MoistureFacts): SpotClimate {
  const fRsi = temperatureFactor(m.uValueWm2K);
  const faceC = surfaceC(m.insideC, m.outsideC, fRsi);
  const faceRhPct = surfaceRh(m.insideC, m.insideRhPct, faceC);
  const reason = (rule: 'moist.condenses' | 'moist.risk' | 'moist.dry'): Reason =>
    why(rule, 'iso13788', { face: measure(faceC, 'C'), humid: [measure(Math.round(faceRhPct), '%RH'), measure(80, '%RH')] });
  const factor = why(fRsi >= FRSI_WANTED ? 'moist.factorGood' : 'moist.factorLow', 'bre-ip1-06', {
    factor: Number(fRsi.toFixed(2)),
    wanted: FRSI_WANTED,
  });
  const risk = faceRhPct >= 100 ? 'condenses' : faceRhPct >= 80 ? 'risk' : 'dry';
  return {
    faceC,
    faceRhPct,
    fRsi,
    leastFRsi: m.insideC > m.outsideC ? leastTemperatureFactor(m.insideC, m.insideRhPct, m.outsideC) : 0,
    risk: {
      value: risk,
      because: [reason(risk === 'condenses' ? 'moist.condenses' : risk === 'risk' ? 'moist.risk' : 'moist.dry'), factor],
    },
  };
}

/** Is the fan enough? */
export function fanVerdict(m: MoistureFacts, floorM2: number, rules: 'us' | 'uk'): Answer<'enough' | 'weak' | 'none' | 'intoRoof'> {
  const wanted = wantedFan(m.fanRoom, floorM2, rules);
  const real = realFlow(m.fanRatedM3h, m.fanMeasuredM3h);
  const source = rules === 'us' ? 'hvi' : 'adf';
  const facts = { flow: [measure(Math.round(real), 'm3/h'), measure(Math.round(wanted), 'm3/h')] as const };
  if (m.fanRatedM3h === null && m.fanMeasuredM3h === null)
    return answer('none', why('moist.fanNone', source, { wanted: measure(Math.round(wanted), 'm3/h') }));
  if (m.fanVentsOutside === 'no') return answer('intoRoof', why('moist.fanIntoRoof', 'trade-mold', {}));
  const guessed = m.fanMeasuredM3h === null ? [why('moist.fanGuessed', 'trade-mold', { rated: measure(m.fanRatedM3h ?? 0, 'm3/h') })] : [];
  return {
    value: real >= wanted ? 'enough' : 'weak',
    because: [why(real >= wanted ? 'moist.fanEnough' : 'moist.fanWeak', source, facts), ...guessed],
  };
}

/** In words: does it come back? */
export function comesBack(now: Outlook): Answer<'yes' | 'slowly' | 'no'> {
  if (now.seenWeek !== null) return answer('yes', why('moist.comesBack', 'hukka-viitanen', { weeks: Math.ceil(now.seenWeek) }));
  if (now.firstWeek !== null) return answer('slowly', why('moist.comesSlowly', 'hukka-viitanen', { weeks: Math.ceil(now.firstWeek) }));
  return answer('no', why('moist.staysAway', 'hukka-viitanen', { weeks: now.weekly.length - 1 }));
}
