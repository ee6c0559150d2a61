/** The first squares of a method on a coating. */
import type { Method } from '../catalogue';
import { why } from '../reasons';
import type { MethodOwn } from '../rulebook';
import { CLOSE_SHARE, round, usualMin, type Proposal } from './conclude';
import { fromReference } from './dwell';

/** The first squares for a method: side by side, short, middle and long. */
export function firstSquares(m: Method, coating: string, faceC: number | null, own?: MethodOwn): Proposal[] {
  const usual = usualMin(m, own);
  const covered = m.laying !== null && m.laying.coveredLifeH > m.laying.openLifeH;
  if (usual === null) return [{ methodId: m.id, coating, dwellMin: null, covered: false, because: [why('trial.onePatch', 'trade-trial')] }];
  const middle = Math.sqrt(usual.low * usual.high);
  const dwells = usual.high / usual.low <= 1 + CLOSE_SHARE ? [usual.low / 2, usual.low, usual.low * 2] : [usual.low, middle, usual.high];
  return dwells.map((min, i) => ({
    methodId: m.id,
    coating,
    dwellMin: round(fromReference(min, faceC)),
    covered,
    because: [why(['trial.short', 'trial.middle', 'trial.long'][i] as 'trial.short', 'trade-trial')],
  }));
}
