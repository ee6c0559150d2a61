/** What to buy in words: one set of rows for the screen, the paper, the table and what is copied out. */
import { GOODS, type GoodUnit } from '../catalogue';
import { GOOD_GROUPS, GOODS_BY_GROUP, type GoodId, type JobFacts } from '../facts';
import { writeTable } from '../import/table';
import { say } from '../reasons';
import type { FirmSettings } from '../rulebook';
import type { Pack } from '../shelf';
import type { BuyLine, Shopping } from '../job/buy';
import { cap, formatMeasure, many, measure, moneyIn, withCommas, type UnitSystem } from '../units/units';

export interface BuyRow {
  readonly good: GoodId;
  readonly what: string;
  /** The firm's own product; empty: of any make. */
  readonly named: string;
  readonly need: string;
  /** Taken from what stands there; empty: nothing is there. */
  readonly there: string;
  /** `2 × 5 L, 1 × 0.75 L`; empty: nothing has to be bought. */
  readonly buy: string;
  readonly leftOver: string;
  /** In the firm's money. */
  readonly money: number;
  readonly notes: readonly string[];
  readonly line: BuyLine;
}
export interface ShoppingPaper {
  readonly sections: readonly { readonly title: string; readonly rows: readonly BuyRow[] }[];
  readonly masks: readonly { readonly what: string; readonly need: string; readonly who: string; readonly money: number }[];
  readonly brought: readonly { readonly what: string; readonly amount: string }[];
  readonly total: string;
  readonly money: number;
  readonly empty: boolean;
  /** Nothing is asked for, and why; empty: something is. */
  readonly nothing: string;
}

/** As a shop calls its sizes. */
const SIZES: readonly (readonly [litres: number, one: string, several: string])[] = [
  [0.2365, 'half-pint', 'half-pints'],
  [0.473, 'pint', 'pints'],
  [0.946, 'quart', 'quarts'],
  [3.784, 'gallon', 'gallons'],
  [18.92, 'five-gallon pail', 'five-gallon pails'],
];
/** A size as it was typed is as good as the same to a half of a hundredth. */
const SAME_SIZE = 0.005;
/** `2 quarts`, `3 × 2.5 L`; what is sold one by one is only counted. */
export function packText({ size }: Pack, count: number, unit: GoodUnit, units: UnitSystem): string {
  if (unit === 'pieces') return size === 1 ? withCommas(count) : `${withCommas(count)} × ${withCommas(size)}`;
  const named = units === 'ft' && unit === 'L' ? SIZES.find(([litres]) => Math.abs(size / litres - 1) < SAME_SIZE) : undefined;
  if (named === undefined) return `${withCommas(count)} × ${formatMeasure(measure(size, unit), units)}`;
  return `${withCommas(count)} ${named[count === 1 ? 1 : 2]}`;
}
/** Sizes and prices in which a good is sold: `quart $19, gallon $57`. */
export const pricesText = (packs: readonly Pack[], unit: GoodUnit, units: UnitSystem, money: (n: number) => string): string =>
  packs
    .map((p) =>
      `${(unit === 'pieces' && p.size === 1 ? 'each' : packText(p, 1, unit, units)).replace(/^1 (?:× )?/, '')} ${money(p.price)}`.trim(),
    )
    .join(', ');

/** A list of names, the first few of them. */
const NAMED = 3;
function namesOf(ids: readonly string[], facts: JobFacts): string {
  const names = ids.map((id) => facts.surfaces.find((s) => s.id === id)?.name ?? '');
  const more = names.length - NAMED;
  return more > 0 ? `${names.slice(0, NAMED).join(', ')} and ${more} more` : names.join(', ');
}

function rowOf(l: BuyLine, facts: JobFacts, units: UnitSystem): BuyRow {
  const amount = (v: number) => formatMeasure(measure(v, l.unit), units);
  const whole = (v: number) => (l.unit === 'pieces' ? amount(Math.ceil(v - 1e-9)) : amount(v));
  // A single tin is one batch.
  const onePack = l.packing.packs.reduce((n, p) => n + p.count, 0) === 1;
  const notes = [
    ...l.leftOut.map((x) => `${amount(x.amount)} not counted: ${say(`leftOut.${x.why}`)}.`),
    ...l.batches.map((b) =>
      b.batch === null && onePack
        ? ''
        : b.batch === null
          ? `No face from two batches: one batch for each, or its tins mixed together first. ${namesOf(b.surfaceIds, facts)}.`
          : b.batch === ''
            ? `From the tin that stands there, its batch not written down: ${namesOf(b.surfaceIds, facts)}.`
            : `From batch ${b.batch}: ${namesOf(b.surfaceIds, facts)}.`,
    ),
    ...(l.batches.length > 0 && l.inStock - l.fromStock > 1e-6 && l.fromStock < l.need - 1e-6
      ? [`${amount(l.inStock - l.fromStock)} stays there: it is too little for a whole face, and no face is laid from two batches.`]
      : []),
  ].filter((n) => n !== '');
  return {
    good: l.good,
    what: [cap(say(l.good)), l.colour].filter((x) => x !== '').join(', '),
    named: l.product?.name ?? '',
    need: whole(l.need),
    there: l.fromStock > 0 ? whole(l.fromStock) : '',
    buy: l.packing.packs.map((p) => packText(p, p.count, l.unit, units)).join(', '),
    leftOver: l.packing.leftOver > 1e-6 ? amount(l.packing.leftOver) : '',
    money: l.packing.money,
    notes,
    line: l,
  };
}

export function shoppingPaper(shopping: Shopping, facts: JobFacts, settings: FirmSettings): ShoppingPaper {
  const { units } = facts.job;
  const rows = shopping.lines.map((l) => rowOf(l, facts, units));
  const empty = rows.length === 0 && shopping.masks.length === 0 && shopping.brought.length === 0;
  return {
    sections: GOOD_GROUPS.flatMap((group) => {
      const own = rows.filter((r) => (GOODS_BY_GROUP[group] as readonly string[]).includes(r.good));
      return own.length === 0 ? [] : [{ title: cap(say(`group.${group}`)), rows: own }];
    }),
    masks: shopping.masks.map((m) => ({
      what: say(m.mask),
      need: `filters for ${many(m.personDays, 'day of one person', 'days of one person')}`,
      who: m.people.length > 0 ? m.people.join(', ') : `${many(m.crew, 'person', 'people')}, nobody named yet`,
      money: m.money,
    })),
    brought: shopping.brought.map((a) => ({ what: cap(say(a.what)), amount: formatMeasure(a.amount, units) })),
    total: moneyIn(settings.pricesIn)(shopping.money),
    money: shopping.money,
    empty,
    nothing: !empty
      ? ''
      : shopping.nobody
        ? 'Nobody is put down to work on that day.'
        : 'Nothing is asked for: no step of it is decided, or all of them are done.',
  };
}

/** To send to whoever stands in the shop. */
export function shoppingText(paper: ShoppingPaper, title: string): string {
  const out = [title];
  if (paper.empty) return `${title}\n\n${paper.nothing}\n`;
  for (const s of paper.sections) {
    const buy = s.rows.filter((r) => r.buy !== '');
    if (buy.length === 0) continue;
    out.push('', s.title);
    for (const r of buy) out.push(`[ ] ${r.what}${r.named ? ` (${r.named})` : ''}: ${r.buy}`, ...r.notes.map((n) => `    ${n}`));
  }
  if (paper.masks.length > 0) out.push('', 'Masks', ...paper.masks.map((m) => `[ ] ${m.what}: ${m.need}; ${m.who}`));
  const there = paper.sections.flatMap((s) => s.rows).filter((r) => r.there !== '');
  if (there.length > 0) out.push('', 'Taken from shelf and van', ...there.map((r) => `    ${r.what}: ${r.there}`));
  if (paper.brought.length > 0) out.push('', 'Brought along', ...paper.brought.map((b) => `    ${b.what}: ${b.amount}`));
  out.push('', `About ${paper.total}`);
  return `${out.join('\n')}\n`;
}

const HEADERS = [
  'group',
  'what',
  'product',
  'color',
  'needed',
  'from stock',
  'unit',
  'packs',
  'bought',
  'left over',
  'price',
  'currency',
  'prices',
  'note',
];

/** One line a product, numbers in the unit in which it is sold. */
export function shoppingCsv(paper: ShoppingPaper, settings: FirmSettings): string {
  const n = (v: number) => Number(v.toFixed(3));
  return writeTable(HEADERS, [
    ...paper.sections.flatMap((s) =>
      s.rows.map(({ line: l, ...r }) => [
        s.title,
        r.what,
        r.named,
        l.colour,
        n(l.need),
        n(l.fromStock),
        GOODS[l.good].unit,
        l.packing.packs.map((p) => `${p.count} x ${p.size}`).join('; '),
        n(l.packing.holds),
        n(l.packing.leftOver),
        Number(r.money.toFixed(2)),
        settings.pricesIn,
        l.ownPrices ? 'own' : 'generic',
        r.notes.join(' '),
      ]),
    ),
    ...paper.masks.map((m) => [
      'Masks',
      m.what,
      '',
      '',
      null,
      null,
      '',
      m.need,
      null,
      null,
      Number(m.money.toFixed(2)),
      settings.pricesIn,
      'own',
      m.who,
    ]),
  ]);
}
