export { MixScreen as default } from '../src/stages/on-demand';
