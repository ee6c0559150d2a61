export { HISTORIC_BEFORE, isHistoric, type SiteView, type SpaceView, type SurfaceContext } from './context';
export { NO_SPREAD, type Spread, type SpreadBook } from './spread';
