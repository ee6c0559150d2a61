/** What comes in is read once, here: bytes to text, text to JSON, and nothing in it that a database or a file could not hold. */
import type { RequestHandler } from 'express';
import type { Problem } from '@roughsill/core';
import { HttpProblem } from './problem';

/** No record is nested deeper than a handful. */
const MOST_DEPTH = 40;
const MOST_PROBLEMS = 20;
const KEY_OF_A_PROTOTYPE = '__proto__';

/** NUL, or half of a two-part letter. */
const UNHOLDABLE = /\u0000|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
const unholdable = (s: string): boolean => UNHOLDABLE.test(s);

/** Strings that no database column can hold, and nesting that no reader should follow. Walked without recursion, for it may be deep. */
export function poisonIn(value: unknown): Problem[] {
  const out: Problem[] = [];
  const todo: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }];
  while (todo.length > 0 && out.length < MOST_PROBLEMS) {
    const { value: v, path, depth } = todo.pop()!;
    if (typeof v === 'string' && unholdable(v)) out.push({ path, message: 'holds a character that cannot be kept: type it again' });
    if (typeof v !== 'object' || v === null) continue;
    if (depth >= MOST_DEPTH) {
      out.push({ path: path.slice(0, 200), message: 'is nested too deep' });
      continue;
    }
    for (const [key, inner] of Object.entries(v)) {
      const at = Array.isArray(v) ? `${path}[${key}]` : path === '' ? key.slice(0, 60) : `${path}.${key.slice(0, 60)}`;
      if (unholdable(key) || key === KEY_OF_A_PROTOTYPE) out.push({ path: path || '(body)', message: 'holds a name that cannot be kept' });
      else todo.push({ value: inner, path: at, depth: depth + 1 });
    }
  }
  return out;
}

/** @throws HttpProblem when the bytes are no UTF-8, no JSON, or hold what cannot be kept */
export function readJson(bytes: Uint8Array): unknown {
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new HttpProblem('bad-json', 'The text breaks off, holds a slip or is no UTF-8. Nothing was changed.');
  }
  const poison = poisonIn(value);
  if (poison.length > 0) throw new HttpProblem('bad-request', 'Nothing was changed. Put right what is named and send it again.', poison);
  return value;
}

/** The name by which a request calls this server. A page of another site that was led here by its own name is not answered. */
export function ownHostOnly(more: readonly string[]): RequestHandler {
  const names = new Set(['localhost', '127.0.0.1', '[::1]', ...more.map((h) => h.toLowerCase())]);
  return (req, _res, next) => {
    const name = (req.headers.host ?? '').toLowerCase().replace(/:\d+$/, '');
    if (!names.has(name)) throw new HttpProblem('wrong-host', 'Open it by the name that it was given.');
    next();
  };
}
