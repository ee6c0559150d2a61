/** Squares, single pieces, the firm's own numbers and older files over HTTP and in PostgreSQL. */
import { sql } from 'drizzle-orm';
import { quillPoint } from '@roughsill/demo';
import { AS_CATALOGUED, BLANK_BOARD, BLANK_SQUARE, CHANGE_VERSION, FIRM_ID, writeJobFile, type JobFacts } from '@roughsill/core';
import { NOW, startTestServer, type TestServer } from './testing';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  expect((await server.call('POST', '/api/jobs/import', undefined, writeJobFile(quillPoint()))).status).toBe(201);
});
afterAll(() => server.stop());

const change = (entity: string, entityId: string, fields: object, op = 'add', surfaceId: string | null = 'qp-counter') => ({
  id: `c-${Math.random().toString(36).slice(2, 12)}`,
  jobId: entity === 'firm' ? null : 'quill-point',
  entity,
  entityId,
  surfaceId: entity === 'firm' || entity === 'photo' ? null : surfaceId,
  op,
  fields,
  at: NOW.toISOString(),
  by: 'Ines Marlow',
});
const send = (...changes: object[]) => server.call('POST', '/api/changes', { changes });
const counter = async () =>
  ((await server.call('GET', '/api/jobs/quill-point')).body.facts as JobFacts).surfaces.find((s) => s.id === 'qp-counter')!;

test('a square is marked out, runs and is answered; its clock never runs backwards', async () => {
  const square = { ...BLANK_SQUARE, methodId: 'milkPowder', dwellMin: 60, surfaceC: 18, atX: 0.2, atY: 0.4 };
  expect((await send(change('square', 'sq-1', square))).status).toBe(200);
  expect((await send(change('square', 'sq-1', { startedAt: '2026-05-04T09:00:00.000Z' }, 'set'))).status).toBe(200);
  const early = await send(change('square', 'sq-1', { stoppedAt: '2026-05-04T08:00:00.000Z', lifted: 'bare' }, 'set'));
  expect(early.status).toBe(422);
  expect(JSON.stringify(early.body)).toMatch(/the clock was stopped before it was started/);
  const done = { stoppedAt: '2026-05-04T10:10:00.000Z', lifted: 'bare', leftBehind: ['alkali'], harms: [], ease: 4 };
  expect((await send(change('square', 'sq-1', done, 'set'))).status).toBe(200);
  expect((await counter()).squares).toEqual([
    expect.objectContaining({ id: 'sq-1', ...square, ...done, startedAt: '2026-05-04T09:00:00.000Z' }),
  ]);
  // The plan over HTTP has learned from it.
  const { body } = await server.call('GET', '/api/jobs/quill-point/plan');
  const plan = body.spaces.flatMap((sp: any) => sp.surfaces).find((s: any) => s.id === 'qp-counter');
  expect(plan.trials).toEqual([expect.objectContaining({ method: 'milkPowder', squares: 1 })]);
});

test('a square of a method that is not in the catalogue, or stopped on a coat of another surface, changes nothing', async () => {
  const before = (await counter()).squares.length;
  const unknown = await send(change('square', 'sq-x', { ...BLANK_SQUARE, methodId: 'magic' }));
  expect([unknown.status, JSON.stringify(unknown.body)]).toEqual([422, expect.stringMatching(/no such method/)]);
  const stranger = await send(
    change('square', 'sq-y', {
      ...BLANK_SQUARE,
      methodId: 'solventGel',
      dwellMin: 60,
      lifted: 'toCoat',
      stoppedOnLayerId: 'qp-sash-river-coat1',
    }),
  );
  expect([stranger.status, JSON.stringify(stranger.body)]).toEqual([422, expect.stringMatching(/a coat that is not on this surface/)]);
  expect((await counter()).squares).toHaveLength(before);
});

test('pieces are judged one by one; a picture of a square must be of one that is there', async () => {
  expect((await send(change('board', 'bd-1', { ...BLANK_BOARD, label: '1', coats: 3, soundCoats: 3 }))).status).toBe(200);
  const wrong = await send(change('board', 'bd-2', { ...BLANK_BOARD, label: '2', coats: 1, soundCoats: 3 }));
  expect(JSON.stringify(wrong.body)).toMatch(/more sound coats than coats/);
  expect((await counter()).boards.map((b) => b.label)).toEqual(['1']);
  const photo = { ...quillPoint().photos[0]!, ofSurfaceId: 'qp-counter', ofSquareId: 'sq-nowhere' } as Record<string, unknown>;
  delete photo['id'];
  delete photo['removedAt'];
  expect(JSON.stringify((await send(change('photo', 'ph-1', photo))).body)).toMatch(/the trial square it shows is not on that surface/);
  expect((await send(change('photo', 'ph-1', { ...photo, ofSquareId: 'sq-1' }))).status).toBe(200);
});

test('the order of work and the helpers of a part are kept as entered', async () => {
  const part = (await counter()).parts[0]!;
  const order = [`${part.id}/washDegrease`, `${part.id}/milkPowder`];
  expect((await send(change('part', part.id, { methodId: 'milkPowder', alsoIds: ['washDegrease'] }, 'set'))).status).toBe(200);
  expect((await send(change('surface', 'qp-counter', { workOrder: order }, 'set', null))).status).toBe(200);
  const s = await counter();
  expect([s.workOrder, s.parts[0]!.alsoIds]).toEqual([order, ['washDegrease']]);
  // Round and round: what is read is what is written.
  const file = await server.call('GET', '/api/jobs/quill-point/file');
  expect((await server.call('POST', '/api/jobs/import?copy=true', undefined, JSON.stringify(file.body))).status).toBe(201);
});

test('the firm’s own dwell and price stay beside the catalogue’s rate; half a range is refused', async () => {
  const own = { ...AS_CATALOGUED, dwellLowH: 1, dwellHighH: 2, materialsPerM2: 11, owned: false };
  expect((await send(change('firm', 'firm', { rates: { solventGel: own } }, 'set'))).status).toBe(200);
  expect((await server.call('GET', '/api/session')).body.settings.rates).toEqual({ solventGel: own });
  const half = await send(change('firm', 'firm', { rates: { solventGel: { ...own, dwellHighH: null } } }, 'set'));
  expect([half.status, JSON.stringify(half.body)]).toEqual([422, expect.stringMatching(/both the short and the long dwell/)]);
  expect((await server.call('GET', '/api/session')).body.settings.rates).toEqual({ solventGel: own });
  expect((await send(change('firm', 'firm', { crew: 3, moldSchool: 'moldBleach' }, 'set'))).status).toBe(200);
  expect((await server.call('GET', '/api/session')).body.settings).toMatchObject({ crew: 3, moldSchool: 'moldBleach', hoursPerDay: 7.5 });
});

test('a file of the second version is read, and its gaps are filled', async () => {
  const old = JSON.parse(writeJobFile(quillPoint())) as any;
  old.version = 2;
  for (const s of old.surfaces) {
    delete s.squares;
    delete s.boards;
    delete s.workOrder;
    for (const p of s.parts) delete p.alsoIds;
  }
  for (const p of old.photos) delete p.ofSquareId;
  const res = await server.call('POST', '/api/jobs/import?copy=true', undefined, JSON.stringify(old));
  expect(res.status).toBe(201);
  const { body } = await server.call('GET', `/api/jobs/${res.body.jobId}`);
  expect((body.facts as JobFacts).surfaces.every((s) => s.squares.length === 0 && s.workOrder.length === 0)).toBe(true);
});

test('the bench: an answer, a refusal beside its field, labels as a paper', async () => {
  const bench = (id: string, body: object) => server.call('POST', `/api/bench/${id}`, body);
  // By hand: 8.25 % to 0.5 % is one part to 15.5 of water.
  expect((await bench('thin', { stockPct: 8.25, wantPct: 0.5, wholeL: 1 })).body).toMatchObject({ water: 15.5 });
  const pail = { kind: 'polyethylene', acrossM: 0.26, deepM: 0.3 };
  const hot = await bench('caustic', {
    mix: { waterL: 5, causticG: 1000, vessel: pail },
    happened: [
      { kind: 'put', n: 1, atS: 5, g: 500 },
      { kind: 'felt', atS: 60, c: 60 },
    ],
    nowS: 61,
    units: 'ft',
  });
  expect(hot.body.now.at).toMatchObject({ stage: 'stop', why: 'hot' });
  expect(hot.body.says[0]).toMatch(/^Stop: 140\s°F/);
  const wrong = await bench('thin', { stockPct: 120, wantPct: 5, wholeL: 1 });
  expect([wrong.status, wrong.body.errors[0].path, wrong.body.refusal]).toEqual([422, 'stockPct', 'range']);
  expect(wrong.body.errors[0].message).toMatch(/^The .+ must be between /);
  expect((await bench('caustic', { mix: { waterL: 5, causticG: 1000, vessel: { ...pail, kind: 'aluminium' } } })).body.refusal).toBe(
    'metalVessel',
  );
  expect((await bench('thin', { ratio: 3 })).status).toBe(400);
  const label = { content: 'caustic', pct: 17, madeOn: '2026-05-04', by: 'Ines Marlow' };
  const paper = await server.call('POST', '/api/bench/labels.pdf', { bottles: [{ ...label, count: 9 }] });
  expect([paper.status, paper.headers.get('content-type')]).toEqual([200, 'application/pdf']);
  expect((await server.call('POST', '/api/bench/labels.pdf', { bottles: [{ ...label, pct: 90 }] })).status).toBe(422);
});

test('the shelf comes in whole or not at all, and outranks; what to buy is net of it, in four forms', async () => {
  const product = {
    id: 'own-varnish',
    name: 'Own varnish',
    good: 'clearVarnish',
    chemistry: 'mineralSpirits',
    coats: 2,
    packs: [{ size: 5, price: 200 }],
  };
  const file = (over: object, tins: object[] = []) => ({
    format: 'rough-sill-shelf',
    version: 1,
    products: [{ ...product, ...over }],
    tins,
  });
  const forbidden = await server.call('POST', '/api/shelf', file({ chemistry: 'methyleneChloride' }));
  expect([forbidden.status, forbidden.body.errors[0].path]).toEqual([422, 'products[0].chemistry']);
  const loose = await server.call('POST', '/api/shelf', file({}, [{ id: 'tin-0', good: 'bleach', productId: 'own-varnish', amount: 1 }]));
  expect([loose.status, loose.body.errors[0].message]).toEqual([422, 'stands for something else']);
  expect((await server.call('GET', '/api/shelf.json')).body.products).toEqual([]);

  const list = async () => (await server.call('GET', '/api/jobs/quill-point/shopping.json')).body;
  const lineOf = (body: any) => body.lines.find((l: any) => l.good === 'clearVarnish');
  const before = lineOf(await list());
  expect(before.ownPrices).toBe(false);
  const stands = [{ id: 'tin-1', good: 'clearVarnish', productId: 'own-varnish', amount: 40, batch: 'A' }];
  expect((await server.call('POST', '/api/shelf', file({}, stands))).body).toEqual({ added: 2, set: 0 });
  expect((await server.call('POST', '/api/shelf', file({ coats: 3 }, stands))).body).toEqual({ added: 0, set: 2 });
  const after = lineOf(await list());
  expect([after.product.name, after.packing.packs, after.fromStock > 0]).toEqual(['Own varnish', [], true]);

  const form = (how: string) => server.call('GET', `/api/jobs/quill-point/shopping.${how}`);
  expect((await form('csv')).headers.get('content-type')).toContain('text/csv');
  expect((await form('pdf')).headers.get('content-type')).toBe('application/pdf');
  expect((await form('txt')).status).toBe(200);
  expect((await server.call('GET', '/api/jobs/quill-point/shopping.json?zone=nowhere')).status).toBe(404);
  expect((await server.call('GET', '/api/jobs/quill-point/shopping.json?on=2026-13-40')).status).toBe(400);
});

test('a pail is one record for two phones: one portion confirmed on both counts once, more than the recipe is refused; a pot that one stirred is stirred for both', async () => {
  const firm = (entityId: string, entity: string, fields: object) => {
    const { surfaceId: _none, ...rest } = change(entity, entityId, fields);
    return { ...rest, v: CHANGE_VERSION, jobId: null, parent: { kind: 'firm', id: FIRM_ID }, device: 'phone', act: null };
  };
  const at = NOW.toISOString();
  const pail = { waterL: 5, causticG: 1000, waterC: 12, airC: 18, acrossM: 0.26, deepM: 0.3, stirrer: 'hand', ceilingC: 50, beganAt: at };
  const mix = (over: object) =>
    firm(`pail-${JSON.stringify(over).length}`, 'mix', { name: 'Pail', vesselKind: 'polyethylene', ...pail, ...over });
  const refusedOf = async (c: object) => JSON.stringify((await send(c)).body.refused ?? []);
  expect(await refusedOf(mix({ vesselKind: 'aluminium' }))).toMatch(/plastic or stainless steel/);
  const good = mix({});
  expect(await refusedOf(good)).toBe('[]');
  const step = (id: string, portion: number, amount: number) => firm(id, 'mixStep', { mixId: good.entityId, at, portion, amount });
  expect([
    await refusedOf(step('here-1', 1, 600)),
    await refusedOf(step('there-1', 1, 600)),
    await refusedOf(step('here-2', 2, 600)),
  ]).toEqual(['[]', '[]', expect.stringMatching(/more than the recipe/)]);
  const standing = { name: 'Gray for the rail', kind: 'thinnedPaint', airC: 20, mixedAt: at, stirredAt: at };
  expect(await refusedOf(firm('pot-1', 'pot', { ...standing, airC: 80 }))).toMatch(/the temperature of the air/);
  expect(await refusedOf(firm('pot-1', 'pot', standing))).toBe('[]');
  const stirredAt = new Date(NOW.getTime() + 1_800_000).toISOString();
  expect(await refusedOf({ ...firm('pot-1', 'pot', { stirredAt }), id: 'stirred-elsewhere', op: 'set' })).toBe('[]');
  const { mixSteps, pots } = (await server.call('GET', '/api/firm')).body;
  expect(mixSteps).toHaveLength(2);
  expect(pots).toEqual([{ id: 'pot-1', ...standing, ownH: null, stirredAt, removedAt: null }]);
});

test('what was laid is a record that nobody rewrites', async () => {
  const laid = { product: 'clearVarnish', way: 'brush', coats: 1, areaM2: 2, litres: 0.3, wetUm: null, takenAt: NOW.toISOString() };
  expect((await send(change('laid', 'laid-1', laid))).status).toBe(200);
  expect((await counter()).laid).toEqual([expect.objectContaining({ id: 'laid-1', litres: 0.3, by: 'Ines Marlow' })]);
  expect((await send(change('laid', 'laid-1', { litres: 9 }, 'set'))).status).toBe(422);
  await expect(server.db.execute(sql`update laid set litres = 9`)).rejects.toThrow();
});
