/** The invented ferry office and keeper's rooms at Quill Point: built 1904, kitchen wing 1966. */
import type { JobFacts } from '@roughsill/core';
import { choose, facts, job, reading, space, surface, type CoatSpec } from './build';

const OLD_JOINERY: readonly CoatSpec[] = [
  ['acrylic', 'grey', 'failing', 2011],
  ['alkyd', 'white', 'sound'],
  ['oil', 'green', 'sound'],
  ['oil', 'stone', 'sound'],
  ['oil', 'red-brown primer', 'sound'],
];

export function quillPoint(): JobFacts {
  const hall = space('qp-ticket-hall', 'Ticket hall', 'room', 0, { lengthM: 7.3, widthM: 5.2, heightM: 3.4 });
  const keeper = space('qp-keepers-room', 'Keeper’s room', 'room', 1, { lengthM: 4.3, widthM: 3.9, heightM: 2.9 });
  const kitchen = space('qp-kitchen', 'Kitchen wing', 'room', 2, { lengthM: 3.6, widthM: 3.2, heightM: 2.4, yearBuilt: 1966 });
  const river = space('qp-river-side', 'River side', 'elevation', 3, { lengthM: 14, heightM: 4.1, boundaryM: 2.4 });

  const sashCoats = (id: string) => OLD_JOINERY.map((_, i) => `${id}-coat${i + 1}`);
  const sash = surface('qp-sash-river', hall.id, 0, 'doubleHungSash', 'Sashes, river side', OLD_JOINERY, {
    count: 4,
    conditions: ['checked', 'flaking', 'rubbing'],
    knots: 'yes',
    topcoat: 'waterborneEggshell',
    readings: [
      reading('qp-r1', {
        kind: 'spot',
        spot: 'unchanged',
        reachedLayerIds: ['qp-sash-river-coat1'],
        note: 'Face swab, lower rail of sash 2',
      }),
      reading('qp-r2', {
        kind: 'spot',
        spot: 'changed',
        takenAt: '2026-04-13T08:42:00.000Z',
        reachedLayerIds: sashCoats('qp-sash-river'),
        toSubstrate: true,
        changedLayerIds: ['qp-sash-river-coat5'],
        note: 'Notch through all coats, bottom rail',
      }),
    ],
  });
  const casing = surface('qp-casing-river', hall.id, 1, 'casing', 'Casings, river side', OLD_JOINERY.slice(1), {
    count: 4,
    knots: 'yes',
    conditions: ['checked'],
  });
  const wainscotCoats: readonly CoatSpec[] = [
    ['alkyd', 'cream', 'failing'],
    ['oil', 'brown graining', 'sound'],
    ['oil', 'buff', 'sound'],
  ];
  const wainscot = surface('qp-wainscot', hall.id, 2, 'wainscot', 'Pine wainscot', wainscotCoats, {
    lengthM: 18.5,
    knots: 'yes',
    conditions: ['blistered'],
    readings: [
      reading('qp-r3', {
        kind: 'lab',
        takenAt: '2026-04-14T15:05:00.000Z',
        reachedLayerIds: ['qp-wainscot-coat1', 'qp-wainscot-coat2', 'qp-wainscot-coat3'],
        toSubstrate: true,
        note: 'Chip 2 x 2 in, behind the bench; sample QP-03',
      }),
    ],
  });
  const counter = surface(
    'qp-counter',
    hall.id,
    3,
    'wainscot',
    'Ticket counter',
    [
      ['casein', 'blue', 'sound'],
      ['casein', 'white', 'sound'],
    ],
    { lengthM: 4.2, material: 'softwood', aim: 'bareClear', topcoat: 'clearVarnish', knots: 'no' },
  );
  const hallWall = surface(
    'qp-hall-wall',
    hall.id,
    4,
    'wall',
    'Lime-plastered walls',
    [
      ['distemper', 'ochre', 'failing'],
      ['limewash', 'white', 'sound'],
    ],
    { lengthM: 25, widthM: 2.4, conditions: ['powdery'] },
  );

  const door = choose(
    surface(
      'qp-keeper-door',
      keeper.id,
      0,
      'door',
      'Four-panel door',
      [
        ['alkyd', 'white', 'sound'],
        ['oil', 'brown', 'sound'],
      ],
      {
        bench: true,
        faces: 2,
        conditions: ['runs', 'rubbing'],
        knots: 'yes',
        topcoat: 'alkydGloss',
        readings: [reading('qp-r4', { kind: 'xrf', value: 2.6, unit: 'mg/cm2', takenAt: '2026-04-13T09:20:00.000Z', note: 'Lock rail' })],
      },
    ),
    'infrared',
  );
  const base = surface(
    'qp-keeper-base',
    keeper.id,
    1,
    'baseboard',
    'Baseboards',
    [
      ['acrylic', 'white', 'sound', 2011],
      ['alkyd', 'cream', 'sound'],
    ],
    {
      coatsCounted: false,
      readings: [
        reading('qp-r5', {
          kind: 'spot',
          spot: 'unchanged',
          reachedLayerIds: ['qp-keeper-base-coat1'],
          takenAt: '2026-04-13T09:31:00.000Z',
          note: 'Face only',
        }),
      ],
    },
  );
  const heater = surface('qp-keeper-heater', keeper.id, 2, 'heater', 'Stove-room heater', [['oil', 'aluminium', 'sound']], {
    conditions: ['flaking'],
  });

  const ceiling = surface(
    'qp-kitchen-ceiling',
    kitchen.id,
    0,
    'ceiling',
    'Textured ceiling',
    [
      ['acrylic', 'white', 'sound'],
      ['textured', 'white', 'sound'],
    ],
    { material: 'gypsumPlaster', lengthM: 3.6, widthM: 3.2 },
  );
  const kitchenDoor = surface('qp-kitchen-casing', kitchen.id, 1, 'casing', 'New door casing', [['acrylic', 'white', 'sound', 2019]], {
    yearMade: 2019,
    knots: 'no',
  });

  const siding = surface('qp-siding', river.id, 0, 'siding', 'Old slipway boards', [['oil', 'tar brown', 'failing']], {
    lengthM: 7.2,
    widthM: 2.6,
    conditions: ['oilSoaked', 'checked'],
    knots: 'unknown',
  });
  const railing = surface(
    'qp-railing',
    river.id,
    1,
    'railing',
    'Landing railing',
    [
      ['alkyd', 'white', 'failing'],
      ['oil', 'white lead', 'failing'],
    ],
    { conditions: ['flaking', 'openJoints'], knots: 'no' },
  );
  const plinth = surface('qp-plinth', river.id, 2, 'plinth', 'Salt-worn brick plinth', [['acrylic', 'black', 'failing']], {
    lengthM: 14,
    conditions: ['blistered', 'wet'],
  });

  return facts(
    job({
      id: 'quill-point',
      name: 'Quill Point ferry office',
      place: 'Ferry office and keeper’s rooms, Quill Point',
      yearBuilt: 1904,
      childUnder6: 'no',
      pregnancy: 'no',
      sample: true,
    }),
    [hall, keeper, kitchen, river],
    [sash, casing, wainscot, counter, hallWall, door, base, heater, ceiling, kitchenDoor, siding, railing, plinth],
  );
}
