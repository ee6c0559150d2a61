/** Jobs as they stand after their last change, kept in memory: a change is checked against them, and a page is answered from them. */
import { canonical, childrenOf, specOf, type JobFacts } from '@roughsill/core';
import { breather } from '../breather';

/** Records kept over all jobs; the least used jobs go first. A record is about a kilobyte. */
const MOST_RECORDS = 150_000;
export interface Folded {
  readonly cursor: number;
  readonly facts: JobFacts;
}

interface Kept extends Folded {
  readonly records: number;
  /** Written once for all who ask. */
  body?: Promise<Buffer>;
}

const lists = (holder: object, of: 'job' | 'surface') =>
  childrenOf(of).map((e) => (holder as Record<string, unknown[]>)[specOf(e).list!]!.length);
const recordsOf = (facts: JobFacts): number =>
  [...lists(facts, 'job'), ...facts.surfaces.flatMap((s) => lists(s, 'surface'))].reduce((sum, n) => sum + n, 1);

/** JSON of a record, made once for as long as the record stands. */
const written = new WeakMap<object, string>();
function textOf(record: object): string {
  let text = written.get(record);
  if (text === undefined) written.set(record, (text = JSON.stringify(record)));
  return text;
}

/** As `JSON.stringify({epoch, cursor, facts})`, in slices. */
async function write(epoch: string, { cursor, facts }: Folded): Promise<Buffer> {
  const pause = breather();
  const parts = [`{"epoch":${JSON.stringify(epoch)},"cursor":${cursor},"facts":{"job":${JSON.stringify(facts.job)}`];
  for (const entity of childrenOf('job')) {
    const list = specOf(entity).list!;
    parts.push(`,"${list}":[`);
    for (const [i, record] of (facts as unknown as Record<string, object[]>)[list]!.entries()) {
      parts.push(i === 0 ? '' : ',', textOf(record));
      await pause();
    }
    parts.push(']');
  }
  parts.push('}}');
  const buffers: Buffer[] = [];
  for (let i = 0; i < parts.length; i += 400) {
    buffers.push(Buffer.from(parts.slice(i, i + 400).join('')));
    await pause();
  }
  return Buffer.concat(buffers);
}

export class FoldedJobs {
  private readonly jobs = new Map<string, Kept>();
  private records = 0;

  /** What is kept, when it is of this place in the log. */
  get(jobId: string, cursor: number): Folded | undefined {
    const kept = this.jobs.get(jobId);
    if (kept?.cursor !== cursor) return undefined;
    this.jobs.delete(jobId);
    this.jobs.set(jobId, kept);
    return kept;
  }

  put(jobId: string, folded: Folded): Folded {
    this.drop(jobId);
    const facts = canonical(folded.facts);
    const kept: Kept = { cursor: folded.cursor, facts, records: recordsOf(facts) };
    this.jobs.set(jobId, kept);
    this.records += kept.records;
    for (const id of this.jobs.keys()) {
      if (this.records <= MOST_RECORDS || id === jobId) break;
      this.drop(id);
    }
    return kept;
  }

  drop(jobId: string): void {
    this.records -= this.jobs.get(jobId)?.records ?? 0;
    this.jobs.delete(jobId);
  }

  clear(): void {
    this.jobs.clear();
    this.records = 0;
  }

  /** `{epoch, cursor, facts}` as JSON bytes. */
  async body(jobId: string, epoch: string, folded: Folded): Promise<Buffer> {
    const kept = this.jobs.get(jobId);
    if (kept?.cursor !== folded.cursor) return write(epoch, folded);
    kept.body ??= write(epoch, folded);
    return kept.body;
  }
}
