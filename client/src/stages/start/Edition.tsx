/** The edition of the rules on which a job stands: another one says what it would change here, and is taken over by a person, both ways. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  bookOf,
  editionChanges,
  EDITIONS,
  formatMeasure,
  say,
  type FirmSettings,
  type JobFacts,
  type EditionSays,
  type Rulebook,
} from '@roughsill/core';
import { Button, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { commit, set, useAppDispatch } from '../../store';
import { ChangedPanel } from '../ChangedPanel';

export function Edition({ facts, settings }: { readonly facts: JobFacts; readonly settings: FirmSettings }) {
  const { job } = facts;
  const all = EDITIONS[job.rulebook];
  const stands = bookOf(job);
  const newer = all.filter((b) => b.since > stands.since).at(-1);
  const older = all.filter((b) => b.since < stands.since).at(-1);
  const [back, setBack] = useState(false);
  return (
    <View className="gap-2" testID="edition">
      <Words look="note">{`${stands.edition}.`}</Words>
      {newer ? (
        <Change
          facts={facts}
          settings={settings}
          to={newer}
          says={`Newer rules are in force from ${newer.since}. This job stands on those from ${stands.since} until somebody takes the newer over.`}
          act={`Take over the rules from ${newer.since}`}
          testID="take-edition"
        />
      ) : older && back ? (
        <Change
          facts={facts}
          settings={settings}
          to={older}
          says={`The rules from ${older.since} bind only a job that was begun under them. What they change here:`}
          act={`Go back to the rules from ${older.since}`}
          onDone={() => setBack(false)}
          testID="take-edition"
        />
      ) : older ? (
        <Button look="quiet" flush label={`See the rules from ${older.since}`} onPress={() => setBack(true)} testID="older-edition" />
      ) : null}
    </View>
  );
}

interface ChangeProps {
  readonly facts: JobFacts;
  readonly settings: FirmSettings;
  readonly to: Rulebook;
  readonly says: string;
  readonly act: string;
  readonly onDone?: () => void;
  readonly testID: string;
}
/** An edition changes by an act of its own, beside all that it changes. */
function Change({ facts, settings, to, says, act, onDone, testID }: ChangeProps) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { job } = facts;
  const then = useMemo(() => ({ ...facts, job: { ...facts.job, edition: to.editionId } }), [facts, to]);
  const was = useMemo(() => ({ facts, settings }), [facts, settings]);
  const told = (x: EditionSays | null) => {
    if (x === null) return 'none';
    if (typeof x === 'string') return say(x);
    return 'apf' in x ? `assigned factor ${x.apf}${x.vapour ? ', takes cartridges' : ''}` : formatMeasure(x.is, units);
  };
  return (
    <View className="gap-2 border-l-8 border-ochre bg-panel px-3 py-2">
      <Words look="strong">{says}</Words>
      {editionChanges(bookOf(job), to).map((c) => (
        <Words key={c.what}>{`${cap(say(c.what))}: ${told(c.is)} (was ${told(c.was)})`}</Words>
      ))}
      <ChangedPanel title="What it would change on this job" aside="nothing is changed yet" was={was} facts={then} settings={settings} />
      <Button
        look="main"
        label={act}
        onPress={() => {
          dispatch(commit(job.id, [set('job', job.id, { edition: to.editionId })], `Rules in force from ${to.since}`));
          onDone?.();
        }}
        className="self-start"
        testID={testID}
      />
    </View>
  );
}
