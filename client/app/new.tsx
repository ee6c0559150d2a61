export { NewJobScreen as default } from '../src/stages/on-demand';
