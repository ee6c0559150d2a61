/** What later stages and the first screen need of reasons; the sentences themselves have a face of their own (words.ts). */
export type { Source, SourceId, SourceKind } from './sources';
export { answer, why, type Answer, type Effect, type Force, type Reason, type Value, type Weighed } from './reason';
export { say, WORDS } from './en/vocabulary';
export { valueText } from './value';
export type { RuleId } from './en';
