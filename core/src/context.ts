/** What a surface stage needs from the rest of the job. Built once per derivation (pipeline.ts); plain values only. */
import type { Service, YesNo } from './facts';
import type { AsbestosPicture } from './probe/asbestos';
import type { Past } from './probe/place';
import type { InstrumentBook } from './probe/xrf';
import type { MoldKit } from './probe/mold';
import type { Answer } from './reasons';
import type { FirmSettings, Rulebook } from './rulebook';
import type { TrialBook } from './trial/book';

export interface SurfaceContext {
  readonly rulebook: Rulebook;
  readonly settings: FirmSettings;
  readonly place: 'inside' | 'outside' | 'bench';
  /** Year that governs the surface: its own, else the space's, else the job's. Null: unknown. */
  readonly builtYear: number | null;
  readonly dwelling: boolean;
  /** Somebody is paid for it: an owner who works in their own home is not bound by the rule for renovators. 40 CFR 745.82, 745.83. */
  readonly paid: boolean;
  /** Public money is in the work: HUD's own prohibitions bind. */
  readonly assisted: boolean;
  readonly site: {
    readonly power: YesNo;
    readonly water: YesNo;
    readonly listed: YesNo;
    readonly services: readonly Service[];
    readonly asthma: YesNo;
    /** Other people work in the house, or live in it meanwhile. */
    readonly others: boolean;
    /** Worked from a ladder or scaffold. */
    readonly high: boolean;
    /** m; 0 when nobody said. */
    readonly accessM: number;
  };
  /** What cleaning the growth of this room is done in, by its class; null: no growth in it. */
  readonly moldKit: Answer<MoldKit> | null;
  /** A child under 6 or a pregnancy in the household; unknown counts as yes. */
  readonly childOrPregnancy: 'yes' | 'no' | 'unknown';
  /** What was found at this place on other surfaces, those that were taken off the list too. */
  readonly past: Past;
  readonly thisYear: number;
  readonly space: {
    readonly lengthM: number | null;
    readonly widthM: number | null;
    readonly heightM: number | null;
    readonly boundaryM: number | null;
    readonly moisture: object | null;
    /** What is thrown out anyway, as typed. */
    readonly goesAnyway: string;
  };
  readonly instruments: InstrumentBook;
  /** What the squares of this surface say. */
  readonly trials: TrialBook;
  /** From the homogeneous areas that this surface belongs to. */
  readonly asbestos: AsbestosPicture;
  /** All suspect coating disturbed in this room or on this side stays within minor work. Null: no such class in this rulebook. */
  readonly minorWork: boolean | null;
}
