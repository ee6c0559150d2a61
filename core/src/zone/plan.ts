/** A zone: one containment and one set of everything for the surfaces that are worked in it. */
import type { Check, MethodId, Nearby, Service, Surface } from '../facts';
import type { Range } from '../choose';
import { HAZARD_KINDS, protect, type HazardKind, type Needs, type Protection, type ZoneContext } from '../protect';
import type { HazardState } from '../probe';
import type { Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { hoursOf, NOTHING, plus, type Step, type StepSpec } from '../work';
import { isFinish, placed, standingOf, standsAt, type Standing } from './standing';
import { zoneOrder } from './order';
import { zoneSteps } from './steps';
import type { ZoneView } from './zones';

/** What a zone takes from the plan of one of its surfaces. */
export interface ZoneMember {
  readonly surfaceId: string;
  readonly name: string;
  /** Its place from above down (zone/order.ts). */
  readonly turn: number;
  readonly needs: Needs;
  /** Every method that is planned on it. */
  readonly planned: readonly MethodId[];
  readonly steps: readonly StepSpec[];
  readonly checks: readonly Check[];
  /** Of a door or window; of anything else nobody asks. */
  readonly opening: Surface['opening'];
  /** By what it bears of the zone's work, m2; 0: nothing is done on it. */
  readonly workedM2: number;
}

/** What a zone knows of the job beside its surfaces. */
export interface ZoneGiven extends ZoneContext {
  readonly assisted: boolean;
  readonly minorWork: boolean | null;
  readonly goesAnyway: readonly string[];
  /** What runs beside the work in any of its rooms. */
  readonly services: readonly Service[];
  /** What lies before its sides. */
  readonly nearby: readonly Nearby[];
}

export interface ZonePlan extends Pick<ZoneView, 'kind' | 'name' | 'partOf' | 'spaceIds' | 'setup'> {
  readonly zoneId: string;
  readonly surfaceIds: readonly string[];
  /** Those that are worked, from above down. */
  readonly order: readonly string[];
  /** What of the entered order that changed. */
  readonly moved: readonly Reason[];
  /** Of those, where something is disturbed. */
  readonly working: readonly string[];
  /** All that its strokes reach or make, each with the surfaces on which they do. */
  readonly hazards: readonly { readonly kind: HazardKind; readonly surfaceIds: readonly string[] }[];
  /** Lead on each of its surfaces, as its picture shows it. */
  readonly leads: readonly { readonly surfaceId: string; readonly state: HazardState }[];
  readonly protection: Protection;
  /** Its own: set up, clean, verify. */
  readonly steps: readonly Step[];
  readonly handsOnH: Range;
  readonly waitH: Range;
  /** Its own work, sheet and bags. */
  readonly money: Range;
  readonly standsAt: string | null;
}

export interface ZoneMade {
  readonly plan: ZonePlan;
  readonly standing: Standing;
  /** Of the zone's own work, which part each surface bears; together 1, or 0 where nothing is done. */
  readonly shares: ReadonlyMap<string, number>;
}

/** Sheet and bags are bought once. */
function moneyOf(protection: Protection, handsOnH: Range, settings: FirmSettings): Range {
  const bought = protection.sheetBoughtM2 * settings.sheetPerM2 + protection.bags.value * settings.bagEach;
  return { low: handsOnH.low * settings.labourPerHour + bought, high: handsOnH.high * settings.labourPerHour + bought };
}

export function planZone(view: ZoneView, given: ZoneGiven, members: readonly ZoneMember[], checks: readonly Check[]): ZoneMade {
  const { settings } = given;
  const needs = members.map((m) => m.needs);
  const working = members.filter((m) => m.workedM2 > 0);
  const protection = protect(needs, given);
  const strokesH = working.reduce((sum, m) => plus(sum, hoursOf(m.steps.filter((st) => !isFinish(st))).handsOnH), NOTHING);
  const specs =
    working.length === 0
      ? []
      : zoneSteps({
          ctx: given,
          needs,
          protection,
          methods: [...new Set(working.flatMap((m) => m.planned))],
          strokesH,
          crew: view.setup.crew ?? settings.crew,
          shiftH: view.setup.shiftH ?? settings.hoursPerDay,
          assisted: given.assisted,
          minorWork: given.minorWork,
          goesAnyway: given.goesAnyway,
          services: given.services,
          nearby: given.nearby,
          openings: members,
          machines: (settings.machines ?? []).filter((m) => m.removedAt === null && view.setup.machineIds.includes(m.id)),
        });
  const standing = standingOf(specs, checks, members, view.id);
  const steps = placed(specs, null, view.id, standing);
  const { handsOnH, waitH } = hoursOf(specs);
  const total = working.reduce((sum, m) => sum + m.workedM2, 0);
  const hazards = HAZARD_KINDS.flatMap((kind) => {
    const surfaceIds = needs.filter((n) => n.reaches.includes(kind)).map((n) => n.surfaceId);
    return surfaceIds.length === 0 ? [] : [{ kind, surfaceIds }];
  });
  const { id: zoneId, kind, name, partOf, spaceIds, setup } = view;
  return {
    plan: {
      zoneId,
      kind,
      name,
      partOf,
      spaceIds,
      setup,
      surfaceIds: members.map((m) => m.surfaceId),
      ...zoneOrder(working),
      working: needs.filter((n) => n.methods.length > 0).map((n) => n.surfaceId),
      hazards,
      leads: needs.map((n) => ({ surfaceId: n.surfaceId, state: n.leadState })),
      protection,
      steps,
      handsOnH,
      waitH,
      money: specs.length === 0 ? NOTHING : moneyOf(protection, handsOnH, settings),
      standsAt: standsAt(steps),
    },
    standing,
    shares: new Map(members.map((m) => [m.surfaceId, total === 0 ? 0 : m.workedM2 / total])),
  };
}

/** The steps of one surface with those of its zone around them, in the order in which they are done. */
export function stepsAround(own: readonly StepSpec[], surfaceId: string, zone: ZoneMade): Step[] {
  const mine = placed(own, surfaceId, zone.plan.zoneId, zone.standing);
  const shared = mine.some((st) => st.kind === 'prepare') ? zone.plan.steps : [];
  const setUp = shared.filter((st) => st.kind === 'protect');
  return [
    ...mine.filter((st) => st.kind === 'prepare'),
    ...setUp,
    ...mine.filter((st) => st.kind !== 'prepare' && !isFinish(st)),
    ...shared.filter((st) => st.kind !== 'protect'),
    ...mine.filter(isFinish),
  ];
}
