/** The catalogue, by family. */
import type { MethodId } from '../facts/vocabulary';
import { BLAST } from './blast';
import { CLEAN } from './clean';
import { HEAT } from './heat';
import { KEEP } from './keep';
import type { Method } from './method';
import { METALWORK } from './metal';
import { SCRAPE } from './scrape';
import { STRIP } from './strip';

export const FAMILIES = {
  keep: KEEP,
  scrape: SCRAPE,
  strip: STRIP,
  heat: HEAT,
  clean: CLEAN,
  metal: METALWORK,
  blast: BLAST,
} as const satisfies Record<string, readonly Method[]>;
export const METHODS: readonly Method[] = Object.values(FAMILIES).flat();

const BY_ID = new Map(METHODS.map((m) => [m.id, m]));
export function methodById(id: MethodId): Method {
  const m = BY_ID.get(id);
  if (!m) throw new RangeError(`no method ${id} in the catalogue`);
  return m;
}
export { AGENT_IDS, CHLORINE_PPM, FORM_IDS, gasOf, HYDROGEN_LEL_PCT, meetingOf, MEETINGS, meetingsAmong, type AgentId, type FormId, type Gas, type Meeting, type PartedBy } from './incompatible';
export { GOODS, type Good, type GoodUnit } from './goods';
export { filmOf, LIFTERS, lifterOf, LIFTER_M2, type Lifter } from './lifting';
export { BITES, biteDepth, isHelper, makes, METHOD_FACTS, blowsNutShell, burns, neverUnmasked, pours, runsOff, sourceOf, stirs, type Bite, type Consumable, type Laying, usesGrit, type Makes, type Method, type MethodFact, type Takes } from './method';
export { baseOf, PRODUCT_IDS, recoatOf, PRIMERS_DATA, TOPCOATS_DATA, type CoatId, type Coating, type PrimerId } from './coatings';
export { bySheet, CURVES, DRYING_KINDS, dryingRate, type Curve } from './drying';
export { FILLER, FILLERS, layersFor, type Filler, type FillerId } from './fillers';
export { LOOK_FIGURES, LOOK_GROUNDS, LOOK_TOOLS, SIGN_DATA, SIGN_PLACES, SIGN_ROLES, type Act, type SignLook, type SignPlace, type SignRole, type SignSpec } from './signs';
