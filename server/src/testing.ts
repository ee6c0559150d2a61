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
import { Crew } from './beside/crew';
import { connect, migrateTo, SERVING, type Db, type Limits } from './db/client';
import { Epoch } from './db/epoch';
import { FirmStore } from './db/firm-store';
import { grantRights } from './db/rights';
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

export const NOW = new Date('2026-05-04T13:20:00.000Z');
const log = pino({ level: 'silent' });

/** The same cluster, another database. */
const at = (url: string, database: string): string => url.replace(/\/[^/]*$/, `/${database}`);
const need = (key: string): string => {
  const value = process.env[key];
  if (!value) throw new Error(`set ${key}, or run these tests with: npm test -- server`);
  return value;
};

/** An empty database of its own. */
export async function freshDatabase(): Promise<{ readonly url: string; readonly ownerUrl: string }> {
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: need('TEST_OWNER_DATABASE_URL') });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  return { url: at(need('TEST_DATABASE_URL'), name), ownerUrl: at(need('TEST_OWNER_DATABASE_URL'), name) };
}

export async function prepare({ url, ownerUrl }: { readonly url: string; readonly ownerUrl: string }): Promise<void> {
  const owner = connect(ownerUrl, log);
  await migrateTo(owner.db, path.resolve(__dirname, '../migrations'));
  await grantRights(owner.db, new URL(url).username);
  await owner.close();
}

export interface TestOptions {
  /** A database that is there already; none: an empty one is made. */
  readonly on?: { readonly url: string; readonly ownerUrl: string };
  /** Makes the tables and the firm. */
  readonly prepared?: boolean;
  readonly limits?: Partial<Limits>;
  readonly photosDir?: string;
}

export async function startTestServer({ on, prepared = true, limits, photosDir: dir }: TestOptions = {}): Promise<TestServer> {
  const place = on ?? (await freshDatabase());
  const photosDir = dir ?? mkdtempSync(path.join(tmpdir(), 'rough-sill-photos-'));
  const markFile = path.join(photosDir, 'log-mark.json');
  if (prepared) await prepare(place);
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
  const app = createApp({ store, crew, media, log, clock: () => NOW, hosts: ['office.test'], chance: () => 0.5 });
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
