/** Per part: every method's verdict, its hours and cost, ranked for the user's aim. */
import type { Aim, MethodId, Part, PartKind, Surface } from '../facts';
import type { SurfaceContext } from '../context';
import type { LeadPicture } from '../probe';
import { answer, why, type Answer } from '../reasons';
import { liveParts, type TakeOff } from '../walk';
import { midpoint, unitEffort, type UnitEffort } from './cost';
import { requiredDepth } from './depth';
import { biteDepth, METHODS, type Bite } from './methods';
import { coatsReached, sheetFor, surfaceSheet, type SurfaceSheet } from './sheet';
import { judge, type MethodVerdict, type Verdict } from './verdict';

export interface MethodOption extends MethodVerdict {
  /** On one square metre; effortOn() scales it to the part. */
  readonly perM2: UnitEffort;
  readonly harm: number;
  readonly bite: Bite;
  /** How many coats, from the top, the method reaches: where the bite line is drawn. */
  readonly coatsReached: number;
}

export interface PartChoice {
  readonly partId: string;
  readonly kind: Part['kind'];
  readonly areaM2: number;
  /** Best first. */
  readonly options: readonly MethodOption[];
  /** What the person chose, or else the best that is not blocked; null: everything is blocked. */
  readonly selected: Answer<MethodId | null>;
  readonly chosenByPerson: boolean;
}

export interface Choice {
  readonly required: Answer<Bite>;
  readonly parts: readonly PartChoice[];
}

const VERDICT_ORDER: Readonly<Record<Verdict, number>> = { go: 0, care: 1, blocked: 2 };

/** Smaller is better, reckoned on one square metre. Ties fall to cost. */
function rankFor(aim: Aim, o: MethodOption): number {
  const hours = midpoint(o.perM2.personHours);
  const cost = midpoint(o.perM2.total);
  // An hour of soaking costs little, for other work goes on meanwhile; a week of it still counts.
  if (aim === 'fastest') return hours + (o.perM2.dwellHours ? midpoint(o.perM2.dwellHours) * 0.05 : 0);
  if (aim === 'cheapest') return cost;
  if (aim === 'bareClear') return o.harm * 1e6 + cost;
  return (biteDepth(o.bite) * 10 + o.harm) * 1e6 + cost;
}

function rank(aim: Aim, options: MethodOption[]): MethodOption[] {
  return options.sort(
    (a, b) =>
      VERDICT_ORDER[a.verdict] - VERDICT_ORDER[b.verdict] ||
      rankFor(aim, a) - rankFor(aim, b) ||
      midpoint(a.perM2.total) - midpoint(b.perM2.total),
  );
}

/** Ranked options already reached, by fact sheet: a house has far fewer different sheets than parts. */
export type OptionMemo = Map<string, readonly MethodOption[]>;

/** All that an option can depend on: the coats count only by how deep each bite goes and what is known down to there. */
function memoKey(s: SurfaceSheet, part: PartKind): string {
  const d = s.depths;
  return `${part}|${s.material}|${s.place}|${s.aim}|${s.required}|${s.asbestos}|${s.asbestosBelow}|${s.asbestosPutty}|${s.site.power}|${s.site.water}|${s.site.listed}|${s.site.services.join()}|${s.site.high}|${s.site.asthma}|${s.site.others}|${d.skin}|${d.loose}|${d.all}|${d.looseCoats}|${d.coats}|${s.leadTrace}|${s.casein}|${s.anySound}|${s.failing}|${s.oilSoaked}|${s.damp}|${s.rubs}|${s.childOrPregnancy}|${s.isSash}|${s.minorWork}|${s.dwelling}|${s.clearTopcoat}|${s.glazed}|${s.rulebook}`;
}

/**
 * Every method on one kind of part, best first.
 * @param memo must be used with one firm's settings only
 */
export function optionsFor(s: SurfaceSheet, part: PartKind, ctx: SurfaceContext, memo: OptionMemo): readonly MethodOption[] {
  const key = memoKey(s, part);
  const known = memo.get(key);
  if (known) return known;
  const options = METHODS.map((m): MethodOption => ({
    ...judge(m, sheetFor(s, m, part, ctx)),
    perM2: unitEffort(m, part, ctx.settings),
    harm: m.harm,
    bite: m.bite,
    coatsReached: coatsReached(m.bite, s.depths),
  }));
  const ranked = rank(s.aim, options);
  memo.set(key, ranked);
  return ranked;
}

/** The two everyday answers hold nothing but the method's name, so each is made once for each method. */
const everyday = new Map<string, Answer<MethodId>>();
function everydayAnswer(rule: 'choice.byPerson' | 'choice.bestForAim', method: MethodId): Answer<MethodId> {
  const key = rule + method;
  const known = everyday.get(key);
  if (known) return known;
  const made = answer(method, why(rule, rule === 'choice.byPerson' ? 'job-record' : 'trade-aim', { method }));
  everyday.set(key, made);
  return made;
}

function select(part: Part, options: readonly MethodOption[]): Answer<MethodId | null> {
  const chosen = options.find((o) => o.methodId === part.methodId);
  if (chosen && chosen.verdict !== 'blocked') return everydayAnswer('choice.byPerson', chosen.methodId);
  if (chosen && chosen.canInsist && part.insistedWhy?.trim()) {
    return answer(
      chosen.methodId,
      why('choice.insisted', 'job-record', { method: chosen.methodId, note: `“${part.insistedWhy}”` }, 'care'),
      ...chosen.because,
    );
  }
  // Doing nothing is always compared, but it is a decision for a person, not a default.
  const best = options.find((o) => o.verdict !== 'blocked' && o.methodId !== 'leave') ?? options.find((o) => o.verdict !== 'blocked');
  if (!chosen && best) return everydayAnswer('choice.bestForAim', best.methodId);
  const refused = chosen
    ? [
        why('choice.refused', 'job-record', { method: chosen.methodId }, 'block', 'hazard'),
        ...chosen.because.filter((r) => r.effect === 'block'),
      ]
    : [];
  if (!best) return { value: null, because: [...refused, why('choice.allBlocked', 'job-record', {}, 'block', 'hazard')] };
  return { value: best.methodId, because: [...refused, ...everydayAnswer('choice.bestForAim', best.methodId).because] };
}

export function choose(s: Surface, ctx: SurfaceContext, area: TakeOff, lead: LeadPicture, memo: OptionMemo): Choice {
  const required = requiredDepth(s, ctx, lead);
  const sheet = surfaceSheet(s, ctx, lead, required.value);
  const parts = liveParts(s).map((part): PartChoice => {
    const options = optionsFor(sheet, part.kind, ctx, memo);
    return {
      partId: part.id,
      kind: part.kind,
      areaM2: area.partM2[part.id] ?? 0,
      options,
      selected: select(part, options),
      chosenByPerson: part.methodId !== null,
    };
  });
  return { required, parts };
}
