import { z } from 'zod';
import { Change, CHANGE_VERSION, childrenOf, FirmSettings, recordSchema, specOf } from '@roughsill/core';
import { shelfCsv, ShelfFile, writeShelf } from '@roughsill/core/import';
import type { Crew } from '../pool/worker-pool';
import type { FirmStore } from '../db/firm-store';
import { faultsSoFar } from '../problem';
import { Since } from './jobs';
import { route, type Route } from './route';
import { runOf } from './tasks';

const HEALTH_MS = 1000;

export function firmRoutes(
  store: FirmStore,
  crew: Crew,
  person: { readonly id: string; readonly name: string },
  clock: () => Date,
): Route[] {
  return [
    route(
      {
        method: 'get',
        path: '/api/session',
        summary: 'Who is working, for which firm, with which settings; and the form in which changes are written here',
        reply: z.object({ person: z.string(), personId: z.string(), settings: FirmSettings, form: z.number(), epoch: z.string() }),
        problems: ['database-away'],
      },
      async () => ({
        person: person.name,
        personId: person.id,
        settings: await store.settings(),
        form: CHANGE_VERSION,
        epoch: await store.epoch(),
      }),
    ),
    route(
      {
        method: 'get',
        path: '/api/firm',
        summary: 'The firm’s own records, its settings apart; with `since` a page of the changes after that place in the log',
        query: z.strictObject({ since: Since.optional() }),
        reply: z.union([
          z.object({
            epoch: z.string(),
            cursor: z.number(),
            ...Object.fromEntries(childrenOf('firm', 'firm').map((e) => [specOf(e).list!, z.array(recordSchema(e))])),
          }),
          z.object({ epoch: z.string(), cursor: z.number(), changes: z.array(Change.loose()), more: z.boolean() }),
        ]),
        problems: ['bad-request', 'database-away'],
      },
      async ({ query }) => {
        if (query.since !== undefined) return store.since(null, query.since);
        const epoch = await store.epoch();
        const { cursor, facts } = await store.firm();
        return { epoch, cursor, ...facts };
      },
    ),
    ...(['json', 'csv'] as const).map((format) =>
      route(
        {
          method: 'get',
          path: `/api/shelf.${format}`,
          summary:
            format === 'json'
              ? 'The shelf: the firm’s products and what stands there (docs/shelf.schema.json)'
              : 'The firm’s products as a table',
          reply: format === 'json' ? ShelfFile : z.unknown(),
          ...(format === 'json' ? {} : { produces: 'text/csv' }),
          problems: ['database-away'],
        },
        async ({ res }) => {
          const { products, tins } = (await store.firm()).facts;
          res
            .setHeader('content-disposition', `attachment; filename="shelf.${format}"`)
            .type(format === 'json' ? 'application/json' : 'text/csv')
            .send(format === 'json' ? writeShelf(products, tins) : shelfCsv(products));
        },
      ),
    ),
    route(
      {
        method: 'post',
        path: '/api/shelf',
        summary: 'Brings in a file of a shelf: new products and tins are added, known ones set, none taken away; all of it or nothing',
        bodySays: ShelfFile,
        takes: ['application/json'],
        limit: '4mb',
        reply: z.object({ added: z.number(), set: z.number() }),
        problems: ['bad-json', 'bad-request', 'too-large', 'does-not-fit', 'busy', 'database-away'],
      },
      async (call) => {
        const done = await runOf(crew, call, { kind: 'shelf', file: call.req.body as Buffer, now: clock().toISOString() });
        if (done) call.res.type('json').send(done);
      },
    ),
    route(
      {
        method: 'get',
        path: '/api/health',
        summary: 'Is the server up, does it reach its database, and how often was something its own fault since it began',
        reply: z.object({
          server: z.literal('up'),
          database: z.enum(['up', 'away']),
          faults: z.object({ count: z.number(), lastAt: z.string().nullable() }),
        }),
        problems: [],
      },
      async ({ res }) => {
        const database = (await store.database.alive(HEALTH_MS)) ? 'up' : 'away';
        res.status(database === 'up' ? 200 : 503);
        res.json({ server: 'up', database, faults: faultsSoFar() });
      },
    ),
  ];
}
