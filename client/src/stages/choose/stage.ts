import { formatRange, say } from '@roughsill/core/records';
import type { StageRecord } from '../stage';

export const choose = {
  id: 'choose',
  label: 'Choose',
  hint: 'How each part comes off, and what is blocked',
  level: 'surface',
  acts: ['choose'],
  drawsCoats: true,
  line(d, _units, money) {
    const methods = [...new Set(d.picks.map((p) => (p.methodId ? say(p.methodId) : 'stop and ask')))].join(' + ');
    return d.standsAt === 'ask' ? `${methods || 'no method is allowed'} · not priced` : `${methods} · ${formatRange(d.money, money)}`;
  },
} as const satisfies StageRecord;
