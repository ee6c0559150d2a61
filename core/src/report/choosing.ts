/** Trials, order of work, comparison and rounds of one surface, in plain data. */
import type { JobFacts, Surface } from '../facts';
import { ALWAYS, compareMethods, daysOf, sensitivity } from '../compare';
import { triageOf } from '../trial/triage';
import type { SurfacePlan } from '../zone/surface-plan';
import { say } from '../reasons';
import { sentence } from '../words';
import type { FirmSettings } from '../rulebook';
import { roundQuestion, rounds } from '../rounds';
import type { Reporter } from './reporter';

export function trialReport(s: Surface, p: SurfacePlan, { reasons, stated }: Reporter) {
  const boards = triageOf(s);
  return {
    mayBeIssued: stated(p.issue),
    film: stated(p.hold),
    trials: p.trials.map((t) => ({
      method: t.methodId,
      name: say(t.methodId),
      coating: t.coating || 'as recorded',
      squares: t.squares,
      state: stated(t.state),
      dwellHoursAt20C: t.dwellH,
      litresPerM2: t.coverageLPerM2,
      workHoursPerM2: t.workHPerM2,
      couldStillFailShare: t.couldStillFail,
      carried: t.carried,
      next: t.next.map((n) => ({ dwellMinutes: n.dwellMin, covered: n.covered, because: reasons(n.because) })),
    })),
    order: p.choice.sequence.strokes.map((x) => ({ part: x.kind, method: say(x.methodId), half: x.half })),
    orderChanged: reasons(p.choice.sequence.moved),
    keptApart: reasons(p.choice.sequence.apart),
    pieces:
      boards.pieces.length === 0
        ? null
        : { counts: boards.counts, unseen: boards.unseen, each: boards.pieces.map((x) => ({ label: x.board.label, ...stated(x.says) })) },
  };
}

/** The costly part: each method's whole plan, what-ifs for the chosen one, and the rhythm of what is laid and lifted. */
export function comparisonReport(
  facts: JobFacts,
  s: Surface,
  p: SurfacePlan,
  settings: FirmSettings,
  thisYear: number,
  { reasons, units }: Reporter,
) {
  const compared = compareMethods(facts, s.id, settings, thisYear);
  const main = [...p.choice.parts].sort((a, b) => b.areaM2 - a.areaM2)[0]?.selected.value ?? null;
  return {
    days: daysOf(p.work.handsOnH, p.work.waitH, settings),
    methods: compared.open.map((o) => ({
      method: o.methodId,
      name: say(o.methodId),
      verdict: o.verdict,
      on: o.on,
      personHours: o.personHours,
      waitHours: o.waitHours,
      money: o.money,
      days: o.days,
      harm: o.harm,
      proof: o.proof,
      draft: o.draft,
      unpriced: o.unpriced,
      beatenByAnother: o.dominated,
    })),
    // The reasons stand with each part; here the sentences are enough, and only for what is always compared.
    notStripping: compared.blocked
      .filter((b) => ALWAYS.includes(b.methodId))
      .map((b) => ({ name: say(b.methodId), says: b.because.map((r) => sentence(r, units)) })),
    whatIf: main === null ? [] : sensitivity(facts, s.id, main, settings, thisYear),
    rounds: p.choice.parts.flatMap((part) => {
      const q = roundQuestion(s, p, part.partId, settings);
      if (!q) return [];
      const r = rounds(q);
      return [
        {
          part: part.kind,
          method: q.method.id,
          name: say(q.method.id),
          pieceM2: q.pieceM2,
          soakHours: q.soakH,
          staysOpenHours: r.input.lifeMin / 60,
          atOnce: r.best.value,
          largestSafe: r.largest,
          perDay: r.perDay,
          perDayM2: r.perDayM2,
          idleMinutesPerDay: r.idleMinPerDay,
          days: r.daysForAll,
          nextLargerFails: r.tooMany,
          because: reasons(r.best.because),
        },
      ];
    }),
  };
}
