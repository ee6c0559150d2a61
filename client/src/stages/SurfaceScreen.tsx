/** One surface in one stage: its section on top, the next thing, then the stage's own part. */
import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { formatMeasure, measure, methodById, say, type JobFacts, type MethodId, type Surface, type SurfacePlan } from '@roughsill/core';
import { Button, NextBar, Problems, useWide, Words } from '../kit';
import { Section, sectionCoats, Strip } from '../section';

import { drawn as pageDrawn, useSurfacePlan } from '../store/derived';
import { useKeptScroll } from '../trail';
import { LogBag } from './LogBag';
import { JobQuestion } from './JobQuestion';
import { stageParts } from './stage-parts';
import { ACT_WORDS, STAGE, stageOf, type StageId } from './stages';

interface SurfaceScreenProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly stage: StageId;
  readonly go: (s: StageId, id?: string) => void;
}

/** The deepest method in the plan, or the one that is being looked at. */
function biteOf(plan: SurfacePlan, looking: MethodId | null) {
  const options = plan.choice.parts.flatMap((p) => p.options.filter((o) => o.methodId === (looking ?? p.selected.value)));
  const deepest = options.reduce<(typeof options)[number] | undefined>(
    (a, o) => (a === undefined || o.coatsReached > a.coatsReached ? o : a),
    undefined,
  );
  if (!deepest || (deepest.coatsReached === 0 && !looking)) return undefined;
  return { coats: deepest.coatsReached, label: say(deepest.methodId), toBare: methodById(deepest.methodId).bite === 'bare' };
}

export function SurfaceScreen({ facts, surface, stage, go }: SurfaceScreenProps) {
  const wide = useWide();
  const plan = useSurfacePlan(facts, surface.id);
  const [looking, setLooking] = useState<MethodId | null>(null);
  useEffect(pageDrawn, []);
  const kept = useKeptScroll();
  if (!plan) return null;
  const space = facts.spaces.find((s) => s.id === surface.spaceId);
  const { units } = facts.job;
  const area = formatMeasure(measure(plan.area.totalM2, 'm2'), units);
  const bite = stage === 'walk' || stage === 'probe' ? undefined : biteOf(plan, looking);
  // The stages that turn on the coats draw them large; in the others they would push the work below the fold.
  const drawn = STAGE[stage].drawsCoats;
  const Part = stageParts[stage];
  const act = plan.next.act;
  const elsewhere = stageOf(act) !== stage && act !== 'nothing';
  return (
    <ScrollView
      {...kept}
      testID="surface"
      contentContainerClassName={`gap-6 p-4 pb-10 ${wide ? 'w-full max-w-[84rem] self-center px-6' : ''}`}
    >
      <View className="gap-1">
        <View className="flex-row flex-wrap items-center justify-between gap-x-3">
          {wide ? (
            <View />
          ) : (
            <Button
              look="quiet"
              label={`‹ ${facts.job.name}`}
              says={`Back to the list of ${facts.job.name}`}
              onPress={() => go(stage)}
              flush
            />
          )}
          <LogBag jobId={facts.job.id} />
        </View>
        <View className="flex-row items-center gap-4">
          <View className="min-w-0 flex-1 gap-1">
            <Words look="note">{`${space?.name ?? ''} · ${facts.job.rulebook === 'us' ? 'US rules' : 'UK rules'}`}</Words>
            <Words look="title" level={wide ? 2 : 1}>
              {surface.name}
            </Words>
            <Words look="note">{[`${surface.count} × ${say(surface.element)}`, area, ...surface.conditions.map(say)].join(' · ')}</Words>
          </View>
          {drawn ? null : <Strip coats={sectionCoats(plan)} material={surface.material} bite={bite?.coats ?? 0} scale={1.7} />}
        </View>
      </View>
      {drawn ? <Section coats={sectionCoats(plan)} material={surface.material} bite={bite} /> : null}
      {elsewhere ? (
        <NextBar says={`Next: ${ACT_WORDS[act].says}`} act={ACT_WORDS[act].act} onPress={() => go(stageOf(act), surface.id)} />
      ) : null}
      <JobQuestion facts={facts} plan={plan} stage={stage} />
      <Problems problems={plan.problems} />
      <Part facts={facts} surface={surface} plan={plan} go={go} looking={looking} onLook={setLooking} />
      <Words look="note">Rough Sill advises. Local rules, the data sheet, a lab and licensed practice come first.</Words>
    </ScrollView>
  );
}
