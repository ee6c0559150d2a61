import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { FirmSettings } from '@roughsill/core';
import type { Db } from '../db/client';
import type { FirmStore } from '../db/firm-store';
import { route, type Route } from './route';

export function firmRoutes(store: FirmStore, db: Db, person: string): Route[] {
  return [
    route(
      {
        method: 'get',
        path: '/api/session',
        summary: 'Who is working, for which firm, with which settings',
        reply: z.object({ person: z.string(), settings: FirmSettings }),
        problems: ['database-away'],
      },
      async () => ({ person, settings: await store.settings() }),
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
        const database = await db.execute(sql`select 1`).then(
          () => 'up' as const,
          () => 'away' as const,
        );
        res.status(database === 'up' ? 200 : 503);
        res.json({ server: 'up', database });
      },
    ),
  ];
}
