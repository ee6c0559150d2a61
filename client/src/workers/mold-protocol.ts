import type { MoistureFacts } from '@roughsill/core';
import type { Climate, Forecast, MoldMaterial } from '@roughsill/core/moist';

export interface ToMoldWorker {
  /** Counts the runs, so that the answer to an older question is passed over. */
  readonly run: number;
  readonly moisture: MoistureFacts;
  readonly space: { readonly lengthM: number | null; readonly widthM: number | null; readonly heightM: number | null };
  readonly climate: Climate;
  readonly material: MoldMaterial;
  readonly rules: 'us' | 'uk';
}
export type FromMoldWorker =
  | { readonly kind: 'progress'; readonly run: number; readonly share: number }
  | { readonly kind: 'done'; readonly run: number; readonly forecast: Forecast };
