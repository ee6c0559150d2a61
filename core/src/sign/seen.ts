/**
 * What was seen at the strokes and coats of a surface, folded in its order of time into what it changes: litres, hours, the clock, what is
 * looked at again. Pure; a record that contradicts what is known changes nothing but stops the work until somebody says which is wrong.
 */
import { METAL, PLASTER, TIMBER, type Extent, type MethodId, type Sign, type SignId, type Surface } from '../facts';
import { methodById, type Method } from '../catalogue';
import { isPresent, type HazardState } from '../probe';
import { why, type Reason } from '../reasons';
import { liveLayers, liveParts } from '../walk';
import type { SeenAt } from '../step';
import { SIGN_DATA, type SignPlace, type SignSpec } from '../catalogue/signs';

/** A hand's breadth and what is round it, m2. Common practice, no published source. */
export const SPOT_M2 = 0.1;
const SHARE: Readonly<Record<Extent, number>> = { spot: 0, half: 0.5, whole: 1 };
export const extentM2 = (extent: Extent, areaM2: number): number =>
  extent === 'spot' ? Math.min(SPOT_M2, areaM2) : SHARE[extent] * areaM2;

/**
 * Beyond the most passes that were planned: after so many more over the whole part, the method has reached its end. Other spots of one part
 * are other places. Common practice, no published source.
 */
export const AGAIN_MOST = 2;

const PLACES: readonly (readonly [SignPlace, readonly MethodId[]])[] = [
  ['gel', ['solventGel', 'neutralStripper']],
  ['caustic', ['causticPoultice', 'causticReady', 'causticBath']],
  ['milk', ['milkPowder']],
  ['stone', ['masonryStripper', 'masonryKit']],
  ['heat', ['infrared', 'heatGun', 'torch']],
  ['steam', ['steam']],
  ['scrape', ['wetScrapeLoose', 'dryScrapeLoose', 'wetScrapeBare']],
  ['sand', ['wetSand', 'drySand', 'padSand', 'hepaSand', 'powerSand']],
  ['scuff', ['overcoat']],
  ['soak', ['distemperWash', 'textureSoak']],
  ['wash', ['washDegrease']],
  ['mold', ['moldWash', 'moldBiocide', 'moldBleach']],
  ['putty', ['puttyCut', 'puttyWarm']],
  ['rust', ['wireBrush', 'drillBrush', 'nylonWheel', 'flapDisc', 'needleGun']],
  ['rustGel', ['rustGel']],
  ['blast', ['softBlast', 'sodaBlast', 'spongeBlast', 'hardBlast', 'sweepBlast', 'vacuumBlast']],
  ['seal', ['thickPrimer', 'encapsulate']],
];
/** Null: nothing is seen by which one would go on or stop. */
export const placeOf = (id: MethodId): SignPlace | null => PLACES.find(([, ids]) => ids.includes(id))?.[0] ?? null;

const placesAt = (at: SeenAt): readonly SignPlace[] => {
  if ('check' in at) return ['check'];
  if ('coat' in at) return at.sprayed ? ['coat', 'mist'] : ['coat'];
  const place = placeOf(at.stroke);
  return place === null ? [] : [place];
};

/** Whether it can be there at all: by the material, the tool and what stands beside it. */
function fits(spec: SignSpec, s: Surface, m: Method | null): boolean {
  switch (spec.needs) {
    case 'timber':
      return TIMBER.includes(s.material);
    case 'metal':
      return METAL.includes(s.material);
    case 'plaster':
      return PLASTER.includes(s.material);
    case 'glass':
      return s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass');
    case 'wet':
      return m === null || !m.powered;
    case 'powered':
      return m !== null && m.powered;
    default:
      return true;
  }
}

/** The signs that may be seen at a step of this surface, in the order of the list. */
export function signsAt(s: Surface, at: SeenAt): SignId[] {
  const m = 'stroke' in at ? methodById(at.stroke) : null;
  return idsAt(placesAt(at)).filter((id) => fits(SIGN_DATA[id], s, m));
}

/** There are a dozen kinds of places, and every step of a house asks. */
const byPlaces = new Map<string, readonly SignId[]>();
function idsAt(places: readonly SignPlace[]): readonly SignId[] {
  const key = places.join();
  let made = byPlaces.get(key);
  if (!made)
    byPlaces.set(key, (made = (Object.keys(SIGN_DATA) as SignId[]).filter((id) => SIGN_DATA[id].at.some((p) => places.includes(p)))));
  return made;
}

/** What the record says against it: a film where none is left, an older coat under a single one. */
function against(spec: SignSpec, s: Surface, at: SeenAt): Reason | null {
  const coats = liveLayers(s).length;
  if ((spec.needs === 'film' || spec.needs === 'older') && s.coatsCounted && coats === 0)
    return why('seen.bareRecord', 'job-record', {}, 'care');
  // Between new coats any old one is older.
  if (spec.needs === 'older' && !('coat' in at) && s.coatsCounted && coats === 1) return why('seen.oneCoat', 'job-record', {}, 'care');
  return null;
}

export interface Seen {
  readonly record: Sign;
  readonly sign: SignId;
  readonly spec: SignSpec;
  readonly areaM2: number;
  /** The how-manyeth of its sign on the surface, those that were taken back counted, and where it is, when it is at several steps: a check is named by it, and keeps its name. */
  readonly nth: string;
  /** Why it does not set going what it usually would: then nothing goes on there before somebody decided. Null: it does. */
  readonly held: Reason | null;
}

const isAt = (r: Sign, at: SeenAt): boolean =>
  'check' in at
    ? r.methodId === null && r.product === null
    : 'coat' in at
      ? r.product === at.coat
      : r.methodId === at.stroke && (r.partId === null || r.partId === at.partId);

const inTime = (records: readonly Sign[]): Sign[] =>
  [...records].sort((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt) || (a.id < b.id ? -1 : 1));

/** What decides whether a sign may set going what it usually would. */
export interface SeenTold {
  /** A coat that may hold asbestos. */
  readonly suspect: boolean;
  readonly leadPresent: boolean;
}

const DOES_MORE = ['again', 'wet', 'relay'] as const;
const asksMore = (spec: SignSpec): boolean => (DOES_MORE as readonly string[]).includes(spec.act.does);

const isEnd = (x: Seen): boolean => x.spec.act.does === 'end' && x.held === null;
const sumM2 = (xs: readonly Seen[]): number => xs.reduce((sum, x) => sum + x.areaM2, 0);
/**
 * What of the part has not reached its end, m2: a spot that has leaves the rest open. A coat that is even is left alone only until the next
 * may go on.
 */
function openM2(at: SeenAt, before: readonly Seen[], whenH: number): number {
  const ends = before.filter((x) => isEnd(x) && (!('coat' in at) || whenH - Date.parse(x.record.takenAt) / 3_600_000 < at.recoatH.low));
  return ends.length === 0 ? Math.max(at.areaM2, Number.MIN_VALUE) : Math.max(0, at.areaM2 - sumM2(ends) - 1e-9);
}

/** Why one that comes after `before` sets going nothing. @param whenH hours since the epoch */
function heldBy(
  id: SignId,
  s: Surface,
  at: SeenAt,
  before: readonly Seen[],
  { suspect, leadPresent }: SeenTold,
  whenH: number,
): Reason | null {
  const spec = SIGN_DATA[id];
  const contradiction = against(spec, s, at);
  if (contradiction) return contradiction;
  if (spec.rubs && suspect) return why('seen.noRub', 'job-record', {}, 'block', 'hazard');
  if (spec.act.does === 'relay' && leadPresent && s.count > 1) return why('seen.relayApart', 'trade-seen', {}, 'block', 'hazard');
  if (!asksMore(spec)) return null;
  if (openM2(at, before, whenH) <= 0) {
    const ended = before.findLast(isEnd)!;
    return why('seen.ended', 'trade-seen', { sign: ended.sign }, 'block');
  }
  const passes = at.areaM2 > 0 ? sumM2(before.filter((x) => x.spec.act.does === 'again' && x.held === null)) / at.areaM2 : 0;
  if (spec.act.does === 'again' && 'stroke' in at && passes >= AGAIN_MOST - 1e-9)
    return why('seen.loop', 'trade-seen', { times: Math.round(passes) }, 'block');
  return null;
}

/** One record may be at several steps: its part was not said, or its stroke is done in two halves. Each has a check of its own. */
function nameOf(record: Sign, all: readonly Sign[], s: Surface, at: SeenAt): string {
  const n = all.filter((r) => r.sign === record.sign).indexOf(record) + 1;
  if (!('stroke' in at)) return String(n);
  const part = record.partId === null && liveParts(s).length > 1 ? `.${at.partId}` : '';
  return `${n}${part}${at.half === 'final' ? '.final' : ''}`;
}

/** What was seen at one step, each with what it comes to. */
export function seenAt(s: Surface, at: SeenAt, told: SeenTold): Seen[] {
  const possible = signsAt(s, at);
  const all = inTime(s.signs);
  const gone = new Set(s.signs.map((r) => r.supersedesId));
  const out: Seen[] = [];
  for (const record of all) {
    if (gone.has(record.id)) continue;
    if (!isAt(record, at) || record.sign === 'withdrawn' || !possible.includes(record.sign)) continue;
    const sign = record.sign;
    const whenH = Date.parse(record.takenAt) / 3_600_000;
    const spec = SIGN_DATA[sign];
    const held = heldBy(sign, s, at, out, told, whenH);
    const areaM2 = extentM2(record.extent, at.areaM2);
    out.push({
      record,
      sign,
      spec,
      // What has reached its end is not gone over with the rest.
      areaM2: asksMore(spec) && held === null ? Math.min(areaM2, openM2(at, out, whenH)) : areaM2,
      nth: nameOf(record, all, s, at),
      held,
    });
  }
  return out;
}

export interface Offer {
  readonly sign: SignId;
  readonly spec: SignSpec;
  /** What it means and what comes next. */
  readonly says: Reason;
  /** Why it would set going nothing now; null: it may be told. */
  readonly refused: Reason | null;
}

/** The signs of a step as they may be told now, beside those that were. */
export function offersAt(s: Surface, at: SeenAt, told: SeenTold, now: Date): Offer[] {
  const before = seenAt(s, at, told);
  return signsAt(s, at).map((sign) => ({
    sign,
    spec: SIGN_DATA[sign],
    says: why(`sign.${sign}`, 'trade-seen'),
    refused: heldBy(sign, s, at, before, told, now.getTime() / 3_600_000),
  }));
}

/** From the pictures of a surface. */
export const seenTold = (plan: {
  readonly asbestos: { readonly coat: { readonly value: HazardState } };
  readonly lead: { readonly overall: { readonly value: HazardState } };
}): SeenTold => ({ suspect: isPresent(plan.asbestos.coat.value), leadPresent: isPresent(plan.lead.overall.value) });
