/** What must never meet on one piece, by the one table of what meets what, and what stands between. */
import { MEETINGS, type AgentId, type Method } from '../catalogue';
import type { Residue } from '../facts';
import type { RuleId, SourceId } from '../reasons';

/** What a method brings to the piece or leaves on it. */
type Agent = Extract<AgentId, 'bleach' | 'acid' | 'alkali' | 'alcohol' | 'solvent' | 'spark'>;

export function agentsOf(m: Method): readonly Agent[] {
  const out: Agent[] = [];
  if (m.id === 'moldBleach') out.push('bleach');
  else if (m.vapour) out.push('solvent');
  if (m.acid) out.push('acid');
  if (m.leaves.includes('alkali')) out.push('alkali');
  // Degreasing ends with alcohol and water.
  if (m.id === 'washDegrease') out.push('alcohol');
  if (m.flame || (m.powered && m.blast === 'no') || (m.heatC !== null && m.heatC > 150)) out.push('spark');
  return out;
}

/** A tool on a mains lead that is not made to work wet. */
export const isMains = (m: Method): boolean => m.needs.includes('power') && !m.wet && m.blast === 'no';

export type ReactionRule = Extract<RuleId, `apart.${string}` | 'order.noHeatOnSolvent'>;
/** The rule that speaks of a meeting, for those that a method can bring about; the meeting itself is the table's. */
const RULE_OF: Readonly<Record<string, ReactionRule>> = {
  'bleach/acid': 'apart.bleachAcid',
  'bleach/alcohol': 'apart.bleachAlcohol',
  'bleach/solvent': 'apart.bleachSolvent',
  'alkali/acid': 'apart.causticAcid',
  'solvent/spark': 'order.noHeatOnSolvent',
  'alcohol/spark': 'apart.alcoholSpark',
};
const AGENTS: readonly AgentId[] = ['bleach', 'acid', 'alkali', 'alcohol', 'solvent', 'spark'] satisfies readonly Agent[];
const isAgent = (id: AgentId): id is Agent => AGENTS.includes(id);
const PAIRS = MEETINGS.flatMap(({ one, other, source }) => {
  if (!isAgent(one) || !isAgent(other)) return [];
  const rule = RULE_OF[`${one}/${other}`];
  // A meeting that the table gains needs a sentence here before anything is planned with it.
  if (rule === undefined) throw new Error(`no rule speaks of ${one} and ${other}`);
  return [{ one, other, source, rule }];
});

/** What is rinsed off before the next may come near; what has no residue of its own in the catalogue is rinsed as water takes it. */
const RINSED_AS: Readonly<Record<Agent, Residue>> = {
  bleach: 'bleach',
  acid: 'acid',
  alkali: 'alkali',
  alcohol: 'alcohol',
  solvent: 'solvent',
  spark: 'dust',
};

/** Why `then` must not come straight after `first`, and what is cleared away between them. Empty: they may. */
export function reactions(
  first: Method,
  then: Method,
): { readonly rule: ReactionRule; readonly source: SourceId; readonly clear: Residue }[] {
  const a = agentsOf(first);
  const b = agentsOf(then);
  return PAIRS.flatMap(({ one, other, rule, source }) => {
    if (a.includes(one) && b.includes(other)) return [{ rule, source, clear: RINSED_AS[one] }];
    // A spark that comes first is over when the tool is down.
    if (other !== 'spark' && a.includes(other) && b.includes(one)) return [{ rule, source, clear: RINSED_AS[other] }];
    return [];
  });
}
