import fc from 'fast-check';
import { GOODS } from '../catalogue';
import { specsFor, windowsOf } from '../coat';
import { litresFor } from '../coat/film';
import {
  CHANGE_VERSION,
  applyFirmChange,
  GOOD_IDS,
  ProductFields,
  type Change,
  NO_FIRM,
  type FirmFacts,
  type JobFacts,
  type Product,
  type Surface,
  type Tin,
} from '../facts';
import { createDeriver } from '../job/derive';
import { WORDS } from '../reasons/en/vocabulary';
import { AS_CATALOGUED, DEFAULT_SETTINGS, type FirmSettings } from '../rulebook';
import { aCheck, aFacts, aLayer, aPart, aSurface, AT, THIS_YEAR } from '../testing';
import { shoppingPaper, shoppingText } from '../report';
import { facesToBatches } from '../job/buy';
import { agentsOf, apartOn, chemistryOf, coatingOf, packsFor, priceOf, type Pack } from './index';
import { packsOf, shoppingOf } from '../job/buy';
import { readShelf, readShelfCsv, shelfCsv, writeShelf } from '../import/shelf';

const product = (fields: Partial<Product> & Pick<Product, 'good'>): Product => ({
  ...ProductFields.parse({ name: 'Own one', good: fields.good }),
  id: 'own',
  removedAt: null,
  ...fields,
});
const tin = (fields: Partial<Tin> & Pick<Tin, 'good' | 'amount'>): Tin => ({
  id: `tin-${fields.good}-${fields.amount}-${fields.batch ?? ''}`,
  productId: null,
  at: 'shelf',
  forJobId: null,
  batch: '',
  colour: '',
  openedOn: null,
  removedAt: null,
  ...fields,
});
const firm = (...products: Product[]): FirmSettings => ({ ...DEFAULT_SETTINGS, products });
const TODAY = '2026-05-04';
const derive = (facts: JobFacts, settings: FirmSettings) => createDeriver().derive(facts, settings, THIS_YEAR);
const YOUNG = { job: { yearBuilt: 2015 } };
/** Sound and young: washed, scuffed, coated. */
const aWall = (over: Partial<Surface> = {}): Surface =>
  aSurface({
    element: 'wall',
    material: 'gypsumPlaster',
    layers: [aLayer(0, { binder: 'acrylic' })],
    yearMade: 2015,
    topcoat: 'matEmulsion',
    parts: [aPart('flat', 'overcoat')],
    ...over,
  });

describe('packs', () => {
  /** Every number of every pack, as far as any could be needed: the plain search that the quick one is held to. */
  function searched(need: number, packs: readonly Pack[]): { money: number; holds: number } {
    let best = { money: Infinity, holds: Infinity };
    const go = (i: number, money: number, holds: number) => {
      if (holds >= need - 1e-9) {
        if (money < best.money - 1e-9 || (Math.abs(money - best.money) < 1e-9 && holds < best.holds - 1e-9)) best = { money, holds };
        return;
      }
      for (let k = i; k < packs.length; k += 1) go(k, money + packs[k]!.price, holds + packs[k]!.size);
    };
    go(0, 0, 0);
    return best;
  }
  const pack = fc.record({ size: fc.integer({ min: 2, max: 40 }).map((n) => n / 8), price: fc.integer({ min: 1, max: 60 }) });

  test('cheapest, and of those the least left over: against every filling there is', () => {
    fc.assert(
      fc.property(fc.array(pack, { minLength: 1, maxLength: 4 }), fc.integer({ min: 1, max: 96 }), (packs, eighths) => {
        const need = eighths / 8;
        fc.pre(need / Math.min(...packs.map((p) => p.size)) <= 14);
        const found = packsFor(need, packs);
        const exact = searched(need, packs);
        expect(found.money).toBeCloseTo(exact.money, 6);
        expect(found.holds).toBeCloseTo(exact.holds, 6);
        expect(found.leftOver).toBeCloseTo(exact.holds - need, 6);
      }),
      { numRuns: 300 },
    );
  });
  test('more is never cheaper, far beyond the sizes too', () => {
    fc.assert(
      fc.property(
        fc.array(pack, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 40_000 }),
        fc.integer({ min: 0, max: 80 }),
        (packs, a, more) => {
          const [less, much] = [packsFor(a / 8, packs), packsFor((a + more) / 8, packs)];
          expect(less.money).toBeLessThanOrEqual(much.money + 1e-6);
          expect(less.holds).toBeGreaterThanOrEqual(a / 8 - 1e-9);
        },
      ),
      { numRuns: 100 },
    );
  });
  test('a pack of nothing and no pack are refused', () => {
    expect(() => packsFor(1, [])).toThrow('in no pack');
    expect(() => packsFor(1, [{ size: 0, price: 3 }])).toThrow('holds something');
    expect(() => packsFor(-1, [{ size: 1, price: 3 }])).toThrow('0 or more');
  });
  test('every good has a name, a size in both countries, and a price', () => {
    for (const good of GOOD_IDS) {
      expect(WORDS).toHaveProperty([good]);
      for (const rules of ['us', 'uk'] as const)
        expect(packsOf(DEFAULT_SETTINGS, good, rules).every((p) => p.size > 0 && p.price > 0)).toBe(true);
    }
  });
});

describe('faces from batches', () => {
  const boughtBy = (faces: readonly number[], ways: readonly number[]) => faces.reduce((sum, f, i) => sum + (ways[i]! < 0 ? f : 0), 0);
  /** Every way there is, counted out. */
  const leastBought = (holds: readonly number[], faces: readonly number[]): number => {
    if (faces.length === 0) return 0;
    const [first, ...rest] = faces;
    return Math.min(
      first! + leastBought(holds, rest),
      ...holds.flatMap((h, i) => (h >= first! - 1e-9 ? [leastBought(holds.with(i, h - first!), rest)] : [])),
    );
  };
  test('the largest first is not always least: 6, 5, 5 from a batch of 10', () => {
    expect(facesToBatches([10], [6, 5, 5])).toEqual([-1, 0, 0]);
  });
  test('as little is bought as by counting out every way, and no batch is overdrawn', () => {
    const some = (most: number) => fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: most });
    fc.assert(
      fc.property(some(3), some(6), (holds, drawn) => {
        const faces = [...drawn].sort((a, b) => b - a);
        const ways = facesToBatches(holds, faces);
        expect(boughtBy(faces, ways)).toBe(leastBought(holds, faces));
        for (const [i, h] of holds.entries()) expect(faces.reduce((sum, f, k) => sum + (ways[k] === i ? f : 0), 0)).toBeLessThanOrEqual(h);
      }),
      { numRuns: 150, seed: 14 },
    );
  });
});

describe('the firm’s own sheet', () => {
  const wall = () => aFacts(aWall(), YOUNG);
  const lineOf = (settings: FirmSettings) => derive(wall(), settings).surfaces[0]!.coating.lines.find((l) => l.use === 'topcoat')!;

  test('outranks film, coats, wait, price and limits, and says so', () => {
    const own = product({
      good: 'matEmulsion',
      solidsPct: 50,
      dryFilmUm: 50,
      coats: 1,
      recoatLeastH: 3,
      recoatMostH: 48,
      leastAirC: 3,
      leastFaceC: 3,
      mostRhPct: 70,
      packs: [{ size: 10, price: 90 }],
    });
    const [generic, sheet] = [lineOf(DEFAULT_SETTINGS), lineOf(firm(own))];
    expect(sheet.coats).toBe(1);
    // 10 x solids / film: T05 of common paint arithmetic, here 10 m2 a litre.
    expect(sheet.litres / generic.litres).toBeCloseTo(litresFor(1, 1, 50, 50, 0) / litresFor(1, 2, 35, 35, 0), 9);
    expect(sheet.recoatH).toEqual({ low: 3, high: 3 });
    expect(sheet.because.map((r) => r.rule)).toContain('coat.ownSheet');
    expect(priceOf(firm(own), 'matEmulsion')).toBe(9);
    const [spec] = specsFor(sheet, 1);
    expect(spec).toMatchObject({ mostRecoatH: 48, rhMostPct: 70, airC: { least: 3 }, faceC: { least: 3 } });
    // A sheet that is not worked with, or was taken away, says nothing.
    expect(lineOf(firm({ ...own, inUse: false })).litres).toBe(generic.litres);
    expect(lineOf(firm({ ...own, removedAt: '2026-01-01T00:00:00.000Z' })).litres).toBe(generic.litres);
  });
  test('its two temperatures make its own slope: 4 h at 20 C and 16 h at 10 C double every 5 C', () => {
    const own = product({ good: 'matEmulsion', recoatLeastH: 4, atC: 20, coldC: 10, coldLeastH: 16 });
    const [spec] = specsFor(lineOf(firm(own)), 1);
    expect(spec!.curve.doubleC).toBeCloseTo(5, 9);
    expect(spec!.recoatH).toBeCloseTo(4, 9);
    const n = 96;
    const flat = (v: number) => new Float64Array(n).fill(v);
    const face = {
      airC: flat(10),
      rhPct: flat(50),
      faceC: flat(10),
      windMS: flat(0),
      rainMm: flat(0),
      light: new Uint8Array(n).fill(1),
      hours: new Uint8Array(n).fill(1),
    };
    const w = windowsOf(face, { ...spec!, airC: { least: 0, most: 40 }, faceC: { least: 0, most: 40 }, strokeH: 1 });
    expect(w.readyAt[0]! - w.laidAt[0]!).toBe(16);
  });
  test('its chemistry decides for the method that lays it, before what the settings say', () => {
    const settings = { ...firm(product({ good: 'stripperGel', chemistry: 'nmp' })), rates: {} };
    expect(chemistryOf(settings, 'solventGel')).toBe('nmp');
    expect(chemistryOf(settings, 'neutralStripper')).toBe('unsaid');
    // Two records of the firm that contradict: what is banned stays banned.
    const old = { solventGel: { ...AS_CATALOGUED, chemistry: 'methyleneChloride' as const } };
    expect(chemistryOf({ ...settings, rates: old }, 'solventGel')).toBe('methyleneChloride');
    expect(agentsOf(firm(product({ good: 'biocide', chemistry: 'hypochlorite' })), 'biocide')).toContain('bleach');
  });
  test('of two, the first by name; the order in which they came says nothing', () => {
    const a = product({ id: 'a', name: 'Brook', good: 'matEmulsion', dryFilmUm: 30 });
    const b = product({ id: 'b', name: 'Alder', good: 'matEmulsion', dryFilmUm: 60 });
    expect(coatingOf(firm(a, b), 'matEmulsion').dryFilmUm).toBe(60);
    expect(coatingOf(firm(b, a), 'matEmulsion').dryFilmUm).toBe(60);
  });
});

describe('what no shelf takes', () => {
  const empty: FirmFacts = NO_FIRM;
  const change = {
    id: 'c1',
    v: CHANGE_VERSION,
    jobId: null,
    entity: 'product',
    entityId: 'p1',
    op: 'add',
    parent: { kind: 'firm', id: 'firm' },
    by: 'Ines',
    at: '2026-05-04T08:00:00.000Z',
    personId: null,
    device: null,
    act: null,
  } as const;
  const added = (fields: Record<string, unknown>) => applyFirmChange(empty, { ...change, fields: ProductFields.parse(fields) } as Change);
  const told = (fields: Record<string, unknown>) => {
    const out = added(fields);
    return out.ok ? [] : out.problems.map((p) => `${p.path}: ${p.message}`);
  };
  // 40 CFR 751; UK REACH annex XVII; 16 CFR 1303.
  test.each([
    ['by what is in it', { name: 'Gel', good: 'stripperGel', chemistry: 'methyleneChloride' }],
    ['by its name', { name: 'Old stock, Dichloromethane 80 %', good: 'stripperGel' }],
    ['a cleaner of perchloroethylene', { name: 'Degreaser', good: 'waxRemover', chemistry: 'perchloroethylene' }],
    ['red lead', { name: 'Red lead primer', good: 'zincPhosphate' }],
  ])('forbidden %s', (_, fields) => expect(told(fields).join()).toMatch(/chemistry: is forbidden/));
  test('a product of which something stands there becomes nothing else', () => {
    const there: FirmFacts = {
      ...empty,
      products: [product({ id: 'p1', good: 'bonding' })],
      tins: [tin({ good: 'bonding', amount: 1, productId: 'p1' })],
    };
    const out = applyFirmChange(there, { ...change, op: 'set', fields: { good: 'etch' } } as Change);
    expect(out.ok ? '' : out.problems[0]!.message).toContain('say first what became of that');
  });
  test('benzyl alcohol is not benzene', () =>
    expect(told({ name: 'Benzyl gel', good: 'stripperGel', chemistry: 'benzylAlcohol' })).toEqual([]));
  test.each([
    ['an acid where caustic stands', { name: 'X', good: 'causticPaste', chemistry: 'phosphoricAcid' }, 'is no alkali'],
    ['the most before the least', { name: 'X', good: 'bonding', recoatLeastH: 16, recoatMostH: 4 }, 'shorter than the shortest'],
    ['slower in the warm', { name: 'X', good: 'bonding', recoatLeastH: 4, coldC: 10, coldLeastH: 2 }, 'slower in the warm'],
    [
      'one size twice',
      {
        name: 'X',
        good: 'bonding',
        packs: [
          { size: 5, price: 9 },
          { size: 5, price: 8 },
        ],
      },
      'twice',
    ],
  ])('%s', (_, fields, says) => expect(told(fields).join()).toContain(says));
  test.each([
    [{ strengthPct: -1 }, 'at least'],
    [{ strengthPct: 120 }, 'at most 100'],
    [{ packs: [{ size: 0.0004, price: 1 }] }, 'holds something'],
  ])('%j is told in trade words', (fields, says) =>
    expect(
      ProductFields.safeParse({ name: 'X', good: 'bleach', ...fields })
        .error?.issues.map((i) => i.message)
        .join(),
    ).toContain(says),
  );
});

describe('what stands together', () => {
  test('bleach and acid on one shelf are told; in the van and on the shelf they are apart', () => {
    const bleach = tin({ good: 'bleach', amount: 2 });
    const acid = tin({ good: 'citricAcid', amount: 1 });
    expect(apartOn(DEFAULT_SETTINGS, [bleach, acid]).map((a) => [a.one, a.other, a.meeting.forms])).toEqual([
      ['bleach', 'citricAcid', 'chlorine'],
    ]);
    expect(apartOn(DEFAULT_SETTINGS, [bleach, { ...acid, at: 'van' }])).toEqual([]);
    // By the sheet of the firm’s own product, what the generic one is not.
    expect(
      apartOn(firm(product({ good: 'cleaner', chemistry: 'ammonia' })), [bleach, tin({ good: 'cleaner', amount: 1 })])[0]!.meeting.forms,
    ).toBe('chloramine');
  });
});

describe('files', () => {
  const own = product({
    name: 'Mat; “quoted”, and more',
    good: 'matEmulsion',
    solidsPct: 41,
    packs: [
      { size: 2.5, price: 38 },
      { size: 10, price: 120 },
    ],
  });
  test('JSON and CSV come back as they went out', () => {
    const read = readShelf(writeShelf([own], [tin({ good: 'matEmulsion', amount: 3, productId: 'own', batch: '4711' })]));
    expect(read.ok && read.value.products[0]).toMatchObject({ name: own.name, solidsPct: 41, packs: own.packs });
    expect(read.ok && read.value.tins[0]).toMatchObject({ batch: '4711', productId: 'own' });
    const table = readShelfCsv(new TextEncoder().encode(shelfCsv([own])));
    const { id: _id, removedAt: _gone, ...fields } = own;
    expect(table.ok && table.value).toEqual([fields]);
  });
  test('all or nothing, by line', () => {
    const csv = 'name,good,solidsPct,packs\nOne,matEmulsion,40,5=40\nTwo,noSuchThing,40,\nThree,bleach,140,five\n';
    const read = readShelfCsv(new TextEncoder().encode(csv));
    expect(read.ok ? [] : read.problems.map((p) => p.path)).toEqual(['line 3', 'line 4', 'line 4']);
    const strange = readShelf(JSON.stringify({ format: 'rough-sill-shelf', version: 9 }));
    expect(strange.ok ? '' : strange.problems[0]!.message).toContain('Update it first');
  });
});

describe('what is bought', () => {
  const job = () =>
    aFacts(aWall({ id: 'long', name: 'Long wall', lengthM: 8 }), {
      ...YOUNG,
      others: [aWall({ id: 'short', name: 'Short wall', lengthM: 2 })],
    });
  const bought = (tins: readonly Tin[], settings: FirmSettings = DEFAULT_SETTINGS, facts = job()) =>
    shoppingOf(facts, derive(facts, settings), { settings, tins, today: TODAY }, { kind: 'job' });
  const mat = (tins: readonly Tin[], settings?: FirmSettings) => bought(tins, settings).lines.find((l) => l.good === 'matEmulsion')!;

  test('as much as the steps ask for, in packs that hold it', () => {
    const facts = job();
    const plan = derive(facts, DEFAULT_SETTINGS);
    const litres = plan.surfaces.reduce(
      (sum, p) => sum + p.coating.lines.reduce((s, l) => s + (l.product === 'matEmulsion' ? l.litres : 0), 0),
      0,
    );
    const line = mat([]);
    expect(line.need).toBeCloseTo(litres, 9);
    expect(line.packing.holds).toBeGreaterThanOrEqual(litres - 1e-9);
    // The price of the job has the whole tins in it.
    const other = plan.surfaces.flatMap((p) => p.coating.lines).filter((l) => l.product !== 'matEmulsion');
    expect(plan.totals.lines.coats.high + plan.totals.lines.packs.high).toBeGreaterThanOrEqual(
      line.packing.money + other.reduce((s, l) => s + l.litres * priceOf(DEFAULT_SETTINGS, l.product), 0) - 1e-6,
    );
  });
  test('net of what stands there: a whole face from one batch, and what is too little for one stays', () => {
    const { need } = mat([]);
    const share = need / 5;
    const one = mat([tin({ good: 'matEmulsion', amount: share * 1.05, batch: 'A' })]);
    expect(one.batches).toEqual([
      { batch: 'A', surfaceIds: ['short'], amount: expect.closeTo(share, 6) },
      { batch: null, surfaceIds: ['long'], amount: expect.closeTo(share * 4, 6) },
    ]);
    const little = mat([
      tin({ good: 'matEmulsion', amount: share * 0.9, batch: 'A' }),
      tin({ good: 'matEmulsion', amount: share * 0.9, batch: 'B' }),
    ]);
    expect(little.fromStock).toBe(0);
    expect(
      mat([tin({ good: 'matEmulsion', amount: share * 0.9, batch: 'A' }), tin({ good: 'matEmulsion', amount: share * 0.9, batch: 'a ' })])
        .fromStock,
    ).toBeCloseTo(share, 6);
    expect(mat([tin({ good: 'matEmulsion', amount: need * 1.01, batch: 'A' })]).packing.packs).toEqual([]);
  });
  test('a topcoat in two colors is two lines, and a tin counts for its own only', () => {
    const base = job();
    const facts = { ...base, surfaces: base.surfaces.map((s) => (s.id === 'long' ? { ...s, colour: 'Sage  green' } : s)) };
    const lines = (tins: readonly Tin[]) => bought(tins, DEFAULT_SETTINGS, facts).lines.filter((l) => l.good === 'matEmulsion');
    const [plain, sage] = lines([]);
    expect([plain!.colour, sage!.colour, (plain!.need + sage!.need) / mat([]).need]).toEqual(['', 'Sage  green', expect.closeTo(1, 9)]);
    const [still, there] = lines([tin({ good: 'matEmulsion', amount: 60, colour: 'sage green' })]);
    expect([still!.fromStock, still!.leftOut, there!.fromStock]).toEqual([
      0,
      [{ why: 'otherColour', amount: 60 }],
      expect.closeTo(sage!.need, 9),
    ]);
    // Nobody wrote on the lid what it is: it stands in for no wanted color.
    const [own, not] = lines([tin({ good: 'matEmulsion', amount: 60 })]);
    expect([own!.fromStock > 0, not!.fromStock]).toEqual([true, 0]);
  });
  test.each([
    ['otherJob', tin({ good: 'matEmulsion', amount: 50, forJobId: 'another' })],
    ['colourUnsure', tin({ good: 'matEmulsion', amount: 50, colour: 'sage' })],
    ['otherProduct', tin({ good: 'matEmulsion', amount: 50, productId: 'gone' })],
    ['pastOpenLife', tin({ good: 'matEmulsion', amount: 50, openedOn: '2026-01-01' })],
  ] as const)('what is not counted is told: %s', (why, stands) => {
    const line = mat([stands], firm(product({ good: 'matEmulsion', openLifeH: 720 })));
    expect(line.fromStock).toBe(0);
    expect(line.leftOut).toEqual([{ why, amount: 50 }]);
  });
  test('what was done is bought no more', () => {
    let facts = aFacts(aWall(), YOUNG);
    const amounts: number[] = [];
    // Every check that is open is passed, a minute later each, until none is left.
    for (let minute = 0; minute < 40; minute += 1) {
      const plan = derive(facts, DEFAULT_SETTINGS);
      amounts.push(bought([], DEFAULT_SETTINGS, facts).lines.find((l) => l.good === 'matEmulsion')?.need ?? 0);
      const gate = plan.surfaces[0]!.work.steps.flatMap((st) => st.gates).find((g) => g.state === 'open');
      if (gate === undefined) break;
      const takenAt = new Date(Date.parse(AT) + minute * 60_000).toISOString();
      const passed = aCheck(gate.id, { id: `check-${minute}`, takenAt });
      facts =
        gate.zoneId === null
          ? { ...facts, surfaces: facts.surfaces.map((s) => ({ ...s, checks: [...s.checks, passed] })) }
          : { ...facts, checks: [...facts.checks, { ...passed, zoneId: gate.zoneId }] };
    }
    expect(amounts[0]).toBeGreaterThan(0);
    expect(amounts.at(-1)).toBe(0);
    for (let i = 1; i < amounts.length; i += 1) expect(amounts[i]).toBeLessThanOrEqual(amounts[i - 1]!);
  });
  test('never more money with more on the shelf', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...GOOD_IDS), fc.integer({ min: 1, max: 60 })), { maxLength: 8 }), (stock) => {
        const tins = stock.map(([good, amount], i) => ({ ...tin({ good, amount }), id: `t${i}` }));
        expect(bought(tins).money).toBeLessThanOrEqual(bought([]).money + 1e-6);
      }),
      { numRuns: 25 },
    );
  });
  test('in words: every line with its unit, nothing doubled', () => {
    const facts = job();
    const text = shoppingText(
      shoppingPaper(bought([tin({ good: 'matEmulsion', amount: 60, colour: 'sage' })]), facts, DEFAULT_SETTINGS),
      'To buy',
    );
    expect(text).toMatch(/Mat emulsion: 1 gallon/);
    expect(text).toContain('not counted: whether it is this colour nobody said');
    expect(text).not.toMatch(/undefined|NaN|\.\./);
  });
  test('goods are sold in what their steps are counted in', () => {
    for (const l of bought([]).lines) expect(l.unit).toBe(GOODS[l.good].unit);
  });
});
