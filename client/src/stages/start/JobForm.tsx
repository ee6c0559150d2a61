/** The facts of a job: for a new one, and to put an old one right. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm, useWatch, type Control, type UseFormSetValue } from 'react-hook-form';
import { z } from 'zod';
import { BLANK_JOB, fileName, JobFields, say, writeJobFile, YES_NO, type Job, type JobFacts, type Problem } from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Problems, Select, TextField, Toggle, Words } from '../../kit';
import { add, commit, commitToFirm, newId, remove, set, useAppDispatch, useFirm, useJob } from '../../store';
import { Notices } from '../Notices';
import { Photos } from '../photos/Photos';

/** As the core has it, with today's calendar for "in the future". */
const Form = JobFields.extend({
  yearBuilt: JobFields.shape.yearBuilt.refine((y) => y === null || y <= new Date().getFullYear(), {
    error: 'The year is in the future: check it.',
  }),
});
type Form = z.output<typeof Form>;

const BLANK: Form = { ...BLANK_JOB, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' };

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
  } = useForm<z.input<typeof Form>, unknown, Form>({ resolver: zodResolver(Form), defaultValues: picked });
  const answer = <K extends 'asthma' | 'livedIn' | 'tenure' | 'worker' | 'family' | 'publicFunding' | 'listed' | 'power' | 'water'>(
    name: K,
    label: string,
    options: readonly { readonly value: Form[K] & string; readonly label: string }[],
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => <Pick label={label} value={field.value as string} options={options} onChange={field.onChange} testID={name} />}
    />
  );
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
        {facts ? (
          <>
            <SitePick control={control} setValue={setValue} name={facts.job.name} />
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
              render={({ field }) => (
                <Pick label="Someone here is pregnant" value={field.value} options={yesNo} onChange={field.onChange} />
              )}
            />
            <Panel title="The house and its people" aside="what changes the rules">
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
              <Controller
                control={control}
                name="dwellings"
                render={({ field }) => (
                  <NumberField
                    label="Dwellings of like construction"
                    hint="With several, only some are tested, drawn at random by the seed"
                    value={field.value ?? null}
                    optional
                    decimals={0}
                    problem={errors.dwellings?.message}
                    onCommit={field.onChange}
                    testID="dwellings"
                  />
                )}
              />
              {answer('publicFunding', 'Public money is in the work', yesNo)}
              {answer('listed', 'The building is listed or protected', yesNo)}
              {answer('power', 'Power on site', yesNo)}
              {answer('water', 'Water on site', yesNo)}
              <Controller
                control={control}
                name="otherTrades"
                render={({ field }) => (
                  <TextField
                    label="Who else works there"
                    value={field.value ?? ''}
                    problem={errors.otherTrades?.message}
                    onChange={field.onChange}
                    onCommit={field.onChange}
                  />
                )}
              />
              <Controller
                control={control}
                name="note"
                render={({ field }) => (
                  <TextField
                    label="Note"
                    value={field.value ?? ''}
                    problem={errors.note?.message}
                    onChange={field.onChange}
                    onCommit={field.onChange}
                    multiline
                  />
                )}
              />
              <Controller
                control={control}
                name="samplingSeed"
                render={({ field }) => (
                  <TextField
                    label="Seed for random places"
                    hint="Any words. The same words draw the same places and dwellings again, for whoever checks"
                    value={field.value ?? ''}
                    problem={errors.samplingSeed?.message}
                    onChange={field.onChange}
                    onCommit={field.onChange}
                    testID="seed"
                  />
                )}
              />
            </Panel>
          </>
        ) : (
          <Words look="note">
            The rest is asked where it first changes an answer. Until then people, children and illness in the house count as there.
          </Words>
        )}
        <Problems problems={problems} />
        <Button
          look="main"
          label={facts ? (isDirty ? 'Keep these facts' : 'Back to the job') : 'Start the walk'}
          onPress={() => void save()}
          testID="save-job"
        />
        {facts ? <Photos facts={facts} of={{}} title="Photographs of the whole job" /> : null}
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
    a.download = fileName(job.name, 'roughsill.json');
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

type In = z.input<typeof Form>;

/** At which of the firm's sites the job is: its address and year are taken over, and what it says later is offered. */
function SitePick({
  control,
  setValue,
  name,
}: {
  readonly control: Control<In, unknown, Form>;
  readonly setValue: UseFormSetValue<In>;
  readonly name: string;
}) {
  const dispatch = useAppDispatch();
  const [siteId, place, yearBuilt] = useWatch({ control, name: ['siteId', 'place', 'yearBuilt'] });
  // A job goes on naming the site that it is at, also when it was taken off the list.
  const sites = useFirm().sites.filter((s) => s.removedAt === null || s.id === siteId);
  const site = sites.find((s) => s.id === siteId);
  const takeOver = (from: (typeof sites)[number]) => {
    setValue('place', from.address || from.name, { shouldDirty: true });
    if (yearBuilt === null && from.yearBuilt !== null) setValue('yearBuilt', from.yearBuilt, { shouldDirty: true });
  };
  const says = site && (site.address || site.name);
  return (
    <View className="gap-2">
      {sites.length > 0 ? (
        <Select
          label="Site"
          value={site?.id ?? ''}
          options={[
            { value: '', label: 'none of the list' },
            ...sites.map((s) => ({ value: s.id, label: s.removedAt === null ? s.name : `${s.name}, taken off the list` })),
          ]}
          onChange={(id) => {
            setValue('siteId', id === '' ? null : id, { shouldDirty: true });
            const picked = sites.find((s) => s.id === id);
            if (picked) takeOver(picked);
          }}
          testID="site"
        />
      ) : null}
      {site && says !== place ? (
        <View className="gap-1">
          <Words look="note">{`On the list the site is at: ${says}.`}</Words>
          <Button label="Take that over" onPress={() => takeOver(site)} className="self-start" />
        </View>
      ) : null}
      {site === undefined && place.trim() !== '' ? (
        <Button
          look="quiet"
          flush
          label="Keep this place on the firm’s list of sites"
          onPress={() => {
            const id = newId();
            const problems = dispatch(
              commitToFirm([add('site', { name, address: place, yearBuilt: yearBuilt ?? null, note: '' }, undefined, id)]),
            );
            if (problems.length === 0) setValue('siteId', id, { shouldDirty: true });
          }}
        />
      ) : null}
    </View>
  );
}
