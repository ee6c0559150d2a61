/** E1 to E8: what was measured decides, and stays. */
import { coatsFreeOfLead, type Run } from '../run';
import { leadMayBeCleared, lowOn } from '../oracle/evidence';
import { DOES } from '../oracle/methods';
import { asbestosMayBeCleared } from '../oracle/asbestos';
import {
  applyChanges,
  changesFor,
  copiedJob,
  jobProblems,
  parseJobFile,
  writeJobFile,
  type CopyWay,
  type JobFacts,
} from '../../../../core/src/facts';
import { createDeriver } from '../../../../core/src/job/derive';
import { THIS_YEAR } from '../scenario';
import type { Law } from './law';

const NOW = '2026-05-05T13:20:00.000Z';
/** A job begun from it, in by the one door and out of its file. */
function begunFrom({ facts, settings }: Run, way: CopyWay) {
  let n = 0;
  const copied = copiedJob(facts, way, { name: 'Next', edition: facts.job.edition }, () => `new-${(n += 1)}`, NOW);
  if (!copied.ok) return copied.problems.map((x) => x.message);
  const made = copied.value;
  const entered = applyChanges(
    null,
    changesFor(made, () => `c-${(n += 1)}`, 'Hunt'),
    THIS_YEAR,
  );
  if (!entered.ok) return entered.problems.map((p) => `a copy is refused: ${p.path} ${p.message}`);
  const read = parseJobFile(JSON.parse(writeJobFile(entered.value)), THIS_YEAR);
  if (!read.ok) return read.problems.map((p) => `the file of a copy is refused: ${p.path} ${p.message}`);
  return {
    facts: made,
    plans: new Map(
      createDeriver()
        .derive(made, settings, THIS_YEAR)
        .surfaces.map((p) => [p.surfaceId, p]),
    ),
  };
}
/** Every job would be derived three times at every stop: one in so many is. */
const ONE_IN = 7;
const isTried = ({ facts }: Run): boolean =>
  facts.surfaces.reduce((sum, s) => sum + s.layers.length + s.readings.length + s.checks.length, facts.surfaces.length) % ONE_IN === 0 &&
  jobProblems(facts, THIS_YEAR).length === 0;
const STRICTNESS = { notFound: 0, unknown: 1, assumed: 1, waiting: 1, found: 2 } as const;
const idsOf = (facts: JobFacts): Set<string> => new Set(JSON.stringify(facts).match(/(?<="id":")[^"]+/g));

const LAW_OF = { positive: 'E2', reachUnknown: 'E3', waiting: 'E5', doubted: 'E2', before: 'E4', unmeasured: 'E5' } as const;

/** Every coat that is called free of lead has to be one that the oracle lets go, for the reason that this law watches. */
const leadLaw = (id: string, says: string): Law => ({
  id,
  says,
  check: ({ facts, plans }: Run) =>
    facts.surfaces.flatMap((s) => {
      const plan = plans.get(s.id);
      if (!plan) return [];
      const free = coatsFreeOfLead(plan);
      return leadMayBeCleared(s, facts).flatMap((m) =>
        m.not !== null && LAW_OF[m.not] === id && free.has(m.coatId)
          ? [`${s.name}: coat ${m.coatId} is "not found" in spite of: ${m.not}`]
          : [],
      );
    }),
});

/** Coats that are called free of lead, of which a test saw some. */
const lowCoats = ({ facts, plans }: Run) =>
  facts.surfaces.flatMap((s) => {
    const plan = plans.get(s.id);
    if (!plan) return [];
    return plan.lead.coats
      .map((c, i) => ({ s, plan, at: i, rung: c.standing.rung, state: c.state, seen: lowOn(s, c.coat.id, facts) }))
      .filter((c) => c.state === 'notFound' && c.seen !== 'none');
  });
/** Dust or fume of what is gone through. 29 CFR 1926.62(d)(2). */
const stirsUp = (id: keyof typeof DOES): boolean => {
  const d = DOES[id];
  return d.dryHand === true || d.motor === true || d.shroud === true || d.hot === true || d.blast !== undefined;
};

export const EVIDENCE: readonly Law[] = [
  {
    id: 'E7',
    says: 'lead below what counts as found is told as what it is, and its dust and fume are breathed through a mask',
    asks: (run) => lowCoats(run).length,
    check: (run) => {
      const out = [...run.plans.values()].flatMap(({ surfaceId, lead, asbestos }) =>
        (
          [
            ['lead', lead.overall.value, lead.standing],
            ['asbestos', asbestos.overall.value, asbestos.standing],
          ] as const
        )
          // One word for one state, on every list and paper.
          .filter(([, state, at]) => at.state !== state || at.word !== (state === 'notFound' ? at.rung : state))
          .map(([what, state, at]) => `${surfaceId}: ${what} is ${state}, and is called ${at.word}`),
      );
      out.push(
        ...lowCoats(run).flatMap(({ s, rung, seen }) => (rung === seen ? [] : [`${s.name}: ${seen} was seen, and the plan says ${rung}`])),
      );
      for (const { s, plan, at } of lowCoats(run)) {
        // The first coat is in reach of every stroke that disturbs.
        if (at > 0 || !plan.work.steps.some((st) => st.kind === 'prepare')) continue;
        const zone = run.job.zones.find((z) => z.zoneId === plan.zoneId);
        for (const part of plan.choice.parts) {
          const id = part.selected.value;
          if (id === null || !stirsUp(id)) continue;
          const task = plan.protection.tasks.find((x) => x.methodId === id);
          const own = task?.respirator.because.some((r) => r.rule === 'ppe.ownUnder' || r.rule === 'ppe.ownOnce') === true;
          if (task === undefined || (task.respirator.value === null && !own)) out.push(`${s.name}: ${id} through low lead without a mask`);
          else if (!task.kit.some((k) => k.value === 'washStation')) out.push(`${s.name}: ${id} through low lead, and nowhere to wash`);
          if (zone !== undefined && !zone.hazards.some((h) => h.kind === 'leadLow' || h.kind === 'lead'))
            out.push(`${s.name}: ${id} through low lead, and its zone does not name it`);
          // Its dust settles as any lead does: somebody looks before the place is used again.
          if (zone !== undefined && zone.steps.length > 0 && !zone.steps.some((st) => st.gates.some((g) => g.id === 'cleaned')))
            out.push(`${s.name}: ${id} through low lead, and nobody looks whether its dust is gone`);
        }
      }
      return out;
    },
  },
  {
    id: 'E1',
    says: 'a reading that found lead outranks every age',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        const bad = leadMayBeCleared(s, facts).some((m) => m.not === 'positive');
        return bad && plan.lead.overall.value === 'notFound' ? [`${s.name}: a standing positive, and lead is "not found"`] : [];
      }),
  },
  leadLaw('E2', 'on what it reached the strictest standing reading holds'),
  leadLaw('E3', 'a positive whose reach nobody recorded counts for every coat'),
  leadLaw('E4', 'what was found belongs to the place'),
  leadLaw('E5', 'a negative clears only what it reached, and only where the test is valid'),
  {
    id: 'E6',
    says: 'an asbestos area is negative only by enough samples, in distinct places, all negative',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        return asbestosMayBeCleared(s, facts).flatMap(({ lies, not }) =>
          not !== null && plan.asbestos[lies].value === 'notFound'
            ? [`${s.name}: asbestos (${lies}) is "not found" in spite of: ${not}`]
            : [],
        );
      }),
  },
  {
    id: 'copied',
    says: 'a job that goes on at the same house knows what was found there; one for a like house knows nothing of it, and both begin at the beginning',
    asks: (run) => (isTried(run) ? run.plans.size : 0),
    check: (run) => {
      if (!isTried(run)) return [];
      const out: string[] = [];
      const same = begunFrom(run, 'sameHouse');
      const alike = begunFrom(run, 'alike');
      if (Array.isArray(same)) return same;
      if (Array.isArray(alike)) return alike;
      const before = idsOf(run.facts);
      for (const id of [...idsOf(same.facts), ...idsOf(alike.facts)]) if (before.has(id)) out.push(`a copy goes by an old id: ${id}`);
      run.facts.surfaces.forEach((s, i) => {
        const was = run.plans.get(s.id);
        const now = same.plans.get(same.facts.surfaces[i]!.id);
        if (!was || !now) return void ((was === undefined) !== (now === undefined) && out.push(`${s.name}: there in one of the two only`));
        for (const [hazard, a, b] of [
          ['lead', was.lead.overall.value, now.lead.overall.value],
          ['asbestos', was.asbestos.overall.value, now.asbestos.overall.value],
          ['mold', was.mold.value, now.mold.value],
        ] as const)
          if (STRICTNESS[b] < STRICTNESS[a]) out.push(`${s.name}: ${hazard} was ${a}, and is ${b} in the next job at the same house`);
      });
      for (const [, p] of alike.plans) {
        if ([p.lead.overall.value, p.asbestos.overall.value, p.mold.value].includes('found'))
          out.push(`${p.surfaceId}: found in a like house`);
      }
      for (const p of [...same.plans.values(), ...alike.plans.values()])
        if (p.work.steps.some((st) => st.gates.some((g) => g.state === 'passed')))
          out.push(`${p.surfaceId}: a check of another job counts`);
      return out;
    },
  },
  {
    id: 'warm',
    says: 'a job that was edited is derived as one that is opened',
    check: ({ differs }) => differs,
  },
];
