/** What lies before a side of the house, and what it asks for before the first stroke. Common practice, no published source, but for windows. */
import type { Nearby, NearbyKind } from '../facts';
import { why, type RuleId, type SourceId } from '../reasons';
import type { Rulebook } from '../rulebook';
import { convert } from '../units/units';
import { gate, type GateSpec } from '../step';

export interface NearbyReach {
  readonly guarded: boolean;
  readonly runsOff: boolean;
  readonly pours: boolean;
  readonly blasts: boolean;
  readonly heightM: number;
  readonly mistReachM: number;
}

const ASKS = {
  neighbourWindow: 'gate.windowsClosed',
  path: 'gate.pathLed',
  playArea: 'gate.playCleared',
  vegetables: 'gate.bedsCovered',
  pond: 'gate.pondCovered',
  drain: 'gate.drainCovered',
  scaffold: 'gate.scaffoldTagged',
} as const satisfies Record<NearbyKind, RuleId>;

/** The law's distance is the least: what falls from above the first storey drifts so much farther for each one. HUD Guidelines, chapter 8, from memory. */
const STOREY_M = 3;
const DRIFT_M = 1.5;
/** Grit and what it knocks off bounce; a jet carries its water as far. From memory of practice. */
const BLAST_M = 15;
/** Rinse water and strippers in quantity go where the ground leads them: into these, farther than they fall. Common practice, no published source. */
const RUNS_INTO: readonly NearbyKind[] = ['drain', 'pond', 'vegetables'];
const RUNS_M = 12;

/**
 * One check for each kind of thing; a distance that nobody measured counts as near.
 * @param guarded something is disturbed that must not leave the zone; a scaffold is looked over whatever is done from it
 * @param runsOff water or a chemical runs down: it goes where the ground leads it, with lead in it or without
 * @param pours so much of it that it follows the ground
 * @param blasts grit or a jet
 * @param heightM of the highest work
 * @param mistReachM how far the mist of a sprayed coat flies; 0: none is sprayed
 */
export function nearbyGates(
  nearby: readonly Nearby[],
  { guarded, runsOff, pours, blasts, heightM, mistReachM }: NearbyReach,
  { openingsClosedWithin: within }: Rulebook,
): GateSpec[] {
  const law = convert(within.is.value, within.is.unit, 'm');
  const drift = Math.max(0, Math.ceil(heightM / STOREY_M) - 1) * DRIFT_M;
  const fallsM = Math.max(guarded ? law + drift : runsOff ? law : 0, blasts ? BLAST_M : 0, mistReachM);
  const reachM = (what: NearbyKind): number => Math.max(fallsM, pours && RUNS_INTO.includes(what) ? RUNS_M : 0);
  const near = nearby.filter((n) => n.what === 'scaffold' || (reachM(n.what) > 0 && (n.outM === null || n.outM <= reachM(n.what))));
  return [...new Set(near.map((n) => n.what))].map((what) => {
    const source: SourceId = what === 'neighbourWindow' ? within.source : 'trade-contain';
    return gate({ hold: 'near', near: what }, 'protect', why(ASKS[what], source));
  });
}
