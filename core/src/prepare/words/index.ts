/** What the crew reads at the bench, in its language. */
import { spell } from '../../reasons';
import type { UnitSystem } from '../../units/units';
import type { Refusal } from '../refused';
import { en } from './en';
import { es } from './es';
import { amounts, type BenchWords } from './words';

export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];
/** Every text of a table as it is written where the rules of the job come from, also those that are made when asked for. */
function spelled<T>(x: T): T {
  if (typeof x === 'string') return spell(x) as T;
  if (typeof x === 'function') return ((...of: unknown[]) => spelled((x as (...of: unknown[]) => unknown)(...of))) as T;
  if (Array.isArray(x)) return x.map(spelled) as T;
  if (typeof x === 'object' && x !== null) return Object.fromEntries(Object.entries(x).map(([k, v]) => [k, spelled(v)])) as T;
  return x;
}
const TABLES: Readonly<Record<Language, BenchWords>> = { en, es };
export const benchWords = (language: Language): BenchWords => (language === 'en' ? spelled(en) : TABLES[language]);

const started = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A refusal as a sentence, in the units of whoever asked. */
export function refusalSays(refusal: Refusal, language: Language, units: UnitSystem): string {
  return started(`${benchWords(language).refusal(refusal, amounts(units))}.`);
}
export { amounts, mistSays, passesSay, potSays, rinseSays, steamSays, timberSays, type Amounts, type BenchWords } from './words';
