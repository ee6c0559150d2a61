/** Money in the sign of the firm's own rates: another rulebook changes no dollar into a pound. */
import { UNITS, withCommas } from '@roughsill/core';
import { useSettings } from '../store';

export function useMoney(): (n: number) => string {
  const sign = UNITS[useSettings().pricesIn].label;
  return (n) => `${sign}${withCommas(Math.round(n))}`;
}
