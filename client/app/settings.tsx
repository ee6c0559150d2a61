export { SettingsScreen as default } from '../src/stages/on-demand';
