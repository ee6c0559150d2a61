export { SurfaceRoute as default } from '../../../../src/stages/on-demand';
