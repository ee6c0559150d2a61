export { ImportScreen as default } from '../../src/stages/probe/ImportScreen';
