import { z } from 'zod';
import { Change, ChangeV1, CHANGE_VERSION, Id, Instant, JobFacts, isFromTheFuture, JobFile, JobLine, readChange } from '@roughsill/core';
import { DETAILS } from '@roughsill/core/report';
import { breather } from '../breather';
import type { Crew } from '../pool/worker-pool';
import type { FirmStore, Refused } from '../db/firm-store';
import { KeptPlans, planTag, rulesTag } from '../pool/plan-cache';
import { HttpProblem } from '../problem';
import { named } from './named';
import { route, type Route } from './route';
import { runOf, runWhole, TaskQuery } from './tasks';

const JobId = z.strictObject({ jobId: Id });
/** A place in the log. */
export const Since = z
  .string()
  .regex(/^\d{1,15}$/, 'is a whole number, as an answer gave it')
  .transform(Number);
/** A reason in words; where its rule comes from is a place in `sources`. */
const Told = z.object({ rule: z.string(), says: z.string(), source: z.number().int() }).loose();
const Source = z.object({ title: z.string(), kind: z.string() });
/** The plan is derived, not stored; its shape is the core's JobReport, the same that the command line prints. */
const Plan = z
  .object({
    notice: z.string(),
    job: z.object({ id: Id }).loose(),
    reasons: z.array(Told),
    sources: z.array(Source),
    numbers: z.array(z.object({ what: z.string(), name: z.string(), unit: z.string() }).loose()),
    signs: z.array(z.object({}).loose()),
  })
  .loose()
  .describe(
    'Everything derived for every surface: JobReport in core/src/report/report.ts. A reason is its place in `reasons`, a number of a check in `numbers`, what is looked for at a step in `signs`',
  );
const PlanQuery = TaskQuery.extend({ detail: z.enum(DETAILS).default('picks') });
const Logged = Change.extend({ seq: z.number(), receivedAt: Instant });
const Methods = z
  .object({ surface: Id, parts: z.array(z.object({}).loose()), reasons: z.array(Told), sources: z.array(Source) })
  .describe('Of one surface: methodsReport in core/src/report/report.ts. A reason is its place in `reasons`');
const FILE_TYPES = ['application/json'];
/** A phone sends a few hundred at once, and one tap at most two thousand. */
const MOST_CHANGES = 5_000;

const FROM_THE_FUTURE = { path: 'at', message: 'is dated later than tomorrow: set the clock of this device, then send it again' };
const noJob = (id: string) => new HttpProblem('not-found', `There is no job ${id}.`);

/** What was refused, told for every change; what was taken stands all the same. */
function refusal(refused: readonly Refused[], order: ReadonlyMap<string, number>, rest: object): HttpProblem {
  const errors = refused.flatMap((r) => r.problems.map((p) => ({ ...p, path: `changes[${order.get(r.id) ?? '?'}].${p.path}` })));
  const code = refused.every((r) => r.code === 'change-id-reused') ? 'change-id-reused' : 'does-not-fit';
  const says = `${refused.length} of ${order.size} ${order.size === 1 ? 'change was' : 'changes were'} not written; the others were.`;
  return new HttpProblem(code, says, errors, rest as Record<string, unknown>);
}

export function jobRoutes(store: FirmStore, crew: Crew, clock: () => Date, build: string): Route[] {
  const rules = rulesTag(build);
  const now = () => clock().toISOString();
  const plans = new KeptPlans();
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
        summary: 'One job whole, or with `since` a page of the changes after that place in the log; `more` tells of another page',
        params: JobId,
        query: z.strictObject({ since: Since.optional() }),
        reply: z.union([
          z.object({ epoch: z.string(), cursor: z.number(), facts: JobFacts }),
          z.object({ epoch: z.string(), cursor: z.number(), changes: z.array(Logged), more: z.boolean() }),
        ]),
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
        res.setHeader('etag', `"${rules}.${whole.epoch}.${whole.cursor}"`).setHeader('cache-control', 'private, no-cache').type('json');
        if (req.fresh) res.status(304).end();
        else res.send(whole.bytes);
      },
    ),

    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/file',
        summary: 'The open job file',
        params: JobId,
        reply: JobFile,
        problems: ['bad-request', 'not-found', 'database-away'],
      },
      async (call) => {
        const { params, res } = call;
        const done = await runOf(crew, call, { kind: 'file', jobId: params.jobId });
        if (!done) return;
        res
          .setHeader('content-disposition', await named(store, params.jobId, 'roughsill.json'))
          .type('json')
          .send(done);
      },
    ),

    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/plan',
        summary:
          'Everything derived for a stored job: of the methods what was picked and how many stand beside it, or with `detail=all` every verdict and the hazard survey',
        params: JobId,
        query: PlanQuery,
        reply: Plan,
        problems: ['bad-request', 'not-found', 'too-heavy', 'stopped', 'database-away'],
      },
      async (call) => {
        const { query, req, res } = call;
        const { jobId } = call.params;
        const { detail } = query;
        const whole = await store.body(jobId);
        if (!whole) throw noJob(jobId);
        const make = () => runOf(crew, call, { kind: 'plan', body: whole.bytes, detail, now: now() });
        // With the survey in it the answer moves with the clock.
        if (detail === 'all') {
          const done = await make();
          if (done) res.type('json').send(done);
          return;
        }
        const tag = planTag(rules, whole.epoch, whole.cursor, await store.planning(clock()), clock().getUTCFullYear());
        res.setHeader('etag', tag).setHeader('cache-control', 'private, no-cache').type('json');
        if (req.fresh) return void res.status(304).end();
        const bytes = plans.get(jobId, tag) ?? (await make());
        if (!bytes) return;
        plans.put(jobId, tag, bytes);
        res.send(bytes);
      },
    ),

    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/surfaces/{surfaceId}/methods',
        summary: 'Every method on every part of one surface, each with its verdict, its reasons, hours and cost',
        params: z.strictObject({ jobId: Id, surfaceId: Id }),
        query: TaskQuery,
        reply: Methods,
        problems: ['bad-request', 'not-found', 'too-heavy', 'stopped', 'database-away'],
      },
      async (call) => {
        const { params, res } = call;
        const whole = await store.body(params.jobId);
        if (!whole) throw noJob(params.jobId);
        const done = await runOf(crew, call, { kind: 'methods', body: whole.bytes, surfaceId: params.surfaceId, now: now() });
        if (done) res.type('json').send(done);
      },
    ),

    route(
      {
        method: 'post',
        path: '/api/plan',
        summary: 'Everything derived for a job file, which is not stored',
        query: PlanQuery,
        bodySays: JobFile,
        takes: FILE_TYPES,
        reply: Plan,
        limit: '8mb',
        problems: ['bad-json', 'bad-request', 'too-large', 'does-not-fit', 'too-heavy', 'stopped'],
      },
      async (call) => {
        const { query, req, res } = call;
        const done = await runOf(crew, call, { kind: 'planFile', file: req.body as Buffer, detail: query.detail, now: now() });
        if (done) res.type('json').send(done);
      },
    ),

    route(
      {
        method: 'post',
        path: '/api/jobs/import',
        summary: 'Open a job file, all of it or nothing; with `copy` under new ids',
        query: TaskQuery.extend({ copy: z.enum(['true', 'false']).optional() }),
        bodySays: JobFile,
        takes: FILE_TYPES,
        reply: z.object({ jobId: Id, cursor: z.number(), epoch: z.string() }),
        status: 201,
        limit: '8mb',
        problems: ['bad-json', 'bad-request', 'too-large', 'does-not-fit', 'already-here', 'too-heavy', 'stopped', 'database-away'],
      },
      async (call) => {
        const { query, req } = call;
        const task = { kind: 'import', file: req.body as Buffer, copy: query.copy === 'true', now: now() } as const;
        const done = await runWhole(crew, call, task);
        return done && 'jobId' in done ? { jobId: done.jobId, cursor: done.cursor, epoch: done.epoch } : undefined;
      },
    ),

    route(
      {
        method: 'post',
        path: '/api/changes',
        summary:
          'The one way in for every write. Each change is taken or refused by itself; sent twice, it changes nothing. When some are refused the answer is a problem that lists them, and the others stand',
        body: z.strictObject({ changes: z.array(z.unknown()).min(1, 'send at least one change').max(MOST_CHANGES) }),
        bodySays: z.strictObject({
          changes: z
            .array(z.union([Change, ChangeV1]))
            .min(1)
            .max(MOST_CHANGES),
        }),
        reply: z.object({
          epoch: z.string(),
          form: z.number(),
          accepted: z.array(Id),
          known: z.array(Id),
          refused: z.array(z.unknown()),
          later: z.array(Id),
          clashes: z.array(
            z.object({ changeId: Id, entity: z.string(), entityId: Id, field: z.string(), theirs: z.unknown(), yours: z.unknown() }),
          ),
          before: z.record(z.string(), z.number()),
          cursors: z.record(z.string(), z.number()),
        }),
        limit: '4mb',
        problems: ['bad-json', 'bad-request', 'too-large', 'does-not-fit', 'change-id-reused', 'busy', 'database-away'],
      },
      async ({ body, gone }) => {
        const order = new Map<string, number>();
        const readable: Change[] = [];
        const refused: Refused[] = [];
        const now = clock();
        const pause = breather();
        for (const [i, raw] of body.changes.entries()) {
          await pause();
          const read = readChange(raw);
          const id = read.ok ? read.value.id : (raw as { id?: unknown } | null)?.id;
          const name = typeof id === 'string' && Id.safeParse(id).success ? id : `#${i}`;
          if (!order.has(name)) order.set(name, i);
          if (read.ok && isFromTheFuture(read.value, now)) refused.push({ id: name, code: 'does-not-fit', problems: [FROM_THE_FUTURE] });
          else if (read.ok) readable.push(read.value);
          else refused.push({ id: name, code: 'does-not-fit', problems: read.problems });
        }
        const taken = await store.apply(readable, now, gone);
        const whole = { ...taken, form: CHANGE_VERSION, refused: [...refused, ...taken.refused] };
        if (whole.refused.length > 0) throw refusal(whole.refused, order, whole);
        return whole;
      },
    ),
  ];
}
