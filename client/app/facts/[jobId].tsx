export { JobFactsScreen as default } from '../../src/stages/start/JobForm';
