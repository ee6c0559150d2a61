/** A server for tests of the store: answers what it is told to, and remembers what was sent. */
import { CHANGE_VERSION, DEFAULT_SETTINGS, type Change } from '@roughsill/core';
import { NOTHING, type Sent } from './api';

export type Reply = { readonly status: number; readonly body: unknown } | 'no signal';
export const EPOCH = 'epoch-1';

export interface TestServer {
  /** Batches of changes, in the order in which they came. */
  readonly sent: Change[][];
  /** Answers everything but the session and what `taking` answers. */
  reply: (url: string, init?: { method?: string; body?: string }) => Reply | Promise<Reply>;
  epoch: string;
  form: number | undefined;
  /** What it says to a batch; null: what `reply` says. */
  taking: ((changes: Change[]) => Reply) | null;
}

/** All of it taken. */
export const took = (changes: readonly Change[], over: Partial<Sent> = {}): Reply => ({
  status: 200,
  body: { ...NOTHING, epoch: EPOCH, accepted: changes.map((c) => c.id), ...over } satisfies Sent,
});

/** Nobody else wrote anything. */
export const nothingNew = (url: string): Reply =>
  url.includes('since=')
    ? { status: 200, body: { epoch: EPOCH, cursor: 1, changes: [], more: false } }
    : { status: 404, body: { type: '/problems/not-found', title: 'There is nothing here' } };

export function testServer(): TestServer {
  const server: TestServer = {
    sent: [],
    reply: nothingNew,
    epoch: EPOCH,
    form: CHANGE_VERSION,
    taking: (changes) => took(changes),
  };
  (globalThis as unknown as { AbortSignal: unknown }).AbortSignal = { timeout: () => undefined };
  const answer = async (url: string, init?: { method?: string; body?: string }): Promise<Reply> => {
    if (url === '/api/changes' && init?.body) {
      const { changes } = JSON.parse(init.body) as { changes: Change[] };
      server.sent.push(changes);
      if (server.taking) return server.taking(changes);
    }
    const told = await server.reply(url, init);
    if (url !== '/api/session' || told === 'no signal') return told;
    return { status: 200, body: { person: 'Tester', settings: DEFAULT_SETTINGS, form: server.form, epoch: server.epoch } };
  };
  globalThis.fetch = jest.fn(async (url: string, init?: { method?: string; body?: string }) => {
    const r = await answer(url, init);
    if (r === 'no signal') throw new TypeError('failed to fetch');
    return { ok: r.status < 400, status: r.status, json: async () => r.body };
  }) as never;
  return server;
}

/** A page that is left behind by its test must not send later: its second thoughts are dropped. Call once in a test file. */
export function forgetLeftPages(): void {
  const real = globalThis.setTimeout;
  const late: ReturnType<typeof setTimeout>[] = [];
  beforeAll(() => {
    globalThis.setTimeout = ((f: () => void, ms?: number) => {
      const timer = real(f, ms);
      if ((ms ?? 0) >= 1000) late.push(timer);
      return timer;
    }) as typeof setTimeout;
  });
  afterEach(() => late.splice(0).forEach((t) => clearTimeout(t)));
  afterAll(() => {
    globalThis.setTimeout = real;
  });
}

/** Waits for what is bound to come, however busy the machine is; what never comes is told by the check that follows. */
export async function until(is: () => boolean): Promise<void> {
  for (let tries = 0; !is() && tries < 400; tries += 1) await new Promise((r) => setTimeout(r, 25));
}

/**
 * Long enough for the store in memory and for answers that come at once. It counts turns and not time: each step of that store takes one turn
 * of the clock, however long a busy machine makes it, so what needs thirty of them has had them.
 */
export async function settle(turns = 80): Promise<void> {
  for (let turn = 0; turn < turns; turn += 1) await new Promise((r) => setTimeout(r, 0));
}
