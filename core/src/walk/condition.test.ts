import fc from 'fast-check';
import { RESPONSES, TRIALS, type Response, type Trial } from '../facts';
import { aFacts, aSurface } from '../testing';
import { guessBinder } from './binder';
import { failsByDegree, degreeShare } from './degrees';
import { siteDuties } from './duties';

const coat = (over: Partial<Record<Trial, Response>>) =>
  ({ alcohol: 'untried', alkali: 'untried', water: 'untried', heat: 'untried', ...over }) as Record<Trial, Response>;

// Common practice, no published source: which binder each trial points to.
test.each([
  [coat({ alcohol: 'dissolves', alkali: 'softens', water: 'none', heat: 'softens' }), 'shellac'],
  [coat({ water: 'dissolves', alcohol: 'none' }), 'distemper'],
  [coat({ alcohol: 'none', alkali: 'dissolves', water: 'none', heat: 'none' }), 'casein'],
  [coat({ alcohol: 'softens', alkali: 'none', water: 'none', heat: 'softens' }), 'acrylic'],
  [coat({ alcohol: 'none', alkali: 'none', water: 'none', heat: 'dissolves' }), 'bitumen'],
])('trials %j point to %s', (c, binder) => {
  expect(guessBinder(c).value.binder).toBe(binder);
});

test('nothing tried is nothing known; a lone ambiguous trial says so', () => {
  expect(guessBinder(coat({})).value).toEqual({ binder: 'unknown', confidence: 0, second: null });
  expect(guessBinder(coat({ alkali: 'softens' })).because.map((r) => r.rule)).toContain('binder.unsure');
});

test('confidence is a share, and every trial stands among the reasons', () => {
  fc.assert(
    fc.property(
      fc.record({
        alcohol: fc.constantFrom(...RESPONSES),
        alkali: fc.constantFrom(...RESPONSES),
        water: fc.constantFrom(...RESPONSES),
        heat: fc.constantFrom(...RESPONSES),
      }),
      (c) => {
        const g = guessBinder(c);
        expect(g.value.confidence).toBeGreaterThanOrEqual(0);
        expect(g.value.confidence).toBeLessThanOrEqual(1);
        expect(g.because.filter((r) => r.rule === 'binder.trial')).toHaveLength(TRIALS.filter((t) => c[t] !== 'untried').length);
      },
    ),
  );
});

test('degrees: ISO 4628-3 and -5 areas; from degree 2 flaking fails', () => {
  expect([0, 1, 2, 3, 4, 5].map((d) => degreeShare('rustGrade', d))).toEqual([0, 0.05, 0.5, 1, 8, 50]);
  expect([0, 1, 2, 3, 4, 5].map((d) => degreeShare('flakeGrade', d))).toEqual([0, 0.1, 0.3, 1, 3, 15]);
  expect(failsByDegree({ blisterGrade: 1, flakeGrade: 2, crackGrade: 2, chalkGrade: null, rustGrade: 5 })).toEqual([
    'flakeGrade',
    'rustGrade',
  ]);
});

describe('what the site asks for', () => {
  const duties = (job: object, space: object = {}) => siteDuties(aFacts(aSurface(), { job, space })).map((r) => r.rule);
  test('a new house owned by who lives in it asks for nothing', () => {
    expect(duties({ yearBuilt: 2010, tenure: 'ownerOccupied' })).toEqual([]);
  });
  test('where nobody said who lives there, nothing is claimed; an owner at work at home gets no pamphlet from anybody', () => {
    expect(duties({})).toEqual(['duty.pamphlet', 'duty.tenantUnknown']);
    expect(duties({ tenure: 'ownerOccupied', worker: 'owner' })).toEqual([]);
  });
  // 40 CFR 745.84(d)(3): the acknowledgment is in the language of the contract.
  test('a contract in another language: the lead information is acknowledged in it, where there is any to hand over', () => {
    expect(duties({ tenure: 'ownerOccupied', contractIn: 'es' })).toEqual(['duty.pamphlet', 'duty.language']);
    expect(duties({ tenure: 'ownerOccupied', contractIn: 'other' })).toEqual(['duty.pamphlet', 'duty.languageOther']);
    expect(duties({ tenure: 'ownerOccupied', contractIn: 'es', yearBuilt: 2010 })).toEqual([]);
    expect(duties({ contractIn: 'es', rulebook: 'uk' })).toEqual([]);
  });
  // 40 CFR 745.84 and 745.86; 24 CFR 35.1350(d).
  test('an old rented one with public money, a child, others at work and a near boundary asks for all of them', () => {
    const all = duties(
      { tenure: 'rented', publicFunding: 'yes', childUnder6: 'yes', listed: 'yes', otherTrades: 'a roofer', dwellings: 30 },
      { boundaryM: 1 },
    );
    expect(all).toEqual([
      'duty.consent',
      'duty.pamphlet',
      'duty.tenant',
      'duty.assisted',
      'duty.child',
      'duty.dwellings',
      'duty.trades',
      'duty.neighbour',
    ]);
  });
});
