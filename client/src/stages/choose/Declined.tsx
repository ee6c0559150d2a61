/** What the client declined: recorded with its day, told in writing, outside the scope on every paper. */
import { useState } from 'react';
import { View } from 'react-native';
import type { JobFacts, Problem, Surface } from '@roughsill/core';
import { Button, Panel, Problems, TextField, Words } from '../../kit';
import { commit, set, useAppDispatch } from '../../store';
import { DayField, dayOf } from '../DayField';

export function Declined({ facts, surface }: { readonly facts: JobFacts; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const [asking, setAsking] = useState(false);
  const { timeZone } = facts.job;
  const [on, setOn] = useState(() => dayOf(new Date().toISOString(), timeZone));
  const [note, setNote] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  /** Refused, it says why, and what was typed stays. */
  const write = (declinedOn: string | null, declinedNote: string, what: string): boolean => {
    const found = dispatch(commit(facts.job.id, [set('surface', surface.id, { declinedOn, declinedNote })], what));
    setProblems(found);
    return found.length === 0;
  };
  if (surface.declinedOn !== null)
    return (
      <Panel title="Declined by the client" aside={surface.declinedOn} testID="declined">
        <Words>Nothing is planned on it. It stands outside the scope on every paper, with what it means.</Words>
        <TextField
          label="What was said"
          value={surface.declinedNote}
          onCommit={(text) => write(surface.declinedOn, text, 'what the client said')}
          testID="declined-note"
        />
        <Problems problems={problems} />
        <Button
          label="They want it after all"
          onPress={() => write(null, '', 'no longer declined')}
          className="self-start"
          testID="declined-back"
        />
      </Panel>
    );
  return asking ? (
    <Panel title="Declined by the client" testID="declined">
      <DayField label="Told in writing on" value={on} onCommit={setOn} testID="declined-on" />
      <TextField label="What was said" value={note} onCommit={setNote} testID="declined-note" />
      <Problems problems={problems} />
      <View className="flex-row flex-wrap gap-2">
        <Button
          look="main"
          label="Leave it out of the scope"
          onPress={() => setAsking(!write(on, note, 'declined by the client'))}
          testID="declined-keep"
        />
        <Button look="quiet" label="Not now" onPress={() => setAsking(false)} />
      </View>
    </Panel>
  ) : (
    <Button look="quiet" flush label="The client declined work on it" onPress={() => setAsking(true)} testID="decline" />
  );
}
