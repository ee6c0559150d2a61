/** A page of a job outside its stages: the way back, the title, the notices. */
import type { ReactNode } from 'react';
import { ActivityIndicator, ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import type { JobFacts } from '@roughsill/core';
import { Button, Empty, UnitsProvider, useWide, Words, ZoneProvider } from '../kit';
import { useJob } from '../store';
import { JobNotices } from './JobNotices';
import { useKeptScroll, useWayBack } from '../trail';
import { useTitle } from '../useTitle';
import type { StageId } from './stages';

interface JobPageProps {
  readonly title: string;
  readonly hint?: string;
  /** Where the way back leads within the job. */
  readonly back?: StageId;
  readonly full?: boolean;
  readonly children: (facts: JobFacts) => ReactNode;
}

export function JobPage({ title, hint, back = 'probe', full, children }: JobPageProps) {
  const { jobId, surface } = useLocalSearchParams<{ jobId: string; surface?: string }>();
  const { facts, status } = useJob(jobId);
  const wide = useWide();
  useTitle(title, facts?.job.name);
  const way = useWayBack({ href: `/job/${jobId}/${back}${surface ? `/${surface}` : ''}`, label: facts?.job.name ?? '' }, jobId);
  const kept = useKeptScroll();
  if (!facts) {
    return (
      <View className="flex-1 gap-4 bg-limewash p-6">
        {status === 'missing' || status === 'away' ? (
          <Empty says="This job cannot be opened here just now." />
        ) : (
          <ActivityIndicator aria-label="Opening the job" />
        )}
        <Button label="All jobs" onPress={() => router.replace('/')} />
      </View>
    );
  }
  return (
    <UnitsProvider value={facts.job.units}>
      <ZoneProvider value={facts.job.timeZone}>
        <View className="flex-1 bg-limewash">
          <ScrollView
            {...kept}
            testID="page"
            contentContainerClassName={`w-full gap-6 self-center p-4 pb-10 ${full ? 'max-w-[90rem]' : 'max-w-[46rem]'} ${wide ? 'px-6' : ''}`}
          >
            <View className="gap-1">
              <Button look="quiet" label={`‹ ${way.label}`} says={`Back to ${way.label}`} onPress={way.go} flush />
              <Words look="title" level={1}>
                {title}
              </Words>
              {hint ? <Words>{hint}</Words> : null}
            </View>
            {children(facts)}
            <Words look="note">Rough Sill advises. Local rules, the data sheet, a lab and licensed practice come first.</Words>
          </ScrollView>
          <JobNotices jobId={jobId} />
        </View>
      </ZoneProvider>
    </UnitsProvider>
  );
}
