/** Rounds against an event-by-event simulation, which is the judge: nothing dries in the largest round, and the next larger one fails. */
import fc from 'fast-check';
import { methodById } from '../catalogue';
import { DEFAULT_SETTINGS } from '../rulebook';
import { openLifeH } from './working-time';
import { largestRound, rounds, type RoundQuestion } from './rounds';
import { simulate, type RoundInput } from './simulate';

const minutes = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyInput: fc.Arbitrary<RoundInput> = fc.record({
  layMin: minutes(0.5, 30),
  liftMin: minutes(0.5, 40),
  rinseMin: fc.oneof(fc.constant(0), minutes(0.5, 20)),
  soakMin: minutes(1, 120),
  lifeMin: minutes(5, 400),
  rinseWithinMin: minutes(2, 120),
  shared: fc.boolean(),
  peopleLaying: fc.constant(1),
  peopleLifting: fc.constant(1),
  dayMin: fc.constant(Infinity),
});
const spoils = (input: RoundInput, k: number) => simulate(input, k, k).spoilt !== null;

test('the closed form is what brute force finds: safe up to it, spoilt beyond it', () => {
  fc.assert(
    fc.property(anyInput, (input) => {
      const k = largestRound(input);
      let brute = 0;
      while (brute < 400 && !spoils(input, brute + 1)) brute += 1;
      expect(k).toBe(brute);
    }),
    { numRuns: 400 },
  );
});

test('many rounds in a day are as safe as the first', () => {
  fc.assert(
    fc.property(anyInput, (input) => {
      const k = Math.min(largestRound(input), 40);
      if (k > 0) expect(simulate({ ...input, dayMin: 5000 }, k).spoilt).toBeNull();
    }),
  );
});

// A worked example by hand: lay 5, lift 10, soak 30, life 75, two teams. Piece k is lifted at 35 + 10 k and was laid at 5 k:
// its age is 40 + 5 (k - 1), and 75 is reached at k = 8.
const byHand: RoundInput = {
  layMin: 5,
  liftMin: 10,
  rinseMin: 0,
  soakMin: 30,
  lifeMin: 75,
  rinseWithinMin: 60,
  shared: false,
  peopleLaying: 1,
  peopleLifting: 1,
  dayMin: 450,
};
test('a worked example: eight at once with two teams, seven when one person does both', () => {
  expect(largestRound(byHand)).toBe(8);
  expect(simulate({ ...byHand, dayMin: Infinity }, 9, 9).spoilt).toEqual({ piece: 8, why: 'dried' });
  // One person: lifting begins at max(5 k, 35), and the last is lifted 10 k later: its age is 70 for seven, 80 for eight.
  expect(largestRound({ ...byHand, shared: true })).toBe(7);
  // Rinsing while wet: the first lifted waits for all the others, 10 minutes each, and 30 is the limit.
  expect(largestRound({ ...byHand, rinseMin: 4, rinseWithinMin: 30 })).toBe(4);
  expect(simulate({ ...byHand, rinseMin: 4, rinseWithinMin: 30, dayMin: Infinity }, 5, 5).spoilt).toEqual({ piece: 0, why: 'rinsedLate' });
});

const question = (over: Partial<RoundQuestion> = {}): RoundQuestion => ({
  method: methodById('masonryStripper'),
  crew: { laying: 1, lifting: 1, shared: false },
  weather: { faceC: 20, sun: false, wind: false, covered: false },
  pieceM2: 0.25,
  speed: 1,
  soakH: 0.5,
  pieces: null,
  settings: DEFAULT_SETTINGS,
  ...over,
});

test('sun, wind and heat shorten the life, film stretches it; a shorter life never allows a larger round', () => {
  const l = methodById('masonryStripper').laying!;
  const plain = { faceC: 20, sun: false, wind: false, covered: false };
  for (const worse of [{ sun: true }, { wind: true }, { faceC: 30 }])
    expect(openLifeH(l, { ...plain, ...worse })).toBeLessThan(openLifeH(l, plain));
  expect(openLifeH(l, { ...plain, covered: true })).toBeGreaterThan(openLifeH(l, plain));
  expect(rounds(question({ weather: { ...plain, sun: true, wind: true } })).largest).toBeLessThanOrEqual(rounds(question()).largest);
});

test('the best round is safe, no other safe round does more in the day, and what is too many is named', () => {
  for (const shared of [true, false])
    for (const covered of [true, false]) {
      const r = rounds(question({ crew: { laying: 1, lifting: 1, shared }, weather: { faceC: 18, sun: false, wind: true, covered } }));
      expect(r.bestDay.spoilt).toBeNull();
      for (let k = 1; k <= Math.min(r.largest, 60); k += 1) expect(simulate(r.input, k).done).toBeLessThanOrEqual(r.perDay);
      if (r.limitedBy !== 'nothing') expect(r.tooMany).not.toBeNull();
    }
});

test('where it dries before it has worked, nothing may be laid, and the reason says so', () => {
  const r = rounds(question({ method: methodById('solventGel'), soakH: 1.25 }));
  expect(r.largest).toBe(0);
  expect(r.best.because.map((b) => b.rule)).toContain('round.driesFirst');
  expect(
    rounds(question({ method: methodById('solventGel'), soakH: 1.25, weather: { faceC: 20, sun: false, wind: false, covered: true } }))
      .largest,
  ).toBeGreaterThan(0);
});

test('n equal pieces: how many at once and how many days; a soak of days is laid one day and lifted another', () => {
  const corbels = rounds(question({ pieces: 24, pieceM2: 0.4 }));
  expect(corbels.best.value).toBeGreaterThan(0);
  expect(corbels.daysForAll).toBe(Math.ceil(24 / corbels.perDay));
  const poultice = rounds(
    question({ method: methodById('causticPoultice'), soakH: 48, weather: { faceC: 15, sun: false, wind: false, covered: true } }),
  );
  expect(poultice.best.because.map((b) => b.rule)).toContain('round.overnight');
  expect(poultice.perDay).toBeGreaterThan(0);
});
