/** A zone: one containment and one set of everything for the surfaces that are worked in it. */
import type { Sent } from '../sign';
import { priceOf } from '../shelf/firm-sheets';
import type { Check, MethodId, Nearby, Service, Surface } from '../facts';
import { methodById, runsOff } from '../catalogue';
import type { Range } from '../units/units';
import { reachM } from '../coat';
import { protect, type Kit, type Protection, type ZoneContext } from '../protect';
import { HAZARD_KINDS, type HazardKind, type Needs } from '../surface/needs';
import type { HazardState } from '../probe';
import type { Answer, Reason } from '../reasons';
import type { FirmSettings, RespiratorId } from '../rulebook';
import { hoursOf, NOTHING, plus, type Step, type StepSpec } from '../step';
import { isFinish, placed, standingOf, standsAt, type Standing } from './standing';
import { zoneAir, type ZoneAir } from './air';
import { zoneVapour, type VapourAnswer } from './vapour';
import { zoneAccess, type ZoneAccess } from './access';
import { zoneOrder } from './order';
import { zoneSteps, type AsbestosBeside } from './steps';
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
  /** What was seen on it that sends work back. */
  readonly sent: readonly Sent[];
  readonly checks: readonly Check[];
  /** Of a door or window; of anything else nobody asks. */
  readonly opening: Surface['opening'];
  /** By what it bears of the zone's work, m2; 0: nothing is done on it. */
  readonly workedM2: number;
}

/** What a zone knows of the job beside its surfaces. */
export interface ZoneGiven extends ZoneContext {
  readonly assisted: boolean;
  /** A child under six lives there: wipes by a lab are offered, whoever pays. */
  readonly childLivesHere: boolean;
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
  /** On which a coat that may hold asbestos is worked, by trained people. */
  readonly fibreIds: readonly string[];
  /** Pieces in it that may hold asbestos and stay as they are: named, and kept clear of. */
  readonly asbestosBeside: readonly AsbestosBeside[];
  /** Lead on each of its surfaces, as its picture shows it. */
  readonly leads: readonly { readonly surfaceId: string; readonly state: HazardState }[];
  readonly protection: Protection;
  /** Suction while growth is cleaned; null: none is asked for. */
  readonly air: Answer<ZoneAir> | null;
  /** From what it is worked; null: from the floor or the ground. */
  readonly access: Answer<ZoneAccess> | null;
  /** Of each solvent that is laid indoors, how much at once. */
  readonly vapour: readonly Answer<VapourAnswer>[];
  /** Its own: set up, clean, verify. */
  readonly steps: readonly Step[];
  readonly handsOnH: Range;
  readonly waitH: Range;
  /** Its own work, and what is bought for it. */
  readonly money: Range;
  readonly bought: ZoneBought;
  readonly standsAt: string | null;
}

export interface ZoneMade {
  readonly plan: ZonePlan;
  readonly standing: Standing;
  /** Of the zone's own work, which part each surface bears; together 1, or 0 where nothing is done. */
  readonly shares: ReadonlyMap<string, number>;
}

/** In the firm's money. */
export interface ZoneBought {
  /** Sheet and bags, bought once. */
  readonly sheet: number;
  /** Filters, cartridges and suits, by the hours that people are in there. */
  readonly wear: Range;
  /** Masks that are used up or loaded, by person and day, the longer case; null: none is worn. */
  readonly masks: readonly { readonly mask: RespiratorId; readonly personDays: number }[];
  /** Suits, the longer case. */
  readonly suits: number;
  /** The bags gone. */
  readonly disposal: number;
}
const NOTHING_BOUGHT: ZoneBought = { sheet: 0, wear: NOTHING, masks: [], suits: 0, disposal: 0 };

/** @param insideH hours of all people together in the zone: set-up, strokes and clean-up @param coatH of those who lay its coats with solvent, and those that are sprayed */
function boughtFor(
  { sheetBoughtM2, bags, respirator, coat, kit }: Protection,
  { insideH, coatH }: Readonly<Record<'insideH' | 'coatH', Range>>,
  shiftH: number,
  given: ZoneGiven,
): ZoneBought {
  const { settings, rulebook } = given;
  // The cheapest that does what is asked: nobody pays more for a light mask than for a heavier one that hangs beside it. Law H3.
  const maskDay = (asked: RespiratorId | null): number => {
    const mask = rulebook.respirators.find((r) => r.id === asked);
    const masks = mask === undefined ? [] : rulebook.respirators.filter((r) => r.apf >= mask.apf && (r.vapour || !mask.vapour));
    return masks.length === 0 ? 0 : Math.min(...masks.map((r) => settings.wearPerDay[r.build]));
  };
  const suit = (worn: readonly Answer<Kit>[] | undefined): number => (worn?.some((k) => k.value === 'coverall') === true ? 1 : 0);
  const suitPrice = priceOf(settings, 'coverall');
  const perDay = maskDay(respirator.value) + suit(kit) * suitPrice;
  const perCoatDay = maskDay(coat?.respirator.value ?? null) + suit(coat?.kit) * suitPrice;
  // Whoever comes in for an hour uses up a day's filters and a suit.
  const days = (h: number) => Math.ceil(h / shiftH - 1e-9);
  return {
    sheet: sheetBoughtM2 * priceOf(settings, 'sheet') + bags.value * priceOf(settings, 'wasteBags'),
    wear: {
      low: days(insideH.low) * perDay + days(coatH.low) * perCoatDay,
      high: days(insideH.high) * perDay + days(coatH.high) * perCoatDay,
    },
    masks: [
      ...(respirator.value === null ? [] : [{ mask: respirator.value, personDays: days(insideH.high) }]),
      ...(coat === null || coat.respirator.value === null ? [] : [{ mask: coat.respirator.value, personDays: days(coatH.high) }]),
    ].filter((m) => m.personDays > 0),
    suits: days(insideH.high) * suit(kit) + days(coatH.high) * suit(coat?.kit),
    disposal: bags.value * settings.disposalPerBag,
  };
}

function moneyOf({ sheet, wear, disposal }: ZoneBought, handsOnH: Range, { labourPerHour }: FirmSettings): Range {
  const of = (end: keyof Range) => handsOnH[end] * labourPerHour + sheet + wear[end] + disposal;
  return { low: of('low'), high: of('high') };
}

export function planZone(view: ZoneView, given: ZoneGiven, members: readonly ZoneMember[], checks: readonly Check[]): ZoneMade {
  const { settings } = given;
  const needs = members.map((m) => m.needs);
  const working = members.filter((m) => m.workedM2 > 0);
  const protection = protect(needs, given);
  const strokesH = working.reduce((sum, m) => plus(sum, hoursOf(m.steps.filter((st) => !isFinish(st))).handsOnH), NOTHING);
  const finishH = working.reduce((sum, m) => plus(sum, hoursOf(m.steps.filter(isFinish)).handsOnH), NOTHING);
  const coatH = working
    .filter((m) => m.needs.solventCoats.length > 0 || m.needs.mists.length > 0)
    .reduce((sum, m) => plus(sum, hoursOf(m.steps.filter(isFinish)).handsOnH), NOTHING);
  const machines = (settings.machines ?? []).filter((m) => m.removedAt === null && view.setup.machineIds.includes(m.id));
  // Where a piece is not decided yet, nothing is done on it.
  const air =
    working.length === 0
      ? null
      : zoneAir(
          working.map((m) => m.needs),
          given,
          machines,
        );
  const access = zoneAccess(
    working.map((m) => m.needs),
    given,
    Math.max(strokesH.high, finishH.high),
    given.nearby.some((n) => n.what === 'scaffold'),
  );
  const shiftH = view.setup.shiftH ?? settings.hoursPerDay;
  const asbestosBeside = members.flatMap(({ surfaceId, name, needs: { asbestosStays } }): AsbestosBeside[] =>
    asbestosStays === null ? [] : [{ surfaceId, name, standing: asbestosStays }],
  );
  const specs =
    working.length === 0
      ? []
      : zoneSteps({
          ctx: given,
          needs,
          protection,
          methods: [...new Set(working.flatMap((m) => m.planned))],
          workedIds: working.map((m) => m.surfaceId),
          strokesH,
          crew: view.setup.crew ?? settings.crew,
          shiftH,
          assisted: given.assisted,
          childLivesHere: given.childLivesHere,
          minorWork: given.minorWork,
          goesAnyway: given.goesAnyway,
          services: given.services,
          nearby: given.nearby,
          mistReachM: Math.max(0, ...working.flatMap((m) => m.needs.mists.map((x) => reachM(x.way, given.rulebook.id)))),
          runsOff: working.some(
            (m) => m.planned.some((id) => runsOff(methodById(id))) || m.steps.some((st) => st.kind === 'wash' || st.kind === 'rinse'),
          ),
          openings: members,
          machines,
          air,
          access,
          asbestosBeside,
        });
  const standing = standingOf(specs, checks, members, view.id);
  const steps = placed(specs, null, view.id, standing);
  const { handsOnH, waitH } = hoursOf(specs);
  const bought = specs.length === 0 ? NOTHING_BOUGHT : boughtFor(protection, { insideH: plus(strokesH, handsOnH), coatH }, shiftH, given);
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
      fibreIds: needs.filter((n) => n.fibres).map((n) => n.surfaceId),
      asbestosBeside,
      leads: needs.map((n) => ({ surfaceId: n.surfaceId, state: n.leadState })),
      protection,
      air,
      access,
      vapour: zoneVapour(
        working.map((m) => m.needs),
        given,
        protection.openings.value === 'closeAndSeal',
      ),
      steps,
      handsOnH,
      waitH,
      money: moneyOf(bought, handsOnH, settings),
      bought,
      standsAt: standsAt(steps),
    },
    standing,
    shares: new Map(members.map((m) => [m.surfaceId, total === 0 ? 0 : m.workedM2 / total])),
  };
}

/** What a zone whose strokes reach nothing says of itself; null: it names what they reach. The same on screen and paper. */
export const nothingReached = ({ hazards, asbestosBeside }: Pick<ZonePlan, 'hazards' | 'asbestosBeside'>): string | null =>
  hazards.length > 0 ? null : asbestosBeside.length > 0 ? 'What may hold asbestos is left alone' : 'Ordinary care: no hazard is stirred up';

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
