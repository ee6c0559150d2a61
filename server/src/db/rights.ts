/** What the serving role may do: read, add, amend what can be amended. It owns nothing, empties nothing, rewrites no evidence. */
import { sql } from 'drizzle-orm';
import type { Db } from './client';

const EVIDENCE = ['change_log', 'readings', 'reading_layers', 'checks', 'instrument_checks'];

/** Given anew at every start: a database that was restored from a dump has lost them. */
export async function grantRights(owner: Db, role: string): Promise<void> {
  const who = sql.identifier(role);
  await owner.execute(sql`revoke all on schema public from public`);
  await owner.execute(sql`grant usage on schema public to ${who}`);
  await owner.execute(sql`grant select, insert, update on all tables in schema public to ${who}`);
  await owner.execute(sql`grant delete on firm_rates to ${who}`);
  for (const table of EVIDENCE) await owner.execute(sql`revoke update, delete, truncate on ${sql.identifier(table)} from ${who}`);
  await owner.execute(sql`grant usage on all sequences in schema public to ${who}`);
}
