export { StageIndex as default } from '../../../../src/stages/JobScreen';
