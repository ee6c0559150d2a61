/** What was learned on one surface, taken over to another that has the same coating. */
import type { JobFacts, Square, SquareDraft, Surface } from '../facts';
import { liveLayers } from '../walk';
import { isBanned, stoodMin, outcomeOf } from './square';

/** Two surfaces with this in common may share a trial: the material, and the binders of all coats from the top down. */
export const coatingKey = (s: Surface): string =>
  `${s.material}|${liveLayers(s)
    .map((l) => l.binder)
    .join('>')}`;

export interface Carried {
  readonly from: Surface;
  readonly fromJob: JobFacts['job'];
  readonly square: Square;
}

/** Squares with an answer, on other surfaces with the same coating, in these jobs. What was itself carried is not carried on. */
export function carryable(s: Surface, jobs: readonly JobFacts[]): Carried[] {
  const key = coatingKey(s);
  if (!s.coatsCounted || liveLayers(s).some((l) => l.binder === 'unknown')) return [];
  return jobs.flatMap((f) =>
    f.surfaces.flatMap((from) =>
      from.id === s.id || from.removedAt !== null || !from.coatsCounted || coatingKey(from) !== key
        ? []
        : from.squares
            .filter((q) => q.removedAt === null && q.carriedFrom === '' && !isBanned(q) && outcomeOf(q, s) !== 'open')
            .map((square) => ({ from, fromJob: f.job, square })),
    ),
  );
}

/** The square as it is written on the other surface: marked, and without what belonged to the old spot. */
export function carriedSquare({ from, fromJob, square }: Carried, sameJob: boolean): SquareDraft {
  const { id: _id, removedAt: _removed, ...fields } = square;
  return {
    ...fields,
    partId: null,
    stoppedOnLayerId: null,
    // On which coat it stopped is known there, not here: to be sure it is taken as partly lifted.
    lifted: square.lifted === 'toCoat' ? 'some' : square.lifted,
    dwellMin: stoodMin(square),
    startedAt: null,
    stoppedAt: null,
    atX: null,
    atY: null,
    place: '',
    carriedFrom: sameJob ? from.name : `${from.name}, ${fromJob.name}`,
  };
}
