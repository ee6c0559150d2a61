/** How long what was laid stays workable: temperature, sun, wind and cover. Rules of thumb, common practice; the sheet comes first. */
import type { Laying } from '../catalogue';
import { speedAt } from '../trial';

export interface Weather {
  /** C, of the face. */
  readonly faceC: number;
  readonly sun: boolean;
  readonly wind: boolean;
  readonly covered: boolean;
}

const IN_SUN = 0.5;
const IN_WIND = 0.6;

/** Hours from laying until it has dried where it lies. Under film neither sun nor wind takes the water, but sun still warms it. */
export function openLifeH(l: Laying, w: Weather): number {
  const base = (w.covered ? l.coveredLifeH : l.openLifeH) / speedAt(w.faceC);
  if (w.covered) return base * (w.sun ? 0.75 : 1);
  return base * (w.sun ? IN_SUN : 1) * (w.wind ? IN_WIND : 1);
}
