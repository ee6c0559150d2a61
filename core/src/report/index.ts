export { jobReport, NOTICE, reasonReport, reporter, type JobReport, type ReasonReport, type SurfaceReport } from './report';
export { jobMarkdown } from './markdown';
