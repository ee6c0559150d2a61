/** The hours that a coat sees: outdoors the face on its side, indoors the room that follows the weather. */
import type { FaceHours } from '../coat';
import { remember } from '../graph/remember';
import { faceSeries, lightAt, type Side } from './face';
import { roomSeries, type RoomDuring } from './room';
import { HOUR_MS, hoursOf, type Weather } from './weather';

/** A zone may be written in any case, and by its shift alone. */
const zones = remember<Intl.DateTimeFormat>(64);
/** Hours that a zone's clock is ahead of UTC. */
function aheadH(atMs: number, timeZone: string): number {
  const format = zones.of(
    timeZone,
    () =>
      new Intl.DateTimeFormat('en-US', {
        timeZone,
        hourCycle: 'h23',
        year: 'numeric',
        month: 'numeric',
        day: 'numeric',
        hour: 'numeric',
        minute: 'numeric',
      }),
  );
  const of = Object.fromEntries(format.formatToParts(atMs).map((p) => [p.type, Number(p.value)]));
  const shown = Date.UTC(of['year']!, of['month']! - 1, of['day'], of['hour'], of['minute']);
  return (shown - Math.floor(atMs / 60_000) * 60_000) / HOUR_MS;
}
/** A forecast is asked hour by hour, for every side of a house: a few of them stand in it. */
const summers = remember<number>(20_000);
/** Daylight saving: hours by which the clock is put forward then, where the clock of the job is. @param timeZone as IANA names it */
export const summerH = (atMs: number, timeZone: string): number =>
  summers.of(`${timeZone}/${Math.floor(atMs / HOUR_MS)}`, () => {
    const year = new Date(atMs).getUTCFullYear();
    const usual = Math.min(aheadH(Date.UTC(year, 0, 1), timeZone), aheadH(Date.UTC(year, 6, 1), timeZone));
    return aheadH(atMs, timeZone) - usual;
  });

/** Hours of the clock on the wall ahead of UTC: by the sun's own zone, and daylight saving where the job's clock has it. */
export const wallH = (atMs: number, longitude: number, timeZone: string): number =>
  Math.round(longitude / 15) + Math.round(summerH(atMs, timeZone));

/** The whole hour of the clock on the wall, 0 to 23. */
export const clockHour = (atMs: number, longitude: number, timeZone = 'UTC'): number =>
  (((Math.floor(atMs / HOUR_MS) + wallH(atMs, longitude, timeZone)) % 24) + 24) % 24;

/** From which to which hour anybody may work here. */
export interface Working {
  readonly from: number;
  readonly to: number;
  /** Of the job, for daylight saving. */
  readonly timeZone?: string;
}
export const USUAL_HOURS: Working = { from: 7, to: 18 };

const hoursIn = (w: Weather, { from, to, timeZone }: Working): Uint8Array =>
  Uint8Array.from({ length: hoursOf(w) }, (_, h) => {
    const hour = clockHour(w.startMs + h * HOUR_MS, w.longitude, timeZone);
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
