/** Test, or treat as positive? What each costs, weighed by how likely it is. The law's rule stands above the arithmetic. */
import { why, type Answer, type Reason } from '../reasons';
import type { Rulebook } from '../rulebook';
import { measure } from '../units/units';

/** Share of homes with some lead-based paint, by year built. HUD national survey 1998-2000. */
export function leadShareByYear(builtYear: number | null): number {
  if (builtYear === null || builtYear < 1940) return 0.87;
  if (builtYear < 1960) return 0.69;
  return builtYear < 1978 ? 0.24 : 0.02;
}

/**
 * What a coat of this kind adds to the odds of its house: windows, doors and outside woodwork hold lead more often than walls.
 * From memory of the same survey; ranks, not measurements.
 */
const ELEMENT_ODDS: Readonly<Record<string, number>> = {
  doubleHungSash: 1.5,
  casementSash: 1.5,
  metalCasement: 1.4,
  windowFrame: 1.4,
  sill: 1.4,
  casing: 1.3,
  door: 1.3,
  siding: 1.4,
  soffit: 1.3,
  railing: 1.2,
  ironRailing: 1.3,
  shutter: 1.4,
  gutter: 1.2,
  wall: 0.3,
  ceiling: 0.25,
  cornice: 0.4,
};

/** Chance that one coat stack of this kind holds lead, before any test: not every piece in a house with lead has it. */
export function leadPrior(builtYear: number | null, element: string): number {
  const share = leadShareByYear(builtYear) * 0.6;
  const odds = (share / (1 - share)) * (ELEMENT_ODDS[element] ?? 1);
  return odds / (1 + odds);
}

export interface KitErrors {
  readonly falseNegative: number;
  readonly falsePositive: number;
}
/** Rates that a recognised kit must keep. 40 CFR 745.88(c): at most 5 % false negative, 10 % false positive. */
export const KIT_ERRORS: KitErrors = { falseNegative: 0.05, falsePositive: 0.1 };

/**
 * Bayes' rule for a test with error rates.
 * @param prior chance before the test
 * @returns chance of the hazard after this result
 */
export function afterTest(prior: number, positive: boolean, { falseNegative, falsePositive }: KitErrors): number {
  const ifPresent = positive ? 1 - falseNegative : falseNegative;
  const ifAbsent = positive ? falsePositive : 1 - falsePositive;
  const both = prior * ifPresent + (1 - prior) * ifAbsent;
  return both === 0 ? prior : (prior * ifPresent) / both;
}

export interface TestOrAssume {
  readonly choice: 'test' | 'assume' | 'nothing';
  /** Chance that it is positive. */
  readonly chance: number;
  readonly testMoney: number;
  /** More work and material when it is treated as positive. */
  readonly positiveMoney: number;
  /** What testing costs on average: the test, and the positive work when it is positive after all. */
  readonly expectedMoney: number;
  /** Chance above which assuming is cheaper. */
  readonly breakEven: number;
  readonly delayDays: number;
}

interface DecideInput {
  readonly chance: number;
  readonly testMoney: number;
  readonly positiveMoney: number;
  readonly delayDays: number;
  /** A rule that leaves no choice: lab only, asbestos before demolition, dwelling with a child. */
  readonly mustTest?: Reason;
}

/**
 * Testing pays while its price is less than what a clear answer saves: `test < (1 - chance) x positive`.
 * @returns the cheaper course with its break-even chance, `1 - test / positive`
 */
export function testOrAssume({ chance, testMoney, positiveMoney, delayDays, mustTest }: DecideInput): Answer<TestOrAssume> {
  const expectedMoney = testMoney + chance * positiveMoney;
  const breakEven = positiveMoney <= 0 ? 0 : Math.min(1, Math.max(0, 1 - testMoney / positiveMoney));
  const cheaper: TestOrAssume['choice'] = positiveMoney <= 0 ? 'nothing' : chance < breakEven ? 'test' : 'assume';
  const pct = (x: number) => measure(Math.round(x * 100), '%');
  const weighed = { chance: [pct(chance), pct(breakEven)] as const, delay: measure(delayDays * 24, 'h') };
  const reason = why(
    cheaper === 'test' ? 'decide.testPays' : cheaper === 'assume' ? 'decide.assumePays' : 'decide.noDifference',
    'firm-setting',
    weighed,
  );
  const value = { choice: mustTest ? ('test' as const) : cheaper, chance, testMoney, positiveMoney, expectedMoney, breakEven, delayDays };
  return { value, because: mustTest ? [mustTest, reason] : [reason] };
}

/** How likely lead is on a surface, from age and element and then from each swab in turn. */
export function leadChance(builtYear: number | null, element: string, swabs: readonly boolean[], rulebook: Rulebook): Answer<number> {
  const prior = leadPrior(builtYear, element);
  let chance = prior;
  for (const positive of swabs) chance = afterTest(chance, positive, KIT_ERRORS);
  const because = [why('decide.prior', 'nslah', { chance: measure(Math.round(prior * 100), '%'), element })];
  if (swabs.length > 0)
    because.push(
      why('decide.afterSwabs', rulebook.sources.afterSwabs, {
        swabs: swabs.length,
        chance: measure(Math.round(chance * 100), '%'),
      }),
    );
  return { value: chance, because };
}
