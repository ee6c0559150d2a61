/** Asks every rule of every method and part; all that block are listed, none hides another. */
import type { MethodId } from '../facts';
import { why, type Reason, type Weighed } from '../reasons';
import { bookOf } from '../rulebook';
import { METHODS, type Method } from '../catalogue';
import { LIMIT_ASKED, RULES, type Condition, type Rule } from './rules';
import type { Sheet } from './sheet';

export type Verdict = 'go' | 'care' | 'blocked';

export interface MethodVerdict {
  readonly methodId: MethodId;
  readonly verdict: Verdict;
  readonly because: readonly Reason[];
  /** Blocked only by practice or the firm's own setting: a person may insist, with a recorded why. */
  readonly canInsist: boolean;
}

/** The rules whose trait the method has: settled once, as neither changes. */
const RULES_OF: ReadonlyMap<MethodId, readonly Rule[]> = new Map(METHODS.map((m) => [m.id, RULES.filter((r) => r.of(m))]));

function fires(rule: Rule, sheet: Sheet): boolean {
  for (const c of rule.if) if (!c.is.includes(sheet[c.asked])) return false;
  return true;
}

/** Facts that a sentence may name, though the rule did not turn on them. */
const NAMED = ['material', 'part', 'required', 'bite', 'leadInReach'] as const;
const limits = new WeakMap<Condition, readonly string[]>();
const limitOf = (c: Condition): readonly string[] => {
  let made = limits.get(c);
  if (!made) limits.set(c, (made = c.is.map(String)));
  return made;
};

function reasonOf(rule: Rule, sheet: Sheet): Reason {
  const weighed: Weighed[] = rule.if.map((c) => ({
    asked: c.asked,
    found: sheet[c.asked],
    limit: limitOf(c),
    verdict: sheet[c.asked] === 'unknown' ? 'unknown' : 'yes',
  }));
  if (rule.limit) weighed.push({ asked: LIMIT_ASKED, found: rule.limit(bookOf(sheet)), verdict: 'yes' });
  for (const asked of NAMED) {
    if (!weighed.some((w) => w.asked === asked)) weighed.push({ asked, found: sheet[asked], verdict: 'yes' });
  }
  return { rule: rule.id, effect: rule.effect, force: rule.force, weighed, source: rule.source };
}

/** A rule that weighs the same gives the same object: a house asks the same few thousand over and over, and they are most of a plan's memory. */
const told = new Map<Rule, Map<string, Reason>>();
const MOST_PER_RULE = 2000;

/** What every reason of a sheet names, as the beginning of its keys. */
function keyOf(sheet: Sheet): string {
  let key: string = sheet.edition;
  for (const asked of NAMED) key += `|${sheet[asked]}`;
  return key;
}

function sharedReason(rule: Rule, sheet: Sheet, named: string): Reason {
  let of = told.get(rule);
  if (!of || of.size >= MOST_PER_RULE) told.set(rule, (of = new Map()));
  let key = named;
  for (const c of rule.if) key += `|${sheet[c.asked]}`;
  let made = of.get(key);
  if (!made) of.set(key, (made = reasonOf(rule, sheet)));
  return made;
}

/** Verdict of one method on one fact sheet. */
export function judge(method: Method, sheet: Sheet): MethodVerdict {
  const named = keyOf(sheet);
  const fired: Reason[] = [];
  for (const rule of RULES_OF.get(method.id) ?? []) if (fires(rule, sheet)) fired.push(sharedReason(rule, sheet, named));
  const blocks = fired.filter((r) => r.effect === 'block');
  const verdict: Verdict = blocks.length > 0 ? 'blocked' : fired.some((r) => r.effect === 'care') ? 'care' : 'go';
  const because = fired.length > 0 ? fired : [why('fit.nothingAgainst', method.source, { material: sheet.material, part: sheet.part })];
  return {
    methodId: method.id,
    verdict,
    because,
    canInsist: blocks.length > 0 && blocks.every((r) => r.force === 'trade' || r.force === 'firm'),
  };
}
