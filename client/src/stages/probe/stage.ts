import { say } from '@roughsill/core/records';
import { otherHazards, type StageRecord } from '../stage';

export const probe = {
  id: 'probe',
  label: 'Probe',
  hint: 'Lead, asbestos, mold: what is known, and which test tells most',
  level: 'surface',
  acts: ['test', 'sampleAsbestos', 'moldCause', 'waitForLab'],
  drawsCoats: true,
  line: (d) => [d.nextTest === 'none' ? '' : say(d.nextTest), otherHazards(d, say)].filter(Boolean).join(' · ') || 'nothing to test',
} as const satisfies StageRecord;
