import { say } from '@roughsill/core/records';
import type { StageRecord } from '../stage';

export const trial = {
  id: 'trial',
  label: 'Trial',
  hint: 'Small squares first: does it hold, what takes it off, and how long it needs',
  level: 'surface',
  acts: ['trial'],
  drawsCoats: true,
  line(d) {
    const { squares, open, missing, works } = d.trial;
    if (missing) return 'wants a square before the plan goes out';
    const count = squares === 0 ? '' : `${squares} ${squares === 1 ? 'square' : 'squares'}`;
    const says = works.length > 0 ? `${works.map(say).join(', ')} works` : open > 0 ? 'not clean yet' : '';
    return [count, says].filter(Boolean).join(' · ') || 'no squares';
  },
} as const satisfies StageRecord;
