export { FRSI_WANTED, saturationPa, surfaceC, surfaceRh, temperatureFactor, woodMoistureAt } from './air';
export { realFlow, wantedFan } from './fan';
export { growthIndex, liningOf, PINE, type MoldMaterial, type Sensitivity } from './growth';
export { HOURS_A_YEAR, simulatedClimate, steadyClimate, type Climate } from './climate';
export { faceClimate, type FaceClimate, type RoomAir, type WaterAccount } from './room';
export { comesBack, fanVerdict, outlook, REMEDIES, roomAir, spotClimate, type Outlook, type Remedy, type SpotClimate } from './cause';
