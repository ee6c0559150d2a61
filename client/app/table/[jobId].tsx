export { TableScreen as default } from '../../src/stages/on-demand';
