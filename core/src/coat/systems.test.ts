/**
 * The matrix of systems: every material, what remains on it, every topcoat. Each cell is a system whose lines all have a reason with its
 * source, a refusal with its damage, or nothing on purpose, said. Never a blank.
 */
import { MATERIALS, TOPCOATS, type Binder, type Material, type Surface, type TopcoatId } from '../facts';
import { SOURCES } from '../words';
import { aLayer, aPart, aSurface, planOf } from '../testing';
import { METAL, PLASTER, TIMBER } from '../facts';

const YOUNG = { job: { yearBuilt: 2015 } };
/** Bare: nobody ever coated it. A binder: a sound film of it, scuffed and coated. */
type Remains = 'bare' | Binder;

function cell(material: Material, remains: Remains, topcoat: TopcoatId, place: 'inside' | 'outside') {
  const coats = remains === 'bare' ? [] : [aLayer(0, { binder: remains, yearApplied: 2016 })];
  const s: Surface = aSurface({
    element: PLASTER.includes(material) ? 'wall' : METAL.includes(material) ? 'railing' : 'casing',
    material,
    topcoat,
    layers: coats,
    coatsCounted: true,
    yearMade: 2015,
    parts: [aPart('flat', remains === 'bare' ? null : 'overcoat')],
  });
  const { coating, choice } = planOf(s, { ...YOUNG, space: { kind: place === 'inside' ? 'room' : 'elevation' } });
  return { ...coating, stopped: choice.parts.some((p) => p.selected.value === null) };
}

/** One of each kind of ground: soft, hard, mineral, soluble, bleeding, stoved, unknown. */
const REMAINS: readonly Remains[] = ['bare', 'acrylic', 'oil', 'limewash', 'distemper', 'bitumen', 'factory', 'unknown'];
/** Nothing closes the wood under it. */
const GOES_IN: readonly TopcoatId[] = ['woodStain', 'penetratingOil', 'pasteWax'];
const cells = MATERIALS.flatMap((material) =>
  REMAINS.flatMap((remains) => TOPCOATS.map((topcoat) => [material, remains, topcoat] as const)),
);

test.each(['inside', 'outside'] as const)('every cell has an answer, %s', (place) => {
  let laid = 0;
  const blank: string[] = [];
  for (const [material, remains, topcoat] of cells) {
    const c = cell(material, remains, topcoat, place);
    const name = `${material}/${remains}/${topcoat}`;
    if (c.lines.length > 0) laid += 1;
    // Where no method leads to what is wanted, the answer is to ask, and nothing is laid.
    if (c.stopped ? c.lines.length > 0 : c.lines.length > 0 === c.refused.length > 0) blank.push(name);
    for (const r of [...c.refused, ...c.asks, ...c.lines.flatMap((l) => l.because)])
      if (!(r.source in SOURCES)) blank.push(`${name}: ${r.rule}`);
    for (const l of c.lines)
      if (l.because.length === 0 || !(l.litres > 0) || l.areaM2 <= 0 || l.coats < 1)
        blank.push(`${name}: ${l.product} without reason or amount`);
    // The topcoat is the last, and once; bare timber, metal and mineral never take it without a primer, but where lime or varnish bites by itself.
    const tops = c.lines.filter((l) => l.use === 'topcoat');
    if (c.lines.length > 0 && (tops.length !== 1 || c.lines.at(-1) !== tops[0])) blank.push(`${name}: not one topcoat, last`);
    if (remains === 'bare' && c.lines.length === 1 && !(material === 'brass' && topcoat === 'clearVarnish') && !GOES_IN.includes(topcoat))
      blank.push(`${name}: bare without a primer`);
  }
  expect(blank).toEqual([]);
  expect(laid).toBeGreaterThan(cells.length / 4);
});

describe('what a tradesman would never do is refused', () => {
  // Common practice, no published source, but for zinc: alkyd turns to soap on it (ISO 12944-5, annex on zinc coatings).
  test.each([
    ['galvanised', 'bare', 'alkydGloss'],
    ['limePlaster', 'bare', 'alkydGloss'],
    ['softwood', 'bare', 'limewash'],
    ['brick', 'limewash', 'exteriorAcrylic'],
    ['softwood', 'bare', 'antifoulingCoat'],
    ['softwood', 'bare', 'silicatePaint'],
    ['brick', 'acrylic', 'silicatePaint'],
    ['mildSteel', 'bare', 'pasteWax'],
  ] as const)('%s, %s, %s', (material, remains, topcoat) => {
    expect(cell(material, remains, topcoat, 'inside').refused.length).toBeGreaterThan(0);
  });
  test('timber keeps its own primers: tannin blocked, oil wood keyed, knots sealed', () => {
    expect(cell('tanninWood', 'bare', 'exteriorAcrylic', 'outside').lines[0]!.product).toBe('stainBlock');
    expect(cell('oilyWood', 'bare', 'exteriorAcrylic', 'outside').lines[0]!.product).toBe('oilyWood');
    expect(TIMBER.every((m) => cell(m, 'bare', 'exteriorAcrylic', 'outside').lines.length >= 2)).toBe(true);
  });
});
