export { TableScreen as default } from '../../src/stages/walk/TableScreen';
