/** What happens when it goes wrong in a zone, by what can go wrong there. */
import { why, type Reason } from '../reasons';
import { RULEBOOKS, type Rulebook } from '../rulebook';
import { measure } from '../units/units';
import { byLaw } from '../protect';
import type { ZonePlan } from './plan';

export function emergencies(zone: ZonePlan, rules: Rulebook['id']): Reason[] {
  const reaches = (kind: string) => zone.hazards.some((h) => h.kind === kind);
  const { sources } = RULEBOOKS[rules];
  const out: Reason[] = [];
  if (reaches('caustic') || reaches('acid')) out.push(why('emergency.burns', 'ansi-z358', { rinse: measure(15, 'min') }));
  if (zone.protection.needed.value) out.push(why('emergency.tears', byLaw(zone.protection) ? sources.cleaning : 'trade-contain'));
  if (zone.protection.fibres) out.push(why('emergency.fibres', sources.asbestosWork));
  else if (reaches('asbestos')) out.push(why('emergency.asbestos', sources.asbestosWork));
  if (zone.air !== null) out.push(why('emergency.airStops', sources.mold));
  if (reaches('vapour')) out.push(why('emergency.vapour', 'trade-coat-air'));
  if (zone.protection.injects) out.push(why('emergency.injection', 'trade-lay'));
  if (reaches('hotWork')) out.push(why('emergency.fire', 'nfpa-51b', { watch: measure(60, 'min') }));
  if (zone.access !== null) out.push(why('emergency.fall', 'trade-height'));
  return out;
}
