/** Today's picture: what is clear, assumed, waiting, found; what nobody may touch; and what the samples ask for. */
import { useMemo } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { sampleRegister, todayOf, todaySurface, type HazardWord, type JobDigest, type JobFacts, type TodayAct } from '@roughsill/core';
import { Button, StateChip, Words } from '../../kit';
import { useSettings } from '../../store';

const ACT: Record<Exclude<TodayAct['kind'], 'none'>, (n: number) => string> = {
  renumber: (n) => `${n} samples carry the same number. Renumber one.`,
  overdue: (n) => `${n} ${n === 1 ? 'answer is' : 'answers are'} overdue. Ask the lab.`,
  send: (n) => `${n} ${n === 1 ? 'sample is' : 'samples are'} taken and not sent.`,
  take: (n) => `${n} ${n === 1 ? 'sample is' : 'samples are'} planned and not taken.`,
};

export function TodayPanel({ facts, digest }: { readonly facts: JobFacts; readonly digest: JobDigest }) {
  const settings = useSettings();
  const register = useMemo(() => sampleRegister(facts, settings, new Date().toISOString()), [facts, settings]);
  const today = useMemo(() => todayOf(digest.surfaces.map(todaySurface), register), [digest, register]);
  if (digest.surfaces.length === 0) return null;
  const cell = (state: HazardWord, n: number, label: string) => (
    <View key={label} className="min-w-[4.5rem] flex-1 flex-row items-center gap-1.5">
      <StateChip state={state} size={20} />
      <View>
        <Words look="row">{String(n)}</Words>
        <Words look="note">{label}</Words>
      </View>
    </View>
  );
  const names = today.stopped.map((id) => facts.surfaces.find((s) => s.id === id)?.name ?? '');
  const shown = names.slice(0, 3).join(', ');
  return (
    <View testID="today" role="region" aria-label="Today" className="gap-2 border-y-2 border-line bg-panel px-3 py-2">
      <View className="flex-row gap-2">
        {cell('notSuspected', today.clear, 'clear')}
        {today.low > 0 ? cell('below', today.low, 'low') : null}
        {cell('assumed', today.assumed, 'assumed')}
        {cell('waiting', today.waiting, 'waiting')}
        {cell('found', today.found, 'found')}
      </View>
      <Words testID="not-to-be-touched">
        {names.length === 0
          ? 'Every surface may be worked in some way; what is ruled out stands with each.'
          : `Do not touch: ${shown}${names.length > 3 ? ` and ${names.length - 3} more` : ''}.`}
      </Words>
      {today.act.kind === 'none' ? null : (
        <Words look="strong" tone="oxide" testID="today-act">
          {ACT[today.act.kind](today.act.count)}
        </Words>
      )}
      <View className="flex-row flex-wrap gap-x-1">
        <Button
          look="quiet"
          flush
          label={`Samples, ${register.lines.length}`}
          testID="open-samples"
          onPress={() => router.navigate(`/samples/${facts.job.id}`)}
        />
        <Button look="quiet" label="Survey" testID="open-survey" onPress={() => router.navigate(`/survey/${facts.job.id}`)} />
        <Button look="quiet" label="Instruments" onPress={() => router.navigate(`/instruments/${facts.job.id}`)} />
      </View>
    </View>
  );
}
