/** The only door to the tables: every query goes through a firm. */
import { and, asc, eq, gt, inArray, isNull, sql } from 'drizzle-orm';
import {
  APPEND_ONLY,
  applyChanges,
  canonical,
  clashes,
  DEFAULT_SETTINGS,
  ENTITY_FIELDS,
  FirmSettings,
  fromZod,
  isJobChange,
  type Change,
  type Clash,
  type Entity,
  type JobChange,
  type JobFacts,
} from '@roughsill/core';
import { HttpProblem } from '../problem';
import type { Db, Query } from './client';
import * as t from './schema';

export interface Accepted {
  /** Ids of all changes that stand in the log now, sent before or just now. */
  readonly accepted: readonly string[];
  readonly clashes: readonly Clash[];
  /** Place in the log after this batch, by job. */
  readonly cursors: Readonly<Record<string, number>>;
}

export interface JobLine {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly yearBuilt: number | null;
  readonly rulebook: 'us' | 'uk';
  readonly sample: boolean;
  readonly createdAt: string;
  readonly surfaces: number;
  readonly cursor: number;
}

const TABLES = {
  space: t.spaces,
  surface: t.surfaces,
  part: t.parts,
  layer: t.layers,
  sample: t.samples,
  reading: t.readings,
  check: t.checks,
  square: t.squares,
  board: t.boards,
  photo: t.photos,
  instrumentCheck: t.instrumentChecks,
} as const;
type Table = (typeof TABLES)[keyof typeof TABLES];
/** Parents before children, so that foreign keys hold while a whole job goes in. */
const ORDER: readonly Entity[] = [
  'job',
  'space',
  'surface',
  'part',
  'layer',
  'sample',
  'reading',
  'check',
  'square',
  'board',
  'photo',
  'instrumentCheck',
];
/** Rows in one INSERT: PostgreSQL takes 65,535 parameters, and no table has more than 40 columns. */
const CHUNK = 1000;

const without = <T extends object, K extends keyof T>(row: T, ...keys: K[]): Omit<T, K> => {
  const out = { ...row };
  for (const k of keys) delete out[k];
  return out;
};

/** A row as the core's record: its id and its fields. */
type Row = { readonly id: string } & Record<string, unknown>;

function groupBy<T, K>(rows: readonly T[], key: (row: T) => K): Map<K, T[]> {
  const out = new Map<K, T[]>();
  for (const row of rows) {
    const list = out.get(key(row));
    if (list) list.push(row);
    else out.set(key(row), [row]);
  }
  return out;
}

/** Whole jobs as JSON, kept while their cursor stands. The cursor moves in the transaction of every write, so a kept copy is never stale. */
interface Snapshot {
  readonly cursor: number;
  readonly body: Buffer;
}

export class FirmStore {
  private readonly snapshots = new Map<string, Snapshot>();

  constructor(
    private readonly db: Db,
    readonly firmId: string,
  ) {}

  async settings(q: Query = this.db): Promise<FirmSettings> {
    const [firm] = await q.select().from(t.firms).where(eq(t.firms.id, this.firmId));
    if (!firm) return DEFAULT_SETTINGS;
    const rates = await q.select().from(t.firmRates).where(eq(t.firmRates.firmId, this.firmId)).orderBy(asc(t.firmRates.methodId));
    return FirmSettings.parse({
      ...without(firm, 'id'),
      rates: Object.fromEntries(rates.map((r) => [r.methodId, without(r, 'firmId', 'methodId')])),
    });
  }

  async list(): Promise<JobLine[]> {
    const rows = await this.db
      .select({
        id: t.jobs.id,
        name: t.jobs.name,
        place: t.jobs.place,
        yearBuilt: t.jobs.yearBuilt,
        rulebook: t.jobs.rulebook,
        sample: t.jobs.sample,
        createdAt: t.jobs.createdAt,
        cursor: t.jobs.cursor,
        surfaces: sql<number>`count(${t.surfaces.id})::int`,
      })
      .from(t.jobs)
      .leftJoin(t.surfaces, and(eq(t.surfaces.firmId, t.jobs.firmId), eq(t.surfaces.jobId, t.jobs.id), isNull(t.surfaces.removedAt)))
      .where(and(eq(t.jobs.firmId, this.firmId), isNull(t.jobs.removedAt)))
      .groupBy(t.jobs.firmId, t.jobs.id)
      .orderBy(asc(t.jobs.sample), asc(t.jobs.createdAt));
    return rows;
  }

  async cursor(jobId: string, q: Query = this.db): Promise<number | undefined> {
    const [row] = await q
      .select({ cursor: t.jobs.cursor })
      .from(t.jobs)
      .where(and(eq(t.jobs.firmId, this.firmId), eq(t.jobs.id, jobId)));
    return row?.cursor;
  }

  /** `{cursor, facts}` as JSON bytes. */
  async body(jobId: string): Promise<Snapshot | undefined> {
    const cursor = await this.cursor(jobId);
    if (cursor === undefined) return undefined;
    const kept = this.snapshots.get(jobId);
    if (kept?.cursor === cursor) return kept;
    // A consistent picture: cursor and rows from one moment.
    const made = await this.db.transaction(
      async (tx) => {
        const at = await this.cursor(jobId, tx);
        const facts = await this.load(jobId, tx);
        return at === undefined || facts === null ? undefined : { cursor: at, body: Buffer.from(JSON.stringify({ cursor: at, facts })) };
      },
      { isolationLevel: 'repeatable read', accessMode: 'read only' },
    );
    if (made) {
      if (this.snapshots.size > 20) this.snapshots.clear();
      this.snapshots.set(jobId, made);
    }
    return made;
  }

  async load(jobId: string, q: Query = this.db): Promise<JobFacts | null> {
    const [job] = await q
      .select()
      .from(t.jobs)
      .where(and(eq(t.jobs.firmId, this.firmId), eq(t.jobs.id, jobId)));
    if (!job) return null;
    const rows = async (table: Table): Promise<Row[]> => {
      const found = await q
        .select()
        .from(table as typeof t.spaces)
        .where(and(eq(table.firmId, this.firmId), eq(table.jobId, jobId)));
      return found.map((r) => without(r, 'firmId', 'jobId') as unknown as Row);
    };
    const bySurface = async (table: Table) => {
      const groups = groupBy(await rows(table), (r) => r['surfaceId'] as string);
      return (surfaceId: string): Row[] => (groups.get(surfaceId) ?? []).map((r) => without(r, 'surfaceId') as Row);
    };
    const reached = groupBy(
      await q
        .select()
        .from(t.readingLayers)
        .where(and(eq(t.readingLayers.firmId, this.firmId), eq(t.readingLayers.jobId, jobId)))
        .orderBy(asc(t.readingLayers.place)),
      (r) => r.readingId,
    );
    const parts = await bySurface(t.parts);
    const layers = await bySurface(t.layers);
    const samples = await bySurface(t.samples);
    const readings = await bySurface(t.readings);
    const checks = await bySurface(t.checks);
    const squares = await bySurface(t.squares);
    const boards = await bySurface(t.boards);
    // The rows were checked by the core's schemas on their way in, and the column keys are the schemas' field names.
    return canonical({
      job: without(job, 'firmId', 'cursor'),
      spaces: await rows(t.spaces),
      surfaces: (await rows(t.surfaces)).map((s) => ({
        ...s,
        parts: parts(s.id),
        layers: layers(s.id),
        samples: samples(s.id),
        readings: readings(s.id).map((r) => {
          const coats = reached.get(r.id) ?? [];
          return {
            ...r,
            reachedLayerIds: coats.map((c) => c.layerId),
            changedLayerIds: coats.filter((c) => c.changed).map((c) => c.layerId),
          };
        }),
        checks: checks(s.id),
        squares: squares(s.id),
        boards: boards(s.id),
      })),
      photos: await rows(t.photos),
      instrumentChecks: await rows(t.instrumentChecks),
    } as unknown as JobFacts);
  }

  /** Whether a picture of this hash is on one of the firm's jobs. */
  async hasPhoto(hash: string): Promise<boolean> {
    const [row] = await this.db
      .select({ id: t.photos.id })
      .from(t.photos)
      .where(and(eq(t.photos.firmId, this.firmId), eq(t.photos.hash, hash)))
      .limit(1);
    return row !== undefined;
  }

  /** Changes after a place in the log, and the place now. */
  async since(jobId: string, cursor: number): Promise<{ cursor: number; changes: Change[] } | undefined> {
    const now = await this.cursor(jobId);
    if (now === undefined) return undefined;
    const rows = await this.db
      .select()
      .from(t.changeLog)
      .where(and(eq(t.changeLog.firmId, this.firmId), eq(t.changeLog.jobId, jobId), gt(t.changeLog.seq, cursor)))
      .orderBy(asc(t.changeLog.seq));
    return {
      cursor: rows.at(-1)?.seq ?? now,
      changes: rows.map((r) => ({
        id: r.changeId,
        jobId: r.jobId,
        entity: r.entity,
        entityId: r.entityId,
        surfaceId: r.surfaceId,
        op: r.op,
        fields: r.fields,
        at: r.at,
        by: r.by,
      })) as Change[],
    };
  }

  /**
   * Takes a batch in one transaction: all of it or nothing. Changes that are already in the log are passed over.
   * @throws HttpProblem when one does not fit
   */
  async apply(changes: readonly Change[], now: Date): Promise<Accepted> {
    return this.db.transaction(async (tx) => {
      const fresh = await this.unseen(tx, changes);
      const found: Clash[] = [];
      const cursors: Record<string, number> = {};
      for (const [jobId, batch] of groupBy(fresh.filter(isJobChange), (c) => c.jobId)) {
        const result = await this.applyToJob(tx, jobId, batch, now);
        found.push(...result.clashes);
        cursors[jobId] = result.cursor;
      }
      for (const c of fresh.filter((x) => !isJobChange(x))) await this.applyToFirm(tx, c, now);
      return { accepted: changes.map((c) => c.id), clashes: found, cursors };
    });
  }

  private async unseen(tx: Query, changes: readonly Change[]): Promise<Change[]> {
    const ids = changes.map((c) => c.id);
    const known = new Map<string, { entityId: string; op: string; fields: Record<string, unknown> }>();
    for (let i = 0; i < ids.length; i += CHUNK) {
      const rows = await tx
        .select({ id: t.changeLog.changeId, entityId: t.changeLog.entityId, op: t.changeLog.op, fields: t.changeLog.fields })
        .from(t.changeLog)
        .where(and(eq(t.changeLog.firmId, this.firmId), inArray(t.changeLog.changeId, ids.slice(i, i + CHUNK))));
      rows.forEach((r) => known.set(r.id, r));
    }
    const fresh = new Map<string, Change>();
    changes.forEach((c, i) => {
      const before = known.get(c.id) ?? fresh.get(c.id);
      if (before === undefined) fresh.set(c.id, c);
      else if (before.entityId !== c.entityId || before.op !== c.op) {
        throw new HttpProblem('change-id-reused', 'A change id may be sent again only with the same change.', [
          { path: `changes[${i}].id`, message: 'was used for another change' },
        ]);
      }
    });
    return [...fresh.values()];
  }

  private async applyToJob(
    tx: Query,
    jobId: string,
    batch: readonly JobChange[],
    now: Date,
  ): Promise<{ clashes: Clash[]; cursor: number }> {
    // One writer per job at a time: the second waits here and then sees what the first wrote.
    await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`${this.firmId}/${jobId}`}, 0))`);
    const before = await this.load(jobId, tx);
    const applied = applyChanges(before, batch, now.getUTCFullYear());
    if (!applied.ok)
      throw new HttpProblem('does-not-fit', 'Nothing was written. Put right what is named and send it again.', applied.problems);
    const met = before === null ? [] : batch.flatMap((c) => clashes(before, c));
    await this.write(tx, jobId, batch);
    const cursor = await this.log(tx, batch, now);
    await tx
      .update(t.jobs)
      .set({ cursor })
      .where(and(eq(t.jobs.firmId, this.firmId), eq(t.jobs.id, jobId)));
    return { clashes: met, cursor };
  }

  /** Adds go in by the thousand, parents first; the rest follows in its own order. The reducer has proved that this comes to the same. */
  private async write(tx: Query, jobId: string, batch: readonly JobChange[]): Promise<void> {
    const adds = groupBy(
      batch.filter((c) => c.op === 'add'),
      (c) => c.entity,
    );
    for (const entity of ORDER) {
      const list = adds.get(entity) ?? [];
      for (let i = 0; i < list.length; i += CHUNK) await this.insert(tx, jobId, entity, list.slice(i, i + CHUNK));
    }
    for (const c of batch) if (c.op !== 'add') await this.amend(tx, c);
  }

  private async insert(tx: Query, jobId: string, entity: Entity, list: readonly JobChange[]): Promise<void> {
    const { firmId } = this;
    if (entity === 'job') {
      await tx
        .insert(t.jobs)
        .values(list.map((c) => ({ firmId, id: c.entityId, createdAt: c.at, ...ENTITY_FIELDS.job.parse(c.fields) })) as never);
      return;
    }
    const author = APPEND_ONLY.includes(entity);
    // Parsed again for its defaults: a phone that has not been updated yet does not send the newer fields.
    const whole = (c: JobChange) => ENTITY_FIELDS[entity].parse(c.fields) as Record<string, unknown>;
    const row = (c: JobChange) => ({ firmId, jobId, id: c.entityId, surfaceId: c.surfaceId, ...(author ? { by: c.by } : {}), ...whole(c) });
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
    for (let i = 0; i < coats.length; i += CHUNK) await tx.insert(t.readingLayers).values(coats.slice(i, i + CHUNK));
  }

  private async amend(tx: Query, c: JobChange): Promise<void> {
    const values = c.op === 'set' ? c.fields : { removedAt: c.op === 'remove' ? c.at : null };
    if (Object.keys(values).length === 0) return;
    const table = (c.entity === 'job' ? t.jobs : TABLES[c.entity]) as typeof t.spaces;
    await tx
      .update(table)
      .set(values as never)
      .where(and(eq(table.firmId, this.firmId), eq(table.id, c.entityId)));
  }

  private async applyToFirm(tx: Query, c: Change, now: Date): Promise<void> {
    const parsed = FirmSettings.partial().safeParse(c.fields);
    if (c.op !== 'set' || !parsed.success) {
      throw new HttpProblem(
        'does-not-fit',
        'The setting was not changed.',
        parsed.success ? [{ path: 'op', message: 'settings are only set' }] : fromZod(parsed.error, c.fields, ['fields']),
      );
    }
    // Only what was sent: a default never overwrites a setting that was left alone.
    const { rates, ...columns } = Object.fromEntries(Object.entries(parsed.data).filter(([k]) => k in c.fields)) as Partial<FirmSettings>;
    if (Object.keys(columns).length > 0) await tx.update(t.firms).set(columns).where(eq(t.firms.id, this.firmId));
    if (rates) {
      await tx.delete(t.firmRates).where(eq(t.firmRates.firmId, this.firmId));
      const rows = Object.entries(rates).map(([methodId, r]) => ({ firmId: this.firmId, methodId, ...r }));
      if (rows.length > 0) await tx.insert(t.firmRates).values(rows);
    }
    await this.log(tx, [c], now);
  }

  private async log(tx: Query, batch: readonly Change[], now: Date): Promise<number> {
    let last = 0;
    for (let i = 0; i < batch.length; i += CHUNK) {
      const rows = batch.slice(i, i + CHUNK).map((c) => ({
        firmId: this.firmId,
        changeId: c.id,
        jobId: c.jobId,
        entity: c.entity,
        entityId: c.entityId,
        surfaceId: c.surfaceId,
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
}
