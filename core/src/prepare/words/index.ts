/** What the crew reads at the bench, in its language. */
import { spell } from '../../reasons';
import type { UnitSystem } from '../../units/units';
import type { Refusal } from '../refused';
import { en } from './en';
import { es } from './es';
import { amounts, type BenchWords } from './words';

export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];
export const BENCH_WORDS: Readonly<Record<Language, BenchWords>> = { en, es };

const started = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A refusal as a sentence, in the units of whoever asked. */
export function refusalSays(refusal: Refusal, language: Language, units: UnitSystem): string {
  const says = started(`${BENCH_WORDS[language].refusal(refusal, amounts(units))}.`);
  return language === 'en' ? spell(says) : says;
}
export { amounts, type Amounts, type BenchWords } from './words';
