export { ASKED, MAY, mayI, type AskedMethod, type May, type MayI } from './may-i';
export { CLEAR_FILMS, RUST_FACE, RUST_SPOTS } from './depth';
export { isMains, reactions } from './reacts';
export { RULES, type Rule } from './rules';
export {
  beside,
  choose,
  countsOf,
  jointProof,
  isRenewed,
  methodsOf,
  optionMemo,
  picksOf,
  priceProof,
  type PriceProof,
  type Choice,
  type MethodOption,
  type OptionMemo,
  type PartChoice,
} from './choose';
export { effortOn, moneyPerM2, heightFactor, midpoint, unitEffort, type Effort, type UnitEffort } from './cost';
export { judge, type MethodVerdict, type Verdict } from './verdict';
export type { Sequence, Stroke } from './sequence';
export { asbestosStates, sealsOver, worksOn } from './on-asbestos';
export { coatsReached, HIGH_M, lowInReach, poisonsReached } from './sheet';
export { bestTogether, eachItsOwn, type Summed, type Together } from './together';
