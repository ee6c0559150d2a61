/** The firm's machines in a zone: what they draw in they keep, and take along. Common practice, no published source. */
import { USED_ON, type Machine, type UsedOn } from '../facts';
import type { HazardKind, Needs } from '../surface/needs';
import { typed, why } from '../reasons';
import { gate, type GateSpec, type Step } from '../step';
import type { ZoneSetup } from './zones';

/** What a machine draws in where these are reached, and keeps: the worst of it names the machine. */
export const drawnIn = (kinds: readonly HazardKind[]): UsedOn =>
  [...USED_ON].reverse().find((k) => k !== 'nothing' && kinds.includes(k)) ?? 'nothing';

/** A machine that was used on what is not here brings it in: cleaned first, or another one. */
export function machineGates(machines: readonly Machine[], needs: readonly Needs[]): GateSpec[] {
  const here = new Set<string>(needs.flatMap((n) => n.reaches));
  return machines
    .filter((m) => m.lastOn !== 'nothing' && !here.has(m.lastOn))
    .map((m) =>
      gate(
        { hold: 'machine', machine: m.id },
        'protect',
        why('gate.machineClean', 'trade-contain', { machine: typed(m.name), on: m.lastOn }),
      ),
    );
}

/** The check with which sheet and seals stand: from then on the machines run. */
export const setsUp = ({ key }: Pick<GateSpec, 'key'>): boolean => key.hold === 'containmentUp';

/** Machines of the zone that carry from now on, on every job, something worse than what they are tagged with. */
export function tagsOf(
  zone: { readonly hazards: readonly { readonly kind: HazardKind }[]; readonly setup: Pick<ZoneSetup, 'machineIds'> },
  machines: readonly Machine[],
): Pick<Machine, 'id' | 'lastOn'>[] {
  const on = drawnIn(zone.hazards.map((h) => h.kind));
  return machines
    .filter((m) => m.removedAt === null && zone.setup.machineIds.includes(m.id) && USED_ON.indexOf(on) > USED_ON.indexOf(m.lastOn))
    .map((m) => ({ id: m.id, lastOn: on }));
}

/** Sheet and seals stand in it. */
export const isSetUp = (zone: { readonly steps: readonly Step[] }): boolean =>
  zone.steps.some((st) => st.gates.some((g) => setsUp(g) && g.state === 'passed'));
