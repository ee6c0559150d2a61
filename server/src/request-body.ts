/** What comes in is read once, here: bytes to text, text to JSON, and nothing in it that a database or a file could not hold. */
import type { RequestHandler } from 'express';
import type { Problem } from '@roughsill/core';
import { breather } from './breather';
import { HttpProblem } from './problem';

/** No record is nested deeper than a handful. */
const MOST_DEPTH = 40;
/** Values in one body: a full batch of changes has half as many. */
const MOST_VALUES = 250_000;
/** A job file is read beside the requests. */
export const MOST_VALUES_OF_A_FILE = 1_500_000;
const MOST_PROBLEMS = 20;
const KEY_OF_A_PROTOTYPE = '__proto__';

/** NUL, or half of a two-part letter. */
const UNHOLDABLE = /\u0000|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
const unholdable = (s: string): boolean => UNHOLDABLE.test(s);

const [QUOTE, BACKSLASH, COMMA, OPEN_LIST, CLOSE_LIST, OPEN_RECORD, CLOSE_RECORD] = Buffer.from('"\\,[]{}') as unknown as number[];

/**
 * Depth and number of values of a JSON text, by its brackets and commas alone: told before anything is built of it, in one pass.
 * @returns whether both stay within what is taken
 */
export function isWithin(bytes: Uint8Array, mostValues: number): boolean {
  let depth = 0;
  let values = 1;
  let quoted = false;
  for (let i = 0; i < bytes.length; i += 1) {
    const b = bytes[i];
    if (quoted) {
      if (b === BACKSLASH) i += 1;
      else if (b === QUOTE) quoted = false;
    } else if (b === QUOTE) quoted = true;
    else if (b === COMMA) values += 1;
    else if (b === OPEN_LIST || b === OPEN_RECORD) {
      depth += 1;
      values += 1;
      if (depth > MOST_DEPTH) return false;
    } else if (b === CLOSE_LIST || b === CLOSE_RECORD) depth -= 1;
    if (values > mostValues) return false;
  }
  return true;
}

interface Place {
  readonly value: unknown;
  readonly key: string;
  readonly isItem: boolean;
  readonly up: Place | null;
}
function pathOf(at: Place): string {
  const steps: string[] = [];
  for (let p: Place | null = at; p?.up; p = p.up) steps.push(p.isItem ? `[${p.key}]` : `.${p.key.slice(0, 60)}`);
  return steps.reverse().join('').replace(/^\./, '').slice(0, 200);
}

/** Strings that no database column can hold, and names that reach behind a record. In slices, for it may be much. */
export async function poisonIn(value: unknown): Promise<Problem[]> {
  const pause = breather();
  const out: Problem[] = [];
  const todo: Place[] = [{ value, key: '', isItem: false, up: null }];
  for (let n = 0; todo.length > 0 && out.length < MOST_PROBLEMS; n += 1) {
    if (n % 1000 === 0) await pause();
    const at = todo.pop()!;
    const { value: v } = at;
    if (typeof v === 'string' && unholdable(v))
      out.push({ path: pathOf(at), message: 'holds a character that cannot be kept: type it again' });
    if (typeof v !== 'object' || v === null) continue;
    const isItem = Array.isArray(v);
    for (const key of Object.keys(v)) {
      if (unholdable(key) || key === KEY_OF_A_PROTOTYPE)
        out.push({ path: pathOf(at) || '(body)', message: 'holds a name that cannot be kept' });
      else todo.push({ value: (v as Record<string, unknown>)[key], key, isItem, up: at });
    }
  }
  return out;
}

/** Only by these can a text that is whole UTF-8 and whole JSON say what cannot be kept. */
const MAY_HOLD_POISON = ['\\u', KEY_OF_A_PROTOTYPE];

/** @throws HttpProblem when the bytes are too much at once, no UTF-8, no JSON, or hold what cannot be kept */
export async function readJson(bytes: Uint8Array, mostValues = MOST_VALUES): Promise<unknown> {
  if (!isWithin(bytes, mostValues))
    throw new HttpProblem('too-large', `It is nested too deep, or holds more than ${mostValues} values. Send it in pieces.`);
  let value: unknown;
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    value = JSON.parse(text);
  } catch {
    throw new HttpProblem('bad-json', 'The text breaks off, holds a slip or is no UTF-8. Nothing was changed.');
  }
  const poison = MAY_HOLD_POISON.some((sign) => text.includes(sign)) ? await poisonIn(value) : [];
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
