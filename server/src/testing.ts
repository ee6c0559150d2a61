/** A server of its own on a database of its own, for tests. The cluster and the worker's file are made by scripts/test.mjs. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import pino from 'pino';
import { createApp } from './app';
import { Crew } from './pool/worker-pool';
import { connect, SERVING, type Db, type Limits } from './db/client';
import { Epoch } from './db/database-epoch';
import { FirmStore } from './db/firm-store';
import { prepareDatabase } from './db/prepare';
import { DEMO_FIRM, seed } from './db/seed';
import { MediaStore } from './media/media-store';

export interface TestServer {
  readonly db: Db;
  readonly store: FirmStore;
  readonly media: MediaStore;
  readonly photosDir: string;
  readonly address: string;
  /** The serving role's own address of the database, and the owner's. */
  readonly url: string;
  readonly ownerUrl: string;
  call(method: string, path: string, body?: unknown, raw?: string): Promise<{ status: number; type: string; headers: Headers; body: any }>;
  stop(): Promise<void>;
}

export const NOW = new Date('2026-05-05T13:20:00.000Z');
const log = pino({ level: 'silent' });

/** The same cluster, another database. */
const at = (url: string, database: string): string => url.replace(/\/[^/]*$/, `/${database}`);
const need = (key: string): string => {
  const value = process.env[key];
  if (!value) throw new Error(`set ${key}, or run these tests with: npm test -- server`);
  return value;
};

const placeOf = (name: string) => ({ url: at(need('TEST_DATABASE_URL'), name), ownerUrl: at(need('TEST_OWNER_DATABASE_URL'), name) });

/** Made once for all tests of a run, and copied: to migrate anew for each would take longer than most of them. */
const PREPARED = 'prepared';

/** A database of its own: empty, or with the tables, the rights and the firm. */
export async function freshDatabase(how: 'empty' | 'prepared' = 'empty'): Promise<{ readonly url: string; readonly ownerUrl: string }> {
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: need('TEST_OWNER_DATABASE_URL') });
  await admin.connect();
  try {
    if (how === 'empty') await admin.query(`create database ${name}`);
    else {
      // Test files run beside each other: the first makes it, and a copy is made while nobody else is connected to it.
      await admin.query('select pg_advisory_lock(1)');
      const made = await admin.query('select 1 from pg_database where datname = $1', [PREPARED]);
      if (made.rowCount === 0) {
        await admin.query(`create database ${PREPARED}`);
        await prepare(placeOf(PREPARED));
      }
      await admin.query(`create database ${name} template ${PREPARED}`);
    }
  } finally {
    await admin.end();
  }
  return placeOf(name);
}

export const prepare = ({ url, ownerUrl }: { readonly url: string; readonly ownerUrl: string }): Promise<void> =>
  prepareDatabase({ ownerUrl, role: new URL(url).username, migrationsDir: path.resolve(__dirname, '../migrations') }, log);

export interface TestOptions {
  /** A database that is there already; none: an empty one is made. */
  readonly on?: { readonly url: string; readonly ownerUrl: string };
  /** Makes the tables and the firm. */
  readonly prepared?: boolean;
  readonly limits?: Partial<Limits>;
  readonly photosDir?: string;
  /** What its clock says. */
  readonly now?: Date;
}

export async function startTestServer({ on, prepared = true, limits, photosDir: dir, now = NOW }: TestOptions = {}): Promise<TestServer> {
  const place = on ?? (await freshDatabase(prepared ? 'prepared' : 'empty'));
  const photosDir = dir ?? mkdtempSync(path.join(tmpdir(), 'rough-sill-photos-'));
  const markFile = path.join(photosDir, 'log-mark.json');
  if (prepared && on) await prepare(place);
  const database = connect(place.url, log, { ...SERVING, connectMs: 10_000, ...limits });
  const epoch = new Epoch(database, markFile);
  const store = new FirmStore(database, DEMO_FIRM.firmId, epoch);
  const media = new MediaStore(photosDir);
  if (prepared) await seed(store, false);
  const crew = new Crew(need('WORKER_FILE'), {
    databaseUrl: place.url,
    photosDir,
    markFile,
    firmId: DEMO_FIRM.firmId,
    person: DEMO_FIRM.person,
  });
  const app = createApp({ store, crew, media, log, clock: () => now, hosts: ['office.test'], chance: () => 0.5 });
  const server: Server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    db: database.db,
    store,
    media,
    photosDir,
    address,
    ...place,
    async call(method, path, body, raw) {
      const text = raw ?? (body === undefined ? undefined : JSON.stringify(body));
      const res = await fetch(address + path, {
        method,
        body: text,
        headers: text === undefined ? {} : { 'content-type': 'application/json' },
      });
      const out = await res.text();
      return {
        status: res.status,
        type: res.headers.get('content-type') ?? '',
        headers: res.headers,
        body: out && /json/.test(res.headers.get('content-type') ?? '') ? JSON.parse(out) : out,
      };
    },
    async stop() {
      epoch.writeMark();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await crew.close();
      await database.close();
      if (dir === undefined) rmSync(photosDir, { recursive: true, force: true });
    },
  };
}
