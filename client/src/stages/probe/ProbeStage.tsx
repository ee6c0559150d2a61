/** Lead, coat by coat: the state with its reasons, the best next test, and the record of every reading. */
import { useState } from 'react';
import { View } from 'react-native';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import { formatMeasure, measure, say, standingReadings, UNCOUNTED, type Reading, type Surface } from '@roughsill/core';
import { AnswerRow, Button, Empty, Panel, StateMark, TextField, useUnits, useWhen, Words } from '../../kit';
import { add, commit, useAppDispatch } from '../../store';
import type { StageProps } from '../SurfaceScreen';
import { ReadingForm } from '../lazy-forms';

const NEXT_WORDS = {
  none: 'Nothing more to test',
  ...Object.fromEntries(['waitForLab', 'notchAllCoats', 'notchForDepth', 'labAllCoats'].map((k) => [k, say(k)])),
} as Record<string, string>;

export function ProbeStage({ facts, surface, plan }: StageProps) {
  const [form, setForm] = useState<{ kind: 'spot' | 'lab' | 'xrf'; answers?: Reading } | null>(null);
  const { lead, asbestos } = plan;
  return (
    <>
      <Panel title="Lead" aside={<StateMark state={lead.overall.value} />}>
        <View className="gap-1">
          {lead.coats.map((c, i) => (
            <AnswerRow
              key={c.coat.id}
              of={`coat ${i + 1}, lead ${say(c.state)}`}
              value={<StateMark state={c.state} />}
              because={c.because}
              label={
                c.coat.id === UNCOUNTED
                  ? 'Older coats, not counted'
                  : `${i + 1}  ${say(c.coat.binder)}${c.coat.colour ? `, ${c.coat.colour}` : ''}`
              }
            />
          ))}
        </View>
      </Panel>
      {asbestos.value === 'notFound' ? null : (
        <Panel title="Asbestos">
          <AnswerRow label="Textured coating" of="asbestos" value={<StateMark state={asbestos.value} />} because={asbestos.because} />
        </Panel>
      )}
      <Panel title="Best next test" testID="next-test">
        <AnswerRow label={NEXT_WORDS[lead.next.value] ?? ''} of="the next test" because={lead.next.because} />
        {lead.dueAt ? <Words>{`The lab is due ${formatDistanceToNow(new Date(lead.dueAt), { addSuffix: true })}.`}</Words> : null}
        {form ? null : (
          <View className="flex-row flex-wrap gap-2">
            <Button look="main" label="Record a swab" testID="record-spot" onPress={() => setForm({ kind: 'spot' })} />
            <Button label="Record a lab chip" testID="record-lab" onPress={() => setForm({ kind: 'lab' })} />
            <Button label="Record an XRF reading" testID="record-xrf" onPress={() => setForm({ kind: 'xrf' })} />
          </View>
        )}
      </Panel>
      {form ? (
        <ReadingForm
          key={`${form.kind}-${form.answers?.id ?? ''}`}
          jobId={facts.job.id}
          rules={facts.job.rulebook}
          surface={surface}
          kind={form.kind}
          answers={form.answers}
          onDone={() => setForm(null)}
        />
      ) : null}
      <Record jobId={facts.job.id} surface={surface} onAnswer={(r) => setForm({ kind: 'lab', answers: r })} />
    </>
  );
}

function resultWords(r: Reading, units: 'ft' | 'm'): string {
  if (r.kind === 'withdrawn') return 'withdrawn';
  if (r.kind === 'spot') return `swab ${say(r.spot ?? 'unclear')}`;
  if (r.value === null || r.unit === null) return `${say(r.kind)}, answer not in`;
  return `${say(r.kind)} ${formatMeasure(measure(r.value, r.unit), units)}`;
}

const depthWords = (r: Reading): string =>
  r.kind === 'xrf'
    ? 'reads through all coats'
    : r.toSubstrate
      ? 'through all coats'
      : `${r.reachedLayerIds.length === 1 ? 'the face' : `${r.reachedLayerIds.length} coats`} only`;

function Record({
  jobId,
  surface,
  onAnswer,
}: {
  readonly jobId: string;
  readonly surface: Surface;
  readonly onAnswer: (r: Reading) => void;
}) {
  const units = useUnits();
  const when = useWhen();
  const standing = new Set(standingReadings(surface.readings).map((r) => r.id));
  const list = [...surface.readings].sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
  return (
    <Panel title="Record" aside={`${list.length}`} testID="record">
      {list.length === 0 ? <Empty says="No reading yet. Readings are kept for good: a correction is a new record that says why." /> : null}
      {list.map((r) => (
        <View key={r.id} className={`gap-1 border-l-4 bg-panel px-3 py-2 ${standing.has(r.id) ? 'border-slate' : 'border-line'}`}>
          <Words look="row" className={standing.has(r.id) ? '' : 'line-through'}>{`${resultWords(r, units)}, ${depthWords(r)}`}</Words>
          <Words look="note">{[when(r.takenAt), r.by, r.note].filter(Boolean).join(' · ')}</Words>
          {r.supersedesWhy ? <Words look="note">{`Replaces an earlier record: ${r.supersedesWhy}`}</Words> : null}
          {standing.has(r.id) ? (
            <View className="flex-row flex-wrap gap-1">
              {r.kind === 'lab' && r.value === null ? (
                <Button label="Enter the answer" testID={`answer-${r.id}`} onPress={() => onAnswer(r)} />
              ) : null}
              <Withdraw jobId={jobId} surface={surface} reading={r} />
            </View>
          ) : null}
        </View>
      ))}
    </Panel>
  );
}

function Withdraw({ jobId, surface, reading }: { readonly jobId: string; readonly surface: Surface; readonly reading: Reading }) {
  const dispatch = useAppDispatch();
  const [why, setWhy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  if (why === null) return <Button look="quiet" label="Withdraw" says={`Withdraw this reading`} onPress={() => setWhy('')} />;
  const save = () => {
    const { id: _id, by: _by, ...blank } = reading;
    const fields = {
      ...blank,
      kind: 'withdrawn',
      takenAt: new Date().toISOString(),
      spot: null,
      changedLayerIds: [],
      value: null,
      unit: null,
      bandLow: null,
      bandHigh: null,
      note: '',
      supersedesId: reading.id,
      supersedesWhy: why.trim(),
    };
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
