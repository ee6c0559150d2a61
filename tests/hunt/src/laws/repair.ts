/** Signs and repairs: what is seen sets going what it says, what is damaged is put right without going into a suspect. */
import type { Sign, Surface } from '../../../../core/src/facts';
import type { SurfacePlan } from '../../../../core/src/zone/surface-plan';
import type { Run } from '../run';
import type { Law } from './law';

type Step = SurfacePlan['work']['steps'][number];
const present = (state: string): boolean => state !== 'notFound';
const each = (run: Run, f: (s: Surface, plan: SurfacePlan) => readonly string[]): string[] =>
  run.facts.surfaces.flatMap((s) => {
    const plan = run.plans.get(s.id);
    return plan ? f(s, plan).map((x) => `${s.name}: ${x}`) : [];
  });

/** Repairs that do not touch the ground or what is on it. */
const UNTOUCHED = ['leave', 'ask'];
const intoSuspect = (run: Run): string[] =>
  each(run, (_s, plan) =>
    present(plan.asbestos.overall.value)
      ? [
          ...plan.repairs
            .filter((r) => !UNTOUCHED.includes(r.repair.value))
            .map((r) => `${r.defect.kind}: ${r.repair.value} into what may hold asbestos`),
          ...plan.work.steps
            .filter((st) => st.kind === 'repair' && (st.id.startsWith('repair.') || st.id === 'level'))
            .map((st) => `step ${st.id}`),
        ]
      : [],
  );

/** What rubs, cuts or scrapes the coat level. Written down here again. */
const RUBBED = ['coatRun', 'coatRidge', 'coatLump', 'coatGrain', 'coatBloom', 'coatDry', 'sandSwirl', 'gelGrain'];
const standing = (s: Surface): Sign[] => {
  const gone = s.signs.map((x) => x.supersedesId);
  return s.signs.filter((x) => x.sign !== 'withdrawn' && !gone.includes(x.id));
};
const stepsOf = (plan: SurfacePlan, x: Sign): Step[] =>
  plan.work.steps.filter(({ at }) => {
    if (!at) return false;
    if ('stroke' in at) return x.methodId === at.stroke && (x.partId === null || x.partId === at.partId);
    if ('coat' in at) return x.product === at.coat;
    return x.methodId === null && x.product === null;
  });
const rubbedSuspect = (run: Run): string[] =>
  each(run, (s, plan) =>
    present(plan.asbestos.coat.value)
      ? standing(s)
          .filter((x) => RUBBED.includes(x.sign))
          .flatMap((x) =>
            stepsOf(plan, x)
              .filter((st) => st.because.some((r) => r.rule === `sign.${x.sign}`) && !st.because.some((r) => r.rule === 'seen.noRub'))
              .map((st) => `${x.sign} is put right at ${st.id}`),
          )
      : [],
  );

/** Signs after which something has to pass before the work goes on. */
const HALTS = ['oldColour', 'gouge', 'heatScorch', 'sandClogs', 'coatBleeds', 'coatWrinkles', 'tapeFilm', 'tapeSand', 'washColour'];
const wentOn = (run: Run): string[] =>
  each(run, (s, plan) =>
    standing(s).flatMap((x) =>
      HALTS.includes(x.sign)
        ? stepsOf(plan, x)
            .filter((st) => st.because.some((r) => r.rule === `sign.${x.sign}`))
            .flatMap((st) => {
              // At the step itself, or where the repairs are done.
              const from = plan.work.steps.slice(plan.work.steps.indexOf(st));
              const gate = from.flatMap((y) => y.gates).find((g) => g.id.startsWith(`seen.${x.sign}.`));
              if (!gate) return [`${x.sign} at ${st.id} has no check`];
              // A pass that is older than what was seen says nothing of it.
              const after = s.checks.some((c) => c.gate === gate.id && c.outcome === 'pass' && c.takenAt > x.takenAt);
              return gate.state === 'passed' && !after ? [`${x.sign} at ${st.id} is passed by nobody`] : [];
            })
        : [],
    ),
  );

const lessThanNothing = (run: Run): string[] =>
  each(run, (_s, plan) =>
    plan.work.steps.flatMap((st) => [
      ...st.amounts
        .filter((a) => a.amount.value < 0 || !Number.isFinite(a.amount.value))
        .map((a) => `${st.id}: ${a.amount.value} of ${a.what}`),
      ...(st.handsOnH.low < -1e-9 ||
      st.handsOnH.low > st.handsOnH.high + 1e-9 ||
      st.waitH.low < -1e-9 ||
      st.waitH.low > st.waitH.high + 1e-9
        ? [`${st.id}: hours run backwards`]
        : []),
    ]),
  );

/** Each damage is in the steps once, or says why it is not; what is asked about keeps its hours. */
const lostOrTwice = (run: Run): string[] =>
  each(run, (s, plan) => {
    // Pieces that are soaked or rotten go together, those with one good end together: each group is one repair.
    const bad = s.boards.filter((b) => b.removedAt === null && (b.oilSoaked === 'yes' || b.rotten === 'yes'));
    const ends = s.boards.filter((b) => b.removedAt === null && b.oilSoaked !== 'yes' && b.rotten !== 'yes' && b.mixed);
    const live = s.defects.filter((x) => x.removedAt === null).length + (bad.length > 0 ? 1 : 0) + (ends.length > 0 ? 1 : 0);
    const out = live === plan.repairs.length ? [] : [`${live} damages, ${plan.repairs.length} answers`];
    const mine = plan.work.steps.filter((st) => !st.shared && /^(repair|rebate)\./.test(st.id));
    if (!plan.work.steps.some((st) => st.kind === 'repair')) return out;
    const wanted = plan.repairs.filter((r) => r.repair.value !== 'leave').reduce((sum, r) => sum + r.handsOnH.high, 0);
    const planned = mine.reduce((sum, st) => sum + st.handsOnH.high, 0);
    return Math.abs(wanted - planned) > 1e-6 * Math.max(1, wanted) ? [...out, `${planned} h of repair planned, ${wanted} h wanted`] : out;
  });

export const REPAIR_LAWS: readonly Law[] = [
  { id: 'H2f', says: 'no repair goes into what may hold asbestos', check: intoSuspect },
  { id: 'H2g', says: 'nothing seen is rubbed level over what may hold asbestos', check: rubbedSuspect },
  { id: 'O6', says: 'what was seen that stops the work has a check, which only a later pass opens', check: wentOn },
  { id: 'P5e', says: 'no step takes less than nothing', check: lessThanNothing },
  { id: 'P5f', says: 'each damage is repaired once', check: lostOrTwice },
];
