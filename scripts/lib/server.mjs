// Starts the bundled server as a child process and waits until it listens.
import { spawn } from 'node:child_process';
import { openSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './run.mjs';

/**
 * @param photosDir where pictures are kept
 * @param labDaySeconds how long a day of the simulated lab takes
 * @param logFile where the request log goes; without it only warnings are told, on this process's output
 */
export function startServer({ main, url, port, webDir = '', sample, logFile = '', photosDir, labDaySeconds = 86_400 }) {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: url,
    PORT: String(port),
    WEB_DIR: webDir,
    PHOTOS_DIR: photosDir,
    SAMPLE_PHOTOS_DIR: path.join(ROOT, 'demo/photos'),
    LAB_DAY_SECONDS: String(labDaySeconds),
    SEED_SAMPLE: sample ? 'yes' : 'no',
    MIGRATIONS_DIR: path.join(ROOT, 'server/migrations'),
    LOG_LEVEL: logFile ? 'info' : 'warn',
  };
  const out = logFile ? openSync(logFile, 'a') : 'inherit';
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
