// Starts the bundled server as a child process and waits until it listens.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { ROOT } from './run.mjs';

export function startServer({ main, url, port, webDir, sample, quiet = true }) {
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: url,
    PORT: String(port),
    WEB_DIR: webDir ?? '',
    SEED_SAMPLE: sample ? 'yes' : 'no',
    MIGRATIONS_DIR: path.join(ROOT, 'server/migrations'),
    LOG_LEVEL: quiet ? 'warn' : 'info',
  };
  const child = spawn(process.execPath, ['--enable-source-maps', main], { cwd: ROOT, env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
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
