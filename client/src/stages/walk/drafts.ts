/** Batches of changes that make or repeat whole rooms and surfaces. */
import { BLANK_LAYER, type JobFacts, type Space, type Surface } from '@roughsill/core/records';
import { add, newId, type Draft } from '../../store';

const child = <T extends { id: string; removedAt: string | null }>({ id: _id, removedAt: _gone, ...rest }: T) => rest;
export const live = <T extends { removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);
export const nextPosition = (rows: readonly { readonly position: number }[]): number => Math.max(-1, ...rows.map((r) => r.position)) + 1;

/** The same piece again, without what was found or done on the first: another piece is another piece. */
export function copySurface(s: Surface, over: Partial<Surface> = {}): { readonly id: string; readonly drafts: Draft[] } {
  const id = newId();
  const {
    id: _i,
    removedAt: _r,
    parts,
    layers,
    readings: _x,
    checks: _c,
    samples: _s,
    squares: _q,
    boards: _b,
    signs: _g,
    laid: _l,
    defects: _d,
    ...fields
  } = s;
  return {
    id,
    drafts: [
      add('surface', { ...fields, workOrder: [], ...over }, undefined, id),
      ...live(parts).map((p) => add('part', child(p), id)),
      ...live(layers).map((l) => add('layer', child(l), id)),
    ],
  };
}

/** A room with all its surfaces, sizes and coats; no reading, sample or check comes along. */
export function copySpace(facts: JobFacts, space: Space): Draft[] {
  const id = newId();
  const { id: _i, removedAt: _r, ...fields } = space;
  const surfaces = live(facts.surfaces).filter((s) => s.spaceId === space.id);
  return [
    add(
      'space',
      { ...fields, name: `${space.name}, copy`.slice(0, 120), position: nextPosition(facts.spaces), moisture: null },
      undefined,
      id,
    ),
    ...surfaces.flatMap((s) => copySurface(s, { spaceId: id, moldM2: null, stainM2: null }).drafts),
  ];
}

/** The coats of one surface laid on another that has none. */
export const sameCoats = (from: Surface, to: Surface): Draft[] =>
  live(to.layers).length > 0 ? [] : live(from.layers).map((l) => add('layer', { ...BLANK_LAYER, ...child(l) }, to.id));
