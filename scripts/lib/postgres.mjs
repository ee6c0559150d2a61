// The project's own PostgreSQL cluster: in the ignored data folder, on loopback, on its own port, never as root.
import { spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { aptInstall, DATA, ensureData, isRoot, say } from './run.mjs';

const USER = 'postgres';
const HOME = '/usr/lib/postgresql';

function binDir() {
  const versions = existsSync(HOME) ? readdirSync(HOME).filter((v) => existsSync(`${HOME}/${v}/bin/initdb`)) : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  return newest && `${HOME}/${newest}/bin`;
}

function ensureInstalled() {
  if (binDir()) return;
  if (isRoot()) {
    // Debian's package would make and start a cluster of its own; this project brings its own.
    mkdirSync('/etc/postgresql-common/createcluster.d', { recursive: true });
    writeFileSync('/etc/postgresql-common/createcluster.d/rough-sill.conf', 'create_main_cluster = false\n');
  }
  aptInstall(['postgresql']);
  if (!binDir()) throw new Error('PostgreSQL was installed but its programs are not where Debian puts them');
}

/** Runs a PostgreSQL program as an unprivileged user. A parent folder may be closed to that user, so reading is allowed through. */
function pg(program, args, check = true) {
  const command = path.join(binDir(), program);
  const done = isRoot()
    ? spawnSync(
        'setpriv',
        [
          `--reuid=${USER}`,
          `--regid=${USER}`,
          '--init-groups',
          '--inh-caps=+dac_read_search',
          '--ambient-caps=+dac_read_search',
          command,
          ...args,
        ],
        { cwd: '/', stdio: ['ignore', 'pipe', 'pipe'], encoding: 'utf8' },
      )
    : spawnSync(command, args, { stdio: ['ignore', 'pipe', 'pipe'], encoding: 'utf8' });
  if (done.error) throw done.error;
  if (check && done.status !== 0) throw new Error(`${program} failed: ${done.stderr || done.stdout}`);
  return done.status === 0;
}

const free = (port) =>
  new Promise((resolve) => {
    const s = net
      .createServer()
      .once('error', () => resolve(false))
      .once('listening', () => s.close(() => resolve(true)));
    s.listen(port, '127.0.0.1');
  });

export async function freePort(from) {
  for (let p = from; p < from + 200; p += 1) if (await free(p)) return p;
  throw new Error(`no free port between ${from} and ${from + 199}`);
}

function ids() {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith(`${USER}:`));
  if (!line) throw new Error(`there is no user ${USER}: is PostgreSQL installed?`);
  const [, , uid, gid] = line.split(':').map(Number);
  return { uid, gid };
}

/**
 * Starts the cluster `name`, making it first when it is new.
 * @returns its address, and how to stop and to restart it
 */
export async function startPostgres(name, { port: wanted, throwaway = false }) {
  ensureInstalled();
  ensureData();
  const dir = path.join(DATA, name);
  const portFile = path.join(DATA, `${name}.port`);
  const data = path.join(dir, 'data');
  if (throwaway) {
    stopPostgres(name);
    rmSync(dir, { recursive: true, force: true });
  }
  if (!existsSync(path.join(data, 'PG_VERSION'))) {
    mkdirSync(dir, { recursive: true });
    if (isRoot()) chownSync(dir, ids().uid, ids().gid);
    say(`making a database cluster in .data/${name} …`);
    // Sync is skipped only for clusters that a test throws away.
    pg('initdb', ['-D', data, '-U', 'app', '-A', 'trust', '--encoding=UTF8', '--locale=C.UTF-8', ...(throwaway ? ['-N'] : [])]);
  }
  let port = existsSync(portFile) ? Number(readFileSync(portFile, 'utf8')) : wanted;
  const running = pg('pg_ctl', ['-D', data, 'status'], false);
  if (!running) {
    port = await freePort(port);
    writeFileSync(portFile, String(port));
    start(dir, data, port, throwaway);
  }
  return {
    url: `postgres://app@127.0.0.1:${port}/postgres`,
    stop: () => stopPostgres(name),
    start: () => start(dir, data, port, throwaway),
  };
}

function start(dir, data, port, throwaway) {
  const options = [
    `-p ${port}`,
    '-c listen_addresses=127.0.0.1',
    "-c unix_socket_directories=''",
    ...(throwaway ? ['-c fsync=off', '-c synchronous_commit=off', '-c full_page_writes=off'] : []),
  ];
  pg('pg_ctl', ['-D', data, '-w', '-t', '60', '-l', path.join(dir, 'server.log'), '-o', options.join(' '), 'start']);
}

export function stopPostgres(name) {
  const data = path.join(DATA, name, 'data');
  if (existsSync(data) && binDir()) pg('pg_ctl', ['-D', data, '-w', '-m', 'fast', 'stop'], false);
}
