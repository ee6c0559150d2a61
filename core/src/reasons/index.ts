export { SOURCES, SOURCE_KIND_WORDS, type Source, type SourceId, type SourceKind } from './sources';
export { answer, why, type Answer, type Effect, type Force, type Reason, type Value, type Weighed } from './reason';
export { RULE_WORDS, WORDS, say, type RuleId } from './en';
export { remedy, sentence, valueText } from './sentence';
