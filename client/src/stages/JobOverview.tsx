/** The whole job as one stage sees it: what it comes to, the house from above, every place drawn, and what is done once for all. */
import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, measure, say, type JobDigest, type JobFacts, type ZoneDigest, many } from '@roughsill/core';
import { footprintOf, houseScene, type SideShown } from '@roughsill/core/unfold';
import { Button, Panel, useUnits, Words } from '../kit';
import { laidIn, RoomPicture } from '../plan/RoomPicture';
import { SceneView } from '../plan/SceneView';
import type { StageId } from './stages';
import { StepBlock } from './work/WorkStage';

interface Props {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  readonly stage: StageId;
}

/** The footprint, when two neighbouring sides have their length. */
function House({ facts, digest, stage }: Props) {
  const units = useUnits();
  const house = useMemo(() => footprintOf(facts.spaces), [facts.spaces]);
  const sides = facts.spaces.filter((s) => s.kind === 'elevation' && s.removedAt === null);
  if (!house || sides.length === 0) return null;
  const zoneOf = (id: string) => digest.zones.find((z) => z.spaceIds.includes(id));
  const shown = sides.map((space): SideShown => {
    const zone = zoneOf(space.id);
    // It ends at the boundary, and at the screen there.
    const outM = Math.min(zone?.beyondM ?? 0, space.boundaryM ?? Infinity);
    // Of several sides together the sheet has no one drawing.
    return { space, sheet: { outM, rects: zone?.spaceIds.length === 1 ? zone.sheet : [] }, opens: zone?.surfaceIds[0] ?? null };
  });
  const says = `The house from above. ${sides.map((s) => `${s.side ?? 'side not said'}: ${s.name}${s.boundaryM === null ? '' : `, boundary at ${formatMeasure(measure(s.boundaryM, 'm'), units)}`}`).join('; ')}.`;
  return (
    <Panel title="The house from above" aside="boundary in red; sheet dashed where nobody placed its work">
      <SceneView
        at={(w) => houseScene(house, shown, w, 280)}
        says={says}
        onOpen={(id) => router.navigate(`/job/${facts.job.id}/${stage}/${id}`)}
      />
    </Panel>
  );
}

const CARE_WORDS: Readonly<Record<ZoneDigest['care'], string>> = {
  lead: 'lead work',
  asbestos: 'asbestos work by trained people',
  guard: 'asbestos not ruled out: guarded',
  growth: 'growth kept in',
  silica: 'stone dust kept in',
  leaveAlone: 'left alone',
  ordinary: 'neither lead nor asbestos disturbed',
};

function Zone({ facts, digest, stage, zone }: Props & { readonly zone: ZoneDigest }) {
  const spaces = facts.spaces.filter((s) => zone.spaceIds.includes(s.id));
  const named = zone.order.flatMap((id) => facts.surfaces.find((s) => s.id === id)?.name ?? []);
  return (
    <Panel title={zone.name} aside={`${zone.passed} of ${many(zone.checks, 'check')}`} testID={`zone-${zone.zoneId}`}>
      <Words look="note">
        {[CARE_WORDS[zone.care], zone.respirator ? say(zone.respirator) : '', zone.hazards.map((h) => say(`reach.${h}`)).join(', ')]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {stage === 'work' && named.length > 1 ? <Words>{`In this order: ${named.join('; ')}.`}</Words> : null}
      {zone.kind === 'bench'
        ? null
        : spaces.map((space) => (
            <RoomPicture
              key={space.id}
              facts={facts}
              digest={digest}
              space={space}
              stage={stage}
              laid={stage === 'protect' ? laidIn(zone) : undefined}
            />
          ))}
    </Panel>
  );
}

export function JobOverview({ facts, digest, stage }: Props) {
  return (
    <View className="gap-6">
      {stage === 'work' && digest.steps.length > 0 ? (
        <Panel title="Once for the whole job" testID="job-steps">
          {digest.steps.map((st, i) => (
            <StepBlock key={st.id} number={i + 1} step={st} here={false} facts={facts} />
          ))}
        </Panel>
      ) : null}
      {stage === 'walk' || stage === 'protect' ? <House facts={facts} digest={digest} stage={stage} /> : null}
      {digest.zones.slice(0, MOST_DRAWN).map((zone) => (
        <Zone key={zone.zoneId} facts={facts} digest={digest} stage={stage} zone={zone} />
      ))}
      {digest.zones.length > MOST_DRAWN ? (
        <Words look="note">{`${digest.zones.length - MOST_DRAWN} more places: open one of their surfaces to see its drawing.`}</Words>
      ) : null}
    </View>
  );
}
/** Of a very large job the first are drawn; the others are a tap away. */
const MOST_DRAWN = 12;

/** On a wide screen it fills the pane beside the list. */
export function OverviewPane(props: Props) {
  return (
    <ScrollView testID="overview" contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-6 pb-10">
      <Words look="title" level={2}>
        The whole job
      </Words>
      <JobOverview {...props} />
      <Words look="note">Keys: j and k move, 1 to 7 change the stage, w unfolds why, ? lists them all.</Words>
      <Button label="Print the plan" onPress={() => router.navigate(`/print/${props.facts.job.id}`)} className="self-start" />
    </ScrollView>
  );
}
