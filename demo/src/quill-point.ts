/** The invented ferry office and keeper's rooms at Quill Point: built 1904, kitchen wing 1966. */
import { USUAL_MOISTURE } from '@roughsill/core';
import type { Bag, Check, JobFacts, Photo, Surface } from '@roughsill/core';
import { board, check, choose, defect, facts, job, reading, sample, sign, space, square, surface, type CoatSpec } from './build';

/** Named as the simulated lab names itself, so that its answers come in by themselves. */
const LAB = 'Simulated laboratory';

const OLD_JOINERY: readonly CoatSpec[] = [
  ['acrylic', 'grey', 'failing', 2011],
  ['alkyd', 'white', 'sound'],
  ['oil', 'green', 'sound'],
  ['oil', 'stone', 'sound'],
  ['oil', 'red-brown primer', 'sound'],
];

const INCH_M = 0.0254;
const inches = (m: number): number => Math.round(m / INCH_M) * INCH_M;
const maybe = (m: number | null): number | null => (m === null ? null : inches(m));
/** As somebody with a tape in feet would have measured it: whole inches. */
const onTape = (facts: JobFacts): JobFacts => ({
  ...facts,
  spaces: facts.spaces.map((s) => ({
    ...s,
    lengthM: maybe(s.lengthM),
    widthM: maybe(s.widthM),
    heightM: maybe(s.heightM),
    boundaryM: maybe(s.boundaryM),
    accessM: maybe(s.accessM),
    nearby: s.nearby.map((n) => ({ ...n, outM: maybe(n.outM), alongM: maybe(n.alongM), lengthM: maybe(n.lengthM) })),
  })),
  surfaces: facts.surfaces.map((s) => ({ ...s, lengthM: inches(s.lengthM), widthM: inches(s.widthM), alongM: maybe(s.alongM) })),
});

export const QUILL_POINT_HOUSE = {
  id: 'house-quill-point',
  name: 'Quill Point',
  address: 'Ferry office and keeper’s rooms, Quill Point',
  yearBuilt: 1904,
  note: 'Key with the keeper; the landing is wet at high water',
} as const;
export const QUILL_POINT_CLIENT = {
  id: 'client-quill-point',
  name: 'Orla Venn, for the ferry trust',
  address: 'Toll house, Quill Point',
  phone: '555 0142',
  email: 'orla.venn@example.org',
  reads: 'en',
  note: '',
} as const;

export function quillPoint(): JobFacts {
  const hall = space('qp-ticket-hall', 'Ticket hall', 'room', 0, {
    lengthM: 7.3,
    widthM: 5.2,
    heightM: 3.4,
    workingDoor: 'The street door, wall A',
    washPlace: 'The tap on the landing',
    machineIds: ['vacuum-1', 'air-1'],
    staying: 'Nobody: the office opens again when the hall is handed back',
  });
  const keeper = space('qp-keepers-room', 'Keeper’s room', 'room', 1, { lengthM: 4.3, widthM: 3.9, heightM: 2.9 });
  const kitchen = space('qp-kitchen', 'Kitchen wing', 'room', 2, {
    lengthM: 3.6,
    widthM: 3.2,
    heightM: 2.4,
    yearBuilt: 1966,
    services: ['gasPipe', 'alarm'],
    goesAnyway: 'The old floor covering',
  });
  const wash = space('qp-wash', 'Wash-room', 'room', 3, {
    lengthM: 2.4,
    widthM: 2.1,
    heightM: 2.4,
    yearBuilt: 1966,
    moisture: {
      ...USUAL_MOISTURE,
      insideC: 19,
      insideRhPct: 74,
      outsideC: 4,
      outsideRhPct: 85,
      uValueWm2K: 1.9,
      fanRatedM3h: 60,
      fanMeasuredM3h: 31,
      fanMinPerDay: 30,
      leakAch: 0.8,
      waterGPerDay: 600,
      burstsPerDay: 3,
      leak: 'no',
      rising: 'no',
      fanVentsOutside: 'yes',
      laundryDries: 'unknown',
      coldCorner: 'yes',
      fanRoom: 'bath',
      heating: 'twice',
      logged: { from: '2026-03-30 08:00', hours: 168, missing: 3, meanC: 18.2, meanRhPct: 72, faceRhPct: 89, hoursAbove80: 139 },
    },
  });
  const cellar = space('qp-cellar', 'Cellar', 'room', 4, { lengthM: 5.2, widthM: 4.1, heightM: 2, services: ['liveHeater', 'wiring'] });
  const river = space('qp-river-side', 'River side', 'elevation', 5, {
    lengthM: 14,
    heightM: 4.1,
    boundaryM: 2.4,
    accessM: 3.2,
    side: 'C',
    facing: 'se',
    // The boat shed stands before it until the sun is round.
    shaded: [{ fromH: 6, toH: 9 }],
    nearby: [
      { what: 'path', outM: 2.4, alongM: 0, lengthM: 14 },
      { what: 'drain', outM: 0.5, alongM: 12.8, lengthM: 0.5 },
      { what: 'scaffold', outM: 0, alongM: 1, lengthM: 8.4 },
    ],
  });
  // Measured for the sheet round the corner; nothing of it is worked.
  const street = space('qp-street-end', 'Street end', 'elevation', 6, {
    lengthM: 9.4,
    heightM: 4.1,
    boundaryM: 6,
    side: 'D',
    facing: 'sw',
  });

  const sashCoats = (id: string) => OLD_JOINERY.map((_, i) => `${id}-coat${i + 1}`);
  const sash = surface('qp-sash-river', hall.id, 0, 'doubleHungSash', 'Sashes, river side', OLD_JOINERY, {
    count: 4,
    conditions: ['checked', 'flaking', 'rubbing'],
    flakeGrade: 4,
    crackGrade: 3,
    measures: { panesAcross: 2, panesDown: 1 },
    knots: 'yes',
    topcoat: 'waterborneEggshell',
    tint: 'mid',
    colour: 'harbor gray',
    // Bracketed: 60 minutes left half of it, 90 lifted it; the middle one is still standing.
    squares: [
      square('qp-q1', 'solventGel', 60, '2026-04-14T09:05:00.000Z', {
        product: 'Gel A',
        place: 'sash 4, bottom rail',
        atX: 0.2,
        atY: 0.1,
        surfaceC: 17,
        lifted: 'some',
        stayedPct: 45,
        leftBehind: ['softFilm'],
        ease: 2,
      }),
      square('qp-q2', 'solventGel', 90, '2026-04-14T09:10:00.000Z', {
        product: 'Gel A',
        place: 'sash 4, bottom rail',
        atX: 0.5,
        atY: 0.1,
        surfaceC: 17,
        lifted: 'toCoat',
        stoppedOnLayerId: 'qp-sash-river-coat4',
        stayedPct: 5,
        sizeCm2: 400,
        usedMl: 44,
        workMin: 9,
        ease: 4,
      }),
      square('qp-q3', 'solventGel', 75, '2026-04-15T13:40:00.000Z', {
        product: 'Gel A',
        place: 'sash 4, bottom rail',
        atX: 0.8,
        atY: 0.1,
        surfaceC: 18,
      }),
    ],
    readings: [
      reading('qp-x1', { kind: 'crossCut', value: 3, unit: 'class', takenAt: '2026-04-14T08:50:00.000Z', note: 'Lower rail, three cuts' }),
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
    crackGrade: 2,
    // Two tests that disagree: the stricter holds until one is withdrawn.
    samples: [
      sample('qp-s1', 'QP-001', {
        reachedLayerIds: ['qp-casing-river-coat1'],
        place: 'head casing, face only',
        takenAt: '2026-04-13T10:02:00.000Z',
        sentAt: '2026-04-13T16:00:00.000Z',
        lab: LAB,
      }),
    ],
    readings: [
      reading('qp-r6', {
        kind: 'lab',
        sampleId: 'qp-s1',
        value: 210,
        unit: 'ppm',
        takenAt: '2026-04-17T11:20:00.000Z',
        note: 'Reported on the lab’s sheet',
      }),
      reading('qp-r7', {
        kind: 'spot',
        spot: 'changed',
        reachedLayerIds: ['qp-casing-river-coat1'],
        takenAt: '2026-04-13T10:10:00.000Z',
        note: 'Face swab, beside the chip',
      }),
    ],
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
    samples: [
      sample('qp-s3', 'QP-003', {
        reachedLayerIds: ['qp-wainscot-coat1', 'qp-wainscot-coat2', 'qp-wainscot-coat3'],
        toSubstrate: true,
        place: 'behind the bench, 2 x 2 in',
        takenAt: '2026-04-14T15:05:00.000Z',
        sentAt: '2026-04-15T08:10:00.000Z',
        lab: LAB,
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
    {
      lengthM: 25,
      widthM: 2.4,
      conditions: ['powdery'],
      defects: [
        defect('qp-df3', 'loosePlaster', { areaM2: 0.4, alongM: 3.2, upM: 1.6, note: 'Behind the old time-table' }),
        defect('qp-df4', 'crack', { lengthM: 1.1, depthMm: 3, alongM: 17.5, upM: 1.9, note: 'From the corner of the hatch' }),
      ],
    },
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
        finish: 'smooth',
        defects: [
          defect('qp-df1', 'hole', { areaM2: 0.003, depthMm: 22, alongM: 0.78, upM: 1.05, note: 'The old mortice lock' }),
          defect('qp-df2', 'dent', { areaM2: 0.004, depthMm: 2, alongM: 0.4, upM: 0.2, pieces: 3, note: 'Boots' }),
        ],
        signs: [
          sign('qp-sg1', {
            sign: 'heatWrinkles',
            extent: 'half',
            methodId: 'infrared',
            partId: 'qp-keeper-door-flat',
            takenAt: '2026-05-06T08:40:00.000Z',
          }),
          sign('qp-sg2', {
            sign: 'heatSmoke',
            extent: 'spot',
            methodId: 'infrared',
            partId: 'qp-keeper-door-flat',
            takenAt: '2026-05-06T08:55:00.000Z',
          }),
        ],
        readings: [
          reading('qp-r4', {
            kind: 'xrf',
            value: 2.6,
            unit: 'mg/cm2',
            device: 'Simulated XRF',
            takenAt: '2026-04-13T09:20:00.000Z',
            note: 'Lock rail',
          }),
        ],
      },
    ),
    'infrared',
  );
  // The lamp does not reach into its tight corners: they are scuffed and coated over.
  const keeperDoor = { ...door, parts: door.parts.map((p) => (p.kind === 'tight' ? { ...p, methodId: 'overcoat' as const } : p)) };
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
    serviceC: 75,
    // Sent before the others, and late.
    samples: [
      sample('qp-s9', 'QP-009', {
        reachedLayerIds: ['qp-keeper-heater-coat1'],
        toSubstrate: true,
        place: 'back of the last section',
        takenAt: '2026-04-09T11:00:00.000Z',
        sentAt: '2026-04-09T15:00:00.000Z',
        lab: LAB,
      }),
    ],
  });

  const bulkCeiling = (n: number, number: string, atX: number, atY: number, takenAt: string | null) =>
    sample(`qp-b${n}`, number, {
      hazard: 'asbestos',
      kind: 'bulk',
      suspect: 'texturedCoat',
      atX,
      atY,
      takenAt,
      sentAt: takenAt === null ? null : '2026-04-15T08:10:00.000Z',
      lab: LAB,
      takenBy: takenAt === null ? '' : 'Ned Tarn, licensed inspector',
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
    {
      material: 'gypsumPlaster',
      lengthM: 3.6,
      widthM: 3.2,
      // Three are needed; two are at the lab, the third is still to cut.
      samples: [
        bulkCeiling(1, 'QP-004', 0.22, 0.61, '2026-04-14T09:00:00.000Z'),
        bulkCeiling(2, 'QP-005', 0.71, 0.18, '2026-04-14T09:12:00.000Z'),
        bulkCeiling(3, 'QP-006', 0.48, 0.83, null),
      ],
    },
  );
  const kitchenWall = surface('qp-kitchen-wall', kitchen.id, 1, 'wall', 'Kitchen walls', [['acrylic', 'cream', 'sound', 1994]], {
    material: 'board',
    lengthM: 13.6,
    widthM: 2.4,
    measures: { openingsM2: 3.4 },
    // Both samples of the joint compound came back clear.
    samples: [1, 2].map((n) =>
      sample(`qp-j${n}`, `QP-01${n}`, {
        hazard: 'asbestos',
        kind: 'bulk',
        suspect: 'jointCompound',
        takenAt: '2026-04-09T09:00:00.000Z',
        sentAt: '2026-04-09T15:00:00.000Z',
        lab: LAB,
        takenBy: 'Ned Tarn, licensed inspector',
      }),
    ),
    readings: [1, 2].map((n) =>
      reading(`qp-rj${n}`, {
        kind: 'bulk',
        sampleId: `qp-j${n}`,
        value: 0,
        unit: 'mass%',
        analysis: 'plm',
        takenAt: '2026-04-13T09:00:00.000Z',
        note: 'None detected, both layers',
      }),
    ),
  });
  const kitchenDoor = surface('qp-kitchen-casing', kitchen.id, 2, 'casing', 'New door casing', [['acrylic', 'white', 'sound', 2019]], {
    yearMade: 2019,
    knots: 'no',
    // Small, and wanted without a brush mark: from a can, behind tape.
    topcoat: 'alkydGloss',
    layings: { topcoat: 'can' },
  });
  // Entered last, so that the order in which the rooms were walked stays as it was.
  const gas = surface('qp-kitchen-gas', kitchen.id, 3, 'gasPipe', 'Gas pipe to the stove', [['alkyd', 'grey', 'sound', 1994]], {
    yearMade: 1994,
    lengthM: 2.2,
  });
  const washCeiling = surface('qp-wash-ceiling', wash.id, 0, 'ceiling', 'Damp ceiling', [['acrylic', 'white', 'failing', 2015]], {
    material: 'gypsumPlaster',
    lengthM: 2.4,
    widthM: 2.1,
    conditions: ['moldy', 'flaking', 'wet'],
    flakeGrade: 3,
    moldM2: 0.9,
    readings: (
      [
        [1, 3.4, 0.1, 0.15],
        [2, 2.6, 0.5, 0.5],
        [3, 0.9, 0.9, 0.85],
      ] as const
    ).map(([n, value, atX, atY]) =>
      reading(`qp-m${n}`, {
        kind: 'moisture',
        value,
        unit: '%gypsum',
        atX,
        atY,
        device: 'Simulated moisture meter',
        takenAt: '2026-04-14T11:30:00.000Z',
      }),
    ),
  });
  const washWall = surface('qp-wash-wall', wash.id, 1, 'wall', 'Outside wall', [['acrylic', 'white', 'sound', 2015]], {
    material: 'gypsumPlaster',
    lengthM: 2.4,
    widthM: 2.4,
    conditions: ['moldy'],
    moldM2: 0.25,
    readings: [
      reading('qp-air', {
        kind: 'air',
        value: 19.2,
        unit: 'C',
        humidityPct: 74,
        device: 'Simulated thermo-hygrometer',
        takenAt: '2026-04-14T11:34:00.000Z',
      }),
      reading('qp-ir', {
        kind: 'surfaceTemp',
        value: 13.1,
        unit: 'C',
        device: 'Simulated infrared thermometer',
        takenAt: '2026-04-14T11:36:00.000Z',
      }),
    ],
  });

  const lagging = surface('qp-cellar-lagging', cellar.id, 0, 'pipeLagging', 'Lagged heating pipe', [['distemper', 'white', 'failing']], {
    lengthM: 6.5,
    samples: [
      sample('qp-l1', 'QP-014', {
        hazard: 'asbestos',
        kind: 'bulk',
        suspect: 'lagging',
        takenAt: '2026-04-09T10:00:00.000Z',
        sentAt: '2026-04-09T15:00:00.000Z',
        lab: LAB,
        takenBy: 'Ned Tarn, licensed inspector',
      }),
    ],
    readings: [
      reading('qp-rl1', {
        kind: 'bulk',
        sampleId: 'qp-l1',
        value: 18,
        unit: 'mass%',
        analysis: 'plm',
        takenAt: '2026-04-13T09:05:00.000Z',
        note: 'Amosite',
      }),
    ],
  });
  const cellarWall = surface('qp-cellar-wall', cellar.id, 1, 'wall', 'Limewashed brick', [['limewash', 'white', 'sound']], {
    material: 'brick',
    lengthM: 18.6,
    widthM: 2,
    chalkGrade: 2,
    conditions: ['powdery'],
  });

  const siding = surface('qp-siding', river.id, 0, 'siding', 'Old slipway boards', [['oil', 'tar brown', 'failing']], {
    lengthM: 7.2,
    widthM: 2.6,
    conditions: ['oilSoaked', 'checked'],
    knots: 'unknown',
    boards: [
      board('qp-bd1', '1', { oilSoaked: 'yes', coats: 0, soundCoats: 0, note: 'Tar weeps in the sun' }),
      board('qp-bd2', '2', { oilSoaked: 'yes', coats: 0, soundCoats: 0 }),
      board('qp-bd3', '3', { oilSoaked: 'no', coats: 4, soundCoats: 4 }),
      board('qp-bd4', '4', { oilSoaked: 'no', coats: 4, soundCoats: 2, mixed: true, note: 'Sound above the drip, bare below it' }),
      board('qp-bd5', '5', { oilSoaked: 'no', coats: 3, soundCoats: 3 }),
      board('qp-bd6', '6', { oilSoaked: 'unknown', coats: 0, soundCoats: 0 }),
      board('qp-bd7', '7', { oilSoaked: 'no', coats: 3, soundCoats: 0 }),
    ],
  });
  const iron = surface(
    'qp-iron',
    river.id,
    3,
    'ironRailing',
    'Wrought landing rail',
    [
      ['bitumen', 'black', 'failing'],
      ['oil', 'red lead', 'sound'],
    ],
    { rustGrade: 3, conditions: ['flaking'] },
  );
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
    {
      conditions: ['flaking', 'openJoints'],
      knots: 'no',
      samples: [
        sample('qp-s8', 'QP-008', {
          reachedLayerIds: ['qp-railing-coat1', 'qp-railing-coat2'],
          toSubstrate: true,
          place: 'underside of the hand rail',
          takenAt: '2026-04-16T14:20:00.000Z',
        }),
      ],
    },
  );
  // The contested choice: the owner wants it blasted; the squares say a stripper does it, on the black but not on the old tar.
  const plinth = surface(
    'qp-plinth',
    river.id,
    2,
    'plinth',
    'Salt-worn brick plinth',
    [
      ['acrylic', 'black', 'failing'],
      ['oil', 'grey', 'failing'],
    ],
    {
      lengthM: 14,
      conditions: ['blistered', 'wet', 'salty'],
      readings: [
        reading('qp-ir2', {
          kind: 'surfaceTemp',
          value: 14.5,
          unit: 'C',
          device: 'Simulated infrared thermometer',
          takenAt: '2026-04-15T10:00:00.000Z',
        }),
        reading('qp-dr1', { kind: 'drop', value: 240, unit: 's', takenAt: '2026-04-15T10:02:00.000Z', note: 'Stands on the black' }),
      ],
      squares: [
        square('qp-q4', 'masonryStripper', 30, '2026-04-15T10:10:00.000Z', {
          product: 'Stage one, then two',
          place: 'left of the steps',
          atX: 0.1,
          atY: 0.5,
          surfaceC: 14,
          lifted: 'some',
          stayedPct: 60,
          leftBehind: ['ghost'],
          ease: 2,
        }),
        square('qp-q5', 'masonryStripper', 90, '2026-04-15T10:15:00.000Z', {
          product: 'Stage one, then two',
          place: 'left of the steps',
          atX: 0.15,
          atY: 0.5,
          surfaceC: 14,
          lifted: 'bare',
          stayedPct: 5,
          leftBehind: ['ghost'],
          ease: 4,
        }),
        square('qp-q6', 'masonryStripper', 90, '2026-04-15T10:20:00.000Z', {
          product: 'Stage one, then two',
          coating: 'old tar by the slip',
          place: 'corner at the slip',
          atX: 0.95,
          atY: 0.3,
          surfaceC: 14,
          lifted: 'nothing',
          stayedPct: 100,
          ease: 1,
        }),
        square('qp-q7', 'softBlast', null, '2026-04-15T11:30:00.000Z', {
          product: 'Nut shell, owner’s wish',
          place: 'behind the water butt',
          atX: 0.6,
          atY: 0.4,
          surfaceC: 15,
          lifted: 'bare',
          harms: ['etched'],
          ease: 5,
          note: 'Fired skin gone in two places',
        }),
      ],
    },
  );

  const whole = facts(
    job({
      id: 'quill-point',
      name: 'Quill Point ferry office',
      place: 'Ferry office and keeper’s rooms, Quill Point',
      yearBuilt: 1904,
      childUnder6: 'no',
      pregnancy: 'no',
      asthma: 'no',
      livedIn: 'yes',
      otherTrades: 'A roofer, on the landing until May',
      family: 'single',
      tenure: 'rented',
      publicFunding: 'no',
      listed: 'yes',
      power: 'yes',
      water: 'yes',
      edition: 'us-2026',
      startOn: '2026-04-13',
      samplingSeed: 'quill point 2026',
      siteId: QUILL_POINT_HOUSE.id,
      clientId: QUILL_POINT_CLIENT.id,
      clientName: QUILL_POINT_CLIENT.name,
      sample: true,
    }),
    [hall, keeper, kitchen, wash, cellar, river, street],
    [
      sash,
      casing,
      wainscot,
      counter,
      hallWall,
      keeperDoor,
      base,
      heater,
      ceiling,
      kitchenWall,
      kitchenDoor,
      gas,
      washCeiling,
      washWall,
      lagging,
      cellarWall,
      siding,
      railing,
      plinth,
      iron,
    ],
  );
  const picture = (id: string, ofSurfaceId: string, hash: string, caption: string, marks: Photo['marks']): Photo => ({
    id,
    hash,
    width: 900,
    height: 600,
    ofSurfaceId,
    ofSampleId: null,
    ofCheckId: null,
    ofSquareId: null,
    ofZoneId: null,
    ofBagId: null,
    ofSignId: null,
    ofDefectId: null,
    caption,
    marks,
    takenAt: '2026-04-14T11:40:00.000Z',
    removedAt: null,
  });
  const xrf = { device: 'Simulated XRF', filmMgCm2: 1.02, tolerance: 0.1 };
  // Where the pieces of the hall stand; nobody has measured the counter in yet.
  const stands: Readonly<Record<string, Pick<Surface, 'wall' | 'alongM'> & Partial<Pick<Surface, 'opening'>>>> = {
    [sash.id]: { wall: 'C', alongM: 1.1, opening: 'airOut' },
    [casing.id]: { wall: 'C', alongM: 1 },
    [wainscot.id]: { wall: 'A', alongM: 0 },
    [hallWall.id]: { wall: 'A', alongM: 0 },
  };
  const passed = (of: string, zoneId: string | null, gate: string, at: string, measured: Check['measured'] = []): Check => ({
    id: `qp-${of}-${gate.replaceAll('.', '-')}`,
    gate,
    zoneId,
    outcome: 'pass',
    measured,
    pieceIds: null,
    spokeOf: null,
    note: '',
    takenAt: `2026-04-${at}:00.000Z`,
    supersedesId: null,
    supersedesWhy: null,
    by: 'Ines Marlow',
  });
  const doorChecks = [
    passed('door', null, 'washed', '13T15:00'),
    passed('door', null, 'bare.moulded.infrared', '14T11:30'),
    passed('door', null, 'bare.flat.infrared', '14T14:10'),
    passed('door', null, 'clean.water', '14T14:40'),
    passed('door', null, 'moisture', '15T09:00', [{ what: 'moisturePct', value: 13 }]),
  ];
  return onTape({
    ...whole,
    surfaces: whole.surfaces.map((s) => ({ ...s, ...stands[s.id], checks: s.id === door.id ? doorChecks : s.checks })),
    // The hall is set up, the door on the bench is stripped and dry; the other zones wait for their answers.
    checks: [
      passed('hall', hall.id, 'containment-up', '15T12:10'),
      passed('hall', hall.id, 'kit-on.halfMask', '15T12:25'),
      passed('bench', 'quill-point', 'containment-up', '13T13:00'),
      passed('bench', 'quill-point', 'kit-on.halfMask', '13T13:05'),
    ],
    // The bench was worked on 13 and 14 April; its first load is gone, the suits still stand in the boat shed.
    hauls: [
      {
        id: 'qp-h1',
        number: 'T-118',
        leftAt: '2026-04-14T16:30:00.000Z',
        carrier: 'Own trailer',
        to: 'County transfer station',
        bags: 2,
        kg: 21,
        note: '',
        removedAt: null,
      },
    ],
    bags: [
      ['B-001', 'sheetAndChips', 9.4, '13T15:20', 'qp-h1'],
      ['B-002', 'sheetAndChips', 11.2, '14T14:50', 'qp-h1'],
      ['B-003', 'filters', null, '14T15:00', null],
    ].map(([number, stream, kg, at, haulId]) => ({
      id: `qp-${String(number).toLowerCase()}`,
      number: String(number),
      stream: stream as Bag['stream'],
      kg: kg as number | null,
      filledAt: `2026-04-${String(at)}:00.000Z`,
      filledBy: 'Ines Marlow',
      zoneId: 'quill-point',
      place: haulId === null ? 'Boat shed, locked' : '',
      haulId: haulId as string | null,
      note: '',
      removedAt: null,
    })),
    // The first day on site: one goes from room to bench, the other stays out on the river side.
    stints: (
      [
        ['Ines Marlow', 'qp-keepers-room', 480, 4],
        ['Ines Marlow', 'quill-point', 750, 3],
        ['Odo Quarry', 'qp-river-side', 480, 7.5],
      ] as const
    ).map(([person, zoneId, fromMin, hours], i) => ({
      id: `qp-stint-${i + 1}`,
      person,
      zoneId,
      on: '2026-04-15',
      fromMin,
      hours,
      removedAt: null,
    })),
    // Worn on the first morning; the lab has not answered.
    airSamples: [
      {
        id: 'qp-air-1',
        number: 'A-001',
        onSurfaceId: keeperDoor.id,
        methodId: 'infrared',
        person: 'Ines Marlow',
        startedAt: '2026-04-14T08:30:00.000Z',
        minutes: 180,
        flowLMin: 2,
        massUg: null,
        below: false,
        lab: 'Simulated laboratory',
        note: '',
        removedAt: null,
      },
    ],
    // Drawn for the sample job: demo/photos, each under the hash of its bytes.
    photos: [
      picture(
        'qp-p1',
        'qp-wash-ceiling',
        '155470765afb5c7a41484d7a76728e60f7549b5bdec483bdff14853ab04504de',
        'Growth over the outside corner (drawn)',
        [{ kind: 'circle', x: 0.3, y: 0.4, toX: 0.45, toY: 0.4 }],
      ),
      picture(
        'qp-p2',
        'qp-sash-river',
        'be2e96c3b0353bb284cfb3f3573610f1b97debe48e9c6030f6c2556f94f2508f',
        'Lower rail, flaked to the wood (drawn)',
        [
          { kind: 'arrow', x: 0.55, y: 0.42, toX: 0.72, toY: 0.2 },
          { kind: 'number', x: 0.2, y: 0.45, toX: 0.2, toY: 0.45 },
        ],
      ),
    ],
    instrumentChecks: [
      check('qp-k1', { ...xrf, what: 'calibration', values: [1.0, 1.05, 1.03], takenAt: '2026-04-13T08:05:00.000Z' }),
      check('qp-k2', {
        ...xrf,
        what: 'substrate',
        material: 'softwood',
        values: [1.08, 1.05, 1.1, 1.04, 1.09, 1.06],
        takenAt: '2026-04-13T08:15:00.000Z',
      }),
      check('qp-k3', { ...xrf, what: 'calibration', values: [1.01, 1.04, 1.0], takenAt: '2026-04-13T11:50:00.000Z' }),
    ],
  });
}
