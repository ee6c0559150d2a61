export { FRSI_WANTED, saturationPa, surfaceC, surfaceRh, temperatureFactor, vapourGM3, woodMoistureAt } from './air';
export { realFlow, wantedFan } from './fan';
export { growthIndex, liningOf, PINE, type MoldMaterial, type Sensitivity } from './growth';
export { HOURS_A_YEAR, simulatedClimate, steadyClimate, type Climate } from './climate';
export { faceClimate, type FaceClimate, type HeatAccount, type RoomAir, type WaterAccount } from './room';
export {
  comesBack,
  faceFactor,
  fanVerdict,
  measuredFactor,
  outlook,
  REMEDIES,
  remediesFor,
  roomAir,
  RSI,
  spotClimate,
  type FanVerdict,
  type Outlook,
  type Remedy,
  type SpotClimate,
} from './cause';
export { forecast, staysAway, type Cost, type Forecast, type Priced } from './remedies';
export { laidOver, loggedSays, type LaidOver, type Logger } from './logger';
