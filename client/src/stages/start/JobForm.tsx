/** The facts of a job: for a new one, and to put an old one right. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { z } from 'zod';
import { JobFields, say, writeJobFile, YES_NO, type Job, type JobFacts, type Problem } from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Problems, TextField, Toggle, Words } from '../../kit';
import { add, commit, newId, remove, set, useAppDispatch, useJob } from '../../store';
import { Notices } from '../Notices';

/** As the core has it, with today's calendar for "in the future". */
const Form = JobFields.extend({
  yearBuilt: JobFields.shape.yearBuilt.refine((y) => y === null || y <= new Date().getFullYear(), {
    error: 'The year is in the future: check it.',
  }),
});
type Form = z.infer<typeof Form>;

const BLANK: Form = {
  name: '',
  place: '',
  yearBuilt: null,
  rulebook: 'us',
  units: 'ft',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
  childUnder6: 'unknown',
  pregnancy: 'unknown',
  dwelling: true,
  sample: false,
};

export function NewJobScreen() {
  return <JobForm start={BLANK} />;
}

export function JobFactsScreen() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const { facts } = useJob(jobId);
  return facts ? <JobForm start={facts.job} facts={facts} /> : null;
}

const yesNo = YES_NO.map((value) => ({ value, label: value === 'unknown' ? 'not known' : say(value) }));

function JobForm({ start, facts }: { readonly start: Form | Job; readonly facts?: JobFacts }) {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const picked = Object.fromEntries(Object.keys(JobFields.shape).map((k) => [k, start[k as keyof Form]])) as Form;
  const {
    control,
    handleSubmit,
    setValue,
    formState: { errors, isDirty },
  } = useForm<Form>({ resolver: zodResolver(Form), defaultValues: picked });
  const save = handleSubmit((f) => {
    const id = facts?.job.id ?? newId();
    const changed = facts ? Object.fromEntries(Object.entries(f).filter(([k, v]) => facts.job[k as keyof Job] !== v)) : f;
    if (facts && Object.keys(changed).length === 0) return router.navigate(`/job/${id}/walk`);
    const found = dispatch(
      commit(id, [facts ? set('job', id, changed) : add('job', f, undefined, id)], facts ? 'job facts changed' : null),
    );
    setProblems(found);
    if (found.length === 0) router.replace(facts ? `/job/${id}/walk` : `/add/${id}`);
  });
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-5 self-center p-4 pb-10">
        <Button
          look="quiet"
          label={facts ? `‹ ${facts.job.name}` : '‹ All jobs'}
          onPress={() => router.navigate(facts ? `/job/${facts.job.id}/walk` : '/')}
          flush
        />
        <Words look="title" level={1}>
          {facts ? 'Job facts' : 'New job'}
        </Words>
        <Controller
          control={control}
          name="name"
          render={({ field }) => (
            <TextField
              label="Name of the job"
              value={field.value}
              problem={errors.name?.message}
              onChange={field.onChange}
              onCommit={field.onChange}
              testID="job-name"
            />
          )}
        />
        <Controller
          control={control}
          name="place"
          render={({ field }) => (
            <TextField
              label="Where it is"
              value={field.value}
              problem={errors.place?.message}
              onChange={field.onChange}
              onCommit={field.onChange}
            />
          )}
        />
        <Controller
          control={control}
          name="yearBuilt"
          render={({ field }) => (
            <NumberField
              label="Year built"
              hint="Leave empty if nobody knows: then lead counts as present"
              value={field.value}
              optional
              decimals={0}
              problem={errors.yearBuilt?.message}
              onCommit={field.onChange}
              testID="year-built"
            />
          )}
        />
        <Controller
          control={control}
          name="childUnder6"
          render={({ field }) => (
            <Pick
              label="A child under 6 lives or is expected here"
              value={field.value}
              options={yesNo}
              onChange={field.onChange}
              testID="child"
            />
          )}
        />
        <Controller
          control={control}
          name="pregnancy"
          render={({ field }) => <Pick label="Someone here is pregnant" value={field.value} options={yesNo} onChange={field.onChange} />}
        />
        <Controller
          control={control}
          name="dwelling"
          render={({ field }) => (
            <Toggle
              label="People live here, or small children are cared for"
              hint="Housing rules apply"
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        <Controller
          control={control}
          name="rulebook"
          render={({ field }) => (
            <Pick
              label="Rules"
              value={field.value}
              options={[
                { value: 'us', label: 'United States, federal' },
                { value: 'uk', label: 'United Kingdom' },
              ]}
              testID="rules"
              onChange={(v) => {
                field.onChange(v);
                if (!facts) setValue('units', v === 'us' ? 'ft' : 'm', { shouldDirty: true });
              }}
            />
          )}
        />
        <Controller
          control={control}
          name="units"
          render={({ field }) => (
            <Pick
              label="Measured in"
              value={field.value}
              options={[
                { value: 'ft', label: 'feet' },
                { value: 'm', label: 'metres' },
              ]}
              onChange={field.onChange}
              testID="units"
            />
          )}
        />
        <Problems problems={problems} />
        <Button
          look="main"
          label={facts ? (isDirty ? 'Keep these facts' : 'Back to the job') : 'Start the walk'}
          onPress={() => void save()}
          testID="save-job"
        />
        {facts ? <FilePanel facts={facts} /> : null}
      </ScrollView>
      <Notices jobId={facts?.job.id} />
    </View>
  );
}

function FilePanel({ facts }: { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const { job } = facts;
  const take = () => {
    const url = URL.createObjectURL(new Blob([writeJobFile(facts)], { type: 'application/json' }));
    const a = document.createElement('a');
    a.href = url;
    a.download = `${
      job.name
        .replace(/[^\p{L}\p{N}]+/gu, '-')
        .replace(/^-|-$/g, '')
        .toLowerCase() || 'job'
    }.roughsill.json`;
    a.click();
    URL.revokeObjectURL(url);
  };
  return (
    <Panel title="The job as a file">
      <Words>Everything recorded on this job, in an open format that can be brought in again, here or elsewhere.</Words>
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
