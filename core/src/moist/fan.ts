/** What a fan should move, and what it does. Flows in m3/h, areas in m2, volumes in m3. */
import type { FanRoom } from '../facts';
import { convert } from '../units/units';

/** Above this floor, ft2, fixtures count and not the floor: 50 cfm for each of toilet, shower and tub. HVI. */
const FIXTURES_ABOVE_FT2 = 100;
const ALL_FIXTURES_CFM = 150;

/** Kitchens have a line of their own: a hood that vents outdoors, or any other fan. ASHRAE 62.2, cfm on demand; Approved Document F, L/s. */
const KITCHEN = { us: { kitchenHood: 100, kitchen: 300 }, uk: { kitchenHood: 30, kitchen: 60 } } as const;

/**
 * Flow that a room's own fan should reach, m3/h.
 * Bathroom: 1 cfm for each ft2, at least 50 cfm (HVI; ASHRAE 62.2); in a large one all its fixtures. UK Approved Document F: 15 L/s.
 */
export function wantedFan(room: FanRoom, floorM2: number, rules: 'us' | 'uk'): number {
  if (rules === 'uk') return (room === 'bath' ? 15 : KITCHEN.uk[room]) * 3.6;
  if (room !== 'bath') return convert(KITCHEN.us[room], 'cfm', 'm3/h');
  const ft2 = convert(floorM2, 'm2', 'ft2');
  return convert(ft2 > FIXTURES_ABOVE_FT2 + 1e-6 ? ALL_FIXTURES_CFM : Math.max(50, ft2), 'cfm', 'm3/h');
}

/** Air changes an hour. */
export const airChanges = (m3h: number, volumeM3: number): number => m3h / volumeM3;

/** A fan on a duct with bends moves less than its label. Common practice, no published source: six tenths until it is measured. */
export const DUCT_SHARE = 0.6;
export const realFlow = (ratedM3h: number | null, measuredM3h: number | null): number => measuredM3h ?? (ratedM3h ?? 0) * DUCT_SHARE;
