/** English. Every sentence that a painter reads, in one place: a rule knows its id, these tables know its words. */
import { language } from '../language';
import { CHOOSE } from './choose';
import { PLAN } from './plan';
import { PROBE } from './probe';
import { REPAIR_WORDS } from './repair';
import { SIGN_WORDS } from './sign';
import { TRIAL } from './trial';

export const RULE_WORDS = language({ ...PROBE, ...TRIAL, ...CHOOSE, ...PLAN, ...SIGN_WORDS, ...REPAIR_WORDS });
