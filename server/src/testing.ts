/** A server of its own on a database of its own, for tests. The cluster is started by scripts/test.mjs. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import pino from 'pino';
import { createApp } from './app';
import { connect, migrateTo, type Db } from './db/client';
import { seed } from './db/seed';

export interface TestServer {
  readonly db: Db;
  readonly address: string;
  call(method: string, path: string, body?: unknown, raw?: string): Promise<{ status: number; type: string; headers: Headers; body: any }>;
  stop(): Promise<void>;
}

export const NOW = new Date('2026-05-04T13:20:00.000Z');

export async function startTestServer(url = process.env['TEST_DATABASE_URL'], prepared = true): Promise<TestServer> {
  if (!url) throw new Error('set TEST_DATABASE_URL, or run these tests with: npm test -- server');
  let own = url;
  if (prepared) {
    const name = `t_${randomUUID().replaceAll('-', '')}`;
    const admin = new pg.Client({ connectionString: url });
    await admin.connect();
    await admin.query(`create database ${name}`);
    await admin.end();
    own = url.replace(/\/[^/]*$/, `/${name}`);
  }
  const photosDir = mkdtempSync(path.join(tmpdir(), 'rough-sill-photos-'));
  const log = pino({ level: 'silent' });
  const { db, pool } = connect(own, log);
  if (prepared) {
    await migrateTo(db, path.resolve(__dirname, '../migrations'));
    await seed(db, false);
  }
  const server: Server = createApp({ db, log, clock: () => NOW, photosDir, chance: () => 0.5 }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    db,
    address,
    async call(method, at, body, raw) {
      const text = raw ?? (body === undefined ? undefined : JSON.stringify(body));
      const res = await fetch(address + at, {
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
      await new Promise((resolve) => server.close(resolve));
      await pool.end();
      rmSync(photosDir, { recursive: true, force: true });
    },
  };
}
