/** How much to lay at once, so that nothing dries, the crew does not stand, and every piece is rinsed while wet. */
import type { Method } from '../catalogue';
import { answer, why, type Answer, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { measure } from '../units/units';
import { openLifeH, type Weather } from './working-time';
import { simulate, type RoundInput, type Simulated } from './simulate';

export interface Crew {
  readonly laying: number;
  readonly lifting: number;
  /** The same people do both. */
  readonly shared: boolean;
}

export interface RoundQuestion {
  readonly method: Method;
  readonly crew: Crew;
  readonly weather: Weather;
  /** One piece, or a strip of wall that is laid and lifted as one, m2. */
  readonly pieceM2: number;
  /** Speed on the part against flat work. */
  readonly speed: number;
  /** Soak on the day, h: from a trial, else the longer of the usual. */
  readonly soakH: number;
  readonly pieces: number | null;
  /** How much slower than usual it went on the squares that were timed; absent: nobody timed any. */
  readonly pace?: number;
  readonly settings: FirmSettings;
}

export interface Rounds {
  readonly input: RoundInput;
  /** Largest round in which nothing dries and nothing waits for its rinse; 0: not even one piece. */
  readonly largest: number;
  /** Of the safe ones, that which does most in a day; with equal output the fewest rounds that leave a tenth of the time to spare. */
  readonly best: Answer<number>;
  readonly bestDay: Simulated;
  /** One piece more than the largest: what goes wrong. Null: nothing does, however large. */
  readonly tooMany: Simulated['spoilt'];
  readonly limitedBy: 'life' | 'rinse' | 'nothing';
  readonly perDay: number;
  /** Most pieces laid and not yet lifted at one moment. */
  readonly goingAtOnce: number;
  readonly perDayM2: number;
  /** With the days of soaking, where it soaks overnight. */
  readonly daysForAll: number | null;
  /** It soaks longer than the day: nobody stands by, the crew does other work. */
  readonly overnight: boolean;
  /** Person-hours of the whole day, idle time too: standing is paid. */
  readonly personHoursPerDay: number;
  readonly idleMinPerDay: number;
}

/** A round that uses no more than this of the time it has is safe on a day that is a little warmer than thought. */
const SPARE = 0.9;
/** Nobody lays more than this at once. */
const MOST = 400;

/**
 * Whether a round of k pieces spoils one, in closed form. Piece i (from 1) is laid at i·lay and lifted by
 *   E(i) = max(c + i·lift, soak + lift + i·lay),  c = when lifting can begin: lay + soak, or k·lay when the same people must lay all first.
 * Its age E(i) - i·lay and its wait for the rinse E(k) + (i - 1)·rinse - E(i) are piecewise linear, so the ends and the bend decide.
 */
function spoils(r: RoundInput, k: number): boolean {
  const c = Math.max(r.layMin + r.soakMin, r.shared ? k * r.layMin : 0);
  const lifted = (i: number) => Math.max(c + i * r.liftMin, r.soakMin + r.liftMin + i * r.layMin);
  const bend = (c - r.soakMin - r.liftMin) / (r.layMin - r.liftMin);
  const ends = [1, k, Math.floor(bend), Math.ceil(bend)].filter((i) => i >= 1 && i <= k);
  const old = ends.some((i) => lifted(i) - i * r.layMin > r.lifeMin + 1e-9);
  return old || (r.rinseMin > 0 && ends.some((i) => lifted(k) + (i - 1) * r.rinseMin - lifted(i) > r.rinseWithinMin + 1e-9));
}

/** @returns the largest safe round; 0 when even one piece spoils; MOST when no round is too large */
export function largestRound(r: RoundInput): number {
  for (let k = 1; k <= MOST; k += 1) if (spoils(r, k)) return k - 1;
  return MOST;
}

/** Rates, crew, weather and soak as minutes for one piece. */
export function roundInput(q: RoundQuestion): RoundInput {
  const l = q.method.laying;
  if (!l) throw new RangeError(`${q.method.id} is not laid and lifted`);
  const minutes = (m2PerH: number, people: number) => (q.pieceM2 / (m2PerH * q.speed * people)) * 60 * (q.pace ?? 1);
  const lay = Math.max(1, q.crew.laying);
  const lift = Math.max(1, q.crew.lifting);
  return {
    layMin: minutes(l.layM2PerH, lay),
    liftMin: minutes(l.liftM2PerH, lift),
    rinseMin: l.rinseM2PerH === null ? 0 : minutes(l.rinseM2PerH, lift),
    soakMin: q.soakH * 60,
    lifeMin: openLifeH(l, q.weather) * 60,
    rinseWithinMin: l.rinseWithinH * 60,
    shared: q.crew.shared,
    peopleLaying: lay,
    peopleLifting: lift,
    dayMin: q.settings.hoursPerDay * 60,
  };
}

/** Pieces between the first stroke of laying and the last of lifting, at the fullest moment. */
function inFlight(day: Simulated): number {
  const begun = day.bars.filter((b) => b.lane === 'lay').map((b) => [b.from, 1] as const);
  const ended = day.bars.filter((b) => b.lane === 'lift').map((b) => [b.to, -1] as const);
  let now = 0;
  let most = 0;
  for (const [, by] of [...begun, ...ended].sort((a, b) => a[0] - b[0] || a[1] - b[1])) {
    now += by;
    most = Math.max(most, now);
  }
  return most;
}

const people = (r: RoundInput): number => (r.shared ? Math.max(r.peopleLaying, r.peopleLifting) : r.peopleLaying + r.peopleLifting);

export function rounds(q: RoundQuestion): Rounds {
  const input = roundInput(q);
  const largest = largestRound(input);
  const limitedBy = limit(input, largest);
  const over = largest < MOST ? simulate({ ...input, dayMin: Infinity }, largest + 1, largest + 1).spoilt : null;
  // A soak longer than the day is laid one day and lifted on another: then the day's laying is the round.
  const overnight = input.soakMin > input.dayMin - input.layMin - input.liftMin;
  let best = 0;
  let day = simulate(input, 1, 0);
  const most = q.pieces === null ? largest : Math.min(largest, q.pieces);
  const easy = largestRound({ ...input, lifeMin: input.lifeMin * SPARE, rinseWithinMin: input.rinseWithinMin * SPARE });
  if (overnight) {
    best = Math.max(0, Math.min(most, Math.floor(input.dayMin / Math.max(input.layMin, input.liftMin + input.rinseMin))));
    day = simulate({ ...input, dayMin: Infinity }, Math.max(best, 1), Math.max(best, 1));
  } else
    for (let k = 1; k <= most; k += 1) {
      const tried = simulate(input, k, q.pieces);
      const better = tried.done > day.done || (tried.done === day.done && (k <= easy || best === 0));
      if (tried.spoilt === null && (best === 0 || better)) {
        best = k;
        day = tried;
      }
      // Past a day's worth a larger round cannot do more.
      if (k * Math.min(input.layMin, input.liftMin) > input.dayMin) break;
    }
  // Laid one day and lifted on another: the slower of the two sets how many rounds a day sees.
  const roundsADay =
    best === 0 ? 0 : Math.max(1, Math.floor(input.dayMin / (best * Math.max(input.layMin, input.liftMin + input.rinseMin))));
  const perDay = overnight ? best * roundsADay : day.done;
  const because: Reason[] = [];
  const facts = {
    largest: measure(largest, 'pieces'),
    soak: measure(input.soakMin / 60, 'h'),
    life: measure(input.lifeMin / 60, 'h'),
    within: measure(input.rinseWithinMin / 60, 'h'),
  };
  if (largest === 0) because.push(why('round.driesFirst', 'trade-round', facts, 'block'));
  else if (limitedBy === 'life') because.push(why('round.life', 'trade-round', facts));
  else if (limitedBy === 'rinse') because.push(why('round.rinse', 'trade-round', facts));
  else because.push(why('round.free', 'trade-round', facts));
  if (overnight) because.push(why('round.overnight', 'trade-round', facts));
  return {
    input,
    largest,
    best: answer(best, ...because),
    bestDay: day,
    tooMany: over,
    limitedBy,
    perDay,
    goingAtOnce: inFlight(day),
    perDayM2: perDay * q.pieceM2,
    daysForAll: q.pieces === null || perDay === 0 ? null : Math.ceil(q.pieces / perDay) + (overnight ? Math.ceil(input.soakMin / 1440) : 0),
    overnight,
    personHoursPerDay: overnight
      ? (perDay * (input.layMin * input.peopleLaying + (input.liftMin + input.rinseMin) * input.peopleLifting)) / 60
      : (people(input) * Math.min(day.endsAt, input.dayMin)) / 60,
    idleMinPerDay: overnight
      ? 0
      : input.shared
        ? day.idleMin.laying * people(input)
        : day.idleMin.laying * input.peopleLaying + day.idleMin.lifting * input.peopleLifting,
  };
}

function limit(r: RoundInput, largest: number): Rounds['limitedBy'] {
  if (largest >= MOST) return 'nothing';
  return largestRound({ ...r, rinseMin: 0 }) === largest ? 'life' : 'rinse';
}
