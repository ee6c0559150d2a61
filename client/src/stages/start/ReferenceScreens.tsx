/** Sources and keys: two pages to look things up in. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { format } from 'date-fns';
import {
  canBeChecked,
  checkOf,
  isCheckedOtherwise,
  sourceKnown,
  SOURCES,
  SOURCE_KIND_WORDS,
  sourceText,
  type Source,
  type SourceId,
  type SourceKind,
} from '@roughsill/core/words';
import { Button, Panel, TextField, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, remove, useAppSelector, useFirm } from '../../store';
import { useFirmWrite } from '../firm-write';
import { KEYS } from '../keys';

const Page = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <ScrollView className="flex-1 bg-limewash" contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
    <Button look="quiet" label="‹ Back" onPress={() => (router.canGoBack() ? router.back() : router.replace('/'))} flush />
    <Words look="title" level={1}>
      {title}
    </Words>
    {children}
  </ScrollView>
);

const today = (): string => format(new Date(), 'yyyy-MM-dd');

export function SourcesScreen() {
  const rows = Object.entries(SOURCES) as [SourceId, Source][];
  const checks = useFirm().sourceChecks;
  const documents = rows.filter(([, s]) => canBeChecked(s));
  const done = documents.filter(([id]) => checkOf(id, checks) !== null).length;
  return (
    <Page title="Sources">
      <Words>
        Every verdict names one of these. Rules change: hold each against its document, and every reason that rests on it says who did.
      </Words>
      <Words look="strong">{`${done} of ${documents.length} documents checked by the firm.`}</Words>
      {(Object.keys(SOURCE_KIND_WORDS) as SourceKind[]).map((kind) => (
        <Panel key={kind} title={SOURCE_KIND_WORDS[kind]}>
          <View className="gap-1">
            {rows
              .filter(([, s]) => s.kind === kind)
              .map(([id, s]) => (
                <SourceRow key={id} id={id} source={s} />
              ))}
          </View>
        </Panel>
      ))}
    </Page>
  );
}

function SourceRow({ id, source: s }: { readonly id: SourceId; readonly source: Source }) {
  const checks = useFirm().sourceChecks;
  const person = useAppSelector((x) => x.session.person);
  const { write, wrong } = useFirmWrite();
  const [open, setOpen] = useState(false);
  const [against, setAgainst] = useState('');
  const [asked, setAsked] = useState(false);
  const check = checkOf(id, checks);
  const keep = () => {
    if (against.trim() === '') return setAsked(true);
    const made = { source: id, says: sourceText(id), on: today(), against: against.trim(), person };
    if (!write(add('sourceCheck', made))) return;
    setAgainst('');
    setAsked(false);
    setOpen(false);
  };
  return (
    <View className="gap-1 bg-panel px-3 py-2">
      <Words look="strong">{s.title}</Words>
      <Words look="note">{[s.at, s.where === 'any' ? '' : s.where, s.note].filter(Boolean).join(' · ')}</Words>
      {check || isCheckedOtherwise(id, checks) ? <Words>{`${sourceKnown(id, checks)}.`}</Words> : null}
      {canBeChecked(s) ? (
        <View className="flex-row flex-wrap gap-x-4">
          {check ? (
            <Button
              look="quiet"
              flush
              label="Take that back"
              says={`Take back the check of ${s.title}`}
              onPress={() => write(remove('sourceCheck', check.id))}
            />
          ) : (
            <Button
              look="quiet"
              flush
              label={open ? 'Close' : 'I checked it'}
              says={`${open ? 'Close' : 'I checked it'}: ${s.title}`}
              expanded={open}
              onPress={() => setOpen(!open)}
            />
          )}
        </View>
      ) : null}
      {open ? (
        <View className="gap-2 pb-2">
          <TextField
            label="Against which document"
            hint="with its date or edition, as you read it"
            value={against}
            problem={asked && against.trim() === '' ? 'Name the document that you looked at.' : undefined}
            onChange={setAgainst}
            onCommit={setAgainst}
            testID={`against-${id}`}
          />
          <Words look="note">{`It says what stands here, ${person} says so today.`}</Words>
          <Button
            label="It says the same"
            says={`It says the same: ${s.title}`}
            onPress={keep}
            className="self-start"
            testID={`checked-${id}`}
          />
        </View>
      ) : null}
      {wrong ? <Words tone="oxide">{cap(wrong)}</Words> : null}
    </View>
  );
}

export function KeysScreen() {
  return (
    <Page title="Keys">
      <View className="gap-1">
        {KEYS.map(([key, does]) => (
          <View key={key} className="flex-row gap-4 bg-panel px-3 py-2">
            <Words look="row" className="w-24">
              {key}
            </Words>
            <Words className="flex-1">{does}</Words>
          </View>
        ))}
      </View>
    </Page>
  );
}
