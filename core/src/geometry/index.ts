export { clip, floorOf, sheetInside, sheetOutside, spread, unionArea, wallLength, wallsOf, type Floor, type Rect } from './shapes';
