/**
 * What a step is and what a hold point is, as data: what is done, and on what. Its text is what records, files and the log carry, and is read
 * for ever: a text that was ever written is brought back to its key here, older ones that named less included.
 */
import { METHOD_IDS, NEARBY, PART_KINDS, REPAIRS, RESIDUES, SIGNS } from './vocabulary';

/** What a key may name, in the order of its text. A list: one of these words. Null: any text, to the end. */
const SLOTS = {
  part: PART_KINDS,
  method: METHOD_IDS,
  half: ['coarse'],
  residue: RESIDUES,
  repair: REPAIRS,
  near: NEARBY,
  when: ['before', 'after'],
  sign: SIGNS,
  access: ['ladder', 'platform', 'tower', 'scaffold'],
  what: ['breakThrough', 'spill', 'tornSheet', 'wind', 'newFind'],
  /** A mask of a rulebook, or dress alone. */
  wear: null,
  product: null,
  machine: null,
  nth: null,
} as const satisfies Record<string, readonly string[] | null>;
type Slot = keyof typeof SLOTS;
type Word<N extends Slot> = (typeof SLOTS)[N] extends readonly (infer W)[] ? W : string;

/** Steps of a surface, of its zone, of the job. A question mark: where it is not the main one, or the only one. */
const STEPS = {
  ask: 'ask',
  leave: 'leave',
  prepare: 'prepare',
  service: 'service.{when}',
  fittings: 'fittings',
  maskStrokes: 'mask.strokes',
  unmaskStrokes: 'unmask.strokes',
  wash: 'wash',
  remove: 'remove.{part}.{method?}.{half?}',
  between: 'between.{residue}.{part}.{method}.{half?}',
  rinse: 'rinse.{residue}',
  salts: 'salts',
  dry: 'dry',
  check: 'check',
  fill: 'repair',
  askRepair: 'repair.ask',
  rebate: 'rebate.{repair}',
  mend: 'repair.{repair}',
  level: 'level',
  askLevel: 'level.ask',
  lastWipe: 'lastWipe',
  askCoat: 'coat.ask',
  maskCoats: 'mask.coats',
  mist: 'mist.{product}',
  prime: 'prime.{product}',
  coat: 'coat.{product}',
  unmask: 'unmask',
  giveBack: 'giveBack',
  asbestosStays: 'asbestosStays',
  protect: 'protect',
  daily: 'daily',
  cleanUp: 'cleanUp',
  verify: 'verify',
  clearance: 'clearance',
  release: 'release',
  papers: 'papers',
  buy: 'buy',
  handOver: 'handOver',
} as const;

/** Hold points and reminders, what happened on a place, and what was taken back. */
const HOLDS = {
  adhesion: 'adhesion',
  airRuns: 'air-runs',
  alarmCovered: 'alarm-covered',
  alarmUncovered: 'alarm-uncovered',
  apart: 'apart',
  asFound: 'as-found',
  asbestosBeside: 'asbestos-beside',
  asbestosEntered: 'asbestos-entered',
  bare: 'bare.{part}.{method}',
  biocideGone: 'biocide-gone',
  biocideReady: 'biocide-ready',
  breathingAir: 'breathing-air',
  burnsReady: 'burns-ready',
  causeCured: 'cause-cured',
  chalk: 'chalk',
  cleanBefore: 'clean.{residue}.before.{part}.{method}.{half?}',
  clean: 'clean.{residue}',
  cleaned: 'cleaned',
  clearance: 'clearance',
  coatAir: 'coat-air.{product}',
  containmentUp: 'containment-up',
  dewPoint: 'dew-point',
  dryBefore: 'dry.before.{part}.{method}.{half?}',
  dustGone: 'dust-gone',
  dustKept: 'dust-kept',
  edgesHold: 'edges-hold.{part}.{method}',
  event: 'event.{what}',
  fibresGone: 'fibres-gone',
  fibresReady: 'fibres-ready',
  fireWatch: 'fire-watch',
  flamesOut: 'flames-out',
  gasTight: 'gas-tight',
  gasTightOf: 'gas-tight.{when}',
  glassEased: 'glass-eased.{repair}',
  goodsClear: 'goods-clear',
  goodsTold: 'goods-told',
  growthOne: 'growth-sheet',
  growthTwo: 'growth-sheet.two',
  handedOver: 'handed-over',
  heatApart: 'heat-apart',
  heaterCold: 'heater-cold',
  heaterWaited: 'heater-waited',
  hotClear: 'hot-clear',
  kitOn: 'kit-on.{wear}',
  access: 'access.{access}',
  lockedOut: 'locked-out',
  machine: 'machine.{machine}',
  mistKept: 'mist-kept.{product}',
  mistWind: 'mist-wind.{product}',
  moisture: 'moisture',
  moldClean: 'mold-clean.{part}.{method?}',
  near: 'near.{near}',
  nests: 'nests',
  papers: 'papers',
  pieceCold: 'piece-cold',
  poisonGone: 'poison-gone',
  poisonReady: 'poison-ready',
  profile: 'profile',
  puttySkin: 'putty-skin.{repair}',
  rags: 'rags',
  rebateDry: 'rebate-dry.{repair}',
  released: 'released',
  repairAnswered: 'repair-answered',
  repaired: 'repaired.{repair}',
  saltsGone: 'salts-gone',
  seen: 'seen.{sign}.{nth}',
  siliconeGone: 'silicone-gone',
  smokeDaily: 'smoke-daily',
  softGrit: 'soft-grit',
  stainDry: 'stain-dry',
  stillSound: 'still-sound',
  strokesUnmasked: 'strokes-unmasked',
  ventsOpen: 'vents-open',
  verified: 'verified',
  washed: 'washed',
  wind: 'wind',
  wipeAir: 'wipe-air',
  wiringDead: 'wiring-dead',
  withdrawn: 'withdrawn',
} as const;

type Named<T extends string> = T extends `${string}{${infer N}}${infer R}` ? N | Named<R> : never;
type Needed<T extends string> = Extract<Exclude<Named<T>, `${string}?`>, Slot>;
type Optional<T extends string> = Extract<Named<T> extends infer N ? (N extends `${infer S}?` ? S : never) : never, Slot>;
type Of<T extends string> = { readonly [N in Needed<T>]: Word<N> } & { readonly [N in Optional<T>]?: Word<N> | undefined };
/** Names whose text is always the same. */
type Plain<Texts> = { [D in keyof Texts]: Texts[D] extends `${string}{${string}` ? never : D }[keyof Texts];

export type StepName = keyof typeof STEPS;
export type HoldName = keyof typeof HOLDS;
export type StepKey = { [D in StepName]: { readonly step: D } & Of<(typeof STEPS)[D]> }[StepName];
export type HoldKey = { [D in HoldName]: { readonly hold: D } & Of<(typeof HOLDS)[D]> }[HoldName];
/** A step or hold point that names nothing is its own name. */
export type StepAt = Plain<typeof STEPS> | StepKey;
export type HoldAt = Plain<typeof HOLDS> | HoldKey;
export type EventName = (typeof SLOTS)['what'][number];
/** As it was read: an older text may name less than one of today. */
export type ReadHold = { [D in HoldName]: { readonly hold: D } & Partial<Of<(typeof HOLDS)[D]>> }[HoldName];

export const HOLD_NAMES = Object.keys(HOLDS) as HoldName[];
export const EVENTS = SLOTS.what;

interface Layout {
  /** Words as they are, and slots. */
  readonly pieces: readonly { readonly word: string; readonly slot: Slot | null }[];
  readonly reads: RegExp;
}

function layoutOf(text: string): Layout {
  const pieces = text.split('.').map((word) => ({ word, slot: (/^\{(\w+)\??\}$/.exec(word)?.[1] ?? null) as Slot | null }));
  const reads = pieces.map(({ word, slot }, i) => {
    if (slot === null) return `${i === 0 ? '' : '\\.'}${word}`;
    const words = SLOTS[slot];
    // A text of another day may end before it has named all of it: `bare.flat` said nothing of the method.
    return `(?:\\.(?<${slot}>${words === null ? '.+' : words.join('|')}))?`;
  });
  return { pieces, reads: new RegExp(`^${reads.join('')}$`) };
}
const layouts = <N extends string>(of: Readonly<Record<N, string>>): ReadonlyMap<N, Layout> =>
  new Map((Object.keys(of) as N[]).map((n) => [n, layoutOf(of[n])]));
const STEP_LAYOUTS = layouts(STEPS);
const HOLD_LAYOUTS = layouts(HOLDS);

function textOf({ pieces }: Layout, key: object): string {
  let out = '';
  for (const { word, slot } of pieces) {
    const said = slot === null ? word : (key as Readonly<Record<string, string | undefined>>)[slot];
    if (said !== undefined) out += out === '' ? said : `.${said}`;
  }
  return out;
}

const plainSteps = new Map(Object.keys(STEPS).map((step) => [step, { step } as StepKey]));
const plainHolds = new Map(Object.keys(HOLDS).map((hold) => [hold, { hold } as HoldKey]));
export const stepKey = (at: StepAt): StepKey => (typeof at === 'string' ? plainSteps.get(at)! : at);
export const holdKey = (at: HoldAt): HoldKey => (typeof at === 'string' ? plainHolds.get(at)! : at);
/** As screens and reports name it. */
export const stepText = (key: StepKey): string => textOf(STEP_LAYOUTS.get(key.step)!, key);
/** As records, files and the log carry it. */
export const holdText = (key: HoldKey): string => textOf(HOLD_LAYOUTS.get(key.hold)!, key);

/** Those that always say the same come first: `repair.ask` is no repair by that name. */
const READING = [...HOLD_LAYOUTS].sort(([, a], [, b]) => Number(a.pieces.some((p) => p.slot)) - Number(b.pieces.some((p) => p.slot)));
const known = new Map<string, ReadHold | null>();
/** More texts than any log holds of different ones; beyond, each is read anew. */
const MOST_KNOWN = 5000;

/** @returns the hold point of which a record speaks; null: no Rough Sill ever wrote such a text */
export function readHold(text: string): ReadHold | null {
  const before = known.get(text);
  if (before !== undefined) return before;
  let read: ReadHold | null = null;
  for (const [hold, { reads }] of READING) {
    const found = reads.exec(text);
    if (!found) continue;
    read = { hold, ...Object.fromEntries(Object.entries(found.groups ?? {}).filter(([, v]) => v !== undefined)) } as ReadHold;
    break;
  }
  if (known.size < MOST_KNOWN) known.set(text, read);
  return read;
}
