/** A coat that may hold asbestos, worked by those of the firm who are trained for it: what their training and the class allow, and no more. */
import { noticesOf } from '../calendar';
import { createDeriver } from '../job/derive';
import type { MethodId, Surface } from '../facts';
import { DEFAULT_SETTINGS, type FirmSettings } from '../rulebook';
import { aFacts, aLayer, aPart, aSurface, THIS_YEAR } from '../testing';
import { convert } from '../units/units';
import { wasteOf } from '../waste';
import { licensedNeeds, zoneSigns } from '../zone-day';
import { bookOf } from '../rulebook';

const FT2 = convert(1, 'ft2', 'm2');
const trained = (until: string | null): Partial<FirmSettings> => ({
  people: [
    {
      id: 'ada',
      name: 'Ada',
      certificates: [
        { kind: 'renovator', number: 'R-1', until: null },
        { kind: 'asbestosTrained', number: 'A-1', until },
      ],
      fitTests: [],
      training: [],
      removedAt: null,
    },
  ],
});
interface Asked {
  readonly method?: MethodId;
  readonly areaM2?: number;
  readonly rulebook?: 'us' | 'uk';
  readonly until?: string | null;
  readonly over?: Partial<Surface>;
}
/** A textured ceiling that fails, from after lead and before the end of asbestos, on a job that begins on 4 May 2026. */
function worked({ method = 'wetScrapeLoose', areaM2 = 10 * FT2, rulebook = 'us', until = '2026-05-04', over = {} }: Asked) {
  const yearMade = rulebook === 'uk' ? 1994 : 1979;
  const ceiling = aSurface({
    element: 'ceiling',
    material: 'concrete',
    yearMade,
    lengthM: areaM2,
    widthM: 1,
    readings: [],
    layers: [aLayer(0, { binder: 'textured', soundness: 'failing' })],
    parts: [aPart('flat', method)],
    ...over,
  });
  const settings = { ...DEFAULT_SETTINGS, ...trained(until) };
  const facts = aFacts(ceiling, {
    job: { yearBuilt: yearMade, rulebook, startOn: '2026-05-04' },
    space: { lengthM: 5, widthM: 4, heightM: 2.5 },
  });
  const plan = createDeriver().derive(facts, settings, THIS_YEAR);
  const [surface] = plan.surfaces;
  const part = surface!.choice.parts[0]!;
  return {
    facts,
    settings,
    plan,
    zone: plan.zones[0]!,
    surface: surface!,
    picked: part.selected.value,
    of: part.options.find((o) => o.methodId === method)!,
  };
}

// 29 CFR 1926.1101(b), (k)(9): class III, no more than one bag, by trained people. CAR 2012 reg. 3: textured coatings take no licence. The 10 ft2: from memory.
test.each([
  ['trained to the day, ten square feet', {}, 'care'],
  ['a day too late', { until: '2026-05-03' }, 'blocked'],
  ['nobody said until when', { until: null }, 'blocked'],
  ['more than a bag', { areaM2: 10.1 * FT2 }, 'blocked'],
  ['UK: no such bound', { areaM2: 12, rulebook: 'uk' }, 'care'],
  ['UK: not trained any more', { rulebook: 'uk', until: '2026-05-03' }, 'blocked'],
  ['dry, by hand', { method: 'drySand' }, 'blocked'],
  ['a machine, with its vacuum', { method: 'hepaSand', over: { material: 'softwood' } }, 'blocked'],
  ['heat', { method: 'heatGun', over: { material: 'softwood' } }, 'blocked'],
  ['out with the piece', { method: 'replacePart' }, 'blocked'],
  ['pipe lagging', { rulebook: 'uk', over: { element: 'pipeLagging' } }, 'blocked'],
] as const)('%s', (_what, asked: Asked, verdict) => {
  const { of } = worked(asked);
  expect(of.verdict).toBe(verdict);
  if (verdict === 'blocked') expect(of.canInsist).toBe(false);
});

test('two small repairs in one room are one', () => {
  const { facts, settings, of } = worked({ areaM2: 6 * FT2 });
  expect(of.verdict).toBe('care');
  const [first] = facts.surfaces;
  const two = {
    ...facts,
    surfaces: [first!, { ...first!, id: 'second', name: 'Second', parts: first!.parts.map((p) => ({ ...p, id: 'second-part' })) }],
  };
  const verdicts = createDeriver()
    .derive(two, settings, THIS_YEAR)
    .surfaces.map((s) => s.choice.parts[0]!.options.find((o) => o.methodId === 'wetScrapeLoose')!.verdict);
  expect(verdicts).toEqual(['blocked', 'blocked']);
});

test('what is sealed off part by part counts only by what is worked of it; nothing of it is a default', () => {
  const parts = [aPart('flat', 'wetScrapeLoose', { id: 'small', sharePct: 10 }), aPart('flat', 'leave', { id: 'rest', sharePct: 90 })];
  expect(worked({ areaM2: 100 * FT2, over: { parts } }).of.verdict).toBe('care');
  expect(worked({ over: { parts: [aPart('flat', null)] } }).picked).not.toBe('wetScrapeLoose');
});

test.each(['us', 'uk'] as const)('%s: the whole zone is set up for it, and every paper says the same', (rulebook) => {
  const { facts, settings, plan, zone, surface, picked } = worked({ rulebook });
  expect(picked).toBe('wetScrapeLoose');
  // Whoever works it as asbestos is not sent to have it sampled first.
  expect(surface.next.act).toBe('protect');
  const { protection: p } = zone;
  expect([p.care, p.fibres, p.openings.value, p.respirator.value]).toEqual([
    'asbestos',
    true,
    'closeAndSeal',
    rulebook === 'uk' ? 'ffp3' : 'halfMask',
  ]);
  expect(p.kit.map((k) => k.value)).toEqual(
    expect.arrayContaining(['coverall', 'bootCovers', rulebook === 'uk' ? 'asbestosVacuum' : 'hepaVacuum']),
  );
  const gates = zone.steps.flatMap((st) => st.gates.map((g) => g.id));
  expect(gates).toEqual(expect.arrayContaining(['containment-up', 'fibres-ready', 'fibres-gone', 'released']));
  // It is no lead work, and nobody is told to keep out of what they work.
  expect(gates).not.toContain('verified');
  const signs = zoneSigns(zone, bookOf(facts.job)).filter((s) => s.about === 'asbestos');
  expect(signs.map((s) => [s.en[0], s.fixed])).toEqual([['DANGER', rulebook === 'us']]);
  const waste = wasteOf(facts, plan, settings);
  expect(waste.find((w) => w.stream === 'suspectAsbestos')!.kg.high).toBeGreaterThan(1);
  expect(waste.map((w) => w.stream)).not.toEqual(expect.arrayContaining(['sheetAndChips']));
  expect(waste.map((w) => w.stream)).not.toEqual(expect.arrayContaining(['clean']));
  const suspects = plan.surfaces.map((s) => ({ surfaceId: s.surfaceId, asbestos: s.asbestos.overall.value, areaM2: s.area.totalM2 }));
  expect(licensedNeeds(zone, plan.zones, suspects, facts)).toEqual([]);
  const told = noticesOf({ facts, lead: false, asbestosOut: false, asbestosOwn: true, today: '2026-04-01' }).map((n) => n.id);
  expect(told.includes('ukNotifiable')).toBe(rulebook === 'uk');
  expect(told).not.toContain('ukLicensed');
});
