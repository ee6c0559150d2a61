/** Who is where on which day, as every paper puts it. */
import type { JobFacts } from '../facts';
import type { JobPlan } from '../job/plan';
import { withCartridges } from '../protect';
import { say } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { formatMeasure, formatWork, measure, roundForReading } from '../units/units';
import { shiftsOf, type Shift } from '../zone-day';

export interface ShiftReport extends Pick<Shift, 'person' | 'on' | 'hours' | 'mask' | 'maskH' | 'lead'> {
  readonly zones: readonly { readonly zoneId: string; readonly name: string; readonly hours: number }[];
  readonly says: string;
}

export function shiftReports(facts: JobFacts, plan: JobPlan, settings: FirmSettings): ShiftReport[] {
  const { units } = facts.job;
  const air = (ug: number) => formatMeasure(measure(roundForReading(ug), 'ug/m3'), units);
  return shiftsOf(facts, plan, settings).map(({ person, on, hours, mask, cartridges, maskH, lead, stints }) => {
    const zones = stints.map((x) => ({
      zoneId: x.zoneId,
      name: plan.zones.find((z) => z.zoneId === x.zoneId)?.name ?? 'a zone without work',
      hours: x.hours,
    }));
    const breathed = lead ? `${air(lead.average)} of lead against ${air(lead.limit)}` : 'no upper end of lead known';
    const worn = mask ? `${say(mask)}${withCartridges(cartridges)}, worn for ${formatWork(maskH)}` : 'no mask asked for';
    const places = zones.map((z) => `${z.name} ${formatWork(z.hours)}`).join(', ');
    return { person, on, hours, mask, maskH, lead, zones, says: `${on}, ${person}: ${places}; ${breathed}; ${worn}.` };
  });
}
