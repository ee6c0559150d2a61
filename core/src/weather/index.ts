/** Weather, the face and the room hour by hour. Kept apart so that the first screen does without it. */
export {
  ABSORBS,
  BODIES,
  FACING,
  faceSeries,
  lightAt,
  SHADE_OF,
  SHADES,
  solarHour,
  sunOn,
  type Body,
  type Shade,
  type Side,
  type Sunlight,
} from './face';
export { roomSeries, type RoomDuring } from './room';
export { REGION_IDS, REGIONS, simulatedWeather, type RegionId } from './simulated';
export { HOUR_MS, hoursOf, stretch, type Weather } from './weather';
export { clockHour, insideHours, outsideHours, summerH, USUAL_HOURS, wallH, type Working } from './forecast';
export { bareMostH, bodyOf, outlookOf, type CoatedFace, type CoatOutlook, type Outlook, type PlaceDuring } from './outlook';
