/** Paper: the product's own faces, one layout, and the notice on every page. */
import { createRequire } from 'node:module';
import path from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, ContentTable, TDocumentDefinitions, TableCell } from 'pdfmake/interfaces';
import { NOTICE } from '@roughsill/core/report';

// From the package.json where the server runs: the bundle stands in another folder than its source.
const face = (name: string): string => createRequire(path.resolve('package.json')).resolve(`@fontsource/${name}-normal.woff`);

let ready = false;
function prepare(): void {
  if (ready) return;
  const [read, bold, name, sign] = [
    face('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400'),
    face('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700'),
    face('besley/files/besley-latin-700'),
    face('besley/files/besley-latin-400'),
  ];
  pdfmake.addFonts({
    Hyperlegible: { normal: read, bold, italics: read, bolditalics: bold },
    Besley: { normal: name, bold: name, italics: name, bolditalics: name },
    Sign: { normal: sign, bold: name, italics: sign, bolditalics: name },
  });
  // Nothing is fetched, and nothing but these faces is read.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((file: string) => [read, bold, name, sign].includes(file));
  ready = true;
}

export const INK = '#21201c';
export const PALE = '#6b675c';
const LINE = '#b9b3a3';

export const head = (text: string): Content => ({ text, font: 'Besley', fontSize: 14, margin: [0, 14, 0, 4] });
export const sub = (text: string): Content => ({ text, bold: true, fontSize: 10.5, margin: [0, 8, 0, 2] });
export const para = (text: string): Content => ({ text, margin: [0, 0, 0, 3] });
export const note = (text: string): Content => ({ text, color: PALE, fontSize: 8.5, margin: [0, 0, 0, 3] });

/** A ruled table; the first row is repeated on every page. */
export function table(
  headers: readonly string[],
  widths: ContentTable['table']['widths'],
  rows: readonly (readonly (string | TableCell)[])[],
): Content {
  return {
    margin: [0, 4, 0, 6],
    fontSize: 8.5,
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths,
      body: [headers.map((h) => ({ text: h, bold: true })), ...rows.map((r) => [...r])],
    },
    layout: {
      hLineWidth: () => 0.5,
      vLineWidth: () => 0,
      hLineColor: () => LINE,
      paddingLeft: (i: number) => (i === 0 ? 0 : 4),
      paddingRight: () => 4,
      paddingTop: () => 2.5,
      paddingBottom: () => 2.5,
    },
  };
}

export interface Paper {
  readonly title: string;
  readonly about: string;
  readonly content: Content[];
  /** Letter where feet are used, A4 elsewhere. */
  readonly units: 'ft' | 'm';
  /** Sheets of labels carry nothing but labels. */
  readonly bare?: boolean;
  readonly margins?: [number, number, number, number];
  /** Of the running text, points. */
  readonly fontSize?: number;
}

/** How many pages a PDF has. */
export const pagesOf = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;

/** The other face stands taller: its sign must not push the lines apart. */
const SIGN_LINE = 0.85;
/** The face of the running text has no sign for a millionth: it is drawn from the other one, not left out. */
function withMicro<T>(node: T): T {
  if (typeof node === 'string')
    return (
      node.includes('µ') ? { text: node.split(/(µ)/).map((t) => (t === 'µ' ? { text: t, font: 'Sign', lineHeight: SIGN_LINE } : t)) } : node
    ) as T;
  if (Array.isArray(node)) return node.map(withMicro) as T;
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node).map(([k, v]) => [
      k,
      k === 'text' && typeof v === 'string' && v.includes('µ')
        ? (withMicro(v) as unknown as { text: unknown }).text
        : ['text', 'stack', 'columns', 'ul', 'ol', 'table', 'body', 'content'].includes(k)
          ? withMicro(v)
          : v,
    ]),
  ) as T;
}

export async function makePdf({ title, about, content, units, bare, margins, fontSize = 9.5 }: Paper): Promise<Buffer> {
  prepare();
  const doc: TDocumentDefinitions = {
    pageSize: units === 'ft' ? 'LETTER' : 'A4',
    pageMargins: margins ?? [48, 44, 48, 52],
    info: { title, creator: 'Rough Sill', producer: 'Rough Sill' },
    defaultStyle: { font: 'Hyperlegible', fontSize, color: INK, lineHeight: 1.15 },
    content: withMicro(bare ? content : [{ text: title, font: 'Besley', fontSize: 20 }, note(about), ...content]),
    footer: bare
      ? undefined
      : (page: number, pages: number) => ({
          margin: [48, 8, 48, 0],
          columns: [
            { text: NOTICE, fontSize: 7, color: PALE },
            { text: `${page} / ${pages}`, alignment: 'right', width: 40, fontSize: 8 },
          ],
        }),
  };
  return pdfmake.createPdf(doc).getBuffer();
}
