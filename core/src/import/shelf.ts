/** The shelf as a file: JSON with everything, and a table of the data sheets for a spreadsheet. */
import { z } from 'zod';
import {
  fromZod,
  GOOD_IDS,
  Id,
  isGood,
  ok,
  ProductFields,
  productProblems,
  TinFields,
  wrong,
  type FirmFacts,
  type Outcome,
  type Problem,
  type Product,
  type Tin,
} from '../facts';
import { readTable, writeTable } from './table';

export const SHELF_FORMAT = 'rough-sill-shelf';
export const SHELF_VERSION = 1;
export const ShelfFile = z.strictObject({
  format: z.literal(SHELF_FORMAT),
  version: z.literal(SHELF_VERSION),
  products: z.array(z.strictObject({ id: Id, ...ProductFields.shape })).max(500),
  tins: z.array(z.strictObject({ id: Id, ...TinFields.shape })).max(5000),
});
export type ShelfFile = z.infer<typeof ShelfFile>;

const bare = <T extends { readonly removedAt: string | null }>({ removedAt: _, ...rest }: T) => rest;
const live = <T extends { readonly removedAt: string | null }>(all: readonly T[]) => all.filter((x) => x.removedAt === null).map(bare);

export const writeShelf = (products: readonly Product[], tins: readonly Tin[]): string =>
  `${JSON.stringify({ format: SHELF_FORMAT, version: SHELF_VERSION, products: live(products), tins: live(tins) }, null, 2)}\n`;

/** What each product of a list says against itself, with its place in the list. */
const against = (products: readonly Omit<Product, 'id' | 'removedAt'>[], path: (i: number) => string): Problem[] =>
  products.flatMap((p, i) => productProblems(p).map((x) => ({ path: `${path(i)}${x.path}`, message: x.message })));

export function readShelf(text: string): Outcome<ShelfFile> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return wrong({ path: '(file)', message: 'is not JSON' });
  }
  if (typeof raw !== 'object' || raw === null || (raw as { format?: unknown }).format !== SHELF_FORMAT)
    return wrong({ path: 'format', message: `is no file of a shelf: it says “${SHELF_FORMAT}” in one` });
  const version = (raw as { version?: unknown }).version;
  if (typeof version === 'number' && version > SHELF_VERSION)
    return wrong({ path: 'version', message: `is ${version}: this app reads up to ${SHELF_VERSION}. Update it first` });
  const parsed = ShelfFile.safeParse(raw);
  if (!parsed.success) return { ok: false, problems: fromZod(parsed.error, raw) };
  const { products, tins } = parsed.data;
  const ids = new Map(products.map((p) => [p.id, p.good]));
  const problems = [
    ...against(products, (i) => `products[${i}].`),
    ...tins.flatMap((t, i): Problem[] =>
      t.productId === null || ids.get(t.productId) === t.good
        ? []
        : [{ path: `tins[${i}].productId`, message: ids.has(t.productId) ? 'stands for something else' : 'is no product of this file' }],
    ),
  ];
  return problems.length > 0 ? { ok: false, problems } : ok(parsed.data);
}

/** What of the firm's records an import writes: new ones added, known ones set, none taken away. */
export interface ShelfDraft {
  readonly entity: 'product' | 'tin';
  readonly op: 'add' | 'set';
  readonly entityId: string;
  readonly fields: Record<string, unknown>;
}
export function shelfDrafts(
  { products, tins }: Pick<ShelfFile, 'products' | 'tins'>,
  there: Pick<FirmFacts, 'products' | 'tins'>,
): ShelfDraft[] {
  const draft = (
    entity: ShelfDraft['entity'],
    { id, ...fields }: { readonly id: string },
    known: readonly { readonly id: string }[],
  ): ShelfDraft => ({
    entity,
    op: known.some((k) => k.id === id) ? 'set' : 'add',
    entityId: id,
    fields,
  });
  return [...products.map((p) => draft('product', p, there.products)), ...tins.map((t) => draft('tin', t, there.tins))];
}

const NUMBERS = [
  'strengthPct',
  'densityKgL',
  'solidsPct',
  'dryFilmUm',
  'coats',
  'thinMostPct',
  'recoatLeastH',
  'recoatMostH',
  'atC',
  'atRhPct',
  'coldC',
  'coldLeastH',
  'leastAirC',
  'leastFaceC',
  'mostRhPct',
  'openLifeH',
  'flashC',
  'guaranteeYears',
] as const satisfies readonly (keyof Product)[];
/** What is chosen from a list, or written. */
const WORDS = ['chemistry', 'isocyanate', 'gloves', 'filter', 'guaranteeTerms'] as const;
const HEADERS = ['name', 'good', 'inUse', ...WORDS, ...NUMBERS, 'packs', 'sheet'] as const;

/** Packs as `2.5=38; 5=70`: size in the unit of the good, price in the firm's money. */
export const shelfCsv = (products: readonly Product[]): string =>
  writeTable(
    [...HEADERS],
    live(products).map((p) =>
      HEADERS.map((h) =>
        h === 'packs'
          ? p.packs.map((k) => `${k.size}=${k.price}`).join('; ')
          : h === 'inUse'
            ? p.inUse
              ? 'yes'
              : 'no'
            : (p[h] as string | number | null),
      ),
    ),
  );

const PACK = /^(\d+(?:\.\d+)?)\s*=\s*(\d+(?:\.\d+)?)$/;
function packsOf(cell: string): Product['packs'] | null {
  const parts = cell.split(';').flatMap((t) => (t.trim() === '' ? [] : [PACK.exec(t.trim())]));
  return parts.some((m) => m === null) ? null : parts.map((m) => ({ size: Number(m![1]), price: Number(m![2]) }));
}

/** @returns the fields of each product; all or nothing, with the line of the file beside what is wrong */
export function readShelfCsv(bytes: Uint8Array): Outcome<z.infer<typeof ProductFields>[]> {
  const table = readTable(bytes);
  if (!table.ok) return table;
  const { headers, rows } = table.value;
  const missing = ['name', 'good'].filter((h) => !headers.includes(h));
  if (missing.length > 0) return wrong({ path: 'line 1', message: `has no column ${missing.join(', ')}` });
  const strange = headers.filter((h) => h !== '' && !(HEADERS as readonly string[]).includes(h));
  if (strange.length > 0) return wrong({ path: 'line 1', message: `has a column that is not known: ${strange.join(', ')}` });
  const problems: Problem[] = [];
  const out = rows.flatMap(({ line, cells }) => {
    const at = (h: string): string => cells[headers.indexOf(h)] ?? '';
    const path = `line ${line}`;
    const told = (message: string) => problems.push({ path, message });
    if (!isGood(at('good'))) {
      told(`“${at('good')}” is no kind of goods: one of ${GOOD_IDS.slice(0, 6).join(', ')} … (docs/shelf.schema.json has all)`);
      return [];
    }
    const raw: Record<string, unknown> = { name: at('name'), good: at('good'), sheet: at('sheet') };
    for (const w of WORDS) if (at(w) !== '') raw[w] = at(w);
    if (at('inUse') !== '') raw['inUse'] = !/^(no|0|false|off)$/i.test(at('inUse'));
    for (const n of NUMBERS) {
      const cell = at(n);
      if (cell === '') continue;
      const v = Number(cell.includes('.') ? cell : cell.replace(',', '.'));
      if (Number.isNaN(v)) told(`${n} is no number: ${cell}`);
      else raw[n] = v;
    }
    const packs = packsOf(at('packs'));
    if (packs === null) told(`packs are written as 2.5=38; 5=70: ${at('packs')}`);
    else raw['packs'] = packs;
    const parsed = ProductFields.safeParse(raw);
    if (!parsed.success) {
      for (const p of fromZod(parsed.error, raw)) told(`${p.path}: ${p.message}`);
      return [];
    }
    for (const p of productProblems(parsed.data)) told(`${p.path}: ${p.message}`);
    return [parsed.data];
  });
  return problems.length > 0 ? { ok: false, problems } : ok(out);
}
