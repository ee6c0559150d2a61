/** The firm's jobs: those in hand first; put away ones and templates by their own word; any of them by a few letters. */
import { useState } from 'react';
import { ActivityIndicator, View } from 'react-native';
import { JOB_STATES, many, say, type JobLine, type JobState } from '@roughsill/core/records';
import { Empty, Panel, Pick, Row, TextField, Words } from '../../kit';
import { useAppSelector } from '../../store';

/** So many are seen at once; more are looked for. */
const SEEN_AT_ONCE = 5;

const letters = (x: string): string => x.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '');
const holds = (j: JobLine, asked: string): boolean => {
  const told = letters([j.name, j.place, j.clientName].join(' '));
  return letters(asked)
    .split(/\s+/)
    .every((word) => told.includes(word));
};

const noteOf = (j: JobLine): string =>
  [
    j.place,
    j.clientName === '' ? '' : `for ${j.clientName}`,
    j.yearBuilt ? `built ${j.yearBuilt}` : 'year unknown',
    many(j.surfaces, 'surface'),
    j.rulebook === 'us' ? 'US rules' : 'UK rules',
  ]
    .filter(Boolean)
    .join(' · ');

export function JobsPanel() {
  const { list, listStatus, byId } = useAppSelector((s) => s.jobs);
  const [asked, setAsked] = useState('');
  const [state, setState] = useState<JobState>('open');
  // A job begun without signal is here before the server knows it; of others what this phone wrote last holds.
  const begun = Object.values(byId).filter(({ facts }) => facts.job.removedAt === null && !list?.some((l) => l.id === facts.job.id));
  const lines = (list ?? []).flatMap((line): JobLine[] => {
    const here = byId[line.id]?.facts.job;
    if (here?.removedAt) return [];
    return here ? [{ ...line, name: here.name, place: here.place, clientName: here.clientName, jobState: here.jobState }] : [line];
  });
  const stateOf = (s: JobState) =>
    lines.filter((j) => j.jobState === s).length + begun.filter(({ facts }) => facts.job.jobState === s).length;
  const counts = Object.fromEntries(JOB_STATES.map((s) => [s, stateOf(s)])) as Record<JobState, number>;
  const sorts = JOB_STATES.some((s) => s !== 'open' && counts[s] > 0);
  const looksFor = lines.length + begun.length > SEEN_AT_ONCE || asked !== '';
  // Who looks for a job by its name does not know that it was put away.
  const shown = lines.filter((j) => (asked.trim() === '' ? j.jobState === state : holds(j, asked)));
  const shownBegun = begun.filter(({ facts: { job } }) =>
    asked.trim() === '' ? job.jobState === state : letters([job.name, job.place, job.clientName].join(' ')).includes(letters(asked)),
  );
  return (
    <Panel title="Jobs">
      {looksFor ? (
        <TextField
          label="Find a job"
          hint="name, place or client"
          value={asked}
          onChange={setAsked}
          onCommit={setAsked}
          testID="find-job"
        />
      ) : null}
      {sorts && asked.trim() === '' ? (
        <Pick
          label="Which"
          value={state}
          options={JOB_STATES.map((value) => ({ value, label: `${say(`jobState.${value}`)}, ${counts[value]}` }))}
          onChange={setState}
          testID="which-jobs"
        />
      ) : null}
      {list === null && listStatus === 'away' && begun.length === 0 ? (
        <Empty says="No signal, and no job has been opened on this phone yet. A new job can be begun all the same: it is sent when the server answers." />
      ) : null}
      {list === null && listStatus === 'loading' ? <ActivityIndicator aria-label="Loading the jobs" /> : null}
      <View className="gap-1">
        {shownBegun.map(({ facts }) => (
          <Row key={facts.job.id} title={facts.job.name} note="on this phone, not sent yet" href={`/job/${facts.job.id}/walk`} />
        ))}
        {shown.map((j) => (
          <Row
            key={j.id}
            testID={`job-${j.id}`}
            title={j.name}
            href={`/job/${j.id}/walk`}
            note={noteOf(j)}
            aside={
              j.jobState !== 'open' && asked.trim() !== '' ? (
                <Words look="note">{say(`jobState.${j.jobState}`)}</Words>
              ) : j.sample ? (
                <Words look="note">sample</Words>
              ) : undefined
            }
          />
        ))}
      </View>
      {list !== null && shown.length === 0 && shownBegun.length === 0 ? (
        <Empty
          says={
            asked.trim() !== ''
              ? 'No job has these letters in its name, place or client.'
              : lines.length + begun.length === 0
                ? 'No job yet. Start one: a name is enough, and the year it was built tells the most.'
                : `None is ${say(`jobState.${state}`)}.`
          }
        />
      ) : null}
    </Panel>
  );
}
