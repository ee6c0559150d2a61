/** Coats from the top down: one tap adds the next, one tap opens what is known of it. */
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import {
  BINDERS,
  BLANK_LAYER,
  liveLayers,
  METAL,
  POISONS,
  say,
  SOUNDNESS,
  type Binder,
  type Layer,
  type Problem,
  type Surface,
  spell,
} from '@roughsill/core';
import { Button, Empty, NumberField, Panel, Pick, Problems, Select, TextField, Ticks, Toggle, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, commit, remove, set, useAppDispatch } from '../../store';
import { Trials } from './Trials';

const options = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, label: say(value) }));
/** What is found most, for one tap; any other is picked on the coat. Common practice, no published source. */
const QUICK: readonly Binder[] = ['unknown', 'oil', 'alkyd', 'acrylic', 'distemper', 'shellac'];

interface CoatsProps {
  readonly jobId: string;
  readonly surface: Surface;
  /** It may hold asbestos, and nobody sampled it yet. */
  readonly noCut: boolean;
}

export function Coats({ jobId, surface, noCut }: CoatsProps) {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [opened, setOpened] = useState<string | null>(null);
  const coats = liveLayers(surface);
  const run = (drafts: Parameters<typeof commit>[1], what: string) => setProblems(dispatch(commit(jobId, drafts, what)));
  const swap = (a: Layer, b: Layer) =>
    run([set('layer', a.id, { position: b.position }, surface.id), set('layer', b.id, { position: a.position }, surface.id)], 'coat moved');
  const below = (coats.at(-1)?.position ?? -1) + 1;
  const yearOf = (id: string) => problems.find((p) => opened === id && p.path.includes('yearApplied'))?.message;
  return (
    <Panel title="Coats, from the top down" aside={`${coats.length}`} testID="coats">
      {coats.length === 0 ? (
        <Empty
          says={
            noCut
              ? 'No coat counted yet. It may hold asbestos: cut nothing before it was sampled. Enter the coats that can be seen.'
              : 'No coat counted yet. Cut a small crater, sand it smooth, and count the rings from the top.'
          }
        />
      ) : null}
      <View className="gap-1">
        {coats.map((c, i) => {
          const open = opened === c.id;
          const known = [
            c.colour,
            say(c.soundness),
            c.yearApplied === null ? '' : String(c.yearApplied),
            ...c.poisons.map((p) => say(p)),
            c.look,
          ]
            .filter(Boolean)
            .join(', ');
          return (
            <View
              key={c.id}
              role="group"
              aria-label={`Coat ${i + 1} from the top`}
              className={`border-l-4 bg-panel ${open ? 'gap-2 border-soot p-3' : 'border-line'}`}
            >
              <Pressable
                role="button"
                aria-expanded={open}
                aria-label={`Coat ${i + 1}: ${say(c.binder)}, ${known}`}
                testID={`coat-${i + 1}`}
                onPress={() => setOpened(open ? null : c.id)}
                className={`min-h-touch flex-row flex-wrap content-center items-center gap-x-2 ${open ? '' : 'px-3'}`}
              >
                <Words look="row">{`${i + 1}  ${cap(say(c.binder))}`}</Words>
                <Words look="note" className="flex-1">
                  {known}
                </Words>
                <Words look="note">{open ? 'close' : 'change'}</Words>
              </Pressable>
              {open ? (
                <>
                  <View className="flex-row flex-wrap gap-3">
                    <View className="min-w-[9rem] flex-1">
                      <Select
                        label="What it is"
                        value={c.binder}
                        options={options(BINDERS)}
                        onChange={(binder) => run([set('layer', c.id, { binder }, surface.id)], 'binder')}
                        testID="binder"
                      />
                    </View>
                    <View className="min-w-[7rem] flex-1">
                      <TextField
                        label={spell('Colour')}
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
                        problem={yearOf(c.id)}
                        onCommit={(v) => run([set('layer', c.id, { yearApplied: v }, surface.id)], 'year of the coat')}
                      />
                    </View>
                  </View>
                  <TextField
                    label="How it looks"
                    value={c.look}
                    placeholder="chalky, glossy, grained, crazed"
                    onCommit={(look) => run([set('layer', c.id, { look }, surface.id)], 'look')}
                  />
                  <Ticks
                    label="Poison beside lead, by its tin, its look or a test"
                    values={c.poisons}
                    options={options(POISONS)}
                    onChange={(poisons) => run([set('layer', c.id, { poisons }, surface.id)], 'poison of the coat')}
                  />
                  {c.poisons.length === 0 && METAL.includes(surface.material) ? (
                    <Toggle
                      label="Looked for, and none of these shows"
                      hint="By its tin, or where it has chipped to the metal. Until then an old primer is treated as chromate."
                      value={c.poisonsLookedFor}
                      onChange={(poisonsLookedFor) => run([set('layer', c.id, { poisonsLookedFor }, surface.id)], 'poison of the coat')}
                    />
                  ) : null}
                  <Trials coat={c} onSet={(fields, what) => run([set('layer', c.id, fields, surface.id)], what)} />
                  <View className="flex-row flex-wrap gap-1">
                    {i > 0 ? (
                      <Button look="quiet" label="Up" says={`Move coat ${i + 1} up`} onPress={() => swap(c, coats[i - 1]!)} />
                    ) : null}
                    {i < coats.length - 1 ? (
                      <Button look="quiet" label="Down" says={`Move coat ${i + 1} down`} onPress={() => swap(c, coats[i + 1]!)} />
                    ) : null}
                    <Button
                      look="quiet"
                      label="Remove"
                      says={`Remove coat ${i + 1}`}
                      onPress={() => run([remove('layer', c.id, surface.id)], `${surface.name}: coat ${i + 1} removed`)}
                    />
                  </View>
                </>
              ) : null}
            </View>
          );
        })}
      </View>
      <Problems problems={problems.filter((p) => !p.path.includes('yearApplied'))} />
      <View role="group" aria-label={coats.length === 0 ? 'Add the top coat' : 'Add the coat below'} className="gap-1">
        <Words look="label">{coats.length === 0 ? 'The top coat is' : 'Below it comes'}</Words>
        <View className="flex-row flex-wrap gap-1">
          {QUICK.map((binder) => (
            <Button
              key={binder}
              label={say(binder)}
              says={`${coats.length === 0 ? 'Add the top coat' : 'Add the coat below'}: ${say(binder)}`}
              testID={`add-coat-${binder}`}
              onPress={() =>
                run(
                  [add('layer', { ...BLANK_LAYER, position: below, binder }, surface.id)],
                  `${surface.name}: coat ${coats.length + 1} added, ${say(binder)}`,
                )
              }
            />
          ))}
        </View>
      </View>
      <Toggle
        label="All coats counted, down to the material"
        value={surface.coatsCounted}
        testID="coats-counted"
        hint="Until then an uncounted coat stands at the bottom, dashed, and counts as suspect"
        onChange={(coatsCounted) => setProblems(dispatch(commit(jobId, [set('surface', surface.id, { coatsCounted })], 'coats counted')))}
      />
    </Panel>
  );
}
