/** One trial square: how long it stood, and what it says. */
import type { Square, Surface } from '../facts';
import { toReference } from './dwell';

export type SquareOutcome = 'open' | 'clean' | 'notClean' | 'harmed';

/** Up to this much left on the square still counts as clean: a second wipe takes it. Common practice. */
const CLEAN_WITH_PCT = 10;
/** Harm that a thicker coat does not hide. */
const LASTING: readonly string[] = ['scorched', 'etched', 'darkened', 'softened', 'bleached'];

/** Minutes that it stood: by its clock, else as meant. */
export function stoodMin(q: Square): number | null {
  if (q.startedAt !== null && q.stoppedAt !== null) return (Date.parse(q.stoppedAt) - Date.parse(q.startedAt)) / 60_000;
  return q.startedAt === null || q.lifted !== null ? q.dwellMin : null;
}

/** At 20 C, min. */
export const referenceMin = (q: Square): number | null => {
  const stood = stoodMin(q);
  return stood === null ? null : toReference(stood, q.surfaceC);
};

/** Whether it did what this surface asks: down to the material for a clear finish, to a coat that holds for paint. */
export function outcomeOf(q: Square, s: Pick<Surface, 'aim'>): SquareOutcome {
  if (q.lifted === null) return 'open';
  if (q.harms.some((h) => LASTING.includes(h)) && (s.aim === 'bareClear' || s.aim === 'patina' || q.harms.includes('etched')))
    return 'harmed';
  const deep = q.lifted === 'bare' || (q.lifted === 'toCoat' && s.aim !== 'bareClear');
  return deep && (q.stayedPct ?? 0) <= CLEAN_WITH_PCT ? 'clean' : 'notClean';
}

/** A running clock: minutes until it is to be lifted, less than 0 when it is over. */
export function minutesLeft(q: Square, now: string): number | null {
  if (q.startedAt === null || q.stoppedAt !== null || q.dwellMin === null) return null;
  return q.dwellMin - (Date.parse(now) - Date.parse(q.startedAt)) / 60_000;
}
