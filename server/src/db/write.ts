/** Rows and log entries from changes that the core has taken in. Runs inside a transaction that holds the job's lock. */
import { and, eq, inArray, sql } from 'drizzle-orm';
import {
  FirmSettings,
  withoutRetired,
  fromZod,
  isAppendOnly,
  specOf,
  type Change,
  type FirmEntity,
  type Entity,
  type JobChange,
  type Problem,
  type Refusal,
} from '@roughsill/core';
import type { Query } from './client';
import { logged } from './load';
import * as t from './schema';
import { CHUNK, groupBy, LISTED, TABLES, type Listed } from './tables';

const chunks = function* <T>(list: readonly T[]): Generator<T[]> {
  for (let i = 0; i < list.length; i += CHUNK) yield list.slice(i, i + CHUNK);
};

export interface Rows {
  readonly tx: Query;
  readonly firmId: string;
}

/** Which of these changes are in the log already, as they stand there. */
export async function inLog({ tx, firmId }: Rows, changes: readonly Change[]): Promise<Map<string, Change>> {
  const known = new Map<string, Change>();
  for (const some of chunks(changes)) {
    const rows = await tx
      .select()
      .from(t.changeLog)
      .where(
        and(
          eq(t.changeLog.firmId, firmId),
          inArray(
            t.changeLog.changeId,
            some.map((c) => c.id),
          ),
        ),
      );
    rows.forEach((r) => known.set(r.changeId, logged(r)));
  }
  return known;
}

/** Records are found by id alone, over all jobs of the firm: an id that another job uses cannot be used again. */
export async function takenElsewhere({ tx, firmId }: Rows, jobId: string, batch: readonly JobChange[]): Promise<Set<string>> {
  const taken = new Set<string>();
  const adds = groupBy(
    batch.filter((c) => c.op === 'add' && c.entity !== 'job'),
    (c) => c.entity as Listed,
  );
  for (const [entity, list] of adds) {
    const table = TABLES[entity] as typeof t.spaces;
    for (const some of chunks(list)) {
      const ids = some.map((c) => c.entityId);
      const rows = await tx
        .select({ id: table.id, jobId: table.jobId })
        .from(table)
        .where(and(eq(table.firmId, firmId), inArray(table.id, ids)));
      rows.filter((r) => r.jobId !== jobId).forEach((r) => taken.add(r.id));
    }
  }
  return taken;
}

export const takenProblem: Problem = { path: 'entityId', message: 'this id is used on another job' };

/** Adds go in by the thousand, parents first; the rest follows in its own order. The reducer has proved that this comes to the same. */
export async function writeJob(rows: Rows, jobId: string, batch: readonly JobChange[]): Promise<void> {
  const adds = groupBy(
    batch.filter((c) => c.op === 'add'),
    (c) => c.entity,
  );
  for (const c of adds.get('job') ?? []) {
    const values = { firmId: rows.firmId, id: c.entityId, createdAt: c.at, ...specOf('job').fields.parse(c.fields) };
    await rows.tx.insert(t.jobs).values(values as never);
  }
  for (const entity of LISTED) for (const some of chunks(adds.get(entity) ?? [])) await insert(rows, jobId, entity, some);
  for (const c of batch) if (c.op !== 'add') await amend(rows, c);
}

async function insert({ tx, firmId }: Rows, jobId: string, entity: Listed, list: readonly JobChange[]): Promise<void> {
  const { fields } = specOf(entity);
  const row = (c: JobChange) => ({
    firmId,
    jobId,
    id: c.entityId,
    surfaceId: c.parent.kind === 'surface' ? c.parent.id : null,
    ...(isAppendOnly(entity) ? { by: c.by } : {}),
    // Parsed again for its defaults: a phone that has not been updated yet does not send the newer fields.
    ...fields.parse(c.fields),
  });
  await tx.insert(TABLES[entity]).values(list.map(row) as never);
  if (entity !== 'reading') return;
  const coats = list.flatMap((c) => {
    const { reachedLayerIds, changedLayerIds } = c.fields as { reachedLayerIds: string[]; changedLayerIds: string[] };
    return reachedLayerIds.map((layerId, place) => ({
      firmId,
      jobId,
      readingId: c.entityId,
      layerId,
      place,
      changed: changedLayerIds.includes(layerId),
    }));
  });
  for (const some of chunks(coats)) await tx.insert(t.readingLayers).values(some);
}

/** What an amending change writes into the columns of its record. */
function columnsOf(c: Change & { readonly entity: Entity }): Record<string, unknown> {
  if (c.op !== 'set') return { removedAt: c.op === 'remove' ? c.at : null };
  const parsed = specOf(c.entity).fields.partial().parse(c.fields);
  return Object.fromEntries(Object.keys(c.fields).map((k) => [k, parsed[k]]));
}

async function amend({ tx, firmId }: Rows, c: JobChange): Promise<void> {
  const values = columnsOf(c);
  if (Object.keys(values).length === 0) return;
  const table = (c.entity === 'job' ? t.jobs : TABLES[c.entity]) as typeof t.spaces;
  await tx
    .update(table)
    .set(values as never)
    .where(and(eq(table.firmId, firmId), eq(table.id, c.entityId)));
}

/** Settings of the firm. @returns what is wrong, with nothing written */
export async function writeSettings({ tx, firmId }: Rows, c: Change): Promise<Refusal | null> {
  const parsed = FirmSettings.partial().safeParse(withoutRetired(c.fields));
  if (c.op !== 'set' || !parsed.success) {
    const problems = parsed.success ? [{ path: 'op', message: 'settings are only set' }] : fromZod(parsed.error, c.fields, ['fields']);
    return { change: c, problems };
  }
  // Only what was sent: a default never overwrites a setting that was left alone.
  const { rates, ...columns } = Object.fromEntries(Object.entries(parsed.data).filter(([k]) => k in c.fields)) as Partial<FirmSettings>;
  if (Object.keys(columns).length > 0) await tx.update(t.firms).set(columns).where(eq(t.firms.id, firmId));
  if (rates) {
    await tx.delete(t.firmRates).where(eq(t.firmRates.firmId, firmId));
    const list = Object.entries(rates).map(([methodId, r]) => ({ firmId, methodId, ...r }));
    if (list.length > 0) await tx.insert(t.firmRates).values(list);
  }
  return null;
}

/** A record of the firm's own; the core has taken it in. */
export async function writeFirmRecord({ tx, firmId }: Rows, c: Change & { readonly entity: FirmEntity }): Promise<void> {
  const table = TABLES[c.entity];
  if (c.op === 'add') await tx.insert(table).values({ firmId, id: c.entityId, ...specOf(c.entity).fields.parse(c.fields) } as never);
  else
    await tx
      .update(table)
      .set(columnsOf(c) as never)
      .where(and(eq(table.firmId, firmId), eq(table.id, c.entityId)));
}

/** @returns the place of the last in the log */
export async function writeLog({ tx, firmId }: Rows, batch: readonly Change[], now: Date): Promise<number> {
  let last = 0;
  for (const some of chunks(batch)) {
    const rows = some.map((c) => ({
      firmId,
      changeId: c.id,
      jobId: c.jobId,
      entity: c.entity,
      entityId: c.entityId,
      v: c.v,
      parentKind: c.parent.kind,
      parentId: c.parent.id,
      personId: c.personId,
      device: c.device,
      act: c.act,
      op: c.op,
      fields: c.fields,
      saw: c.saw ?? null,
      at: c.at,
      by: c.by,
      receivedAt: now.toISOString(),
    }));
    const written = await tx.insert(t.changeLog).values(rows).returning({ seq: t.changeLog.seq });
    last = Math.max(last, ...written.map((w) => w.seq));
  }
  return last;
}

/** One writer at a time in a scope: the second waits here and then sees what the first wrote. */
export const lock = ({ tx, firmId }: Rows, scope: string) =>
  tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`${firmId}/${scope}`}, 0))`);
