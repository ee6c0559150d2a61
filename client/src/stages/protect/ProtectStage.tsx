/** The zone in which a surface is worked: its picture, what to do first, what to wear, then the rest, each number with its reason. */
import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  formatMeasure,
  formatRange,
  formatWork,
  many,
  measure,
  nothingReached,
  ownKit,
  roundForReading,
  bookOf,
  say,
  spell,
  withCartridges,
  type JobFacts,
  type Task,
  type UnitSystem,
  type ZonePlan,
} from '@roughsill/core';
import { inTheHouse, licensedNeeds } from '@roughsill/core/zone-day';
import { sentence } from '@roughsill/core/words';
import { Button, Column, Columns, Panel, useUnits, Words } from '../../kit';
import { AnswerRow, ReasonLine } from '../../kit/Why';
import { laidIn, RoomPicture } from '../../plan/RoomPicture';
import { useDigest, useZonePlan } from '../../store/derived';
import { useMoney } from '../money';
import type { StageProps } from '../props';
import { NearbyPanel } from './NearbyPanel';
import { PaperButton } from '../PaperButton';
import { PlacePanel } from './PlacePanel';
import { ZonePanel } from './ZonePanel';
import { cap } from '../../kit/text';

const OPENINGS = { closeAndSeal: 'close and seal the room', closeNear: 'close those nearby', none: 'as usual' } as const;

const CARE = {
  lead: { title: 'Lead work: contain it', label: 'A hazard is disturbed' },
  asbestos: { title: 'Asbestos work by trained people', label: 'A coat that may hold asbestos is worked' },
  guard: { title: 'Asbestos is not ruled out: guard it', label: 'No stroke goes into it' },
  growth: { title: 'Growth: keep it in while it is cleaned', label: 'Growth is kept in' },
  silica: { title: 'Dust of stone: keep it in', label: 'Dust of stone is kept in' },
  leaveAlone: { title: 'Leave it alone', label: 'Asbestos is not ruled out in it' },
  ordinary: { title: 'No lead or asbestos work', label: 'No lead or asbestos work' },
};
/** Low lead asks for a mask and washing, and for none of what lead paint asks. */
const LOW_LEAD = { title: 'A little lead: mask for dust, wash, HEPA', label: 'Dust or fume of a little lead is made' };
const careOf = ({ protection: { care }, hazards }: ZonePlan) =>
  care === 'ordinary' && hazards.some((h) => h.kind === 'leadLow') ? LOW_LEAD : CARE[care];

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
    <Columns>
      <Column>
        <Panel title={zone.name} aside={`one zone, ${count} ${count === 1 ? 'surface' : 'surfaces'}`} testID="zone">
          <View className="gap-1 bg-panel px-3 py-2">
            <Words look="row">{p.fibres && p.care === 'lead' ? 'Lead, and asbestos work by trained people' : careOf(zone).title}</Words>
            <Words>
              {nothingReached(zone) !== null
                ? `${nothingReached(zone)}.`
                : `Reaches ${zone.hazards.map((h) => say(`reach.${h.kind}`)).join(', ')}.`}
            </Words>
            {first ? <Words look="strong">{`${settingUp ? 'First' : 'Next check'}: ${sentence(first, units)}.`}</Words> : null}
            <Words>{`Wear: ${p.respirator.value ? say(p.respirator.value) : 'no respirator'}${withCartridges(p.cartridges)}.`}</Words>
            {p.coat?.respirator.value ? (
              <Words>{`While it is coated: ${say(p.coat.respirator.value)}${withCartridges(p.coat.cartridges)}.`}</Words>
            ) : null}
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
        <TheArea facts={facts} zone={zone} />
        <InTheHouse facts={facts} zone={zone} />
        <Licensed facts={facts} zone={zone} />
        <Papers facts={facts} zone={zone} />
      </Column>
      <Column>
        <Panel title="What to wear">
          <AnswerRow
            label={p.respirator.value ? say(p.respirator.value) : 'No respirator'}
            value={withCartridges(p.cartridges).replace(/^, /, '') || undefined}
            note={p.respirator.value ? 'Fit tested, clean shaven at the seal, seal checked each time' : undefined}
            because={p.respirator.because}
          />
          <AnswerRow
            label="Exposure"
            value={p.exposure.value === 'none' ? 'none presumed in the air' : say(p.exposure.value)}
            because={p.exposure.because}
          />
          <Button
            look="quiet"
            flush
            label="The day’s breathing, and your own air samples"
            onPress={() => router.navigate(`/breathing/${facts.job.id}`)}
            testID="open-breathing"
          />
          <Tasks tasks={p.tasks} />
          {p.coat ? (
            <AnswerRow
              label="While it is coated"
              value={`${p.coat.respirator.value ? say(p.coat.respirator.value) : 'no respirator'}${withCartridges(p.coat.cartridges)}`}
              note={p.coat.products.map((x) => say(x)).join(', ')}
              because={[...p.coat.respirator.because, ...p.coat.kit.flatMap((k) => k.because)]}
            />
          ) : null}
          {zone.vapour.map((v) => (
            <AnswerRow key={v.value.what} label={`${cap(say(v.value.what))} at once`} value={atOnce(v.value, units)} because={v.because} />
          ))}
          {zone.access ? (
            <AnswerRow
              label={`Worked from ${say(zone.access.value.by)}`}
              value={formatMeasure(measure(zone.access.value.heightM, 'm'), units)}
              note={`nobody below, ${formatMeasure(zone.access.value.keepOut, units)} out`}
              because={zone.access.because}
            />
          ) : null}
          {p.vibration.map((v) => (
            <AnswerRow
              key={v.value.methodId}
              label={`${cap(say(v.value.methodId))}, in one pair of hands`}
              value={`${Math.floor(v.value.actionMin)} min a day`}
              because={v.because}
            />
          ))}
          <View className="gap-1">
            {p.kit.map((k) => (
              <AnswerRow key={k.value} label={cap(say(k.value))} because={k.because} />
            ))}
            {p.kit.length === 0 ? <Words>Nothing is disturbed: no equipment beyond the usual.</Words> : null}
          </View>
        </Panel>
        <PlacePanel facts={facts} surface={surface} />
        {space?.kind === 'elevation' && zone.kind === 'elevation' ? <NearbyPanel facts={facts} space={space} /> : null}
        <ZonePanel facts={facts} surface={surface} zone={zone} />
      </Column>
    </Columns>
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
    zone.air ? many(zone.air.value.machines, 'air machine') : '',
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
            <AnswerRow label={careOf(zone).label} because={p.needed.because} />
            {zone.air ? (
              <AnswerRow
                label="Suction"
                value={zone.air.value.flowM3h === null ? 'measure the room' : formatMeasure(measure(zone.air.value.flowM3h, 'm3/h'), units)}
                note={`${many(zone.air.value.machines, 'air machine')}, blowing outdoors`}
                because={zone.air.because}
              />
            ) : null}
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
                  note={p.needed.value ? 'heavy-duty, gooseneck and tape; nothing leaves the area unbagged' : undefined}
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

/** Who may be where while it is worked. */
function InTheHouse({ facts, zone }: { readonly facts: JobFacts; readonly zone: ZonePlan }) {
  const lines = inTheHouse(zone, facts);
  return lines.length === 0 ? null : (
    <Panel title="People in the house" testID="in-the-house">
      {lines.map((r) => (
        <ReasonLine key={r.rule} reason={r} />
      ))}
    </Panel>
  );
}

/** What a licensed firm will need, where something may hold asbestos. */
function Licensed({ facts, zone }: { readonly facts: JobFacts; readonly zone: ZonePlan }) {
  const { digest } = useDigest(facts);
  const lines = digest ? licensedNeeds(zone, digest.zones, digest.surfaces, facts) : [];
  return lines.length === 0 ? null : (
    <Panel title="What a licensed firm will need" testID="licensed">
      {lines.map((r) => (
        <ReasonLine key={r.rule} reason={r} />
      ))}
    </Panel>
  );
}

/** As much as may be laid: a sealed room has no window to open. */
function atOnce({ shutM2, openM2, pieceM2 }: ZonePlan['vapour'][number]['value'], units: UnitSystem): string {
  if (shutM2 === null || openM2 === null) return 'measure the room';
  if (pieceM2 <= shutM2) return 'all of a piece';
  const area = (m2: number) => formatMeasure(measure(roundForReading(m2), 'm2'), units);
  if (openM2 === shutM2) return area(shutM2);
  return pieceM2 <= openM2 ? `${area(shutM2)}, or open two windows` : `${area(openM2)}, two windows open`;
}

/** What is hung, handed over and taken away. */
function Papers({ facts, zone }: { readonly facts: JobFacts; readonly zone: ZonePlan }) {
  const { id, name } = facts.job;
  const bags = facts.bags.filter((b) => b.removedAt === null);
  const here = bags.filter((b) => b.haulId === null).length;
  return (
    <Panel title={spell('Signs, programme and waste')} testID="zone-papers">
      <View className="flex-row flex-wrap gap-2">
        <PaperButton job={name} label="Signs, PDF" path={`/api/jobs/${id}/signs.pdf`} />
        <PaperButton job={name} label={spell('Written programme, PDF')} path={`/api/jobs/${id}/programme.pdf`} />
      </View>
      <Button
        look="quiet"
        flush
        label={bags.length === 0 ? 'Waste and bags: none logged yet' : `Waste and bags: ${many(bags.length, 'bag')}, ${here} here`}
        onPress={() => router.navigate(`/bags/${id}`)}
        testID="open-bags"
      />
      {zone.steps.length === 0 ? <Words look="note">Nothing is disturbed in this zone: it has no sign of its own.</Words> : null}
    </Panel>
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
  const { windStop } = bookOf(facts.job);
  return [
    ...(zone.protection.care === 'lead' ? ['an older coat shows that was not to be reached'] : []),
    ...(zone.protection.fibres ? ['more of it comes down than trained people may work'] : []),
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
