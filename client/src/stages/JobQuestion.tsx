/** A fact of the job that nobody gave yet, asked in the stage in which it first changes an answer; one at a time. */
import { View } from 'react-native';
import { mayBeListed, YES_NO, type Job, type JobFacts, type SurfacePlan } from '@roughsill/core';
import { Pick, Words } from '../kit';
import { commit, set, useAppDispatch } from '../store';
import type { StageId } from './stages';

type Field = 'childUnder6' | 'pregnancy' | 'livedIn' | 'asthma' | 'listed' | 'water' | 'power' | 'publicFunding';

interface Question {
  readonly field: Field;
  readonly asks: string;
  /** What holds until it is answered. */
  readonly until: string;
  readonly when: (job: Job, plan: SurfacePlan) => boolean;
}

const leadIsThere = (_job: Job, p: SurfacePlan): boolean => p.lead.overall.value !== 'notFound';
const always = (): boolean => true;

const QUESTIONS: Readonly<Partial<Record<StageId, readonly Question[]>>> = {
  probe: [
    {
      field: 'childUnder6',
      asks: 'Does a child under 6 live here, or come often?',
      until: 'counts as yes',
      when: (j, p) => j.dwelling && leadIsThere(j, p),
    },
    { field: 'pregnancy', asks: 'Is somebody here pregnant?', until: 'counts as yes', when: (j, p) => j.dwelling && leadIsThere(j, p) },
  ],
  choose: [
    { field: 'water', asks: 'Is there water on site?', until: 'nothing is ruled out for want of it', when: always },
    { field: 'power', asks: 'Is there power on site?', until: 'nothing is ruled out for want of it', when: always },
    { field: 'listed', asks: 'Is the building listed or protected?', until: 'counts as yes', when: mayBeListed },
  ],
  protect: [
    { field: 'livedIn', asks: 'Do people live here during the work?', until: 'counts as yes', when: (j) => j.dwelling },
    {
      field: 'publicFunding',
      asks: 'Is public money in the work?',
      until: 'the limits of ordinary housing hold',
      when: (j, p) => j.rulebook === 'us' && j.dwelling && leadIsThere(j, p),
    },
    { field: 'asthma', asks: 'Does somebody here have asthma?', until: 'counts as yes', when: (j) => j.dwelling },
  ],
};

export function JobQuestion({ facts, plan, stage }: { readonly facts: JobFacts; readonly plan: SurfacePlan; readonly stage: StageId }) {
  const dispatch = useAppDispatch();
  const { job } = facts;
  const open = QUESTIONS[stage]?.find((q) => job[q.field] === 'unknown' && q.when(job, plan));
  if (!open) return null;
  return (
    <View testID="job-question" className="gap-1 border-l-4 border-ochre bg-panel px-3 py-2">
      <Pick
        label={open.asks}
        value={job[open.field]}
        options={YES_NO.map((value) => ({ value, label: value === 'unknown' ? 'not known yet' : value }))}
        onChange={(v) => dispatch(commit(job.id, [set('job', job.id, { [open.field]: v })], 'job facts changed'))}
      />
      <Words look="note">{`For the whole job. Until it is answered: ${open.until}.`}</Words>
    </View>
  );
}
