/** Every code that a language has a word for: one that is forgotten does not compile. A code of small letters alone is its own word. */
import type { EventName, HoldName } from '../facts/step-key';
import type * as vocabulary from '../facts/vocabulary';

type Lists = typeof vocabulary;
/** Lists whose words stand under a name of their own, for one of their codes means something else elsewhere. */
interface Named {
  readonly CERTIFICATES: 'certificate';
  readonly COLD_FACES: 'coldFace';
  readonly COPY_WAYS: 'copy';
  readonly FILTERS: 'filter';
  readonly JOB_STATES: 'jobState';
  readonly CLIENT_LANGUAGES: 'language';
  readonly MACHINE_KINDS: 'machine';
  readonly NEARBY: 'near';
  readonly OPENING_USES: 'opening';
  readonly REPAIRS: 'repair';
  readonly SHEET_FILTERS: 'filter';
  readonly WASTE_STREAMS: 'stream';
}
/** Units, and the letters of the walls: told as they are. What stands mixed the bench tells, in the languages of its labels (prepare/words). */
type AsTheyAre = 'POT_IDS' | 'MOISTURE_UNITS' | 'READING_UNITS' | 'LAB_UNITS' | 'WALLS' | 'EDITION_IDS';

type CodesOf<K extends keyof Lists> = Lists[K] extends readonly (infer X extends string)[] ? X : never;
type Capital<X extends string> = X extends Lowercase<X> ? never : X;

export type Code =
  | { [K in Exclude<keyof Lists, keyof Named | AsTheyAre>]: Capital<CodesOf<K>> }[Exclude<keyof Lists, keyof Named | AsTheyAre>]
  | { [K in keyof Named]: `${Named[K]}.${CodesOf<K>}` }[keyof Named]
  | `hold.${HoldName}`
  | `event.${EventName}`;

/** The words of one language; beside the codes of what is recorded stand those of what is derived. */
export type Words = Readonly<Record<Code, string>> & Readonly<Record<string, string>>;
