/** Whether the rule for renovators binds. 40 CFR 745.82, 745.83: renovation for compensation. */
import type { Job } from '../facts';

/** An owner's own hands in the home where they live, and no public money: nobody is paid for it. */
export const isPaid = (job: Pick<Job, 'worker' | 'tenure' | 'publicFunding'>): boolean =>
  job.worker === 'firm' || job.tenure !== 'ownerOccupied' || job.publicFunding === 'yes';
