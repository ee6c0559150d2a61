/** The report as a readable plan. */
import { say } from '../reasons';
import { formatHours, formatRange, formatWork, UNITS } from '../units/units';
import type { JobReport, ReasonReport, SurfaceReport } from './report';

const because = (rs: readonly ReasonReport[]): string =>
  rs.map((r) => `  - ${r.says} *(${r.source}; ${r.sourceKind.toLowerCase()})*`).join('\n');

function surfaceMarkdown(s: SurfaceReport, money: (n: number) => string): string {
  const out: string[] = [`### ${s.name}`, '', `${s.count} × ${s.element}, ${s.material}, ${s.area.text} in all.`];
  if (s.problems.length > 0) out.push('', '**Put right first:**', ...s.problems.map((p) => `- ${p.message}`));
  out.push('', `**Lead: ${say(s.lead.overall.value)}**`, because(s.lead.overall.because));
  out.push('', '| coat, from the top | lead |', '| --- | --- |', ...s.lead.coats.map((c) => `| ${c.coat} | ${say(c.state)} |`));
  if (s.lead.nextTest.value !== 'none') out.push('', `**Next test: ${say(s.lead.nextTest.value)}**`, because(s.lead.nextTest.because));
  if (s.asbestos.value !== 'notFound') out.push('', `**Asbestos: ${say(s.asbestos.value)}**`, because(s.asbestos.because));
  out.push('', `**Depth: ${say(s.requiredDepth.value)}**`, because(s.requiredDepth.because));
  for (const p of s.parts) {
    out.push(
      '',
      `**${say(p.part)}, ${p.area.text}: ${p.selected.value ? say(p.selected.value) : 'no method is allowed'}**`,
      because(p.selected.because),
    );
    out.push('', '| method | verdict | hours | cost | why |', '| --- | --- | --- | --- | --- |');
    for (const m of p.methods) {
      const shown = m.because.filter((r) => r.effect === (m.verdict === 'blocked' ? 'block' : m.verdict === 'care' ? 'care' : 'note'));
      out.push(
        `| ${m.name} | ${say(m.verdict)} | ${m.verdict === 'blocked' ? '' : formatRange(m.personHours, formatWork)} | ${m.verdict === 'blocked' ? '' : formatRange(m.cost, money)} | ${shown.map((r) => r.says).join(' ')} |`,
      );
    }
  }
  if (s.protection.needed.value) {
    const pr = s.protection;
    out.push(
      '',
      '**Protect**',
      `- Sheet ${pr.sheetLaid.text} laid, ${pr.sheetBought.text} bought.`,
      `- Exposure ${say(pr.exposure.value)}.`,
    );
    out.push(
      `- ${pr.respirator.value ? say(pr.respirator.value) : 'No respirator'}${pr.vapourFilter ? ', with vapour cartridges' : ''}.`,
      `- ${pr.equipment.map((k) => say(k.value)).join(', ')}.`,
      `- ${pr.bags.value} waste bags.`,
    );
    if (pr.verticalScreen.value) out.push('- Upright screen.');
    out.push(`- Sign: ${pr.sign.value.join(' / ')}`);
  }
  out.push('', '**Steps**', '');
  for (const st of s.steps) {
    const times = [
      st.personHours.high > 0 ? `${formatRange(st.personHours, formatWork)} of work` : '',
      st.waitHours.high > 0 ? `wait ${formatRange(st.waitHours, formatHours)}` : '',
    ].filter(Boolean);
    out.push(`${st.number}. **${st.title}**${times.length > 0 ? ` (${times.join('; ')})` : ''}`);
    if (st.quantities.length > 0) out.push(`   - ${st.quantities.map((q) => `${q.what}: ${q.text}`).join('; ')}`);
    for (const r of st.because) out.push(`   - ${r.says}`);
    for (const c of st.checks) out.push(`   - [${c.state === 'passed' ? 'x' : ' '}] ${c.mustBeTrue}`);
  }
  out.push(
    '',
    `${formatRange(s.hours.handsOn, formatWork)} of work, ${formatRange(s.hours.waiting, formatHours)} of waiting, ${formatRange(s.money, money)}.`,
  );
  return out.join('\n');
}

/** @returns GitHub-flavoured Markdown, ready to print */
export function jobMarkdown(report: JobReport): string {
  const sign = UNITS[report.job.currency].label;
  const money = (n: number) => `${sign}${Math.round(n).toLocaleString('en-US')}`;
  const out = [
    `# ${report.job.name}`,
    '',
    [report.job.place, report.job.yearBuilt ? `built ${report.job.yearBuilt}` : 'year built unknown', `${report.job.rules} rules`]
      .filter(Boolean)
      .join(' · '),
    '',
    `> ${report.notice}`,
    '',
    `> ${report.job.edition}`,
  ];
  for (const space of report.spaces) {
    out.push('', `## ${space.name}`);
    if (space.minorWork) out.push('', because(space.minorWork.because).trim());
    for (const s of space.surfaces) out.push('', surfaceMarkdown(s, money));
  }
  out.push(
    '',
    '## In all',
    '',
    `${report.totals.area.text}, ${formatRange(report.totals.personHours, formatWork)} of work, ${formatRange(report.totals.money, money)}. The price is a range of rates with no trial behind it: a guess until squares are done.`,
  );
  return `${out.join('\n')}\n`;
}
