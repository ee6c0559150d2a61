/** What lies before a side of the house, and what it asks for before the first stroke. Common practice, no published source, but for windows. */
import type { Nearby, NearbyKind } from '../facts';
import { why, type RuleId, type SourceId } from '../reasons';
import type { Rulebook } from '../rulebook';
import { convert } from '../units/units';
import { gate, type GateSpec } from '../work';

const ASKS = {
  neighbourWindow: 'gate.windowsClosed',
  path: 'gate.pathLed',
  playArea: 'gate.playCleared',
  vegetables: 'gate.bedsCovered',
  pond: 'gate.pondCovered',
  drain: 'gate.drainCovered',
  scaffold: 'gate.scaffoldTagged',
} as const satisfies Record<NearbyKind, RuleId>;

/**
 * One check for each kind of thing; a distance that nobody measured counts as near.
 * @param guarded something is disturbed that must not leave the zone; a scaffold is looked over whatever is done from it
 * @param runsOff water or a chemical runs down: it goes where the ground leads it, with lead in it or without
 * @param mistReachM how far the mist of a sprayed coat flies; 0: none is sprayed
 */
export function nearbyGates(
  nearby: readonly Nearby[],
  { guarded, runsOff, mistReachM }: { readonly guarded: boolean; readonly runsOff: boolean; readonly mistReachM: number },
  { openingsClosedWithin: within }: Rulebook,
): GateSpec[] {
  const reachM = Math.max(guarded || runsOff ? convert(within.is.value, within.is.unit, 'm') : 0, mistReachM);
  const near = nearby.filter((n) => n.what === 'scaffold' || (reachM > 0 && (n.outM === null || n.outM <= reachM)));
  return [...new Set(near.map((n) => n.what))].map((what) => {
    const source: SourceId = what === 'neighbourWindow' ? within.source : 'trade-contain';
    return gate(`near.${what}`, 'protect', why(ASKS[what], source));
  });
}
