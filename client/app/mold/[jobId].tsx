export { MoldScreen as default } from '../../src/stages/probe/MoldScreen';
