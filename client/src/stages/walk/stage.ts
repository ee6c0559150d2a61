import { formatMeasure, measure, say } from '@roughsill/core/records';
import { otherHazards, type StageRecord } from '../stage';

export const walk = {
  id: 'walk',
  label: 'Walk',
  hint: 'Rooms, sides, surfaces, coats and condition',
  level: 'surface',
  acts: ['addSpace', 'addSurface', 'fixProblem', 'addCoats'],
  drawsCoats: true,
  line(d, units) {
    const area = formatMeasure(measure(d.areaM2, 'm2'), units);
    const coats = d.coats.filter((c) => c.counted).length;
    const more = d.coats.some((c) => !c.counted) ? ', not all counted' : '';
    return [`${area} · ${coats} ${coats === 1 ? 'coat' : 'coats'}${more}`, otherHazards(d, say)].filter(Boolean).join(' · ');
  },
} as const satisfies StageRecord;
