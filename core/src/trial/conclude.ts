/** From squares to a dwell, by method and coating, and which square to try next. */
import type { Chemistry, MethodId, PartKind, Square, Surface } from '../facts';
import { methodById, type Method } from '../catalogue';
import { answer, why, type Answer, type Reason } from '../reasons';
import type { MethodOwn, Rulebook } from '../rulebook';
import { measure } from '../units/units';
import { fromReference, toReference } from './dwell';
import { isBanned, outcomeOf, referenceMin, saysNothing } from './square';

export interface Proposal {
  readonly methodId: MethodId;
  readonly coating: string;
  /** As it should stand on the day, at the temperature of the face, min. Null: the method does not soak. */
  readonly dwellMin: number | null;
  readonly covered: boolean;
  readonly because: readonly Reason[];
}

export interface Conclusion {
  readonly methodId: MethodId;
  /** Empty: the coats as recorded. */
  readonly coating: string;
  /** Which product or mix; empty: nobody said. */
  readonly product: string;
  readonly chemistry: Chemistry;
  readonly squares: number;
  /** works: a dwell is known; open: more squares tell; failed: no dwell that fits brought it off, or it did harm. */
  readonly state: Answer<'works' | 'open' | 'failed'>;
  /** At 20 C, min: longest that was not clean, shortest that was. */
  readonly bracketMin: { readonly notClean: number | null; readonly clean: number | null };
  /** At 20 C, h: what to plan with. Null: nothing worked, or it does not soak. */
  readonly dwellH: { readonly low: number; readonly high: number } | null;
  readonly passes: { readonly low: number; readonly high: number } | null;
  readonly ease: { readonly low: number; readonly high: number };
  /** What the clean squares took, L per m2 in all passes. Null: nobody measured. */
  readonly coverageLPerM2: { readonly low: number; readonly high: number } | null;
  /** One person's work on them, h per m2. Null: nobody timed it. */
  readonly workHPerM2: { readonly low: number; readonly high: number } | null;
  /** With so few squares, as much as this share of the face could still ask for more. 95 % bound. */
  readonly couldStillFail: number | null;
  readonly carried: boolean;
  /** A square did harm. */
  readonly harmed: boolean;
  /** On which kinds of part it came clean; null: of one nobody said on which. */
  readonly kinds: readonly PartKind[] | null;
  readonly next: readonly Proposal[];
}

/** Longer and shorter are no longer told apart: within 10 %, or 5 minutes. Common practice. */
export const CLOSE_SHARE = 0.1;
const CLOSE_MIN = 5;
/** Beyond the usual dwell by this much nobody waits. */
const LONGEST_TIMES = 4;
/** Two weeks: no square stands longer (facts/schema.ts). */
const LONGEST_MIN = 20_160;
/** How much more or less work than usual, from how it came off: 1 hard work, 5 falls off. Common practice. */
const EASE: Readonly<Record<number, readonly [number, number]>> = {
  1: [1.6, 2.4],
  2: [1.2, 1.6],
  3: [0.95, 1.15],
  4: [0.8, 1],
  5: [0.65, 0.85],
};

/** Exact 95 % upper bound on a share of which none was seen in n: 1 - 0.05^(1/n). Clopper and Pearson 1934. */
export const upperBoundOfNone = (n: number): number => 1 - 0.05 ** (1 / n);

export const round = (min: number): number =>
  min < 20
    ? Math.max(1, Math.round(min))
    : min < 120
      ? Math.round(min / 5) * 5
      : min < 600
        ? Math.round(min / 15) * 15
        : Math.round(min / 60) * 60;

/** Dwell range to start from, min at 20 C. */
export function usualMin(m: Method, own: MethodOwn | undefined): { low: number; high: number } | null {
  if (own && own.dwellLowH !== null && own.dwellHighH !== null) return { low: own.dwellLowH * 60, high: own.dwellHighH * 60 };
  return m.dwellH ? { low: m.dwellH.low * 60, high: m.dwellH.high * 60 } : null;
}

interface Group {
  readonly method: Method;
  readonly coating: string;
  readonly product: string;
  readonly chemistry: Chemistry;
  readonly squares: readonly Square[];
}

/** Ways of standing are ways of working: only like with like. */
export function groupsOf(squares: readonly Square[]): Group[] {
  const out = new Map<string, Group & { squares: Square[] }>();
  for (const q of squares) {
    if (q.removedAt !== null) continue;
    const coating = q.coating.trim();
    const product = q.product.trim();
    const key = `${q.methodId}|${coating.toLowerCase()}|${product.toLowerCase()}|${q.chemistry}`;
    const known = out.get(key);
    if (known) known.squares.push(q);
    else out.set(key, { method: methodById(q.methodId), coating, product, chemistry: q.chemistry, squares: [q] });
  }
  return [...out.values()];
}

/** Doubles, halves, or goes between: whatever tells most. */
function nextDwell(
  m: Method,
  usual: { low: number; high: number },
  notClean: number | null,
  clean: number | null,
): { min: number; reason: Reason } | null {
  if (clean === null) {
    const longer = (notClean ?? usual.low) * 2;
    return longer > Math.min(usual.high * LONGEST_TIMES, LONGEST_MIN)
      ? null
      : { min: longer, reason: why('trial.longer', 'trade-trial', { longest: measure(round(notClean ?? 0), 'min') }) };
  }
  if (notClean === null) {
    const shorter = clean / 2;
    // Laying and lifting take longer than this: nothing is gained by less.
    return shorter < Math.max(CLOSE_MIN, usual.low / 4)
      ? null
      : { min: shorter, reason: why('trial.shorter', 'trade-trial', { shortest: measure(round(clean), 'min') }) };
  }
  if (clean - notClean <= Math.max(CLOSE_MIN, clean * CLOSE_SHARE)) return null;
  return {
    min: Math.sqrt(clean * notClean),
    reason: why('trial.between', 'trade-trial', { low: measure(round(notClean), 'min'), high: measure(round(clean), 'min') }),
  };
}

/** A round dwell for the day that still lies between what is known, else a plain one, else none: the bracket is as narrow as a clock. */
function onTheDay(min: number, faceC: number | null, above: number, below: number): number | null {
  const exact = fromReference(min, faceC);
  const lies = (d: number) => toReference(d, faceC) > above * 1.02 && toReference(d, faceC) < below * 0.98;
  return [round(exact), Math.round(exact)].find((d) => lies(d) && d <= LONGEST_MIN) ?? null;
}

const kindOf = (q: Square, s: Surface): PartKind[] => s.parts.flatMap((p) => (p.id === q.partId ? [p.kind] : []));

function conclude(
  { method, coating, product, chemistry, squares }: Group,
  s: Surface,
  faceC: number | null,
  own: MethodOwn | undefined,
  rules: Rulebook['id'],
): Conclusion {
  const told = squares.map((q) => ({ q, says: outcomeOf(q, s), min: referenceMin(q), nothing: saysNothing(q) }));
  const answered = told.filter((t) => t.says !== 'open' && t.nothing === null);
  const clean = answered.filter((t) => t.says === 'clean');
  const harmed = told.some((t) => t.says === 'harmed');
  const failedAt = Math.max(...answered.filter((t) => t.says !== 'clean').map((t) => t.min ?? 0), 0);
  // A square that failed beside a shorter one that did not: the face is uneven, and the longer dwell is the one to trust.
  const uneven = clean.some((t) => t.min !== null && t.min <= failedAt);
  const above = clean.map((t) => t.min ?? 0).filter((x) => x > failedAt);
  const cleanMin = above.length > 0 ? Math.min(...above) : null;
  const notCleanMin = failedAt > 0 ? failedAt : null;
  const usual = usualMin(method, own);
  const waiting = told.filter((t) => t.says === 'open').length;
  const carried = answered.length > 0 && answered.every((t) => t.q.carriedFrom !== '');
  const because: Reason[] = [];
  if (carried) because.push(why('trial.carried', 'job-record', { from: answered[0]!.q.carriedFrom }, 'care'));
  if (uneven) because.push(why('trial.uneven', 'job-record', {}, 'care'));
  because.push(...new Map(told.flatMap((t) => (t.nothing === null ? [] : [[t.nothing.rule, t.nothing] as const]))).values());
  for (const h of new Set(told.flatMap((t) => t.q.harms))) because.push(why('trial.harm', 'job-record', { harm: h }, 'care'));

  const common = {
    methodId: method.id,
    coating,
    product,
    chemistry,
    squares: answered.length,
    bracketMin: { notClean: notCleanMin, clean: cleanMin },
    carried,
    harmed,
    kinds: clean.some((t) => t.q.partId === null) ? null : [...new Set(clean.flatMap((t) => kindOf(t.q, s)))],
  };
  const ease = easeOf(
    clean.map((t) => t.q.ease).filter((x): x is number => x !== null),
    clean.length,
  );
  const coverageLPerM2 = perM2(
    clean.map((t) => t.q),
    (q) => (q.usedMl === null ? null : q.usedMl / 1000),
  );
  const workHPerM2 = perM2(
    clean.map((t) => t.q),
    // As on flat work, so that each part may be reckoned from it: a square on a moulding holds what a moulding asks.
    (q) => (q.workMin === null ? null : (q.workMin / 60) * (method.reach[s.parts.find((p) => p.id === q.partId)?.kind ?? 'flat'] ?? 1)),
  );
  const none = { dwellH: null, passes: null, ease, coverageLPerM2, workHPerM2, couldStillFail: null };
  const say = (value: 'works' | 'open' | 'failed', ...r: Reason[]): Answer<typeof value> => answer(value, ...r, ...because);

  if (squares.some(isBanned)) {
    const banned =
      rules === 'uk' ? why('trial.bannedUk', 'uk-reach59', {}, 'block', 'law') : why('trial.banned', 'cfr40-751', {}, 'block', 'law');
    return { ...common, ...none, state: say('failed', banned), next: [] };
  }
  if (harmed) return { ...common, ...none, state: say('failed', why('trial.harmed', 'job-record', {}, 'care')), next: [] };
  if (answered.length === 0)
    return {
      ...common,
      ...none,
      state: say('open', why('trial.waiting', 'job-record', { squares: measure(waiting, 'pieces') })),
      next: [],
    };
  // The firm's own mix may be weak, or the coat may not yield to any: a ready-made one beside it tells which.
  const control =
    method.id === 'causticPoultice' && clean.length === 0 && !s.squares.some((q) => q.removedAt === null && q.methodId === 'causticReady');
  if (control) because.push(why('trial.mixOrCoat', 'trade-trial', {}, 'care'));
  const step = usual ? nextDwell(method, usual, notCleanMin, cleanMin) : null;
  const dwellMin = step && onTheDay(step.min, faceC, notCleanMin ?? 0, cleanMin ?? Infinity);
  const proposals: Proposal[] =
    step && dwellMin !== null && waiting === 0
      ? [{ methodId: method.id, coating, dwellMin, covered: answered.at(-1)!.q.covered, because: [step.reason] }]
      : [];
  // Without a dwell every square was the whole method: one that failed is as good a witness as one that did not.
  if (usual === null && clean.length > 0 && clean.length < answered.length)
    return { ...common, ...none, state: say('open', why('trial.mixed', 'job-record', {}, 'care')), next: [] };
  // Clean only below a dwell that failed is not proved: the stricter holds until a longer one is clean.
  if (clean.length === 0 || (usual !== null && cleanMin === null)) {
    if (usual === null || step === null)
      return {
        ...common,
        ...none,
        state: say(
          'failed',
          usual === null
            ? why('trial.patchFailed', 'job-record', {}, 'care')
            : why('trial.nothingWorks', 'job-record', { longest: measure(round(failedAt), 'min') }, 'care'),
        ),
        next: [],
      };
    return {
      ...common,
      ...none,
      state: say('open', why('trial.notYet', 'job-record', { longest: measure(round(failedAt), 'min') })),
      next: proposals,
    };
  }
  const couldStillFail = upperBoundOfNone(above.length || 1);
  const spread = why('trial.fewSquares', 'clopper-pearson', {
    squares: measure(above.length || 1, 'pieces'),
    share: measure(Math.round(couldStillFail * 100), '%'),
  });
  // A method of two stages stays one of two stages: a square that came bare spares the further passes, never the usual ones.
  const passes = { low: method.passes.low, high: clean.some((t) => t.q.lifted === 'toCoat') ? method.passes.high : method.passes.low };
  if (usual === null || cleanMin === null)
    return {
      ...common,
      dwellH: null,
      passes,
      ease,
      coverageLPerM2,
      workHPerM2,
      couldStillFail,
      state: say('works', why('trial.worksDry', 'job-record', {}), spread),
      next: proposals,
    };
  // What few squares leave open: up to half as long again after one, a tenth after many.
  const margin = 1 + 0.5 / Math.sqrt(above.length);
  return {
    ...common,
    dwellH: { low: cleanMin / 60, high: (cleanMin * margin) / 60 },
    passes,
    ease,
    coverageLPerM2,
    workHPerM2,
    couldStillFail,
    state: say(
      'works',
      why('trial.works', 'job-record', { dwell: measure(round(cleanMin), 'min'), at: measure(20, 'C') }),
      spread,
      ...(answered.some((t) => t.q.surfaceC === null)
        ? [why('trial.noTemperature', 'mem-q10', { at: measure(20, 'C'), step: measure(10, 'deltaC') })]
        : []),
    ),
    next: proposals,
  };
}

/** An amount spread over the squares that have a size; wider where few were measured, as a small square is not a wall. */
function perM2(squares: readonly Square[], amount: (q: Square) => number | null): { low: number; high: number } | null {
  const each = squares.flatMap((q) => {
    const a = amount(q);
    return a === null || q.sizeCm2 === null ? [] : [a / (q.sizeCm2 / 10_000)];
  });
  if (each.length === 0) return null;
  const open = 0.3 / Math.sqrt(each.length);
  return { low: Math.min(...each) * (1 - open / 2), high: Math.max(...each) * (1 + open) };
}

function easeOf(grades: readonly number[], n: number): { low: number; high: number } {
  const usual = { low: 0.9, high: 1.2 };
  if (grades.length === 0) return usual;
  const low = Math.min(...grades.map((g) => EASE[g]![0]));
  const high = Math.max(...grades.map((g) => EASE[g]![1]));
  const open = 0.3 / Math.sqrt(Math.max(1, n));
  return { low: low * (1 - open / 2), high: high * (1 + open) };
}

/** Every method and coating that has squares on this surface. */
export function conclusionsOf(
  s: Surface,
  faceC: number | null,
  rates: Readonly<Partial<Record<MethodId, MethodOwn>>>,
  rules: Rulebook['id'],
): Conclusion[] {
  if (s.squares.length === 0) return [];
  return groupsOf(s.squares).map((g) => conclude(g, s, faceC, rates[g.method.id], rules));
}
