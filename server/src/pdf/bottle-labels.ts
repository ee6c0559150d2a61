/** Labels for bottles that were filled here, two across, with the public pictograms. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { benchWords, hazardsOf, pictogramSvg, type LabelSheet } from '@roughsill/core/prepare';
import { makePdf } from './pdf';

const ACROSS = 2;
const TALL = 158;
type Filled = LabelSheet['bottles'][number];

function label(b: Filled, languages: LabelSheet['languages']): TableCell {
  const it = hazardsOf(b.content, b.pct, b);
  const lines = languages.flatMap((language, i): Content[] => {
    const w = benchWords(language);
    return [
      ...(b.named && i === 0 ? [{ text: b.named, font: 'Besley', fontSize: 12 }] : []),
      { text: w.content[b.content], ...(b.named ? { bold: true, fontSize: 9 } : { font: 'Besley', fontSize: 12 }) },
      ...(it.signal ? [{ text: w.signal[it.signal], bold: true, fontSize: 9 }] : []),
      { text: it.codes.map((code) => w.hazard[code]).join(' '), fontSize: 7 },
      { text: `${w.label.wear}: ${w.gloves[it.gloves]}, ${w.eyes[it.eyes]}. ${w.label.eyesFirst} ${w.label.childrenOut}`, fontSize: 7 },
      ...(it.never.length > 0
        ? [
            {
              text: `${w.label.never}: ${it.never.map((a) => w.agent[a]).join('; ')}.`,
              fontSize: 7,
              bold: true,
              margin: [0, 0, 0, 3] as [number, number, number, number],
            },
          ]
        : []),
    ];
  });
  const [language] = languages;
  const w = benchWords(language!).label;
  return {
    columns: [
      {
        width: 48,
        stack: it.pictograms.map((p) => ({ svg: pictogramSvg(p, 44), margin: [0, 0, 4, 2] as [number, number, number, number] })),
      },
      {
        width: '*',
        stack: [
          ...lines,
          {
            text: `${b.pctUnsaid ? w.noStrength : `${w.strength} ${Number(b.pct.toPrecision(3))} %${b.ratio ? ` (${b.ratio})` : ''} ·`} ${w.made} ${b.madeOn} ${w.by} ${b.by}`,
            bold: true,
            fontSize: 8,
          },
        ],
      },
    ],
    margin: [4, 4, 4, 4],
  };
}

/** @throws Refused for a strength that cannot be */
export function bottleLabelsPdf({ bottles, languages, units }: LabelSheet): Promise<Buffer> {
  const cells = bottles.flatMap((b) => Array.from({ length: b.count }, () => label(b, languages)));
  const body = Array.from({ length: Math.ceil(cells.length / ACROSS) }, (_, r) =>
    Array.from({ length: ACROSS }, (__, c): TableCell => cells[r * ACROSS + c] ?? { text: '' }),
  );
  return makePdf({
    title: 'Bottle labels',
    about: '',
    units,
    bare: true,
    margins: [30, 36, 30, 36],
    content: [
      {
        table: { widths: ['*', '*'], heights: TALL, dontBreakRows: true, body },
        layout: { hLineColor: () => '#b9b3a3', vLineColor: () => '#b9b3a3' },
      },
    ],
  });
}
