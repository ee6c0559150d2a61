/**
 * Heat and vapour of a room through a year: what heats it, what is given off, what the air outside, the fan and the windows take away, what
 * the linings take up and give back, what condenses on the coldest face, stays there and dries off again. Every gram and every watt hour
 * is accounted for (`WaterAccount`, `HeatAccount`).
 */
import type { Heating, LiningId } from '../facts';
import { saturationPa, surfaceC, vapourGM3, vapourPa } from './air';
import type { Climate } from './climate';

export interface RoomAir {
  readonly volumeM3: number;
  /** While it is heated, C; while it is not, so much less is held. */
  readonly insideC: number;
  readonly heating: Heating;
  readonly letDownC: number;
  /** Of its outside walls, W/K; what its walls hold, Wh/K. */
  readonly fabricWK: number;
  readonly capacityWhK: number;
  readonly fRsi: number;
  /** The face on which it condenses first, and the linings that take up vapour, m2. */
  readonly coldM2: number;
  readonly liningM2: number;
  readonly lining: LiningId;
  /** The coldest face lies against the ground, not the air: it keeps the mean of the year. */
  readonly ground: boolean;
  readonly leakM3h: number;
  readonly fanM3h: number;
  readonly fanMinPerDay: number;
  readonly windowM3h: number;
  readonly windowMinPerDay: number;
  readonly waterGPerDay: number;
  readonly burstsPerDay: number;
  /** Given off the whole day long, beside the bursts, g/h: wash that dries, water that comes in and dries into the room. */
  readonly alwaysGH: number;
  /** Water comes in at the face itself, which stays wet whatever the air does. */
  readonly wetFace: boolean;
}

/** g of water over the whole run; what came in is what went out, and what is still there. */
export interface WaterAccount {
  readonly givenOff: number;
  /** Net, with the air: what went out less what came in. */
  readonly airedOut: number;
  readonly ranOff: number;
  /** More in the air, in the linings and on the face at the end than at the start. */
  readonly kept: number;
}

/** Wh over the whole run; what was heated is what was lost, and what is still there. */
export interface HeatAccount {
  readonly heated: number;
  readonly withAir: number;
  readonly throughWalls: number;
  readonly kept: number;
}

export interface FaceClimate {
  readonly roomC: Float64Array;
  readonly roomRhPct: Float64Array;
  readonly tempC: Float64Array;
  readonly rhPct: Float64Array;
  /** Water on the coldest face at the end of each hour, g/m2. */
  readonly wetGM2: Float64Array;
  readonly water: WaterAccount;
  readonly heat: HeatAccount;
}

/** Vapour to a face, m/h: 2.5 W/m2K by convection over the heat that a m3 of air holds, 1,206 J/K. Lewis relation. */
export const TO_FACE_MH = (2.5 / 1206) * 3600;
/** Heat of a m3 of air, Wh/K: 1.206 kJ. */
export const AIR_WH_M3K = 1206 / 3600;
/** What hangs on a face before it runs down, g/m2. ISO 13788, from memory. */
export const RUNS_OFF_GM2 = 200;

interface Lining {
  /** Vapour permeability, kg/(m s Pa); dry density, kg/m3. */
  readonly permeability: number;
  readonly density: number;
  /** What it takes up from dry to wet air, kg/kg. */
  readonly takesUp: number;
  /** Its paint or glaze as metres of still air. */
  readonly paintSdM: number;
}
/** From memory of building physics tables. */
export const LINING: Readonly<Record<LiningId, Lining>> = {
  plaster: { permeability: 2.5e-11, density: 700, takesUp: 0.02, paintSdM: 0.1 },
  board: { permeability: 2.2e-11, density: 750, takesUp: 0.012, paintSdM: 0.1 },
  timber: { permeability: 4e-12, density: 450, takesUp: 0.22, paintSdM: 0.5 },
  lime: { permeability: 2.2e-11, density: 1500, takesUp: 0.012, paintSdM: 0.02 },
  tiles: { permeability: 1e-12, density: 2000, takesUp: 0.002, paintSdM: 100 },
};
/** Of still air, m2/h. */
const IN_AIR_M2H = 0.09;
const DAY_S = 86_400;

/**
 * How deep a day's swing of vapour reaches into a lining, m: sqrt(D t / pi), with D its permeability over what it stores. The effective
 * penetration depth of the NORDTEST method (2005), from memory.
 */
export function penetrationM(c: number, { permeability, density, takesUp }: Lining = LINING.plaster): number {
  const diffusivity = (permeability * saturationPa(c)) / (density * takesUp);
  return Math.sqrt((diffusivity * DAY_S) / Math.PI);
}

/** Hours of the day in which water is given off: spread from seven in the morning to ten at night. */
function burstHours(n: number): readonly number[] {
  return Array.from({ length: n }, (_, i) => (n === 1 ? 7 : 7 + Math.round((15 * i) / (n - 1))));
}

/** Whether it is heated in an hour of the day. `night`: from six to ten in the evening; `twice`: in the morning and in the evening. */
const WARM: Readonly<Record<Heating, (hour: number) => boolean>> = {
  steady: () => true,
  night: (h) => h >= 6 && h < 22,
  twice: (h) => (h >= 6 && h < 9) || (h >= 17 && h < 22),
  off: () => false,
};
/** Windows are opened in the morning first, then in the evening, then through the day. */
const AIRED = [8, 20, 12, 16, 10, 14, 18, 9, 11, 13, 15, 17, 19, 21, 7, 22, 6, 23, 5, 0, 1, 2, 3, 4] as const;
function windowShares(minutes: number): Float64Array {
  const out = new Float64Array(24);
  let left = minutes / 60;
  for (const h of AIRED) {
    out[h] = Math.min(1, left);
    left -= out[h]!;
    if (left <= 0) break;
  }
  return out;
}

/** Steps in an hour: a shower is a matter of a quarter of an hour. */
const STEPS = 12;
const STEP_H = 1 / STEPS;
/** A burst lasts so many of them. */
const BURST_STEPS = 3;

const meanOf = (xs: Float64Array): number => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length);

/**
 * Climate at the coldest face, hour by hour.
 * C dT/dt = P - H (T - T_out), heated to what is held, never cooled.
 * V dv/dt = G - Q (v - v_out) - A_l h_l (v - phi_l v_sat) - A_f h_f (v - v_sat,f) while something is or becomes wet there;
 * M dphi_l/dt = A_l h_l (v - phi_l v_sat) for the linings; each step is solved with the values at its end, which keeps the accounts exact
 * and never overshoots. The heat of the condensate itself is left out: a gram an hour is 0.7 W.
 * @param outside one value an hour
 */
export function faceClimate(air: RoomAir, outside: Climate): FaceClimate {
  const n = outside.tempC.length;
  const roomC = new Float64Array(n);
  const roomRhPct = new Float64Array(n);
  const tempC = new Float64Array(n);
  const rhPct = new Float64Array(n);
  const wetGM2 = new Float64Array(n);
  const bursts = new Uint8Array(24);
  for (const h of burstHours(air.burstsPerDay)) bursts[h]! += 1;
  const windows = windowShares(air.windowMinPerDay);
  const perBurstG = air.burstsPerDay > 0 ? air.waterGPerDay / air.burstsPerDay : 0;
  const backgroundGH = air.alwaysGH + (air.burstsPerDay > 0 ? 0 : air.waterGPerDay / 24);
  const fanPerBurstH = air.burstsPerDay > 0 ? air.fanMinPerDay / 60 / air.burstsPerDay : 0;
  const fanAlways = air.burstsPerDay > 0 ? 0 : air.fanMinPerDay / 1440;
  const volume = air.volumeM3;
  const lined = LINING[air.lining];
  const warm = WARM[air.heating];
  const groundC = air.ground ? meanOf(outside.tempC) : 0;
  // What the linings hold between dry and wet, g; half their depth stands between its middle and the face.
  const depth = penetrationM(air.insideC, lined);
  const store = air.liningM2 * lined.density * lined.takesUp * depth * 1000;
  const asStillAir = 2e-10 / lined.permeability;
  const resist = 1 / TO_FACE_MH + (lined.paintSdM + (asStillAir * depth) / 2) / IN_AIR_M2H;
  const toLining = air.liningM2 / resist;
  const toFace = air.coldM2 * TO_FACE_MH;

  let room = air.insideC;
  let phi = 0.5;
  let v = vapourGM3(saturationPa(room), room) * phi;
  let wet = 0;
  let fanLeftH = 0;
  const start = volume * v + store * phi;
  const water = { givenOff: 0, airedOut: 0, ranOff: 0 };
  const heat = { heated: 0, withAir: 0, throughWalls: 0 };
  const runsOff = RUNS_OFF_GM2 * air.coldM2;
  for (let i = 0; i < n; i += 1) {
    const out = outside.tempC[i]!;
    const hour = (outside.startsAt + i) % 24;
    const here = bursts[hour]!;
    if (here > 0) fanLeftH += here * fanPerBurstH;
    const always = air.leakM3h + air.windowM3h * windows[hour]!;

    // Heat, over the hour.
    const aired = AIR_WH_M3K * (always + air.fanM3h * Math.min(1, fanAlways + Math.min(1, fanLeftH)));
    const behind = air.ground ? groundC : out;
    const lossTo = aired * out + air.fabricWK * behind;
    const holds = air.capacityWhK + aired + air.fabricWK;
    let next = holds > 0 ? (air.capacityWhK * room + lossTo) / holds : room;
    const held = air.heating === 'off' ? -Infinity : warm(hour) ? air.insideC : air.insideC - air.letDownC;
    if (next < held) {
      heat.heated += holds * (held - next);
      next = held;
    }
    room = next;
    heat.withAir += aired * (room - out);
    heat.throughWalls += air.fabricWK * (room - behind);

    const face = surfaceC(room, behind, air.fRsi);
    const saturated = saturationPa(face);
    const vFace = vapourGM3(saturated, room);
    const vOut = vapourGM3((saturationPa(out) * outside.rhPct[i]!) / 100, room);
    const vSat = vapourGM3(saturationPa(room), room);
    const lining = store > 0 ? (toLining * store) / (store + STEP_H * toLining * vSat) : 0;
    let sum = 0;
    let inRoom = 0;
    for (let step = 0; step < STEPS; step += 1) {
      const fanShare = Math.min(1, fanAlways + Math.min(1, fanLeftH / STEP_H));
      fanLeftH = Math.max(0, fanLeftH - STEP_H);
      const q = always + air.fanM3h * fanShare;
      const g = backgroundGH + (step < BURST_STEPS ? (here * perBurstG) / (BURST_STEPS * STEP_H) : 0);
      const without = volume / STEP_H + q + lining;
      const gains = (volume * v) / STEP_H + g + q * vOut + lining * vSat * phi;
      let now = gains / without;
      let onFace = 0;
      if (wet > 0 || now > vFace) {
        now = (gains + toFace * vFace) / (without + toFace);
        onFace = toFace * (now - vFace) * STEP_H;
        if (wet + onFace < 0) {
          // The last of it dries off within the step.
          onFace = -wet;
          now = (gains + wet / STEP_H) / without;
        }
      }
      if (store > 0) phi = (store * phi + STEP_H * toLining * now) / (store + STEP_H * toLining * vSat);
      v = now;
      wet += onFace;
      if (wet > runsOff) {
        water.ranOff += wet - runsOff;
        wet = runsOff;
      }
      water.givenOff += g * STEP_H;
      water.airedOut += q * (v - vOut) * STEP_H;
      inRoom += v;
      sum += wet > 0 ? vFace : Math.min(v, vFace);
    }
    roomC[i] = room;
    roomRhPct[i] = Math.min(100, (100 * inRoom) / STEPS / vSat);
    tempC[i] = face;
    rhPct[i] = air.wetFace ? 100 : Math.min(100, (100 * vapourPa(sum / STEPS, room)) / saturated);
    wetGM2[i] = air.coldM2 > 0 ? wet / air.coldM2 : 0;
  }
  return {
    roomC,
    roomRhPct,
    tempC,
    rhPct,
    wetGM2,
    water: { ...water, kept: volume * v + store * phi + wet - start },
    heat: { ...heat, kept: air.capacityWhK * (room - air.insideC) },
  };
}
