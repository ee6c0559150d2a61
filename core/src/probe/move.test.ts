import { aLayer, aReading, aSurface } from '../testing';
import { movedReading } from './move';

test('a reading moves with its depth, counted from the top; what answers a sample stays with it', () => {
  const coats = (n: number, name: string) =>
    aSurface({ id: name, name, layers: Array.from({ length: n }, (_, i) => aLayer(i, { id: `${name}-${i}` })) });
  const [from, to] = [coats(3, 'wrong'), coats(2, 'right')];
  const swab = aReading({
    kind: 'spot',
    spot: 'changed',
    reachedLayerIds: ['wrong-0', 'wrong-2'],
    changedLayerIds: ['wrong-0'],
    toSubstrate: false,
  });
  expect(movedReading(from, to, swab)).toMatchObject({
    spot: 'changed',
    reachedLayerIds: ['right-0'],
    changedLayerIds: ['right-0'],
    note: expect.stringMatching(/entered on wrong first/),
  });
  expect(movedReading(from, to, { ...swab, toSubstrate: true })!.reachedLayerIds).toEqual(['right-0', 'right-1']);
  expect(movedReading(from, to, { ...swab, sampleId: 's-1' })).toBeNull();
});
