/** A new job: three things are asked, the rest where it first changes an answer. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import type { z } from 'zod';
import { BLANK_JOB, RULEBOOKS, type Problem } from '@roughsill/core';
import { Button, NumberField, Pick, Problems, TextField, Words } from '../../kit';
import { add, commit, newId, useAppDispatch } from '../../store';
import { Notices } from '../Notices';
import { JobForm } from './job-fields';

type Form = z.output<typeof JobForm>;
const BLANK: Form = { ...BLANK_JOB, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC' };

export function NewJobScreen() {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const {
    control,
    handleSubmit,
    setValue,
    formState: { errors },
  } = useForm<z.input<typeof JobForm>, unknown, Form>({ resolver: zodResolver(JobForm), defaultValues: BLANK });
  const save = handleSubmit((f) => {
    const id = newId();
    const found = dispatch(commit(id, [add('job', { ...f, edition: RULEBOOKS[f.rulebook].editionId }, undefined, id)], null));
    setProblems(found);
    if (found.length === 0) router.replace(`/add/${id}`);
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
        <Button look="main" label="Start the walk" onPress={() => void save()} testID="save-job" />
      </ScrollView>
      <Notices />
    </View>
  );
}
