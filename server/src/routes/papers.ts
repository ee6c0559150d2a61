import { z } from 'zod';
import { Day, Id } from '@roughsill/core';
import type { Crew } from '../pool/worker-pool';
import { PAPERS, SHOPPING_FORMATS } from '../pool/tasks';
import type { FirmStore } from '../db/firm-store';
import { named } from './named';
import { route, type Route } from './route';
import { runOf, TaskQuery } from './tasks';

const JobId = z.strictObject({ jobId: Id });
const Scope = TaskQuery.extend({ zone: Id.optional(), on: Day.optional() });
const PRODUCES = { csv: 'text/csv', txt: 'text/plain', pdf: 'application/pdf' } as const;
const SurfaceId = z.strictObject({ jobId: Id, surfaceId: Id });
const SUMMARY: Readonly<Record<(typeof PAPERS)[number], string>> = {
  survey: 'The hazard survey',
  custody: 'The chain-of-custody sheet of samples that are taken and not answered',
  labels: 'Labels for sample bags',
  bags: 'Labels for bags of waste, each with its stream, class and address',
  loads: 'The paper that goes with each load of waste: consignment or transfer note in the UK, shipment record or ticket in the US',
  signs: 'Signs for every zone, in English and in Spanish, at the size at which they hang',
  programme: 'The written programme: every zone with its containment, air, masks, hygiene, waste and emergencies',
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
        async (call) => {
          const { params, req, res } = call;
          const task = { kind: 'paper', paper, jobId: params.jobId, now: clock().toISOString(), origin: originOf(req) } as const;
          const done = await runOf(crew, call, task);
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
        path: '/api/jobs/{jobId}/surfaces/{surfaceId}/client.pdf',
        summary: 'One surface on one side, for whoever pays: three ways, which is chosen and why',
        params: SurfaceId,
        query: TaskQuery,
        reply: z.unknown(),
        produces: 'application/pdf',
        problems: ['bad-request', 'not-found', 'too-heavy', 'stopped', 'database-away'],
      },
      async (call) => {
        const { params, req, res } = call;
        const task = { kind: 'paper', paper: 'client', ...params, now: clock().toISOString(), origin: originOf(req) } as const;
        const done = await runOf(crew, call, task);
        if (!done) return;
        res
          .setHeader('content-disposition', await named(store, params.jobId, 'client.pdf', 'inline'))
          .type('application/pdf')
          .send(done);
      },
    ),
    ...SHOPPING_FORMATS.map((format) =>
      route(
        {
          method: 'get',
          path: `/api/jobs/{jobId}/shopping.${format}`,
          summary: 'What is still to buy: net of shelf and van, in whole packs; of one zone with `zone`, of a day with `on`',
          params: JobId,
          query: Scope,
          reply: format === 'json' ? z.looseObject({ lines: z.array(z.unknown()), money: z.number() }) : z.unknown(),
          ...(format === 'json' ? {} : { produces: PRODUCES[format] }),
          problems: ['bad-request', 'not-found', 'too-heavy', 'stopped', 'database-away'],
        },
        async (call) => {
          const { params, query, res } = call;
          const scope =
            query.zone !== undefined
              ? ({ kind: 'zone', zoneId: query.zone } as const)
              : query.on !== undefined
                ? ({ kind: 'day', on: query.on } as const)
                : ({ kind: 'job' } as const);
          const done = await runOf(crew, call, {
            kind: 'shopping',
            format,
            scope,
            jobId: params.jobId,
            now: clock().toISOString(),
          });
          if (!done) return;
          if (format === 'pdf' || format === 'csv')
            res.setHeader(
              'content-disposition',
              await named(store, params.jobId, `shopping.${format}`, format === 'pdf' ? 'inline' : undefined),
            );
          res.type(format === 'json' ? 'application/json' : PRODUCES[format]).send(done);
        },
      ),
    ),
    ...(['samples', 'bags'] as const).map((what) =>
      route(
        {
          method: 'get',
          path: `/api/jobs/{jobId}/${what}.csv`,
          summary: what === 'samples' ? 'The sample register' : 'The register of bags of waste',
          params: JobId,
          reply: z.unknown(),
          produces: 'text/csv',
          problems: ['bad-request', 'not-found', 'database-away'],
        },
        async (call) => {
          const { params, res } = call;
          const done = await runOf(crew, call, { kind: 'register', what, jobId: params.jobId, now: clock().toISOString() });
          if (done)
            res
              .setHeader('content-disposition', await named(store, params.jobId, `${what}.csv`))
              .type('text/csv')
              .send(done);
        },
      ),
    ),
  ];
}

/** Where the reader of a code on paper finds the place: as the app was reached when the paper was made. */
const originOf = (req: { readonly protocol: string; get(name: string): string | undefined }): string =>
  `${req.protocol}://${req.get('host') ?? 'localhost'}`;
