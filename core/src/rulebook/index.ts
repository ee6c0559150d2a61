export {
  EXPOSURE_CLASSES,
  RULEBOOKS,
  type ExposureClassId,
  type Limit,
  type Respirator,
  type RespiratorId,
  type Rulebook,
} from './rulebook';
export { DEFAULT_SETTINGS, FirmSettings } from './settings';
