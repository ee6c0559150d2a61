export { KeysScreen as default } from '../src/stages/on-demand';
