/** Why mold grows in a room, and whether it comes back: the climate at its coldest face, and the growth index there; now, and with remedies. */
import type { ColdFace, MoistureFacts, Space } from '../facts';
import { answer, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';
import { FRSI_WANTED, leastTemperatureFactor, RSI_CORNER, RSI_MOLD, surfaceC, surfaceRh, temperatureFactor } from './air';
import type { Climate } from './climate';
import { airChanges, realFlow, wantedFan } from './fan';
import { growthIndex, type MoldMaterial } from './growth';
import { faceClimate, type RoomAir } from './room';

/** In the order in which they are usually tried. */
export const REMEDIES = ['airing', 'laundry', 'furniture', 'heat', 'fan', 'insulation'] as const;
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
/** Windows wide open change the air so often an hour; aired twice for so long a day. From memory of airing trials. */
const OPEN_ACH = 6;
const AIRED_MIN = 40;
/** Walls, floor and furniture that follow the air within a day, Wh/K for each m2 of lining. From memory of building physics tables. */
const HOLDS_WH_M2K = 20;

/** Between the room and the coldest face, m2K/W. ISO 13788 for the plain wall; the rest from memory of its national annexes. */
export const RSI: Readonly<Record<ColdFace, number>> = { plain: RSI_MOLD, corner: RSI_CORNER, curtain: 0.35, furniture: 0.5, builtIn: 1 };

type Size = Pick<Space, 'lengthM' | 'widthM' | 'heightM'>;
const sides = (space: Size): readonly [number, number, number] => [space.lengthM ?? 2.4, space.widthM ?? 1.9, space.heightM ?? 2.5];

/** Which remedies there are to take here: nobody moves furniture that is not there. */
export const remediesFor = (m: MoistureFacts): Remedy[] =>
  REMEDIES.filter((r) => {
    if (r === 'laundry') return m.laundryDries === 'yes';
    if (r === 'furniture') return standsBefore(m);
    if (r === 'insulation') return m.fanRoom === 'cellar' || m.uValueWm2K > LINED_U;
    // Warm air brought into a cellar in summer wets it.
    return r !== 'airing' || m.fanRoom !== 'cellar';
  });
const standsBefore = (m: MoistureFacts): boolean => m.coldFace === 'curtain' || m.coldFace === 'furniture' || m.coldFace === 'builtIn';

/** It moves nothing outdoors. */
const idle = (m: Pick<MoistureFacts, 'fanVentsOutside'>): boolean => m.fanVentsOutside === 'no' || m.fanVentsOutside === 'blowsIn';

export function roomAir(m: MoistureFacts, space: Size, takes: readonly Remedy[], rules: 'us' | 'uk'): RoomAir {
  const [l, w, h] = sides(space);
  const volumeM3 = l * w * h;
  const has = (r: Remedy) => takes.includes(r);
  const real = idle(m) ? 0 : realFlow(m.fanRatedM3h, m.fanMeasuredM3h);
  const linedM2 = 2 * (l + w) * h + l * w;
  const coldM2 = Math.max(l, w) * h;
  return {
    volumeM3,
    insideC: m.insideC + (has('heat') ? MORE_HEAT_C : 0),
    heating: has('heat') ? 'steady' : m.heating,
    letDownC: m.letDownC,
    fabricWK: (has('insulation') ? Math.min(m.uValueWm2K, LINED_U) : m.uValueWm2K) * coldM2,
    capacityWhK: HOLDS_WH_M2K * linedM2,
    fRsi: faceFactor(m, takes),
    coldM2,
    liningM2: LINED_SHARE * linedM2,
    lining: m.lining,
    ground: m.fanRoom === 'cellar',
    leakM3h: m.leakAch * volumeM3,
    fanM3h: has('fan') ? Math.max(real, wantedFan(m.fanRoom, l * w, rules)) : real,
    fanMinPerDay: has('fan') ? Math.max(m.fanMinPerDay, runsOn(m)) : m.fanMinPerDay,
    windowM3h: OPEN_ACH * volumeM3,
    windowMinPerDay: has('airing') ? Math.max(m.windowMinPerDay, AIRED_MIN) : m.windowMinPerDay,
    waterGPerDay: m.waterGPerDay,
    burstsPerDay: m.burstsPerDay,
    alwaysGH: ((m.laundryDries === 'yes' && !has('laundry') ? LAUNDRY_G : 0) + (comesIn(m) ? LEAK_G : 0)) / 24,
    wetFace: comesIn(m),
  };
}
/** Where nothing is given off in bursts, and in a cellar, a fan that is wanted runs all day. */
const runsOn = (m: MoistureFacts): number =>
  m.burstsPerDay > 0 && m.fanRoom !== 'cellar' ? Math.min(1440, m.burstsPerDay * (15 + RUN_ON_MIN)) : 1440;

/** Water comes in from outside or from below: no air and no heat dries what is wetted again. */
const comesIn = (m: Pick<MoistureFacts, 'leak' | 'rising'>): boolean => m.leak === 'yes' || m.rising === 'yes';

/** The coldest face, as answered: a corner is at least a corner. */
const coldFaceOf = (m: Pick<MoistureFacts, 'coldFace' | 'coldCorner'>): ColdFace =>
  m.coldFace === 'plain' && m.coldCorner === 'yes' ? 'corner' : m.coldFace;

type FaceAsked = Pick<MoistureFacts, 'uValueWm2K' | 'coldCorner' | 'coldFace' | 'measuredFaceC' | 'insideC' | 'outsideC'>;
/**
 * Temperature factor of the coldest face: as it was measured, where inside and outside lie far enough apart to tell; else by its heat
 * loss and what stands before it. Furniture taken away leaves the plain wall; lining lets through its share of the heat.
 */
export function faceFactor(m: FaceAsked, takes: readonly Remedy[] = []): number {
  const lined = takes.includes('insulation');
  const cleared = takes.includes('furniture');
  const own = coldFaceOf(m);
  const now = cleared && own !== 'corner' ? 'plain' : own;
  const byWall = temperatureFactor(lined ? Math.min(m.uValueWm2K, LINED_U) : m.uValueWm2K, RSI[now]);
  const measured = measuredFactor(m);
  if (measured === null) return byWall;
  const asIs = temperatureFactor(m.uValueWm2K, RSI[own]);
  // What was measured moves as far as the reckoned one would.
  return asIs >= 1 ? measured : Math.min(1, Math.max(0, 1 - ((1 - measured) * (1 - byWall)) / (1 - asIs)));
}
/** Inside and outside at least so far apart, or a reading of the face says nothing, C. ISO 13788 practice, from memory. */
const TELLS_FROM_C = 8;
export function measuredFactor({
  measuredFaceC,
  insideC,
  outsideC,
}: Pick<FaceAsked, 'measuredFaceC' | 'insideC' | 'outsideC'>): number | null {
  if (measuredFaceC === null || insideC - outsideC < TELLS_FROM_C || measuredFaceC < outsideC || measuredFaceC > insideC) return null;
  return (measuredFaceC - outsideC) / (insideC - outsideC);
}

export interface Outlook {
  /** None: as it is. */
  readonly takes: readonly Remedy[];
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
  /** What it takes to heat, kWh over the climate given. */
  readonly heatKWh: number;
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

/** What becomes of the room with some remedies. @param onProgress share done, 0 to 1 */
export function outlook(
  m: MoistureFacts,
  space: Size,
  climate: Climate,
  material: MoldMaterial,
  takes: readonly Remedy[],
  rules: 'us' | 'uk',
  onProgress?: (share: number) => void,
): Outlook {
  const air = roomAir(m, space, takes, rules);
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
  const dailyM3h = air.leakM3h + (air.fanM3h * air.fanMinPerDay + air.windowM3h * air.windowMinPerDay) / 1440;
  return {
    takes,
    fRsi: air.fRsi,
    airChanges: airChanges(dailyM3h, air.volumeM3),
    dampestMonthRhPct: dampestMonth(face.rhPct),
    hoursAbove80: above,
    weekly,
    peak,
    firstWeek: reached(1),
    seenWeek: reached(3),
    heatKWh: face.heat.heated / 1000,
  };
}

/** Whether the reading of the coldest spot is taken, or says nothing. */
function faceWords(m: MoistureFacts): Reason[] {
  if (m.measuredFaceC === null) return [];
  const facts = { face: measure(m.measuredFaceC, 'C'), inside: measure(m.insideC, 'C'), outside: measure(m.outsideC, 'C') };
  return measuredFactor(m) === null
    ? [why('moist.faceUntold', 'iso13788', { ...facts, apart: measure(TELLS_FROM_C, 'deltaC') }, 'care')]
    : [why('moist.faceMeasured', 'iso13788', facts)];
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
      because: [reason(risk === 'condenses' ? 'moist.condenses' : risk === 'risk' ? 'moist.risk' : 'moist.dry'), factor, ...faceWords(m)],
    },
  };
}

/** Is the fan enough? */
export type FanVerdict = 'enough' | 'weak' | 'none' | 'intoRoof' | 'blowsIn';
export function fanVerdict(m: MoistureFacts, floorM2: number, rules: 'us' | 'uk'): Answer<FanVerdict> {
  const wanted = wantedFan(m.fanRoom, floorM2, rules);
  const real = realFlow(m.fanRatedM3h, m.fanMeasuredM3h);
  const source = m.fanRoom === 'cellar' && rules === 'us' ? 'mem-cellar' : rules === 'us' ? 'hvi' : 'adf';
  // Cold faces and warm outside air: what is brought in wets them.
  const summer = m.fanRoom === 'cellar' ? [why('moist.cellarSummer', 'trade-mold', {}, 'care')] : [];
  const facts = { flow: [measure(Math.round(real), 'm3/h'), measure(Math.round(wanted), 'm3/h')] as const };
  if (m.fanRatedM3h === null && m.fanMeasuredM3h === null)
    return answer('none', why('moist.fanNone', source, { wanted: measure(Math.round(wanted), 'm3/h') }));
  if (m.fanVentsOutside === 'no') return answer('intoRoof', why('moist.fanIntoRoof', 'trade-mold', {}));
  if (m.fanVentsOutside === 'blowsIn') return answer('blowsIn', why('moist.fanBlowsIn', 'trade-mold', {}, 'care'));
  const guessed = m.fanMeasuredM3h === null ? [why('moist.fanGuessed', 'trade-mold', { rated: measure(m.fanRatedM3h ?? 0, 'm3/h') })] : [];
  return {
    value: real >= wanted ? 'enough' : 'weak',
    because: [why(real >= wanted ? 'moist.fanEnough' : 'moist.fanWeak', source, facts), ...guessed, ...summer],
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
