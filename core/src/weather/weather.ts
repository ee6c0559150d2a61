/** Hours of weather at one place: what comes from a file, and what is made up from a seed and says so. */
export const HOUR_MS = 3_600_000;

export interface Weather {
  /** The first hour, ms since 1970, UTC. */
  readonly startMs: number;
  /** Degrees north and east. */
  readonly latitude: number;
  readonly longitude: number;
  readonly tempC: Float64Array;
  readonly rhPct: Float64Array;
  readonly windMS: Float64Array;
  /** Share of the sky, 0 to 1. */
  readonly cloud: Float64Array;
  /** In that hour, mm. */
  readonly rainMm: Float64Array;
  /** Simulated weather plans; it never opens a coat. */
  readonly simulated: boolean;
  readonly name: string;
}

export const hoursOf = (w: Weather): number => w.tempC.length;

/** A stretch of it. @param from index of its first hour */
export const stretch = (w: Weather, from: number, hours: number): Weather => ({
  ...w,
  startMs: w.startMs + from * HOUR_MS,
  tempC: w.tempC.slice(from, from + hours),
  rhPct: w.rhPct.slice(from, from + hours),
  windMS: w.windMS.slice(from, from + hours),
  cloud: w.cloud.slice(from, from + hours),
  rainMm: w.rainMm.slice(from, from + hours),
});
