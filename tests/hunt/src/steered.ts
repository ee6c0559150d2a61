/** What is steered: cases that random records meet too rarely to prove anything by. */
import fc from 'fast-check';
import { BLANK_READING, BLANK_SAMPLE } from '../../../core/src/facts';
import { at, reached, type Fields, type Reach } from './draw';

/** A find, and a record that means to take it out: sometimes worth it, mostly wanting in one thing. */
export interface PairRecipe {
  readonly old: 'spot' | 'lab' | 'xrf';
  readonly by: 'spot' | 'lab' | 'xrf' | 'report' | 'moisture' | 'waiting' | 'withdrawn' | 'none';
  /** The find names its coat, which may be off the list since. */
  readonly names: boolean;
  readonly gone: boolean;
  /** A clear test of the whole stack from before the find. */
  readonly early: boolean;
  /** Another find, of an instrument that was held to the deepest coat alone, and a clear swab of everything beside it. */
  readonly elsewhere: boolean;
  /** Of the first: much lead, little, or none. */
  readonly says: 'much' | 'little' | 'none';
  /** Each says that it replaces the other. */
  readonly mutual: boolean;
  readonly reach: Reach;
  readonly why: string;
  readonly hoursBetween: number;
  readonly apart: boolean;
  readonly control: 'worked' | 'unsaid';
  readonly decidedBy: 'inspector' | 'renovator';
}
export const pair: fc.Arbitrary<PairRecipe> = fc.record({
  old: fc.constantFrom('spot', 'lab', 'xrf'),
  by: fc.constantFrom('spot', 'spot', 'lab', 'xrf', 'report', 'moisture', 'waiting', 'withdrawn', 'withdrawn', 'none', 'none'),
  names: fc.boolean(),
  gone: fc.constantFrom(false, false, true),
  early: fc.boolean(),
  elsewhere: fc.constantFrom(false, false, true),
  says: fc.constantFrom('much', 'much', 'little', 'none'),
  mutual: fc.constantFrom(false, false, false, true),
  reach: fc.constantFrom('face', 'allAndBelow', 'allAndBelow', 'allAndBelow'),
  why: fc.constantFrom('.', 'taken again at the same notch', 'taken again at the same notch', 'taken again at the same notch'),
  hoursBetween: fc.constantFrom(-2, 0, 1, 1),
  apart: fc.constantFrom(true, false, false, false),
  control: fc.constantFrom('worked', 'worked', 'unsaid'),
  decidedBy: fc.constantFrom('inspector', 'inspector', 'renovator'),
});

/** One clear test through everything on an old piece, valid in every way but at most one. */
const WRONGS = [
  'nothing',
  'kit',
  'control',
  'decider',
  'certificate',
  'device',
  'material',
  'face',
  'blankReach',
  'aged',
  'belowLimit',
] as const;
export interface AloneRecipe {
  /** moisture: new plaster that reads wet, and nothing else of it is known. */
  readonly by: 'spot' | 'lab' | 'xrf' | 'report' | 'moisture';
  readonly wrong: (typeof WRONGS)[number];
}
export const alone: fc.Arbitrary<AloneRecipe> = fc.record({
  by: fc.constantFrom('spot', 'spot', 'lab', 'xrf', 'xrf', 'report', 'moisture'),
  wrong: fc.constantFrom(...WRONGS),
});
export const aloneOn = ({ by, wrong }: AloneRecipe): Fields =>
  by === 'moisture'
    ? { element: 'wall', material: 'gypsumPlaster', yearMade: 2005, topcoat: null, aim: 'keepSound' }
    : { element: 'casing', material: wrong === 'material' ? 'brick' : 'softwood', yearMade: 1925, past: 'asBefore', pastWhy: '' };

export function aloneOf({ by, wrong }: AloneRecipe, id: string, coats: readonly string[]): Fields {
  const result =
    by === 'spot'
      ? { spot: 'unchanged' }
      : by === 'lab'
        ? { value: wrong === 'belowLimit' ? 0.6 : 0, unit: 'mass%', below: wrong === 'belowLimit' }
        : by === 'xrf'
          ? { value: 0, unit: 'mg/cm2', device: wrong === 'device' ? '' : 'X-1' }
          : by === 'moisture'
            ? { value: 3, unit: '%gypsum' }
            : { finding: 'noLead', file: wrong === 'device' ? '' : 'survey.pdf' };
  return {
    ...BLANK_READING,
    ...(by === 'moisture' ? {} : reached(wrong === 'face' ? 'face' : wrong === 'blankReach' ? 'nowhere' : 'allAndBelow', coats)),
    ...result,
    id: `${id}-alone`,
    kind: by,
    by: 'Tester',
    takenAt: at(wrong === 'aged' ? 14 : 6),
    kitRecognised: wrong !== 'kit',
    control: wrong === 'control' ? 'unsaid' : 'worked',
    decidedBy: wrong === 'decider' ? 'renovator' : 'inspector',
    certificate: wrong === 'certificate' ? '' : 'RA-104',
  };
}

/** Bulk samples of one suspect as an area asks for them, all negative, and one thing that may be wrong. */
export interface SetRecipe {
  readonly suspect: string;
  readonly count: number;
  readonly wrong: 'nothing' | 'duplicate' | 'sameSpot' | 'waiting' | 'doubtful' | 'positive' | 'takenBack';
  /** Somebody wants it sealed. */
  readonly sealed: boolean;
}
export const bulkSet: fc.Arbitrary<SetRecipe> = fc.record({
  suspect: fc.constantFrom('texturedCoat', 'texturedCoat', 'plaster', 'putty', 'jointCompound', 'lagging'),
  count: fc.integer({ min: 1, max: 4 }),
  wrong: fc.constantFrom('nothing', 'nothing', 'duplicate', 'sameSpot', 'waiting', 'doubtful', 'positive', 'takenBack'),
  sealed: fc.constantFrom(true, false, false, false),
});

/** An ordinary piece with nothing wrong: what is random all over is rarely what a crew meets. */
export const PLAIN: Fields = {
  conditions: [],
  blisterGrade: null,
  flakeGrade: null,
  crackGrade: null,
  chalkGrade: null,
  rustGrade: null,
  moldM2: null,
  stainM2: null,
  scrapped: false,
  opening: 'sealed',
  coatsCounted: true,
};

/** Modern paint to be taken off by a method of which a square here did harm. */
export const HARMED = { methodId: 'neutralStripper', harms: ['softened', 'scorched', 'etched'] } as const;

/** What a surface must be to hold the suspect, so that its samples speak of it. */
export const HOLDER: Readonly<Record<string, Fields>> = {
  texturedCoat: { element: 'ceiling', material: 'gypsumPlaster' },
  plaster: { element: 'wall', material: 'limePlaster' },
  putty: { element: 'doubleHungSash', material: 'softwood' },
  jointCompound: { element: 'wall', material: 'board' },
  lagging: { element: 'pipeLagging', material: 'limePlaster' },
};

export function setOf({ suspect, count, wrong }: SetRecipe, id: string, n: number): { taken: Fields[]; answers: Fields[] } {
  const odd = count - 1;
  const each = Array.from({ length: count }, (_, i) => i);
  const taken = each.map((i): Fields => ({
    ...BLANK_SAMPLE,
    id: `${id}-bulk-${i}`,
    number: `B-${n}${i}`,
    hazard: 'asbestos',
    kind: wrong === 'duplicate' && i === odd && count > 1 ? 'duplicate' : 'bulk',
    repeatsId: wrong === 'duplicate' && i === odd && count > 1 ? `${id}-bulk-0` : null,
    suspect,
    takenAt: at(1),
    takenBy: 'Tester',
    atX: wrong === 'sameSpot' && i === odd ? 0.1 : 0.1 + 0.25 * i,
    atY: 0.5,
    removedAt: null,
  }));
  const answers = each
    .filter((i) => !(wrong === 'waiting' && i === odd))
    .map((i): Fields => ({
      ...BLANK_READING,
      id: `${id}-says-${i}`,
      kind: 'bulk',
      takenAt: at(30),
      by: 'Tester',
      sampleId: `${id}-bulk-${i}`,
      value: i === odd && wrong === 'doubtful' ? 0.4 : i === odd && wrong === 'positive' ? 4 : 0,
      unit: 'mass%',
      analysis: 'plm',
    }));
  // Taken back by a record that answers no sample.
  if (wrong === 'takenBack')
    answers.push({
      ...BLANK_READING,
      id: `${id}-back`,
      kind: 'moisture',
      takenAt: at(31),
      by: 'Tester',
      value: 12,
      unit: '%MC',
      supersedesId: `${id}-says-${odd}`,
      supersedesWhy: 'the bags were mixed up',
    });
  return { taken, answers };
}

export function pairOf(p: PairRecipe, id: string, coats: readonly string[], like: Fields | undefined): Fields[] {
  const blank = {
    ...(like ?? {}),
    ...BLANK_READING,
    by: 'Tester',
    kitRecognised: true,
    control: p.control,
    decidedBy: p.decidedBy,
    certificate: 'RA-104',
  };
  const device = (kind: string) => (kind === 'xrf' ? 'X-1' : '');
  const value = (kind: string, found: PairRecipe['says']) =>
    kind === 'lab'
      ? { value: { much: 4, little: 0.03, none: 0 }[found], unit: 'mass%' }
      : kind === 'xrf'
        ? { value: { much: 2.4, little: 0.05, none: 0 }[found], unit: 'mg/cm2' }
        : kind === 'moisture'
          ? { value: 12, unit: '%MC' }
          : kind === 'spot'
            ? { spot: found === 'none' ? 'unchanged' : 'changed' }
            : { finding: 'noLead', file: 'survey.pdf' };
  const place = (x: number) => ({ atX: x, atY: 0.5 });
  const old = {
    ...blank,
    ...reached('allAndBelow', coats),
    ...value(p.old, p.says),
    changedLayerIds: p.names && p.old === 'spot' && p.says !== 'none' ? coats.slice(0, 1) : [],
    kind: p.old,
    id: `${id}-old`,
    takenAt: at(6),
    device: device(p.old),
    ...place(0.1),
  };
  const by = {
    ...blank,
    ...(p.by === 'moisture' || p.by === 'withdrawn' ? {} : reached(p.reach, coats)),
    ...(p.by === 'waiting' || p.by === 'withdrawn' ? { value: null, unit: null } : value(p.by, 'none')),
    kind: p.by === 'waiting' ? 'lab' : p.by,
    id: `${id}-by`,
    takenAt: at(6 + p.hoursBetween),
    device: device(p.by),
    supersedesId: `${id}-old`,
    supersedesWhy: p.why,
    ...place(p.apart ? 0.9 : 0.1),
  };
  const early = { ...blank, ...reached('allAndBelow', coats), kind: 'spot', spot: 'unchanged', id: `${id}-early`, takenAt: at(3) };
  const deepest = coats.at(-1);
  const elsewhere =
    p.elsewhere && deepest !== undefined && coats.length > 1
      ? [
          {
            ...blank,
            ...value('xrf', 'much'),
            reachedLayerIds: [deepest],
            kind: 'xrf',
            id: `${id}-elsewhere`,
            takenAt: at(5),
            device: 'X-1',
          },
          { ...early, id: `${id}-beside`, takenAt: at(8) },
        ]
      : [];
  const before = [...(p.early ? [early] : []), ...elsewhere];
  if (p.by === 'none') return [...before, old];
  return [...before, p.mutual ? { ...old, supersedesId: `${id}-by`, supersedesWhy: 'the other way round' } : old, by];
}
