import { moneyIn } from '@roughsill/core/records';
import { useSettings } from '../store';

/** Money in the sign of the firm's own rates: another rulebook changes no dollar into a pound. */
export const useMoney = (): ((n: number) => string) => moneyIn(useSettings().pricesIn);
