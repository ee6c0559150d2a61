/** How high a piece stands in its room, for what is above drips and sheds on what is below. Common practice, no published source. */
import type { ElementId } from '../facts';

/** Ceiling, what runs under it, walls, joinery in them, stairs, what runs along the floor, the floor. */
const TURN: Readonly<Partial<Record<ElementId, number>>> = {
  ceiling: 0,
  gutter: 0,
  soffit: 0,
  cornice: 1,
  corbel: 1,
  stringCourse: 1,
  wall: 2,
  siding: 2,
  corrugatedSheet: 2,
  panelling: 3,
  column: 3,
  wainscot: 3,
  railing: 5,
  ironRailing: 5,
  newelPost: 5,
  handrail: 5,
  post: 5,
  stairFlight: 6,
  baseboard: 7,
  plinth: 7,
  floorBoards: 8,
};
/** Windows, doors, casings, heaters, pipes. */
const JOINERY = 4;
export const turnOf = (element: ElementId): number => TURN[element] ?? JOINERY;
