/** The air of a room beside the weather outside: heated, aired, with the water that the work itself gives off. */
import { saturationPa, vapourGM3 } from '../moist';
import { hoursOf, type Weather } from './weather';

export interface RoomDuring {
  /** Heated to at least this, C; null: it follows the weather, damped. */
  readonly heatedC: number | null;
  /** Air changed with outdoors, times an hour: shut 0.3, ajar 2, open 6. From memory. */
  readonly airChangesH: number;
  readonly volumeM3: number;
  /** Water that wash, plaster and paint give off, g/h. */
  readonly waterGH: number;
  /** Taken out by a dryer, g/h. */
  readonly driedGH: number;
}
/** A heavy house follows the weather of the last day. From memory. */
const FOLLOWS = 1 - Math.exp(-1 / 24);

/** @returns air and humidity of the room hour by hour; its vapour is that of outdoors, what is given off, and what is taken out */
export function roomSeries(w: Weather, room: RoomDuring): { readonly tempC: Float64Array; readonly rhPct: Float64Array } {
  const n = hoursOf(w);
  const tempC = new Float64Array(n);
  const rhPct = new Float64Array(n);
  let slow = w.tempC[0]! + 2;
  let inside = vapourGM3((saturationPa(w.tempC[0]!) * w.rhPct[0]!) / 100, w.tempC[0]!);
  for (let h = 0; h < n; h += 1) {
    slow += FOLLOWS * (w.tempC[h]! - slow);
    const c = room.heatedC === null ? slow : Math.max(room.heatedC, slow);
    const outside = vapourGM3((saturationPa(w.tempC[h]!) * w.rhPct[h]!) / 100, w.tempC[h]!);
    const aims = outside + (room.waterGH - room.driedGH) / (room.airChangesH * room.volumeM3);
    inside += (1 - Math.exp(-room.airChangesH)) * (aims - inside);
    const most = vapourGM3(saturationPa(c), c);
    // What the air cannot hold settles on the walls; a dryer takes out no more than there is.
    inside = Math.min(most, Math.max(0.2 * most, inside));
    tempC[h] = c;
    rhPct[h] = Math.min(100, (100 * inside) / most);
  }
  return { tempC, rhPct };
}
