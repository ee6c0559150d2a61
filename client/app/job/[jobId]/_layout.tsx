export { JobScreen as default } from '../../../src/stages/on-demand';
