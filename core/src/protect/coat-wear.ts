/** What whoever lays the coats wears: against solvent, and against the mist of what is sprayed, beside what the strokes ask for. Law H1: the coating strokes too. */
import type { LayingId, SheetFilter } from '../facts';
import { answer, why, type Answer } from '../reasons';
import type { RespiratorId } from '../rulebook';
import { measure } from '../units/units';
import { LAYING } from '../coat';
import { ownOf, thinnerOf } from '../shelf/firm-sheets';
import { gloveOver } from './gloves';
import type { Needs } from '../surface/needs';
import { ownedMask } from './masks';
import { minutesAt } from './noise';
import type { Cartridge, Kit } from './kit';
import type { ZoneContext } from './zone-context';

export interface CoatWear {
  /** As the coats of the plan are called. */
  readonly products: Needs['solventCoats'];
  readonly respirator: Answer<RespiratorId | null>;
  readonly cartridges: readonly Cartridge[];
  readonly kit: readonly Answer<Kit>[];
}

/** Each product by its own sheet, else by what thins it; null: nothing asks for more than dust and wet do. */
function glovesOf(solvent: Needs['solventCoats'], bySheet: Needs['bySheet'], { settings }: ZoneContext) {
  const said = (id: Needs['bySheet'][number]) => ownOf(settings, id)?.gloves ?? null;
  const told = bySheet.filter((id) => said(id) !== null);
  const hands = [...new Set([...solvent, ...told])].map((id) => ({
    chemical: solvent.includes(id) ? thinnerOf(settings, id) : null,
    said: said(id),
  }));
  const chemicals = [...new Set(hands.flatMap((h) => h.chemical ?? []))];
  return { told, chemicals, gloves: hands.length === 0 ? null : gloveOver(hands) };
}

/** @returns null: nothing with solvent is laid in it, nothing is sprayed, and no sheet asks for gloves or mask */
export function coatWear(needs: readonly Needs[], ctx: ZoneContext): CoatWear | null {
  const { rulebook, place } = ctx;
  const solvent = [...new Set(needs.flatMap((n) => n.solventCoats))];
  const mists = needs.flatMap((n) => n.mists);
  const bySheet = [...new Set(needs.flatMap((n) => n.bySheet))];
  const products = [...new Set([...solvent, ...mists.map((m) => m.product), ...bySheet])];
  if (products.length === 0) return null;
  const sheets = bySheet.map((id) => ownOf(ctx.settings, id)!);
  const { gloves, chemicals, told } = glovesOf(solvent, bySheet, ctx);
  const asks = (f: SheetFilter): boolean => sheets.some((p) => p.filter === f);
  const sheetsOf = (...fs: readonly SheetFilter[]) =>
    bySheet.filter((_, i) => sheets[i]!.filter !== null && fs.includes(sheets[i]!.filter));
  // With a brush in the open air the wind takes it; a mist stands round whoever makes it, wherever that is.
  const thinned = solvent.length > 0 && (place !== 'outside' || mists.some((m) => m.solvent));
  // Of two parts, sprayed: isocyanate until its sheet denies it. No cartridge warns of it.
  const cures = [...new Set(mists.map((m) => m.product))].filter((id) => {
    const own = ownOf(ctx.settings, id);
    return own?.chemistry === 'twoPart' && own.isocyanate !== 'no';
  });
  const supplied = asks('suppliedAir') || cures.length > 0;
  const vapour = cures.length > 0 || thinned || asks('organicVapour') || asks('suppliedAir');
  const needed = mists.length > 0 || vapour || asks('particle');
  const owned = { masks: rulebook.respirators, owned: ctx.settings.masks };
  const mistMask = rulebook.leastMask.mist;
  const sprayed = { products: [...new Set(mists.map((m) => m.product))], by: [...new Set(mists.map((m) => m.way))] };
  const because = [
    ...(thinned && (place !== 'outside' || mists.length === 0) ? [why('coat.vapour', 'trade-coat-air', { products: solvent })] : []),
    ...(mists.length > 0 ? [why(thinned ? 'coat.mistVapour' : 'coat.mist', 'trade-lay', sprayed)] : []),
    ...(cures.length > 0 ? [why('coat.isocyanate', 'mem-isocyanate', { products: cures }, 'care', 'hazard')] : []),
    ...(['suppliedAir', 'organicVapour', 'particle'] as const).flatMap((f) =>
      asks(f) ? [why('coat.sheetMask', 'firm-sheet', { products: sheetsOf(f), filter: `filter.${f}` })] : [],
    ),
  ];
  const least = supplied
    ? rulebook.respirators.findLast((r) => r.build === 'airline')!.id
    : vapour
      ? rulebook.respirators.find((r) => r.vapour)!.id
      : mistMask;
  const loud = mists
    .map((m) => m.way)
    .reduce<LayingId | null>((a, b) => ((LAYING[b].db ?? 0) > (a === null ? 0 : (LAYING[a].db ?? 0)) ? b : a), null);
  return {
    products,
    respirator: needed
      ? ownedMask({ value: least, because }, vapour, owned)
      : answer(null, why('coat.openAir', 'trade-coat-air', { products })),
    cartridges: vapour && !supplied ? ['organicVapour'] : [],
    kit: [
      gloves === null
        ? answer('nitrileGloves' as const, why('kit.gloves', 'mem-gloves'))
        : answer(
            'solventGloves' as const,
            ...(chemicals.length > 0
              ? [why('kit.glovesFor', 'mem-gloves', { chemicals, material: gloves.material, change: measure(gloves.changeMin, 'min') })]
              : []),
            ...(told.length > 0 ? [why('kit.glovesSheet', 'firm-sheet', { products: told, material: gloves.material })] : []),
          ),
      answer('goggles' as const, why('coat.eyes', 'trade-coat-air')),
      ...(mists.length > 0 ? [answer('coverall' as const, why('coat.mistSuit', 'trade-lay'))] : []),
      ...(loud === null
        ? []
        : [
            answer(
              'hearing' as const,
              why('coat.mistNoise', rulebook.sources.noise, {
                by: loud,
                level: measure(LAYING[loud].db!, 'dBA'),
                bare: measure(Math.floor(minutesAt(LAYING[loud].db!)), 'min'),
              }),
            ),
          ]),
    ],
  };
}
