/** The whole plan in words and numbers: what the command line and the API give out, and what the printed page is made from. */
import type { JobFacts, Surface } from '../facts';
import { methodById } from '../catalogue';
import { beside, effortOn, jointProof, type MethodOption, type PartChoice } from '../choose';
import type { JobPlan } from '../job/derive';
import type { SurfacePlan } from '../surface/plan';
import { say } from '../reasons';
import { sentence } from '../words';
import { RULEBOOKS, type FirmSettings } from '../rulebook';
import { measure, type UnitSystem } from '../units/units';
import { silicaOn, UNCOUNTED } from '../probe';
import { comparisonReport, trialReport } from './choosing';
import { NOTICE, reasonReport, reporter } from './reporter';
import { surveyReport } from './survey';

function methodReport(o: MethodOption, part: PartChoice, units: UnitSystem) {
  const { reasons, inShort } = reporter(units);
  const effort = effortOn(part.areaM2, o.perM2, methodById(o.methodId));
  return {
    method: o.methodId,
    name: say(o.methodId),
    verdict: o.verdict,
    because: o.methodId === part.selected.value ? reasons(o.because) : inShort(o.because),
    canInsist: o.canInsist,
    coatsReached: o.coatsReached,
    personHours: effort.personHours,
    dwellHours: effort.dwellHours,
    cost: effort.total,
    ownRate: o.perM2.ownRate,
    proof: o.perM2.proof,
  };
}

type Compare = (s: Surface, p: SurfacePlan) => ReturnType<typeof comparisonReport> | null;

function surfaceReport(s: Surface, p: SurfacePlan, units: UnitSystem, rules: 'us' | 'uk', compare: Compare) {
  const { reasons, stated, quantity } = reporter(units);
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
    lead: {
      overall: stated(p.lead.overall),
      coats: p.lead.coats.map((c) => ({
        coat: c.coat.id === UNCOUNTED ? 'coats not counted yet' : `${say(c.coat.binder)}${c.coat.colour ? `, ${c.coat.colour}` : ''}`,
        state: c.state,
        because: reasons(c.because),
      })),
      nextTest: stated(p.lead.next),
      labDueAt: p.lead.dueAt,
    },
    asbestos: {
      overall: stated(p.asbestos.overall),
      coat: stated(p.asbestos.coat),
      below: stated(p.asbestos.below),
      putty: stated(p.asbestos.putty),
    },
    mold: stated(p.mold),
    silica: stated(silicaOn(s, RULEBOOKS[rules])),
    touch: p.touch.map((x) => ({ depth: x.depth, ...stated(x.answer) })),
    requiredDepth: stated(p.choice.required),
    ...trialReport(s, p, units),
    comparison: compare(s, p),
    parts: p.choice.parts.map((part) => ({
      part: part.kind,
      area: area(part.areaM2),
      selected: stated(part.selected),
      chosenByPerson: part.chosenByPerson,
      methods: part.options.filter((o) => !beside(o)).map((o) => methodReport(o, part, units)),
      /** Not for this material, or nothing here that they take off. */
      notFor: part.options.filter(beside).map((o) => o.methodId),
      also: part.also.map(stated),
      helpers: part.helpers.filter((o) => !beside(o)).map((o) => methodReport(o, part, units)),
    })),
    protection: {
      needed: stated(p.protection.needed),
      sheetLaid: { ...area(p.protection.sheetLaidM2.value), because: reasons(p.protection.sheetLaidM2.because) },
      sheetBought: area(p.protection.sheetBoughtM2),
      verticalScreen: stated(p.protection.verticalScreen),
      openings: stated(p.protection.openings),
      exposure: stated(p.protection.exposure),
      respirator: stated(p.protection.respirator),
      cartridges: p.protection.cartridges,
      equipment: p.protection.kit.map(stated),
      bags: stated(p.protection.bags),
      sign: stated(p.protection.sign),
    },
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
    steps: p.work.steps.map((st, i) => ({
      number: i + 1,
      kind: st.kind,
      title: sentence(st.title, units),
      personHours: st.handsOnH,
      waitHours: st.waitH,
      quantities: st.amounts.map((a) => ({ what: say(a.what), ...quantity(a.amount) })),
      checks: st.gates.map((g) => ({
        id: g.id,
        mustBeTrue: sentence(g.because, units),
        state: g.state,
        ifNotBackTo: g.backTo,
        source: reasonReport(g.because, units).source,
      })),
      because: reasons(st.because),
    })),
    hours: { handsOn: p.work.handsOnH, waiting: p.work.waitH },
    money: p.money,
    proof: p.proof,
  };
}

export type SurfaceReport = ReturnType<typeof surfaceReport>;

/**
 * @param withComparison each surface is planned again with every method: for one job at a time
 * @returns plain data: every answer with its sentences, sources and numbers, in the job's units
 */
export function jobReport(facts: JobFacts, plan: JobPlan, settings: FirmSettings, now: string, withComparison = false) {
  const { job } = facts;
  const { stated, quantity } = reporter(job.units);
  const spaces = facts.spaces.filter((s) => s.removedAt === null);
  const thisYear = new Date(now).getUTCFullYear();
  const compare: Compare = (s, p) => (withComparison ? comparisonReport(facts, s, p, settings, thisYear) : null);
  return {
    notice: NOTICE,
    job: {
      id: job.id,
      name: job.name,
      place: job.place,
      yearBuilt: job.yearBuilt,
      rules: RULEBOOKS[job.rulebook].name,
      edition: plan.edition,
      currency: RULEBOOKS[job.rulebook].currency,
    },
    spaces: spaces.map((space) => {
      const sp = plan.spaces.find((x) => x.spaceId === space.id);
      return {
        id: space.id,
        name: space.name,
        kind: space.kind,
        disturbed: quantity(measure(sp?.disturbedM2 ?? 0, 'm2')),
        minorWork: sp ? stated(sp.minorWork) : null,
        surfaces: facts.surfaces.flatMap((s) => {
          const p = s.spaceId === space.id ? plan.surfaces.find((x) => x.surfaceId === s.id) : undefined;
          return p ? [surfaceReport(s, p, job.units, job.rulebook, compare)] : [];
        }),
      };
    }),
    totals: {
      area: quantity(measure(plan.totals.areaM2, 'm2')),
      personHours: plan.totals.personHours,
      money: plan.totals.money,
      proof: jointProof(plan.surfaces.map((p) => p.proof)),
      /** Surfaces on a part of which no method is allowed: the sums are without them. */
      unpriced: plan.surfaces.filter((p) => p.proof === 'unpriced').length,
    },
    states: plan.states,
    survey: surveyReport(facts, plan, settings, now),
    next: plan.next.act,
  };
}
export type JobReport = ReturnType<typeof jobReport>;
