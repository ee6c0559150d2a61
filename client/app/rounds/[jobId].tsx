export { RoundsScreen as default } from '../../src/stages/on-demand';
