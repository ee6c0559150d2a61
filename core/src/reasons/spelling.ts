/**
 * English as it is written where the rules of a job come from: color and mold, or colour and mould. The tables of words are written once;
 * what a person typed is never touched, because only the tables pass through here.
 */
import { remember } from '../graph/remember';

/** Stems, so that colours, coloured and discoloured follow. */
const PAIRS: readonly (readonly [uk: string, us: string])[] = [
  ['colour', 'color'],
  ['mould', 'mold'],
  ['neighbour', 'neighbor'],
  ['vapour', 'vapor'],
  ['labour', 'labor'],
  ['harbour', 'harbor'],
  ['odour', 'odor'],
  ['grey', 'gray'],
  ['fibre', 'fiber'],
  ['metres', 'meters'],
  ['litre', 'liter'],
  ['aluminium', 'aluminum'],
  ['licence', 'license'],
  ['recognis', 'recogniz'],
  ['neutralis', 'neutraliz'],
  ['judgement', 'judgment'],
  ['programme', 'program'],
  ['white spirit', 'mineral spirits'],
];
/** Words of the US list that are British words as well. */
const ONLY_TO_US = ['license', 'meters', 'labor', 'program'];

export type Spelling = 'uk' | 'us';
interface Table {
  readonly find: RegExp;
  readonly put: ReadonlyMap<string, string>;
}
function tableFor(to: Spelling): Table {
  const pairs = PAIRS.flatMap(([uk, us]): [string, string][] => (to === 'us' ? [[uk, us]] : ONLY_TO_US.includes(us) ? [] : [[us, uk]]));
  // A laboratory is no labour, and nothing smolders in Britain.
  const stems = pairs.map(([from]) => (from === 'mold' ? 'mold' : from === 'mould' ? '(?<!s)mould' : from));
  return { find: new RegExp(`\\b(?:dis)?(${stems.join('|')})`, 'gi'), put: new Map(pairs) };
}
const TABLES: Readonly<Record<Spelling, Table>> = { uk: tableFor('uk'), us: tableFor('us') };

let now: Spelling | null = null;
const spelled = remember<string>(20_000);

/** From here on, on this page or in this thread: that of the job that is shown. */
export function spellAs(spelling: Spelling): void {
  if (spelling === now) return;
  now = spelling;
  spelled.clear();
}
export const spelling = (): Spelling | null => now;

/** A text of the product's own. */
export function spell(text: string): string {
  if (now === null) return text;
  return spelled.of(text, () => spelledOut(text, TABLES[now!]));
}

const spelledOut = (text: string, { find, put }: Table): string =>
  text.replace(find, (whole, stem: string) => {
    const other = put.get(stem.toLowerCase())!;
    // On a sign every letter is a capital.
    if (stem === stem.toUpperCase()) return whole.slice(0, whole.length - stem.length) + other.toUpperCase();
    const cased = stem.charAt(0) === stem.charAt(0).toUpperCase() ? other.charAt(0).toUpperCase() + other.slice(1) : other;
    return whole.slice(0, whole.length - stem.length) + cased;
  });
