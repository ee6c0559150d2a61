/** Asbestos on a surface, by the homogeneous areas that it belongs to: state, samples needed, where to cut. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  areasOf,
  formatMeasure,
  measure,
  bookOf,
  say,
  type AsbestosArea,
  type AsbestosPicture,
  type JobFacts,
  type Problem,
  type Surface,
  many,
  numberOf,
} from '@roughsill/core';
import { areaPlan, assessArea, samplePoints } from '@roughsill/core/survey';

import { Button, Panel, Problems, StateMark, useUnits, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { commit, useAppDispatch, useSettings } from '../../store';
import { useMoney } from '../money';
import { AreaPlanView } from './AreaPlanView';
import { percent } from './DecisionPanel';
import { planArea } from './samples';

export function AreaPanel({
  facts,
  surface,
  asbestos,
}: {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly asbestos: AsbestosPicture;
}) {
  const suspect = asbestos.overall.because[0]?.rule !== 'asbestos.notSuspect';
  const areas = useMemo(
    () => (suspect ? areasOf(facts).filter((a) => a.members.some((m) => m.surfaceId === surface.id)) : []),
    [facts, surface.id, suspect],
  );
  if (areas.length === 0) return null;
  return (
    <Panel title="Asbestos" aside={<StateMark state={asbestos.standing.word} />} testID="asbestos">
      {areas.map((a) => (
        <AreaCard key={a.key} facts={facts} area={a} />
      ))}
    </Panel>
  );
}

/** One homogeneous area, wherever on the job it lies. */
export function AreaCard({ facts, area }: { readonly facts: JobFacts; readonly area: AsbestosArea }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const units = useUnits();
  const money = useMoney();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const seed = facts.job.samplingSeed.trim();
  const points = useMemo(() => (seed === '' ? [] : samplePoints(area, seed)), [area, seed]);
  const plan = useMemo(() => areaPlan(area, facts, points), [area, facts, points]);
  const { decision } = assessArea(area, facts, settings);
  const open = Math.max(0, area.needed.value - area.samples.length);
  const where = area.members.length === 1 ? '' : `on ${area.members.length} surfaces, `;
  const size = formatMeasure(area.runM === null ? measure(area.totalM2, 'm2') : measure(area.runM, 'm'), units);
  return (
    <View className="gap-2" role="group" aria-label={say(area.kind)}>
      <AnswerRow
        label={`${say(area.kind)}, ${area.year ?? 'year unknown'}: ${where}${size}`}
        of={`asbestos in ${say(area.kind)}`}
        value={<StateMark state={area.standing.word} number={numberOf(area.standing, units)} />}
        because={area.state.because}
      />
      <AnswerRow
        label={`${area.needed.value} ${area.needed.value === 1 ? 'sample' : 'samples'} needed, ${area.samples.filter((s) => s.answer !== null).length} answered`}
        of="how many samples"
        because={area.needed.because}
      />
      {decision ? (
        <AnswerRow
          label={`Testing ${money(decision.value.testMoney)}; as positive, removal by a licensed firm ${money(decision.value.positiveMoney)}`}
          note={`${percent(decision.value.chance)} likely; break-even ${percent(decision.value.breakEven)}`}
          of="test or treat as positive"
          because={decision.because}
        />
      ) : null}
      {area.members.length > 0 ? (
        <AreaPlanView plan={plan} says={`Plan of ${say(area.kind)} with ${plan.dots.length} places to sample`} />
      ) : null}
      {open > 0 && area.state.value !== 'found' ? (
        seed === '' ? (
          <View className="gap-2">
            <Words look="note">Places are drawn at random from a seed, so that anybody can draw them again. The job has none yet.</Words>
            <Button label="Give the job a seed" onPress={() => router.navigate(`/facts/${facts.job.id}`)} />
          </View>
        ) : (
          <Button
            label={`Plan ${open} ${open === 1 ? 'sample' : 'samples'} at these places`}
            onPress={() =>
              setProblems(dispatch(commit(facts.job.id, planArea(facts, area, settings.samplePrefix), `${many(open, 'sample')} planned`)))
            }
          />
        )
      ) : null}
      <Problems problems={problems} />
      <Words look="note">{`Taken wet, through every layer, by a person whom ${bookOf(facts.job).name} rules allow to.`}</Words>
    </View>
  );
}
