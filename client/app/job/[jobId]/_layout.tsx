export { JobScreen as default } from '../../../src/stages/JobScreen';
