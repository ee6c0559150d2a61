import { UNCOUNTED } from '../facts';
import type { LeadPicture } from './lead';
import { poisonsOf } from './poison';
import { type CoatPoison } from './stack';
import { isLow } from './rung';

import { strictest, type HazardState } from './state';

/** What is known of lead down to where each bite exposes it, and how many coats that is. */
export interface LeadDepths {
  readonly skin: HazardState;
  /** One coat below the loose ones: feathering a scraped edge cuts into it. */
  readonly loose: HazardState;
  readonly all: HazardState;
  /** Lead below the limit is in the coats that each bite goes through. */
  readonly low: Readonly<Record<'skin' | 'loose' | 'all', boolean>>;
  readonly looseCoats: number;
  readonly coats: number;
  /** Some coat is on the list: a scuff ends in it. */
  readonly covered: boolean;
}

/** How many coats from the top a bite cuts into: what is in them is in its dust. */
export const coatsOpened = (bite: 'none' | 'skin' | 'loose' | 'bare', d: LeadDepths): number =>
  ({ none: 0, skin: Math.min(1, d.coats), loose: Math.min(d.coats, d.looseCoats + 1), bare: d.coats })[bite];

/** What poisons beside lead in the coats that a bite cuts into, the worst first. */
export const poisonsTo = (bite: 'none' | 'skin' | 'loose' | 'bare', lead: LeadPicture, d: LeadDepths): CoatPoison[] =>
  poisonsOf(lead.coats.slice(0, coatsOpened(bite, d)).map((c) => c.coat));

/** Whether a stroke goes on until it meets the material: to bare, through coats none of which is known to hold, or where no coat is known. */
export const meetsMaterial = (to: 'none' | 'skin' | 'loose' | 'bare', d: LeadDepths): boolean =>
  to === 'bare' || (to === 'loose' && (!d.covered || d.looseCoats >= d.coats)) || (to === 'skin' && !d.covered);

/** `loose` goes down to the deepest coat that is not known to be sound: scraping stops only where the film holds. */
export function leadDepths(lead: LeadPicture): LeadDepths {
  const states = lead.coats.map((c) => c.state);
  let looseCoats = Math.min(1, states.length);
  lead.coats.forEach((c, i) => {
    if (c.coat.soundness !== 'sound') looseCoats = i + 1;
  });
  const low = (coats: number): boolean => lead.coats.slice(0, coats).some((c) => isLow(c.standing));
  return {
    skin: strictest(states.slice(0, 1)),
    loose: strictest(states.slice(0, looseCoats + 1)),
    all: strictest(states),
    low: { skin: low(1), loose: low(looseCoats + 1), all: low(states.length) },
    looseCoats,
    coats: states.length,
    covered: lead.coats.some((c) => c.coat.id !== UNCOUNTED),
  };
}
