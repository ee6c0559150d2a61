export * from './vocabulary';
export * from './goods';
export * from './schema';
export {
  asParent,
  childrenOf,
  eachRecord,
  emptyLists,
  ENTITIES,
  fieldsOf,
  isAppendOnly,
  JobFacts,
  recordSchema,
  REGISTRY,
  specOf,
  type AirSample,
  type Bag,
  type Board,
  type Defect,
  type Laid,
  type Sign,
  type SignPicture,
  type Check,
  type Entity,
  type EntitySpec,
  type FirmFacts,
  type Haul,
  type Stint,
  type InstrumentCheck,
  type Job,
  type Layer,
  type Machine,
  type Mix,
  type MixStep,
  NO_FIRM,
  readFirm,
  type ParentKind,
  type Part,
  type Person,
  type Product,
  type Photo,
  type Reading,
  type RecordOf,
  type Row,
  type Sample,
  type Client,
  type PotRecord,
  type SourceCheck,
  type FirmEntity,
  type Site,
  type Space,
  type Square,
  type Surface,
  type Tin,
  type Zone,
} from './registry';
export {
  type Actor,
  Change,
  CHANGE_VERSION,
  ChangeV1,
  FIRM_ID,
  FIRM_SETTINGS,
  isFromTheFuture,
  isJobChange,
  isNewer,
  readChange,
  saysTheSame,
  scopeParent,
  type JobChange,
  type LoggedChange,
} from './envelope';
export { takeIn, takeInAll, type Intake, type Refusal } from './intake';
export * from './blank';
export {
  applyChange,
  applyChanges,
  applyFirmChange,
  changesFor,
  clashes,
  inverse,
  recordOf,
  withdrawal,
  withdrawalOf,
  type Clash,
  type Undo,
} from './change';
export {
  JOB_FILE_ADDED,
  JOB_FILE_FORMAT,
  JOB_FILE_VERSION,
  JobFile,
  canonical,
  parseJobFile,
  readJobFile,
  withNewIds,
  writeJobFile,
} from './job-file';
export { fromZod, ok, pathText, wrong, type Outcome, type Problem } from './problems';
export { jobProblems, readingProblems, surfaceProblems } from './validate';
export { isForbidden, productProblems } from './firm-problems';
export { clock, minutesOf } from './clock';
export { fileName } from './file-name';
export { numberAfter, sameNumber } from './numbers';
export { liveLaid } from './laid';
export { copiedJob, isElsewhere } from './copy';
export { JobLine } from './job-line';
export {
  EVENTS,
  HOLD_NAMES,
  holdKey,
  holdText,
  readHold,
  stepKey,
  stepText,
  type EventName,
  type HoldAt,
  type HoldKey,
  type HoldName,
  type ReadHold,
  type StepAt,
  type StepKey,
  type StepName,
} from './step-key';
