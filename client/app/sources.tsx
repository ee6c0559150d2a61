export { SourcesScreen as default } from '../src/stages/on-demand';
