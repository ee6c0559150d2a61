/** Mold: how much in a room, what that asks for, and which questions about its cause are open. EPA 402-K-01-001 table 2. */
import type { Space, Surface } from '../facts';
import { answer, why, type Answer, type Reason, type SourceId } from '../reasons';
import type { Rulebook } from '../rulebook';
import { convert, measure } from '../units/units';
import { judgeMoisture, type MoistureVerdict } from './moisture';
import { standingReadings } from './standing';

export type MoldSize = 'none' | 'small' | 'medium' | 'large';
/** S520: 1 as normal, 2 settled from elsewhere, 3 growth. */
export type MoldCondition = 1 | 2 | 3;

export type MoldKit = 'n95' | 'n95Suit' | 'fullFace' | 'ffp3' | 'ffp3Suit' | 'fullP3';

/** What keeps growth of that class in: nothing, one sheet round it, or two with an airlock. EPA 402-K-01-001 table 2. */
export type GrowthSheet = 'none' | 'limited' | 'full';
const SHEET_BY_KIT: Readonly<Record<MoldKit, GrowthSheet>> = {
  n95: 'none',
  ffp3: 'none',
  n95Suit: 'limited',
  ffp3Suit: 'limited',
  fullFace: 'full',
  fullP3: 'full',
};
export const sheetFor = (kit: MoldKit): GrowthSheet => SHEET_BY_KIT[kit];

export interface MoldPicture {
  readonly spaceId: string;
  readonly extentM2: number;
  /** Growth was ticked on a surface, but nobody measured it. */
  readonly unmeasured: number;
  readonly size: Answer<MoldSize>;
  readonly condition: Answer<MoldCondition>;
  readonly containment: Answer<GrowthSheet>;
  readonly equipment: Answer<MoldKit>;
  readonly moisture: readonly { readonly surfaceId: string; readonly readingId: string; readonly verdict: Answer<MoistureVerdict> }[];
  /** What is known of the cause: a leak comes before all arithmetic. */
  readonly cause: Answer<'notAsked' | 'leak' | 'rising' | 'condensation' | 'open'>;
  readonly questions: readonly string[];
}

const SIZES: readonly MoldSize[] = ['none', 'small', 'medium', 'large'];
/** EPA: under 10 ft2 small; 10 to 100 medium, both ends in it; above 100 large. Growth that nobody measured: one class up. */
export function moldSize(extentM2: number, unmeasured: number, source: SourceId = 'epa-mold'): Answer<MoldSize> {
  const ft2 = convert(extentM2, 'm2', 'ft2');
  const found = measure(extentM2, 'm2');
  const limits = { small: measure(10, 'ft2'), large: measure(100, 'ft2') };
  if (ft2 === 0 && unmeasured === 0) return answer('none', why('mold.none', 'job-record', {}));
  const measured: MoldSize = ft2 > 100 + 1e-6 ? 'large' : ft2 >= 10 - 1e-6 ? 'medium' : 'small';
  if (unmeasured > 0 && measured !== 'large') {
    const size = SIZES[SIZES.indexOf(measured) + 1]!;
    return answer(size, why(size === 'large' ? 'mold.unmeasuredLarge' : 'mold.unmeasured', source, { pieces: unmeasured, extent: found }));
  }
  if (measured === 'large') return answer('large', why('mold.large', source, { extent: [found, limits.large] }));
  if (measured === 'medium') return answer('medium', why('mold.medium', source, { extent: [found, limits.small] }));
  return answer('small', why('mold.small', source, { extent: [found, limits.small] }));
}

const BY_SIZE = {
  none: { containment: 'none', equipment: 'n95' },
  small: { containment: 'none', equipment: 'n95' },
  medium: { containment: 'limited', equipment: 'n95Suit' },
  large: { containment: 'full', equipment: 'fullFace' },
} as const;

/** Asked in this order: what wets it from outside comes before the air. */
export const CAUSE_QUESTIONS = ['leak', 'rising', 'fanVentsOutside', 'laundryDries', 'coldCorner'] as const;

function causeOf(space: Space, growth: boolean): MoldPicture['cause'] {
  const m = space.moisture;
  if (!growth) return answer('notAsked', why('mold.none', 'job-record', {}));
  if (m === null) return answer('open', why('mold.causeUnknown', 'trade-mold', {}));
  if (m.leak !== 'no')
    return answer(m.leak === 'yes' ? 'leak' : 'open', why(m.leak === 'yes' ? 'mold.causeLeak' : 'mold.causeUnknown', 'trade-mold', {}));
  if (m.rising !== 'no')
    return answer(
      m.rising === 'yes' ? 'rising' : 'open',
      why(m.rising === 'yes' ? 'mold.causeRising' : 'mold.causeUnknown', 'trade-mold', {}),
    );
  return answer('condensation', why('mold.causeCondensation', 'iso13788', {}));
}

/** The same protection by the names under which it is sold there. */
const UK_WORDS = { n95: 'ffp3', n95Suit: 'ffp3Suit', fullFace: 'fullP3' } as const;

/** The growth of a room, and what cleaning it is done in. @param growthM2 of each surface with growth, m2; null: unmeasured */
function classOf(growthM2: readonly (number | null)[], { id, sources: { mold: source } }: Rulebook) {
  const extentM2 = growthM2.reduce<number>((a, m2) => a + (m2 ?? 0), 0);
  const unmeasured = growthM2.filter((m2) => m2 === null).length;
  const size = moldSize(extentM2, unmeasured, source);
  const by = BY_SIZE[size.value];
  const equipment: Answer<MoldKit> = { value: id === 'uk' ? UK_WORDS[by.equipment] : by.equipment, because: size.because };
  return { extentM2, unmeasured, size, containment: by.containment, equipment };
}

export const isMoldy = (s: Pick<Surface, 'conditions' | 'moldM2'>): boolean => s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0;

/** What cleaning the growth of a room is done in. @param growthM2 of each surface with growth, m2; null: unmeasured */
export const moldKitFor = (growthM2: readonly (number | null)[], rulebook: Rulebook): Answer<MoldKit> =>
  classOf(growthM2, rulebook).equipment;

/** One room's mold, summed over its surfaces. */
export function moldPicture(space: Space, surfaces: readonly Surface[], rulebook: Rulebook): MoldPicture {
  const moldy = surfaces.filter(isMoldy);
  const { extentM2, unmeasured, size, containment, equipment } = classOf(
    moldy.map((s) => s.moldM2),
    rulebook,
  );
  const growth = moldy.length > 0;
  const reasons: readonly Reason[] = size.because;
  const m = space.moisture;
  return {
    spaceId: space.id,
    extentM2,
    unmeasured,
    size,
    condition: growth
      ? answer<MoldCondition>(3, why('mold.condition3', 's520', {}))
      : answer<MoldCondition>(1, why('mold.condition1', 's520', {})),
    containment: { value: containment, because: reasons },
    equipment,
    moisture: surfaces.flatMap((s) =>
      standingReadings(s)
        .filter((r) => r.kind === 'moisture')
        .map((r) => ({ surfaceId: s.id, readingId: r.id, verdict: judgeMoisture(r, s.material) })),
    ),
    cause: causeOf(space, growth),
    questions: growth ? CAUSE_QUESTIONS.filter((q) => m === null || m[q] === 'unknown') : [],
  };
}
