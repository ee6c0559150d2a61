/** One thin bar above the ledge: what is not sent yet, what was refused, what clashed, and the way to take the last act back. */
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { router, type Href } from 'expo-router';
import { dueSquares, valueText, type DueSquare, type Value } from '@roughsill/core';
import { Button, Words } from '../kit';
import { flush, noticeSlice, undo, useAppDispatch, useAppSelector } from '../store';

/** A recorded value as it was entered: a year has no thousands comma. */
const shown = (v: unknown): string => (v === null ? 'nothing' : typeof v === 'number' ? String(v) : valueText(v as Value, 'ft'));

const TICK_MS = 15_000;

/** The trial square that wants lifting first, looked for every few seconds while any clock runs. */
function useDueSquare(jobId: string | undefined): DueSquare | undefined {
  const facts = useAppSelector((s) => (jobId === undefined ? undefined : s.jobs.byId[jobId]?.facts));
  const [now, setNow] = useState(() => new Date().toISOString());
  const runs =
    facts?.surfaces.some((s) => s.squares.some((q) => q.startedAt !== null && q.lifted === null && q.removedAt === null)) ?? false;
  useEffect(() => {
    if (!runs) return undefined;
    const timer = setInterval(() => setNow(new Date().toISOString()), TICK_MS);
    return () => clearInterval(timer);
  }, [runs]);
  return facts && runs ? dueSquares(facts, now)[0] : undefined;
}

const minutes = (min: number): string => (min < 90 ? `${Math.max(1, Math.round(min))} min` : `${Math.round(min / 60)} h`);

export function Notices({ jobId }: { readonly jobId?: string }) {
  const dispatch = useAppDispatch();
  const { undo: step, clashes, refused } = useAppSelector((s) => s.notice);
  const { waiting, status, says } = useAppSelector((s) => s.outbox);
  const away = status === 'away' && waiting.length > 0;
  // Outside a job the last act can be taken back as well: it may have removed the job itself.
  const canUndo = step !== null && (jobId === undefined || step.jobId === jobId);
  const clash = clashes[0];
  const due = useDueSquare(jobId);
  if (!away && !canUndo && !clash && !refused && !due) return null;
  return (
    <View {...({ dataSet: { noprint: 'yes' } } as object)} className="gap-1 border-t-2 border-line bg-panel px-4 py-2">
      {away ? (
        <View role="status" testID="away" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words
            look="strong"
            className="min-w-[12rem] flex-1"
          >{`${says ?? 'No signal.'} ${waiting.length} ${waiting.length === 1 ? 'entry is' : 'entries are'} kept on this phone and will be sent.`}</Words>
          <Button label="Try now" onPress={() => void dispatch(flush())} />
        </View>
      ) : null}
      {due ? (
        <View role="status" testID="due-square" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words look="strong" className="min-w-[12rem] flex-1">
            {`Square ${due.number}, ${due.surface.name}: ${due.leftMin > 0 ? `lift it in ${minutes(due.leftMin)}` : `over by ${minutes(-due.leftMin)}, lift it`}.`}
          </Words>
          <Button
            label="Go there"
            says={`Go to square ${due.number} on ${due.surface.name}`}
            onPress={() => router.navigate(`/job/${jobId}/trial/${due.surface.id}` as Href)}
          />
        </View>
      ) : null}
      {refused ? (
        <View role="alert" testID="refused" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words look="strong" tone="oxide" className="min-w-[12rem] flex-1">
            {[refused.says, ...refused.problems.map((p) => p.message)].join(' ')}
          </Words>
          <Button label="Seen" onPress={() => dispatch(noticeSlice.actions.dismissed())} />
        </View>
      ) : null}
      {clash ? (
        <View role="alert" testID="clash" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words
            look="strong"
            className="min-w-[12rem] flex-1"
          >{`Someone else had changed this to ${shown(clash.theirs)}. Yours, ${shown(clash.yours)}, stands now; both are in the log.`}</Words>
          <Button label="Seen" onPress={() => dispatch(noticeSlice.actions.dismissed())} />
        </View>
      ) : null}
      {canUndo && step ? (
        <View role="status" className="flex-row items-center justify-between gap-2">
          <Words look="note" className="flex-1">
            {step.label}
          </Words>
          <Button look="quiet" label="Undo" says={`Undo: ${step.label}`} testID="undo" onPress={() => dispatch(undo())} />
        </View>
      ) : null}
    </View>
  );
}
