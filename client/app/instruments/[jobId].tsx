export { InstrumentsScreen as default } from '../../src/stages/probe/InstrumentsScreen';
