import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { Change, changesFor, createDeriver, Id, Instant, JobFacts, JobFile, parseJobFile, withNewIds, writeJobFile } from '@roughsill/core';
import { jobReport, type JobReport } from '@roughsill/core/report';
import type { FirmStore } from '../db/firm-store';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

const JobId = z.strictObject({ jobId: Id });
const Cursor = z.coerce.number().int().min(0);
const JobLine = z.object({
  id: Id,
  name: z.string(),
  place: z.string(),
  yearBuilt: z.number().nullable(),
  rulebook: z.enum(['us', 'uk']),
  sample: z.boolean(),
  createdAt: Instant,
  surfaces: z.number().int(),
  cursor: z.number().int(),
});
/** The plan is derived, not stored; its shape is the core's JobReport, the same that the command line prints. */
const Plan = z
  .object({ notice: z.string(), job: z.object({ id: Id }).loose() })
  .loose()
  .describe('Everything derived for every surface: JobReport in core/src/report/report.ts');

const noJob = (id: string) => new HttpProblem('not-found', `There is no job ${id}.`);

export function jobRoutes(store: FirmStore, clock: () => Date, person: string): Route[] {
  const planOf = async (facts: JobFacts): Promise<JobReport> => {
    const settings = await store.settings();
    const now = clock();
    return jobReport(facts, createDeriver().derive(facts, settings, now.getUTCFullYear()), settings, now.toISOString());
  };
  return [
    route(
      {
        method: 'get',
        path: '/api/jobs',
        summary: 'The firm’s jobs',
        reply: z.object({ jobs: z.array(JobLine) }),
        problems: ['database-away'],
      },
      async () => ({ jobs: await store.list() }),
    ),

    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}',
        summary: 'One job whole, or with `since` only the changes after that place in the log',
        params: JobId,
        query: z.object({ since: Cursor.optional() }),
        reply: z.union([z.object({ cursor: z.number(), facts: JobFacts }), z.object({ cursor: z.number(), changes: z.array(Change) })]),
        problems: ['bad-request', 'not-found', 'database-away'],
      },
      async ({ params, query, req, res }) => {
        if (query.since !== undefined) {
          const later = await store.since(params.jobId, query.since);
          if (!later) throw noJob(params.jobId);
          return later;
        }
        const whole = await store.body(params.jobId);
        if (!whole) throw noJob(params.jobId);
        res.setHeader('etag', `"${whole.cursor}"`).setHeader('cache-control', 'private, no-cache').type('json');
        if (req.fresh) res.status(304).end();
        else res.send(whole.body);
      },
    ),

    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/file',
        summary: 'The open job file',
        params: JobId,
        reply: JobFile,
        problems: ['not-found', 'database-away'],
      },
      async ({ params, res }) => {
        const facts = await store.load(params.jobId);
        if (!facts) throw noJob(params.jobId);
        res
          .setHeader('content-disposition', `attachment; filename="${params.jobId}.roughsill.json"`)
          .type('json')
          .send(writeJobFile(facts));
      },
    ),

    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/plan',
        summary: 'Everything derived for a stored job',
        params: JobId,
        reply: Plan,
        problems: ['not-found', 'database-away'],
      },
      async ({ params }) => {
        const facts = await store.load(params.jobId);
        if (!facts) throw noJob(params.jobId);
        return planOf(facts);
      },
    ),

    route(
      {
        method: 'post',
        path: '/api/plan',
        summary: 'Everything derived for a job file, which is not stored',
        body: z.unknown().describe('a job file, version 1'),
        reply: Plan,
        limit: '8mb',
        problems: ['bad-json', 'too-large', 'does-not-fit'],
      },
      async ({ body }) => {
        const parsed = parseJobFile(body, clock().getUTCFullYear());
        if (!parsed.ok) throw new HttpProblem('does-not-fit', 'The job file was not read.', parsed.problems);
        return planOf(parsed.value);
      },
    ),

    route(
      {
        method: 'post',
        path: '/api/jobs/import',
        summary: 'Bring in a job file; with `copy` under new ids',
        query: z.object({ copy: z.enum(['true', 'false']).optional() }),
        body: z.unknown().describe('a job file, version 1'),
        reply: z.object({ jobId: Id, cursor: z.number() }),
        status: 201,
        limit: '8mb',
        problems: ['bad-json', 'too-large', 'does-not-fit', 'already-here', 'database-away'],
      },
      async ({ body, query }) => {
        const parsed = parseJobFile(body, clock().getUTCFullYear());
        if (!parsed.ok)
          throw new HttpProblem('does-not-fit', 'Nothing was brought in. The file has to be put right first.', parsed.problems);
        const facts = query.copy === 'true' ? withNewIds(parsed.value, randomUUID) : parsed.value;
        if ((await store.cursor(facts.job.id)) !== undefined)
          throw new HttpProblem('already-here', 'A job with this id is here already. Bring the file in as a copy instead.');
        const done = await store.apply(changesFor(facts, randomUUID, person), clock());
        return { jobId: facts.job.id, cursor: done.cursors[facts.job.id] };
      },
    ),

    route(
      {
        method: 'post',
        path: '/api/changes',
        summary: 'The one way in for every write: a batch of changes, all or nothing; sent twice, it changes nothing',
        body: z.strictObject({ changes: z.array(Change).min(1, 'send at least one change').max(20_000) }),
        reply: z.object({
          accepted: z.array(Id),
          clashes: z.array(
            z.object({ changeId: Id, entity: z.string(), entityId: Id, field: z.string(), theirs: z.unknown(), yours: z.unknown() }),
          ),
          cursors: z.record(z.string(), z.number()),
        }),
        problems: ['bad-json', 'bad-request', 'too-large', 'does-not-fit', 'change-id-reused', 'database-away'],
      },
      async ({ body }) => store.apply(body.changes, clock()),
    ),
  ];
}
