/** Hostile requests against a real server on a real database; started by scripts/fuzz.mjs. */
import { readFileSync, rmSync } from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import fc from 'fast-check';
import { arbitraryOf } from '../core/src/arbitrary';
import { argsOf, seededRandom } from './lib/args.mjs';
import { buildServer } from './lib/build.mjs';
import { freePort, startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, ROOT, say } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

const { requests, seed, clients } = argsOf({ requests: 50_000, seed: 1, clients: 8 }) as {
  requests: number;
  seed: number;
  clients: number;
};
const random = seededRandom(seed);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const chance = (p: number): boolean => random() < p;

const CLUSTER = 'fuzz-postgres';
const database = await startPostgres(CLUSTER, { port: 55960, throwaway: true });
const port = await freePort(8750);
const photosDir = path.join(DATA, 'fuzz-photos');
rmSync(photosDir, { recursive: true, force: true });
const main = await buildServer();
const server = await startServer({ main, database, port, sample: true, photosDir, logFile: path.join(DATA, 'fuzz-server.log') });
let exited = false;
server.child.once('exit', () => (exited = true));

interface Spec {
  readonly parameters: { name: string; in: 'path' | 'query'; schema: object }[];
  readonly requestBody?: { content: Record<string, { schema?: object }> };
}
interface Answer {
  readonly status: number;
  readonly type: string;
  readonly body: string;
}

const agent = new http.Agent({ keepAlive: true, maxSockets: clients });
function call(method: string, at: string, headers: Record<string, string>, body?: Buffer): Promise<Answer> {
  return new Promise((resolve) => {
    const done = (status: number, type = '', text = '') => resolve({ status, type, body: text });
    try {
      const req = http.request({ host: '127.0.0.1', port, method, path: at, headers, agent, timeout: 60_000 }, (res) => {
        const parts: Buffer[] = [];
        res.on('data', (d: Buffer) => parts.push(d));
        res.on('end', () => done(res.statusCode ?? 0, res.headers['content-type'], Buffer.concat(parts).toString('utf8')));
        res.on('error', () => done(-1));
      });
      req.on('error', (e) => done(-1, '', String(e)));
      req.on('timeout', () => req.destroy(new Error('no answer in a minute')));
      req.end(body);
    } catch {
      // Node's own client will not send some of it: then it is no request.
      done(0);
    }
  });
}

const description = JSON.parse((await call('GET', '/api/openapi.json', {})).body) as { paths: Record<string, Record<string, Spec>> };
const routes = Object.entries(description.paths).flatMap(([at, methods]) =>
  Object.entries(methods).map(([method, spec]) => ({ at, method: method.toUpperCase(), spec })),
);

const EVIL = [
  '\u0000',
  'a\u0000b',
  '\ud800',
  '\udc00x',
  '../../etc/passwd',
  "'; drop table jobs; --",
  '%',
  '${jndi}',
  '__proto__',
  'constructor',
  '0000-01-01T00:00:00.000Z',
  '2026-02-30T00:00:00.000Z',
  '9'.repeat(400),
  'é'.repeat(3000),
  '🪟'.repeat(500),
  '\u202e\u200b',
  -1,
  0,
  1e308,
  -1e308,
  5e-324,
  2 ** 53,
  -0,
  null,
  true,
  [],
  {},
  [[[[]]]],
  { a: { b: { c: {} } } },
];
const KNOWN_IDS = ['quill-point', 'qp-sash-river', 'qp-wainscot', 'qp-q3', 'demo-firm', 'firm'];

function deep(n: number): unknown {
  let v: unknown = 1;
  for (let i = 0; i < n; i += 1) v = chance(0.5) ? [v] : { a: v };
  return v;
}

/** Breaks a value in one or several places. */
function mutate(value: unknown): unknown {
  if (chance(0.02)) return deep(pick([30, 60, 500, 5000]));
  if (Array.isArray(value)) {
    if (value.length === 0 || chance(0.1)) return [...value, pick(EVIL)];
    const at = Math.floor(random() * value.length);
    return value.map((v, i) => (i === at ? mutate(v) : v));
  }
  if (typeof value === 'object' && value !== null) {
    const keys = Object.keys(value);
    const how = random();
    if (keys.length === 0 || how < 0.08) return { ...value, [String(pick(EVIL))]: pick(EVIL) };
    const key = pick(keys);
    if (how < 0.16) return Object.fromEntries(Object.entries(value).filter(([k]) => k !== key));
    return { ...value, [key]: mutate((value as Record<string, unknown>)[key]) };
  }
  return chance(0.85) ? pick(EVIL) : value;
}

const arbitraries = new Map<object, fc.Arbitrary<unknown>>();
let drawn = 0;
function draw(schema: object): unknown {
  let a = arbitraries.get(schema);
  if (!a) arbitraries.set(schema, (a = arbitraryOf(schema)));
  return fc.sample(a, { numRuns: 1, seed: seed * 1_000_003 + (drawn += 1) })[0];
}
/** Points a drawn change at things that are there, so that it comes past the first door. */
function aimed(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('changes' in value)) return value;
  const { changes } = value as { changes: Record<string, unknown>[] };
  return {
    changes: changes.map((c) => ({
      ...c,
      ...(chance(0.8) ? { jobId: c['entity'] === 'firm' || c['entity'] === 'person' ? null : 'quill-point' } : {}),
      ...(chance(0.5) && 'parent' in c
        ? {
            parent: pick([
              { kind: 'surface', id: 'qp-wainscot' },
              { kind: 'job', id: 'quill-point' },
              { kind: 'firm', id: 'firm' },
            ]),
          }
        : {}),
      ...(chance(0.4) ? { entityId: pick(KNOWN_IDS) } : {}),
      ...(chance(0.3) ? { entity: 'reading', op: 'add', parent: { kind: 'surface', id: 'qp-wainscot' } } : {}),
    })),
  };
}

const example = readFileSync(path.join(ROOT, 'examples/one-window.roughsill.json'));
const FILES = [
  Buffer.from('hello'),
  Buffer.from([0xff, 0xd8, 0xff, 0xd9]),
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0]),
  Buffer.from('RIFF\x10\0\0\0WAVEfmt \xff\xff\xff\x7f', 'latin1'),
  Buffer.from('\0\0\0\x18ftypM4A \0\0\0\0\0\0\0\0moov', 'latin1'),
  Buffer.alloc(2000, 0xff),
  Buffer.alloc(0),
];

function bodyFor(spec: Spec): { body?: Buffer; headers: Record<string, string> } {
  const content = Object.entries(spec.requestBody?.content ?? {});
  if (content.length === 0) return { headers: {} };
  const [type, { schema }] = pick(content);
  const headers: Record<string, string> = { 'content-type': type === 'image/*' || type === 'audio/*' ? 'application/octet-stream' : type };
  if (!schema) return { body: pick(FILES), headers };
  let value: unknown =
    content[0]![1].schema && chance(0.2) && type === 'application/json' && spec.parameters.some((p) => p.name === 'copy')
      ? JSON.parse(example.toString())
      : aimed(draw(schema));
  const wounds = Math.floor(random() * 4);
  for (let i = 0; i < wounds; i += 1) value = mutate(value);
  let body: Buffer;
  try {
    body = Buffer.from(JSON.stringify(value) ?? 'undefined');
  } catch {
    // Deeper than this side can write: the other side gets it as text.
    body = Buffer.from(`${'['.repeat(50_000)}${']'.repeat(50_000)}`);
  }
  // Lone halves are written as escapes by JSON; here they come as they are.
  if (chance(0.04))
    body = Buffer.concat([body.subarray(0, body.length / 2), Buffer.from([0xc3, 0x28, 0xff]), body.subarray(body.length / 2)]);
  if (chance(0.04)) body = body.subarray(0, Math.floor(body.length * random()));
  if (chance(0.03))
    headers['content-type'] = pick([
      'application/json; charset=utf-16',
      'text/plain',
      'application/json; charset="x',
      '',
      'multipart/form-data',
    ]);
  if (chance(0.02)) headers['content-encoding'] = pick(['gzip', 'br', 'deflate', 'rot13']);
  return { body, headers };
}

function addressFor(at: string, spec: Spec): string {
  const filled = at.replace(/\{(\w+)\}/g, (_, name: string) => {
    if (chance(0.6)) return name === 'hash' ? 'a'.repeat(64) : pick(KNOWN_IDS);
    const raw = String(chance(0.5) ? draw(spec.parameters.find((p) => p.name === name)?.schema ?? {}) : pick(EVIL));
    return chance(0.15) ? raw.replace(/[\u0000-\u0020\u007f-\uffff]/g, '%') : encodeURIComponent(raw.replace(/[\ud800-\udfff]/g, ''));
  });
  const query = spec.parameters
    .filter((p) => p.in === 'query' && chance(0.4))
    .map(
      (p) =>
        `${p.name}=${chance(0.5) ? pick(['1', '0', '-1', '1e9', 'true', '%00', '%', '999999999999999999', 'x']) : encodeURIComponent(JSON.stringify(draw(p.schema)) ?? '')}`,
    );
  if (chance(0.03)) query.push('__proto__=1', 'a[b]=c', '%E0%A4%A=1');
  return query.length > 0 ? `${filled}?${query.join('&')}` : filled;
}

const rssMb = (): number => {
  const line = readFileSync(`/proc/${server.child.pid}/status`, 'utf8')
    .split('\n')
    .find((l) => l.startsWith('VmRSS'));
  return Number(line?.replace(/\D/g, '') ?? 0) / 1024;
};

const statuses = new Map<number, number>();
const wrong: string[] = [];
const memory: number[] = [];
let next = 0;
const started = Date.now();
async function client(): Promise<void> {
  while (next < requests && !exited && wrong.length < 20) {
    next += 1;
    // Making a plan or a paper takes a second: now and then is enough.
    const choices = routes.filter((r) => !/plan|\.pdf|\/file$/.test(r.at) || chance(0.02));
    const { at, method, spec } = pick(choices);
    const address = addressFor(at, spec);
    const { body, headers } = bodyFor(spec);
    const r = await call(method, address, { ...headers, ...(chance(0.02) ? { host: pick(['evil.example', '', 'localhost']) } : {}) }, body);
    statuses.set(r.status, (statuses.get(r.status) ?? 0) + 1);
    const problem =
      r.status >= 500 && r.status !== 503
        ? `answered ${r.status}`
        : r.status >= 400 && method !== 'HEAD' && !r.type.includes('json') && r.status !== 400 && r.status !== 431
          ? `${r.status} without a problem in it`
          : '';
    if (problem)
      wrong.push(
        `${method} ${address.slice(0, 200)}: ${problem}: ${r.body.slice(0, 300)}\n    body ${body?.subarray(0, 600).toString('utf8') ?? ''}`,
      );
    if (next % Math.max(200, Math.floor(requests / 20)) === 0) memory.push(rssMb());
  }
}
say(`fuzz: ${requests} requests, seed ${seed}`);
await Promise.all(Array.from({ length: clients }, client));

// What was taken in has to come out again.
for (const at of [
  '/api/jobs',
  '/api/session',
  '/api/firm',
  '/api/health',
  '/api/jobs/quill-point',
  '/api/jobs/quill-point/file',
  '/api/jobs/quill-point/plan',
  '/api/jobs/quill-point/plan?detail=all',
  '/api/jobs/quill-point/survey.pdf',
  '/api/jobs/quill-point/samples.csv',
]) {
  const r = exited ? { status: -1, body: 'the server has ended' } : await call('GET', at, {});
  if (r.status !== 200) wrong.push(`afterwards GET ${at}: ${r.status} ${r.body.slice(0, 300)}`);
}
// Level: the second half needs no more than a third above the first, past the warm-up.
const half = memory.slice(1);
const mean = (xs: number[]): number => xs.reduce((a, b) => a + b, 0) / Math.max(1, xs.length);
const [early, late] = [mean(half.slice(0, half.length / 2)), mean(half.slice(half.length / 2))];
if (half.length >= 6 && late > early * 1.35) wrong.push(`memory grew from ${early.toFixed(0)} to ${late.toFixed(0)} MB`);
if (exited) wrong.push('the server ended');
await server.stop();
stopPostgres(CLUSTER);
wrong.forEach((w) => say(w));
process.stdout.write(
  `${next} requests in ${Math.round((Date.now() - started) / 1000)} s; answers ${[...statuses]
    .sort((a, b) => a[0] - b[0])
    .map(([s, n]) => `${s}: ${n}`)
    .join(', ')}; memory ${memory.map((m) => m.toFixed(0)).join(' ')} MB\n${next - wrong.length} passed, ${wrong.length} failed\n`,
);
process.exit(wrong.length > 0 ? 1 : 0);
