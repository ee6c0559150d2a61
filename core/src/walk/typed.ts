/** What is typed into a cell of the table: a kind of surface, a material, coats from the top down. A few letters are enough where they say one thing. */
import { BINDERS, ELEMENT_IDS, MATERIALS, type Binder, type ElementId, type Layer, type Material, type Surface } from '../facts';
import { liveLayers } from './measure';
import { say } from '../reasons/en/vocabulary';

export type Understood<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly says: string };
const good = <T>(value: T): Understood<T> => ({ ok: true, value });
const bad = (says: string): Understood<never> => ({ ok: false, says });

const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');

/** The words that begin so; where none does, those of which a later word begins so. */
function namesLike<T extends string>(text: string, from: readonly T[]): readonly T[] {
  const typed = plain(text);
  const words = (id: T) => plain(say(id));
  const exact = from.filter((id) => words(id) === typed || id.toLowerCase() === typed);
  if (exact.length > 0 || typed === '') return exact;
  const begins = from.filter((id) => words(id).startsWith(typed));
  // Shorter names first: of door and double-hung sash "do" is the door.
  if (begins.length > 0) return [...begins].sort((a, b) => words(a).length - words(b).length);
  return from.filter((id) =>
    words(id)
      .split(/[ -]/)
      .some((w) => w.startsWith(typed)),
  );
}

/** One of a list; what could be two is asked back. */
function named<T extends string>(text: string, from: readonly T[]): Understood<T> {
  const found = namesLike(text, from);
  const list = (ids: readonly T[]) => ids.map((id) => say(id)).join(', ');
  if (found.length === 0) return bad(`“${text.trim()}” is none of: ${list(from)}.`);
  return found.length === 1 ? good(found[0]!) : bad(`“${text.trim()}” could be: ${list(found)}. Type one letter more.`);
}

/** A surface by what somebody called it: "door", "sash 3", "Door to the hall", "do". */
export function readElement(name: string): Understood<ElementId> {
  const words = plain(name)
    .replace(/[\d.,;:()]+/g, ' ')
    .trim();
  // Shorter words stand in too many names.
  const asked = [words, ...words.split(' ').filter((w) => w.length >= 4)].flatMap((w) => [w, w.replace(/s$/, '')]);
  for (const w of asked) {
    const found = namesLike(w, ELEMENT_IDS);
    if (found[0]) return good(found[0]);
  }
  return bad(
    `What is it? Name it by its kind: ${ELEMENT_IDS.slice(0, 8)
      .map((id) => say(id))
      .join(', ')} …`,
  );
}

export const readMaterial = (text: string): Understood<Material> => named(text, MATERIALS);

export interface TypedCoats {
  readonly binders: readonly Binder[];
  /** It was said that these are all, down to the material. */
  readonly counted: boolean;
}

const MOST_COATS = 40;

/** Coats from the top down: "ac, o, o", "acrylic, oil x2", "3" for three of which nothing is known; a full stop at the end says that these are all. */
export function readCoats(text: string): Understood<TypedCoats> {
  const counted = /\.\s*$/.test(text);
  const binders: Binder[] = [];
  for (const raw of text.replace(/\.\s*$/, '').split(/[,;/]/)) {
    const token = plain(raw).replace('×', 'x');
    if (token === '') continue;
    const read = /^([^\d]*?)\s*(?:x?\s*(\d+))?$/.exec(token);
    if (read === null || read[2] === '0') return bad(`“${raw.trim()}” is no coat: a kind, and how many of it, as in oil x2.`);
    const [, word = '', times = '1'] = read;
    const name = word.replace(/\bx$/, '').trim();
    const one: Understood<Binder> = name === '' || name === '?' ? good('unknown') : named(name, BINDERS);
    if (!one.ok) return one;
    for (let i = 0; i < Number(times); i += 1) binders.push(one.value);
    if (binders.length > MOST_COATS) return bad(`More than ${MOST_COATS} coats: count again.`);
  }
  return good({ binders, counted });
}

/** The coats of a surface as they are typed, so that they read back the same. */
export function coatsText(s: Pick<Surface, 'layers' | 'coatsCounted'>): string {
  const groups: { binder: Binder; n: number }[] = [];
  for (const { binder } of liveLayers(s)) {
    const last = groups.at(-1);
    if (last?.binder === binder) last.n += 1;
    else groups.push({ binder, n: 1 });
  }
  const said = groups.map((g) => (g.n === 1 ? say(g.binder) : `${say(g.binder)} ×${g.n}`)).join(', ');
  return said && s.coatsCounted ? `${said}.` : said;
}

/** Coats that stay, go and come when others are typed: what stays is what both begin with. */
export function coatsChange(
  s: Pick<Surface, 'layers'>,
  binders: readonly Binder[],
): { readonly go: readonly Layer[]; readonly come: readonly { readonly position: number; readonly binder: Binder }[] } {
  const is = liveLayers(s);
  let same = 0;
  while (same < is.length && is[same]!.binder === binders[same]) same += 1;
  const from = same === 0 ? 0 : is[same - 1]!.position + 1;
  return { go: is.slice(same), come: binders.slice(same).map((binder, i) => ({ position: from + i, binder })) };
}
