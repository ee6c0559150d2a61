/** The hours that a coat sees: outdoors the face on its side, indoors the room that follows the weather. */
import type { FaceHours } from '../coat';
import { faceSeries, lightAt, type Side } from './face';
import { roomSeries, type RoomDuring } from './room';
import { HOUR_MS, hoursOf, type Weather } from './weather';

/** The whole hour of the clock where the sun stands so, 0 to 23; daylight saving is left out. */
export const clockHour = (atMs: number, longitude: number): number =>
  (((Math.floor(atMs / HOUR_MS) + Math.round(longitude / 15)) % 24) + 24) % 24;

/** From which to which hour anybody may work here. */
export interface Working {
  readonly from: number;
  readonly to: number;
}
export const USUAL_HOURS: Working = { from: 7, to: 18 };

const hoursIn = (w: Weather, { from, to }: Working): Uint8Array =>
  Uint8Array.from({ length: hoursOf(w) }, (_, h) => {
    const hour = clockHour(w.startMs + h * HOUR_MS, w.longitude);
    return hour >= from && hour < to ? 1 : 0;
  });

export function outsideHours(w: Weather, side: Side, working: Working = USUAL_HOURS): FaceHours {
  return {
    airC: w.tempC,
    rhPct: w.rhPct,
    faceC: faceSeries(w, side),
    windMS: w.windMS,
    rainMm: w.rainMm,
    light: Uint8Array.from({ length: hoursOf(w) }, (_, h) => (lightAt(w, h) ? 1 : 0)),
    hours: hoursIn(w, working),
  };
}

/** The coldest face of an outside wall lies between the room and the weather. @param fRsi its temperature factor; 1 for an inside wall */
export function insideHours(w: Weather, room: RoomDuring, fRsi: number, working: Working = USUAL_HOURS): FaceHours {
  const n = hoursOf(w);
  const { tempC, rhPct } = roomSeries(w, room);
  return {
    airC: tempC,
    rhPct,
    faceC: Float64Array.from({ length: n }, (_, h) => w.tempC[h]! + fRsi * (tempC[h]! - w.tempC[h]!)),
    windMS: new Float64Array(n),
    rainMm: new Float64Array(n),
    // A lamp is light enough.
    light: new Uint8Array(n).fill(1),
    hours: hoursIn(w, working),
  };
}
