/** The plan on paper: every surface, or one, with its reasons written out. */
import { ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import { createDeriver, digestOf, formatHours, formatRange, formatWork, say, withCartridges, type JobFacts } from '@roughsill/core';
import { blanks, jobReport, NOTICE, type ReasonReport, type SurfaceReport, type ZoneReport } from '@roughsill/core/report';
import { useMemo } from 'react';
import { Button, UnitsProvider, Words } from '../../kit';
import { useJob, useSettings } from '../../store';
import { Section, sectionCoats } from '../../section';
import { laidIn, RoomPicture } from '../../plan/RoomPicture';
import { useMoney } from '../money';

const noprint = { dataSet: { noprint: 'yes' } } as object;
const keep = { dataSet: { keep: 'yes' } } as object;

export function PrintScreen() {
  const { jobId, surface } = useLocalSearchParams<{ jobId: string; surface?: string }>();
  const { facts } = useJob(jobId);
  if (!facts) return null;
  return (
    <UnitsProvider value={facts.job.units}>
      <Paper facts={facts} only={surface} />
    </UnitsProvider>
  );
}

function Paper({ facts, only }: { readonly facts: JobFacts; readonly only?: string }) {
  const settings = useSettings();
  const plan = useMemo(() => createDeriver().derive(facts, settings, new Date().getUTCFullYear()), [facts, settings]);
  const report = useMemo(() => jobReport(facts, plan, settings, new Date().toISOString()), [facts, plan, settings]);
  const digest = useMemo(() => digestOf(facts, plan), [facts, plan]);
  const money = useMoney();
  const zoneOf = (spaceId: string) => digest.zones.find((z) => z.spaceIds.includes(spaceId));
  return (
    <ScrollView
      testID="paper"
      className="flex-1 bg-white"
      contentContainerClassName="w-full max-w-[50rem] gap-5 self-center p-6"
      {...({ dataSet: { 'print-root': 'yes' } } as object)}
    >
      <View {...noprint} className="flex-row flex-wrap gap-2">
        <Button look="main" label="Print" onPress={() => window.print()} />
        <Button
          label="Back to the job"
          onPress={() => router.navigate(only ? `/job/${facts.job.id}/work/${only}` : `/job/${facts.job.id}/work`)}
        />
      </View>
      <Words look="title" level={1}>
        {report.job.name}
      </Words>
      <Words>
        {[report.job.place, report.job.yearBuilt ? `built ${report.job.yearBuilt}` : 'year built unknown', `${report.job.rules} rules`]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <Words look="note">{`${NOTICE} ${report.job.edition}.`}</Words>
      {only === undefined && report.steps.length > 0 ? (
        <View className="gap-3 border-t-2 border-soot pt-3">
          <Words look="head" level={2}>
            Once for the whole job
          </Words>
          <StepLines steps={report.steps} />
        </View>
      ) : null}
      {report.zones
        .filter((z) => only === undefined || z.surfaces.includes(only))
        .map((z) => (
          <ZonePaper key={z.id} z={z} money={money} />
        ))}
      {report.spaces.map((space) => {
        const surfaces = space.surfaces.filter((s) => only === undefined || s.id === only);
        return surfaces.length === 0 ? null : (
          <View key={space.id} className="gap-4">
            <Words look="head" level={2}>
              {space.name}
            </Words>
            {space.minorWork ? <Lines because={space.minorWork.because} /> : null}
            <View {...keep} className="max-w-[34rem]">
              <RoomPicture
                facts={facts}
                digest={digest}
                space={facts.spaces.find((x) => x.id === space.id)!}
                stage="protect"
                laid={zoneOf(space.id) && laidIn(zoneOf(space.id)!)}
                paper
              />
            </View>
            {surfaces.map((s) => (
              <SurfacePaper key={s.id} s={s} money={money}>
                <Section
                  coats={sectionCoats(plan.surfaces.find((p) => p.surfaceId === s.id)!)}
                  material={facts.surfaces.find((x) => x.id === s.id)!.material}
                />
              </SurfacePaper>
            ))}
          </View>
        );
      })}
    </ScrollView>
  );
}

const Lines = ({ because }: { readonly because: readonly ReasonReport[] }) => (
  <>
    {because.map((r, i) => (
      <Words key={`${r.rule}${i}`} look="note">{`${r.says} (${r.source}; ${r.sourceKind.toLowerCase()}.)`}</Words>
    ))}
  </>
);

const StepLines = ({ steps }: { readonly steps: SurfaceReport['steps'] }) => (
  <>
    {steps.map((st) => (
      <View key={st.number} {...keep} className="gap-0.5 pl-4">
        <Words look="strong">{`${st.number}. ${st.title}`}</Words>
        <Words look="note">
          {[
            st.personHours.high > 0 ? `${formatRange(st.personHours, formatWork)} of work` : '',
            st.waitHours.high > 0 ? `wait ${formatRange(st.waitHours, formatHours)}` : '',
            ...st.quantities.map((q) => `${q.what} ${q.text}`),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Words>
        <Lines because={st.because} />
        {st.checks.map((c) => (
          <Words key={c.id}>{`${c.state === 'passed' ? '☑' : '☐'} ${c.mustBeTrue}${blanks(c.numbers)}`}</Words>
        ))}
      </View>
    ))}
  </>
);

/** What a zone does and wears once for all its surfaces. */
function ZonePaper({ z, money }: { readonly z: ZoneReport; readonly money: (n: number) => string }) {
  const pr = z.protection;
  return (
    <View className="gap-3 border-t-2 border-soot pt-3">
      <View {...keep} className="gap-1">
        <Words look="row" level={3}>{`Work zone: ${z.name}`}</Words>
        <Words>
          {z.hazards.length === 0
            ? 'No hazard is disturbed.'
            : `Reaches ${z.hazards.map((h) => `${h.name} (${h.surfaces.join(', ')})`).join('; ')}.`}
        </Words>
        {z.asSaid.note.trim() === '' ? null : <Words>{`Note: “${z.asSaid.note.trim()}”`}</Words>}
        {z.order.length > 1 ? <Words>{`Worked in this order: ${z.order.join('; ')}.`}</Words> : null}
        <Lines because={z.orderChanged} />
        <Lines because={pr.needed.because} />
        {pr.needed.value ? (
          <>
            <Words look="strong">Protection</Words>
            <Words>{`Sheet ${pr.sheetLaid.text} laid (${pr.sheetBought.text} bought); ${pr.respirator.value ? say(pr.respirator.value) : 'no respirator'}${withCartridges(pr.cartridges)}; ${pr.equipment.map((k) => say(k.value)).join(', ')}; ${pr.bags.value} waste bags${pr.verticalScreen.value ? '; upright screen' : ''}.`}</Words>
            {pr.tasks.length > 1 ? pr.tasks.map((t) => <Words key={t.method}>{`${t.name}, alone in the zone: ${t.wears}.`}</Words>) : null}
            <Lines because={[...pr.exposure.because, ...pr.respirator.because]} />
          </>
        ) : null}
      </View>
      <StepLines steps={z.steps} />
      {z.steps.length > 0 ? (
        <Words look="note">{`${formatRange(z.hours.handsOn, formatWork)} of work, ${formatRange(z.money, money)}.`}</Words>
      ) : null}
    </View>
  );
}

function SurfacePaper({
  s,
  money,
  children,
}: {
  readonly s: SurfaceReport;
  readonly money: (n: number) => string;
  readonly children: React.ReactNode;
}) {
  return (
    <View className="gap-3 border-t-2 border-soot pt-3">
      <View {...keep} className="gap-2">
        <Words look="row" level={3}>{`${s.count} × ${s.name}: ${s.material}, ${s.area.text}`}</Words>
        <View className="max-w-[26rem]">{children}</View>
        <Words look="strong">{`Lead: ${say(s.lead.overall.value)}. Depth: ${say(s.requiredDepth.value)}.`}</Words>
        <Lines because={s.lead.overall.because} />
        {s.mayBeIssued.value ? null : (
          <>
            <Words look="strong" tone="oxide">
              Draft: not to be issued
            </Words>
            <Lines because={s.mayBeIssued.because} />
          </>
        )}
        {s.trials.map((t) => (
          <View key={`${t.method}${t.coating}`}>
            <Words look="strong">{`Trial, ${t.name} on ${t.coating}: ${say(t.state.value)}`}</Words>
            <Lines because={t.state.because} />
          </View>
        ))}
        {s.orderChanged.length > 0 ? <Lines because={s.orderChanged} /> : null}
      </View>
      <StepLines steps={s.steps} />
      <Words look="note">
        {s.proof === 'unpriced'
          ? say('proof.unpriced')
          : `${formatRange(s.hours.handsOn, formatWork)} of work${s.hours.ofZone.high > 0 ? ` (${formatRange(s.hours.ofZone, formatWork)} of it its share of the zone’s)` : ''}, ${formatRange(s.hours.waiting, formatHours)} of waiting, ${formatRange(s.money, money)}. ${say(`proof.${s.proof}`)}`}
      </Words>
    </View>
  );
}
