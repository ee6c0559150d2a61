/** What is too heavy for the page and asked for by one screen: derivations of whole jobs, or of one surface in many ways. */
import type { AirDuty } from '@roughsill/core/air';
import type { CoatedFace } from '@roughsill/core/weather';
import type { Shift, ZoneDay } from '@roughsill/core/zone-day';
import type { BuyScope, Facing, FirmSettings, JobFacts, MethodId, RespiratorId, Space, Tin } from '@roughsill/core';
import type { ClientPage, ShoppingPaper } from '@roughsill/core/report';
import type { WasteLine } from '@roughsill/core/waste';
import type { Certainty, Changed, Compared, WhatIf } from '@roughsill/core/compare';

/** A job as it stands, with what plans are made with. */
export interface Standing {
  readonly facts: JobFacts;
  readonly settings: FirmSettings;
}
export type Ask =
  /** What-ifs are asked of the method in focus. Null: of none. */
  | (Standing & { readonly kind: 'compare'; readonly surfaceId: string; readonly focus: MethodId | null })
  | (Standing & { readonly kind: 'certainty' })
  | (Standing & { readonly kind: 'client'; readonly surfaceId: string })
  | (Standing & { readonly kind: 'waste' })
  | (Standing & { readonly kind: 'breathing' })
  | (Standing & { readonly kind: 'coats' })
  | (Standing & { readonly kind: 'shopping'; readonly tins: readonly Tin[]; readonly scope: BuyScope })
  | { readonly kind: 'changed'; readonly was: Standing; readonly is: Standing };
/** A zone in which lead is met, as whoever works there breathes it. */
export interface BreathingZone {
  readonly zoneId: string;
  readonly name: string;
  readonly day: ZoneDay;
  readonly mask: RespiratorId | null;
  /** By own samples. */
  readonly measured: boolean;
  readonly duties: readonly AirDuty[];
  readonly tasks: readonly { readonly surfaceId: string; readonly surface: string; readonly methodId: MethodId }[];
}
export interface Breathing {
  readonly zones: readonly BreathingZone[];
  /** Every zone of the job, in its order. */
  readonly places: readonly { readonly zoneId: string; readonly name: string }[];
  readonly shifts: readonly Shift[];
}
/** A zone with what is laid in it, coat by coat. */
export interface CoatedZone {
  readonly zoneId: string;
  readonly name: string;
  readonly kind: 'room' | 'elevation';
  /** Whose side it is (null: the bench), which way that looks and when it lies in the shade, as it was recorded. */
  readonly spaceId: string | null;
  readonly facing: Facing | null;
  readonly shaded: Space['shaded'];
  readonly volumeM3: number | null;
  /** Of the room, as its own record has it: how warm, how airy, how cold its wall; null: nobody recorded it. */
  readonly climate: { readonly insideC: number; readonly leakAch: number; readonly uValueWm2K: number } | null;
  /** By the plan, the day on which its first coat may be thought of. */
  readonly readyOnDay: number;
  /** Faces whose coat is a question or does not fit: they are in no window. */
  readonly waiting: readonly string[];
  readonly faces: readonly CoatedFace[];
}
export type AskKind = Ask['kind'];

/** What is to be bought, in words, and the zones that may be asked for. */
export interface ShoppingAnswer {
  readonly paper: ShoppingPaper;
  readonly zones: readonly { readonly zoneId: string; readonly name: string }[];
}

export interface Answers {
  readonly compare: { readonly compared: Compared; readonly whatIf: readonly WhatIf[] };
  readonly certainty: readonly Certainty[];
  readonly changed: Changed;
  readonly client: ClientPage | null;
  readonly waste: readonly WasteLine[];
  readonly breathing: Breathing;
  readonly coats: readonly CoatedZone[];
  readonly shopping: ShoppingAnswer;
}

export interface ToAskWorker {
  /** Counts the questions, so that the answer to an older one is passed over. */
  readonly run: number;
  readonly thisYear: number;
  readonly ask: Ask;
}
export interface FromAskWorker {
  readonly run: number;
  readonly answer: Answers[AskKind];
}
