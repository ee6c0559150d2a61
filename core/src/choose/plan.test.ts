/** Order of work, what is added, piece by piece, and what it costs beside its neighbours. */
import fc from 'fast-check';
import { aFacts, aLayer, aPart, aReading, aSquare, aSurface, COATS, looked, planOf, rulesOf, THIS_YEAR, type Setup } from '../testing';
import { FAMILIES, GOODS, methodById, METHODS } from '../catalogue';
import { compareMethods, compareStrippers, sensitivity } from '../compare';
import {
  BLANK_BOARD,
  MASONRY,
  METAL,
  METHOD_IDS,
  SOAKS,
  PART_KINDS,
  PLASTER,
  TIMBER,
  type Board,
  type MethodId,
  type Part,
  type PartKind,
  type Surface,
} from '../facts';
import { AS_CATALOGUED, DEFAULT_SETTINGS } from '../rulebook';
import { triage, triageOf } from '../trial/triage';

const clear = aReading({ spot: 'unchanged', reachedLayerIds: COATS, toSubstrate: true });
const part = (kind: PartKind, sharePct: number, methodId: MethodId | null, alsoIds: MethodId[] = []): Part =>
  aPart(kind, methodId, { sharePct, alsoIds });
const strokes = (s: Surface, setup?: Setup) =>
  planOf(s, setup).choice.sequence.strokes.map((x) => `${x.kind}/${x.methodId}${x.half ? `/${x.half}` : ''}`);
const failing = [aLayer(0, { soundness: 'failing' as const }), aLayer(1), aLayer(2)];
const outside: Setup = { space: { kind: 'elevation' } };

describe('the catalogue', () => {
  test('every method of the vocabulary is there once, and every part and material has one that works it', () => {
    expect(METHODS.map((m) => m.id).sort()).toEqual([...METHOD_IDS].sort());
    expect(METHODS.length).toBeGreaterThanOrEqual(35);
    for (const kind of PART_KINDS) expect(METHODS.some((m) => m.disturbs && m.reach[kind])).toBe(true);
    for (const material of [...TIMBER, ...PLASTER, ...MASONRY, ...METAL])
      expect(METHODS.filter((m) => m.disturbs && m.suits.includes(material)).length).toBeGreaterThan(3);
  });
  test('no range is upside down; what soaks can be laid or is done in a tub', () => {
    for (const m of METHODS) {
      expect(m.rate.lowM2PerH).toBeLessThanOrEqual(m.rate.highM2PerH);
      expect(m.passes.low).toBeLessThanOrEqual(m.passes.high);
      if (m.laying) expect(m.laying.openLifeH).toBeLessThanOrEqual(m.laying.coveredLifeH);
      if (m.laying && m.dwellH) expect(m.laying.coveredLifeH).toBeGreaterThan(m.dwellH.high);
    }
    expect(FAMILIES.strip.every((m) => m.dwellH !== null)).toBe(true);
    expect(
      METHODS.filter((m) => m.dwellH !== null)
        .map((m) => m.id)
        .sort(),
    ).toEqual([...SOAKS].sort());
  });
  // NPS Preservation Brief 10: a heat plate at 500 to 800 F, a heat gun at 500 to 750 F; below 1100 F is the legal ceiling (40 CFR 745.85).
  test('heat stays where the brief and the rule have it', () => {
    expect(methodById('heatGun').heatC).toBeLessThan(593);
    expect(methodById('infrared').heatC).toBeLessThanOrEqual(538);
    expect(methodById('torch').heatC).toBeGreaterThan(1760);
  });
  // Common practice: uncovered gel stays open for 15 to 20 minutes, covered it works for 60 to 90; ready-made rust gel 15 to 20, 30 cold.
  test('cover and dwell of what is laid', () => {
    const gel = methodById('solventGel');
    expect(gel.laying!.openLifeH * 60).toBeGreaterThanOrEqual(15);
    expect(gel.laying!.openLifeH * 60).toBeLessThanOrEqual(20);
    expect([gel.dwellH!.low * 60, gel.dwellH!.high * 60]).toEqual([60, 90]);
    expect([methodById('rustGel').dwellH!.low * 60, methodById('rustGel').dwellH!.high * 60]).toEqual([15, 30]);
  });
  // 40 CFR 751 subpart B: no stripper with methylene chloride is ever offered.
  test('no banned solvent is in the catalogue', () => {
    const text = JSON.stringify(METHODS).toLowerCase();
    for (const banned of ['methylene', 'dichloromethane', 'dcm']) expect(text).not.toContain(banned);
  });
});

// Decision table: material, coat, place, method, verdict, rule. Common practice, no published source, except where named.
describe('across the materials', () => {
  type Case = readonly [name: string, method: MethodId, over: Partial<Surface>, place: 'room' | 'elevation', verdict: string, rule: string];
  const cases: readonly Case[] = [
    // NPS Preservation Brief 6: abrasive cleaning is unsuitable for historic brick, stone and wood.
    ['brick, soft grit', 'softBlast', { element: 'plinth', material: 'brick' }, 'elevation', 'blocked', 'blast.masonry'],
    ['stone, hard grit', 'hardBlast', { element: 'plinth', material: 'stone' }, 'elevation', 'blocked', 'blast.masonry'],
    ['softwood, hard grit', 'hardBlast', { element: 'siding' }, 'elevation', 'blocked', 'blast.hardTimber'],
    [
      'steel, hard grit, no lead',
      'hardBlast',
      { element: 'ironRailing', material: 'mildSteel', rustGrade: 4, yearMade: 2005 },
      'elevation',
      'go',
      'blast.hopper',
    ],
    [
      'old steel: its primer is chromate until it is looked at',
      'hardBlast',
      { element: 'ironRailing', material: 'mildSteel', rustGrade: 4 },
      'elevation',
      'blocked',
      'poison.unsaid',
    ],
    ['brick, masonry stripper', 'masonryStripper', { element: 'plinth', material: 'brick' }, 'elevation', 'care', 'trial.needed'],
    ['aluminium, caustic', 'causticReady', { element: 'casing', material: 'aluminium' }, 'elevation', 'blocked', 'caustic.metal'],
    ['oak, caustic', 'causticReady', { element: 'panelling', material: 'tanninWood' }, 'elevation', 'blocked', 'caustic.tannin'],
    ['oak, neutral stripper', 'neutralStripper', { element: 'panelling', material: 'tanninWood' }, 'elevation', 'go', 'solvent.dried'],
    ['acrylic on pine, caustic', 'causticPoultice', { layers: [aLayer(0, { binder: 'acrylic' })] }, 'elevation', 'blocked', 'fit.failsOn'],
    ['epoxy, solvent gel', 'solventGel', { layers: [aLayer(0, { binder: 'epoxy' })] }, 'room', 'blocked', 'fit.failsOn'],
    ['milk paint, powder', 'milkPowder', { layers: [aLayer(0, { binder: 'casein' })] }, 'room', 'care', 'caustic.burns'],
    [
      'distemper on plaster, warm water',
      'distemperWash',
      { element: 'wall', yearMade: 1995, layers: [aLayer(0, { binder: 'distemper' })] },
      'room',
      'go',
      'distemper.all',
    ],
    ['oil on plaster, warm water', 'distemperWash', { element: 'wall' }, 'room', 'blocked', 'fit.nothingToTake'],
    [
      'texture of 1990 on plaster, soak',
      'textureSoak',
      { element: 'ceiling', yearMade: 1990, layers: [aLayer(0, { binder: 'textured', yearApplied: 1990 })] },
      'room',
      'care',
      'texture.mask',
    ],
    ['plaster, wet sanding', 'wetSand', { element: 'wall' }, 'room', 'blocked', 'fit.material'],
    ['concrete, power sander', 'powerSand', { element: 'wall', material: 'concrete' }, 'room', 'blocked', 'fit.material'],
    ['cast iron, needle gun', 'needleGun', { element: 'heater', material: 'castIron' }, 'room', 'blocked', 'fit.material'],
    [
      'steel, drill brush',
      'drillBrush',
      { element: 'pipe', material: 'mildSteel', rustGrade: 3, layers: looked(failing) },
      'room',
      'care',
      'sand.dustCloud',
    ],
    ['plywood, infrared', 'infrared', { material: 'plywood' }, 'room', 'blocked', 'heat.veneer'],
    ['piece in place, bath', 'causticBath', {}, 'elevation', 'blocked', 'bath.benchOnly'],
    ['moldy plaster, dry scraping', 'dryScrapeLoose', { element: 'wall', conditions: ['moldy'] }, 'room', 'blocked', 'mold.dry'],
    ['old surface to be kept, to bare', 'solventGel', { aim: 'patina' }, 'room', 'blocked', 'fit.patina'],
    ['a sash, covered with board', 'cover', { element: 'doubleHungSash' }, 'room', 'blocked', 'cover.noFace'],
  ];
  test.each(cases)('%s', (_name, id, over, kind, verdict, rule) => {
    const layers = over.layers ?? failing;
    const readings = [aReading({ kind: 'lab', value: 0, unit: 'ppm', reachedLayerIds: layers.map((l) => l.id), toSubstrate: true })];
    const s = aSurface({ aim: 'bareClear', ...over, layers, readings, parts: [part('flat', 100, null)] });
    const options = planOf(s, { space: { kind } }).choice.parts.flatMap((p) => [...p.options, ...p.helpers]);
    const o = options.find((x) => x.methodId === id)!;
    expect(rulesOf(o.because)).toContain(rule);
    expect(o.verdict).toBe(verdict);
  });
  // NPS Preservation Brief 10: class I (dirt, chalk) is washed; II (crazing, intercoat peeling) scraped to a sound layer; III (to the wood) stripped.
  test('paint failure by its class: wash, scrape to a sound layer, strip', () => {
    const depth = (over: Partial<Surface>) => planOf(aSurface(over)).choice.required.value;
    expect(depth({ chalkGrade: 1 })).toBe('none');
    expect(depth({ layers: failing })).toBe('loose');
    expect(depth({ conditions: ['checked'] })).toBe('loose');
    expect(depth({ readings: [aReading({ kind: 'crossCut', value: 0, unit: 'class' })] })).toBe('bare');
  });
  test('schools of the firm: no heat at all, dry scraping outdoors, no blasting of timber, stop on found lead', () => {
    const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true, changedLayerIds: ['coat-0'] });
    const o = (id: MethodId, settings: Setup['settings'], aim: Surface['aim'] = 'bareClear') =>
      planOf(aSurface({ aim, layers: failing, readings: [found] }), { ...outside, settings }).choice.parts[0]!.options.find(
        (x) => x.methodId === id,
      )!;
    expect(o('infrared', { allowInfraredOnLead: false }).verdict).toBe('blocked');
    expect(o('dryScrapeLoose', { allowDryScrapeOutdoors: true }, 'keepSound').verdict).toBe('care');
    expect(o('drySand', { allowDryScrapeOutdoors: true }, 'keepSound').verdict).toBe('blocked');
    expect(rulesOf(o('softBlast', { allowSoftBlastOnTimber: false }).because)).toContain('blast.timberOff');
    expect(rulesOf(o('wetScrapeLoose', { stopOnLead: true }, 'keepSound').because)).toContain('lead.handOver');
    expect(rulesOf(o('solventGel', { rates: { solventGel: { ...AS_CATALOGUED, owned: false } } }).because)).toContain('fit.notOwned');
  });
});

// Common practice, no published source.
// Common practice: a flat blade for flakes, carbide for checking; on masonry a hard blade is dragged, not pushed.
test('the blade follows the failure', () => {
  const rules = (over: Partial<Surface>, setup?: Setup) =>
    planOf(aSurface({ layers: failing, ...over }), setup)
      .work.steps.filter((st) => st.kind === 'remove')
      .flatMap((st) => rulesOf(st.because));
  expect(rules({ conditions: ['flaking'] })).toContain('order.bladeFlat');
  expect(rules({ conditions: ['flaking'] })).not.toContain('order.bladeCarbide');
  expect(rules({ conditions: ['checked'] })).toContain('order.bladeCarbide');
  const brick = { element: 'plinth' as const, material: 'brick' as const, parts: [part('flat', 100, 'masonryStripper')] };
  expect(rules(brick, outside)).toContain('order.bladeDrag');
});

describe('the order that is entered is checked and put right', () => {
  const stair = (over: Partial<Surface> = {}) =>
    aSurface({ aim: 'bareClear', readings: [clear], parts: [part('flat', 40, 'hepaSand'), part('turned', 60, 'solventGel')], ...over });
  test('coarse flats, strip turned, final flats', () => {
    expect(strokes(stair())).toEqual(['flat/hepaSand/coarse', 'turned/solventGel', 'flat/hepaSand/final']);
  });
  test('degrease before abrading: the wash that was entered last goes first, and says why', () => {
    const s = aSurface({
      layers: failing,
      readings: [clear],
      parts: [part('flat', 100, 'wetScrapeLoose', ['washDegrease'])],
      workOrder: ['part-flat/wetScrapeLoose', 'part-flat/washDegrease'],
    });
    expect(strokes(s)).toEqual(['flat/washDegrease', 'flat/wetScrapeLoose']);
    expect(rulesOf(planOf(s).choice.sequence.moved)).toEqual(['order.washFirst']);
  });
  test('rust: machine, then acid; entered the other way round it is turned', () => {
    const s = aSurface({
      element: 'ironRailing',
      material: 'mildSteel',
      rustGrade: 3,
      readings: [clear],
      layers: looked(failing),
      parts: [part('turned', 100, 'drillBrush', ['rustGel'])],
      workOrder: ['part-turned/rustGel', 'part-turned/drillBrush'],
    });
    expect(strokes(s, outside)).toEqual(['turned/drillBrush', 'turned/rustGel']);
    expect(rulesOf(planOf(s, outside).choice.sequence.moved)).toEqual(['order.rust']);
  });
  test('an order that the work leaves free is kept as entered', () => {
    const parts = [part('flat', 50, 'wetScrapeLoose'), part('moulded', 50, 'wetScrapeLoose')];
    const s = (workOrder: string[]) => aSurface({ layers: failing, readings: [clear], parts, workOrder });
    const other = ['part-flat/wetScrapeLoose', 'part-moulded/wetScrapeLoose'];
    expect(strokes(s(other))).toEqual(['flat/wetScrapeLoose', 'moulded/wetScrapeLoose']);
    expect(strokes(s([...other].reverse()))).toEqual(['moulded/wetScrapeLoose', 'flat/wetScrapeLoose']);
    expect(planOf(s(other)).choice.sequence.moved).toEqual([]);
  });
  test('whatever is entered, the right order is the same set, and putting it right twice changes nothing', () => {
    const s = stair({
      parts: [part('flat', 40, 'hepaSand', ['washDegrease']), part('turned', 40, 'solventGel'), part('moulded', 20, 'infrared')],
    });
    const all = planOf(s)
      .choice.sequence.strokes.filter((x) => x.half !== 'coarse')
      .map((x) => `${x.partId}/${x.methodId}`);
    fc.assert(
      fc.property(fc.shuffledSubarray(all), (order) => {
        const once = strokes({ ...s, workOrder: order });
        expect([...once].sort()).toEqual([...strokes(s)].sort());
        const again = planOf({ ...s, workOrder: order })
          .choice.sequence.strokes.filter((x) => x.half !== 'coarse')
          .map((x) => `${x.partId}/${x.methodId}`);
        expect(planOf({ ...s, workOrder: again }).choice.sequence.moved).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });
  test('what reacts is kept apart: solvent and heat, bleach and acid', () => {
    const heat = stair({ parts: [part('turned', 50, 'solventGel'), part('flat', 50, 'infrared')] });
    expect(rulesOf(planOf({ ...heat, topcoat: 'waterborneEggshell' }).choice.sequence.apart)).toContain('order.noHeatOnSolvent');
    const iron = aSurface({
      element: 'ironRailing',
      material: 'mildSteel',
      rustGrade: 3,
      conditions: ['moldy'],
      readings: [clear],
      layers: failing,
      parts: [part('turned', 100, 'wetScrapeLoose', ['rustGel', 'moldBleach'])],
    });
    expect(rulesOf(planOf(iron, outside).choice.sequence.apart)).toContain('apart.bleachAcid');
    const washed = { ...iron, parts: [part('turned', 100, 'wetScrapeLoose', ['washDegrease', 'moldBleach'])] };
    expect(rulesOf(planOf(washed, outside).choice.sequence.apart)).toContain('apart.bleachAlcohol');
  });
  test('growth is cleaned first, by the firm’s school, whether anybody asked or not', () => {
    const s = aSurface({ element: 'ceiling', conditions: ['moldy'], layers: failing, readings: [clear] });
    expect(strokes(s)[0]).toBe('flat/moldWash');
    expect(strokes(s, { settings: { moldSchool: 'moldBleach' } })[0]).toBe('flat/moldBleach');
  });
});

// Common practice: soaked with oil or no layer left: no coating holds; three sound layers: keep; mixed: split at the joint.
describe('piece by piece', () => {
  const piece = (over: Partial<Board>): Board => ({ ...BLANK_BOARD, id: `b-${over.label ?? 1}`, label: '1', removedAt: null, ...over });
  test.each([
    [{ oilSoaked: 'yes', coats: 4, soundCoats: 4 }, 'replace'],
    [{ rotten: 'yes' }, 'replace'],
    [{ coats: 0, soundCoats: 0, oilSoaked: 'unknown' }, 'look'],
    [{ coats: 0, soundCoats: 0, oilSoaked: 'no' }, 'keep'],
    [{ coats: 3, soundCoats: 3, oilSoaked: 'no' }, 'keep'],
    [{ coats: 2, soundCoats: 2, oilSoaked: 'no' }, 'feather'],
    [{ coats: 4, soundCoats: 2, oilSoaked: 'no' }, 'feather'],
    [{ coats: 4, soundCoats: 2, mixed: true, oilSoaked: 'no' }, 'split'],
    [{ coats: 3, soundCoats: 0, oilSoaked: 'no' }, 'strip'],
    [{ coats: null }, 'look'],
  ] as const)('%j: %s', (over, says) => {
    expect(triage(piece(over)).value).toBe(says);
  });
  test('the counts add up, and what nobody looked at is counted too', () => {
    const t = triageOf(
      aSurface({ count: 5, boards: [piece({ label: '1', oilSoaked: 'yes' }), piece({ label: '2', coats: 3, soundCoats: 3 })] }),
    );
    expect([t.counts.replace, t.counts.keep, t.unseen]).toEqual([1, 1, 3]);
  });
});

describe('compared', () => {
  const s = aSurface({ aim: 'bareClear', readings: [clear], lengthM: 6, widthM: 1.2, element: 'siding' });
  const compared = compareMethods(aFacts(s, outside), s.id, DEFAULT_SETTINGS, THIS_YEAR);
  test('each alternative is what the plan would cost with it chosen', () => {
    expect(compared.open.length).toBeGreaterThan(4);
    for (const o of compared.open.slice(0, 5)) {
      const chosen = planOf(
        {
          ...s,
          parts: s.parts.map((p) =>
            o.on.includes(p.kind) ? { ...p, methodId: o.methodId } : { ...p, methodId: o.beside.find((b) => b.part === p.kind)!.methodId },
          ),
        },
        outside,
      );
      expect(chosen.money.low).toBeCloseTo(o.money.low, 6);
      expect(chosen.money.high).toBeCloseTo(o.money.high, 6);
    }
  });
  test('marked is exactly what nothing beats on both cost and harm', () => {
    const mid = (o: (typeof compared.open)[number]) => (o.money.low + o.money.high) / 2;
    // To leave undone what has to be done is no bargain: it is neither marked nor does it beat anything.
    const undone = (x: (typeof compared.open)[number]) => rulesOf(x.because).includes('fit.leaveUndone');
    for (const o of compared.open) {
      const beaten =
        undone(o) || compared.open.some((x) => !undone(x) && mid(x) <= mid(o) && x.harm <= o.harm && (mid(x) < mid(o) || x.harm < o.harm));
      expect(o.dominated).toBe(beaten);
    }
    expect(compared.open.some((o) => !o.dominated)).toBe(true);
  });
  test('leave, overcoat, seal, replace and cover are always told of, allowed or with why not', () => {
    const told = [...compared.open.map((o) => o.methodId), ...compared.blocked.filter((b) => b.because.length > 0).map((b) => b.methodId)];
    expect(told).toEqual(expect.arrayContaining(['leave', 'overcoat', 'encapsulate', 'replacePart', 'cover']));
  });
  test('what if: slower, dearer, longer never makes it cheaper or quicker; a rate does more than a price', () => {
    const cases = sensitivity(aFacts(s, outside), s.id, 'solventGel', DEFAULT_SETTINGS, THIS_YEAR);
    expect(cases.map((c) => c.what)).toEqual(['rate', 'materials', 'labour', 'dwell']);
    for (const c of cases) {
      expect(c.moneyThen).toBeGreaterThanOrEqual(c.money - 1e-9);
      expect(c.daysThen).toBeGreaterThanOrEqual(c.days - 1e-9);
    }
  });
  test('what if, on a surface with a measured square: a quarter more for materials is a quarter more, and no rate is asked about', () => {
    const square = aSquare({
      id: 'sq-1',
      methodId: 'solventGel',
      dwellMin: 60,
      lifted: 'bare',
      surfaceC: 20,
      sizeCm2: 400,
      usedMl: 60,
      workMin: 6,
    });
    const tried = { ...s, squares: [square], parts: s.parts.map((p) => ({ ...p, methodId: 'solventGel' as const })) };
    const cases = sensitivity(aFacts(tried, outside), s.id, 'solventGel', DEFAULT_SETTINGS, THIS_YEAR);
    expect(cases.map((c) => c.what)).toEqual(['materials', 'labour']);
    const parts = planOf(tried, outside).choice.parts;
    const materials = parts.reduce((sum, p) => {
      const m = p.options.find((o) => o.methodId === 'solventGel')!.perM2.materials;
      return sum + ((m.low + m.high) / 2) * p.areaM2;
    }, 0);
    expect(cases[0]!.moneyThen - cases[0]!.money).toBeCloseTo(materials * 0.25, 6);
  });
  // Common practice: ready-made caustic costs about fifteen times the firm's own mix; infrared needs no rinse and counts both people.
  test('own caustic, ready-made, infrared on one area', () => {
    const [own, ready, infrared] = compareStrippers(10, DEFAULT_SETTINGS);
    const product = (l: typeof own) => l!.product.high - 10 * (1.2 * GOODS.coverFilm.price! + 0.6 * GOODS.neutraliser.price!);
    expect(product(ready) / product(own)).toBeCloseTo(15, 6);
    expect(infrared!.rinse.high).toBe(0);
    expect(infrared!.labourHours.low).toBeCloseTo(10 / methodById('infrared').rate.highM2PerH + methodById('infrared').setUpH.low, 6);
    expect(own!.risks).toContain('caustic');
  });
  test('height costs: the same wall from a scaffold takes longer', () => {
    const hours = (accessM: number) =>
      planOf(s, { space: { kind: 'elevation', accessM } }).choice.parts[0]!.options.find((o) => o.methodId === 'wetScrapeBare')!.perM2
        .personHours.low;
    expect([hours(0), hours(3), hours(6)].map((h) => h / hours(0))).toEqual([1, 1.2, 1.35].map((x) => expect.closeTo(x, 9)));
  });
});
