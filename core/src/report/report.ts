/** The whole plan in words and numbers: what the command line and the API give out, and what the printed page is made from. */
import { aboutJob } from './about';
import { coatSays, silicaOn, standingText, type Standing } from '../probe';
import { type JobFacts, type Surface } from '../facts';
import { methodById } from '../catalogue';
import { beside, countsOf, effortOn, jointProof, picksOf, type MethodOption, type PartChoice } from '../choose';
import type { JobPlan } from '../job/plan';
import { MONEY_LINES } from '../job/money';
import { jobSteps } from '../job/steps';
import { live } from '../job/views';
import type { SurfacePlan } from '../zone/surface-plan';
import { say, spellAs } from '../reasons';
import { sentence } from '../words';
import { bookOf, RULEBOOKS, type FirmSettings } from '../rulebook';
import { formatRange, formatWeight, measure, type UnitSystem } from '../units/units';
import { taskWears } from '../protect';
import { signsAt } from '../sign';
import { FINISH, finishOf } from '../repair';
import { defectSize } from '../work';
import { type Step } from '../step';
import { nothingReached, type ZonePlan } from '../zone';
import { STREAMS, wasteOf } from '../waste';
import { comparisonReport, trialReport } from './choosing';
import { NOTICE, reporter, type Reporter } from './reporter';
import { shiftReports } from './shifts';
import { surveyReport } from './survey';

/** What each part says of its methods: what was picked and how many stand beside it, or every verdict. */
export const DETAILS = ['picks', 'all'] as const;
export type Detail = (typeof DETAILS)[number];

function methodReport(o: MethodOption, part: PartChoice, { reasons, hours }: Reporter) {
  const effort = effortOn(part.areaM2, o.perM2, methodById(o.methodId));
  return {
    method: o.methodId,
    name: say(o.methodId),
    verdict: o.verdict,
    because: reasons(o.because),
    canInsist: o.canInsist,
    coatsReached: o.coatsReached,
    personHours: hours(effort.personHours),
    dwellHours: effort.dwellHours && hours(effort.dwellHours),
    cost: effort.total,
    ownRate: o.perM2.ownRate,
    proof: o.perM2.proof,
  };
}

type Compare = (s: Surface, p: SurfacePlan) => ReturnType<typeof comparisonReport> | null;

/** Every method on a part, best first. */
const verdictsOf = (part: PartChoice, r: Reporter) => ({
  methods: part.options.filter((o) => !beside(o)).map((o) => methodReport(o, part, r)),
  /** Not for this material, or nothing here that they take off. */
  notFor: part.options.filter(beside).map((o) => o.methodId),
  helpers: part.helpers.filter((o) => !beside(o)).map((o) => methodReport(o, part, r)),
});

function partReport(part: PartChoice, detail: Detail, r: Reporter) {
  return {
    id: part.partId,
    part: part.kind,
    area: r.quantity(measure(part.areaM2, 'm2')),
    selected: r.stated(part.selected),
    chosenByPerson: part.chosenByPerson,
    also: part.also.map(r.stated),
    /** What the plan does here, the main stroke first. */
    picks: picksOf(part).map((x) => methodReport(x.option, part, r)),
    counts: countsOf(part.options),
    verdicts: detail === 'all' ? verdictsOf(part, r) : null,
  };
}

const stepReports = (
  steps: readonly Step[],
  { units, reason, reasons, quantity, hours, asked, signs }: Reporter,
  s: Surface | null = null,
) =>
  steps.map((st, i) => ({
    number: i + 1,
    kind: st.kind,
    title: sentence(st.title, units),
    personHours: hours(st.handsOnH),
    waitHours: hours(st.waitH),
    quantities: st.amounts.map((a) => ({ what: say(a.what), ...quantity(a.amount) })),
    checks: st.gates.map((g) => ({
      id: g.id,
      mustBeTrue: reason(g.because),
      state: g.state,
      opensAfter: g.waitsFor === null ? null : reason(g.waitsFor),
      /** What is entered as a number, and what it has to be. */
      numbers: g.asks.map(asked),
      ifNotBackTo: g.backTo,
    })),
    /** What is seen there: to go on, to stop, and of harm. */
    signs: signs(s && st.at ? signsAt(s, st.at) : []),
    because: reasons(st.because),
  }));

function zoneReport(z: ZonePlan, named: ReadonlyMap<string, Surface>, r: Reporter) {
  const { reasons, stated, quantity } = r;
  const area = (m2: number) => quantity(measure(m2, 'm2'));
  const names = (ids: readonly string[]) => ids.flatMap((id) => named.get(id)?.name ?? []);
  const { protection: p } = z;
  return {
    id: z.zoneId,
    name: z.name,
    reachesNothing: nothingReached(z),
    kind: z.kind,
    surfaces: z.surfaceIds,
    /** Worked in this order, from above down. */
    order: names(z.order),
    orderChanged: reasons(z.moved),
    asSaid: z.setup,
    hazards: z.hazards.map((h) => ({ kind: h.kind, name: say(`reach.${h.kind}`), surfaces: names(h.surfaceIds) })),
    protection: {
      needed: stated(p.needed),
      sheetLaid: { ...area(p.sheetLaidM2.value), because: reasons(p.sheetLaidM2.because) },
      sheetBought: area(p.sheetBoughtM2),
      verticalScreen: stated(p.verticalScreen),
      openings: stated(p.openings),
      exposure: stated(p.exposure),
      respirator: stated(p.respirator),
      cartridges: p.cartridges,
      equipment: p.kit.map(stated),
      tasks: p.tasks.map((t) => ({
        method: t.methodId,
        name: say(t.methodId),
        respirator: stated(t.respirator),
        cartridges: t.cartridges,
        equipment: t.kit.map(stated),
        wears: taskWears(t, p.tasks),
      })),
      /** Whoever lays the solvent coats. */
      coat: p.coat && {
        products: p.coat.products.map(say),
        respirator: stated(p.coat.respirator),
        cartridges: p.coat.cartridges,
        equipment: p.coat.kit.map(stated),
      },
      /** How much of each solvent at once. */
      vapour: z.vapour.map((v) => ({ name: say(v.value.what), ...stated(v) })),
      access: z.access && stated(z.access),
      vibration: p.vibration.map((v) => ({ name: say(v.value.methodId), ...stated(v) })),
      bags: stated(p.bags),
      air: z.air && { ...stated(z.air), flow: z.air.value.flowM3h === null ? null : quantity(measure(z.air.value.flowM3h, 'm3/h')) },
      sign: stated(p.sign),
    },
    steps: stepReports(z.steps, r),
    hours: { handsOn: r.hours(z.handsOnH), waiting: r.hours(z.waitH) },
    money: z.money,
  };
}
export type ZoneReport = ReturnType<typeof zoneReport>;

/** Where it stands on the ladder, in a word, with its number. */
const knownReport = (at: Standing, { units }: Reporter) => ({ rung: at.rung, measured: at.measured, known: standingText(at, units) });

function surfaceReport(s: Surface, p: SurfacePlan, rules: 'us' | 'uk', detail: Detail, compare: Compare, r: Reporter) {
  const { reasons, stated, quantity } = r;
  const area = (m2: number) => quantity(measure(m2, 'm2'));
  return {
    id: s.id,
    name: s.name,
    element: say(s.element),
    material: say(s.material),
    count: s.count,
    areaEach: area(p.area.eachM2),
    area: area(p.area.totalM2),
    problems: p.problems,
    /** What the client declined, told in writing: outside the scope. */
    declined: s.declinedOn === null ? null : { on: s.declinedOn, note: s.declinedNote.trim() },
    lead: {
      overall: stated(p.lead.overall),
      ...knownReport(p.lead.standing, r),
      coats: p.lead.coats.map((c) => ({
        coat: coatSays(c.coat),
        /** What else poisons in it, beside lead. */
        poisons: c.coat.poisons,
        state: c.state,
        ...knownReport(c.standing, r),
        because: reasons(c.because),
      })),
      nextTest: stated(p.lead.next),
      labDueAt: p.lead.dueAt,
      /** What does not go together, and is asked. */
      asks: reasons(p.lead.asks),
    },
    asbestos: {
      overall: stated(p.asbestos.overall),
      ...knownReport(p.asbestos.standing, r),
      coat: stated(p.asbestos.coat),
      below: stated(p.asbestos.below),
      putty: stated(p.asbestos.putty),
    },
    mold: stated(p.mold),
    silica: stated(silicaOn(s, RULEBOOKS[rules])),
    touch: p.touch.map((x) => ({ depth: x.depth, ...stated(x.answer) })),
    requiredDepth: stated(p.choice.required),
    ...trialReport(s, p, r),
    comparison: compare(s, p),
    parts: p.choice.parts.map((part) => partReport(part, detail, r)),
    zone: p.zoneId,
    coating: {
      left: stated(p.coating.left),
      bare: area(p.coating.bareM2),
      topcoat: stated(p.coating.topcoat),
      refused: reasons(p.coating.refused),
      coats: p.coating.lines.map((l) => ({
        use: l.use,
        product: l.product,
        name: say(l.product),
        area: area(l.areaM2),
        coats: l.coats,
        quantity: quantity(measure(l.litres, 'L')),
        recoatHours: l.recoatH,
        because: reasons(l.because),
      })),
    },
    /** Its own; what its zone does once for all stands there. */
    /** How good it has to look, and how that is judged. */
    finish: {
      value: finishOf(s),
      agreed: s.finish !== null,
      name: say(finishOf(s)),
      light: say(FINISH[finishOf(s)].light),
      from: quantity(FINISH[finishOf(s)].from[rules]),
      staysMm: FINISH[finishOf(s)].staysMm,
    },
    /** What is wrong with its ground, and what is done about it. */
    repairs: p.repairs.map((x) => ({
      damage: x.defect.kind,
      name: say(x.defect.kind),
      /** Null: not measured, and taken as a usual one. */
      size: x.measured ? quantity(defectSize(x)) : null,
      depthMm: x.defect.depthMm,
      asFound: x.defect.asFound,
      /** Null: its day was not noted. */
      seenOn: x.defect.seenOn || null,
      repair: x.repair.value,
      does: say(`repair.${x.repair.value}`),
      layers: x.layers,
      personHours: x.handsOnH,
      because: reasons(x.repair.because),
      note: x.defect.note,
    })),
    steps: stepReports(
      p.work.steps.filter((st) => !st.shared),
      r,
      s,
    ),
    /** Hands on with its share of the zone's work; that share; and waiting. */
    hours: { handsOn: r.hours(p.work.handsOnH), ofZone: r.hours(p.work.sharedH), waiting: r.hours(p.work.waitH) },
    money: p.money,
    moneyOfZone: p.sharedMoney,
    proof: p.proof,
  };
}

export type SurfaceReport = ReturnType<typeof surfaceReport>;

export interface ReportOptions {
  readonly detail?: Detail;
  /** The hazard survey: what testing costs against assuming is the whole job derived twice more. Else it comes with every verdict. */
  readonly survey?: boolean;
  /** Each surface is planned again with every method: for one job at a time. */
  readonly compared?: boolean;
}

/**
 * @returns plain data: every answer with its sentences, sources and numbers, in the job's units. As JSON a reason is its place in `reasons`,
 * a number of a check its place in `numbers`, what is looked for at a step its place in `signs`, a source its place in `sources`.
 */
export function jobReport(
  facts: JobFacts,
  plan: JobPlan,
  settings: FirmSettings,
  now: string,
  { detail = 'picks', survey = detail === 'all', compared = false }: ReportOptions = {},
) {
  const { job } = facts;
  spellAs(job.rulebook);
  const r = reporter(job.units, settings);
  const { stated, quantity } = r;
  const thisYear = new Date(now).getUTCFullYear();
  const compare: Compare = (s, p) => (compared ? comparisonReport(facts, s, p, settings, thisYear, r) : null);
  const byId = new Map(facts.surfaces.map((s) => [s.id, s]));
  const spacePlans = new Map(plan.spaces.map((x) => [x.spaceId, x]));
  const bySpace = new Map(plan.spaces.map((x) => [x.spaceId, [] as SurfacePlan[]]));
  for (const p of plan.surfaces) bySpace.get(p.spaceId)?.push(p);
  return {
    notice: NOTICE,
    at: now,
    job: {
      id: job.id,
      name: job.name,
      place: job.place,
      client: job.clientName,
      about: aboutJob(job),
      yearBuilt: job.yearBuilt,
      rules: bookOf(job).name,
      edition: plan.edition,
      currency: settings.pricesIn,
      note: job.note,
    },
    detail,
    /** Papers, what to buy, handing over. */
    steps: stepReports(jobSteps(facts, plan), r),
    zones: plan.zones.map((z) => zoneReport(z, byId, r)),
    /** Who is where on which day, with what they breathe and wear. */
    shifts: shiftReports(facts, plan, settings),
    /** What leaves the job, by what made it. */
    waste: wasteOf(facts, plan, settings).map((w) => ({
      stream: w.stream,
      name: say(`stream.${w.stream}`),
      kg: w.kg,
      weight: w.kg.high === 0 ? 'none planned' : formatRange(w.kg, (kg) => formatWeight(kg, job.units)),
      litres: w.litres,
      containers: w.containers,
      container: say(`container.${STREAMS[w.stream].container}`),
      stands: say(`stands.${STREAMS[w.stream].stands}`),
      className: say(`wasteClass.${w.classed.value.class}`),
      classed: stated(w.classed),
    })),
    spaces: live(facts.spaces).map((space) => {
      const sp = spacePlans.get(space.id);
      return {
        id: space.id,
        name: space.name,
        kind: space.kind,
        disturbed: quantity(measure(sp?.disturbedM2 ?? 0, 'm2')),
        minorWork: sp ? stated(sp.minorWork) : null,
        surfaces: (bySpace.get(space.id) ?? []).map((p) => surfaceReport(byId.get(p.surfaceId)!, p, job.rulebook, detail, compare, r)),
      };
    }),
    totals: {
      area: quantity(measure(plan.totals.areaM2, 'm2')),
      personHours: plan.totals.personHours,
      money: plan.totals.money,
      /** What it is made of; together it is the whole. */
      lines: MONEY_LINES.map((line) => ({ line, name: say(`money.${line}`), money: plan.totals.lines[line] })),
      proof: jointProof(plan.surfaces.map((p) => p.proof)),
      /** Surfaces on a part of which no method is allowed: the sums are without them. */
      unpriced: plan.surfaces.filter((p) => p.proof === 'unpriced').length,
    },
    states: plan.states,
    survey: survey ? surveyReport(facts, plan, settings, now, r) : null,
    next: plan.next.act,
    reasons: r.tables.reasons.rows,
    sources: r.tables.sources.rows,
    numbers: r.tables.asked.rows,
    signs: r.tables.signs.rows,
  };
}
export type JobReport = ReturnType<typeof jobReport>;

/** Every verdict on every part of one surface. */
export function methodsReport(p: SurfacePlan, units: UnitSystem, settings: Pick<FirmSettings, 'sourceChecks'>) {
  const r = reporter(units, settings);
  return {
    surface: p.surfaceId,
    requiredDepth: r.stated(p.choice.required),
    parts: p.choice.parts.map((part) => partReport(part, 'all', r)),
    reasons: r.tables.reasons.rows,
    sources: r.tables.sources.rows,
  };
}
