import type { Limit } from '../rulebook';
import { convert } from '../units/units';

/**
 * Wet cloths for verifying a floor: one up to the limit, above it one for each part of less than the limit.
 * Source: 40 CFR 745.85(b)(1)(ii)(B): parts are each less than 40 ft2.
 * @param floorM2 m2, 0 or more
 * @param section the rulebook's limit for one part
 */
export function clothsForFloor(floorM2: number, section: Limit): number {
  // Reckoned in the limit's own unit and rounded to a millionth, so that 40 ft2 is 40 and not a hair more.
  const area = Number(convert(floorM2, 'm2', section.is.unit).toFixed(6));
  return area <= section.is.value ? 1 : Math.floor(area / section.is.value) + 1;
}
