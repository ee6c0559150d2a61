/**
 * Every screen beyond the first one, in one piece that is loaded when the first of them is opened. In one piece, because what two
 * pieces share would be loaded with the first screen.
 */
export { Why } from '../kit/Why';
export { PrintScreen } from './work/PrintScreen';
export { SurfaceScreen } from './SurfaceScreen';
export { JobFactsScreen, NewJobScreen } from './start/JobForm';
export { AsideScreen } from './start/AsideScreen';
export { SettingsScreen } from './start/SettingsScreen';
export { ImportScreen } from './probe/ImportScreen';
export { InstrumentsScreen } from './probe/InstrumentsScreen';
export { MoldScreen } from './probe/MoldScreen';
export { SamplesScreen } from './probe/SamplesScreen';
export { SurveyScreen } from './probe/SurveyScreen';
export { AddScreen } from './walk/AddScreen';
export { TableScreen } from './walk/TableScreen';
export { KeysScreen, SourcesScreen } from './start/ReferenceScreens';
export { CatalogueScreen } from './start/CatalogueScreen';
export { CompareScreen } from './choose/CompareScreen';
export { RoundsScreen } from './choose/RoundsScreen';
