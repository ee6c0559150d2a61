/**
 * What else is poison in a coat, beside lead: chromate, cadmium, arsenic, coal tar, copper, by its tin, its look or a test. One judgement,
 * read by the rules, the zone, masks, signs and waste. Law H1. 29 CFR 1926.1126, 1926.1127, 1926.1118, 1926.1102.
 */
import type { Binder, Poison, Surface } from '../facts';
import { liveLayers } from '../walk';
import type { StackCoat } from './stack';

type Coat = Pick<StackCoat, 'poisons'>;
/** An antifouling is known by where it is, and has words of its own. */
const ANTIFOULING: Binder = 'antifouling';

/** Those of these coats, the worst first; an antifouling is not among them. */
export const poisonsOf = (coats: readonly Coat[]): Poison[] => WORST_FIRST.filter((p) => coats.some((c) => c.poisons.includes(p)));
const WORST_FIRST: readonly Poison[] = ['chromate', 'arsenic', 'cadmium', 'coalTar', 'copper'];

/** Anything poisonous but lead is in one of its coats. */
export const isPoisoned = (s: Surface): boolean => liveLayers(s).some((l) => l.binder === ANTIFOULING || l.poisons.length > 0);
