/** A coat that is written down is judged like a check: what has to be so before it, and whether its numbers can be right. Law O3. */
import { earlyAt, filmLaid, type CoatingPlan, type CoatLine } from '../coat';
import { liveLaid, type Laid, type Surface } from '../facts';
import { typed, why, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { coatingOf, isCoat } from '../shelf/firm-sheets';
import { measure } from '../units/units';
import type { Gate, Step } from '../step';

/** Four times the film, or a quarter of it: one of the two numbers is wrong. Common practice, no published source. */
const SLIP = { least: 0.25, most: 4 } as const;

const lays = (st: Step, product: string): boolean => st.at !== undefined && 'coat' in st.at && st.at.coat === product;
/** Checks of the steps before the first of that product that have not passed. */
export function openBefore(steps: readonly Step[], product: string): Gate[] {
  const at = steps.findIndex((st) => lays(st, product));
  return at < 0 ? [] : steps.slice(0, at).flatMap((st) => st.gates.filter((g) => g.state !== 'passed'));
}

/**
 * What whoever writes it down is asked first; nothing: it stands as it is. It is kept all the same where a reason is given, with the name.
 * @param x as it would be written @param plan of the surface, with its steps as they stand
 */
export function laidAsks(
  x: Laid,
  l: CoatLine,
  s: Surface,
  {
    work: { steps },
    coating: { blasted },
  }: { readonly work: { readonly steps: readonly Step[] }; readonly coating: Pick<CoatingPlan, 'blasted'> },
  settings: FirmSettings,
  outdoors: boolean,
): Reason[] {
  const out: Reason[] = [];
  const early = earlyAt(l, s, Date.parse(x.takenAt), settings);
  if (early !== null && isCoat(early.below))
    out.push(
      why(
        'ask.laidEarly',
        'job-record',
        {
          below: early.below,
          stood: [measure(early.stoodH, 'h'), measure(early.leastH, 'h')],
          face: measure(early.faceC, 'C'),
          short: measure(early.leastH - early.stoodH, 'h'),
          risk: `early.${coatingOf(settings, early.below).base}`,
        },
        'care',
      ),
    );
  const film = filmLaid(x, s, blasted, settings, outdoors);
  const share = film === null ? 1 : film.dryUm / film.wantedUm;
  if (share > SLIP.most || share < SLIP.least)
    out.push(why('ask.laidFilm', 'iso19840', { film: [measure(film!.dryUm, 'um'), measure(film!.wantedUm, 'um')] }, 'care'));
  const open = openBefore(steps, x.product);
  if (open.length > 0) out.push(why('ask.laidOpen', 'job-record', { count: open.length }, 'care'), open[0]!.because);
  return out;
}

/** The steps, each coat that was laid before its time with what was open, and who laid it. */
export function withLaid(steps: readonly Step[], s: Pick<Surface, 'laid'>): readonly Step[] {
  const laid = liveLaid(s);
  if (laid.length === 0) return steps;
  return steps.map((st) => {
    const product = st.at !== undefined && 'coat' in st.at ? st.at.coat : null;
    const mine = laid.filter((x) => x.product === product);
    const [open] = mine.length === 0 ? [] : openBefore(steps, product!);
    if (open === undefined) return st;
    return {
      ...st,
      because: [
        ...st.because,
        ...mine.map((x) =>
          x.earlyWhy.trim() === ''
            ? why('coat.laidOpen', 'job-record', { product: x.product, by: typed(x.by) }, 'care')
            : why('coat.insistedOpen', 'job-record', { product: x.product, by: typed(x.by), said: typed(x.earlyWhy.trim()) }, 'care'),
        ),
        open.because,
      ],
    };
  });
}
