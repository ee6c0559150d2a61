/** The day’s breathing: a band a zone with the limit as a line, the firm’s own air samples, and what an exposure sets going. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, formatWork, many, measure, bookOf, say, type JobFacts } from '@roughsill/core';
import { fittedOn, needsFit } from '@roughsill/core/zone-day';
import { Button, Column, Columns, Empty, Panel, useUnits, Words } from '../../kit';
import { ReasonLine } from '../../kit/Why';
import { useFirm, useSettings } from '../../store';
import type { BreathingZone } from '../../workers/ask-protocol';
import { DayBand } from '../bench/DayBand';
import { dayOf } from '../DayField';
import { JobPage } from '../JobPage';
import { useAsked } from '../useAsked';
import { AirSamples } from './AirSamples';
import { Shifts } from './Shifts';

export const BreathingScreen = () => (
  <JobPage
    full
    title="The day’s breathing"
    hint="What is presumed counts until your own air samples say otherwise, for the same task on the same coating, for a year."
    back="protect"
  >
    {(facts) => <Breathing facts={facts} />}
  </JobPage>
);

function Breathing({ facts }: { readonly facts: JobFacts }) {
  const settings = useSettings();
  const breathing = useAsked(useMemo(() => ({ kind: 'breathing' as const, facts, settings }), [facts, settings]));
  const zones = breathing?.zones ?? null;
  return (
    <Columns>
      <Column>
        {zones === null ? <Words look="note">Reckoning the day.</Words> : null}
        {zones?.length === 0 ? <Empty says="Nothing is disturbed on this job: nobody breathes anything of it." /> : null}
        {breathing ? <Shifts facts={facts} breathing={breathing} /> : null}
        {zones?.map((z) => (
          <ZoneBand key={z.zoneId} zone={z} />
        ))}
      </Column>
      <Column>
        <AirSamples facts={facts} zones={zones ?? []} />
        <FitTests facts={facts} zones={zones ?? []} />
      </Column>
    </Columns>
  );
}

const hours = (h: number): number => Math.round(h * 10) / 10;

const partName = (what: string): string => (what === 'setUp' || what === 'cleanUp' ? say(`day.${what}`) : say(what));

function ZoneBand({ zone }: { readonly zone: BreathingZone }) {
  const units = useUnits();
  const { day } = zone;
  const [open, setOpen] = useState(false);
  const air = (ug: number) => formatMeasure(measure(Math.round(ug * 10) / 10, 'ug/m3'), units);
  return (
    <Panel
      title={zone.name}
      aside={`${many(day.people, 'person', 'people')} · ${many(day.days, 'day')} of ${formatWork(day.shiftH)}`}
      testID={`day-${zone.zoneId}`}
    >
      {day.lead ? (
        <>
          <DayBand
            tasks={day.parts.map((p) => ({ what: partName(p.what), hours: hours(p.hours), ugM3: Math.round(p.ugM3 ?? 0) }))}
            limit={day.lead.limit}
          />
          <Words look="row">
            {`${air(day.lead.average)} over ${day.lead.shiftH > 8 ? 'the shift' : 'eight hours'}, limit ${air(day.lead.limit)}: ${day.lead.over ? 'over it without a mask' : 'within it'}.`}
          </Words>
        </>
      ) : (
        <Words look="row">A task here has no upper end that is known: supplied air, until air was sampled.</Words>
      )}
      <Words>{`Mask: ${zone.mask ? say(zone.mask) : 'none asked for by lead'}.`}</Words>
      <Words look="note">{zone.measured ? 'By your own air samples.' : 'Presumed by class: no sample of yours counts here yet.'}</Words>
      {zone.duties.length > 0 ? (
        <Button
          look="quiet"
          flush
          expanded={open}
          label={open ? 'Close' : `What that sets going: ${zone.duties.length}`}
          says={`${zone.name}: ${open ? 'close' : 'what that sets going'}`}
          onPress={() => setOpen(!open)}
          testID={`duties-${zone.zoneId}`}
        />
      ) : null}
      {open
        ? zone.duties.map((d) => (
            <View key={d.because.rule} className="gap-0.5">
              {d.by ? <Words look="strong">{`By ${d.by}`}</Words> : null}
              <ReasonLine reason={d.because} />
            </View>
          ))
        : null}
    </Panel>
  );
}

/** A tight mask that was never tested on a face is worn on it by nobody. */
function FitTests({ facts, zones }: { readonly facts: JobFacts; readonly zones: readonly BreathingZone[] }) {
  const { people } = useFirm();
  const list = bookOf(facts.job).respirators;
  const masks = [...new Set(zones.flatMap((z) => z.mask ?? []))].filter((id) => list.some((r) => r.id === id && needsFit(r)));
  if (masks.length === 0) return null;
  const { fitted, not } = fittedOn(people, facts.job.startOn ?? dayOf(new Date().toISOString(), facts.job.timeZone));
  const asked = masks.map(say).join(', ');
  return (
    <Panel title="Fit tests" aside="within the year, for that very mask" testID="fit-tests">
      <Words>{`Asked for here: ${asked}.`}</Words>
      {fitted.map((p) => (
        <Words key={p.name}>{`${p.name}: tested in ${p.masks.join(', ')}.`}</Words>
      ))}
      {fitted.length === 0 ? (
        <Words look="strong" tone="oxide">
          {not.length === 0
            ? 'Nobody of the firm is entered: nobody can be shown to have been fit tested.'
            : 'Nobody has a fit test within the year before the first day: nobody may wear it yet.'}
        </Words>
      ) : not.length > 0 ? (
        <Words look="strong" tone="oxide">{`No fit test within the year: ${not.join(', ')}.`}</Words>
      ) : null}
      <Button look="quiet" flush label="People of the firm" onPress={() => router.navigate('/firm')} />
    </Panel>
  );
}
