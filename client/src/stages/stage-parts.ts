/** What is shown of a surface in each stage, put together when it is first shown (see lazy-screens.ts). */
/* eslint-disable @typescript-eslint/no-require-imports -- an import would put all of them together at once */
import type { ComponentType } from 'react';
import type { StageScreenProps } from './props';
import type { StageId } from './stages';

export const stageParts: Readonly<Record<StageId, ComponentType<StageScreenProps>>> = {
  get walk() {
    return (require('./walk/WalkStage') as typeof import('./walk/WalkStage')).WalkStage;
  },
  get probe() {
    return (require('./probe/ProbeStage') as typeof import('./probe/ProbeStage')).ProbeStage;
  },
  get trial() {
    return (require('./trial/TrialStage') as typeof import('./trial/TrialStage')).TrialStage;
  },
  get choose() {
    return (require('./choose/ChooseStage') as typeof import('./choose/ChooseStage')).ChooseStage;
  },
  get protect() {
    return (require('./protect/ProtectStage') as typeof import('./protect/ProtectStage')).ProtectStage;
  },
  get coat() {
    return (require('./coat/CoatStage') as typeof import('./coat/CoatStage')).CoatStage;
  },
  get work() {
    return (require('./work/WorkStage') as typeof import('./work/WorkStage')).WorkStage;
  },
};
