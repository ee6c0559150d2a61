/** What several steps ask for, summed. */
import { convert, measure, UNITS } from '../units/units';
import type { Amount, StepSpec } from '../work/step';

/** Of one thing, everything that any step asks for. Counted in two kinds of unit it is two lines. */
export function toBuy(steps: readonly Pick<StepSpec, 'amounts'>[]): Amount[] {
  const sums = new Map<string, Amount>();
  for (const { what, amount } of steps.flatMap((st) => st.amounts)) {
    const key = `${what}/${UNITS[amount.unit].dimension}`;
    const before = sums.get(key)?.amount;
    const sum = before ? measure(before.value + convert(amount.value, amount.unit, before.unit), before.unit) : amount;
    sums.set(key, { what, amount: sum });
  }
  return [...sums.values()];
}
