/** Who works for the firm, with what entitles them, at which houses and for whom it works, and what it owns. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import {
  CERTIFICATES,
  convert,
  FILTERS,
  MACHINE_KINDS,
  say,
  USED_ON,
  type Machine,
  type Person,
  type UsedOn,
  withCommas,
} from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Select, TextField, Words } from '../../kit';
import { add, remove, set, useFirm } from '../../store';
import { dayProblem } from '../DayField';
import { useFirmWrite } from '../firm-write';
import { Notices } from '../Notices';
import { NewNamed } from './NewNamed';
import { ClientsPanel, HousesPanel } from './HousesAndClients';
import { cap } from '../../kit/text';

const here = <T extends { readonly removedAt: string | null }>(all: readonly T[]): T[] => all.filter((x) => x.removedAt === null);

export function FirmScreen() {
  const firm = useFirm();
  const { write, wrong } = useFirmWrite();
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
        <Button look="quiet" label="‹ All jobs" onPress={() => router.navigate('/')} flush />
        <Words look="title" level={1}>
          The firm
        </Words>
        {wrong ? (
          <View role="alert" className="border-2 border-oxide bg-panel p-3">
            <Words look="strong" tone="oxide">
              {cap(wrong)}
            </Words>
          </View>
        ) : null}
        <Panel title="Machines" aside="what was drawn in comes out again where it is opened">
          {here(firm.machines).length === 0 ? (
            <Words look="note">None yet. A vacuum that was used on lead stays tagged until it is cleaned.</Words>
          ) : null}
          {here(firm.machines).map((m) => (
            <MachineRow key={m.id} machine={m} />
          ))}
          <NewNamed
            label="A machine, by the name on its tag"
            onAdd={(name) => write(add('machine', { name, kind: 'vacuum', flowM3h: null, filter: 'hepa', lastOn: 'nothing' }))}
          />
        </Panel>
        <HousesPanel />
        <ClientsPanel />
        <Panel title="People" aside="with what entitles them">
          {here(firm.people).map((p) => (
            <PersonRow key={p.id} person={p} />
          ))}
          <NewNamed
            label="Somebody of the firm, by name"
            onAdd={(name) => write(add('person', { name, certificates: [], fitTests: [], training: [] }))}
          />
        </Panel>
      </ScrollView>
      <Notices />
    </View>
  );
}

const used = (on: UsedOn): string => (on === 'nothing' ? 'clean' : `last used on ${say(on).toLowerCase()}`);

function MachineRow({ machine: m }: { readonly machine: Machine }) {
  const { write, wrong } = useFirmWrite();
  const [open, setOpen] = useState(false);
  const put = (fields: Partial<Machine>) => write(set('machine', m.id, fields));
  return (
    <View className={`gap-2 border-l-8 py-1 pl-3 ${m.lastOn === 'nothing' ? 'border-verdigris' : 'border-oxide'}`}>
      <Words look="row" level={3}>
        {m.name}
      </Words>
      <Words look="note">{`${say(`machine.${m.kind}`)}, ${say(`filter.${m.filter}`)}${m.flowM3h === null ? '' : `, ${Math.round(m.flowM3h)} m³/h`} · ${used(m.lastOn)}`}</Words>
      <View className="flex-row flex-wrap gap-2">
        {m.lastOn === 'nothing' ? null : (
          <Button
            label="Cleaned, with a new filter"
            says={`${m.name}: cleaned, with a new filter`}
            onPress={() => put({ lastOn: 'nothing' })}
          />
        )}
        <Button
          look="quiet"
          label={open ? 'Close' : 'Change'}
          says={`${open ? 'Close' : 'Change'} ${m.name}`}
          expanded={open}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open ? (
        <View className="gap-3">
          <TextField label="Name on its tag" value={m.name} onCommit={(name) => put({ name })} />
          <Select
            label="What it is"
            value={m.kind}
            options={MACHINE_KINDS.map((value) => ({ value, label: cap(say(`machine.${value}`)) }))}
            onChange={(kind) => put({ kind })}
          />
          <Select
            label="Filter"
            value={m.filter}
            options={FILTERS.map((value) => ({ value, label: cap(say(`filter.${value}`)) }))}
            onChange={(filter) => put({ filter })}
          />
          <NumberField
            label="Flow, as the maker states it"
            unit="m³/h"
            hint="1 cfm is 1.7 m³/h"
            value={m.flowM3h}
            optional
            decimals={0}
            check={(v) =>
              v <= 0 || v > 20_000
                ? `More than 0 and at most 20,000 m³/h (${withCommas(Math.round(convert(20_000, 'm3/h', 'cfm')))} cfm).`
                : undefined
            }
            onCommit={(flowM3h) => put({ flowM3h })}
          />
          <Pick
            label="Last used on"
            value={m.lastOn}
            options={USED_ON.map((value) => ({ value, label: value === 'nothing' ? 'nothing: clean' : say(value) }))}
            onChange={(lastOn) => put({ lastOn })}
          />
          <Button look="stop" label="Take it off the list" onPress={() => write(remove('machine', m.id))} className="self-start" />
        </View>
      ) : null}
      {wrong ? <Words tone="oxide">{cap(wrong)}</Words> : null}
    </View>
  );
}

const until = (day: string | null): string => (day === null ? 'no end' : Date.parse(day) < Date.now() ? `ended ${day}` : `until ${day}`);

function PersonRow({ person: p }: { readonly person: Person }) {
  const { write, wrong } = useFirmWrite();
  const [open, setOpen] = useState(false);
  const put = (fields: Partial<Person>) => write(set('person', p.id, fields));
  const holds = [
    ...p.certificates.map((c) => `${say(`certificate.${c.kind}`)}${c.number ? ` ${c.number}` : ''}, ${until(c.until)}`),
    ...p.fitTests.map((f) => `fit-tested on ${f.mask}, ${f.on}`),
    ...p.training.map((t) => `${t.what}, ${t.on}`),
  ];
  return (
    <View className="gap-2 border-l-8 border-line py-1 pl-3">
      <Words look="row" level={3}>
        {p.name}
      </Words>
      {holds.length === 0 ? (
        <Words look="note">No certificate, fit test or training is entered.</Words>
      ) : (
        holds.map((h) => (
          <Words key={h} look="note">
            {h}
          </Words>
        ))
      )}
      <Button
        look="quiet"
        flush
        label={open ? 'Close' : 'Change'}
        says={`${open ? 'Close' : 'Change'} ${p.name}`}
        expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <View className="gap-3">
          <TextField label="Name" value={p.name} onCommit={(name) => put({ name })} />
          <Dated
            title="Certificate"
            kinds={CERTIFICATES.map((value) => ({ value, label: cap(say(`certificate.${value}`)) }))}
            dayLabel="Valid until (empty: no end)"
            textLabel="Number"
            onAdd={(kind, number, day) =>
              put({
                certificates: [...p.certificates, { kind: kind as (typeof CERTIFICATES)[number], number, until: day === '' ? null : day }],
              })
            }
          />
          <Dated
            title="Fit test"
            textLabel="Mask"
            textNeeded
            dayLabel="Tested on"
            dayNeeded
            onAdd={(_k, mask, on) => put({ fitTests: [...p.fitTests, { mask, on }] })}
          />
          <Dated
            title="Training"
            textLabel="What"
            textNeeded
            dayLabel="On"
            dayNeeded
            onAdd={(_k, what, on) => put({ training: [...p.training, { what, on }] })}
          />
          <Button look="stop" label="No longer of the firm" onPress={() => write(remove('person', p.id))} className="self-start" />
        </View>
      ) : null}
      {wrong ? <Words tone="oxide">{cap(wrong)}</Words> : null}
    </View>
  );
}

/** Something with a day: kept when its button is pressed, wrong days told beside their field. */
function Dated({
  title,
  kinds,
  textLabel,
  textNeeded,
  dayLabel,
  dayNeeded,
  onAdd,
}: {
  readonly title: string;
  readonly kinds?: readonly { readonly value: string; readonly label: string }[];
  readonly textLabel: string;
  readonly textNeeded?: boolean;
  readonly dayLabel: string;
  readonly dayNeeded?: boolean;
  readonly onAdd: (kind: string, text: string, day: string) => void;
}) {
  const [kind, setKind] = useState(kinds?.[0]?.value ?? '');
  const [text, setText] = useState('');
  const [day, setDay] = useState('');
  const [turn, setTurn] = useState(0);
  const [asked, setAsked] = useState(false);
  const textWrong = textNeeded && text.trim() === '' ? 'Say which.' : undefined;
  const dayWrong = dayNeeded && day.trim() === '' ? 'Write the day as 2026-05-04.' : dayProblem(day.trim());
  return (
    <View role="group" aria-label={title} className="gap-2 border-t-2 border-line pt-2">
      <Words look="strong">{title}</Words>
      {kinds ? <Select label="Which" value={kind} options={kinds} onChange={setKind} /> : null}
      <TextField
        key={`t${turn}`}
        label={textLabel}
        value=""
        onChange={setText}
        onCommit={setText}
        problem={asked ? textWrong : undefined}
      />
      <TextField
        key={`d${turn}`}
        label={dayLabel}
        value=""
        placeholder="2026-05-04"
        onChange={setDay}
        onCommit={setDay}
        problem={asked ? dayWrong : undefined}
      />
      <Button
        label={`Add ${title.toLowerCase()}`}
        className="self-start"
        onPress={() => {
          if (textWrong !== undefined || dayWrong !== undefined) return setAsked(true);
          onAdd(kind, text.trim(), day.trim());
          setText('');
          setDay('');
          setAsked(false);
          setTurn(turn + 1);
        }}
      />
    </View>
  );
}
