/**
 * What a surface stage may know beside its surface: narrow views, made by job/views.ts and held to the same object while they say the
 * same. What stands in none of them cannot be read, so that nothing is remembered by less than it depends on.
 */
import type { LimitSet } from '../air/breathing';
import type { Nearby, Service, YesNo } from '../facts';
import type { SpreadBook } from './spread';
import type { AsbestosPicture } from '../probe/asbestos';
import type { Past } from '../probe/place';
import type { HazardState } from '../probe/state';
import type { InstrumentBook } from '../probe/xrf';
import type { MoldKit } from '../probe/mold';
import type { Answer } from '../reasons';
import type { Entitled, FirmSettings, Rulebook } from '../rulebook';
import type { TrialBook } from '../trial/book';

/** Fabric older than this counts as historic, listed or not. Common practice, no published source. */
export const HISTORIC_BEFORE = 1945;

/** Listed, older than that, or of an age that nobody knows: the gentlest means, a trial first. Law C5. */
export const isHistoric = ({ site, builtYear }: Pick<SurfaceContext, 'site' | 'builtYear'>): boolean =>
  site.listed === 'yes' || builtYear === null || builtYear < HISTORIC_BEFORE;

/** The job, as every surface on it sees it. */
export interface SiteView {
  readonly rulebook: Rulebook;
  /** Whose limit for lead in air: of the rulebook, or of a stricter state. */
  readonly airLimits: LimitSet;
  readonly dwelling: boolean;
  /** Somebody is paid for it: an owner who works in their own home is not bound by the rule for renovators. 40 CFR 745.82, 745.83. */
  readonly paid: boolean;
  /** Public money is in the work: HUD's own prohibitions bind. */
  readonly assisted: boolean;
  /** A child under 6 or a pregnancy in the household; unknown counts as yes. */
  readonly childOrPregnancy: 'yes' | 'no' | 'unknown';
  /** An owner works in their own home, where a small child or a pregnancy is not ruled out: they leave lead alone. */
  readonly ownHomeWithChild: boolean;
  /** A child under six lives in the home meanwhile or after. */
  readonly childLivesHere: boolean;
  readonly power: YesNo;
  readonly water: YesNo;
  readonly listed: YesNo;
  readonly asthma: YesNo;
  /** Other people work in the house, or live in it meanwhile. */
  readonly others: YesNo;
  /** Whether what entitles the firm to lead work holds on the first day of work. */
  readonly entitled: Entitled;
  /** Whether anybody of the firm is trained for asbestos work on that day. */
  readonly asbestosTrained: boolean;
  /** The calendar year: what is in the future, and what is younger than its coats. */
  readonly thisYear: number;
}

/** The room or side in which it stands. */
export interface SpaceView {
  readonly kind: 'room' | 'elevation';
  readonly lengthM: number | null;
  readonly widthM: number | null;
  readonly heightM: number | null;
  readonly boundaryM: number | null;
  readonly services: readonly Service[];
  /** What lies before a side of the house. */
  readonly nearby: readonly Nearby[];
  /** Height at which the work stands, m; 0 when nobody said. */
  readonly accessM: number;
  /** What is thrown out anyway, as typed. */
  readonly goesAnyway: string;
  /** Somebody recorded what wets it. */
  readonly causeKnown: boolean;
  /** Water comes in from outside or from below, as far as anybody said. */
  readonly comesIn: boolean;
  /** Lagging or board that may hold asbestos stands in this room, or in those that are one with it, worked on or not. */
  readonly asbestosPiece: HazardState;
  /** Of coats that may hold asbestos in this room, or in those that are one with it, what nobody has decided to leave, m2. */
  readonly suspectM2: number;
  /** What cleaning the growth of this room is done in, by its class; null: no growth in it. */
  readonly moldKit: Answer<MoldKit> | null;
  /** All suspect coating disturbed in this room or on this side stays within minor work. Null: no such class in this rulebook. */
  readonly minorWork: boolean | null;
}

export interface SurfaceContext {
  /** What each product really took so far, over the whole job. */
  readonly spread: SpreadBook;
  readonly rulebook: Rulebook;
  readonly settings: FirmSettings;
  readonly site: SiteView;
  readonly space: SpaceView;
  readonly place: 'inside' | 'outside' | 'bench';
  /** Year that governs the surface: its own, else the space's, else the job's. Null: unknown. */
  readonly builtYear: number | null;
  /** What was found at this place on other surfaces, those that were taken off the list too. */
  readonly past: Past;
  readonly instruments: InstrumentBook;
  /** What the squares of this surface say. */
  readonly trials: TrialBook;
  /** From the homogeneous areas that this surface belongs to. */
  readonly asbestos: AsbestosPicture;
}
