import type { Job } from '../facts';
import { bookOf } from '../rulebook';

/** What stands under the title of every paper of a job: where, for whom, how old, by which rules. */
export const aboutJob = (job: Job): string =>
  [
    job.place,
    job.clientName === '' ? '' : `for ${job.clientName}`,
    job.yearBuilt === null ? 'year built unknown' : `built ${job.yearBuilt}`,
    `${bookOf(job).name} rules`,
    job.jobState === 'template' ? 'a template: no job is done from it' : '',
  ]
    .filter(Boolean)
    .join(' · ');
