/** What is asked before anything else on site: may I do this here? The strictest answer of all parts, with its strongest reason. */
import type { MethodId } from '../facts';
import type { Force, Reason } from '../reasons';
import { beside, type MethodOption, type PartChoice } from './choose';

/** What is asked for most. Common practice, no published source. */
export const ASKED = ['drySand', 'dryScrapeLoose', 'wetSand', 'hepaSand', 'heatGun', 'solventGel'] as const satisfies readonly MethodId[];
export type AskedMethod = (typeof ASKED)[number];

/**
 * forbidden: a law, a hazard or the firm stands against it. tooLittle: nothing does, but it would not get the work done. beside: it was never
 * for this material, or there is nothing here that it takes off.
 */
export const MAY = ['forbidden', 'tooLittle', 'care', 'go', 'beside'] as const;
export type May = (typeof MAY)[number];

export interface MayI {
  readonly is: May;
  readonly reason: Reason | null;
}

/** Too shallow, or out of reach: no danger. */
const LITTLE: readonly string[] = ['fit.notDeepEnough', 'fit.partOutOfReach', 'fit.leaveUndone'];
const BESIDE: readonly string[] = ['fit.material', 'fit.nothingToTake'];
const STRENGTH: readonly Force[] = ['law', 'hazard', 'firm', 'trade'];
const strongest = (reasons: readonly Reason[]): Reason | null =>
  reasons.reduce<Reason | null>((a, r) => (a === null || STRENGTH.indexOf(r.force) < STRENGTH.indexOf(a.force) ? r : a), null);

function onPart(o: MethodOption): MayI {
  const blocks = o.because.filter((r) => r.effect === 'block');
  // Whoever asks is told of the danger first, also where the method was never for this material.
  const against = blocks.filter((r) => !LITTLE.includes(r.rule) && !BESIDE.includes(r.rule));
  if (against.length > 0) return { is: 'forbidden', reason: strongest(against) };
  if (beside(o)) return { is: 'beside', reason: strongest(blocks) };
  if (blocks.length > 0) return { is: 'tooLittle', reason: strongest(blocks) };
  return { is: o.verdict === 'care' ? 'care' : 'go', reason: strongest(o.because.filter((r) => r.effect === 'care')) };
}

/** Of one surface. */
export function mayI(parts: readonly PartChoice[], method: AskedMethod): MayI {
  const answers = parts.flatMap((p) => [...p.options, ...p.helpers].filter((o) => o.methodId === method).map(onPart));
  const first = MAY.find((m) => answers.some((a) => a.is === m)) ?? 'beside';
  const alike = answers.filter((a) => a.is === first);
  return { is: first, reason: strongest(alike.flatMap((a) => a.reason ?? [])) };
}
