/**
 * A job in one stage. The layout stays while stages and surfaces come and go in it: on a wide screen it holds the list, with the surface
 * beside it; on a phone the list is a page of its own.
 */
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { ActivityIndicator, FlatList, TextInput, View } from 'react-native';
import { router, Slot, useGlobalSearchParams } from 'expo-router';
import type { JobDigest, JobFacts } from '@roughsill/core';
import { Button, Empty, NextBar, Pick, UnitsProvider, useWide, Words, ZoneProvider } from '../kit';
import { findSurface, useJob } from '../store';
import { drawn, useDigest } from '../store/derived';
import { JobSums } from './JobSums';
import { Ledge, StageColumn } from './Ledge';
import { MayIPanel } from './MayIPanel';
import { JobNotices } from './JobNotices';
import { JobOverview, OverviewPane, SurfaceScreen } from './on-demand';
import { TodayPanel } from './probe/TodayPanel';
import { SurfaceList } from './SurfaceList';
import { ACT_WORDS, isStage, STAGE, stageOf, type StageId } from './stages';
import { Standing } from '../Stumbled';
import { useTitle } from '../useTitle';
import { tellShown, useJobKeys, type Shown } from './keys';

interface JobView {
  readonly facts: JobFacts;
  readonly digest: JobDigest | undefined;
  readonly by: 'page' | 'worker';
  readonly stage: StageId;
  readonly surfaceId?: string;
  readonly go: (s: StageId, id?: string) => void;
  readonly find: React.RefObject<TextInput | null>;
  readonly shownRef: React.RefObject<Shown>;
  readonly onShown: (ids: readonly string[]) => void;
}
const Job = createContext<JobView | null>(null);
function useJobView(): JobView {
  const view = useContext(Job);
  if (!view) throw new Error('a stage is shown inside JobScreen');
  return view;
}

export function JobScreen() {
  const { jobId } = useGlobalSearchParams<{ jobId: string }>();
  const { facts, status } = useJob(jobId);
  if (facts)
    return (
      <Standing>
        <JobLayout facts={facts} />
      </Standing>
    );
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

function JobLayout({ facts }: { readonly facts: JobFacts }) {
  const params = useGlobalSearchParams<{ stage?: string; surfaceId?: string }>();
  const wide = useWide();
  const { digest, by } = useDigest(facts);
  const find = useRef<TextInput>(null);
  const shownRef = useRef<Shown>({ ids: null });
  const jobId = facts.job.id;
  const stage: StageId = isStage(params.stage) ? params.stage : 'walk';
  const { surfaceId } = params;
  const view = useMemo<JobView>(
    () => ({
      facts,
      digest,
      by,
      stage,
      surfaceId,
      find,
      shownRef,
      onShown: (ids) => tellShown(shownRef, ids),
      go: (s, id) => router.navigate(id ? `/job/${jobId}/${s}/${id}` : `/job/${jobId}/${s}`),
    }),
    [facts, digest, by, stage, surfaceId, jobId],
  );
  useTitle(surfaceId && findSurface(facts, surfaceId)?.name, STAGE[stage].label, facts.job.name);
  useJobKeys(view);
  return (
    <UnitsProvider value={facts.job.units}>
      <ZoneProvider value={facts.job.timeZone}>
        <Job.Provider value={view}>
          <View className="flex-1 bg-limewash">
            <View className="min-h-0 flex-1 flex-row">
              {wide ? <StageColumn facts={facts} stage={stage} digest={digest} surfaceId={surfaceId} /> : null}
              {wide ? <JobList /> : null}
              <View className="min-w-0 flex-1">
                <Slot />
              </View>
            </View>
            <JobNotices jobId={jobId} />
            {wide ? null : <Ledge facts={facts} stage={stage} digest={digest} surfaceId={surfaceId} />}
          </View>
        </Job.Provider>
      </ZoneProvider>
    </UnitsProvider>
  );
}

/** The stage without a surface: the list on a phone; on a wide screen the list is there already. */
export function StageIndex() {
  const wide = useWide();
  const { facts, digest, stage } = useJobView();
  if (!wide) return <JobList />;
  return digest ? <OverviewPane facts={facts} digest={digest} stage={stage} /> : null;
}

export function SurfaceRoute() {
  const { facts, stage, surfaceId, go } = useJobView();
  const surface = surfaceId ? findSurface(facts, surfaceId) : undefined;
  if (surface) {
    return <SurfaceScreen key={surface.id} facts={facts} surface={surface} stage={stage} go={go} />;
  }
  return (
    <View className="flex-1 gap-4 p-4">
      <Empty says="This surface is not on the job. It may have been removed." />
      <Button label="Back to the list" onPress={() => go(stage)} />
    </View>
  );
}

/** Where each list was left, so that coming back to it on a phone does not start at the top. */
const leftAt = new Map<string, number>();

function JobList() {
  const wide = useWide();
  const { facts, digest, by, stage, surfaceId, go, find, onShown } = useJobView();
  const [filter, setFilter] = useState('');
  const [asDrawn, setAsDrawn] = useState(false);
  const scroll = useRef<FlatList>(null);
  const place = `${facts.job.id}/${stage}`;
  const ready = digest !== undefined;
  const drawable = facts.spaces.some((s) => s.removedAt === null && s.lengthM !== null);
  useEffect(() => {
    // Beside a surface, the surface goes first.
    if (surfaceId === undefined) drawn();
  }, [surfaceId]);
  useEffect(() => {
    if (ready && !wide) scroll.current?.scrollToOffset({ offset: leftAt.get(place) ?? 0, animated: false });
  }, [place, ready, wide]);
  const head = (
    <View className="gap-3">
      <JobHead facts={facts} stage={stage} />
      {digest ? <JobSums facts={facts} digest={digest} stage={stage} /> : null}
      {digest ? <JobNext facts={facts} digest={digest} go={go} /> : null}
      {digest && (stage === 'walk' || stage === 'probe') ? <TodayPanel facts={facts} digest={digest} /> : null}
      {digest ? <MayIPanel facts={facts} digest={digest} /> : null}
      {!wide && drawable ? (
        <Pick
          label="Show the job"
          value={asDrawn ? 'drawn' : 'list'}
          options={[
            { value: 'list', label: 'as a list' },
            { value: 'drawn', label: 'drawn, with its sums' },
          ]}
          onChange={(v) => setAsDrawn(v === 'drawn')}
        />
      ) : null}
      {facts.surfaces.length > 8 && !asDrawn ? (
        <TextInput
          ref={find}
          value={filter}
          onChangeText={setFilter}
          placeholder="Find a surface"
          aria-label="Find a surface"
          className="min-h-touch border-2 border-line bg-panel px-3 font-read text-row text-soot"
        />
      ) : null}
      {digest ? null : <ActivityIndicator aria-label="Reckoning the whole job" />}
      {asDrawn && digest && !wide ? <JobOverview facts={facts} digest={digest} stage={stage} /> : null}
    </View>
  );
  return (
    <SurfaceList
      facts={facts}
      digest={asDrawn && !wide ? undefined : digest}
      stage={stage}
      surfaceId={surfaceId}
      filter={filter}
      by={by}
      onShown={onShown}
      head={head}
      scroll={scroll}
      onScroll={(e) => leftAt.set(place, e.nativeEvent.contentOffset.y)}
      className={wide ? 'w-[22rem] flex-none border-r-2 border-line min-[1440px]:w-[29rem]' : 'flex-1'}
    />
  );
}

function JobHead({ facts, stage }: { readonly facts: JobFacts; readonly stage: StageId }) {
  const { job } = facts;
  return (
    <View className="gap-1">
      <View className="flex-row flex-wrap items-center justify-between gap-x-3">
        <Button look="quiet" label="All jobs" onPress={() => router.navigate('/')} flush />
        <Button
          look="quiet"
          label="Buy"
          says="What to buy for this job"
          onPress={() => router.navigate(`/buy/${job.id}`)}
          flush
          testID="to-buy"
        />
        <Button look="quiet" label="Bench" onPress={() => router.navigate('/mix')} flush />
        <Button look="quiet" label="Job facts" onPress={() => router.navigate(`/facts/${job.id}`)} flush />
      </View>
      <Words look="title" level={1}>
        {job.name}
      </Words>
      <Words look="note">{`${job.yearBuilt ? `built ${job.yearBuilt}` : 'year built unknown'} · ${job.rulebook === 'us' ? 'US rules' : 'UK rules'} · ${STAGE[stage].hint.toLowerCase()}`}</Words>
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
  if (act === 'addSpace') return <NextBar says={words.says} act={words.act} onPress={() => router.navigate(`/add/${facts.job.id}`)} />;
  if (act === 'addSurface') {
    const space = facts.spaces.find((s) => s.removedAt === null);
    return <NextBar says={words.says} act={words.act} onPress={() => router.navigate(`/add/${facts.job.id}?space=${space?.id ?? ''}`)} />;
  }
  const says = name ? `${name}: ${words.says}` : words.says;
  return <NextBar says={says} act={words.act} onPress={surfaceId && act !== 'nothing' ? () => go(stageOf(act), surfaceId) : undefined} />;
}
