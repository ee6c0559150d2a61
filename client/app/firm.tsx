export { FirmScreen as default } from '../src/stages/on-demand';
