/** A new job: three things are asked, the rest where it first changes an answer; or it is begun from another. */
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import type { z } from 'zod';
import { BLANK_JOB, COPY_WAYS, isElsewhere, RULEBOOKS, say, type CopyWay, type Job, type Problem } from '@roughsill/core';
import { Button, NumberField, Pick, Problems, Select, TextField, Words } from '../../kit';
import { add, beginFrom, commit, loadList, newId, useAppDispatch, useAppSelector, useFirm } from '../../store';
import { Notices } from '../Notices';
import { JobForm } from './job-fields';
import { fromHouse, useJobsAt } from './OfFirm';

type Form = z.output<typeof JobForm>;
const BLANK: Form = { ...BLANK_JOB, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' };

export function NewJobScreen() {
  const dispatch = useAppDispatch();
  const asked = useLocalSearchParams<{ from?: string }>();
  const list = useAppSelector((s) => s.jobs.list);
  const houses = useFirm().sites.filter((s) => s.removedAt === null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [house, setHouse] = useState('');
  const [from, setFrom] = useState(asked.from ?? '');
  const [way, setWay] = useState<CopyWay>('alike');
  const [making, setMaking] = useState(false);
  const before = useJobsAt(house === '' ? null : house);
  useEffect(() => {
    if (list === null) void dispatch(loadList());
  }, [dispatch, list]);
  const {
    control,
    handleSubmit,
    setValue,
    getValues,
    formState: { errors },
  } = useForm<z.input<typeof JobForm>, unknown, Form>({ resolver: zodResolver(JobForm), defaultValues: BLANK });
  const source = list?.find((j) => j.id === from);
  const template = source?.jobState === 'template';
  const elsewhere = source !== undefined && isElsewhere(source, house === '' ? null : house);
  const alike = template || elsewhere || way === 'alike';
  const templates = list?.filter((j) => j.jobState === 'template') ?? [];
  const others = list?.filter((j) => j.jobState !== 'template') ?? [];
  /** The rules and units of what it is begun from, until somebody says otherwise. */
  const beginWith = (id: string) => {
    setFrom(id);
    const line = list?.find((j) => j.id === id);
    if (!line) return;
    setValue('rulebook', line.rulebook);
    setValue('units', line.rulebook === 'us' ? 'ft' : 'm');
  };
  const given = source?.id === asked.from ? source?.rulebook : undefined;
  useEffect(() => {
    if (given === undefined) return;
    setValue('rulebook', given);
    setValue('units', given === 'us' ? 'ft' : 'm');
  }, [given, setValue]);
  /** A house knows what was found in it: the next job there begins with all of that, unless somebody says otherwise. */
  const atHouse = (id: string) => {
    setHouse(id);
    const site = houses.find((s) => s.id === id);
    const last = others.filter((j) => j.siteId === id).sort((a, b) => b.createdAt.localeCompare(a.createdAt))[0];
    if (last) {
      beginWith(last.id);
      setWay('sameHouse');
    }
    const taken: Partial<Job> = site ? fromHouse(site, getValues('yearBuilt') ?? null) : {};
    if (taken.yearBuilt) setValue('yearBuilt', taken.yearBuilt);
  };
  const save = handleSubmit(async (f) => {
    if (making) return;
    const site = houses.find((s) => s.id === house);
    const where = site ? fromHouse(site, f.yearBuilt) : {};
    const edition = RULEBOOKS[f.rulebook].editionId;
    const id = newId();
    const done = (found: readonly Problem[], to: string) => {
      setProblems(found);
      if (found.length === 0) router.replace(to as '/');
    };
    if (from === '') return done(dispatch(commit(id, [add('job', { ...f, ...where, edition }, undefined, id)], null)), `/add/${id}`);
    setMaking(true);
    const { name, yearBuilt, rulebook, units } = f;
    const told = {
      name,
      ...where,
      ...(yearBuilt === null ? {} : { yearBuilt }),
      rulebook,
      ...(rulebook === source?.rulebook ? {} : { units }),
      edition,
    };
    const made = await dispatch(beginFrom(from, alike ? 'alike' : way, told));
    setMaking(false);
    if (made.ok) done([], `/job/${made.value}/walk`);
    else done(made.problems, '');
  });
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-5 self-center p-4 pb-10">
        <Button look="quiet" label="‹ All jobs" onPress={() => router.navigate('/')} flush />
        <Words look="title" level={1}>
          New job
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
        {houses.length > 0 ? (
          <Select
            label="House"
            value={house}
            options={[{ value: '', label: 'none of the list' }, ...houses.map((h) => ({ value: h.id, label: h.name }))]}
            onChange={atHouse}
            testID="house"
          />
        ) : null}
        {list !== null && list.length > 0 ? (
          <Select
            label="Begin from"
            value={from}
            options={[
              { value: '', label: 'an empty list' },
              ...templates.map((j) => ({ value: j.id, label: `template: ${j.name}` })),
              ...others.map((j) => ({ value: j.id, label: [j.name, j.place].filter(Boolean).join(', ') })),
            ]}
            onChange={beginWith}
            testID="from"
          />
        ) : null}
        {from !== '' && !template && !elsewhere ? (
          <Pick
            label="What comes along"
            value={way}
            options={COPY_WAYS.map((value) => ({ value, label: say(`copy.${value}`) }))}
            onChange={setWay}
            testID="way"
          />
        ) : null}
        {from !== '' ? (
          <Words look="note">
            {elsewhere
              ? 'That job was at another house: its rooms, sizes and ways come along, and nothing that was found there.'
              : alike
                ? 'Rooms, sizes and the ways that were chosen. Nothing that was found: another house is another house.'
                : 'For the same house: coats, readings, samples and pictures, with who made them. What was tried, passed and worked stays behind.'}
          </Words>
        ) : null}
        {before.length > 0 && way === 'alike' && !template ? (
          <Words tone="oxide">{`${before[0]!.name} was at this house. What was found there is not known to a job that begins without it.`}</Words>
        ) : null}
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
                setValue('units', v === 'us' ? 'ft' : 'm', { shouldDirty: true });
              }}
            />
          )}
        />
        <Words look="note">
          The rest is asked where it first changes an answer. Until then people, children and illness in the house count as there.
        </Words>
        <Problems problems={problems} />
        <Button look="main" label={making ? 'Fetching that job' : 'Start the walk'} onPress={() => void save()} testID="save-job" />
      </ScrollView>
      <Notices />
    </View>
  );
}
