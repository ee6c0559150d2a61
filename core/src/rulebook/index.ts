export {
  EXPOSURE_CLASSES,
  RULEBOOKS,
  type ExposureClassId,
  type Limit,
  type Respirator,
  type RespiratorId,
  type Rulebook,
} from './rulebook';
export {
  AS_CATALOGUED,
  CURRENCIES,
  DEFAULT_SETTINGS,
  FirmSettings,
  ownsShroud,
  readSettings,
  withoutRetired,
  type MethodOwn,
} from './settings';
