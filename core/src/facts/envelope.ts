/** The envelope of every write. What an older page, phone or log wrote is read for ever: it is brought up to today's form here. */
import { z } from 'zod';
import { fromZod, ok, wrong, type Outcome } from './problems';
import { ENTITIES, isAppendOnly, specOf, type Entity, type ParentKind } from './registry';
import { Id, Instant, name, text } from './schema';
import { same } from '../graph/same';

/** The form in which changes are written today. A server or page that knows a lower one is older than this. */
export const CHANGE_VERSION = 3;

/** The one id of the firm as a parent and as the holder of its settings: which firm it is, is told by who asks. */
export const FIRM_ID = 'firm';
/** The firm's own settings: one record, of which fields are set. */
export const FIRM_SETTINGS = 'firm';

export const Change = z.strictObject({
  /** Form of this envelope. */
  v: z.literal(CHANGE_VERSION),
  /** Made by the client. Sending one twice changes nothing. */
  id: Id,
  /** The job in which it is ordered. Null: it belongs to the firm. */
  jobId: Id.nullable(),
  entity: z.enum([...ENTITIES, FIRM_SETTINGS]),
  entityId: Id,
  /** What it hangs under: the firm, the job or a surface. */
  parent: z.strictObject({ kind: z.enum(['firm', 'job', 'surface'] satisfies [ParentKind, ...ParentKind[]]), id: Id }),
  op: z.enum(['add', 'set', 'remove', 'restore']),
  fields: z.record(z.string().max(60), z.unknown()),
  /** For `set`: what the author saw in the same fields, so that two people editing one field are told. */
  saw: z.record(z.string().max(60), z.unknown()).optional(),
  /** When the author says it was. The server adds when it came, and its place in the log. */
  at: Instant,
  by: name('the person'),
  /** Who of the firm's people that is, as they said at their phone. Null: nobody said, or written before people were asked. */
  personId: Id.nullable().default(null),
  /** Which phone or desk. Null: written before devices had names, or by the server itself. */
  device: text(64).nullable().default(null),
  /** One tap writes one act; its changes share this. */
  act: Id.nullable().default(null),
});
export type Change = z.infer<typeof Change>;

/** Who writes, as far as anybody said, and on what. */
export type Actor = Pick<Change, 'by' | 'personId' | 'device'>;

/** A change that belongs to a job. */
export type JobChange = Change & { readonly jobId: string; readonly entity: Entity };
export const isJobChange = (c: Change): c is JobChange => c.entity !== FIRM_SETTINGS && c.jobId !== null;

/** A change as the server has it: when it came, and its place among all others. */
export type LoggedChange = Change & { readonly seq: number; readonly receivedAt: string };

/** The first form, written until November 2026: a surface or nothing as parent, no device. */
export const ChangeV1 = z.strictObject({
  id: Id,
  jobId: Id.nullable(),
  entity: z.string(),
  entityId: Id,
  surfaceId: Id.nullable(),
  op: z.string(),
  fields: z.record(z.string(), z.unknown()),
  saw: z.record(z.string(), z.unknown()).optional(),
  at: z.string(),
  by: z.string(),
});
export type ChangeV1 = z.infer<typeof ChangeV1>;

/** No record has nearly as many fields. */
const MOST_FIELDS = 200;
const isWide = (raw: unknown): boolean =>
  ['fields', 'saw'].some((k) => {
    const of = (raw as Record<string, unknown> | null)?.[k];
    return typeof of === 'object' && of !== null && Object.keys(of).length > MOST_FIELDS;
  });

const DAY_MS = 86_400_000;
/**
 * Whether it is dated later than the day after `now`, by UTC: further than zones and slips explain. What is dated so would outrank all that
 * is recorded until then.
 */
export function isFromTheFuture(c: Change, now: Date): boolean {
  const last = Date.parse(now.toISOString().slice(0, 10)) + 2 * DAY_MS;
  const seen = c.entity === FIRM_SETTINGS || !isAppendOnly(c.entity) ? undefined : c.fields[specOf(c.entity).time ?? ''];
  return Date.parse(c.at) >= last || (typeof seen === 'string' && Date.parse(seen) >= last);
}

/** Where an entity hangs when its parent is the scope itself. */
export function scopeParent(entity: Change['entity'], jobId: string | null): Change['parent'] {
  const underFirm = jobId === null || entity === 'job';
  return underFirm ? { kind: 'firm', id: FIRM_ID } : { kind: 'job', id: jobId };
}

const fromV1 = ({ surfaceId, ...c }: ChangeV1): unknown => ({
  v: CHANGE_VERSION,
  ...c,
  parent: surfaceId === null ? scopeParent(c.entity as Change['entity'], c.jobId) : { kind: 'surface', id: surfaceId },
  personId: null,
  device: null,
  act: null,
});
/** The second form, written until December 2026: it named nobody of the firm's people. */
const fromV2 = (raw: object): unknown => ({ ...raw, v: CHANGE_VERSION, personId: null });

/** Whether a raw change is of a form that is newer than this program. */
export const isNewer = (raw: unknown): boolean =>
  typeof raw === 'object' && raw !== null && typeof (raw as { v?: unknown }).v === 'number' && (raw as { v: number }).v > CHANGE_VERSION;

/**
 * Reads a change of any form that was ever written.
 * @returns today's form; or what is wrong with it
 */
export function readChange(raw: unknown): Outcome<Change> {
  if (isNewer(raw)) return wrong({ path: 'v', message: 'was written by a newer Rough Sill: update this one' });
  if (isWide(raw)) return wrong({ path: 'fields', message: `holds more than ${MOST_FIELDS} fields` });
  let today = raw;
  if (typeof raw === 'object' && raw !== null && !('v' in raw)) {
    const old = ChangeV1.safeParse(raw);
    if (!old.success) return wrong(...fromZod(old.error, raw));
    today = fromV1(old.data);
  } else if (typeof raw === 'object' && raw !== null && (raw as { v?: unknown }).v === 2) today = fromV2(raw);
  const parsed = Change.safeParse(today);
  if (!parsed.success) return wrong(...fromZod(parsed.error, today));
  const problem = scopeProblem(parsed.data);
  return problem ? wrong(problem) : ok(parsed.data);
}

function scopeProblem(c: Change): { path: string; message: string } | undefined {
  if (c.entity === FIRM_SETTINGS)
    return c.jobId === null ? undefined : { path: 'jobId', message: 'the firm’s settings do not belong to a job' };
  const { scope, parents } = specOf(c.entity);
  if ((scope === 'firm') !== (c.jobId === null))
    return { path: 'jobId', message: scope === 'firm' ? `a ${c.entity} belongs to the firm, not to a job` : 'names no job' };
  if (!parents.includes(c.parent.kind)) return { path: 'parent', message: `a ${c.entity} does not hang under the ${c.parent.kind}` };
  if (c.parent.kind === 'job' && c.parent.id !== c.jobId) return { path: 'parent', message: 'hangs under another job' };
  return undefined;
}

/** What a change says, apart from how it came here: the same id may come again only with the same of this. */
const SAYS = ['jobId', 'entity', 'entityId', 'parent', 'op', 'fields', 'at', 'by'] as const;
export const saysTheSame = (a: Change, b: Change): boolean => SAYS.every((k) => same(a[k], b[k]));
