/** How much lead whoever does these tasks breathes before any mask: by the presumed class, or by the firm's own samples. */
import { LIMIT_SOURCES } from '../air/breathing';
import type { Method } from '../catalogue';
import type { MethodId } from '../facts';
import { rungKey, type Standing } from '../probe';
import { why, type Reason } from '../reasons';
import { EXPOSURE_CLASSES, type ExposureClassId } from '../rulebook';
import { measure } from '../units/units';
import type { Needs } from '../surface/needs';
import type { ZoneContext } from './zone-context';

export interface Exposure {
  readonly class: ExposureClassId;
  /** ug/m3; 0: no lead is disturbed; null: no upper end. */
  readonly upperUgM3: number | null;
  /** The worst of it is a result of the firm, not a presumption. */
  readonly own: boolean;
  /** All of it by own samples that let sampling stop. */
  readonly settled: boolean;
  readonly because: readonly Reason[];
}

const ORDER: readonly ExposureClassId[] = ['none', 'class1', 'class2', 'class3'];
const orInfinite = (upper: number | null): number => upper ?? Infinity;

interface Breathed {
  readonly methodId: MethodId;
  readonly upperUgM3: number | null;
  readonly own: { readonly samples: number; readonly settled: boolean } | null;
  /** Presumed of lead below the limit; null: of lead. */
  readonly low: Standing | null;
}

/** Dusty or hot work on any lead is presumed to be of the first class until air was sampled. 29 CFR 1926.62(d)(2). */
const LOW_UPPER = EXPOSURE_CLASSES.class1.upperUgM3;

/** The class into which a result falls. */
const classOf = (ugM3: number): ExposureClassId =>
  ORDER.find((c) => c !== 'none' && ugM3 <= orInfinite(EXPOSURE_CLASSES[c].upperUgM3)) ?? 'class3';

/** What each task on each surface with lead gives; the worst stands for all that go on together. */
export function exposureTo(methods: readonly Method[], working: readonly Needs[], ctx: ZoneContext): Exposure {
  const breathed = methods.flatMap((m): Breathed[] =>
    working
      .filter((n) => n.methods.includes(m.id) && (n.lead || n.low.includes(m.id)))
      .map((n): Breathed => {
        const own = ctx.ownAir.find((a) => a.surfaceId === n.surfaceId && a.methodId === m.id);
        return own
          ? { methodId: m.id, upperUgM3: own.ugM3, own, low: null }
          : n.lead
            ? { methodId: m.id, upperUgM3: EXPOSURE_CLASSES[m.exposure].upperUgM3, own: null, low: null }
            : { methodId: m.id, upperUgM3: LOW_UPPER, own: null, low: n.standing };
      }),
  );
  const worst = breathed.reduce<Breathed | null>((a, b) => (a === null || orInfinite(b.upperUgM3) > orInfinite(a.upperUgM3) ? b : a), null);
  if (worst === null || worst.upperUgM3 === 0)
    return { class: 'none', upperUgM3: 0, own: false, settled: false, because: [why('exposure.none', ctx.rulebook.sources.clothing)] };
  if (worst.own)
    return {
      class: classOf(worst.upperUgM3!),
      upperUgM3: worst.upperUgM3,
      own: true,
      settled: breathed.every((b) => b.own?.settled === true),
      because: [
        why('exposure.measured', LIMIT_SOURCES[ctx.airLimits], {
          method: worst.methodId,
          breathed: measure(worst.upperUgM3!, 'ug/m3'),
          samples: worst.own.samples,
        }),
      ],
    };
  const { upperUgM3 } = worst;
  if (worst.low !== null)
    return {
      class: 'class1',
      upperUgM3,
      own: false,
      settled: false,
      because: [
        why('exposure.presumedLow', LIMIT_SOURCES[ctx.airLimits], {
          lead: rungKey(worst.low),
          method: worst.methodId,
          class: 'class1',
          upper: measure(upperUgM3!, 'ug/m3'),
        }),
      ],
    };
  const uk = ctx.rulebook.id === 'uk';
  const rule = uk ? 'exposure.presumedUk' : upperUgM3 === null ? 'exposure.presumedTop' : 'exposure.presumed';
  const c = ORDER.find((x) => EXPOSURE_CLASSES[x].upperUgM3 === upperUgM3)!;
  const upper = measure(upperUgM3 ?? EXPOSURE_CLASSES.class2.upperUgM3!, 'ug/m3');
  return {
    class: c,
    upperUgM3,
    own: false,
    settled: false,
    because: [why(rule, uk ? 'clw2002' : 'cfr29-1926.62d2', { class: c, upper })],
  };
}
