/** Connections: bounded in number and in time, and none that dies takes the process with it. */
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import type { Logger } from 'pino';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema>;
/** A database or a transaction on it. */
export type Query = Pick<Db, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;

export interface Limits {
  /** Connections at most. */
  readonly connections: number;
  /** A statement that takes longer is ended by the database, ms. */
  readonly statementMs: number;
  /** Waiting for somebody's lock ends after this, ms. */
  readonly lockMs: number;
  /** A connection that is not made by then counts as no database, ms. */
  readonly connectMs: number;
}
export const SERVING: Limits = { connections: 12, statementMs: 15_000, lockMs: 5_000, connectMs: 2_000 };
/** Whole jobs that go in at once take their time, and so may a thread that only now starts; they run beside the page's requests. */
export const WORKING: Limits = { connections: 1, statementMs: 120_000, lockMs: 10_000, connectMs: 10_000 };

export interface Database {
  readonly db: Db;
  readonly pool: pg.Pool;
  /**
   * Runs a transaction on a connection of its own.
   * A connection that failed is thrown away: it may still be busy with what was given up.
   */
  transaction<T>(work: (tx: Db) => Promise<T>, mode?: 'read' | 'write'): Promise<T>;
  /** Is the database there? Asked on a connection that nobody else can hold. */
  alive(withinMs: number): Promise<boolean>;
  /** Counts the physical connections made: after a new one, the database may be another than before. */
  connectionsMade(): number;
  close(): Promise<void>;
  /** Ends every connection at once, whatever it waits for. */
  abandon(): void;
}

export function connect(url: string, log: Pick<Logger, 'warn'>, limits: Limits = SERVING): Database {
  const options: pg.PoolConfig = {
    connectionString: url,
    connectionTimeoutMillis: limits.connectMs,
    idleTimeoutMillis: 30_000,
    keepAlive: true,
    statement_timeout: limits.statementMs,
    lock_timeout: limits.lockMs,
    idle_in_transaction_session_timeout: 30_000,
    // The database may be frozen rather than gone: then nobody ends the statement there.
    query_timeout: limits.statementMs + 5_000,
    application_name: 'rough-sill',
  };
  const pool = new pg.Pool({ ...options, max: limits.connections });
  const lookout = new pg.Pool({ ...options, max: 1, query_timeout: limits.connectMs });
  const open = new Set<pg.PoolClient>();
  let made = 0;
  for (const p of [pool, lookout]) {
    // A connection that dies is replaced at the next query; without these listeners it would end the process,
    // idle ones by the pool's event, those in use by their own.
    p.on('error', (err) => log.warn({ err }, 'an idle database connection was lost'));
    p.on('connect', (client) => {
      made += 1;
      open.add(client);
      client.on('error', (err) => log.warn({ err }, 'a database connection was lost'));
      client.on('end', () => open.delete(client));
    });
  }
  return {
    db: drizzle(pool, { schema }),
    pool,
    connectionsMade: () => made,
    async transaction(work, mode = 'write') {
      const client = await pool.connect();
      let broken: Error | undefined;
      try {
        await client.query(mode === 'read' ? 'begin isolation level repeatable read read only' : 'begin');
        const result = await work(drizzle(client, { schema }));
        await client.query('commit');
        return result;
      } catch (e) {
        await client.query('rollback').catch((err: unknown) => (broken = err as Error));
        throw e;
      } finally {
        client.release(broken);
      }
    },
    async alive(withinMs) {
      const answer = lookout.query('select 1').then(
        () => true,
        () => false,
      );
      return Promise.race([answer, new Promise<boolean>((r) => setTimeout(r, withinMs, false).unref())]);
    },
    close: async () => void (await Promise.all([pool.end(), lookout.end()])),
    abandon: () => open.forEach((c) => (c as unknown as { connection: { stream: { destroy(): void } } }).connection.stream.destroy()),
  };
}

export const migrateTo = (db: Db, folder: string): Promise<void> => migrate(db, { migrationsFolder: folder });
