/** Every sentence that a painter reads, in one place: a rule knows its id, these tables know its words. Another language is another folder. */
import { CHOOSE } from './choose';
import { PLAN } from './plan';
import { PROBE } from './probe';
import { TRIAL } from './trial';

export const RULE_WORDS = { ...PROBE, ...TRIAL, ...CHOOSE, ...PLAN };
export type RuleId = keyof typeof RULE_WORDS;
