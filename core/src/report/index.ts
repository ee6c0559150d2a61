export { jobReport, type JobReport, type SurfaceReport, type ZoneReport } from './report';
export { NOTICE, reasonReport, reporter, type ReasonReport } from './reporter';
export { placeText, surveyReport, type SurveyReport } from './survey';
export { jobMarkdown, surveyMarkdown, unpriced } from './markdown';
