/** Sun, face, room and files of weather. */
import fc from 'fast-check';
import { getPosition } from 'suncalc';
import { readEpw, readTable, readWeather, type ReadWeather } from '../import';
import type { Outcome } from '../facts/problems';
import { saturationPa, vapourGM3 } from '../moist';
import { FACING, faceSeries, sunOn, type Side } from './face';
import { specsFor } from '../coat';
import { clockHour, insideHours, outsideHours, summerH, USUAL_HOURS } from './forecast';
import { bareMostH, outlookOf, type CoatedFace } from './outlook';
import { roomSeries } from './room';
import { REGION_IDS, simulatedWeather } from './simulated';
import { HOUR_MS, type Weather } from './weather';

const MAY = Date.UTC(2026, 4, 4);
const weather = (over: Partial<Weather> = {}, hours = 48): Weather => ({
  startMs: MAY,
  latitude: 45,
  longitude: 0,
  tempC: new Float64Array(hours).fill(15),
  rhPct: new Float64Array(hours).fill(60),
  windMS: new Float64Array(hours).fill(2),
  cloud: new Float64Array(hours),
  rainMm: new Float64Array(hours),
  simulated: false,
  name: '',
  ...over,
});
const side = (over: Partial<Side> = {}): Side => ({ facing: 's', shade: 'mid', body: 'thin', shaded: [], ...over });
const noon = (w: Weather, s: Side) => faceSeries(w, s)[12]!;

// Published with the package, 5 March 2013, 0:00 UTC, 50.5 N 30.5 E: altitude -0.7000 rad, azimuth -2.5003 rad from south; this version
// lifts what lies below the horizon by the refraction there. At noon on 4 May at 45 N the sun stands at 90 - 45 + 16.0 degrees: almanac, from memory.
test('the sun stands where the package’s own tests put it', () => {
  const p = getPosition(new Date('2013-03-05T00:00:00Z'), 50.5, 30.5);
  expect(Math.abs(p.altitude - (-0.7000406838781611 * 180) / Math.PI)).toBeLessThan(0.7);
  expect(getPosition(new Date(MAY + 12 * HOUR_MS), 45, 0).altitude).toBeCloseTo(61, 0);
  expect(p.azimuth).toBeCloseTo(180 + (-2.5003175907168385 * 180) / Math.PI, 0);
});

test('morning sun lies on the east, noon on the south, evening on the west, none on the north; cloud and night take it', () => {
  const on = (hour: number, facing: keyof typeof FACING, cloud = 0) => sunOn(MAY + hour * HOUR_MS, 45, 0, FACING[facing], cloud).faceW;
  const strongest = (hour: number) => (['n', 'e', 's', 'w'] as const).reduce((a, b) => (on(hour, b) > on(hour, a) ? b : a));
  expect([strongest(8), strongest(12), strongest(16)]).toEqual(['e', 's', 'w']);
  expect(on(12, 'n')).toBeLessThan(0.5 * on(12, 's'));
  expect(on(12, 's', 1)).toBeLessThan(0.4 * on(12, 's'));
  expect(on(0, 's')).toBe(0);
  // Haurwitz at 61 degrees of height: 1098 sin a exp(-0.057 / sin a) = 900 W/m2.
  expect(sunOn(MAY + 12 * HOUR_MS, 45, 0, 180, 0).levelW).toBeCloseTo(900, -1.5);
});

test('the face: darker is hotter, wind cools it, shade keeps it cool, a clear night makes it colder than the air, masonry lags', () => {
  const w = weather();
  expect(noon(w, side({ shade: 'dark' }))).toBeGreaterThan(noon(w, side()) + 5);
  expect(noon(weather({ windMS: new Float64Array(48).fill(8) }), side())).toBeLessThan(noon(w, side()));
  expect(noon(w, side({ shaded: [[8, 15]] }))).toBeLessThan(noon(w, side()) - 5);
  expect(faceSeries(w, side())[2]!).toBeLessThan(15);
  expect(faceSeries(weather({ cloud: new Float64Array(48).fill(1) }), side())[2]!).toBeGreaterThan(faceSeries(w, side())[2]!);
  const hottest = (body: Side['body']) => {
    const s = [...faceSeries(w, side({ body }))].slice(24);
    return s.indexOf(Math.max(...s));
  };
  expect(hottest('masonry')).toBeGreaterThan(hottest('thin'));
  // Polar night: no sun on any side, no light to work by.
  const night = weather({ latitude: 78, startMs: Date.UTC(2026, 11, 10) });
  expect([...outsideHours(night, side()).light].some((x) => x === 1)).toBe(false);
});

// Energy Policy Act of 2005: from the second Sunday of March to the first of November; directive 2000/84/EC: the last Sundays of March and October.
test.each([
  ['America/New_York', '2026-03-08T06:59:00Z', 0],
  ['America/New_York', '2026-03-08T07:00:00Z', 1],
  ['America/New_York', '2026-11-01T05:59:00Z', 1],
  ['America/New_York', '2026-11-01T06:00:00Z', 0],
  ['Europe/London', '2026-03-29T00:59:00Z', 0],
  ['Europe/London', '2026-03-29T01:00:00Z', 1],
  ['Australia/Sydney', '2026-01-10T00:00:00Z', 1],
  ['Australia/Sydney', '2026-07-10T00:00:00Z', 0],
  ['UTC', '2026-07-10T00:00:00Z', 0],
] as const)('daylight saving in %s at %s: %s h', (zone, at, h) => expect(summerH(Date.parse(at), zone)).toBe(h));
test('people work by the clock on the wall: seven in summer is an hour earlier by the sun', () => {
  const longitude = -74;
  expect(clockHour(Date.UTC(2026, 6, 1, 11), longitude, 'America/New_York')).toBe(7);
  expect(clockHour(Date.UTC(2026, 0, 10, 12), longitude, 'America/New_York')).toBe(7);
  const july = weather({ longitude, startMs: Date.UTC(2026, 6, 1) });
  const opens = (timeZone: string) =>
    insideHours(july, { heatedC: 20, airChangesH: 2, volumeM3: 40, waterGH: 0, driedGH: 0 }, 1, { ...USUAL_HOURS, timeZone }).hours.indexOf(
      1,
    );
  expect(opens('UTC') - opens('America/New_York')).toBe(1);
});

test('a room: its vapour is that of outdoors and of the work, airing carries it off, heat lowers the humidity', () => {
  const room = { heatedC: 20, airChangesH: 2, volumeM3: 40, waterGH: 0, driedGH: 0 };
  const last = (over: Partial<typeof room>) => roomSeries(weather(), { ...room, ...over }).rhPct[40]!;
  // By hand: outdoors 15 C 60 % holds 7.7 g/m3; at 20 C, where 17.3 would be full, that is 44.5 %; 400 g/h through 80 m3/h add 5 g/m3.
  const outside = vapourGM3((saturationPa(15) * 60) / 100, 15);
  const full = vapourGM3(saturationPa(20), 20);
  expect(last({})).toBeCloseTo((100 * outside) / full, 0);
  expect(last({ waterGH: 400 })).toBeCloseTo((100 * (outside + 5)) / full, 0);
  expect(last({ waterGH: 400, airChangesH: 6 })).toBeLessThan(last({ waterGH: 400 }));
  expect(last({ heatedC: 25 })).toBeLessThan(last({}));
  expect(insideHours(weather(), room, 0.5).faceC[40]).toBeCloseTo(17.5, 6);
  // Air that is full is full: what it cannot hold never shows as more than 100 %.
  fc.assert(
    fc.property(
      fc.record({
        heatedC: fc.option(fc.double({ min: -10, max: 35, noNaN: true })),
        airChangesH: fc.double({ min: 0.05, max: 30, noNaN: true }),
        volumeM3: fc.double({ min: 1, max: 1000, noNaN: true }),
        waterGH: fc.double({ min: 0, max: 5000, noNaN: true }),
        driedGH: fc.double({ min: 0, max: 5000, noNaN: true }),
      }),
      fc.constantFrom(...REGION_IDS),
      (any, region) => {
        const { rhPct } = roomSeries(simulatedWeather('room', region, MAY, 72), any);
        expect(rhPct.every((x) => x > 0 && x <= 100)).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});

test('invented weather is the same from its seed, plausible in every hour, and says that it is simulated', () => {
  for (const region of REGION_IDS) {
    const w = simulatedWeather('quill-point', region, MAY, 24 * 60);
    expect(w.simulated).toBe(true);
    expect(simulatedWeather('quill-point', region, MAY, 24 * 60)).toEqual(w);
    expect(simulatedWeather('other', region, MAY, 24 * 60).tempC).not.toEqual(w.tempC);
    for (let h = 0; h < 24 * 60; h += 1) {
      expect(w.rhPct[h]! > 3 && w.rhPct[h]! <= 100 && w.tempC[h]! > -40 && w.tempC[h]! < 48).toBe(true);
      expect(w.windMS[h]! > 0 && w.cloud[h]! >= 0 && w.cloud[h]! <= 1 && w.rainMm[h]! >= 0).toBe(true);
    }
    const wet = [...w.rainMm].filter((x) => x > 0).length;
    expect(wet).toBeGreaterThan(0);
    expect(wet).toBeLessThan(24 * 60 * 0.4);
  }
});

describe('the coming days of a side', () => {
  const place = {
    outside: { facing: 's' as const, shade: 'mid' as const, shaded: [] },
    room: { heatedC: 16, airChangesH: 2, volumeM3: 40, waterGH: 0, driedGH: 0 },
    fRsi: 0.7,
  };
  const face = (over: Partial<CoatedFace> = {}): CoatedFace => ({
    surfaceId: 'sill',
    name: 'Sill',
    material: 'softwood',
    specs: specsFor({ product: 'acrylicWood', way: 'brush', areaM2: 5, recoatH: { low: 4, high: 6 } }, 1),
    shade: null,
    bareMostH: bareMostH('softwood', 'bare'),
    ...over,
  });
  const look = (w: Weather, f: CoatedFace) => outlookOf(w, 'elevation', [f], place, USUAL_HOURS);
  const wet = weather({ rainMm: Float64Array.from({ length: 240 }, (_, h) => (h < 72 ? 1 : 0)) }, 240);

  // NPS Preservation Brief 10: primed within 48 hours of scraping.
  test('bare timber that rain keeps from its primer is named with its hours; what has a coat, or a dry week, is not', () => {
    expect(look(wet, face()).bareTooLong).toEqual([{ name: 'Sill', stoodH: expect.any(Number), mostH: 48 }]);
    expect(look(wet, face()).bareTooLong[0]!.stoodH).toBeGreaterThanOrEqual(72 - USUAL_HOURS.from);
    expect(look(wet, face({ bareMostH: bareMostH('softwood', 'coated') })).bareTooLong).toEqual([]);
    expect(look(weather({}, 240), face()).bareTooLong).toEqual([]);
    expect(bareMostH('brick', 'bare')).toBeNull();
  });
  test('a dark piece is barred by the heat of its own face, a white one beside it is not', () => {
    const hot = weather({ tempC: new Float64Array(240).fill(24), windMS: new Float64Array(240).fill(0.5) }, 240);
    const open = (shade: CoatedFace['shade']) => look(hot, face({ shade })).coats[0]!.windows.bands.face.reduce((s, x) => s + x, 0);
    expect(open('dark')).toBeLessThan(open('light'));
    expect(open(null)).toBe(open('mid'));
  });
});

describe('a file', () => {
  const place = { latitude: 45, longitude: 0, offsetH: -5 };
  const hour = (h: number) => `2026-05-${String(4 + Math.floor(h / 24)).padStart(2, '0')} ${String(h % 24).padStart(2, '0')}:00`;
  const csv = (rows: readonly string[], head = 'time,temperature (C),humidity,wind (mph),rain') => {
    const table = readTable(new TextEncoder().encode([head, ...rows].join('\n')));
    return table.ok ? readWeather(table.value, place, 'station') : (table as Outcome<ReadWeather>);
  };
  const rows = Array.from({ length: 40 }, (_, h) => `${hour(h)},${10 + (h % 5)},60,10,0`);
  const whole = (r: Outcome<ReadWeather>) => (r.ok ? r.value : null)!;
  const says = (r: Outcome<ReadWeather>) => (r.ok ? '' : `${r.problems[0]!.path}: ${r.problems[0]!.message}`);
  test('its hours, its units, its clock', () => {
    const { weather: w, notes } = whole(csv(rows));
    expect([w.tempC.length, w.startMs, w.windMS[0], notes.length]).toEqual([40, MAY + 5 * HOUR_MS, expect.closeTo(4.47, 2), 0]);
  });
  test('an hour doubled or missing as the clock changes is told, not lost', () => {
    const twice = whole(csv([...rows.slice(0, 5), rows[4]!, ...rows.slice(5)]));
    expect([twice.weather.tempC.length, twice.notes[0]]).toEqual([40, expect.stringMatching(/line 7: this hour was there before/)]);
    const gone = whole(csv(rows.filter((_, i) => i !== 6)));
    expect([gone.weather.tempC.length, gone.notes[0]]).toEqual([40, expect.stringMatching(/an hour is missing after 2026-05-04 05:00/)]);
    expect(gone.weather.tempC[6]).toBeCloseTo((10 + 12) / 2, 6);
  });
  test.each([
    ['Fahrenheit called Celsius', rows.map((r) => r.replace(/,1(\d),/, ',7$1,')), /line 2: .*is the column in Fahrenheit/],
    ['a cool day in Fahrenheit', rows.map((r) => r.replace(/,1(\d),/, ',4$1,')), /half of its hours are above 40/],
    ['a long gap', rows.filter((_, i) => i < 5 || i > 12), /8 hours are missing/],
    ['a word for a number', [rows[0]!.replace('60', 'damp'), ...rows.slice(1)], /line 2: “damp” is no humidity/],
    ['too short', rows.slice(0, 5), /at least a day/],
  ] as const)('%s is refused', (_, r, expected) => expect(says(csv(r))).toMatch(expected));
  const epw = (
    hours: number,
    line = (h: number) => `1990,1,1,${(h % 24) + 1},0,?,12.5,5,61,101300,0,0,0,0,0,0,0,0,0,0,180,3.2,5,5,9,9,9,9,9,9,9,9,9,0.4,1`,
  ) =>
    [
      'LOCATION,Invented,-,XX,none,0,41.5,-70.2,-5.0,12',
      ...Array.from({ length: 7 }, () => 'HEADING'),
      ...Array.from({ length: hours }, (_, h) => line(h)),
    ].join('\n');
  test('a year in EPW; cut short, or without its place, it is refused', () => {
    const { weather: w } = whole(readEpw(epw(8760), 2026, 'epw'));
    expect([w.latitude, w.tempC[100], w.windMS[100], w.cloud[100], w.rainMm[100]]).toEqual([41.5, 12.5, 3.2, 0.5, 0.4]);
    expect(w.startMs).toBe(Date.UTC(2026, 0, 1, 5));
    expect(says(readEpw(epw(5000), 2026, 'epw'))).toMatch(/cut short: it holds 5000 of 8760/);
    expect(says(readEpw(epw(8760).replace('41.5', 'north'), 2026, 'epw'))).toMatch(/line 1: latitude/);
    expect(says(readEpw('time,temp\n', 2026, 'epw'))).toMatch(/begins with LOCATION/);
  });
});
