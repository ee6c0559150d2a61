/** Working days: without weekends and without the public holidays of a country. Days are `2026-05-04`, without a clock. */
export type Country = 'us' | 'uk';

const MS_DAY = 86_400_000;
const at = (day: string): Date => new Date(`${day}T00:00:00.000Z`);
const text = (d: Date): string => d.toISOString().slice(0, 10);
const on = (y: number, m: number, d: number): Date => new Date(Date.UTC(y, m - 1, d));
export const addDays = (day: string, n: number): string => text(new Date(at(day).getTime() + n * MS_DAY));
export const weekday = (day: string): number => at(day).getUTCDay();

/** The nth weekday of a month; a negative n counts from its end. 0 is Sunday. */
function nth(y: number, m: number, wanted: number, n: number): Date {
  if (n > 0) {
    const first = on(y, m, 1);
    return on(y, m, 1 + ((wanted - first.getUTCDay() + 7) % 7) + (n - 1) * 7);
  }
  const last = on(y, m + 1, 0);
  return on(y, m, last.getUTCDate() - ((last.getUTCDay() - wanted + 7) % 7));
}

/** Easter Sunday of the Gregorian calendar: the method of Meeus, Jones and Butcher. */
function easter(y: number): Date {
  const a = y % 19;
  const [b, c] = [Math.floor(y / 100), y % 100];
  const [d, e] = [Math.floor(b / 4), b % 4];
  const g = Math.floor((8 * b + 13) / 25);
  const h = (19 * a + b - d - g + 15) % 30;
  const [i, k] = [Math.floor(c / 4), c % 4];
  const l = (32 + 2 * e + 2 * i - h - k) % 7;
  const m = Math.floor((a + 11 * h + 22 * l) / 451);
  const month = Math.floor((h + l - 7 * m + 114) / 31);
  return on(y, month, ((h + l - 7 * m + 114) % 31) + 1);
}
const shift = (d: Date, n: number): Date => new Date(d.getTime() + n * MS_DAY);

/** 5 U.S.C. 6103: on a Saturday kept on the Friday before, on a Sunday on the Monday after. */
function usHolidays(y: number): Date[] {
  const kept = (d: Date) => (d.getUTCDay() === 6 ? shift(d, -1) : d.getUTCDay() === 0 ? shift(d, 1) : d);
  return [
    kept(on(y, 1, 1)),
    nth(y, 1, 1, 3),
    nth(y, 2, 1, 3),
    nth(y, 5, 1, -1),
    kept(on(y, 6, 19)),
    kept(on(y, 7, 4)),
    nth(y, 9, 1, 1),
    nth(y, 10, 1, 2),
    kept(on(y, 11, 11)),
    nth(y, 11, 4, 4),
    kept(on(y, 12, 25)),
    // New Year's Day of the next year, where it is kept on the last day of this one.
    kept(on(y + 1, 1, 1)),
  ];
}

/** Banking and Financial Dealings Act 1971, England and Wales: on a weekend kept on the next working day. */
function ukHolidays(y: number): Date[] {
  const days = [
    on(y, 1, 1),
    shift(easter(y), -2),
    shift(easter(y), 1),
    nth(y, 5, 1, 1),
    nth(y, 5, 1, -1),
    nth(y, 8, 1, -1),
    on(y, 12, 25),
    on(y, 12, 26),
  ];
  const out: Date[] = [];
  const taken = (d: Date) => out.some((x) => x.getTime() === d.getTime());
  for (const day of days) {
    let d = day;
    while (d.getUTCDay() === 6 || d.getUTCDay() === 0 || taken(d)) d = shift(d, 1);
    out.push(d);
  }
  return out;
}

const known = new Map<string, ReadonlySet<string>>();
/** Public holidays of a year. England and Wales stand for the United Kingdom; special ones by proclamation are not known. */
export function holidays(country: Country, year: number): ReadonlySet<string> {
  const key = `${country}${year}`;
  let days = known.get(key);
  if (!days) known.set(key, (days = new Set((country === 'us' ? usHolidays(year) : ukHolidays(year)).map(text))));
  return days;
}

export function isWorkingDay(day: string, country: Country): boolean {
  const w = weekday(day);
  return w !== 0 && w !== 6 && !holidays(country, Number(day.slice(0, 4))).has(day);
}

/** The latest day on which something is done so that n working days lie between it and a day, that day not counted. */
export function workingDaysBefore(day: string, n: number, country: Country): string {
  let d = day;
  for (let left = n; left > 0;) {
    d = addDays(d, -1);
    if (isWorkingDay(d, country)) left -= 1;
  }
  return d;
}
