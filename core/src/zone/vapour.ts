/** Solvent in the air of a zone: how much of each may be laid at once with the windows shut, and with two of them open. */
import { mixture } from '../air/breathing';
import { layAtOnce, SOLVENTS, type SolventId } from '../air/vapour';
import type { ZoneContext } from '../protect';
import type { Needs } from '../surface/needs';
import { answer, why, type Answer } from '../reasons';
import { measure } from '../units/units';

export interface VapourAnswer {
  /** A method or a coat. */
  readonly what: string;
  readonly solvent: SolventId;
  /** m2; null: the room was not measured. */
  readonly shutM2: number | null;
  readonly openM2: number | null;
  /** The largest piece of it in the zone, m2. */
  readonly pieceM2: number;
}

/** Air changes an hour of an ordinary room, shut, and with two windows open. Common practice, no published source. */
const SHUT_ACH = 0.5;
const OPEN_ACH = 4;
/** Less than this at once is nothing that anybody can lay, m2. */
const LEAST_M2 = 0.1;

/**
 * @param sealed doors and windows are closed while the strokes are at work: nobody opens one then
 * @returns by what is laid, the most of it first; none outdoors
 */
export function zoneVapour(needs: readonly Needs[], ctx: ZoneContext, sealed: boolean): Answer<VapourAnswer>[] {
  if (ctx.place !== 'inside') return [];
  const volumes = ctx.rooms.map(({ floor, heightM }) =>
    floor === null || heightM === null ? null : floor.lengthM * floor.widthM * heightM,
  );
  // The smallest of several: what is laid is laid in one of them.
  const volumeM3 = volumes.length === 0 || volumes.includes(null) ? null : Math.min(...(volumes as number[]));
  const laid = new Map<string, Needs['lays'][number]>();
  const where = new Map<string, Set<string>>();
  for (const n of needs)
    for (const l of n.lays) {
      const known = laid.get(l.what);
      if (!known || l.areaM2 > known.areaM2) laid.set(l.what, l);
      where.set(l.what, (where.get(l.what) ?? new Set()).add(n.surfaceId));
    }
  const each = [...laid.values()]
    .sort((a, b) => b.areaM2 - a.areaM2)
    .map((l): Answer<VapourAnswer> => {
      const { limitPpm, limitBy } = SOLVENTS[l.solvent];
      const of = (ach: number) =>
        volumeM3 === null
          ? null
          : layAtOnce({ solvent: l.solvent, litresPerM2: l.litresPerM2, hours: l.hours, volumeM3, freshM3h: ach * volumeM3 }).atOnceM2;
      const closed = sealed && l.stroke;
      const [shutM2, openM2] = [of(SHUT_ACH), of(closed ? SHUT_ACH : OPEN_ACH)];
      const value = { what: l.what, solvent: l.solvent, shutM2, openM2, pieceM2: l.areaM2 };
      if (shutM2 === null || openM2 === null) return answer(value, why('vapour.unmeasured', 'trade-coat-air', { what: l.what }, 'care'));
      const area = (m2: number) => measure(Math.floor(m2 * 10) / 10, 'm2');
      const facts = { what: l.what, piece: measure(l.areaM2, 'm2'), shut: area(shutM2), open: area(openM2), limit: limitPpm, by: limitBy };
      if (openM2 < LEAST_M2) return answer(value, why('vapour.none', 'mem-vapour', facts, 'care'));
      return l.areaM2 <= shutM2
        ? answer(value, why('vapour.fits', 'mem-vapour', facts))
        : closed
          ? answer(value, why('vapour.sealed', 'mem-vapour', facts, 'care'))
          : l.areaM2 <= openM2
            ? answer(value, why('vapour.openTwo', 'mem-vapour', facts, 'care'))
            : answer(value, why('vapour.tooMuch', 'mem-vapour', facts, 'care'));
    });
  return each.map((a) => together(a, each, where));
}

/** Solvents act alike on the head: each within its own limit, several at once may still be over it together. ACGIH, appendix on mixtures. */
function together(
  a: Answer<VapourAnswer>,
  all: readonly Answer<VapourAnswer>[],
  where: ReadonlyMap<string, ReadonlySet<string>>,
): Answer<VapourAnswer> {
  const fits = ({ openM2, pieceM2 }: VapourAnswer): boolean => openM2 !== null && openM2 > 0 && pieceM2 <= openM2;
  // The coats of one piece wait for each other.
  const apart = (b: VapourAnswer): boolean => new Set([...where.get(a.value.what)!, ...where.get(b.what)!]).size > 1;
  if (!fits(a.value)) return a;
  const share = (v: VapourAnswer) => {
    const { limitPpm } = SOLVENTS[v.solvent];
    // What may be laid at once brings the air to the limit: a piece is so much of it.
    return { ppm: (v.pieceM2 / v.openM2!) * limitPpm, limitPpm };
  };
  const over = all
    .filter((b) => b !== a && fits(b.value) && apart(b.value) && mixture([share(a.value), share(b.value)]) > 1 + 1e-9)
    .map((b) => b.value.what);
  if (over.length === 0) return a;
  return { value: a.value, because: [...a.because, why('vapour.together', 'mem-vapour', { what: a.value.what, others: over }, 'care')] };
}
