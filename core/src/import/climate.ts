/** An hourly climate from a table with a temperature and a humidity. */
import { ok, wrong, type Outcome } from '../facts/problems';
import type { Climate } from '../moist';
import { readNumber, type Table } from './table';

const MAX_MISSING = 24;

/**
 * @returns the climate, in C and % RH, one value an hour; a gap of up to a day is bridged by the value before it
 * Errors: no such column; fewer than a day; a value that is no number or not plausible, with its line
 */
export function readClimate(table: Table): Outcome<Climate> {
  const t = table.headers.findIndex((h) => /temp|°c|\bt\b/i.test(h));
  const rh = table.headers.findIndex((h) => /humid|rh/i.test(h));
  if (t < 0) return wrong({ path: '(file)', message: 'no column is named temperature' });
  if (rh < 0) return wrong({ path: '(file)', message: 'no column is named humidity or RH' });
  const fahrenheit = /f\b|fahrenheit/i.test(table.headers[t]!.replace(/^.*?temp\w*/i, ''));
  const n = table.rows.length;
  if (n < 24) return wrong({ path: '(file)', message: `holds ${n} hours: at least a day is needed, a year is best` });
  const tempC = new Float64Array(n);
  const rhPct = new Float64Array(n);
  let missing = 0;
  for (const [i, { line, cells }] of table.rows.entries()) {
    const a = readNumber(cells[t] ?? '');
    const b = readNumber(cells[rh] ?? '');
    const blank = (cells[t] ?? '') === '' || (cells[rh] ?? '') === '';
    if (blank && i > 0) {
      missing += 1;
      if (missing > MAX_MISSING) return wrong({ path: `line ${line}`, message: 'more than a day is missing' });
      tempC[i] = tempC[i - 1]!;
      rhPct[i] = rhPct[i - 1]!;
      continue;
    }
    missing = 0;
    if (!a || !b) return wrong({ path: `line ${line}`, message: 'temperature and humidity are numbers' });
    const c = fahrenheit ? ((a.value - 32) * 5) / 9 : a.value;
    if (c < -60 || c > 60) return wrong({ path: `line ${line}`, message: `${a.value} is no outdoor temperature in C: check the unit` });
    if (b.value < 0 || b.value > 105) return wrong({ path: `line ${line}`, message: `${b.value} is no humidity in %` });
    tempC[i] = c;
    rhPct[i] = Math.min(100, b.value);
  }
  return ok({ tempC, rhPct, startsAt: 0, simulated: false });
}
