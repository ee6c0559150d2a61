/** The sample register: every sample of the job, what is due, and the papers that go with the bags. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  registerAct,
  answerText,
  sampleRegister,
  say,
  testsMoney,
  type JobFacts,
  type RegisterLine,
  type SampleState,
  type UnitSystem,
  many,
} from '@roughsill/core';
import { Button, Empty, Figure, NextBar, Panel, Pick, useDay, useUnits, useWide, Words } from '../../kit';
import { Sheet, SheetName } from '../../kit/Sheet';
import { Plain } from '../../kit/sheet-look';
import { commit, useAppDispatch, useAppSelector, useSettings } from '../../store';
import { JobPage } from '../JobPage';
import { useMoney } from '../money';
import { PaperButton } from '../PaperButton';
import { SampleCard, SIMULATED_LAB } from './SampleCard';
import { blankFor, sent } from './samples';

export const SamplesScreen = () => (
  <JobPage full title="Samples" hint="From the plan to the lab’s answer. Numbers are your own.">
    {(facts) => <Samples facts={facts} />}
  </JobPage>
);

/** What makes a sample one to look at before its state. */
function wrongWith(l: RegisterLine): string | null {
  if (l.numberTwice) return 'number twice';
  if (l.answersDiffer) return 'two answers';
  return l.doubt === null ? null : l.doubt === 'blankDirty' ? 'blank not clean' : 'duplicate differs';
}
const answerOf = (l: RegisterLine, units: UnitSystem): string => (l.result === null ? '' : answerText(l.answer, l.result, units));

const SHOWN = ['all', 'planned', 'taken', 'sent', 'due', 'in'] as const;

function Samples({ facts }: { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const by = useAppSelector((s) => s.session.person);
  const unsent = useAppSelector((s) => s.outbox.waiting.length > 0);
  const [shown, setShown] = useState<(typeof SHOWN)[number]>('all');
  const register = useMemo(() => sampleRegister(facts, settings, new Date().toISOString()), [facts, settings]);
  const jobId = facts.job.id;
  const money = useMoney();
  const wide = useWide();
  const units = useUnits();
  const day = useDay();
  const [open, setOpen] = useState<string | null>(null);
  const ready = register.lines.filter((l) => l.state === 'taken');
  const act = registerAct(register);
  const sendAll = () =>
    dispatch(
      commit(
        jobId,
        ready.map((l) => sent(l.surfaceId, l.sample, l.sample.lab || SIMULATED_LAB)),
        `${many(ready.length, 'sample')} sent`,
      ),
    );
  const lines = register.lines.filter((l) => shown === 'all' || l.state === shown);
  const out = register.counts.sent + register.counts.due;
  return (
    <>
      {act.kind === 'send' ? (
        <NextBar
          says={`${ready.length} ${ready.length === 1 ? 'sample is' : 'samples are'} taken and not sent.`}
          act="All sent now"
          onPress={sendAll}
        />
      ) : null}
      {act.kind !== 'send' && out > 0 ? (
        <NextBar
          says={`${out} at the lab${register.counts.due > 0 ? `, ${register.counts.due} overdue` : ''}.`}
          act="Import answers"
          onPress={() => router.navigate(`/import/${jobId}?from=lab`)}
        />
      ) : null}
      {register.lines.length === 0 ? (
        <Empty says="No sample yet. Cut a chip from a surface’s Probe page, or plan the samples of an asbestos area on the Survey page." />
      ) : (
        <Pick
          label="Show"
          value={shown}
          options={SHOWN.map((value) => ({
            value,
            label: value === 'all' ? `all ${register.lines.length}` : `${say(value)} ${register.counts[value as SampleState]}`,
          }))}
          onChange={setShown}
        />
      )}
      {wide && lines.length > 0 ? (
        <Sheet<RegisterLine>
          testID="register"
          label="Samples"
          rows={lines}
          keyOf={(l) => l.sample.id}
          columns={[
            {
              head: 'No.',
              cell: (l) => (
                <SheetName
                  label={l.sample.number}
                  says={`Sample ${l.sample.number}: open`}
                  open={open === l.sample.id}
                  onPress={() => setOpen(open === l.sample.id ? null : l.sample.id)}
                />
              ),
            },
            { head: 'For', cell: (l) => <Plain>{`${say(l.sample.hazard)}, ${say(l.sample.kind)}`}</Plain> },
            { head: 'Where', cell: (l) => <Plain>{[l.spaceName, l.surfaceName, l.sample.place].filter(Boolean).join(', ')}</Plain> },
            { head: 'State', cell: (l) => <Plain strong>{wrongWith(l) ?? say(l.state)}</Plain> },
            { head: 'Taken', cell: (l) => <Plain>{l.sample.takenAt ? day(l.sample.takenAt) : ''}</Plain> },
            { head: 'Sent', cell: (l) => <Plain>{l.sample.sentAt ? day(l.sample.sentAt) : ''}</Plain> },
            { head: 'Due', cell: (l) => <Plain>{l.dueAt && l.state !== 'in' ? day(l.dueAt) : ''}</Plain> },
            { head: 'Answer', cell: (l) => <Plain strong>{answerOf(l, units)}</Plain> },
            { head: 'Price', right: true, cell: (l) => <Plain>{money(l.price)}</Plain> },
          ]}
          detailOf={(l) => (open === l.sample.id ? <SampleCard facts={facts} line={l} /> : null)}
        />
      ) : (
        <View className="gap-2" testID="register">
          {lines.map((l) => (
            <SampleCard key={l.sample.id} facts={facts} line={l} />
          ))}
        </View>
      )}
      <Panel title="In and out">
        <View className="flex-row flex-wrap gap-2">
          <Button look="main" label="Import CSV" testID="open-import" onPress={() => router.navigate(`/import/${jobId}`)} />
          <PaperButton job={facts.job.name} label="Labels, PDF" path={`/api/jobs/${jobId}/labels.pdf`} />
          <PaperButton job={facts.job.name} label="Chain of custody, PDF" path={`/api/jobs/${jobId}/custody.pdf`} />
          <Button label="Register, CSV" onPress={() => window.open(`/api/jobs/${jobId}/samples.csv`, '_blank')} />
        </View>
        {ready.length > 0 ? (
          <Button
            label="Add a blank to this batch"
            onPress={() =>
              dispatch(
                commit(
                  jobId,
                  [
                    blankFor(
                      facts,
                      facts.surfaces.find((s) => s.id === ready[0]!.surfaceId)!,
                      by,
                      settings.samplePrefix,
                    ),
                  ],
                  'blank added',
                ),
              )
            }
          />
        ) : null}
        {unsent ? <Words look="note">Entries are still on their way: the papers show what has reached the server.</Words> : null}
        <Figure
          label="Samples taken so far, of all tests on the job"
          value={`${money(register.money)} of ${money(testsMoney(facts, settings))}`}
          note={`with the planned samples, swabs and instrument readings; a chip ${money(settings.testPrices.chip)}, a bulk sample ${money(settings.testPrices.bulk)}; the lab usually takes ${settings.labDays.lead} days`}
        />
      </Panel>
    </>
  );
}
