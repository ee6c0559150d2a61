/** A route with its schemas beside it: what is checked at the door is what the OpenAPI description says. */
import express, { type Request, type Response, type Router } from 'express';
import type { z } from 'zod';
import { fromZod, type Problem } from '@roughsill/core';
import { HttpProblem, type ProblemCode } from '../problem';

export interface Call<P, Q, B> {
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  readonly req: Request;
  readonly res: Response;
}

export interface RouteSpec {
  readonly method: 'get' | 'post' | 'put';
  /** In OpenAPI's form: /api/jobs/{jobId} */
  readonly path: string;
  readonly summary: string;
  readonly params?: z.ZodType;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  readonly reply: z.ZodType;
  /** What is sent, when it is not JSON. */
  readonly produces?: string;
  /** Content types of a body that is not JSON; the handler finds its bytes in `req.body`. */
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

/** Declares a route. All of params, query and body are checked, and all that is wrong is told at once. */
export function route<P = undefined, Q = undefined, B = undefined>(
  spec: RouteSpec & { readonly params?: z.ZodType<P>; readonly query?: z.ZodType<Q>; readonly body?: z.ZodType<B> },
  handle: (call: Call<P, Q, B>) => Promise<unknown> | unknown,
): Route {
  const mount = (router: Router) => {
    const limit = spec.limit ?? '4mb';
    const parse = spec.takes ? [express.raw({ type: [...spec.takes], limit })] : spec.body ? [express.json({ limit, strict: false })] : [];
    router[spec.method](spec.path.replace(/\{(\w+)\}/g, ':$1'), ...parse, async (req, res) => {
      if (spec.takes && !Buffer.isBuffer(req.body)) throw new HttpProblem('wrong-type', `Send the body as ${spec.takes.join(' or ')}.`);
      if (spec.body && req.body === undefined) throw new HttpProblem('wrong-type', 'Send the body as application/json.');
      const problems: Problem[] = [];
      const params = check(spec.params, req.params, 'params', problems);
      const query = check(spec.query, req.query, 'query', problems);
      const body = check(spec.body, req.body, 'body', problems);
      if (problems.length > 0)
        throw new HttpProblem('bad-request', 'Nothing was changed. Put right what is named and send it again.', problems);
      const reply = await handle({ params, query, body, req, res });
      if (!res.headersSent && reply !== undefined) res.status(spec.status ?? 200).json(reply);
    });
  };
  return { ...spec, mount };
}
