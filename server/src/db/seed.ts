/** The demo firm and its sample job, by the same door as everything else. */
import { createHash, randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { changesFor, DEFAULT_SETTINGS } from '@roughsill/core';
import { quillPoint, shiftedTo } from '@roughsill/demo';
import { FirmStore } from './firm-store';
import type { PhotoStore } from '../photos/photo-store';
import type { Db } from './client';
import { firms, people } from './schema';

/** Until signing in exists, every request is made by this person of this firm. */
export const DEMO_FIRM = { firmId: 'demo-firm', personId: 'ines-marlow', person: 'Ines Marlow' } as const;

/**
 * Makes the firm if it is missing; the sample job too, when wanted. Running it again changes nothing.
 * @param pictures where the sample job's photographs come from, and where they go
 */
export async function seed(db: Db, withSample: boolean, pictures?: { readonly from: string; readonly to: PhotoStore }): Promise<void> {
  const { rates: _none, ...columns } = { ...DEFAULT_SETTINGS, firmName: 'Marlow & Tarn, painters' };
  await db
    .insert(firms)
    .values({ id: DEMO_FIRM.firmId, ...columns })
    .onConflictDoNothing();
  await db.insert(people).values({ firmId: DEMO_FIRM.firmId, id: DEMO_FIRM.personId, name: DEMO_FIRM.person }).onConflictDoNothing();
  if (!withSample) return;
  for (const name of pictures ? await readdir(pictures.from) : []) {
    const bytes = await readFile(path.join(pictures!.from, name));
    await pictures!.to.put(DEMO_FIRM.firmId, createHash('sha256').update(bytes).digest('hex'), bytes);
  }
  const now = new Date();
  const facts = shiftedTo(quillPoint(), now);
  const store = new FirmStore(db, DEMO_FIRM.firmId);
  if ((await store.cursor(facts.job.id)) === undefined) await store.apply(changesFor(facts, randomUUID, DEMO_FIRM.person), now);
}
