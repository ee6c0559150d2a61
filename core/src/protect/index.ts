export { protect, withCartridges, type Cartridge, type Kit, type Protection } from './protect';
