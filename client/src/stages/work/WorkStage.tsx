/** The steps in order, with times, quantities and the checks that must pass. */
import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  EVENTS,
  formatHours,
  formatMeasure,
  formatRange,
  formatWork,
  holdSays,
  holdText,
  many,
  pastChecks,
  readHold,
  say,
  seenTold,
  toBuy,
  type EventName,
  type JobFacts,
  type SeenTold,
  type Step,
  type Surface,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, Column, Columns, Folded, Panel, useUnits, useWhen, useWide, Words } from '../../kit';
import { Why } from '../../kit/Why';
import { commit, useAppDispatch } from '../../store';
import { useMoney } from '../money';
import { checkDraft, GateRow } from './Check';
import { Signs } from './Signs';
import type { StageProps } from '../props';
import { cap } from '../../kit/text';

export function WorkStage({ facts, surface, plan }: StageProps) {
  const { work, money } = plan;
  const cash = useMoney();
  const wide = useWide();
  return (
    <Columns>
      <Column>
        <Panel title="The plan" aside={`${work.steps.length} ${work.steps.length === 1 ? 'step' : 'steps'}`}>
          <Words>
            {plan.proof === 'unpriced'
              ? say('proof.unpriced')
              : `${formatRange(work.handsOnH, formatWork)} of work${work.sharedH.high > 0 ? ` (${formatRange(work.sharedH, formatWork)} of it its share of what the zone does once)` : ''} and ${formatRange(work.waitH, formatHours)} of waiting; ${formatRange(money, cash)}. ${say(`proof.${plan.proof}`)}`}
          </Words>
          <Button
            label="Print this surface"
            onPress={() => router.navigate(`/print/${facts.job.id}?surface=${surface.id}`)}
            className="self-start"
          />
        </Panel>
        <Happened facts={facts} surface={surface} plan={plan} />
        {wide ? <Shopping steps={work.steps} /> : null}
      </Column>
      <View className="min-w-[min(21rem,100%)] flex-[2] gap-6">
        {work.steps.map((s, i) => (
          <StepBlock
            key={s.id}
            number={i + 1}
            step={s}
            here={work.standsAt === s.id}
            facts={facts}
            surface={surface}
            told={seenTold(plan)}
          />
        ))}
        {wide ? null : <Shopping steps={work.steps} />}
        <PastChecks surface={surface} steps={work.steps} />
      </View>
    </Columns>
  );
}

/** What was looked at for a way or a coat that is not planned now: it opens nothing, and stays known. */
function PastChecks({ surface, steps }: { readonly surface: Surface; readonly steps: readonly Step[] }) {
  const when = useWhen();
  const past = pastChecks(surface.checks, steps);
  if (past.length === 0) return null;
  return (
    <Folded title="Checked for what is not planned now" says={many(past.length, 'check')} testID="past-checks">
      {past.map((c) => (
        <Words
          key={c.id}
          look="note"
        >{`${holdSays(c.gate)}: ${c.outcome === 'pass' ? 'passed' : 'failed'}, ${c.by}, ${when(c.takenAt)}`}</Words>
      ))}
    </Folded>
  );
}

/** What this surface and its zone ask for, summed: to take along. */
function Shopping({ steps }: { readonly steps: readonly Step[] }) {
  const units = useUnits();
  const amounts = toBuy(steps);
  if (amounts.length === 0) return null;
  return (
    <Panel title="To take along" aside="for this surface and its zone" testID="shopping">
      <View className="gap-1 bg-panel px-3 py-2">
        {amounts.map((a) => (
          <View key={`${a.what}${a.amount.unit}`} className="flex-row justify-between gap-3">
            <Words>{cap(say(a.what))}</Words>
            <Words look="strong">{formatMeasure(a.amount, units)}</Words>
          </View>
        ))}
      </View>
    </Panel>
  );
}

/** @param surface none: a step of the whole job */
export function StepBlock({
  number,
  step,
  here,
  facts,
  surface,
  told,
}: {
  readonly number: number;
  readonly step: Step;
  readonly here: boolean;
  readonly facts: JobFacts;
  readonly surface?: Surface;
  /** What its signs hang on; none: no signs are told here. */
  readonly told?: SeenTold;
}) {
  const units = useUnits();
  const times = [
    step.handsOnH.high > 0 ? `${formatRange(step.handsOnH, formatWork)} of work` : '',
    step.waitH.high > 0 ? `${formatRange(step.waitH, formatHours)} of waiting` : '',
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <View testID={`step-${step.id}`} className={`flex-row gap-3 border-l-4 bg-panel p-3 ${here ? 'border-soot' : 'border-line'}`}>
      <Words look="head" className="w-8">
        {String(number)}
      </Words>
      <View className="min-w-0 flex-1 gap-1">
        <Words look="note">
          {[
            say(step.kind),
            step.shared ? (surface ? 'once for the whole zone' : 'once for the whole job') : '',
            here ? 'the work stands here' : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </Words>
        <Words look="row" level={3}>
          {sentence(step.title, units)}
        </Words>
        {times ? <Words look="note">{times}</Words> : null}
        {step.amounts.map((a) => (
          <Words key={a.what}>{`${say(a.what)}: ${formatMeasure(a.amount, units)}`}</Words>
        ))}
        <Why of={sentence(step.title, units)} because={step.because} />
        {step.at && surface && told ? <Signs facts={facts} surface={surface} at={step.at} told={told} here={here} /> : null}
        {step.gates.map((g) => (
          <GateRow key={g.id} gate={g} facts={facts} surface={surface} />
        ))}
      </View>
    </View>
  );
}

/** What happens on a place and sends it back, one tap each; told of afterwards where it happened. */
function Happened({ facts, surface, plan }: StageProps) {
  const dispatch = useAppDispatch();
  const when = useWhen();
  const [open, setOpen] = useState(false);
  const begun = plan.work.steps.some((s) => s.gates.some((g) => g.state === 'passed'));
  const here = [...surface.checks, ...facts.checks.filter((c) => c.zoneId === plan.zoneId)]
    .flatMap((c) => {
      const said = readHold(c.gate);
      return said?.hold === 'event' && said.what !== undefined ? [{ ...c, what: cap(say(`event.${said.what}`)) }] : [];
    })
    .sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
  if (!begun && here.length === 0) return null;
  const outside = facts.spaces.find((s) => s.id === surface.spaceId)?.kind === 'elevation';
  const tell = (what: EventName) =>
    dispatch(
      commit(
        facts.job.id,
        [
          checkDraft(
            holdText({ hold: 'event', what }),
            'fail',
            undefined,
            plan.zoneId,
            what === 'breakThrough' || what === 'newFind' ? surface.id : undefined,
          ),
        ],
        null,
      ),
    );
  return (
    <Panel title="Something happened" testID="happened">
      {here.slice(0, 3).map((c) => (
        <Words key={c.id} look="note">{`${c.what}, ${c.by}, ${when(c.takenAt)}: what it sent back is open again.`}</Words>
      ))}
      {open ? (
        <View className="flex-row flex-wrap gap-2">
          {EVENTS.filter((e) => outside || e !== 'wind').map((e) => (
            <Button
              key={e}
              look="stop"
              label={cap(say(`event.${e}`))}
              onPress={() => {
                tell(e);
                setOpen(false);
              }}
            />
          ))}
        </View>
      ) : (
        <Button label="Stop: something happened" onPress={() => setOpen(true)} className="self-start" />
      )}
    </Panel>
  );
}
