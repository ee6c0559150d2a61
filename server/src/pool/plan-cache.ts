/** Plans as they were sent, kept while what they were derived from stands. */
import { createHash } from 'node:crypto';
import { RULEBOOKS, type FirmSettings } from '@roughsill/core';

/** Over all jobs; the longest unasked go first. */
const MOST_BYTES = 64 * 2 ** 20;

const short = (text: string): string => createHash('sha256').update(text).digest('base64url').slice(0, 16);

/**
 * By which rules anything is told: this build of the program, which shapes a job and derives a plan, and the editions of its rulebooks. Part
 * of every tag, so that new rules are never answered with "as before".
 */
export const rulesTag = (build: string): string => short(JSON.stringify([build, Object.values(RULEBOOKS).map((b) => b.editionId)]));

/** Says all that a slim plan hangs on: the rules, the life of the database, the place in the job's log, the firm's settings, the year. */
export const planTag = (rules: string, epoch: string, cursor: number, settings: FirmSettings, year: number): string =>
  `"${rules}.${epoch}.${cursor}.${short(JSON.stringify(settings))}.${year}"`;

export class KeptPlans {
  private readonly plans = new Map<string, { readonly tag: string; readonly bytes: Buffer }>();
  private bytes = 0;

  get(jobId: string, tag: string): Buffer | undefined {
    const kept = this.plans.get(jobId);
    if (kept?.tag !== tag) return undefined;
    this.plans.delete(jobId);
    this.plans.set(jobId, kept);
    return kept.bytes;
  }

  put(jobId: string, tag: string, bytes: Buffer): void {
    this.drop(jobId);
    if (bytes.length > MOST_BYTES / 2) return;
    this.plans.set(jobId, { tag, bytes });
    this.bytes += bytes.length;
    for (const id of this.plans.keys()) {
      if (this.bytes <= MOST_BYTES) break;
      this.drop(id);
    }
  }

  private drop(jobId: string): void {
    this.bytes -= this.plans.get(jobId)?.bytes.length ?? 0;
    this.plans.delete(jobId);
  }
}
