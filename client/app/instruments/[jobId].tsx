export { InstrumentsScreen as default } from '../../src/stages/on-demand';
