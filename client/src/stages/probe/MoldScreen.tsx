/** The mold cause finder of a room: questions first, then climate and fan, then whether it comes back, with each remedy. */
import { createElement, useEffect, useId, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import {
  convert,
  FAN_ROOMS,
  formatMeasure,
  measure,
  MoistureFacts as MoistureSchema,
  roundForReading,
  bookOf,
  say,
  spell,
  YES_NO,
  type JobFacts,
  type MoistureFacts,
  type Problem,
  type Space,
} from '@roughsill/core';
import { readClimate, readTable } from '@roughsill/core/import';
import {
  comesBack,
  fanVerdict,
  liningOf,
  PINE,
  simulatedClimate,
  spotClimate,
  type Climate,
  type Outlook,
  type Sensitivity,
} from '@roughsill/core/moist';
import { CAUSE_QUESTIONS, moldPicture } from '@roughsill/core/survey';
import { Button, Empty, NumberField, Panel, Pick, Problems, Select, useUnits, Words } from '../../kit';
import { AnswerRow, Reasons } from '../../kit/Why';
import { commit, set, useAppDispatch } from '../../store';
import type { FromMoldWorker, ToMoldWorker } from '../../workers/mold-protocol';
import { spawnMoldWorker } from '../../workers/spawn';
import { JobPage } from '../JobPage';
import { GrowthChart, RemedyLine } from './GrowthChart';

export const MoldScreen = () => (
  <JobPage title={spell('What makes it mold')} hint="Water from outside comes first; then the room’s own air; then the coldest face.">
    {(facts) => <Mold facts={facts} />}
  </JobPage>
);

/** A usual small bathroom in a cool season, to be put right. */
const USUAL: MoistureFacts = {
  insideC: 20,
  insideRhPct: 60,
  outsideC: 5,
  outsideRhPct: 85,
  uValueWm2K: 1.5,
  fanRatedM3h: null,
  fanMeasuredM3h: null,
  fanMinPerDay: 30,
  leakAch: 0.5,
  waterGPerDay: 600,
  burstsPerDay: 2,
  leak: 'unknown',
  rising: 'unknown',
  fanVentsOutside: 'unknown',
  laundryDries: 'unknown',
  coldCorner: 'unknown',
  fanRoom: 'bath',
};
const WALLS = [
  { value: '0.4', label: 'lined, 0.4' },
  { value: '1.0', label: 'cavity, 1.0' },
  { value: '1.5', label: 'thick solid, 1.5' },
  { value: '2.1', label: 'one brick, 2.1' },
] as const;
const GROUNDS: readonly { readonly value: 'wood' | Sensitivity; readonly label: string }[] = [
  { value: 'wood', label: 'bare pine' },
  { value: 'sensitive', label: 'paper, painted board' },
  { value: 'medium', label: 'plaster, masonry' },
  { value: 'resistant', label: 'glass, metal' },
];

function Mold({ facts }: { readonly facts: JobFacts }) {
  const { space: wanted } = useLocalSearchParams<{ space?: string }>();
  const rooms = facts.spaces.filter((s) => s.removedAt === null && s.kind === 'room');
  const moldy = rooms.find((r) => facts.surfaces.some((s) => s.spaceId === r.id && s.removedAt === null && s.conditions.includes('moldy')));
  const [chosen, setChosen] = useState(wanted ?? moldy?.id ?? rooms[0]?.id ?? '');
  const space = rooms.find((r) => r.id === chosen);
  if (rooms.length === 0) return <Empty says="Add a room first: the finder works room by room." />;
  return (
    <>
      <Pick label="Room" value={chosen} options={rooms.map((r) => ({ value: r.id, label: r.name }))} onChange={setChosen} />
      {space ? <Room key={space.id} facts={facts} space={space} /> : null}
    </>
  );
}

function Room({ facts, space }: { readonly facts: JobFacts; readonly space: Space }) {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const m = space.moisture;
  const surfaces = facts.surfaces.filter((s) => s.spaceId === space.id && s.removedAt === null);
  const picture = moldPicture(space, surfaces, bookOf(facts.job));
  const write = (fields: Partial<MoistureFacts>, what: string) =>
    setProblems(
      dispatch(commit(facts.job.id, [set('space', space.id, { moisture: { ...(m ?? USUAL), ...fields } })], `${space.name}: ${what}`)),
    );
  return (
    <>
      <Panel title="Where the water comes from" aside={say(picture.cause.value)} testID="cause-questions">
        <Reasons because={picture.cause.because} />
        {CAUSE_QUESTIONS.map((q) => (
          <Pick
            key={q}
            label={say(q)}
            value={m?.[q] ?? 'unknown'}
            options={YES_NO.map((value) => ({ value, label: value === 'unknown' ? 'not known' : value }))}
            onChange={(v) => write({ [q]: v }, say(q))}
            testID={`cause-${q}`}
          />
        ))}
      </Panel>
      <Problems problems={problems} />
      {m === null ? (
        <Empty says="Answer a question or start from a usual bathroom, then put the numbers right.">
          <Button look="main" label="Start from a usual bathroom" onPress={() => write({}, 'climate')} testID="start-climate" />
        </Empty>
      ) : (
        <>
          <ClimateForm moisture={m} onSet={write} readings={<FromReadings facts={facts} space={space} onSet={write} />} />
          <Now moisture={m} space={space} facts={facts} />
          <Outlooks facts={facts} space={space} moisture={m} />
        </>
      )}
    </>
  );
}

/** Takes over what the thermo-hygrometer read last in this room. */
function FromReadings({
  facts,
  space,
  onSet,
}: {
  readonly facts: JobFacts;
  readonly space: Space;
  readonly onSet: (f: Partial<MoistureFacts>, what: string) => void;
}) {
  const units = useUnits();
  const air = facts.surfaces
    .filter((s) => s.spaceId === space.id)
    .flatMap((s) => s.readings)
    .filter((r) => r.kind === 'air' && r.value !== null && r.humidityPct !== null)
    .sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1))[0];
  if (!air) return null;
  return (
    <Button
      label={`Take over the last reading: ${formatMeasure(measure(air.value!, 'C'), units)}, ${air.humidityPct} %`}
      onPress={() => onSet({ insideC: air.value!, insideRhPct: air.humidityPct! }, 'air taken over')}
    />
  );
}

interface ClimateFormProps {
  readonly moisture: MoistureFacts;
  readonly onSet: (fields: Partial<MoistureFacts>, what: string) => void;
  readonly readings: React.ReactNode;
}

function ClimateForm({ moisture: m, onSet, readings }: ClimateFormProps) {
  const units = useUnits();
  const imperial = units === 'ft';
  const check = (field: keyof MoistureFacts) => (v: number) => {
    const r = MoistureSchema.shape[field].safeParse(v);
    return r.success ? undefined : r.error.issues[0]?.message;
  };
  const number = (
    field: 'insideRhPct' | 'outsideRhPct' | 'uValueWm2K' | 'fanMinPerDay' | 'leakAch' | 'waterGPerDay' | 'burstsPerDay',
    label: string,
    unit?: string,
    step?: number,
    decimals = 0,
  ) => (
    <View className="min-w-[9rem] flex-1">
      <NumberField
        label={label}
        unit={unit}
        value={m[field]}
        step={step}
        decimals={decimals}
        check={check(field)}
        onCommit={(v) => v !== null && onSet({ [field]: v }, label.toLowerCase())}
        testID={`moist-${field}`}
      />
    </View>
  );
  const degrees = (field: 'insideC' | 'outsideC', label: string) => (
    <View className="min-w-[9rem] flex-1">
      <NumberField
        label={label}
        unit={imperial ? '°F' : '°C'}
        value={roundForReading(imperial ? convert(m[field], 'C', 'F') : m[field])}
        decimals={1}
        step={1}
        check={(v) => check(field)(imperial ? convert(v, 'F', 'C') : v)}
        onCommit={(v) => v !== null && onSet({ [field]: imperial ? convert(v, 'F', 'C') : v }, label.toLowerCase())}
      />
    </View>
  );
  const flow = (field: 'fanRatedM3h' | 'fanMeasuredM3h', label: string, hint: string) => (
    <View className="min-w-[9rem] flex-1">
      <NumberField
        label={label}
        unit={imperial ? 'cfm' : 'm³/h'}
        hint={hint}
        optional
        decimals={0}
        value={m[field] === null ? null : roundForReading(imperial ? convert(m[field], 'm3/h', 'cfm') : m[field])}
        check={(v) => check(field)(imperial ? convert(v, 'cfm', 'm3/h') : v)}
        onCommit={(v) => onSet({ [field]: v === null ? null : imperial ? convert(v, 'cfm', 'm3/h') : v }, label.toLowerCase())}
      />
    </View>
  );
  const wall = WALLS.find((w) => Number(w.value) === m.uValueWm2K)?.value ?? null;
  return (
    <Panel title="Air, wall and fan">
      {readings}
      <View className="flex-row flex-wrap gap-3">
        {degrees('insideC', 'Inside')}
        {number('insideRhPct', 'Humidity inside', '%', 5)}
        {degrees('outsideC', 'Outside')}
        {number('outsideRhPct', 'Humidity outside', '%', 5)}
      </View>
      <Pick
        label="Outside wall or roof, heat loss in W/m²K"
        value={wall}
        options={WALLS}
        onChange={(v) => onSet({ uValueWm2K: Number(v) }, 'wall')}
      />
      <View className="flex-row flex-wrap gap-3">
        {number('uValueWm2K', 'Heat loss', 'W/m²K', undefined, 2)}
        {number('leakAch', 'Leaks', 'air changes/h', 0.1, 2)}
        {number('waterGPerDay', 'Water given off', 'g/day', 250)}
        {number('burstsPerDay', 'Showers or cooking', 'a day', 1)}
      </View>
      <View className="flex-row flex-wrap gap-3">
        {flow('fanRatedM3h', 'Fan, as labelled', 'Empty: no fan')}
        {flow('fanMeasuredM3h', 'Fan, as measured', 'At the grille, with a bag or a vane')}
        <View className="min-w-[10rem] flex-1">
          <Select
            label="The fan is for"
            value={m.fanRoom}
            options={FAN_ROOMS.map((value) => ({ value, label: say(value) }))}
            onChange={(fanRoom) => onSet({ fanRoom }, 'what the fan is for')}
            testID="fan-room"
          />
        </View>
        {number('fanMinPerDay', 'Fan runs', 'min/day', 15)}
      </View>
    </Panel>
  );
}

function Now({ moisture, space, facts }: { readonly moisture: MoistureFacts; readonly space: Space; readonly facts: JobFacts }) {
  const units = useUnits();
  const spot = spotClimate(moisture);
  const floor = (space.lengthM ?? 2.4) * (space.widthM ?? 1.9);
  const fan = fanVerdict(moisture, floor, facts.job.rulebook);
  return (
    <Panel title="At the coldest face now" testID="spot-climate">
      <AnswerRow
        label={`${formatMeasure(measure(spot.faceC, 'C'), units)}, ${Math.round(spot.faceRhPct)} % RH`}
        value={{ dry: 'dry', risk: 'at risk', condenses: 'condenses' }[spot.risk.value]}
        of="the coldest face"
        because={spot.risk.because}
        note={`temperature factor ${spot.fRsi.toFixed(2)}; this air needs at least ${spot.leastFRsi.toFixed(2)}`}
      />
      <AnswerRow
        label="Fan"
        value={{ enough: 'enough', weak: 'too weak', none: 'none', intoRoof: 'not outdoors' }[fan.value]}
        of="the fan"
        because={fan.because}
      />
    </Panel>
  );
}

function Outlooks({ facts, space, moisture }: { readonly facts: JobFacts; readonly space: Space; readonly moisture: MoistureFacts }) {
  const inputId = useId();
  const [own, setOwn] = useState<{ climate: Climate; name: string } | null>(null);
  const grown = facts.surfaces.find((s) => s.spaceId === space.id && s.removedAt === null && s.conditions.includes('moldy'));
  const lining = grown ? (liningOf(grown.material) ?? 'wood') : 'wood';
  const [picked, setPicked] = useState<'wood' | Sensitivity | null>(null);
  // Where growth is there, and on its lining would stay away, the ground has shown that it feeds it: the strictest is taken.
  const [shown, setShown] = useState(false);
  const ground = picked ?? (shown ? 'wood' : lining);
  const [state, setState] = useState<{ share: number; outlooks: readonly Outlook[] | null }>({ share: 0, outlooks: null });
  const [problem, setProblem] = useState<string>();
  const worker = useRef<Worker | null>(null);
  const run = useRef(0);
  const climate = useMemo(
    () => own?.climate ?? simulatedClimate(facts.job.samplingSeed.trim() || facts.job.id),
    [own, facts.job.samplingSeed, facts.job.id],
  );

  useEffect(() => () => worker.current?.terminate(), []);
  useEffect(() => {
    // An older question that is still being reckoned is dropped with its worker.
    worker.current?.terminate();
    const made = spawnMoldWorker();
    worker.current = made;
    run.current += 1;
    const mine = run.current;
    made.addEventListener('message', ({ data }: MessageEvent<FromMoldWorker>) => {
      if (data.run !== mine) return;
      const present = data.kind === 'done' ? data.outlooks.find((o) => o.remedy === 'now') : undefined;
      if (present && grown && picked === null && ground !== 'wood' && present.firstWeek === null) return setShown(true);
      setState((s) => (data.kind === 'done' ? { share: 1, outlooks: data.outlooks } : { ...s, share: data.share }));
    });
    made.postMessage({
      run: mine,
      moisture,
      space,
      climate,
      material: { ...PINE, sensitivity: ground === 'wood' ? null : ground },
      rules: facts.job.rulebook,
    } satisfies ToMoldWorker);
  }, [moisture, space, climate, ground, picked, grown, facts.job.rulebook]);

  const now = state.outlooks?.find((o) => o.remedy === 'now');
  const verdict = now && comesBack(now, moisture, grown !== undefined);
  const open = (file: File) =>
    void file.arrayBuffer().then((b) => {
      const table = readTable(new Uint8Array(b));
      const read = table.ok ? readClimate(table.value) : table;
      if (!read.ok) return setProblem(read.problems.map((p) => `${p.path}: ${p.message}`).join('; '));
      setProblem(undefined);
      setOwn({ climate: read.value, name: file.name });
    });
  return (
    <Panel title="Will it come back?" aside={own ? own.name : 'simulated climate'} testID="outlook">
      <Pick label="It grows on" value={ground} options={GROUNDS} onChange={setPicked} testID="lining" />
      {picked === null && grown ? (
        <Words look="note">
          {shown
            ? `On ${say(grown.material)}, as ${grown.name} is, it would stay away, and growth is there: reckoned as on bare pine, the strictest.`
            : `Taken from ${grown.name}: ${say(grown.material)}.`}
        </Words>
      ) : null}
      {state.share < 1 ? (
        <View
          role="progressbar"
          aria-valuenow={Math.round(state.share * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-label="Reckoning the hours of a year"
          className="h-3 bg-shelf"
        >
          <View className="h-3 bg-soot" style={{ width: `${Math.round(state.share * 100)}%` }} />
        </View>
      ) : null}
      {verdict ? (
        <AnswerRow
          label={{ yes: 'It comes back', slowly: 'It starts again', no: 'It stays away', unexplained: 'Not explained yet' }[verdict.value]}
          value={
            now.seenWeek !== null
              ? `in ${Math.ceil(now.seenWeek)} weeks`
              : now.firstWeek !== null
                ? `in ${Math.ceil(now.firstWeek)} weeks`
                : ''
          }
          of="whether it comes back"
          because={verdict.because}
        />
      ) : null}
      {state.outlooks ? (
        <>
          <GrowthChart
            outlooks={state.outlooks}
            says={`Growth index by week. ${state.outlooks.map((o) => `${say(`remedy.${o.remedy}`)}: at most ${o.peak.toFixed(1)}`).join('; ')}`}
          />
          <View className="gap-1" testID="remedies">
            {state.outlooks.map((o) => (
              <View key={o.remedy} className="flex-row flex-wrap items-center gap-3 bg-panel px-3 py-2">
                <RemedyLine remedy={o.remedy} />
                <Words look="row" className="min-w-[7rem]">
                  {say(`remedy.${o.remedy}`)}
                </Words>
                <Words
                  look="note"
                  className="min-w-[12rem] flex-1"
                >{`${o.seenWeek !== null ? `seen in ${Math.ceil(o.seenWeek)} weeks` : o.firstWeek !== null ? `starts in ${Math.ceil(o.firstWeek)} weeks` : 'does not start'}; at most ${o.peak.toFixed(1)} of 6; dampest month ${Math.round(o.dampestMonthRhPct)} % at the face; ${o.airChanges.toFixed(1)} air changes/h`}</Words>
              </View>
            ))}
          </View>
          <Words look="note">
            {`Fan: the size that the rule asks for, running on 30 minutes. Heat: ${formatMeasure(measure(2, 'deltaC'), facts.job.units)} more, never let down. Insulation: to 0.4 W/m²K. A model on wood (Hukka and Viitanen 1999): weeks are a guide, not a promise.`}
          </Words>
        </>
      ) : null}
      <View className="flex-row flex-wrap items-center gap-2">
        <View className="relative min-h-touch border-2 border-soot bg-panel">
          {createElement(
            'label',
            { htmlFor: inputId, style: { display: 'flex', minHeight: '3rem', alignItems: 'center', padding: '0 1rem', cursor: 'pointer' } },
            <Words look="strong">Use your own hourly climate, CSV</Words>,
          )}
          {createElement('input', {
            id: inputId,
            type: 'file',
            accept: '.csv,.txt,text/csv',
            'data-testid': 'climate-file',
            onChange: (e: { target: { files: FileList | null } }) => e.target.files?.[0] && open(e.target.files[0]),
            style: { position: 'absolute', inset: 0, opacity: 0, width: '100%' },
          })}
        </View>
        {own ? <Button look="quiet" label="Back to the simulated one" onPress={() => setOwn(null)} /> : null}
      </View>
      {problem ? (
        <Words alert look="strong" tone="oxide">
          {problem}
        </Words>
      ) : null}
    </Panel>
  );
}
