export { AddScreen as default } from '../../src/stages/on-demand';
