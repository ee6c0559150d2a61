/** The only door to the tables: every query goes through a firm. */
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import {
  applyFirmChange,
  applyChanges,
  changesFor,
  childrenOf,
  DEFAULT_SETTINGS,
  FIRM_SETTINGS,
  FirmSettings,
  isFromTheFuture,
  isJobChange,
  saysTheSame,
  specOf,
  takeIn,
  type Change,
  type Clash,
  type FirmEntity,
  type FirmFacts,
  type Intake,
  type JobChange,
  type JobFacts,
  type JobLine,
  type LoggedChange,
  type Refusal,
} from '@roughsill/core';
import { breather } from '../breather';
import { HttpProblem } from '../problem';
import type { Database, Query } from './client';
import type { Epoch } from './database-epoch';
import { FoldedJobs, type Folded } from './folded';
import { loadJob, LOG_PAGE, logAfter } from './load';
import * as t from './schema';
import { CHUNK, groupBy, TABLES, without } from './tables';
import { Turns } from './write-turns';
import { inLog, lock, takenElsewhere, takenProblem, writeFirmRecord, writeJob, writeLog, writeSettings, type Rows } from './write';

/** A change that was not taken, and why. */
export interface Refused {
  readonly id: string;
  readonly code: 'does-not-fit' | 'change-id-reused';
  readonly problems: Refusal['problems'];
}

export interface Taken {
  readonly epoch: string;
  /** Ids of all changes that stand in the log now, sent before or just now. */
  readonly accepted: readonly string[];
  /** Of those, the ones that stood there before. */
  readonly known: readonly string[];
  readonly refused: readonly Refused[];
  /** Neither taken nor refused: their job is held up just now, and they are to be sent again. */
  readonly later: readonly string[];
  readonly clashes: readonly Clash[];
  /** Place in the log before and after this batch, by job. */
  readonly before: Readonly<Record<string, number>>;
  readonly cursors: Readonly<Record<string, number>>;
}

export interface LogPage {
  readonly epoch: string;
  /** Place of the last change of this page; the place now, when there is none. */
  readonly cursor: number;
  readonly changes: readonly LoggedChange[];
  /** There is another page after this one. */
  readonly more: boolean;
}

interface Outcome {
  readonly accepted: readonly Change[];
  readonly known: readonly Change[];
  readonly refused: readonly Refused[];
  readonly clashes: readonly Clash[];
  readonly before: number;
  readonly cursor: number;
}

/** Jobs written to for one request; what belongs to others is asked for again. */
const MOST_JOBS = 100;
const NO_SUCH_JOB = { path: 'jobId', message: 'there is no such job' };
const WRITERS = 6;
const TURN_MS = 8_000;
const TRIES = 3;
/** serialization_failure, deadlock_detected, unique_violation (another took the same id meanwhile): tried again, the second sees the first. */
const AGAIN = new Set(['40001', '40P01', '23505']);

const codeOf = (e: unknown): string | undefined => {
  for (let x = e as { code?: string; cause?: unknown } | undefined, i = 0; x && i < 4; x = x.cause as typeof x, i += 1)
    if (typeof x.code === 'string') return x.code;
  return undefined;
};

export class FirmStore {
  private readonly folded = new FoldedJobs();
  private readonly turns = new Turns(WRITERS, TURN_MS);
  private readonly reading = new Map<string, Promise<Folded | null>>();
  private foldedEpoch: string | undefined;

  constructor(
    readonly database: Database,
    readonly firmId: string,
    private readonly life: Epoch,
  ) {}

  /** @throws when the database is away */
  async epoch(): Promise<string> {
    const epoch = await this.life.now();
    // What was folded in another life of the database says nothing about this one.
    if (this.foldedEpoch !== epoch) this.folded.clear();
    this.foldedEpoch = epoch;
    return epoch;
  }

  async settings(q: Query = this.database.db): Promise<FirmSettings> {
    const [firm] = await q.select().from(t.firms).where(eq(t.firms.id, this.firmId));
    if (!firm) return DEFAULT_SETTINGS;
    const rates = await q.select().from(t.firmRates).where(eq(t.firmRates.firmId, this.firmId)).orderBy(asc(t.firmRates.methodId));
    return FirmSettings.parse({
      ...without(firm, 'id', 'cursor'),
      rates: Object.fromEntries(rates.map((r) => [r.methodId, without(r, 'firmId', 'methodId')])),
    });
  }

  /** What a plan is made with: the settings, what the firm owns, who works for it, and the day. */
  async planning(now: Date): Promise<FirmSettings> {
    const { machines, people, products, sourceChecks } = (await this.firm()).facts;
    return { ...(await this.settings()), machines, people, products, sourceChecks, today: now.toISOString().slice(0, 10) };
  }

  private async firmCursor(q: Query = this.database.db): Promise<number> {
    const [firm] = await q.select({ cursor: t.firms.cursor }).from(t.firms).where(eq(t.firms.id, this.firmId));
    return firm?.cursor ?? 0;
  }

  /** The firm's own records, and their place in the log. */
  async firm(q: Query = this.database.db): Promise<{ cursor: number; facts: FirmFacts }> {
    const cursor = await this.firmCursor(q);
    const lists: Record<string, object[]> = {};
    for (const entity of childrenOf('firm', 'firm') as FirmEntity[]) {
      const table = TABLES[entity];
      const rows = await q.select().from(table).where(eq(table.firmId, this.firmId)).orderBy(asc(table.id));
      lists[specOf(entity).list!] = rows.map((r) => without(r, 'firmId'));
    }
    return { cursor, facts: lists as unknown as FirmFacts };
  }

  async list(): Promise<JobLine[]> {
    return this.database.db
      .select({
        id: t.jobs.id,
        name: t.jobs.name,
        place: t.jobs.place,
        yearBuilt: t.jobs.yearBuilt,
        rulebook: t.jobs.rulebook,
        sample: t.jobs.sample,
        createdAt: t.jobs.createdAt,
        cursor: t.jobs.cursor,
        siteId: t.jobs.siteId,
        clientId: t.jobs.clientId,
        clientName: t.jobs.clientName,
        jobState: t.jobs.jobState,
        startOn: t.jobs.startOn,
        // Named by hand: a query of one table writes its columns without the table's name.
        surfaces: sql<number>`(select count(*)::int from surfaces s where s.firm_id = jobs.firm_id and s.job_id = jobs.id and s.removed_at is null)`,
      })
      .from(t.jobs)
      .where(and(eq(t.jobs.firmId, this.firmId), isNull(t.jobs.removedAt)))
      .orderBy(asc(t.jobs.sample), asc(t.jobs.createdAt));
  }

  async cursor(jobId: string, q: Query = this.database.db): Promise<number | undefined> {
    const [row] = await q
      .select({ cursor: t.jobs.cursor })
      .from(t.jobs)
      .where(and(eq(t.jobs.firmId, this.firmId), eq(t.jobs.id, jobId)));
    return row?.cursor;
  }

  /** The job as it stands: from memory while its cursor has not moved, else from the tables. */
  async job(jobId: string): Promise<Folded | null> {
    await this.epoch();
    const cursor = await this.cursor(jobId);
    if (cursor === undefined) return null;
    const kept = this.folded.get(jobId, cursor);
    if (kept) return kept;
    // Many may ask for it at once: it is read for all of them once, at no older a place than any of them has seen.
    const under = `${jobId}/${cursor}`;
    let reading = this.reading.get(under);
    if (!reading) {
      // A consistent picture: cursor and rows from one moment.
      reading = this.database
        .transaction((tx) => loadJob(tx, this.firmId, jobId), 'read')
        .then((made) => made && this.folded.put(jobId, made))
        .finally(() => this.reading.delete(under));
      this.reading.set(under, reading);
    }
    return reading;
  }

  async load(jobId: string): Promise<JobFacts | null> {
    return (await this.job(jobId))?.facts ?? null;
  }

  /** `{epoch, cursor, facts}` as JSON bytes. */
  async body(jobId: string): Promise<{ epoch: string; cursor: number; bytes: Buffer } | undefined> {
    const epoch = await this.epoch();
    const job = await this.job(jobId);
    return job ? { epoch, cursor: job.cursor, bytes: await this.folded.body(jobId, epoch, job) } : undefined;
  }

  /** Whether a picture of this hash is on one of the firm's jobs. */
  async hasPhoto(hash: string): Promise<boolean> {
    const [row] = await this.database.db
      .select({ id: t.photos.id })
      .from(t.photos)
      .where(and(eq(t.photos.firmId, this.firmId), eq(t.photos.hash, hash)))
      .limit(1);
    return row !== undefined;
  }

  /** Hashes of all pictures that any job names. */
  async photoHashes(): Promise<Set<string>> {
    const rows = await this.database.db.selectDistinct({ hash: t.photos.hash }).from(t.photos).where(eq(t.photos.firmId, this.firmId));
    return new Set(rows.map((r) => r.hash));
  }

  /** One page of the changes after a place in the log. */
  async since(jobId: string | null, seq: number): Promise<LogPage | undefined> {
    const epoch = await this.epoch();
    const now = jobId === null ? await this.firmCursor() : await this.cursor(jobId);
    if (now === undefined) return undefined;
    const changes = now > seq ? await logAfter(this.database.db, this.firmId, jobId, seq) : [];
    const more = changes.length === LOG_PAGE;
    return { epoch, cursor: more ? changes.at(-1)!.seq : Math.max(now, changes.at(-1)?.seq ?? 0), changes, more };
  }

  /**
   * Takes a batch, each job in a transaction of its own. What does not fit is refused and takes nothing else with it; what is in the
   * log already is passed over; a job that is held up is told as `later` and holds up no other.
   * @param gone ends when nobody waits for the answer any more: jobs that were not begun are left to be sent again
   * @throws when nothing at all could be taken because the database is away or held up
   */
  async apply(changes: readonly Change[], now: Date, gone?: AbortSignal): Promise<Taken> {
    const epoch = await this.epoch();
    const accepted: string[] = [];
    const known: string[] = [];
    const refused: Refused[] = [];
    const later: string[] = [];
    const met: Clash[] = [];
    const before: Record<string, number> = {};
    const cursors: Record<string, number> = {};
    let held: unknown;
    let reached = 0;
    const scopes = groupBy(changes, (c) => c.jobId);
    const unknown = await this.unknownJobs(scopes);
    let begun = 0;
    for (const [scope, batch] of scopes) {
      if (scope !== null && unknown.has(scope)) {
        refused.push(...batch.map((c): Refused => ({ id: c.id, code: 'does-not-fit', problems: [NO_SUCH_JOB] })));
        continue;
      }
      begun += 1;
      if (gone?.aborted || begun > MOST_JOBS) {
        later.push(...batch.map((c) => c.id));
        continue;
      }
      try {
        const done = scope === null ? await this.applyToFirm(batch, now) : await this.applyToJob(scope, batch.filter(isJobChange), now);
        accepted.push(...done.known.map((c) => c.id), ...done.accepted.map((c) => c.id));
        known.push(...done.known.map((c) => c.id));
        refused.push(...done.refused);
        met.push(...done.clashes);
        reached = Math.max(reached, done.cursor);
        if (scope !== null && done.accepted.length > 0) {
          before[scope] = done.before;
          cursors[scope] = done.cursor;
        }
      } catch (e) {
        held = e;
        later.push(...batch.map((c) => c.id));
      }
    }
    if (held !== undefined && later.length === changes.length) throw held;
    if (reached > 0) this.life.reached(reached);
    return { epoch, accepted, known, refused, later, clashes: met, before, cursors };
  }

  /** Jobs that are not here and that nothing in the batch begins: told before a transaction is opened for each. */
  private async unknownJobs(scopes: ReadonlyMap<string | null, readonly Change[]>): Promise<Set<string>> {
    const asked = [...scopes].flatMap(([id, batch]) =>
      id === null || batch.some((c) => c.entity === 'job' && c.op === 'add') ? [] : [id],
    );
    const unknown = new Set(asked);
    for (let i = 0; i < asked.length; i += CHUNK) {
      const rows = await this.database.db
        .select({ id: t.jobs.id })
        .from(t.jobs)
        .where(and(eq(t.jobs.firmId, this.firmId), inArray(t.jobs.id, asked.slice(i, i + CHUNK))));
      rows.forEach((r) => unknown.delete(r.id));
    }
    return unknown;
  }

  /** Takes changes of the firm, all of them or none. @throws HttpProblem with what does not fit */
  async applyWhole(changes: readonly Change[], now: Date): Promise<void> {
    const { cursor } = await this.applyToFirm(changes, now, 'whole');
    this.life.reached(cursor);
  }

  /** Brings in a whole job that was checked already: all of it or nothing. @throws HttpProblem when it is here */
  async bring(facts: JobFacts, makeId: () => string, by: string, now: Date): Promise<{ cursor: number }> {
    const batch = changesFor(facts, makeId, by);
    if (batch.some((c) => isFromTheFuture(c, now)))
      throw new HttpProblem('does-not-fit', 'Nothing was opened: a record in it is dated later than tomorrow.');
    return this.turns.take(facts.job.id, async () => {
      const cursor = await this.database.transaction(async (tx) => {
        const rows = { tx, firmId: this.firmId };
        await lock(rows, facts.job.id);
        if ((await this.cursor(facts.job.id, tx)) !== undefined)
          throw new HttpProblem('already-here', 'A job with this id is here already. Open the file as a copy instead.');
        const whole = applyChanges(null, batch, now.getUTCFullYear());
        if (!whole.ok) throw new HttpProblem('does-not-fit', 'Nothing was opened.', whole.problems);
        return this.commit(rows, facts.job.id, batch, now);
      });
      this.life.reached(cursor);
      return { cursor };
    });
  }

  private async commit(rows: Rows, jobId: string, batch: readonly JobChange[], now: Date): Promise<number> {
    await writeJob(rows, jobId, batch);
    const cursor = await writeLog(rows, batch, now);
    await rows.tx
      .update(t.jobs)
      .set({ cursor })
      .where(and(eq(t.jobs.firmId, this.firmId), eq(t.jobs.id, jobId)));
    return cursor;
  }

  private async again<T>(work: () => Promise<T>): Promise<T> {
    for (let i = 1; ; i += 1) {
      try {
        return await work();
      } catch (e) {
        if (i === TRIES || !AGAIN.has(codeOf(e) ?? '')) throw e;
      }
    }
  }

  /** Parts a batch: what is new, what is in the log already, what uses an id for something else. */
  private async sorted<C extends Change>(rows: Rows, batch: readonly C[]): Promise<{ fresh: C[]; known: C[]; refused: Refused[] }> {
    const stands: Map<string, Change> = await inLog(rows, batch);
    const fresh: C[] = [];
    const known: C[] = [];
    const refused: Refused[] = [];
    for (const c of batch) {
      const there = stands.get(c.id);
      if (!there) fresh.push(c);
      else if (saysTheSame(there, c)) known.push(c);
      else refused.push({ id: c.id, code: 'change-id-reused', problems: [{ path: 'id', message: 'was used for another change' }] });
      if (!there) stands.set(c.id, c);
    }
    return { fresh, known, refused };
  }

  private applyToJob(jobId: string, batch: readonly JobChange[], now: Date): Promise<Outcome> {
    return this.again(() => this.turns.take(jobId, () => this.applyOnce(jobId, batch, now)));
  }

  private async applyOnce(jobId: string, batch: readonly JobChange[], now: Date): Promise<Outcome> {
    const pause = breather();
    let stands: Folded | undefined;
    try {
      const outcome = await this.database.transaction(async (tx): Promise<Outcome> => {
        const rows = { tx, firmId: this.firmId };
        await lock(rows, jobId);
        // Looked up under the lock: of two that were sent at once, the second finds the first.
        const { fresh, known, refused } = await this.sorted(rows, batch);
        const cursor = await this.cursor(jobId, tx);
        const kept = cursor === undefined ? undefined : this.folded.get(jobId, cursor);
        const before = kept ?? (await loadJob(tx, this.firmId, jobId));
        const taken = await takenElsewhere(rows, jobId, fresh);
        refused.push(
          ...fresh
            .filter((c) => c.op === 'add' && taken.has(c.entityId))
            .map((c): Refused => ({ id: c.id, code: 'does-not-fit', problems: [takenProblem] })),
        );
        const steps = takeIn(
          before?.facts ?? null,
          fresh.filter((c) => !(c.op === 'add' && taken.has(c.entityId))),
          now.getUTCFullYear(),
        );
        let intake: Intake | undefined;
        while (intake === undefined) {
          const step = steps.next();
          if (step.done) intake = step.value;
          await pause();
        }
        refused.push(...intake.refused.map((r): Refused => ({ id: r.change.id, code: 'does-not-fit', problems: r.problems })));
        const at = before?.cursor ?? 0;
        if (intake.accepted.length === 0) return { accepted: [], known, refused, clashes: [], before: at, cursor: at };
        const next = await this.commit(rows, jobId, intake.accepted, now);
        stands = { cursor: next, facts: intake.facts! };
        return { accepted: intake.accepted, known, refused, clashes: intake.clashes, before: at, cursor: next };
      });
      if (stands) this.folded.put(jobId, stands);
      return outcome;
    } catch (e) {
      // Whether it was written is not known when the connection died: the tables are asked next time.
      this.folded.drop(jobId);
      throw e;
    }
  }

  private applyToFirm(batch: readonly Change[], now: Date, how: 'each' | 'whole' = 'each'): Promise<Outcome> {
    return this.again(() =>
      this.turns.take('', () =>
        this.database.transaction(async (tx): Promise<Outcome> => {
          const rows = { tx, firmId: this.firmId };
          await lock(rows, '');
          const { fresh, known, refused } = await this.sorted(rows, batch);
          const start = await this.firm(tx);
          let { facts } = start;
          const accepted: Change[] = [];
          for (const c of fresh) {
            if (c.entity === FIRM_SETTINGS) {
              const no = await writeSettings(rows, c);
              if (no) {
                refused.push({ id: c.id, code: 'does-not-fit', problems: no.problems });
                continue;
              }
            } else {
              const next = applyFirmChange(facts, c);
              if (!next.ok) {
                refused.push({ id: c.id, code: 'does-not-fit', problems: next.problems });
                continue;
              }
              facts = next.value;
              await writeFirmRecord(rows, c as Change & { entity: FirmEntity });
            }
            accepted.push(c);
          }
          if (how === 'whole' && refused.length > 0)
            throw new HttpProblem(
              'does-not-fit',
              'Nothing was opened. The file has to be put right first.',
              refused.flatMap((r) => r.problems),
            );
          if (accepted.length === 0) return { accepted: [], known, refused, clashes: [], before: start.cursor, cursor: start.cursor };
          const cursor = await writeLog(rows, accepted, now);
          await tx.update(t.firms).set({ cursor }).where(eq(t.firms.id, this.firmId));
          return { accepted, known, refused, clashes: [], before: start.cursor, cursor };
        }),
      ),
    );
  }
}
