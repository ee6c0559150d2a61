export { BuyScreen as default } from '../../src/stages/on-demand';
