export { ownKit, protect, taskWears, withCartridges, byLaw, onAirline, type Protection, type Task } from './protect';
export { CARTRIDGES, type Cartridge, type Kit } from './kit';
export type { ZoneContext } from './zone-context';
