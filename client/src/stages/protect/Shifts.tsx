/** Who works in which zone when: a band a person across the shift, with the limit as a line, and the mask for the whole of it. */
import { useState } from 'react';
import { View } from 'react-native';
import { bookOf, clock, formatMeasure, formatWork, measure, minutesOf, say, type JobFacts } from '@roughsill/core';
import { fittedOn, needsFit, withCartridges, type Shift } from '@roughsill/core/zone-day';
import { Button, NumberField, Panel, Problems, Select, TextField, useUnits, Words } from '../../kit';
import { add, commit, remove, useAppDispatch, useFirm } from '../../store';
import type { Breathing } from '../../workers/ask-protocol';
import { DayBand } from '../bench/DayBand';
import { DayField, dayOf } from '../DayField';

const tenth = (n: number): number => Math.round(n * 10) / 10;
const partName = (what: string): string => (['setUp', 'cleanUp', 'otherWork'].includes(what) ? say(`day.${what}`) : say(what));

export function Shifts({ facts, breathing }: { readonly facts: JobFacts; readonly breathing: Breathing }) {
  const [adding, setAdding] = useState(false);
  const { shifts, places } = breathing;
  if (places.length === 0) return null;
  return (
    <Panel title="Who is where" aside="one band a person, over all zones of their day" testID="shifts">
      {shifts.length === 0 && !adding ? (
        <Words look="note">Nobody is put down yet: the zones below are reckoned as if their crew spent the whole shift in them.</Words>
      ) : null}
      {shifts.map((s) => (
        <PersonDay key={`${s.on} ${s.person}`} shift={s} facts={facts} />
      ))}
      {adding ? (
        <StintForm facts={facts} places={places} onDone={() => setAdding(false)} />
      ) : (
        <Button label="Put somebody down" onPress={() => setAdding(true)} className="self-start" testID="add-stint" />
      )}
    </Panel>
  );
}

function PersonDay({ shift, facts }: { readonly shift: Shift; readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { lead } = shift;
  const tight = bookOf(facts.job).respirators.some((r) => r.id === shift.mask && needsFit(r));
  const { fitted } = fittedOn(useFirm().people, shift.on);
  const isFitted = fitted.some((f) => f.name.trim().toLowerCase() === shift.person.toLowerCase());
  const air = (ug: number) => formatMeasure(measure(tenth(ug), 'ug/m3'), units);
  const worn = shift.mask
    ? `${say(shift.mask)}${withCartridges(shift.cartridges)}, worn for ${formatWork(shift.maskH)}`
    : 'no mask asked for';
  const zoneOf = (id: string): string => shift.parts.find((p) => p.zoneId === id)!.zone;
  return (
    <View className="gap-1 border-t-2 border-line pt-2" testID={`shift-${shift.person}`}>
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="row">{shift.person}</Words>
        <Words look="note">{`${shift.on} · ${formatWork(shift.hours)}`}</Words>
      </View>
      {lead ? (
        <>
          <DayBand
            tasks={shift.parts.map((p) => ({
              what: `${partName(p.what)}, ${p.zone}`,
              hours: tenth(p.hours),
              ugM3: Math.round(p.ugM3 ?? 0),
            }))}
            limit={lead.limit}
          />
          <Words>
            {`${air(lead.average)} of lead over ${lead.shiftH > 8 ? 'the shift' : 'eight hours'}, limit ${air(lead.limit)}: ${lead.over ? 'over it without a mask' : 'within it'}.`}
          </Words>
        </>
      ) : (
        <Words>A task of that day has no upper end that is known: supplied air, until air was sampled.</Words>
      )}
      <Words look="strong">{`Mask: ${worn}.`}</Words>
      {tight && !isFitted ? (
        <Words
          look="strong"
          tone="oxide"
        >{`No fit test of ${shift.person} within the year before: it seals on no face that was not tested.`}</Words>
      ) : null}
      {shift.agents.length > 0 ? (
        <Words look="note">{`Also in the air there: ${shift.agents.map((k) => say(`reach.${k}`)).join(', ')}.`}</Words>
      ) : null}
      {shift.stints.map((s) => (
        <View key={s.id} className="flex-row flex-wrap items-center justify-between gap-x-3">
          <Words>{`${clock(s.fromMin)} to ${clock(Math.round(s.fromMin + s.hours * 60))}: ${zoneOf(s.zoneId)}`}</Words>
          <Button
            look="quiet"
            flush
            label="Take out"
            says={`Take out ${shift.person}, ${clock(s.fromMin)}, ${zoneOf(s.zoneId)}`}
            onPress={() => dispatch(commit(facts.job.id, [remove('stint', s.id)], `${shift.person} taken out`))}
          />
        </View>
      ))}
    </View>
  );
}

interface StintFormProps {
  readonly facts: JobFacts;
  readonly places: Breathing['places'];
  readonly onDone: () => void;
}
function StintForm({ facts, places, onDone }: StintFormProps) {
  const dispatch = useAppDispatch();
  const firm = useFirm().people.filter((p) => p.removedAt === null);
  const known = [
    ...new Set(
      [...firm, ...facts.stints.map((s) => ({ name: s.person, removedAt: s.removedAt }))].flatMap((p) =>
        p.removedAt === null ? p.name : [],
      ),
    ),
  ];
  const today = dayOf(new Date().toISOString(), facts.job.timeZone);
  const [person, setPerson] = useState(known[0] ?? '');
  const [other, setOther] = useState(known.length === 0);
  const [zoneId, setZoneId] = useState(places[0]!.zoneId);
  const [on, setOn] = useState(facts.job.startOn ?? today);
  const [from, setFrom] = useState('08:00');
  const [hours, setHours] = useState<number | null>(4);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const fromMin = minutesOf(from);
  const keep = () => {
    if (person.trim() === '') return setProblems([{ path: 'person', message: 'Who is it? A shift is somebody’s.' }]);
    if (fromMin === null) return setProblems([{ path: 'fromMin', message: 'The time is written as 08:30.' }]);
    if (hours === null)
      return setProblems([{ path: 'hours', message: 'How many hours? Without them nothing can be held against a limit.' }]);
    const found = dispatch(
      commit(facts.job.id, [add('stint', { person: person.trim(), zoneId, on, fromMin, hours })], `${person.trim()} put down`),
    );
    setProblems(found);
    if (found.length === 0) onDone();
  };
  return (
    <View className="gap-3" testID="stint-form">
      {known.length > 0 ? (
        <Select
          label="Who"
          value={other ? '' : person}
          options={[...known.map((name) => ({ value: name, label: name })), { value: '', label: 'somebody else' }]}
          onChange={(name) => {
            setOther(name === '');
            setPerson(name);
          }}
          testID="stint-person"
        />
      ) : null}
      {other ? <TextField label="Name" value={person} onCommit={setPerson} testID="stint-name" /> : null}
      <Select
        label="Where"
        value={zoneId}
        options={places.map((z) => ({ value: z.zoneId, label: z.name }))}
        onChange={setZoneId}
        testID="stint-zone"
      />
      <DayField label="On" value={on} onCommit={setOn} testID="stint-day" />
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[8rem] flex-1">
          <TextField label="From" hint="as 08:30" value={from} onCommit={setFrom} testID="stint-from" />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField label="For" unit="h" value={hours} optional decimals={2} onCommit={setHours} testID="stint-hours" />
        </View>
      </View>
      <Problems problems={problems} />
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label="Put down" onPress={keep} testID="stint-keep" />
        <Button look="quiet" label="Not now" onPress={onDone} />
      </View>
    </View>
  );
}
