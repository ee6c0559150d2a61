/** Air through a zone: how much, by how many machines, at what pressure, and how long until it is fresh. Volumes in m3, flows in m3/h. */

/** A loaded filter passes about so much of what the label says. Common practice, no published source. */
export const LOADED_SHARE = 0.8;
/** Discharge coefficient of cracks and flaps. Orifice equation; 0.6 to 0.65 in textbooks. */
export const CRACK_CD = 0.61;
/** kg/m3, at 20 C. */
export const AIR_DENSITY = 1.2;

/** Air changes an hour as a flow, m3/h. */
export const changesFlow = (volumeM3: number, ach: number): number => volumeM3 * ach;

/**
 * Machines that bring a flow with loaded filters. NIOSH and EPA sizing practice.
 * @param ratedM3h of one, as the maker states it
 */
export const machinesFor = (neededM3h: number, ratedM3h: number, loadedShare = LOADED_SHARE): number =>
  Math.ceil(neededM3h / (ratedM3h * loadedShare) - 1e-9);

/** What a hole lets through under a difference of pressure, m3/h: Cd A sqrt(2 dP / rho). */
export const leakM3h = (areaM2: number, pressurePa: number, cd = CRACK_CD): number =>
  cd * areaM2 * Math.sqrt((2 * pressurePa) / AIR_DENSITY) * 3600;

/** Gaps and inlet together, m2, over which a flow still holds a difference of pressure: the same equation. */
export const gapsAt = (flowM3h: number, pressurePa: number, cd = CRACK_CD): number =>
  flowM3h / 3600 / (cd * Math.sqrt((2 * pressurePa) / AIR_DENSITY));

/** The difference of pressure that a flow holds over its leaks, Pa: the same equation, the other way. */
export const pressureOver = (flowM3h: number, areaM2: number, cd = CRACK_CD): number =>
  ((flowM3h / 3600 / (cd * areaM2)) ** 2 * AIR_DENSITY) / 2;

/**
 * A vapour given off evenly into fresh, well mixed air: what stands in the room after a time, as a share (0.0001 is 100 ppm).
 * C(t) = (G/Q)(1 - e^(-Qt/V)). Mass balance.
 * @param givenM3h of vapour
 */
export function shareAfter(givenM3h: number, flowM3h: number, volumeM3: number, hours: number): number {
  if (flowM3h <= 0) return (givenM3h * hours) / volumeM3;
  return (givenM3h / flowM3h) * (1 - Math.exp((-flowM3h * hours) / volumeM3));
}

/**
 * Hours until an excess has fallen to a share of itself. CDC environmental guideline, table B.1, times a mixing factor.
 * @param mixing 1: perfectly mixed; 3 in an ordinary room, up to 10 in a poor one
 */
export const purgeHours = (share: number, ach: number, mixing = 1): number => (ach <= 0 ? Infinity : (Math.log(1 / share) / ach) * mixing);
