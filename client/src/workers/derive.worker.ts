/** Derives whole jobs beside the page. Holds each job's facts, so that an edit sends its change only and derives one surface. */
import { applyChange, createDeriver, digestOf, type Deriver, type FirmSettings, type JobFacts } from '@roughsill/core';
import type { FromWorker, ToWorker } from './protocol';

interface Held {
  facts: JobFacts;
  settings: FirmSettings;
  thisYear: number;
  readonly deriver: Deriver;
}
const held = new Map<string, Held>();
const post = (m: FromWorker): void => globalThis.postMessage(m);

globalThis.addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  const jobId = data.kind === 'facts' ? data.facts.job.id : data.jobId;
  const job = held.get(jobId);
  if (data.kind === 'facts') {
    held.set(jobId, { facts: data.facts, settings: data.settings, thisYear: data.thisYear, deriver: job?.deriver ?? createDeriver() });
  } else {
    if (!job) return post({ kind: 'lost', jobId });
    for (const c of data.changes) {
      const next = applyChange(job.facts, c);
      if (!next.ok) return post({ kind: 'lost', jobId });
      job.facts = next.value;
    }
  }
  const { facts, settings, thisYear, deriver } = held.get(jobId)!;
  post({ kind: 'digest', digest: digestOf(facts, deriver.derive(facts, settings, thisYear)) });
});
