/** Talks to the server. Every failure comes back as one of three: no signal, refused with problems, or gone. */
import type { Change, Clash, FirmSettings, JobFacts, Material, Problem, ReadingDraft } from '@roughsill/core';

export interface JobLine {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly yearBuilt: number | null;
  readonly rulebook: 'us' | 'uk';
  readonly sample: boolean;
  readonly surfaces: number;
}

export interface InstrumentLine {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly simulated: boolean;
  readonly sheet: string;
  readonly checks: boolean;
}

export type ApiError =
  | { readonly kind: 'away'; readonly says: string }
  | { readonly kind: 'refused'; readonly status: number; readonly says: string; readonly problems: readonly Problem[] };
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ApiError };

const away = (says: string): { ok: false; error: ApiError } => ({ ok: false, error: { kind: 'away', says } });

async function call<T>(path: string, init?: RequestInit): Promise<Result<T>> {
  let res: Response;
  try {
    res = await fetch(path, {
      ...init,
      headers: init?.body ? { 'content-type': 'application/json' } : undefined,
      signal: AbortSignal.timeout(20_000),
    });
  } catch {
    return away('No signal to the server.');
  }
  if (res.status >= 500) {
    const body = (await res.json().catch(() => null)) as { title?: string } | null;
    return away(body?.title ? `${body.title}.` : 'The server does not answer.');
  }
  const body = (await res.json().catch(() => null)) as unknown;
  if (res.ok && body !== null) return { ok: true, value: body as T };
  const p = (body ?? {}) as { title?: string; detail?: string; errors?: Problem[] };
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
  session: () => call<{ person: string; settings: FirmSettings }>('/api/session'),
  jobs: () => call<{ jobs: JobLine[] }>('/api/jobs'),
  job: (id: string) => call<{ cursor: number; facts: JobFacts }>(`/api/jobs/${encodeURIComponent(id)}`),
  since: (id: string, cursor: number) => call<{ cursor: number; changes: Change[] }>(`/api/jobs/${encodeURIComponent(id)}?since=${cursor}`),
  send: (changes: readonly Change[]) =>
    call<{ accepted: string[]; clashes: Clash[]; cursors: Record<string, number> }>('/api/changes', {
      method: 'POST',
      body: JSON.stringify({ changes }),
    }),
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
  importFile: (text: string, copy: boolean) =>
    call<{ jobId: string; cursor: number }>(`/api/jobs/import${copy ? '?copy=true' : ''}`, { method: 'POST', body: text }),
};
