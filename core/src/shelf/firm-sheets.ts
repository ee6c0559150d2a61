/**
 * What the firm's own sheets say, before the generic values: everything that asks for a price, a film, a wait or a chemistry asks here.
 * Of several products of one kind with which the firm works, the first by name.
 */
import { GOODS, type AgentId, type Consumable } from '../catalogue';
import { NOT_BOUGHT } from '../catalogue/method';
import { curveOf, dryingRate, fitSheet, SHEET_C, SHEET_RH, type Curve } from '../catalogue/drying';
import { baseOf, PRIMERS_DATA, thinsWith, TOPCOATS_DATA, type Coating, type CoatId } from '../catalogue/coatings';
import type { Range } from '../units/units';
import { CHEMISTRIES, isGood, type Chemistry, type GoodId, type MethodId, type Product, type StuffId, type TopcoatId } from '../facts';
import { FILLER, type FillerId } from '../catalogue/fillers';
import type { FirmSettings } from '../rulebook';

type Shelf = Pick<FirmSettings, 'products'>;

const byGood = new WeakMap<readonly Product[], ReadonlyMap<GoodId, Product>>();
function shelfOf(products: readonly Product[]): ReadonlyMap<GoodId, Product> {
  const known = byGood.get(products);
  if (known) return known;
  const live = products.filter((p) => p.removedAt === null && p.inUse);
  live.sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.id < b.id ? -1 : 1));
  const made = new Map<GoodId, Product>();
  for (const p of live) if (!made.has(p.good)) made.set(p.good, p);
  byGood.set(products, made);
  return made;
}

/** The firm's product of that kind; null: it entered none, or works with none. */
export const ownOf = ({ products }: Shelf, good: string): Product | null =>
  products === undefined || products.length === 0 || !isGood(good) ? null : (shelfOf(products).get(good) ?? null);

/** Which good a bought stripper is. */
const STRIPPER_GOOD: Readonly<Partial<Record<MethodId, GoodId>>> = {
  solventGel: 'stripperGel',
  neutralStripper: 'neutralGel',
  masonryStripper: 'masonryGel',
  masonryKit: 'masonryGel',
};
/** The firm's own stripper with which a method works; null: a generic one, or it uses none. */
export const ownStripper = (settings: Shelf, id: MethodId): Product | null => {
  const good = STRIPPER_GOOD[id];
  return good === undefined ? null : ownOf(settings, good);
};
const isChemistry = (stuff: StuffId): stuff is Chemistry & StuffId => (CHEMISTRIES as readonly string[]).includes(stuff);

/**
 * What is in the stripper that a method lays: by the product's own sheet, else as the firm's settings say. Where the two contradict in what
 * is banned, the stricter holds: a can of it may still stand there.
 */
export function chemistryOf(settings: Pick<FirmSettings, 'products' | 'rates'>, id: MethodId): Chemistry {
  const said = settings.rates[id]?.chemistry ?? 'unsaid';
  const good = STRIPPER_GOOD[id];
  const own = good === undefined ? undefined : ownOf(settings, good)?.chemistry;
  return said !== 'methyleneChloride' && own !== undefined && own !== 'unsaid' && isChemistry(own) ? own : said;
}

/** Of one pack per unit, the cheapest that the sheet has. */
const ownPrice = (p: Product | null): number | null =>
  p === null || p.packs.length === 0 ? null : Math.min(...p.packs.map((k) => k.price / k.size));

export const isCoat = (id: string): id is CoatId => id !== 'none' && (id in TOPCOATS_DATA || id in PRIMERS_DATA);

/** What one litre, metre, square metre, kilogram or piece costs, in the firm's money. */
export function priceOf(settings: FirmSettings, good: GoodId | Consumable['id']): number {
  if (good === 'water' || good === 'bathPlace') return NOT_BOUGHT[good];
  const own = ownPrice(ownOf(settings, good));
  if (own !== null) return own;
  if (isCoat(good)) return GOODS[good].price ?? settings.coatPerLitre[baseOf(good)];
  if (good === 'sheet') return settings.sheetPerM2;
  if (good === 'wasteBags') return settings.bagEach;
  if (good === 'coverall') return settings.wearPerDay.suit;
  return GOODS[good].price ?? 0;
}

/** The shortest wait of a sheet, brought to 20 C and 50 %, h; null: it says none. */
function sheetH20(p: Product, id: CoatId): number | null {
  if (p.recoatLeastH === null) return null;
  const atC = p.atC ?? SHEET_C;
  if (p.coldC !== null && p.coldLeastH !== null)
    return fitSheet([
      { c: atC, h: p.recoatLeastH },
      { c: p.coldC, h: p.coldLeastH },
    ]).h20;
  return p.recoatLeastH * (dryingRate(curveOf(id), atC, p.atRhPct ?? SHEET_RH) || 1);
}

/** How it dries in warmth and cold: by the sheet's own two points where it has them. */
export function curveBySheet(p: Product, id: CoatId): Curve {
  const curve = curveOf(id);
  if (p.recoatLeastH === null || p.coldC === null || p.coldLeastH === null) return curve;
  const { doubleC } = fitSheet([
    { c: p.atC ?? SHEET_C, h: p.recoatLeastH },
    { c: p.coldC, h: p.coldLeastH },
  ]);
  return { ...curve, doubleC };
}

/** A coat as it is laid: by its own sheet where that says anything. */
export function coatingOf(settings: Shelf, id: CoatId): Coating {
  const generic = id in TOPCOATS_DATA ? TOPCOATS_DATA[id as TopcoatId] : PRIMERS_DATA[id as keyof typeof PRIMERS_DATA];
  const own = ownOf(settings, id);
  if (own === null) return generic;
  const h20 = sheetH20(own, id);
  return {
    ...generic,
    volumeSolidsPct: own.solidsPct ?? generic.volumeSolidsPct,
    dryFilmUm: own.dryFilmUm ?? generic.dryFilmUm,
    coats: own.coats ?? generic.coats,
    recoatH: h20 === null ? generic.recoatH : { low: h20, high: h20 },
  };
}
/** Before the next layer or coat over a filler, h at about 20 C: by its own sheet where that says so. */
export function fillerDryH(settings: Shelf, id: FillerId): Range {
  const own = ownOf(settings, id)?.recoatLeastH ?? null;
  return own === null ? FILLER[id].dryH : { low: own, high: own };
}

/** Says the sheet anything that changes how much of it is laid, or how long it takes. */
export const saysOfCoat = (p: Product): boolean =>
  p.solidsPct !== null || p.dryFilmUm !== null || p.coats !== null || p.recoatLeastH !== null;

const THINNERS = ['isopropanol', 'xylene', 'mineralSpirits', 'acetone'] as const;
/** The solvent in one that is thinned with solvent: by its own sheet, else as is usual. */
export function thinnerOf(settings: Shelf, id: CoatId): (typeof THINNERS)[number] {
  const own = ownOf(settings, id)?.chemistry;
  return THINNERS.find((t) => t === own) ?? thinsWith(id);
}

/** A liquid that flashes at or below it is flammable: GHS categories 1 to 3. */
const FLAMMABLE_C = 60;
/** What of a coat goes into the air and burns: thinned with solvent, or its own sheet says that it flashes. */
export function evaporates(settings: Shelf, id: CoatId): boolean {
  const flashC = ownOf(settings, id)?.flashC ?? null;
  return baseOf(id) === 'solvent' || (flashC !== null && flashC <= FLAMMABLE_C);
}

const STUFF_AGENTS: Readonly<Partial<Record<StuffId, readonly AgentId[]>>> = {
  benzylAlcohol: ['alcohol'],
  nmp: ['solvent'],
  limonene: ['solvent'],
  mineralSpirits: ['solvent'],
  xylene: ['solvent'],
  isopropanol: ['alcohol'],
  acetone: ['solvent'],
  water: [],
  sodiumHydroxide: ['alkali'],
  quickLime: ['alkali', 'lime'],
  citricAcid: ['acid'],
  aceticAcid: ['acid'],
  phosphoricAcid: ['acid'],
  hydrochloricAcid: ['acid'],
  hypochlorite: ['bleach'],
  peroxide: ['peroxide'],
  ammonia: ['ammonia', 'alkali'],
  quat: [],
  dryingOil: ['dryingOil'],
  twoPart: ['solvent'],
};
/** What a good counts as where two things must not meet: what is in it adds to what it is. */
export function agentsOf(settings: Shelf, good: GoodId): readonly AgentId[] {
  const own = ownOf(settings, good);
  const added = own === null ? [] : (STUFF_AGENTS[own.chemistry] ?? []);
  return [...new Set([...GOODS[good].agents, ...added])];
}
