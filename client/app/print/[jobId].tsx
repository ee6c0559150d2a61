export { PrintScreen as default } from '../../src/stages/on-demand';
