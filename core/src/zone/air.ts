/** Whether a zone is kept under suction, how much air that takes, and whether its machines bring it. */
import type { Machine } from '../facts';
import { changesFlow, gapsAt, LOADED_SHARE, machinesFor } from '../air/flow';
import { sheetFor } from '../probe/mold';
import type { ZoneContext } from '../protect';
import type { Needs } from '../surface/needs';
import { answer, typed, why, type Answer } from '../reasons';
import { convert, measure } from '../units/units';

export interface ZoneAir {
  /** m3; null: a room of it was not measured. */
  readonly volumeM3: number | null;
  readonly flowM3h: number | null;
  /** What the air machines that stand in it bring with loaded filters, m3/h; null: none stands in it, or nobody said what it moves. */
  readonly bringsM3h: number | null;
  /** Machines to bring along: of those that stand in it, else of a usual one. */
  readonly machines: number;
}

/** Air changes an hour while growth is cleaned under suction. Sizing practice of NIOSH and EPA, taken over from asbestos work (29 CFR 1926.1101(g)(5)). */
const CHANGES = 4;
/** A usual machine, where the firm named none. Common practice, no published source. */
const USUAL_M3H = convert(500, 'cfm', 'm3/h');
/** What the air machine holds the zone below its surroundings, where asbestos is the model for it. 29 CFR 1926.1101(g)(5): 0.02 in of water; HSG248: 5 Pa. */
const PRESSURE_PA = 5;

/** @returns null: no suction is asked for */
export function zoneAir(needs: readonly Needs[], ctx: ZoneContext, machines: readonly Machine[]): Answer<ZoneAir> | null {
  const { moldKit, rooms, rulebook, place } = ctx;
  // Whatever stroke meets it sets it free, not the cleaning alone.
  const met = needs.some((n) => n.reaches.includes('mold'));
  if (place !== 'inside' || moldKit === null || !met || sheetFor(moldKit.value) === 'none') return null;
  const volumes = rooms.map(({ floor, heightM }) => (floor === null || heightM === null ? null : floor.lengthM * floor.widthM * heightM));
  const volumeM3 = volumes.length === 0 || volumes.includes(null) ? null : (volumes as number[]).reduce((a, b) => a + b, 0);
  const flowM3h = volumeM3 === null ? null : changesFlow(volumeM3, CHANGES);
  const own = machines.filter((m) => m.kind === 'airMachine');
  const rated = own.flatMap((m) => m.flowM3h ?? []);
  const bringsM3h = rated.length === 0 ? null : rated.reduce((a, b) => a + b, 0) * LOADED_SHARE;
  const asked = why('air.suction', rulebook.sources.mold, { changes: CHANGES });
  if (flowM3h === null)
    return answer(
      { volumeM3, flowM3h, bringsM3h, machines: Math.max(1, own.length) },
      asked,
      why('air.unmeasured', 'trade-contain', {}, 'care'),
    );
  const flow = measure(flowM3h, 'm3/h');
  const standing = machinesFor(flowM3h, rated[0] ?? USUAL_M3H);
  // What blows, not what is asked for, decides how wide the gaps may be.
  const blows = bringsM3h ?? standing * USUAL_M3H * LOADED_SHARE;
  const short = bringsM3h !== null && bringsM3h < flowM3h - 1e-9;
  return answer(
    {
      volumeM3,
      flowM3h,
      bringsM3h,
      machines: short || own.length === 0 ? Math.max(own.length, standing) : own.length,
    },
    asked,
    why('air.flow', 'trade-contain', { volume: measure(volumeM3!, 'm3'), flow }),
    // A room that is shut tight starves the machine; one with wide gaps holds no pressure.
    why('air.makeUp', 'mem-orifice', {
      gaps: measure(gapsAt(Math.max(blows, flowM3h), PRESSURE_PA), 'm2'),
      pressure: measure(PRESSURE_PA, 'Pa'),
    }),
    ...(short
      ? [
          why(
            'air.tooLittle',
            'trade-contain',
            { machines: own.map((m) => typed(m.name)), brings: [measure(bringsM3h, 'm3/h'), flow] },
            'care',
          ),
        ]
      : []),
  );
}
