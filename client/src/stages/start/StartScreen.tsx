/** The jobs of the firm, a new one, and bringing one in from a file. */
import { createElement, useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { readJobFile, type Problem } from '@roughsill/core/records';
import { Button, Words } from '../../kit';
import { Section } from '../../section';
import { api, loadList, newId, useAppDispatch, useAppSelector } from '../../store';
import { Making, useTaskShare } from '../PaperButton';
import { useKeys } from '../keys';
import { Notices } from '../Notices';
import { JobsPanel } from './JobsPanel';

/** What the whole thing is about, drawn: the hazard sits under what everybody sees. */
const WHAT_IT_IS_ABOUT = [
  { id: 'seen', binder: '', colour: 'the coat you see', state: 'notFound', counted: true },
  { id: 'before', binder: '', colour: 'the coat before it, green', state: 'assumed', counted: true },
  { id: 'first', binder: '', colour: 'the first primer', state: 'found', counted: true },
] as const;

export function StartScreen() {
  const dispatch = useAppDispatch();
  const person = useAppSelector((s) => s.session.person);
  useEffect(() => {
    void dispatch(loadList());
  }, [dispatch]);
  useKeys((key) => {
    if (key === 'n') router.navigate('/new');
    else return false;
    return true;
  });
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
        <View className="gap-2 pt-4">
          <Words look="title" level={1}>
            Rough Sill
          </Words>
          <Words>Know what is in the old coats, choose how they come off, protect people, prime and coat.</Words>
        </View>
        <Section coats={WHAT_IT_IS_ABOUT} material="softwood" />
        <View className="flex-row flex-wrap gap-2">
          <Button look="main" label="New job" testID="new-job" onPress={() => router.navigate('/new')} />
          <ImportButton />
        </View>
        <JobsPanel />
        <View className="flex-row flex-wrap gap-x-4">
          <Button look="quiet" label={`At this phone: ${person}`} flush onPress={() => router.navigate('/who')} testID="at-phone" />
          <Button look="quiet" label="Rates and settings" flush onPress={() => router.navigate('/settings')} />
          <Button look="quiet" label="People, houses, clients, machines" flush onPress={() => router.navigate('/firm')} />
          <Button look="quiet" label="Shelf" flush onPress={() => router.navigate('/shelf')} testID="to-shelf" />
          <Button look="quiet" label="Mixing bench" flush onPress={() => router.navigate('/mix')} testID="to-mix" />
          <Button look="quiet" label="Air and breathing" flush onPress={() => router.navigate('/air')} />
          <Button look="quiet" label="Sources" flush onPress={() => router.navigate('/sources')} />
          <Button look="quiet" label="Keys" flush onPress={() => router.navigate('/keys')} />
        </View>
        <Words look="note">
          Rough Sill advises. It does not replace the local authority, a licensed professional, the product’s own data sheet or a lab. What
          is not known is treated as present.
        </Words>
      </ScrollView>
      <Notices />
    </View>
  );
}

interface Refused {
  readonly says: string;
  readonly problems: readonly Problem[];
  /** The file, when it may be brought in as a copy. */
  readonly copy?: string;
}

/** Checked here first, so that a broken file is told line by line, with or without signal. */
function ImportButton() {
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState<Refused | null>(null);
  const [task, setTask] = useState<string | null>(null);
  const share = useTaskShare(task);

  const bring = async (text: string, copy: boolean) => {
    const id = newId();
    setTask(id);
    const r = await api.importFile(text, copy, id);
    setTask(null);
    if (r.ok) {
      setRefused(null);
      await dispatch(loadList());
      return router.navigate(`/job/${r.value.jobId}/walk`);
    }
    const again = r.error.kind === 'refused' && r.error.says.startsWith('It is already here');
    setRefused({ says: r.error.says, problems: r.error.kind === 'refused' ? r.error.problems : [], copy: again ? text : undefined });
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > 8 * 1024 * 1024)
      return setRefused({ says: 'The file is over 8 MB: no job file is that large. Nothing was opened.', problems: [] });
    const text = await file.text();
    const facts = readJobFile(text, new Date().getUTCFullYear());
    if (!facts.ok) return setRefused({ says: 'Nothing was opened. The file has to be put right first.', problems: facts.problems });
    await bring(text, false);
  };
  if (task !== null) return <Making what="Bringing it in" share={share} onStop={() => void api.stopTask(task)} />;
  return (
    <>
      {createElement(
        'label',
        { className: 'file-button' },
        createElement('input', {
          type: 'file',
          accept: '.json,application/json',
          'data-testid': 'import',
          'aria-label': 'Open job file',
          onChange: (e: { target: HTMLInputElement }) => {
            void read(e.target.files?.[0]).finally(() => (e.target.value = ''));
          },
        }),
        'Open job file',
      )}
      {refused ? (
        <View role="alert" testID="import-problems" className="w-full gap-1 border-2 border-oxide bg-panel p-3">
          <Words look="strong">{refused.says}</Words>
          {refused.problems.slice(0, 12).map((p) => (
            <Words key={`${p.path}${p.message}`}>{`${p.path}: ${p.message}`}</Words>
          ))}
          {refused.problems.length > 12 ? <Words look="note">{`and ${refused.problems.length - 12} more`}</Words> : null}
          {refused.copy !== undefined ? (
            <Button label="Bring it in as a copy" testID="import-copy" onPress={() => void bring(refused.copy!, true)} />
          ) : null}
        </View>
      ) : null}
    </>
  );
}
