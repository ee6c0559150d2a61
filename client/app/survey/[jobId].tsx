export { SurveyScreen as default } from '../../src/stages/on-demand';
