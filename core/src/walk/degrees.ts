/** Degrees of decay by eye, 0 to 5, and what they mean for the film. */
import type { GradeId, Surface } from '../facts';

/** Share of the face that each degree stands for, %. ISO 4628-3 (rust) and -5 (flaking), upper bound of the class. */
const AREA_PCT: Readonly<Partial<Record<GradeId, readonly number[]>>> = {
  rustGrade: [0, 0.05, 0.5, 1, 8, 50],
  flakeGrade: [0, 0.1, 0.3, 1, 3, 15],
};
/** The others are pictures of density, not areas: ISO 4628-2 (blisters), -4 (cracks), -6 (chalk on the tape). */
export const DEGREES: readonly number[] = [0, 1, 2, 3, 4, 5];

/** @returns the share of the face, %, or null where the scale is not one of area */
export const degreeShare = (grade: GradeId, degree: number): number | null => AREA_PCT[grade]?.[degree] ?? null;

/** From this degree on the film counts as failing. Common practice, no published source. */
const FAILS_FROM: Readonly<Record<GradeId, number>> = { blisterGrade: 2, flakeGrade: 2, crackGrade: 3, chalkGrade: 3, rustGrade: 3 };

/** Which degrees on this piece say that its film fails. */
export const failsByDegree = (s: Pick<Surface, GradeId>): GradeId[] =>
  (Object.keys(FAILS_FROM) as GradeId[]).filter((g) => (s[g] ?? 0) >= FAILS_FROM[g]);
