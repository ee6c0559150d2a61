/** What is known of a method of taking a coating off, or of leaving it on. Plain data: the rules (rules.ts) judge it. */
import type { ExposureClassId } from '../rulebook';
import type { GoodId } from '../facts/goods';
import { MASONRY, METAL, PLASTER, PLASTIC, TIMBER, type Binder, type Material, type MethodId, type PartKind, type Residue } from '../facts/vocabulary';
import type { SourceId } from '../reasons';
import type { Measure } from '../units/units';

/** How deep: nothing; the skin of the top coat; whatever is loose; down to the material. */
export const BITES = ['none', 'skin', 'loose', 'bare'] as const;
export type Bite = (typeof BITES)[number];
export const biteDepth = (b: Bite): number => BITES.indexOf(b);

/** What it takes off. A method of which nothing is there is no method for the surface. */
export type Takes = 'coat' | 'texture' | 'distemper' | 'casein' | 'rust' | 'mold' | 'dirt' | 'putty';

/** What it makes beside the lead in it. */
export type Makes = 'dust' | 'fume' | 'vapour' | 'caustic' | 'acid' | 'noise' | 'vibration' | 'fire' | 'spray';
export type Needs = 'power' | 'water' | 'air' | 'drain';

/** Out of the tap, or a service: it stands on no shelf. Prices of one: round middles, from memory. */
export const NOT_BOUGHT = { water: 0.01, bathPlace: 22 } as const;
export type NotBought = keyof typeof NOT_BOUGHT;

export interface Consumable {
  readonly id: GoodId | NotBought;
  /** Per m2 of the part. */
  readonly perM2: Measure;
  /** Used up again at every pass. */
  readonly everyPass: boolean;
}

/** What a product that is laid, left and lifted needs in a round of work. Rates are one person's, at about 20 C. */
export interface Laying {
  readonly layM2PerH: number;
  readonly liftM2PerH: number;
  /** Null: nothing is rinsed on the wall. */
  readonly rinseM2PerH: number | null;
  /** Until it dries where it lies, in the shade without wind, h. */
  readonly openLifeH: number;
  /** The same under film, h. */
  readonly coveredLifeH: number;
  /** Lifted film must be rinsed while wet: within so many hours. */
  readonly rinseWithinH: number;
}

export interface Method {
  readonly id: MethodId;
  readonly takes: readonly Takes[];
  readonly bite: Bite;
  readonly suits: readonly Material[];
  /** Coats on which it is known to do little or nothing. */
  readonly failsOn: readonly Binder[];
  /** Speed on a part against flat work; a part that is missing cannot be worked with it. */
  readonly reach: Readonly<Partial<Record<PartKind, number>>>;
  readonly dust: 'none' | 'low' | 'high';
  readonly wet: boolean;
  readonly powered: boolean;
  readonly hepa: boolean;
  readonly handDry: boolean;
  readonly vapour: boolean;
  readonly caustic: boolean;
  readonly acid: boolean;
  readonly flame: boolean;
  readonly blast: 'no' | 'soft' | 'hard';
  /** Hottest that the tool gets, C; null: no heat. */
  readonly heatC: number | null;
  readonly infrared: boolean;
  readonly noisy: boolean;
  readonly shakes: boolean;
  /** Disturbs the coating at all. */
  readonly disturbs: boolean;
  readonly removesPiece: boolean;
  /** Taken down and sent away, or done in a tub. */
  readonly benchOnly: boolean;
  /** Not to be priced or issued without a trial square. */
  readonly trialFirst: boolean;
  /** Presumed exposure when the coat holds lead. 29 CFR 1926.62(d)(2). */
  readonly exposure: ExposureClassId;
  readonly leaves: readonly Residue[];
  readonly needs: readonly Needs[];
  /** Coldest face on which it works, C; null: cold does not matter. */
  readonly coldestC: number | null;
  /** On a hotter face it dries before it has worked, C; null: heat does not matter. */
  readonly hottestC: number | null;
  /** Sun or wind dries it before it has worked. */
  readonly shade: boolean;
  /** What it harms besides the coating: words in reasons/en.ts. */
  readonly harms: readonly (Material | 'glass' | 'putty' | 'glue' | 'grain' | 'detail' | 'mortar' | 'firedSkin' | 'earlyWood')[];
  /** m2 per person-hour on flats, one pass. */
  readonly rate: { readonly lowM2PerH: number; readonly highM2PerH: number };
  readonly passes: { readonly low: number; readonly high: number };
  /** Hands without which it cannot be done. */
  readonly people: 1 | 2;
  /** Goes with one pair of hands or two: one warms, one scrapes. Person-hours are the same, the days are not. */
  readonly paired: boolean;
  /** Person-hours to set up and to put away, whatever the area. */
  readonly setUpH: { readonly low: number; readonly high: number };
  /** Time that it works by itself, h, at about 20 C. */
  readonly dwellH: { readonly low: number; readonly high: number } | null;
  readonly laying: Laying | null;
  readonly consumables: readonly Consumable[];
  /** How hard it is on the old material, 0 none to 3 hard. */
  readonly harm: 0 | 1 | 2 | 3;
  readonly source: SourceId;
}

/** The parts of what is known of a method that have a source each. */
export const METHOD_FACTS = ['suits', 'bite', 'leaves', 'dwell', 'rate', 'use', 'exposure', 'harm', 'limits'] as const;
export type MethodFact = (typeof METHOD_FACTS)[number];

/** Source of one fact: rates and prices are from memory, presumed exposure is published, the rest stands with the method. */
export function sourceOf(m: Method, fact: MethodFact): SourceId {
  if (fact === 'rate' || fact === 'use') return 'mem-rates';
  if (fact === 'exposure') return 'cfr29-1926.62d2';
  return m.source;
}

const COATS: readonly Takes[] = ['coat', 'texture', 'distemper', 'casein'];
/** Methods that deal with no coating help before or after the one that does: washing, mold, rust gel, putty. */
export const isHelper = (m: Method): boolean => !m.takes.some((t) => COATS.includes(t));

export function makes(m: Method): Makes[] {
  const out: Makes[] = [];
  if (m.dust !== 'none') out.push('dust');
  if (m.heatC !== null && m.heatC > 300) out.push('fume');
  if (m.vapour) out.push('vapour');
  if (m.caustic) out.push('caustic');
  if (m.acid) out.push('acid');
  if (m.noisy) out.push('noise');
  if (m.shakes) out.push('vibration');
  if (m.flame || (m.heatC !== null && m.heatC > 150)) out.push('fire');
  if (m.blast !== 'no') out.push('spray');
  return out;
}

/** Makes dust or fume of what it goes through: on any lead at all its air is presumed, until it was sampled. 29 CFR 1926.62(d)(2). */
export const stirs = (m: Method): boolean => m.dust === 'high' || m.powered || m.handDry || m.blast !== 'no' || (m.heatC !== null && m.heatC > 150);

/** So much of it runs off that it follows the ground. */
export const pours = (m: Method): boolean => m.caustic || m.acid || m.needs.includes('water') || m.needs.includes('drain');
/** Water, slurry or a chemical of it runs down and off. */
export const runsOff = (m: Method): boolean => m.wet || m.vapour || pours(m);
/** Burns skin and eyes: shield, gloves, eyewash and water stand ready before it is opened. ANSI Z358.1. */
/** Its grit may be nut shell: an allergen, and a dust that burns. */
export const blowsNutShell = (m: Pick<Method, 'consumables'>): boolean => m.consumables.some((c) => c.id === 'softGrit');

export const burns = (m: Method): boolean => m.caustic || m.acid;
/** Its own words ask for a mask, whatever is in the coat: dried texture is dust at the first knock. */
export const neverUnmasked = (m: Method): boolean => m.id === 'textureSoak';

const GRITS: readonly MethodId[] = ['overcoat', 'wetSand', 'drySand', 'padSand', 'hepaSand', 'powerSand'];
/** Worked with abrasive sheets or discs, or scuffed with them. */
export const usesGrit = (m: Method): boolean => GRITS.includes(m.id);

const PLAIN = {
  takes: ['coat'],
  failsOn: [],
  dust: 'none',
  wet: false,
  powered: false,
  hepa: false,
  handDry: false,
  vapour: false,
  caustic: false,
  acid: false,
  flame: false,
  blast: 'no',
  heatC: null,
  infrared: false,
  noisy: false,
  shakes: false,
  disturbs: true,
  removesPiece: false,
  benchOnly: false,
  trialFirst: false,
  exposure: 'class1',
  leaves: [],
  needs: [],
  coldestC: null,
  hottestC: null,
  shade: false,
  harms: [],
  passes: { low: 1, high: 1 },
  people: 1,
  paired: false,
  setUpH: { low: 0, high: 0 },
  dwellH: null,
  laying: null,
  consumables: [],
  harm: 0,
} as const satisfies Partial<Method>;

type Given = Pick<Method, 'bite' | 'suits' | 'reach' | 'rate' | 'source'> & Partial<Method>;
export const method = (id: MethodId, given: Given): Method => ({ ...PLAIN, id, ...given });

/** What washes, scuffs or stays goes with every ground. */
export const EVERY: readonly Material[] = [...TIMBER, ...PLASTER, ...MASONRY, ...METAL, ...PLASTIC];
/** A blade goes with what does not tear. */
export const SOLID: readonly Material[] = [...TIMBER, ...PLASTER, ...MASONRY, ...METAL];
export const FERROUS: readonly Material[] = ['mildSteel', 'castIron'];
/** A hand tool goes everywhere, slower where it is fiddly. */
export const BY_HAND = {
  flat: 1,
  moulded: 0.6,
  turned: 0.5,
  carved: 0.3,
  tight: 0.4,
  besideGlass: 0.5,
  threads: 0.3,
  underside: 0.7,
  arris: 0.6,
} as const;
/** What flows or clings goes everywhere, and little slower. */
export const BY_BRUSH = {
  flat: 1,
  moulded: 0.9,
  turned: 0.8,
  carved: 0.6,
  tight: 0.6,
  besideGlass: 0.6,
  threads: 0.5,
  underside: 0.6,
  arris: 0.9,
} as const;
/** ft2/h as estimating practice gives it, in m2/h. */
export const ft2h = (low: number, high: number) => ({ lowM2PerH: low * 0.09290304, highM2PerH: high * 0.09290304 });
export const span = (low: number, high: number) => ({ low, high });
export const once = (id: Consumable['id'], value: number, unit: Measure['unit']): Consumable => ({
  id,
  perM2: { value, unit },
  everyPass: false,
});
export const eachPass = (id: Consumable['id'], value: number, unit: Measure['unit']): Consumable => ({
  ...once(id, value, unit),
  everyPass: true,
});
export const BLADES = once('blades', 0.2, 'pieces');
