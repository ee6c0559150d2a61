/**
 * What the samples prove of asbestos, judged by itself from the recorded facts. Limits are written down again: 40 CFR 763.83, .86, .87;
 * 61.141; HSG264; from when a material is not suspected: 1990 (US, memory) and 2000 (UK).
 */
import type { JobFacts, Reading, Sample, Surface } from '../../../../core/src/facts';
import { standing } from './evidence';

const SUSPECTED_BEFORE = { us: 1990, uk: 2000 } as const;
/** From when such materials were sold: history of the trade, from memory. It clears a piece of a year of its own, with how that is known. */
const SOLD_FROM: Readonly<Record<'us' | 'uk', Readonly<Record<string, number>>>> = {
  us: { lagging: 1870, bitumenCoat: 1910, plaster: 1920, heaterBoard: 1930, jointCompound: 1940, texturedCoat: 1940, putty: 1930 },
  uk: { lagging: 1880, bitumenCoat: 1910, plaster: 1920, heaterBoard: 1935, jointCompound: 1950, texturedCoat: 1950, putty: 1930 },
};
const PLASTERS = ['limePlaster', 'gypsumPlaster', 'board'];
const SQ_FT = 0.09290304;

type Lies = 'coat' | 'below' | 'putty';
export interface AsbestosMay {
  readonly lies: Lies;
  readonly not: string | null;
}

const yearOf = (s: Surface, facts: JobFacts): number | null =>
  s.yearMade ?? facts.spaces.find((x) => x.id === s.spaceId)?.yearBuilt ?? facts.job.yearBuilt;

interface Held {
  readonly kind: string;
  readonly lies: Lies;
  readonly year: number | null;
  readonly look: string;
  /** Its own, with how that is known; null: nobody wrote that down. */
  readonly proven: number | null;
}
/** What it is made of that may hold asbestos, by what is recorded now. */
function heldBy(s: Surface, facts: JobFacts): Held[] {
  const year = yearOf(s, facts);
  const known = s.yearHow.replace(/[^\p{L}]/gu, '').length >= 3;
  const out: Omit<Held, 'proven'>[] = [];
  const ofCoat = new Map<Omit<Held, 'proven'>, number | null>();
  const piece = s.element === 'pipeLagging' || s.element === 'heaterBoard';
  for (const l of s.layers.filter((x) => x.removedAt === null)) {
    const own = l.yearApplied ?? year;
    const held = { lies: 'coat', year: own, look: l.look } as const;
    if (l.binder === 'textured') out.push({ kind: 'texturedCoat', ...held });
    if (l.binder === 'bitumen') out.push({ kind: 'bitumenCoat', ...held });
    if (l.binder === 'textured' || l.binder === 'bitumen') ofCoat.set(out.at(-1)!, l.yearApplied);
  }
  if (s.element === 'pipeLagging') out.push({ kind: 'lagging', lies: 'coat', year, look: '' });
  else if (s.element === 'heaterBoard') out.push({ kind: 'heaterBoard', lies: 'coat', year, look: '' });
  else if (s.material === 'board') out.push({ kind: 'jointCompound', lies: piece ? 'coat' : 'below', year, look: '' });
  else if (PLASTERS.includes(s.material)) out.push({ kind: 'plaster', lies: 'below', year, look: s.material });
  if (s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass')) out.push({ kind: 'putty', lies: 'putty', year, look: '' });
  return out.map((h) => ({ ...h, proven: !known ? null : ofCoat.has(h) ? ofCoat.get(h)! : s.yearMade }));
}

type Says = 'asbestos' | 'unsure' | 'none';
function says(r: Reading, uk: boolean): Says {
  const v = r.value ?? 0;
  const counted = r.analysis === 'pointCount' || r.analysis === 'tem';
  if (r.below && v > 0) return !uk && counted && v <= 1 && !r.trace ? 'none' : 'unsure';
  if (uk) return r.trace || v > 0 ? 'asbestos' : 'none';
  if (v > 1) return 'asbestos';
  return (r.trace || v > 0) && !counted ? 'unsure' : 'none';
}

function answersOf(s: Surface, x: Sample, facts: JobFacts): Says[] {
  const uk = facts.job.rulebook === 'uk';
  return standing(s, facts)
    .stands.filter((r) => r.kind === 'bulk' && r.sampleId === x.id)
    .map((r) => says(r, uk));
}

function needed(kind: string, areaM2: number, runM: number, uk: boolean): number {
  if (uk) {
    if (kind === 'lagging') return Math.max(1, Math.ceil((runM > 20 ? runM / 6 : runM / 3) - 1e-9));
    return kind === 'heaterBoard' ? Math.max(1, Math.ceil(areaM2 / 25 - 1e-9)) : 2;
  }
  if (kind === 'lagging') return 3;
  if (kind !== 'texturedCoat' && kind !== 'plaster') return 2;
  return areaM2 / SQ_FT <= 1000 + 1e-6 ? 3 : areaM2 / SQ_FT <= 5000 + 1e-6 ? 5 : 7;
}

/**
 * Necessary conditions only: what must hold before anything may be called free. A sample of the kind on this very surface that found
 * something, doubtful or out, forbids it; and there must be that many negative ones in all, each at its own place.
 */
export function asbestosMayBeCleared(s: Surface, facts: JobFacts): AsbestosMay[] {
  const uk = facts.job.rulebook === 'uk';
  const before = SUSPECTED_BEFORE[facts.job.rulebook];
  const ended = (s.past === 'stripped' || s.past === 'replaced') && s.pastWhy.replace(/[^\p{L}]/gu, '').length >= 3;
  return heldBy(s, facts)
    .filter((h) => (h.year === null || h.year < before) && !(h.proven !== null && h.proven < SOLD_FROM[facts.job.rulebook][h.kind]!))
    .map((h): AsbestosMay => {
      const own = s.samples.filter((x) => x.hazard === 'asbestos' && x.suspect === h.kind && x.kind !== 'blank');
      for (const x of own) {
        const a = answersOf(s, x, facts);
        if (a.includes('asbestos')) return { lies: h.lies, not: 'a positive sample of it' };
        if (a.includes('unsure')) return { lies: h.lies, not: 'a doubtful sample of it' };
        const out = x.takenAt !== null && (x.removedAt === null || x.sentAt !== null);
        if (a.length === 0 && out) return { lies: h.lies, not: 'a sample of it is out' };
      }
      const places = new Set<string>();
      for (const other of facts.surfaces) {
        if (other.removedAt !== null || !heldBy(other, facts).some((o) => o.kind === h.kind)) continue;
        for (const x of other.samples) {
          if (x.removedAt !== null || x.hazard !== 'asbestos' || x.suspect !== h.kind || x.kind === 'blank' || x.kind === 'duplicate')
            continue;
          const a = answersOf(other, x, facts);
          if (a.length > 0 && a.every((v) => v === 'none')) places.add(`${other.id}/${x.atX === null ? x.place : `${x.atX},${x.atY}`}`);
        }
      }
      const min = needed(h.kind, 0, 0, uk);
      return {
        lies: h.lies,
        not: places.size < Math.max(min, ended ? 0 : min) ? `only ${places.size} negative samples in distinct places` : null,
      };
    });
}
