/** The facts of a job that is there: each is kept as it is entered, and what the rules make of it is told beside. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import { fileName, JOB_STATES, RULEBOOKS, say, writeJobFile, YES_NO, type Job, type JobFacts, spell } from '@roughsill/core';
import { Button, Column, Columns, NumberField, Panel, Pick, TextField, Toggle, Words } from '../../kit';
import { commit, remove, set, useAppDispatch, useJob, useSettings } from '../../store';
import { useKeptScroll, useWayBack } from '../../trail';
import { useTitle } from '../../useTitle';
import { ChangedPanel } from '../ChangedPanel';
import { JobNotices } from '../JobNotices';
import { Photos } from '../photos/Photos';
import { Edition } from './Edition';
import { FirstDay } from './FirstDay';
import { jobProblem } from './job-fields';
import { ClientPick, HousePick } from './OfFirm';

export function JobFactsScreen() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const { facts } = useJob(jobId);
  return facts ? <Facts key={jobId} facts={facts} /> : null;
}

const yesNo = YES_NO.map((value) => ({ value, label: value === 'unknown' ? 'not known' : say(value) }));

/** What decides which rules hold: changed, it changes the plan of every surface. */
const RULING = [
  'rulebook',
  'yearBuilt',
  'dwelling',
  'childUnder6',
  'pregnancy',
  'publicFunding',
  'listed',
  'worker',
  'tenure',
  'stateLayer',
  'startOn',
  'edition',
] as const;
const ruling = (j: Job): string => JSON.stringify(RULING.map((k) => j[k]));

function Facts({ facts }: { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const { job } = facts;
  const [was] = useState({ facts, settings });
  const [problems, setProblems] = useState<Readonly<Record<string, string | undefined>>>({});
  const way = useWayBack({ href: `/job/${job.id}/walk`, label: job.name }, job.id);
  const kept = useKeptScroll();
  useTitle('Job facts', job.name);
  /** Kept at once, or refused beside its field with what was typed still in it. */
  const put = (fields: Partial<Job>) => {
    const said = Object.fromEntries(Object.entries(fields).map(([k, v]) => [k, jobProblem(k, v)]));
    setProblems({ ...problems, ...said });
    if (Object.values(said).every((p) => p === undefined)) dispatch(commit(job.id, [set('job', job.id, fields)], 'job facts changed'));
  };
  const text = (
    field: 'name' | 'place' | 'otherTrades' | 'samplingSeed' | 'note',
    label: string,
    more: { hint?: string; testID?: string; multiline?: boolean } = {},
  ) => <TextField label={label} value={job[field]} problem={problems[field]} onCommit={(v) => put({ [field]: v })} {...more} />;
  const answer = <K extends keyof Job>(
    field: K,
    label: string,
    options: readonly { readonly value: Job[K] & string; readonly label: string }[],
    testID: string = field,
    more?: (v: Job[K] & string) => Partial<Job>,
  ) => (
    <Pick
      label={label}
      value={job[field] as Job[K] & string}
      options={options}
      onChange={(v) => put({ [field]: v, ...more?.(v) } as Partial<Job>)}
      testID={testID}
    />
  );
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView {...kept} testID="page" contentContainerClassName="w-full max-w-[80rem] gap-5 self-center p-4 pb-10">
        <View className="gap-1">
          <Button look="quiet" label={`‹ ${way.label}`} says={`Back to ${way.label}`} onPress={way.go} flush />
          <Words look="title" level={1}>
            Job facts
          </Words>
          <Words>Kept as you enter them. What is not known counts as there.</Words>
        </View>
        <Columns>
          <Column>
            {text('name', 'Name of the job', { testID: 'job-name' })}
            <NumberField
              label="Year built"
              hint="Leave empty if nobody knows: then lead counts as present"
              value={job.yearBuilt}
              optional
              decimals={0}
              problem={problems['yearBuilt']}
              onCommit={(yearBuilt) => put({ yearBuilt })}
              testID="year-built"
            />
            {answer(
              'rulebook',
              'Rules',
              [
                { value: 'us', label: 'United States, federal' },
                { value: 'uk', label: 'United Kingdom' },
              ],
              'rules',
              // Other rules are begun with as they stand today.
              (rules) => ({ edition: RULEBOOKS[rules].editionId }),
            )}
            <Edition facts={facts} settings={settings} />
            {answer('units', 'Measured in', [
              { value: 'ft', label: 'feet' },
              { value: 'm', label: spell('metres') },
            ])}
            {ruling(job) === ruling(was.facts.job) ? null : (
              <ChangedPanel title="What that changes" was={was} facts={facts} settings={settings} />
            )}
            <FirstDay facts={facts} />
            <HousePick job={job} put={put} />
            {text('place', 'Where it is')}
            <ClientPick job={job} put={put} problem={problems['clientName']} />
            {text('note', 'Note', { multiline: true })}
            {text('samplingSeed', 'Seed for random places', {
              hint: 'Any words. The same words draw the same places and dwellings again, for whoever checks',
              testID: 'seed',
            })}
            <StandsPanel facts={facts} put={put} />
            <FilePanel facts={facts} />
          </Column>
          <Column>
            <Panel title="The house and its people" aside="what changes the rules">
              <Toggle
                label="People live here, or small children are cared for"
                hint="Housing rules apply"
                value={job.dwelling}
                onChange={(dwelling) => put({ dwelling })}
              />
              {answer('childUnder6', 'A child under 6 lives or is expected here', yesNo, 'child')}
              {answer('pregnancy', 'Someone here is pregnant', yesNo)}
              {answer('asthma', 'Someone here has asthma', yesNo)}
              {answer('livedIn', 'People live here during the work', yesNo)}
              {answer('tenure', 'Who lives here', [
                { value: 'ownerOccupied', label: 'the owner' },
                { value: 'rented', label: 'it is rented' },
                { value: 'unknown', label: 'not known' },
              ])}
              {answer('worker', 'Who does the work', [
                { value: 'firm', label: 'the firm, for pay' },
                { value: 'owner', label: 'the owner, at home' },
              ])}
              {answer('family', 'The building holds', [
                { value: 'single', label: 'one dwelling' },
                { value: 'multi', label: 'several' },
                { value: 'unknown', label: 'not known' },
              ])}
              <NumberField
                label="Dwellings of like construction"
                hint="With several, only some are tested, drawn at random by the seed"
                value={job.dwellings}
                optional
                decimals={0}
                problem={problems['dwellings']}
                onCommit={(dwellings) => put({ dwellings })}
                testID="dwellings"
              />
              {answer('publicFunding', 'Public money is in the work', yesNo)}
              {answer('listed', 'The building is listed or protected', yesNo)}
              {answer('power', 'Power on site', yesNo)}
              {answer('water', 'Water on site', yesNo)}
              {text('otherTrades', 'Who else works there')}
            </Panel>
            <Photos facts={facts} of={{}} title="Photographs of the whole job" />
          </Column>
        </Columns>
      </ScrollView>
      <JobNotices jobId={job.id} />
    </View>
  );
}

/** Whether it is in hand, put away or a template; and another job begun from it. */
function StandsPanel({ facts: { job }, put }: { readonly facts: JobFacts; readonly put: (fields: Partial<Job>) => void }) {
  return (
    <Panel title="Among the firm’s jobs">
      <Pick
        label="It is"
        value={job.jobState}
        options={JOB_STATES.map((value) => ({ value, label: say(`jobState.${value}`) }))}
        onChange={(jobState) => put({ jobState })}
        testID="jobState"
      />
      <Words look="note">
        What is put away is kept whole, and found in the list by its name. A template lends its rooms and pieces to new jobs.
      </Words>
      <Button
        label="Begin another job from it"
        className="self-start"
        onPress={() => router.navigate(`/new?from=${job.id}`)}
        testID="begin-from"
      />
    </Panel>
  );
}

function FilePanel({ facts }: { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const { job } = facts;
  const take = () => {
    const url = URL.createObjectURL(new Blob([writeJobFile(facts)], { type: 'application/json' }));
    const a = document.createElement('a');
    a.href = url;
    a.download = fileName(job.name, 'roughsill.json');
    a.click();
    URL.revokeObjectURL(url);
  };
  return (
    <Panel title="The job as a file">
      <Words>Everything recorded on this job, in an open format that can be opened again, here or elsewhere.</Words>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Take the job file" testID="export" onPress={take} />
        <Button label="Print the plan" onPress={() => router.navigate(`/print/${job.id}`)} />
        <Button
          look="stop"
          label="Remove the job"
          onPress={() => {
            dispatch(commit(job.id, [remove('job', job.id)], `${job.name} removed`));
            router.replace('/');
          }}
        />
      </View>
    </Panel>
  );
}
