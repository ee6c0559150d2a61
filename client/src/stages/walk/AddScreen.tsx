/** Adds a room, a side of the house, or surfaces from templates. */
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import {
  BLANK_SPACE,
  ELEMENTS,
  formatMeasure,
  measure,
  partDrafts,
  say,
  SERVICES,
  SpaceFields,
  WALLS,
  surfaceDraft,
  usualSize,
  type ElementId,
  type JobFacts,
  type Problem,
  type Space,
  type SpaceDraft,
  many,
} from '@roughsill/core';
import { type KitId, KITS } from '@roughsill/core/survey';
import { Button, LengthField, NumberField, Panel, Pick, Problems, TextField, Ticks, UnitsProvider, Words } from '../../kit';
import { add, commit, newId, sessionSlice, set, useAppDispatch, useAppSelector, useJob } from '../../store';
import { JobNotices } from '../JobNotices';
import { cap } from '../../kit/text';
import { kitDrafts } from './kits';

export function AddScreen() {
  const { jobId, space: spaceId, edit } = useLocalSearchParams<{ jobId: string; space?: string; edit?: string }>();
  const { facts } = useJob(jobId);
  if (!facts) return null;
  const live = facts.spaces.filter((s) => s.removedAt === null);
  const space = live.find((s) => s.id === spaceId);
  const edited = live.find((s) => s.id === edit);
  return (
    <UnitsProvider value={facts.job.units}>
      <View className="flex-1 bg-limewash">
        <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
          <Button
            look="quiet"
            label={`‹ ${facts.job.name}`}
            says={`Back to ${facts.job.name}`}
            onPress={() => router.navigate(`/job/${jobId}/walk`)}
            flush
          />
          {space ? (
            <Templates facts={facts} space={space} />
          ) : (
            <>
              {edited ? null : <Kits facts={facts} />}
              <SpaceForm key={edited?.id} facts={facts} edited={edited} />
            </>
          )}
        </ScrollView>
        <JobNotices jobId={jobId} />
      </View>
    </UnitsProvider>
  );
}

/** Whole rooms and sides in one tap; last used first. */
function Kits({ facts }: { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const recent = useAppSelector((s) => s.session.recent);
  const [times, setTimes] = useState(1);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { units, id: jobId } = facts.job;
  const kits = Object.values(KITS).sort((a, b) => rank(recent, a.id) - rank(recent, b.id));
  const unfold = (id: KitId) => {
    const made = kitDrafts(facts, id, times);
    const found = dispatch(commit(jobId, made.drafts, `${made.names.join(', ')} added`));
    setProblems(found);
    if (found.length > 0) return;
    dispatch(sessionSlice.actions.used(id));
    router.navigate(`/job/${jobId}/walk`);
  };
  return (
    <>
      <Words look="title" level={1}>
        Add a room or a side
      </Words>
      <Words>
        A kit unfolds into the surfaces that such a room usually holds, with usual sizes. Put right what differs; undo takes it all back.
      </Words>
      <NumberField
        label="Times"
        value={times}
        step={1}
        decimals={0}
        testID="kit-times"
        check={(n) => (Number.isInteger(n) && n >= 1 && n <= 40 ? undefined : 'between 1 and 40')}
        onCommit={(n) => setTimes(n ?? 1)}
      />
      <View className="flex-row flex-wrap gap-2">
        {kits.map((k) => (
          <Pressable
            key={k.id}
            role="button"
            testID={`kit-${k.id}`}
            onPress={() => unfold(k.id)}
            className="min-h-[4.5rem] min-w-[9.5rem] flex-1 justify-center border-2 border-line bg-panel px-3 py-2 active:opacity-80"
          >
            <Words look="row">{k.id === 'elevation' ? 'Side of the house' : cap(say(k.id))}</Words>
            <Words look="note">{`${many(k.pieces.length, 'surface')}, ${[k.lengthM, k.widthM, k.heightM]
              .filter((m) => m !== null)
              .map((m) => formatMeasure(measure(usualSize(m, units), 'm'), units))
              .join(' × ')}`}</Words>
          </Pressable>
        ))}
      </View>
      <Problems problems={problems} />
    </>
  );
}

function SpaceForm({ facts, edited }: { readonly facts: JobFacts; readonly edited?: Space }) {
  const dispatch = useAppDispatch();
  const { id: jobId } = facts.job;
  const [draft, setDraft] = useState<SpaceDraft>(edited ?? BLANK_SPACE);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const problem = (field: string) => problems.find((p) => p.path === field || p.path.endsWith(`.${field}`))?.message;
  const put = (fields: Partial<SpaceDraft>) => setDraft((d) => ({ ...d, ...fields }));
  const length = (field: 'lengthM' | 'widthM' | 'heightM' | 'boundaryM' | 'accessM', label: string, hint?: string) => {
    const v = draft[field];
    return (
      <View className="min-w-[9rem] flex-1">
        <LengthField
          label={label}
          optional
          steps
          value={v}
          hint={hint}
          problem={problem(field)}
          testID={field}
          check={(m) => SpaceFields.shape[field].safeParse(m).error?.issues[0]?.message}
          onCommit={(m) => put({ [field]: m })}
        />
      </View>
    );
  };
  const save = () => {
    const position = edited?.position ?? Math.max(-1, ...facts.spaces.map((s) => s.position)) + 1;
    const { name, kind, yearBuilt, lengthM, widthM, heightM, boundaryM, services, accessM, goesAnyway, side } = draft;
    // What the mold cause finder holds is edited there, and left alone here.
    const edits = { name, kind, position, yearBuilt, lengthM, widthM, heightM, boundaryM, services, accessM, goesAnyway, side };
    const fields = edited ? edits : { ...BLANK_SPACE, ...edits };
    const id = edited?.id ?? newId();
    const found = dispatch(
      commit(
        jobId,
        [edited ? set('space', id, fields) : add('space', fields, undefined, id)],
        edited ? `${draft.name} changed` : `${draft.name} added`,
      ),
    );
    setProblems(found);
    if (found.length === 0) router.replace(edited ? `/job/${jobId}/walk` : `/add/${jobId}?space=${id}`);
  };
  return (
    <>
      <Words look={edited ? 'title' : 'head'} level={edited ? 1 : 2}>
        {edited ? `Edit ${edited.name}` : 'Or an empty one'}
      </Words>
      <Pick
        label="It is"
        value={draft.kind}
        options={[
          { value: 'room', label: 'a room, inside' },
          { value: 'elevation', label: 'a side, outside' },
        ]}
        onChange={(kind) => put({ kind })}
        testID="space-kind"
      />
      <TextField
        label="Name"
        value={draft.name}
        problem={problem('name')}
        onChange={(name) => put({ name })}
        onCommit={(name) => put({ name })}
        placeholder={draft.kind === 'room' ? 'Front room' : 'Street side'}
        testID="space-name"
      />
      <View className="flex-row flex-wrap gap-3">
        {length('lengthM', 'Length')}
        {draft.kind === 'room' ? length('widthM', 'Width') : null}
        {length('heightM', 'Height')}
        {draft.kind === 'elevation'
          ? length('boundaryM', 'To the boundary', 'Decides whether an upright screen is needed; the ground sheet ends there')
          : null}
      </View>
      <NumberField
        label="Year built, if not the building’s"
        value={draft.yearBuilt}
        optional
        decimals={0}
        problem={problem('yearBuilt')}
        onCommit={(yearBuilt) => put({ yearBuilt })}
      />
      {draft.kind === 'elevation' ? (
        <Pick
          label="Side of the house: A at the front door, then on round it to the left"
          value={draft.side}
          options={WALLS.map((w) => ({ value: w, label: w }))}
          onChange={(side) => put({ side })}
          testID="side"
        />
      ) : null}
      {length('accessM', 'Work stands at', 'Height above the floor or ground; above head height some methods change')}
      <Ticks
        label="Beside the work"
        values={draft.services}
        options={SERVICES.map((value) => ({ value, label: say(value) }))}
        onChange={(services) => put({ services })}
      />
      <TextField
        label="What is thrown out anyway"
        value={draft.goesAnyway}
        hint="It needs no saving and no sheet"
        onChange={(goesAnyway) => put({ goesAnyway })}
        onCommit={(goesAnyway) => put({ goesAnyway })}
      />
      <Problems problems={problems.filter((p) => problem(p.path) === undefined)} />
      <Button look={edited ? 'main' : 'plain'} label={edited ? 'Keep' : 'Add it'} onPress={save} testID="save-space" />
    </>
  );
}

function Templates({ facts, space }: { readonly facts: JobFacts; readonly space: Space }) {
  const dispatch = useAppDispatch();
  const recent = useAppSelector((s) => s.session.recent);
  const [count, setCount] = useState(1);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { units, id: jobId } = facts.job;
  const here = facts.surfaces.filter((s) => s.spaceId === space.id && s.removedAt === null);
  const list = Object.values(ELEMENTS)
    .filter((e) => (space.kind === 'room' ? e.inside : e.outside))
    .sort((a, b) => rank(recent, a.id) - rank(recent, b.id));

  const addFrom = (id: ElementId) => {
    const surfaceId = newId();
    const same = here.filter((s) => s.element === id).length;
    const name = `${cap(say(id))}${same > 0 ? ` ${same + 1}` : ''}`;
    const position = Math.max(-1, ...here.map((s) => s.position)) + 1;
    const fields = surfaceDraft(id, space.id, position, name, units, { count });
    const parts = partDrafts(id).map((p) => add('part', p, surfaceId));
    const found = dispatch(
      commit(jobId, [add('surface', fields, undefined, surfaceId), ...parts], `${count > 1 ? `${count} × ` : ''}${name} added`),
    );
    setProblems(found);
    if (found.length > 0) return;
    dispatch(sessionSlice.actions.used(id));
    setCount(1);
  };

  return (
    <>
      <Words look="title" level={1}>{`Add to ${space.name}`}</Words>
      <Words>Usual sizes and parts are filled in. Set how many, tap what it is, and put the sizes right afterwards.</Words>
      <NumberField
        label="Times"
        value={count}
        step={1}
        decimals={0}
        testID="times"
        check={(n) => (Number.isInteger(n) && n >= 1 && n <= 999 ? undefined : 'between 1 and 999')}
        onCommit={(n) => setCount(n ?? 1)}
      />
      <View className="flex-row flex-wrap gap-2">
        {list.map((e) => (
          <Pressable
            key={e.id}
            role="button"
            testID={`template-${e.id}`}
            onPress={() => addFrom(e.id)}
            className="min-h-[4.5rem] min-w-[9.5rem] flex-1 justify-center border-2 border-line bg-panel px-3 py-2 active:opacity-80"
          >
            <Words look="row">{cap(say(e.id))}</Words>
            <Words look="note">{`${formatMeasure(measure(usualSize(e.lengthM, units), 'm'), units)} × ${formatMeasure(measure(usualSize(e.widthM, units), 'm'), units)}, ${say(e.material)}`}</Words>
          </Pressable>
        ))}
      </View>
      <Problems problems={problems} />
      <Panel title="Here now" aside={String(here.length)}>
        {here.map((s) => (
          <Words
            key={s.id}
          >{`${s.count} × ${s.name}, ${formatMeasure(measure(s.lengthM, 'm'), units)} × ${formatMeasure(measure(s.widthM, 'm'), units)}`}</Words>
        ))}
        <Button
          look="main"
          label={here.length === 0 ? 'Back to the walk' : 'Done: count the coats'}
          testID="done-adding"
          onPress={() =>
            router.navigate(
              here[0] ? `/job/${jobId}/walk/${(here.find((s) => s.layers.length === 0) ?? here[0]).id}` : `/job/${jobId}/walk`,
            )
          }
        />
      </Panel>
    </>
  );
}

/** Last used first, the rest in the order of the table. */
const rank = (recent: readonly string[], id: string): number => {
  const i = recent.indexOf(id);
  return i < 0 ? recent.length : i;
};
