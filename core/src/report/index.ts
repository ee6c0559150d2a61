export { DETAILS, jobReport, methodsReport, type Detail, type JobReport, type SurfaceReport, type ZoneReport } from './report';
export { NOTICE, reporter, type ReasonReport, type Reporter } from './reporter';
export { placeText, surveyReport, type SurveyReport } from './survey';
export { blanks, jobMarkdown, unpriced } from './markdown';
