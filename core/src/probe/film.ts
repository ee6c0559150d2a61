/** Mass and loading of lead in a film: one becomes the other only with the film's own data. */

/**
 * Loading of a film.
 * @param ppm lead by mass
 * @param densityGCm3 of the dry film
 * @param thicknessM of the whole stack
 * @returns mg/cm2. Source: mass balance; 5,000 ppm, 2.0 g/cm3 and 0.254 mm give 0.254 mg/cm2
 */
export const loadingOfFilm = (ppm: number, densityGCm3: number, thicknessM: number): number =>
  ppm * 1e-6 * densityGCm3 * thicknessM * 100 * 1000;

/** The inverse: ppm that give this loading. */
export const massOfFilm = (mgPerCm2: number, densityGCm3: number, thicknessM: number): number =>
  mgPerCm2 / loadingOfFilm(1, densityGCm3, thicknessM);

/** Loading of a chip that holds every coat: mass of lead over its area, mg/cm2. HUD Guidelines app. 13. */
export const loadingOfChip = (leadMg: number, areaCm2: number): number => leadMg / areaCm2;

/** Loading of a wiped area, ug/ft2. ASTM E1728. */
export const dustLoading = (leadUg: number, areaFt2: number): number => leadUg / areaFt2;
