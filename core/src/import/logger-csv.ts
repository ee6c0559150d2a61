/** What a logger hung in a room recorded: a table with a time, a temperature and a humidity, at any interval up to an hour. */
import { ok, wrong, type Outcome } from '../facts/problems';
import type { Logger } from '../moist';
import { readNumber, type Table } from './table';

const HOUR_MS = 3_600_000;
/** Fewer hours say little of a room; so many without a value say nothing. Common practice, no published source. */
const LEAST_HOURS = 72;
const MOST_MISSING = 0.25;
const MOST_HOURS = 20_000;

const timeOf = (text: string): number => {
  // A date with its time, with a blank or a T between them; what has no zone is the room's own clock.
  const m = /^(\d{4})-(\d{2})-(\d{2})[ T](\d{1,2}):(\d{2})(?::(\d{2}))?/.exec(text.trim());
  return m ? Date.UTC(Number(m[1]), Number(m[2]) - 1, Number(m[3]), Number(m[4]), Number(m[5]), Number(m[6] ?? 0)) : NaN;
};

/**
 * @param room the name of the room: a file that names another one is refused
 * @returns hourly means; an hour without a value is NaN
 * Errors: no such column; no time that can be read; humidity over 100 %; too short, too many gaps; another room
 */
export function readLogger(table: Table, room: string): Outcome<Logger> {
  const find = (pattern: RegExp) => table.headers.findIndex((h) => pattern.test(h));
  const [t, rh, when, place] = [find(/temp|°c|°f|\bt\b/i), find(/humid|rh/i), find(/time|date|when/i), find(/room|place|zone|location/i)];
  if (when < 0) return wrong({ path: '(file)', message: 'no column is named time or date' });
  if (t < 0) return wrong({ path: '(file)', message: 'no column is named temperature' });
  if (rh < 0) return wrong({ path: '(file)', message: 'no column is named humidity or RH' });
  const fahrenheit = /f\b|fahrenheit/i.test(table.headers[t]!.replace(/^.*?temp\w*/i, ''));
  const seen: { readonly at: number; readonly c: number; readonly rh: number }[] = [];
  for (const { line, cells } of table.rows) {
    const other = place < 0 ? '' : (cells[place] ?? '').trim();
    if (other !== '' && other.toLowerCase() !== room.trim().toLowerCase())
      return wrong({ path: `line ${line}`, message: `hung in “${other}”: this is ${room}` });
    if ((cells[t] ?? '') === '' || (cells[rh] ?? '') === '') continue;
    const at = timeOf(cells[when] ?? '');
    if (Number.isNaN(at)) return wrong({ path: `line ${line}`, message: 'a time is written as 2026-11-03 14:00' });
    const [a, b] = [readNumber(cells[t]!), readNumber(cells[rh]!)];
    if (!a || !b) return wrong({ path: `line ${line}`, message: 'temperature and humidity are numbers' });
    const c = fahrenheit ? ((a.value - 32) * 5) / 9 : a.value;
    if (c < -30 || c > 60) return wrong({ path: `line ${line}`, message: `${a.value} is no temperature of a room in C: check the unit` });
    if (b.value < 0 || b.value > 100) return wrong({ path: `line ${line}`, message: `${b.value} % is no humidity: 0 to 100 %` });
    seen.push({ at, c, rh: b.value });
  }
  if (seen.length === 0) return wrong({ path: '(file)', message: 'holds no hour with a temperature and a humidity' });
  seen.sort((x, y) => x.at - y.at);
  const first = Math.floor(seen[0]!.at / HOUR_MS);
  const n = Math.floor(seen.at(-1)!.at / HOUR_MS) - first + 1;
  if (n < LEAST_HOURS) return wrong({ path: '(file)', message: `holds ${n} hours: at least ${LEAST_HOURS} are needed, a week is best` });
  if (n > MOST_HOURS) return wrong({ path: '(file)', message: `reaches over ${n} hours: check its times` });
  const tempC = new Float64Array(n);
  const rhPct = new Float64Array(n);
  const count = new Uint32Array(n);
  for (const x of seen) {
    const i = Math.floor(x.at / HOUR_MS) - first;
    tempC[i]! += x.c;
    rhPct[i]! += x.rh;
    count[i]! += 1;
  }
  let missing = 0;
  for (let i = 0; i < n; i += 1) {
    if (count[i] === 0) missing += 1;
    tempC[i] = count[i] === 0 ? NaN : tempC[i]! / count[i]!;
    rhPct[i] = count[i] === 0 ? NaN : rhPct[i]! / count[i]!;
  }
  if (missing > MOST_MISSING * n)
    return wrong({ path: '(file)', message: `${missing} of its ${n} hours are missing: hang it again where it is not disturbed` });
  const from = new Date(first * HOUR_MS);
  const startsAt = Math.floor((from.getTime() - Date.UTC(from.getUTCFullYear(), 0, 1)) / HOUR_MS) % 8760;
  return ok({ from: from.toISOString().slice(0, 16).replace('T', ' '), tempC, rhPct, startsAt });
}
