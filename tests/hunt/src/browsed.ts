/**
 * V1 through the browser: random jobs as files, and what each of their screens has to say of them. What the core tells in this process
 * and what a screen shows after import, server and worker are one voice.
 */
import fc from 'fast-check';
import { JobFacts, jobProblems, writeJobFile } from '../../../core/src/facts';
import { createDeriver } from '../../../core/src/job/derive';
import { digestOf } from '../../../core/src/job/digest';
import { headOf } from '../../../core/src/job/head';
import { numberOf, rungKey } from '../../../core/src/probe';
import { say, spellAs } from '../../../core/src/reasons';
import { clientPage, jobReport, shoppingPaper } from '../../../core/src/report';
import { DEFAULT_SETTINGS } from '../../../core/src/rulebook';
import { shoppingOf } from '../../../core/src/job/buy';
import { formatMeasure, formatRange, formatWork, measure, moneyIn } from '../../../core/src/units/units';
import { factsOf, recipe, THIS_YEAR } from './scenario';

export interface Page {
  readonly at: string;
  /** What stands on it, each word for word; case and blanks do not count. */
  readonly says: readonly string[];
}
export interface Browsed {
  readonly jobId: string;
  readonly file: string;
  readonly pages: readonly Page[];
}

/** Two jobs of the hunt share their ids; on one server each has its own. */
function ownIds(facts: JobFacts, n: number): JobFacts {
  const ids = new Set<string>();
  const collect = (x: unknown): void => {
    if (Array.isArray(x)) return x.forEach(collect);
    if (typeof x !== 'object' || x === null) return;
    for (const [k, v] of Object.entries(x)) {
      if (k === 'id' && typeof v === 'string') ids.add(v);
      else collect(v);
    }
  };
  collect(facts);
  const renamed = (x: unknown): unknown =>
    typeof x === 'string'
      ? ids.has(x)
        ? `b${n}-${x}`
        : x
      : Array.isArray(x)
        ? x.map(renamed)
        : typeof x === 'object' && x !== null
          ? Object.fromEntries(Object.entries(x).map(([k, v]) => [k, renamed(v)]))
          : x;
  return renamed(facts) as JobFacts;
}

function pagesOf(facts: JobFacts, now: string): Page[] {
  const settings = DEFAULT_SETTINGS;
  const { id, units, rulebook } = facts.job;
  spellAs(rulebook);
  const money = moneyIn(settings.pricesIn);
  const plan = createDeriver().derive(facts, settings, THIS_YEAR);
  const head = headOf(facts, digestOf(facts, plan), settings);
  const report = jobReport(facts, plan, settings, now);
  const shopping = shoppingPaper(
    shoppingOf(facts, plan, { settings, tins: [], today: now.slice(0, 10) }, { kind: 'job' }),
    facts,
    settings,
  );
  const amount = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  const ofSurface = plan.surfaces.flatMap((p): Page[] => {
    const page = clientPage(facts, p.surfaceId, settings, THIS_YEAR)!;
    const mask = p.protection.respirator.value;
    return [
      {
        at: `/client/${id}?surface=${p.surfaceId}`,
        says: [page.price, ...page.found, ...page.care, ...page.insteadOf],
      },
      {
        at: `/job/${id}/probe/${p.surfaceId}`,
        says: p.lead.coats.flatMap((c) => [say(rungKey(c.standing)), numberOf(c.standing, units) ?? '']),
      },
      {
        at: `/job/${id}/protect/${p.surfaceId}`,
        says: [mask === null ? 'No respirator' : say(mask)],
      },
      {
        at: `/job/${id}/work/${p.surfaceId}`,
        says: [
          ...(p.proof === 'unpriced'
            ? [say('proof.unpriced')]
            : [`${formatRange(p.work.handsOnH, formatWork)} of work`, formatRange(p.money, money)]),
          ...p.work.steps.filter((st) => st.handsOnH.high > 0).map((st) => `${formatRange(st.handsOnH, formatWork)} of work`),
        ],
      },
      {
        at: `/job/${id}/coat/${p.surfaceId}`,
        says: p.coating.refused.length > 0 ? [] : p.coating.lines.map((l) => formatMeasure(measure(l.litres, 'L'), units)),
      },
    ];
  });
  return [
    {
      at: `/print/${id}`,
      says: [
        formatRange(report.totals.money, money),
        ...report.waste.map((w) => w.weight),
        ...plan.zones
          .filter((z) => z.protection.sheetLaidM2.value > 0 && z.steps.length > 0)
          .map((z) => amount(z.protection.sheetLaidM2.value)),
        ...report.spaces.flatMap((x) => x.surfaces).map((s) => `Lead: ${s.lead.known}`),
      ],
    },
    { at: `/job/${id}/walk`, says: [formatRange(head.money, money)] },
    {
      at: `/buy/${id}`,
      says: shopping.empty
        ? [shopping.nothing]
        : [
            shopping.total,
            ...shopping.sections.flatMap((s) => s.rows.flatMap((r) => [r.what, r.buy])),
            ...shopping.masks.map((m) => m.what),
          ],
    },
    ...ofSurface,
  ];
}

/** Nor is one that is dated after tomorrow. */
const INSTANT = /"(\d{4}-\d\d-\d\dT[^"]*)"/g;
const fits = (facts: JobFacts, now: string): boolean =>
  JobFacts.safeParse(facts).success && [...JSON.stringify(facts).matchAll(INSTANT)].every(([, at]) => at! <= now);

/** @param now as the browser will have it, near enough that no day lies between */
export function browsed(count: number, seed: number, now: string): Browsed[] {
  const out: Browsed[] = [];
  for (const r of fc.sample(recipe, { seed, numRuns: count * 4 })) {
    const facts = ownIds(factsOf(r), out.length);
    // What no phone and no file can hold is no job.
    if (facts.job.removedAt !== null || jobProblems(facts, THIS_YEAR).length > 0 || !fits(facts, now)) continue;
    out.push({ jobId: facts.job.id, file: writeJobFile(facts), pages: pagesOf(facts, now) });
    if (out.length === count) break;
  }
  return out;
}
