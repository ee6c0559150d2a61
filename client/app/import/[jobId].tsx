export { ImportScreen as default } from '../../src/stages/on-demand';
