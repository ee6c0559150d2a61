/** What the server could not take: each entry with what is wrong with it, to be mended and sent again, or dropped by a person. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { format } from 'date-fns/format';
import { isJobChange, readChange, recordOf, specOf, type JobChange, type Problem } from '@roughsill/core';
import { Button, Empty, Panel, TextField, Words } from '../../kit';
import { letGo, sendMended, useAppDispatch, useAppSelector, type Aside } from '../../store';
import { Notices } from '../Notices';
import { saveFile } from '../save-file';
import { cap } from '../../kit/text';

export function AsideScreen() {
  const aside = useAppSelector((s) => s.outbox.aside);
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView testID="page" contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
        <View className="gap-1">
          <Button look="quiet" label="‹ All jobs" onPress={() => router.navigate('/')} flush />
          <Words look="title" level={1}>
            Set aside
          </Words>
          <Words>Entries that the server could not take. Nothing else was held up by them. Mend one and send it again, or drop it.</Words>
        </View>
        {aside.length === 0 ? <Empty says="Nothing is set aside. What you entered is with the server, or on its way." /> : null}
        {aside.map((a) => (
          <AsideCard key={a.id} entry={a} />
        ))}
      </ScrollView>
      <Notices onAside />
    </View>
  );
}

const DID: Readonly<Record<JobChange['op'], string>> = { add: 'added', set: 'changed', remove: 'removed', restore: 'brought back' };
/** `instrumentCheck` as a person says it. */
const spoken = (word: string): string => word.replace(/(?<=[a-z])(?=[A-Z])|_/g, ' ').toLowerCase();

function AsideCard({ entry }: { readonly entry: Aside }) {
  const dispatch = useAppDispatch();
  const read = readChange(entry.raw);
  const change = read.ok && isJobChange(read.value) ? read.value : null;
  const facts = useAppSelector((s) => (change ? s.jobs.byId[change.jobId]?.facts : undefined));
  const record = change && facts ? recordOf(facts, change) : undefined;
  const name = record?.['name'] ?? record?.['number'] ?? record?.['label'];
  const title = change ? `${cap(spoken(change.entity))} ${DID[change.op]}` : 'An entry that cannot be read';
  return (
    <Panel title={title} testID={`aside-${entry.id}`}>
      <Words look="note">
        {[
          facts?.job.name,
          typeof name === 'string' ? name : undefined,
          change ? `by ${change.by}, ${format(new Date(change.at), 'd MMM yyyy, HH:mm')}` : undefined,
          `set aside ${format(new Date(entry.at), 'd MMM yyyy, HH:mm')}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {change && change.op !== 'remove' && change.op !== 'restore' ? (
        <Mend key={entry.id} entry={entry} change={change} />
      ) : (
        <View className="gap-2">
          <Wrong problems={entry.problems} />
          {change ? <Button label="Send it again" onPress={() => again(dispatch, entry, change)} /> : null}
        </View>
      )}
      <View className="flex-row flex-wrap gap-2">
        <Button label="Save a copy" onPress={() => saveFile(`entry-${entry.id}.json`, JSON.stringify(entry.raw, null, 1))} />
        <Drop onDrop={() => void dispatch(letGo(entry.id))} />
      </View>
    </Panel>
  );
}

function again(dispatch: ReturnType<typeof useAppDispatch>, entry: Aside, change: JobChange): readonly Problem[] {
  const problems = dispatch(sendMended(change, change.fields));
  if (problems.length === 0) void dispatch(letGo(entry.id));
  return problems;
}

function Wrong({ problems }: { readonly problems: readonly Problem[] }) {
  return (
    <View role="alert" className="gap-1 border-2 border-oxide bg-panel p-3">
      {problems.map((p) => (
        <Words key={`${p.path}${p.message}`} look="strong" tone="oxide">
          {cap(p.message)}
        </Words>
      ))}
    </View>
  );
}

/** It leaves the phone for good: asked twice, with the second press where the first was not. */
function Drop({ onDrop }: { readonly onDrop: () => void }) {
  const [sure, setSure] = useState(false);
  if (!sure) return <Button look="quiet" label="Drop it" testID="drop" onPress={() => setSure(true)} />;
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button label="Keep it" onPress={() => setSure(false)} />
      <Button look="stop" label="Drop it for good" testID="drop-for-good" onPress={onDrop} />
    </View>
  );
}

/** A value as it is typed: text stays text, everything else as JSON writes it. */
const typed = (v: unknown): string => (typeof v === 'string' ? v : JSON.stringify(v));
function meant(text: string, before: unknown): unknown {
  if (typeof before === 'string') return text;
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

function Mend({ entry, change }: { readonly entry: Aside; readonly change: JobChange }) {
  const dispatch = useAppDispatch();
  const [fields, setFields] = useState(change.fields);
  const [problems, setProblems] = useState<readonly Problem[]>(entry.problems);
  const known = Object.keys(specOf(change.entity).fields.shape);
  // What is wrong stands first; the rest of a whole record is behind it.
  const named = new Set(problems.map((p) => p.path.split('.').at(-1)!.replace(/\[.*$/, '')));
  const order = Object.keys(fields).sort((a, b) => Number(named.has(b)) - Number(named.has(a)) || known.indexOf(a) - known.indexOf(b));
  const [all, setAll] = useState(false);
  const shown = all || order.length <= 6 ? order : order.slice(0, Math.max(3, named.size));
  const elsewhere = problems.filter((p) => !order.some((f) => p.path.split('.').at(-1)!.startsWith(f)));
  return (
    <View className="gap-3">
      {elsewhere.length > 0 ? <Wrong problems={elsewhere} /> : null}
      {shown.map((f) => (
        <TextField
          key={f}
          label={cap(spoken(f))}
          value={typed(fields[f])}
          problem={problems.find((p) => p.path.split('.').at(-1)!.startsWith(f))?.message}
          onCommit={(text) => setFields({ ...fields, [f]: meant(text, change.fields[f]) })}
          testID={`mend-${f}`}
        />
      ))}
      {shown.length < order.length ? <Button look="quiet" label={`All ${order.length} fields`} onPress={() => setAll(true)} flush /> : null}
      <View className="flex-row flex-wrap gap-2">
        <Button
          look="main"
          label="Send it again"
          testID="send-mended"
          onPress={() => {
            const wrong = dispatch(sendMended(change, fields));
            setProblems(wrong);
            if (wrong.length === 0) void dispatch(letGo(entry.id));
          }}
        />
      </View>
    </View>
  );
}
