/** The sample register: where every sample stands, when its answer is due, what it cost. */
import { numberAfter, sameNumber } from '../facts/numbers';
import type { JobFacts, Reading, Sample, Surface } from '../facts';
import type { Reason } from '../reasons';
import { bookFor, type FirmSettings, type Rulebook } from '../rulebook';
import { answerOfBulk, judgeBulk } from './asbestos';
import { judgeReading } from './reading';
import type { SampleAnswer } from './result';
import { isLow } from './rung';
import { standingReadings } from './standing';

export type SampleState = 'planned' | 'taken' | 'sent' | 'due' | 'in';

export interface RegisterLine {
  readonly sample: Sample;
  readonly surfaceId: string;
  readonly surfaceName: string;
  readonly spaceName: string;
  readonly state: SampleState;
  /** Null until it was sent. */
  readonly dueAt: string | null;
  readonly result: Reading | null;
  /** What the answer says of the hazard; null: none yet. */
  readonly answer: SampleAnswer | null;
  /** Why, with its number and the limit that it was held against; null: no answer, or none that has a limit. */
  readonly because: Reason | null;
  readonly price: number;
  /** Another sample on the job carries the same number: one of the two phones renumbers. */
  readonly numberTwice: boolean;
  /** Two answers of different size stand for it: the stricter counts until one is withdrawn. */
  readonly answersDiffer: boolean;
  /** A blank of the same batch was not clean, or its duplicate came out more than a quarter apart. */
  readonly doubt: 'blankDirty' | 'duplicateDiffers' | null;
}

export interface Register {
  readonly lines: readonly RegisterLine[];
  readonly counts: Readonly<Record<SampleState, number>>;
  readonly money: number;
}

const DAY_MS = 86_400_000;
/** Common practice, no published source: two halves of one chip agree within a quarter. */
const DUPLICATE_SPREAD = 0.25;

type Answered = Pick<RegisterLine, 'sample' | 'result'>;

/** What the blank that went in the same batch, and a duplicate, say of a sample's answer. */
function doubtOf(l: Answered, all: readonly Answered[]): RegisterLine['doubt'] {
  if (l.result === null || l.sample.kind === 'blank') return null;
  const batch = (o: Answered) =>
    o.sample.sentAt === l.sample.sentAt && o.sample.lab === l.sample.lab && o.sample.hazard === l.sample.hazard;
  if (all.some((o) => o.sample.kind === 'blank' && o.result !== null && batch(o) && (o.result.trace || (o.result.value ?? 0) > 0)))
    return 'blankDirty';
  const twin = all.find((o) => o.sample.repeatsId === l.sample.id || o.sample.id === l.sample.repeatsId);
  const [a, b] = [l.result, twin?.result];
  if (!b || a.value === null || b.value === null || a.unit !== b.unit) return null;
  const middle = (a.value + b.value) / 2;
  return middle > 0 && Math.abs(a.value - b.value) / middle > DUPLICATE_SPREAD ? 'duplicateDiffers' : null;
}

/** What a lab says of mold has no limit to be held against. */
function answerOf(r: Reading, sample: Sample, s: Surface, rulebook: Rulebook): Pick<RegisterLine, 'answer' | 'because'> {
  if (sample.hazard === 'mold') return { answer: 'unclear', because: null };
  if (sample.hazard === 'asbestos') {
    const judged = judgeBulk(r, rulebook);
    return { answer: answerOfBulk(judged), because: judged.reason };
  }
  const { says, low, reason } = judgeReading(r, rulebook, s.material);
  if (says === 'lead') return { answer: 'found', because: reason };
  if (says !== 'noLead') return { answer: 'unclear', because: reason };
  return { answer: low !== null && isLow(low) ? 'low' : 'clear', because: reason };
}
const NO_ANSWER: Pick<RegisterLine, 'answer' | 'because'> = { answer: null, because: null };

/** @param now instant at which "due" is judged */
export function sampleRegister(facts: JobFacts, settings: FirmSettings, now: string): Register {
  const spaces = new Map(facts.spaces.map((s) => [s.id, s]));
  const rulebook = bookFor(facts.job, settings);
  const lines: Omit<RegisterLine, 'numberTwice' | 'doubt'>[] = [];
  for (const s of facts.surfaces) {
    if (s.samples.length === 0) continue;
    const answers = standingReadings(s).filter((r) => r.sampleId !== null && r.kind !== 'withdrawn');
    for (const sample of s.samples) {
      if (sample.removedAt !== null) continue;
      const own = answers.filter((r) => r.sampleId === sample.id).sort((a, b) => (b.value ?? 0) - (a.value ?? 0));
      const dueAt =
        sample.sentAt === null ? null : new Date(Date.parse(sample.sentAt) + settings.labDays[sample.hazard] * DAY_MS).toISOString();
      const result = own[0] ?? null;
      lines.push({
        sample,
        surfaceId: s.id,
        surfaceName: s.name,
        spaceName: spaces.get(s.spaceId)?.name ?? '',
        state: result
          ? 'in'
          : dueAt !== null
            ? Date.parse(dueAt) <= Date.parse(now)
              ? 'due'
              : 'sent'
            : sample.takenAt !== null
              ? 'taken'
              : 'planned',
        dueAt,
        result,
        ...(result === null ? NO_ANSWER : answerOf(result, sample, s, rulebook)),
        price: sample.hazard === 'asbestos' ? settings.testPrices.bulk : settings.testPrices.chip,
        answersDiffer: own.length > 1 && own.some((r) => r.value !== own[0]!.value),
      });
    }
  }
  const seen = new Map<string, number>();
  for (const l of lines) seen.set(sameNumber(l.sample.number), (seen.get(sameNumber(l.sample.number)) ?? 0) + 1);
  const out = lines
    .map((l): RegisterLine => ({ ...l, numberTwice: (seen.get(sameNumber(l.sample.number)) ?? 0) > 1, doubt: doubtOf(l, lines) }))
    .sort(
      (a, b) =>
        sameNumber(a.sample.number).localeCompare(sameNumber(b.sample.number), 'en', { numeric: true }) ||
        (a.sample.id < b.sample.id ? -1 : 1),
    );
  const counts: Record<SampleState, number> = { planned: 0, taken: 0, sent: 0, due: 0, in: 0 };
  for (const l of out) counts[l.state] += 1;
  return { lines: out, counts, money: out.reduce((a, l) => a + (l.state === 'planned' ? 0 : l.price), 0) };
}

/** The next free number: the prefix, and one more than the highest that was used. */
export function nextNumber(facts: JobFacts, prefix: string, ahead = 0): string {
  return numberAfter(
    prefix,
    facts.surfaces.flatMap((x) => x.samples),
    ahead,
  );
}
