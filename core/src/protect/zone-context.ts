/** What protection may know of a zone beside what its surfaces need. */
import type { WallId } from '../facts';
import type { LimitSet } from '../air/breathing';
import type { OwnAir } from '../air/own-samples';
import type { MoldKit } from '../probe/mold';
import type { Answer } from '../reasons';
import type { FirmSettings, Rulebook } from '../rulebook';
import type { Floor } from '../geometry/shapes';

export interface ZoneContext {
  readonly rulebook: Rulebook;
  readonly settings: FirmSettings;
  readonly place: 'inside' | 'outside' | 'bench';
  /** Its rooms, with their floors; null: nobody measured it. */
  readonly rooms: readonly { readonly spaceId: string; readonly floor: Floor | null; readonly heightM: number | null }[];
  /** Of the whole house; null: its sides were not measured. */
  readonly footprint: Floor | null;
  /** Sides of the house that the zone takes in, with their lengths, m; null: not measured. */
  readonly sides: readonly { readonly spaceId: string; readonly side: WallId | null; readonly lengthM: number | null }[];
  /** The nearest boundary, m; null: unknown. */
  readonly boundaryM: number | null;
  /** Whose limit for lead in air, and the length of the shift that it is held against, h. */
  readonly airLimits: LimitSet;
  readonly shiftH: number;
  /** The firm's own results, in place of what is presumed. */
  readonly ownAir: readonly OwnAir[];
  /** Height at which the work stands, m; 0: from the floor. */
  readonly accessM: number;
  readonly moldKit: Answer<MoldKit> | null;
}
