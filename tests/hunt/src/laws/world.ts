/** Loose goods, old antifouling, gas pipes: what each asks for, written down here again. */
import { wasteOf } from '../../../../core/src/waste';
import type { MethodId, Surface, WasteStreamId } from '../../../../core/src/facts';
import type { SurfacePlan } from '../../../../core/src/zone/surface-plan';
import type { Run } from '../run';
import type { Law } from './law';
import { DOES } from '../oracle/methods';

const each = (run: Run, f: (s: Surface, plan: SurfacePlan) => readonly string[]): string[] =>
  run.facts.surfaces.flatMap((s) => {
    const plan = run.plans.get(s.id);
    return plan ? f(s, plan).map((x) => `${s.name}: ${x}`) : [];
  });
const picked = (plan: SurfacePlan) =>
  plan.choice.parts.flatMap((p) => (p.areaM2 > 0 ? [p.selected.value, ...p.also.map((a) => a.value)] : [])).filter((x) => x !== null);
const isWorked = (plan: SurfacePlan) => plan.work.steps.some((st) => st.kind === 'prepare');

/** 16 CFR 1303.1: 0.009 %. EN 71-3 as amended, from memory: 23 mg/kg. */
const GIVEN_BACK = { us: 90, uk: 23 };
const leadedGoods = (run: Run): string[] =>
  each(run, (s, plan) => {
    if (!['cot', 'toy'].includes(s.element) || plan.lead.overall.value === 'notFound' || s.declinedOn !== null) return [];
    const stays = plan.choice.parts.filter(
      (p) => p.areaM2 > 0 && p.selected.value !== null && !['bare', 'out'].includes(DOES[p.selected.value].to),
    );
    const out = stays.map((p) => `${p.kind} keeps its lead under ${p.selected.value}`);
    const asked = plan.work.steps.flatMap((st) => st.gates).find((g) => g.id === 'goods-clear')?.asks[0]?.atMost?.value;
    return isWorked(plan) && asked !== GIVEN_BACK[run.facts.job.rulebook] ? [...out, `given back against ${asked ?? 'no'} ppm`] : out;
  });

const HOT = ['infrared', 'heatGun', 'torch', 'puttyWarm', 'steam'];
const BAGGED: readonly WasteStreamId[] = ['clean', 'sheetAndChips', 'media', 'moldDebris'];
/** Dry by hand, or a motor without its shroud. */
const flies = (id: MethodId): boolean => DOES[id].dryHand === true || DOES[id].motor === true;
const poisonFlies = (run: Run): string[] => {
  const lines = wasteOf(run.facts, run.job, run.settings);
  // Where all that is worked is poisonous, no chip and no piece of it goes with anything else.
  const apart = run.facts.surfaces.every(
    (s) =>
      !run.plans.has(s.id) ||
      s.layers.some((l) => l.removedAt === null && (l.binder === 'antifouling' || l.poisons.length > 0)) ||
      picked(run.plans.get(s.id)!).every((id) => DOES[id].to === 'nothing'),
  );
  const astray = apart
    ? lines.filter(
        (w) =>
          w.stream !== 'biocideDebris' &&
          w.stream !== 'suspectAsbestos' &&
          // Sludge and liquids stay with their like, and are held for the poison in them.
          !(
            ['hazardous', 'test'].includes(w.classed.value.class) &&
            w.classed.because.some((r) => r.rule === 'waste.biocide') &&
            !BAGGED.includes(w.stream)
          ) &&
          w.because.some((r) => r.rule === 'waste.fromCoats' || r.rule === 'waste.fromPieces'),
      )
    : [];
  const loose = astray.map((w) => `what comes off a poisonous coat goes with ${w.stream}`);
  return [
    ...loose,
    ...each(run, (s, plan) => {
      const coats = s.layers.filter((l) => l.removedAt === null);
      const fouled = coats[0]?.binder === 'antifouling';
      // The top coat is in every stroke that goes into the film.
      if (!fouled && (coats[0]?.poisons.length ?? 0) === 0) return [];
      const mine = picked(plan);
      const out = mine.filter((id) => HOT.includes(id) || flies(id)).map((id) => `${id} on a poisonous coat`);
      const disturbed =
        isWorked(plan) &&
        plan.choice.parts.some((p) => p.areaM2 > 0 && p.selected.value !== null && DOES[p.selected.value].to !== 'nothing');
      if (!disturbed) return out;
      const zone = run.job.zones.find((z) => z.zoneId === plan.zoneId);
      if (zone && !zone.hazards.some((h) => h.kind === (fouled ? 'antifoul' : 'poison')))
        out.push('nobody says that there is poison in it');
      if (zone && zone.protection.respirator.value === null) out.push('it is worked without a mask');
      if (
        plan.asbestos.coat.value === 'notFound' &&
        !lines.some((w) => w.classed.because.some((r) => r.rule === 'waste.biocide')) &&
        mine.every((id) => DOES[id].to !== 'out')
      )
        out.push('its debris is bagged like any other');
      return out;
    }),
  ];
};

const untestedGas = (run: Run): string[] =>
  each(run, (s, plan) => {
    if (s.element !== 'gasPipe' || !isWorked(plan)) return [];
    const at = (id: string) => plan.work.steps.findIndex((st) => st.gates.some((g) => g.id === id));
    const stroke = plan.work.steps.findIndex((st) => st.kind === 'remove');
    const last = plan.work.steps.findLastIndex((st) => ['remove', 'prime', 'coat'].includes(st.kind));
    if (last < 0) return [];
    const out: string[] = [];
    if (at('gas-tight.after') < last) out.push('not tested after the last of it');
    if (stroke >= 0 && (at('gas-tight.before') < 0 || at('gas-tight.before') > stroke)) out.push('not tested before the first stroke');
    return [
      ...out,
      ...picked(plan)
        .filter((id) => HOT.includes(id) && id !== 'steam')
        .map((id) => `${id} on a gas pipe`),
    ];
  });

export const WORLD_LAWS: readonly Law[] = [
  { id: 'H13', says: 'no cot and no toy is given back with lead on it, or unproved', check: leadedGoods },
  { id: 'H14', says: 'old antifouling and other poison in a coat is caught wet, named, masked and bagged apart', check: poisonFlies },
  { id: 'H15', says: 'a gas pipe is tested before and after, and never heated', check: untestedGas },
];
