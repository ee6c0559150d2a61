export { SettingsScreen as default } from '../src/stages/start/SettingsScreen';
