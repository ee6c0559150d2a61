/** Who waits, and for how long: nobody behind more than what is under way, however much another asks for. */
import { HttpProblem } from '../problem';
import { Line, type Room } from './queue';

const ROOM: Room = { places: 2, placesEach: 1, line: 40, lineEach: 10, waitMs: 60_000 };
const stays = () => new AbortController().signal;
const codeOf = (p: Promise<unknown>) =>
  p.then(
    () => 'in',
    (e: HttpProblem) => e.code,
  );
const turn = () => new Promise((r) => setImmediate(r));

test('one that asks for 46 at once holds one place and ten in line; another goes in at once, and a third is next', async () => {
  const line = new Line(ROOM);
  const order: string[] = [];
  const free: (() => void)[] = [];
  const ask = (client: string) =>
    line.enter(client, stays()).then(
      (leave) => (order.push(client), free.push(leave), 'in'),
      (e: HttpProblem) => e.code,
    );
  const many = Array.from({ length: 46 }, () => ask('greedy'));
  const other = ask('other');
  const third = ask('third');
  await turn();
  expect(order).toEqual(['greedy', 'other']);
  free[0]!();
  await turn();
  // The greedy one gave a place back, and its next is not before the third.
  expect(order).toEqual(['greedy', 'other', 'third']);
  free[1]!();
  free[2]!();
  await turn();
  expect(order).toEqual(['greedy', 'other', 'third', 'greedy']);
  for (let i = 3; i < 13; i += 1) {
    free[i]?.();
    await turn();
  }
  const codes = await Promise.all(many);
  expect([codes.filter((c) => c === 'in').length, codes.filter((c) => c === 'busy').length]).toEqual([11, 35]);
  expect([await other, await third]).toEqual(['in', 'in']);
});

test('who has left before its turn holds nothing, and is not begun', async () => {
  const line = new Line({ ...ROOM, places: 1 });
  const leave = await line.enter('a', stays());
  const gone = new AbortController();
  const waiting = codeOf(line.enter('b', gone.signal));
  gone.abort();
  expect(await waiting).toBe('stopped');
  expect(await codeOf(line.enter('c', gone.signal))).toBe('stopped');
  leave();
  // Leaving twice frees one place.
  leave();
  expect(await codeOf(line.enter('d', stays()))).toBe('in');
});

test('who stands too long is told to come again, not that it was too much', async () => {
  const line = new Line({ ...ROOM, places: 1, waitMs: 5 });
  await line.enter('a', stays());
  expect(await codeOf(line.enter('b', stays()))).toBe('busy');
});
