/** The coming days of one zone: each coat of all its faces together, the first chain, and what a day later costs. */
import { chainOf, dayLaterH, together, windowsOf, type Chain, type CoatSpec, type FaceHours, type Windows } from '../coat';
import type { Material } from '../facts';
import { METAL, TIMBER } from '../facts/vocabulary';
import type { Body, Side } from './face';
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
}
export interface CoatOutlook {
  /** What is laid with this coat, face by face. */
  readonly products: readonly CoatSpec['product'][];
  readonly windows: Windows;
}
export interface Outlook {
  readonly coats: readonly CoatOutlook[];
  readonly chain: Chain;
  readonly dayLaterH: number | null;
}

const keyOf = (s: CoatSpec, body: Body): string => `${s.product}/${Math.ceil(s.strokeH)}/${s.windMostMS}/${body}`;

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
  const hours = new Map<Body, FaceHours>();
  const hoursFor = (body: Body): FaceHours => {
    const known = hours.get(kind === 'room' ? 'timber' : body);
    if (known) return known;
    const made = kind === 'room' ? insideHours(w, place.room, place.fRsi, working) : outsideHours(w, { ...place.outside, body }, working);
    hours.set(kind === 'room' ? 'timber' : body, made);
    return made;
  };
  const reckoned = new Map<string, Windows>();
  const windowsFor = (spec: CoatSpec, body: Body): Windows => {
    const key = keyOf(spec, body);
    const known = reckoned.get(key) ?? windowsOf(hoursFor(body), spec);
    reckoned.set(key, known);
    return known;
  };
  const most = Math.max(0, ...faces.map((f) => f.specs.length));
  const coats = Array.from({ length: most }, (_, i): CoatOutlook => {
    const laid = faces.filter((f) => f.specs[i] !== undefined);
    return {
      products: [...new Set(laid.map((f) => f.specs[i]!.product))],
      windows: together([...new Set(laid.map((f) => windowsFor(f.specs[i]!, bodyOf(f.material))))]),
    };
  });
  const windows = coats.map((c) => c.windows);
  // The shortest of those that a zone's coats may stand binds the zone.
  const specs = coats.map((_, i) => {
    const ends = faces.flatMap((f) => f.specs[i]?.mostRecoatH ?? []);
    return { mostRecoatH: ends.length === 0 ? null : Math.min(...ends) };
  });
  const chain = chainOf(windows, specs, fromH);
  return { coats, chain, dayLaterH: dayLaterH(windows, specs, chain) };
}
