/** The report as a readable plan. */
import { withCartridges } from '../protect';
import { say, spell } from '../reasons';
import { SIGN_ROLES } from '../catalogue';
import { tell } from '../words';
import { formatHours, formatRange, formatWork, many, moneyIn, UNITS } from '../units/units';
import type { JobReport, SurfaceReport, ZoneReport } from './report';
import { declinedSays } from './declined';
import { escaped } from './escaped';
import type { ReasonReport } from './reporter';
import type { SurveyReport } from './survey';

const because = (rs: readonly ReasonReport[]): string =>
  rs.map((r) => `  - ${r.says} *(${r.source.title}; ${r.source.kind.toLowerCase()})*`).join('\n');

function trialLines(s: SurfaceReport): string[] {
  const out: string[] = [];
  if (s.film.value !== 'untested') out.push('', `**The film: ${say(s.film.value)}**`, because(s.film.because));
  for (const t of s.trials) {
    out.push('', `**Trial, ${t.name} on ${t.coating}: ${say(t.state.value)}** (${many(t.squares, 'square')})`, because(t.state.because));
    const took = [
      t.litresPerM2 ? `${formatRange(t.litresPerM2, (v) => v.toFixed(2))} L of product` : '',
      t.workHoursPerM2 ? `${formatRange(t.workHoursPerM2, formatWork)} of one person’s work` : '',
    ].filter(Boolean);
    if (took.length > 0) out.push(`  - For a square metre: ${took.join(', ')}.`);
    for (const n of t.next)
      out.push(
        `  - next square: ${n.dwellMinutes === null ? 'one patch' : formatHours(n.dwellMinutes / 60)}. ${n.because.map((r) => r.says).join(' ')}`,
      );
  }
  if (s.pieces) {
    const counts = Object.entries(s.pieces.counts).filter(([, n]) => n > 0);
    out.push(
      '',
      `**Piece by piece:** ${counts.map(([k, n]) => `${n} ${say(k)}`).join(', ')}${s.pieces.unseen ? `, ${s.pieces.unseen} not looked at` : ''}.`,
    );
    for (const p of s.pieces.each) out.push(`- ${p.label}: ${say(p.value)}. ${p.because.map((r) => r.says).join(' ')}`);
  }
  if (s.orderChanged.length > 0) out.push('', '**The order entered was put right**', because(s.orderChanged));
  if (s.keptApart.length > 0) out.push('', '**Keep apart**', because(s.keptApart));
  return out;
}

const HARM_WORDS = ['none', 'slight', 'some', 'hard'] as const;

function comparisonLines(c: NonNullable<SurfaceReport['comparison']>, money: (n: number) => string): string[] {
  const day = (n: number) => `${n < 10 ? n.toFixed(1) : Math.round(n)}`;
  const out = [
    '',
    '**Compared, each with its whole plan**',
    '',
    '| method | verdict | work | days with drying | cost | harm | proof |',
    '| --- | --- | --- | --- | --- | --- | --- |',
  ];
  for (const m of c.methods)
    out.push(
      `| ${m.name}${m.beatenByAnother ? '' : ' *'} | ${say(m.verdict)} | ${formatRange(m.personHours, formatWork)} | ${m.unpriced ? '–' : formatRange(m.days, day)} | ${m.unpriced ? 'not priced' : formatRange(m.money, money)} | ${HARM_WORDS[Math.round(m.harm)]} | ${m.proof === 'none' ? 'a guess' : m.proof}${m.draft ? ', draft' : ''} |`,
    );
  out.push('', '\\* no other costs less and harms less.');
  for (const b of c.notStripping) out.push(`- ${b.name}: blocked. ${b.says.join(' ')}`);
  for (const w of c.whatIf)
    out.push(
      `- If ${tell(`whatIf.${w.what}`)}: ${money(w.moneyThen)} instead of ${money(w.money)}, ${day(w.daysThen)} days with drying instead of ${day(w.days)}.`,
    );
  for (const r of c.rounds)
    out.push(
      '',
      `**Rounds, ${say(r.part)}: ${r.name}**`,
      `- ${r.atOnce} at once of ${r.pieceM2.toFixed(2)} m² each, at most ${r.largestSafe}; ${r.perDay} a day (${r.perDayM2.toFixed(1)} m²), ${Math.round(r.idleMinutesPerDay)} min of standing${r.days === null ? '' : `, ${r.days} days in all`}.`,
      because(r.because),
      ...(r.nextLargerFails
        ? [
            `  - One more fails: piece ${r.nextLargerFails.piece + 1} ${r.nextLargerFails.why === 'dried' ? 'dries before it is lifted' : 'waits too long for its rinse'}.`,
          ]
        : []),
    );
  return out;
}

/** A sum never hides what it leaves out. */
export const unpriced = (n: number): string =>
  n === 0 ? '' : ` ${n} ${n === 1 ? 'surface is' : 'surfaces are'} not in it: no method is allowed on a part.`;

/** A line to write a number on. */
export const blanks = (numbers: SurfaceReport['steps'][number]['checks'][number]['numbers']): string =>
  numbers.map((n) => ` (${n.name}: ____ ${UNITS[n.unit].label})`).join('');

const begun = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
/** "Go on: film wrinkles and bubbles. Stop: lifts clean. Harm: dry and crusted." */
export const signLine = (signs: NonNullable<SurfaceReport['steps'][number]['signs']>): string =>
  SIGN_ROLES.flatMap((r) => (signs[r].length === 0 ? [] : [`${begun(say(`role.${r}`))}: ${signs[r].join('; ')}.`])).join(' ');

function stepLines(steps: SurfaceReport['steps']): string[] {
  const out: string[] = [];
  for (const st of steps) {
    const times = [
      st.personHours.high > 0 ? `${formatRange(st.personHours, formatWork)} of work` : '',
      st.waitHours.high > 0 ? `wait ${formatRange(st.waitHours, formatHours)}` : '',
    ].filter(Boolean);
    out.push(`${st.number}. **${st.title}**${times.length > 0 ? ` (${times.join('; ')})` : ''}`);
    if (st.quantities.length > 0) out.push(`   - ${st.quantities.map((q) => `${q.what}: ${q.text}`).join('; ')}`);
    for (const r of st.because) out.push(`   - ${r.says}`);
    if (st.signs) out.push(`   - ${signLine(st.signs)}`);
    for (const c of st.checks) out.push(`   - [${c.state === 'passed' ? 'x' : ' '}] ${c.mustBeTrue.says}${blanks(c.numbers)}`);
  }
  return out;
}

/** What is laid, worn and filled in a zone, whether an area has to be closed for it or not; empty: nothing is. */
export const protectLines = ({ protection: p }: Pick<ZoneReport, 'protection'>): string[] => {
  const worn = p.respirator.value !== null || p.equipment.length > 0;
  return [
    ...(p.sheetLaid.value > 0
      ? [`Sheet ${p.sheetLaid.text} laid, ${p.sheetBought.text} bought`]
      : p.needed.value
        ? ['No room for a sheet: stop and ask']
        : []),
    ...(worn || p.needed.value ? [`${p.respirator.value ? say(p.respirator.value) : 'No respirator'}${withCartridges(p.cartridges)}`] : []),
    ...(p.equipment.length > 0 ? [p.equipment.map((k) => say(k.value)).join(', ')] : []),
    ...(p.bags.value > 0 ? [many(p.bags.value, 'waste bag')] : []),
    ...(p.verticalScreen.value ? ['Upright screen'] : []),
  ];
};

function zoneMarkdown(z: ZoneReport, money: (n: number) => string): string[] {
  const pr = z.protection;
  const out = ['', `### ${z.name}`, '', `**${z.reachesNothing ?? 'Reaches'}**`];
  for (const h of z.hazards) out.push(`- ${h.name}: ${h.surfaces.join(', ')}`);
  out.push(because(pr.needed.because));
  const protects = protectLines(z);
  if (protects.length > 0)
    out.push(
      '',
      '**Protect**',
      ...protects.map((says) => `- ${says}.`),
      ...(pr.needed.value ? [`- Exposure ${say(pr.exposure.value)}.`] : []),
      ...(pr.tasks.length > 1 ? pr.tasks.map((t) => `- ${t.name}, alone in the zone: ${t.wears}.`) : []),
      ...(pr.sign.value.length > 0 ? [`- Sign: ${pr.sign.value.join(' / ')}`] : []),
    );
  if (pr.air)
    out.push(
      `- Suction: ${pr.air.flow ? pr.air.flow.text : 'the room was not measured'}, ${many(pr.air.value.machines, 'air machine')}, blowing outdoors.`,
      because(pr.air.because),
    );
  if (pr.access) out.push('- Height:', because(pr.access.because));
  if (pr.coat)
    out.push(
      `- While it is coated (${pr.coat.products.join(', ')}): ${pr.coat.respirator.value ? say(pr.coat.respirator.value) : 'no respirator'}${withCartridges(pr.coat.cartridges)}, ${pr.coat.equipment.map((k) => say(k.value)).join(', ')}.`,
      because(pr.coat.equipment.flatMap((k) => k.because)),
    );
  for (const v of [...pr.vapour, ...pr.vibration]) out.push(because(v.because));
  if (z.asSaid.note.trim() !== '') out.push('', `Note: “${z.asSaid.note.trim()}”`);
  if (z.order.length > 1) out.push('', `Worked in this order: ${z.order.join('; ')}.`, because(z.orderChanged));
  if (z.steps.length > 0)
    out.push(
      '',
      '**Once for the whole zone**',
      '',
      ...stepLines(z.steps),
      '',
      `${formatRange(z.hours.handsOn, formatWork)} of work, ${formatRange(z.money, money)}.`,
    );
  return out;
}

/** How good it has to look, and how that is judged. */
export const finishLine = ({ finish: f }: Pick<SurfaceReport, 'finish'>): string =>
  `Finish: ${f.name}${f.agreed ? '' : ' (nobody said otherwise)'}, looked at in ${f.light} from ${f.from.text}.`;
/** "Hole, 0.1 ft2, as found: fill, 2 layers." */
export const damageLine = (r: SurfaceReport['repairs'][number]): string =>
  `${begun(r.name)}, ${r.size?.text ?? 'not measured'}, ${r.asFound ? 'as found' : 'made by the work'}: ${r.does}${r.layers > 1 ? `, ${r.layers} layers` : ''}.`;

function surfaceMarkdown(s: SurfaceReport, money: (n: number) => string): string {
  const out: string[] = [`### ${s.name}`, '', `${s.count} × ${s.element}, ${s.material}, ${s.area.text} in all.`];
  if (s.problems.length > 0) out.push('', '**Put right first:**', ...s.problems.map((p) => `- ${p.message}`));
  if (s.declined) out.push('', `**${declinedSays(s.declined.on, s.declined.note)}**`);
  out.push('', `**Lead: ${s.lead.known}**`, because(s.lead.overall.because));
  out.push('', '| coat, from the top | lead |', '| --- | --- |', ...s.lead.coats.map((c) => `| ${c.coat} | ${c.known} |`));
  if (s.lead.asks.length > 0) out.push('', '**Which is right?**', because(s.lead.asks));
  if (s.lead.nextTest.value !== 'none') out.push('', `**Next test: ${say(s.lead.nextTest.value)}**`, because(s.lead.nextTest.because));
  out.push('', `**Asbestos: ${s.asbestos.known}**`);
  if (s.asbestos.rung !== 'notSuspected') out.push(because(s.asbestos.overall.because));
  if (s.mold.value !== 'notFound') out.push('', `**${spell('Mold')}: ${say(s.mold.value)}**`, because(s.mold.because));
  if (s.silica.value) out.push('', '**Silica**', because(s.silica.because));
  out.push(
    '',
    '**What may be touched today**',
    ...s.touch.map((x) => `- ${say(x.depth)}: ${say(x.value)}. ${x.because.map((r) => r.says).join(' ')}`),
  );
  out.push('', `**Depth: ${say(s.requiredDepth.value)}**`, because(s.requiredDepth.because));
  if (!s.mayBeIssued.value) out.push('', '**Draft: not to be issued**', because(s.mayBeIssued.because));
  out.push(...trialLines(s));
  for (const p of s.parts) {
    out.push(
      '',
      `**${say(p.part)}, ${p.area.text}: ${p.selected.value ? say(p.selected.value) : 'no method is allowed'}**`,
      because(p.selected.because),
    );
    if (p.also.length > 0) out.push('', ...p.also.map((a) => `- also ${say(a.value)}. ${a.because.map((r) => r.says).join(' ')}`));
    if (p.verdicts === null) continue;
    out.push('', '| method | verdict | hours | cost | why |', '| --- | --- | --- | --- | --- |');
    for (const m of p.verdicts.methods) {
      const shown = m.because.filter((r) => r.effect === (m.verdict === 'blocked' ? 'block' : m.verdict === 'care' ? 'care' : 'note'));
      out.push(
        `| ${m.name} | ${say(m.verdict)} | ${m.verdict === 'blocked' ? '' : formatRange(m.personHours, formatWork)} | ${m.verdict === 'blocked' ? '' : formatRange(m.cost, money)} | ${shown.map((r) => r.says).join(' ')} |`,
      );
    }
  }
  if (s.comparison) out.push(...comparisonLines(s.comparison, money));
  out.push('', finishLine(s));
  if (s.repairs.length > 0)
    out.push('', '**Damage to the ground**', '', ...s.repairs.map((r) => `- ${damageLine(r)} ${r.because.map((b) => b.says).join(' ')}`));
  out.push('', '**Steps**', '', ...stepLines(s.steps));
  out.push(
    '',
    s.proof === 'unpriced'
      ? say('proof.unpriced')
      : `${formatRange(s.hours.handsOn, formatWork)} of work${s.hours.ofZone.high > 0 ? ` (${formatRange(s.hours.ofZone, formatWork)} of it its share of the zone’s)` : ''}, ${formatRange(s.hours.waiting, formatHours)} of waiting, ${formatRange(s.money, money)}. ${say(`proof.${s.proof}`)}`,
  );
  return out.join('\n');
}

const percent = (x: number): string => `${Math.round(x * 100)} %`;
const list = (xs: readonly string[]): string => (xs.length === 0 ? 'none' : xs.join(', '));

/** The hazard survey: today's picture, then lead, asbestos and mold with their samples. */
function surveyMarkdown(v: SurveyReport, money: (n: number) => string): string {
  const t = v.today;
  const out = [
    '## Hazard survey',
    '',
    `Surfaces: ${t.clear} clear, ${t.low} low, ${t.assumed} assumed, ${t.waiting} waiting, ${t.found} found.`,
    '',
    `- Do not touch: ${list(t.notToBeTouched)}.`,
    `- Set up first: ${list(t.setUpFirst)}.`,
    `- Methods that are blocked most: ${list(t.blockedMethods.slice(0, 6).map((b) => `${b.method} (${b.surfaces})`))}.`,
    v.seed === null ? '- No sampling seed: random places are not drawn until the job has one.' : `- Sampling seed: ${v.seed}.`,
  ];
  if (v.duties.length > 0) out.push('', '**What the site asks for**', because(v.duties));
  if (v.dwellings) {
    const d = v.dwellings;
    out.push(`- ${d.of} dwellings: test ${d.toTest}${d.drawn.length > 0 ? `, numbers ${d.drawn.join(', ')}` : ''}.`);
  }
  out.push(
    '',
    '### Lead, by testing combination',
    '',
    '| where | what | pieces | tests | state | likely | decision |',
    '| --- | --- | --- | --- | --- | --- | --- |',
  );
  for (const g of v.lead) {
    const d = g.decision;
    const says = d
      ? `${say(`decide.${d.choice}`)}: test ${money(d.testMoney)}, positive ${money(d.positiveMoney)}, break-even ${percent(d.breakEven)}`
      : 'settled';
    out.push(
      `| ${g.space} | ${list(g.surfaces)} | ${g.pieces} | ${g.testsNeeded.value} | ${say(g.state)} | ${percent(g.chance.value)} | ${says} |`,
    );
  }
  for (const a of v.asbestos) {
    out.push(
      '',
      `### Asbestos: ${a.material}, ${a.year ?? 'year unknown'}`,
      '',
      `**${a.known}**, ${a.size} on ${list(a.surfaces)}.`,
      because(a.state.because),
    );
    out.push(`- ${many(a.samplesNeeded.value, 'sample')} needed. ${a.samplesNeeded.because.map((r) => r.says).join(' ')}`);
    for (const p of a.places) out.push(`  - ${p.surface}: ${p.at}`);
    for (const x of a.samples) out.push(`- ${x.number}, ${x.surface}: ${x.answer}`);
    if (a.decision) out.push(because(a.decision.because));
  }
  for (const m of v.mold) {
    out.push(
      '',
      `### ${spell('Mold')}: ${m.space}`,
      '',
      `**${say(m.size.value)}**, ${m.extent}. Equipment: ${say(m.equipment.value)}. Containment: ${say(m.containment.value)}.`,
      because(m.size.because),
    );
    out.push(`- Cause: ${say(m.cause.value)}.`, because(m.cause.because));
    if (m.open.length > 0) out.push(`- Still to answer: ${m.open.join(' ')}`);
    for (const x of m.moisture) out.push(`- ${x.surface}: ${say(`moisture.${x.value}`)}. ${x.because.map((r) => r.says).join(' ')}`);
    if (m.spot) out.push(because(m.spot.risk.because));
    if (m.fan) out.push(because(m.fan.because));
    if (m.logged) out.push(`- ${m.logged}`);
    if (m.outlook)
      out.push(because(m.outlook.because), `  - Highest index in the ${m.outlook.climate}: ${m.outlook.peak.toFixed(1)} of 6.`);
  }
  if (v.register.samples.length > 0) {
    out.push('', '### Sample register', '', '| no. | for | where | state | due | result |', '| --- | --- | --- | --- | --- | --- |');
    for (const x of v.register.samples)
      out.push(
        `| ${x.number}${x.numberTwice ? ' (number twice)' : ''} | ${say(x.hazard)} | ${x.space}, ${x.surface} | ${say(x.state)} | ${x.dueAt?.slice(0, 10) ?? ''} | ${x.verdict === null ? '' : x.answer}${x.answersDiffer ? ' (answers differ)' : ''} |`,
      );
    for (const x of v.register.samples)
      if (x.verdict === 'low' || x.verdict === 'found') out.push(`- ${x.number}: ${x.because.map((r) => r.says).join(' ')}`);
    out.push('', `Tests so far: ${money(v.register.money)}.`);
  }
  for (const k of v.instruments)
    out.push(
      '',
      `- ${k.device}, ${k.what}${k.material ? ` (${say(k.material)})` : ''}: mean ${k.mean.toFixed(2)} on a film of ${k.film} mg/cm², ${k.at.slice(0, 16)}.`,
    );
  return out.join('\n');
}

/** @returns GitHub-flavoured Markdown, ready to print */
export function jobMarkdown(raw: JobReport): string {
  const report = escaped(raw);
  const money = moneyIn(report.job.currency);
  const out = [`# ${report.job.name}`, '', report.job.about, '', `> ${report.notice}`, '', `> ${report.job.edition}`];
  if (report.job.note.trim() !== '') out.push('', `Note: “${report.job.note.trim()}”`);
  if (report.survey) out.push('', surveyMarkdown(report.survey, money));
  if (report.steps.length > 0) out.push('', '## Once for the whole job', '', ...stepLines(report.steps));
  out.push('', '## Work zones', ...report.zones.flatMap((z) => zoneMarkdown(z, money)));
  if (report.shifts.length > 0) out.push('', '## Who is where', '', ...report.shifts.map((x) => `- ${x.says}`));
  if (report.waste.length > 0) {
    out.push('', '## Waste', '');
    for (const w of report.waste)
      out.push(
        `- ${w.name}: ${w.weight}, ${[w.className, ...w.classed.value.codes].join(', ')}; ${w.container}; ${w.stands}.`,
        because(w.classed.because),
      );
  }
  for (const space of report.spaces) {
    out.push('', `## ${space.name}`);
    if (space.minorWork) out.push('', because(space.minorWork.because).trim());
    for (const s of space.surfaces) out.push('', surfaceMarkdown(s, money));
  }
  out.push(
    '',
    '## In all',
    '',
    `${report.totals.area.text}, ${formatRange(report.totals.personHours, formatWork)} of work, ${formatRange(report.totals.money, money)}. ${say(`proof.${report.totals.proof}`)}${unpriced(report.totals.unpriced)}`,
    '',
    ...report.totals.lines.filter((l) => l.money.high > 0).map((l) => `- ${l.name}: ${formatRange(l.money, money)}`),
  );
  return `${out.join('\n')}\n`;
}
