/** One table of everything that can go wrong over HTTP, one shape in which it is told (RFC 9457, problem+json). */
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Problem } from '@roughsill/core';

export const PROBLEMS = {
  'bad-json': { status: 400, title: 'The request is not whole JSON' },
  'bad-request': { status: 400, title: 'The request does not fit' },
  'not-found': { status: 404, title: 'There is nothing here' },
  'already-here': { status: 409, title: 'It is already here' },
  'change-id-reused': { status: 409, title: 'This change id was used for another change' },
  'wrong-host': { status: 421, title: 'This server does not answer to that name' },
  'too-heavy': { status: 422, title: 'Too much to make in one piece' },
  stopped: { status: 409, title: 'It was stopped' },
  'too-late': { status: 409, title: 'It cannot be stopped any more' },
  'store-full': { status: 507, title: 'There is no room left for pictures' },
  busy: { status: 503, title: 'Too much is under way just now' },
  'too-large': { status: 413, title: 'Too large to take' },
  'wrong-type': { status: 415, title: 'Send JSON' },
  'does-not-fit': { status: 422, title: 'Something in it needs putting right' },
  'not-a-picture': { status: 422, title: 'This picture cannot be kept' },
  'database-away': { status: 503, title: 'The records cannot be reached just now' },
  'our-fault': { status: 500, title: 'Something went wrong on our side' },
} as const;
export type ProblemCode = keyof typeof PROBLEMS;

export class HttpProblem extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly detail: string,
    readonly errors: readonly Problem[] = [],
    /** Members beside the common ones. */
    readonly more: Readonly<Record<string, unknown>> = {},
    cause?: unknown,
  ) {
    super(`${code}: ${detail}`, { cause });
  }
}

/** Errors of node-postgres and the operating system that mean: the database is not there, try again. */
const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08003',
  '08006',
  // The role or the database is not there yet: a restore is under way.
  '3D000',
  '28000',
  '28P01',
  '53300',
]);
const AWAY_WORDS =
  /Connection terminated|timeout exceeded when trying to connect|Query read timeout|Client has encountered a connection error|not queryable|Client was closed/;
/** lock_not_available, query_canceled by its time limit, idle_in_transaction_session_timeout, deadlock and serialization failures. */
const HELD_UP = new Set(['55P03', '57014', '25P03', '40001', '40P01']);

/** Codes and messages of an error and what it wraps. Told by shape, for an error may come from another realm. */
function* chain(e: unknown): Generator<{ code?: string; message?: string }> {
  for (
    let x = e as { code?: string; message?: string; cause?: unknown } | undefined, depth = 0;
    x && typeof x === 'object' && depth < 4;
    x = x.cause as typeof x, depth += 1
  )
    yield x;
}

const isAway = (e: unknown): boolean =>
  [...chain(e)].some((x) => (x.code !== undefined && AWAY.has(x.code)) || AWAY_WORDS.test(x.message ?? ''));
const isHeldUp = (e: unknown): boolean => [...chain(e)].some((x) => x.code !== undefined && HELD_UP.has(x.code));

/** unique_violation: a record with this id is in the firm already, on this job or another. */
const isTaken = (e: unknown): boolean => [...chain(e)].some((x) => x.code === '23505');

/** What Express and its body readers throw for a request that cannot be read carries its own status. */
const isUnreadable = (e: unknown): boolean => {
  const status = (e as { status?: unknown }).status;
  return typeof status === 'number' && status >= 400 && status < 500;
};

export function asProblem(e: unknown): HttpProblem {
  if (e instanceof HttpProblem) return e;
  const type = (e as { type?: string }).type;
  if (type === 'entity.too.large')
    return new HttpProblem('too-large', 'Send a smaller piece: a job file of at most 8 MB, changes or a picture of at most 4 MB.');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') return new HttpProblem('wrong-type', 'Send UTF-8 JSON.');
  if (e instanceof URIError) return new HttpProblem('bad-request', 'The address holds characters that cannot be read.');
  if (isUnreadable(e)) return new HttpProblem('bad-request', 'The request cannot be read. Nothing was changed.');
  if (isTaken(e))
    return new HttpProblem('already-here', 'A record with one of these ids is here already. A job file can be opened as a copy.');
  if (isHeldUp(e))
    return new HttpProblem('busy', 'Somebody else is writing just now. Nothing was lost on your side. It will be tried again.');
  if (isAway(e)) return new HttpProblem('database-away', 'Nothing was lost on your side. It will be tried again.');
  return new HttpProblem('our-fault', 'It was logged. Nothing was half-written.');
}

export const notFound: RequestHandler = (req) => {
  throw new HttpProblem('not-found', `No such address: ${req.method} ${req.originalUrl.split('?')[0]!.slice(0, 200)}`);
};

/** Faults of our own since this process began: what health tells whoever watches over it. */
export interface Faults {
  readonly count: number;
  readonly lastAt: string | null;
}
let faults: Faults = { count: 0, lastAt: null };
export const faultsSoFar = (): Faults => faults;

export const problemHandler: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) return next(error);
  const p = asProblem(error);
  const { status, title } = PROBLEMS[p.code];
  if (p.code === 'our-fault') {
    faults = { count: faults.count + 1, lastAt: new Date().toISOString() };
    req.log.fatal({ err: error as Error, alarm: true }, p.code);
  } else if (p.code === 'database-away') req.log.warn({ why: [...chain(error)].at(-1)?.message }, p.code);
  else if (status >= 500 && status !== 503) req.log.error({ err: error as Error }, p.code);
  if (status === 503) res.setHeader('retry-after', '2');
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: `/problems/${p.code}`, title, status, detail: p.detail, errors: p.errors, ...p.more }));
};
