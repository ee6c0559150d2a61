/** Starts the server: connects, migrates, makes sure of the firm, listens, and leaves in good order. */
import type { Socket } from 'node:net';
import pino from 'pino';
import { createApp } from './app';
import { connect, migrateTo } from './db/client';
import { PhotoStore } from './photos/photo-store';
import { seed } from './db/seed';

const need = (key: string): string => {
  const value = process.env[key];
  if (!value) throw new Error(`set ${key}`);
  return value;
};

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
const { db, pool } = connect(need('DATABASE_URL'), log);
await migrateTo(db, need('MIGRATIONS_DIR'));
const photosDir = need('PHOTOS_DIR');
await seed(db, process.env['SEED_SAMPLE'] === 'yes', { from: need('SAMPLE_PHOTOS_DIR'), to: new PhotoStore(photosDir) });

const port = Number(process.env['PORT'] ?? 8100);
const server = createApp({
  db,
  log,
  clock: () => new Date(),
  webDir: process.env['WEB_DIR'],
  photosDir,
  labDaySeconds: Number(process.env['LAB_DAY_SECONDS'] ?? 86_400),
}).listen(port, '127.0.0.1', () => {
  log.info(`listening on http://127.0.0.1:${port}`);
  process.send?.('ready');
});
server.requestTimeout = 60_000;

/** Idle connections are closed at once; a request under way may finish, for up to ten seconds. */
const sockets = new Set<Socket>();
server.on('connection', (s: Socket) => {
  sockets.add(s);
  s.on('close', () => sockets.delete(s));
});
let leaving = false;
function leave(signal: string): void {
  if (leaving) return;
  leaving = true;
  log.info(`${signal}: finishing what is under way`);
  const give = setTimeout(() => sockets.forEach((s) => s.destroy()), 10_000);
  server.close(() => {
    clearTimeout(give);
    void pool.end().then(() => process.exit(0));
  });
  server.closeIdleConnections();
}
process.on('SIGTERM', () => leave('SIGTERM'));
process.on('SIGINT', () => leave('SIGINT'));
