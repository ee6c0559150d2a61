export { aboutJob } from './about';
export { DETAILS, jobReport, methodsReport, type Detail, type JobReport, type SurfaceReport, type ZoneReport } from './report';
export { NOTICE, reporter, type ReasonReport, type Reporter } from './reporter';
export { clientPage, type ClientMethod, type ClientPage } from './client';
export { declinedSays } from './declined';
export { programme, type Programme, type ProgrammeSection, type ProgrammeZone } from './programme';
export { placeText, surveyReport, type SurveyReport } from './survey';
export { blanks, damageLine, finishLine, jobMarkdown, protectLines, signLine, unpriced } from './markdown';
export { packText, pricesText, shoppingCsv, shoppingPaper, shoppingText, type BuyRow, type ShoppingPaper } from './shopping';
