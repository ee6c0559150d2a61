import { UNCOUNTED, type Binder, type Poison, type Soundness, type Surface } from '../facts';
import { say } from '../reasons';
import { liveLayers } from '../walk';

/** What a coat holds, or what it is held to hold until somebody has looked (poison.ts): law H1. */
export type CoatPoison = Poison | 'chromateAssumed';

export interface StackCoat {
  readonly id: string;
  readonly binder: Binder;
  readonly colour: string;
  /** Its texture and look, in words. */
  readonly look: string;
  readonly soundness: Soundness;
  readonly yearApplied: number | null;
  /** What poisons in it beside lead. */
  readonly poisons: readonly CoatPoison[];
  readonly poisonsLookedFor: boolean;
}

/** A coat as every list and paper names it: its binder, its colour, what else poisons in it. */
export const coatSays = (c: Pick<StackCoat, 'id' | 'binder' | 'colour' | 'poisons'>): string =>
  [...(c.id === UNCOUNTED ? ['coats not counted yet'] : [say(c.binder), c.colour]), ...c.poisons.map((p) => `${say(p)} in it`)]
    .filter(Boolean)
    .join(', ');

const stacks = new WeakMap<Surface, readonly StackCoat[]>();
/** The coats from the top down; where they were not counted to the material, doubt is a coat of its own at the bottom. */
export function stackOf(s: Surface): readonly StackCoat[] {
  let made = stacks.get(s);
  if (!made) stacks.set(s, (made = stackAnew(s)));
  return made;
}

function stackAnew(s: Surface): StackCoat[] {
  const coats: StackCoat[] = liveLayers(s).map((l) => ({
    id: l.id,
    binder: l.binder,
    colour: l.colour,
    look: l.look,
    soundness: l.soundness,
    yearApplied: l.yearApplied,
    poisons: l.poisons,
    poisonsLookedFor: l.poisonsLookedFor,
  }));
  if (!s.coatsCounted) coats.push(UNSEEN_COAT);
  return coats;
}

/** Stands for coats that nobody has counted, or that are not on the list any more. */
export const UNSEEN_COAT: StackCoat = {
  id: UNCOUNTED,
  binder: 'unknown',
  colour: '',
  look: '',
  soundness: 'unknown',
  yearApplied: null,
  poisons: [],
  poisonsLookedFor: false,
};
