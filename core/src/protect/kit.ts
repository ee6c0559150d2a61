/** What is worn and kept ready beside the mask. */
export type Kit =
  | 'coverall'
  | 'nitrileGloves'
  | 'solventGloves'
  | 'causticGloves'
  | 'heatGloves'
  | 'goggles'
  | 'faceShield'
  | 'eyewash'
  | 'bleachCartridge'
  | 'hearing'
  | 'hearingTwice'
  | 'hepaVacuum'
  | 'leadVacuum'
  | 'asbestosVacuum'
  | 'mister'
  | 'extinguisher'
  | 'washStation'
  | 'bootCovers';

/** Organic vapour holds solvent; acid gas holds chlorine and acid mist. Neither holds the other. */
export const CARTRIDGES = ['organicVapour', 'acidGas'] as const;
export type Cartridge = (typeof CARTRIDGES)[number];
