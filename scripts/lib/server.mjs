// Starts the bundled server as a child process and waits until it listens.
import { spawn } from 'node:child_process';
import { chmodSync, mkdirSync, openSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './run.mjs';

/**
 * @param database its address for the server, and for the owner of the tables
 * @param photosDir where pictures are kept
 * @param labDaySeconds how long a day of the simulated lab takes
 * @param logFile where the request log goes; without it only warnings are told, on this process's output
 */
export function startServer({ main, database, port, webDir = '', sample, logFile = '', photosDir, labDaySeconds = 86_400 }) {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: database.url,
    OWNER_DATABASE_URL: database.ownerUrl,
    WORKER_FILE: path.join(path.dirname(main), 'worker.mjs'),
    PORT: String(port),
    WEB_DIR: webDir,
    PHOTOS_DIR: photosDir,
    SAMPLE_PHOTOS_DIR: path.join(ROOT, 'demo/photos'),
    LAB_DAY_SECONDS: String(labDaySeconds),
    SEED_SAMPLE: sample ? 'yes' : 'no',
    MIGRATIONS_DIR: path.join(ROOT, 'server/migrations'),
    LOG_LEVEL: logFile ? 'info' : 'warn',
  };
  mkdirSync(photosDir, { recursive: true, mode: 0o700 });
  chmodSync(photosDir, 0o700);
  // The log tells who asked for what and when: for its owner's eyes.
  const out = logFile ? openSync(logFile, 'a', 0o600) : 'inherit';
  if (logFile) chmodSync(logFile, 0o600);
  const child = spawn(process.execPath, ['--enable-source-maps', main], { cwd: ROOT, env, stdio: ['ignore', out, out, 'ipc'] });
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
