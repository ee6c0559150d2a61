/** What the app holds: facts and what is on its way, never anything derived from them. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import {
  applyChange,
  DEFAULT_SETTINGS,
  NO_FIRM,
  type Change,
  type Clash,
  type FirmFacts,
  type FirmSettings,
  type JobFacts,
  type Problem,
} from '@roughsill/core/records';
import type { JobDigest } from '@roughsill/core';
import type { AtPhone } from './persist';
import type { JobLine } from '@roughsill/core/records';
import type { Aside } from './shelf';

export type LoadStatus = 'none' | 'loading' | 'ready' | 'away' | 'missing';

/** Taken by the server, and not yet seen in its log among what others wrote. */
interface Acked {
  readonly change: Change;
  readonly cursor: number;
}

export interface OpenJob {
  /** As the server told it at `cursor`; null while it was never there. */
  readonly base: JobFacts | null;
  readonly cursor: number;
  readonly acked: readonly Acked[];
  /** What is shown: the base, with what the server took and what still waits on top. */
  readonly facts: JobFacts;
}

export interface JobsState {
  readonly list: readonly JobLine[] | null;
  readonly listStatus: LoadStatus;
  readonly byId: Readonly<Record<string, OpenJob>>;
  readonly status: Readonly<Record<string, LoadStatus>>;
  /** From the worker, for jobs that are too large for the page. */
  readonly digests: Readonly<Record<string, JobDigest>>;
}

const jobsStart: JobsState = { list: null, listStatus: 'none', byId: {}, status: {}, digests: {} };

/** Puts changes on top of facts, in their order. One that is in there already, or does not fit, is passed over. */
export function withChanges(facts: JobFacts | null, jobId: string, changes: readonly Change[]): JobFacts | null {
  return changes.reduce<JobFacts | null>((f, c) => {
    if (c.jobId !== jobId) return f;
    const next = applyChange(f, c);
    return next.ok ? next.value : f;
  }, facts);
}

/** What the server said to a batch. */
export interface SettledAct {
  readonly accepted: readonly Change[];
  /** Of those, the ones that it had already: they stand in its log somewhere, and come from there. */
  readonly known: readonly string[];
  readonly refused: readonly Aside[];
  readonly before: Readonly<Record<string, number>>;
  readonly cursors: Readonly<Record<string, number>>;
  /** What waits after it. */
  readonly waiting: readonly Change[];
}

function settledJob(job: OpenJob, jobId: string, act: SettledAct): OpenJob {
  const all = act.accepted.filter((c) => c.jobId === jobId);
  const own = all.filter((c) => !act.known.includes(c.id));
  const cursor = act.cursors[jobId];
  const unrefused = act.refused.every((a) => (a.raw as Change).jobId !== jobId);
  let { base, acked } = job;
  let at = job.cursor;
  // The cursor moves only over what was received: when others wrote in between, their changes are still to come.
  if (cursor !== undefined && act.before[jobId] === job.cursor && acked.length === 0) {
    base = base === null && unrefused ? job.facts : withChanges(base, jobId, own);
    at = cursor;
  } else if (own.length > 0) acked = [...acked, ...own.map((change) => ({ change, cursor: cursor ?? job.cursor }))];
  const facts = unrefused && own.length === all.length ? job.facts : restacked(base, jobId, acked, act.waiting);
  return facts === null ? { ...job, base, acked, cursor: at } : { base, acked, cursor: at, facts };
}

interface JobLoaded {
  readonly jobId: string;
  readonly base: JobFacts | null;
  readonly cursor: number;
  readonly waiting: readonly Change[];
  /** From another life of the server: what it had taken before counts for nothing. */
  readonly anew?: boolean;
}

const restacked = (base: JobFacts | null, jobId: string, acked: readonly Acked[], waiting: readonly Change[]): JobFacts | null =>
  withChanges(base, jobId, [...acked.map((a) => a.change), ...waiting]);

export const jobsSlice = createSlice({
  name: 'jobs',
  initialState: jobsStart,
  reducers: {
    listLoading: (s) => void (s.listStatus = s.list ? 'ready' : 'loading'),
    listLoaded: (s, a: PayloadAction<JobLine[]>) => ({ ...s, list: a.payload, listStatus: 'ready' }),
    listAway: (s) => ({ ...s, listStatus: s.list ? 'ready' : 'away' }),
    jobLoading: (s, a: PayloadAction<string>) => ({ ...s, status: { ...s.status, [a.payload]: s.byId[a.payload] ? 'ready' : 'loading' } }),
    /** The whole job as the server has it, or as it was kept; or one begun here, which the server does not know yet. */
    jobLoaded: (s, a: PayloadAction<JobLoaded>) => {
      const { base, cursor, jobId, waiting, anew } = a.payload;
      const acked = anew ? [] : (s.byId[jobId]?.acked ?? []).filter((x) => x.cursor > cursor);
      const facts = restacked(base, jobId, acked, waiting);
      if (facts === null) return s;
      return { ...s, byId: { ...s.byId, [jobId]: { base, cursor, acked, facts } }, status: { ...s.status, [jobId]: 'ready' } };
    },
    jobFailed: (s, a: PayloadAction<{ jobId: string; status: 'away' | 'missing' }>) => ({
      ...s,
      status: { ...s.status, [a.payload.jobId]: s.byId[a.payload.jobId] ? 'ready' : a.payload.status },
    }),
    /** Facts after changes that were made on this phone. */
    factsChanged: (s, a: PayloadAction<{ facts: JobFacts; changes: readonly Change[] }>) => {
      const { id } = a.payload.facts.job;
      const job = s.byId[id] ?? { base: null, cursor: 0, acked: [], facts: a.payload.facts };
      return { ...s, byId: { ...s.byId, [id]: { ...job, facts: a.payload.facts } }, status: { ...s.status, [id]: 'ready' } };
    },
    settled: (s, a: PayloadAction<SettledAct>) => {
      const ids = new Set([...a.payload.accepted, ...a.payload.refused.map((r) => r.raw as Change)].map((c) => c.jobId));
      const changed = [...ids].flatMap((id) => {
        const job = id === null ? undefined : s.byId[id];
        return job ? [[id!, settledJob(job, id!, a.payload)] as const] : [];
      });
      return { ...s, byId: { ...s.byId, ...Object.fromEntries(changed) } };
    },
    /** A page of the log: what others wrote, and what this phone wrote among it, in the server's order. */
    pulled: (
      s,
      a: PayloadAction<{
        jobId: string;
        base: JobFacts;
        cursor: number;
        changes: readonly Change[];
        waiting: readonly Change[];
        others: boolean;
      }>,
    ) => {
      const { jobId, base, cursor, waiting, others } = a.payload;
      const job = s.byId[jobId];
      if (!job) return s;
      const acked = job.acked.filter((x) => x.cursor > cursor);
      const still = acked.length === 0 && !waiting.some((c) => c.jobId === jobId);
      const facts = still ? base : others ? (restacked(base, jobId, acked, waiting) ?? job.facts) : job.facts;
      return { ...s, byId: { ...s.byId, [jobId]: { base, cursor, acked, facts } } };
    },
    digested: (s, a: PayloadAction<JobDigest>) => ({ ...s, digests: { ...s.digests, [a.payload.jobId]: a.payload } }),
  },
});

export interface OutboxState {
  readonly waiting: readonly Change[];
  readonly aside: readonly Aside[];
  /** held: the server is older than this app, and would not understand. */
  readonly status: 'idle' | 'sending' | 'away' | 'held';
  readonly says: string | null;
  /** Why this phone could not keep what was entered. Null: all of it is kept. */
  readonly unkept: string | null;
  readonly epoch: string | null;
  /** The server writes a newer form: a newer app is there. */
  readonly newer: boolean;
  /** After the server was put back to an earlier state: how many of this phone's entries it had lost. Null: it was not. */
  readonly restored: number | null;
}
const outboxStart: OutboxState = {
  waiting: [],
  aside: [],
  status: 'idle',
  says: null,
  unkept: null,
  epoch: null,
  newer: false,
  restored: null,
};

const added = (waiting: readonly Change[], more: readonly Change[]): readonly Change[] => {
  const there = new Set(waiting.map((c) => c.id));
  const fresh = more.filter((c) => !there.has(c.id));
  return fresh.length === 0 ? waiting : [...waiting, ...fresh];
};

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: outboxStart,
  reducers: {
    queued: (s, a: PayloadAction<readonly Change[]>) => ({ ...s, waiting: added(s.waiting, a.payload) }),
    /** In front of all others: they were written first. */
    requeued: (s, a: PayloadAction<readonly Change[]>) => ({ ...s, waiting: added(a.payload, s.waiting) }),
    sending: (s) => ({ ...s, status: 'sending' }),
    settled: (s, a: PayloadAction<SettledAct>) => {
      const done = new Set([...a.payload.accepted.map((c) => c.id), ...a.payload.refused.map((r) => r.id)]);
      const waiting = s.waiting.filter((c) => !done.has(c.id));
      const unkept = waiting.length === 0 ? null : s.unkept;
      return {
        ...s,
        waiting,
        aside: [...s.aside.filter((x) => !done.has(x.id)), ...a.payload.refused],
        status: 'idle',
        says: null,
        unkept,
      };
    },
    asideFound: (s, a: PayloadAction<readonly Aside[]>) => {
      const ids = new Set(a.payload.map((x) => x.id));
      return { ...s, aside: [...s.aside.filter((x) => !ids.has(x.id)), ...a.payload] };
    },
    asideGone: (s, a: PayloadAction<string>) => ({ ...s, aside: s.aside.filter((x) => x.id !== a.payload) }),
    away: (s, a: PayloadAction<string>) => ({ ...s, status: 'away', says: a.payload }),
    held: (s) => ({ ...s, status: 'held', says: null }),
    unkept: (s, a: PayloadAction<string | null>) => ({ ...s, unkept: a.payload }),
    epochKnown: (s, a: PayloadAction<string>) => ({ ...s, epoch: a.payload }),
    newerSeen: (s) => ({ ...s, newer: true }),
    restored: (s, a: PayloadAction<number | null>) => ({ ...s, restored: a.payload }),
  },
});

export interface UndoStep {
  readonly label: string;
  readonly jobId: string;
  readonly changes: readonly Change[];
}
/** So many entries can be taken back, one after the other. */
const MOST_UNDO = 30;
export interface NoticeState {
  /** What can be taken back, the last first. */
  readonly undo: readonly UndoStep[];
  /** The last entry is told until this passes away or the screen changes. */
  readonly told: string | null;
  readonly clashes: readonly Clash[];
  readonly refused: { readonly says: string; readonly problems: readonly Problem[] } | null;
}
const noticeStart: NoticeState = { undo: [], told: null, clashes: [], refused: null };

export const noticeSlice = createSlice({
  name: 'notice',
  initialState: noticeStart,
  reducers: {
    canUndo: (s, a: PayloadAction<UndoStep>) => ({ ...s, undo: [a.payload, ...s.undo].slice(0, MOST_UNDO), told: a.payload.label }),
    /** The last is taken back. */
    undone: (s) => ({ ...s, undo: s.undo.slice(1), told: null }),
    /** It was refused by the server: what it did is put aside, and cannot be taken back here. */
    forgotten: (s, a: PayloadAction<string>) => ({ ...s, undo: s.undo.filter((u) => u.jobId !== a.payload), told: null }),
    tellNothing: (s) => ({ ...s, told: null }),
    clashed: (s, a: PayloadAction<readonly Clash[]>) => ({ ...s, clashes: a.payload }),
    refused: (s, a: PayloadAction<NoticeState['refused']>) => ({ ...s, refused: a.payload }),
    dismissed: (s) => ({ ...noticeStart, undo: s.undo }),
  },
});

export interface SessionState {
  /** Who is at this phone: the name, and whom of the firm's people that is. Null: nobody of the list. */
  readonly person: string;
  readonly personId: string | null;
  /** Somebody chose it here; else it is whom the server names. */
  readonly chosen: boolean;
  readonly settings: FirmSettings;
  /** Counts what was set here, so that it is told from what the server sends. */
  readonly settingsSet: number;
  /** Its own records, from people to pails. */
  readonly firm: FirmFacts;
  readonly dim: boolean;
  /** Templates in the order of last use. */
  readonly recent: readonly string[];
}
const sessionStart: SessionState = {
  person: 'This phone',
  personId: null,
  chosen: false,
  settings: DEFAULT_SETTINGS,
  settingsSet: 0,
  firm: NO_FIRM,
  dim: false,
  recent: [],
};

export const sessionSlice = createSlice({
  name: 'session',
  initialState: sessionStart,
  reducers: {
    known: (s, a: PayloadAction<AtPhone & { settings: FirmSettings }>) =>
      s.chosen ? { ...s, settings: a.payload.settings } : { ...s, ...a.payload },
    atPhone: (s, a: PayloadAction<AtPhone>) => ({ ...s, ...a.payload, chosen: true }),
    settingsChanged: (s, a: PayloadAction<Partial<FirmSettings>>) => ({
      ...s,
      settings: { ...s.settings, ...a.payload },
      settingsSet: s.settingsSet + 1,
    }),
    firmChanged: (s, a: PayloadAction<FirmFacts>) => ({ ...s, firm: a.payload }),
    dimmed: (s, a: PayloadAction<boolean>) => ({ ...s, dim: a.payload }),
    used: (s, a: PayloadAction<string>) => ({ ...s, recent: [a.payload, ...s.recent.filter((r) => r !== a.payload)].slice(0, 12) }),
    restored: (s, a: PayloadAction<Partial<SessionState>>) => ({ ...s, ...a.payload }),
  },
});
