// Running programs, and making sure that what the project needs is on the machine. Plain Node: used before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');
export const DATA = path.join(ROOT, '.data');
export const say = (line) => process.stderr.write(`${line}\n`);

/** Runs a program to its end; its output goes to standard error, so that standard output stays the caller's. */
export function run(command, args, { quiet = false, ...options } = {}) {
  const done = spawnSync(command, args, {
    cwd: ROOT,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 2, 2],
    encoding: 'utf8',
    ...options,
  });
  if (done.error) throw done.error;
  if (done.status !== 0)
    throw new Error(
      `${command} ${args.join(' ')} ended with ${done.status ?? done.signal}${quiet ? `\n${done.stdout}\n${done.stderr}` : ''}`,
    );
  return done.stdout ?? '';
}

const LONGEST_MS = 40 * 60_000;
const running = new Set();
/** Ends all that `runBeside` started, and what those started: each is the head of a group of its own. */
export const endAll = () => running.forEach((child) => endGroup(child, 'SIGKILL'));
function endGroup(child, signal) {
  try {
    process.kill(-child.pid, signal);
  } catch {
    // It is over already.
  }
}

/**
 * As `run`, without blocking: for two chains of work side by side. Output is kept and shown when it ends.
 * @param live shows the output as it comes as well: for what runs alone, and takes long
 */
export function runBeside(label, command, args, { live = false, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const started = Date.now();
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], detached: true, ...options });
    running.add(child);
    let out = '';
    const hear = (d) => {
      out += d;
      if (live) process.stderr.write(d);
    };
    const end = (code) => {
      clearTimeout(limit);
      running.delete(child);
      const seconds = Math.round((Date.now() - started) / 1000);
      say(`${code === 0 ? 'ok  ' : 'FAIL'} ${label} (${seconds} s)`);
      if (!live && (code !== 0 || process.env.VERBOSE)) say(out);
      if (code === 0) resolve(out);
      else reject(new Error(`${label} failed`));
    };
    // A part that hangs is ended and counts as failed, rather than holding up everything behind it. What it started may outlive it
    // for a while and hold its pipes open, so nobody waits for them to close.
    const limit = setTimeout(() => {
      hear(`\n${label}: ended after ${LONGEST_MS / 60_000} minutes\n`);
      child.removeAllListeners('close');
      endGroup(child, 'SIGKILL');
      end(null);
    }, LONGEST_MS);
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('error', reject);
    child.on('close', end);
  });
}

export const isRoot = () => process.getuid?.() === 0;

export function aptInstall(packages) {
  if (!existsSync('/usr/bin/apt-get')) throw new Error(`please install ${packages.join(' ')}: this machine has no apt-get`);
  const asRoot = (args) =>
    isRoot() ? run('apt-get', args, { quiet: true, env: aptEnv }) : run('sudo', ['-n', 'apt-get', ...args], { quiet: true, env: aptEnv });
  const aptEnv = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  say(`installing ${packages.join(' ')} from Debian's packages …`);
  try {
    asRoot(['update']);
    asRoot(['install', '-y', '--no-install-recommends', ...packages]);
  } catch (e) {
    throw new Error(
      `could not install ${packages.join(' ')}; as an administrator run: apt-get install ${packages.join(' ')}\n${e.message}`,
    );
  }
}

/** Installs the npm packages when they are missing or not those of the lock file. */
export function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) throw new Error(`Node 20.19 or newer is needed; this is ${process.versions.node}`);
  const lock = readFileSync(path.join(ROOT, 'package-lock.json'), 'utf8');
  const marker = path.join(ROOT, 'node_modules/.rough-sill-lock');
  if (existsSync(marker) && readFileSync(marker, 'utf8') === lock) return;
  say('installing packages …');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(marker, lock);
}

/** Without a window to draw: a third less work than the whole browser. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';
export function ensureChromium() {
  if (!existsSync(CHROMIUM)) aptInstall(['chromium-headless-shell']);
}

/** The data folder can be passed through, by PostgreSQL's user, and not looked into; what lies in it is private by itself. */
export function ensureData() {
  mkdirSync(DATA, { recursive: true });
  chmodSync(DATA, 0o711);
}

export const nodeBin = (name) => path.join(ROOT, 'node_modules/.bin', name);
