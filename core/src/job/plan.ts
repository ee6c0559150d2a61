/** What is derived of a whole job. */
import type { Hazard } from '../facts';
import type { AsbestosArea, HazardState } from '../probe';
import type { Answer } from '../reasons';
import type { Rulebook } from '../rulebook';
import type { NextAct } from '../surface/plan';
import type { SurfacePlan } from '../zone/surface-plan';
import type { ZonePlan } from '../zone';
import type { MoneyLines } from './money';

export interface SpacePlan {
  readonly spaceId: string;
  /** Suspect coating that the work here disturbs, m2. */
  readonly disturbedM2: number;
  readonly minorWork: Answer<boolean | null>;
}

export interface JobPlan {
  readonly jobId: string;
  readonly rulebook: Rulebook['id'];
  readonly edition: string;
  readonly spaces: readonly SpacePlan[];
  /** Rooms, sides, their parts and the bench, in which something stands. */
  readonly zones: readonly ZonePlan[];
  readonly surfaces: readonly SurfacePlan[];
  readonly totals: {
    readonly areaM2: number;
    readonly personHours: { readonly low: number; readonly high: number };
    /** All surfaces, the rest of the tins that were opened for them, and the tests. */
    readonly money: { readonly low: number; readonly high: number };
    readonly lines: MoneyLines;
  };
  readonly states: Readonly<Record<Hazard, Readonly<Record<HazardState, number>>>>;
  /** Homogeneous areas, each with its samples. */
  readonly areas: readonly AsbestosArea[];
  readonly next: { readonly act: NextAct; readonly surfaceId: string | null; readonly because: Answer<unknown>['because'] };
}
