/** Asks the bench one question and prints the answer as JSON. Exit 0: printed. Exit 2: the call or the numbers are wrong, nothing printed. */
import { readFileSync } from 'node:fs';
import { fromZod } from '@roughsill/core';
import { RangedError } from '@roughsill/core/air';
import { QUESTION_IDS, QUESTIONS, Refused, refusalSays, type QuestionId } from '@roughsill/core/prepare';

const USAGE = `usage: npm run -s mix -- ${QUESTION_IDS.join('|')} FILE.json   (- for standard input)`;
const isQuestion = (x: string | undefined): x is QuestionId => (QUESTION_IDS as readonly (string | undefined)[]).includes(x);

function refuse(where: string, says: string): 2 {
  process.stderr.write(`${where}: ${says}\n`);
  return 2;
}

export function benchCommand([id, file, ...rest]: readonly string[]): 0 | 2 {
  if (!isQuestion(id) || file === undefined || rest.length > 0) return refuse('(call)', USAGE);
  let raw: unknown;
  try {
    raw = JSON.parse(readFileSync(file === '-' ? 0 : file, 'utf8'));
  } catch (e) {
    return refuse(file, `cannot be read: ${(e as Error).message}`);
  }
  const { asks, answer } = QUESTIONS[id];
  const parsed = asks.safeParse(raw);
  if (!parsed.success) {
    for (const p of fromZod(parsed.error, raw)) refuse(p.path, p.message);
    return 2;
  }
  try {
    process.stdout.write(`${JSON.stringify(answer(parsed.data), null, 2)}\n`);
    return 0;
  } catch (e) {
    if (e instanceof Refused) return refuse(e.refusal.id, refusalSays(e.refusal, 'en', 'm'));
    if (e instanceof RangedError) return refuse('sheet', e.message);
    throw e;
  }
}
