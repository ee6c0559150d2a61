/** What a caustic may be mixed in. */
import { gasOf, meetingOf } from '../catalogue';
import type { VesselId } from '../facts';
import { measure } from '../units/units';
import { refuse, within } from './refused';

interface VesselKind {
  /** Above it the wall gives way, C. From memory of makers’ data. */
  readonly limitC: number;
  /** Heat held by a square metre of its wall, kJ/m2K. */
  readonly holdsKJm2K: number;
  /** What its wall keeps back, m2K/W: 2 mm of plastic, 1 mm of steel. */
  readonly wallM2KW: number;
  /** Why nobody mixes in it. */
  readonly never: 'metal' | 'glass' | null;
}

// Heat capacity and conduction of the walls by handbook values for 2 mm plastic and 1 mm steel; limits from memory.
export const VESSELS: Readonly<Record<VesselId, VesselKind>> = {
  polyethylene: { limitC: 60, holdsKJm2K: 4.4, wallM2KW: 0.0044, never: null },
  polypropylene: { limitC: 80, holdsKJm2K: 3.5, wallM2KW: 0.009, never: null },
  stainless: { limitC: 95, holdsKJm2K: 3.9, wallM2KW: 0.00006, never: null },
  glass: { limitC: 0, holdsKJm2K: 0, wallM2KW: 0, never: 'glass' },
  aluminium: { limitC: 0, holdsKJm2K: 0, wallM2KW: 0, never: 'metal' },
  galvanised: { limitC: 0, holdsKJm2K: 0, wallM2KW: 0, never: 'metal' },
};

/** A round pail, inside. */
export interface Vessel {
  readonly kind: VesselId;
  readonly acrossM: number;
  readonly deepM: number;
}

/** As much stays free above the mix: it foams and is stirred. Common practice, no published source. */
export const FREE_SHARE = 1 / 3;
export const holdsL = (v: Vessel): number => (Math.PI / 4) * v.acrossM ** 2 * v.deepM * 1000;
export const wallM2 = (v: Vessel, filledL: number): { readonly side: number; readonly base: number } => {
  const base = (Math.PI / 4) * v.acrossM ** 2;
  return { base, side: Math.PI * v.acrossM * Math.min(v.deepM, filledL / 1000 / base) };
};

/** A square metre of still air beside a wall carries off so much, convection and radiation together, W/m2K. Textbooks of heat transfer: 5 to 10. */
const AIR_W = 8;
/** Still water around it, W/m2K. Textbooks: 100 to 300. */
const BATH_W = 150;
/** The stirred mix against its wall, W/m2K. */
const MIX_W = 300;

/**
 * Heat that leaves for each degree above what is around, W/K. What would evaporate is left out: the mix cools slower here than in truth.
 * @param filledL what is in it, L
 */
export function lossWK(v: Vessel, filledL: number, bath: boolean): { readonly air: number; readonly bath: number } {
  const { side, base } = wallM2(v, filledL);
  const through = (outer: number) => 1 / (1 / MIX_W + VESSELS[v.kind].wallM2KW + 1 / outer);
  const walls = (side + base) * through(bath ? BATH_W : AIR_W);
  const top = base * AIR_W;
  return bath ? { air: top, bath: walls } : { air: top + walls, bath: 0 };
}

/** @throws Refused for one that cannot be or must not be */
export function checkVessel(v: Vessel): void {
  within(v.acrossM, 0.05, 2, 'acrossM');
  within(v.deepM, 0.05, 2, 'deepM');
  const { never } = VESSELS[v.kind];
  if (never === 'glass') refuse({ id: 'glassVessel' });
  if (never === 'metal') {
    const eaten = meetingOf('alkali', v.kind === 'aluminium' ? 'aluminium' : 'zinc')!;
    refuse({ id: 'metalVessel', metal: measure(10, 'g'), gas: measure(gasOf(eaten, 10, 1)!.litres, 'L') });
  }
}
