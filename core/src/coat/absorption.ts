/** What the ground itself takes of a first coat: the valleys of blasted steel fill before a film counts, pores drink. */
import { methodById } from '../catalogue';
import { FERROUS } from '../catalogue/method';
import type { Material, MethodId, Part, Surface } from '../facts';
import { isMoldy } from '../probe/mold';
import { why, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { measure } from '../units/units';
import { liveLayers } from '../walk';
import { MOLD_SEALS } from './fits';
import type { CoatId } from '../catalogue/coatings';

/** Laid only where the old coat is gone; all else has its spread from a closed ground, and an etch is a wash that follows the profile. */
const ON_BARE: readonly CoatId[] = [
  'acrylicWood',
  'alkydWood',
  'oilyWood',
  'plasterSealer',
  'thinnedPva',
  'mineral',
  'alkaliResistant',
  'zincPhosphate',
  'heatResistant',
];

/** Of what covers closed ground, so much more on a bare one, %. From memory of maker practice; the upper end is bought. */
export const DRINKS_PCT: Readonly<Partial<Record<Material, number>>> = {
  softwood: 10,
  plywood: 10,
  board: 10,
  gypsumPlaster: 15,
  limePlaster: 20,
  concrete: 20,
  stone: 25,
  brick: 30,
};

/** Depths of profile where the grit comparators of ISO 8503-1 pass from fine to medium to coarse, um. */
export const PROFILE = { leastUm: 25, mediumFromUm: 60, mostUm: 100 } as const;
/** What of a film lies in the valleys of a profile, um: fine, medium, coarse; medium where nobody read it. ISO 19840, table 1. */
const FILLS_UM = { fine: 10, medium: 25, coarse: 40 } as const;
export const fillsUm = (profileUm: number | null): number =>
  profileUm === null
    ? FILLS_UM.medium
    : profileUm < PROFILE.mediumFromUm
      ? FILLS_UM.fine
      : profileUm <= PROFILE.mostUm
        ? FILLS_UM.medium
        : FILLS_UM.coarse;

/** Whether a method leaves steel or iron with a profile. */
export const leavesProfile = (id: MethodId, material: Material): boolean => {
  const { blast, bite } = methodById(id);
  return FERROUS.includes(material) && blast === 'hard' && bite === 'bare';
};

/** The profile that was last read on it and stands, um; null: nobody did. */
export function profileUmOf({ checks }: Pick<Surface, 'checks'>): number | null {
  const replaced = new Set(checks.map((c) => c.supersedesId));
  const reads = checks.flatMap((c) =>
    replaced.has(c.id) ? [] : c.measured.flatMap((m) => (m.what === 'profileUm' ? [{ at: c.takenAt, um: m.value }] : [])),
  );
  return reads.reduce<(typeof reads)[number] | null>((last, x) => (last === null || x.at >= last.at ? x : last), null)?.um ?? null;
}

/** How much of a piece has a profile, 0 to 1: by the methods that the plan has for its parts, else all of it once a profile was read. */
export function blastedShare(s: Pick<Surface, 'material' | 'parts' | 'checks'>, methodOf: (p: Part) => MethodId | null): number {
  const parts = s.parts.filter((p) => p.removedAt === null);
  const sum = (of: readonly Part[]) => of.reduce((all, p) => all + p.sharePct, 0);
  const blasted = parts.filter((p) => {
    const id = methodOf(p);
    return id !== null && leavesProfile(id, s.material);
  });
  return blasted.length > 0 ? sum(blasted) / Math.max(sum(parts), 1e-9) : profileUmOf(s) === null ? 0 : 1;
}

export interface Takes {
  /** Of the dry film of the first coat, what fills the profile, um; over the whole piece, where only some of it was blasted. */
  readonly fillsUm: number;
  /** Of the first coat, what the pores drink on top of it, %. */
  readonly drinksPct: number;
}
const NOTHING: Takes = { fillsUm: 0, drinksPct: 0 };

type Ground = Pick<Surface, 'material' | 'checks' | 'layers' | 'conditions' | 'moldM2'>;
/** Where growth was cleaned off, the firm's seal lies on the old coats as well. */
const sealsGrowth = (product: CoatId, s: Ground, { moldSeal }: Pick<FirmSettings, 'moldSeal'>): boolean =>
  isMoldy(s) && MOLD_SEALS[moldSeal].product === product && liveLayers(s).length > 0;

/** Whether a product here fills the valleys of a profile first. */
export const askedOfGround = (product: CoatId, { material }: Pick<Surface, 'material'>): boolean =>
  ON_BARE.includes(product) && FERROUS.includes(material);

/** @param blasted how much of it has a profile, 0 to 1 */
export function takesOf(product: CoatId, s: Ground, blasted: number, settings: Pick<FirmSettings, 'moldSeal'>): Takes {
  if (!ON_BARE.includes(product) || sealsGrowth(product, s, settings)) return NOTHING;
  if (!FERROUS.includes(s.material)) return { fillsUm: 0, drinksPct: DRINKS_PCT[s.material] ?? 0 };
  return { fillsUm: fillsUm(profileUmOf(s)) * blasted, drinksPct: 0 };
}

/** Paint of all its coats against what closed and flat ground takes, for the ground takes of the first alone. */
export const timesOn = ({ fillsUm: fills, drinksPct }: Takes, dryFilmUm: number, coats: number): number =>
  1 + ((1 + fills / dryFilmUm) * (1 + drinksPct / 100) - 1) / Math.max(coats, 1);

/** @param moreL litres that it comes to */
export function takesWords(takes: Takes, s: Pick<Surface, 'material' | 'checks'>, moreL: number): Reason[] {
  const more = measure(moreL, 'L');
  if (takes.fillsUm > 0) {
    const rule = profileUmOf(s) === null ? 'prime.fillsUnread' : 'prime.fills';
    return [why(rule, 'iso19840', { film: measure(takes.fillsUm, 'um'), more })];
  }
  return takes.drinksPct > 0
    ? [why('prime.drinks', 'mem-takes', { material: s.material, share: measure(takes.drinksPct, '%'), more })]
    : [];
}
