/** Which binder a coat has, guessed from what simple trials did to it. A guess with its doubt; a lab names it. */
import { BINDERS, TRIALS, type Binder, type Layer, type Response, type Trial } from '../facts';
import { answer, why, type Answer, type Reason } from '../reasons';

/** Texture, a stoved film and antifouling are known by where they are, not by a drop. */
type Named = Exclude<Binder, 'unknown' | 'textured' | 'factory' | 'antifouling'>;
const BY_EYE: readonly Binder[] = ['unknown', 'textured', 'factory', 'antifouling'];
const NAMED = BINDERS.filter((b): b is Named => !BY_EYE.includes(b));

/** Share of coats of each binder that soften or dissolve. Common practice, no published source: ranks, not measurements. */
const YIELDS: Readonly<Record<Trial, Readonly<Record<Named, number>>>> = {
  alcohol: {
    oil: 0.05,
    alkyd: 0.08,
    acrylic: 0.75,
    distemper: 0.05,
    limewash: 0.02,
    casein: 0.03,
    shellac: 0.98,
    lacquer: 0.3,
    polyurethane: 0.03,
    epoxy: 0.02,
    bitumen: 0.1,
  },
  alkali: {
    oil: 0.95,
    alkyd: 0.85,
    acrylic: 0.2,
    distemper: 0.4,
    limewash: 0.02,
    casein: 0.9,
    shellac: 0.8,
    lacquer: 0.1,
    polyurethane: 0.1,
    epoxy: 0.02,
    bitumen: 0.1,
  },
  water: {
    oil: 0.02,
    alkyd: 0.02,
    acrylic: 0.05,
    distemper: 0.97,
    limewash: 0.3,
    casein: 0.1,
    shellac: 0.05,
    lacquer: 0.02,
    polyurethane: 0.02,
    epoxy: 0.02,
    bitumen: 0.02,
  },
  heat: {
    oil: 0.6,
    alkyd: 0.75,
    acrylic: 0.9,
    distemper: 0.03,
    limewash: 0.02,
    casein: 0.1,
    shellac: 0.9,
    lacquer: 0.8,
    polyurethane: 0.5,
    epoxy: 0.4,
    bitumen: 0.98,
  },
};

export interface BinderGuess {
  readonly binder: Binder;
  /** 0 to 1: how much of the weight lies on it. */
  readonly confidence: number;
  readonly second: Binder | null;
}

const likelihood = (b: Named, trial: Trial, r: Response): number => {
  const p = YIELDS[trial][b];
  return r === 'none' ? 1 - p : p;
};

/** Below this a guess stays a guess: the coat keeps "unknown". */
export const BINDER_SURE = 0.7;

/**
 * Weighs every binder by Bayes' rule from even odds; untried trials say nothing.
 * @returns the likeliest with its share of the weight, each trial as a reason; "unknown" when nothing was tried
 */
export function guessBinder(coat: Pick<Layer, Trial>): Answer<BinderGuess> {
  const tried = TRIALS.filter((t) => coat[t] !== 'untried');
  if (tried.length === 0) return answer({ binder: 'unknown', confidence: 0, second: null }, why('binder.untried', 'trade-binder'));
  const weights = NAMED.map((b) => ({ b, w: tried.reduce((p, t) => p * likelihood(b, t, coat[t]), 1) })).sort((a, z) => z.w - a.w);
  const sum = weights.reduce((a, x) => a + x.w, 0);
  const because: Reason[] = tried.map((t) => why('binder.trial', 'trade-binder', { trial: `trial.${t}`, response: `response.${coat[t]}` }));
  const confidence = weights[0]!.w / sum;
  if (confidence < BINDER_SURE) because.push(why('binder.unsure', 'trade-binder', { second: weights[1]!.b }));
  return { value: { binder: weights[0]!.b, confidence, second: weights[1]!.b }, because };
}
