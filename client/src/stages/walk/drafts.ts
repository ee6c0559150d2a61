/** Batches of changes that make or repeat whole rooms and surfaces. */
import { fieldsOf, type JobFacts, type Space, type Surface } from '@roughsill/core/records';
import { add, newId, type Draft } from '../../store';

export const live = <T extends { removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);
export const nextPosition = (rows: readonly { readonly position: number }[]): number => Math.max(-1, ...rows.map((r) => r.position)) + 1;

/** The same piece again, without what was found or done on the first: another piece is another piece. */
export function copySurface(s: Surface, over: Partial<Surface> = {}): { readonly id: string; readonly drafts: Draft[] } {
  const id = newId();
  return {
    id,
    drafts: [
      add('surface', { ...fieldsOf('surface', s), workOrder: [], ...over }, undefined, id),
      ...live(s.parts).map((p) => add('part', fieldsOf('part', p), id)),
      ...live(s.layers).map((l) => add('layer', fieldsOf('layer', l), id)),
    ],
  };
}

/** A room with all its surfaces, sizes and coats; no reading, sample or check comes along. */
export function copySpace(facts: JobFacts, space: Space): Draft[] {
  const id = newId();
  const surfaces = live(facts.surfaces).filter((s) => s.spaceId === space.id);
  return [
    add(
      'space',
      { ...fieldsOf('space', space), name: `${space.name}, copy`.slice(0, 120), position: nextPosition(facts.spaces), moisture: null },
      undefined,
      id,
    ),
    ...surfaces.flatMap((s) => copySurface(s, { spaceId: id, moldM2: null, stainM2: null }).drafts),
  ];
}

/** The coats of one surface laid on another that has none. */
export const sameCoats = (from: Surface, to: Surface): Draft[] =>
  live(to.layers).length > 0 ? [] : live(from.layers).map((l) => add('layer', fieldsOf('layer', l), to.id));
