export { SamplesScreen as default } from '../../src/stages/probe/SamplesScreen';
