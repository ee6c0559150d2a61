/**
 * The vapour of a room through a year: what is given off, what the air outside and the fan take away, what the linings take up and give
 * back, what condenses on the coldest face, stays there and dries off again. Every gram is accounted for (`WaterAccount`).
 */
import { saturationPa, surfaceC, vapourGM3, vapourPa } from './air';
import type { Climate } from './climate';

export interface RoomAir {
  readonly volumeM3: number;
  readonly insideC: number;
  readonly fRsi: number;
  /** The face on which it condenses first, and the linings that take up vapour, m2. */
  readonly coldM2: number;
  readonly liningM2: number;
  readonly leakM3h: number;
  readonly fanM3h: number;
  readonly fanMinPerDay: number;
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

export interface FaceClimate {
  readonly tempC: Float64Array;
  readonly rhPct: Float64Array;
  /** Water on the coldest face at the end of each hour, g/m2. */
  readonly wetGM2: Float64Array;
  readonly water: WaterAccount;
}

/** Vapour to a face, m/h: 2.5 W/m2K by convection over the heat that a m3 of air holds, 1,206 J/K. Lewis relation. */
export const TO_FACE_MH = (2.5 / 1206) * 3600;
/** What hangs on a face before it runs down, g/m2. ISO 13788, from memory. */
export const RUNS_OFF_GM2 = 200;

/** Painted plaster or board: vapour permeability, kg/(m s Pa); dry density, kg/m3; what it takes up from dry to wet air, kg/kg; its paint as metres of still air. From memory of building physics tables. */
const LINING = { permeability: 2.5e-11, density: 700, takesUp: 0.02, paintSdM: 0.1 };
/** Of still air, m2/h. */
const IN_AIR_M2H = 0.09;
const DAY_S = 86_400;

/**
 * How deep a day's swing of vapour reaches into a lining, m: sqrt(D t / pi), with D its permeability over what it stores. The effective
 * penetration depth of the NORDTEST method (2005), from memory.
 */
export function penetrationM(c: number, { permeability, density, takesUp } = LINING): number {
  const diffusivity = (permeability * saturationPa(c)) / (density * takesUp);
  return Math.sqrt((diffusivity * DAY_S) / Math.PI);
}

/** Hours of the day in which water is given off: spread from seven in the morning to ten at night. */
function burstHours(n: number): readonly number[] {
  return Array.from({ length: n }, (_, i) => (n === 1 ? 7 : 7 + Math.round((15 * i) / (n - 1))));
}

/** Steps in an hour: a shower is a matter of a quarter of an hour. */
const STEPS = 12;
const STEP_H = 1 / STEPS;
/** A burst lasts so many of them. */
const BURST_STEPS = 3;

/**
 * Climate at the coldest face, hour by hour.
 * V dv/dt = G - Q (v - v_out) - A_l h_l (v - v_l) - A_f h_f (v - v_sat,f) while something is or becomes wet there;
 * C dv_l/dt = A_l h_l (v - v_l) for the linings; each step is solved with the values at its end, which keeps the account of the water
 * exact and never overshoots.
 * @param outside one value an hour
 */
export function faceClimate(air: RoomAir, outside: Climate): FaceClimate {
  const n = outside.tempC.length;
  const tempC = new Float64Array(n);
  const rhPct = new Float64Array(n);
  const wetGM2 = new Float64Array(n);
  const bursts = new Uint8Array(24);
  for (const h of burstHours(air.burstsPerDay)) bursts[h]! += 1;
  const perBurstG = air.burstsPerDay > 0 ? air.waterGPerDay / air.burstsPerDay : 0;
  const backgroundGH = air.alwaysGH + (air.burstsPerDay > 0 ? 0 : air.waterGPerDay / 24);
  const fanPerBurstH = air.burstsPerDay > 0 ? air.fanMinPerDay / 60 / air.burstsPerDay : 0;
  const fanAlways = air.burstsPerDay > 0 ? 0 : air.fanMinPerDay / 1440;
  const volume = air.volumeM3;
  // What the linings hold, as so many m3 of room air; half their depth stands between its middle and the face.
  const depth = penetrationM(air.insideC);
  const most = vapourGM3(saturationPa(air.insideC), air.insideC);
  const store = (air.liningM2 * LINING.density * LINING.takesUp * depth * 1000) / most;
  const asStillAir = 2e-10 / LINING.permeability;
  const resist = 1 / TO_FACE_MH + (LINING.paintSdM + (asStillAir * depth) / 2) / IN_AIR_M2H;
  const toLining = air.liningM2 / resist;
  const lining = store > 0 ? (toLining * store) / (store + STEP_H * toLining) : 0;
  const toFace = air.coldM2 * TO_FACE_MH;

  let v = most / 2;
  let vLining = v;
  let wet = 0;
  let fanLeftH = 0;
  const start = volume * v + store * vLining;
  const water = { givenOff: 0, airedOut: 0, ranOff: 0 };
  const runsOff = RUNS_OFF_GM2 * air.coldM2;
  for (let i = 0; i < n; i += 1) {
    const out = outside.tempC[i]!;
    const face = surfaceC(air.insideC, out, air.fRsi);
    const saturated = saturationPa(face);
    const vFace = vapourGM3(saturated, air.insideC);
    const vOut = vapourGM3((saturationPa(out) * outside.rhPct[i]!) / 100, air.insideC);
    const here = bursts[(outside.startsAt + i) % 24]!;
    if (here > 0) fanLeftH += here * fanPerBurstH;
    let sum = 0;
    for (let step = 0; step < STEPS; step += 1) {
      const fanShare = Math.min(1, fanAlways + Math.min(1, fanLeftH / STEP_H));
      fanLeftH = Math.max(0, fanLeftH - STEP_H);
      const q = air.leakM3h + air.fanM3h * fanShare;
      const g = backgroundGH + (step < BURST_STEPS ? (here * perBurstG) / (BURST_STEPS * STEP_H) : 0);
      const without = volume / STEP_H + q + lining;
      const gains = (volume * v) / STEP_H + g + q * vOut + lining * vLining;
      let next = gains / without;
      let onFace = 0;
      if (wet > 0 || next > vFace) {
        next = (gains + toFace * vFace) / (without + toFace);
        onFace = toFace * (next - vFace) * STEP_H;
        if (wet + onFace < 0) {
          // The last of it dries off within the step.
          onFace = -wet;
          next = (gains + wet / STEP_H) / without;
        }
      }
      if (store > 0) vLining = (store * vLining + STEP_H * toLining * next) / (store + STEP_H * toLining);
      v = next;
      wet += onFace;
      if (wet > runsOff) {
        water.ranOff += wet - runsOff;
        wet = runsOff;
      }
      water.givenOff += g * STEP_H;
      water.airedOut += q * (v - vOut) * STEP_H;
      sum += wet > 0 ? vFace : Math.min(v, vFace);
    }
    tempC[i] = face;
    rhPct[i] = air.wetFace ? 100 : Math.min(100, (100 * vapourPa(sum / STEPS, air.insideC)) / saturated);
    wetGM2[i] = air.coldM2 > 0 ? wet / air.coldM2 : 0;
  }
  return { tempC, rhPct, wetGM2, water: { ...water, kept: volume * v + store * vLining + wet - start } };
}
