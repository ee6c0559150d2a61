/** The zone in which a surface is worked: its picture, what to do first, what to wear, then the rest, each number with its reason. */
import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  formatMeasure,
  formatRange,
  formatWork,
  measure,
  ownKit,
  RULEBOOKS,
  say,
  withCartridges,
  type JobFacts,
  type Task,
  type ZonePlan,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, Panel, useUnits, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { laidIn, RoomPicture } from '../../plan/RoomPicture';
import { useDigest, useZonePlan } from '../../store';
import { useMoney } from '../money';
import type { StageProps } from '../props';
import { NearbyPanel } from './NearbyPanel';
import { PlacePanel } from './PlacePanel';
import { ZonePanel } from './ZonePanel';
import { cap } from '../../kit/text';

const OPENINGS = { closeAndSeal: 'close and seal the room', closeNear: 'close those nearby', none: 'as usual' } as const;

const CARE = {
  lead: { title: 'Lead work: contain it', label: 'A hazard is disturbed' },
  guard: { title: 'Asbestos is not ruled out: guard it', label: 'No stroke goes into it' },
  leaveAlone: { title: 'Leave it alone', label: 'Asbestos is not ruled out in it' },
  ordinary: { title: 'Neither lead nor asbestos is disturbed', label: 'Neither lead nor asbestos is disturbed' },
} as const;

export function ProtectStage({ facts, surface, plan }: StageProps) {
  const units = useUnits();
  const zone = useZonePlan(facts, plan.zoneId);
  if (!zone) return null;
  const p = zone.protection;
  const waiting = zone.steps.flatMap((st) => st.gates).find((g) => g.state !== 'passed');
  const first = waiting && (waiting.waitsFor ?? waiting.because);
  const settingUp = zone.steps.some((st) => st.kind === 'protect' && st.gates.some((g) => g.state !== 'passed'));
  const count = zone.surfaceIds.length;
  const space = facts.spaces.find((s) => s.id === surface.spaceId);
  return (
    <>
      <Panel title={zone.name} aside={`one zone, ${count} ${count === 1 ? 'surface' : 'surfaces'}`} testID="zone">
        <View className="gap-1 bg-panel px-3 py-2">
          <Words look="row">{CARE[p.care].title}</Words>
          <Words>
            {zone.hazards.length === 0
              ? 'No hazard is disturbed.'
              : `Reaches ${zone.hazards.map((h) => say(`reach.${h.kind}`)).join(', ')}.`}
          </Words>
          {first ? <Words look="strong">{`${settingUp ? 'First' : 'Next check'}: ${sentence(first, units)}.`}</Words> : null}
          <Words>{`Wear: ${p.respirator.value ? say(p.respirator.value) : 'no respirator'}${withCartridges(p.cartridges)}.`}</Words>
          <Words>{`Stop when: ${stopsOf(zone, facts, units)}.`}</Words>
        </View>
        {first ? (
          <Button
            look="quiet"
            flush
            label="Steps and checks"
            onPress={() => router.navigate(`/job/${facts.job.id}/work/${surface.id}`)}
            className="self-start"
          />
        ) : null}
        <Picture facts={facts} surface={surface} zone={zone} />
      </Panel>
      <Panel title="What to wear">
        <AnswerRow
          label={p.respirator.value ? say(p.respirator.value) : 'No respirator called for by lead'}
          value={withCartridges(p.cartridges).replace(/^, /, '') || undefined}
          note={p.respirator.value ? 'Fit tested, clean shaven at the seal, seal checked each time' : undefined}
          because={p.respirator.because}
        />
        <AnswerRow
          label="Exposure"
          value={p.exposure.value === 'none' ? 'no lead in the air is presumed' : say(p.exposure.value)}
          because={p.exposure.because}
        />
        <Tasks tasks={p.tasks} />
        <View className="gap-1">
          {p.kit.map((k) => (
            <AnswerRow key={k.value} label={cap(say(k.value))} because={k.because} />
          ))}
          {p.kit.length === 0 ? <Words>Nothing is disturbed: no equipment beyond the usual.</Words> : null}
        </View>
      </Panel>
      <TheArea facts={facts} zone={zone} />
      <PlacePanel facts={facts} surface={surface} />
      {space?.kind === 'elevation' && zone.kind === 'elevation' ? <NearbyPanel facts={facts} space={space} /> : null}
      <ZonePanel facts={facts} surface={surface} zone={zone} />
    </>
  );
}

/** Sheet, doors, bags and sign: in a line, unfolded when they are wanted. */
function TheArea({ facts, zone }: { readonly facts: JobFacts; readonly zone: ZonePlan }) {
  const money = useMoney();
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const p = zone.protection;
  const area = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  const line = [
    p.sheetLaidM2.value > 0 ? `${area(p.sheetLaidM2.value)} of sheet laid, ${area(p.sheetBoughtM2)} to buy` : 'no sheet',
    p.needed.value ? OPENINGS[p.openings.value] : '',
    p.verticalScreen.value ? 'an upright screen' : '',
    p.bags.value > 0 ? `${p.bags.value} waste ${p.bags.value === 1 ? 'bag' : 'bags'}` : '',
    p.sign.value.length > 0 ? 'a sign' : '',
  ].filter(Boolean);
  return (
    <>
      <Panel title="Sheet, doors, bags and sign" testID="area">
        <Words>{`${cap(line.join(' · '))}.`}</Words>
        <Button
          look="quiet"
          flush
          label={open ? 'Close' : 'Each with its reason'}
          says={open ? 'Close sheet, doors, bags and sign' : 'Sheet, doors, bags and sign, each with its reason'}
          expanded={open}
          onPress={() => setOpen(!open)}
          testID="area-open"
        />
        {open ? (
          <>
            <AnswerRow label={CARE[p.care].label} because={p.needed.because} />
            {zone.hazards.map((h) => (
              <View key={h.kind} className="bg-panel px-3 py-2">
                <Words look="body">{cap(say(`reach.${h.kind}`))}</Words>
                <Words look="note">{h.surfaceIds.map((id) => facts.surfaces.find((s) => s.id === id)?.name ?? '').join(', ')}</Words>
              </View>
            ))}
            {p.sheetLaidM2.value > 0 ? (
              <>
                <AnswerRow
                  label={zone.kind === 'elevation' ? 'Ground sheet, laid' : 'Floor sheet, laid'}
                  value={area(p.sheetLaidM2.value)}
                  note={`${area(p.sheetBoughtM2)} to buy, with laps and turn-ups; ${formatMeasure(measure(p.beyondM, 'm'), units)} beyond the work`}
                  because={p.sheetLaidM2.because}
                />
                <AnswerRow label="Upright screen" value={p.verticalScreen.value ? 'yes' : 'no'} because={p.verticalScreen.because} />
                <AnswerRow label="Doors and windows" value={OPENINGS[p.openings.value]} because={p.openings.because} />
                <AnswerRow
                  label="Waste bags"
                  value={String(p.bags.value)}
                  note={p.needed.value ? '6 mil, gooseneck and tape; nothing leaves the area unbagged' : undefined}
                  because={p.bags.because}
                />
              </>
            ) : null}
            {zone.steps.length > 0 ? (
              <Words look="note">{`Set up, clean-up and verification, once for the zone: ${formatRange(zone.handsOnH, formatWork)}, ${formatRange(zone.money, money)} with sheet and bags.`}</Words>
            ) : null}
          </>
        ) : null}
      </Panel>
      {open && p.sign.value.length > 0 ? (
        <Panel title="Sign">
          <View
            role="img"
            aria-label={`Sign: ${p.sign.value.join('. ')}`}
            className="items-center gap-1 border-4 border-soot bg-[#f9f9f7] p-4"
          >
            {p.sign.value.map((line, i) => (
              <Words
                key={line}
                look={i === 0 ? 'head' : 'strong'}
                tone={i === 0 ? 'paper' : 'ink'}
                className={`text-center ${i === 0 ? 'self-stretch bg-[#8e2f20] px-3 py-1' : ''}`}
              >
                {line}
              </Words>
            ))}
          </View>
          <AnswerRow label="Where and how long it hangs" because={p.sign.because} />
        </Panel>
      ) : null}
    </>
  );
}

/** What each task asks for by itself, beside what all of them do. */
function Tasks({ tasks }: { readonly tasks: readonly Task[] }) {
  if (tasks.length < 2) return null;
  return (
    <View testID="tasks" className="gap-1">
      <Words look="note">By task, alone in the zone. Where they go on at once, everybody wears the above.</Words>
      {tasks.map((t) => {
        const own = ownKit(t, tasks);
        return (
          <AnswerRow
            key={t.methodId}
            label={cap(say(t.methodId))}
            value={`${t.respirator.value ? say(t.respirator.value) : 'no respirator'}${withCartridges(t.cartridges)}`}
            note={own.length > 0 ? `and ${own.map((k) => say(k.value)).join(', ')}` : undefined}
            because={[...t.respirator.because, ...own.flatMap((k) => k.because)]}
          />
        );
      })}
    </View>
  );
}

/** What ends the work at once, in a few words. */
function stopsOf(zone: ZonePlan, facts: JobFacts, units: 'ft' | 'm'): string {
  const { windStop } = RULEBOOKS[facts.job.rulebook];
  return [
    ...(zone.protection.care === 'lead' ? ['an older coat shows that was not to be reached'] : []),
    ...(zone.protection.care === 'guard' || zone.protection.care === 'leaveAlone'
      ? ['anything that may hold asbestos is broken into']
      : []),
    ...(zone.kind === 'elevation' ? [`the wind comes to ${formatMeasure(windStop.is, units)}`] : []),
    'sheet or seal tears',
  ].join(', or ');
}

/** The room or side in which the surface stands, with what the zone lays in it. */
function Picture({ facts, surface, zone }: Pick<StageProps, 'facts' | 'surface'> & { readonly zone: ZonePlan }) {
  const { digest } = useDigest(facts);
  const space = facts.spaces.find((s) => s.id === surface.spaceId);
  if (!space || !digest || zone.kind === 'bench') return null;
  const here = digest.zones.find((z) => z.zoneId === zone.zoneId);
  return <RoomPicture facts={facts} digest={digest} space={space} stage="protect" laid={here && laidIn(here)} currentId={surface.id} />;
}
