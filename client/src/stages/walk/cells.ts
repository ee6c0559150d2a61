/** What each column of the table shows, how what is typed in it is understood, and what that writes. */
import {
  BLANK_LAYER,
  coatsChange,
  coatsText,
  lengthText,
  partDrafts,
  readCoats,
  readElement,
  readLength,
  readMaterial,
  readNumber,
  say,
  surfaceDraft,
  type JobFacts,
  type Surface,
  type UnitSystem,
} from '@roughsill/core';
import { cap } from '../../kit/text';
import { add, newId, remove, set, type Draft } from '../../store';
import { against } from './against';
import { live } from './drafts';

export const COLUMNS = ['name', 'count', 'coats', 'lengthM', 'widthM', 'material', 'yearMade'] as const;
export type ColumnId = (typeof COLUMNS)[number];

export const headOf = (id: ColumnId, units: UnitSystem): string =>
  ({
    name: 'Name',
    count: 'No.',
    coats: 'Coats, top down',
    lengthM: `Side 1, ${units === 'ft' ? 'ft in' : 'm'}`,
    widthM: `Side 2, ${units === 'ft' ? 'ft in' : 'm'}`,
    material: 'Material',
    yearMade: 'Year made',
  })[id];

/** As a cell is called by whoever hears it. */
export const CELL_WORDS: Readonly<Record<ColumnId, string>> = {
  name: 'name',
  count: 'how many',
  coats: 'coats',
  lengthM: 'first side',
  widthM: 'second side',
  material: 'material',
  yearMade: 'year made',
};

export function cellText(s: Surface, id: ColumnId, units: UnitSystem): string {
  switch (id) {
    case 'name':
      return s.name;
    case 'coats':
      return coatsText(s);
    case 'lengthM':
    case 'widthM':
      return lengthText(s[id], units);
    case 'material':
      return say(s.material);
    default:
      return s[id] === null ? '' : String(s[id]);
  }
}

export type Entry = { readonly ok: true; readonly drafts: readonly Draft[] } | { readonly ok: false; readonly says: string };
const wrong = (says: string): Entry => ({ ok: false, says });

function coatsEntry(s: Surface, text: string): Entry {
  const read = readCoats(text);
  if (!read.ok) return wrong(read.says);
  const { go, come } = coatsChange(s, read.value.binders);
  const tested = new Set([...s.readings.flatMap((r) => r.reachedLayerIds), ...live(s.samples).flatMap((x) => x.reachedLayerIds)]);
  if (go.some((l) => tested.has(l.id))) return wrong('A coat that was tested is changed on the surface itself.');
  return {
    ok: true,
    drafts: [
      ...go.map((l) => remove('layer', l.id, s.id)),
      ...come.map((c) => add('layer', { ...BLANK_LAYER, ...c }, s.id)),
      ...(read.value.counted === s.coatsCounted ? [] : [set('surface', s.id, { coatsCounted: read.value.counted })]),
    ],
  };
}

/** What a cell writes. Like what stands there already: nothing. */
export function entryFor(s: Surface, id: ColumnId, text: string, units: UnitSystem): Entry {
  if (text.trim() === cellText(s, id, units)) return { ok: true, drafts: [] };
  if (id === 'coats') return coatsEntry(s, text);
  const write = (value: unknown): Entry => {
    const problem = against(id)(value);
    return problem === undefined ? { ok: true, drafts: [set('surface', s.id, { [id]: value })] } : wrong(problem);
  };
  if (id === 'name') return write(text.trim());
  if (id === 'yearMade' && text.trim() === '') return write(null);
  const read = id === 'material' ? readMaterial(text) : id === 'lengthM' || id === 'widthM' ? readLength(text, units) : readNumber(text);
  return read.ok ? write(read.value) : wrong(read.says);
}

/** A new surface by the name that was typed: its kind is in it, and its usual sizes come along. */
export function newSurface(
  facts: JobFacts,
  spaceId: string,
  name: string,
): { readonly ok: true; readonly surface: Surface; readonly drafts: readonly Draft[] } | { readonly ok: false; readonly says: string } {
  const element = readElement(name);
  if (!element.ok) return element;
  const here = live(facts.surfaces).filter((s) => s.spaceId === spaceId);
  const own = cap(say(element.value));
  // A beginning of the kind's own name is no name.
  const typed = own.toLowerCase().includes(name.trim().toLowerCase()) ? own : cap(name.trim());
  let title = typed;
  for (let n = 2; here.some((s) => s.name === title); n += 1) title = `${typed} ${n}`;
  const id = newId();
  const fields = surfaceDraft(element.value, spaceId, Math.max(-1, ...here.map((s) => s.position)) + 1, title, facts.job.units);
  const parts = partDrafts(element.value).map((p) => ({ id: newId(), ...p, removedAt: null }));
  const lists = { parts: [], layers: [], readings: [], checks: [], samples: [], squares: [], boards: [] };
  return {
    ok: true,
    surface: { ...fields, ...lists, id, removedAt: null } as unknown as Surface,
    drafts: [add('surface', fields, undefined, id), ...parts.map(({ id: partId, removedAt: _r, ...p }) => add('part', p, id, partId))],
  };
}

export interface Pasted {
  readonly drafts: readonly Draft[];
  readonly wrong: readonly string[];
  readonly cells: number;
}

/**
 * A block from a spreadsheet, from one cell on: over the rows that are there, and as new rows below the last. A cell that is not understood is
 * named and left as it was; the others are written.
 * @param spaceId where new rows go
 */
export function pasted(
  facts: JobFacts,
  rows: readonly Surface[],
  block: readonly (readonly string[])[],
  at: { readonly row: number; readonly column: number },
  spaceId: string | undefined,
): Pasted {
  const { units } = facts.job;
  const drafts: Draft[] = [];
  const problems: string[] = [];
  let cells = 0;
  let soFar = facts;
  block.forEach((line, r) => {
    let s = rows[at.row + r];
    const nameAt = COLUMNS.indexOf('name') - at.column;
    if (!s) {
      const name = line[nameAt] ?? '';
      if (line.every((c) => c === '')) return;
      const made = spaceId === undefined ? null : newSurface(soFar, spaceId, name);
      if (!made || !made.ok) return void problems.push(`Row ${r + 1}: ${made ? made.says : 'add a room first'}`);
      s = made.surface;
      soFar = { ...soFar, surfaces: [...soFar.surfaces, s] };
      drafts.push(...made.drafts);
      cells += 1;
    }
    line.forEach((text, c) => {
      const id = COLUMNS[at.column + c];
      const isNew = !rows[at.row + r];
      if (id === undefined || (isNew && (id === 'name' || text === ''))) return;
      const entry = entryFor(s, id, text, units);
      if (!entry.ok) return void problems.push(`Row ${r + 1}, ${CELL_WORDS[id]}: ${entry.says}`);
      drafts.push(...entry.drafts);
      cells += entry.drafts.length > 0 ? 1 : 0;
    });
  });
  return { drafts, wrong: problems, cells };
}
