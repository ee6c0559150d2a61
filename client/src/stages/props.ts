/** What every stage of a surface is given. */
import type { JobFacts, Surface, SurfacePlan } from '@roughsill/core';

export interface StageProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly plan: SurfacePlan;
}
