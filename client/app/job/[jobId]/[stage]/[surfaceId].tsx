export { SurfaceRoute as default } from '../../../../src/stages/JobScreen';
