/**
 * Every screen beyond the first one, in one piece that is loaded when the first of them is opened. In one piece, because what two
 * pieces share would be loaded with the first screen. Within it a screen is only put together when it is asked for: a slow phone spends
 * longer on that than on fetching it.
 */
/* eslint-disable @typescript-eslint/no-require-imports -- an import would put all of them together at once */
export const screens = {
  get Why() {
    return (require('../kit/Why') as typeof import('../kit/Why')).Why;
  },
  get PrintScreen() {
    return (require('./work/PrintScreen') as typeof import('./work/PrintScreen')).PrintScreen;
  },
  get JobScreen() {
    return (require('./JobScreen') as typeof import('./JobScreen')).JobScreen;
  },
  get StageIndex() {
    return (require('./JobScreen') as typeof import('./JobScreen')).StageIndex;
  },
  get SurfaceRoute() {
    return (require('./JobScreen') as typeof import('./JobScreen')).SurfaceRoute;
  },
  get JobOverview() {
    return (require('./JobOverview') as typeof import('./JobOverview')).JobOverview;
  },
  get OverviewPane() {
    return (require('./JobOverview') as typeof import('./JobOverview')).OverviewPane;
  },
  get SurfaceScreen() {
    return (require('./SurfaceScreen') as typeof import('./SurfaceScreen')).SurfaceScreen;
  },
  get JobFactsScreen() {
    return (require('./start/JobFactsScreen') as typeof import('./start/JobFactsScreen')).JobFactsScreen;
  },
  get WhoScreen() {
    return (require('./start/WhoScreen') as typeof import('./start/WhoScreen')).WhoScreen;
  },
  get NewJobScreen() {
    return (require('./start/NewJobScreen') as typeof import('./start/NewJobScreen')).NewJobScreen;
  },
  get AsideScreen() {
    return (require('./start/AsideScreen') as typeof import('./start/AsideScreen')).AsideScreen;
  },
  get SettingsScreen() {
    return (require('./start/SettingsScreen') as typeof import('./start/SettingsScreen')).SettingsScreen;
  },
  get FirmScreen() {
    return (require('./start/FirmScreen') as typeof import('./start/FirmScreen')).FirmScreen;
  },
  get ImportScreen() {
    return (require('./probe/ImportScreen') as typeof import('./probe/ImportScreen')).ImportScreen;
  },
  get InstrumentsScreen() {
    return (require('./probe/InstrumentsScreen') as typeof import('./probe/InstrumentsScreen')).InstrumentsScreen;
  },
  get MoldScreen() {
    return (require('./probe/MoldScreen') as typeof import('./probe/MoldScreen')).MoldScreen;
  },
  get SamplesScreen() {
    return (require('./probe/SamplesScreen') as typeof import('./probe/SamplesScreen')).SamplesScreen;
  },
  get SurveyScreen() {
    return (require('./probe/SurveyScreen') as typeof import('./probe/SurveyScreen')).SurveyScreen;
  },
  get AddScreen() {
    return (require('./walk/AddScreen') as typeof import('./walk/AddScreen')).AddScreen;
  },
  get TableScreen() {
    return (require('./walk/TableScreen') as typeof import('./walk/TableScreen')).TableScreen;
  },
  get KeysScreen() {
    return (require('./start/ReferenceScreens') as typeof import('./start/ReferenceScreens')).KeysScreen;
  },
  get SourcesScreen() {
    return (require('./start/ReferenceScreens') as typeof import('./start/ReferenceScreens')).SourcesScreen;
  },
  get CatalogueScreen() {
    return (require('./start/CatalogueScreen') as typeof import('./start/CatalogueScreen')).CatalogueScreen;
  },
  get CompareScreen() {
    return (require('./choose/CompareScreen') as typeof import('./choose/CompareScreen')).CompareScreen;
  },
  get CertaintyScreen() {
    return (require('./choose/CertaintyScreen') as typeof import('./choose/CertaintyScreen')).CertaintyScreen;
  },
  get ClientScreen() {
    return (require('./choose/ClientScreen') as typeof import('./choose/ClientScreen')).ClientScreen;
  },
  get WindowsScreen() {
    return (require('./coat/WindowsScreen') as typeof import('./coat/WindowsScreen')).WindowsScreen;
  },
  get ShelfScreen() {
    return (require('./shelf/ShelfScreen') as typeof import('./shelf/ShelfScreen')).ShelfScreen;
  },
  get BuyScreen() {
    return (require('./shelf/BuyScreen') as typeof import('./shelf/BuyScreen')).BuyScreen;
  },
  get MixScreen() {
    return (require('./bench/MixScreen') as typeof import('./bench/MixScreen')).MixScreen;
  },
  get AirScreen() {
    return (require('./bench/AirScreen') as typeof import('./bench/AirScreen')).AirScreen;
  },
  get BreathingScreen() {
    return (require('./protect/BreathingScreen') as typeof import('./protect/BreathingScreen')).BreathingScreen;
  },
  get BagsScreen() {
    return (require('./protect/BagsScreen') as typeof import('./protect/BagsScreen')).BagsScreen;
  },
  get RoundsScreen() {
    return (require('./choose/RoundsScreen') as typeof import('./choose/RoundsScreen')).RoundsScreen;
  },
};
