/** Starts the server on a database that was prepared (prepare.ts): connects, makes sure of the sample, listens, and leaves in good order. */
import type { Socket } from 'node:net';
import path from 'node:path';
import pino from 'pino';
import { createApp } from './app';
import { Crew } from './pool/worker-pool';
import { connect } from './db/client';
import { Epoch } from './db/database-epoch';
import { FirmStore } from './db/firm-store';
import { DEMO_FIRM, seed } from './db/seed';
import { MediaStore } from './media/media-store';

const need = (key: string): string => {
  const value = process.env[key];
  if (!value) throw new Error(`set ${key}`);
  return value;
};

const SWEEP_EVERY_MS = 6 * 3600 * 1000;
/** What is under way may finish for so long; then everything is let go, whatever it waits for. */
const FINISH_MS = 8_000;
const LEAVE_MS = 10_500;

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
const url = need('DATABASE_URL');
const photosDir = need('PHOTOS_DIR');
const markFile = path.join(photosDir, 'log-mark.json');

const database = connect(url, log);
const epoch = new Epoch(database, markFile);
const store = new FirmStore(database, DEMO_FIRM.firmId, epoch);
const media = new MediaStore(photosDir);
await epoch.now();
await seed(store, process.env['SEED_SAMPLE'] === 'yes', { from: need('SAMPLE_PHOTOS_DIR'), to: media });
const crew = new Crew(need('WORKER_FILE'), { databaseUrl: url, photosDir, markFile, firmId: DEMO_FIRM.firmId, person: DEMO_FIRM.person });

const sweep = () =>
  store
    .photoHashes()
    .then((named) => media.sweep(DEMO_FIRM.firmId, named, Date.now()))
    .then((gone) => gone > 0 && log.info(`${gone} files that no record names were cleared away`))
    .catch((err: unknown) => log.warn({ err }, 'the picture folder was not swept'));
void sweep();
setInterval(sweep, SWEEP_EVERY_MS).unref();

const port = Number(process.env['PORT'] ?? 8100);
const server = createApp({
  store,
  crew,
  media,
  log,
  clock: () => new Date(),
  build: process.env['BUILD'],
  webDir: process.env['WEB_DIR'],
  hosts: (process.env['ALLOWED_HOSTS'] ?? '').split(',').filter(Boolean),
  labDaySeconds: Number(process.env['LAB_DAY_SECONDS'] ?? 86_400),
}).listen(port, '127.0.0.1', () => {
  log.info(`listening on http://127.0.0.1:${port}`);
  process.send?.('ready');
});
server.requestTimeout = 60_000;
server.headersTimeout = 15_000;
// Longer than a client keeps an idle connection: closed in the very moment in which it is used again, an entry would be lost on the way.
server.keepAliveTimeout = 65_000;

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
  const end = () => {
    epoch.writeMark();
    process.exit(0);
  };
  setTimeout(() => sockets.forEach((s) => s.destroy()), FINISH_MS).unref();
  setTimeout(() => {
    database.abandon();
    end();
  }, LEAVE_MS).unref();
  // What finishes now keeps nobody waiting.
  server.keepAliveTimeout = 1;
  server.close(() => void Promise.all([crew.close(), database.close()]).then(end, end));
  server.closeIdleConnections();
}
process.on('SIGTERM', () => leave('SIGTERM'));
process.on('SIGINT', () => leave('SIGINT'));
// Started as somebody's child: it does not outlive them.
process.on('disconnect', () => leave('whoever started this is gone'));
