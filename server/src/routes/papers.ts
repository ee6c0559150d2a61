import { z } from 'zod';
import { Id } from '@roughsill/core';
import type { Crew } from '../beside/crew';
import { PAPERS, type Paper } from '../beside/tasks';
import type { FirmStore } from '../db/firm-store';
import { named } from './named';
import { route, type Route } from './route';
import { runOf, TaskQuery } from './tasks';

const JobId = z.strictObject({ jobId: Id });
const SUMMARY: Readonly<Record<Paper, string>> = {
  survey: 'The hazard survey',
  custody: 'The chain-of-custody sheet of samples that are taken and not answered',
  labels: 'Labels for sample bags',
};

export function paperRoutes(store: FirmStore, crew: Crew, clock: () => Date): Route[] {
  return [
    ...PAPERS.map((paper) =>
      route(
        {
          method: 'get',
          path: `/api/jobs/{jobId}/${paper}.pdf`,
          summary: SUMMARY[paper],
          params: JobId,
          query: TaskQuery,
          reply: z.unknown(),
          produces: 'application/pdf',
          problems: ['bad-request', 'not-found', 'too-heavy', 'stopped', 'database-away'],
        },
        async ({ params, query, res }) => {
          const done = await runOf(crew, res, query.task, { kind: 'paper', paper, jobId: params.jobId, now: clock().toISOString() });
          if (!done) return;
          res
            .setHeader('content-disposition', await named(store, params.jobId, `${paper}.pdf`, 'inline'))
            .type('application/pdf')
            .send(done);
        },
      ),
    ),
    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/samples.csv',
        summary: 'The sample register',
        params: JobId,
        reply: z.unknown(),
        produces: 'text/csv',
        problems: ['bad-request', 'not-found', 'database-away'],
      },
      async ({ params, res }) => {
        const done = await runOf(crew, res, undefined, { kind: 'register', jobId: params.jobId, now: clock().toISOString() });
        if (done)
          res
            .setHeader('content-disposition', await named(store, params.jobId, 'samples.csv'))
            .type('text/csv')
            .send(done);
      },
    ),
  ];
}
