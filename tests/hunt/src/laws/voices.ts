/**
 * V1: one voice. Every output names what it tells by the node that it is told of, and what two of them tell of one node is the same. Texts
 * are read back line by line: a line that says a figure of which no node is known is a breach too.
 */
import { digestOf } from '../../../../core/src/job/digest';
import { headOf } from '../../../../core/src/job/head';
import { MONEY_LINES } from '../../../../core/src/job/money';
import { jobSteps } from '../../../../core/src/job/steps';
import { standingText } from '../../../../core/src/probe';
import { sampleRegister } from '../../../../core/src/probe/register';
import { todayOf } from '../../../../core/src/probe/today';
import { todaySurface } from '../../../../core/src/job/digest';
import { say } from '../../../../core/src/reasons';
import { clientPage, jobMarkdown, jobReport, programme } from '../../../../core/src/report';
import { shoppingOf } from '../../../../core/src/job/buy';
import { GOODS } from '../../../../core/src/catalogue';
import { isGood } from '../../../../core/src/facts';
import { cap, convert, formatMeasure, formatRange, many, measure, moneyIn, UNITS, type Unit } from '../../../../core/src/units/units';
import type { Run } from '../run';
import { THIS_YEAR } from '../scenario';
import { DOES } from '../oracle/methods';
import type { Law } from './law';

const NOW = '2026-05-05T13:20:00.000Z';
type Value = string | number | boolean | null;
const near = (a: Value, b: Value): boolean =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a), Math.abs(b)) : a === b;

/** What was told of each node, and by whom first. */
class Told {
  private readonly said = new Map<string, { readonly by: string; readonly value: Value }>();
  readonly out: string[] = [];
  tell(by: string, node: string, value: Value): void {
    const first = this.said.get(node);
    if (first === undefined) this.said.set(node, { by, value });
    else if (!near(first.value, value)) this.out.push(`${node}: ${first.by} says ${first.value}, ${by} says ${value}`);
  }
  range(by: string, node: string, { low, high }: { readonly low: number; readonly high: number }): void {
    this.tell(by, `${node}.low`, low);
    this.tell(by, `${node}.high`, high);
  }
  knows(node: string): boolean {
    return this.said.has(node);
  }
}

/** The plan, its digest, the head of the job and the report, value by value. */
function figures({ facts, job, settings }: Run, t: Told) {
  const digest = digestOf(facts, job);
  const report = jobReport(facts, job, settings, NOW, { detail: 'picks', survey: false });
  for (const p of job.surfaces) {
    const n = `surface/${p.surfaceId}`;
    const zone = job.zones.find((z) => z.zoneId === p.zoneId);
    t.tell('plan', `${n}/lead`, p.lead.overall.value);
    t.tell('plan', `${n}/leadIs`, p.lead.standing.word);
    t.tell('plan', `${n}/asbestosIs`, p.asbestos.standing.word);
    t.tell('plan', `${n}/mold`, p.mold.value);
    t.tell('plan', `${n}/area`, p.area.totalM2);
    t.range('plan', `${n}/money`, p.money);
    t.range('plan', `${n}/hours`, p.work.handsOnH);
    t.tell('plan', `${n}/mask`, p.protection.respirator.value);
    t.tell('plan', `${n}/sheet`, p.protection.sheetLaidM2.value);
    t.tell('plan', `${n}/unpriced`, p.proof === 'unpriced');
    if (zone) t.tell('zone', `${n}/mask`, zone.protection.respirator.value);
    // "Not priced, in no sum": not even its coats.
    const stopped = p.area.totalM2 > 0 && p.choice.parts.some((x) => x.selected.value === null);
    if (stopped && p.money.high - p.sharedMoney.high > 1e-6)
      t.out.push(`${n}: no method, and ${p.money.high - p.sharedMoney.high} of its own`);
    // A state that binds and a word that frees never stand together.
    const free = ['notSuspected', 'noneFound', 'trace', 'below'].includes(p.lead.standing.word);
    if (free !== (p.lead.overall.value === 'notFound')) t.out.push(`${n}: lead is ${p.lead.overall.value} and ${p.lead.standing.word}`);
  }
  for (const d of digest.surfaces) {
    const n = `surface/${d.surfaceId}`;
    t.tell('digest', `${n}/lead`, d.lead);
    t.tell('digest', `${n}/leadIs`, d.leadIs);
    t.tell('digest', `${n}/asbestosIs`, d.asbestosIs);
    t.tell('digest', `${n}/mold`, d.mold);
    t.tell('digest', `${n}/area`, d.areaM2);
    t.range('digest', `${n}/money`, d.money);
    t.range('digest', `${n}/hours`, d.handsOnH);
    t.tell('digest', `${n}/mask`, d.respirator);
    t.tell('digest', `${n}/sheet`, d.sheetM2);
    t.tell('digest', `${n}/unpriced`, d.unpriced);
  }
  for (const s of report.spaces.flatMap((x) => x.surfaces)) {
    const n = `surface/${s.id}`;
    t.tell('report', `${n}/lead`, s.lead.overall.value);
    t.tell('report', `${n}/mold`, s.mold.value);
    t.range('report', `${n}/money`, s.money);
    t.range('report', `${n}/hours`, s.hours.handsOn);
    t.tell('report', `${n}/unpriced`, s.proof === 'unpriced');
  }
  for (const z of job.zones) {
    const n = `zone/${z.zoneId}`;
    t.tell('plan', `${n}/mask`, z.protection.respirator.value);
    t.tell('plan', `${n}/sheet`, z.protection.sheetLaidM2.value);
    t.tell('plan', `${n}/bags`, z.protection.bags.value);
    t.range('plan', `${n}/money`, z.money);
    t.range('plan', `${n}/hours`, z.handsOnH);
  }
  for (const z of digest.zones) {
    const n = `zone/${z.zoneId}`;
    t.tell('digest', `${n}/mask`, z.respirator);
    t.tell('digest', `${n}/sheet`, z.sheetM2);
    t.range('digest', `${n}/money`, z.money);
    t.range('digest', `${n}/hours`, z.handsOnH);
  }
  for (const z of report.zones) {
    const n = `zone/${z.id}`;
    t.tell('report', `${n}/mask`, z.protection.respirator.value);
    t.tell('report', `${n}/bags`, z.protection.bags.value);
    t.range('report', `${n}/money`, z.money);
    t.range('report', `${n}/hours`, z.hours.handsOn);
  }
  const sum = (end: 'low' | 'high') => MONEY_LINES.reduce((all, l) => all + job.totals.lines[l][end], 0);
  t.range('plan', 'job/money', job.totals.money);
  t.range('its lines', 'job/money', { low: sum('low'), high: sum('high') });
  t.range('head', 'job/money', headOf(facts, digest, settings).money);
  t.range('report', 'job/money', report.totals.money);
  t.range('plan', 'job/hours', job.totals.personHours);
  t.range('its surfaces', 'job/hours', {
    low: job.surfaces.reduce((all, p) => all + p.work.handsOnH.low, 0),
    high: job.surfaces.reduce((all, p) => all + p.work.handsOnH.high, 0),
  });
  t.range('report', 'job/hours', report.totals.personHours);
  t.tell('digest', 'job/unpriced', digest.unpriced);
  t.tell('report', 'job/unpriced', report.totals.unpriced);
  return { digest, report };
}

/** What the plan's own list asks for, and what the shop is asked for. */
function bought({ facts, job, settings }: Run, t: Told): void {
  const asked = new Map<string, number>();
  for (const a of jobSteps(facts, job).find((st) => st.id === 'buy')?.amounts ?? []) {
    if (!isGood(a.what) || UNITS[a.amount.unit].dimension !== UNITS[GOODS[a.what].unit as Unit].dimension) continue;
    asked.set(a.what, (asked.get(a.what) ?? 0) + convert(a.amount.value, a.amount.unit, GOODS[a.what].unit as Unit));
  }
  const { lines } = shoppingOf(facts, job, { settings, tins: [], today: NOW.slice(0, 10) }, { kind: 'job' });
  const needed = new Map<string, number>();
  for (const l of lines) needed.set(l.good, (needed.get(l.good) ?? 0) + l.need);
  // Suits are worn out by the day, and stand with the masks.
  for (const [good, need] of asked)
    if (good !== 'coverall') {
      t.tell('the plan’s list', `buy/${good}`, need);
      t.tell('the shop', `buy/${good}`, needed.get(good) ?? 0);
    }
  for (const good of needed.keys())
    if (good !== 'coverall' && !asked.has(good)) t.out.push(`buy/${good}: the shop is asked for it, the plan is not`);
}

/** The printed plan, read back: zones in their order, pieces in that of their rooms. */
function printed({ facts, job, settings }: Run, report: ReturnType<typeof jobReport>, t: Told): void {
  const { units } = facts.job;
  const area = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  const text = jobMarkdown(report);
  const all = (re: RegExp) => [...text.matchAll(re)].map((m) => m.slice(1));
  // Only zones with steps stand on the paper with what they ask for.
  const pieces = report.spaces.flatMap((x) => x.surfaces).map((s) => job.surfaces.find((p) => p.surfaceId === s.id)!);
  const words = { Lead: (p: (typeof pieces)[number]) => p.lead.standing, Asbestos: (p: (typeof pieces)[number]) => p.asbestos.standing };
  for (const what of ['Lead', 'Asbestos'] as const) {
    const said = all(new RegExp(`^\\*\\*${what}: (.*)\\*\\*$`, 'gm'));
    pieces.forEach((p, i) => {
      t.tell('node', `surface/${p.surfaceId}/${what} in words`, standingText(words[what](p), units));
      t.tell('paper', `surface/${p.surfaceId}/${what} in words`, said[i]?.[0] ?? 'nothing');
    });
  }
  // Each zone and each piece on the paper has the mask, the bags and the price of its node, and no other.
  const money = moneyIn(settings.pricesIn);
  const [, zonesText = '', rest = ''] = /\n## Work zones\n([^]*?)\n## ([^]*)/.exec(text) ?? [];
  const zones = zonesText.split(/\n### /).slice(1);
  job.zones
    .filter((z) => zonesText !== '' && z.surfaceIds.length > 0)
    .forEach((z, i) => {
      const said = zones[i] ?? '';
      const { respirator, kit, bags } = z.protection;
      // Worn is worn, whether an area is closed for it or not.
      const wanted = [
        ...(bags.value > 0 ? [`- ${many(bags.value, 'waste bag')}.`] : []),
        ...(respirator.value === null ? [] : [`- ${say(respirator.value)}`]),
        ...(kit.length > 0 ? [`- ${kit.map((k) => say(k.value)).join(', ')}.`] : []),
        ...(z.steps.length > 0 ? [`of work, ${formatRange(z.money, money)}.`] : []),
      ];
      for (const w of wanted) if (!said.includes(w)) t.out.push(`zone/${z.zoneId}: the paper leaves out “${w}”`);
    });
  const told = rest.split(/\n### /).slice(1);
  pieces.forEach((p, i) => {
    const price = p.proof === 'unpriced' ? 'Not priced' : formatRange(p.money, money);
    if (!(told[i] ?? '').includes(price)) t.out.push(`surface/${p.surfaceId}: the paper does not say ${price}`);
  });
  const sheets = all(/^- Sheet (.*) laid, (.*) bought\.$/gm);
  const laid = job.zones.filter((z) => z.protection.sheetLaidM2.value > 0).map((z) => area(z.protection.sheetLaidM2.value));
  for (const [said] of sheets) if (!laid.includes(said!)) t.out.push(`the paper lays ${said} of sheet, and no zone does`);
}

/** The programme and the papers of a zone never say less than the zone asks for. */
function spoken({ facts, job, settings }: Run, t: Told): void {
  const zones = job.zones.filter((z) => z.steps.length > 0);
  programme(facts, job, settings, { people: [] }, NOW).zones.forEach((paper, i) => {
    const z = zones[i]!;
    const text = paper.sections.flatMap((s) => s.lines).join('\n');
    const mask = z.protection.respirator.value;
    if (mask !== null && !text.toLowerCase().includes(say(mask).toLowerCase()))
      t.out.push(`${z.name}: the programme leaves out ${say(mask)}`);
    if (mask !== null && /^No respirator/m.test(text)) t.out.push(`${z.name}: the programme says no respirator, the zone ${say(mask)}`);
  });
}

/** The page that the client signs: the price, the hazards and the sheet of the plan, and no method that nobody priced. */
function signed({ facts, job, settings }: Run, t: Told): void {
  const { units } = facts.job;
  // Each page derives the job anew: the first piece stands for all.
  const p = job.surfaces[0];
  const page = p === undefined ? null : clientPage(facts, p.surfaceId, settings, THIS_YEAR);
  if (p === undefined || page === null) return;
  const n = `surface/${p.surfaceId}`;
  const wanted = p.proof === 'unpriced' ? say('proof.unpriced') : formatRange(p.money, moneyIn(settings.pricesIn));
  if (!page.price.startsWith(wanted)) t.out.push(`${n}: the client reads ${page.price}, the plan has ${wanted}`);
  const chosen = page.methods.find((m) => m.chosen);
  if (chosen !== undefined && p.proof !== 'unpriced') {
    t.range('plan', `${n}/money`, p.money);
    t.range('the client’s page', `${n}/money`, chosen.money);
  }
  const [lead = '', asbestos = ''] = page.found;
  for (const [says, at] of [
    [lead, p.lead.standing],
    [asbestos, p.asbestos.standing],
  ] as const) {
    const there = / is found\.|treated as there/.test(says);
    if (there !== (at.state !== 'notFound')) t.out.push(`${n}: the client reads “${says}”, and it is ${at.word}`);
    if (at.measured !== null && at.state === 'notFound' && !says.includes(formatMeasure(at.measured, units)))
      t.out.push(`${n}: the client reads “${says}” without its number`);
  }
  const poisons = new Set(p.lead.coats.flatMap((c) => c.coat.poisons));
  // What is assumed beside what is known of the same is not said.
  if (poisons.has('chromate')) poisons.delete('chromateAssumed');
  for (const poison of poisons)
    if (!page.found.some((says) => says.startsWith(poison === 'chromateAssumed' ? 'Chromate: nobody looked' : cap(say(poison)))))
      t.out.push(`${n}: ${poison} is in a coat, and the client does not read it`);
  p.lead.coats.forEach((c, i) => {
    if (page.coats[i]?.state !== `lead: ${standingText(c.standing, units)}`)
      t.out.push(`${n}: coat ${i + 1} reads ${page.coats[i]?.state}`);
  });
}

/** What nobody may touch today is not planned as if one could. */
function touched({ facts, job, settings }: Run, digest: ReturnType<typeof digestOf>, t: Told): void {
  const today = todayOf(digest.surfaces.map(todaySurface), sampleRegister(facts, settings, NOW));
  for (const id of today.stopped) {
    const p = job.surfaces.find((x) => x.surfaceId === id)!;
    // What only lies on it goes into nothing.
    const strokes = p.work.steps.filter(
      (st) => !st.shared && st.at !== undefined && 'stroke' in st.at && DOES[st.at.stroke].to !== 'nothing',
    );
    if (strokes.length > 0) t.out.push(`${id}: nobody may touch it today, and the plan works it: ${strokes.map((st) => st.id).join(', ')}`);
  }
  // What may be touched as any paint, as deep as any stroke goes, has no poison named on it. A repair goes deeper than the strokes.
  for (const p of job.surfaces) {
    const named = (job.zones.find((z) => z.zoneId === p.zoneId)?.hazards ?? []).filter((h) => h.surfaceIds.includes(p.surfaceId));
    const to = p.choice.parts
      .filter((x) => x.areaM2 > 0)
      .flatMap((x) => [x.selected.value, ...x.also.map((a) => a.value)].map((id) => (id === null ? 'nothing' : DOES[id].to)));
    const deepest = (['bare', 'loose', 'skin'] as const).find((d) => to.includes(d));
    const touch = p.touch.find((x) => x.depth === deepest)?.answer.value;
    if (
      touch === 'free' &&
      !to.includes('out') &&
      p.repairs.length === 0 &&
      named.some((h) => h.kind === 'poison' || h.kind === 'antifoul')
    )
      t.out.push(`${p.surfaceId}: ${deepest} is free to touch, and poison is named there`);
  }
}

const contradictions = (run: Run): string[] => {
  const t = new Told();
  const { digest, report } = figures(run, t);
  bought(run, t);
  printed(run, report, t);
  spoken(run, t);
  signed(run, t);
  touched(run, digest, t);
  return t.out;
};

export const VOICE_LAWS: readonly Law[] = [{ id: 'V1', says: 'what two outputs tell of one node is the same', check: contradictions }];
