/** What was found at a place belongs to the place: whoever is entered there next, under whatever name, takes it over until it is explained. */
import type { Space, Surface } from '../facts';
import type { Rulebook } from '../rulebook';
import { inheritedFrom, isLike, type Suspect } from './asbestos';

/** What of a surface its place goes by. */
export type Placed = Pick<
  Surface,
  'spaceId' | 'removedAt' | 'element' | 'material' | 'name' | 'past' | 'pastWhy' | 'samples' | 'readings' | 'wall' | 'alongM'
>;
export const placedView = ({
  spaceId,
  removedAt,
  element,
  material,
  name,
  past,
  pastWhy,
  samples,
  readings,
  wall,
  alongM,
}: Surface): Placed => ({
  spaceId,
  removedAt,
  element,
  material,
  name,
  past,
  pastWhy,
  samples,
  readings,
  wall,
  alongM,
});

/** What a place has to know of one surface. */
export interface Remembering {
  readonly of: Placed;
  /** When lead was last found on it; null: never. */
  readonly found: string | null;
  /** Growth was seen on it. */
  readonly moldy: boolean;
  readonly suspects: readonly Suspect[];
}

export interface Past {
  /** Lead that was found in this room or on this side on another surface. */
  readonly lead: 'inRoom' | 'removed' | null;
  /** When it was last found on what was removed: a test that clears has to be later. */
  readonly leadAt: string | null;
  /** Growth on a like piece that was taken off the list. */
  readonly mold: boolean;
  /** Another of the same kind stands at the very same place: its name. Entered twice? */
  readonly twin: string | null;
}
const NOTHING: Past = { lead: null, leadAt: null, mold: false, twin: null };

export interface Places {
  /** By place in the list of surfaces. */
  readonly past: readonly Past[];
  readonly suspects: readonly (readonly Suspect[])[];
}

/** Of each surface, another live one of its kind at the very same place of the same wall; nothing where nobody said where it stands. */
function twinsOf(list: readonly Remembering[], isGone: (s: Placed) => boolean): ReadonlyMap<number, string> {
  const at = new Map<string, number[]>();
  list.forEach(({ of: s }, i) => {
    if (s.wall === null || isGone(s)) return;
    const key = `${s.spaceId}/${s.element}/${s.wall}/${s.alongM ?? ''}`;
    at.set(key, [...(at.get(key) ?? []), i]);
  });
  return new Map(
    [...at.values()].flatMap((is) => (is.length < 2 ? [] : is.map((i) => [i, list[is.find((j) => j !== i)!]!.of.name] as const))),
  );
}

/** @param list every surface of the job, removed ones too, in the order of the facts */
export function placesOf(list: readonly Remembering[], spaces: ReadonlyMap<string, Space>, rulebook: Rulebook): Places {
  // A room that was taken off the list is somewhere still: nobody said which of those on the list it is now.
  const isLost = (s: Placed) => spaces.get(s.spaceId)?.removedAt !== null;
  const isGone = (s: Placed) => s.removedAt !== null || isLost(s);
  const live = new Map<string, number>();
  const removed = new Map<string, string>();
  const later = (a: string | undefined, b: string): string => (a === undefined || b > a ? b : a);
  let lost: string | undefined;
  for (const x of list) {
    if (x.found === null) continue;
    if (isLost(x.of)) lost = later(lost, x.found);
    else if (x.of.removedAt === null) live.set(x.of.spaceId, (live.get(x.of.spaceId) ?? 0) + 1);
    else removed.set(x.of.spaceId, later(removed.get(x.of.spaceId), x.found));
  }
  const gone = list.filter((x) => isGone(x.of) && (x.moldy || (x.suspects.length > 0 && x.of.samples.length > 0)));
  const twins = twinsOf(list, isGone);
  const remembers = twins.size > 0 || lost !== undefined || live.size > 0 || removed.size > 0 || gone.length > 0;
  if (!remembers) return { past: list.map(() => NOTHING), suspects: list.map((x) => x.suspects) };
  const past: Past[] = [];
  const suspects: (readonly Suspect[])[] = [];
  for (const [i, x] of list.entries()) {
    const { of: s } = x;
    const twin = twins.get(i) ?? null;
    const here = (live.get(s.spaceId) ?? 0) - (x.found !== null && s.removedAt === null && !isLost(s) ? 1 : 0);
    const away = [lost, removed.get(s.spaceId)].filter((t): t is string => t !== undefined).sort();
    const leadAt = away.at(-1) ?? null;
    const lead = leadAt !== null ? 'removed' : here > 0 ? 'inRoom' : null;
    const before = isGone(s) ? [] : gone.filter((g) => (g.of.spaceId === s.spaceId || isLost(g.of)) && isLike(s, g.of));
    const mold = before.some((g) => g.moldy);
    past.push(lead === null && !mold && twin === null ? NOTHING : { lead, leadAt, mold, twin });
    const taken = before
      .flatMap((g) => inheritedFrom(s, g.of, g.suspects, rulebook))
      .filter((k) => !x.suspects.some((own) => own.key === k.key));
    suspects.push(taken.length === 0 ? x.suspects : [...x.suspects, ...new Map(taken.map((k) => [k.key, k])).values()]);
  }
  return { past, suspects };
}
