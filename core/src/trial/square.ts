/** One trial square: how long it stood, and what it says. */
import { filmOf, methodById } from '../catalogue';
import { isForbidden, type Harm, type LeftBehind, type Square, type Surface } from '../facts';
import { why, type Reason } from '../reasons';
import { measure } from '../units/units';
import { endsClear, wantsBare } from './endpoint';
import { toReference } from './dwell';

export type SquareOutcome = 'open' | 'clean' | 'notClean' | 'harmed';

/** Up to this much left on the square still counts as clean: a second wipe takes it. Common practice. */
const CLEAN_WITH_PCT = 10;
/** Harm that shows through a clear finish or on an old face that is kept; paint hides it, with what the square says beside it. */
const SHOWS: readonly Harm[] = ['darkened', 'bleached', 'grainRaised'];
/** Harm under paint too: the next coat has nothing sound to hold on, or a burn that is never faired out. */
const RUINS: readonly Harm[] = ['scorched', 'etched', 'softened'];
/** Under a clear finish a ghost of the old film in the grain is a fault; under paint only what is still soft. */
const SPOILS_PAINT: readonly LeftBehind[] = ['softFilm'];
const SPOILS_CLEAR: readonly LeftBehind[] = ['softFilm', 'ghost'];

/** What it says on the tin, or what it is by: banned for stripping paint, whatever else it is called. */
export const isBanned = (q: Pick<Square, 'chemistry' | 'product'>): boolean => isForbidden(q.chemistry, q.product);

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
export function outcomeOf(q: Square, s: Pick<Surface, 'aim' | 'topcoat'>): SquareOutcome {
  if (q.lifted === null) return 'open';
  const clear = endsClear(s);
  const seen = clear || s.aim === 'patina';
  if (q.harms.some((h) => RUINS.includes(h) || (seen && SHOWS.includes(h)))) return 'harmed';
  if (q.leftBehind.some((x) => (clear ? SPOILS_CLEAR : SPOILS_PAINT).includes(x))) return 'notClean';
  const deep = q.lifted === 'bare' || (q.lifted === 'toCoat' && !wantsBare(s));
  return deep && (q.stayedPct ?? 0) <= CLEAN_WITH_PCT ? 'clean' : 'notClean';
}

/** What is as good as the least that its maker lays. Common practice. */
const AS_GOOD_AS = 0.9;
/**
 * Why an answered square says nothing of its method: it soaks, and nobody began its clock; or less was laid than its product asks for. What
 * it harmed it harmed all the same.
 */
export function saysNothing(q: Square): Reason | null {
  if (q.lifted === null) return null;
  if (methodById(q.methodId).dwellH !== null && stoodMin(q) === null) return why('trial.notBegun', 'trade-trial', {}, 'care');
  const [least] = filmOf(q.methodId) ?? [0];
  // 1 ml on 1 cm2 lies 10 mm thick.
  const filmMm = q.usedMl === null || q.sizeCm2 === null ? null : (q.usedMl / q.sizeCm2) * 10;
  return filmMm !== null && filmMm < least * AS_GOOD_AS
    ? why('trial.tooThin', 'mem-stripper-film', { film: [measure(filmMm * 1000, 'um'), measure(least * 1000, 'um')] }, 'care')
    : null;
}

/** A running clock: minutes until it is to be lifted, less than 0 when it is over. */
export function minutesLeft(q: Square, now: string): number | null {
  if (q.startedAt === null || q.stoppedAt !== null || q.dwellMin === null) return null;
  return q.dwellMin - (Date.parse(now) - Date.parse(q.startedAt)) / 60_000;
}
