/** A job from its rows, and changes from the log, as the core knows them. */
import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import {
  asParent,
  CHANGE_VERSION,
  childrenOf,
  readChange,
  specOf,
  type Entity,
  type JobFacts,
  type LoggedChange,
  type ParentKind,
} from '@roughsill/core';
import { breather } from '../breather';
import type { Query } from './client';
import * as t from './schema';
import { groupBy, TABLES, without, type Listed } from './tables';

type Row = { readonly id: string } & Record<string, unknown>;

export async function loadJob(q: Query, firmId: string, jobId: string): Promise<{ cursor: number; facts: JobFacts } | null> {
  const [found] = await q
    .select()
    .from(t.jobs)
    .where(and(eq(t.jobs.firmId, firmId), eq(t.jobs.id, jobId)));
  if (!found) return null;
  const pause = breather();
  const reached = groupBy(
    await q
      .select()
      .from(t.readingLayers)
      .where(and(eq(t.readingLayers.firmId, firmId), eq(t.readingLayers.jobId, jobId)))
      .orderBy(asc(t.readingLayers.place)),
    (r) => r.readingId,
  );
  const rowsOf = async (entity: Listed): Promise<Row[]> => {
    const table = TABLES[entity] as typeof t.spaces;
    const rows = await q
      .select()
      .from(table)
      .where(and(eq(table.firmId, firmId), eq(table.jobId, jobId)));
    const out: Row[] = [];
    for (const row of rows) {
      const made = without(row, 'firmId', 'jobId') as unknown as Row;
      if (entity === 'reading') {
        const coats = reached.get(made.id) ?? [];
        made['reachedLayerIds'] = coats.map((c) => c.layerId);
        made['changedLayerIds'] = coats.filter((c) => c.changed).map((c) => c.layerId);
      }
      out.push(made);
      await pause();
    }
    return out;
  };
  /** Rows of each entity, by the id of what they hang under. */
  const rows = new Map<Entity, Map<string, Row[]>>();
  const read = async (parent: ParentKind): Promise<void> => {
    for (const entity of childrenOf(parent) as Listed[]) {
      if (rows.has(entity)) continue;
      rows.set(
        entity,
        groupBy(await rowsOf(entity), (r) => (r['surfaceId'] as string | null | undefined) ?? jobId),
      );
      const below = asParent(entity);
      if (below) await read(below);
    }
  };
  await read('job');
  const listsOf = (parent: ParentKind, id: string): Record<string, Row[]> =>
    Object.fromEntries(
      childrenOf(parent).map((entity) => {
        const below = asParent(entity);
        const list = (rows.get(entity)?.get(id) ?? []).map((row) => {
          const own = 'surfaceId' in row ? (without(row as Row & { surfaceId: unknown }, 'surfaceId') as Row) : row;
          return below ? { ...own, ...listsOf(below, row.id) } : own;
        });
        return [specOf(entity).list!, list];
      }),
    );
  // The rows were checked by the core's schemas on their way in, and the column keys are the schemas' field names.
  const facts = { job: without(found, 'firmId', 'cursor'), ...listsOf('job', jobId) } as unknown as JobFacts;
  return { cursor: found.cursor, facts };
}

type LogRow = typeof t.changeLog.$inferSelect;

/** A row of the log in today's form, whichever form it was written in. */
export function logged(r: LogRow): LoggedChange {
  const common = { id: r.changeId, jobId: r.jobId, entity: r.entity, entityId: r.entityId, op: r.op, fields: r.fields, at: r.at, by: r.by };
  const saw = r.saw === null ? {} : { saw: r.saw };
  const receipt = { seq: r.seq, receivedAt: r.receivedAt };
  if (r.v === 1) {
    const old = readChange({ ...common, ...saw, surfaceId: r.surfaceId });
    if (old.ok) return { ...old.value, ...receipt };
  }
  const parent = { kind: r.parentKind ?? 'job', id: r.parentId ?? r.jobId };
  return { v: CHANGE_VERSION, ...common, ...saw, parent, personId: r.personId, device: r.device, act: r.act, ...receipt } as LoggedChange;
}

/** Changes in one page of the log. */
export const LOG_PAGE = 1000;

/** The next page of a job's log, or of the firm's own. */
export async function logAfter(q: Query, firmId: string, jobId: string | null, seq: number): Promise<LoggedChange[]> {
  const scope = jobId === null ? isNull(t.changeLog.jobId) : eq(t.changeLog.jobId, jobId);
  const rows = await q
    .select()
    .from(t.changeLog)
    .where(and(eq(t.changeLog.firmId, firmId), scope, gt(t.changeLog.seq, seq)))
    .orderBy(asc(t.changeLog.seq))
    .limit(LOG_PAGE);
  return rows.map(logged);
}
