import type { StageRecord } from '../stage';

export const coat = {
  id: 'coat',
  label: 'Coat',
  hint: 'Knots, primer, topcoat, how much and when',
  level: 'surface',
  acts: ['chooseCoat'],
  drawsCoats: false,
  line: (d) => (d.coatsToApply === 0 ? 'nothing to coat' : `${d.coatsToApply} ${d.coatsToApply === 1 ? 'product' : 'products'}`),
} as const satisfies StageRecord;
