/** A surface's hazards: what may be touched today, lead coat by coat, asbestos by area, mold and moisture, its samples and every reading. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import {
  formatMeasure,
  judgeMoisture,
  measure,
  bookFor,
  bookOf,
  numberOf,
  sampleRegister,
  say,
  silicaOn,
  standingReadings,
  coatSays,
  standingText,
  UNCOUNTED,
  type LabUnit,
  type Reading,
  type Rulebook,
  type Standing,
  type Surface,
  type UnitSystem,
  spell,
} from '@roughsill/core';
import { Button, Column, Columns, Panel, StateMark, useUnits, useWhen, useWide, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { commit, useAppDispatch, useAppSelector, useSettings } from '../../store';
import type { StageProps } from '../props';
import { cap } from '../../kit/text';
import { AreaPanel } from './AreaPanel';
import { AreaPlanView } from './AreaPlanView';
import { DecisionPanel } from './DecisionPanel';
import { InstrumentPanel } from './InstrumentPanel';
import { MeasureForm, type MeasureKind } from './MeasureForm';
import { PastPanel } from './PastPanel';
import { ReadingForm } from './ReadingForm';
import { Record } from './Record';
import { SampleCard } from './SampleCard';
import { takeChip } from './samples';

const NEXT_WORDS = {
  none: 'Nothing more to test',
  ...Object.fromEntries(['asbestosFirst', 'waitForLab', 'notchAllCoats', 'notchForDepth', 'labAllCoats'].map((k) => [k, say(k)])),
} as Record<string, string>;

type Form = { readonly kind: 'spot' | 'lab' | 'xrf' | 'report'; readonly answers?: Reading } | { readonly kind: MeasureKind };
const isMeasure = (f: Form): f is { readonly kind: MeasureKind } => f.kind === 'moisture' || f.kind === 'air' || f.kind === 'surfaceTemp';

export function ProbeStage({ facts, surface, plan }: StageProps) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const by = useAppSelector((s) => s.session.person);
  const [form, setForm] = useState<Form | null>(null);
  const wide = useWide();
  const { lead } = plan;
  const silica = silicaOn(surface, bookOf(facts.job));
  const register = useMemo(() => sampleRegister(facts, settings, new Date().toISOString()), [facts, settings]);
  const own = register.lines.filter((l) => l.surfaceId === surface.id);
  const jobId = facts.job.id;
  // A chip or a notch cuts into what may hold asbestos: its sample is the first button, and the other is not offered.
  const sampleFirst = lead.next.value === 'asbestosFirst';
  const answered = lastAnswer(surface, plan.lead.standing, bookFor(facts.job, settings), facts.job.units);
  const chip = (depth: 'face' | 'all') =>
    dispatch(commit(jobId, [takeChip(facts, surface, depth, by, settings.samplePrefix)], 'chip taken'));
  const recorded = (
    <>
      <DecisionPanel facts={facts} surface={surface} />
      <Record facts={facts} surface={surface} onAnswer={(r) => setForm({ kind: 'lab', answers: r })} />
    </>
  );
  return (
    <Columns>
      <Column>
        {sampleFirst ? <AreaPanel facts={facts} surface={surface} asbestos={plan.asbestos} /> : null}
        <Panel title="Best next test" testID="next-test">
          {answered ? (
            <Words look="row" testID="last-answer" alert>
              {answered}
            </Words>
          ) : null}
          <AnswerRow label={NEXT_WORDS[lead.next.value] ?? ''} of="the next test" because={lead.next.because} />
          {lead.dueAt ? <Words>{`The lab is due ${formatDistanceToNow(new Date(lead.dueAt), { addSuffix: true })}.`}</Words> : null}
          {form ? null : (
            <View className="flex-row flex-wrap gap-2">
              <Button
                look={lead.next.value === 'none' || sampleFirst ? 'plain' : 'main'}
                label="Record a swab"
                testID="record-spot"
                onPress={() => setForm({ kind: 'spot' })}
              />
              {sampleFirst ? null : (
                <>
                  <Button label="Cut a chip, all coats" testID="take-chip" onPress={() => chip('all')} />
                  <Button label="Cut a chip, face only" onPress={() => chip('face')} />
                </>
              )}
              <Button label="Record an XRF reading" testID="record-xrf" onPress={() => setForm({ kind: 'xrf' })} />
              <Button label="Enter an inspection report" testID="record-report" onPress={() => setForm({ kind: 'report' })} />
              <Button look="quiet" label="Record a lab sheet" testID="record-lab" onPress={() => setForm({ kind: 'lab' })} />
            </View>
          )}
        </Panel>
        {form && !isMeasure(form) ? (
          <ReadingForm
            key={`${form.kind}-${form.answers?.id ?? ''}`}
            jobId={jobId}
            rules={facts.job.rulebook}
            surface={surface}
            kind={form.kind}
            answers={form.answers}
            onDone={() => setForm(null)}
          />
        ) : null}
        {own.length > 0 ? (
          <Panel title="Samples from it" aside={String(own.length)} testID="own-samples">
            {own.map((l) => (
              <SampleCard key={l.sample.id} facts={facts} line={l} />
            ))}
          </Panel>
        ) : null}
        <Panel title="Today" aside="by how deep the work goes" testID="touch">
          <View className="gap-1">
            {plan.touch.map((t) => (
              <AnswerRow
                key={t.depth}
                label={cap(say(t.depth))}
                value={say(t.answer.value)}
                of={`${say(t.depth)}, ${say(t.answer.value)}`}
                because={t.answer.because}
              />
            ))}
          </View>
        </Panel>
        {silica.value ? <AnswerRow label="Silica in the material" value="never ground dry" of="silica" because={silica.because} /> : null}
        {wide ? recorded : null}
      </Column>
      <Column>
        <Panel title="Lead" aside={<StateMark state={lead.standing.word} />}>
          <View className="gap-1">
            {lead.coats.map((c, i) => (
              <AnswerRow
                key={c.coat.id}
                of={`coat ${i + 1}, lead ${standingText(c.standing, facts.job.units)}`}
                value={<StateMark state={c.standing.word} number={numberOf(c.standing, facts.job.units)} />}
                because={c.because}
                label={c.coat.id === UNCOUNTED ? 'Older coats, not counted' : `${i + 1}  ${coatSays(c.coat)}`}
              />
            ))}
          </View>
        </Panel>
        <PastPanel jobId={jobId} surface={surface} plan={plan} />
        {sampleFirst ? null : <AreaPanel facts={facts} surface={surface} asbestos={plan.asbestos} />}
        <MoldPanel facts={facts} surface={surface} plan={plan} onForm={(kind) => setForm({ kind })} />
        {form && isMeasure(form) ? (
          <MeasureForm key={form.kind} jobId={jobId} surface={surface} kind={form.kind} onDone={() => setForm(null)} />
        ) : null}
        <InstrumentPanel jobId={jobId} surface={surface} />
        {wide ? null : recorded}
      </Column>
    </Columns>
  );
}

/** What the last answer said: a swab, or a measured one beside the limit of the rulebook in its own unit. */
function lastAnswer(surface: Surface, standing: Standing, book: Rulebook, units: UnitSystem): string {
  const word = say(`rung.${standing.word}`);
  const last = standingReadings(surface)
    .filter((r) => r.kind === 'spot' || ((r.kind === 'lab' || r.kind === 'xrf') && r.value !== null && r.unit !== null))
    .reduce<Reading | null>((a, r) => (a === null || r.takenAt >= a.takenAt ? r : a), null);
  if (!last) return '';
  if (last.kind === 'spot') return `Lead ${word}: swab ${say(String(last.spot))}.`;
  const limits = book.leadPaint;
  const limit = limits && { 'mass%': limits.byMass, ppm: limits.ppm, 'mg/cm2': limits.loading }[last.unit as LabUnit]?.is;
  const says = `${last.below ? 'less than ' : ''}${formatMeasure(measure(last.value!, last.unit!), units)}`;
  const threshold = book.leadThreshold === null ? '' : `, your threshold ${formatMeasure(book.leadThreshold.is, units)}`;
  return `Lead ${word}: ${says}${limit ? `, limit ${formatMeasure(limit, units)}` : threshold}.`;
}

function MoldPanel({ facts, surface, plan, onForm }: StageProps & { readonly onForm: (kind: MeasureKind) => void }) {
  const units = useUnits();
  const when = useWhen();
  const readings = standingReadings(surface).filter((r) => r.kind === 'moisture');
  const placed = readings.filter((r) => r.atX !== null && r.atY !== null);
  return (
    <Panel title={spell('Mold and moisture')} aside={<StateMark state={plan.mold.value} none="none recorded" />} testID="mold">
      <AnswerRow
        label={surface.moldM2 ? `${formatMeasure(measure(surface.moldM2, 'm2'), units)} of growth` : 'Growth'}
        of={spell('mold')}
        value={say(plan.mold.value)}
        because={plan.mold.because}
      />
      {readings.map((r) => {
        const verdict = judgeMoisture(r, surface.material);
        return (
          <AnswerRow
            key={r.id}
            label={r.value !== null && r.unit ? formatMeasure(measure(r.value, r.unit), units) : ''}
            note={when(r.takenAt)}
            of={`moisture ${say(`moisture.${verdict.value}`)}`}
            value={say(`moisture.${verdict.value}`)}
            because={verdict.because}
          />
        );
      })}
      {(['air', 'surfaceTemp'] as const).map((kind) => {
        const last = standingReadings(surface)
          .filter((r) => r.kind === kind)
          .reduce<Reading | null>((a, r) => (a === null || r.takenAt >= a.takenAt ? r : a), null);
        return last === null || last.value === null || last.unit === null ? null : (
          <View key={kind} className="flex-row flex-wrap justify-between gap-x-3 bg-panel px-3 py-2">
            <Words>{cap(say(kind))}</Words>
            <Words look="strong">
              {[formatMeasure(measure(last.value, last.unit), units), last.humidityPct === null ? '' : `${last.humidityPct} %`]
                .filter(Boolean)
                .join(', ')}
            </Words>
            <Words look="note">{when(last.takenAt)}</Words>
          </View>
        );
      })}
      {placed.length > 0 ? (
        <AreaPlanView
          says={`Where the moisture was read: ${placed.map((r) => r.value).join(', ')}`}
          plan={{
            widthM: surface.lengthM,
            heightM: surface.widthM,
            faces: [{ surfaceId: surface.id, name: surface.name, x: 0, y: 0, w: surface.lengthM, h: surface.widthM }],
            dots: placed.map((r) => ({
              x: (r.atX ?? 0) * surface.lengthM,
              y: (1 - (r.atY ?? 0)) * surface.widthM,
              label: String(r.value),
              taken: judgeMoisture(r, surface.material).value !== 'dry',
            })),
          }}
        />
      ) : null}
      <View className="flex-row flex-wrap gap-2">
        <Button label="Moisture" testID="record-moisture" onPress={() => onForm('moisture')} />
        <Button label="Air" onPress={() => onForm('air')} />
        <Button label="Face temperature" onPress={() => onForm('surfaceTemp')} />
        <Button
          look={plan.mold.value === 'found' ? 'main' : 'plain'}
          label="Find the cause"
          testID="find-cause"
          onPress={() => router.navigate(`/mold/${facts.job.id}?space=${surface.spaceId}`)}
        />
      </View>
    </Panel>
  );
}
