export { StartScreen as default } from '../src/stages/start/StartScreen';
