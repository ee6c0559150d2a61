/**
 * What is work *on* asbestos, known or not ruled out: one judgement, read by the rules, the zone, the waste and the papers. Law H11.
 * Cutting into it, sealing it, screwing a board through it and taking out the piece that holds it all ask for the whole chain: trained
 * people, zone, mask, signs, waste, clearance. 29 CFR 1926.1101(b); CAR 2012, reg. 2.
 */
import type { Method } from '../catalogue';
import { isPresent, type AsbestosPicture, type HazardState } from '../probe';

/** A film or a board that closes over what is there. */
export const sealsOver = (m: Pick<Method, 'id'>): boolean => m.id === 'encapsulate' || m.id === 'thickPrimer' || m.id === 'cover';

export type AsbestosStates = Readonly<Record<'coat' | 'below' | 'putty', HazardState>>;
export const asbestosStates = ({ coat, below, putty }: AsbestosPicture): AsbestosStates => ({
  coat: coat.value,
  below: below.value,
  putty: putty.value,
});

/** Strokes that end in a sound coat above a suspect are not on it: they are guarded (choose/rules.ts). */
export function worksOn(m: Method, { coat, below, putty }: AsbestosStates): boolean {
  if (m.removesPiece) return [coat, below, putty].some(isPresent);
  return (m.disturbs || sealsOver(m)) && isPresent(coat);
}
