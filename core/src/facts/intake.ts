/**
 * A batch from a phone, taken in so that what does not fit takes no other with it. Changes are tried one by one. What does not fit by
 * itself waits for what comes after it on the same record or surface, for two halves of one act may only fit together (shares of
 * parts); what still does not fit at the end is refused, with its reason, and everything else stands.
 */
import { applyChange, clashes, type Clash, fieldPath } from './change';
import type { Change, JobChange } from './envelope';
import { wrong, type Outcome, type Problem } from './problems';
import type { JobFacts } from './registry';
import { jobProblems, Touched } from './validate';

export interface Refusal {
  readonly change: Change;
  readonly problems: readonly Problem[];
}
export interface Intake {
  readonly facts: JobFacts | null;
  readonly accepted: readonly JobChange[];
  readonly refused: readonly Refusal[];
  readonly clashes: readonly Clash[];
}

/** So many may wait for a later half on one surface; acts are far smaller. */
const MOST_WAITING = 40;

interface Waiting {
  readonly change: JobChange;
  readonly problems: readonly Problem[];
}

function tried(facts: JobFacts | null, changes: readonly JobChange[], thisYear: number): Outcome<JobFacts> {
  let current = facts;
  const touched = new Touched();
  for (const c of changes) {
    const next = applyChange(current, c);
    if (!next.ok) return { ok: false, problems: next.problems.map((p) => ({ ...p, path: fieldPath(p) })) };
    current = next.value;
    touched.add(c);
  }
  if (current === null) return wrong({ path: 'jobId', message: 'there is no such job' });
  const problems = jobProblems(current, thisYear, touched);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: current };
}

/** The surface, or the record of the job, whose parts have to fit together. */
const unitOf = (c: JobChange): string => (c.parent.kind === 'surface' ? c.parent.id : c.entityId);

/**
 * @param facts the job as it stands; null when it is not there yet
 * @returns a generator that rests after every change, so that a server can answer others in between; its result is what stands
 */
export function* takeIn(facts: JobFacts | null, batch: readonly JobChange[], thisYear: number): Generator<undefined, Intake> {
  let current = facts;
  const accepted: JobChange[] = [];
  const refused: Refusal[] = [];
  const met: Clash[] = [];
  const waiting = new Map<string, Waiting[]>();
  const accept = (next: JobFacts, taken: readonly JobChange[]) => {
    let before = current;
    for (const c of taken) {
      if (before !== null) met.push(...clashes(before, c));
      if (taken.length > 1) {
        const step = applyChange(before, c);
        before = step.ok ? step.value : before;
      }
      accepted.push(c);
    }
    current = next;
  };
  for (const change of batch) {
    const unit = unitOf(change);
    const before = waiting.get(unit) ?? [];
    const alone = tried(current, [change], thisYear);
    if (alone.ok) accept(alone.value, [change]);
    else {
      const taken = [...before.map((w) => w.change), change];
      const together = before.length > 0 ? tried(current, taken, thisYear) : alone;
      if (together.ok) {
        accept(together.value, taken);
        waiting.delete(unit);
      } else {
        const list = [...before, { change, problems: alone.problems }];
        if (list.length > MOST_WAITING) refused.push(list.shift()!);
        waiting.set(unit, list);
      }
    }
    yield;
  }
  for (const list of waiting.values()) refused.push(...list);
  return { facts: current, accepted, refused, clashes: met };
}

/** As `takeIn`, at one go. */
export function takeInAll(facts: JobFacts | null, batch: readonly JobChange[], thisYear: number): Intake {
  const steps = takeIn(facts, batch, thisYear);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
