export { SamplesScreen as default } from '../../src/stages/on-demand';
