/** A route with its schemas beside it: what is checked at the door is what the OpenAPI description says. */
import express, { type Request, type Response, type Router } from 'express';
import type { z } from 'zod';
import { fromZod, type Problem } from '@roughsill/core';
import { poisonIn, readJson } from '../request-body';
import { HttpProblem, type ProblemCode } from '../problem';

export interface Call<P, Q, B> {
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  readonly req: Request;
  readonly res: Response;
  /** Ends when nobody is there for the answer any more, from the first moment on. */
  readonly gone: AbortSignal;
  /** Who asks, as far as it can be told: each has a share of what is made beside the requests. */
  readonly client: string;
}

export interface RouteSpec {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** In OpenAPI's form: /api/jobs/{jobId} */
  readonly path: string;
  readonly summary: string;
  readonly params?: z.ZodType;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  /** What the description says of the body, when the handler reads it piece by piece. */
  readonly bodySays?: z.ZodType;
  readonly reply: z.ZodType;
  /** What is sent, when it is not JSON. */
  readonly produces?: string;
  /** Content types of a body that the handler reads itself: it finds its bytes in `req.body`. */
  readonly takes?: readonly string[];
  readonly status?: number;
  readonly problems: readonly ProblemCode[];
  /** Largest body taken. */
  readonly limit?: string;
}

export interface Route extends RouteSpec {
  readonly mount: (router: Router) => void;
}

function check<T>(schema: z.ZodType<T> | undefined, value: unknown, part: string, problems: Problem[]): T {
  if (!schema) return undefined as T;
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  problems.push(...fromZod(parsed.error, value, part === 'body' ? [] : [part]));
  return undefined as T;
}

/** JSON is UTF-8 (RFC 8259); another charset is told, not guessed. */
function bodyOf(spec: RouteSpec, req: Request): Promise<unknown> | undefined {
  if (!Buffer.isBuffer(req.body))
    throw new HttpProblem('wrong-type', `Send the body as ${spec.takes?.join(' or ') ?? 'application/json'}.`);
  if (spec.takes) return undefined;
  const charset = /charset\s*=\s*"?([^";\s]+)/i.exec(req.headers['content-type'] ?? '')?.[1];
  if (charset !== undefined && !/^utf-?8$/i.test(charset)) throw new HttpProblem('wrong-type', 'Send UTF-8 JSON.');
  return readJson(req.body);
}

/** What a form holds. A route that takes more says so. */
const SMALL = '128kb';

function goneWith(res: Response): AbortSignal {
  const gone = new AbortController();
  const look = () => {
    if (!res.writableFinished) gone.abort();
  };
  if (res.closed) look();
  res.once('close', look);
  return gone.signal;
}

/** Declares a route. All of params, query and body are checked, and all that is wrong is told at once. */
export function route<P = undefined, Q = undefined, B = undefined>(
  spec: RouteSpec & { readonly params?: z.ZodType<P>; readonly query?: z.ZodType<Q>; readonly body?: z.ZodType<B> },
  handle: (call: Call<P, Q, B>) => Promise<unknown> | unknown,
): Route {
  const mount = (router: Router) => {
    const reads = spec.takes ?? (spec.body ? ['application/json'] : null);
    const parse = reads ? [express.raw({ type: [...reads], limit: spec.limit ?? SMALL })] : [];
    router[spec.method](spec.path.replace(/\{(\w+)\}/g, ':$1'), ...parse, async (req, res) => {
      // Before anything is waited for: who leaves meanwhile is noticed.
      const gone = goneWith(res);
      const sent = reads ? await bodyOf(spec, req) : undefined;
      const problems: Problem[] = await poisonIn({ params: { ...req.params }, query: { ...req.query } });
      const params = check(spec.params, req.params, 'params', problems);
      const query = check(spec.query, req.query, 'query', problems);
      const body = check(spec.body, sent, 'body', problems);
      if (problems.length > 0)
        throw new HttpProblem('bad-request', 'Nothing was changed. Put right what is named and send it again.', problems);
      const reply = await handle({ params, query, body, req, res, gone, client: req.ip ?? '' });
      if (!res.headersSent && !res.destroyed && reply !== undefined) res.status(spec.status ?? 200).json(reply);
    });
  };
  return { ...spec, mount };
}
