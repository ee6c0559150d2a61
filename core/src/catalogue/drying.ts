/**
 * How far a coat has dried, summed hour by hour. Rules of thumb, and marked as such where they are shown: twice as long for each 10 C
 * colder, and for what dries by water as long again as the air takes up less. Points of the product's own sheet outrank them.
 */
import { RangedError } from '../units/ranged';
import { baseOf, thinsWith, type CoatId } from './coatings';

export const DRYING_KINDS = ['water', 'solvent', 'shellac', 'lime', 'twoPack'] as const;
export type DryingKind = (typeof DRYING_KINDS)[number];

/** At which a sheet tells its hours. */
export const SHEET_C = 20;
export const SHEET_RH = 50;

export interface Curve {
  readonly kind: DryingKind;
  /** Colder by so much, it takes twice as long, C. T07: 10, rule of thumb. */
  readonly doubleC: number;
  /** Below it nothing dries that holds, C. */
  readonly stopsC: number;
}
const c = (kind: DryingKind, doubleC: number, stopsC: number): Curve => ({ kind, doubleC, stopsC });
export const CURVES: Readonly<Record<DryingKind, Curve>> = {
  water: c('water', 10, 3),
  solvent: c('solvent', 10, 0),
  // Spirit leaves nearly as fast in the cold; damp air clouds it. From memory.
  shellac: c('shellac', 20, 0),
  // It takes up carbon dioxide through damp, not dry, pores. From memory.
  lime: c('lime', 12, 4),
  twoPack: c('twoPack', 10, 8),
};

/** As which curve a coat dries. */
export function curveOf(product: CoatId): Curve {
  const base = baseOf(product);
  if (base === 'mineral') return CURVES.lime;
  if (base === 'water') return CURVES.water;
  return thinsWith(product) === 'isopropanol' ? CURVES.shellac : CURVES.solvent;
}

/**
 * Hours of drying at 20 C and 50 % that one hour here is worth.
 * @param tempC of the face, on which the film lies
 * @param rhPct of the air
 */
export function dryingRate(curve: Curve, tempC: number, rhPct: number): number {
  if (tempC <= curve.stopsC) return 0;
  const warm = 2 ** ((tempC - SHEET_C) / curve.doubleC);
  switch (curve.kind) {
    case 'water':
      return warm * Math.max(0, Math.min(1.6, (100 - rhPct) / (100 - SHEET_RH)));
    case 'shellac':
      return warm * (rhPct > 85 ? 0.4 : 1);
    case 'lime':
      return warm * (rhPct < 35 || rhPct > 95 ? 0.3 : 1);
    case 'solvent':
    case 'twoPack':
      return warm;
  }
}

export interface SheetPoint {
  readonly c: number;
  readonly h: number;
}
/**
 * A curve through a sheet's own points: hours at 20 C, and by how many degrees they double; least squares of log hours over degrees.
 * @throws RangedError under two points, for no time at all, or where it would dry slower in the warm
 */
export function fitSheet(points: readonly SheetPoint[]): { readonly h20: number; readonly doubleC: number } {
  if (points.length < 2 || new Set(points.map((p) => p.c)).size < 2) throw new RangedError('two points at different degrees are needed');
  if (points.some((p) => !(p.h > 0))) throw new RangedError('a time is more than 0');
  const n = points.length;
  const mean = (f: (p: SheetPoint) => number) => points.reduce((sum, p) => sum + f(p), 0) / n;
  const [x, y] = [mean((p) => p.c), mean((p) => Math.log2(p.h))];
  const slope = points.reduce((sum, p) => sum + (p.c - x) * (Math.log2(p.h) - y), 0) / points.reduce((sum, p) => sum + (p.c - x) ** 2, 0);
  if (slope >= 0) throw new RangedError('by these points it would dry slower in the warm: check the sheet');
  return { h20: 2 ** (y + slope * (SHEET_C - x)), doubleC: -1 / slope };
}

/** A coat by its own sheet: the hours and the doubling that its points give, and the kind of curve where the sheet names one. */
export function bySheet<S extends { readonly curve: Curve; readonly recoatH: number }>(spec: S, points: readonly SheetPoint[], kind: DryingKind | null): S {
  const { h20, doubleC } = fitSheet(points);
  return { ...spec, recoatH: h20, curve: { ...(kind === null ? spec.curve : CURVES[kind]), doubleC } };
}
