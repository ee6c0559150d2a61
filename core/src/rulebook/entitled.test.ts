/** What entitles to paid lead work on the day, and the edition of the rules that a job is pinned to. */
import { createHash } from 'node:crypto';
import type { Person } from '../facts';
import { createDeriver } from '../job/derive';
import { WORDS } from '../reasons';
import { aFacts, aLayer, aPart, aReading, aSurface, COATS, THIS_YEAR } from '../testing';
import {
  bookOf,
  certificatesOut,
  certificateSays,
  DEFAULT_SETTINGS,
  editionChanges,
  EDITIONS,
  editionSays,
  entitledOn,
  RULEBOOKS,
  type EditionSays,
  type FirmSettings,
  type Rulebook,
} from './index';

const renovator = (until: string | null, over: Partial<Person> = {}): Person => ({
  id: 'ada',
  name: 'Ada',
  certificates: [{ kind: 'renovator', number: 'R-1', until }],
  fitTests: [],
  training: [],
  removedAt: null,
  ...over,
});

// 40 CFR 745.89, 745.90.
test.each([
  ['nothing said', {}, 'yes'],
  ['the last day itself', { certifiedUntil: '2026-05-04' }, 'yes'],
  ['a day too late', { certifiedUntil: '2026-05-03' }, 'ranOut'],
  ['no certificate', { certified: false, certifiedUntil: '2027-01-01' }, 'none'],
  ['a renovator to the day', { people: [renovator('2026-05-04')] }, 'yes'],
  ['a renovator too late', { people: [renovator('2026-05-03')] }, 'renovatorRanOut'],
  ['people of whom nothing is kept', { people: [renovator(null, { certificates: [] })] }, 'yes'],
  [
    'certificates, and no renovator’s',
    { people: [renovator(null, { certificates: [{ kind: 'firstAid', number: '', until: null }] })] },
    'noRenovator',
  ],
  [
    'one who left',
    { people: [renovator(null, { removedAt: '2026-01-01T00:00:00.000Z' }), renovator('2025-01-01', { id: 'bo' })] },
    'renovatorRanOut',
  ],
] as const)('%s', (_what, over, want) => {
  expect(entitledOn({ ...DEFAULT_SETTINGS, ...(over as Partial<FirmSettings>) }, '2026-05-04', THIS_YEAR)).toBe(want);
});

// By now means by now: the first day of work may lie behind. 40 CFR 745.89, 745.90.
test('a certificate that has run out today is out, though it held on the first day', () => {
  const held = { ...DEFAULT_SETTINGS, certifiedUntil: '2026-06-01' };
  expect([
    entitledOn({ ...held, today: '2026-05-20' }, '2026-05-04', THIS_YEAR),
    entitledOn({ ...held, today: '2026-06-02' }, '2026-05-04', THIS_YEAR),
    entitledOn({ ...held, today: '2026-06-02' }, null, THIS_YEAR),
    entitledOn({ ...held, today: '2026-05-20' }, '2026-06-02', THIS_YEAR),
  ]).toEqual(['yes', 'ranOut', 'ranOut', 'ranOut']);
});

// The last day itself still counts; what ran out is told against today where that is later than the first day.
test('certificates that do not last are told, each with its last day', () => {
  const held = { ...DEFAULT_SETTINGS, certifiedUntil: '2026-05-04', people: [renovator('2026-06-30')] };
  const told = (startOn: string | null, today: string, rulebook: 'us' | 'uk' = 'us') =>
    certificatesOut(held, { rulebook, startOn }, today).map((c) => certificateSays(c, startOn, today));
  expect(told('2026-05-04', '2026-04-01')).toEqual([]);
  expect(told('2026-05-05', '2026-04-01')).toEqual([
    'The firm’s certificate for lead work: runs out on 2026-05-04, before the first day, 2026-05-05.',
  ]);
  expect(told('2026-05-01', '2026-07-01')).toEqual([
    'The firm’s certificate for lead work: ran out on 2026-05-04.',
    'Ada, renovator for lead-safe work: ran out on 2026-06-30.',
  ]);
  expect(told(null, '2026-07-01', 'uk')).toEqual(['Ada, renovator for lead-safe work: ran out on 2026-06-30.']);
});

const lead = aSurface({
  parts: [aPart('flat', 'wetScrapeLoose')],
  readings: [aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true })],
  layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
  lengthM: 12,
  widthM: 1,
});
const blocksOn = (over: Partial<FirmSettings>, startOn: string | null) =>
  createDeriver()
    .derive(aFacts(lead, { job: { startOn } }), { ...DEFAULT_SETTINGS, ...over }, THIS_YEAR)
    .surfaces[0]!.choice.parts[0]!.options.find((o) => o.methodId === 'wetScrapeLoose')!
    .because.filter((r) => r.effect === 'block')
    .map((r) => r.rule);
test('what has run out by the first day holds the work up, and moving the first day frees it', () => {
  const until = { certifiedUntil: '2026-05-04' };
  expect(blocksOn(until, '2026-05-05')).toEqual(['lead.certificateRanOut']);
  expect(blocksOn(until, '2026-05-04')).toEqual([]);
  expect(blocksOn({ people: [renovator('2026-05-04')] }, '2026-05-05')).toEqual(['lead.noRenovator']);
});

// 40 CFR 745.227(e)(8) as amended in 2021 and in 2024: from memory.
test('a job stays on its edition until somebody takes the newer over, which names each limit that moves', () => {
  const old = { rulebook: 'us', edition: 'us-2021' } as const;
  expect(bookOf(old).dustAction!.floor.is.value).toBe(10);
  const value = (x: EditionSays | null) => (x === null || typeof x === 'string' ? x : 'apf' in x ? x.apf : x.is.value);
  const changes = (was: Rulebook, is: Rulebook) => editionChanges(was, is).map((c) => [c.what, value(c.was), value(c.is)]);
  expect(changes(bookOf(old), RULEBOOKS.us)).toEqual([
    ['limit.dustAction.floor', 10, 5],
    ['limit.dustAction.sill', 100, 40],
    ['limit.dustAction.trough', 400, 100],
  ]);
  expect(editionChanges(RULEBOOKS.uk, RULEBOOKS.uk)).toEqual([]);
  // What one of them has no limit for is told both ways.
  expect(changes(RULEBOOKS.uk, RULEBOOKS.us)).toContainEqual(['limit.dustAction.floor', null, 5]);
  expect(changes(RULEBOOKS.us, RULEBOOKS.uk)).toContainEqual(['limit.dustAction.floor', 5, null]);
  // So is a mask that an edition no longer counts on, or counts on for less, and how cleaning is proved.
  const [half, ...rest] = RULEBOOKS.us.respirators;
  expect(changes(RULEBOOKS.us, { ...RULEBOOKS.us, respirators: rest })).toEqual([['halfMask', 10, null]]);
  expect(changes(RULEBOOKS.us, { ...RULEBOOKS.us, verifiedBy: 'cloth', respirators: [{ ...half!, apf: 5 }, ...rest] })).toEqual([
    ['halfMask', 10, 5],
    ['limit.verifiedBy', 'card', 'cloth'],
  ]);
  // Of another rulebook, or of none: what held when jobs began to be pinned.
  for (const edition of [null, 'uk-2012']) expect(bookOf({ rulebook: 'us', edition }).editionId).toBe('us-2026');
  for (const all of Object.values(EDITIONS)) expect([...all].sort((a, b) => a.since.localeCompare(b.since))).toEqual(all);
});
test('all that an edition says has a name to be told by', () => {
  const codes = Object.values(EDITIONS).flatMap((all) => all.flatMap((b) => [...editionSays(b).keys()]));
  expect(codes.filter((c) => WORDS[c] === undefined)).toEqual([]);
});

test('an edition on which jobs stand says what it said: what is to change goes into a new one', () => {
  const hash = (b: Rulebook) =>
    createHash('sha256')
      .update(JSON.stringify([...editionSays(b)]))
      .digest('hex')
      .slice(0, 16);
  expect(Object.fromEntries(Object.values(EDITIONS).flatMap((all) => all.map((b) => [b.editionId, hash(b)])))).toEqual({
    'us-2021': '7d2232dd2e48d377',
    'us-2026': 'fd3857c2230c8cdc',
    'uk-2012': '98b7b73252eb526d',
  });
});

test('an examination holds dust against the edition on which the job stands', () => {
  const floorOf = (edition: string | null) =>
    createDeriver()
      .derive(aFacts(lead, { job: { edition, publicFunding: 'yes' } }), DEFAULT_SETTINGS, THIS_YEAR)
      .zones[0]!.steps.flatMap((st) => st.gates.flatMap((g) => g.asks))
      .find((a) => a.what === 'dustFloor')!.below!.value;
  expect([floorOf('us-2021'), floorOf(null)]).toEqual([10, 5]);
});
