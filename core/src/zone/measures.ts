/** What each hazard that is reached asks for beside sheet and mask, once for the zone: before the first stroke, and after the last. Law H1. */
import { blowsNutShell, burns, methodById, type Method } from '../catalogue';
import { reactions } from '../choose';
import { sheetFor } from '../probe/mold';
import type { ZoneContext } from '../protect';
import type { Needs } from '../surface/needs';
import { why } from '../reasons';
import { measure } from '../units/units';
import { gate, gateOf, type GateSpec } from '../step';

/** As far as sparks and hot chips fly. NFPA 51B: 35 ft. */
const CLEAR = measure(35, 'ft');

export interface Measures {
  readonly before: readonly GateSpec[];
  readonly after: readonly GateSpec[];
  /** Something in it burns or dissolves: who works it dresses for that, whatever is in the coat. */
  readonly dressed: boolean;
}

export function measuresOf(needs: readonly Needs[], { rulebook, moldKit, place }: ZoneContext): Measures {
  const reached = new Set(needs.flatMap((n) => n.reaches));
  const methods = [...new Set(needs.flatMap((n) => n.methods))].map(methodById);
  const solvent = methods.some((m) => m.vapour && m.id !== 'moldBleach');
  const before: GateSpec[] = [];
  const after: GateSpec[] = [];
  if (needs.some((n) => n.fibres)) {
    const uk = rulebook.id === 'uk';
    before.push(gate('fibresReady', 'protect', why(uk ? 'gate.fibresReadyUk' : 'gate.fibresReady', rulebook.sources.asbestosWork)));
    after.push(gate('fibresGone', 'cleanUp', why('gate.fibresGone', rulebook.sources.asbestosWork)));
  }
  const sheet = reached.has('mold') && place === 'inside' && moldKit !== null ? sheetFor(moldKit.value) : 'none';
  if (sheet === 'limited') before.push(gate('growthOne', 'protect', why('gate.growthOne', rulebook.sources.mold)));
  if (sheet === 'full') before.push(gate('growthTwo', 'protect', why('gate.growthTwo', rulebook.sources.mold)));
  if (reached.has('silica')) {
    before.push(gate('dustKept', 'protect', why('gate.dustKept', rulebook.sources.silica)));
    after.push(gate('dustGone', 'cleanUp', why('gate.dustGone', rulebook.sources.silica)));
  }
  if (reached.has('antifoul')) {
    before.push(gate('biocideReady', 'protect', why('gate.biocideReady', 'mem-antifoul')));
    after.push(gate('biocideGone', 'cleanUp', why('gate.biocideGone', 'mem-antifoul')));
  }
  const poisons = [...new Set(needs.flatMap((n) => n.poisons))];
  if (poisons.length > 0) {
    before.push(gateOf({ spokeOf: poisons }, 'poisonReady', 'protect', why('gate.poisonReady', 'mem-poison', { poisons })));
    after.push(gate('poisonGone', 'cleanUp', why('gate.poisonGone', 'mem-poison')));
  }
  if (methods.some(blowsNutShell)) before.push(gate('softGrit', 'protect', why('gate.softGrit', 'trade-blast')));
  const burning = methods.filter(burns);
  const spokeOf = (of: readonly Method[]) => ({ spokeOf: of.map((m) => m.id) });
  if (burning.length > 0) before.push(gateOf(spokeOf(burning), 'burnsReady', 'protect', why('gate.burnsReady', 'ansi-z358')));
  // Two that react, on two pieces: neither knows of the other. Law H9.
  const meeting = methods.flatMap((a, i) =>
    methods.slice(i + 1).flatMap((b) => (reactions(a, b).length > 0 || reactions(b, a).length > 0 ? [[a.id, b.id]] : [])),
  );
  const pairs = meeting.filter(([a, b]) => needs.some((n) => n.methods.includes(a!) !== n.methods.includes(b!)));
  const apart = [...new Set(pairs.flat())];
  if (apart.length > 0) before.push(gateOf({ spokeOf: apart }, 'apart', 'protect', why('gate.apart', 'trade-strip', { methods: apart })));
  // Of the strokes: what is in a coat evaporates when the zone was given back, and is asked at the coat.
  if (solvent) before.push(gate('flamesOut', 'protect', why('gate.flamesOut', 'trade-strip')));
  // Law H9, over all pieces of the zone: its vapour does not stay with the piece.
  if (solvent && reached.has('hotWork')) before.push(gate('heatApart', 'protect', why('gate.heatApart', 'trade-strip')));
  if (reached.has('hotWork')) before.push(gate('hotClear', 'protect', why('gate.hotClear', 'nfpa-51b', { clear: CLEAR })));
  return { before, after, dressed: burning.length > 0 || solvent };
}
