export { ShelfScreen as default } from '../src/stages/on-demand';
