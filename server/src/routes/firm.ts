import { z } from 'zod';
import { Change, CHANGE_VERSION, FirmSettings, recordSchema } from '@roughsill/core';
import type { FirmStore } from '../db/firm-store';
import { Since } from './jobs';
import { route, type Route } from './route';

const HEALTH_MS = 1000;

export function firmRoutes(store: FirmStore, person: string): Route[] {
  return [
    route(
      {
        method: 'get',
        path: '/api/session',
        summary: 'Who is working, for which firm, with which settings; and the form in which changes are written here',
        reply: z.object({ person: z.string(), settings: FirmSettings, form: z.number(), epoch: z.string() }),
        problems: ['database-away'],
      },
      async () => ({ person, settings: await store.settings(), form: CHANGE_VERSION, epoch: await store.epoch() }),
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
            people: z.array(recordSchema('person')),
            sites: z.array(recordSchema('site')),
            machines: z.array(recordSchema('machine')),
            signPictures: z.array(recordSchema('signPicture')),
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
    route(
      {
        method: 'get',
        path: '/api/health',
        summary: 'Is the server up, and does it reach its database',
        reply: z.object({ server: z.literal('up'), database: z.enum(['up', 'away']) }),
        problems: [],
      },
      async ({ res }) => {
        const database = (await store.database.alive(HEALTH_MS)) ? 'up' : 'away';
        res.status(database === 'up' ? 200 : 503);
        res.json({ server: 'up', database });
      },
    ),
  ];
}
