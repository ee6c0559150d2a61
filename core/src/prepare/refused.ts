/** What the bench does not take, told with what was asked and what may be: the words stand in `words`, in the job's units. */
import { RangedError } from '../units/ranged';
import { measure, type Measure, type Unit } from '../units/units';

/** What a person enters at the bench, and its unit in the core. */
export const QUANTITIES = {
  waterL: 'L',
  causticG: 'g',
  waterC: 'C',
  airC: 'C',
  bathC: 'C',
  ceilingC: 'C',
  acrossM: 'm',
  deepM: 'm',
  readingC: 'C',
  portionG: 'g',
  elapsedH: 'h',
  ph: 'pH',
  toPh: 'pH',
  leftG: 'g',
  rinseL: 'L',
  areaM2: 'm2',
  filmMm: 'mm',
  thickenerG: 'g',
  windMS: 'm/s',
  stockPct: '%',
  wantPct: '%',
  parts: 'pieces',
  partL: 'L',
  wholeL: 'L',
  ageDays: 'd',
  bottleL: 'L',
  boreIn: 'in',
  wornIn: 'in',
  gaugePsi: 'psi',
  hoseM: 'm',
  hoseBoreMm: 'mm',
  altitudeM: 'm',
  machineM3H: 'm3/h',
  blastH: 'h',
  mistsDone: 'pieces',
  rinses: 'pieces',
  drumL: 'L',
  tankL: 'L',
  steamKw: 'kW',
  roomM3: 'm3',
} as const satisfies Record<string, Unit>;
export type Quantity = keyof typeof QUANTITIES;

export type Refusal =
  | { readonly id: 'range'; readonly what: Quantity; readonly least: Measure; readonly most: Measure }
  | { readonly id: 'notNumber'; readonly what: Quantity }
  | { readonly id: 'warmWater'; readonly most: Measure }
  | { readonly id: 'warmAir'; readonly air: Measure; readonly least: Measure }
  | { readonly id: 'tooStrong'; readonly found: Measure; readonly most: Measure }
  | { readonly id: 'vesselGivesWay'; readonly limit: Measure; readonly ceiling: Measure }
  | { readonly id: 'vesselSmall'; readonly holds: Measure; readonly fills: Measure; readonly needs: Measure }
  | { readonly id: 'noPressure'; readonly least: Measure }
  | { readonly id: 'thinStronger'; readonly want: Measure; readonly stock: Measure }
  | { readonly id: 'tapWater'; readonly least: Measure }
  | { readonly id: 'metalVessel'; readonly metal: Measure; readonly gas: Measure }
  | {
      readonly id:
        | 'waterIntoCaustic'
        | 'doesNotDissolve'
        | 'glassVessel'
        | 'neverCools'
        | 'moreThanRecipe'
        | 'hoseThin'
        | 'hardOnTimber'
        | 'thinContradicts'
        | 'thinNeeds'
        | 'thinAmount'
        | 'partMoreThanWhole';
    };

export class Refused extends RangedError {
  constructor(readonly refusal: Refusal) {
    // For a log: what a person reads is said in their language and units (words/).
    super(refusal.id);
  }
}
export const refuse = (refusal: Refusal): never => {
  throw new Refused(refusal);
};

/** @throws Refused when it is no number or outside */
export function within(value: number, least: number, most: number, what: Quantity): number {
  if (!Number.isFinite(value)) return refuse({ id: 'notNumber', what });
  const unit = QUANTITIES[what];
  if (value < least || value > most) return refuse({ id: 'range', what, least: measure(least, unit), most: measure(most, unit) });
  return value;
}
