/**
 * What to buy: all that the steps still ask for, net of what stands there, in whole packs. And what of opened tins a job pays for: a coat
 * that was opened does not go back to the shelf; sheet, tape and what is sold by the piece does. Common practice, no published source.
 */
import { GOODS, type GoodUnit } from '../catalogue';
import type { CoatingPlan } from '../coat';
import { isGood, type GoodId, type JobFacts, type Product, type Tin } from '../facts';
import type { JobPlan } from './plan';
import { isBusy, leftToDo } from './to-buy';
import { bookOf, type FirmSettings, type RespiratorId, type Rulebook } from '../rulebook';
import { convert, type Measure } from '../units/units';
import type { Amount, StepSpec } from '../step';
import type { SurfacePlan } from '../zone/surface-plan';
import type { ZonePlan } from '../zone';
import { isCoat, ownOf, priceOf } from '../shelf/firm-sheets';
import { packsFor, type Pack, type Packing } from '../shelf/packs';

/** What a litre costs in each size, smallest first, against the usual price. Common practice, no published source. */
const DEARER: Readonly<Record<1 | 2 | 3, readonly number[]>> = { 1: [1], 2: [1.2, 1], 3: [1.3, 1, 0.9] };

/** In what a good is sold: the packs of the firm's product, else those of the trade at the usual price. */
export function packsOf(settings: FirmSettings, good: GoodId, rules: Rulebook['id']): readonly Pack[] {
  const own = ownOf(settings, good);
  if (own !== null && own.packs.length > 0) return own.packs;
  const price = priceOf(settings, good);
  const sizes = GOODS[good].packs[rules];
  return sizes.map((size, i) => ({ size, price: size * price * DEARER[sizes.length as 1 | 2 | 3]![i]! }));
}

/** A colour as it is compared: nobody writes it twice in the same letters. */
const colourKey = (colour: string): string => colour.trim().toLowerCase().replace(/\s+/g, ' ');

export interface Coated {
  readonly coating: CoatingPlan;
  /** As it is wanted; empty: nobody said. */
  readonly colour: string;
}
interface FromTin {
  readonly key: string;
  readonly good: GoodId;
  readonly need: number;
}
/** What a piece takes of which tin, made once for as long as its coats stand. */
const fromTins = new WeakMap<CoatingPlan, { readonly colour: string; readonly tins: readonly FromTin[] }>();
function tinsOf({ coating, colour }: Coated): readonly FromTin[] {
  const known = fromTins.get(coating);
  if (known?.colour === colour) return known.tins;
  const tins = [...coating.lines, ...coating.refusedLines].flatMap((l): FromTin[] =>
    l.litres > 0 ? [{ key: `${l.product}/${l.use === 'topcoat' ? colourKey(colour) : ''}`, good: l.product, need: l.litres }] : [],
  );
  fromTins.set(coating, { colour, tins });
  return tins;
}

/** Of the tins that are opened for the coats of a job, what is paid for and not laid, in the firm's money. Each colour has tins of its own. */
export function restOfTins(coated: readonly Coated[], settings: FirmSettings, rules: Rulebook['id']): number {
  const litres = new Map<string, { readonly good: GoodId; need: number }>();
  for (const one of coated)
    for (const { key, good, need } of tinsOf(one)) {
      const at = litres.get(key);
      if (at) at.need += need;
      else litres.set(key, { good, need });
    }
  let sum = 0;
  for (const { good, need } of litres.values())
    sum += Math.max(0, packsFor(need, packsOf(settings, good, rules)).money - need * priceOf(settings, good));
  return sum;
}

/** All of a job, one of its zones, or the zones in which somebody is put down to work on a day. */
export type BuyScope =
  { readonly kind: 'job' } | { readonly kind: 'zone'; readonly zoneId: string } | { readonly kind: 'day'; readonly on: string };

/** What stands there and is not counted, and why. */
export const LEFT_OUT = ['otherJob', 'otherProduct', 'otherColour', 'colourUnsure', 'pastOpenLife', 'emptied'] as const;
export type LeftOut = (typeof LEFT_OUT)[number];

/** One face, or several, from one batch: so that no join shows. */
export interface BatchUse {
  /** As on the tin; empty: it was not written down. Null: bought for them, all of one batch. */
  readonly batch: string | null;
  readonly surfaceIds: readonly string[];
  readonly amount: number;
}

export interface BuyLine {
  readonly good: GoodId;
  readonly unit: GoodUnit;
  readonly product: Product | null;
  /** In which a topcoat is wanted, as it was written; empty: nobody said, or it has none. */
  readonly colour: string;
  readonly need: number;
  /** Of it, taken from what stands there. */
  readonly fromStock: number;
  readonly inStock: number;
  readonly packing: Packing;
  /** The prices are the product's own; else generic ones. */
  readonly ownPrices: boolean;
  readonly leftOut: readonly { readonly why: LeftOut; readonly amount: number }[];
  /** Of a topcoat. */
  readonly batches: readonly BatchUse[];
}

export interface MaskLine {
  readonly mask: RespiratorId;
  readonly personDays: number;
  /** Put down for it; empty: nobody is named yet. */
  readonly people: readonly string[];
  readonly crew: number;
  /** Of their filters, in the firm's money. */
  readonly money: number;
}

export interface Shopping {
  readonly lines: readonly BuyLine[];
  readonly masks: readonly MaskLine[];
  /** Brought, not bought: machines, poles, water. */
  readonly brought: readonly Amount[];
  readonly money: number;
  /** Nothing is asked for in this scope, or nobody is put down on that day. */
  readonly nobody: boolean;
}

/** In the unit in which it is sold; null: counted in another kind of unit. */
function inUnitOf(good: GoodId, m: Measure): number | null {
  const { unit } = GOODS[good];
  if (unit === 'pieces' || m.unit === 'pieces') return unit === m.unit ? m.value : null;
  try {
    return convert(m.value, m.unit, unit);
  } catch {
    return null;
  }
}

function inScope(scope: BuyScope, facts: JobFacts, zones: readonly ZonePlan[]): readonly ZonePlan[] {
  if (scope.kind === 'job') return zones;
  if (scope.kind === 'zone') return zones.filter((z) => z.zoneId === scope.zoneId);
  const on = new Set(facts.stints.filter((s) => s.removedAt === null && s.on === scope.on).map((s) => s.zoneId));
  return zones.filter((z) => on.has(z.zoneId));
}

interface Counted {
  readonly tins: readonly Tin[];
  readonly leftOut: ReadonlyMap<LeftOut, number>;
}
/** What a line of one good asks of a tin. */
interface Asked {
  readonly good: GoodId;
  readonly own: Product | null;
  readonly colour: string;
  /** Colours of the same good that other faces of the job want. */
  readonly others: ReadonlySet<string>;
}
/** Whether a tin is of the wanted colour: null, or what speaks against it. */
function offColour({ good, colour, others }: Asked, t: Tin, jobId: string): LeftOut | null {
  if (!isCoat(good)) return null;
  const [tinted, wanted] = [colourKey(t.colour), colourKey(colour)];
  if (wanted === '') return tinted === '' ? null : others.has(tinted) ? 'otherColour' : t.forJobId === jobId ? null : 'colourUnsure';
  return tinted === wanted ? null : tinted === '' ? 'colourUnsure' : 'otherColour';
}
function counted(asked: Asked, tins: readonly Tin[], jobId: string, today: string): Counted {
  const { good, own } = asked;
  const leftOut = new Map<LeftOut, number>();
  const kept = tins.filter((t) => {
    if (t.removedAt !== null || t.good !== good) return false;
    const opened = t.openedOn === null ? 0 : (Date.parse(today) - Date.parse(t.openedOn)) / 3_600_000;
    const why: LeftOut | null =
      t.amount <= 0
        ? 'emptied'
        : t.forJobId !== null && t.forJobId !== jobId
          ? 'otherJob'
          : own !== null && t.productId !== null && t.productId !== own.id
            ? 'otherProduct'
            : own !== null && own.openLifeH !== null && opened > own.openLifeH
              ? 'pastOpenLife'
              : offColour(asked, t, jobId);
    if (why !== null && why !== 'emptied') leftOut.set(why, (leftOut.get(why) ?? 0) + t.amount);
    return why === null;
  });
  return { tins: kept, leftOut };
}

const sum = (tins: readonly Tin[]): number => tins.reduce((s, t) => s + t.amount, 0);
const NEAR = 1e-9;

/** So many ways are looked through; beyond it the largest face first, each into the batch that it fills best. */
const MOST_WAYS = 20_000;

/**
 * Which face from which batch, so that least is bought: whole faces only, each from one batch. Exact while there are few of both.
 * @param holds of each batch, L
 * @param faces L, the largest first
 * @returns for each face the batch, or -1: it is bought
 */
export function facesToBatches(holds: readonly number[], faces: readonly number[]): number[] {
  const left = [...holds];
  const greedy = faces.map((litres) => {
    const at = left.reduce((best, l, i) => (l >= litres - NEAR && (best < 0 || l < left[best]!) ? i : best), -1);
    if (at >= 0) left[at]! -= litres;
    return at;
  });
  const boughtBy = (way: readonly number[]) => way.reduce((sum, at, i) => sum + (at < 0 ? faces[i]! : 0), 0);
  let best = greedy;
  let least = boughtBy(greedy);
  let looked = 0;
  const way: number[] = [];
  const room = [...holds];
  const look = (i: number, bought: number): void => {
    if (bought >= least - NEAR || looked > MOST_WAYS) return;
    looked += 1;
    if (i === faces.length) {
      best = [...way];
      least = bought;
      return;
    }
    const litres = faces[i]!;
    const tried = new Set<number>();
    for (const [at, has] of room.entries()) {
      // Two batches that hold the same are one question.
      if (has < litres - NEAR || tried.has(has)) continue;
      tried.add(has);
      room[at] = has - litres;
      way.push(at);
      look(i + 1, bought);
      way.pop();
      room[at] = has;
    }
    way.push(-1);
    look(i + 1, bought + litres);
    way.pop();
  };
  look(0, 0);
  return best;
}

/** What fits into none of the batches is bought, of one batch. */
function byBatch(faces: readonly { readonly id: string; readonly litres: number }[], tins: readonly Tin[]): BatchUse[] {
  const groups = new Map<string, { batch: string; left: number; ids: string[]; used: number }>();
  for (const t of tins) {
    // A tin without its batch is one by itself.
    const key = t.batch.trim() === '' ? `tin:${t.id}` : `batch:${t.batch.trim().toLowerCase()}`;
    const g = groups.get(key) ?? { batch: t.batch.trim(), left: 0, ids: [], used: 0 };
    g.left += t.amount;
    groups.set(key, g);
  }
  const bought = { ids: [] as string[], used: 0 };
  const byLitres = [...faces].sort((a, b) => b.litres - a.litres || (a.id < b.id ? -1 : 1));
  const all = [...groups.values()];
  const ways = facesToBatches(
    all.map((g) => g.left),
    byLitres.map((f) => f.litres),
  );
  for (const [i, f] of byLitres.entries()) {
    const into = all[ways[i]!] ?? bought;
    into.ids.push(f.id);
    into.used += f.litres;
  }
  return [
    ...[...groups.values()].filter((g) => g.ids.length > 0).map((g) => ({ batch: g.batch, surfaceIds: g.ids, amount: g.used })),
    ...(bought.ids.length > 0 ? [{ batch: null, surfaceIds: bought.ids, amount: bought.used }] : []),
  ];
}

const topcoatStill = (p: SurfacePlan, good: GoodId, steps: readonly Pick<StepSpec, 'amounts'>[]): number =>
  p.coating.lines.some((l) => l.use === 'topcoat' && l.product === good)
    ? Math.max(
        0,
        steps.flatMap((st) => st.amounts).reduce((s, a) => s + (a.what === good ? (inUnitOf(good, a.amount) ?? 0) : 0), 0) -
          p.coating.lines.reduce((s, l) => s + (l.product === good ? l.laidL : 0), 0),
      )
    : 0;

interface Face {
  readonly id: string;
  readonly litres: number;
  readonly colour: string;
}
interface Wanted {
  readonly good: GoodId;
  readonly need: number;
  readonly colour: string;
  readonly faces: readonly Face[];
  readonly others: ReadonlySet<string>;
}
/** A topcoat in two colours is bought twice; what is not for a face in a wanted colour stays one line. */
function byColour(good: GoodId, need: number, faces: readonly Face[]): Wanted[] {
  const groups = new Map<string, Face[]>();
  for (const f of faces) groups.set(colourKey(f.colour), [...(groups.get(colourKey(f.colour)) ?? []), f]);
  const colours = new Set(groups.keys());
  colours.delete('');
  const coloured = [...colours].sort().map((key): Wanted => {
    const own = groups.get(key)!;
    return { good, need: own.reduce((s, f) => s + f.litres, 0), colour: own[0]!.colour, faces: own, others: colours };
  });
  const rest = need - coloured.reduce((s, x) => s + x.need, 0);
  return [
    ...(rest > NEAR || coloured.length === 0 ? [{ good, need: rest, colour: '', faces: groups.get('') ?? [], others: colours }] : []),
    ...coloured,
  ];
}

/**
 * @param today `2026-05-04`, for what stands open too long
 * @param tins all that the firm has written down
 */
export function shoppingOf(
  facts: JobFacts,
  plan: JobPlan,
  { settings, tins, today }: { readonly settings: FirmSettings; readonly tins: readonly Tin[]; readonly today: string },
  scope: BuyScope,
): Shopping {
  const zones = inScope(scope, facts, plan.zones);
  const ids = new Set(zones.map((z) => z.zoneId));
  const surfaces = plan.surfaces.filter((p) => (scope.kind === 'job' ? true : ids.has(p.zoneId)));
  const { own: ownSteps, amounts } = leftToDo(zones, surfaces);
  const needs = new Map<GoodId, number>();
  const brought: Amount[] = [];
  for (const a of amounts) {
    const value = isGood(a.what) ? inUnitOf(a.what, a.amount) : null;
    if (isGood(a.what) && value !== null) needs.set(a.what, (needs.get(a.what) ?? 0) + value);
    else brought.push(a);
  }
  const busy = zones.filter((z) => isBusy(z, plan.surfaces));
  const suits = busy.reduce((s, z) => s + z.bought.suits, 0);
  if (suits > 0) needs.set('coverall', (needs.get('coverall') ?? 0) + suits);

  const wantedOf = new Map(facts.surfaces.map((x) => [x.id, x.colour.trim()]));
  const facesOf = (good: GoodId) =>
    ownSteps.flatMap((x) => {
      const litres = topcoatStill(x.plan, good, x.steps);
      return litres > 0 ? [{ id: x.plan.surfaceId, litres, colour: wantedOf.get(x.plan.surfaceId) ?? '' }] : [];
    });
  const asked = [...needs].flatMap(([good, need]) => byColour(good, need, facesOf(good)));
  const lines = asked.flatMap(({ good, need, colour, faces, others }): BuyLine[] => {
    if (!(need > 0)) return [];
    const product = ownOf(settings, good);
    const { tins: there, leftOut } = counted({ good, own: product, colour, others }, tins, facts.job.id, today);
    const batches = faces.length > 0 ? byBatch(faces, there) : [];
    const inStock = sum(there);
    // Of a topcoat only whole faces are taken from a batch.
    const fromStock = batches.length > 0 ? batches.reduce((s, b) => s + (b.batch === null ? 0 : b.amount), 0) : Math.min(need, inStock);
    const packs = packsOf(settings, good, plan.rulebook);
    return [
      {
        good,
        unit: GOODS[good].unit,
        product,
        colour,
        need,
        fromStock,
        inStock,
        packing: packsFor(Math.max(0, need - fromStock), packs),
        ownPrices: product !== null && product.packs.length > 0,
        leftOut: [...leftOut].map(([why, amount]) => ({ why, amount })),
        batches,
      },
    ];
  });
  const masks = masksOf(busy, facts, settings);
  return {
    lines,
    masks,
    brought,
    money: lines.reduce((s, l) => s + l.packing.money, 0) + masks.reduce((s, m) => s + m.money, 0),
    nobody: scope.kind === 'day' && zones.length === 0,
  };
}

function masksOf(zones: readonly ZonePlan[], facts: JobFacts, settings: FirmSettings): MaskLine[] {
  const out = new Map<RespiratorId, { personDays: number; people: Set<string>; crew: number }>();
  for (const z of zones)
    for (const { mask, personDays } of z.bought.masks) {
      const m = out.get(mask) ?? { personDays: 0, people: new Set<string>(), crew: 0 };
      m.personDays += personDays;
      m.crew = Math.max(m.crew, z.setup.crew ?? settings.crew);
      for (const s of facts.stints) if (s.removedAt === null && s.zoneId === z.zoneId) m.people.add(s.person);
      out.set(mask, m);
    }
  const { respirators } = bookOf(facts.job);
  return [...out].map(([mask, m]) => {
    const build = respirators.find((r) => r.id === mask)?.build ?? 'half';
    return { mask, personDays: m.personDays, people: [...m.people].sort(), crew: m.crew, money: m.personDays * settings.wearPerDay[build] };
  });
}
