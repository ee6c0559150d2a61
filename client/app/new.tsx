export { NewJobScreen as default } from '../src/stages/start/JobForm';
