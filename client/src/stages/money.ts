/** Money of a job, in the sign of its rules. */
import { RULEBOOKS, UNITS, withCommas, type JobFacts } from '@roughsill/core';

export const moneyFor = (facts: JobFacts) => {
  const sign = UNITS[RULEBOOKS[facts.job.rulebook].currency].label;
  return (n: number) => `${sign}${withCommas(Math.round(n))}`;
};
