// Starts the bundled server as a child process and waits until it listens.
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, openSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { isRoot, ROOT, say } from './run.mjs';

/** The system user that serves when this was started by root: it owns the pictures and nothing else. */
const USER = 'rough-sill';

const idsOf = (user) => {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith(`${user}:`));
  if (!line) return null;
  const [, , uid, gid] = line.split(':').map(Number);
  return { uid, gid };
};

/**
 * Who serves. Started by root, a user of its own, unless the project or Node itself lies where nobody but root may look.
 * @returns the ids that the server takes on; none: those of whoever started it
 */
function servingIds(main) {
  if (!isRoot()) return {};
  if (!idsOf(USER)) {
    const made = spawnSync('useradd', [
      '--system',
      '--user-group',
      '--no-create-home',
      '--home-dir',
      '/nonexistent',
      '--shell',
      '/usr/sbin/nologin',
      USER,
    ]);
    if (made.status !== 0 && !idsOf(USER)) throw new Error(`the user ${USER} could not be made: ${made.stderr}`);
  }
  const ids = idsOf(USER);
  const reads = spawnSync(process.execPath, ['-e', 'require("fs").accessSync(process.argv[1])', main], {
    ...ids,
    cwd: '/',
    stdio: 'ignore',
  });
  if (reads.status === 0) return ids;
  say(`The user ${USER} cannot read ${ROOT}: the server runs as root. Put the project where other users may look, such as /srv.`);
  return {};
}

/** A folder and all in it belong to whoever serves. */
function giveTo(dir, { uid, gid }) {
  if (uid === undefined || statSync(dir).uid === uid) return;
  const done = spawnSync('chown', ['-R', `${uid}:${gid}`, dir], { encoding: 'utf8' });
  if (done.status !== 0) throw new Error(`${dir} could not be given to ${USER}: ${done.stderr}`);
}

/** Makes the tables, rights and firm. A process of its own is told the owner's password, by its input, and ends before anybody serves. */
function prepareDatabase(main, database) {
  const role = decodeURIComponent(new URL(database.url).username);
  const done = spawnSync(process.execPath, ['--enable-source-maps', path.join(path.dirname(main), 'prepare.mjs')], {
    cwd: ROOT,
    env: bareEnv(),
    input: JSON.stringify({ ownerUrl: database.ownerUrl, role, migrationsDir: path.join(ROOT, 'server/migrations') }),
    encoding: 'utf8',
    stdio: ['pipe', 2, 2],
  });
  if (done.status !== 0) throw new Error('the database could not be prepared');
}

/** Of this process's surroundings what a server needs: no password of anybody else. */
const bareEnv = () =>
  Object.fromEntries(
    ['PATH', 'LANG', 'LC_ALL', 'TZ', 'ALLOWED_HOSTS', 'LOG_LEVEL'].flatMap((k) =>
      process.env[k] === undefined ? [] : [[k, process.env[k]]],
    ),
  );

/**
 * @param database its address for the server, and for the owner of the tables
 * @param photosDir where pictures are kept
 * @param labDaySeconds how long a day of the simulated lab takes
 * @param logFile where the request log goes; without it only warnings are told, on this process's output
 */
export function startServer({ main, database, port, webDir = '', sample, logFile = '', photosDir, labDaySeconds = 86_400 }) {
  prepareDatabase(main, database);
  const env = {
    ...bareEnv(),
    NODE_ENV: 'production',
    DATABASE_URL: database.url,
    WORKER_FILE: path.join(path.dirname(main), 'worker.mjs'),
    BUILD: readFileSync(path.join(path.dirname(main), '.stamp'), 'utf8'),
    PORT: String(port),
    WEB_DIR: webDir,
    PHOTOS_DIR: photosDir,
    SAMPLE_PHOTOS_DIR: path.join(ROOT, 'demo/photos'),
    LAB_DAY_SECONDS: String(labDaySeconds),
    SEED_SAMPLE: sample ? 'yes' : 'no',
    LOG_LEVEL: logFile ? 'info' : 'warn',
  };
  const ids = servingIds(main);
  mkdirSync(photosDir, { recursive: true, mode: 0o700 });
  chmodSync(photosDir, 0o700);
  giveTo(photosDir, ids);
  // The log tells who asked for what and when: for its owner's eyes.
  const out = logFile ? openSync(logFile, 'a', 0o600) : 'inherit';
  if (logFile) chmodSync(logFile, 0o600);
  const child = spawn(process.execPath, ['--enable-source-maps', main], { cwd: ROOT, env, ...ids, stdio: ['ignore', out, out, 'ipc'] });
  const stop = () =>
    new Promise((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
    });
  return new Promise((resolve, reject) => {
    child.once('message', () => resolve({ address: `http://127.0.0.1:${port}`, child, stop }));
    child.once('exit', (code) => reject(new Error(`the server ended with ${code} before it listened`)));
    child.once('error', reject);
  });
}

/**
 * A bare server to measure against.
 * @param source a module that listens on PORT, reads DATABASE_URL and tells its parent `ready`
 */
export async function startBare(name, source, { database, port }) {
  const file = path.join(ROOT, 'server/dist', `${name}.mjs`);
  writeFileSync(file, source);
  const child = spawn(process.execPath, [file], {
    env: { ...process.env, DATABASE_URL: database.ownerUrl, PORT: String(port), NODE_ENV: 'production' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  await new Promise((resolve) => child.once('message', resolve));
  rmSync(file);
  return { address: `http://127.0.0.1:${port}`, child };
}
