export { CertaintyScreen as default } from '../../src/stages/on-demand';
