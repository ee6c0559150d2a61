import { aLayer, aSurface } from '../testing';
import { coatsChange, coatsText, readCoats, readElement, readMaterial } from './typed';

test.each([
  ['door', 'door'],
  ['do', 'door'],
  ['sash', 'doubleHungSash'],
  ['Door to the hall', 'door'],
  ['North wall', 'wall'],
  ['casement', 'casementSash'],
  ['baseboards 2', 'baseboard'],
])('“%s” is a %s', (text, element) => {
  expect(readElement(text)).toEqual({ ok: true, value: element });
});

test('what names no kind is asked back, with the kinds', () => {
  expect(readElement('thing')).toMatchObject({ ok: false, says: expect.stringContaining('casing') });
  expect(readMaterial('glass')).toMatchObject({ ok: false });
  expect(readMaterial('lime')).toEqual({ ok: true, value: 'limePlaster' });
});

test('coats are typed from the top down, by a few letters, several at once, or by their number', () => {
  const typed = (text: string) => {
    const r = readCoats(text);
    return r.ok ? [r.value.binders.join(' '), r.value.counted] : r.says;
  };
  expect(typed('ac, o, o')).toEqual(['acrylic oil oil', false]);
  expect(typed('acrylic, oil x2.')).toEqual(['acrylic oil oil', true]);
  expect(typed('3')).toEqual(['unknown unknown unknown', false]);
  expect(typed('?, oil')).toEqual(['unknown oil', false]);
  expect(typed('')).toEqual(['', false]);
  expect(typed('stuff')).toMatch(/none of/);
  expect(typed('a')).toMatch(/could be: acrylic, alkyd gloss/);
});

test('coats read back as they were typed; what both begin with stays', () => {
  const s = aSurface({
    coatsCounted: true,
    layers: ['acrylic', 'oil', 'oil'].map((binder, position) =>
      aLayer(position, { id: `c${position}`, binder: binder as 'oil', position }),
    ),
  });
  expect(coatsText(s)).toBe('acrylic, oil paint ×2.');
  expect(readCoats(coatsText(s))).toEqual({ ok: true, value: { binders: ['acrylic', 'oil', 'oil'], counted: true } });
  const change = coatsChange(s, ['acrylic', 'alkyd']);
  expect([change.go.map((l) => l.id), change.come]).toEqual([['c1', 'c2'], [{ position: 1, binder: 'alkyd' }]]);
});

test.each(['2oil', 'oil x0', 'oil 3 coats', 'ac, 4x5'])('coats “%s” make no sense and are refused whole', (text) => {
  const read = readCoats(text);
  expect(read.ok ? read.value : read.says).toMatch(/is no coat|is none of/);
});
