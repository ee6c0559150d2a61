/** Which zones a job has: every room, side and bench without asking; what a person divided or joined. */
import { BLANK_SETUP, type Job, type Space, type Surface, type WallId, type Zone } from '../facts';

/** How a zone is run, as a person said it. */
export type ZoneSetup = Pick<
  Zone,
  'workingDoor' | 'washPlace' | 'cleanWay' | 'airMachine' | 'machineIds' | 'crew' | 'shiftH' | 'note' | 'staying'
>;

export interface ZoneView {
  /** Its own id when it is a part; that of its room or side; that of the job for what is worked on the bench. */
  readonly id: string;
  readonly kind: 'room' | 'elevation' | 'bench';
  readonly name: string;
  /** Rooms or sides that it takes in; none: the bench. */
  readonly spaceIds: readonly string[];
  /** It is a part behind a sealed screen, or a bay of a side. */
  readonly partOf: string | null;
  readonly sides: readonly { readonly spaceId: string; readonly side: WallId | null; readonly lengthM: number | null }[];
  readonly setup: ZoneSetup;
}

const setupOf = ({ workingDoor, washPlace, cleanWay, airMachine, machineIds, crew, shiftH, note, staying }: ZoneSetup): ZoneSetup => ({
  workingDoor,
  washPlace,
  cleanWay,
  airMachine,
  machineIds,
  crew,
  shiftH,
  note,
  staying,
});

/**
 * The room or side to which a chain of joins leads. Only like joins like. Two phones may each have joined one room to the other: a ring is
 * one place all the same, and goes by the first of it in the list.
 */
function rootOf(space: Space, byId: ReadonlyMap<string, Space>): Space {
  const chain = [space];
  for (;;) {
    const at = chain.at(-1)!;
    const next = at.joinedToId === null ? undefined : byId.get(at.joinedToId);
    if (!next || next.removedAt !== null || next.kind !== space.kind) return at;
    const met = chain.indexOf(next);
    if (met >= 0) {
      const ring = new Set(chain.slice(met));
      return [...byId.values()].find((s) => ring.has(s))!;
    }
    chain.push(next);
  }
}

/** Of each live room or side, the one by which the whole goes that it is joined into: itself, when it is joined to none. */
export function wholesOf(spaces: readonly Space[]): ReadonlyMap<string, Space> {
  const byId = new Map(spaces.map((s) => [s.id, s]));
  return new Map(spaces.filter((s) => s.removedAt === null).map((s) => [s.id, rootOf(s, byId)]));
}

export interface ZoneMap {
  readonly zones: readonly ZoneView[];
  /** By surface; what stands in no live room has none. */
  readonly of: ReadonlyMap<string, string>;
}

/** The zones of a job, rooms and sides in their order, parts after the whole, the bench last. Those without a surface are left out. */
export function zonesOf(
  job: Pick<Job, 'id'>,
  spaces: readonly Space[],
  parts: readonly Zone[],
  surfaces: readonly Pick<Surface, 'id' | 'spaceId' | 'zoneId' | 'bench' | 'removedAt'>[],
): ZoneMap {
  const partById = new Map(parts.filter((z) => z.removedAt === null).map((z) => [z.id, z]));
  const root = wholesOf(spaces);
  const of = new Map<string, string>();
  for (const s of surfaces) {
    const whole = root.get(s.spaceId);
    if (s.removedAt !== null || !whole) continue;
    const part = s.zoneId === null ? undefined : partById.get(s.zoneId);
    // A part of another room is none of this one.
    const inPart = part && root.get(part.spaceId)?.id === whole.id ? part.id : whole.id;
    of.set(s.id, s.bench ? job.id : inPart);
  }
  const used = new Set(of.values());
  const zones: ZoneView[] = [];
  const sideOf = (s: Space) => ({ spaceId: s.id, side: s.side, lengthM: s.lengthM });
  // Gathered once: a house of hundreds of rooms is gone through at every tap.
  const joined = new Map<string, Space[]>();
  for (const s of spaces) {
    const whole = root.get(s.id);
    if (!whole) continue;
    const list = joined.get(whole.id);
    if (list) list.push(s);
    else joined.set(whole.id, [s]);
  }
  const divided = new Map<string, Zone[]>();
  for (const p of parts) {
    const whole = root.get(p.spaceId);
    if (whole && used.has(p.id)) divided.set(whole.id, [...(divided.get(whole.id) ?? []), p]);
  }
  for (const space of spaces) {
    if (root.get(space.id)?.id !== space.id) continue;
    const members = joined.get(space.id)!;
    const base = { kind: space.kind, spaceIds: members.map((s) => s.id), sides: space.kind === 'room' ? [] : members.map(sideOf) };
    if (used.has(space.id))
      zones.push({ ...base, id: space.id, name: members.map((s) => s.name).join(' + '), partOf: null, setup: setupOf(space) });
    for (const p of divided.get(space.id) ?? [])
      zones.push({ ...base, id: p.id, name: `${space.name}: ${p.name}`, partOf: space.id, setup: setupOf(p) });
  }
  if (used.has(job.id)) zones.push({ id: job.id, kind: 'bench', name: 'Bench', spaceIds: [], partOf: null, sides: [], setup: BLANK_SETUP });
  return { zones, of };
}
