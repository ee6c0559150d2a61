/** What the next coat needs of the ground: a clear finish bears no film in the grain. */
import { CLEAR_TOPCOATS, type Surface } from '../facts';

/** The finish lets the ground be seen: the coat that was chosen, else the one that the aim asks for. */
export const endsClear = (s: Pick<Surface, 'aim' | 'topcoat'>): boolean =>
  s.topcoat === null ? s.aim === 'bareClear' : CLEAR_TOPCOATS.includes(s.topcoat);
/** Nothing of the old film may stay. */
export const wantsBare = (s: Pick<Surface, 'aim' | 'topcoat'>): boolean => s.aim === 'bareClear' || endsClear(s);
