/** Papers of the zones: labels for bags, signs at the size at which they hang, and the written programme. */
import type { Content, TableCell } from 'pdfmake/interfaces';
import { formatMeasure, many, limitSetOf, measure, bookOf, say, spell } from '@roughsill/core';
import { zoneSigns, type Sign } from '@roughsill/core/zone-day';
import { sentence } from '@roughsill/core/words';
import { programme, type ProgrammeSection } from '@roughsill/core/report';
import { ASBESTOS_LABEL, classFor, loadNotes, wasteOf, type LoadNote } from '@roughsill/core/waste';
import { about, type PaperInput } from './papers';
import { head, INK, makePdf, note, para, sub, table } from './pdf';

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

/** To be signed by hand: who, and what stands already. */
const signed = (rows: readonly (readonly [string, string])[]): Content => ({
  table: {
    widths: [130, '*', 150],
    heights: 30,
    body: rows.map(([who, said]) => [
      { text: who, bold: true, fontSize: 9 },
      { text: said || ' ', fontSize: 9.5 },
      { text: 'Signature, date and time', fontSize: 7, color: '#6b675c' },
    ]),
  },
  layout: RULE,
  margin: [0, 6, 0, 6],
});

const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

function notePage(n: LoadNote, { facts, settings }: PaperInput, last: boolean): Content {
  const { job } = facts;
  const weight = (kg: number | null) => (kg === null ? '________' : formatMeasure(measure(kg, 'kg'), job.units));
  const uk = job.rulebook === 'uk';
  const ends: readonly (readonly [string, string])[] = uk
    ? [
        ['Consignor, who hands it on', settings.firmName],
        ['Carrier, with registration', n.carrier],
        ['Consignee, with permit', n.to],
      ]
    : [
        ['Generator or contractor', settings.firmName],
        ['Carrier', n.carrier],
        ['Disposal site', n.to],
      ];
  return {
    stack: [
      { text: capital(say(`note.${n.kind}`)), font: 'Besley', fontSize: 18 },
      note(`No. ${n.number} · left on ${n.leftAt.slice(0, 10)} · ${many(n.bags, 'container')}`),
      sub('From where'),
      para([job.name, job.place].filter(Boolean).join(', ') || 'place not said'),
      sub('What'),
      table(
        uk
          ? ['Waste', 'Code', 'Properties', 'Class', 'In what', 'Numbers', 'Weight']
          : ['Waste', 'Code', 'Class', 'In what', 'Numbers', 'Weight'],
        uk ? ['*', 52, 52, 62, 62, '*', 56] : ['*', 52, 80, 70, '*', 62],
        n.lines.map((l) => [
          say(`stream.${l.stream}`),
          l.codes.join(', ') || '–',
          ...(uk ? [l.hazards.join(', ') || '–'] : []),
          say(`wasteClass.${l.class}`),
          say(`container.${l.container}`),
          l.numbers.join(', '),
          `${weight(l.kg)}${l.unweighed > 0 && l.kg !== null ? `, ${l.unweighed} not weighed` : ''}`,
        ]),
      ),
      ...(n.lines.length === 0 ? [para('No bag is on this load.')] : []),
      ...n.says.map((s) => ({ text: `${capital(s)}.`, bold: true, color: DANGER })),
      ...n.because.map((r) => note(`${sentence(r, job.units)}`)),
      sub('By whom'),
      signed(ends),
    ],
    ...(last ? {} : { pageBreak: 'after' as const }),
  };
}

/** A page a load, as it goes along in the van. */
export function loadsPdf(input: PaperInput): Promise<Buffer> {
  const { facts, plan, settings } = input;
  const notes = loadNotes(facts, wasteOf(facts, plan, settings));
  const content = notes.length === 0 ? [para('No load has left.')] : notes.map((n, i) => notePage(n, input, i === notes.length - 1));
  return makePdf({ title: `Notes for loads: ${facts.job.name}`, about: about(input), content, units: facts.job.units });
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
