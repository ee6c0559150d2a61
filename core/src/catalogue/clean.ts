/** Washing, soaking, cleaning: what water and a cloth take off, and mold by three schools. */
import { PLASTER } from '../facts/vocabulary';
import { BLADES, BY_BRUSH, EVERY, ft2h, method, once, span, type Method } from './method';

/** A fine mist that wets and does not run, L/m2; so many of them, more where paint keeps the water out. Common practice, from memory. */
export const MIST_L_M2 = 0.35;
export const MISTS = { bare: { low: 2, high: 3 }, painted: { low: 3, high: 4 } } as const;

const MOLD = { takes: ['mold'], bite: 'skin', suits: EVERY, reach: BY_BRUSH, wet: true, leaves: ['water'], source: 'trade-mold' } as const;

const PUTTY = {
  takes: ['putty'],
  bite: 'loose',
  suits: ['softwood', 'tanninWood', 'oilyWood', 'mildSteel'],
  reach: { besideGlass: 1 },
  dust: 'low',
  leaves: ['dust'],
  harms: ['glass'],
  consumables: [BLADES],
  harm: 1,
  source: 'trade-putty',
} as const satisfies Partial<Method>;

export const CLEAN = [
  method('washDegrease', {
    takes: ['dirt'],
    bite: 'skin',
    suits: EVERY,
    reach: BY_BRUSH,
    wet: true,
    leaves: ['water'],
    rate: ft2h(125, 300),
    consumables: [once('cleaner', 0.1, 'L')],
    source: 'trade-wash',
  }),
  method('distemperWash', {
    takes: ['distemper'],
    bite: 'bare',
    suits: [...PLASTER, 'brick', 'stone', 'softwood'],
    reach: BY_BRUSH,
    wet: true,
    leaves: ['water'],
    needs: ['water'],
    rate: ft2h(30, 80),
    passes: span(2, 3),
    consumables: [once('water', 4, 'L')],
    source: 'trade-wash',
  }),
  method('textureSoak', {
    takes: ['texture'],
    bite: 'bare',
    suits: PLASTER,
    reach: { flat: 1, moulded: 0.4, tight: 0.5, underside: 1 },
    wet: true,
    leaves: ['water'],
    needs: ['water'],
    harms: ['board'],
    rate: ft2h(25, 60),
    // Misted several times, minutes apart: one pass.
    dwellH: span(0.25, 0.5),
    laying: { layM2PerH: 40, liftM2PerH: 10, rinseM2PerH: null, openLifeH: 0.7, coveredLifeH: 2, rinseWithinH: 1 },
    consumables: [once('water', MIST_L_M2 * MISTS.painted.high, 'L'), BLADES],
    harm: 1,
    source: 'trade-wash',
  }),
  method('moldWash', { ...MOLD, rate: ft2h(60, 150), consumables: [once('cleaner', 0.1, 'L')] }),
  method('moldBiocide', { ...MOLD, rate: ft2h(50, 120), dwellH: span(1, 1), consumables: [once('biocide', 0.15, 'L')] }),
  method('moldBleach', {
    ...MOLD,
    rate: ft2h(45, 110),
    dwellH: span(1, 1.5),
    vapour: true,
    leaves: ['bleach', 'water'],
    // Bleach pits bright metal.
    harms: ['grain', 'aluminium', 'galvanised'],
    consumables: [once('bleach', 0.12, 'L')],
    harm: 1,
  }),
  method('puttyCut', {
    ...PUTTY,
    rate: ft2h(2, 6),
  }),
  // Hard putty is warmed, evenly and not hot, until the knife goes in; the glass is shielded.
  method('puttyWarm', {
    ...PUTTY,
    heatC: 160,
    needs: ['power'],
    rate: ft2h(3, 8),
  }),
];
