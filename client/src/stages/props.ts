/** What every stage of a surface is given. */
import type { JobFacts, MethodId, Surface, SurfacePlan } from '@roughsill/core';
import type { StageId } from './stages';

export interface StageProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly plan: SurfacePlan;
}

/** What the screen of a stage is given beside it. */
export interface StageScreenProps extends StageProps {
  readonly go: (s: StageId, id?: string) => void;
  /** The method that is being looked at before it is chosen. */
  readonly looking: MethodId | null;
  readonly onLook: (m: MethodId | null) => void;
}
