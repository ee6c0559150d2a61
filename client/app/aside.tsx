export { AsideScreen as default } from '../src/stages/on-demand';
