/** The list that goes to the shop: packs to buy with a box to tick, what is taken from the shelf, what is brought along. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { moneyIn, type FirmSettings, type JobFacts } from '@roughsill/core';
import type { ShoppingPaper } from '@roughsill/core/report';
import { head, makePdf, note, para, sub, table } from './pdf';

const BOX: TableCell = { canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, lineWidth: 0.8, lineColor: '#21201c' }] };

export function shoppingPdf(paper: ShoppingPaper, facts: JobFacts, settings: FirmSettings, now: Date): Promise<Buffer> {
  const money = moneyIn(settings.pricesIn);
  const content: Content[] = [head('To buy')];
  if (paper.empty) content.push(para(paper.nothing));
  for (const s of paper.sections) {
    content.push(
      sub(s.title),
      table(
        ['', 'What', 'Needed', 'From shelf and van', 'Buy', 'Left over', 'About'],
        [12, '*', 54, 60, 100, 48, 40],
        s.rows.map((r) => [
          r.buy === '' ? '' : BOX,
          [r.named ? `${r.what} (${r.named})` : r.what, ...r.notes].join('\n'),
          r.need,
          r.there,
          r.buy === '' ? 'nothing' : r.buy,
          r.leftOver,
          r.buy === '' ? '' : money(r.money),
        ]),
      ),
    );
  }
  if (paper.masks.length > 0)
    content.push(
      sub('Masks, by person'),
      table(
        ['Mask', 'For', 'Who', 'About'],
        ['*', 150, 130, 40],
        paper.masks.map((m) => [m.what, m.need, m.who, money(m.money)]),
      ),
    );
  if (paper.brought.length > 0)
    content.push(sub('Brought along, not bought'), para(paper.brought.map((b) => `${b.what} ${b.amount}`).join(', ')));
  content.push(
    sub(`Together about ${paper.total}`),
    note('Generic goods are priced by estimating practice; the firm’s own products by their own packs.'),
  );
  return makePdf({
    title: facts.job.name,
    about: [settings.firmName, facts.job.place, now.toISOString().slice(0, 10), facts.job.sample ? 'sample job, invented' : '']
      .filter(Boolean)
      .join(' · '),
    units: facts.job.units,
    content,
  });
}
