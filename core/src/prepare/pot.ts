/** What stands mixed: how long it may still be used, and when it is stirred again. */
import type { PotId } from '../facts';
import { within } from './refused';

interface PotKind {
  /** Usable so long at 20 C, h. */
  readonly lifeH: number;
  /** It cures: half as long 10 C warmer, twice as long 10 C colder. Rule of thumb, reference.md T07. */
  readonly cures: boolean;
  /** What settles is stirred so often, min; null: nothing settles. */
  readonly stirMin: number | null;
}
/**
 * Bleach: made fresh each day (CDC). What has stood for half an hour is stirred: common practice. The other lives are from memory of data
 * sheets, and the product's own sheet outranks them.
 */
const SETTLES_MIN = 30;
export const POTS: Readonly<Record<PotId, PotKind>> = {
  bleach: { lifeH: 24, cures: false, stirMin: null },
  biocide: { lifeH: 24, cures: false, stirMin: null },
  paste: { lifeH: 24, cures: false, stirMin: SETTLES_MIN },
  powderPaste: { lifeH: 4, cures: false, stirMin: SETTLES_MIN },
  thinnedPaint: { lifeH: 10, cures: false, stirMin: SETTLES_MIN },
  twoPart: { lifeH: 4, cures: true, stirMin: SETTLES_MIN },
  filler: { lifeH: 0.75, cures: true, stirMin: null },
  pva: { lifeH: 24, cures: false, stirMin: SETTLES_MIN },
};

export interface Pot {
  readonly kind: PotId;
  readonly airC: number;
  /** By the product's own sheet, h; null: as is usual. */
  readonly ownH: number | null;
  /** Since it was mixed, and since it was last stirred, h. */
  readonly stoodH: number;
  readonly unstirredH: number;
}
export const POT_STATES = ['fresh', 'stir', 'soon', 'over'] as const;
export type PotState = (typeof POT_STATES)[number];
export interface PotAnswer {
  readonly lifeH: number;
  /** Below nothing: so long past it. */
  readonly leftH: number;
  /** Until it is stirred, h; at or below nothing: now. Null: nothing settles. */
  readonly stirInH: number | null;
  readonly state: PotState;
}
/** The last tenth of its life is for using up, nothing new is begun with it. Common practice, no published source. */
const LAST_SHARE = 0.1;

/** How long a pot of it lasts, h. A sheet counts at its own warmth. */
export const potLifeH = (kind: PotId, airC: number, ownH: number | null): number =>
  ownH ?? POTS[kind].lifeH * (POTS[kind].cures ? 2 ** ((20 - airC) / 10) : 1);

/** How it stands now, from when it was mixed and stirred. A clock that was set back makes nothing younger than new. */
export function potStood(
  p: Pick<Pot, 'kind' | 'airC' | 'ownH'> & { readonly mixedAt: string; readonly stirredAt: string },
  nowMs: number,
): PotAnswer {
  const since = (at: string) => Math.max(0, nowMs - Date.parse(at)) / HOUR_MS;
  const stoodH = since(p.mixedAt);
  return potNow({ ...p, stoodH, unstirredH: Math.min(stoodH, since(p.stirredAt)) });
}
const HOUR_MS = 3_600_000;

/** @throws Refused in trade words */
export function potNow(p: Pot): PotAnswer {
  within(p.airC, -10, 45, 'airC');
  within(p.stoodH, 0, 10_000, 'elapsedH');
  within(p.unstirredH, 0, p.stoodH + 1e-9, 'elapsedH');
  if (p.ownH !== null) within(p.ownH, 0.05, 8760, 'elapsedH');
  const lifeH = potLifeH(p.kind, p.airC, p.ownH);
  const leftH = lifeH - p.stoodH;
  const { stirMin } = POTS[p.kind];
  const stirInH = stirMin === null ? null : stirMin / 60 - p.unstirredH;
  const state: PotState = leftH <= 0 ? 'over' : stirInH !== null && stirInH <= 0 ? 'stir' : leftH <= lifeH * LAST_SHARE ? 'soon' : 'fresh';
  return { lifeH, leftH, stirInH, state };
}
