/** Why mold grows in a room, and whether it comes back: the climate at its coldest face, and the growth index there; now, and with each remedy. */
import type { MoistureFacts, Space } from '../facts';
import { answer, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';
import { FRSI_WANTED, leastTemperatureFactor, surfaceC, surfaceRh, RSI_CORNER, RSI_MOLD, temperatureFactor } from './air';
import type { Climate } from './climate';
import { airChanges, realFlow, wantedFan } from './fan';
import { growthIndex, type MoldMaterial } from './growth';
import { faceClimate, type RoomAir } from './room';

export const REMEDIES = ['now', 'fan', 'heat', 'insulation', 'all'] as const;
export type Remedy = (typeof REMEDIES)[number];

/** Heated by this much more, and never let down. */
const MORE_HEAT_C = 2;
/** A wall or roof lined to about this. Common practice: 60 to 80 mm of insulation. */
const LINED_U = 0.4;
/** Wash that dries indoors gives off so much, g a day; water that comes in and dries into the room, g a day. From memory of moisture surveys. */
const LAUNDRY_G = 1500;
const LEAK_G = 500;
/** Of walls and ceiling, what is not tiled, behind a cupboard or the coldest face itself. Common practice, no published source. */
const LINED_SHARE = 0.5;
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
    fRsi: faceFactor(m, with_('insulation')),
    coldM2: Math.max(l, w) * h,
    liningM2: LINED_SHARE * (2 * (l + w) * h + l * w),
    leakM3h: m.leakAch * volumeM3,
    fanM3h: with_('fan') ? Math.max(real, wantedFan(m.fanRoom, l * w, rules)) : real,
    fanMinPerDay: with_('fan') ? Math.max(m.fanMinPerDay, m.burstsPerDay * (15 + RUN_ON_MIN)) : m.fanMinPerDay,
    waterGPerDay: m.waterGPerDay,
    burstsPerDay: m.burstsPerDay,
    alwaysGH: ((m.laundryDries === 'yes' ? LAUNDRY_G : 0) + (comesIn(m) ? LEAK_G : 0)) / 24,
    wetFace: comesIn(m),
  };
}

/** Water comes in from outside or from below: no air and no heat dries what is wetted again. */
const comesIn = (m: Pick<MoistureFacts, 'leak' | 'rising'>): boolean => m.leak === 'yes' || m.rising === 'yes';

/** Of its coldest face; a corner, or a wall behind furniture, keeps less of the warmth of the room. */
const faceFactor = (m: Pick<MoistureFacts, 'uValueWm2K' | 'coldCorner'>, lined = false): number =>
  temperatureFactor(lined ? Math.min(m.uValueWm2K, LINED_U) : m.uValueWm2K, m.coldCorner === 'yes' ? RSI_CORNER : RSI_MOLD);

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
  const fRsi = faceFactor(m);
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

/**
 * In words: does it come back?
 * @param seen growth stands there now: then an answer that it stays away says only that something is not known yet
 */
export function comesBack(
  now: Outlook,
  m: Pick<MoistureFacts, 'leak' | 'rising'>,
  seen: boolean,
): Answer<'yes' | 'slowly' | 'no' | 'unexplained'> {
  if (comesIn(m)) return answer('yes', why('moist.comesIn', 'trade-mold'));
  if (now.seenWeek !== null) return answer('yes', why('moist.comesBack', 'hukka-viitanen', { weeks: Math.ceil(now.seenWeek) }));
  if (now.firstWeek !== null) return answer('slowly', why('moist.comesSlowly', 'hukka-viitanen', { weeks: Math.ceil(now.firstWeek) }));
  const weeks = now.weekly.length - 1;
  if (seen) return answer('unexplained', why('moist.unexplained', 'hukka-viitanen', { weeks }, 'care'));
  return answer('no', why('moist.staysAway', 'hukka-viitanen', { weeks }));
}
