import { formatMeasure, measure, say } from '@roughsill/core/records';
import type { StageRecord } from '../stage';

export const protect = {
  id: 'protect',
  label: 'Protect',
  hint: 'Sheet, air, equipment, signs, waste',
  level: 'zone',
  acts: ['protect'],
  drawsCoats: false,
  line: (d, units) =>
    d.protect
      ? `zone sheet ${formatMeasure(measure(d.sheetM2, 'm2'), units)} · ${d.respirator ? say(d.respirator) : 'no respirator'}`
      : d.asbestos === 'notFound'
        ? `ordinary sheets · ${d.respirator ? say(d.respirator) : 'no respirator'}`
        : `left alone: asbestos ${say(`rung.${d.asbestosIs}`)}`,
} as const satisfies StageRecord;
