/**
 * Which life of the database this is. A database that was restored from a backup has forgotten what came after it, and gives places in
 * the log a second time: its cursors mean nothing to a phone that was there before. A restore is known by what a dump does not carry
 * (the cluster, the database and the table it lies in) and, for a copy of the files themselves, by a mark that is kept beside the
 * pictures: how far the log once was.
 */
import { randomUUID } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { eq, sql } from 'drizzle-orm';
import type { Database, Query } from './client';
import { serverState } from './schema';

interface Mark {
  readonly epoch: string;
  readonly seq: number;
}
const MARK_EVERY_MS = 1000;

export class Epoch {
  private known: string | undefined;
  private checkedAt = -1;
  private asking: Promise<string> | undefined;
  private seq = 0;
  private marked = 0;
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly database: Database,
    private readonly markFile: string,
  ) {}

  /** Looked at again whenever a connection is new. @throws when the database is away */
  async now(): Promise<string> {
    const made = this.database.connectionsMade();
    if (this.known !== undefined && this.checkedAt === made) return this.known;
    this.asking ??= this.settle().finally(() => (this.asking = undefined));
    return this.asking;
  }

  /** Remembers how far the log is, outside the database. At most once a second. */
  reached(seq: number): void {
    this.seq = Math.max(this.seq, seq);
    this.timer ??= setTimeout(() => this.writeMark(), MARK_EVERY_MS).unref();
  }

  writeMark(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    if (this.known === undefined || this.seq <= this.marked) return;
    // A worker thread or a second server may have been further: the mark is never put back.
    const there = this.readMark();
    if (there?.epoch === this.known && there.seq >= this.seq) return;
    const part = `${this.markFile}.${process.pid}`;
    mkdirSync(path.dirname(this.markFile), { recursive: true, mode: 0o700 });
    writeFileSync(part, JSON.stringify({ epoch: this.known, seq: this.seq } satisfies Mark), { mode: 0o600 });
    renameSync(part, this.markFile);
    this.marked = this.seq;
  }

  private readMark(): Mark | null {
    try {
      return JSON.parse(readFileSync(this.markFile, 'utf8')) as Mark;
    } catch {
      return null;
    }
  }

  private async settle(): Promise<string> {
    const made = this.database.connectionsMade();
    const epoch = await this.database.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended('rough-sill/epoch', 0))`);
      const lies = await placeOf(tx);
      const state = new Map((await tx.select().from(serverState)).map((r) => [r.key, r.value]));
      const seq = await lastSeq(tx);
      const mark = this.readMark();
      const own = state.get('epoch');
      const behind = own !== undefined && mark?.epoch === own && seq < mark.seq;
      this.seq = seq;
      if (own !== undefined && state.get('place') === lies && !behind) return own;
      const fresh = randomUUID();
      for (const [key, value] of [
        ['epoch', fresh],
        ['place', lies],
      ] as const)
        await tx.insert(serverState).values({ key, value }).onConflictDoUpdate({ target: serverState.key, set: { value } });
      return fresh;
    });
    // Another connection may have been made while this was asked: then it is asked again next time.
    this.checkedAt = Math.max(made, this.known === undefined ? this.database.connectionsMade() : made);
    if (this.known !== epoch) this.marked = 0;
    this.known = epoch;
    this.reached(this.seq);
    return epoch;
  }
}

/** What a dump does not carry. */
async function placeOf(q: Query): Promise<string> {
  const { rows } = await q.execute<{ place: string }>(
    sql`select concat_ws('/', (select system_identifier from pg_control_system()),
                              (select oid from pg_database where datname = current_database()),
                              'change_log'::regclass::oid) as place`,
  );
  return rows[0]!.place;
}

async function lastSeq(q: Query): Promise<number> {
  const { rows } = await q.execute<{ seq: string | null }>(sql`select max(seq) as seq from change_log`);
  return Number(rows[0]!.seq ?? 0);
}

export async function readState(q: Query, key: string): Promise<string | undefined> {
  const [row] = await q.select().from(serverState).where(eq(serverState.key, key));
  return row?.value;
}
export async function writeState(q: Query, key: string, value: string): Promise<void> {
  await q.insert(serverState).values({ key, value }).onConflictDoUpdate({ target: serverState.key, set: { value } });
}
