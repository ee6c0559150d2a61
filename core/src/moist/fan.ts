/** What a fan should move, and what it does. Flows in m3/h, areas in m2, volumes in m3. */
import type { FanRoom } from '../facts';
import { convert } from '../units/units';

/** Above this floor, ft2, fixtures count and not the floor: 50 cfm for each of toilet, shower and tub. HVI. */
const FIXTURES_ABOVE_FT2 = 100;
const ALL_FIXTURES_CFM = 150;

/** Kitchens have a line of their own: a hood that vents outdoors, or any other fan. ASHRAE 62.2, cfm on demand; Approved Document F, L/s. */
const US_CFM = { kitchenHood: 100, kitchen: 300, wc: 50, utilityRoom: 50 } as const;
const UK_LS = { bath: 15, wc: 6, utilityRoom: 30, kitchenHood: 30, kitchen: 60 } as const;
/** A cellar has its air all day: 1 cfm for each 50 ft2, the figure of IRC R408.3 for closed crawl spaces; 0.3 L/s for each m2, Approved Document F for a whole dwelling. From memory. */
const CELLAR_FT2_CFM = 50;
const CELLAR_LS_M2 = 0.3;

/**
 * Flow that a room's own fan should reach, m3/h.
 * A toilet 50 cfm or 6 L/s, a utility room 50 cfm or 30 L/s.
 * Bathroom: 1 cfm for each ft2, at least 50 cfm (HVI; ASHRAE 62.2); in a large one all its fixtures. UK Approved Document F: 15 L/s.
 */
export function wantedFan(room: FanRoom, floorM2: number, rules: 'us' | 'uk'): number {
  if (rules === 'uk') return room === 'cellar' ? CELLAR_LS_M2 * floorM2 * 3.6 : UK_LS[room] * 3.6;
  const ft2 = convert(floorM2, 'm2', 'ft2');
  if (room === 'cellar') return convert(ft2 / CELLAR_FT2_CFM, 'cfm', 'm3/h');
  if (room !== 'bath') return convert(US_CFM[room], 'cfm', 'm3/h');
  return convert(ft2 > FIXTURES_ABOVE_FT2 + 1e-6 ? ALL_FIXTURES_CFM : Math.max(50, ft2), 'cfm', 'm3/h');
}

/** Air changes an hour. */
export const airChanges = (m3h: number, volumeM3: number): number => m3h / volumeM3;

/** A fan on a duct with bends moves less than its label. Common practice, no published source: six tenths until it is measured. */
export const DUCT_SHARE = 0.6;
export const realFlow = (ratedM3h: number | null, measuredM3h: number | null): number => measuredM3h ?? (ratedM3h ?? 0) * DUCT_SHARE;
