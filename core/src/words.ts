/** Sentences and sources, for whatever shows reasons; apart, so that the first screen does without them. */
export { RULE_WORDS } from './reasons/en';
export { tell } from './reasons/en/methods';
export { remedy, sentence } from './reasons/sentence';
export { canBeChecked, checkOf, isCheckedOtherwise, sourceKnown, sourceText } from './reasons/source-known';
export { SOURCES, SOURCE_KIND_WORDS, type Source, type SourceId, type SourceKind } from './reasons/sources';
