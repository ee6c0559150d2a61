/** What is shown of a surface in each stage, put together when it is first shown (see rest.ts). */
/* eslint-disable @typescript-eslint/no-require-imports -- an import would put all of them together at once */
export const stageParts = {
  get WalkStage() {
    return (require('./walk/WalkStage') as typeof import('./walk/WalkStage')).WalkStage;
  },
  get ProbeStage() {
    return (require('./probe/ProbeStage') as typeof import('./probe/ProbeStage')).ProbeStage;
  },
  get TrialStage() {
    return (require('./trial/TrialStage') as typeof import('./trial/TrialStage')).TrialStage;
  },
  get ChooseStage() {
    return (require('./choose/ChooseStage') as typeof import('./choose/ChooseStage')).ChooseStage;
  },
  get ProtectStage() {
    return (require('./protect/ProtectStage') as typeof import('./protect/ProtectStage')).ProtectStage;
  },
  get CoatStage() {
    return (require('./coat/CoatStage') as typeof import('./coat/CoatStage')).CoatStage;
  },
  get WorkStage() {
    return (require('./work/WorkStage') as typeof import('./work/WorkStage')).WorkStage;
  },
};
