/** The jobs of the firm, a new one, and bringing one in from a file. */
import { createElement, useEffect, useState } from 'react';
import { ActivityIndicator, ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { readJobFile, type Problem, many } from '@roughsill/core/records';
import { Button, Empty, Panel, Row, Words } from '../../kit';
import { Section } from '../../section';
import { api, loadList, newId, useAppDispatch, useAppSelector } from '../../store';
import { Making, useTaskShare } from '../PaperButton';
import { useKeys } from '../keys';
import { Notices } from '../Notices';

/** What the whole thing is about, drawn: the hazard sits under what everybody sees. */
const WHAT_IT_IS_ABOUT = [
  { id: 'seen', binder: '', colour: 'the coat you see', state: 'notFound', counted: true },
  { id: 'before', binder: '', colour: 'the coat before it, green', state: 'assumed', counted: true },
  { id: 'first', binder: '', colour: 'the first primer', state: 'found', counted: true },
] as const;

export function StartScreen() {
  const dispatch = useAppDispatch();
  const { list, listStatus, byId } = useAppSelector((s) => s.jobs);
  useEffect(() => {
    void dispatch(loadList());
  }, [dispatch]);
  useKeys((key) => {
    if (key === 'n') router.navigate('/new');
    else return false;
    return true;
  });
  // A job begun without signal is here before the server knows it.
  const begun = Object.values(byId).filter(({ facts }) => facts.job.removedAt === null && !list?.some((l) => l.id === facts.job.id));
  const shown = list?.filter((j) => !byId[j.id]?.facts.job.removedAt);
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
        <Panel title="Jobs">
          {list === null && listStatus === 'away' && begun.length === 0 ? (
            <Empty says="No signal, and no job has been opened on this phone yet. A new job can be begun all the same: it is sent when the server answers." />
          ) : null}
          {list === null && listStatus === 'loading' ? <ActivityIndicator aria-label="Loading the jobs" /> : null}
          <View className="gap-1">
            {begun.map(({ facts }) => (
              <Row key={facts.job.id} title={facts.job.name} note="on this phone, not sent yet" href={`/job/${facts.job.id}/walk`} />
            ))}
            {shown?.map((j) => (
              <Row
                key={j.id}
                testID={`job-${j.id}`}
                title={byId[j.id]?.facts.job.name ?? j.name}
                href={`/job/${j.id}/walk`}
                note={[
                  j.place,
                  j.yearBuilt ? `built ${j.yearBuilt}` : 'year unknown',
                  many(j.surfaces, 'surface'),
                  j.rulebook === 'us' ? 'US rules' : 'UK rules',
                ]
                  .filter(Boolean)
                  .join(' · ')}
                aside={j.sample ? <Words look="note">sample</Words> : undefined}
              />
            ))}
          </View>
          {shown?.length === 0 && begun.length === 0 ? (
            <Empty says="No job yet. Start one: a name is enough, and the year it was built tells the most." />
          ) : null}
        </Panel>
        <View className="flex-row flex-wrap gap-x-4">
          <Button look="quiet" label="Rates and settings" flush onPress={() => router.navigate('/settings')} />
          <Button look="quiet" label="People, machines, sites" flush onPress={() => router.navigate('/firm')} />
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
