/** What a page of before November 2026 left on this phone: its outbox in localStorage, its jobs in one snapshot. Brought over once. */
import { openDB, type IDBPDatabase } from 'idb';
import { readSettings, readChange, type Change } from '@roughsill/core/records';
import { newId } from './ids';
import { keepMissing, readKeptJob, saveFact, saveJob, setAside, type Aside } from './shelf';

const OUTBOX = 'rough-sill.outbox';
/** Set once the old snapshot was looked for: looking opens another database, which every start would wait for. */
const BROUGHT = 'rough-sill.brought-over';
const SNAPSHOT = 'rough-sill.snapshot';

interface OldSnapshot {
  readonly list?: unknown;
  readonly jobs?: Readonly<Record<string, { readonly facts: unknown; readonly cursor: number }>>;
  readonly settings?: unknown;
}

/** Reads changes one by one: an entry that cannot be read is set aside and spoils no other. */
export function sorted(raws: readonly unknown[], at: string): { changes: Change[]; aside: Aside[] } {
  const changes: Change[] = [];
  const aside: Aside[] = [];
  for (const raw of raws) {
    const read = readChange(raw);
    if (read.ok) changes.push(read.value);
    else {
      const id = (raw as { id?: unknown } | null)?.id;
      aside.push({ id: typeof id === 'string' && id !== '' ? id : newId(), raw, problems: read.problems, at });
    }
  }
  return { changes, aside };
}

async function bringOutbox(at: string): Promise<void> {
  const text = localStorage.getItem(OUTBOX);
  if (text === null) return;
  let raws: unknown;
  try {
    raws = JSON.parse(text);
  } catch {
    raws = [text];
  }
  const { changes, aside } = sorted(Array.isArray(raws) ? raws : [raws], at);
  await keepMissing(changes);
  if (aside.length > 0) await setAside(aside);
  // Only now: until it stands in the new place, it stays in the old.
  localStorage.removeItem(OUTBOX);
}

async function bringSnapshot(): Promise<void> {
  const place = await openDB('keyval-store', 1, { upgrade: (db) => void db.createObjectStore('keyval') });
  try {
    await bringFrom(place);
  } finally {
    place.close();
  }
}

async function bringFrom(place: IDBPDatabase): Promise<void> {
  const old = ((await place.get('keyval', SNAPSHOT).catch(() => null)) as OldSnapshot | null | undefined) ?? null;
  if (old === null) return;
  for (const [jobId, job] of Object.entries(old.jobs ?? {})) {
    const kept = readKeptJob({ base: job.facts, cursor: job.cursor });
    // It held what was not sent yet as well: place 0 has it asked for anew, and what was typed is put on top from the outbox.
    if (kept) await saveJob(jobId, { base: kept.base, cursor: 0 });
  }
  const settings = readSettings(old.settings);
  if (settings.success) await saveFact('settings', settings.data);
  if (Array.isArray(old.list)) await saveFact('list', old.list as never);
  await place.delete('keyval', SNAPSHOT);
}

/** Is there something of such a page, or was it never looked for? */
export function isLeft(): boolean {
  try {
    return localStorage.getItem(OUTBOX) !== null || localStorage.getItem(BROUGHT) === null;
  } catch {
    return false;
  }
}

export async function bringOver(at: string): Promise<void> {
  await bringOutbox(at);
  await bringSnapshot();
  localStorage.setItem(BROUGHT, '1');
}
