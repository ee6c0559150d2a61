/** All surfaces in one table: to type into at a desk, and to set many at once anywhere. */
import { useEffect, useMemo, useState } from 'react';
import { Pressable, useWindowDimensions, View } from 'react-native';
import {
  AIMS,
  CONDITIONS,
  formatMeasure,
  MATERIALS,
  measure,
  say,
  takeOff,
  TOPCOATS,
  type JobFacts,
  type Problem,
  type Surface,
  many,
} from '@roughsill/core';
import { Button, Empty, NumberField, Panel, Problems, Select, Words } from '../../kit';
import { commit, set, useAppDispatch, type Draft } from '../../store';
import { drawn, useDigest } from '../../store/derived';
import { JobPage } from '../JobPage';
import { against } from './against';
import { cap } from '../../kit/text';
import { sameCoats } from './drafts';
import { Grid, type Line } from './Grid';

type Ticked = Record<string, boolean>;
/** From here on the table is typed into, moved sideways where it is wider: also on a desk's screen at twice its size. */
const TABLE_FROM_PX = 600;

export const TableScreen = () => (
  <JobPage title="All surfaces" hint="Tick some and set them together; at a desk, type into the cells." back="walk" full>
    {(facts) => <Surfaces facts={facts} />}
  </JobPage>
);

function Surfaces({ facts }: { readonly facts: JobFacts }) {
  const wide = useWindowDimensions().width >= TABLE_FROM_PX;
  const { digest } = useDigest(facts);
  useEffect(drawn, []);
  const [ticked, setTicked] = useState<Ticked>({});
  const lines = useMemo(() => {
    const spaces = facts.spaces.filter((s) => s.removedAt === null).sort((a, b) => a.position - b.position);
    return spaces.flatMap((space) =>
      facts.surfaces
        .filter((s) => s.spaceId === space.id && s.removedAt === null)
        .sort((a, b) => a.position - b.position)
        .map((surface): Line => ({ surface, room: space.name })),
    );
  }, [facts]);
  const chosen = lines.filter((l) => ticked[l.surface.id]).map((l) => l.surface);
  if (facts.spaces.every((s) => s.removedAt !== null)) return <Empty says="No room yet. Add a room first." />;
  return (
    <>
      {wide ? (
        <Grid facts={facts} lines={lines} digest={digest} ticked={ticked} onTick={setTicked} />
      ) : (
        <Ticklist facts={facts} lines={lines} ticked={ticked} onTick={setTicked} />
      )}
      <SetMany facts={facts} chosen={chosen} all={lines.map((l) => l.surface)} onTick={setTicked} />
    </>
  );
}

interface ListProps {
  readonly facts: JobFacts;
  readonly lines: readonly Line[];
  readonly ticked: Ticked;
  readonly onTick: (next: Ticked) => void;
}

function Ticklist({ facts, lines, ticked, onTick }: ListProps) {
  return (
    <View className="gap-1" testID="ticklist">
      {lines.map(({ surface: s, room }) => (
        <Pressable
          key={s.id}
          role="checkbox"
          aria-checked={ticked[s.id] === true}
          onPress={() => onTick({ ...ticked, [s.id]: !ticked[s.id] })}
          className={`min-h-[4rem] flex-row items-center gap-3 border-l-4 px-3 py-2 ${ticked[s.id] ? 'border-soot bg-shelf' : 'border-transparent bg-panel'}`}
        >
          <Words look="head">{ticked[s.id] ? '✓' : '·'}</Words>
          <View className="min-w-0 flex-1">
            <Words look="row">{s.count > 1 ? `${s.count} × ${s.name}` : s.name}</Words>
            <Words look="note">{`${room} · ${say(s.material)} · ${formatMeasure(measure(takeOff(s).totalM2, 'm2'), facts.job.units)}`}</Words>
          </View>
        </Pressable>
      ))}
    </View>
  );
}

const SETTABLE = ['coats', 'material', 'aim', 'condition', 'topcoat', 'yearMade', 'counted'] as const;
type Settable = (typeof SETTABLE)[number];
const SETTABLE_WORDS: Readonly<Record<Settable, string>> = {
  coats: 'the coats, as on another',
  material: 'the material',
  aim: 'what is wanted',
  condition: 'a condition, added',
  topcoat: 'the topcoat',
  yearMade: 'the year made',
  counted: 'all coats counted',
};

interface SetManyProps {
  readonly facts: JobFacts;
  readonly chosen: readonly Surface[];
  readonly all: readonly Surface[];
  readonly onTick: (next: Ticked) => void;
}

/** One thing, set on everything that is ticked; one undo takes it back. */
function SetMany({ facts, chosen, all, onTick }: SetManyProps) {
  const dispatch = useAppDispatch();
  const [what, setWhat] = useState<Settable>('coats');
  const [value, setValue] = useState('');
  const [year, setYear] = useState<number | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const withCoats = all.filter((s) => s.layers.some((l) => l.removedAt === null));
  const choices: Readonly<Record<Settable, readonly { readonly value: string; readonly label: string }[]>> = {
    coats: withCoats.map((s) => ({ value: s.id, label: s.name })),
    material: MATERIALS.map((m) => ({ value: m, label: say(m) })),
    aim: AIMS.map((m) => ({ value: m, label: say(m) })),
    condition: CONDITIONS.map((m) => ({ value: m, label: say(m) })),
    topcoat: TOPCOATS.map((m) => ({ value: m, label: say(m) })),
    yearMade: [],
    counted: [],
  };
  const options = choices[what];
  const picked = options.some((o) => o.value === value) ? value : (options[0]?.value ?? '');
  const draftsFor = (s: Surface): Draft[] => {
    switch (what) {
      case 'coats': {
        const from = all.find((x) => x.id === picked);
        return from && from.id !== s.id ? sameCoats(from, s) : [];
      }
      case 'condition':
        return s.conditions.includes(picked as never) ? [] : [set('surface', s.id, { conditions: [...s.conditions, picked] })];
      case 'yearMade':
        return [set('surface', s.id, { yearMade: year })];
      case 'counted':
        return [set('surface', s.id, { coatsCounted: true })];
      default:
        return [set('surface', s.id, { [what]: picked })];
    }
  };
  const drafts = chosen.flatMap(draftsFor);
  const go = () => setProblems(dispatch(commit(facts.job.id, drafts, `${cap(SETTABLE_WORDS[what])}: ${many(chosen.length, 'surface')}`)));
  return (
    <Panel title="Set many" aside={`${chosen.length} ticked`} testID="set-many">
      <View className="flex-row flex-wrap gap-2">
        <Button look="quiet" flush label="Tick all" onPress={() => onTick(Object.fromEntries(all.map((s) => [s.id, true])))} />
        <Button look="quiet" label="Tick none" onPress={() => onTick({})} />
      </View>
      <View className="flex-row flex-wrap items-end gap-3">
        <View className="min-w-[11rem] flex-1">
          <Select
            label="Set"
            value={what}
            options={SETTABLE.map((v) => ({ value: v, label: SETTABLE_WORDS[v] }))}
            onChange={setWhat}
            testID="set-what"
          />
        </View>
        {options.length > 0 ? (
          <View className="min-w-[11rem] flex-1">
            <Select label="To" value={picked} options={options} onChange={setValue} testID="set-value" />
          </View>
        ) : null}
        {what === 'yearMade' ? (
          <View className="min-w-[9rem] flex-1">
            <NumberField label="Year" value={year} optional decimals={0} check={against('yearMade')} onCommit={setYear} />
          </View>
        ) : null}
        <Button look="main" label={`Set on ${chosen.length}`} disabled={drafts.length === 0} onPress={go} testID="set-go" />
      </View>
      {what === 'coats' ? (
        <Words look="note">Only on surfaces that have no coat yet: coats that were counted are never laid over.</Words>
      ) : null}
      <Problems problems={problems} />
    </Panel>
  );
}
