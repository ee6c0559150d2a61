/** Whether the film holds: cross-cut and tape, knife, a drop of water; keep, feather or strip. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  BLANK_READING,
  convert,
  roundForReading,
  say,
  standingReadings,
  type Answer,
  type Hold,
  type Problem,
  type Surface,
} from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Problems, useUnits, useWhen, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { add, commit, set, useAppDispatch } from '../../store';
import { cap } from '../../kit/text';

type Kind = 'crossCut' | 'knife' | 'drop';
const CROSS_CUT = [
  { value: '5', label: '5  nothing on the tape' },
  { value: '4', label: '4  a trace' },
  { value: '3', label: '3  up to 15 %' },
  { value: '2', label: '2  up to 35 %' },
  { value: '1', label: '1  up to 65 %' },
  { value: '0', label: '0  more' },
] as const;
const KNIFE = [
  { value: '10', label: '10  hard, tiny chips' },
  { value: '8', label: '8  chips to 3 mm' },
  { value: '6', label: '6  chips to 6 mm' },
  { value: '4', label: '4  lifts with little force' },
  { value: '2', label: '2  can be peeled' },
  { value: '0', label: '0  peels by itself' },
] as const;

interface FilmPanelProps {
  readonly jobId: string;
  readonly surface: Surface;
  readonly hold: Answer<Hold>;
}

export function FilmPanel({ jobId, surface, hold }: FilmPanelProps) {
  const [form, setForm] = useState<Kind | null>(null);
  const when = useWhen();
  const dispatch = useAppDispatch();
  const unit = useUnits() === 'ft' ? 'mil' : 'um';
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const readings = standingReadings(surface).filter((r) => r.kind === 'crossCut' || r.kind === 'knife' || r.kind === 'drop');
  return (
    <Panel title="Does the film hold" testID="film">
      <AnswerRow label="From what was cut and tried" value={say(hold.value)} of="whether the film holds" because={hold.because} />
      {readings.map((r) => (
        <Words
          key={r.id}
          look="note"
        >{`${cap(say(r.kind))}: ${r.value}${r.kind === 'drop' ? ' s' : ''} · ${when(r.takenAt)}${r.note ? ` · ${r.note}` : ''}`}</Words>
      ))}
      {form ? (
        <FilmForm key={form} jobId={jobId} surface={surface} kind={form} onDone={() => setForm(null)} />
      ) : (
        <View className="flex-row flex-wrap gap-2">
          <Button label="Cross-cut" testID="record-crossCut" onPress={() => setForm('crossCut')} />
          <Button label="Knife" onPress={() => setForm('knife')} />
          <Button label="Drop of water" onPress={() => setForm('drop')} />
        </View>
      )}
      <NumberField
        label="All coats together, by gauge"
        unit={unit === 'um' ? 'µm' : unit}
        hint="A cross-cut is for thin films; through a thick one only the X-cut or the knife tells"
        value={surface.filmUm === null ? null : roundForReading(convert(surface.filmUm, 'um', unit))}
        optional
        problem={problems[0]?.message}
        onCommit={(v) =>
          setProblems(
            dispatch(
              commit(
                jobId,
                [set('surface', surface.id, { filmUm: v === null ? null : convert(v, unit, 'um') })],
                `${surface.name}: thickness of the film`,
              ),
            ),
          )
        }
        testID="film-thickness"
      />
    </Panel>
  );
}

function FilmForm({
  jobId,
  surface,
  kind,
  onDone,
}: {
  readonly jobId: string;
  readonly surface: Surface;
  readonly kind: Kind;
  readonly onDone: () => void;
}) {
  const dispatch = useAppDispatch();
  const [seconds, setSeconds] = useState<number | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const save = (value: number | null) => {
    const fields = { ...BLANK_READING, kind, takenAt: new Date().toISOString(), value, unit: kind === 'drop' ? 's' : 'class' };
    const found = dispatch(commit(jobId, [add('reading', fields, surface.id)], null));
    setProblems(found);
    if (found.length === 0) onDone();
  };
  return (
    <View className="gap-3 bg-panel p-3" testID="film-form">
      {kind === 'drop' ? (
        <>
          <NumberField
            label="Gone after"
            unit="s"
            value={seconds}
            step={10}
            optional
            decimals={0}
            onCommit={setSeconds}
            testID="drop-seconds"
          />
          <View className="flex-row flex-wrap gap-2">
            <Button look="main" label="Record it" onPress={() => save(seconds)} />
            <Button label="Still stands after 2 min" onPress={() => save(120)} />
          </View>
        </>
      ) : (
        <Pick
          label={kind === 'crossCut' ? 'On the tape, of six cuts each way' : 'An X cut to the material, lifted with the point'}
          value={null}
          options={kind === 'crossCut' ? CROSS_CUT : KNIFE}
          onChange={(v: string) => save(Number(v))}
          testID={`${kind}-classes`}
        />
      )}
      <Problems problems={problems} />
      <Button look="quiet" flush label="Leave it" onPress={onDone} />
    </View>
  );
}
