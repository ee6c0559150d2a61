import { MASONRY, PLASTER } from '../facts/vocabulary';
import type { Surface } from '../facts';
import { answer, why, type Answer } from '../reasons';
import type { Rulebook } from '../rulebook';

/** Crystalline silica lies in masonry, concrete, lime plaster and joint compound; it is freed by dry grinding, not by standing there. */
export const holdsSilica = (s: Pick<Surface, 'material'>): boolean => MASONRY.includes(s.material) || PLASTER.includes(s.material);

/** 29 CFR 1926.1153 (action level 25, limit 50 ug/m3); UK: COSHH, 0.1 mg/m3, from memory. */
export function silicaOn(s: Pick<Surface, 'material'>, { sources, silicaAir }: Rulebook): Answer<boolean> {
  return holdsSilica(s)
    ? answer(true, why('silica.inMaterial', sources.silica, { limit: silicaAir.is }))
    : answer(false, why('silica.none', 'job-record', {}));
}
