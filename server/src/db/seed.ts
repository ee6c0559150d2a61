/** The demo firm and its sample job, by the same door as everything else. */
import { createHash, randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { and, eq, sql } from 'drizzle-orm';
import { changesFor, CHANGE_VERSION, DEFAULT_SETTINGS, scopeParent, withNewIds, type JobFacts } from '@roughsill/core';
import { mixOnTheWay, QUILL_POINT_CLIENT, QUILL_POINT_HOUSE, quillPoint, SHELF_PRODUCTS, SHELF_TINS, shiftedTo } from '@roughsill/demo';
import type { MediaStore } from '../media/media-store';
import { readState, writeState } from './database-epoch';
import type { Db } from './client';
import type { FirmStore } from './firm-store';
import {
  changeLog,
  clients as clientTable,
  firms,
  jobs,
  machines as machineTable,
  mixes as mixTable,
  mixSteps as mixStepTable,
  people,
  sites as houseTable,
  products as productTable,
  tins as tinTable,
} from './schema';

/** Until signing in exists, every request is made by this person of this firm. */
export const DEMO_FIRM = { firmId: 'demo-firm', personId: 'ines-marlow', person: 'Ines Marlow' } as const;
const SAMPLE_STATE = 'sample-job';

/** Makes the firm when it is missing: by the owner of the tables, for whoever serves makes no firms. */
export async function makeFirm(owner: Db): Promise<void> {
  const { rates: _none, ...columns } = { ...DEFAULT_SETTINGS, firmName: 'Marlow & Tarn, painters' };
  await owner
    .insert(firms)
    .values({ id: DEMO_FIRM.firmId, ...columns })
    .onConflictDoNothing();
}

/**
 * Makes sure of the firm's first person; of the sample job too, when wanted. Running it again changes nothing. A sample job of an older Rough
 * Sill that nobody wrote to gives its place to today's; one that somebody wrote to stays as it is.
 * @param pictures where the sample job's photographs come from, and where they go
 */
export async function seed(
  store: FirmStore,
  withSample: boolean,
  pictures?: { readonly from: string; readonly to: MediaStore },
): Promise<void> {
  const { db } = store.database;
  await db.insert(people).values({ firmId: DEMO_FIRM.firmId, id: DEMO_FIRM.personId, name: DEMO_FIRM.person }).onConflictDoNothing();
  const machines = [
    { id: 'vacuum-1', name: 'Vacuum 1', kind: 'vacuum', flowM3h: 210, filter: 'hepa', lastOn: 'nothing' },
    { id: 'vacuum-2', name: 'Vacuum 2, shop', kind: 'vacuum', flowM3h: 240, filter: 'dust', lastOn: 'mold' },
    { id: 'sander-1', name: 'Sander 1', kind: 'shroudedSander', flowM3h: null, filter: 'hepa', lastOn: 'nothing' },
    { id: 'air-1', name: 'Air machine', kind: 'airMachine', flowM3h: 850, filter: 'hepa', lastOn: 'nothing' },
  ] as const;
  if (withSample)
    await db
      .insert(machineTable)
      .values(machines.map((m) => ({ firmId: DEMO_FIRM.firmId, ...m })))
      .onConflictDoNothing();
  if (!withSample) return;
  await db
    .insert(houseTable)
    .values({ firmId: DEMO_FIRM.firmId, ...QUILL_POINT_HOUSE })
    .onConflictDoNothing();
  await db
    .insert(clientTable)
    .values({ firmId: DEMO_FIRM.firmId, ...QUILL_POINT_CLIENT })
    .onConflictDoNothing();
  await db
    .insert(productTable)
    .values(SHELF_PRODUCTS.map((p) => ({ firmId: DEMO_FIRM.firmId, ...p })))
    .onConflictDoNothing();
  await db
    .insert(tinTable)
    .values(SHELF_TINS.map((t) => ({ firmId: DEMO_FIRM.firmId, ...t })))
    .onConflictDoNothing();
  const { mixes, mixSteps } = mixOnTheWay(new Date(), DEMO_FIRM.person);
  await db
    .insert(mixTable)
    .values(mixes.map((m) => ({ firmId: DEMO_FIRM.firmId, ...m })))
    .onConflictDoNothing();
  await db
    .insert(mixStepTable)
    .values(mixSteps.map((s) => ({ firmId: DEMO_FIRM.firmId, ...s })))
    .onConflictDoNothing();
  for (const name of pictures ? await readdir(pictures.from) : []) {
    const bytes = await readFile(path.join(pictures!.from, name));
    await pictures!.to.put(DEMO_FIRM.firmId, createHash('sha256').update(bytes).digest('hex'), bytes, (b) => b);
  }
  await bringSample(store, quillPoint(), new Date());
}

/** @param sample today's sample job, undated */
export async function bringSample(store: FirmStore, sample: JobFacts, now: Date): Promise<void> {
  const { db } = store.database;
  const fingerprint = createHash('sha256').update(JSON.stringify(sample)).digest('hex').slice(0, 16);
  if ((await readState(db, SAMPLE_STATE)) === fingerprint) return;
  const facts = shiftedTo(sample, now);
  const older = await db
    .select({ id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.firmId, store.firmId), eq(jobs.sample, true), sql`${jobs.removedAt} is null`));
  let kept = false;
  for (const { id } of older) {
    if (await isUntouched(store, id)) await putAway(store, id, now);
    else kept = true;
  }
  if (!kept) {
    const taken = (await store.cursor(facts.job.id)) !== undefined;
    // The first keeps its plain name; its successor is a copy, for the ids of the first stay in the log.
    const fresh = taken ? withNewIds(facts, randomUUID) : facts;
    const job = taken ? { ...fresh.job, id: `${facts.job.id}-${fingerprint.slice(0, 8)}` } : fresh.job;
    await store.apply(changesFor({ ...fresh, job }, randomUUID, DEMO_FIRM.person), now);
  }
  await writeState(db, SAMPLE_STATE, fingerprint);
}

/** Brought in at one moment, and nothing written since. */
async function isUntouched(store: FirmStore, jobId: string): Promise<boolean> {
  const [row] = await store.database.db
    .select({ times: sql<number>`count(distinct ${changeLog.receivedAt})::int` })
    .from(changeLog)
    .where(and(eq(changeLog.firmId, store.firmId), eq(changeLog.jobId, jobId)));
  return row !== undefined && row.times <= 1;
}

const putAway = (store: FirmStore, jobId: string, now: Date) =>
  store.apply(
    [
      {
        v: CHANGE_VERSION,
        id: randomUUID(),
        jobId,
        entity: 'job',
        entityId: jobId,
        parent: scopeParent('job', jobId),
        op: 'remove',
        fields: {},
        at: now.toISOString(),
        by: DEMO_FIRM.person,
        personId: null,
        device: null,
        act: null,
      },
    ],
    now,
  );
