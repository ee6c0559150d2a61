/** From what the work of a zone is done when it stands higher than a person reaches, and what has to be right before anybody climbs. */
import { methodById } from '../catalogue';
import { LAYING } from '../coat';
import { HIGH_M } from '../choose';
import type { ZoneContext } from '../protect';
import type { Needs } from '../surface/needs';
import { answer, why, type Answer, type Reason } from '../reasons';
import { convert, measure, type Measure } from '../units/units';
import { gate, type GateSpec } from '../step';

type Access = 'ladder' | 'platform' | 'tower' | 'scaffold';

export interface ZoneAccess {
  readonly by: Access;
  readonly heightM: number;
  /** Nobody walks or works below, so far out from the wall: in whole feet, or half metres. */
  readonly keepOut: Measure;
  /** Of a ladder: its foot from the wall, m; else null. */
  readonly footM: number | null;
}

/** A ladder is for half an hour in one place and one free hand. HSE INDG455; common practice elsewhere. */
const LADDER_H = 0.5;
const LADDER_M = 6;
const PLATFORM_M = 3;
const TOWER_M = 8;
/** Person-hours from which a scaffold costs less than moving a tower. Common practice, no published source. */
const SCAFFOLD_H = 40;
/** One out for four up. 29 CFR 1926.1053(b)(5); HSE INDG455. */
const LADDER_SLOPE = 4;

/**
 * @param hoursH person-hours at that height in one stretch: of the strokes, or of the coats, whichever is longer
 * @param scaffoldStands one stands there already: it is worked from that
 * @returns null: it is worked from the floor or the ground
 */
export function zoneAccess(needs: readonly Needs[], ctx: ZoneContext, hoursH: number, scaffoldStands: boolean): Answer<ZoneAccess> | null {
  const { accessM: heightM, rulebook, place } = ctx;
  const working = needs.filter((n) => n.reaches.includes('height'));
  if (working.length === 0 || heightM <= HIGH_M || place === 'bench') return null;
  const methods = [...new Set(working.flatMap((n) => n.methods))].map(methodById);
  // Two hands, a hose or a hot tool: nobody does that from a rung.
  const heavy =
    methods.some((m) => m.powered || m.blast !== 'no' || m.heatC !== null || m.caustic || m.acid || m.people === 2) ||
    working.some((n) => n.mists.some((m) => LAYING[m.way].needsPower));
  const pieces = working.reduce((sum, n) => sum + n.pieces, 0);
  const short = hoursH / Math.max(1, pieces) <= LADDER_H;
  const by: Access = scaffoldStands
    ? 'scaffold'
    : !heavy && short && heightM <= LADDER_M
      ? 'ladder'
      : hoursH > SCAFFOLD_H || heightM > TOWER_M
        ? 'scaffold'
        : heightM <= PLATFORM_M
          ? 'platform'
          : 'tower';
  const footM = by === 'ladder' ? heightM / LADDER_SLOPE : null;
  // In whole feet or half metres, never less than a third of the height.
  const uk = rulebook.id === 'uk';
  const keepOut = uk
    ? measure(Math.max(2, Math.ceil((heightM / 3) * 2) / 2), 'm')
    : measure(Math.max(7, Math.ceil(convert(heightM / 3, 'm', 'ft'))), 'ft');
  const facts = { height: measure(heightM, 'm'), hours: measure(Math.round(hoursH * 10) / 10, 'h') };
  const because: Reason[] = [
    by === 'ladder'
      ? why('access.ladder', uk ? 'indg455' : 'cfr29-1926.1053', { ...facts, foot: measure(footM!, 'm') })
      : scaffoldStands
        ? why('access.stands', 'job-record', facts)
        : why(heavy ? 'access.twoHands' : 'access.long', 'trade-height', { ...facts, by }),
    why('access.below', 'trade-height', { out: keepOut }),
  ];
  return answer({ by, heightM, keepOut, footM }, ...because);
}

/** Before the first climb, by what is climbed. A scaffold that stands there has its own check among what lies near (nearby.ts). */
export function accessGates(access: Answer<ZoneAccess> | null, { rulebook }: ZoneContext, scaffoldStands: boolean): GateSpec[] {
  if (access === null || scaffoldStands) return [];
  const uk = rulebook.id === 'uk';
  const { by, footM, keepOut } = access.value;
  const out = { out: keepOut };
  switch (by) {
    case 'ladder':
      return [
        gate(
          { hold: 'access', access: by },
          'protect',
          why('gate.ladder', uk ? 'indg455' : 'cfr29-1926.1053', { foot: measure(footM!, 'm'), ...out }),
        ),
      ];
    case 'platform':
      return [gate({ hold: 'access', access: by }, 'protect', why('gate.platform', 'trade-height', out))];
    default:
      return [
        gate(
          { hold: 'access', access: by },
          'protect',
          why(uk ? 'gate.scaffoldUk' : 'gate.scaffoldUs', uk ? 'wah2005' : 'cfr29-1926.451', {
            ...out,
            rails: uk ? measure(0.95, 'm') : measure(10, 'ft'),
          }),
        ),
      ];
  }
}

/** Birds and bats, before anything is moved at the outside of a house. */
export const nestGates = ({ place, rulebook }: ZoneContext): GateSpec[] =>
  place === 'outside' ? [gate('nests', 'protect', why('gate.nests', rulebook.sources.nests))] : [];
