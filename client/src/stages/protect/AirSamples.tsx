/** The firm’s own air samples: worn while a task is done, answered by the lab, and whether they count. */
import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, many, measure, numberAfter, say, type AirSample, type JobFacts, type MethodId } from '@roughsill/core';
import { airSampleState, breathedIn, LEAST_MIN } from '@roughsill/core/air';
import { Button, NumberField, Panel, Problems, Select, TextField, Toggle, useUnits, useWhen, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, commit, remove, set, useAppDispatch, useFirm, useSettings, type Draft } from '../../store';
import type { BreathingZone } from '../../workers/ask-protocol';
import { DayField, dayOf, onDay } from '../DayField';

const STATE_WORDS = {
  waiting: 'at the lab',
  short: `shorter than ${LEAST_MIN} min: says too little`,
  old: 'too old: does not count',
  counts: 'counts',
} as const;

/** Tasks of the plan on which somebody may wear a pump. */
const tasksIn = (zones: readonly BreathingZone[]) => zones.flatMap((z) => z.tasks);

export function AirSamples({ facts, zones }: { readonly facts: JobFacts; readonly zones: readonly BreathingZone[] }) {
  const [adding, setAdding] = useState(false);
  const samples = facts.airSamples.filter((a) => a.removedAt === null);
  const tasks = tasksIn(zones);
  const sampled = new Set(samples.map((a) => `${a.onSurfaceId}/${a.methodId}`));
  const open = tasks.filter((t) => !sampled.has(`${t.surfaceId}/${t.methodId}`));
  return (
    <Panel title="Air samples" aside={many(samples.length, 'sample')} testID="air-samples">
      {samples.length === 0 ? (
        <Words>
          {open.length > 0
            ? `A pump at 2 L/min on whoever does it, for the whole task and at least ${LEAST_MIN} min. Most would come of: ${open
                .slice(0, 3)
                .map((t) => `${say(t.methodId)} on ${t.surface}`)
                .join('; ')}.`
            : 'No task of the plan reaches lead.'}
        </Words>
      ) : null}
      {samples.map((a) => (
        <AirSampleCard key={a.id} facts={facts} sample={a} />
      ))}
      {adding ? (
        <NewSample facts={facts} zones={zones} onDone={() => setAdding(false)} />
      ) : (
        <View className="flex-row flex-wrap gap-2">
          {tasks.length > 0 ? <Button look="main" label="Record a sample" onPress={() => setAdding(true)} testID="new-air" /> : null}
          <Button look="quiet" label="What could a sample show" onPress={() => router.navigate('/air')} />
        </View>
      )}
    </Panel>
  );
}

function AirSampleCard({ facts, sample: a }: { readonly facts: JobFacts; readonly sample: AirSample }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const when = useWhen();
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<string>();
  const run = (draft: Draft, what: string) => setProblem(dispatch(commit(facts.job.id, [draft], what))[0]?.message);
  const state = airSampleState(a, facts.job.startOn, new Date().getUTCFullYear());
  const ug = breathedIn(a);
  const on = facts.surfaces.find((s) => s.id === a.onSurfaceId);
  return (
    <View
      role="group"
      aria-label={`Air sample ${a.number}`}
      testID={`air-${a.number}`}
      className={`gap-1 border-l-4 bg-panel px-3 py-2 ${state === 'counts' ? 'border-verdigris' : 'border-ochre'}`}
    >
      <Words look="row">
        {`${a.number}: ${ug === null ? 'no answer yet' : `${a.below ? 'less than ' : ''}${formatMeasure(measure(Math.round(ug * 10) / 10, 'ug/m3'), units)}`}`}
      </Words>
      <Words look="note">
        {[
          `${cap(say(a.methodId))} on ${on?.name ?? 'a surface that is gone'}`,
          a.person,
          `${a.minutes} min at ${a.flowLMin} L/min, ${Math.round(a.minutes * a.flowLMin)} L`,
          when(a.startedAt),
          STATE_WORDS[state],
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {a.massUg === null || open ? (
        <View className="gap-3">
          <NumberField
            label="Lead on the filter"
            unit="µg"
            value={a.massUg}
            optional
            decimals={2}
            check={(v) => (v < 0 ? 'An amount cannot be negative.' : undefined)}
            onCommit={(massUg) => run(set('airSample', a.id, { massUg }), `${a.number}: answer`)}
            testID={`mass-${a.number}`}
          />
          <Toggle
            label="The lab could see no less, and there was less"
            value={a.below}
            onChange={(below) => run(set('airSample', a.id, { below }), a.number)}
          />
        </View>
      ) : null}
      {problem ? (
        <Words alert tone="oxide">
          {cap(problem)}
        </Words>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        {a.massUg !== null ? (
          <Button
            look="quiet"
            flush
            expanded={open}
            label={open ? 'Close' : 'Put right'}
            says={`Air sample ${a.number}: ${open ? 'close' : 'put right'}`}
            onPress={() => setOpen(!open)}
          />
        ) : null}
        <Button
          look="quiet"
          flush
          label="Take it out"
          says={`Take air sample ${a.number} out`}
          onPress={() => run(remove('airSample', a.id), `${a.number} taken out`)}
        />
      </View>
    </View>
  );
}

function NewSample({
  facts,
  zones,
  onDone,
}: {
  readonly facts: JobFacts;
  readonly zones: readonly BreathingZone[];
  readonly onDone: () => void;
}) {
  const dispatch = useAppDispatch();
  const firm = useFirm();
  const settings = useSettings();
  const tasks = tasksIn(zones);
  const [at, setAt] = useState(0);
  const { timeZone } = facts.job;
  const [day, setDay] = useState(() => dayOf(new Date().toISOString(), timeZone));
  const [person, setPerson] = useState('');
  const [minutes, setMinutes] = useState<number | null>(240);
  const [flow, setFlow] = useState<number | null>(2);
  const [mass, setMass] = useState<number | null>(null);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const task = tasks[at];
  const shiftMin = (zones.find((z) => z.tasks.includes(task!))?.day.shiftH ?? settings.hoursPerDay) * 60;
  const number = numberAfter('A', facts.airSamples);
  const longer = minutes !== null && minutes > shiftMin ? `The shift is ${shiftMin} min: a sample cannot run longer.` : undefined;
  const keep = () => {
    if (minutes === null || flow === null)
      return setProblems([
        { path: 'minutes', message: 'A sample has its minutes and its flow: without them nobody knows how much air it saw.' },
      ]);
    if (!task || longer) return;
    const fields = {
      number,
      onSurfaceId: task.surfaceId,
      methodId: task.methodId as MethodId,
      person,
      startedAt: onDay(day, new Date().toISOString(), timeZone),
      minutes,
      flowLMin: flow,
      massUg: mass,
      below: false,
      lab: '',
      note: '',
    };
    const found = dispatch(commit(facts.job.id, [add('airSample', fields)], `air sample ${number}`));
    setProblems(found);
    if (found.length === 0) onDone();
  };
  const people = firm.people.filter((p) => p.removedAt === null);
  return (
    <View className="gap-3" testID="air-form">
      <Words look="strong">{number}</Words>
      <Select
        label="Worn while"
        value={String(at)}
        options={tasks.map((t, i) => ({ value: String(i), label: `${say(t.methodId)} on ${t.surface}` }))}
        onChange={(v) => setAt(Number(v))}
        testID="air-task"
      />
      <DayField label="Worn on" value={day} onCommit={setDay} testID="air-day" />
      {people.length > 0 ? (
        <Select
          label="By"
          value={person}
          options={[{ value: '', label: 'not said' }, ...people.map((p) => ({ value: p.name, label: p.name }))]}
          onChange={setPerson}
        />
      ) : (
        <TextField label="By" value={person} onCommit={setPerson} />
      )}
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[8rem] flex-1">
          <NumberField
            label="Ran"
            unit="min"
            value={minutes}
            optional
            decimals={0}
            problem={longer}
            onCommit={setMinutes}
            testID="air-minutes"
          />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField
            label="Flow"
            unit="L/min"
            value={flow}
            optional
            decimals={2}
            check={(v) => (v >= 0.1 && v <= 20 ? undefined : '0.1 to 20 L/min.')}
            onCommit={setFlow}
          />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField
            label="Lead on the filter"
            unit="µg"
            value={mass}
            optional
            decimals={2}
            hint="empty: not answered yet"
            onCommit={setMass}
            testID="air-mass"
          />
        </View>
      </View>
      <Problems problems={problems} />
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label="Keep it" onPress={keep} testID="air-keep" />
        <Button look="quiet" label="Not now" onPress={onDone} />
      </View>
    </View>
  );
}
