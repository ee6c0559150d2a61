/** Talks to the server. Every failure comes back as one of three: no signal, refused with problems, or gone. */
import type { LabelSheet } from '@roughsill/core/prepare';
import {
  CHANGE_VERSION,
  type Change,
  type Clash,
  type FirmFacts,
  type FirmSettings,
  type JobFacts,
  type JobLine,
  type LoggedChange,
  type Material,
  type Problem,
  type ReadingDraft,
} from '@roughsill/core/records';

export interface InstrumentLine {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly simulated: boolean;
  readonly sheet: string;
  readonly checks: boolean;
}

/** What the server said to a batch: what it took, what it refused and why, what is to be sent again later. */
export interface Sent {
  readonly epoch: string;
  readonly form: number;
  readonly accepted: readonly string[];
  /** Of those, the ones that it had already. */
  readonly known: readonly string[];
  readonly refused: readonly { readonly id: string; readonly problems: readonly Problem[] }[];
  readonly later: readonly string[];
  readonly clashes: readonly Clash[];
  readonly before: Readonly<Record<string, number>>;
  readonly cursors: Readonly<Record<string, number>>;
}

/** An answer that says nothing of any change. */
export const NOTHING: Sent = {
  epoch: '',
  form: CHANGE_VERSION,
  accepted: [],
  known: [],
  refused: [],
  later: [],
  clashes: [],
  before: {},
  cursors: {},
};

export type ApiError =
  | { readonly kind: 'away'; readonly says: string }
  | { readonly kind: 'refused'; readonly status: number; readonly says: string; readonly problems: readonly Problem[] };
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ApiError };

const ANSWER_MS = 20_000;
const IMPORT_MS = 130_000;

const away = (says: string): { ok: false; error: ApiError } => ({ ok: false, error: { kind: 'away', says } });

/** @param isAnswer tells an answer by its content, when a refusal can be one too */
async function file(path: string, init: RequestInit): Promise<Result<Blob>> {
  try {
    const res = await fetch(path, init);
    if (res.ok) return { ok: true, value: await res.blob() };
    const p = (await res.json().catch(() => ({}))) as { title?: string; detail?: string };
    const says = [p.title, p.detail].filter(Boolean).join('. ') || 'The server does not answer.';
    return { ok: false, error: { kind: 'refused', status: res.status, says, problems: [] } };
  } catch {
    return away(init.signal?.aborted ? 'Stopped.' : 'No signal to the server.');
  }
}

async function call<T>(
  path: string,
  init?: RequestInit & { readonly ms?: number },
  isAnswer?: (body: unknown) => boolean,
): Promise<Result<T>> {
  let res: Response;
  try {
    res = await fetch(path, {
      ...init,
      headers: init?.body ? { 'content-type': 'application/json' } : undefined,
      signal: AbortSignal.timeout(init?.ms ?? ANSWER_MS),
    });
  } catch {
    return away('No signal to the server.');
  }
  if (res.status >= 500) {
    const body = (await res.json().catch(() => null)) as { title?: string } | null;
    return away(body?.title ? `${body.title}.` : 'The server does not answer.');
  }
  const body = (await res.json().catch(() => null)) as unknown;
  if (isAnswer ? isAnswer(body) : res.ok && body !== null) return { ok: true, value: body as T };
  const p = (body ?? {}) as { type?: unknown; title?: string; detail?: string; errors?: Problem[] };
  // A hotel's sign-in page and a proxy's refusal are no words of this server: what was entered is not refused by them.
  if (typeof p.type !== 'string' || !p.type.startsWith('/problems/') || res.status === 421)
    return away('Something else than the server answers here. Is there a page to sign in to the network?');
  return {
    ok: false,
    error: {
      kind: 'refused',
      status: res.status,
      says: [p.title, p.detail].filter(Boolean).join('. ') || 'The server refused it.',
      problems: p.errors ?? [],
    },
  };
}

export const api = {
  session: () => call<{ person: string; personId?: string; settings: FirmSettings; form?: number; epoch?: string }>('/api/session'),
  firm: () => call<{ epoch: string; cursor: number } & FirmFacts>('/api/firm'),
  jobs: () => call<{ jobs: JobLine[] }>('/api/jobs'),
  job: (id: string) => call<{ epoch: string; cursor: number; facts: JobFacts }>(`/api/jobs/${encodeURIComponent(id)}`),
  since: (id: string, cursor: number) =>
    call<{ epoch: string; cursor: number; changes: LoggedChange[]; more: boolean }>(`/api/jobs/${encodeURIComponent(id)}?since=${cursor}`),
  send: (changes: readonly Change[]) =>
    call<Sent>('/api/changes', { method: 'POST', body: JSON.stringify({ changes }) }, (b) =>
      Array.isArray((b as { accepted?: unknown } | null)?.accepted),
    ),
  instruments: () => call<{ instruments: InstrumentLine[]; lab: { name: string; simulated: boolean } }>('/api/instruments'),
  readInstrument: (id: string, use: { jobId: string; surfaceId: string; depth: 'face' | 'all'; seconds: number; setTo: string }) =>
    call<{ reading: Omit<ReadingDraft, 'takenAt'>; says: string; simulated: boolean }>(`/api/instruments/${encodeURIComponent(id)}/read`, {
      method: 'POST',
      body: JSON.stringify(use),
    }),
  checkInstrument: (id: string, material: Material | null) =>
    call<{ values: number[]; filmMgCm2: number; tolerance: number }>(`/api/instruments/${encodeURIComponent(id)}/check`, {
      method: 'POST',
      body: JSON.stringify({ material }),
    }),
  labAnswers: (jobId: string) =>
    call<{ csv: string; ready: number; waiting: number; lab: string; simulated: boolean }>(
      `/api/jobs/${encodeURIComponent(jobId)}/lab-answers`,
    ),
  importFile: (text: string, copy: boolean, task?: string) => {
    const query = new URLSearchParams({ ...(copy ? { copy: 'true' } : {}), ...(task ? { task } : {}) }).toString();
    return call<{ jobId: string; cursor: number }>(`/api/jobs/import${query ? `?${query}` : ''}`, {
      method: 'POST',
      body: text,
      ms: IMPORT_MS,
    });
  },
  /** How far work beside the requests is; refused when it is over. */
  task: (id: string) => call<{ state: 'waiting' | 'running'; share: number }>(`/api/tasks/${id}`),
  stopTask: (id: string) => call<{ stopped: true }>(`/api/tasks/${id}`, { method: 'DELETE' }),
  /** A paper as a file, made beside the requests. */
  paper: (path: string, task: string, stop: AbortSignal) => file(`${path}${path.includes('?') ? '&' : '?'}task=${task}`, { signal: stop }),
  bottleLabels: (sheet: LabelSheet) =>
    file('/api/bench/labels.pdf', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(sheet) }),
};
