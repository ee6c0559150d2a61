/** One day of laying, soaking, lifting and rinsing, event by event. The proof of every answer that rounds.ts gives. */

/** Times in minutes. One piece: a sash, a corbel, a baluster, or a strip of wall. */
export interface RoundInput {
  /** To lay one piece, by the people who lay together. */
  readonly layMin: number;
  /** To lift one piece. */
  readonly liftMin: number;
  /** To rinse one piece; 0: nothing is rinsed. */
  readonly rinseMin: number;
  /** From laid to ready. */
  readonly soakMin: number;
  /** From laid until it has dried: it must be lifted before. */
  readonly lifeMin: number;
  /** From lifted until the rinse must have begun. */
  readonly rinseWithinMin: number;
  /** The same people lay and lift; else two teams work beside each other. */
  readonly shared: boolean;
  readonly peopleLaying: number;
  readonly peopleLifting: number;
  readonly dayMin: number;
}

export type Lane = 'lay' | 'lift' | 'rinse' | 'idle';
export interface Bar {
  readonly team: 'laying' | 'lifting';
  readonly lane: Lane;
  readonly piece: number;
  readonly round: number;
  readonly from: number;
  readonly to: number;
}
export interface Simulated {
  readonly bars: readonly Bar[];
  /** When each piece was soaking, for the drawing. */
  readonly soaks: readonly {
    readonly piece: number;
    readonly round: number;
    readonly from: number;
    readonly ready: number;
    readonly to: number;
  }[];
  /** Pieces lifted and rinsed before the end of the day. */
  readonly done: number;
  readonly rounds: number;
  /** The first piece that dried before it was lifted, or waited too long for its rinse; null: none did. */
  readonly spoilt: { readonly piece: number; readonly why: 'dried' | 'rinsedLate' } | null;
  readonly idleMin: { readonly laying: number; readonly lifting: number };
  readonly endsAt: number;
}

const EPS = 1e-9;

/**
 * Rounds of `perRound` pieces, one after another, until no whole round fits before the day ends.
 * @param limit at most so many pieces in all; null: as many as the day holds
 */
export function simulate(input: RoundInput, perRound: number, limit: number | null = null): Simulated {
  const bars: Bar[] = [];
  const soaks: { piece: number; round: number; from: number; ready: number; to: number }[] = [];
  let layFree = 0;
  let liftFree = 0;
  let done = 0;
  let round = 0;
  let spoilt: Simulated['spoilt'] = null;
  let layingBusy = 0;
  let liftingBusy = 0;
  let endsAt = 0;
  for (;;) {
    const left = limit === null ? perRound : Math.min(perRound, limit - done);
    if (left <= 0) break;
    // Two teams: laying waits until the lifters will be free when its first piece is ready, so that no round is worse than the first.
    let at = input.shared ? Math.max(layFree, liftFree) : Math.max(layFree, liftFree - input.layMin - input.soakMin, 0);
    const begun = at;
    const laid: number[] = [];
    const made: Bar[] = [];
    for (let k = 0; k < left; k += 1) {
      made.push({ team: 'laying', lane: 'lay', piece: done + k, round, from: at, to: at + input.layMin });
      at += input.layMin;
      laid.push(at);
    }
    const layEnd = at;
    let lift = Math.max(input.shared ? layEnd : 0, liftFree);
    const lifted: number[] = [];
    const waits: typeof soaks = [];
    let bad: Simulated['spoilt'] = null;
    for (let k = 0; k < left; k += 1) {
      const from = Math.max(lift, laid[k]! + input.soakMin);
      const to = from + input.liftMin;
      made.push({ team: 'lifting', lane: 'lift', piece: done + k, round, from, to });
      waits.push({ piece: done + k, round, from: laid[k]!, ready: laid[k]! + input.soakMin, to: from });
      if (!bad && to > laid[k]! + input.lifeMin + EPS) bad = { piece: done + k, why: 'dried' };
      lift = to;
      lifted.push(to);
    }
    if (input.rinseMin > 0)
      for (let k = 0; k < left; k += 1) {
        made.push({ team: 'lifting', lane: 'rinse', piece: done + k, round, from: lift, to: lift + input.rinseMin });
        if (!bad && lift > lifted[k]! + input.rinseWithinMin + EPS) bad = { piece: done + k, why: 'rinsedLate' };
        lift += input.rinseMin;
      }
    // A round that would run past the end of the day is not begun, but the first is always shown.
    if (lift > input.dayMin + EPS && round > 0) break;
    bars.push(...made);
    soaks.push(...waits);
    if (bad && !spoilt) spoilt = bad;
    layingBusy += layEnd - begun;
    liftingBusy += left * (input.liftMin + input.rinseMin);
    layFree = input.shared ? lift : layEnd;
    liftFree = lift;
    endsAt = lift;
    if (lift <= input.dayMin + EPS) done += left;
    round += 1;
    if (lift > input.dayMin + EPS || spoilt || round > 500) break;
  }
  const span = endsAt;
  return {
    bars,
    soaks,
    done: spoilt ? 0 : done,
    rounds: round,
    spoilt,
    idleMin: input.shared
      ? { laying: span - layingBusy - liftingBusy, lifting: span - layingBusy - liftingBusy }
      : { laying: span - layingBusy, lifting: span - liftingBusy },
    endsAt,
  };
}
