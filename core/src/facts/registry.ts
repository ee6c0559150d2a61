/**
 * The one list of what can be recorded: each entity's fields, where it hangs, how many there may be, whether it is append-only, what it
 * points at and in which order it is written. The change schema, the reducer, the checks of references, the job file, the database's
 * loading, the renewal of ids and the generators of the tests all follow from it. A new entity is an entry here, its fields, its
 * table and its screen.
 */
import { z } from 'zod';
import {
  AirSampleFields,
  BagFields,
  BoardFields,
  DefectFields,
  SignFields,
  SignPictureFields,
  LaidFields,
  CheckFields,
  ClientFields,
  HaulFields,
  StintFields,
  Id,
  Instant,
  InstrumentCheckFields,
  JobFields,
  LayerFields,
  MachineFields,
  SiteFields,
  name,
  PartFields,
  PersonFields,
  ProductFields,
  TinFields,
  MixFields,
  MixStepFields,
  PhotoFields,
  PotFields,
  ReadingFields,
  SampleFields,
  SourceCheckFields,
  SpaceFields,
  SquareFields,
  SurfaceFields,
  ZoneFields,
} from './schema';
import { COAT_USES, MEASURES, PART_KINDS } from './vocabulary';

/** What something can hang under. The firm and the job are also the two scopes in which changes are ordered. */
export type ParentKind = 'firm' | 'job' | 'surface';

/** A field that names another record, or several. */
export interface Reference {
  readonly field: string;
  /** One entity, or any of several. */
  readonly to: string | readonly string[];
  /** Where that record has to be: beside this one under the same parent, anywhere on the job, or under the one that another field names. */
  readonly where: 'beside' | 'job' | { readonly under: string };
  /** The id stands before a slash: `partId/methodId`. Such a list is a wish, not a fact: what it names may be gone. */
  readonly prefix?: true;
  /** What is told when it is not there. */
  readonly says: (row: Row, missing: string) => string;
  /** Path at which it is told, when not the field itself. */
  readonly at?: string;
}

/** A record as data: its id and its fields. */
export type Row = { readonly id: string } & Readonly<Record<string, unknown>>;

export interface EntitySpec {
  readonly scope: 'job' | 'firm';
  readonly fields: z.ZodObject;
  readonly parents: readonly ParentKind[];
  /** Its list on the parent. Null: there is one, the scope itself. */
  readonly list: string | null;
  /** How many a parent may hold, removed ones included. */
  readonly most: number;
  /** Records of what was observed: added, superseded, never edited or removed. They carry their author. */
  readonly appendOnly: boolean;
  /** The version of the job file since which the list exists; older ones do without. */
  readonly since: 1 | 2 | 3 | 5 | 7 | 8 | 9 | 11 | 13 | 17;
  /** Its list on the job came later than that on the surface. */
  readonly sinceOnJob?: 5;
  /** No two that are there stand at one value of this field: entered in two windows, the second is told. */
  readonly oneAt?: string;
  /** The field that says when it was observed. */
  readonly time?: string;
  readonly refs: readonly Reference[];
  /** One order for everything, so that the same facts are always the same bytes. */
  readonly order: (a: Row, b: Row) => number;
  /** Brings what has no order of its own (keys, sets) into one. */
  readonly settle?: (row: Row) => Row;
}

const byId = (a: Row, b: Row): number => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
const by =
  (key: (row: Row) => number | string) =>
  (a: Row, b: Row): number => {
    const [x, y] = [key(a), key(b)];
    return x < y ? -1 : x > y ? 1 : byId(a, b);
  };
const byPosition = by((r) => r['position'] as number);
const byTime = by((r) => r['takenAt'] as string);
/** A field that is a list by key, its keys in one order; a record from before it came is left without. */
function inKeyOrder(row: Row, field: string, keys: readonly string[]): Partial<Row> {
  const of = row[field] as Readonly<Record<string, unknown>> | undefined;
  return of === undefined ? {} : { [field]: Object.fromEntries(keys.flatMap((k) => (of[k] === undefined ? [] : [[k, of[k]]]))) };
}
const LABELS = new Intl.Collator('en', { numeric: true });

const spec = <const S extends EntitySpec>(s: S): S => s;
const says = (message: string) => () => message;
const coat = (field: string, message: Reference['says']): Reference => ({ field, to: 'layer', where: 'beside', says: message });

/** In the order in which they are loaded and written: parents first, and what is pointed at before what points. */
export const REGISTRY = {
  person: spec({
    scope: 'firm',
    fields: PersonFields,
    parents: ['firm'],
    list: 'people',
    most: 500,
    appendOnly: false,
    since: 3,
    refs: [],
    order: byId,
  }),
  site: spec({
    scope: 'firm',
    fields: SiteFields,
    parents: ['firm'],
    list: 'sites',
    most: 2000,
    appendOnly: false,
    since: 7,
    refs: [],
    order: byId,
  }),
  client: spec({
    scope: 'firm',
    fields: ClientFields,
    parents: ['firm'],
    list: 'clients',
    most: 5000,
    appendOnly: false,
    since: 17,
    refs: [],
    order: byId,
  }),
  machine: spec({
    scope: 'firm',
    fields: MachineFields,
    parents: ['firm'],
    list: 'machines',
    most: 500,
    appendOnly: false,
    since: 5,
    refs: [],
    order: byId,
  }),
  signPicture: spec({
    scope: 'firm',
    fields: SignPictureFields,
    parents: ['firm'],
    list: 'signPictures',
    most: 500,
    appendOnly: false,
    since: 11,
    refs: [],
    order: byId,
  }),
  product: spec({
    scope: 'firm',
    fields: ProductFields,
    parents: ['firm'],
    list: 'products',
    most: 500,
    appendOnly: false,
    since: 11,
    refs: [],
    order: byId,
  }),
  tin: spec({
    scope: 'firm',
    fields: TinFields,
    parents: ['firm'],
    list: 'tins',
    most: 5000,
    appendOnly: false,
    since: 11,
    refs: [],
    order: byId,
  }),
  mix: spec({
    scope: 'firm',
    fields: MixFields,
    parents: ['firm'],
    list: 'mixes',
    most: 2000,
    appendOnly: false,
    since: 13,
    refs: [],
    order: byId,
  }),
  mixStep: spec({
    scope: 'firm',
    fields: MixStepFields,
    parents: ['firm'],
    list: 'mixSteps',
    most: 20_000,
    appendOnly: false,
    since: 13,
    refs: [],
    order: byId,
  }),
  sourceCheck: spec({
    scope: 'firm',
    fields: SourceCheckFields,
    parents: ['firm'],
    list: 'sourceChecks',
    most: 2000,
    appendOnly: false,
    since: 17,
    refs: [],
    order: byId,
  }),
  pot: spec({
    scope: 'firm',
    fields: PotFields,
    parents: ['firm'],
    list: 'pots',
    most: 2000,
    appendOnly: false,
    since: 17,
    refs: [],
    order: byId,
  }),
  job: spec({
    scope: 'job',
    fields: JobFields,
    parents: ['firm'],
    list: null,
    most: 1,
    appendOnly: false,
    since: 1,
    refs: [],
    order: byId,
  }),
  space: spec({
    scope: 'job',
    fields: SpaceFields,
    parents: ['job'],
    list: 'spaces',
    most: 500,
    appendOnly: false,
    since: 1,
    refs: [{ field: 'joinedToId', to: 'space', where: 'job', says: says('the room or side it is joined to is not on this job') }],
    order: byPosition,
  }),
  zone: spec({
    scope: 'job',
    fields: ZoneFields,
    parents: ['job'],
    list: 'zones',
    most: 500,
    appendOnly: false,
    since: 5,
    refs: [{ field: 'spaceId', to: 'space', where: 'job', says: says('the room or elevation it is a part of is not on this job') }],
    order: byPosition,
  }),
  surface: spec({
    scope: 'job',
    fields: SurfaceFields,
    parents: ['job'],
    list: 'surfaces',
    most: 5000,
    appendOnly: false,
    since: 1,
    refs: [
      { field: 'spaceId', to: 'space', where: 'job', says: says('the room or elevation it stands in is not on this job') },
      { field: 'workOrder', to: 'part', where: 'job', prefix: true, says: says('') },
      { field: 'zoneId', to: 'zone', where: 'job', says: says('the zone it is worked in is not on this job') },
    ],
    order: byPosition,
    settle: (s) => ({ ...s, ...inKeyOrder(s, 'measures', MEASURES), ...inKeyOrder(s, 'layings', COAT_USES) }),
  }),
  part: spec({
    scope: 'job',
    fields: PartFields,
    parents: ['surface'],
    list: 'parts',
    most: 20,
    appendOnly: false,
    since: 1,
    refs: [],
    order: by((p) => PART_KINDS.indexOf(p['kind'] as never)),
  }),
  layer: spec({
    scope: 'job',
    fields: LayerFields,
    parents: ['surface'],
    list: 'layers',
    most: 60,
    oneAt: 'position',
    appendOnly: false,
    since: 1,
    refs: [],
    order: byPosition,
  }),
  sample: spec({
    scope: 'job',
    fields: SampleFields,
    parents: ['surface'],
    list: 'samples',
    most: 200,
    appendOnly: false,
    since: 2,
    refs: [
      coat('reachedLayerIds', (x) => `sample ${x['number']} names a coat that is not on this surface`),
      {
        field: 'repeatsId',
        to: 'sample',
        where: 'beside',
        says: (x) => `the sample that ${x['number']} repeats is not on this surface`,
      },
    ],
    order: by((x) => x['number'] as string),
  }),
  reading: spec({
    scope: 'job',
    fields: ReadingFields,
    parents: ['surface'],
    list: 'readings',
    most: 500,
    appendOnly: true,
    since: 1,
    time: 'takenAt',
    refs: [
      coat('reachedLayerIds', (_r, id) => `names a coat that is not on this surface: ${id}`),
      { ...coat('changedLayerIds', (_r, id) => `names a coat that is not on this surface: ${id}`), at: 'reachedLayerIds' },
      { field: 'supersedesId', to: 'reading', where: 'beside', says: says('the reading it replaces is not on this surface') },
      { field: 'sampleId', to: 'sample', where: 'beside', says: says('names a sample that is not on this surface') },
    ],
    order: byTime,
    settle: (r) => {
      const changed = r['changedLayerIds'] as string[];
      return { ...r, changedLayerIds: (r['reachedLayerIds'] as string[]).filter((id) => changed.includes(id)) };
    },
  }),
  check: spec({
    scope: 'job',
    fields: CheckFields,
    parents: ['surface', 'job'],
    list: 'checks',
    most: 2000,
    appendOnly: true,
    since: 1,
    sinceOnJob: 5,
    time: 'takenAt',
    refs: [
      { field: 'supersedesId', to: 'check', where: 'beside', says: says('the check it replaces is not in the same place') },
      { field: 'zoneId', to: ['space', 'zone', 'job'], where: 'job', says: says('the zone it is about is not on this job') },
      { field: 'pieceIds', to: 'surface', where: 'job', says: says('a piece for which it was passed is not on this job') },
    ],
    order: byTime,
  }),
  square: spec({
    scope: 'job',
    fields: SquareFields,
    parents: ['surface'],
    list: 'squares',
    most: 200,
    appendOnly: false,
    since: 3,
    refs: [
      { field: 'partId', to: 'part', where: 'beside', says: says('names a part that is not on this surface') },
      coat('stoppedOnLayerId', says('names a coat that is not on this surface')),
    ],
    order: by((q) => (q['startedAt'] as string | null) ?? '9'),
  }),
  board: spec({
    scope: 'job',
    fields: BoardFields,
    parents: ['surface'],
    list: 'boards',
    most: 500,
    appendOnly: false,
    since: 3,
    refs: [],
    order: (a, b) => LABELS.compare(a['label'] as string, b['label'] as string) || byId(a, b),
  }),
  sign: spec({
    scope: 'job',
    fields: SignFields,
    parents: ['surface'],
    list: 'signs',
    most: 1000,
    appendOnly: true,
    since: 11,
    time: 'takenAt',
    refs: [
      { field: 'partId', to: 'part', where: 'beside', says: says('names a part that is not on this surface') },
      { field: 'supersedesId', to: 'sign', where: 'beside', says: says('the sign it takes back is not on this surface') },
    ],
    order: byTime,
  }),
  laid: spec({
    scope: 'job',
    fields: LaidFields,
    parents: ['surface'],
    list: 'laid',
    most: 200,
    appendOnly: true,
    since: 13,
    time: 'takenAt',
    refs: [{ field: 'supersedesId', to: 'laid', where: 'beside', says: says('the coat it takes back is not on this surface') }],
    order: byTime,
  }),
  defect: spec({
    scope: 'job',
    fields: DefectFields,
    parents: ['surface'],
    list: 'defects',
    most: 300,
    appendOnly: false,
    since: 11,
    refs: [{ field: 'partId', to: 'part', where: 'beside', says: says('names a part that is not on this surface') }],
    order: byId,
  }),
  airSample: spec({
    scope: 'job',
    fields: AirSampleFields,
    parents: ['job'],
    list: 'airSamples',
    most: 1000,
    appendOnly: false,
    since: 8,
    refs: [
      { field: 'onSurfaceId', to: 'surface', where: 'job', says: (x) => `what was worked on while ${x['number']} ran is not on this job` },
    ],
    order: by((x) => x['startedAt'] as string),
  }),
  stint: spec({
    scope: 'job',
    fields: StintFields,
    parents: ['job'],
    list: 'stints',
    most: 5000,
    appendOnly: false,
    since: 9,
    refs: [
      {
        field: 'zoneId',
        to: ['space', 'zone', 'job'],
        where: 'job',
        says: (x) => `the zone in which ${x['person']} works is not on this job`,
      },
    ],
    order: (a, b) =>
      LABELS.compare(a['on'] as string, b['on'] as string) ||
      LABELS.compare(a['person'] as string, b['person'] as string) ||
      (a['fromMin'] as number) - (b['fromMin'] as number) ||
      byId(a, b),
  }),
  haul: spec({
    scope: 'job',
    fields: HaulFields,
    parents: ['job'],
    list: 'hauls',
    most: 500,
    appendOnly: false,
    since: 8,
    refs: [],
    order: by((x) => x['leftAt'] as string),
  }),
  bag: spec({
    scope: 'job',
    fields: BagFields,
    parents: ['job'],
    list: 'bags',
    most: 5000,
    appendOnly: false,
    since: 8,
    refs: [
      {
        field: 'zoneId',
        to: ['space', 'zone', 'job'],
        where: 'job',
        says: (x) => `the zone where bag ${x['number']} was filled is not on this job`,
      },
      { field: 'haulId', to: 'haul', where: 'job', says: (x) => `the load with which bag ${x['number']} left is not on this job` },
    ],
    order: (a, b) => LABELS.compare(a['number'] as string, b['number'] as string) || byId(a, b),
  }),
  photo: spec({
    scope: 'job',
    fields: PhotoFields,
    parents: ['job'],
    list: 'photos',
    most: 5000,
    appendOnly: false,
    since: 2,
    time: 'takenAt',
    refs: [
      { field: 'ofSurfaceId', to: 'surface', where: 'job', says: says('the surface it shows is not on this job') },
      { field: 'ofSampleId', to: 'sample', where: { under: 'ofSurfaceId' }, says: says('the sample it shows is not on that surface') },
      { field: 'ofCheckId', to: 'check', where: { under: 'ofSurfaceId' }, says: says('the check it shows is not on that surface') },
      {
        field: 'ofSquareId',
        to: 'square',
        where: { under: 'ofSurfaceId' },
        says: says('the trial square it shows is not on that surface'),
      },
      { field: 'ofSignId', to: 'sign', where: { under: 'ofSurfaceId' }, says: says('the sign it shows is not on that surface') },
      { field: 'ofDefectId', to: 'defect', where: { under: 'ofSurfaceId' }, says: says('the damage it shows is not on that surface') },
      { field: 'ofZoneId', to: ['space', 'zone', 'job'], where: 'job', says: says('the zone it shows is not on this job') },
      { field: 'ofBagId', to: 'bag', where: 'job', says: says('the bag it shows is not on this job') },
    ],
    order: byTime,
  }),
  instrumentCheck: spec({
    scope: 'job',
    fields: InstrumentCheckFields,
    parents: ['job'],
    list: 'instrumentChecks',
    most: 2000,
    appendOnly: true,
    since: 2,
    time: 'takenAt',
    refs: [],
    order: byTime,
  }),
};

type Registry = typeof REGISTRY;
export type Entity = keyof Registry;
export const ENTITIES = Object.keys(REGISTRY) as [Entity, ...Entity[]];
export const specOf = (entity: Entity): EntitySpec => REGISTRY[entity];
export const isAppendOnly = (entity: Entity): boolean => specOf(entity).appendOnly;

/** Those of the firm, its settings apart. */
export type FirmEntity = { [E in Entity]: Registry[E]['scope'] extends 'firm' ? E : never }[Entity];
type FieldsOf<E extends Entity> = z.infer<Registry[E]['fields']>;
/** Observations carry their author; things that can be taken away carry when. */
type LifeOf<E extends Entity> = Registry[E]['appendOnly'] extends true ? { by: string } : { removedAt: string | null };
type Made<E extends Entity> = E extends 'job' ? { createdAt: string } : unknown;
type ChildrenOf<P extends ParentKind, S extends 'job' | 'firm'> = {
  [
    E in Entity as Registry[E]['scope'] extends S
      ? P extends Registry[E]['parents'][number]
        ? Registry[E]['list'] extends string
          ? Registry[E]['list']
          : never
        : never
      : never
  ]: RecordOf<E>[];
};
/** An entity as it stands in the facts: its id, its fields, its author or its removal, and the lists that hang under it. */
export type RecordOf<E extends Entity> = { id: string } & FieldsOf<E> &
  LifeOf<E> &
  Made<E> &
  (E extends 'surface' ? ChildrenOf<E, 'job'> : unknown);

/** One job, whole: the shape in the store, in the job file and in every derivation. */
export type JobFacts = { job: RecordOf<'job'> } & ChildrenOf<'job', 'job'>;
/** What belongs to the firm rather than to a job, its settings apart. */
export type FirmFacts = ChildrenOf<'firm', 'firm'>;

export type Job = RecordOf<'job'>;
export type Space = RecordOf<'space'>;
export type Zone = RecordOf<'zone'>;
export type Surface = RecordOf<'surface'>;
export type Part = RecordOf<'part'>;
export type Layer = RecordOf<'layer'>;
export type Reading = RecordOf<'reading'>;
export type Check = RecordOf<'check'>;
export type Sample = RecordOf<'sample'>;
export type Square = RecordOf<'square'>;
export type Board = RecordOf<'board'>;
export type Photo = RecordOf<'photo'>;
export type Sign = RecordOf<'sign'>;
export type Laid = RecordOf<'laid'>;
export type SignPicture = RecordOf<'signPicture'>;
export type Defect = RecordOf<'defect'>;
export type AirSample = RecordOf<'airSample'>;
export type Haul = RecordOf<'haul'>;
export type Stint = RecordOf<'stint'>;
export type Bag = RecordOf<'bag'>;
export type InstrumentCheck = RecordOf<'instrumentCheck'>;
export type Person = RecordOf<'person'>;
export type Product = RecordOf<'product'>;
export type Tin = RecordOf<'tin'>;
export type Mix = RecordOf<'mix'>;
export type MixStep = RecordOf<'mixStep'>;
export type Machine = RecordOf<'machine'>;
export type Site = RecordOf<'site'>;
export type Client = RecordOf<'client'>;
export type SourceCheck = RecordOf<'sourceCheck'>;
export type PotRecord = RecordOf<'pot'>;

/** The entities that hang under a kind of parent, in the registry's order. */
export const childrenOf = (parent: ParentKind, scope: 'job' | 'firm' = 'job'): Entity[] =>
  ENTITIES.filter((e) => specOf(e).list !== null && specOf(e).scope === scope && specOf(e).parents.includes(parent));

/** Which kind of parent an entity is, when it is one. */
export const asParent = (entity: Entity): ParentKind | null => (entity === 'surface' || entity === 'job' ? entity : null);

/** The fields of a record, without its id, its life and what hangs under it: a new field or list needs no word here. */
export const fieldsOf = <E extends Entity>(entity: E, row: RecordOf<E>): FieldsOf<E> =>
  Object.fromEntries(Object.keys(specOf(entity).fields.shape).map((k) => [k, (row as unknown as Row)[k]])) as FieldsOf<E>;

/** Empty lists for what hangs under it: what a new record begins with beside its fields. */
export const emptyLists = (parent: ParentKind, scope: 'job' | 'firm' = 'job'): Record<string, never[]> =>
  Object.fromEntries(childrenOf(parent, scope).map((e) => [specOf(e).list!, []]));

/** A firm that wrote nothing down yet. */
export const NO_FIRM: FirmFacts = emptyLists('firm', 'firm') as unknown as FirmFacts;

/**
 * The firm's own records as an app of another day kept them: it may have known other lists and fields. Gaps are filled, fields that are not
 * known are passed over, and a record that does not fit today's schema is left out until the server tells it again.
 */
export function readFirm(raw: unknown): FirmFacts {
  const lists = typeof raw === 'object' && raw !== null ? (raw as Readonly<Record<string, unknown>>) : {};
  const read = childrenOf('firm', 'firm').map((e) => {
    const list = lists[specOf(e).list!];
    const schema = (recordSchema(e) as z.ZodObject).strip();
    const fits = (record: unknown) => {
      const parsed = schema.safeParse(record);
      return parsed.success ? [parsed.data] : [];
    };
    return [specOf(e).list!, Array.isArray(list) ? list.flatMap(fits) : []];
  });
  return Object.fromEntries(read) as unknown as FirmFacts;
}

function listShape(parent: ParentKind): z.ZodRawShape {
  // Lists that came later stand later in the file, as they always did.
  const sinceOf = (e: Entity): number => (parent === 'job' ? specOf(e).sinceOnJob : undefined) ?? specOf(e).since;
  const entities = childrenOf(parent).sort((a, b) => sinceOf(a) - sinceOf(b));
  return Object.fromEntries(
    entities.map((e) => {
      const list = z.array(recordSchema(e)).max(specOf(e).most);
      return [specOf(e).list!, sinceOf(e) > 1 ? list.default([]) : list];
    }),
  );
}

/** The schema of an entity as it stands in the facts and in the job file. */
export function recordSchema(entity: Entity): z.ZodType {
  const s = specOf(entity);
  const parent = asParent(entity);
  return z.strictObject({
    id: Id,
    ...s.fields.shape,
    ...(entity === 'job' ? { createdAt: Instant } : {}),
    ...(s.appendOnly ? { by: name('the person') } : { removedAt: Instant.nullable() }),
    ...(parent === null || parent === 'job' ? {} : listShape(parent)),
  });
}

/** What the job file holds beside its header. */
export const jobFactsShape = (): z.ZodRawShape => ({ job: recordSchema('job'), ...listShape('job') });
// Made when a job is first read: a page that only opens does not wait for it.
export const JobFacts = z.lazy(() => z.strictObject(jobFactsShape())) as unknown as z.ZodType<JobFacts>;

/** Where a record stands. */
export interface Place {
  readonly entity: Entity;
  readonly parent: { readonly kind: ParentKind; readonly id: string };
  /** As problems name it: `surfaces[2].layers[0]`. */
  readonly path: string;
}

type Lists = Readonly<Record<string, readonly Row[]>>;

/** Every record of a job, parents before their children. */
export function eachRecord(facts: JobFacts, visit: (row: Row, place: Place) => void): void {
  const below = (holder: Lists, kind: ParentKind, id: string, prefix: string) => {
    for (const entity of childrenOf(kind)) {
      const list = specOf(entity).list!;
      holder[list]!.forEach((row, i) => {
        const path = `${prefix}${list}[${i}]`;
        visit(row, { entity, parent: { kind, id }, path });
        const parent = asParent(entity);
        if (parent) below(row as unknown as Lists, parent, row.id, `${path}.`);
      });
    }
  };
  visit(facts.job as unknown as Row, { entity: 'job', parent: { kind: 'firm', id: 'firm' }, path: 'job' });
  below(facts as unknown as Lists, 'job', facts.job.id, '');
}

/** Builds a job anew, record by record; a record that comes back the same object keeps its place in memory. */
export function mapRecords(facts: JobFacts, f: (row: Row, entity: Entity) => Row): JobFacts {
  const below = (holder: Lists, kind: ParentKind): Record<string, Row[]> =>
    Object.fromEntries(
      childrenOf(kind).map((entity) => {
        const parent = asParent(entity);
        const list = specOf(entity).list!;
        return [
          list,
          holder[list]!.map((row) => {
            const made = f(row, entity);
            return parent ? { ...made, ...below(made as unknown as Lists, parent) } : made;
          }),
        ];
      }),
    );
  return {
    job: f(facts.job as unknown as Row, 'job'),
    ...below(facts as unknown as Lists, 'job'),
  } as unknown as JobFacts;
}
