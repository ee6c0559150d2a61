/** A job in one stage: the list, the surface, or both side by side where there is room. */
import { useRef, useState } from 'react';
import { ActivityIndicator, ScrollView, TextInput, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import type { JobDigest, JobFacts } from '@roughsill/core';
import { Button, Empty, NextBar, UnitsProvider, useWide, Words } from '../kit';
import { findSurface, useDigest, useJob } from '../store';
import { Ledge, StageColumn } from './Ledge';
import { Notices } from './Notices';
import { SurfaceList } from './SurfaceList';
import { SurfaceScreen } from './SurfaceScreen';
import { ACT_WORDS, isStage, STAGE_OF_ACT, STAGE_WORDS, type StageId } from './stages';
import { useJobKeys } from './keys';

export function JobScreen() {
  const params = useLocalSearchParams<{ jobId: string; stage: string; surfaceId?: string }>();
  const { facts, status } = useJob(params.jobId);
  if (!facts) {
    return (
      <View className="flex-1 gap-4 bg-limewash p-6">
        {status === 'missing' ? (
          <Empty says="There is no such job here. It may belong to another firm, or its address was mistyped." />
        ) : null}
        {status === 'away' ? (
          <Empty says="No signal, and this job was never opened on this phone. It opens as soon as the server answers." />
        ) : null}
        {status === 'loading' || status === 'none' ? <ActivityIndicator aria-label="Opening the job" /> : null}
        <Button label="All jobs" onPress={() => router.replace('/')} />
      </View>
    );
  }
  const stage: StageId = isStage(params.stage) ? params.stage : 'walk';
  return (
    <UnitsProvider value={facts.job.units}>
      <JobLayout facts={facts} stage={stage} surfaceId={params.surfaceId} />
    </UnitsProvider>
  );
}

function JobLayout({ facts, stage, surfaceId }: { readonly facts: JobFacts; readonly stage: StageId; readonly surfaceId?: string }) {
  const wide = useWide();
  const { digest, by } = useDigest(facts);
  const [filter, setFilter] = useState('');
  const find = useRef<TextInput>(null);
  const go = (s: StageId, id?: string) => router.navigate(id ? `/job/${facts.job.id}/${s}/${id}` : `/job/${facts.job.id}/${s}`);
  useJobKeys({ facts, stage, surfaceId, go, find });
  const surface = surfaceId ? findSurface(facts, surfaceId) : undefined;

  const list = (
    <ScrollView
      testID="list"
      className={wide ? 'w-[25rem] flex-none border-r-2 border-line' : 'flex-1'}
      contentContainerClassName="gap-4 p-4 pb-8"
    >
      <JobHead facts={facts} stage={stage} />
      {digest ? <JobNext facts={facts} digest={digest} go={go} /> : null}
      {facts.surfaces.length > 8 ? (
        <TextInput
          ref={find}
          value={filter}
          onChangeText={setFilter}
          placeholder="Find a surface"
          aria-label="Find a surface"
          className="min-h-touch border-2 border-line bg-panel px-3 font-read text-row text-soot"
        />
      ) : null}
      {digest ? (
        <SurfaceList facts={facts} digest={digest} stage={stage} surfaceId={surfaceId} filter={filter} go={go} by={by} />
      ) : (
        <ActivityIndicator aria-label="Reckoning the whole job" />
      )}
    </ScrollView>
  );
  const detail = surfaceId ? (
    surface ? (
      <SurfaceScreen key={surface.id} facts={facts} surface={surface} stage={stage} go={go} />
    ) : (
      <View className="flex-1 gap-4 p-4">
        <Empty says="This surface is not on the job. It may have been removed." />
        <Button label="Back to the list" onPress={() => go(stage)} />
      </View>
    )
  ) : (
    <View className="flex-1 justify-center p-10">
      <Empty says="Pick a surface on the left. Keys: j and k move, 1 to 6 change the stage, w unfolds why, ? lists them all." />
    </View>
  );

  return (
    <View className="flex-1 bg-limewash">
      <View className="min-h-0 flex-1 flex-row">
        {wide ? <StageColumn facts={facts} stage={stage} digest={digest} surfaceId={surfaceId} go={go} /> : null}
        {wide || !surfaceId ? list : null}
        {wide || surfaceId ? <View className="min-w-0 flex-1">{detail}</View> : null}
      </View>
      <Notices jobId={facts.job.id} />
      {wide ? null : <Ledge stage={stage} digest={digest} surfaceId={surfaceId} go={go} />}
    </View>
  );
}

function JobHead({ facts, stage }: { readonly facts: JobFacts; readonly stage: StageId }) {
  const { job } = facts;
  return (
    <View className="gap-1">
      <View className="flex-row flex-wrap items-center justify-between gap-x-3">
        <Button look="quiet" label="All jobs" onPress={() => router.navigate('/')} flush />
        <Button look="quiet" label="Job facts" onPress={() => router.navigate(`/job/${job.id}/facts`)} flush />
      </View>
      <Words look="title" level={1}>
        {job.name}
      </Words>
      <Words look="note">{`${job.yearBuilt ? `built ${job.yearBuilt}` : 'year built unknown'} · ${job.rulebook === 'us' ? 'US rules' : 'UK rules'}`}</Words>
      <Words look="note">{`${STAGE_WORDS[stage].label}: ${STAGE_WORDS[stage].hint.toLowerCase()}`}</Words>
    </View>
  );
}

function JobNext({
  facts,
  digest,
  go,
}: {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  readonly go: (s: StageId, id?: string) => void;
}) {
  const { act, surfaceId } = digest.next;
  const words = ACT_WORDS[act];
  const name = facts.surfaces.find((s) => s.id === surfaceId)?.name;
  if (act === 'addSpace') return <NextBar says={words.says} act={words.act} onPress={() => router.navigate(`/job/${facts.job.id}/add`)} />;
  if (act === 'addSurface') {
    const space = facts.spaces.find((s) => s.removedAt === null);
    return (
      <NextBar says={words.says} act={words.act} onPress={() => router.navigate(`/job/${facts.job.id}/add?space=${space?.id ?? ''}`)} />
    );
  }
  const says = name ? `${name}: ${words.says}` : words.says;
  return (
    <NextBar says={says} act={words.act} onPress={surfaceId && act !== 'nothing' ? () => go(STAGE_OF_ACT[act], surfaceId) : undefined} />
  );
}
