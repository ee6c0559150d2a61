/** The register of bags: what was filled, what stands here, what left, and whether the tickets agree. */
import type { Bag, JobFacts, WasteStreamId } from '../facts';
import { WASTE_STREAMS } from '../facts';
import { formatMeasure, measure } from '../units/units';
import { generatorOf, type Generator } from './classify';

export interface HaulTold {
  readonly haulId: string;
  readonly number: string;
  readonly bags: number;
  /** Of those that were weighed. */
  readonly kg: number;
  readonly unweighed: number;
  /** In words; empty: it balances. */
  readonly says: readonly string[];
}

export interface StreamTold {
  readonly stream: WasteStreamId;
  readonly filled: number;
  readonly standing: number;
  readonly kg: number;
  readonly unweighed: number;
}

export interface Register {
  readonly streams: readonly StreamTold[];
  readonly hauls: readonly HaulTold[];
  readonly filled: number;
  readonly standing: number;
  readonly gone: number;
  readonly kg: number;
  readonly unweighed: number;
  /** Every ticket agrees with its bags. */
  readonly balances: boolean;
}

/** A tip's scale against one's own: a twentieth, and never less than a kilogram. Common practice, no published source. */
const SCALES_DIFFER = 0.05;

const sumKg = (bags: readonly Bag[]): number => bags.reduce((sum, b) => sum + (b.kg ?? 0), 0);
const unweighedIn = (bags: readonly Bag[]): number => bags.filter((b) => b.kg === null).length;

export function registerOf(facts: Pick<JobFacts, 'bags' | 'hauls' | 'job'>): Register {
  const weight = (kg: number) => formatMeasure(measure(kg, 'kg'), facts.job.units);
  const bags = facts.bags.filter((b) => b.removedAt === null);
  const live = facts.hauls.filter((h) => h.removedAt === null);
  const ids = new Set(live.map((h) => h.id));
  // A bag whose load was taken off the list stands here again.
  const standing = bags.filter((b) => b.haulId === null || !ids.has(b.haulId));
  const hauls = live.map((h): HaulTold => {
    const on = bags.filter((b) => b.haulId === h.id);
    const [kg, unweighed] = [sumKg(on), unweighedIn(on)];
    const says: string[] = [];
    if (h.bags !== null && h.bags !== on.length) says.push(`the ticket says ${h.bags}, the register ${on.length}`);
    if (h.bags === null && on.length === 0) says.push('no bag is on this load');
    if (h.kg !== null) {
      const most = Math.max(1, h.kg * SCALES_DIFFER);
      if (unweighed === 0 && Math.abs(kg - h.kg) > most + 1e-9) says.push(`the ticket says ${weight(h.kg)}, the bags ${weight(kg)}`);
      else if (unweighed > 0 && kg > h.kg + most + 1e-9) says.push(`the ticket says ${weight(h.kg)}, the weighed bags alone ${weight(kg)}`);
    }
    return { haulId: h.id, number: h.number, bags: on.length, kg, unweighed, says };
  });
  return {
    streams: WASTE_STREAMS.flatMap((stream) => {
      const of = bags.filter((b) => b.stream === stream);
      return of.length === 0
        ? []
        : [
            {
              stream,
              filled: of.length,
              standing: of.filter((b) => standing.includes(b)).length,
              kg: sumKg(of),
              unweighed: unweighedIn(of),
            },
          ];
    }),
    hauls,
    filled: bags.length,
    standing: standing.length,
    gone: bags.length - standing.length,
    kg: sumKg(bags),
    unweighed: unweighedIn(bags),
    balances: hauls.every((h) => h.says.length === 0),
  };
}

export interface MonthTold {
  /** `2026-05`, by the job's own clock. */
  readonly month: string;
  readonly kg: number;
  readonly unweighed: number;
  readonly generator: Generator;
}

/**
 * What a place made of hazardous waste, month by month: 40 CFR 260.10 counts what is made, not what leaves.
 * @param hazardous streams that are hazardous, or stand as such until they are tested
 */
export function monthsOf(facts: Pick<JobFacts, 'bags' | 'job'>, hazardous: ReadonlySet<WasteStreamId>): MonthTold[] {
  const months = new Map<string, Bag[]>();
  const format = new Intl.DateTimeFormat('en-CA', { timeZone: facts.job.timeZone, year: 'numeric', month: '2-digit' });
  for (const b of facts.bags) {
    if (b.removedAt !== null || !hazardous.has(b.stream)) continue;
    const month = format.format(new Date(b.filledAt)).slice(0, 7);
    months.set(month, [...(months.get(month) ?? []), b]);
  }
  return [...months]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([month, of]) => ({ month, kg: sumKg(of), unweighed: unweighedIn(of), generator: generatorOf(sumKg(of)) }));
}
