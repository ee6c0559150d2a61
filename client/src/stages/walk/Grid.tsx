/**
 * The table at a desk: one cell is typed into, the others are read. Arrows, Tab and Enter go about; what is typed is written once, when the
 * cell is left; a block from a spreadsheet is pasted from a cell on; the last row, empty, adds.
 */
import { useLayoutEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { View } from 'react-native';
import { useVirtualizer } from '@tanstack/react-virtual';
import {
  formatMeasure,
  formatRange,
  formatWork,
  measure,
  say,
  takeOff,
  type JobDigest,
  type JobFacts,
  type Surface,
  many,
} from '@roughsill/core';
import { readBlock } from '@roughsill/core/import';
import { Problems, StateChip, Words } from '../../kit';
import { commit, undo, useAppDispatch } from '../../store';
import { CELL, FIELD, FOOT, HEAD, Plain, RIGHT, ROW_PX, STUCK, TD, TICK } from '../../kit/sheet-look';
import { useMoney } from '../money';
import { CELL_WORDS, cellText, COLUMNS, entryFor, headOf, newSurface, pasted, type ColumnId } from './cells';

export interface Line {
  readonly surface: Surface;
  readonly room: string;
}

const NEW = 'new';
const WIDTH: Readonly<Record<ColumnId, string>> = {
  name: '10.5rem',
  count: '3rem',
  coats: '11rem',
  lengthM: '5.5rem',
  widthM: '5.5rem',
  material: '7rem',
  yearMade: '5rem',
};
/** What is typed stands before what follows from it; the year, seldom typed, after. */
const BEFORE = COLUMNS.filter((c) => c !== 'yearMade');
const YEAR = COLUMNS.indexOf('yearMade');
const NUMERIC: readonly ColumnId[] = ['count', 'lengthM', 'widthM', 'yearMade'];
/** As the cell above: the mark that hand-written lists have for it. */
const DITTO = ['"', '”', 'do.'];

interface At {
  /** A surface, or the empty last row. */
  readonly id: string;
  readonly column: number;
}

interface GridProps {
  readonly facts: JobFacts;
  readonly lines: readonly Line[];
  readonly digest: JobDigest | undefined;
  readonly ticked: Readonly<Record<string, boolean>>;
  readonly onTick: (next: Record<string, boolean>) => void;
}

export function Grid({ facts, lines, digest, ticked, onTick }: GridProps) {
  const dispatch = useAppDispatch();
  const { units, id: jobId } = facts.job;
  const rooms = facts.spaces.filter((s) => s.removedAt === null).sort((a, b) => a.position - b.position);
  const [room, setRoom] = useState<string>();
  const spaceId = rooms.find((r) => r.id === room)?.id ?? lines.at(-1)?.surface.spaceId ?? rooms[0]?.id;
  const [at, setAt] = useState<At | null>(null);
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  /** How often Escape gave back what stood there. */
  const [takenUp, setTakenUp] = useState(0);
  const [pasteSays, setPasteSays] = useState<readonly string[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const ids = [...lines.map((l) => l.surface.id), NEW];
  const byId = new Map(lines.map((l) => [l.surface.id, l.surface]));
  const digests = new Map((digest?.surfaces ?? []).map((d) => [d.surfaceId, d]));
  // The library's measurements are read at every render on purpose; nothing here leans on its memory.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({ count: ids.length, getScrollElement: () => box.current, estimateSize: () => ROW_PX, overscan: 12 });

  const shown = at === null ? '' : at.id === NEW ? '' : byId.has(at.id) ? cellText(byId.get(at.id)!, COLUMNS[at.column]!, units) : '';
  // Before the next key is heard: it replaces what stands there as a whole.
  useLayoutEffect(() => {
    input.current?.focus();
    input.current?.select();
  }, [at, takenUp]);

  const go = (id: string, column: number) => {
    setDraft(null);
    setProblem(undefined);
    setAt({ id, column });
    const row = ids.indexOf(id);
    if (row >= 0) virtual.scrollToIndex(row);
  };
  /** Writes what was typed, once. @returns the row that it is in now; null: it was refused, and stays */
  const leave = (): string | null => {
    if (at === null || draft === null) return at?.id ?? null;
    const column = COLUMNS[at.column]!;
    const above = ids[ids.indexOf(at.id) - 1];
    const text = DITTO.includes(draft.trim()) && above !== undefined && byId.has(above) ? cellText(byId.get(above)!, column, units) : draft;
    if (at.id === NEW) {
      if (text.trim() === '') return NEW;
      if (spaceId === undefined) return (setProblem('Add a room first.'), null);
      const made =
        column === 'name' ? newSurface(facts, spaceId, text) : { ok: false as const, says: 'Name it first: what kind of surface is it?' };
      if (!made.ok) return (setProblem(made.says), null);
      const found = dispatch(commit(jobId, made.drafts, `${made.surface.name} added`));
      if (found[0]) return (setProblem(found[0].message), null);
      setDraft(null);
      return made.surface.id;
    }
    const s = byId.get(at.id)!;
    const entry = entryFor(s, column, text, units);
    if (!entry.ok) return (setProblem(entry.says), null);
    if (entry.drafts.length > 0) {
      const found = dispatch(commit(jobId, entry.drafts, `${s.name}: ${CELL_WORDS[column]} ${text.trim()}`));
      if (found[0]) return (setProblem(found[0].message), null);
    }
    setDraft(null);
    setProblem(undefined);
    return at.id;
  };
  const move = (down: number, right: number) => {
    if (at === null) return;
    const now = leave();
    if (now === null) return;
    // A row that was just added stands last but one.
    const all = ids.includes(now) ? ids : [...ids.slice(0, -1), now, NEW];
    let row = all.indexOf(now) + down;
    let column = at.column + right;
    if (column >= COLUMNS.length) [row, column] = [row + 1, 0];
    if (column < 0) [row, column] = [row - 1, COLUMNS.length - 1];
    const id = all[Math.max(0, Math.min(row, all.length - 1))]!;
    // The empty row begins with its name.
    go(id, id === NEW && now !== NEW ? 0 : Math.max(0, Math.min(column, COLUMNS.length - 1)));
  };
  const press = (e: KeyboardEvent<HTMLInputElement>) => {
    const still = draft === null;
    const acts: Readonly<Record<string, () => void>> = {
      Enter: () => move(e.shiftKey ? -1 : 1, at?.id === NEW && !e.shiftKey ? -at.column : 0),
      ArrowDown: () => move(1, 0),
      ArrowUp: () => move(-1, 0),
      Tab: () => move(0, e.shiftKey ? -1 : 1),
      Escape: () => {
        setDraft(null);
        setProblem(undefined);
        setTakenUp((n) => n + 1);
      },
      ...(still ? { ArrowRight: () => move(0, 1), ArrowLeft: () => move(0, -1), F2: () => setDraft(shown) } : {}),
      ...(still && (e.ctrlKey || e.metaKey) ? { z: () => dispatch(undo(jobId)) } : {}),
    };
    const last = at?.id === NEW && still;
    // From the empty row Tab goes on in the page, as from any last field.
    if (e.key === 'Tab' && !e.shiftKey && last) return setAt(null);
    if (e.key === 'Tab' && e.shiftKey && at !== null && ids.indexOf(at.id) === 0 && at.column === 0) return setAt(null);
    const act = acts[e.key];
    if (!act) return;
    e.preventDefault();
    e.stopPropagation();
    act();
  };
  const paste = (e: ClipboardEvent<HTMLInputElement>) => {
    const text = e.clipboardData.getData('text/plain');
    if (at === null || !/[\t\n]/.test(text.trim())) return;
    e.preventDefault();
    const from = { row: ids.indexOf(at.id), column: at.column };
    const made = pasted(
      facts,
      lines.map((l) => l.surface),
      readBlock(text),
      from,
      spaceId,
    );
    const found = made.drafts.length > 0 ? dispatch(commit(jobId, made.drafts, `${made.cells} cells pasted`)) : [];
    setPasteSays([...found.map((p) => `Nothing was written. ${p.path}: ${p.message}`), ...made.wrong.map((w) => `Left as it was. ${w}`)]);
    setDraft(null);
  };

  const cell = (id: string, column: number, text: string, name: string): ReactNode => {
    const on = at?.id === id && at.column === column;
    const what = COLUMNS[column]!;
    const label = `${CELL_WORDS[what]} of ${name}`;
    const align = NUMERIC.includes(what) ? 'right' : 'left';
    if (on)
      return (
        <input
          ref={input}
          aria-label={label}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? 'cell-problem' : undefined}
          inputMode={NUMERIC.includes(what) && units === 'm' ? 'decimal' : undefined}
          value={draft ?? text}
          onChange={(e) => (setDraft(e.target.value), setProblem(undefined))}
          onBlur={() => leave()}
          onKeyDown={press}
          onPaste={paste}
          style={{ ...CELL, ...FIELD, textAlign: align, borderColor: `rgb(var(--${problem ? 'oxide' : 'soot'}))` }}
        />
      );
    return (
      <button
        type="button"
        tabIndex={at === null && column === 0 && (id === ids[0] || id === NEW) ? 0 : -1}
        aria-label={`${label}: ${text || 'empty'}`}
        onFocus={() => go(id, column)}
        onMouseDown={(e) => {
          e.preventDefault();
          if (leave() !== null || at === null) go(id, column);
        }}
        style={{ ...CELL, textAlign: align, color: `rgb(var(--${text ? 'soot' : 'shade'}))` }}
      >
        {text || (id === NEW && column === 0 ? 'door, sash, wall …' : '')}
      </button>
    );
  };

  const items = virtual.getVirtualItems();
  const padTop = items[0]?.start ?? 0;
  const padBottom = virtual.getTotalSize() - (items.at(-1)?.end ?? 0);
  const money = useMoney();
  const area = lines.reduce((sum, l) => sum + takeOff(l.surface).totalM2, 0);
  const state = (id: string, hazard: 'lead' | 'asbestos' | 'mold') => {
    const is = digests.get(id)?.[hazard];
    return is === undefined ? null : (
      <View className="flex-row items-center" role="img" aria-label={`${hazard} ${say(is)}`}>
        <Plain>{hazard.charAt(0).toUpperCase()}</Plain>
        <StateChip state={is} size={16} />
      </View>
    );
  };
  return (
    <View className="gap-2">
      {problem ? (
        <Words alert look="strong" tone="oxide" nativeID="cell-problem">
          {problem}
        </Words>
      ) : null}
      <Problems problems={pasteSays.map((message) => ({ path: message, message }))} />
      <div ref={box} data-testid="surface-table" style={{ overflow: 'auto', maxHeight: '72vh', border: '2px solid rgb(var(--line))' }}>
        <table style={{ borderCollapse: 'separate', borderSpacing: 0, width: '100%', fontVariantNumeric: 'tabular-nums' }}>
          <thead>
            <tr>
              <th scope="col" style={HEAD}>
                <Words look="label">Tick</Words>
              </th>
              <th scope="col" style={HEAD}>
                <Words look="label">Room or side</Words>
              </th>
              {BEFORE.map((c) => (
                <th
                  key={c}
                  scope="col"
                  style={{ ...HEAD, minWidth: WIDTH[c], ...(c === 'name' ? { ...STUCK, zIndex: 3, background: 'rgb(var(--shelf))' } : {}) }}
                >
                  <Words look="label">{headOf(c, units)}</Words>
                </th>
              ))}
              {['Area', 'State', 'Work', 'Cost', headOf('yearMade', units)].map((h) => (
                <th key={h} scope="col" style={HEAD}>
                  <Words look="label">{h}</Words>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {padTop > 0 ? (
              <tr aria-hidden>
                <td style={{ height: padTop, padding: 0 }} />
              </tr>
            ) : null}
            {items.map(({ index }) => {
              const line = lines[index];
              if (!line)
                return <NewRow key={NEW} rooms={rooms} spaceId={spaceId} onRoom={setRoom} cell={(c) => cell(NEW, c, '', 'the new row')} />;
              const { surface: s } = line;
              const d = digests.get(s.id);
              return (
                <tr key={s.id}>
                  <td style={TD}>
                    <input
                      type="checkbox"
                      aria-label={`Tick ${s.name}`}
                      checked={ticked[s.id] === true}
                      onChange={() => onTick({ ...ticked, [s.id]: !ticked[s.id] })}
                      style={TICK}
                    />
                  </td>
                  <td style={{ ...TD, maxWidth: '7.5rem', overflow: 'hidden', textOverflow: 'ellipsis' }}>
                    <Plain>{line.room}</Plain>
                  </td>
                  {BEFORE.map((c, i) => (
                    <td key={c} style={c === 'name' ? { ...TD, ...STUCK } : TD}>
                      {cell(s.id, i, cellText(s, c, units), s.name)}
                    </td>
                  ))}
                  <td style={RIGHT}>
                    <Plain>{formatMeasure(measure(takeOff(s).totalM2, 'm2'), units)}</Plain>
                  </td>
                  <td style={TD}>
                    <View className="flex-row gap-2">
                      {state(s.id, 'lead')}
                      {state(s.id, 'asbestos')}
                      {state(s.id, 'mold')}
                    </View>
                  </td>
                  <td style={RIGHT}>
                    <Plain>{d ? formatRange(d.handsOnH, formatWork) : ''}</Plain>
                  </td>
                  <td style={RIGHT}>
                    <Plain>{d ? (d.unpriced ? 'not priced' : formatRange(d.money, money)) : ''}</Plain>
                  </td>
                  <td style={TD}>{cell(s.id, YEAR, cellText(s, 'yearMade', units), s.name)}</td>
                </tr>
              );
            })}
            {padBottom > 0 ? (
              <tr aria-hidden>
                <td style={{ height: padBottom, padding: 0 }} />
              </tr>
            ) : null}
          </tbody>
          <tfoot>
            <tr data-testid="table-totals">
              <td style={FOOT} colSpan={2}>
                <Plain strong>{`${lines.length} ${lines.length === 1 ? 'row' : 'rows'}`}</Plain>
              </td>
              <td style={FOOT} colSpan={BEFORE.length}>
                <Plain strong>
                  {many(
                    lines.reduce((n, l) => n + l.surface.count, 0),
                    'piece',
                  )}
                </Plain>
              </td>
              <td style={{ ...FOOT, textAlign: 'right' }}>
                <Plain strong>{formatMeasure(measure(area, 'm2'), units)}</Plain>
              </td>
              <td style={FOOT} />
              <td style={{ ...FOOT, textAlign: 'right' }}>
                <Plain strong>{digest ? formatRange(digest.totals.personHours, formatWork) : ''}</Plain>
              </td>
              <td style={{ ...FOOT, textAlign: 'right' }}>
                <Plain strong>{digest ? formatRange(digest.totals.money, money) : ''}</Plain>
              </td>
              <td style={FOOT} />
            </tr>
          </tfoot>
        </table>
      </div>
      <Words look="note">
        {`Type to replace, F2 to change; Tab and arrows go on, Enter goes down, Esc leaves it as it was. " is the same as above. Coats from the top: ac, o, o x2, a full stop when these are all. Sums are worked out. A block from a spreadsheet is pasted from the cell on.${digest && digest.unpriced > 0 ? ` ${digest.unpriced} surfaces are in no sum of cost.` : ''}`}
      </Words>
    </View>
  );
}

interface NewRowProps {
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  readonly spaceId: string | undefined;
  readonly onRoom: (id: string) => void;
  readonly cell: (column: number) => ReactNode;
}
function NewRow({ rooms, spaceId, onRoom, cell }: NewRowProps) {
  return (
    <tr data-testid="new-row">
      <td style={TD} />
      <td style={TD}>
        <select
          aria-label="Room or side of the new row"
          value={spaceId}
          onChange={(e) => onRoom(e.target.value)}
          style={{ ...CELL, width: '7.5rem', background: 'rgb(var(--panel))', border: '1px solid rgb(var(--line))' }}
        >
          {rooms.map((r) => (
            <option key={r.id} value={r.id}>
              {r.name}
            </option>
          ))}
        </select>
      </td>
      {BEFORE.map((c, i) => (
        <td key={c} style={c === 'name' ? { ...TD, ...STUCK } : TD}>
          {cell(i)}
        </td>
      ))}
      <td style={TD} colSpan={4} />
      <td style={TD}>{cell(YEAR)}</td>
    </tr>
  );
}
