/** What is there: sizes, material, condition, coats from the top down, and parts with their shares. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  AIMS,
  BINDERS,
  BLANK_LAYER,
  CONDITIONS,
  convert,
  ELEMENTS,
  liveLayers,
  MATERIALS,
  roundForReading,
  say,
  SOUNDNESS,
  TIMBER,
  YES_NO,
  type Layer,
  type Problem,
  type Surface,
} from '@roughsill/core';
import { Button, Later, Empty, LengthField, NumberField, Panel, Pick, Problems, Select, TextField, Ticks, Toggle, Words } from '../../kit';
import { add, commit, remove, set, useAppDispatch } from '../../store';
import { Photos } from '../photos/Photos';
import type { StageScreenProps } from '../props';
import { against } from './against';
import { Degrees } from './Degrees';
import { cap } from '../../kit/text';
import { copySurface } from './drafts';
import { TakeOffPanel } from './TakeOffPanel';
import { Trials } from './Trials';
import { PartsEditor, sharesOf } from './PartsEditor';

const options = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, label: say(value) }));
export function WalkStage({ facts, surface, plan, go }: StageScreenProps) {
  const dispatch = useAppDispatch();
  const { units, id: jobId } = facts.job;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const write = (fields: Partial<Surface>, what: string) =>
    setProblems(dispatch(commit(jobId, [set('surface', surface.id, fields)], what)));
  const problem = (field: string) => problems.find((p) => p.path === field || p.path.endsWith(`.${field}`))?.message;
  const element = ELEMENTS[surface.element];
  const size = (field: 'lengthM' | 'widthM', label: string) => (
    <View className="min-w-[9rem] flex-1">
      <LengthField
        label={label}
        steps
        value={surface[field]}
        problem={problem(field)}
        testID={field}
        check={against(field)}
        onCommit={(m) => m !== null && write({ [field]: m }, `${surface.name}: ${label}`)}
      />
    </View>
  );
  const siblings = facts.surfaces
    .filter((s) => s.spaceId === surface.spaceId && s.removedAt === null)
    .sort((a, b) => a.position - b.position);
  const at = siblings.findIndex((s) => s.id === surface.id);
  const swap = (other: Surface) =>
    dispatch(
      commit(
        jobId,
        [set('surface', surface.id, { position: other.position }), set('surface', other.id, { position: surface.position })],
        `${surface.name} moved`,
      ),
    );
  return (
    <>
      <Panel title="What it is">
        <TextField
          label="Name"
          value={surface.name}
          problem={problem('name')}
          onCommit={(name) => write({ name }, 'renamed')}
          testID="name"
        />
        <View className="flex-row flex-wrap gap-3">
          <View className="min-w-[9rem] flex-1">
            <NumberField
              label="How many"
              value={surface.count}
              step={1}
              decimals={0}
              check={against('count')}
              onCommit={(v) => v !== null && write({ count: v }, `${surface.name}: how many`)}
              testID="count"
            />
          </View>
          <View className="min-w-[9rem] flex-1">
            <Pick
              label="Faces"
              value={surface.faces === 2 ? 'two' : 'one'}
              options={[
                { value: 'one', label: 'one' },
                { value: 'two', label: 'both' },
              ]}
              onChange={(v) => write({ faces: v === 'two' ? 2 : 1 }, 'faces')}
            />
          </View>
        </View>
        <View className="flex-row flex-wrap gap-3">
          {size('lengthM', cap(element.sides[0]))}
          {size('widthM', cap(element.sides[1]))}
        </View>
        <Later>
          <TakeOffPanel surface={surface} area={plan.area} onSet={(measures) => write({ measures }, `${surface.name}: sizes`)} />
          <Select
            label="Material"
            value={surface.material}
            options={options(MATERIALS)}
            onChange={(material) => write({ material }, 'material')}
            testID="material"
          />
          <View className="flex-row flex-wrap gap-3">
            <View className="min-w-[9rem] flex-1">
              <NumberField
                label="Year made, if not the building’s"
                value={surface.yearMade}
                optional
                decimals={0}
                problem={problem('yearMade')}
                check={against('yearMade')}
                onCommit={(v) => write({ yearMade: v }, 'year made')}
              />
            </View>
            <View className="min-w-[9rem] flex-1">
              <Pick label="Knots" value={surface.knots} options={options(YES_NO)} onChange={(knots) => write({ knots }, 'knots')} />
            </View>
          </View>
          <Ticks
            label="Condition"
            values={surface.conditions}
            options={options(CONDITIONS)}
            onChange={(conditions) => write({ conditions }, 'condition')}
          />
          <Degrees surface={surface} onSet={(fields) => write(fields, 'degree')} />
          {surface.conditions.includes('moldy') ? (
            <NumberField
              label="Visible mold on it"
              unit={units === 'ft' ? 'ft²' : 'm²'}
              optional
              hint="All patches together, edge to edge; a room’s patches are summed"
              value={surface.moldM2 === null ? null : roundForReading(convert(surface.moldM2, 'm2', units === 'ft' ? 'ft2' : 'm2'))}
              check={(v) => against('moldM2')(convert(v, units === 'ft' ? 'ft2' : 'm2', 'm2'))}
              testID="mold-extent"
              onCommit={(v) => write({ moldM2: v === null ? null : convert(v, units === 'ft' ? 'ft2' : 'm2', 'm2') }, 'mold measured')}
            />
          ) : null}
          {TIMBER.includes(surface.material) ? (
            <TextField
              label="Which wood, if known"
              value={surface.species}
              hint="A moisture meter is set for it"
              onCommit={(species) => write({ species }, 'wood')}
            />
          ) : null}
          <Toggle
            label="Thrown out anyway"
            hint="Nothing on it needs saving; taking it out still disturbs what is on it"
            value={surface.scrapped}
            onChange={(scrapped) => write({ scrapped }, 'thrown out')}
          />
          <Pick label="What do you want of it" value={surface.aim} options={options(AIMS)} onChange={(aim) => write({ aim }, 'aim')} />
          {element.loose ? (
            <Toggle
              label="Goes to the bench"
              value={surface.bench}
              onChange={(bench) => write({ bench }, 'bench')}
              hint="Taken down and worked away from the room"
            />
          ) : null}
        </Later>
      </Panel>
      <Later>
        <Photos facts={facts} of={{ ofSurfaceId: surface.id }} />
        <Coats jobId={jobId} surface={surface} />
        <PartsEditor key={JSON.stringify(sharesOf(surface))} jobId={jobId} surface={surface} areaM2={plan.area.totalM2} />
      </Later>
      <Problems problems={problems.filter((p) => problem(p.path) === undefined)} />
      <View className="flex-row flex-wrap gap-2">
        {at > 0 ? <Button label="Move up" onPress={() => swap(siblings[at - 1]!)} /> : null}
        {at < siblings.length - 1 ? <Button label="Move down" onPress={() => swap(siblings[at + 1]!)} /> : null}
        <Button
          label="Copy"
          says={`Copy ${surface.name}`}
          onPress={() => {
            const copy = copySurface(surface, {
              name: `${surface.name}, copy`.slice(0, 120),
              position: surface.position + 0.5,
              moldM2: null,
            });
            dispatch(commit(jobId, copy.drafts, `${surface.name} copied`));
            go('walk', copy.id);
          }}
        />
        <Button
          look="stop"
          label="Remove"
          says={`Remove ${surface.name}`}
          onPress={() => {
            dispatch(commit(jobId, [remove('surface', surface.id)], `${surface.name} removed`));
            go('walk');
          }}
        />
      </View>
    </>
  );
}

function Coats({ jobId, surface }: { readonly jobId: string; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const coats = liveLayers(surface);
  const run = (drafts: Parameters<typeof commit>[1], what: string) => setProblems(dispatch(commit(jobId, drafts, what)));
  const swap = (a: Layer, b: Layer) =>
    run([set('layer', a.id, { position: b.position }, surface.id), set('layer', b.id, { position: a.position }, surface.id)], 'coat moved');
  const below = (coats.at(-1)?.position ?? -1) + 1;
  return (
    <Panel title="Coats, from the top down" aside={`${coats.length}`} testID="coats">
      {coats.length === 0 ? (
        <Empty says="No coat counted yet. Cut a small crater, sand it smooth, and count the rings from the top." />
      ) : null}
      {coats.map((c, i) => (
        <View key={c.id} role="group" aria-label={`Coat ${i + 1} from the top`} className="gap-2 border-l-4 border-line bg-panel p-3">
          <View className="flex-row flex-wrap gap-3">
            <View className="min-w-[9rem] flex-1">
              <Select
                label={`Coat ${i + 1}`}
                value={c.binder}
                options={options(BINDERS)}
                onChange={(binder) => run([set('layer', c.id, { binder }, surface.id)], 'binder')}
              />
            </View>
            <View className="min-w-[7rem] flex-1">
              <TextField
                label="Colour"
                value={c.colour}
                onCommit={(colour) => run([set('layer', c.id, { colour }, surface.id)], 'colour')}
              />
            </View>
          </View>
          <View className="flex-row flex-wrap items-end gap-3">
            <View className="min-w-[13rem] flex-1">
              <Pick
                label="It is"
                value={c.soundness}
                options={options(SOUNDNESS)}
                onChange={(soundness) => run([set('layer', c.id, { soundness }, surface.id)], 'soundness')}
              />
            </View>
            <View className="w-32">
              <NumberField
                label="Year, if known"
                value={c.yearApplied}
                optional
                decimals={0}
                problem={problems.find((p) => p.path.includes('yearApplied'))?.message}
                onCommit={(v) => run([set('layer', c.id, { yearApplied: v }, surface.id)], 'year of the coat')}
              />
            </View>
          </View>
          <TextField
            label="How it looks in the crater"
            value={c.look}
            placeholder="chalky, glossy, grained, crazed"
            onCommit={(look) => run([set('layer', c.id, { look }, surface.id)], 'look')}
          />
          <Trials coat={c} onSet={(fields, what) => run([set('layer', c.id, fields, surface.id)], what)} />
          <View className="flex-row flex-wrap gap-1">
            {i > 0 ? <Button look="quiet" label="Up" says={`Move coat ${i + 1} up`} onPress={() => swap(c, coats[i - 1]!)} /> : null}
            {i < coats.length - 1 ? (
              <Button look="quiet" label="Down" says={`Move coat ${i + 1} down`} onPress={() => swap(c, coats[i + 1]!)} />
            ) : null}
            <Button
              look="quiet"
              label="Remove"
              says={`Remove coat ${i + 1}`}
              onPress={() => run([remove('layer', c.id, surface.id)], `coat ${i + 1} removed`)}
            />
          </View>
        </View>
      ))}
      <Problems problems={problems.filter((p) => !p.path.includes('yearApplied'))} />
      <Button
        label={coats.length === 0 ? 'Add the top coat' : 'Add the coat below'}
        testID="add-coat"
        onPress={() =>
          run([add('layer', { ...BLANK_LAYER, position: below, binder: coats.length === 0 ? 'acrylic' : 'oil' }, surface.id)], 'coat added')
        }
      />
      <Toggle
        label="All coats counted, down to the material"
        value={surface.coatsCounted}
        testID="coats-counted"
        hint="Until then an uncounted coat stands at the bottom, and counts as suspect"
        onChange={(coatsCounted) => setProblems(dispatch(commit(jobId, [set('surface', surface.id, { coatsCounted })], 'coats counted')))}
      />
      {surface.coatsCounted ? null : <Words look="note">Doubt is drawn as a dashed coat.</Words>}
    </Panel>
  );
}
