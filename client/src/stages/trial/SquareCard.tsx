/** One square: its clock, and what came off. */
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import {
  coatSays,
  BOUGHT,
  CHEMISTRIES,
  convert,
  HARMS,
  LEFT_BEHIND,
  LIFTED,
  liveLayers,
  isBanned,
  minutesLeft,
  outcomeOf,
  say,
  saysSomething,
  SOAKS,
  stoodMin,
  type JobFacts,
  type Problem,
  type Square,
  type Surface,
} from '@roughsill/core';
import { Button, NumberField, Pick, Problems, Select, TextField, Ticks, Toggle, useUnits, useWhen, Words } from '../../kit';
import { commit, remove, set, useAppDispatch } from '../../store';
import { Photos } from '../photos/Photos';
import { cap } from '../../kit/text';
import { minutesText } from './words';

const TICK_MS = 10_000;

interface SquareCardProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly square: Square;
  readonly number: number;
  /** What to have on before it begins. */
  readonly wear: string | null;
}

const EDGE = { open: 'border-line', clean: 'border-verdigris', notClean: 'border-ochre', harmed: 'border-oxide' } as const;
const SAYS = { open: '', clean: 'clean', notClean: 'not clean', harmed: 'harmed' } as const;

export function SquareCard({ facts, surface, square: q, number, wear }: SquareCardProps) {
  const jobId = facts.job.id;
  const [pictures, setPictures] = useState(() => facts.photos.some((p) => p.removedAt === null && p.ofSquareId === q.id));
  const dispatch = useAppDispatch();
  const when = useWhen();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [lifting, setLifting] = useState(false);
  const write = (fields: Partial<Square>, what: string) => {
    const found = dispatch(commit(jobId, [set('square', q.id, fields, surface.id)], what));
    setProblems(found);
    return found.length === 0;
  };
  const stood = stoodMin(q);
  const outcome = outcomeOf(q, surface);
  const told = [
    q.product,
    q.chemistry === 'unsaid' ? '' : say(q.chemistry),
    q.place,
    q.covered ? 'covered' : 'open',
    q.carriedFrom ? `carried from ${q.carriedFrom}` : q.startedAt ? `begun ${when(q.startedAt)}` : '',
    q.stayedPct ? `${q.stayedPct} % stayed` : '',
    ...q.leftBehind.map(say),
    ...q.harms.map(say),
    q.ease ? `ease ${q.ease} of 5` : '',
    q.note,
  ].filter(Boolean);
  return (
    <View testID={`square-${number}`} className={`gap-2 border-l-4 bg-panel px-3 py-2 ${EDGE[outcome]}`}>
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="row">{`${number}  ${stood !== null ? minutesText(stood) : q.dwellMin !== null ? minutesText(q.dwellMin) : 'a patch'}`}</Words>
        {q.lifted ? <Words look="strong">{`${say(q.lifted)}${SAYS[outcome] ? ` · ${SAYS[outcome]}` : ''}`}</Words> : <Clock square={q} />}
      </View>
      {isBanned(q) ? (
        <Words look="strong" tone="oxide">
          Banned for stripping paint: nothing is planned on this square.
        </Words>
      ) : null}
      {told.length > 0 ? <Words look="note">{told.join(' · ')}</Words> : null}
      <Problems problems={problems} />
      {q.lifted === null && q.startedAt === null ? (
        <Words look="strong" tone={wear === null ? 'oxide' : undefined} testID={`wear-${number}`}>
          {wear === null ? `${cap(say(q.methodId))} may not go on it as it stands: stop and ask first.` : `Before it begins: ${wear}.`}
        </Words>
      ) : null}
      {lifting ? (
        <LiftForm
          surface={surface}
          square={q}
          onSave={(fields) => write(fields, 'square lifted') && setLifting(false)}
          onLeave={() => setLifting(false)}
        />
      ) : (
        <View className="flex-row flex-wrap gap-2">
          {q.lifted === null && q.startedAt === null && q.dwellMin !== null ? (
            <Button
              look="main"
              label="Start the clock"
              testID={`start-${number}`}
              onPress={() => write({ startedAt: new Date().toISOString() }, 'clock started')}
            />
          ) : null}
          {q.lifted === null ? (
            <Button label={q.startedAt ? 'Lift it' : 'Record it'} testID={`lift-${number}`} onPress={() => setLifting(true)} />
          ) : (
            <Button look="quiet" flush label="Put it right" says={`Put square ${number} right`} onPress={() => setLifting(true)} />
          )}
          {pictures ? null : (
            <Button look="quiet" flush label="Photograph" says={`Photograph square ${number}`} onPress={() => setPictures(true)} />
          )}
          <Button
            look="quiet"
            flush
            label="Remove"
            says={`Remove square ${number}`}
            onPress={() => setProblems(dispatch(commit(jobId, [remove('square', q.id, surface.id)], `square ${number} removed`)))}
          />
        </View>
      )}
      {pictures ? (
        <Photos facts={facts} of={{ ofSurfaceId: surface.id, ofSquareId: q.id }} title={`Photographs of square ${number}`} />
      ) : null}
    </View>
  );
}

/** Counts down in minutes; a square that is over says so. */
function Clock({ square: q }: { readonly square: Square }) {
  const [now, setNow] = useState(() => new Date().toISOString());
  const runs = q.startedAt !== null && q.stoppedAt === null;
  useEffect(() => {
    if (!runs) return undefined;
    const timer = setInterval(() => setNow(new Date().toISOString()), TICK_MS);
    return () => clearInterval(timer);
  }, [runs]);
  if (q.startedAt === null) return <Words look="note">not begun</Words>;
  const left = minutesLeft(q, now);
  if (left === null) return <Words look="note">standing</Words>;
  return left > 0 ? (
    <Words look="strong">{`lift in ${minutesText(Math.ceil(Math.min(left, q.dwellMin ?? left)))}`}</Words>
  ) : (
    <Words look="strong" tone="oxide">{`over by ${minutesText(-left)}: lift it`}</Words>
  );
}

interface LiftFormProps {
  readonly surface: Surface;
  readonly square: Square;
  readonly onSave: (fields: Partial<Square>) => void;
  readonly onLeave: () => void;
}

function LiftForm({ surface, square: q, onSave, onLeave }: LiftFormProps) {
  const units = useUnits();
  // The clock stops when the scraper goes in, not when the form is filled.
  const [stoppedAt] = useState(() => q.stoppedAt ?? (q.startedAt ? new Date().toISOString() : null));
  const [lifted, setLifted] = useState(q.lifted);
  const [onCoat, setOnCoat] = useState(q.stoppedOnLayerId);
  const [stayed, setStayed] = useState(q.stayedPct);
  const [left, setLeft] = useState([...q.leftBehind]);
  const [harms, setHarms] = useState([...q.harms]);
  const [ease, setEase] = useState(q.ease);
  const [sizeCm2, setSize] = useState(q.sizeCm2);
  const [usedMl, setUsed] = useState(q.usedMl);
  const [workMin, setWork] = useState(q.workMin);
  const [covered, setCovered] = useState(q.covered);
  const [faceC, setFaceC] = useState(q.surfaceC);
  const [dwell, setDwell] = useState(q.dwellMin);
  const [place, setPlace] = useState(q.place);
  const [note, setNote] = useState(q.note);
  const [chemistry, setChemistry] = useState(q.chemistry);
  const [why, setWhy] = useState('');
  const [missing, setMissing] = useState(false);
  // Lifted the first time, and not when it was meant to be: what a square teaches hangs on the time it stood.
  const ranMin = stoppedAt !== null && q.startedAt !== null ? (Date.parse(stoppedAt) - Date.parse(q.startedAt)) / 60_000 : null;
  const offMin = ranMin === null || q.dwellMin === null || q.lifted !== null ? 0 : ranMin - q.dwellMin;
  const isOff = Math.abs(offMin) > Math.max(OFF_MIN, OFF_SHARE * (q.dwellMin ?? 0));
  const coats = liveLayers(surface);
  const feet = units === 'ft';
  const degrees = feet ? '°F' : '°C';
  const shown = faceC === null ? null : units === 'ft' ? convert(faceC, 'C', 'F') : faceC;
  return (
    <View className="gap-3" testID="lift-form">
      {isOff ? (
        <TextField
          label={`Why ${minutesText(Math.abs(offMin))} ${offMin < 0 ? 'before' : 'after'} its time`}
          value={why}
          onChange={setWhy}
          onCommit={setWhy}
          problem={
            missing && !saysSomething(why) ? 'Say in a word or two why: what the square teaches hangs on how long it stood.' : undefined
          }
          placeholder={offMin < 0 ? 'it blistered already' : 'was called away'}
          testID="why-off"
        />
      ) : null}
      <Pick
        label="What came off"
        value={lifted}
        options={LIFTED.map((value) => ({ value, label: LIFT_WORDS[value] }))}
        onChange={setLifted}
        testID="lifted"
      />
      {lifted === 'toCoat' ? (
        <Select
          label="It stopped on"
          value={onCoat ?? ''}
          options={[{ value: '', label: 'pick the coat' }, ...coats.map((c, i) => ({ value: c.id, label: `${i + 1}  ${coatSays(c)}` }))]}
          onChange={(v) => setOnCoat(v === '' ? null : v)}
        />
      ) : null}
      {lifted !== null && lifted !== 'nothing' ? (
        <NumberField
          label="Stayed on the square"
          unit="%"
          value={stayed}
          step={5}
          optional
          decimals={0}
          onCommit={setStayed}
          testID="stayed"
        />
      ) : null}
      <Ticks label="What it left" values={left} options={LEFT_BEHIND.map((value) => ({ value, label: say(value) }))} onChange={setLeft} />
      <Ticks
        label="Harm to the material"
        values={harms}
        options={HARMS.map((value) => ({ value, label: say(value) }))}
        onChange={setHarms}
      />
      <Pick
        label="How it went"
        value={ease === null ? null : String(ease)}
        options={['1', '2', '3', '4', '5'].map((value) => ({
          value,
          label: value === '1' ? '1 hard' : value === '5' ? '5 falls off' : value,
        }))}
        onChange={(v) => setEase(Number(v))}
        testID="ease"
      />
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[9rem] flex-1">
          <NumberField
            label="Face temperature"
            unit={degrees}
            value={shown}
            optional
            decimals={0}
            onCommit={(v) => setFaceC(v === null ? null : units === 'ft' ? convert(v, 'F', 'C') : v)}
            testID="square-face"
          />
        </View>
        {q.startedAt === null && SOAKS.includes(q.methodId) ? (
          <View className="min-w-[9rem] flex-1">
            <NumberField label="It stood" unit="min" value={dwell} optional decimals={0} onCommit={setDwell} testID="square-stood" />
          </View>
        ) : null}
      </View>
      <View className="flex-row flex-wrap items-end gap-3">
        <Amount
          label="Its size"
          unit={feet ? 'in²' : 'cm²'}
          factor={feet ? CM2_PER_IN2 : 1}
          value={sizeCm2}
          onCommit={setSize}
          testID="square-size"
        />
        <Amount
          label="Product used, all passes"
          unit={feet ? 'fl oz' : 'mL'}
          factor={feet ? ML_PER_FLOZ : 1}
          value={usedMl}
          onCommit={setUsed}
          testID="square-used"
        />
        <Amount label="Hands-on work" unit="min" factor={1} value={workMin} onCommit={setWork} testID="square-work" />
      </View>
      {BOUGHT.includes(q.methodId) ? (
        <Select
          label="What is in the product"
          value={chemistry}
          options={CHEMISTRIES.map((value) => ({ value, label: say(value) }))}
          onChange={setChemistry}
        />
      ) : null}
      <Toggle label="Covered with film" value={covered} onChange={setCovered} />
      <TextField label="Where it is" value={place} onChange={setPlace} onCommit={setPlace} placeholder="bottom rail, behind the door" />
      <TextField label="Note" value={note} onChange={setNote} onCommit={setNote} />
      <View className="flex-row flex-wrap gap-2">
        <Button
          look="main"
          label="Record it"
          testID="save-square"
          onPress={() => {
            if (isOff && !saysSomething(why)) return setMissing(true);
            onSave({
              lifted,
              stoppedAt,
              stoppedOnLayerId: lifted === 'toCoat' ? onCoat : null,
              stayedPct: lifted === 'nothing' ? 100 : stayed,
              leftBehind: left,
              harms,
              ease,
              sizeCm2,
              usedMl,
              workMin,
              covered,
              chemistry,
              surfaceC: faceC,
              dwellMin: dwell,
              place,
              note: [why.trim(), note].filter(Boolean).join('; '),
            });
          }}
        />
        <Button label="Leave it" onPress={onLeave} />
      </View>
    </View>
  );
}

/** A few minutes either way are nothing; of a long soak a tenth is. Common practice, no published source. */
const OFF_MIN = 3;
const OFF_SHARE = 0.1;
const CM2_PER_IN2 = convert(1, 'in', 'm') ** 2 * 1e4;
const ML_PER_FLOZ = convert(1, 'floz', 'mL');

interface AmountProps {
  readonly label: string;
  readonly unit: string;
  /** From the unit shown to the one that is kept. */
  readonly factor: number;
  readonly value: number | null;
  readonly onCommit: (v: number | null) => void;
  readonly testID: string;
}

/** Optional: what makes a square tell coverage and pace. */
function Amount({ label, unit, factor, value, onCommit, testID }: AmountProps) {
  return (
    <View className="min-w-[8rem] flex-1">
      <NumberField
        label={label}
        unit={unit}
        value={value === null ? null : value / factor}
        optional
        decimals={1}
        onCommit={(v) => onCommit(v === null ? null : v * factor)}
        testID={testID}
      />
    </View>
  );
}

const LIFT_WORDS = { nothing: 'nothing', some: 'some', toCoat: 'down to a coat', bare: 'all, to bare' } as const;
