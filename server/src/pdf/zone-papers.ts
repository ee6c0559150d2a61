/** Papers of the zones: labels for bags, signs at the size at which they hang, and the written programme. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { formatMeasure, limitSetOf, measure, bookOf, say, spell } from '@roughsill/core';
import { zoneSigns, type Sign } from '@roughsill/core/zone-day';
import { programme, type ProgrammeSection } from '@roughsill/core/report';
import { ASBESTOS_LABEL, classFor, wasteOf } from '@roughsill/core/waste';
import { about, type PaperInput } from './papers';
import { head, INK, makePdf, note, para, sub } from './pdf';

const DANGER = '#8e2f20';
const RULE = { hLineColor: () => '#b9b3a3', vLineColor: () => '#b9b3a3' };

/** As it is read on the phone of whoever stands before it. */
const code = (address: string, fit: number): Content => ({ qr: address, fit, foreground: INK, eccLevel: 'M' });

/** Two across: number, what is in it, what the rule calls it, from where, and its code. */
export function bagsPdf({ facts, plan, settings, origin }: PaperInput): Promise<Buffer> {
  const lines = wasteOf(facts, plan, settings);
  const standing = facts.bags.filter((b) => b.removedAt === null && b.haulId === null);
  const label = (b: (typeof standing)[number]): TableCell => {
    const { value } = classFor(b.stream, lines, facts);
    const weight = b.kg === null ? '________' : formatMeasure(measure(b.kg, 'kg'), facts.job.units);
    const where = [...facts.spaces, ...facts.zones].find((x) => x.id === b.zoneId)?.name;
    return {
      margin: [6, 6, 6, 6],
      columns: [
        {
          width: '*',
          stack: [
            { text: b.number, font: 'Besley', fontSize: 20 },
            { text: say(`stream.${b.stream}`), bold: true, fontSize: 11 },
            { text: [say(`wasteClass.${value.class}`), ...value.codes].join(', ') },
            { text: [facts.job.name, facts.job.place, where].filter(Boolean).join(', '), fontSize: 8 },
            {
              text: `${settings.firmName} · filled ${b.filledAt.slice(0, 10)}${b.filledBy ? ` by ${b.filledBy}` : ''} · ${weight}`,
              fontSize: 8,
            },
            ...(b.stream === 'suspectAsbestos' && facts.job.rulebook === 'us'
              ? [{ text: ASBESTOS_LABEL.join('. '), bold: true, fontSize: 8, color: DANGER }]
              : []),
          ],
        },
        { width: 74, stack: [code(`${origin}/bags/${facts.job.id}`, 70)] },
      ],
    };
  };
  const cells = standing.map(label);
  const rows = Array.from({ length: Math.ceil(cells.length / 2) }, (_, r) => [cells[r * 2]!, cells[r * 2 + 1] ?? { text: '' }]);
  const content: Content[] =
    rows.length === 0
      ? [para('No bag stands here.')]
      : [{ table: { widths: ['*', '*'], heights: 118, dontBreakRows: true, body: rows }, layout: RULE }];
  return makePdf({ title: 'Bag labels', about: '', content, units: facts.job.units, bare: true, margins: [30, 36, 30, 36] });
}

function signPage(sign: Sign, zone: string, address: string, firm: string, last: boolean): Content {
  const block = (lines: readonly string[], size: number): Content => ({
    stack: [
      {
        table: {
          widths: ['*'],
          body: [
            [
              {
                text: lines[0]!,
                font: 'Besley',
                fontSize: size * 1.6,
                alignment: 'center',
                color: 'white',
                fillColor: DANGER,
                margin: [0, 2, 0, 6],
              },
            ],
          ],
        },
        layout: 'noBorders',
      },
      ...lines.slice(1).map((text): Content => ({ text, bold: true, fontSize: size, alignment: 'center', margin: [0, 4, 0, 0] })),
    ],
    // What stands below has to find room: a code that does not fit on the page is not drawn at all.
    margin: [0, 0, 0, 14],
  });
  return {
    stack: [
      block(sign.en, 24),
      block(sign.es, 18),
      {
        columns: [
          {
            width: '*',
            stack: [
              { text: zone, bold: true, fontSize: 13 },
              { text: firm, fontSize: 11 },
              note('Hangs at every way in, from before the start until it is given back.'),
            ],
          },
          { width: 100, stack: [code(address, 96)] },
        ],
      },
    ],
    ...(last ? {} : { pageBreak: 'after' as const }),
  };
}

/** A page a sign: read from three metres. */
export function signsPdf({ facts, plan, settings, origin }: PaperInput): Promise<Buffer> {
  const rulebook = bookOf(facts.job);
  const pages = plan.zones.flatMap((z) =>
    z.steps.length === 0
      ? []
      : zoneSigns(z, rulebook).map((sign) => ({
          sign,
          zone: z.name,
          address: `${origin}/job/${facts.job.id}/protect/${z.surfaceIds[0] ?? ''}`,
        })),
  );
  const content =
    pages.length === 0
      ? [para('No zone asks for a sign.')]
      : pages.map((p, i) => signPage(p.sign, p.zone, p.address, settings.firmName, i === pages.length - 1));
  return makePdf({ title: `Signs: ${facts.job.name}`, about: '', content, units: facts.job.units, bare: true, margins: [48, 48, 48, 40] });
}

const section = ({ title, lines }: ProgrammeSection): Content[] => [
  sub(title),
  lines.length === 1 ? para(lines[0]!) : { ul: [...lines], margin: [0, 0, 0, 3] },
];

export function programmePdf(input: PaperInput): Promise<Buffer> {
  const { facts, plan, settings, people, now } = input;
  const p = programme(facts, plan, settings, { people }, now.toISOString());
  const set = limitSetOf(facts.job.rulebook, facts.job.stateLayer);
  const content: Content[] = [
    note(`${p.edition}. Lead in air by ${say(`limits.${set}`)}.`),
    ...p.sections.slice(0, -1).flatMap(section),
    ...p.zones.flatMap((z): Content[] => [head(z.name), note(z.about), ...z.sections.flatMap(section)]),
    ...p.sections.slice(-1).flatMap(section),
    sub('Signed'),
    {
      columns: ['Competent person', 'Firm', 'Date'].map((who) => ({
        text: who,
        fontSize: 8,
        margin: [0, 30, 12, 0] as [number, number, number, number],
      })),
    },
  ];
  return makePdf({ title: `${spell('Written programme')}: ${facts.job.name}`, about: about(input), content, units: facts.job.units });
}
