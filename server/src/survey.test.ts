import { pagesOf } from './pdf/pdf';
import { quillPoint, shiftedTo } from '@roughsill/demo';
import { BLANK_READING, BLANK_SAMPLE, writeJobFile, type JobFacts } from '@roughsill/core';
import { guessMapping, previewImport, readTable } from '@roughsill/core/import';
import { simulatedMoistureMeter, simulatedSwab, simulatedXrf } from './devices/simulated';
import { simulatedLab } from './devices/lab';
import { DEFAULT_SETTINGS } from '@roughsill/core';
import { markedPicture } from './pdf/marked-picture';
import { NOW, startTestServer, type TestServer } from './testing';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  const res = await server.call('POST', '/api/jobs/import', undefined, writeJobFile(quillPoint()));
  expect(res.status).toBe(201);
});
afterAll(() => server.stop());

const change = (entity: string, entityId: string, fields: object, surfaceId: string | null = null, op = 'add') => ({
  id: `c-${Math.random().toString(36).slice(2, 12)}`,
  jobId: 'quill-point',
  entity,
  entityId,
  surfaceId,
  op,
  fields,
  at: NOW.toISOString(),
  by: 'Ines Marlow',
});
const send = (...changes: object[]) => server.call('POST', '/api/changes', { changes });

test('a whole survey goes in and comes out byte for byte', async () => {
  const file = await server.call('GET', '/api/jobs/quill-point/file');
  expect(JSON.stringify(file.body)).toBe(JSON.stringify(JSON.parse(writeJobFile(quillPoint()))));
});

test('the sample job moves whole: its first day stays as far before its first bag', () => {
  const apart = ({ job, bags }: JobFacts) => Date.parse(bags[0]!.filledAt) - Date.parse(job.startOn!);
  expect(apart(shiftedTo(quillPoint(), NOW))).toBe(apart(quillPoint()));
});

test('a phone that does not know the newer fields can still write', async () => {
  const { samples: _s, measures: _m, ...old } = { ...quillPoint().surfaces[0]!, name: 'From an old phone' };
  const fields = Object.fromEntries(
    [
      'spaceId',
      'position',
      'name',
      'element',
      'count',
      'material',
      'lengthM',
      'widthM',
      'faces',
      'yearMade',
      'conditions',
      'coatsCounted',
      'knots',
      'aim',
      'topcoat',
      'bench',
    ].map((k) => [k, (old as Record<string, unknown>)[k]]),
  );
  expect((await send(change('surface', 'old-phone', fields))).status).toBe(200);
  // And its patch leaves the newer fields alone.
  expect(
    (
      await send(
        change('surface', 'old-phone', { moldM2: 2 }, null, 'set'),
        change('surface', 'old-phone', { name: 'Renamed' }, null, 'set'),
      )
    ).status,
  ).toBe(200);
  const { body } = await server.call('GET', '/api/jobs/quill-point');
  expect((body.facts as JobFacts).surfaces.find((s) => s.id === 'old-phone')).toMatchObject({
    name: 'Renamed',
    moldM2: 2,
    scrapped: false,
    opening: 'sealed',
    samples: [],
  });
});

test('one setting changes, the others stay as the firm has them', async () => {
  const firm = (fields: object) => ({ ...change('firm', 'firm', fields, null, 'set'), jobId: null });
  expect((await send(firm({ labDays: { lead: 9, asbestos: 9, mold: 9 }, samplePrefix: 'MT' }))).status).toBe(200);
  expect((await send(firm({ bagEach: 3 }))).status).toBe(200);
  const { body } = await server.call('GET', '/api/session');
  expect(body.settings).toMatchObject({ bagEach: 3, samplePrefix: 'MT', labDays: { lead: 9 } });
  await send(firm({ labDays: { lead: 4, asbestos: 4, mold: 4 } }));
});

describe('samples and their answers', () => {
  const sample = { ...BLANK_SAMPLE, number: 'QP-090', toSubstrate: true, takenAt: '2026-05-01T10:00:00.000Z' };
  test('two phones may record the same number: both are kept', async () => {
    expect((await send(change('sample', 'phone-a', sample, 'qp-keeper-base'))).status).toBe(200);
    expect((await send(change('sample', 'phone-b', { ...sample, number: 'qp 90' }, 'qp-siding'))).status).toBe(200);
    const { body } = await server.call('GET', '/api/jobs/quill-point/plan?detail=all');
    expect(body.survey.register.samples.filter((s: { numberTwice: boolean }) => s.numberTwice)).toHaveLength(2);
  });
  test.each([
    ['sent before it was taken', { ...sample, number: 'QP-091', sentAt: '2026-04-30T10:00:00.000Z' }, /is sent before it was taken/],
    ['sent but not taken', { ...sample, number: 'QP-091', takenAt: null, sentAt: '2026-04-30T10:00:00.000Z' }, /was not taken/],
    ['asbestos of nothing', { ...sample, number: 'QP-091', hazard: 'asbestos', kind: 'bulk' }, /says what it was cut from/],
  ])('a sample %s is refused whole', async (_what, fields, message) => {
    const res = await send(change('sample', 'bad-sample', fields, 'qp-keeper-base'));
    expect(res.status).toBe(422);
    expect(res.body.errors.map((e: { message: string }) => e.message).join()).toMatch(message);
  });
  test('an answer dated before its sample, or for an unknown one, is refused', async () => {
    const reading = { ...BLANK_READING, kind: 'lab', takenAt: '2026-04-01T10:00:00.000Z', value: 0.2, unit: 'mass%', sampleId: 'phone-a' };
    expect((await send(change('reading', 'early', reading, 'qp-keeper-base'))).body.errors[0].message).toMatch(
      /dated before sample QP-090/,
    );
    expect((await send(change('reading', 'stray', { ...reading, sampleId: 'nobody' }, 'qp-keeper-base'))).body.errors[0].message).toMatch(
      /not on this surface/,
    );
  });
  test('checks of instruments are never rewritten', async () => {
    const res = await send(change('instrumentCheck', 'qp-k1', { note: 'x' }, null, 'set'));
    expect(res.status).toBe(422);
    await expect(server.db.execute(`update instrument_checks set note = 'x'`)).rejects.toThrow();
  });
});

describe('simulated instruments', () => {
  const read = (id: string, body: object) => server.call('POST', `/api/instruments/${id}/read`, { jobId: 'quill-point', ...body });
  test('each says that it is simulated, and reads the hidden truth', async () => {
    const { body } = await server.call('GET', '/api/instruments');
    expect(body.instruments).toHaveLength(5);
    expect(body.instruments.every((i: { simulated: boolean; name: string }) => i.simulated && /simulated/i.test(i.name))).toBe(true);
    const xrf = await read('xrf', { surfaceId: 'qp-keeper-door' });
    expect(xrf.body.reading).toMatchObject({ kind: 'xrf', unit: 'mg/cm2', device: 'Simulated XRF' });
    expect(xrf.body.reading.value).toBeGreaterThan(2);
    const meter = await read('moisture', { surfaceId: 'qp-siding' });
    expect(meter.body.reading).toMatchObject({ kind: 'moisture', unit: '%MC' });
  });
  test('what comes back can be recorded as it is', async () => {
    const { body } = await read('swab', { surfaceId: 'qp-railing', depth: 'all', seconds: 90 });
    expect(body.reading.spot).toBe('changed');
    expect((await send(change('reading', 'from-swab', { ...body.reading, takenAt: NOW.toISOString() }, 'qp-railing'))).status).toBe(200);
  });
  test('unknown instruments, surfaces and impossible times are told', async () => {
    expect((await read('geiger', { surfaceId: 'qp-siding' })).status).toBe(404);
    expect((await read('xrf', { surfaceId: 'nowhere' })).status).toBe(404);
    expect((await read('swab', { surfaceId: 'qp-siding', seconds: -1 })).status).toBe(400);
    expect((await server.call('POST', '/api/instruments/moisture/check', { material: null })).status).toBe(400);
  });

  const facts = quillPoint();
  const inUse = (id: string, over = {}) => ({
    facts,
    surface: facts.surfaces.find((s) => s.id === id)!,
    depth: 'all' as const,
    seconds: 90,
    setTo: '',
    ...over,
  });
  /** Repeatable chance: a fixed walk through [0, 1). */
  const walk = () => {
    let i = 0;
    return () => (i += 0.61803398875) % 1;
  };
  test('the swab errs at its stated rates, and its colour takes a minute', async () => {
    const swab = simulatedSwab(walk());
    const shows = async (id: string) => {
      let changed = 0;
      for (let i = 0; i < 400; i += 1) if ((await swab.read(inUse(id))).reading.spot === 'changed') changed += 1;
      return changed / 400;
    };
    expect(await shows('qp-railing')).toBeCloseTo(0.95, 1);
    expect(await shows('qp-counter')).toBeCloseTo(0.1, 1);
    expect((await swab.read(inUse('qp-railing', { seconds: 20 }))).reading.spot).toBe('unclear');
    expect((await swab.read(inUse('qp-railing', { depth: 'face' }))).reading.toSubstrate).toBe(false);
  });
  test('bare material adds to the XRF what its substrate check shows', async () => {
    const xrf = simulatedXrf(walk());
    const { values, filmMgCm2 } = await xrf.check!('mildSteel');
    expect(values).toHaveLength(6);
    expect(values.reduce((a, b) => a + b, 0) / 6 - filmMgCm2).toBeCloseTo(0.12, 1);
    expect((await xrf.check!(null)).values).toHaveLength(3);
  });
  test('a meter set to another wood reads wrong', async () => {
    const meter = simulatedMoistureMeter(() => 0.5);
    const oak = { ...inUse('qp-siding'), surface: { ...inUse('qp-siding').surface, species: 'oak' } };
    const wrong = (await meter.read(oak)).reading.value!;
    const right = (await meter.read({ ...oak, setTo: 'oak' })).reading.value!;
    expect(wrong).toBeGreaterThan(right + 1);
  });
});

test('the simulated lab answers after its days, and its CSV goes in by the import', async () => {
  const facts = quillPoint();
  const lab = simulatedLab(86_400);
  const sentAt = Date.parse('2026-04-15T08:10:00.000Z');
  const early = await lab.answers(facts, DEFAULT_SETTINGS, new Date(sentAt + 3.9 * 86_400_000));
  const late = await lab.answers(facts, DEFAULT_SETTINGS, new Date(sentAt + 4.1 * 86_400_000));
  expect([early.waiting, late.waiting]).toEqual([3, 0]);
  expect(late.csv).toBe((await lab.answers(facts, DEFAULT_SETTINGS, new Date(sentAt + 4.1 * 86_400_000))).csv);
  const fast = await simulatedLab(15).answers(facts, DEFAULT_SETTINGS, new Date(sentAt + 61_000));
  expect(fast.waiting).toBe(0);
  const table = readTable(Uint8Array.from(Buffer.from(late.csv)));
  if (!table.ok) throw new Error('no table');
  const preview = previewImport(table.value, facts, {
    kind: 'lab',
    mapping: guessMapping(table.value.headers),
    unit: null,
    takenAt: NOW.toISOString(),
    rules: 'us',
    by: 'T',
    now: '2026-05-20T12:00:00.000Z',
  });
  const fresh = preview.rows.filter((r) => ['QP-003', 'QP-004', 'QP-005'].includes(r.label));
  expect(fresh.flatMap((r) => r.problems)).toEqual([]);
  expect(fresh.find((r) => r.label === 'QP-004')!.reading!.value).toBeGreaterThan(1);
});

test('marks are drawn over the picture where they were set, and numbers count by themselves', () => {
  const at = (kind: 'arrow' | 'circle' | 'number', x: number) => ({ kind, x, y: 0.5, toX: x + 0.1, toY: 0.5 });
  const svg = markedPicture(
    { width: 600, height: 400, marks: [at('number', 0.1), at('circle', 0.5), at('number', 0.9)] },
    'data:image/jpeg;base64,AA',
    [300, 220],
  );
  expect(svg).toMatch(/<svg [^>]*width="300" height="200"/);
  expect(svg).toMatch(/<circle cx="150" cy="100" r="30" fill="none"/);
  expect([...svg.matchAll(/<text x="(\d+)"[^>]*>(\d)</g)].map((m) => [m[1], m[2]])).toEqual([
    ['30', '1'],
    ['270', '2'],
  ]);
});

describe('waste and air', () => {
  const bag = { stream: 'sheetAndChips', kg: 9.5, filledAt: NOW.toISOString(), filledBy: 'Ines Marlow', place: 'shed' };
  test('a bag and its load come out as they went in; a number twice and a load that had left are refused beside their fields', async () => {
    expect((await send(change('bag', 'bag-1', { ...bag, number: 'B-091' }))).status).toBe(200);
    const load = { number: 'T-7', leftAt: '2026-05-05T18:00:00.000Z', carrier: 'own trailer', bags: 1 };
    expect((await send(change('haul', 'haul-1', load), change('bag', 'bag-1', { haulId: 'haul-1' }, null, 'set'))).status).toBe(200);
    const twice = await send(change('bag', 'bag-2', { ...bag, number: 'b-091' }));
    expect([twice.status, twice.body.errors]).toMatchObject([422, [{ message: 'there is a bag b-091 already' }]]);
    const late = await send(change('bag', 'bag-3', { ...bag, number: 'B-093', filledAt: '2026-05-06T08:00:00.000Z', haulId: 'haul-1' }));
    expect(late.body.errors[0].message).toBe('bag B-093 was filled after load T-7 left');
    const facts = (await server.call('GET', '/api/jobs/quill-point/file')).body;
    expect(facts.bags.find((b: { id: string }) => b.id === 'bag-1')).toMatchObject({ haulId: 'haul-1', kg: 9.5 });
    const csv = await (await fetch(`${server.address}/api/jobs/quill-point/bags.csv`)).text();
    expect(csv).toMatch(/^B-091,sheetAndChips,9\.5,.*T-7/m);
  });
  test('nobody is put down in two zones at once; what was kept comes back, and a certificate that ran out holds the plan up', async () => {
    const stint = { person: 'Ines Marlow', zoneId: 'qp-ticket-hall', on: '2026-04-13', fromMin: 480, hours: 4 };
    expect((await send(change('stint', 'stint-1', stint))).status).toBe(200);
    const twice = await send(change('stint', 'stint-2', { ...stint, person: 'ines marlow ', fromMin: 600 }));
    expect([twice.status, twice.body.errors[0].message]).toEqual([
      422,
      'ines marlow is in a zone from 08:00 to 12:00 on 2026-04-13 already: nobody works in two at once',
    ]);
    const facts = (await server.call('GET', '/api/jobs/quill-point/file')).body;
    expect(facts.stints.find((x: { id: string }) => x.id === 'stint-1')).toMatchObject(stint);
    expect((await send(change('stint', 'stint-1', {}, null, 'remove'))).status).toBe(200);
    const plan = async () => JSON.stringify((await server.call('GET', '/api/jobs/quill-point/plan')).body);
    expect(await plan()).not.toContain('lead.certificateRanOut');
    const put = (fields: object) => send({ ...change('firm', 'firm', fields, null, 'set'), jobId: null });
    expect((await put({ certifiedUntil: '2026-04-12', masks: ['fullFace'] })).status).toBe(200);
    const held = await plan();
    expect([held.includes('lead.certificateRanOut'), held.includes('ppe.ownsOther')]).toEqual([true, true]);
    expect((await put({ certifiedUntil: null, masks: null })).status).toBe(200);
  });
  test('an air sample on a surface that is not there is refused; one that is kept stands in the plan', async () => {
    const sample = { number: 'A-091', methodId: 'wetScrapeLoose', startedAt: NOW.toISOString(), minutes: 240, flowLMin: 2, massUg: 480 };
    const stray = await send(change('airSample', 'air-1', { ...sample, onSurfaceId: 'nowhere' }));
    expect(stray.body.errors[0].message).toBe('what was worked on while A-091 ran is not on this job');
    expect((await send(change('airSample', 'air-1', { ...sample, onSurfaceId: 'qp-sash-river' }))).status).toBe(200);
    const plan = (await server.call('GET', '/api/jobs/quill-point/plan')).body;
    expect(JSON.stringify(plan)).toContain('exposure.measured');
    expect((await send(change('airSample', 'air-1', {}, null, 'remove'))).status).toBe(200);
  });
});

describe('paper', () => {
  test.each(['survey', 'custody', 'labels', 'bags', 'loads', 'signs', 'programme', 'surfaces/qp-sash-river/client'])(
    '%s.pdf is a whole PDF with the product’s own faces',
    async (name) => {
      const res = await fetch(`${server.address}/api/jobs/quill-point/${name}.pdf`);
      const bytes = Buffer.from(await res.arrayBuffer());
      expect([res.status, res.headers.get('content-type')]).toEqual([200, 'application/pdf']);
      expect(bytes.subarray(0, 5).toString('latin1')).toBe('%PDF-');
      expect(bytes.toString('latin1')).toMatch(/Hyperlegible/i);
      expect(bytes.subarray(-6).toString('latin1')).toContain('%%EOF');
    },
  );
  test('for the client: one side, with many coats and a long sentence too', async () => {
    for (const id of ['qp-sash-river', 'qp-siding', 'qp-cellar-lagging', 'qp-keeper-door']) {
      const res = await fetch(`${server.address}/api/jobs/quill-point/surfaces/${id}/client.pdf`);
      expect(res.status).toBe(200);
      expect(pagesOf(Buffer.from(await res.arrayBuffer()))).toBe(1);
    }
  });
  // What a reader sees of it: the words lie in the fonts' own numbers, so that the pages are counted and the core's text is tested there.
  test('a sign is a page each, and the written programme grows with the zones that are worked', async () => {
    const pages = async (name: string) =>
      pagesOf(Buffer.from(await (await fetch(`${server.address}/api/jobs/quill-point/${name}.pdf`)).arrayBuffer()));
    const plan = await server.call('GET', '/api/jobs/quill-point/plan');
    expect(await pages('signs')).toBeGreaterThanOrEqual(plan.body.zones.filter((z: { steps: unknown[] }) => z.steps.length > 0).length);
    expect(await pages('programme')).toBeGreaterThan(4);
  });
  test('of no job there is none', async () => {
    expect((await server.call('GET', '/api/jobs/nowhere/survey.pdf')).status).toBe(404);
    expect((await server.call('GET', '/api/jobs/quill-point/surfaces/nowhere/client.pdf')).status).toBe(404);
  });
  test('the register as CSV', async () => {
    const { body, type } = await server.call('GET', '/api/jobs/quill-point/samples.csv');
    expect(type).toMatch(/text\/csv/);
    expect(String(body).split('\r\n')[0]).toBe(
      'sample,hazard,kind,room or side,surface,place,state,taken,sent,due,lab,result,unit,answer,note',
    );
  });
});
