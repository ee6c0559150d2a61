export { CatalogueScreen as default } from '../src/stages/on-demand';
