/** What the serving role may do: read, add, amend what can be amended. It owns nothing, empties nothing, rewrites no evidence. */
import { getTableColumns, getTableName, is, sql } from 'drizzle-orm';
import { PgTable } from 'drizzle-orm/pg-core';
import { isAppendOnly } from '@roughsill/core';
import type { Db } from './client';
import * as schema from './schema';
import { LISTED, TABLES } from './tables';

/** Whose row it is: set when it is made, and never again. */
const IDENTITY = ['firm_id', 'job_id', 'id'];
/** Tables of what was observed or done, which is never rewritten: the registry says which, beside the log and what hangs on a reading. */
export const EVIDENCE: readonly PgTable[] = [
  schema.changeLog,
  schema.readingLayers,
  ...LISTED.filter(isAppendOnly).map((entity): PgTable => TABLES[entity]),
];
const ALL = (Object.values(schema) as unknown[]).filter((x): x is PgTable => is(x, PgTable));

/** Holds the owner of the tables to it too. TRUNCATE has a trigger of its own, for those of rows do not see it. */
async function guard(owner: Db, table: PgTable): Promise<void> {
  const name = getTableName(table);
  const [rows, whole] = [sql.identifier(`${name}_append_only`), sql.identifier(`${name}_no_truncate`)];
  const it = sql.identifier(name);
  await owner.execute(
    sql`create or replace trigger ${rows} before update or delete on ${it} for each row execute function refuse_rewrite()`,
  );
  await owner.execute(
    sql`create or replace trigger ${whole} before truncate on ${it} for each statement execute function refuse_rewrite()`,
  );
}

/** Given anew at every start: a database that was restored from a dump has lost them. */
export async function grantRights(owner: Db, role: string): Promise<void> {
  const who = sql.identifier(role);
  await owner.execute(sql`revoke all on schema public from public`);
  await owner.execute(sql`grant usage on schema public to ${who}`);
  await owner.execute(sql`revoke all on all tables in schema public from ${who}`);
  await owner.execute(sql`grant select, insert on all tables in schema public to ${who}`);
  for (const table of ALL) {
    if (EVIDENCE.includes(table)) {
      await guard(owner, table);
      continue;
    }
    const columns = Object.values(getTableColumns(table)).map((c) => c.name);
    const amended = columns.filter((c) => !IDENTITY.includes(c)).map((c) => sql.identifier(c));
    if (amended.length > 0) await owner.execute(sql`grant update (${sql.join(amended, sql`, `)}) on ${table} to ${who}`);
  }
  // Firms are made by the owner; their settings and their place in the log are set.
  await owner.execute(sql`revoke insert on firms from ${who}`);
  await owner.execute(sql`grant delete on firm_rates to ${who}`);
  await owner.execute(sql`grant usage on all sequences in schema public to ${who}`);
}
