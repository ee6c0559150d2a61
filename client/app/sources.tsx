export { SourcesScreen as default } from '../src/stages/start/ReferenceScreens';
