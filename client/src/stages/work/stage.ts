import { say } from '@roughsill/core/records';
import type { StageRecord } from '../stage';

export const work = {
  id: 'work',
  label: 'Work',
  hint: 'The steps in order, with the checks between',
  level: 'surface',
  acts: ['work', 'nothing'],
  drawsCoats: false,
  line: (d) => (d.standsAt ? `stands at: ${say(d.standsAt.split('.')[0] ?? '')}` : 'all checks passed'),
} as const satisfies StageRecord;
