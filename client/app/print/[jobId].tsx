export { PrintScreen as default } from '../../src/stages/work/PrintScreen';
