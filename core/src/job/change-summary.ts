/** What an entry did, in words that name the thing: "Window: flaking on". What a person typed stands as it was typed. */
import { say, WORDS } from '../reasons/en/vocabulary';
import { spell } from '../reasons/spelling';
import { formatMeasure, measure, type UnitSystem } from '../units/units';
import { isJobChange, recordOf, type Change, type JobChange, type JobFacts } from '../facts';

const METRES = /M$/;
const AREA = /M2$/;

function valueText(field: string, v: unknown, units: UnitSystem): string | null {
  if (v === null || v === '') return 'not said';
  if (typeof v === 'boolean') return v ? 'yes' : 'no';
  if (typeof v === 'number')
    return AREA.test(field)
      ? formatMeasure(measure(v, 'm2'), units)
      : METRES.test(field)
        ? formatMeasure(measure(v, 'm'), units)
        : String(v);
  if (field === 'repair') return say(`repair.${String(v)}`);
  return typeof v === 'string' ? say(v) : null;
}

const listed = (v: unknown): v is readonly string[] => Array.isArray(v) && v.every((x) => typeof x === 'string');

/** One field, before and after; null: it has no word of its own. */
function fieldText(field: string, before: unknown, after: unknown, units: UnitSystem): string | null {
  if (listed(before) && listed(after)) {
    const on = after.filter((x) => !before.includes(x)).map((x) => `${say(x)} on`);
    const off = before.filter((x) => !after.includes(x)).map((x) => `${say(x)} off`);
    return [...on, ...off].join(', ') || null;
  }
  const named = WORDS[`field.${field}`];
  const word = named === undefined ? undefined : spell(named);
  const value = valueText(field, after, units);
  return word === undefined || value === null ? null : value === '' ? word : `${word} ${value}`;
}

function nameOf(facts: JobFacts, c: JobChange): string | null {
  const named = (id: string) => facts.surfaces.find((s) => s.id === id);
  if (c.entity === 'surface') return named(c.entityId)?.name ?? null;
  if (c.entity === 'space') return facts.spaces.find((s) => s.id === c.entityId)?.name ?? null;
  if (c.entity === 'zone') return facts.zones.find((z) => z.id === c.entityId)?.name ?? null;
  if (c.entity === 'job') return facts.job.name;
  const surface = c.parent.kind === 'surface' ? named(c.parent.id) : undefined;
  if (!surface) return null;
  if (c.entity === 'layer') {
    const coats = surface.layers.filter((l) => l.removedAt === null).sort((a, b) => a.position - b.position);
    return `${surface.name}, coat ${coats.findIndex((l) => l.id === c.entityId) + 1}`;
  }
  if (c.entity === 'part') {
    const part = surface.parts.find((p) => p.id === c.entityId);
    return part && surface.parts.filter((p) => p.removedAt === null).length > 1 ? `${surface.name}, ${say(part.kind)}` : surface.name;
  }
  return surface.name;
}

/**
 * @param before the job as it stood
 * @returns null when it is more than one entry, or has no words of its own
 */
export function entryTold(before: JobFacts, changes: readonly Change[], units: UnitSystem): string | null {
  const [c, ...more] = changes.filter(isJobChange);
  if (!c || more.length > 0) return null;
  const name = nameOf(before, c);
  if (name === null) return null;
  if (c.op === 'add' && (c.entity === 'reading' || c.entity === 'sample' || c.entity === 'check'))
    return `${name}: ${c.entity === 'reading' ? say(String(c.fields['kind'])) : say(`entry.${c.entity}`)} recorded`;
  if (c.op === 'add' && c.entity === 'defect') return `${name}: ${say(String(c.fields['kind']))} recorded`;
  if (c.op === 'add' && c.entity === 'sign')
    return c.fields['sign'] === 'withdrawn' ? null : `${name}: ${say(String(c.fields['sign']))} seen`;
  if (c.op !== 'set') return null;
  const row = recordOf(before, c);
  if (!row) return null;
  const parts = Object.keys(c.fields).map((f) => fieldText(f, row[f], c.fields[f], units));
  return parts.length === 0 || parts.some((p) => p === null) ? null : `${name}: ${parts.join(', ')}`;
}
