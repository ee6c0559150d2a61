/** The survey of a whole job: dwellings to test, lead by combination, asbestos by area, mold by room. */
import { useMemo } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  areasOf,
  createDeriver,
  formatMeasure,
  measure,
  RULEBOOKS,
  say,
  type FirmSettings,
  type JobFacts,
  spell,
  many,
} from '@roughsill/core';
import { moldPicture, assessGroups, builtClass, drawDwellings, dwellingsToTest, siteDuties } from '@roughsill/core/survey';

import { Button, Column, Columns, Empty, Panel, StateMark, Words } from '../../kit';
import { AnswerRow, Reasons } from '../../kit/Why';
import { commit, useAppDispatch, useSettings } from '../../store';
import { JobPage } from '../JobPage';
import { PaperButton } from '../PaperButton';
import { useMoney } from '../money';
import { AreaCard } from './AreaPanel';
import { percent } from './DecisionPanel';
import { planChips } from './samples';

export const SurveyScreen = () => (
  <JobPage full title="Survey" hint="What to sample, how many, where; and whether testing pays.">
    {(facts) => <Survey facts={facts} />}
  </JobPage>
);

function Survey({ facts }: { readonly facts: JobFacts }) {
  const { job } = facts;
  return (
    <>
      <View className="flex-row flex-wrap gap-2">
        <PaperButton job={job.name} main label="Hazard survey, PDF" path={`/api/jobs/${job.id}/survey.pdf`} testID="survey-pdf" />
        <Button label="Samples" onPress={() => router.navigate(`/samples/${job.id}`)} />
        <Button label="Buy certainty" onPress={() => router.navigate(`/certainty/${job.id}`)} />
        <Button label="Instruments" onPress={() => router.navigate(`/instruments/${job.id}`)} />
      </View>
      <Columns>
        <Column>
          <Duties facts={facts} />
          <Dwellings facts={facts} />
          <Lead facts={facts} />
          <Mold facts={facts} />
        </Column>
        <Column>
          <Asbestos facts={facts} />
        </Column>
      </Columns>
    </>
  );
}

function Duties({ facts }: { readonly facts: JobFacts }) {
  const duties = siteDuties(facts);
  if (duties.length === 0) return null;
  return (
    <Panel title="What the site asks for" aside={String(duties.length)} testID="duties">
      <Reasons because={duties} />
    </Panel>
  );
}

function Dwellings({ facts }: { readonly facts: JobFacts }) {
  const { job } = facts;
  if (job.dwellings === null || job.dwellings < 2) return null;
  const built = builtClass(job.yearBuilt);
  const seed = job.samplingSeed.trim();
  return (
    <Panel title="Dwellings to test" aside={`${dwellingsToTest(job.dwellings, built)} of ${job.dwellings}`} testID="dwellings-drawn">
      <Words>
        {seed === '' ? 'Give the job a seed, and the numbers are drawn.' : drawDwellings(job.dwellings, built, seed).join(', ')}
      </Words>
      <Words look="note">
        HUD Guidelines ch. 7, table 7.3: if all of these are negative, the rest are taken as negative with 95 % confidence. Like
        construction and history only.
      </Words>
    </Panel>
  );
}

const useGroups = (facts: JobFacts, settings: FirmSettings) =>
  useMemo(() => {
    const thisYear = new Date().getUTCFullYear();
    return assessGroups(facts, createDeriver().derive(facts, settings, thisYear), settings, thisYear);
  }, [facts, settings]);

function Lead({ facts }: { readonly facts: JobFacts }) {
  const settings = useSettings();
  const dispatch = useAppDispatch();
  const money = useMoney();
  const groups = useGroups(facts, settings);
  const name = (id: string) => facts.surfaces.find((s) => s.id === id)?.name ?? '';
  const open = groups.filter((g) => g.decision !== null);
  const planned = new Set(
    facts.surfaces.filter((s) => s.samples.some((x) => x.removedAt === null && x.hazard === 'lead')).map((s) => s.id),
  );
  const toPlan = open
    .filter((g) => g.decision?.value.choice === 'test' && !g.group.surfaceIds.some((id) => planned.has(id)))
    .map((g) => g.group.surfaceIds[0]!);
  return (
    <Panel title="Lead, by testing combination" aside={`${open.length} open of ${groups.length}`} testID="lead-groups">
      {groups.length === 0 ? <Empty says="No surface yet." /> : null}
      {toPlan.length > 0 ? (
        <Button
          label={`Plan ${toPlan.length} full-depth ${toPlan.length === 1 ? 'chip' : 'chips'} where a test pays`}
          testID="plan-chips"
          onPress={() => dispatch(commit(facts.job.id, planChips(facts, toPlan, settings.samplePrefix), `${toPlan.length} chips planned`))}
        />
      ) : null}
      {facts.spaces
        .filter((s) => s.removedAt === null)
        .map((space) => {
          const mine = groups.filter((g) => g.group.spaceId === space.id);
          return mine.length === 0 ? null : (
            <View key={space.id} className="gap-1">
              <Words look="strong">{space.name}</Words>
              {mine.map((g) => (
                <AnswerRow
                  key={g.group.key}
                  label={g.group.surfaceIds.map(name).join(', ')}
                  value={<StateMark state={g.state} />}
                  of={g.group.surfaceIds.map(name).join(', ')}
                  note={
                    g.decision
                      ? `${say(`decide.${g.decision.value.choice}`)}: ${percent(g.chance.value)} likely; ${g.tests} ${g.tests === 1 ? 'test' : 'tests'} ${money(g.decision.value.testMoney)}, as positive ${money(g.decision.value.positiveMoney)}, break-even ${percent(g.decision.value.breakEven)}`
                      : 'nothing more to test'
                  }
                  because={[...g.group.needed.because, ...g.chance.because, ...(g.decision?.because ?? [])]}
                />
              ))}
            </View>
          );
        })}
    </Panel>
  );
}

function Asbestos({ facts }: { readonly facts: JobFacts }) {
  const areas = useMemo(() => areasOf(facts).filter((a) => a.members.length > 0), [facts]);
  return (
    <Panel title="Asbestos, by homogeneous area" aside={String(areas.length)} testID="areas">
      {areas.length === 0 ? <Empty says="Nothing recorded that is known to hold asbestos." /> : null}
      <View className="gap-6">
        {areas.map((a) => (
          <AreaCard key={a.key} facts={facts} area={a} />
        ))}
      </View>
    </Panel>
  );
}

function Mold({ facts }: { readonly facts: JobFacts }) {
  const { units, rulebook } = facts.job;
  const rooms = facts.spaces
    .filter((s) => s.removedAt === null)
    .map((space) => ({
      space,
      m: moldPicture(
        space,
        facts.surfaces.filter((s) => s.spaceId === space.id && s.removedAt === null),
        RULEBOOKS[rulebook],
      ),
    }))
    .filter(({ m }) => m.size.value !== 'none' || m.moisture.length > 0);
  return (
    <Panel title={spell('Mold, by room')} aside={String(rooms.length)} testID="mold-rooms">
      {rooms.length === 0 ? <Empty says="No growth and no moisture reading recorded." /> : null}
      {rooms.map(({ space, m }) => (
        <View key={space.id} className="gap-1">
          <AnswerRow
            label={`${space.name}: ${formatMeasure(measure(m.extentM2, 'm2'), units)}`}
            value={say(m.size.value)}
            of={`${say('mold')} in ${space.name}`}
            because={[...m.size.because, ...m.condition.because]}
          />
          <AnswerRow
            label="Cause"
            value={say(m.cause.value)}
            of={`cause in ${space.name}`}
            because={m.cause.because}
            note={m.questions.length > 0 ? `${many(m.questions.length, 'question')} open` : undefined}
          />
          <Words look="note">{`${say(m.equipment.value)}. Containment: ${say(m.containment.value)}.`}</Words>
          <Button label={`Find the cause in ${space.name}`} onPress={() => router.navigate(`/mold/${facts.job.id}?space=${space.id}`)} />
        </View>
      ))}
    </Panel>
  );
}
