/** What every language of the bench has words for. */
import { type PotId } from '../../facts';
import type { AgentId, FormId, PartedBy } from '../../catalogue';
import { convert, formatHours, formatMeasure, formatRange, measure, unitFor, type Measure, type UnitSystem } from '../../units/units';
import type { ContentId, EyesId, GloveId, HazardCode } from '../label';
import type { Proof } from '../neutralise';
import type { MistAnswer, MistStep, ScrapeId } from '../mist';
import type { MixStage } from '../recipe';
import type { Quantity, Refusal } from '../refused';
import type { CausticMix } from '../caustic';
import type { NozzleAnswer, PassAnswer, PassId } from '../nozzle';
import type { PotAnswer, PotState } from '../pot';
import type { RinseHolds, RinseWaterAnswer, SteamAnswer } from '../site-water';

/** Amounts as they are read: heat and volume in the job's units, what lies on the scale always in grams. */
export interface Amounts {
  readonly of: (m: Measure) => string;
  readonly c: (c: number) => string;
  readonly L: (litres: number) => string;
  readonly g: (g: number) => string;
  readonly time: (seconds: number) => string;
}
/** A number is never parted from its unit by the end of a line. */
const whole = (text: string): string => text.replaceAll(' ', '\u00a0');
export function amounts(units: UnitSystem): Amounts {
  const of = (m: Measure) => whole(formatMeasure(m, units));
  const degrees = unitFor('temperature', units)!;
  return {
    of,
    c: (value) => of({ value: Math.round(convert(value, 'C', degrees)), unit: degrees }),
    L: (value) => of({ value, unit: 'L' }),
    g: (value) => of({ value: Math.round(value), unit: 'g' }),
    time: (seconds) => whole(seconds < 90 * 60 ? `${Math.max(1, Math.ceil(seconds / 60))} min` : formatHours(seconds / 3600)),
  };
}

/** What comes next, what hangs there, and how much water it is. */
export const mistSays = (m: MistAnswer, words: BenchWords['mist'], a: Amounts): string[] => [
  `${words.next[m.next](m, a)}.`,
  words.load(a.of({ value: m.hangsKgM2, unit: 'kg/m2' }), a.of({ value: m.mostKgM2, unit: 'kg/m2' })),
  words.sum(a.L(m.eachL), `${m.mists.low}\u00a0–\u00a0${m.mists.high}`, `${m.waitMin.low}\u00a0–\u00a0${m.waitMin.high}\u00a0min`),
];

/** What a school says of the pressure on wood; nothing where it is not wood. */
export function timberSays({ timber }: Pick<NozzleAnswer, 'timber'>, blast: BenchWords['blast'], a: Amounts): string[] {
  if (timber === null) return [];
  const psi = (v: number) => a.of({ value: Math.floor(v), unit: 'psi' });
  return [timber.setPsi === null ? blast.timberFits(psi(timber.mostPsi)) : blast.timberOver(psi(timber.mostPsi), psi(timber.setPsi))];
}
/** Sweep and full blast, each a line. */
export const passesSay = (passes: readonly PassAnswer[], blast: BenchWords['blast'], a: Amounts): string[] =>
  passes.map((p) =>
    blast.pass[p.pass](
      a.of(measure(p.areaM2, 'm2')),
      formatRange(p.hours, formatHours),
      formatRange(p.mediaKg, (kg) => a.of(measure(kg, 'kg'))),
      formatRange(p.fromMm, (mm) => a.of(measure(mm, 'mm'))),
    ),
  );

/** A pot that stands: what is to be done first, then how long it has. */
export const potSays = (it: PotAnswer, pot: BenchWords['pot']): string[] => [
  pot.doThen[it.state],
  it.leftH > 0 ? pot.left(formatHours(it.leftH)) : pot.past(formatHours(-it.leftH)),
  ...(it.stirInH !== null && it.stirInH > 0 && it.leftH > 0 ? [pot.stirIn(formatHours(it.stirInH))] : []),
];

export const rinseSays = (it: RinseWaterAnswer, holds: RinseHolds, words: BenchWords['siteWater'], a: Amounts): string[] => [
  words.sum(a.L(it.litres), it.drums, a.of(measure(it.drumKg, 'kg'))),
  ...(it.phBefore === null ? [] : [words.ph(String(it.phBefore.low), String(it.phBefore.high))]),
  words.goes[holds],
];

export const steamSays = (it: SteamAnswer, words: BenchWords['siteWater'], a: Amounts): string[] => [
  words.steam(
    a.of(measure(it.kgH, 'kg')),
    Math.round(it.tankMin),
    formatRange(it.hours, formatHours),
    formatRange(it.litres, (l) => a.L(l)),
  ),
  it.freshM3H === null ? words.outdoors : words.room(a.of(measure(it.freshM3H, 'm3/h')), String(Math.round(it.airChanges! * 10) / 10)),
  ...words.burns,
];

export interface BenchWords {
  readonly quantity: Readonly<Record<Quantity, string>>;
  readonly refusal: (r: Refusal, a: Amounts) => string;
  /** What is laid out before the tub is opened, and what is known by all who stand there. */
  readonly before: (mix: CausticMix, a: Amounts) => readonly string[];
  /** One large step, and what belongs to it. */
  readonly stage: (s: MixStage, mix: CausticMix, a: Amounts) => { readonly head: string; readonly more: readonly string[] };
  readonly live: {
    readonly begin: string;
    readonly isIn: (g: string) => string;
    readonly standing: (inG: string, leftG: string, time: string) => string;
    readonly onlyIn: (inG: string, ofG: string) => string;
    readonly weighed: string;
    readonly thermometer: string;
    readonly thinks: (c: string) => string;
    readonly read: (readings: readonly (readonly [c: string, time: string])[], peak: string) => string;
    readonly twice: (n: string) => string;
    /** A portion that went in: who confirmed it, where that is known. Null: at the start. */
    readonly went: (n: number, g: string, time: string | null, by: string) => string;
    readonly onTheWay: string;
    readonly open: string;
    readonly back: string;
    readonly undo: string;
    readonly end: string;
  };
  readonly blast: {
    /** Before anybody opens, clears or changes anything: one after the other. */
    readonly lockout: readonly string[];
    readonly timberFits: (most: string) => string;
    readonly timberOver: (most: string, setTo: string) => string;
    readonly pass: Readonly<Record<PassId, (area: string, hours: string, media: string, from: string) => string>>;
  };
  readonly pot: {
    readonly kind: Readonly<Record<PotId, string>>;
    readonly state: Readonly<Record<PotState, string>>;
    readonly left: (time: string) => string;
    readonly past: (time: string) => string;
    readonly stirIn: (time: string) => string;
    readonly doThen: Readonly<Record<PotState, string>>;
  };
  readonly siteWater: {
    readonly holds: Readonly<Record<RinseHolds, string>>;
    readonly sum: (litres: string, drums: number, kg: string) => string;
    readonly goes: Readonly<Record<RinseHolds, string>>;
    readonly ph: (low: string, high: string) => string;
    readonly steam: (kg: string, minutes: number, hours: string, litres: string) => string;
    readonly room: (fresh: string, changes: string) => string;
    readonly outdoors: string;
    readonly burns: readonly string[];
  };
  readonly mist: {
    readonly before: readonly string[];
    readonly next: Readonly<Record<MistStep, (m: MistAnswer, a: Amounts) => string>>;
    readonly load: (hangs: string, most: string) => string;
    readonly sum: (each: string, mists: string, wait: string) => string;
    readonly scrape: Readonly<Record<ScrapeId, string>>;
  };
  readonly proof: Readonly<Record<Proof, string>>;
  readonly agent: Readonly<Record<AgentId, string>>;
  readonly forms: Readonly<Record<FormId, string>>;
  readonly parted: Readonly<Record<PartedBy, string>>;
  readonly content: Readonly<Record<ContentId, string>>;
  readonly signal: Readonly<Record<'danger' | 'warning', string>>;
  readonly hazard: Readonly<Record<HazardCode, string>>;
  readonly gloves: Readonly<Record<GloveId, string>>;
  readonly eyes: Readonly<Record<EyesId, string>>;
  readonly label: {
    readonly made: string;
    readonly noStrength: string;
    readonly by: string;
    readonly strength: string;
    readonly wear: string;
    readonly never: string;
    readonly eyesFirst: string;
    readonly childrenOut: string;
  };
}
