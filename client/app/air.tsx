export { AirScreen as default } from '../src/stages/on-demand';
