/** Sheets, what was laid, and what is bought: every litre that a step asks for stands there or is in a pack, and no pack too many. */
import { shoppingOf, type BuyLine, type Tin } from '@roughsill/core';
import type { Run } from '../run';
import type { Law } from './law';

/** What stands there is drawn from the job itself, so that a find comes back. */
function tinsOf({ facts }: Run): Tin[] {
  const goods = ['matEmulsion', 'exteriorAcrylic', 'alkydWood', 'sheet', 'blades', 'crepeTape', 'stripperGel'] as const;
  return goods.flatMap((good, i): Tin[] => {
    const amount = (facts.job.name.length * 7 + facts.surfaces.length * 3 + i * 5) % 11;
    if (amount === 0) return [];
    const base = { good, productId: null, at: 'shelf' as const, forJobId: null, colour: '', openedOn: null, removedAt: null };
    return [
      { ...base, id: `${good}-1`, amount: amount / 4, batch: 'A' },
      { ...base, id: `${good}-2`, amount: amount / 2, batch: i % 2 === 0 ? 'B' : '' },
    ];
  });
}
const bought = (run: Run) =>
  shoppingOf(run.facts, run.job, { settings: run.settings, tins: tinsOf(run), today: '2026-05-04' }, { kind: 'job' });

const NEAR = 1e-6;
function linesOf(l: BuyLine): string[] {
  const out: string[] = [];
  const has = l.packing.holds + l.fromStock;
  if (has < l.need - NEAR) out.push(`${l.good}: ${l.need} asked for, ${has} there or bought`);
  if (l.fromStock > l.inStock + NEAR) out.push(`${l.good}: ${l.fromStock} taken from ${l.inStock}`);
  for (const p of l.packing.packs)
    if (p.price > 0 && has - p.size >= l.need + NEAR) out.push(`${l.good}: a pack of ${p.size} too many for ${l.need}`);
  const faces = l.batches.flatMap((b) => b.surfaceIds);
  if (new Set(faces).size !== faces.length) out.push(`${l.good}: one face from two batches`);
  return out;
}
const tooLittleOrMuch = (run: Run): string[] => bought(run).lines.flatMap(linesOf);

/** What the steps from the one at which the work stands ask for is on the list, whatever it is called. */
function forgotten(run: Run): string[] {
  const { lines, brought } = bought(run);
  const listed = new Set<string>([...lines.map((l) => l.good), ...brought.map((b) => b.what)]);
  return run.job.surfaces.flatMap((p) => {
    const at = p.work.steps.findIndex((st) => st.id === p.work.standsAt);
    if (at < 0) return [];
    const laid = new Set<string>(p.coating.lines.filter((l) => l.laidL > 0).map((l) => l.product));
    return (
      p.work.steps
        .slice(at)
        // What the whole zone shares hangs on the checks of the zone.
        .filter((st) => !st.shared)
        .flatMap((st) => st.amounts)
        .filter((a) => a.amount.value > 0 && !laid.has(a.what) && !listed.has(a.what))
        .map((a) => `${a.what} of ${p.surfaceId} is not on the list`)
    );
  });
}

const keyOf = (p: { readonly name: string; readonly id: string }): string => `${p.name}\u0000${p.id}`;
/** By its own name, the number that the sheet says stands in the plan. */
function sheetForgotten(run: Run): string[] {
  const live = (run.settings.products ?? []).filter((p) => p.removedAt === null && p.inUse);
  return run.job.surfaces.flatMap((p) =>
    p.coating.lines.flatMap((l) => {
      const [own] = live.filter((x) => x.good === l.product).sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1));
      if (own === undefined) return [];
      const out: string[] = [];
      const wanted = l.use === 'topcoat' ? run.facts.surfaces.find((s) => s.id === p.surfaceId)!.coatsWanted : null;
      // Fewer are laid where a person wants fewer.
      if (own.coats !== null && l.coats < Math.min(own.coats, wanted ?? Infinity))
        out.push(`${own.name}: ${own.coats} coats by its sheet, ${l.coats} planned`);
      if (own.recoatLeastH !== null && own.atC === null && own.coldC === null && Math.abs(l.recoatH.low - own.recoatLeastH) > NEAR)
        out.push(`${own.name}: the next coat after ${own.recoatLeastH} h by its sheet, ${l.recoatH.low} h planned`);
      if (own.dryFilmUm !== null && own.solidsPct !== null && l.laidL === 0 && l.areaM2 > 0 && l.againM2 === 0) {
        // Wet film = dry / solids; at least so many litres on each square metre, before any loss, but for what the job showed.
        const least = (own.dryFilmUm / 1000 / (own.solidsPct / 100)) * l.areaM2 * l.coats;
        if (l.litres < least / 2 - NEAR) out.push(`${own.name}: ${l.litres} L for a film that takes ${least} L`);
      }
      return out;
    }),
  );
}

export const SHELF_LAWS: readonly Law[] = [
  { id: 'P5g', says: 'what is asked for stands there or is bought, and no pack too many', check: tooLittleOrMuch },
  { id: 'P5h', says: 'nothing that a step asks for is missing on the list', check: forgotten },
  { id: 'C3s', says: 'the firm’s own sheet outranks the generic values', check: sheetForgotten },
];
