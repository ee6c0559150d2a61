/** How a zone is divided, joined and run. */
import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  BLANK_ZONE,
  formatMeasure,
  formatWork,
  isSetUp,
  measure,
  say,
  tagsOf,
  type JobFacts,
  type Space,
  type ZonePlan,
  type ZoneSetup,
  wholesOf,
  zonesOf,
} from '@roughsill/core';
import { Button, NumberField, Panel, TextField, Ticks, useUnits, Words } from '../../kit';
import { add, commit, commitToFirm, newId, set, useAppDispatch, useFirm, useSettings, type Draft } from '../../store';
import { zonePlanOf } from '../../store/derived';
import { Photos } from '../photos/Photos';
import type { StageProps } from '../props';

const isBay = (space: Space): boolean => space.kind === 'elevation';

/** Hours and sheet of the zones that a change touches, after it against now; the rest of the job stays as it is. */
function useDifference(facts: JobFacts) {
  const settings = useSettings();
  const units = useUnits();
  return (then: JobFacts): string => {
    const of = (f: JobFacts) => zonesOf(f.job, f.spaces, f.zones, f.surfaces).of;
    const [before, after] = [of(facts), of(then)];
    const moved = facts.surfaces.filter((s) => before.get(s.id) !== after.get(s.id));
    const touched = new Set(moved.flatMap((s) => [before.get(s.id) ?? '', after.get(s.id) ?? '']));
    const sums = (f: JobFacts) => {
      const zones = [...touched].flatMap((id) => zonePlanOf(f, id, settings) ?? []);
      return {
        hours: zones.reduce((sum, z) => sum + (z.handsOnH.low + z.handsOnH.high) / 2, 0),
        sheet: zones.reduce((sum, z) => sum + z.protection.sheetLaidM2.value, 0),
      };
    };
    const [b, a] = [sums(then), sums(facts)];
    const more = (x: number, text: string) => (Math.abs(x) < 0.05 ? '' : `${text} ${x > 0 ? 'more' : 'less'}`);
    const said = [
      more(b.hours - a.hours, formatWork(Math.abs(b.hours - a.hours))),
      more(b.sheet - a.sheet, `${formatMeasure(measure(Math.abs(b.sheet - a.sheet), 'm2'), units)} of sheet`),
    ].filter(Boolean);
    const change = said.length === 0 ? 'It changes no hours and no sheet.' : `On the whole job: ${said.join(', ')}.`;
    const again = moved.filter((s) => s.checks.some((c) => c.outcome === 'pass')).map((s) => s.name);
    return again.length === 0 ? change : `${change} What was passed on ${again.join(', ')} is looked at again in the new zone.`;
  };
}

export function ZonePanel({ facts, surface, zone }: Pick<StageProps, 'facts' | 'surface'> & { readonly zone: ZonePlan }) {
  const dispatch = useAppDispatch();
  const difference = useDifference(facts);
  const [told, setTold] = useState({ says: '', of: '' });
  /** What the sentence is about: taken back, it is no longer said. */
  const arrangement = (f: JobFacts): string =>
    JSON.stringify([f.surfaces.find((s) => s.id === surface.id)?.zoneId, f.spaces.map((s) => s.joinedToId)]);
  const [running, setRunning] = useState(false);
  const space = facts.spaces.find((s) => s.id === surface.spaceId);
  if (!space || zone.kind === 'bench') return null;
  const root = facts.spaces.find((s) => s.id === zone.spaceIds[0]) ?? space;
  const parts = facts.zones.filter((z) => z.removedAt === null && zone.spaceIds.includes(z.spaceId));
  /** Parts in which nothing stands any more, with what was photographed there. */
  const emptied = parts.filter(
    (z) =>
      !facts.surfaces.some((s) => s.removedAt === null && s.zoneId === z.id) &&
      facts.photos.some((p) => p.removedAt === null && p.ofZoneId === z.id),
  );
  const wholes = wholesOf(facts.spaces);
  const others = facts.spaces.filter((s) => wholes.get(s.id) === s && s.kind === space.kind && !zone.spaceIds.includes(s.id));
  const wholeName = (whole: Space) =>
    facts.spaces
      .filter((s) => wholes.get(s.id) === whole)
      .map((s) => s.name)
      .join(' + ');
  const write = (drafts: Draft[], then: JobFacts, says: string) => {
    setTold({ says: difference(then), of: arrangement(then) });
    dispatch(commit(facts.job.id, drafts, says));
  };
  const move = (zoneId: string | null, says: string) =>
    write(
      [set('surface', surface.id, { zoneId })],
      { ...facts, surfaces: facts.surfaces.map((s) => (s.id === surface.id ? { ...s, zoneId } : s)) },
      says,
    );
  const split = () => {
    const id = newId();
    const fields = {
      ...BLANK_ZONE,
      spaceId: root.id,
      name: isBay(root) ? `bay ${parts.length + 1}` : `part ${parts.length + 1}`,
      position: parts.length,
    };
    write(
      [add('zone', fields, undefined, id), set('surface', surface.id, { zoneId: id })],
      {
        ...facts,
        zones: [...facts.zones, { ...fields, id, removedAt: null }],
        surfaces: facts.surfaces.map((s) => (s.id === surface.id ? { ...s, zoneId: id } : s)),
      },
      `${surface.name} in a zone of its own`,
    );
  };
  const join = (to: ReadonlyMap<string, string | null>, says: string) =>
    write(
      [...to].map(([child, joinedToId]) => set('space', child, { joinedToId })),
      { ...facts, spaces: facts.spaces.map((s) => ({ ...s, joinedToId: to.get(s.id) ?? (to.has(s.id) ? null : s.joinedToId) })) },
      says,
    );
  /** What hung on the one that goes hangs on the first of the rest. */
  const apart = (s: Space) => {
    const hung = facts.spaces.filter((x) => x.joinedToId === s.id && zone.spaceIds.includes(x.id));
    join(
      new Map([[s.id, null], ...hung.map((x): [string, string | null] => [x.id, x.id === root.id ? null : root.id])]),
      `${s.name} by itself`,
    );
  };
  const joined = facts.spaces.filter((s) => s.removedAt === null && s.id !== root.id && zone.spaceIds.includes(s.id));
  return (
    <>
      <Panel title="The zone" testID="zone-panel">
        <Words look="note">
          {isBay(space)
            ? 'A bay is worked, cleaned and looked over before the scaffold moves on.'
            : 'Behind a sealed screen a part of the room has its own sheet, clean-up and verification.'}
        </Words>
        <View className="flex-row flex-wrap gap-2">
          {zone.partOf === null ? (
            <Button label={isBay(space) ? 'New bay for it' : 'Seal it off: a zone of its own'} onPress={split} />
          ) : (
            <Button label={`Back to the whole of ${root.name}`} onPress={() => move(null, `${surface.name} back in ${root.name}`)} />
          )}
          {parts
            .filter((z) => z.id !== zone.zoneId)
            .map((z) => (
              <Button key={z.id} label={`Move it to ${z.name}`} onPress={() => move(z.id, `${surface.name} in ${z.name}`)} />
            ))}
        </View>
        {zone.partOf === null && others.length + joined.length > 0 ? (
          <View className="flex-row flex-wrap gap-2">
            {joined.map((s) => (
              <Button key={s.id} label={`${s.name} by itself again`} onPress={() => apart(s)} />
            ))}
            {others.map((s) => (
              <Button
                key={s.id}
                look="quiet"
                label={`Join with ${wholeName(s)}`}
                onPress={() => join(new Map([[s.id, root.id]]), `${wholeName(s)} joined with ${root.name}`)}
              />
            ))}
          </View>
        ) : null}
        {told.says && told.of === arrangement(facts) ? (
          <Words alert look="strong">
            {told.says}
          </Words>
        ) : null}
        <Button
          look="quiet"
          flush
          label={running ? 'How it is run, close' : 'How it is run: door, wash place, crew, who stays'}
          expanded={running}
          onPress={() => setRunning(!running)}
        />
        {running ? <SetupFields facts={facts} zone={zone} /> : null}
        {running ? <Photos facts={facts} of={{ ofZoneId: zone.zoneId }} title={`Photographs of ${zone.name}`} /> : null}
        {running && zone.partOf === null
          ? emptied.map((z) => (
              <Photos key={z.id} facts={facts} of={{ ofZoneId: z.id }} title={`Photographs of ${z.name}, part of the whole again`} />
            ))
          : null}
      </Panel>
    </>
  );
}

const TEXTS: readonly (readonly [keyof ZoneSetup, string, string])[] = [
  ['workingDoor', 'Working door', 'the one that is used; the others are sealed'],
  ['washPlace', 'Wash place', 'where hands and face are washed'],
  ['cleanWay', 'Clean way', 'where nothing that is worked in may be worn'],
  ['airMachine', 'Air machine', 'which one, and where it blows'],
  ['staying', 'Who stays in the house, and when', ''],
  ['note', 'Note', 'anything else to know about this place'],
];

/** Which of the firm's machines stand in it; one that was used on something else says so. */
function ZoneMachines({ zone, onChange }: { readonly zone: ZonePlan; readonly onChange: (ids: string[]) => void }) {
  const machines = useFirm().machines.filter((m) => m.removedAt === null);
  if (machines.length === 0)
    return <Button look="quiet" flush label="The firm’s machines: none entered yet" onPress={() => router.navigate('/firm')} />;
  return (
    <Ticks
      label="Machines of the firm in it"
      values={zone.setup.machineIds.filter((id) => machines.some((m) => m.id === id))}
      options={machines.map((m) => ({
        value: m.id,
        label: m.lastOn === 'nothing' ? m.name : `${m.name} (last used on ${say(m.lastOn).toLowerCase()})`,
      }))}
      onChange={onChange}
    />
  );
}

function SetupFields({ facts, zone }: { readonly facts: JobFacts; readonly zone: ZonePlan }) {
  const dispatch = useAppDispatch();
  const entity = zone.partOf === null ? 'space' : 'zone';
  const write = (fields: object, says: string) =>
    dispatch(commit(facts.job.id, [set(entity, zone.zoneId, fields)], `${zone.name}: ${says}`));
  const { machines } = useFirm();
  const putIn = (machineIds: string[]) => {
    write({ machineIds }, 'machines');
    // Where sheet and seals stand already it runs from now on.
    const tags = isSetUp(zone) ? tagsOf({ ...zone, setup: { ...zone.setup, machineIds } }, machines) : [];
    if (tags.length > 0) dispatch(commitToFirm(tags.map(({ id, lastOn }) => set('machine', id, { lastOn }))));
  };
  return (
    <View className="gap-3">
      {TEXTS.map(([field, label, hint]) => (
        <TextField
          key={field}
          label={label}
          hint={hint}
          value={String(zone.setup[field] ?? '')}
          onCommit={(v) => write({ [field]: v }, label.toLowerCase())}
        />
      ))}
      <ZoneMachines zone={zone} onChange={putIn} />
      <NumberField
        label="People at work"
        value={zone.setup.crew}
        optional
        step={1}
        decimals={0}
        hint="empty: as the firm has it"
        check={(v) => (v < 1 || v > 50 || !Number.isInteger(v) ? 'A whole number, 1 to 50.' : undefined)}
        onCommit={(crew) => write({ crew }, 'people')}
      />
      <NumberField
        label="Shift"
        unit="h"
        value={zone.setup.shiftH}
        optional
        step={0.5}
        hint="empty: as the firm has it"
        check={(v) => (v < 0.5 || v > 16 ? 'A shift is half an hour to 16 h.' : undefined)}
        onCommit={(shiftH) => write({ shiftH }, 'shift')}
      />
    </View>
  );
}
