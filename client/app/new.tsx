export { NewJobScreen as default } from '../src/stages/lazy-forms';
