/** The coming days of one zone: each coat of all its faces together, the first chain, and what a day later costs. */
import { chainOf, dayLaterH, together, windowsOf, type Chain, type CoatSpec, type FaceHours, type Windows } from '../coat';
import type { Material } from '../facts';
import { METAL, TIMBER } from '../facts/vocabulary';
import type { Body, Shade, Side } from './face';
import { insideHours, outsideHours, type Working } from './forecast';
import type { RoomDuring } from './room';
import type { Weather } from './weather';

/** What a person tells of a place, beside its weather. */
export interface PlaceDuring {
  readonly outside: Omit<Side, 'body'>;
  readonly room: RoomDuring;
  /** Of its coldest wall; 1: an inside wall. */
  readonly fRsi: number;
}

/** What lies under the paint, for how fast its face follows the sun. */
export const bodyOf = (material: Material): Body =>
  (TIMBER as readonly Material[]).includes(material) ? 'timber' : (METAL as readonly Material[]).includes(material) ? 'thin' : 'masonry';

export interface CoatedFace {
  readonly surfaceId: string;
  readonly name: string;
  readonly material: Material;
  readonly specs: readonly CoatSpec[];
  /** By its wanted color; null: as the place was told. */
  readonly shade: Shade | null;
  /** Bare ground that may stand so long without its first coat, h; null: it is not bare, or keeps. */
  readonly bareMostH: number | null;
}
/**
 * Bare ground without a coat, h: after it what lies on it is taken off once more. Timber: NPS Preservation Brief 10; bright steel rusts the
 * same day: common practice.
 */
const BARE_MOST_H = { timber: 48, steel: 8 } as const;
export const bareMostH = (material: Material, left: 'bare' | 'partly' | 'coated'): number | null => {
  if (left === 'coated') return null;
  if (TIMBER.includes(material)) return BARE_MOST_H.timber;
  return material === 'mildSteel' || material === 'castIron' ? BARE_MOST_H.steel : null;
};
export interface CoatOutlook {
  /** What is laid with this coat, face by face. */
  readonly products: readonly CoatSpec['product'][];
  readonly windows: Windows;
}
export interface Outlook {
  readonly coats: readonly CoatOutlook[];
  readonly chain: Chain;
  readonly dayLaterH: number | null;
  /** What stands bare too long before its first coat, and how long. */
  readonly bareTooLong: readonly { readonly name: string; readonly stoodH: number; readonly mostH: number }[];
}

type Ground = `${Body}/${Shade}`;
const keyOf = (s: CoatSpec, ground: Ground): string => `${s.product}/${Math.ceil(s.strokeH)}/${s.windMostMS}/${ground}`;

/**
 * @param faces of one zone; faces with fewer coats are ready earlier and wait for nobody
 * @param fromH hour from which the first coat may be thought of: what comes before it has to be done and proved by then
 * @returns no coats where nothing is laid
 */
export function outlookOf(
  w: Weather,
  kind: 'room' | 'elevation',
  faces: readonly CoatedFace[],
  place: PlaceDuring,
  working: Working,
  fromH = 0,
): Outlook {
  const hours = new Map<Ground, FaceHours>();
  const hoursFor = (ground: Ground): FaceHours => {
    const known = hours.get(ground);
    if (known) return known;
    const [body, shade] = ground.split('/') as [Body, Shade];
    const made =
      kind === 'room' ? insideHours(w, place.room, place.fRsi, working) : outsideHours(w, { ...place.outside, body, shade }, working);
    hours.set(ground, made);
    return made;
  };
  // Indoors no sun tells one ground from another.
  const groundOf = (f: CoatedFace): Ground => (kind === 'room' ? 'timber/mid' : `${bodyOf(f.material)}/${f.shade ?? place.outside.shade}`);
  const reckoned = new Map<string, Windows>();
  const windowsFor = (spec: CoatSpec, ground: Ground): Windows => {
    const key = keyOf(spec, ground);
    const known = reckoned.get(key) ?? windowsOf(hoursFor(ground), spec);
    reckoned.set(key, known);
    return known;
  };
  const most = Math.max(0, ...faces.map((f) => f.specs.length));
  const coats = Array.from({ length: most }, (_, i): CoatOutlook => {
    const laid = faces.filter((f) => f.specs[i] !== undefined);
    return {
      products: [...new Set(laid.map((f) => f.specs[i]!.product))],
      windows: together([...new Set(laid.map((f) => windowsFor(f.specs[i]!, groundOf(f))))]),
    };
  });
  const windows = coats.map((c) => c.windows);
  // The shortest of those that a zone's coats may stand binds the zone.
  const specs = coats.map((_, i) => {
    const ends = faces.flatMap((f) => f.specs[i]?.mostRecoatH ?? []);
    return { mostRecoatH: ends.length === 0 ? null : Math.min(...ends) };
  });
  const chain = chainOf(windows, specs, fromH);
  const first = chain.coats[0];
  // It was made ready in the hours of work of its day, not at midnight.
  const stoodH = first ? first.startH - fromH - working.from : 0;
  const bareTooLong = faces.flatMap(({ name, bareMostH: mostH }) => (mostH !== null && stoodH > mostH ? [{ name, stoodH, mostH }] : []));
  return { coats, chain, dayLaterH: dayLaterH(windows, specs, chain), bareTooLong };
}
