export { BagsScreen as default } from '../../src/stages/on-demand';
