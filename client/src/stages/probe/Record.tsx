/** Every reading of a surface, kept for good: a correction is a new record that says why. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  movedReading,
  resultText,
  say,
  saysSomething,
  standingReadings,
  withdrawalOf,
  type JobFacts,
  type Reading,
  type Surface,
} from '@roughsill/core';
import { Button, Empty, Panel, Select, TextField, useUnits, useWhen, Words } from '../../kit';
import { add, commit, useAppDispatch } from '../../store';

function resultWords(r: Reading, units: 'ft' | 'm'): string {
  if (r.kind === 'withdrawn') return 'withdrawn';
  if (r.kind === 'spot') return `swab ${say(r.spot ?? 'unclear')}`;
  if (r.kind === 'report') return `${say(r.kind)}: ${say(r.finding ?? 'unclear')}`;
  const text = resultText(r, units);
  if (text === null) return `${say(r.kind)}, answer not in`;
  return r.kind === 'air' ? `air ${text}, ${r.humidityPct} % RH` : `${say(r.kind)} ${text}`;
}

const depthWords = (r: Reading): string =>
  r.kind === 'moisture' || r.kind === 'air' || r.kind === 'surfaceTemp' || r.sampleId !== null
    ? ''
    : r.kind === 'xrf' || r.kind === 'report'
      ? 'speaks of all coats'
      : r.toSubstrate
        ? 'through all coats'
        : `${r.reachedLayerIds.length === 1 ? 'the face' : `${r.reachedLayerIds.length} coats`} only`;

export function Record({
  facts,
  surface,
  onAnswer,
}: {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly onAnswer: (r: Reading) => void;
}) {
  const jobId = facts.job.id;
  const units = useUnits();
  const when = useWhen();
  const standing = new Set(standingReadings(surface).map((r) => r.id));
  const list = [...surface.readings].sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
  return (
    <Panel title="Record" aside={`${list.length}`} testID="record">
      {list.length === 0 ? <Empty says="No reading yet. Readings are kept for good: a correction is a new record that says why." /> : null}
      {list.map((r) => (
        <View key={r.id} className={`gap-1 border-l-4 bg-panel px-3 py-2 ${standing.has(r.id) ? 'border-slate' : 'border-line'}`}>
          <Words look="row" className={standing.has(r.id) ? '' : 'line-through'}>
            {[resultWords(r, units), depthWords(r)].filter(Boolean).join(', ')}
          </Words>
          <Words look="note">{[when(r.takenAt), r.by, r.device, r.note].filter(Boolean).join(' · ')}</Words>
          {r.supersedesWhy ? <Words look="note">{`Replaces an earlier record: ${r.supersedesWhy}`}</Words> : null}
          {standing.has(r.id) ? (
            <View className="flex-row flex-wrap gap-1">
              {r.kind === 'lab' && r.value === null ? (
                <Button label="Enter the answer" testID={`answer-${r.id}`} onPress={() => onAnswer(r)} />
              ) : null}
              <Move facts={facts} surface={surface} reading={r} what={resultWords(r, units)} />
              <Withdraw jobId={jobId} surface={surface} reading={r} what={resultWords(r, units)} />
            </View>
          ) : null}
        </View>
      ))}
    </Panel>
  );
}

const withdrawnFields = ({ id, by: _by, ...blank }: Reading, why: string) => ({
  ...withdrawalOf(id, blank, why),
  takenAt: new Date().toISOString(),
});

interface MoveProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly reading: Reading;
  readonly what: string;
}
/** Entered on the wrong surface: withdrawn here, and entered where it was made, in one act. */
function Move({ facts, surface, reading, what }: MoveProps) {
  const dispatch = useAppDispatch();
  const [to, setTo] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const others = facts.surfaces.filter((s) => s.removedAt === null && s.id !== surface.id);
  if (reading.sampleId !== null || others.length === 0) return null;
  if (to === null)
    return <Button look="quiet" label="Move" says={`Move this reading to another surface: ${what}`} onPress={() => setTo('')} />;
  const save = () => {
    const target = others.find((s) => s.id === to);
    if (!target) return setProblem('Say on which surface it was made.');
    const moved = movedReading(surface, target, reading);
    const drafts = [
      add('reading', withdrawnFields(reading, `It was made on ${target.name}`.slice(0, 300)), surface.id),
      ...(moved ? [add('reading', moved, target.id)] : []),
    ];
    const found = dispatch(commit(facts.job.id, drafts, `${surface.name}: reading moved to ${target.name}`));
    if (found[0]) setProblem(found[0].message);
    else setTo(null);
  };
  return (
    <View className="w-full gap-2">
      <Select
        label="It was made on"
        value={to}
        problem={problem}
        options={[{ value: '', label: 'which surface' }, ...others.map((s) => ({ value: s.id, label: s.name }))]}
        onChange={setTo}
        testID="move-to"
      />
      <View className="flex-row gap-2">
        <Button look="main" label="Move it" onPress={save} />
        <Button label="Leave it" onPress={() => setTo(null)} />
      </View>
    </View>
  );
}

interface WithdrawProps {
  readonly jobId: string;
  readonly surface: Surface;
  readonly reading: Reading;
  /** Which of several, for whoever hears the button instead of seeing where it stands. */
  readonly what: string;
}
function Withdraw({ jobId, surface, reading, what }: WithdrawProps) {
  const dispatch = useAppDispatch();
  const [why, setWhy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  if (why === null) return <Button look="quiet" label="Withdraw" says={`Withdraw this reading: ${what}`} onPress={() => setWhy('')} />;
  const save = () => {
    if (!saysSomething(why)) return setProblem('Say in a word or two why it is withdrawn.');
    const fields = withdrawnFields(reading, why.trim());
    setProblem(dispatch(commit(jobId, [add('reading', fields, surface.id)], null))[0]?.message);
  };
  return (
    <View className="w-full gap-2">
      <TextField label="Why is it withdrawn" value={why} onChange={setWhy} onCommit={setWhy} problem={problem} />
      <View className="flex-row gap-2">
        <Button look="stop" label="Withdraw it" onPress={save} />
        <Button label="Leave it" onPress={() => setWhy(null)} />
      </View>
    </View>
  );
}
