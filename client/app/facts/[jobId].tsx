export { JobFactsScreen as default } from '../../src/stages/lazy-forms';
