/** What is there: coats from the top down and condition first; what it is, its sizes and parts folded below. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  AIMS,
  CONDITIONS,
  convert,
  ELEMENTS,
  formatMeasure,
  MATERIALS,
  measure,
  PART_KINDS,
  roundForReading,
  say,
  TIMBER,
  UNITS,
  YES_NO,
  type Problem,
  type Surface,
  spell,
} from '@roughsill/core';
import {
  Button,
  Column,
  Columns,
  Folded,
  Later,
  LengthField,
  NumberField,
  Panel,
  Pick,
  Problems,
  Select,
  TextField,
  Ticks,
  Toggle,
} from '../../kit';
import { commit, remove, set, useAppDispatch } from '../../store';
import { Photos } from '../photos/Photos';
import type { StageScreenProps } from '../props';
import { against } from './against';
import { Coats } from './Coats';
import { Defects, Finish } from './Defects';
import { Degrees } from './Degrees';
import { cap } from '../../kit/text';
import { copySurface } from './drafts';
import { TakeOffPanel } from './TakeOffPanel';
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
  const m2 = units === 'ft' ? 'ft2' : 'm2';
  const sizes = `${surface.count} × ${formatMeasure(measure(surface.lengthM, 'm'), units)} × ${formatMeasure(measure(surface.widthM, 'm'), units)}, ${say(surface.material)}`;
  const shares = sharesOf(surface);
  const parts = PART_KINDS.filter((k) => (shares[k] ?? 0) > 0).map((k) => `${say(k)} ${shares[k]} %`);
  return (
    <>
      <Columns>
        <Column>
          <Coats jobId={jobId} surface={surface} noCut={plan.lead.next.value === 'asbestosFirst'} />
          <Panel title="Condition" testID="condition">
            <Ticks
              label="What is seen on it"
              values={surface.conditions}
              options={options(CONDITIONS)}
              onChange={(conditions) => write({ conditions }, 'condition')}
            />
            {surface.conditions.includes('moldy') || surface.moldM2 !== null ? (
              <NumberField
                label={spell('Visible mold on it')}
                unit={UNITS[m2].label}
                optional
                hint="All patches together, edge to edge; a room’s patches are summed. Not measured counts as the largest class."
                value={surface.moldM2 === null ? null : roundForReading(convert(surface.moldM2, 'm2', m2))}
                check={(v) => against('moldM2')(convert(v, m2, 'm2'))}
                testID="mold-extent"
                onCommit={(v) => write({ moldM2: v === null ? null : convert(v, m2, 'm2') }, spell('mold measured'))}
              />
            ) : null}
            {surface.conditions.includes('waterStain') || surface.conditions.includes('smokeStain') || surface.stainM2 !== null ? (
              <NumberField
                label="Stained"
                unit={UNITS[m2].label}
                optional
                hint="Not measured counts as all of it."
                value={surface.stainM2 === null ? null : roundForReading(convert(surface.stainM2, 'm2', m2))}
                check={(v) => against('stainM2')(convert(v, m2, 'm2'))}
                testID="stain-extent"
                onCommit={(v) => write({ stainM2: v === null ? null : convert(v, m2, 'm2') }, 'stain measured')}
              />
            ) : null}
            <Later>
              <Degrees surface={surface} onSet={(fields) => write(fields, 'degree')} />
            </Later>
          </Panel>
        </Column>
        <Column>
          <Later>
            <Pick label="What do you want of it" value={surface.aim} options={options(AIMS)} onChange={(aim) => write({ aim }, 'aim')} />
            <Finish facts={facts} surface={surface} />
            <Defects facts={facts} surface={surface} plan={plan} />
            <Photos facts={facts} of={{ ofSurfaceId: surface.id }} />
            <Folded title="What it is, and its sizes" says={sizes} testID="what-it-is">
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
              {surface.yearMade === null ? null : (
                <TextField
                  label="How is that year known"
                  value={surface.yearHow}
                  hint="For all of it, its putty, plaster and coats too: “original, unpatched, survey of 12 March”"
                  onCommit={(yearHow) => write({ yearHow }, 'how the year is known')}
                  testID="year-how"
                />
              )}
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
              {element.loose ? (
                <Toggle
                  label="Goes to the bench"
                  value={surface.bench}
                  onChange={(bench) => write({ bench }, 'bench')}
                  hint="Taken down and worked away from the room"
                />
              ) : null}
            </Folded>
            <Folded title="Parts" says={parts.join(', ')} testID="parts-folded">
              <PartsEditor key={JSON.stringify(shares)} jobId={jobId} surface={surface} areaM2={plan.area.totalM2} />
            </Folded>
          </Later>
        </Column>
      </Columns>
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
              stainM2: null,
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
