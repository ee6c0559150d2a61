/** What each method would really cost on a surface: the whole plan is derived with it, not a price per square metre looked up. */
import type { JobFacts, MethodId, PartKind, Surface } from '../facts';
import { isHelper, makes, methodById, METHODS, type Makes } from '../catalogue';
import { midpoint, type MethodOption, type Verdict } from '../choose';
import type { Range } from '../units/units';
import { createDeriver, type Deriver } from '../job/derive';
import type { SurfacePlan } from '../zone/surface-plan';
import type { Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';

export interface Alternative {
  readonly methodId: MethodId;
  /** The worst of the parts on which it would stand. */
  readonly verdict: Verdict;
  readonly because: readonly Reason[];
  /** Parts that it can work, and what is planned on the others. */
  readonly on: readonly PartKind[];
  readonly beside: readonly { readonly part: PartKind; readonly methodId: MethodId | null }[];
  readonly personHours: Range;
  /** Soaking and drying, h. */
  readonly waitHours: Range;
  readonly money: Range;
  /** Start to end: working days of a crew as the firm has it, and calendar days of soaking and drying. */
  readonly days: Range;
  /** How hard it is on the old material, 0 to 3, by area over the parts. */
  readonly harm: number;
  readonly makes: readonly Makes[];
  readonly coatsReached: number;
  readonly proof: MethodOption['perM2']['proof'];
  readonly draft: boolean;
  /** A part has no method: its money and days are those of the rest, and stand in no comparison. Law V4. */
  readonly unpriced: boolean;
  /** Another costs no more and harms no more. */
  readonly dominated: boolean;
}

export interface Compared {
  /** Cheapest first, those without a price last. */
  readonly open: readonly Alternative[];
  readonly blocked: readonly { readonly methodId: MethodId; readonly because: readonly Reason[]; readonly canInsist: boolean }[];
}

/** Whatever is being compared, these are told of, allowed or not. */
export const ALWAYS: readonly MethodId[] = ['leave', 'overcoat', 'encapsulate', 'replacePart', 'cover'];

/** Working days of the crew, and calendar days of soaking and drying. */
export function daysOf(handsOnH: Range, waitH: Range, settings: FirmSettings): Range {
  const day = settings.crew * settings.hoursPerDay;
  return { low: handsOnH.low / day + waitH.low / 24, high: handsOnH.high / day + waitH.high / 24 };
}

const withMethod = (s: Surface, plan: SurfacePlan, id: MethodId, on: ReadonlySet<string>): Surface => ({
  ...s,
  parts: s.parts.map((p) => {
    if (on.has(p.id)) return { ...p, methodId: id, insistedWhy: null };
    const selected = plan.choice.parts.find((c) => c.partId === p.id)?.selected.value ?? null;
    return { ...p, methodId: p.methodId ?? selected };
  }),
});

function harmOf(plan: SurfacePlan): number {
  const total = plan.choice.parts.reduce((a, p) => a + p.areaM2, 0);
  if (total === 0) return 0;
  return plan.choice.parts.reduce((a, p) => a + p.areaM2 * (p.selected.value ? methodById(p.selected.value).harm : 0), 0) / total;
}

const WORSE: readonly Verdict[] = ['go', 'care', 'blocked'];

/** One method on a surface, everywhere it may go. Undefined: it may go nowhere. */
function tryMethod(
  facts: JobFacts,
  s: Surface,
  base: SurfacePlan,
  id: MethodId,
  settings: FirmSettings,
  thisYear: number,
  deriver: Deriver,
) {
  const parts = base.choice.parts.filter((p) => p.areaM2 > 0);
  const allowed = parts.flatMap((p) => {
    const option = p.options.find((o) => o.methodId === id);
    return option && option.verdict !== 'blocked' ? [{ part: p, option }] : [];
  });
  if (allowed.length === 0) return undefined;
  const on = new Set(allowed.map((a) => a.part.partId));
  const surface = withMethod(s, base, id, on);
  const plan = deriver.surface({ ...facts, surfaces: facts.surfaces.map((x) => (x.id === s.id ? surface : x)) }, s.id, settings, thisYear);
  return plan && { allowed, on, plan };
}

const isUndone = (o: { readonly because: readonly Reason[] }): boolean => o.because.some((r) => r.rule === 'fit.leaveUndone');

export function compareMethods(facts: JobFacts, surfaceId: string, settings: FirmSettings, thisYear: number): Compared {
  const deriver = createDeriver();
  const s = facts.surfaces.find((x) => x.id === surfaceId);
  const base = s && deriver.surface(facts, surfaceId, settings, thisYear);
  if (!s || !base) return { open: [], blocked: [] };
  const open: Omit<Alternative, 'dominated'>[] = [];
  const blocked: Compared['blocked'][number][] = [];
  for (const m of METHODS) {
    if (isHelper(m)) continue;
    const tried = tryMethod(facts, s, base, m.id, settings, thisYear, deriver);
    if (!tried) {
      const o = base.choice.parts.flatMap((p) => p.options.filter((x) => x.methodId === m.id))[0];
      if (o) blocked.push({ methodId: m.id, because: o.because.filter((r) => r.effect === 'block'), canInsist: o.canInsist });
      continue;
    }
    const { plan, allowed, on } = tried;
    const worst = allowed.reduce((a, x) => (WORSE.indexOf(x.option.verdict) > WORSE.indexOf(a.verdict) ? x.option : a), allowed[0]!.option);
    open.push({
      methodId: m.id,
      verdict: worst.verdict,
      because: worst.because,
      on: allowed.map((a) => a.part.kind),
      beside: plan.choice.parts.filter((p) => p.areaM2 > 0 && !on.has(p.partId)).map((p) => ({ part: p.kind, methodId: p.selected.value })),
      personHours: plan.work.handsOnH,
      waitHours: plan.work.waitH,
      money: plan.money,
      days: daysOf(plan.work.handsOnH, plan.work.waitH, settings),
      harm: harmOf(plan),
      makes: makes(m),
      coatsReached: worst.coatsReached,
      proof: worst.perM2.proof,
      draft: !plan.issue.value,
      unpriced: plan.proof === 'unpriced',
    });
  }
  const better = (a: Omit<Alternative, 'dominated'>, b: Omit<Alternative, 'dominated'>) =>
    !a.unpriced && midpoint(a.money) <= midpoint(b.money) && a.harm <= b.harm && (midpoint(a.money) < midpoint(b.money) || a.harm < b.harm);
  return {
    // Leaving undone what has to be done is cheap, and no alternative to doing it.
    open: open
      .map((o) => ({ ...o, dominated: isUndone(o) || o.unpriced || open.some((x) => !isUndone(x) && better(x, o)) }))
      .sort((a, b) => Number(a.unpriced) - Number(b.unpriced) || midpoint(a.money) - midpoint(b.money)),
    blocked,
  };
}
