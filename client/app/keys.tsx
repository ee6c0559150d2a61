export { KeysScreen as default } from '../src/stages/start/ReferenceScreens';
