/** Steps and their checks, as planned; where they stand is judged over the whole zone (zone/standing.ts). */
import type { Range } from '../units/units';
import {
  holdKey,
  holdText,
  stepKey,
  stepText,
  type CheckNumber,
  type HoldAt,
  type HoldKey,
  type MethodId,
  type StepAt,
  type StepKey,
} from '../facts';
import type { Reason } from '../reasons';
import type { Measure } from '../units/units';

/** The step at which something is seen. */
export type SeenAt =
  | { readonly stroke: MethodId; readonly partId: string; readonly areaM2: number; readonly half?: 'coarse' | 'final' | null }
  | { readonly coat: string; readonly sprayed: boolean; readonly areaM2: number; readonly recoatH: Range }
  | { readonly check: true; readonly areaM2: number };

export type StepKind =
  | 'prepare'
  | 'protect'
  | 'mask'
  | 'wash'
  | 'remove'
  | 'rinse'
  | 'dry'
  | 'check'
  | 'repair'
  | 'prime'
  | 'coat'
  | 'unmask'
  | 'cleanUp'
  | 'verify'
  | 'ask';

/** A number that a check is entered as, and what it has to be. */
export interface Asked {
  readonly what: CheckNumber;
  readonly atLeast?: Measure;
  readonly atMost?: Measure;
  readonly below?: Measure;
  /** And it lies so far below and above another number of the same check. */
  readonly near?: { readonly what: CheckNumber; readonly below: number; readonly above: number };
}

export interface GateSpec {
  readonly key: HoldKey;
  /** The text of its key. */
  readonly id: string;
  /** A tick is only for what has no measure: without these numbers a pass is none. Law O2. */
  readonly asks: readonly Asked[];
  /** Where a failed check sends the work back to. */
  readonly backTo: StepKind;
  readonly because: Reason;
  /** What it speaks of: a pass for less is none. Law O3. */
  readonly of?: SpokenOf | undefined;
  /** Since when it is asked, where something that was seen asks for it; not there: from the beginning. */
  readonly since?: string | undefined;
}

/** What a check speaks of: the pieces for which it stands, and methods, equipment or notices that its words name. */
export interface SpokenOf {
  readonly pieceIds: readonly string[];
  readonly spokeOf: readonly string[];
}

export interface Amount {
  readonly what: string;
  readonly amount: Measure;
}

export interface StepSpec {
  readonly key: StepKey;
  /** The text of its key. */
  readonly id: string;
  /** Where signs are seen: its stroke, its coat, its look. Not there: none are. */
  readonly at?: SeenAt | undefined;
  readonly kind: StepKind;
  readonly title: Reason;
  /** Person-hours, hands on. */
  readonly handsOnH: Range;
  /** Hours in which nobody is needed: soaking, drying. */
  readonly waitH: Range;
  readonly amounts: readonly Amount[];
  readonly gates: readonly GateSpec[];
  readonly because: readonly Reason[];
}

/** open: it may be looked at now. locked: another has to pass first. */
export type GateState = 'open' | 'passed' | 'failed' | 'locked';

export interface Gate extends GateSpec {
  readonly state: GateState;
  /** It was passed, for less than it speaks of now. */
  readonly outgrown: boolean;
  /** What opens a locked one: the first check before it that has not passed. */
  readonly waitsFor: Reason | null;
  /** The zone whose check it is; null: the surface's own. */
  readonly zoneId: string | null;
  /** The zone in which it is done: what a surface passes counts there; null: nowhere on site. */
  readonly placeId: string | null;
}

export interface Step extends Omit<StepSpec, 'gates'> {
  readonly gates: readonly Gate[];
  /** Done once for the whole zone: its hours are the zone's. */
  readonly shared: boolean;
}

export const NOTHING: Range = { low: 0, high: 0 };
export const hours = (low: number, high: number): Range => ({ low, high });
export const plus = (a: Range, b: Range): Range => ({ low: a.low + b.low, high: a.high + b.high });

export function gate(at: HoldAt, backTo: StepKind, because: Reason, asks: readonly Asked[] = [], of?: SpokenOf): GateSpec {
  const key = holdKey(at);
  return { key, id: holdText(key), asks, backTo, because, of };
}
/** A check with no number that holds only for what it spoke of. */
export const gateOf = (
  { pieceIds = [], spokeOf = [] }: Partial<SpokenOf>,
  ...[at, backTo, because]: [at: HoldAt, backTo: StepKind, because: Reason]
): GateSpec => gate(at, backTo, because, [], { pieceIds, spokeOf });

const NONE: readonly never[] = [];

/** A step of which only some is to be said. All have one shape, in one order: thousands are made, copied and read for one plan. */
export function stepOf({
  step,
  at,
  kind,
  title,
  handsOnH = NOTHING,
  waitH = NOTHING,
  amounts = NONE,
  gates = NONE,
  because = NONE,
}: { readonly step: StepAt } & Pick<StepSpec, 'kind' | 'title'> & Partial<Omit<StepSpec, 'key' | 'id'>>): StepSpec {
  const key = stepKey(step);
  return { key, id: stepText(key), at, kind, title, handsOnH, waitH, amounts, gates, because };
}

export function hoursOf(steps: readonly StepSpec[]): { readonly handsOnH: Range; readonly waitH: Range } {
  const handsOnH = { low: 0, high: 0 };
  const waitH = { low: 0, high: 0 };
  for (const st of steps) {
    handsOnH.low += st.handsOnH.low;
    handsOnH.high += st.handsOnH.high;
    waitH.low += st.waitH.low;
    waitH.high += st.waitH.high;
  }
  return { handsOnH, waitH };
}
