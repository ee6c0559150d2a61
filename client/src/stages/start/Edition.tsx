/** The edition of the rules on which a job stands: a newer one says what it would change here, and is taken over by a person. */
import { useMemo } from 'react';
import { View } from 'react-native';
import { bookOf, editionChanges, EDITIONS, formatMeasure, say, type FirmSettings, type JobFacts } from '@roughsill/core';
import { Button, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { commit, set, useAppDispatch } from '../../store';
import { ChangedPanel } from '../ChangedPanel';

export function Edition({ facts, settings }: { readonly facts: JobFacts; readonly settings: FirmSettings }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { job } = facts;
  const all = EDITIONS[job.rulebook];
  const stands = bookOf(job);
  const newer = all.filter((b) => b.since > stands.since).at(-1);
  const older = all.filter((b) => b.since < stands.since).at(-1);
  const then = useMemo(() => (newer ? { ...facts, job: { ...facts.job, edition: newer.editionId } } : facts), [facts, newer]);
  const was = useMemo(() => ({ facts, settings }), [facts, settings]);
  const take = (id: string, since: string) =>
    dispatch(commit(job.id, [set('job', job.id, { edition: id })], `Rules in force from ${since}`));
  return (
    <View className="gap-2" testID="edition">
      <Words look="note">{`${stands.edition}.`}</Words>
      {newer ? (
        <View className="gap-2 border-l-8 border-ochre bg-panel px-3 py-2">
          <Words look="strong">{`Newer rules are in force from ${newer.since}. This job stands on those from ${stands.since} until somebody takes the newer over.`}</Words>
          {editionChanges(stands, newer).map((c) => (
            <Words
              key={c.what}
            >{`${cap(say(`limit.${c.what}`))}: ${formatMeasure(c.is.is, units)} (was ${formatMeasure(c.was.is, units)})`}</Words>
          ))}
          <ChangedPanel
            title="What it would change on this job"
            aside="nothing is changed yet"
            was={was}
            facts={then}
            settings={settings}
          />
          <Button
            look="main"
            label={`Take over the rules from ${newer.since}`}
            onPress={() => take(newer.editionId, newer.since)}
            className="self-start"
            testID="take-edition"
          />
        </View>
      ) : older ? (
        <Button
          look="quiet"
          flush
          label={`This job was begun under the rules from ${older.since}`}
          onPress={() => take(older.editionId, older.since)}
          testID="older-edition"
        />
      ) : null}
    </View>
  );
}
