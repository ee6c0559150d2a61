export { BreathingScreen as default } from '../../src/stages/on-demand';
