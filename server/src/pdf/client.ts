/** One surface on one side of paper, for whoever pays. */
import type { Content } from 'pdfmake/interfaces';
import { formatRange, moneyIn } from '@roughsill/core';
import { clientPage, type ClientPage } from '@roughsill/core/report';
import { HttpProblem } from '../problem';
import { about, escape, type PaperInput } from './papers';
import { INK, makePdf, note, pagesOf, PALE, para, sub, table } from './pdf';

const BAND = 17;
const WIDTH = 500;
/** The coats cut through, from the top; a heavy line shows how deep the chosen way goes. */
export function sectionSvg({ coats, material, bite }: Pick<ClientPage, 'coats' | 'material' | 'bite'>): string {
  const band = (i: number, says: string, state: string, fill: string) =>
    `<rect x="${i < coats.length ? (coats.length - i) * 10 : 0}" y="${i * BAND}" width="${WIDTH - (i < coats.length ? (coats.length - i) * 10 : 0)}" height="${BAND}" fill="${fill}" stroke="${INK}" stroke-width="0.8"/>` +
    `<text x="${(coats.length - Math.min(i, coats.length)) * 10 + 8}" y="${i * BAND + 12}" font-size="9" fill="${INK}">${escape(says)}</text>` +
    `<text x="${WIDTH - 8}" y="${i * BAND + 12}" font-size="9" text-anchor="end" fill="${INK}">${escape(state)}</text>`;
  const tint = (state: string) =>
    state.includes('found') && !state.includes('not') ? '#e3b3a8' : state.includes('not found') ? '#e4ece4' : '#f1dfd2';
  const bands = coats.map((c, i) => band(i, c.says, c.state, tint(c.state)));
  const ground = band(coats.length, material, '', '#dfc79e');
  const depth =
    bite > 0
      ? `<line x1="0" x2="${WIDTH}" y1="${bite * BAND}" y2="${bite * BAND}" stroke="#3a5068" stroke-width="2.5" stroke-dasharray="7 4"/>`
      : '';
  const height = (coats.length + 1) * BAND + 2;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${height}">${bands.join('')}${ground}${depth}</svg>`;
}

const days = (n: number): string => (n < 10 ? n.toFixed(1) : String(Math.round(n)));
const list = (xs: readonly string[]): Content => ({ ul: [...xs], margin: [0, 0, 0, 3] });

/** From the size that reads best down to the least that still reads. */
const SIZES = [9.5, 9, 8.5, 8, 7.5];

export async function clientPdf(input: PaperInput): Promise<Buffer> {
  const { facts, settings, now, surfaceId = '' } = input;
  const page = clientPage(facts, surfaceId, settings, now.getUTCFullYear());
  if (!page) throw new HttpProblem('not-found', `There is no surface ${surfaceId} on job ${facts.job.id}.`);
  const money = moneyIn(settings.pricesIn);
  const content = (): Content[] => [
    para(page.about),
    ...page.found.map(para),
    { svg: sectionSvg(page), margin: [0, 4, 0, 2] },
    ...(page.bite > 0 ? [note('The broken line shows how deep this way goes.')] : []),
    sub(page.methods.length === 3 ? 'Three ways' : 'Ways'),
    table(
      ['', 'Price', 'Days with drying', 'Harm to the old material', 'Goes'],
      ['*', 100, 60, 70, 130],
      page.methods.map((m) => [
        { text: m.chosen ? `${m.name}: ${page.decided ? 'chosen' : 'proposed'}` : m.name, bold: m.chosen },
        formatRange(m.money, money),
        formatRange(m.days, days),
        m.harm,
        m.goes,
      ]),
    ),
    sub(page.methods.some((m) => m.chosen) ? `${page.decided ? 'Chosen' : 'Proposed'} because` : 'No way may be used yet'),
    ...(page.declined ? [{ text: page.declined, bold: true, margin: [0, 0, 0, 3] } satisfies Content] : []),
    ...(page.own ? [{ text: page.own, bold: true, margin: [0, 0, 0, 3] } satisfies Content] : []),
    list(page.chosenBecause),
    ...(page.insteadOf.length > 0 ? [sub('Instead of'), list(page.insteadOf)] : []),
    sub('Finish'),
    list(page.finish),
    sub('Price'),
    para(page.price),
    ...(page.care.length > 0 ? [sub('Meanwhile'), list(page.care)] : []),
    { text: 'Agreed: ______________________________    Date: ______________', margin: [0, 18, 0, 0], color: PALE },
  ];
  const paper = { title: page.surface, about: [facts.job.name, about(input)].join(' · '), units: facts.job.units };
  // One side, however many coats and words: smaller type before a second page. What is drawn is used up by drawing it, so it is made anew.
  let made: Buffer | undefined;
  for (const fontSize of SIZES) {
    made = await makePdf({ ...paper, content: content(), fontSize, margins: [44, 34, 44, 44] });
    if (pagesOf(made) <= 1) break;
  }
  return made!;
}
