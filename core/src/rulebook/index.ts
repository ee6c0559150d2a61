export {
  EXPOSURE_CLASSES,
  LAB_DAYS,
  RULEBOOKS,
  type ExposureClassId,
  type Limit,
  type Respirator,
  type RespiratorId,
  type Rulebook,
} from './rulebook';
export { DEFAULT_SETTINGS, FirmSettings } from './settings';
