/** A person's day in a zone: its tasks across the shift, what is breathed at each, and the whole against the limit. */
import { dayOfLead, type DayOfLead, type LimitSet } from '../air/breathing';
import type { MethodId } from '../facts';
import type { FirmSettings } from '../rulebook';
import type { SurfacePlan } from './surface-plan';
import { methodsIn } from './methods-in';
import type { ZonePlan } from './plan';

export interface DayPart {
  readonly what: 'setUp' | 'cleanUp' | MethodId;
  readonly hours: number;
  /** Lead in the air, ug/m3; null: no upper end is known. */
  readonly ugM3: number | null;
}

export interface ZoneDay {
  readonly people: number;
  readonly shiftH: number;
  /** Days of the whole crew in the zone, begun ones whole. */
  readonly days: number;
  /** In the order of the day. */
  readonly parts: readonly DayPart[];
  /** Null: something in it has no upper end, and no sum can be made. */
  readonly lead: DayOfLead | null;
}

const high = (r: { readonly high: number }): number => r.high;

/**
 * The longer case of every task, shared by the crew, in days of the shift that was set.
 * @returns null: nothing is disturbed in it, or nothing is decided
 */
export function zoneDay(zone: ZonePlan, plans: readonly SurfacePlan[], settings: FirmSettings, set: LimitSet): ZoneDay | null {
  const { tasks, breathedUgM3 } = zone.protection;
  if (tasks.length === 0 || zone.steps.length === 0) return null;
  const people = zone.setup.crew ?? settings.crew;
  const shiftH = zone.setup.shiftH ?? settings.hoursPerDay;
  const hours = new Map<DayPart['what'], number>();
  const put = (what: DayPart['what'], h: number) => hours.set(what, (hours.get(what) ?? 0) + h);
  for (const st of zone.steps) put(st.kind === 'protect' ? 'setUp' : 'cleanUp', high(st.handsOnH));
  const here = new Set(zone.surfaceIds);
  for (const p of plans.filter((x) => here.has(x.surfaceId))) for (const { methodId, hoursHigh } of methodsIn(p)) put(methodId, hoursHigh);
  const total = [...hours.values()].reduce((a, b) => a + b, 0);
  if (total === 0) return null;
  const days = Math.max(1, Math.ceil(total / (people * shiftH) - 1e-9));
  const of = (what: DayPart['what']): number => (hours.get(what) ?? 0) / (people * days);
  const parts: DayPart[] = [
    { what: 'setUp' as const, hours: of('setUp'), ugM3: 0 },
    ...tasks.map((t) => ({ what: t.methodId, hours: of(t.methodId), ugM3: t.breathedUgM3 })),
    // Nothing published says what sweeping it up gives: it counts as the worst of what made it. 29 CFR 1926.62(d)(2)(ii).
    { what: 'cleanUp' as const, hours: of('cleanUp'), ugM3: breathedUgM3 },
  ].filter((p) => p.hours > 1e-9);
  const lead = parts.some((p) => p.ugM3 === null)
    ? null
    : dayOfLead(
        parts.map((p) => ({ ugM3: p.ugM3!, hours: p.hours })),
        set,
      );
  return {
    people,
    shiftH,
    days,
    parts,
    lead,
  };
}
