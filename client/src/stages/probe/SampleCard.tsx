/** One sample: its number, where it stands, and the next thing to do with it. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  ANALYSES,
  LAB_UNITS,
  answerText,
  resultText,
  say,
  type Analysis,
  type JobFacts,
  type LabUnit,
  type Problem,
  type RegisterLine,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, NumberField, Problems, Select, TextField, Toggle, useUnits, useWhen, Words } from '../../kit';
import { commit, remove, set, useAppDispatch, useAppSelector } from '../../store';
import { Photos } from '../photos/Photos';
import { answered, duplicateOf, sent, taken } from './samples';

/** Named as the simulated lab names itself; any other name is a lab of your own. */
export const SIMULATED_LAB = 'Simulated laboratory';

export function SampleCard({ facts, line }: { readonly facts: JobFacts; readonly line: RegisterLine }) {
  const dispatch = useAppDispatch();
  const by = useAppSelector((s) => s.session.person);
  const units = useUnits();
  const when = useWhen();
  const [form, setForm] = useState<'answer' | 'edit' | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { sample, surfaceId, state } = line;
  const run = (draft: Parameters<typeof commit>[1][number], what: string | null) =>
    setProblems(dispatch(commit(facts.job.id, [draft], what)));
  const result = line.result;
  const says = (result && resultText(result, units)) ?? '';
  // Green is for what was looked for and not found, never for a mere answer.
  const edge =
    state === 'due' || line.numberTwice || line.answer === 'found'
      ? 'border-oxide'
      : line.answer === 'clear'
        ? 'border-verdigris'
        : 'border-ochre';
  return (
    <View
      role="group"
      aria-label={`Sample ${sample.number}`}
      testID={`sample-${sample.id}`}
      className={`gap-1 border-l-4 bg-panel px-3 py-2 ${edge}`}
    >
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="row">{`${sample.number}  ${say(sample.hazard)}, ${say(sample.kind)}`}</Words>
        <Words look="strong">
          {line.answer === null
            ? [say(state), says].filter(Boolean).join(': ')
            : `${say(state)}: ${answerText(line.answer, result, units)}`}
        </Words>
      </View>
      {line.because !== null && (line.answer === 'low' || line.answer === 'unclear') ? (
        <Words>{sentence(line.because, units)}</Words>
      ) : null}
      <Words look="note">{[line.spaceName, line.surfaceName, sample.place].filter(Boolean).join(' · ')}</Words>
      <Words look="note">
        {[
          sample.takenAt ? `taken ${when(sample.takenAt)}${sample.takenBy ? ` by ${sample.takenBy}` : ''}` : '',
          sample.sentAt ? `sent ${when(sample.sentAt)}${sample.lab ? ` to ${sample.lab}` : ''}` : '',
          line.dueAt && state !== 'in' ? `due ${when(line.dueAt)}` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {line.numberTwice ? (
        <Words alert look="strong" tone="oxide">
          Another sample carries this number: two phones took it. Renumber one; both are kept.
        </Words>
      ) : null}
      {line.answersDiffer ? (
        <Words alert look="strong" tone="oxide">
          Two answers stand for it. The stricter holds until one is withdrawn, under the surface’s record.
        </Words>
      ) : null}
      {line.doubt ? (
        <Words alert look="strong" tone="oxide">
          {line.doubt === 'blankDirty'
            ? 'The blank of this batch was not clean: the answer may read too high. Ask the lab, or cut again.'
            : 'It and its duplicate are more than a quarter apart. The stricter holds; cut again.'}
        </Words>
      ) : null}
      {state === 'taken' ? (
        <View className="gap-2 py-1">
          <Words look="strong">{`Write ${sample.number} on the bag.`}</Words>
          <TextField
            label="Where it was cut"
            value={sample.place}
            placeholder="lower rail, left end"
            onCommit={(place) => run(set('sample', sample.id, { place }, surfaceId), `${sample.number}: where it was cut`)}
          />
        </View>
      ) : null}
      <Problems problems={problems} />
      <View className="flex-row flex-wrap gap-2">
        {state === 'planned' ? (
          <Button
            look="main"
            label="Taken now"
            says={`${sample.number} taken now`}
            onPress={() => run(taken(surfaceId, sample, by), `${sample.number} taken`)}
          />
        ) : null}
        {state === 'taken' ? (
          <Button
            look="main"
            label="Sent"
            says={`${sample.number} sent`}
            onPress={() => run(sent(surfaceId, sample, sample.lab || SIMULATED_LAB), `${sample.number} sent`)}
          />
        ) : null}
        {state !== 'planned' && state !== 'in' ? (
          <Button
            label="Enter the answer"
            says={`Enter the answer to ${sample.number}`}
            onPress={() => setForm(form === 'answer' ? null : 'answer')}
          />
        ) : null}
        <Button
          look="quiet"
          label={form === 'edit' ? 'Close' : 'More'}
          says={`More about ${sample.number}`}
          onPress={() => setForm(form === 'edit' ? null : 'edit')}
        />
      </View>
      {form === 'answer' ? (
        <Answer
          asbestos={sample.hazard === 'asbestos'}
          onSave={(fields) => {
            const found = dispatch(commit(facts.job.id, [answered(surfaceId, sample, fields)], null));
            setProblems(found);
            if (found.length === 0) setForm(null);
          }}
        />
      ) : null}
      {form === 'edit' ? (
        <View className="gap-3 py-2">
          <TextField
            label="Number"
            value={sample.number}
            onCommit={(number) => run(set('sample', sample.id, { number }, surfaceId), 'renumbered')}
            testID={`number-${sample.id}`}
          />
          {state === 'taken' ? null : (
            <TextField
              label="Where it was cut"
              value={sample.place}
              onCommit={(place) => run(set('sample', sample.id, { place }, surfaceId), 'place')}
            />
          )}
          <TextField
            label="Lab"
            value={sample.lab}
            hint={`"${SIMULATED_LAB}" answers by itself`}
            onCommit={(lab) => run(set('sample', sample.id, { lab }, surfaceId), 'lab')}
          />
          <Photos facts={facts} of={{ ofSurfaceId: surfaceId, ofSampleId: sample.id }} title="Photographs of it" />
          {sample.kind === 'chip' || sample.kind === 'bulk' ? (
            <Button
              label="Cut a duplicate beside it"
              says={`Cut a duplicate of ${sample.number}`}
              onPress={() => run(duplicateOf(facts, surfaceId, sample, by, sample.number.replace(/-?\d+$/, '') || 'S'), 'duplicate cut')}
            />
          ) : null}
          {state === 'planned' ? (
            <Button
              look="stop"
              label="Remove"
              says={`Remove ${sample.number}`}
              onPress={() => run(remove('sample', sample.id, surfaceId), `${sample.number} removed`)}
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

interface AnswerFields {
  readonly value: number | null;
  readonly unit: LabUnit | null;
  readonly trace: boolean;
  readonly below: boolean;
  readonly analysis: Analysis | null;
  readonly note: string;
}

function Answer({ asbestos, onSave }: { readonly asbestos: boolean; readonly onSave: (f: AnswerFields) => void }) {
  const [value, setValue] = useState<number | null>(null);
  const [unit, setUnit] = useState<LabUnit | ''>(asbestos ? 'mass%' : '');
  const [trace, setTrace] = useState(false);
  const [below, setBelow] = useState(false);
  const [analysis, setAnalysis] = useState<Analysis>('plm');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string>();
  const save = () => {
    if (value === null && !trace) return setProblem('Enter the result.');
    if (!trace && unit === '') return setProblem('State the unit: %, ppm or mg/cm².');
    onSave({
      value: trace ? null : value,
      unit: trace ? null : unit || null,
      trace,
      below: below && !trace,
      analysis: asbestos ? analysis : null,
      note,
    });
  };
  return (
    <View className="gap-3 py-2" testID="answer-form">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[9rem] flex-1">
          <NumberField
            label={asbestos ? 'Asbestos, 0 if none was seen' : 'Result, 0 if the lab saw none'}
            value={value}
            optional
            decimals={4}
            onCommit={setValue}
            problem={problem}
            testID="answer-value"
          />
        </View>
        {asbestos ? null : (
          <View className="min-w-[9rem] flex-1">
            <Select
              label="Unit"
              value={unit}
              options={[
                { value: '', label: 'state the unit' },
                ...LAB_UNITS.map((u) => ({ value: u, label: u === 'mass%' ? '% by mass' : u })),
              ]}
              onChange={setUnit}
              testID="answer-unit"
            />
          </View>
        )}
      </View>
      <Toggle label="Less than this: the lab wrote <" hint="Below what it could see is not none" value={below} onChange={setBelow} />
      {asbestos ? (
        <>
          <Toggle label="Trace: seen, too little to measure" value={trace} onChange={setTrace} />
          <Select
            label="How the lab looked"
            value={analysis}
            options={ANALYSES.map((a) => ({ value: a, label: say(a) }))}
            onChange={setAnalysis}
          />
        </>
      ) : null}
      <TextField label="Note" value={note} onChange={setNote} onCommit={setNote} />
      <Button look="main" label="Record the answer" onPress={save} testID="save-answer" />
    </View>
  );
}
