export { CompareScreen as default } from '../../src/stages/on-demand';
