/** The three papers of a survey: the survey itself, the chain-of-custody sheet, and labels for the sample bags. */
import type { Content } from 'pdfmake/interfaces';
import { many, moneyIn, sampleRegister, say, spell, type FirmFacts, type FirmSettings, type JobFacts, type JobPlan } from '@roughsill/core';
import { aboutJob, jobReport, reporter, surveyReport, type ReasonReport } from '@roughsill/core/report';
import { areaPlan, type AreaPlan, samplePoints } from '@roughsill/core/survey';
import type { MediaStore } from '../media/media-store';
import { forPaper } from '../media/picture';
import { markedPicture } from './marked-picture';
import { head, INK, makePdf, note, PALE, para, sub, table } from './pdf';

const because = (rs: readonly ReasonReport[]): Content => ({
  ul: rs.map((r) => ({ text: [r.says, { text: ` ${r.source.title} (${r.source.kind.toLowerCase()}).`, color: PALE, fontSize: 8 }] })),
  margin: [0, 0, 0, 4],
});
const list = (xs: readonly string[]): string => (xs.length === 0 ? 'none' : xs.join(', '));
export const escape = (t: string): string => t.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/** The plan as SVG: faces outlined, places to cut as rings, cut ones as discs, each with its number. */
export function planSvg(p: AreaPlan): string {
  const scale = Math.min(460 / p.widthM, 200 / p.heightM);
  const px = (m: number) => (m * scale + 8).toFixed(1);
  const faces = p.faces.map(
    (f) =>
      `<rect x="${px(f.x)}" y="${px(f.y)}" width="${(f.w * scale).toFixed(1)}" height="${(f.h * scale).toFixed(1)}" fill="none" stroke="${INK}" stroke-width="1"/>` +
      `<text x="${(f.x * scale + 12).toFixed(1)}" y="${(f.y * scale + 18).toFixed(1)}" font-size="8" fill="${PALE}">${escape(f.name)}</text>`,
  );
  const dots = p.dots.map(
    (d) =>
      `<circle cx="${px(d.x)}" cy="${px(d.y)}" r="4" fill="${d.taken ? INK : 'none'}" stroke="${INK}" stroke-width="1.2"/>` +
      `<text x="${(d.x * scale + 14).toFixed(1)}" y="${(d.y * scale + 11).toFixed(1)}" font-size="8" fill="${INK}">${escape(d.label)}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${(p.widthM * scale + 60).toFixed(0)}" height="${(p.heightM * scale + 16).toFixed(0)}">${faces.join('')}${dots.join('')}</svg>`;
}

/** An instant on the job's own clock, with its zone: a lab elsewhere reads it too. */
const onTheClock = (instant: string | null, timeZone: string): string =>
  instant === null
    ? ''
    : `${new Date(instant).toLocaleString('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' })} ${zoneOf(instant, timeZone)}`;
const zoneOf = (instant: string, timeZone: string): string =>
  new Intl.DateTimeFormat('en-US', { timeZone, timeZoneName: 'short' })
    .formatToParts(new Date(instant))
    .find((p) => p.type === 'timeZoneName')?.value ?? 'UTC';

export interface PaperInput {
  readonly facts: JobFacts;
  readonly plan: JobPlan;
  readonly settings: FirmSettings;
  readonly now: Date;
  /** Where the app was reached: codes on paper lead there. */
  readonly origin: string;
  readonly people: FirmFacts['people'];
  /** Of a paper about one surface. */
  readonly surfaceId?: string;
}

export const about = ({ facts, settings, now }: PaperInput): string =>
  [settings.firmName, aboutJob(facts.job), now.toISOString().slice(0, 10), facts.job.sample ? 'sample job, invented' : '']
    .filter(Boolean)
    .join(' · ');

export async function surveyPdf(input: PaperInput, media: MediaStore, firmId: string): Promise<Buffer> {
  const { facts, plan, settings, now } = input;
  const { units } = facts.job;
  const at = now.toISOString();
  const report = jobReport(facts, plan, settings, at);
  const v = surveyReport(facts, plan, settings, at, reporter(units, settings));
  const money = moneyIn(settings.pricesIn);
  const content: Content[] = [
    note(report.job.edition),
    head('Today'),
    para(
      `Surfaces: ${v.today.clear} clear, ${v.today.low} low, ${v.today.assumed} assumed, ${v.today.waiting} waiting, ${v.today.found} found.`,
    ),
    para(`Do not touch: ${list(v.today.notToBeTouched)}.`),
    para(`Set up first: ${list(v.today.setUpFirst)}.`),
  ];
  if (v.duties.length > 0) content.push(sub('What the site asks for'), because(v.duties));
  if (v.dwellings)
    content.push(
      para(
        `${v.dwellings.of} like dwellings: ${v.dwellings.toTest} are tested${v.dwellings.drawn.length > 0 ? `, numbers ${v.dwellings.drawn.join(', ')}` : ''}.`,
      ),
    );
  content.push(head('Lead'));
  content.push(
    table(
      ['Where', 'What', 'Pieces', 'Tests', 'State', 'Likely', 'Test or treat as positive'],
      [75, '*', 32, 28, 48, 34, 150],
      v.lead.map((g) => [
        g.space,
        list(g.surfaces),
        String(g.pieces),
        String(g.testsNeeded.value),
        say(g.state),
        `${Math.round(g.chance.value * 100)} %`,
        g.decision
          ? `${say(`decide.${g.decision.choice}`)}; test ${money(g.decision.testMoney)}, positive ${money(g.decision.positiveMoney)}, break-even ${Math.round(g.decision.breakEven * 100)} %`
          : 'settled',
      ]),
    ),
  );
  for (const space of report.spaces) {
    if (space.surfaces.length === 0) continue;
    content.push(sub(space.name));
    for (const s of space.surfaces) {
      content.push({
        text: [{ text: s.name, bold: true }, `  ${s.count} × ${s.element}, ${s.material}, ${s.area.text}. Lead: ${s.lead.known}.`],
      });
      content.push(because(s.lead.overall.because));
      content.push(note(`Today: ${s.touch.map((t) => `${say(t.depth)}, ${say(t.value)}`).join('; ')}.`));
    }
  }
  if (plan.areas.length > 0) content.push(head('Asbestos'));
  plan.areas.forEach((area, i) => {
    const a = v.asbestos[i]!;
    content.push(
      sub(`${a.material}, ${a.year ?? 'year unknown'}: ${a.known}`),
      para(`${a.size} on ${list(a.surfaces)}. ${many(a.samplesNeeded.value, 'sample')}.`),
      because([...a.state.because, ...a.samplesNeeded.because]),
    );
    const points = v.seed === null ? [] : samplePoints(area, v.seed);
    if (area.members.length > 0) content.push({ svg: planSvg(areaPlan(area, facts, points)), margin: [0, 2, 0, 2] });
    if (a.places.length > 0)
      content.push(note(`Places drawn with the seed "${v.seed}": ${a.places.map((p) => `${p.surface}, ${p.at}`).join('; ')}.`));
    if (a.samples.length > 0)
      content.push(
        table(
          ['Sample', 'Surface', 'Answer'],
          [80, '*', 120],
          a.samples.map((x) => [x.number, x.surface, x.answer]),
        ),
      );
  });
  if (v.mold.length > 0) content.push(head(spell('Mold and moisture')));
  for (const m of v.mold) {
    content.push(sub(`${m.space}: ${say(m.size.value)}, ${m.extent}`), because([...m.size.because, ...m.cause.because]));
    content.push(para(`Equipment: ${say(m.equipment.value)}. Containment: ${say(m.containment.value)}.`));
    if (m.spot) content.push(because(m.spot.risk.because));
    if (m.fan) content.push(because(m.fan.because));
    if (m.outlook) content.push(because(m.outlook.because), note(`Reckoned over a ${m.outlook.climate}.`));
    if (m.logged) content.push(note(m.logged));
    if (m.moisture.length > 0) content.push(because(m.moisture.flatMap((x) => x.because)));
  }
  content.push(head('Samples'));
  content.push(
    v.register.samples.length === 0
      ? para('No sample was planned.')
      : table(
          ['No.', 'For', 'Where', 'State', 'Sent', 'Due', 'Answer'],
          [52, 44, '*', 50, 56, 56, 60],
          v.register.samples.map((x) => [
            x.number,
            say(x.hazard),
            `${x.space}, ${x.surface}${x.place ? `, ${x.place}` : ''}`,
            say(x.state),
            x.sentAt?.slice(0, 10) ?? '',
            x.dueAt?.slice(0, 10) ?? '',
            x.verdict === null ? '' : x.answer,
          ]),
        ),
  );
  for (const k of v.instruments)
    content.push(
      note(
        `${k.device}, ${k.what}${k.material ? ` (${say(k.material)})` : ''}: mean ${k.mean.toFixed(2)} mg/cm² on a film of ${k.film}, ${k.at.slice(0, 16).replace('T', ' ')} UTC.`,
      ),
    );
  const drawn: Content[] = [];
  for (const p of v.photographs) {
    const file = await media.get(firmId, p.hash);
    const picture = file && (await forPaper(file.bytes));
    const says = [p.surface, p.caption].filter(Boolean).join(': ');
    if (picture) {
      const svg = markedPicture(p, `data:image/jpeg;base64,${picture.toString('base64')}`, [300, 220]);
      drawn.push({ svg, margin: [0, 4, 0, 2] }, note(says));
    } else
      drawn.push(
        note(`${says}: ${file ? 'this photograph is damaged and cannot be drawn' : 'this photograph has not reached the server yet'}.`),
      );
  }
  const title = drawn.length > 0 ? [head('Photographs')] : [];
  const paper = { title: `Hazard survey: ${facts.job.name}`, about: about(input), units };
  return makePdf({ ...paper, content: [...content, ...title, ...drawn] });
}

/** What goes with the bags: one line a sample, and room for every hand that they pass through. */
export function custodyPdf(input: PaperInput): Promise<Buffer> {
  const { facts, settings, now } = input;
  const { lines } = sampleRegister(facts, settings, now.toISOString());
  const out = lines.filter((l) => l.sample.takenAt !== null && l.state !== 'in');
  const hands = ['Released by (name, signature)', 'Date and time', 'Received by (name, signature)', 'Date and time'];
  const content: Content[] = [
    para(out.length === 0 ? 'No sample is waiting to go, or out.' : `${many(out.length, 'sample')}.`),
    table(
      ['No.', 'Analyse for', 'Kind', 'Taken from', 'Taken', 'By'],
      [56, 60, 50, '*', 100, 70],
      out.map((l) => [
        l.sample.number,
        say(l.sample.hazard),
        say(l.sample.kind),
        `${l.spaceName}, ${l.surfaceName}${l.sample.place ? `, ${l.sample.place}` : ''}`,
        onTheClock(l.sample.takenAt, facts.job.timeZone) || '',
        l.sample.takenBy,
      ]),
    ),
    para(
      'Lead in paint: state the unit (% by mass, ppm or mg/cm²) and the reporting limit. Asbestos: every layer by itself; point count where the estimate by eye is under 10 %.',
    ),
    table(
      hands,
      ['*', 80, '*', 80],
      [1, 2, 3].map(() => hands.map(() => ({ text: ' ', margin: [0, 14, 0, 0] }))),
    ),
  ];
  return makePdf({ title: 'Chain of custody', about: about(input), content, units: facts.job.units });
}

const ACROSS = 3;
/** Labels for bags: number, what for, where from, when. Three across, to be cut. */
export function labelsPdf(input: PaperInput): Promise<Buffer> {
  const { facts, settings, now } = input;
  const { lines } = sampleRegister(facts, settings, now.toISOString());
  const label = (l: (typeof lines)[number]) => ({
    stack: [
      { text: l.sample.number, font: 'Besley', fontSize: 18 },
      { text: `${say(l.sample.hazard)}, ${say(l.sample.kind)}`, bold: true },
      { text: `${facts.job.name}`, fontSize: 8 },
      { text: `${l.spaceName}, ${l.surfaceName}`, fontSize: 8 },
      {
        text: `taken ${onTheClock(l.sample.takenAt, facts.job.timeZone) || '____________'}  by ${l.sample.takenBy || '________'}`,
        fontSize: 8,
      },
      ...(l.sample.hazard === 'asbestos' ? [{ text: 'MAY CONTAIN ASBESTOS. DO NOT OPEN.', bold: true, fontSize: 8 }] : []),
    ],
    margin: [6, 6, 6, 6] as [number, number, number, number],
  });
  const cells = lines.filter((l) => l.state === 'planned' || l.state === 'taken' || l.state === 'sent' || l.state === 'due').map(label);
  const rows = Array.from({ length: Math.ceil(cells.length / ACROSS) }, (_, r) =>
    Array.from({ length: ACROSS }, (__, c) => cells[r * ACROSS + c] ?? { text: '' }),
  );
  const content: Content[] =
    rows.length === 0
      ? [para('No sample needs a label.')]
      : [
          {
            table: { widths: ['*', '*', '*'], heights: 96, dontBreakRows: true, body: rows },
            layout: { hLineColor: () => '#b9b3a3', vLineColor: () => '#b9b3a3' },
          },
        ];
  return makePdf({ title: 'Sample labels', about: '', content, units: facts.job.units, bare: true, margins: [30, 36, 30, 36] });
}
