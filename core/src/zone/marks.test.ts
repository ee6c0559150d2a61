import { aSpace, aSurface } from '../testing';
import { damageMarks, marksOf, unfold, type Mark, type MarkKind, type SetUpDrawn } from '../unfold';
import type { Surface } from '../facts';

const room = aSpace({ kind: 'room', lengthM: 6, widthM: 4, heightM: 3 });
const opening = (element: Surface['element'], over: Partial<Surface>) =>
  aSurface({ element, id: element, name: element, count: 1, lengthM: 2, widthM: 0.9, alongM: 1, ...over });
const window = opening('casementSash', { lengthM: 1.2, widthM: 0.6, wall: 'C' });
const door = opening('door', { wall: 'B' });
const SEALED: SetUpDrawn = { openings: 'closeAndSeal', screen: false, wayIn: false, part: false, sheet: [] };
const inRoom = (surfaces: readonly Surface[], over: Partial<SetUpDrawn> = {}) =>
  marksOf(unfold(room, surfaces)!, room, surfaces, { ...SEALED, ...over });
const of = (marks: readonly Mark[], kind: MarkKind) => marks.filter((m) => m.kind === kind);

// 40 CFR 745.85(a)(2)(i): windows closed, doors covered, the one that is used under a flap.
test('a room that is sealed: every opening closed, but for the way in under its flap, with an arrow out through it', () => {
  const marks = inRoom([window, { ...door, opening: 'wayIn' }], { wayIn: true });
  expect(of(marks, 'seal')).toHaveLength(1);
  expect(of(marks, 'flap')).toHaveLength(1);
  const [{ lines }] = of(marks, 'way') as [Mark];
  // Wall B is folded out to the left: out is to the left.
  expect(lines[0]!.x1).toBeLessThan(lines[0]!.x0);
  expect(lines[0]!.y0).toBe(lines[0]!.y1);
  expect(of(marks, 'keepOut')[0]!.lines).toHaveLength(4);
});

test('where the door is not on the list it is drawn on wall A; the air machine stands before its window and blows out of it', () => {
  const marks = inRoom([{ ...window, opening: 'airOut' }]);
  const floor = unfold(room, [window])!.faces.find((f) => f.id === 'floor')!.rect;
  expect(of(marks, 'flap')[0]!.box!.y0).toBe(floor.y1);
  const [{ box, lines }] = of(marks, 'air') as [Mark];
  // Of joined rooms only one has the way in.
  expect(of(inRoom([window], { wayIn: true }), 'flap')).toEqual([]);
  expect(box!.y0).toBeGreaterThanOrEqual(floor.y0);
  expect(lines[0]!.y1).toBeLessThan(floor.y0);
});

test('nothing is sealed where nothing is guarded', () => expect(inRoom([window, door], { openings: 'none' })).toEqual([]));

test('a part of a room: its screen stands where the sheet does not end at a wall', () => {
  const floor = unfold(room, [window])!.faces.find((f) => f.id === 'floor')!.rect;
  const corner = { x0: floor.x0, y0: floor.y0, x1: floor.x0 + 2, y1: floor.y0 + 1.5 };
  const marks = inRoom([window], { part: true, sheet: [corner] });
  expect(of(marks, 'screen')[0]!.lines).toEqual([
    { x0: corner.x1, y0: corner.y0, x1: corner.x1, y1: corner.y1 },
    { x0: corner.x1, y0: corner.y1, x1: corner.x0, y1: corner.y1 },
  ]);
  expect(of(marks, 'keepOut')).toEqual([]);
});

test('before a side: screen at the far edge of the sheet, a line round it, the scaffold up to the work, what lies near to scale', () => {
  const side = aSpace({
    kind: 'elevation',
    lengthM: 10,
    heightM: 6,
    accessM: 4,
    nearby: [
      { what: 'scaffold', outM: 0, alongM: 2, lengthM: 4.2 },
      { what: 'path', outM: 2, alongM: 0, lengthM: null },
      { what: 'pond', outM: 30, alongM: 0, lengthM: 2 },
      { what: 'drain', outM: null, alongM: null, lengthM: null },
    ],
  });
  const drawing = unfold(side, [])!;
  const marks = marksOf(drawing, side, [], {
    ...SEALED,
    openings: 'closeNear',
    screen: true,
    sheet: [{ x0: 1, x1: 5, y0: 6, y1: 9 }],
  });
  expect(of(marks, 'screen')[0]!.lines).toEqual([{ x0: 1, y0: 9, x1: 5, y1: 9 }]);
  // To the left and right; ahead the screen is the line.
  expect(of(marks, 'keepOut')[0]!.lines.map((l) => l.x0)).toEqual([5, 1]);
  const scaffold = of(marks, 'scaffold')[0]!.lines;
  // Two bays of 2.1 m, two lifts of 2 m: three standards, two ledgers.
  expect(scaffold).toHaveLength(5);
  expect(Math.min(...scaffold.map((l) => l.y1))).toBe(2);
  // Neither the far pond nor the drain that nobody measured is drawn where it is not.
  expect(of(marks, 'near').map((m) => [m.name, m.box!.y0, m.box!.x1])).toEqual([['path', 8, 10]]);
});

test('damage stands on its piece, whichever way its wall is folded out', () => {
  const hole = { id: 'hole', kind: 'hole', alongM: 0.2, upM: 0.3, removedAt: null } as Surface['defects'][number];
  for (const wall of ['A', 'B', 'C', 'D'] as const) {
    const piece = opening('casementSash', { lengthM: 1.2, widthM: 0.6, wall, defects: [hole] });
    const drawn = unfold(room, [piece])!;
    const [{ lines }] = damageMarks(drawn, [piece]) as [Mark];
    const [cx, cy] = [(lines[0]!.x0 + lines[0]!.x1) / 2, (lines[0]!.y0 + lines[0]!.y1) / 2];
    const r = drawn.pieces[0]!.rects[0]!;
    const floor = drawn.faces.find((f) => f.id === 'floor')!.rect;
    expect([wall, cx > r.x0 && cx < r.x1 && cy > r.y0 && cy < r.y1]).toEqual([wall, true]);
    // Up on a wall is away from the floor.
    const edge = { A: cy - r.y0, B: r.x1 - cx, C: r.y1 - cy, D: cx - r.x0 }[wall];
    expect(edge).toBeCloseTo(0.3, 9);
    expect(r.y1 <= floor.y0 || r.y0 >= floor.y1 || r.x1 <= floor.x0 || r.x0 >= floor.x1).toBe(true);
  }
});
