/** In what order one coat is brought on, how much before its edge sets, and by hand along the glass. Common practice; times from memory. */
import type { PartKind, Surface } from '../facts';
import { LAYING, striped, type CoatLine } from '../coat';
import { baseOf } from '../catalogue';
import { why, type Reason } from '../reasons';
import type { SurfaceContext } from '../views';
import { measure } from '../units/units';
import { ELEMENTS, liveParts, takeOff } from '../walk';

/** Recesses before faces, what is seen first last. */
const RECESSES_FIRST: readonly PartKind[] = [
  'threads',
  'tight',
  'besideGlass',
  'carved',
  'moulded',
  'turned',
  'underside',
  'flat',
  'arris',
];
/** Its top edge is touched while the rest is laid. */
const TOP_EDGE_LAST: readonly string[] = ['sash', 'panels'];

/** An edge takes the next stroke so long at 20 C, min; twice as long 10 C colder, half as long 10 C warmer. */
const OPEN_MIN: Readonly<Record<ReturnType<typeof baseOf>, number>> = { water: 10, solvent: 30, mineral: 6 };
const COLD_C = 10;
const WARM_C = 30;
export const openMin = (base: ReturnType<typeof baseOf>, tempC: number): number => OPEN_MIN[base] * 2 ** ((20 - tempC) / 10);

/** What one person lays of one piece before its edge has set, m2. */
const stretchM2 = ({ product, way }: CoatLine, tempC: number): number => (LAYING[way].m2PerH.low * openMin(baseOf(product), tempC)) / 60;

/** Rounded to so much, an edge keeps its paint, mm. ISO 12944-3 and ISO 8501-3, from memory. */
const ARRIS_MM = 2;

export function strokeOnWords(s: Surface, line: CoatLine, { settings }: SurfaceContext): Reason[] {
  if (line.areaM2 * line.coats <= 0 || line.use === 'knots') return [];
  const kinds = RECESSES_FIRST.filter((k) => liveParts(s).some((p) => p.kind === k && p.sharePct > 0));
  const largest = Math.min(line.areaM2, Math.max(0, ...takeOff(s).lines.map((l) => l.metres.reduce((a, b) => a * b, 1))));
  const atOnce = stretchM2(line, 20);
  const base = baseOf(line.product);
  const open = (tempC: number) => measure(Math.round(openMin(base, tempC)), 'min');
  return [
    ...(kinds.length > 1 ? [why('coat.recesses', 'trade-lay', { parts: kinds })] : []),
    ...(TOP_EDGE_LAST.includes(ELEMENTS[s.element].shape) ? [why('coat.topEdge', 'trade-lay')] : []),
    // A face that is laid before its edge sets, on the warmest day too, needs no word of it.
    ...(LAYING[line.way].sprays || largest <= stretchM2(line, WARM_C)
      ? []
      : [
          why('coat.wetEdge', 'mem-wet-edge', {
            cold: open(COLD_C),
            coldAt: measure(COLD_C, 'C'),
            open: open(20),
            at: measure(20, 'C'),
            warm: open(WARM_C),
            warmAt: measure(WARM_C, 'C'),
            stretch: measure(atOnce, 'm2'),
          }),
          ...(largest > atOnce * settings.crew
            ? [
                why(
                  'coat.stretches',
                  'mem-wet-edge',
                  { stretches: measure(Math.ceil(largest / atOnce), 'pieces'), crew: measure(settings.crew, 'pieces') },
                  'care',
                ),
              ]
            : []),
        ]),
    ...(kinds.includes('arris')
      ? [
          striped(s)
            ? why('coat.stripe', 'mem-edges', { radius: measure(ARRIS_MM, 'mm') })
            : why('coat.arris', 'trade-lay', { radius: measure(ARRIS_MM, 'mm') }),
        ]
      : []),
  ];
}
