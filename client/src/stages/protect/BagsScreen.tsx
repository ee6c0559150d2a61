/** What leaves the job: bags are logged with one tap each, leave with a load, and have to balance with its ticket. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { numberAfter, say, WASTE_STREAMS, type JobFacts, type WasteStreamId } from '@roughsill/core';
import { registerOf, type WasteLine } from '@roughsill/core/waste';
import { Button, Column, Columns, Empty, Panel, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, commit, useAppDispatch, useAppSelector, useSettings } from '../../store';
import { JobPage } from '../JobPage';
import { PaperButton } from '../PaperButton';
import { useAsked } from '../useAsked';
import { BagList } from './BagList';
import { Loads } from './Loads';
import { Months, Planned } from './WastePlan';

export const BagsScreen = () => (
  <JobPage
    full
    title="Waste and bags"
    hint="Tap what is in the bag: it has its number and its time. Weight, place and photograph can follow."
    back="protect"
  >
    {(facts) => <Bags facts={facts} />}
  </JobPage>
);

function Bags({ facts }: { readonly facts: JobFacts }) {
  const settings = useSettings();
  const lines = useAsked(useMemo(() => ({ kind: 'waste' as const, facts, settings }), [facts, settings]));
  const register = useMemo(() => registerOf(facts), [facts]);
  const bags = facts.bags.filter((b) => b.removedAt === null);
  return (
    <>
      <LogIt facts={facts} lines={lines} />
      <Columns>
        <Column>
          <Panel
            title="Register"
            aside={`${register.filled} filled · ${register.standing} here · ${register.gone} gone`}
            testID="bag-register"
          >
            {bags.length === 0 ? <Empty says="No bag yet. The first tap above makes B-001." /> : <BagList facts={facts} bags={bags} />}
          </Panel>
        </Column>
        <Column>
          <Loads facts={facts} hauls={register.hauls} standing={register.standing} balances={register.balances} />
          <Planned facts={facts} lines={lines} />
          <Months facts={facts} lines={lines} />
          <Papers facts={facts} />
        </Column>
      </Columns>
    </>
  );
}

/** Those that this job makes come first; the others are a press away, for what nobody planned. */
function LogIt({ facts, lines }: { readonly facts: JobFacts; readonly lines: readonly WasteLine[] | null }) {
  const dispatch = useAppDispatch();
  const by = useAppSelector((s) => s.session.person);
  const [all, setAll] = useState(false);
  const [problem, setProblem] = useState<string>();
  const planned = lines?.map((l) => l.stream) ?? [];
  const shown = WASTE_STREAMS.filter((s) => all || planned.length === 0 || planned.includes(s));
  const log = (stream: WasteStreamId) => {
    const number = numberAfter('B', facts.bags);
    // Where one was filled is where the last one of its kind was, until somebody says otherwise.
    const last = facts.bags.filter((b) => b.removedAt === null && b.stream === stream).at(-1);
    const fields = {
      number,
      stream,
      kg: null,
      filledAt: new Date().toISOString(),
      filledBy: by,
      zoneId: last?.zoneId ?? null,
      place: last?.place ?? '',
      haulId: null,
      note: '',
    };
    setProblem(dispatch(commit(facts.job.id, [add('bag', fields)], `bag ${number}: ${say(`stream.${stream}`)}`))[0]?.message);
  };
  return (
    <Panel title={`Next bag: ${numberAfter('B', facts.bags)}`} testID="log-it">
      <View className="flex-row flex-wrap gap-2">
        {shown.map((s) => (
          <Button
            key={s}
            label={cap(say(`stream.${s}`))}
            says={`Log a bag: ${say(`stream.${s}`)}`}
            onPress={() => log(s)}
            testID={`log-${s}`}
          />
        ))}
        {shown.length < WASTE_STREAMS.length ? <Button look="quiet" label="Something else" onPress={() => setAll(true)} /> : null}
      </View>
      {problem ? (
        <Words alert tone="oxide">
          {cap(problem)}
        </Words>
      ) : null}
    </Panel>
  );
}

function Papers({ facts }: { readonly facts: JobFacts }) {
  const { id, name } = facts.job;
  const unsent = useAppSelector((s) => s.outbox.waiting.length > 0);
  return (
    <Panel title="Papers">
      <View className="flex-row flex-wrap gap-2">
        <PaperButton job={name} label="Labels for bags, PDF" path={`/api/jobs/${id}/bags.pdf`} />
        {facts.hauls.some((h) => h.removedAt === null) ? (
          <PaperButton job={name} label="Notes for loads, PDF" path={`/api/jobs/${id}/loads.pdf`} />
        ) : null}
        <Button label="Register, CSV" onPress={() => window.open(`/api/jobs/${id}/bags.csv`, '_blank')} />
      </View>
      {unsent ? <Words look="note">Entries are still on their way: the papers show what has reached the server.</Words> : null}
    </Panel>
  );
}
