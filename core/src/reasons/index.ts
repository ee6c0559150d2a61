/** What later stages and the first screen need of reasons; the sentences themselves have a face of their own (words.ts). */
export type { Source, SourceId, SourceKind } from './sources';
export {
  answer,
  fromTable,
  typed,
  why,
  type Answer,
  type Effect,
  type FactsOf,
  type Force,
  type Reason,
  type Typed,
  type Value,
  type Weighed,
} from './reason';
export { say, WORDS } from './en/vocabulary';
export { valueText } from './value';
export { spell, spellAs, type Spelling } from './spelling';
export type { FactName, RuleId } from './rules';
