/** The job's spaces and surfaces, as one stage sees them: only what is near the screen is drawn, so that a thousand are as quick as ten. */
import { useEffect, useMemo, useState, type ReactElement, type RefObject } from 'react';
import { FlatList, View, type NativeScrollEvent, type NativeSyntheticEvent } from 'react-native';
import { router } from 'expo-router';
import {
  formatMeasure,
  measure,
  say,
  WORDS,
  type JobDigest,
  type JobFacts,
  type Space,
  type SpacePlan,
  type Surface,
  type SurfaceDigest,
} from '@roughsill/core';
import { Button, Empty, Row, StateMark, Words } from '../kit';
import { useMoney } from './money';
import { Why } from './on-demand';
import { Strip } from '../section';
import { commit, remove, set, useAppDispatch } from '../store';
import { copySpace } from './walk/drafts';
import { STAGE, type StageId } from './stages';

interface SurfaceListProps {
  readonly facts: JobFacts;
  readonly digest: JobDigest | undefined;
  readonly stage: StageId;
  readonly surfaceId?: string;
  readonly filter: string;
  readonly by: 'page' | 'worker';
  /** What stands above it, and below it. */
  readonly head?: ReactElement | null;
  readonly foot?: ReactElement | null;
  /** Told which surfaces are shown, in their order. */
  readonly onShown?: (ids: readonly string[]) => void;
  readonly scroll?: RefObject<FlatList<Item> | null>;
  readonly onScroll?: (e: NativeSyntheticEvent<NativeScrollEvent>) => void;
  readonly className?: string;
}

type Item =
  | {
      readonly key: string;
      readonly kind: 'space';
      readonly space: Space;
      readonly plan: SpacePlan | undefined;
      readonly above: Space | undefined;
      readonly below: Space | undefined;
    }
  | { readonly key: string; readonly kind: 'row'; readonly surface: Surface; readonly digest: SurfaceDigest }
  | { readonly key: string; readonly kind: 'none' }
  | { readonly key: string; readonly kind: 'add'; readonly space: Space };

const byPosition = (a: { readonly position: number }, b: { readonly position: number }): number => a.position - b.position;

/** Everything by which somebody may look for a surface: what it is called and is, where, what is known of it, what is planned, its samples. */
function wordsOf(s: Surface, space: Space, d: SurfaceDigest | undefined): string {
  const states = d
    ? ([
        ['lead', d.leadIs],
        ['asbestos', d.asbestosIs],
        ['mold', d.mold],
      ] as const)
    : [];
  return [
    s.name,
    say(s.element),
    WORDS[`kin.${s.element}`] ?? '',
    space.name,
    say(s.material),
    ...s.conditions.map(say),
    // What is known not to be there is no reason to find it.
    ...states.flatMap(([hazard, is]) =>
      is === 'notFound' || is === 'notSuspected' || is === 'noneFound' ? [] : [`${hazard} ${say(`rung.${is}`)}`],
    ),
    ...(d?.coats ?? []).map((c) => say(c.binder)),
    ...(d?.picks ?? []).map((p) => (p.methodId === null ? 'not decided' : say(p.methodId))),
    ...s.samples.filter((x) => x.removedAt === null).map((x) => x.number),
  ]
    .join(' | ')
    .toLowerCase();
}
/** All words that were typed, in any order. */
const answersTo = (words: string, wanted: string): boolean => wanted.split(/\s+/).every((w) => words.includes(w));

/** Rooms with their surfaces, one after another. */
function itemsOf(facts: JobFacts, digest: JobDigest, stage: StageId, wanted: string): Item[] {
  const digests = new Map(digest.surfaces.map((d) => [d.surfaceId, d]));
  const plans = new Map(digest.spaces.map((p) => [p.spaceId, p]));
  const spaces = facts.spaces.filter((s) => s.removedAt === null).sort(byPosition);
  const inRoom = new Map<string, Surface[]>(spaces.map((s) => [s.id, []]));
  for (const s of facts.surfaces) if (s.removedAt === null) inRoom.get(s.spaceId)?.push(s);
  return spaces.flatMap((space, i): Item[] => {
    const surfaces = inRoom
      .get(space.id)!
      .filter((s) => wanted === '' || answersTo(wordsOf(s, space, digests.get(s.id)), wanted))
      .sort(byPosition);
    if (wanted !== '' && surfaces.length === 0) return [];
    const rows = surfaces.flatMap((surface): Item[] => {
      const d = digests.get(surface.id);
      return d ? [{ key: surface.id, kind: 'row', surface, digest: d }] : [];
    });
    return [
      { key: space.id, kind: 'space', space, plan: plans.get(space.id), above: spaces[i - 1], below: spaces[i + 1] },
      ...(surfaces.length === 0 ? [{ key: `${space.id}/none`, kind: 'none' } as const] : rows),
      ...(stage === 'walk' ? [{ key: `${space.id}/add`, kind: 'add', space } as const] : []),
    ];
  });
}

/** As many as fill a screen and a half at once; the others as they come near. */
const AT_ONCE = 30;

export function SurfaceList({
  facts,
  digest,
  stage,
  surfaceId,
  filter,
  by,
  head,
  foot,
  onShown,
  scroll,
  onScroll,
  className,
}: SurfaceListProps) {
  const money = useMoney();
  const wanted = filter.trim().toLowerCase();
  const items = useMemo(() => (digest ? itemsOf(facts, digest, stage, wanted) : []), [facts, digest, stage, wanted]);
  const { units } = facts.job;
  useEffect(() => {
    // Before the job is reckoned there is no list to walk along, which is not the same as an empty one.
    if (digest) onShown?.(items.flatMap((i) => (i.kind === 'row' ? [i.key] : [])));
  }, [digest, items, onShown]);
  useEffect(() => {
    // What the keys walk to is kept in view.
    const row = surfaceId === undefined ? null : document.querySelector(`[data-testid="row-${CSS.escape(surfaceId)}"]`);
    const index = items.findIndex((i) => i.key === surfaceId);
    if (row) row.scrollIntoView({ block: 'nearest' });
    else if (index >= 0) scroll?.current?.scrollToIndex({ index, viewPosition: 0.5, animated: false });
  }, [items, surfaceId, scroll]);
  return (
    <FlatList
      ref={scroll}
      testID="list"
      className={className}
      contentContainerClassName="gap-1 p-4 pb-8"
      data={items}
      keyExtractor={(item) => item.key}
      initialNumToRender={AT_ONCE}
      maxToRenderPerBatch={AT_ONCE}
      windowSize={5}
      onScroll={onScroll}
      onScrollToIndexFailed={({ index, averageItemLength }) =>
        scroll?.current?.scrollToOffset({ offset: index * averageItemLength, animated: false })
      }
      scrollEventThrottle={100}
      ListHeaderComponent={head}
      ListHeaderComponentClassName="pb-4"
      ListEmptyComponent={
        wanted !== '' && digest ? (
          <Empty
            says={`Nothing on this job answers to “${filter.trim()}”. Try a room, a material, a method, a sample’s number or “lead found”.`}
          />
        ) : null
      }
      ListFooterComponent={
        <View className="gap-4 pt-4" testID={digest ? `list-by-${by}` : undefined}>
          {stage === 'walk' && digest ? <AddBar facts={facts} /> : null}
          {foot}
        </View>
      }
      extraData={surfaceId}
      renderItem={({ item }) => {
        switch (item.kind) {
          case 'space':
            return (
              <SpaceHead
                facts={facts}
                space={item.space}
                plan={item.plan}
                above={item.above}
                below={item.below}
                stage={stage}
                units={units}
              />
            );
          case 'row': {
            const { surface: s, digest: d } = item;
            return (
              <Row
                title={s.count > 1 ? `${s.count} × ${s.name}` : s.name}
                note={STAGE[stage].line(d, units, money)}
                lead={<Strip coats={d.coats} material={s.material} bite={stage === 'choose' || stage === 'work' ? d.bite : 0} />}
                aside={<StateMark state={d.leadIs} what="lead" />}
                current={s.id === surfaceId}
                href={`/job/${facts.job.id}/${stage}/${s.id}`}
                testID={`row-${s.id}`}
              />
            );
          }
          case 'none':
            return <Empty says="No surface here yet. A template fills in the usual sizes and parts." />;
          case 'add':
            return (
              <Button
                label="Add surface"
                says={`Add a surface to ${item.space.name}`}
                onPress={() => router.navigate(`/add/${facts.job.id}?space=${item.space.id}`)}
                className="self-start"
              />
            );
        }
      }}
    />
  );
}

function AddBar({ facts }: { readonly facts: JobFacts }) {
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button look="main" label="Add a room or a side" testID="add-space" onPress={() => router.navigate(`/add/${facts.job.id}`)} />
      {facts.surfaces.length > 1 ? (
        <Button label="Table: edit many" testID="edit-many" onPress={() => router.navigate(`/table/${facts.job.id}`)} />
      ) : null}
    </View>
  );
}

interface SpaceHeadProps extends SpaceToolsProps {
  readonly plan: SpacePlan | undefined;
  readonly stage: StageId;
  readonly units: 'ft' | 'm';
}
/** A room's name, and what can be done with the room as a whole behind it. */
function SpaceHead({ plan, stage, units, ...tools }: SpaceHeadProps) {
  const { space } = tools;
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-1 pb-1 pt-3">
      <View className="flex-row flex-wrap items-center justify-between gap-2">
        <View className="min-w-0 flex-1 flex-row flex-wrap items-baseline gap-x-3">
          <Words look="head" level={2}>
            {space.name}
          </Words>
          <Words look="note">{space.kind === 'room' ? 'inside' : 'outside'}</Words>
        </View>
        {stage === 'walk' ? (
          <Button
            look="quiet"
            label={open ? 'Close' : 'Change'}
            says={`Change ${space.name} as a whole`}
            expanded={open}
            testID={`menu-${space.id}`}
            onPress={() => setOpen(!open)}
          />
        ) : null}
      </View>
      {open ? <SpaceTools {...tools} /> : null}
      {stage === 'protect' && plan ? (
        <View>
          <Words look="note">{`Up to ${formatMeasure(measure(plan.disturbedM2, 'm2'), units)} of suspect coating may be disturbed`}</Words>
          <Why of={`${space.name}, minor work`} because={plan.minorWork.because} />
        </View>
      ) : null}
    </View>
  );
}

interface SpaceToolsProps {
  readonly facts: JobFacts;
  readonly space: Space;
  readonly above: Space | undefined;
  readonly below: Space | undefined;
}
function SpaceTools({ facts, space, above, below }: SpaceToolsProps) {
  const dispatch = useAppDispatch();
  const swap = (other: Space) =>
    dispatch(
      commit(
        facts.job.id,
        [set('space', space.id, { position: other.position }), set('space', other.id, { position: space.position })],
        `${space.name} moved`,
      ),
    );
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button
        look="quiet"
        label="Edit"
        says={`Edit ${space.name}`}
        onPress={() => router.navigate(`/add/${facts.job.id}?edit=${space.id}`)}
      />
      <Button
        look="quiet"
        label="Copy"
        says={`Copy ${space.name} with its surfaces`}
        onPress={() => dispatch(commit(facts.job.id, copySpace(facts, space), `${space.name} copied`))}
      />
      {above ? <Button look="quiet" label="Up" says={`Move ${space.name} up`} onPress={() => swap(above)} /> : null}
      {below ? <Button look="quiet" label="Down" says={`Move ${space.name} down`} onPress={() => swap(below)} /> : null}
      <Button
        look="quiet"
        label="Remove"
        says={`Remove ${space.name}`}
        onPress={() => dispatch(commit(facts.job.id, [remove('space', space.id)], `${space.name} removed`))}
      />
    </View>
  );
}
