/** The mold cause finder of a room: questions first, then climate and fan, then whether it comes back, with each remedy. */
import { useEffect, useMemo, useRef, useState } from 'react';
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
  COLD_FACES,
  FAN_BLOWS,
  HEATINGS,
  LININGS,
  say,
  spell,
  USUAL_MOISTURE,
  YES_NO,
  type JobFacts,
  type MoistureFacts,
  type Problem,
  type Space,
} from '@roughsill/core';
import { readClimate } from '@roughsill/core/import';
import {
  comesBack,
  fanVerdict,
  liningOf,
  PINE,
  simulatedClimate,
  spotClimate,
  type Climate,
  type Forecast,
  type Sensitivity,
} from '@roughsill/core/moist';
import { CAUSE_QUESTIONS, moldPicture } from '@roughsill/core/survey';
import { Button, Empty, FilePick, NumberField, Panel, Pick, Problems, Select, useUnits, Words } from '../../kit';
import { AnswerRow, Reasons } from '../../kit/Why';
import { commit, set, useAppDispatch } from '../../store';
import type { FromMoldWorker, ToMoldWorker } from '../../workers/mold-protocol';
import { spawnMoldWorker } from '../../workers/spawn';
import { JobPage } from '../JobPage';
import { LoggerWeek } from './LoggerWeek';
import { Remedies } from './Remedies';
import { readPicked } from './table-file';

export const MoldScreen = () => (
  <JobPage title={spell('What makes it mold')} hint="Water from outside comes first; then the room’s own air; then the coldest face.">
    {(facts) => <Mold facts={facts} />}
  </JobPage>
);

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
      dispatch(
        commit(facts.job.id, [set('space', space.id, { moisture: { ...(m ?? USUAL_MOISTURE), ...fields } })], `${space.name}: ${what}`),
      ),
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
            options={(q === 'fanVentsOutside' ? FAN_BLOWS : YES_NO).map((value) => ({
              value,
              label: value === 'unknown' ? 'not known' : say(value),
            }))}
            onChange={(v: string) => write({ [q]: v }, say(q))}
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
          <Outlooks facts={facts} space={space} moisture={m} onSet={write} />
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
    field: 'insideRhPct' | 'outsideRhPct' | 'uValueWm2K' | 'fanMinPerDay' | 'windowMinPerDay' | 'leakAch' | 'waterGPerDay' | 'burstsPerDay',
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
  /** A colder hour by so many degrees: no temperature, but a difference of two. */
  const less = (
    <View className="min-w-[9rem] flex-1">
      <NumberField
        label="Let down by"
        unit={imperial ? '°F' : '°C'}
        value={roundForReading(imperial ? m.letDownC * 1.8 : m.letDownC)}
        decimals={1}
        step={1}
        check={(v) => check('letDownC')(imperial ? v / 1.8 : v)}
        onCommit={(v) => v !== null && onSet({ letDownC: imperial ? v / 1.8 : v }, 'let down')}
        testID="moist-letDownC"
      />
    </View>
  );
  const face = (
    <View className="min-w-[9rem] flex-1">
      <NumberField
        label="Coldest spot, measured"
        hint="With the two temperatures above: a bridge shows itself so"
        unit={imperial ? '°F' : '°C'}
        optional
        value={m.measuredFaceC === null ? null : roundForReading(imperial ? convert(m.measuredFaceC, 'C', 'F') : m.measuredFaceC)}
        decimals={1}
        check={(v) => check('measuredFaceC')(imperial ? convert(v, 'F', 'C') : v)}
        onCommit={(v) => onSet({ measuredFaceC: v === null ? null : imperial ? convert(v, 'F', 'C') : v }, 'coldest spot')}
        testID="moist-measuredFaceC"
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
        {face}
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
        {number('windowMinPerDay', 'Windows wide open', 'min/day', 10)}
      </View>
      <Pick
        label="What stands before the coldest wall"
        value={m.coldFace}
        options={COLD_FACES.map((value) => ({ value, label: say(`coldFace.${value}`) }))}
        onChange={(coldFace) => onSet({ coldFace }, 'what stands before the wall')}
        testID="cold-face"
      />
      <Pick
        label="Walls and ceiling are lined with"
        value={m.lining}
        options={LININGS.map((value) => ({ value, label: say(`lining.${value}`) }))}
        onChange={(lining) => onSet({ lining }, 'lining')}
      />
      <Pick
        label="Heated"
        value={m.heating}
        options={HEATINGS.map((value) => ({ value, label: say(`heating.${value}`) }))}
        onChange={(heating) => onSet({ heating }, 'heating')}
        testID="heating"
      />
      {m.heating === 'night' || m.heating === 'twice' ? <View className="flex-row flex-wrap gap-3">{less}</View> : null}
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
        value={{ enough: 'enough', weak: 'too weak', none: 'none', intoRoof: 'not outdoors', blowsIn: 'blows in' }[fan.value]}
        of="the fan"
        because={fan.because}
      />
    </Panel>
  );
}

function Outlooks({
  facts,
  space,
  moisture,
  onSet,
}: {
  readonly facts: JobFacts;
  readonly space: Space;
  readonly moisture: MoistureFacts;
  readonly onSet: (fields: Partial<MoistureFacts>, what: string) => void;
}) {
  const [own, setOwn] = useState<{ climate: Climate; name: string } | null>(null);
  const grown = facts.surfaces.find((s) => s.spaceId === space.id && s.removedAt === null && s.conditions.includes('moldy'));
  const lining = grown ? (liningOf(grown.material) ?? 'wood') : 'wood';
  const [picked, setPicked] = useState<'wood' | Sensitivity | null>(null);
  // Where growth is there, and on its lining would stay away, the ground has shown that it feeds it: the strictest is taken.
  const [shown, setShown] = useState(false);
  const ground = picked ?? (shown ? 'wood' : lining);
  const [state, setState] = useState<{ share: number; forecast: Forecast | null }>({ share: 0, forecast: null });
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
      const present = data.kind === 'done' ? data.forecast.now : undefined;
      if (present && grown && picked === null && ground !== 'wood' && present.firstWeek === null) return setShown(true);
      setState((s) => (data.kind === 'done' ? { share: 1, forecast: data.forecast } : { ...s, share: data.share }));
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

  const f = state.forecast;
  const now = f?.now;
  const verdict = now && comesBack(now, moisture, grown !== undefined);
  const open = async (file: File) => {
    const read = await readPicked(file, readClimate);
    if (!read.ok) return setProblem(read.says);
    setProblem(undefined);
    setOwn({ climate: read.value, name: file.name });
  };
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
      {f ? <Remedies f={f} facts={facts} /> : null}
      <View className="flex-row flex-wrap items-center gap-2">
        <FilePick
          label="Use your own hourly climate, CSV"
          accept=".csv,.txt,text/csv"
          testID="climate-file"
          onFiles={([file]) => file && void open(file)}
        />
        {own ? <Button look="quiet" label="Back to the simulated one" onPress={() => setOwn(null)} /> : null}
      </View>
      {problem ? (
        <Words alert look="strong" tone="oxide">
          {problem}
        </Words>
      ) : null}
      <LoggerWeek facts={facts} space={space} moisture={moisture} climate={climate} onSet={onSet} />
    </Panel>
  );
}
