/** How loud a tool is at the ear, and how long ears bear it: bare, and under one protector. */
import type { Method } from '../catalogue';
import type { MethodId } from '../facts';

/** Usual levels at the ear, dB(A), the upper end. Common practice, no published source: the sheet of the tool comes first. */
const USUAL: Readonly<Partial<Record<MethodId, number>>> = {
  needleGun: 105,
  flapDisc: 98,
  drillBrush: 94,
  nylonWheel: 92,
  powerSand: 93,
  hepaSand: 93,
  vacuumBlast: 100,
};
const OTHER = 93;
/** Of a nozzle that is not inside a shroud. */
const NOZZLE = 112;

/** Over eight hours, dB(A); each 3 dB more halves the time. NIOSH 98-126; the upper action value of the UK regulations of 2005 is the same. */
const EIGHT_H = 85;
/** A usual pair of plugs or muffs, NRR 25, worn as people wear them: (NRR - 7) / 2. OSHA Technical Manual. */
export const UNDER_ONE = (25 - 7) / 2;

export const levelOf = (m: Method): number => USUAL[m.id] ?? (m.blast === 'no' ? OTHER : NOZZLE);

/** Minutes a day at a level. @param db at the ear, dB(A) */
export const minutesAt = (db: number): number => Math.min(480, 480 / 2 ** ((db - EIGHT_H) / 3));

/** The loudest of them; null: none is loud. */
export function loudest(methods: readonly Method[]): { readonly methodId: MethodId; readonly db: number } | null {
  const loud = methods.filter((m) => m.noisy).map((m) => ({ methodId: m.id, db: levelOf(m) }));
  return loud.length === 0 ? null : loud.reduce((a, b) => (b.db > a.db ? b : a));
}
