/** What certainty would cost: every open test and trial, with its price and by how much it closes the price of the job. */
import { BLANK_SQUARE, type JobFacts, type MethodId, type Square, type Surface, type SuspectKind } from '../facts';
import { methodById } from '../catalogue';
import { midpoint, picksOf } from '../choose';
import type { Range } from '../units/units';
import { assessArea, assessGroups } from '../job/assess';
import { createDeriver } from '../job/derive';
import { type JobPlan } from '../job/plan';
import type { FirmSettings } from '../rulebook';
import type { Reason } from '../reasons';
import { lastFaceC } from '../probe';
import type { SurfacePlan } from '../zone/surface-plan';
import { firstSquares } from '../trial/lay';

/** One thing that can be found out. */
export interface Certainty {
  readonly kind: 'lead' | 'asbestos' | 'squares';
  readonly surfaceIds: readonly string[];
  /** Of squares: which method is tried. Of asbestos: what is suspected. */
  readonly methodId: MethodId | null;
  readonly suspect: SuspectKind | null;
  /** Tests or squares. */
  readonly count: number;
  /** In the firm's money, as are the next two. */
  readonly costs: number;
  /** What the answer may change, as the money stands between its outcomes. */
  readonly closes: number;
  /** What it saves on average, its own cost taken off; null: it narrows, and saves nothing by itself. */
  readonly saves: number | null;
  readonly delayDays: number;
  /** A rule asks for it, whatever it costs. */
  readonly asked: boolean;
  readonly because: readonly Reason[];
}

/** A square marked, laid, lifted and read takes one person so long, h. Common practice, no published source. */
const SQUARE_H = 0.25;
const SQUARE_CM2 = 400;
/** Of a very large job only the surfaces with the widest price are asked for squares. */
const MOST_SURFACES = 60;
/** What closes less than so many times its own cost is not worth a line. */
const WORTH = 1;

/** What holds a plan back until a square is laid. Nothing else that holds one back is answered by a square. */
const SQUARE_ASKED: ReadonlySet<string> = new Set(['issue.trialMissing', 'issue.trialCarried', 'issue.trialShort']);

const width = (r: Range): number => r.high - r.low;

/** The surface as if the usual squares had come off as the middle of the trade has it: the short one not, the longer ones clean. */
function asIfTried(s: Surface, id: MethodId, partId: string, perM2H: Range, settings: FirmSettings): Surface {
  const m = methodById(id);
  const proposals = firstSquares(m, '', lastFaceC(s), settings.rates[id]);
  const workMin = Math.sqrt(perM2H.low * perM2H.high) * 60 * (SQUARE_CM2 / 10_000);
  const squares = proposals.map(({ dwellMin, covered }, i): Square => ({
    ...BLANK_SQUARE,
    id: `as-if-${i}`,
    methodId: id,
    partId,
    removedAt: null,
    dwellMin,
    covered,
    lifted: proposals.length > 1 && i === 0 ? 'some' : 'bare',
    ease: 3,
    sizeCm2: SQUARE_CM2,
    workMin,
  }));
  return { ...s, squares: [...s.squares, ...squares] };
}

/** For each surface the squares that a rule asks for; else the unproved method that a trial would narrow most. */
function squaresOf(facts: JobFacts, plan: JobPlan, settings: FirmSettings, thisYear: number): Certainty[] {
  const deriver = createDeriver();
  const byId = new Map(facts.surfaces.map((s) => [s.id, s]));
  const open = plan.surfaces
    .filter((p) => p.proof !== 'unpriced' && p.proof !== 'trial')
    .sort((a, b) => width(b.money) - width(a.money))
    .slice(0, MOST_SURFACES);
  const tried = (p: SurfacePlan, id: MethodId): Certainty | null => {
    const s = byId.get(p.surfaceId)!;
    const part = p.choice.parts.find((x) => picksOf(x).some((k) => k.option.methodId === id))!;
    const { perM2 } = picksOf(part).find((x) => x.option.methodId === id)!.option;
    const supposed = asIfTried(s, id, part.partId, perM2.personHours, settings);
    const then = deriver.surface(
      { ...facts, surfaces: facts.surfaces.map((x) => (x.id === s.id ? supposed : x)) },
      s.id,
      settings,
      thisYear,
    );
    if (!then) return null;
    const count = supposed.squares.length - s.squares.length;
    const costs = count * (SQUARE_H * settings.labourPerHour + (midpoint(perM2.materials) * SQUARE_CM2) / 10_000);
    const because = then.trials
      .filter((t) => t.methodId === id)
      .flatMap((t) => t.state.because.filter((r) => r.rule === 'trial.fewSquares'));
    // A middling answer may cost hours of its own that nobody had reckoned with: then it closes nothing.
    const closes = Math.max(0, width(p.money) - width(then.money));
    return {
      kind: 'squares',
      surfaceIds: [s.id],
      methodId: id,
      suspect: null,
      count,
      costs,
      closes,
      saves: null,
      delayDays: 0,
      asked: p.issue.because.some((r) => SQUARE_ASKED.has(r.rule) && r.weighed.some((w) => w.asked === 'method' && w.found === id)),
      because,
    };
  };
  return open.flatMap((p) => {
    const ids = new Set(
      p.choice.parts.flatMap((part) =>
        picksOf(part)
          .filter((x) => x.option.perM2.proof === 'none')
          .map((x) => x.option.methodId),
      ),
    );
    const tries = [...ids]
      .filter((id) => methodById(id).disturbs && !methodById(id).removesPiece)
      .flatMap((id) => tried(p, id) ?? [])
      .sort((a, b) => Number(b.asked) - Number(a.asked) || b.closes - a.closes);
    return tries.filter((t, i) => t.asked || i === 0);
  });
}

/**
 * Best first: what a rule asks for, then by how much of the price each unit of money closes.
 * @returns tests of lead by testing combination, of asbestos by homogeneous area, and squares by surface
 */
export function certainties(facts: JobFacts, settings: FirmSettings, thisYear: number): Certainty[] {
  const plan = createDeriver().derive(facts, settings, thisYear);
  const lead = assessGroups(facts, plan, settings, thisYear).flatMap(({ group, tests, decision }): Certainty[] =>
    decision?.value.choice !== 'test'
      ? []
      : [
          {
            kind: 'lead',
            surfaceIds: group.surfaceIds,
            methodId: null,
            suspect: null,
            count: tests,
            costs: decision.value.testMoney,
            closes: decision.value.positiveMoney,
            saves: decision.value.positiveMoney - decision.value.expectedMoney,
            delayDays: decision.value.delayDays,
            asked: decision.because.some((r) => r.rule.startsWith('decide.must')),
            because: decision.because,
          },
        ],
  );
  const asbestos = plan.areas.flatMap((area): Certainty[] => {
    const { decision } = assessArea(area, facts, settings);
    if (decision === null) return [];
    const { testMoney, positiveMoney, expectedMoney, delayDays } = decision.value;
    return [
      {
        kind: 'asbestos',
        surfaceIds: [...new Set(area.members.map((m) => m.surfaceId))],
        methodId: null,
        suspect: area.kind,
        count: area.needed.value,
        costs: testMoney,
        closes: positiveMoney,
        saves: positiveMoney - expectedMoney,
        delayDays,
        asked: true,
        because: decision.because,
      },
    ];
  });
  const worth = (c: Certainty) => c.asked || c.closes > WORTH * c.costs;
  const perMoney = (c: Certainty) => c.closes / Math.max(c.costs, 1);
  return [...asbestos, ...lead, ...squaresOf(facts, plan, settings, thisYear)]
    .filter(worth)
    .sort((a, b) => Number(b.asked) - Number(a.asked) || perMoney(b) - perMoney(a));
}
