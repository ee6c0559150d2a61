/** A job of any size for load tests and timings: varied, repeatable, invented. */
import { ELEMENT_IDS, type JobFacts, type Surface } from '@roughsill/core';
import { facts, job, reading, space, surface, type CoatSpec } from './build';

const STACKS: readonly (readonly CoatSpec[])[] = [
  [
    ['acrylic', 'white', 'failing', 2011],
    ['alkyd', 'white', 'sound'],
    ['oil', 'green', 'sound'],
  ],
  [
    ['alkyd', 'cream', 'sound'],
    ['oil', 'brown', 'sound'],
    ['oil', 'buff', 'failing'],
    ['oil', 'primer', 'sound'],
  ],
  [['acrylic', 'grey', 'sound']],
  [
    ['casein', 'blue', 'failing'],
    ['casein', 'white', 'sound'],
  ],
];

function evidence(id: string, i: number, coats: number): Partial<Surface> {
  const reachedLayerIds = Array.from({ length: coats }, (_, k) => `${id}-coat${k + 1}`);
  if (i % 5 === 0)
    return {
      readings: [
        reading(`${id}-r`, {
          kind: 'spot',
          spot: 'changed',
          reachedLayerIds,
          toSubstrate: true,
          changedLayerIds: reachedLayerIds.slice(-1),
        }),
      ],
    };
  if (i % 5 === 1)
    return { readings: [reading(`${id}-r`, { kind: 'spot', spot: 'unchanged', reachedLayerIds: reachedLayerIds.slice(0, 1) })] };
  if (i % 5 === 2) return { readings: [reading(`${id}-r`, { kind: 'lab', reachedLayerIds, toSubstrate: true })] };
  return {};
}

/** @param count surfaces, ten to a room */
export function largeJob(count: number): JobFacts {
  const rooms = Math.ceil(count / 10);
  const spaces = Array.from({ length: rooms }, (_, r) =>
    space(`lg-room-${r}`, `Room ${r + 1}`, r % 4 === 3 ? 'elevation' : 'room', r, {
      lengthM: 4 + (r % 5) * 0.3,
      widthM: 3.6,
      heightM: 2.7,
      boundaryM: 4,
    }),
  );
  const surfaces = Array.from({ length: count }, (_, i) => {
    const coats = STACKS[i % STACKS.length]!;
    const id = `lg-s-${i}`;
    const element = ELEMENT_IDS[i % ELEMENT_IDS.length]!;
    return surface(id, `lg-room-${Math.floor(i / 10)}`, i % 10, element, `Surface ${i + 1}`, coats, {
      count: 1 + (i % 3),
      conditions: i % 3 === 0 ? ['flaking'] : i % 3 === 1 ? ['checked'] : [],
      knots: 'yes',
      coatsCounted: i % 2 === 0,
      lengthM: 0.6 + (i % 37) / 10,
      ...evidence(id, i, coats.length),
    });
  });
  return facts(
    job({ id: `large-${count}`, name: `${count} surfaces`, yearBuilt: 1911, childUnder6: 'no', pregnancy: 'no' }),
    spaces,
    surfaces,
  );
}
