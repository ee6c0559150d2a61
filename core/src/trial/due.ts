/** Squares whose clocks run out: what a crew must be told of wherever it is in the app. */
import type { JobFacts, Square, Surface } from '../facts';
import { minutesLeft } from './square';

export interface DueSquare {
  readonly surface: Surface;
  readonly square: Square;
  /** As the surface counts its squares, from 1. */
  readonly number: number;
  /** Less than 0: over by so much. */
  readonly leftMin: number;
}

/** Told from so many minutes before, and no longer than so many after: then nobody is waiting for it. */
const BEFORE_MIN = 5;
const AFTER_MIN = 12 * 60;

/** The most urgent first. */
export function dueSquares(facts: JobFacts, now: string): DueSquare[] {
  const out: DueSquare[] = [];
  for (const surface of facts.surfaces) {
    if (surface.squares.length === 0 || surface.removedAt !== null) continue;
    const live = surface.squares.filter((q) => q.removedAt === null);
    live.forEach((square, i) => {
      const leftMin = square.lifted === null ? minutesLeft(square, now) : null;
      if (leftMin !== null && leftMin <= BEFORE_MIN && leftMin >= -AFTER_MIN) out.push({ surface, square, number: i + 1, leftMin });
    });
  }
  return out.sort((a, b) => a.leftMin - b.leftMin);
}
