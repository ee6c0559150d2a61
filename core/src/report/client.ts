/** One surface on one side of paper, for whoever pays: what is there, three ways, which is chosen, because of what, and instead of what. */
import { type Hazard, type JobFacts, type MethodId, type Surface } from '../facts';
import { compareMethods, daysOf, type Alternative } from '../compare';
import { methodById } from '../catalogue';
import { midpoint } from '../choose';
import type { Range } from '../units/units';
import { createDeriver } from '../job/derive';
import { FINISH, finishOf } from '../repair';
import { coatSays, poisonsOf, rungKey, standingAt, standingText, type Standing } from '../probe';
import type { SurfacePlan } from '../zone/surface-plan';
import { defectSize } from '../work';

import { say, spellAs } from '../reasons';
import { sentence } from '../words';
import { cap, formatMeasure, formatRange, many, measure, moneyIn, type UnitSystem } from '../units/units';
import { bookOf, type FirmSettings } from '../rulebook';
import { declinedSays } from './declined';
import { NOTICE } from './reporter';

export interface ClientMethod {
  readonly methodId: MethodId;
  readonly name: string;
  readonly chosen: boolean;
  readonly money: Range;
  readonly days: Range;
  /** none, slight, some, hard. */
  readonly harm: string;
  /** How many of the coats it takes off, in words. */
  readonly goes: string;
}

export interface ClientPage {
  readonly notice: string;
  readonly firm: string;
  readonly job: string;
  readonly place: string;
  readonly surface: string;
  readonly about: string;
  /** What is known of its hazards, a sentence each. */
  readonly found: readonly string[];
  readonly coats: readonly { readonly says: string; readonly state: string }[];
  readonly material: string;
  /** From the top, by the chosen method. */
  readonly bite: number;
  readonly methods: readonly ClientMethod[];
  /** Somebody decided; else the plan proposes what ranks first. */
  readonly decided: boolean;
  readonly chosenBecause: readonly string[];
  readonly insteadOf: readonly string[];
  /** In the firm's own words; empty: none were typed. */
  readonly own: string;
  /** That they declined it, and when; empty: they did not. */
  readonly declined: string;
  readonly price: string;
  /** How good it has to look and how that is judged; then the damage that was there before, and what is done about it. */
  readonly finish: readonly string[];
  /** How the rooms are kept safe meanwhile. */
  readonly care: readonly string[];
}

const HARM = ['none', 'slight', 'some', 'hard'] as const;
const ALTERNATIVES = 2;
const LEAST_DAYS = 0.1;
const LEAST_HARM = 0.25;

/** The cheapest and the gentlest of what else may be done; of those that nothing beats, where there are such. */
function others(open: readonly Alternative[], chosen: MethodId | null): Alternative[] {
  const rest = open.filter((o) => o.methodId !== chosen && o.methodId !== 'leave' && !o.unpriced);
  const best = rest.filter((o) => !o.dominated);
  const byMoney = [...best, ...rest].sort((a, b) => Number(a.dominated) - Number(b.dominated) || midpoint(a.money) - midpoint(b.money));
  const byHarm = [...best, ...rest].sort((a, b) => a.harm - b.harm || midpoint(a.money) - midpoint(b.money));
  return [...new Set([byMoney[0], byHarm[0], ...byMoney].filter((o) => o !== undefined))].slice(0, ALTERNATIVES);
}

/** What an alternative would have been: dearer or cheaper, longer or shorter, harder or gentler. */
function against(o: Alternative, chosen: Alternative, money: (n: number) => string, units: UnitSystem): string {
  const more = midpoint(o.money) - midpoint(chosen.money);
  const longer = midpoint(o.days) - midpoint(chosen.days);
  const harder = o.harm - chosen.harm;
  const days = (n: number) => `${n < 10 ? n.toFixed(1) : String(Math.round(n))} days`;
  const told = [
    Math.abs(more) < 1 ? 'the same price' : `${money(Math.abs(more))} ${more > 0 ? 'more' : 'less'}`,
    Math.abs(longer) < LEAST_DAYS ? 'as long' : `${days(Math.abs(longer))} ${longer > 0 ? 'longer' : 'shorter'}`,
    Math.abs(harder) < LEAST_HARM
      ? 'as kind to the old material'
      : harder > 0
        ? 'harder on the old material'
        : 'kinder to the old material',
  ];
  // What speaks for care with it, and not with the chosen one: a way that looks better on all three says why it was not taken.
  const said = new Set(chosen.because.map((r) => r.rule));
  const but = o.because.find((r) => r.effect === 'care' && !said.has(r.rule));
  return `${cap(say(o.methodId))}: ${told.join(', ')}.${but ? ` ${sentence(but, units)}` : ''}`;
}

/** What was agreed on, so that it is judged by that. */
function finishSays(s: Surface, { job }: JobFacts): string {
  const id = finishOf(s);
  const { light, from, staysMm } = FINISH[id];
  const agreed = s.finish === null ? 'planned, nobody said otherwise' : 'agreed';
  return `${cap(say(id))} (${agreed}): looked at in ${say(light)} from ${formatMeasure(from[job.rulebook], job.units)}. Dents up to ${formatMeasure(measure(staysMm, 'mm'), job.units)} deep may stay.`;
}
/** As found before the first stroke. */
const damageSays = (plan: SurfacePlan, units: UnitSystem): string[] =>
  plan.repairs
    .filter((r) => r.defect.asFound)
    .map(
      (r) =>
        `As found: ${say(r.defect.kind)}, ${r.measured ? formatMeasure(defectSize(r), units) : 'not measured'}: ${say(`repair.${r.repair.value}`)}.`,
    );

/** One sentence on one hazard, as far as anybody looked. */
function hazardSays(hazard: Hazard, at: Standing, units: UnitSystem): string {
  const what = cap(say(hazard));
  switch (at.word) {
    case 'found':
      return `${what} is found.`;
    case 'waiting':
      return `${what}: the lab’s answer is awaited. Until then it is treated as there.`;
    case 'assumed':
    case 'unknown':
      return `${what} is ${say(at.word)}: it is treated as there until it is ruled out.`;
    case 'trace':
    case 'below':
      return at.measured === null
        ? `${what}: less than counts as found, by test. Its dust is still kept in.`
        : `${what}: ${at.under ? 'under ' : ''}${formatMeasure(at.measured, units)} measured, less than counts as found. Its dust is still kept in.`;
    case 'noneFound':
      return `${what}: ${standingText(at, units)}.`;
    case 'notSuspected':
      return hazard === 'mold' ? `${what}: none seen.` : `${what}: ${say(rungKey(at))}.`;
  }
}

/** What else poisons in its coats. */
function poisonSays(coats: SurfacePlan['lead']['coats']): string[] {
  const all = poisonsOf(coats.map((c) => c.coat));
  return all.map((p) =>
    p === 'chromateAssumed'
      ? 'Chromate: nobody looked for it in the old primer, so it is treated as there. Its dust and waste are kept apart.'
      : `${cap(say(p))} is in its coats: it is treated as poison, its dust and waste are kept apart.`,
  );
}

/** @returns null when there is no such surface */
export function clientPage(facts: JobFacts, surfaceId: string, settings: FirmSettings, thisYear: number): ClientPage | null {
  const s = facts.surfaces.find((x) => x.id === surfaceId && x.removedAt === null);
  const plan = s && createDeriver().surface(facts, surfaceId, settings, thisYear);
  if (!s || !plan) return null;
  const { units, rulebook } = facts.job;
  spellAs(rulebook);
  const money = moneyIn(settings.pricesIn);
  const main = [...plan.choice.parts].sort((a, b) => b.areaM2 - a.areaM2)[0];
  const chosenId = main?.selected.value ?? null;
  const { open } = compareMethods(facts, surfaceId, settings, thisYear);
  const chosen = open.find((o) => o.methodId === chosenId);
  const rest = others(open, chosenId);
  const coats = plan.lead.coats;
  const goes = (o: Alternative): string => {
    const m = methodById(o.methodId);
    if (m.removesPiece) return 'takes the piece out';
    if (m.bite === 'none') return 'stays above the film';
    return `goes ${say(m.bite)}${o.coatsReached > 0 ? `, into ${o.coatsReached} of ${many(coats.length, 'coat')}` : ''}`;
  };
  const method = (o: Alternative): ClientMethod => ({
    methodId: o.methodId,
    name: cap(say(o.methodId)),
    chosen: o === chosen,
    // The plan as it stands: its other parts may have methods of their own.
    money: o === chosen ? plan.money : o.money,
    days: o === chosen ? daysOf(plan.work.handsOnH, plan.work.waitH, settings) : o.days,
    harm: HARM[Math.round(o.harm)]!,
    goes: goes(o),
  });
  const hazards = (
    [
      ['lead', plan.lead.standing],
      ['asbestos', plan.asbestos.standing],
      ['mold', standingAt(plan.mold.value, [])],
    ] as const
  ).map(([h, at]) => hazardSays(h, at, units));
  const p = plan.protection;
  const weighed = main?.options.find((o) => o.methodId === chosenId)?.because ?? [];
  return {
    notice: NOTICE,
    firm: settings.firmName,
    job: facts.job.name,
    place: [facts.job.place, facts.job.clientName === '' ? '' : `for ${facts.job.clientName}`].filter(Boolean).join(', '),
    surface: s.name,
    about: `${s.count} × ${say(s.element)}, ${say(s.material)}, ${formatMeasure(measure(plan.area.totalM2, 'm2'), units)} in all. ${bookOf(facts.job).name} rules.`,
    found: [...hazards, ...poisonSays(coats)],
    coats: coats.map(({ coat, standing }) => ({
      says: coatSays(coat),
      state: `lead: ${standingText(standing, units)}`,
    })),
    material: say(s.material),
    bite: chosen?.coatsReached ?? 0,
    methods: [...(chosen ? [chosen] : []), ...rest].map(method),
    decided: main?.chosenByPerson ?? false,
    chosenBecause:
      chosenId === null || !chosen
        ? (main?.selected.because ?? []).map((r) => sentence(r, units))
        : [
            plan.choice.required.value === 'none'
              ? `“${cap(say(s.aim))}” asks for nothing to come off.`
              : `“${cap(say(s.aim))}” asks for work ${say(plan.choice.required.value)}.`,
            `It ${goes(chosen)}; its harm to the old material is ${HARM[Math.round(chosen.harm)]!}.`,
            // One thing that speaks for care, so that nobody is surprised by it.
            ...weighed
              .filter((r) => r.effect === 'care')
              .slice(0, 1)
              .map((r) => `To be minded: ${sentence(r, units)}`),
          ],
    insteadOf: chosen ? rest.map((o) => against(o, { ...chosen, money: plan.money }, money, units)) : [],
    own: s.clientWhy.trim(),
    declined: s.declinedOn === null ? '' : declinedSays(s.declinedOn, s.declinedNote),
    price:
      plan.proof === 'unpriced'
        ? say('proof.unpriced')
        : `${formatRange(plan.money, money)}, with its share of what its room needs. ${say(`proof.${plan.proof}`)}`,
    finish: [finishSays(s, facts), ...damageSays(plan, units)],
    care: [
      p.sheetLaidM2.value > 0
        ? `${formatMeasure(measure(p.sheetLaidM2.value, 'm2'), units)} of sheet where this is worked, ${p.openings.value === 'none' ? 'doors as usual' : 'doors and windows closed'}.`
        : '',
      p.needed.value
        ? 'Nobody but the crew inside; the place is given back when it was cleaned and checked.'
        : p.kit.some((k) => k.value === 'washStation')
          ? 'Nobody but the crew comes near until it is cleaned up.'
          : '',
      p.sign.value.length > 0 ? 'A sign hangs at the way in for as long as the work goes on.' : '',
    ].filter((says) => says !== '' && plan.work.steps.some((st) => st.kind === 'protect')),
  };
}
