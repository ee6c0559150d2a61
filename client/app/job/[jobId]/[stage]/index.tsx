export { StageIndex as default } from '../../../../src/stages/on-demand';
