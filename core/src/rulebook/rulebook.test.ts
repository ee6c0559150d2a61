import { SOURCES } from '../words';
import { convert } from '../units/units';
import { METHODS } from '../catalogue';
import { RULES } from '../choose';
import { DEFAULT_SETTINGS, EXPOSURE_CLASSES, FirmSettings, readSettings, RULEBOOKS, type Limit } from '.';

const { us, uk } = RULEBOOKS;
const shown = (l: Limit) => `${l.is.value} ${l.is.unit} ${l.source}`;

describe('limits as published, each in its own unit', () => {
  test.each([
    ['lead paint by loading', us.leadPaint!.loading, '1 mg/cm2 cfr24-35.110'],
    ['lead paint by mass', us.leadPaint!.byMass, '0.5 mass% cfr24-35.110'],
    ['lead paint in ppm', us.leadPaint!.ppm, '5000 ppm cfr24-35.110'],
    ['housing covered', us.leadPresumedBefore, '1978 year cfr40-745.80'],
    ['minor work in a room', us.minorWork!.insideRoom, '6 ft2 cfr40-745.83'],
    ['minor work outside', us.minorWork!.outside, '20 ft2 cfr40-745.83'],
    ['sheet inside', us.sheetBeyond.inside, '6 ft cfr40-745.85a2i'],
    ['sheet outside', us.sheetBeyond.outside, '10 ft cfr40-745.85a2ii'],
    ['openings', us.openingsClosedWithin, '20 ft cfr40-745.85a2ii'],
    ['hot air', us.hotAirBelow, '1100 F cfr40-745.85a3'],
    ['floor parts', us.floorSectionBelow, '40 ft2 cfr40-745.85b'],
    ['lead in the air', us.leadAir, '50 ug/m3 cfr29-1926.62c'],
    ['asbestos presumed', us.asbestosPresumedThrough, '1980 year cfr29-1926.1101'],
    // Control of Lead at Work Regulations 2002; CAR 2012: all uses banned from 24 November 1999.
    ['UK lead in the air', uk.leadAir, '0.15 mg/m3 clw2002'],
    ['UK asbestos', uk.asbestosPresumedThrough, '1999 year uk-asbestos'],
    // Common practice, no published source: infrared stays below 1000 F.
    ['infrared', us.infraredBelow, '1000 F trade-heat'],
    // HUD guidance, not law: 20 mph.
    ['wind', us.windStop, '20 mph hud-g'],
  ])('%s', (_what, limit, want) => expect(shown(limit)).toBe(want));

  test('5,000 ppm and 0.5 % are one limit written twice', () => {
    expect(convert(us.leadPaint!.ppm.is.value, 'ppm', 'mass%')).toBeCloseTo(us.leadPaint!.byMass.is.value, 12);
  });
});

/** Every limit of a rulebook, wherever in it: one that is added is looked at too. */
function limitsOf(value: unknown): Limit[] {
  if (typeof value !== 'object' || value === null) return [];
  if ('is' in value && 'source' in value) return [value as Limit];
  return Object.values(value).flatMap(limitsOf);
}

test('no rulebook leans on the other country’s rules, and UK limits are metric', () => {
  expect([limitsOf(us).length > 15, limitsOf(uk).length > 10]).toEqual([true, true]);
  for (const l of limitsOf(us)) expect(SOURCES[l.source].where).not.toBe('UK');
  for (const l of limitsOf(uk)) {
    expect(SOURCES[l.source].where).not.toBe('US');
    expect(['ft', 'ft2', 'F', 'mph']).not.toContain(l.is.unit);
  }
});

test('respirators stand from the least protection to the most, with their published factors', () => {
  for (const b of [us, uk]) expect(b.respirators.map((r) => r.apf)).toEqual([...b.respirators.map((r) => r.apf)].sort((a, c) => a - c));
  // 29 CFR 1910.134 table 1; HSE HSG53.
  expect(Object.fromEntries(us.respirators.map((r) => [r.id, r.apf]))).toEqual({
    halfMask: 10,
    poweredHood: 25,
    fullFace: 50,
    airline: 1000,
  });
  expect(uk.respirators.find((r) => r.id === 'ffp3')!.apf).toBe(20);
  expect(uk.respirators.find((r) => r.id === 'fullP3')!.apf).toBe(40);
});

describe('presumed exposure, 29 CFR 1926.62(d)(2)', () => {
  const of = (id: string) => METHODS.find((m) => m.id === id)!.exposure;
  // (i) manual scraping and sanding, heat gun, power tools with dust collection; (iii) power tools without; (iv) blasting, torch burning.
  test.each([
    ['wetScrapeLoose', 'class1'],
    ['dryScrapeLoose', 'class1'],
    ['drySand', 'class1'],
    ['heatGun', 'class1'],
    ['hepaSand', 'class1'],
    ['powerSand', 'class2'],
    ['softBlast', 'class3'],
    ['hardBlast', 'class3'],
    ['torch', 'class3'],
  ])('%s is %s', (id, want) => {
    expect(of(id)).toBe(want);
  });
  test('what is not listed but disturbs the coat counts as the first class until measured', () => {
    for (const m of METHODS) if (m.disturbs) expect(m.exposure).not.toBe('none');
    for (const m of METHODS) if (!m.disturbs) expect(m.exposure).toBe('none');
  });
  test('the classes end at 500 and 2,500 ug/m3; the last has no end', () => {
    expect([EXPOSURE_CLASSES.class1.upperUgM3, EXPOSURE_CLASSES.class2.upperUgM3, EXPOSURE_CLASSES.class3.upperUgM3]).toEqual([
      500,
      2500,
      null,
    ]);
  });
});

test('what binds by law names a published source', () => {
  for (const r of RULES) if (r.force === 'law') expect([r.id, SOURCES[r.source].kind]).toEqual([r.id, 'pub']);
});

describe('firm settings', () => {
  test('the defaults fit, and no school is on by default that fumes lead', () => {
    expect(FirmSettings.parse(DEFAULT_SETTINGS)).toEqual(DEFAULT_SETTINGS);
    // What an older phone kept is read, without what stands elsewhere now.
    expect(readSettings({ ...DEFAULT_SETTINGS, ownsHepaSander: true }).data).toEqual(DEFAULT_SETTINGS);
    expect(DEFAULT_SETTINGS.allowHotAirOnLead).toBe(false);
  });
  test.each([
    ['a negative price', { labourPerHour: -1 }, 'a price cannot be negative'],
    ['a rate of nothing', { rates: { wetSand: { lowM2PerH: 0, highM2PerH: 1 } } }, 'a rate must be more than 0'],
    ['rates the wrong way round', { rates: { wetSand: { lowM2PerH: 3, highM2PerH: 1 } } }, 'the slow rate is above the fast one'],
  ])('%s is refused', (_what, over, message) => {
    const r = FirmSettings.safeParse({ ...DEFAULT_SETTINGS, ...over });
    expect(r.success ? '' : r.error.issues.map((i) => i.message).join()).toContain(message);
  });
  test('a rate for a method that does not exist is refused', () => {
    expect(FirmSettings.safeParse({ ...DEFAULT_SETTINGS, rates: { chisel: { lowM2PerH: 1, highM2PerH: 2 } } }).success).toBe(false);
  });
});
