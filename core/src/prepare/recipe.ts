/** A caustic mix as it is made: portions confirmed, the thermometer read, the next thing to do. */
import type { Mix, MixStep } from '../facts';
import { refuse, within } from './refused';
import { course, schedule, USABLE_C, type CausticMix, type Felt, type HeatPoint, type Portion, type Put } from './caustic';

export type MixEvent =
  /** `n` counts the portions from 1: one confirmed on two phones is one portion. */
  | { readonly kind: 'put'; readonly n: number; readonly atS: number; readonly g: number }
  | { readonly kind: 'felt'; readonly atS: number; readonly c: number };

/** As the bench reckons with what was recorded of a pail. */
export const mixOf = (m: Omit<Mix, 'id' | 'removedAt'>): CausticMix => ({
  waterL: m.waterL,
  causticG: m.causticG,
  waterC: m.waterC,
  airC: m.airC,
  vessel: { kind: m.vesselKind, acrossM: m.acrossM, deepM: m.deepM },
  stirrer: m.stirrer,
  bathC: m.bathC,
  ceilingC: m.ceilingC,
  order: 'causticToWater',
});
/** What happened to it, on whichever phone; what was taken back is not among it. */
export const eventsOf = (m: Pick<Mix, 'id' | 'beganAt'>, steps: readonly MixStep[]): MixEvent[] =>
  steps
    .filter((s) => s.mixId === m.id && s.removedAt === null)
    .map((s): MixEvent => {
      const atS = Math.max(0, (Date.parse(s.at) - Date.parse(m.beganAt)) / 1000);
      return s.portion === null ? { kind: 'felt', atS, c: s.amount } : { kind: 'put', n: s.portion, atS, g: s.amount };
    })
    .sort((a, b) => a.atS - b.atS);

/** So far from the model, and the model does not know this pail: another strength, another scale. Common practice, no published source. */
const ASTRAY_C = 8;
/** A stop ends when it has come down so far under the ceiling. Common practice, no published source. */
const SAFE_UNDER_C = 10;

export type MixStage =
  /** Hot, or hotter than it can be from what went in: nothing more goes in. */
  | { readonly stage: 'stop'; readonly why: 'hot' | 'astray' | 'climbing'; readonly c: number; readonly untilC: number }
  | { readonly stage: 'put'; readonly n: number; readonly g: number; readonly next: Portion }
  | { readonly stage: 'wait'; readonly n: number; readonly g: number; readonly forS: number; readonly untilC: number }
  /** All of it is in; it is stirred until it has come down to where it may be used. */
  | { readonly stage: 'cool'; readonly forS: number | null }
  | { readonly stage: 'ready' };

export interface MixNow {
  readonly nowC: number;
  readonly inG: number;
  readonly leftG: number;
  /** A portion that somebody else had confirmed before. */
  readonly twice: readonly number[];
  readonly at: MixStage;
  /** What was, and what will be if the next portions go in as proposed. */
  readonly past: readonly HeatPoint[];
  readonly ahead: readonly HeatPoint[];
  readonly peakC: number;
}

/** A reading of a mix. @throws Refused for one that no mix can have */
export const thermometer = (c: number): number => within(c, 0, 140, 'readingC');

const putsOf = (events: readonly MixEvent[]): { readonly puts: (Put & { readonly n: number })[]; readonly twice: number[] } => {
  const puts: (Put & { readonly n: number })[] = [];
  const twice: number[] = [];
  for (const e of [...events].sort((a, b) => a.atS - b.atS)) {
    if (e.kind !== 'put') continue;
    if (puts.some((p) => p.n === e.n)) twice.push(e.n);
    else puts.push(e);
  }
  return { puts, twice };
};

/**
 * Where a mix stands.
 * @param nowS since the water was in the pail, s
 * @throws Refused in trade words
 */
export function mixNow(mix: CausticMix, events: readonly MixEvent[], nowS: number): MixNow {
  within(nowS / 3600, 0, 7 * 24, 'elapsedH');
  const { puts, twice } = putsOf(events);
  const felt: Felt[] = events.flatMap((e) => (e.kind === 'felt' ? [{ atS: e.atS, c: thermometer(e.c) }] : []));
  for (const p of puts) within(p.g, 1, mix.causticG, 'portionG');
  const inG = puts.reduce((sum, p) => sum + p.g, 0);
  if (inG > mix.causticG + 0.5) refuse({ id: 'moreThanRecipe' });
  const past = course(mix, puts, felt, nowS);
  const nowC = past.points.at(-1)!.c;
  const leftG = mix.causticG - inG;
  // A stop is told whatever comes after it: that it would never cool is no reason to hide it.
  const stopped = stopOf(mix, puts, felt) ?? climbs(mix, puts, felt, nowS, nowC);
  if (stopped) {
    const after = course(mix, puts, felt, nowS + 2 * 3600, 120);
    return {
      nowC,
      inG,
      leftG,
      twice,
      at: stopped,
      past: past.points,
      ahead: after.points.filter((x) => x.atS >= nowS),
      peakC: after.peakC,
    };
  }
  const rest = schedule(mix, puts, felt, nowS);
  const horizon = Math.min(rest.coldS ?? rest.doneS + 3600, nowS + 8 * 3600);
  const whole = course(mix, [...puts, ...rest.portions], felt, horizon, Math.max(30, (horizon - nowS) / 200));
  const at = stageOf(mix, { puts, nowS, nowC, leftG, rest });
  return {
    nowC,
    inG,
    leftG,
    twice,
    at,
    past: past.points,
    ahead: whole.points.filter((x) => x.atS >= nowS),
    peakC: Math.max(past.peakC, whole.peakC),
  };
}

interface Standing {
  readonly puts: readonly (Put & { readonly n: number })[];
  readonly nowS: number;
  readonly nowC: number;
  readonly leftG: number;
  readonly rest: ReturnType<typeof schedule>;
}

function stageOf(mix: CausticMix, { puts, nowS, nowC, leftG, rest }: Standing): MixStage {
  const next = rest.portions[0];
  if (leftG > 0.5 && next) {
    const n = Math.max(0, ...puts.map((p) => p.n)) + 1;
    const forS = next.atS - nowS;
    return forS > 0 ? { stage: 'wait', n, g: next.g, forS, untilC: next.fromC } : { stage: 'put', n, g: next.g, next };
  }
  if (nowC > USABLE_C || nowS < rest.doneS) return { stage: 'cool', forS: rest.coldS === null ? null : Math.max(0, rest.coldS - nowS) };
  return { stage: 'ready' };
}

/** The last reading decides: too hot, or far above what the model says of the moment before it. */
function stopOf(mix: CausticMix, puts: Standing['puts'], felt: readonly Felt[]): MixStage | null {
  const inOrder = [...felt].sort((a, b) => a.atS - b.atS);
  const last = inOrder.at(-1);
  if (!last) return null;
  const untilC = mix.ceilingC - SAFE_UNDER_C;
  if (last.c >= mix.ceilingC) return { stage: 'stop', why: 'hot', c: last.c, untilC };
  // Until a reading after the last hot one has come down far enough; what is warm again later is no stop of its own.
  const hotAt = inOrder.findLastIndex((f) => f.c >= mix.ceilingC);
  if (hotAt >= 0 && !inOrder.slice(hotAt).some((f) => f.c <= untilC)) return { stage: 'stop', why: 'hot', c: last.c, untilC };
  const thought = course(mix, puts, inOrder.slice(0, -1), last.atS).points.at(-1)!.c;
  // Colder than thought is no danger; it only says that some still lies undissolved, or that the water was colder.
  if (last.c > thought + ASTRAY_C) return { stage: 'stop', why: 'astray', c: last.c, untilC: thought };
  return null;
}

/** The model alone may stop it too: it is hot, or what already lies in it will carry it past the ceiling. Better told before than after. */
function climbs(mix: CausticMix, puts: Standing['puts'], felt: readonly Felt[], nowS: number, nowC: number): MixStage | null {
  const untilC = mix.ceilingC - SAFE_UNDER_C;
  if (nowC >= mix.ceilingC) return { stage: 'stop', why: 'hot', c: nowC, untilC };
  const toC = Math.max(
    ...course(mix, puts, felt, nowS + 1800)
      .points.filter((p) => p.atS >= nowS)
      .map((p) => p.c),
  );
  return toC > mix.ceilingC ? { stage: 'stop', why: 'climbing', c: toC, untilC } : null;
}
