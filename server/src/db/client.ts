import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import type { Logger } from 'pino';
import * as schema from './schema';

export type Db = NodePgDatabase<typeof schema>;
/** A database or a transaction on it. */
export type Query = Pick<Db, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;

export interface Database {
  readonly db: Db;
  readonly pool: pg.Pool;
}

export function connect(url: string, log: Logger): Database {
  const pool = new pg.Pool({ connectionString: url, max: 8, connectionTimeoutMillis: 2000, idleTimeoutMillis: 30_000 });
  // A connection that dies while idle is replaced at the next query; without a listener it would end the process.
  pool.on('error', (err) => log.warn({ err }, 'an idle database connection was lost'));
  return { db: drizzle(pool, { schema }), pool };
}

export const migrateTo = (db: Db, folder: string): Promise<void> => migrate(db, { migrationsFolder: folder });
