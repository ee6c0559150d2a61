/** The order of work is the navigation: each stage is a record of its own; its screen stands in stage-parts.ts. */
import type { NextAct } from '@roughsill/core';
import { choose } from './choose/stage';
import { coat } from './coat/stage';
import { probe } from './probe/stage';
import { protect } from './protect/stage';
import type { StageRecord } from './stage';
import { trial } from './trial/stage';
import { walk } from './walk/stage';
import { work } from './work/stage';

const RECORDS = [walk, probe, trial, choose, protect, coat, work] as const;
export type StageId = (typeof RECORDS)[number]['id'];
export const STAGES: readonly StageId[] = RECORDS.map((r) => r.id);
export const isStage = (x: unknown): x is StageId => STAGES.includes(x as StageId);
export const STAGE = Object.fromEntries(RECORDS.map((r) => [r.id, r])) as unknown as Readonly<Record<StageId, StageRecord>>;

/** Where a next act is done. */
export const stageOf = (act: NextAct): StageId => RECORDS.find((r) => (r.acts as readonly NextAct[]).includes(act))?.id ?? 'work';

export const ACT_WORDS: Record<NextAct, { readonly says: string; readonly act: string }> = {
  addSpace: { says: 'Start with a room, or a side of the house.', act: 'Add one' },
  addSurface: { says: 'Add the first surface.', act: 'Add it' },
  fixProblem: { says: 'put right what is marked.', act: 'Look' },
  addCoats: { says: 'count the coats, from the top down.', act: 'Count coats' },
  test: { says: 'test it, or treat it as lead paint.', act: 'Test' },
  sampleAsbestos: { says: 'asbestos is not ruled out: have it sampled, or leave it whole.', act: 'Samples' },
  moldCause: { says: 'find what wets it before anything is painted.', act: 'Find the cause' },
  choose: { says: 'choose how the paint comes off.', act: 'Choose' },
  chooseCoat: { says: 'the topcoat does not fit what it would lie on.', act: 'Coats' },
  trial: { says: 'its method wants a trial square before the plan goes out.', act: 'Trial' },
  waitForLab: { says: 'waiting for the lab. Until then it counts as lead.', act: 'Enter result' },
  protect: { says: 'set up protection before the first stroke.', act: 'Protect' },
  work: { says: 'the next check is open.', act: 'Steps' },
  nothing: { says: 'Nothing is open. Every check has passed.', act: '' },
};
