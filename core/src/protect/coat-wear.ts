/** What whoever lays the coats wears: solvent, its mask and its gloves, beside what the strokes ask for. Law H1: the coating strokes too. */
import { answer, why, type Answer } from '../reasons';
import type { RespiratorId } from '../rulebook';
import { measure } from '../units/units';
import { thinnerOf } from '../coat';
import { gloveFor } from './gloves';
import type { Needs } from './needs';
import { ownedMask } from './masks';
import type { Cartridge, Kit } from './protect';
import type { ZoneContext } from './zone-context';

export interface CoatWear {
  /** As the coats of the plan are called. */
  readonly products: Needs['solventCoats'];
  readonly respirator: Answer<RespiratorId | null>;
  readonly cartridges: readonly Cartridge[];
  readonly kit: readonly Answer<Kit>[];
}

/** @returns null: nothing with solvent is laid in it */
export function coatWear(needs: readonly Needs[], ctx: ZoneContext): CoatWear | null {
  const { rulebook, place } = ctx;
  const products = [...new Set(needs.flatMap((n) => n.solventCoats))];
  if (products.length === 0) return null;
  const chemicals = [...new Set(products.map(thinnerOf))];
  const glove = gloveFor(chemicals);
  const outside = place === 'outside';
  const mask = outside ? null : rulebook.respirators.find((r) => r.vapour)!.id;
  return {
    products,
    respirator: outside
      ? answer(null, why('coat.openAir', 'trade-coat-air', { products }))
      : ownedMask(answer(mask, why('coat.vapour', 'trade-coat-air', { products })), true, {
          masks: rulebook.respirators,
          owned: ctx.settings.masks,
        }),
    cartridges: outside ? [] : ['organicVapour'],
    kit: [
      answer(
        'solventGloves' as const,
        why('kit.glovesFor', 'mem-gloves', { chemicals, material: glove.material, change: measure(glove.changeMin, 'min') }),
      ),
      answer('goggles' as const, why('coat.eyes', 'trade-coat-air')),
    ],
  };
}
