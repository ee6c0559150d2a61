/** What whoever lays the coats wears: against solvent, and against the mist of what is sprayed, beside what the strokes ask for. Law H1: the coating strokes too. */
import type { LayingId } from '../facts';
import { answer, why, type Answer } from '../reasons';
import type { RespiratorId } from '../rulebook';
import { measure } from '../units/units';
import { LAYING } from '../coat';
import { thinnerOf } from '../shelf/own';
import { gloveFor } from './gloves';
import type { Needs } from './needs';
import { ownedMask } from './masks';
import { minutesAt } from './noise';
import type { Cartridge, Kit } from './protect';
import type { ZoneContext } from './zone-context';

export interface CoatWear {
  /** As the coats of the plan are called. */
  readonly products: Needs['solventCoats'];
  readonly respirator: Answer<RespiratorId | null>;
  readonly cartridges: readonly Cartridge[];
  readonly kit: readonly Answer<Kit>[];
}

/** @returns null: nothing with solvent is laid in it, and nothing is sprayed */
export function coatWear(needs: readonly Needs[], ctx: ZoneContext): CoatWear | null {
  const { rulebook, place } = ctx;
  const solvent = [...new Set(needs.flatMap((n) => n.solventCoats))];
  const mists = needs.flatMap((n) => n.mists);
  const products = [...new Set([...solvent, ...mists.map((m) => m.product)])];
  if (products.length === 0) return null;
  const chemicals = [...new Set(solvent.map((id) => thinnerOf(ctx.settings, id)))];
  const glove = gloveFor(chemicals);
  // With a brush in the open air the wind takes it; a mist stands round whoever makes it, wherever that is.
  const vapour = solvent.length > 0 && (place !== 'outside' || mists.some((m) => m.solvent));
  const needed = mists.length > 0 || vapour;
  const owned = { masks: rulebook.respirators, owned: ctx.settings.masks };
  const mistMask = rulebook.id === 'uk' ? 'ffp3' : 'halfMask';
  const sprayed = { products: [...new Set(mists.map((m) => m.product))], by: [...new Set(mists.map((m) => m.way))] };
  const because = [
    ...(vapour && (place !== 'outside' || mists.length === 0) ? [why('coat.vapour', 'trade-coat-air', { products: solvent })] : []),
    ...(mists.length > 0 ? [why(vapour ? 'coat.mistVapour' : 'coat.mist', 'trade-lay', sprayed)] : []),
  ];
  const loud = mists
    .map((m) => m.way)
    .reduce<LayingId | null>((a, b) => ((LAYING[b].db ?? 0) > (a === null ? 0 : (LAYING[a].db ?? 0)) ? b : a), null);
  return {
    products,
    respirator: needed
      ? ownedMask({ value: vapour ? rulebook.respirators.find((r) => r.vapour)!.id : mistMask, because }, vapour, owned)
      : answer(null, why('coat.openAir', 'trade-coat-air', { products })),
    cartridges: vapour ? ['organicVapour'] : [],
    kit: [
      solvent.length > 0
        ? answer(
            'solventGloves' as const,
            why('kit.glovesFor', 'mem-gloves', { chemicals, material: glove.material, change: measure(glove.changeMin, 'min') }),
          )
        : answer('nitrileGloves' as const, why('kit.gloves', 'mem-gloves')),
      answer('goggles' as const, why('coat.eyes', 'trade-coat-air')),
      ...(mists.length > 0 ? [answer('coverall' as const, why('coat.mistSuit', 'trade-lay'))] : []),
      ...(loud === null
        ? []
        : [
            answer(
              'hearing' as const,
              why('coat.mistNoise', rulebook.id === 'uk' ? 'uk-noise' : 'niosh-98-126', {
                by: loud,
                level: measure(LAYING[loud].db!, 'dBA'),
                bare: measure(Math.floor(minutesAt(LAYING[loud].db!)), 'min'),
              }),
            ),
          ]),
    ],
  };
}
