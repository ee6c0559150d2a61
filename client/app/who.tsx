export { WhoScreen as default } from '../src/stages/on-demand';
