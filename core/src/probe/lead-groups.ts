/** Testing combinations: pieces of one kind, material and coating history in one room or on one side are tested as one. HUD Guidelines ch. 7. */
import type { JobFacts, Surface } from '../facts';
import { answer, why, type Answer } from '../reasons';
import { bookOf } from '../rulebook';
import { liveLayers } from '../walk';

export interface LeadGroup {
  /** room or side | element | material | coating history */
  readonly key: string;
  readonly spaceId: string;
  readonly surfaceIds: readonly string[];
  readonly pieces: number;
  /** Full-depth tests that speak for the group. */
  readonly needed: Answer<number>;
}

/** A room has so many, entered as one surface or as several. */
const WALLS = 4;

/** Coats by binder and colour, top down: pieces with one history were painted together. */
const history = (s: Surface): string =>
  `${liveLayers(s)
    .map((l) => `${l.binder}:${l.colour.trim().toLowerCase()}`)
    .join('/')}${s.coatsCounted ? '' : '/?'}`;

/** @returns groups in the order of the list; what is thrown out untouched still counts, since taking it out disturbs it */
export function leadGroups(facts: JobFacts): LeadGroup[] {
  const { id: rules, sources } = bookOf(facts.job);
  const source = sources.sampling;
  const groups = new Map<string, { spaceId: string; surfaces: Surface[] }>();
  for (const s of facts.surfaces) {
    if (s.removedAt !== null) continue;
    const key = [s.spaceId, s.element, s.material, s.yearMade ?? '', history(s)].join('|');
    const g = groups.get(key);
    if (g) g.surfaces.push(s);
    else groups.set(key, { spaceId: s.spaceId, surfaces: [s] });
  }
  /** HUD ch. 7: one reading on each of the four walls of a room. Where a person may not let one test speak for the rest: each piece. */
  const neededFor = (surfaces: readonly Surface[]): Answer<number> => {
    const pieces = surfaces.reduce((a, s) => a + s.count, 0);
    if (surfaces.some((s) => s.element === 'wall'))
      return answer(Math.max(pieces, WALLS), why('lead.groupWalls', source, { pieces: WALLS }));
    if (rules === 'us' && pieces > 1) return answer(pieces, why('lead.groupEach', 'cfr40-745.82', { pieces }));
    return answer(1, why('lead.groupOne', source, { pieces: surfaces.length }));
  };
  return [...groups].map(([key, { spaceId, surfaces }]) => ({
    key,
    spaceId,
    surfaceIds: surfaces.map((s) => s.id),
    pieces: surfaces.reduce((a, s) => a + s.count, 0),
    needed: neededFor(surfaces),
  }));
}
