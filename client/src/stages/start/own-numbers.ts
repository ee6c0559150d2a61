/** The numbers of a method that a firm may put its own beside, in the units of its jobs. */
import {
  AS_CATALOGUED,
  convert,
  FirmSettings,
  moneyPerM2,
  roundForReading,
  type Method,
  type MethodOwn,
  type UnitSystem,
} from '@roughsill/core';

export const NUMBERS = ['rate-low', 'rate-high', 'dwell-low', 'dwell-high', 'materials'] as const;
export type NumberId = (typeof NUMBERS)[number];

export interface OwnNumber {
  readonly id: NumberId;
  /** What holds now: the firm's, else the usual one. */
  readonly value: number;
  readonly own: boolean;
  readonly over: (v: number) => Partial<MethodOwn>;
}

/** m2 in the area that rates and prices are told by. */
const areaIn = (units: UnitSystem): number => (units === 'ft' ? convert(1, 'ft2', 'm2') : 1);
export const areaUnit = (units: UnitSystem): string => (units === 'ft' ? 'ft²' : 'm²');
/** A price for a square metre, told by the area of the job's units; and back. */
export const perArea = (perM2: number, units: UnitSystem): number => roundForReading(perM2 * areaIn(units));
export const perM2 = (each: number, units: UnitSystem): number => each / areaIn(units);

export const NUMBER_WORDS: Readonly<Record<NumberId, string>> = {
  'rate-low': 'Slow',
  'rate-high': 'Fast',
  'dwell-low': 'Soaks, short',
  'dwell-high': 'Soaks, long',
  materials: 'Materials',
};
export const numberUnit = (id: NumberId, units: UnitSystem): string =>
  id.startsWith('rate') ? `${areaUnit(units)}/h` : id.startsWith('dwell') ? 'h' : `each ${areaUnit(units)} and pass`;

export function ownNumbers(m: Method, settings: FirmSettings, units: UnitSystem): OwnNumber[] {
  const now = settings.rates[m.id] ?? AS_CATALOGUED;
  const area = areaIn(units);
  const rates = { lowM2PerH: now.lowM2PerH ?? m.rate.lowM2PerH, highM2PerH: now.highM2PerH ?? m.rate.highM2PerH };
  const dwell = m.dwellH && { dwellLowH: now.dwellLowH ?? m.dwellH.low, dwellHighH: now.dwellHighH ?? m.dwellH.high };
  const usual = m.consumables.reduce((sum, c) => sum + moneyPerM2(c, settings), 0);
  const rated = now.lowM2PerH !== null;
  const soaked = now.dwellLowH !== null;
  return [
    { id: 'rate-low', value: roundForReading(rates.lowM2PerH / area), own: rated, over: (v) => ({ ...rates, lowM2PerH: v * area }) },
    { id: 'rate-high', value: roundForReading(rates.highM2PerH / area), own: rated, over: (v) => ({ ...rates, highM2PerH: v * area }) },
    ...(dwell
      ? ([
          { id: 'dwell-low', value: dwell.dwellLowH, own: soaked, over: (v) => ({ ...dwell, dwellLowH: v }) },
          { id: 'dwell-high', value: dwell.dwellHighH, own: soaked, over: (v) => ({ ...dwell, dwellHighH: v }) },
        ] satisfies OwnNumber[])
      : []),
    {
      id: 'materials',
      value: perArea(now.materialsPerM2 ?? usual, units),
      own: now.materialsPerM2 !== null,
      over: (v) => ({ materialsPerM2: perM2(v, units) }),
    },
  ];
}

/** Of one method, with one more number of the firm's own. */
export const withOwn = (settings: FirmSettings, m: Method, over: Partial<MethodOwn>): FirmSettings['rates'] => ({
  ...settings.rates,
  [m.id]: { ...(settings.rates[m.id] ?? AS_CATALOGUED), ...over },
});

/** What is wrong with it; undefined: nothing. */
export function against(fields: Partial<FirmSettings>): string | undefined {
  const r = FirmSettings.partial().safeParse(fields);
  return r.success ? undefined : r.error.issues[0]?.message;
}
