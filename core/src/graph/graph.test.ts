import { Each, eachKept, kept, keptList, node, valueOf } from './graph';
import { remember } from './remember';

test('a node is asked again only when one of its inputs is another object', () => {
  let asked = 0;
  const sum = node((a: { n: number }, b: number) => ({ is: a.n + b, asked: (asked += 1) }));
  const a = { n: 1 };
  const first = sum(a, 2);
  expect(sum(a, 2)).toBe(first);
  expect(sum(a, 3).is).toBe(4);
  // The last answer only: memory stays as large as the job.
  expect(sum(a, 2)).not.toBe(first);
  expect(sum({ n: 1 }, 2).asked).toBe(4);
  // A node without inputs and one that answers nothing are remembered like the others.
  const nothing = node(() => void (asked += 1));
  nothing();
  nothing();
  expect(asked).toBe(5);
});

test('a view that says the same stays the same object, however deep; a list goes by what is in it', () => {
  const view = kept<{ a: readonly number[]; b: string | null }>();
  const first = view({ a: [1, 2], b: null });
  expect(view({ b: null, a: [1, 2] })).toBe(first);
  expect(view({ a: [1, 3], b: null })).not.toBe(first);
  const [x, y] = [{}, {}];
  const list = keptList<object>();
  const two = list([x, y]);
  expect(list([x, y])).toBe(two);
  expect(list([y, x])).not.toBe(two);
  expect(list([y])).toHaveLength(1);
});

test('equal values are one key, and what is gone is forgotten', () => {
  expect(valueOf({ a: 1, b: [2] })).toBe(valueOf({ a: 1, b: [2] }));
  let made = 0;
  const each = new Each<string, number>(() => (made += 1));
  expect([each.at('a'), each.at('b'), each.at('a')]).toEqual([1, 2, 1]);
  each.only([{ id: 'b' }]);
  expect([each.at('b'), each.at('a')]).toEqual([2, 3]);
});

test('of a list only what changed is made again; where every item stays, or comes out the same, so does the list', () => {
  const asked: number[] = [];
  const sums = eachKept(([a, b]: [{ n: number }, number], i, by: number) => (asked.push(i), (a.n + b) * by));
  const [x, y] = [{ n: 1 }, { n: 2 }];
  const first = sums(
    [
      [x, y],
      [10, 20],
    ],
    1,
  );
  expect([first, asked]).toEqual([
    [11, 22],
    [0, 1],
  ]);
  expect(
    sums(
      [
        [x, y],
        [10, 20],
      ],
      1,
    ),
  ).toBe(first);
  expect(asked).toHaveLength(2);
  // One item of one list; one that comes out the same keeps the list.
  expect(
    sums(
      [
        [{ n: 1 }, y],
        [10, 20],
      ],
      1,
    ),
  ).toBe(first);
  expect(
    sums(
      [
        [x, y],
        [10, 21],
      ],
      1,
    ),
  ).toEqual([11, 23]);
  expect(asked).toEqual([0, 1, 0, 0, 1]);
  // What all of them share asks for all; a longer or shorter list is another list.
  expect(
    sums(
      [
        [x, y],
        [10, 21],
      ],
      2,
    ),
  ).toEqual([22, 46]);
  expect(sums([[x], [10]], 2)).toEqual([22]);
  expect(
    sums(
      [
        [x, y, x],
        [10, 21, 0],
      ],
      2,
    ),
  ).toEqual([22, 46, 2]);
  expect(eachKept(([a]: [number]) => a)([[]])).toEqual([]);
});

test('what is remembered by key is made once, and never grows past its bound', () => {
  const squares = remember<number>(3);
  let made = 0;
  const of = (n: number) => squares.of(String(n), () => ((made += 1), n * n));
  expect([of(2), of(2), made]).toEqual([4, 4, 1]);
  for (let n = 0; n < 100; n += 1) {
    expect(of(n)).toBe(n * n);
    expect(squares.size).toBeLessThanOrEqual(3);
  }
});
