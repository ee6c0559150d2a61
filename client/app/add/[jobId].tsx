export { AddScreen as default } from '../../src/stages/walk/AddScreen';
