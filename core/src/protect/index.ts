export { protect, type Kit, type Protection } from './protect';
