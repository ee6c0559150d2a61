/**
 * How good a piece has to look, and what follows: how it is judged, what may stay, how much is filled and levelled, how many coats. The
 * classes are common practice, no published source; the offer says them, so that they are judged by what was agreed.
 */
import type { FinishId, Surface } from '../facts';
import { measure, type Measure } from '../units/units';
import type { Rulebook } from '../rulebook';

export interface FinishSpec {
  /** In which light it is looked at. */
  readonly light: 'anyLight' | 'dayLight' | 'rakingLight';
  /** From how far, in the units of each rulebook. */
  readonly from: Readonly<Record<Rulebook['id'], Measure>>;
  /** A dent or hole no deeper than this may stay, mm. */
  readonly staysMm: number;
  /** Hours of small filling and rubbing against a tidy piece. */
  readonly filling: number;
  /** Edges of old film are skimmed level. */
  readonly levels: boolean;
  /** Rubbed down between coats. */
  readonly denibs: boolean;
  /** Coats of undercoat more, so that it can be rubbed level. */
  readonly extraCoats: number;
  /** Nothing is filled, spliced or taken away without a word from whoever keeps it. */
  readonly asks: boolean;
}
const feet = (ft: number, m: number) => ({ us: measure(ft, 'ft'), uk: measure(m, 'm') });
export const FINISH: Readonly<Record<FinishId, FinishSpec>> = {
  utility: { light: 'anyLight', from: feet(10, 3), staysMm: 5, filling: 0.4, levels: false, denibs: false, extraCoats: 0, asks: false },
  tidy: { light: 'dayLight', from: feet(5, 1.5), staysMm: 1, filling: 1, levels: false, denibs: true, extraCoats: 0, asks: false },
  smooth: { light: 'dayLight', from: feet(3, 1), staysMm: 0.3, filling: 2, levels: true, denibs: true, extraCoats: 1, asks: false },
  restored: {
    light: 'rakingLight',
    from: feet(2, 0.6),
    staysMm: 0.2,
    filling: 2.5,
    levels: true,
    denibs: true,
    extraCoats: 1,
    asks: false,
  },
  museum: { light: 'rakingLight', from: feet(2, 0.6), staysMm: 3, filling: 0.5, levels: false, denibs: false, extraCoats: 0, asks: true },
};
/** Tidy where nobody said: what a household expects of a painter, and what the usual hours are reckoned for. */
export const finishOf = (s: Pick<Surface, 'finish'>): FinishId => s.finish ?? 'tidy';
export const finishSpec = (s: Pick<Surface, 'finish'>): FinishSpec => FINISH[finishOf(s)];
