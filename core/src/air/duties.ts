/** What an exposure to lead sets going, as duties with a day where they have one. 29 CFR 1926.62(d) to (n); CLAW 2002, HSE L132 from memory. */
import { why, type Reason } from '../reasons';
import { measure } from '../units/units';
import { monthsToNext, type DayOfLead, type LimitSet } from './breathing';

export interface AirDuty {
  readonly because: Reason;
  /** `2026-05-04`; null: it has no day of its own, or nobody set one. */
  readonly by: string | null;
}

export interface AirDutiesAsked {
  readonly day: DayOfLead;
  readonly set: LimitSet;
  /** No result of the firm stands behind it. */
  readonly presumed: boolean;
  readonly masked: boolean;
  /** The first day of work, and the last result; null: none. */
  readonly startOn: string | null;
  readonly lastSampleOn: string | null;
}

/** Over a shift, from which clothes are changed daily, ug/m3. 29 CFR 1926.62(g)(2). */
const DAILY_FROM = 200;

function plusMonths(day: string, months: number): string {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  // The 31st of a month that has none is its last day.
  const last = new Date(Date.UTC(y, m - 1 + months + 1, 0)).getUTCDate();
  return new Date(Date.UTC(y, m - 1 + months, Math.min(d, last))).toISOString().slice(0, 10);
}

export function airDuties({ day, set, presumed, masked, startOn, lastSampleOn }: AirDutiesAsked): AirDuty[] {
  if (!day.atAction && !masked) return [];
  const out: AirDuty[] = [];
  const duty = (because: Reason, by: string | null = null) => out.push({ because, by });
  if (masked) duty(why('airDuty.mask', set === 'uk' ? 'hsg53' : 'cfr29-1910.134c'), startOn);
  // The rest is of lead: a mask for growth or vapour sets nothing of it going.
  if (day.average === 0) return out;
  if (set === 'uk') {
    if (day.atAction) duty(why('airDuty.ukSurveillance', 'clw2002'), startOn);
    duty(why('airDuty.training', 'clw2002'), startOn);
    duty(why('airDuty.ukRecords', 'clw2002', { years: 40 }));
    return out;
  }
  const source = set === 'california' ? ('ca-1532.1' as const) : ('cfr29-1926.62' as const);
  if (presumed) duty(why('airDuty.presumed', source), startOn);
  if (day.atAction) {
    duty(why('airDuty.training', source), startOn);
    duty(why('airDuty.firstBlood', source), startOn);
    duty(why('airDuty.blood', source));
    const months = monthsToNext(day)!;
    duty(why('airDuty.sampleAgain', source, { months }), lastSampleOn === null ? startOn : plusMonths(lastSampleOn, months));
  }
  if (day.over) {
    duty(why('airDuty.shower', source));
    duty(
      day.average >= DAILY_FROM
        ? why('airDuty.clothesDaily', source, { breathed: measure(day.average, 'ug/m3') })
        : why('airDuty.clothesWeekly', source),
    );
  }
  duty(why('airDuty.records', source, { years: 30 }));
  return out;
}
