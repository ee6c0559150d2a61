/** A person's shift over all the zones in which they work that day: what is breathed where, the whole against the limit, and how long in a mask. */
import { dayOfLead, limitSetOf, type DayOfLead } from '../air/breathing';
import type { JobFacts, Stint } from '../facts';
import type { JobPlan } from './plan';
import { CARTRIDGES, type Cartridge } from '../protect';
import { type HazardKind } from '../surface/needs';
import { bookOf, type FirmSettings, type Respirator, type RespiratorId } from '../rulebook';
import { zoneDay, type DayPart } from '../zone/day';
import { dayKey } from '../zone/longest-day';
import type { ZonePlan } from '../zone/plan';

export interface ShiftPart {
  readonly zoneId: string;
  readonly zone: string;
  /** `otherWork`: nothing is disturbed there. */
  readonly what: DayPart['what'] | 'otherWork';
  readonly hours: number;
  /** Lead in the air, ug/m3; null: no upper end is known. */
  readonly ugM3: number | null;
}

export interface Shift {
  readonly person: string;
  /** `2026-05-04` */
  readonly on: string;
  readonly stints: readonly Stint[];
  /** In the order of the day. */
  readonly parts: readonly ShiftPart[];
  readonly hours: number;
  /** Null: something in it has no upper end. */
  readonly lead: DayOfLead | null;
  /** The strictest of the zones', each of which is held against the limit of this day: who goes from one to the other wears no less. */
  readonly mask: RespiratorId | null;
  readonly cartridges: readonly Cartridge[];
  /** h in which a mask is worn: all but setting up. */
  readonly maskH: number;
  /** What else is in the air where they work. */
  readonly agents: readonly HazardKind[];
}

const BREATHED: readonly HazardKind[] = ['asbestos', 'mold', 'silica', 'dust', 'vapour'];

/** A zone's own day, cut to the hours for which somebody is in it. */
function partsOf(s: Stint, plan: JobPlan, settings: FirmSettings, facts: JobFacts): ShiftPart[] {
  const zone = plan.zones.find((z) => z.zoneId === s.zoneId);
  const day = zone ? zoneDay(zone, plan.surfaces, settings, limitSetOf(facts.job.rulebook, facts.job.stateLayer)) : null;
  const at = { zoneId: s.zoneId, zone: zone?.name ?? 'a zone without work' };
  if (day === null) return [{ ...at, what: 'otherWork', hours: s.hours, ugM3: 0 }];
  const total = day.parts.reduce((sum, p) => sum + p.hours, 0);
  return day.parts.map((p) => ({ ...at, what: p.what, hours: (p.hours / total) * s.hours, ugM3: p.ugM3 }));
}

/** At the strokes, and while it is coated. Law H1: the coating strokes too. */
const wornIn = ({ protection: { respirator, coat } }: ZonePlan): (RespiratorId | null)[] => [
  respirator.value,
  coat?.respirator.value ?? null,
];

function strictestMask(zones: readonly ZonePlan[], masks: readonly Respirator[]): RespiratorId | null {
  const rank = (id: RespiratorId | null): number => masks.findIndex((m) => m.id === id);
  return zones.flatMap(wornIn).reduce<RespiratorId | null>((worst, id) => (rank(id) > rank(worst) ? id : worst), null);
}

/** @returns a shift for each person and day, in the order of the days, then of the names */
export function shiftsOf(facts: JobFacts, plan: JobPlan, settings: FirmSettings): Shift[] {
  const set = limitSetOf(facts.job.rulebook, facts.job.stateLayer);
  const masks = bookOf(facts.job).respirators;
  const by = new Map<string, Stint[]>();
  for (const s of facts.stints) {
    if (s.removedAt !== null) continue;
    by.set(dayKey(s), [...(by.get(dayKey(s)) ?? []), s]);
  }
  return [...by.keys()].sort().map((key): Shift => {
    const stints = by.get(key)!.sort((a, b) => a.fromMin - b.fromMin);
    const parts = stints.flatMap((s) => partsOf(s, plan, settings, facts));
    const zones = plan.zones.filter((z) => stints.some((s) => s.zoneId === z.zoneId));
    const hours = stints.reduce((sum, s) => sum + s.hours, 0);
    const masked = new Set(zones.filter((z) => wornIn(z).some((id) => id !== null)).map((z) => z.zoneId));
    return {
      person: stints[0]!.person.trim(),
      on: stints[0]!.on,
      stints,
      parts,
      hours,
      lead: parts.some((p) => p.ugM3 === null)
        ? null
        : dayOfLead(
            parts.map((p) => ({ ugM3: p.ugM3!, hours: p.hours })),
            set,
          ),
      mask: strictestMask(zones, masks),
      cartridges: CARTRIDGES.filter((c) =>
        zones.some(({ protection: p }) => p.cartridges.includes(c) || p.coat?.cartridges.includes(c) === true),
      ),
      maskH: parts.reduce((sum, p) => sum + (masked.has(p.zoneId) && p.what !== 'setUp' ? p.hours : 0), 0),
      agents: BREATHED.filter((k) => zones.some((z) => z.hazards.some((h) => h.kind === k))),
    };
  });
}
