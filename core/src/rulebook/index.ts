export {
  EXPOSURE_CLASSES,
  bookFor,
  bookOf,
  editionChanges,
  editionSays,
  EDITIONS,
  RESPIRATOR_IDS,
  RULEBOOKS,
  type EditionChange,
  type EditionSays,
  type ExposureClassId,
  type Limit,
  type Respirator,
  type RespiratorId,
  type Rulebook,
} from './rulebook';
export { asbestosTrainedOn, certificatesOut, certificateSays, ENTITLED, entitledOn, type CertificateOut, type Entitled } from './entitled';
export {
  AS_CATALOGUED,
  CURRENCIES,
  DEFAULT_SETTINGS,
  FirmSettings,
  ownsShroud,
  lacksAirSupply,
  readSettings,
  withoutRetired,
  type MethodOwn,
} from './settings';
