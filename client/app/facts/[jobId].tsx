export { JobFactsScreen as default } from '../../src/stages/on-demand';
