export { HAZARD_KINDS, needsOf, type HazardKind, type Needs } from './needs';
export {
  ownKit,
  protect,
  taskWears,
  withCartridges,
  byLaw,
  onAirline,
  CARTRIDGES,
  type Cartridge,
  type Kit,
  type Protection,
  type Task,
} from './protect';
export type { ZoneContext } from './zone-context';
