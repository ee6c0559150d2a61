/** The notices of a job: beside its last entry stands what that made of the whole job. */
import { useState } from 'react';
import { formatWork, type JobDigest, type JobFacts } from '@roughsill/core';
import { useAppSelector, type UndoStep } from '../store';
import { useDigest } from '../store/derived';
import { useMoney } from './money';
import { Notices, type ToldProps } from './Notices';

type Totals = JobDigest['totals'];

/** What the last entry made of the whole job; empty: nothing to speak of, or entered before this screen was opened. */
function useChange(facts: JobFacts): string {
  const step = useAppSelector((s) => s.notice.undo[0]);
  const totals = useDigest(facts).digest?.totals;
  const money = useMoney();
  const [mark, setMark] = useState<{ step?: UndoStep; before?: Totals; last?: Totals }>({ step, before: totals, last: totals });
  if (mark.step !== step) setMark({ step, before: mark.last, last: totals });
  else if (mark.last !== totals) setMark({ ...mark, last: totals });
  const { before } = mark;
  if (!before || !totals) return '';
  const middle = (r: { low: number; high: number }) => (r.low + r.high) / 2;
  const more = (by: number, least: number, text: (n: number) => string) =>
    Math.abs(by) < least ? '' : `${text(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`;
  return [
    more(middle(totals.money) - middle(before.money), 1, money),
    more(middle(totals.personHours) - middle(before.personHours), 0.1, formatWork),
  ]
    .filter(Boolean)
    .join(', ');
}

/** Stands all the time, so that it knows what the job came to before the entry. */
function Told({ facts, told, where }: ToldProps) {
  const change = useChange(facts);
  return <>{told === null ? where : change ? `${told} · whole job: ${change}` : told}</>;
}

export const JobNotices = ({ jobId }: { readonly jobId: string }) => <Notices jobId={jobId} Told={Told} />;
