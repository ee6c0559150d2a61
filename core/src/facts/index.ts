export * from './vocabulary';
export * from './schema';
export * from './blank';
export {
  Change,
  applyChange,
  applyChanges,
  changesFor,
  clashes,
  inverse,
  isJobChange,
  type Clash,
  type JobChange,
  type Undo,
} from './change';
export { JOB_FILE_FORMAT, JOB_FILE_VERSION, JobFile, canonical, parseJobFile, readJobFile, withNewIds, writeJobFile } from './job-file';
export { fromZod, ok, pathText, wrong, type Outcome, type Problem } from './problems';
export { jobProblems, readingProblems, surfaceProblems } from './validate';
