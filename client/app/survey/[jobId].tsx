export { SurveyScreen as default } from '../../src/stages/probe/SurveyScreen';
