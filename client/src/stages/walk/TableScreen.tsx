/** All surfaces in one table: to type into at a desk, and to set many at once anywhere. */
import { createElement, useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { createColumnHelper, flexRender, getCoreRowModel, useReactTable, type RowSelectionState } from '@tanstack/react-table';
import {
  AIMS,
  CONDITIONS,
  formatMeasure,
  MATERIALS,
  measure,
  lengthText,
  readLength,
  readNumber,
  say,
  takeOff,
  TOPCOATS,
  type JobFacts,
  type Problem,
  type Surface,
  type UnitSystem,
} from '@roughsill/core';
import { Button, Empty, NumberField, Panel, Problems, Select, useWide, Words } from '../../kit';
import { commit, set, useAppDispatch, type Draft } from '../../store';
import { JobPage } from '../JobPage';
import { against } from './against';
import { cap } from '../../kit/text';
import { sameCoats } from './drafts';

export const TableScreen = () => (
  <JobPage
    title="All surfaces"
    hint="Tick some and set them together; at a desk, type into the cells: Tab goes on, Enter goes down."
    back="walk"
    full
  >
    {(facts) => <Surfaces facts={facts} />}
  </JobPage>
);

interface Line {
  readonly surface: Surface;
  readonly room: string;
}

function Surfaces({ facts }: { readonly facts: JobFacts }) {
  const wide = useWide();
  const [ticked, setTicked] = useState<RowSelectionState>({});
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
  if (lines.length === 0) return <Empty says="No surface yet. Add a room first." />;
  return (
    <>
      <SetMany facts={facts} chosen={chosen} all={lines.map((l) => l.surface)} onTick={setTicked} />
      {wide ? (
        <Grid facts={facts} lines={lines} ticked={ticked} onTick={setTicked} />
      ) : (
        <Ticklist facts={facts} lines={lines} ticked={ticked} onTick={setTicked} />
      )}
    </>
  );
}

interface ListProps {
  readonly facts: JobFacts;
  readonly lines: readonly Line[];
  readonly ticked: RowSelectionState;
  readonly onTick: (next: RowSelectionState) => void;
}

function Tick({ on, says, onPress }: { readonly on: boolean; readonly says: string; readonly onPress: () => void }) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={says}
      onPress={onPress}
      className={`min-h-touch min-w-touch items-center justify-center border-2 ${on ? 'border-soot bg-soot' : 'border-line bg-panel'}`}
    >
      <Words look="strong" tone={on ? 'onSoot' : 'soot'}>
        {on ? '✓' : '·'}
      </Words>
    </Pressable>
  );
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

/** A cell that is typed into; written when it is left or on Enter, and then the cell below takes over. */
function Cell({
  value,
  label,
  numeric,
  check,
  onCommit,
}: {
  readonly value: string;
  readonly label: string;
  readonly numeric?: boolean;
  readonly check?: (text: string) => string | undefined;
  readonly onCommit: (text: string) => void;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const text = draft ?? value;
  const problem = draft === null ? undefined : check?.(draft);
  const leave = () => {
    if (draft !== null && draft !== value && problem === undefined) onCommit(draft);
    if (problem === undefined) setDraft(null);
  };
  const down = (e: { key: string; preventDefault: () => void; currentTarget: HTMLInputElement }) => {
    if (e.key === 'Escape') setDraft(null);
    if (e.key !== 'Enter') return;
    e.preventDefault();
    leave();
    const td = e.currentTarget.closest('td');
    const next = td?.parentElement?.nextElementSibling?.children[td.cellIndex]?.querySelector('input');
    next?.focus();
    next?.select();
  };
  return createElement(
    'div',
    {},
    createElement('input', {
      value: text,
      'aria-label': label,
      'aria-invalid': problem !== undefined,
      inputMode: numeric ? 'decimal' : undefined,
      onChange: (e: { target: { value: string } }) => setDraft(e.target.value),
      onBlur: leave,
      onKeyDown: down,
      style: {
        minHeight: '3rem',
        width: '100%',
        minWidth: numeric ? '5rem' : '11rem',
        border: `2px solid rgb(var(--${problem ? 'oxide' : 'line'}))`,
        background: 'rgb(var(--panel))',
        color: 'rgb(var(--soot))',
        padding: '0 0.5rem',
        fontSize: '1rem',
        textAlign: numeric ? 'right' : 'left',
        fontVariantNumeric: 'tabular-nums',
        borderRadius: 0,
      },
    }),
    problem ? (
      <Words look="note" tone="oxide" alert>
        {problem}
      </Words>
    ) : null,
  );
}

const column = createColumnHelper<Line>();

/** The columns stay the same objects while the job's units do: a cell that is typed into keeps its place and its focus. */
function useColumns(units: UnitSystem, jobId: string) {
  const dispatch = useAppDispatch();
  return useMemo(
    () => columnsFor(units, (s, fields, what) => dispatch(commit(jobId, [set('surface', s.id, fields)], `${s.name}: ${what}`))),
    [units, jobId, dispatch],
  );
}

function columnsFor(units: UnitSystem, write: (s: Surface, fields: Partial<Surface>, what: string) => unknown) {
  const numeric = (s: Surface, field: 'count' | 'lengthM' | 'widthM' | 'yearMade', label: string) => {
    const isLength = field === 'lengthM' || field === 'widthM';
    const v = s[field];
    const parse = (text: string) => (isLength ? readLength(text, units) : readNumber(text));
    const read = (text: string) => {
      if (field === 'yearMade' && text.trim() === '') return null;
      const found = parse(text);
      return found.ok ? found.value : NaN;
    };
    return (
      <Cell
        numeric
        label={`${label} of ${s.name}`}
        value={v === null ? '' : isLength ? lengthText(v, units) : String(v)}
        check={(text) => {
          const found = parse(text);
          if (found.ok) return against(field)(found.value);
          return field === 'yearMade' && text.trim() === '' ? undefined : found.says;
        }}
        onCommit={(text) => write(s, { [field]: read(text) }, label)}
      />
    );
  };
  return [
    column.display({
      id: 'tick',
      header: () => <Words look="label">Tick</Words>,
      cell: ({ row }) => <Tick on={row.getIsSelected()} says={`Tick ${row.original.surface.name}`} onPress={() => row.toggleSelected()} />,
    }),
    column.accessor('room', {
      header: () => <Words look="label">Room or side</Words>,
      cell: (c) => <Words look="note">{c.getValue()}</Words>,
    }),
    column.accessor((l) => l.surface.name, {
      id: 'name',
      header: () => <Words look="label">Name</Words>,
      cell: ({ row: { original: l } }) => (
        <Cell
          label={`Name of ${l.surface.name}`}
          value={l.surface.name}
          check={against('name')}
          onCommit={(name) => write(l.surface, { name }, 'renamed')}
        />
      ),
    }),
    column.accessor((l) => l.surface.count, {
      id: 'count',
      header: () => <Words look="label">How many</Words>,
      cell: ({ row: { original: l } }) => numeric(l.surface, 'count', 'how many'),
    }),
    column.accessor((l) => l.surface.lengthM, {
      id: 'length',
      header: () => <Words look="label">{`First side, ${units === 'ft' ? 'ft, in' : units}`}</Words>,
      cell: ({ row: { original: l } }) => numeric(l.surface, 'lengthM', 'first side'),
    }),
    column.accessor((l) => l.surface.widthM, {
      id: 'width',
      header: () => <Words look="label">{`Second side, ${units === 'ft' ? 'ft, in' : units}`}</Words>,
      cell: ({ row: { original: l } }) => numeric(l.surface, 'widthM', 'second side'),
    }),
    column.accessor((l) => l.surface.material, {
      id: 'material',
      header: () => <Words look="label">Material</Words>,
      cell: ({ row: { original: l } }) =>
        createElement(
          'select',
          {
            value: l.surface.material,
            'aria-label': `Material of ${l.surface.name}`,
            onChange: (e: { target: { value: string } }) =>
              write(l.surface, { material: e.target.value as Surface['material'] }, 'material'),
            style: {
              minHeight: '3rem',
              border: '2px solid rgb(var(--line))',
              background: 'rgb(var(--panel))',
              color: 'rgb(var(--soot))',
              fontSize: '1rem',
              borderRadius: 0,
            },
          },
          MATERIALS.map((m) => createElement('option', { key: m, value: m }, say(m))),
        ),
    }),
    column.accessor((l) => l.surface.yearMade, {
      id: 'year',
      header: () => <Words look="label">Year made</Words>,
      cell: ({ row: { original: l } }) => numeric(l.surface, 'yearMade', 'year made'),
    }),
    column.display({
      id: 'area',
      header: () => <Words look="label">Area</Words>,
      cell: ({ row: { original: l } }) => <Words>{formatMeasure(measure(takeOff(l.surface).totalM2, 'm2'), units)}</Words>,
    }),
  ];
}

function Grid({ facts, lines, ticked, onTick }: ListProps) {
  const columns = useColumns(facts.job.units, facts.job.id);
  // The library's table is rebuilt at every render on purpose; nothing here leans on its memory.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: lines as Line[],
    columns,
    getRowId: (l) => l.surface.id,
    getCoreRowModel: getCoreRowModel(),
    state: { rowSelection: ticked },
    enableRowSelection: true,
    onRowSelectionChange: (next) => onTick(typeof next === 'function' ? next(ticked) : next),
  });
  const pad = { padding: '2px 6px 2px 0', textAlign: 'left', verticalAlign: 'top', whiteSpace: 'nowrap' } as const;
  return createElement(
    'div',
    { style: { overflowX: 'auto' }, 'data-testid': 'surface-table' },
    createElement(
      'table',
      { style: { borderCollapse: 'collapse', width: '100%' } },
      createElement(
        'thead',
        {},
        table.getHeaderGroups().map((g) =>
          createElement(
            'tr',
            { key: g.id },
            g.headers.map((h) =>
              createElement('th', { key: h.id, scope: 'col', style: pad }, flexRender(h.column.columnDef.header, h.getContext())),
            ),
          ),
        ),
      ),
      createElement(
        'tbody',
        {},
        table.getRowModel().rows.map((r) =>
          createElement(
            'tr',
            { key: r.id },
            r
              .getVisibleCells()
              .map((c) => createElement('td', { key: c.id, style: pad }, flexRender(c.column.columnDef.cell, c.getContext()))),
          ),
        ),
      ),
    ),
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
  readonly onTick: (next: RowSelectionState) => void;
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
  const go = () => setProblems(dispatch(commit(facts.job.id, drafts, `${cap(SETTABLE_WORDS[what])}: ${chosen.length} surfaces`)));
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
