/** The shelf of the invented firm at Quill Point: a few products by invented sheets, and what stands there. */
import { ProductFields, TinFields, type Product, type Tin } from '@roughsill/core';

const product = (id: string, fields: Record<string, unknown>): Product => ({ ...ProductFields.parse(fields), id, removedAt: null });
const tin = (id: string, fields: Record<string, unknown>): Tin => ({ ...TinFields.parse(fields), id, removedAt: null });

export const SHELF_PRODUCTS: readonly Product[] = [
  product('shelf-wall-mat', {
    name: 'Wall mat, trade drum',
    good: 'matEmulsion',
    chemistry: 'water',
    solidsPct: 38,
    dryFilmUm: 32,
    coats: 2,
    recoatLeastH: 4,
    atC: 20,
    atRhPct: 60,
    coldC: 10,
    coldLeastH: 9,
    leastAirC: 8,
    leastFaceC: 8,
    mostRhPct: 80,
    guaranteeYears: 5,
    guaranteeTerms: 'two coats at the film of the sheet, on a primed ground, inside',
    packs: [
      { size: 3.784, price: 58 },
      { size: 18.92, price: 235 },
    ],
    sheet: 'invented sheet, spring 2026',
  }),
  product('shelf-wood-primer', {
    name: 'Exterior wood primer, slow',
    good: 'alkydWood',
    chemistry: 'mineralSpirits',
    solidsPct: 54,
    dryFilmUm: 42,
    recoatLeastH: 16,
    recoatMostH: 240,
    leastAirC: 5,
    leastFaceC: 5,
    mostRhPct: 80,
    flashC: 40,
    packs: [
      { size: 0.946, price: 26 },
      { size: 3.784, price: 84 },
    ],
    sheet: 'invented sheet, autumn 2025',
  }),
  product('shelf-gel', {
    name: 'Low-odour gel',
    good: 'stripperGel',
    chemistry: 'benzylAlcohol',
    packs: [
      { size: 3.784, price: 62 },
      { size: 18.92, price: 270 },
    ],
    sheet: 'invented sheet, winter 2025',
  }),
];

export const SHELF_TINS: readonly Tin[] = [
  tin('tin-mat-a', { good: 'matEmulsion', productId: 'shelf-wall-mat', amount: 2.4, at: 'van', batch: 'QP-117' }),
  tin('tin-primer', { good: 'alkydWood', productId: 'shelf-wood-primer', amount: 0.946, at: 'shelf', batch: 'R-40' }),
  tin('tin-eggshell', { good: 'waterborneEggshell', amount: 1.2, at: 'shelf', colour: 'harbor gray', openedOn: '2026-03-02' }),
  tin('tin-gel', { good: 'stripperGel', productId: 'shelf-gel', amount: 6, at: 'shelf' }),
  tin('tin-soda', { good: 'causticSoda', amount: 4.5, at: 'shelf' }),
  tin('tin-citric', { good: 'citricAcid', amount: 1, at: 'shelf' }),
  tin('tin-bleach', { good: 'bleach', amount: 3.784, at: 'shelf', openedOn: '2026-02-10' }),
  tin('tin-sheet', { good: 'sheet', amount: 46, at: 'van' }),
  tin('tin-tape', { good: 'longLifeTape', amount: 54.864, at: 'van' }),
  tin('tin-blades', { good: 'blades', amount: 10, at: 'van' }),
];
