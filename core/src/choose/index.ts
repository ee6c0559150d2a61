export { BITES, biteDepth, methodById, METHODS, type Bite, type Consumable, type Method, type Residue } from './methods';
export { RULES, type Rule } from './rules';
export { choose, type Choice, type MethodOption, type OptionMemo, type PartChoice } from './choose';
export { effortOn, midpoint, type Effort, type Range, type UnitEffort } from './cost';
export { judge, type MethodVerdict, type Verdict } from './verdict';
