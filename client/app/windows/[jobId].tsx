export { WindowsScreen as default } from '../../src/stages/on-demand';
