export { MoldScreen as default } from '../../src/stages/on-demand';
