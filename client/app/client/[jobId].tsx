export { ClientScreen as default } from '../../src/stages/on-demand';
