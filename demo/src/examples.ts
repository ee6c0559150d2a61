/** Worked example files for the command line: examples/*.roughsill.json. */
import type { JobFacts } from '@roughsill/core';
import { AT, facts, job, reading, sample, space, surface } from './build';
import { quillPoint } from './quill-point';

/** One old window, lead found under three coats: the smallest job with everything in it. */
function oneWindow(): JobFacts {
  const room = space('ow-front-room', 'Front room', 'room', 0, { lengthM: 4.2, widthM: 3.6, heightM: 2.7 });
  const coats = ['ow-sash-coat1', 'ow-sash-coat2', 'ow-sash-coat3', 'ow-sash-coat4'];
  // Old putty is a suspect: two samples from two corners, or nobody goes down to it.
  const putty = [0.1, 0.9].map((atX, i) =>
    sample(`ow-putty${i + 1}`, `P-${'AB'[i]}`, {
      hazard: 'asbestos',
      kind: 'bulk',
      suspect: 'putty',
      place: 'lower rail',
      atX,
      atY: 0.9,
      takenAt: AT,
    }),
  );
  const sash = surface(
    'ow-sash',
    room.id,
    0,
    'doubleHungSash',
    'Lower sash',
    [
      ['acrylic', 'white', 'failing', 2004],
      ['alkyd', 'cream', 'sound'],
      ['oil', 'green', 'sound'],
      ['oil', 'primer', 'sound'],
    ],
    {
      conditions: ['checked', 'flaking'],
      knots: 'yes',
      topcoat: 'waterborneEggshell',
      readings: [
        reading('ow-r1', { kind: 'spot', spot: 'changed', reachedLayerIds: coats, toSubstrate: true, changedLayerIds: ['ow-sash-coat4'] }),
        ...putty.map((x) => reading(`${x.id}-says`, { kind: 'bulk', sampleId: x.id, value: 0, unit: 'mass%', analysis: 'plm' })),
      ],
      samples: putty,
    },
  );
  return facts(job({ id: 'one-window', name: 'One old window', yearBuilt: 1926, childUnder6: 'yes', pregnancy: 'no' }), [room], [sash]);
}

/** A terrace under UK rules, in metres: no amount of lead is too small, and no swab clears a coat. */
function ukStair(): JobFacts {
  const stair = space('us-stair', 'Stair', 'room', 0, { lengthM: 3.4, widthM: 1.9, heightM: 5.2 });
  const balusters = surface(
    'us-balusters',
    stair.id,
    0,
    'railing',
    'Balusters and rail',
    [
      ['alkyd', 'white', 'sound'],
      ['oil', 'brown', 'sound'],
    ],
    {
      material: 'tanninWood',
      aim: 'bareClear',
      topcoat: 'clearVarnish',
      knots: 'no',
      readings: [
        reading('us-r1', {
          kind: 'lab',
          value: 900,
          unit: 'ppm',
          reachedLayerIds: ['us-balusters-coat1', 'us-balusters-coat2'],
          toSubstrate: true,
        }),
      ],
    },
  );
  const string = surface(
    'us-string',
    stair.id,
    1,
    'baseboard',
    'String and skirting',
    [
      ['acrylic', 'white', 'sound', 2015],
      ['alkyd', 'white', 'sound'],
    ],
    { coatsCounted: false },
  );
  return facts(
    job({
      id: 'uk-stair',
      name: 'Terrace stair',
      yearBuilt: 1898,
      rulebook: 'uk',
      units: 'm',
      timeZone: 'Europe/London',
      childUnder6: 'unknown',
      pregnancy: 'unknown',
    }),
    [stair],
    [balusters, string],
  );
}

export const examples = (): Readonly<Record<string, JobFacts>> => ({
  'one-window': oneWindow(),
  'quill-point': quillPoint(),
  'uk-stair': ukStair(),
});
