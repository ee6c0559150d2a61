/** What a switch of rules, of a rate or of a school made of a job: two digests of the same facts, told apart in sentences. */
import type { JobFacts } from '../facts';
import type { Range } from '../units/units';
import type { JobDigest, SurfaceDigest } from '../job/digest';
import { say } from '../reasons';
import type { Asked } from '../step';
import { formatMeasure, formatRange, formatWork, many, measure, type UnitSystem } from '../units/units';

export interface Changed {
  /** Of the job as a whole. */
  readonly whole: readonly string[];
  /** What is another answer now, and where: a change that many surfaces share is one line. */
  readonly lines: readonly { readonly says: string; readonly names: readonly string[] }[];
  /** Surfaces of which the price alone is another. */
  readonly priceOnly: number;
}

/** Less than this is rounding, in the firm's money. */
const A_UNIT = 1;
const TENTH_H = 0.1;
const same = (a: Range, b: Range, least: number) => Math.abs(a.low - b.low) < least && Math.abs(a.high - b.high) < least;

const methodsOf = (d: SurfaceDigest): string =>
  [...new Set(d.picks.map((p) => (p.methodId ? say(p.methodId) : 'no method allowed')))].join('; ');
const maskOf = (id: SurfaceDigest['respirator']): string => (id ? say(id) : 'no mask');
const draft = (d: SurfaceDigest): string => (d.trial.missing ? 'a draft until a square is tried' : 'may be issued');
const priced = (d: SurfaceDigest): string => (d.unpriced ? 'not priced' : 'priced');
const HAZARDS = ['lead', 'asbestos', 'mold'] as const;

function onSurface(was: SurfaceDigest, is: SurfaceDigest): string[] {
  const pairs: readonly (readonly [string, string, string])[] = [
    ...HAZARDS.map((h) => [`${say(h)} `, say(was[h]), say(is[h])] as const),
    ['', methodsOf(was), methodsOf(is)],
    ['', maskOf(was.respirator), maskOf(is.respirator)],
    ['', priced(was), priced(is)],
    ['', draft(was), draft(is)],
    // What is planned nowhere has no coats and no checks.
    ...(is.unpriced || was.unpriced
      ? []
      : ([
          ['coats to lay: ', String(was.coatsToApply), String(is.coatsToApply)],
          ['checks: ', String(was.checks), String(is.checks)],
        ] as const)),
  ];
  const methods = [
    ...was.blocked.filter((m) => !is.blocked.includes(m)).map((m) => `${say(m)}: no longer blocked`),
    ...is.blocked.filter((m) => !was.blocked.includes(m)).map((m) => `${say(m)}: blocked now`),
  ];
  return [...pairs.flatMap(([what, a, b]) => (a === b ? [] : [`${what}${b} (was ${a})`])), ...methods];
}

/** The number against which a check holds what was measured. */
function askedOf({ below, atMost, atLeast }: Asked, units: UnitSystem): string {
  if (below) return `below ${formatMeasure(below, units)}`;
  return atMost ? `at most ${formatMeasure(atMost, units)}` : atLeast ? `at least ${formatMeasure(atLeast, units)}` : 'a reading';
}

const classOf = (minor: boolean | null | undefined): string =>
  minor === null || minor === undefined ? 'no class of minor work' : minor ? 'minor work' : 'more than minor work';

/**
 * @param facts as they are now, for the names
 * @param money how the firm's money is written
 */
export function changedBetween(was: JobDigest, is: JobDigest, facts: JobFacts, units: UnitSystem, money: (n: number) => string): Changed {
  const whole: string[] = [];
  // What has no price any more makes the rest no cheaper. Law V2.
  if (is.unpriced !== was.unpriced) whole.push(`Without a price: ${many(is.unpriced, 'piece')} (was ${was.unpriced})`);
  if (is.unpriced > was.unpriced) whole.push('The job has no whole price until a method is found for them');
  else if (!same(was.totals.money, is.totals.money, A_UNIT))
    whole.push(`The job: ${formatRange(is.totals.money, money)} (was ${formatRange(was.totals.money, money)})`);
  if (!same(was.totals.personHours, is.totals.personHours, TENTH_H))
    whole.push(`Work: ${formatRange(is.totals.personHours, formatWork)} (was ${formatRange(was.totals.personHours, formatWork)})`);
  const sheet = (d: JobDigest) =>
    formatMeasure(
      measure(
        d.zones.reduce((sum, z) => sum + z.sheetM2, 0),
        'm2',
      ),
      units,
    );
  if (sheet(was) !== sheet(is)) whole.push(`Sheet: ${sheet(is)} (was ${sheet(was)})`);
  const lines = new Map<string, string[]>();
  const tell = (says: string, name: string) => lines.set(says, [...(lines.get(says) ?? []), name]);
  const before = new Map(was.spaces.map((s) => [s.spaceId, s]));
  for (const s of is.spaces) {
    const name = facts.spaces.find((x) => x.id === s.spaceId)?.name;
    const [a, b] = [classOf(before.get(s.spaceId)?.minorWork.value), classOf(s.minorWork.value)];
    if (name !== undefined && a !== b) tell(`${b} (was ${a})`, name);
  }
  const zonesBefore = new Map(was.zones.map((z) => [z.zoneId, z]));
  for (const z of is.zones) {
    const a = zonesBefore.get(z.zoneId);
    for (const asked of z.asks) {
      const then = a?.asks.find((x) => x.what === asked.what);
      const [now, before] = [askedOf(asked, units), then ? askedOf(then, units) : null];
      if (before !== null && before !== now) tell(`${say(asked.what)}: ${now} (was ${before})`, z.name);
    }
  }
  const old = new Map(was.surfaces.map((d) => [d.surfaceId, d]));
  let priceOnly = 0;
  for (const d of is.surfaces) {
    const a = old.get(d.surfaceId);
    const name = facts.surfaces.find((s) => s.id === d.surfaceId)?.name;
    if (a === undefined || name === undefined) continue;
    const says = onSurface(a, d);
    says.forEach((x) => tell(x, name));
    if (says.length === 0 && !same(a.money, d.money, A_UNIT)) priceOnly += 1;
  }
  return { whole, lines: [...lines].map(([says, names]) => ({ says, names })), priceOnly };
}
