/** What leaves a job, by what made it: in what it goes, where it stands, what its label says. */
import type { AgentId } from '../catalogue';
import type { WasteStreamId } from '../facts';
import type { SourceId } from '../reasons';

export type Container = 'bag' | 'doubleBag' | 'linedPail' | 'drum' | 'metalCan' | 'filterJar';
export type Stands = 'lockedDry' | 'bunded' | 'awayFromHeat' | 'sealedLocked';

export interface WasteStream {
  readonly id: WasteStreamId;
  readonly container: Container;
  readonly stands: Stands;
  /** kg that one container is filled to, so that one person may lift it. Common practice, no published source. */
  readonly fillKg: number;
  /** kg of 1 L of it, where it is poured; null: it is not. */
  readonly kgPerL: number | null;
  readonly source: SourceId;
}

const S = (
  id: WasteStreamId,
  container: Container,
  stands: Stands,
  fillKg: number,
  kgPerL: number | null,
  source: SourceId = 'trade-waste',
): WasteStream => ({ id, container, stands, fillKg, kgPerL, source });

export const STREAMS: Readonly<Record<WasteStreamId, WasteStream>> = {
  clean: S('clean', 'bag', 'lockedDry', 15, null),
  sheetAndChips: S('sheetAndChips', 'bag', 'lockedDry', 12, null, 'cfr40-745.85a4'),
  solventSludge: S('solventSludge', 'linedPail', 'awayFromHeat', 20, 1.1),
  causticSludge: S('causticSludge', 'linedPail', 'bunded', 20, 1.3),
  acidRinse: S('acidRinse', 'drum', 'bunded', 20, 1),
  solventRags: S('solventRags', 'metalCan', 'awayFromHeat', 8, null),
  oilyRags: S('oilyRags', 'metalCan', 'awayFromHeat', 8, null),
  washWater: S('washWater', 'filterJar', 'bunded', 20, 1),
  filters: S('filters', 'bag', 'lockedDry', 10, null),
  media: S('media', 'drum', 'lockedDry', 25, null),
  moldDebris: S('moldDebris', 'bag', 'lockedDry', 12, null),
  biocideDebris: S('biocideDebris', 'doubleBag', 'sealedLocked', 12, null),
  suspectAsbestos: S('suspectAsbestos', 'doubleBag', 'sealedLocked', 12, null, 'cfr29-1926.1101k8'),
};

/** What is in a bin whatever brought it there. */
export const IN_STREAM: Readonly<Record<WasteStreamId, readonly AgentId[]>> = {
  clean: [],
  sheetAndChips: [],
  solventSludge: ['solvent'],
  causticSludge: ['alkali'],
  acidRinse: ['acid'],
  solventRags: ['solvent'],
  oilyRags: ['dryingOil'],
  washWater: [],
  filters: [],
  media: [],
  moldDebris: [],
  biocideDebris: [],
  suspectAsbestos: [],
};

/** What is fixed by law on the label of asbestos waste. 29 CFR 1926.1101(k)(8). */
export const ASBESTOS_LABEL = [
  'DANGER',
  'CONTAINS ASBESTOS FIBERS',
  'MAY CAUSE CANCER',
  'CAUSES DAMAGE TO LUNGS',
  'DO NOT BREATHE DUST',
  'AVOID CREATING DUST',
] as const;
