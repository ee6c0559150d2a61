/** The first day of work, and what has to be told to whom by then. */
import { useMemo } from 'react';
import { View } from 'react-native';
import { bookOf, certificatesOut, certificateSays, type JobFacts, type JobDigest } from '@roughsill/core';
import { earliestStart, isWorkingDay, noticesOf } from '@roughsill/core/calendar';
import { Button, Panel, Pick, UnitsProvider, Words } from '../../kit';
import { ReasonLine } from '../../kit/Why';
import { DayField, dayOf } from '../DayField';
import { commit, set, useAppDispatch, useSettings } from '../../store';
import { useDigest } from '../../store/derived';

export function FirstDay({ facts }: { readonly facts: JobFacts }) {
  const { digest } = useDigest(facts);
  return (
    <UnitsProvider value={facts.job.units}>
      <Day facts={facts} digest={digest} />
    </UnitsProvider>
  );
}

function Day({ facts, digest }: { readonly facts: JobFacts; readonly digest: JobDigest | undefined }) {
  const dispatch = useAppDispatch();
  const { job } = facts;
  const today = dayOf(new Date().toISOString(), job.timeZone);
  const asked = useMemo(() => {
    const own = digest?.zones.flatMap((z) => z.fibreIds) ?? [];
    return {
      facts,
      lead: digest?.zones.some((z) => z.care === 'lead') ?? true,
      asbestosOut: digest?.surfaces.some((s) => s.asbestos === 'found' && !own.includes(s.surfaceId)) ?? false,
      asbestosOwn: own.length > 0,
      today,
    };
  }, [facts, digest, today]);
  const notices = useMemo(() => noticesOf(asked), [asked]);
  const late = notices.filter((n) => n.late);
  const put = (fields: object) => dispatch(commit(job.id, [set('job', job.id, fields)], 'first day'));
  const settings = useSettings();
  const out = certificatesOut(settings, job, today);
  const odd = job.startOn !== null && !isWorkingDay(job.startOn, job.rulebook);
  const next = late.length > 0 ? earliestStart(asked) : null;
  return (
    <Panel title="First day and notices" aside={bookOf(job).name} testID="first-day">
      <DayField
        label="First day on which anything is disturbed"
        hint="as 2026-05-04; your own air results and every notice hang on it"
        value={job.startOn ?? ''}
        optional
        onCommit={(day) => put({ startOn: day === '' ? null : day })}
        testID="start-on"
      />
      {out.map((c) => (
        <Words key={`${c.person ?? ''} ${c.kind}`} look="strong" tone="oxide">
          {certificateSays(c, job.startOn, today)}
        </Words>
      ))}
      {odd ? <Words look="note">That is a weekend or a public holiday.</Words> : null}
      {next ? (
        <View role="alert" className="gap-1 border-l-8 border-oxide bg-panel px-3 py-2">
          <Words look="strong">{`${late.length === 1 ? 'A notice is' : `${late.length} notices are`} too late for that day.`}</Words>
          <Button label={`Begin on ${next}`} onPress={() => put({ startOn: next })} className="self-start" testID="begin-later" />
        </View>
      ) : null}
      {notices.map((n) => (
        <View key={n.id} className="gap-0.5" testID={`notice-${n.id}`}>
          {n.by || n.from ? (
            <Words look="strong" tone={n.late ? 'oxide' : undefined}>
              {[
                n.from && n.by && n.from !== n.by ? `from ${n.from}` : n.from && !n.by ? `after ${n.from}` : '',
                n.by ? `by ${n.by}` : '',
                n.late ? 'too late' : '',
              ]
                .filter(Boolean)
                .join(', ')}
            </Words>
          ) : null}
          <ReasonLine reason={n.because} />
        </View>
      ))}
      {job.rulebook === 'us' ? (
        <Pick
          label="Stricter state"
          value={job.stateLayer}
          options={[
            { value: 'none', label: 'federal rules alone' },
            { value: 'california', label: 'California’s air limits over them' },
          ]}
          onChange={(stateLayer) => put({ stateLayer })}
          testID="stateLayer"
        />
      ) : null}
    </Panel>
  );
}
