/** What the app holds: facts and what is on its way, never anything derived from them. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { DEFAULT_SETTINGS, type Change, type Clash, type FirmSettings, type JobDigest, type JobFacts, type Problem } from '@roughsill/core';
import type { JobLine } from './api';

export type LoadStatus = 'none' | 'loading' | 'ready' | 'away' | 'missing';

export interface OpenJob {
  readonly facts: JobFacts;
  readonly cursor: number;
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

export const jobsSlice = createSlice({
  name: 'jobs',
  initialState: jobsStart,
  reducers: {
    listLoading: (s) => void (s.listStatus = s.list ? 'ready' : 'loading'),
    listLoaded: (s, a: PayloadAction<JobLine[]>) => ({ ...s, list: a.payload, listStatus: 'ready' }),
    listAway: (s) => ({ ...s, listStatus: s.list ? 'ready' : 'away' }),
    jobLoading: (s, a: PayloadAction<string>) => ({ ...s, status: { ...s.status, [a.payload]: s.byId[a.payload] ? 'ready' : 'loading' } }),
    jobLoaded: (s, a: PayloadAction<OpenJob>) => {
      const { id } = a.payload.facts.job;
      return { ...s, byId: { ...s.byId, [id]: a.payload }, status: { ...s.status, [id]: 'ready' } };
    },
    jobFailed: (s, a: PayloadAction<{ jobId: string; status: 'away' | 'missing' }>) => ({
      ...s,
      status: { ...s.status, [a.payload.jobId]: s.byId[a.payload.jobId] ? 'ready' : a.payload.status },
    }),
    /** Facts after changes that this phone made, or that came from another. */
    factsChanged: (s, a: PayloadAction<{ facts: JobFacts; changes: readonly Change[] }>) => {
      const { id } = a.payload.facts.job;
      return {
        ...s,
        byId: { ...s.byId, [id]: { facts: a.payload.facts, cursor: s.byId[id]?.cursor ?? 0 } },
        status: { ...s.status, [id]: 'ready' },
      };
    },
    cursorMoved: (s, a: PayloadAction<{ jobId: string; cursor: number }>) => {
      const job = s.byId[a.payload.jobId];
      return job ? { ...s, byId: { ...s.byId, [a.payload.jobId]: { ...job, cursor: a.payload.cursor } } } : s;
    },
    digested: (s, a: PayloadAction<JobDigest>) => ({ ...s, digests: { ...s.digests, [a.payload.jobId]: a.payload } }),
  },
});

export interface OutboxState {
  readonly waiting: readonly Change[];
  readonly status: 'idle' | 'sending' | 'away';
  readonly says: string | null;
}
const outboxStart: OutboxState = { waiting: [], status: 'idle', says: null };

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: outboxStart,
  reducers: {
    queued: (s, a: PayloadAction<readonly Change[]>) => ({ ...s, waiting: [...s.waiting, ...a.payload] }),
    sending: (s) => ({ ...s, status: 'sending' }),
    sent: (s, a: PayloadAction<readonly string[]>) => {
      const done = new Set(a.payload);
      return { waiting: s.waiting.filter((c) => !done.has(c.id)), status: 'idle', says: null };
    },
    away: (s, a: PayloadAction<string>) => ({ ...s, status: 'away', says: a.payload }),
  },
});

export interface UndoStep {
  readonly label: string;
  readonly jobId: string;
  readonly changes: readonly Change[];
}
export interface NoticeState {
  /** The last thing that can be taken back. */
  readonly undo: UndoStep | null;
  readonly clashes: readonly Clash[];
  readonly refused: { readonly says: string; readonly problems: readonly Problem[] } | null;
}
const noticeStart: NoticeState = { undo: null, clashes: [], refused: null };

export const noticeSlice = createSlice({
  name: 'notice',
  initialState: noticeStart,
  reducers: {
    canUndo: (s, a: PayloadAction<UndoStep | null>) => ({ ...s, undo: a.payload }),
    clashed: (s, a: PayloadAction<readonly Clash[]>) => ({ ...s, clashes: a.payload }),
    refused: (s, a: PayloadAction<NoticeState['refused']>) => ({ ...s, refused: a.payload }),
    dismissed: () => noticeStart,
  },
});

export interface SessionState {
  readonly person: string;
  readonly settings: FirmSettings;
  readonly dim: boolean;
  /** Templates in the order of last use. */
  readonly recent: readonly string[];
}
const sessionStart: SessionState = { person: 'This phone', settings: DEFAULT_SETTINGS, dim: false, recent: [] };

export const sessionSlice = createSlice({
  name: 'session',
  initialState: sessionStart,
  reducers: {
    known: (s, a: PayloadAction<{ person: string; settings: FirmSettings }>) => ({ ...s, ...a.payload }),
    settingsChanged: (s, a: PayloadAction<Partial<FirmSettings>>) => ({ ...s, settings: { ...s.settings, ...a.payload } }),
    dimmed: (s, a: PayloadAction<boolean>) => ({ ...s, dim: a.payload }),
    used: (s, a: PayloadAction<string>) => ({ ...s, recent: [a.payload, ...s.recent.filter((r) => r !== a.payload)].slice(0, 12) }),
    restored: (s, a: PayloadAction<Partial<SessionState>>) => ({ ...s, ...a.payload }),
  },
});
