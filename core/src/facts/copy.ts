/**
 * A job begun from another: its rooms and pieces alone, for a like house; or with all that was found, where the work goes on at the same
 * house. What was done, chosen, tried or passed there comes along into neither, for it proves nothing here. Law V3.
 */
import { BLANK_JOB, BLANK_LAYER, type JobDraft } from './blank';
import { withNewIds } from './job-file';
import { liveLaid } from './laid';
import { ok, wrong, type Outcome } from './problems';
import {
  childrenOf,
  mapRecords,
  specOf,
  type Entity,
  type Job,
  type JobFacts,
  type Layer,
  type ParentKind,
  type Photo,
  type RecordOf,
  type Row,
  type Surface,
} from './registry';
import type { Binder, CopyWay } from './vocabulary';

/** Which records come along: into every copy, where it is the same house, or never. */
const COMES: Readonly<Record<Exclude<Entity, 'job'>, CopyWay | 'never'>> = {
  space: 'alike',
  zone: 'alike',
  surface: 'alike',
  part: 'alike',
  layer: 'sameHouse',
  sample: 'sameHouse',
  reading: 'sameHouse',
  board: 'sameHouse',
  photo: 'sameHouse',
  instrumentCheck: 'sameHouse',
  check: 'never',
  square: 'never',
  sign: 'never',
  laid: 'never',
  // What was put right then is whole now: it is looked for again.
  defect: 'never',
  airSample: 'never',
  stint: 'never',
  haul: 'never',
  bag: 'never',
  person: 'never',
  site: 'never',
  client: 'never',
  machine: 'never',
  signPicture: 'never',
  product: 'never',
  tin: 'never',
  mix: 'never',
  mixStep: 'never',
  pot: 'never',
  sourceCheck: 'never',
};

type Blanks = { readonly [E in Entity]?: Partial<RecordOf<E>> };
/** What only ever held for the job that it was entered on. */
const OF_THE_JOB: Blanks = {
  surface: { workOrder: [], clientWhy: '', declinedOn: null, declinedNote: '' },
  part: { insistedWhy: null },
};
/** A way that was chosen for a piece as it was: at the same house it has other coats now, and is chosen again. */
const CHOSEN: Blanks = { part: { methodId: null, alsoIds: [], grits: [], toolC: null } };
/** What is so of this house and these pieces, and is not known of others. */
const OF_THE_HOUSE: Blanks = {
  space: { yearBuilt: null, boundaryM: null, nearby: [], facing: null, shaded: [], moisture: null, goesAnyway: '', staying: '', note: '' },
  zone: { staying: '', note: '' },
  surface: {
    yearMade: null,
    yearHow: '',
    conditions: [],
    coatsCounted: false,
    knots: 'unknown',
    blisterGrade: null,
    flakeGrade: null,
    crackGrade: null,
    chalkGrade: null,
    rustGrade: null,
    moldM2: null,
    stainM2: null,
    species: '',
    past: 'asBefore',
    pastWhy: '',
    filmUm: null,
  },
};

/** What of the job itself is so of any job of the firm. */
const OF_THE_FIRM = ['rulebook', 'units', 'timeZone', 'dwelling', 'worker', 'stateLayer'] as const satisfies readonly (keyof JobDraft)[];
/** And what is so of the house and who lives there. Answers about today's household are asked again. */
const OF_ITS_HOUSE = [
  ...OF_THE_FIRM,
  'place',
  'siteId',
  'yearBuilt',
  'family',
  'dwellings',
  'tenure',
  'listed',
  'samplingSeed',
  'clientId',
  'clientName',
  'contractIn',
] as const satisfies readonly (keyof JobDraft)[];

/** What a generic coat is in an old stack; not there: nobody can say it so. */
const BINDER_OF: Readonly<Partial<Record<string, Binder>>> = {
  waterborneEggshell: 'acrylic',
  waterborneGloss: 'acrylic',
  exteriorAcrylic: 'acrylic',
  matEmulsion: 'acrylic',
  acrylicWood: 'acrylic',
  bonding: 'acrylic',
  alkydGloss: 'alkyd',
  alkydWood: 'alkyd',
  metalEnamel: 'alkyd',
  clearVarnish: 'alkyd',
  limewash: 'limewash',
  knotting: 'shellac',
  antifoulingCoat: 'antifouling',
};

/** The coats as they stand when the work is done: what was laid lies on top. Old ones stay until somebody says that they came off. */
function coatsNow(s: Surface, thisYear: number): Layer[] {
  const laid = [...liveLaid(s)].sort((a, b) => Date.parse(b.takenAt) - Date.parse(a.takenAt));
  const added = laid.flatMap((x) => Array.from({ length: x.coats }, () => x)).slice(0, Math.max(0, specOf('layer').most - s.layers.length));
  return [
    ...added.map((x, position): Layer => ({
      ...BLANK_LAYER,
      id: `${x.id}.${position}`,
      removedAt: null,
      position,
      binder: BINDER_OF[x.product] ?? 'unknown',
      colour: s.colour,
      soundness: 'sound',
      // A clock that ran ahead says nothing of when it was.
      yearApplied: Math.min(Number(x.takenAt.slice(0, 4)), thisYear),
    })),
    ...s.layers.map((l) => ({ ...l, position: l.position + added.length })),
  ];
}

/** Without what was removed, and without a word of it. */
function liveOnly(facts: JobFacts): JobFacts {
  const live = <T extends { readonly removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);
  const spaces = live(facts.spaces);
  const rooms = new Set(spaces.map((x) => x.id));
  const zones = live(facts.zones).filter((z) => rooms.has(z.spaceId));
  const there = new Set([...rooms, ...zones.map((z) => z.id)]);
  const named = (id: string | null) => (id !== null && there.has(id) ? id : null);
  return {
    ...facts,
    spaces: spaces.map((x) => ({ ...x, joinedToId: named(x.joinedToId) })),
    zones,
    surfaces: live(facts.surfaces)
      .filter((x) => rooms.has(x.spaceId))
      .map((x) => ({ ...x, zoneId: named(x.zoneId), parts: live(x.parts) })),
  };
}

/** A picture of what stays behind stays with it. */
const ofWhatStays = ({ ofCheckId, ofSquareId, ofSignId, ofDefectId, ofBagId }: Photo): boolean =>
  [ofCheckId, ofSquareId, ofSignId, ofDefectId, ofBagId].some((id) => id !== null);

/** What was found in one house says nothing of another: such a job lends its rooms alone. */
export const isElsewhere = (from: Pick<Job, 'siteId'>, siteId: string | null): boolean =>
  from.siteId !== null && siteId !== null && from.siteId !== siteId;

/**
 * @param over of the new job: its name, and what is known of it
 * @param makeId ids for every record; the first is the job's
 * @param now an instant: when the new job begins
 * @returns a whole job with ids of its own; or that it was at another house. At the same house what was removed comes along as removed, for what was found on it was found there
 */
export function copiedJob(
  facts: JobFacts,
  way: CopyWay,
  over: Partial<JobDraft> & Pick<JobDraft, 'name'>,
  makeId: () => string,
  now: string,
): Outcome<JobFacts> {
  if (way === 'sameHouse' && isElsewhere(facts.job, over.siteId ?? null))
    return wrong({
      path: 'way',
      message: 'that job was at another house: its rooms and pieces can come along, and nothing that was found there',
    });
  const known = way === 'alike' ? OF_THE_FIRM : OF_ITS_HOUSE;
  const { id } = facts.job;
  const job = {
    ...BLANK_JOB,
    ...Object.fromEntries(known.map((k) => [k, facts.job[k]])),
    ...over,
    id,
    createdAt: now,
    removedAt: null,
  } as JobFacts['job'];
  const from: JobFacts =
    way === 'alike'
      ? liveOnly(facts)
      : {
          ...facts,
          photos: facts.photos.filter((p) => !ofWhatStays(p)),
          surfaces: facts.surfaces.map((s) => ({ ...s, layers: coatsNow(s, Number(now.slice(0, 4))) })),
        };
  /** What hangs under it and stays behind. */
  const without = (parent: ParentKind) =>
    Object.fromEntries(
      childrenOf(parent)
        .filter((e) => COMES[e as keyof typeof COMES] !== 'alike' && COMES[e as keyof typeof COMES] !== way)
        .map((e) => [specOf(e).list!, []]),
    );
  const blanked = (row: Row, entity: Entity): Row => ({
    ...row,
    ...OF_THE_JOB[entity],
    ...(way === 'alike' ? OF_THE_HOUSE[entity] : CHOSEN[entity]),
    ...(entity === 'surface' ? without('surface') : {}),
  });
  return ok(withNewIds({ ...mapRecords({ ...from, ...without('job') }, blanked), job }, makeId));
}
