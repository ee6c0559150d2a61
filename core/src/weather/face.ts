/** How warm the face itself is: air, wind, the sun on this side hour by hour, and the cold sky at night. */
import { getPosition } from 'suncalc';
import type { Facing, Tint } from '../facts';
import { HOUR_MS, hoursOf, type Weather } from './weather';

/** Where the outside of a piece looks: degrees clockwise from north. */
/** Clockwise from north, degrees. */
export const FACING: Readonly<Record<Facing, number>> = { n: 0, ne: 45, e: 90, se: 135, s: 180, sw: 225, w: 270, nw: 315 };

export const SHADES = ['light', 'mid', 'dark'] as const;
export type Shade = (typeof SHADES)[number];
/** A wanted color as the sun takes it. */
export const SHADE_OF: Readonly<Record<Tint, Shade>> = { white: 'light', pale: 'light', mid: 'mid', strong: 'mid', dark: 'dark' };
/** Share of the sunlight that a colour takes up. ASHRAE Handbook: light 0.3 to 0.45, dark 0.8 to 0.9. */
export const ABSORBS: Readonly<Record<Shade, number>> = { light: 0.35, mid: 0.6, dark: 0.9 };

export const BODIES = ['thin', 'timber', 'masonry'] as const;
export type Body = (typeof BODIES)[number];
/** Hours in which its face comes two thirds of the way to a new heat. From memory: sheet metal at once, a thick wall by the evening. */
const LAG_H: Readonly<Record<Body, number>> = { thin: 0.25, timber: 0.7, masonry: 4 };

const RAD = Math.PI / 180;
/** Sunlight comes back from the ground: grass, stone. Common practice. */
const GROUND = 0.2;

export interface Sunlight {
  readonly altitudeDeg: number;
  /** On a level face, and on this upright one, W/m2. */
  readonly levelW: number;
  readonly faceW: number;
}

/**
 * Sun on an upright face. Clear sky by Haurwitz (1945), cloud and the scattered share by Kasten and Czeplak (1980), position by suncalc.
 * @param facingDeg clockwise from north
 * @param cloud 0 to 1
 */
export function sunOn(atMs: number, latitude: number, longitude: number, facingDeg: number, cloud: number): Sunlight {
  const { altitude, azimuth } = getPosition(new Date(atMs), latitude, longitude);
  if (altitude <= 0) return { altitudeDeg: altitude, levelW: 0, faceW: 0 };
  const up = Math.sin(altitude * RAD);
  const levelW = 1098 * up * Math.exp(-0.057 / up) * (1 - 0.75 * cloud ** 3.4);
  const scattered = levelW * (0.3 + 0.7 * cloud ** 2);
  const beam = Math.min(1000, (levelW - scattered) / Math.max(up, 0.05));
  const onFace = beam * Math.max(0, Math.cos(altitude * RAD) * Math.cos((azimuth - facingDeg) * RAD));
  return { altitudeDeg: altitude, levelW, faceW: onFace + scattered / 2 + (GROUND * levelW) / 2 };
}

/** Heat that wind and long waves carry off, W/m2K. ISO 6946 annex: 4 + 4 v, and 5 for the long waves. */
const LONG_WAVE_W = 5;
const carriesOff = (windMS: number): number => 4 + 4 * windMS + LONG_WAVE_W;
/** A clear sky is as if so much colder than the air; an upright face sees half of it. ISO 13790: 11 K. */
const SKY_K = 11;
const SEES_SKY = 0.5;

export interface Side {
  readonly facing: Facing;
  readonly shade: Shade;
  readonly body: Body;
  /** Hours of the day, from and to, in which a tree or a wall keeps the sun away; local solar time. */
  readonly shaded: readonly (readonly [from: number, to: number])[];
}
/** The hour of the day by the sun, 0 to 24. */
export const solarHour = (atMs: number, longitude: number): number => (((atMs / HOUR_MS) % 24) + longitude / 15 + 48) % 24;

/**
 * Heat of an outside face hour by hour, C: the sol-air heat, followed with the lag of what lies under the paint.
 * @returns one value for each hour of the weather
 */
export function faceSeries(w: Weather, side: Side): Float64Array {
  const out = new Float64Array(hoursOf(w));
  const follows = 1 - Math.exp(-1 / LAG_H[side.body]);
  for (let h = 0; h < out.length; h += 1) {
    // The middle of the hour stands for it.
    const at = w.startMs + (h + 0.5) * HOUR_MS;
    const hour = solarHour(at, w.longitude);
    const shut = side.shaded.some(([from, to]) => hour >= from && hour < to);
    const { faceW } = sunOn(at, w.latitude, w.longitude, FACING[side.facing], shut ? 1 : w.cloud[h]!);
    const sky = LONG_WAVE_W * SEES_SKY * SKY_K * (1 - 0.8 * w.cloud[h]!);
    const solAir = w.tempC[h]! + (ABSORBS[side.shade] * faceW - sky) / carriesOff(w.windMS[h]!);
    out[h] = h === 0 ? solAir : out[h - 1]! + follows * (solAir - out[h - 1]!);
  }
  return out;
}

/** The sun is up: there is light to see by outdoors. */
export const lightAt = (w: Weather, h: number): boolean =>
  getPosition(new Date(w.startMs + (h + 0.5) * HOUR_MS), w.latitude, w.longitude).altitude > 3;
