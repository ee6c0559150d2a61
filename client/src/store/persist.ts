/** What survives a reload without signal: opened jobs in IndexedDB, and what has not been sent yet in localStorage, written at once. */
import { get, set } from 'idb-keyval';
import { Change, FirmSettings, JobFacts } from '@roughsill/core';
import type { JobLine } from './api';
import type { OpenJob } from './slices';

const OUTBOX = 'rough-sill.outbox';
const PREFERENCES = 'rough-sill.preferences';
const SNAPSHOT = 'rough-sill.snapshot';

export interface Snapshot {
  readonly list: readonly JobLine[] | null;
  readonly jobs: Readonly<Record<string, OpenJob>>;
  readonly settings: FirmSettings;
}

/** Storage may be full, or shut off: the app goes on without it. */
function quietly<T>(f: () => T, otherwise: T): T {
  try {
    return f();
  } catch {
    return otherwise;
  }
}

export function saveOutbox(waiting: readonly Change[]): void {
  quietly(() => localStorage.setItem(OUTBOX, JSON.stringify(waiting)), undefined);
}

export function loadOutbox(): Change[] {
  return quietly(() => {
    const parsed = Change.array().safeParse(JSON.parse(localStorage.getItem(OUTBOX) ?? '[]'));
    return parsed.success ? parsed.data : [];
  }, []);
}

export function savePreferences(p: { dim: boolean; recent: readonly string[] }): void {
  quietly(() => localStorage.setItem(PREFERENCES, JSON.stringify(p)), undefined);
}

export function loadPreferences(): { dim?: boolean; recent?: string[] } {
  return quietly<{ dim?: boolean; recent?: string[] }>(() => {
    const raw = JSON.parse(localStorage.getItem(PREFERENCES) ?? '{}') as { dim?: unknown; recent?: unknown };
    return { dim: raw.dim === true, recent: Array.isArray(raw.recent) ? raw.recent.filter((x): x is string => typeof x === 'string') : [] };
  }, {});
}

export const saveSnapshot = (s: Snapshot): Promise<void> => set(SNAPSHOT, s).catch(() => undefined);

/** Only what still fits today's schemas comes back, with its gaps filled: an older app may have written it. */
export async function loadSnapshot(): Promise<Snapshot | null> {
  const raw = (await get(SNAPSHOT).catch(() => null)) as Snapshot | null | undefined;
  if (!raw || typeof raw !== 'object') return null;
  const settings = FirmSettings.safeParse(raw.settings);
  const jobs = Object.fromEntries(
    Object.entries(raw.jobs ?? {}).flatMap(([id, j]) => {
      const facts = JobFacts.safeParse(j.facts);
      return facts.success ? [[id, { ...j, facts: facts.data }]] : [];
    }),
  );
  return { list: raw.list ?? null, jobs, ...(settings.success ? { settings: settings.data } : {}) } as Snapshot;
}
