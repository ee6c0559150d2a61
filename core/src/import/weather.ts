/** Weather by the hour from a file: a table with its times, or a year in EPW, the open format of building simulation. */
import { ok, wrong, type Outcome } from '../facts/problems';
import { HOUR_MS, type Weather } from '../weather/weather';
import { readNumber, type Table } from './table';

export interface ReadWeather {
  readonly weather: Weather;
  /** What was bridged or left out, told to whoever brought the file. */
  readonly notes: readonly string[];
}
/** What is asked for beside the columns: where it was measured, and how far its clock is ahead of UTC. */
export interface WeatherPlace {
  readonly latitude: number;
  readonly longitude: number;
  readonly offsetH: number;
}
/** A gap up to here is bridged by a straight line, h. Common practice, no published source. */
const LONGEST_GAP_H = 3;
const MOST_HOURS = 9000;
const FIRST_YEAR = 1900;
const LAST_YEAR = 2199;

const stampOf = (text: string, offsetH: number): number => {
  const m = /^(\d{4})-(\d{2})-(\d{2})[ T](\d{1,2}):(\d{2})(?::\d{2})?\s*(Z|[+-]\d{2}:?\d{2})?$/.exec(text.trim());
  if (!m) return NaN;
  // The years before 100 would be taken for those of the last century.
  if (!(Number(m[1]) >= FIRST_YEAR && Number(m[1]) <= LAST_YEAR)) return NaN;
  const at = Date.UTC(Number(m[1]), Number(m[2]) - 1, Number(m[3]), Number(m[4]), Number(m[5]));
  if (m[6] === undefined) return at - offsetH * HOUR_MS;
  if (m[6] === 'Z') return at;
  const [sign, hours, minutes] = [m[6][0] === '-' ? -1 : 1, Number(m[6].slice(1, 3)), Number(m[6].slice(-2))];
  return at - sign * (hours + minutes / 60) * HOUR_MS;
};

/** A column that may be there: its cells, or what stands in for it. */
interface Column {
  readonly is: (header: string) => boolean;
  readonly name: string;
  readonly least: number;
  readonly most: number;
  /** Stands where the file has no such column; null: it must have one. */
  readonly usual: number | null;
  readonly read: (value: number, header: string) => number;
}
const isFahrenheit = (header: string) => /°?f\b|fahrenheit/i.test(header.replace(/^.*?temp\w*/i, ''));
const COLUMNS = {
  tempC: {
    is: (h) => /temp/i.test(h),
    name: 'temperature',
    least: -60,
    most: 55,
    usual: null,
    read: (v, h) => (isFahrenheit(h) ? ((v - 32) * 5) / 9 : v),
  },
  rhPct: { is: (h) => /humid|\brh\b/i.test(h), name: 'humidity', least: 0, most: 105, usual: null, read: (v) => Math.min(100, v) },
  windMS: {
    is: (h) => /wind/i.test(h) && !/dir/i.test(h),
    name: 'wind',
    least: 0,
    most: 60,
    usual: 2,
    read: (v, h) => (/mph/i.test(h) ? v * 0.44704 : /km/i.test(h) ? v / 3.6 : /kn/i.test(h) ? v * 0.514444 : v),
  },
  cloud: {
    is: (h) => /cloud|cover/i.test(h),
    name: 'cloud',
    least: 0,
    most: 100,
    usual: 0.5,
    read: (v, h) => (/%|pct|per ?cent/i.test(h) || v > 10 ? v / 100 : /okt/i.test(h) ? v / 8 : /tenth/i.test(h) ? v / 10 : v),
  },
  rainMm: {
    is: (h) => /rain|precip/i.test(h),
    name: 'rain',
    least: 0,
    most: 200,
    usual: 0,
    read: (v, h) => (/\bin\b|inch/i.test(h) ? v * 25.4 : v),
  },
} as const satisfies Record<string, Column>;
type Field = keyof typeof COLUMNS;
const FIELDS = Object.keys(COLUMNS) as Field[];

/**
 * @returns an unbroken row of hours; an hour that is there twice (the clock went back) is taken once, one that is missing (it went
 * forward, or the station slept) is bridged, and both are told
 * Errors, with their line: no such column, no time that can be read, a value out of reach, Fahrenheit under a Celsius name, a long gap
 */
export function readWeather(table: Table, place: WeatherPlace, name: string): Outcome<ReadWeather> {
  const when = table.headers.findIndex((h) => /time|date|when/i.test(h));
  if (when < 0) return wrong({ path: '(file)', message: 'no column is named time or date' });
  const at = {} as Record<Field, number>;
  for (const f of FIELDS) {
    at[f] = table.headers.findIndex((h) => COLUMNS[f].is(h));
    if (at[f] < 0 && COLUMNS[f].usual === null) return wrong({ path: '(file)', message: `no column is named ${COLUMNS[f].name}` });
  }
  const hours = new Map<number, Record<Field, number>>();
  const notes: string[] = [];
  let hot = 0;
  for (const { line, cells } of table.rows) {
    const ms = stampOf(cells[when] ?? '', place.offsetH);
    if (Number.isNaN(ms)) return wrong({ path: `line ${line}`, message: 'a time is written as 2026-11-03 14:00' });
    const hour = Math.floor(ms / HOUR_MS);
    const values = {} as Record<Field, number>;
    let whole = true;
    for (const f of FIELDS) {
      const c: Column = COLUMNS[f];
      const text = at[f] < 0 ? '' : (cells[at[f]] ?? '').trim();
      if (text === '' && c.usual !== null) {
        values[f] = c.usual;
        continue;
      }
      if (text === '') {
        whole = false;
        continue;
      }
      const read = readNumber(text);
      if (!read) return wrong({ path: `line ${line}`, message: `“${text}” is no ${c.name}` });
      const value = c.read(read.value, table.headers[at[f]]!);
      if (f === 'tempC' && value > c.most)
        return wrong({
          path: `line ${line}`,
          message: `${read.value} is no outdoor temperature in C: is the column in Fahrenheit? Name it temperature (F)`,
        });
      if (value < c.least || value > c.most)
        return wrong({ path: `line ${line}`, message: `${read.value} is no ${c.name} that can be: check the unit` });
      values[f] = value;
    }
    if (!whole) continue;
    if (values.tempC > 40) hot += 1;
    if (hours.has(hour)) notes.push(`line ${line}: this hour was there before and is taken once.`);
    else hours.set(hour, values);
  }
  if (hours.size < 24) return wrong({ path: '(file)', message: `holds ${hours.size} hours: at least a day is needed` });
  // Mild days in Fahrenheit pass for desert noons: a whole file of them does not.
  if (hot > hours.size / 2)
    return wrong({ path: '(file)', message: 'half of its hours are above 40 C: is the column in Fahrenheit? Name it temperature (F)' });
  const known = [...hours.keys()].sort((a, b) => a - b);
  const [first, last] = [known[0]!, known.at(-1)!];
  const n = last - first + 1;
  if (n > MOST_HOURS) return wrong({ path: '(file)', message: `reaches over ${n} hours: check its times` });
  const series = Object.fromEntries(FIELDS.map((f) => [f, new Float64Array(n)])) as Record<Field, Float64Array>;
  for (let k = 0; k < known.length; k += 1) {
    const [hour, next] = [known[k]!, known[k + 1]];
    for (const f of FIELDS) series[f][hour - first] = hours.get(hour)![f];
    if (next === undefined || next === hour + 1) continue;
    const gap = next - hour - 1;
    if (gap > LONGEST_GAP_H) return wrong({ path: '(file)', message: `${gap} hours are missing after ${told(hour, place)}` });
    notes.push(`${gap === 1 ? 'an hour is' : `${gap} hours are`} missing after ${told(hour, place)}: bridged.`);
    for (let g = 1; g <= gap; g += 1)
      for (const f of FIELDS)
        series[f][hour + g - first] = hours.get(hour)![f] + ((hours.get(next)![f] - hours.get(hour)![f]) * g) / (gap + 1);
  }
  return ok({
    weather: { startMs: first * HOUR_MS, latitude: place.latitude, longitude: place.longitude, ...series, simulated: false, name },
    notes,
  });
}
const told = (hour: number, { offsetH }: WeatherPlace): string =>
  new Date((hour + offsetH) * HOUR_MS).toISOString().slice(0, 16).replace('T', ' ');

const EPW_HEAD = 8;
const YEAR_H = 8760;

/**
 * A year in EPW: eight lines of heading, then 8,760 hours. Its months may come from different years: they are taken as one.
 * @param year in which it is laid
 * Errors: no heading, a place that is none, cut short, an hour that does not fit
 */
export function readEpw(text: string, year: number, name: string): Outcome<ReadWeather> {
  const lines = text.split(/\r?\n/);
  const place = (lines[0] ?? '').split(',');
  if (place[0] !== 'LOCATION') return wrong({ path: 'line 1', message: 'an EPW file begins with LOCATION' });
  const [latitude, longitude, offsetH] = [6, 7, 8].map((i) => Number(place[i]));
  if (!(Math.abs(latitude!) <= 90) || !(Math.abs(longitude!) <= 180) || !(Math.abs(offsetH!) <= 14))
    return wrong({ path: 'line 1', message: 'latitude, longitude or time zone cannot be read' });
  const rows = lines.slice(EPW_HEAD).filter((l) => l.trim() !== '');
  if (rows.length < YEAR_H) return wrong({ path: '(file)', message: `is cut short: it holds ${rows.length} of ${YEAR_H} hours` });
  const series = Object.fromEntries(FIELDS.map((f) => [f, new Float64Array(YEAR_H)])) as Record<Field, Float64Array>;
  const notes: string[] = [];
  let blank = 0;
  for (let h = 0; h < YEAR_H; h += 1) {
    const cells = rows[h]!.split(',');
    const line = h + EPW_HEAD + 1;
    const number = (i: number) => Number(cells[i]);
    const [c, rh, wind, sky, rain] = [number(6), number(8), number(21), number(22), number(33)];
    // 99.9 and 999 say: not measured.
    if (!(c! > -70 && c! < 70) || !(rh! >= 0 && rh! <= 110))
      return wrong({ path: `line ${line}`, message: 'temperature or humidity is missing or out of reach' });
    series.tempC[h] = c!;
    series.rhPct[h] = Math.min(100, rh!);
    series.windMS[h] = wind! >= 0 && wind! <= 40 ? wind! : COLUMNS.windMS.usual;
    series.cloud[h] = sky! >= 0 && sky! <= 10 ? sky! / 10 : COLUMNS.cloud.usual;
    const measured = rain! >= 0 && rain! < 999;
    if (!measured) blank += 1;
    series.rainMm[h] = measured ? rain! : 0;
  }
  if (rows.length > YEAR_H) notes.push(`${rows.length - YEAR_H} hours beyond a year were left out.`);
  if (blank > 0) notes.push(`rain is not told for ${blank} hours: taken as dry, so look at the sky.`);
  return ok({
    weather: {
      startMs: Date.UTC(year, 0, 1) - offsetH! * HOUR_MS,
      latitude: latitude!,
      longitude: longitude!,
      ...series,
      simulated: false,
      name,
    },
    notes,
  });
}
