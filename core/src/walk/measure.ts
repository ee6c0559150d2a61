/** Take-off: coated area from simple measures, with every step of the sum. */
import type { MeasureId, Part, Surface } from '../facts';
import { ELEMENTS, type Shape } from './elements';

/** One line of the sum: a word for what it is, the numbers multiplied (metres, or plain factors), and the area, m2. */
export interface SumLine {
  readonly what: string;
  readonly metres: readonly number[];
  readonly times: readonly number[];
  /** Negative where it is taken away. */
  readonly m2: number;
}

export interface TakeOff {
  /** Coated area of one piece, m2, all its faces. */
  readonly eachM2: number;
  /** All pieces, m2. */
  readonly totalM2: number;
  readonly partM2: Readonly<Record<string, number>>;
  /** One face of one piece; then faces and count multiply it. */
  readonly lines: readonly SumLine[];
  readonly faces: number;
  readonly count: number;
}

const parts = new WeakMap<readonly Part[], readonly Part[]>();
/** What is left of it, as entered. Every stage asks, so each list is gone through once. */
export function liveParts(s: Pick<Surface, 'parts'>): readonly Part[] {
  let made = parts.get(s.parts);
  if (!made) parts.set(s.parts, (made = s.parts.filter((p) => p.removedAt === null)));
  return made;
}

const layers = new WeakMap<Surface['layers'], Surface['layers']>();
/** The coats that are there, from the top. */
export function liveLayers(s: Pick<Surface, 'layers'>): Surface['layers'] {
  let made = layers.get(s.layers);
  if (!made) layers.set(s.layers, (made = s.layers.filter((l) => l.removedAt === null).sort((a, b) => a.position - b.position)));
  return made;
}

/** A named size of the piece: as recorded, else as usual for the element. */
export const sizeOf = (s: Pick<Surface, 'element' | 'measures'>, id: MeasureId): number =>
  s.measures[id] ?? ELEMENTS[s.element].measures[id] ?? 0;

const line = (what: string, metres: readonly number[], times: readonly number[] = [], sign = 1): SumLine => ({
  what,
  metres,
  times,
  m2: sign * [...metres, ...times].reduce((a, b) => a * b, 1),
});

/**
 * Heating surface of one section of a column heater, ft2, by columns and height in inches.
 * From memory of the old makers' tables (38 in: 2 columns 4, 3 columns 5, 4 columns 8 ft2); between heights it is read off a line.
 */
const SECTION_FT2: Readonly<Record<number, readonly (readonly [heightIn: number, ft2: number])[]>> = {
  1: [
    [20, 1.5],
    [23, 1.67],
    [26, 2],
    [32, 2.5],
    [38, 3],
  ],
  2: [
    [20, 2],
    [23, 2.33],
    [26, 2.67],
    [32, 3.33],
    [38, 4],
    [45, 5],
  ],
  3: [
    [18, 2.25],
    [22, 3],
    [26, 3.75],
    [32, 4.5],
    [38, 5],
    [45, 6],
  ],
  4: [
    [18, 3],
    [22, 4],
    [26, 5],
    [32, 6.5],
    [38, 8],
    [45, 10],
  ],
};
const INCH_M = 0.0254;
const FT2_M2 = 0.09290304;

/**
 * Heating surface, and so coated surface, of one section.
 * @param columns 1 to 4; outside that the nearest counts
 * @returns m2
 */
export function sectionM2(columns: number, heightM: number): number {
  const rows = SECTION_FT2[Math.min(4, Math.max(1, Math.round(columns)))]!;
  const h = heightM / INCH_M;
  const above = rows.findIndex(([height]) => height >= h);
  if (above === 0) return (rows[0]![1] * h * FT2_M2) / rows[0]![0];
  const [h1, a1] = rows.at(above === -1 ? -2 : above - 1)!;
  const [h2, a2] = rows.at(above)!;
  return (a1 + ((a2 - a1) * (h - h1)) / (h2 - h1)) * FT2_M2;
}

const SUMS: Readonly<Record<Shape, (l: number, w: number, size: (id: MeasureId) => number) => SumLine[]>> = {
  /** A face less its openings, times a factor for corrugation, laps or louvres. */
  face: (l, w, size) => {
    const factor = size('factor') || 1;
    const openings = Math.min(size('openingsM2'), l * w);
    return [
      line('face', [l, w], factor === 1 ? [] : [factor]),
      ...(openings > 0
        ? [{ what: 'openings', metres: [], times: factor === 1 ? [openings] : [openings, factor], m2: -openings * factor }]
        : []),
    ];
  },
  /** The wood about the glass, the rebate about each pane, and the edges. */
  sash: (l, w, size) => {
    const across = Math.max(1, size('panesAcross'));
    const down = Math.max(1, size('panesDown'));
    const paneW = Math.max(0, (w - 2 * size('stileM') - (across - 1) * size('muntinM')) / across);
    const paneH = Math.max(0, (l - 2 * size('stileM') - (down - 1) * size('muntinM')) / down);
    return [
      line('face', [l, w]),
      line('glass', [paneH, paneW], [across * down], -1),
      line('rebates', [2 * (paneH + paneW), REBATE_M], [across * down]),
      line('edges', [2 * (l + w), size('edgeM')]),
    ];
  },
  /** The flat face, the moulding about each panel by its girth beyond the flat, and the edges. */
  panels: (l, w, size) => {
    const n = size('panels');
    // Panels take about six tenths of the face each way, whatever their number: their outlines add up from that.
    const rows = Math.max(1, Math.round(Math.sqrt((n * l) / Math.max(w, 1e-9))));
    const cols = Math.max(1, n / rows);
    const outline = n > 0 ? 2 * ((PANEL_SHARE * l) / rows + (PANEL_SHARE * w) / cols) : 0;
    return [
      line('face', [l, w]),
      ...(n > 0 ? [line('mouldings', [outline, size('mouldingM')], [n])] : []),
      ...(size('edgeM') > 0 ? [line('edges', [2 * (l + w), size('edgeM')])] : []),
    ];
  },
  girth: (l, w) => [line('girth', [l, w])],
  /** A run by its girth, and like pieces on it: modillions, dentils, corbels. */
  course: (l, w, size) => [
    line('girth', [l, w]),
    ...(size('pieces') > 0 ? [line('piecesOn', [size('pieceM'), size('pieceGirthM')], [size('pieces')])] : []),
  ],
  /** Uprights by height and girth, rails by length and girth. */
  balustrade: (l, h, size) => [line('uprights', [h, size('pieceGirthM')], [size('pieces')]), line('rails', [l, size('railGirthM')])],
  /** Treads and risers across the flight, and a string on each side along the slope. */
  stair: (width, string, size) => {
    const steps = size('steps');
    const slope = Math.hypot(size('riseM'), size('goingM'));
    return [
      line('treads', [width, size('goingM')], [steps]),
      line('risers', [width, size('riseM')], [steps]),
      line('strings', [slope, string], [steps, 2]),
    ];
  },
  sections: (height, _l, size) => [
    {
      what: 'sections',
      metres: [],
      times: [size('sections'), sectionM2(size('columns'), height)],
      m2: size('sections') * sectionM2(size('columns'), height),
    },
  ],
};
/** Common practice: a glazing rebate shows about 10 mm of wood and putty. */
export const REBATE_M = 0.01;
/** Common practice: stiles and rails leave about six tenths of a face to its panels, each way. */
const PANEL_SHARE = 0.6;

/** Coated area with its sum, m2, shared out over the parts by their percentages. */
export function takeOff(s: Surface): TakeOff {
  const lines = SUMS[ELEMENTS[s.element].shape](s.lengthM, s.widthM, (id) => sizeOf(s, id));
  let face = 0;
  for (const l of lines) face += l.m2;
  const eachM2 = Math.max(0, face) * s.faces;
  const totalM2 = eachM2 * s.count;
  const partM2: Record<string, number> = {};
  for (const p of liveParts(s)) partM2[p.id] = (totalM2 * p.sharePct) / 100;
  return { eachM2, totalM2, partM2, lines, faces: s.faces, count: s.count };
}
