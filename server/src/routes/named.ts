/** What a file is called that is handed out: after its job, so that it is found again among the downloads. */
import { fileName } from '@roughsill/core';
import type { FirmStore } from '../db/firm-store';

/** A content-disposition. */
export async function named(store: FirmStore, jobId: string, what: string, how: 'attachment' | 'inline' = 'attachment'): Promise<string> {
  const job = await store.job(jobId);
  return `${how}; filename="${fileName(job?.facts.job.name ?? jobId, what)}"`;
}
