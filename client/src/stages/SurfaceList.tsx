/** The job's spaces and surfaces, as one stage sees them. */
import { View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, measure, say, type JobDigest, type JobFacts, type Space } from '@roughsill/core';
import { Button, Empty, Panel, Row, StateMark, Words } from '../kit';
import { moneyFor } from './money';
import { Why } from './on-demand';
import { Strip } from '../section';
import { commit, remove, set, useAppDispatch } from '../store';
import { copySpace } from './walk/drafts';
import { lineFor, type StageId } from './stages';

interface SurfaceListProps {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  readonly stage: StageId;
  readonly surfaceId?: string;
  readonly filter: string;
  readonly by: 'page' | 'worker';
}

export function SurfaceList({ facts, digest, stage, surfaceId, filter, by }: SurfaceListProps) {
  const spaces = facts.spaces.filter((s) => s.removedAt === null).sort((a, b) => a.position - b.position);
  const money = moneyFor(facts);
  const wanted = filter.trim().toLowerCase();
  return (
    <View testID={`list-by-${by}`} className="gap-6">
      {spaces.map((space, i) => (
        <SpaceBlock
          key={space.id}
          facts={facts}
          digest={digest}
          space={space}
          first={i === 0}
          last={i === spaces.length - 1}
          stage={stage}
          wanted={wanted}
          surfaceId={surfaceId}
          money={money}
          neighbours={[spaces[i - 1], spaces[i + 1]]}
        />
      ))}
      {stage === 'walk' ? (
        <View className="flex-row flex-wrap gap-2">
          <Button look="main" label="Add a room or a side" testID="add-space" onPress={() => router.navigate(`/add/${facts.job.id}`)} />
          {facts.surfaces.length > 1 ? (
            <Button label="Table: edit many" testID="edit-many" onPress={() => router.navigate(`/table/${facts.job.id}`)} />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

interface SpaceBlockProps {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  readonly space: Space;
  readonly first: boolean;
  readonly last: boolean;
  readonly neighbours: readonly [Space | undefined, Space | undefined];
  readonly stage: StageId;
  readonly wanted: string;
  readonly surfaceId?: string;
  readonly money: (n: number) => string;
}

function SpaceBlock({ facts, digest, space, first, last, neighbours, stage, wanted, surfaceId, money }: SpaceBlockProps) {
  const dispatch = useAppDispatch();
  const { units } = facts.job;
  const surfaces = facts.surfaces
    .filter((s) => s.spaceId === space.id && s.removedAt === null)
    .filter((s) => wanted === '' || `${s.name} ${say(s.element)} ${space.name}`.toLowerCase().includes(wanted))
    .sort((a, b) => a.position - b.position);
  if (wanted !== '' && surfaces.length === 0) return null;
  const plan = digest.spaces.find((s) => s.spaceId === space.id);
  const swap = (other: Space) =>
    dispatch(
      commit(
        facts.job.id,
        [set('space', space.id, { position: other.position }), set('space', other.id, { position: space.position })],
        `${space.name} moved`,
      ),
    );
  return (
    <Panel title={space.name} aside={space.kind === 'room' ? 'inside' : 'outside'}>
      {stage === 'protect' && plan ? (
        <View>
          <Words look="note">{`Up to ${formatMeasure(measure(plan.disturbedM2, 'm2'), units)} of suspect coating may be disturbed`}</Words>
          <Why of={`${space.name}, minor work`} because={plan.minorWork.because} />
        </View>
      ) : null}
      <View className="gap-1">
        {surfaces.map((s) => {
          const d = digest.surfaces.find((x) => x.surfaceId === s.id);
          return d ? (
            <Row
              key={s.id}
              title={s.count > 1 ? `${s.count} × ${s.name}` : s.name}
              note={lineFor(stage, d, units, money)}
              lead={<Strip coats={d.coats} material={s.material} bite={stage === 'choose' || stage === 'work' ? d.bite : 0} />}
              aside={<StateMark state={d.lead} what="lead" />}
              current={s.id === surfaceId}
              href={`/job/${facts.job.id}/${stage}/${s.id}`}
              testID={`row-${s.id}`}
            />
          ) : null;
        })}
        {surfaces.length === 0 ? <Empty says="No surface here yet. A template fills in the usual sizes and parts." /> : null}
      </View>
      {stage === 'walk' ? (
        <View className="flex-row flex-wrap gap-2">
          <Button
            label="Add surface"
            says={`Add a surface to ${space.name}`}
            onPress={() => router.navigate(`/add/${facts.job.id}?space=${space.id}`)}
          />
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
          {first || !neighbours[0] ? null : (
            <Button look="quiet" label="Up" says={`Move ${space.name} up`} onPress={() => swap(neighbours[0]!)} />
          )}
          {last || !neighbours[1] ? null : (
            <Button look="quiet" label="Down" says={`Move ${space.name} down`} onPress={() => swap(neighbours[1]!)} />
          )}
          <Button
            look="quiet"
            label="Remove"
            says={`Remove ${space.name}`}
            onPress={() => dispatch(commit(facts.job.id, [remove('space', space.id)], `${space.name} removed`))}
          />
        </View>
      ) : null}
    </Panel>
  );
}
