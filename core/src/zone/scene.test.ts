import fc from 'fast-check';
import { houseScene, hatch, scene, sceneSvg, TEXTURES, unfold, type PlanPiece } from '../unfold';
import { aPart, aSpace, aSurface } from '../testing';

const room = aSpace({ kind: 'room', lengthM: 6, widthM: 4, heightM: 3 });
const sash = aSurface({
  id: 'sash',
  name: 'Sash',
  element: 'casementSash',
  lengthM: 1.2,
  widthM: 0.6,
  count: 1,
  wall: 'C',
  alongM: 2,
  parts: [aPart('flat', null)],
});
const wall = aSurface({ id: 'wall', name: 'Wall', element: 'wall', lengthM: 20, widthM: 2.4, wall: 'A', alongM: 0 });
const drawing = unfold(room, [sash, wall])!;
const piece = (over: Partial<PlanPiece> = {}): PlanPiece => ({ name: 'Sash', tone: 'found', mark: 'Pb', ...over });
const at = (pieces: [string, PlanPiece][], width = 600, over: object = {}) =>
  scene(drawing, new Map(pieces), { width, maxHeight: 600, ...over });

test('a metre is a metre in every direction: a piece is as large on the drawing as on its wall', () => {
  const made = at([['sash', piece()]]);
  const k = Math.min(made.width / drawing.widthM, (made.height - 2) / drawing.heightM);
  const box = made.pieces[0]!.shapes.find((s) => s.kind === 'rect')!;
  if (box.kind !== 'rect') throw new Error('not a box');
  expect([box.w, box.h].sort((a, b) => a - b)).toEqual([expect.closeTo(0.6 * k, 6), expect.closeTo(1.2 * k, 6)]);
});

test('nothing lies beyond the drawing, whatever its width', () => {
  fc.assert(
    fc.property(fc.integer({ min: 120, max: 1400 }), (width) => {
      const s = at(
        [
          ['sash', piece()],
          ['wall', piece({ name: 'Wall', tone: 'assumed', mark: '' })],
        ],
        width,
        { sheet: 'whole', sheetSays: 'sheet 24 m²' },
      );
      for (const x of [...s.behind, ...s.pieces.flatMap((p) => p.shapes), ...s.before])
        if (x.kind === 'rect')
          expect([x.x >= -0.01, x.y >= -0.01, x.x + x.w <= s.width + 0.01, x.y + x.h <= s.height + 0.01]).toEqual([true, true, true, true]);
    }),
    { numRuns: 40, seed: 3 },
  );
});

test('no two names lie over each other, and what was found keeps its letters when the name does not fit', () => {
  const many = Array.from({ length: 12 }, (_, i) =>
    aSurface({
      id: `s${i}`,
      name: `Piece number ${i}`,
      element: 'casementSash',
      lengthM: 1.2,
      widthM: 0.5,
      wall: 'C',
      alongM: 0.2 + i * 0.3,
    }),
  );
  const made = scene(unfold(room, many)!, new Map(many.map((s) => [s.id, piece({ name: s.name })])), { width: 500, maxHeight: 500 });
  const plates = made.before.flatMap((s) => (s.kind === 'rect' && s.h === 14 ? [s] : []));
  plates.forEach((a, i) =>
    plates.slice(i + 1).forEach((b) => expect(a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h).toBe(false)),
  );
  const small = at([['sash', piece({ name: 'A sash with a name far too long to stand on it anywhere' })]]);
  expect(small.before.some((s) => s.kind === 'text' && s.text === 'Pb')).toBe(true);
});

test('each state has a texture of its own beside its colour', () => {
  const told = (['found', 'assumed', 'waiting', 'biteLoose', 'biteBare', 'done'] as const).map((t) => JSON.stringify(TEXTURES[t]));
  expect(new Set(told).size).toBe(told.length);
});

test('texture stays within its box, at every lean', () => {
  fc.assert(
    fc.property(
      fc.record({
        x: fc.integer({ min: 0, max: 90 }),
        y: fc.integer({ min: 0, max: 90 }),
        w: fc.integer({ min: 1, max: 200 }),
        h: fc.integer({ min: 1, max: 200 }),
      }),
      (b) => {
        for (const t of Object.values(TEXTURES))
          for (const l of hatch(b, t))
            for (const [px, py] of [
              [l.x1, l.y1],
              [l.x2, l.y2],
            ] as const)
              expect(px >= b.x - 1e-9 && px <= b.x + b.w + 2 && py >= b.y - 1e-9 && py <= b.y + b.h + 1e-9).toBe(true);
      },
    ),
    { numRuns: 60, seed: 5 },
  );
});

test('as SVG it is whole by itself, and what a person typed is escaped', () => {
  const svg = sceneSvg(at([['wall', piece({ name: 'Sash <b>&"x"' })]], 900), 'Hall <script>');
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" viewBox="0 0 900 [\d.]+"/);
  expect(svg).toContain('<title>Hall &lt;script&gt;</title>');
  expect(svg).toContain('Sash &lt;b&gt;&amp;&quot;x&quot; · Pb');
  expect(svg).not.toMatch(/<script|<b>|NaN|undefined|url\(/);
});

test('where a sample was taken is marked at its place; seen from above nothing goes past the ground that is drawn', () => {
  const made = at([
    [
      'sash',
      piece({
        samples: [
          { x: 0, y: 0, number: 'S-1' },
          { x: 1, y: 1, number: 'S-2' },
        ],
      }),
    ],
  ]);
  const dots = made.pieces[0]!.shapes.filter((s) => s.kind === 'dot');
  const box = made.pieces[0]!.shapes[0]!;
  if (box.kind !== 'rect') throw new Error('not a box');
  expect(dots).toMatchObject([
    { x: box.x, y: expect.closeTo(box.y + box.h, 6) },
    { x: expect.closeTo(box.x + box.w, 6), y: box.y },
  ]);
});

test('the house from above: each sheet lies where it is laid, dashed where nobody placed it, and the boundary is drawn where it runs', () => {
  const side = (id: 'A' | 'B' | 'C' | 'D', boundaryM: number | null) => ({
    id,
    name: `Side ${id}`,
    side: id,
    boundaryM,
    lengthM: null,
    nearby: [],
  });
  const made = houseScene(
    { lengthM: 10, widthM: 6 },
    [
      { space: side('A', 2), sheet: { outM: 2, rects: [{ x0: -1, x1: 4, y0: -2, y1: 0 }] }, opens: 's' },
      { space: side('B', null), sheet: { outM: 3, rects: [] }, opens: null },
      { space: side('C', null), sheet: { outM: 0, rects: [] }, opens: null },
      { space: side('D', null), sheet: { outM: 3, rects: [{ x0: 1, x1: 3, y0: -3, y1: 0 }] }, opens: null },
    ],
    800,
    800,
  );
  const k = 800 / 20;
  const metres = made.behind.flatMap((s) =>
    s.kind === 'rect' && s.ink === 'slate'
      ? [{ at: [s.x / k - 5, 11 - (s.y + s.h) / k, s.w / k, s.h / k].map(Math.round), dashed: s.dashed }]
      : [],
  );
  // Corner, width and depth in metres, A at the bottom: D is seen from the right, its left end is A's.
  expect(metres).toEqual([
    { at: [-1, -2, 5, 2], dashed: undefined },
    { at: [-3, -3, 3, 12], dashed: true },
    { at: [10, 1, 3, 2], dashed: undefined },
  ]);
  const lines = made.before.filter((s) => s.kind === 'line');
  // 2 m before side A, which is at the bottom.
  expect(lines).toMatchObject([{ dashed: true, y1: expect.closeTo((5 + 6 + 2) * k, 6), y2: expect.closeTo((5 + 6 + 2) * k, 6) }]);
  expect(made.pieces.map((p) => p.opens)).toEqual(['s', '', '', '']);
});
