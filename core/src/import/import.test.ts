import fc from 'fast-check';
import Papa from 'papaparse';
import { aFacts, aSample, aSurface, AT } from '../testing';
import type { JobFacts } from '../facts';
import { DEFAULT_SETTINGS } from '../rulebook';
import { sampleRegister } from '../probe';
import { decode, isFormula, readDate, readNumber, readTable, writeTable } from './table';
import { guessMapping, previewImport, type ImportSettings } from './results';
import { readClimate } from './climate';
import { registerCsv } from './register-csv';

const bytes = (text: string) => Uint8Array.from(Buffer.from(text, 'utf8'));
const table = (text: string) => {
  const t = readTable(bytes(text));
  if (!t.ok) throw new Error(t.problems[0]!.message);
  return t.value;
};
const chip = (n: number) =>
  aSample({
    id: `s-${n}`,
    number: `QP-00${n}`,
    takenAt: AT,
    sentAt: AT,
    reachedLayerIds: ['coat-0', 'coat-1', 'coat-2'],
    toSubstrate: true,
  });
const facts = (): JobFacts =>
  aFacts(
    aSurface({
      name: 'Sill',
      samples: [
        chip(1),
        chip(2),
        aSample({ id: 's-3', number: 'QP-003' }),
        aSample({ id: 's-4', number: 'QP-004', hazard: 'asbestos', kind: 'bulk', suspect: 'plaster', takenAt: AT, sentAt: AT }),
      ],
    }),
  );
const preview = (text: string, over: Partial<ImportSettings> = {}) => {
  const t = table(text);
  return previewImport(t, facts(), {
    kind: 'lab',
    mapping: guessMapping(t.headers),
    unit: null,
    takenAt: '2026-05-10T12:00:00.000Z',
    rules: 'us',
    by: 'T',
    now: '2026-05-20T12:00:00.000Z',
    ...over,
  });
};
const says = (p: ReturnType<typeof preview>) => p.rows.flatMap((r) => r.problems.map((x) => `${x.path}: ${x.message}`));

describe('files as they come', () => {
  test.each([
    ['UTF-8', Buffer.from('Sample;Résultat\nA;1'), 'Résultat'],
    ['UTF-8', Buffer.from('\ufeffSample;Résultat\nA;1'), 'Résultat'],
    ['UTF-16', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('Sample;Résultat\nA;1', 'utf16le')]), 'Résultat'],
    ['Windows-1252', Buffer.from([0x53, 0x3b, 0x52, 0xe9, 0x73, 0x0a, 0x41, 0x3b, 0x31]), 'Rés'],
  ] as const)('%s is read', (encoding, raw, header) => {
    const t = readTable(Uint8Array.from(raw));
    expect(t.ok && [t.value.encoding, t.value.headers[1]]).toEqual([encoding, header]);
  });
  test('decoding agrees with Node’s own decoder for any text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (s) => {
        const raw = Buffer.from(s, 'utf8');
        fc.pre(raw[0] !== 0xef && raw[0] !== 0xfe && raw[0] !== 0xff);
        expect(decode(Uint8Array.from(raw)).text).toBe(raw.toString('utf8'));
      }),
    );
  });
  test.each([',', ';', '\t', '|'])('separator %j is found', (sep) => expect(table(`Sample${sep}Result\nA${sep}1`).separator).toBe(sep));
  test.each([
    ['', /holds no table/],
    ['Sample,Result', /holds no row/],
    ['one column\nA', /holds no table/],
    ['a,b\n"open,1', /quotation mark/],
    ['PK\u0003\u0000\u0000', /not a text table/],
  ])('%j is refused', (text, message) => {
    const t = readTable(bytes(text));
    expect(t.ok ? '' : t.problems[0]!.message).toMatch(message);
  });
  test.each([
    ['0.42', 0.42],
    ['0,42', 0.42],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['12,500', 12500],
    ['5000 ', 5000],
    ['<0.01', 0],
    ['ND', 0],
    ['None Detected', 0],
    ['trace', 0],
    ['abc', null],
    ['1.2.3.4', null],
  ])('%j reads as %s', (cell, want) => expect(readNumber(cell)?.value ?? null).toBe(want));
  test.each([
    ['2026-05-04', 'us', '2026-05-04'],
    ['05/04/2026', 'us', '2026-05-04'],
    ['05/04/2026', 'uk', '2026-04-05'],
    ['13/04/2026', 'us', '2026-04-13'],
    ['4.5.2026', 'us', '2026-05-04'],
    ['31/02/2026', 'uk', undefined],
  ] as const)('date %s (%s) is %s', (cell, rules, want) => expect(readDate(cell, rules)?.at.slice(0, 10)).toBe(want));
});

describe('a lab’s answers', () => {
  test('every good row becomes one reading on the sample it names, whatever the spelling of the number', () => {
    const p = preview('Client ID;Ergebnis Result;Unit\nqp 1;0,72;% by weight\nQP-02;< 40;mg/kg\nQP004;ND;%\n'.replace('QP004', 'QP-4'));
    expect([p.ready, p.wrong]).toEqual([3, 0]);
    expect(p.rows.map((r) => [r.reading!.kind, r.reading!.value, r.reading!.unit, r.reading!.sampleId])).toEqual([
      ['lab', 0.72, 'mass%', 's-1'],
      ['lab', 40, 'ppm', 's-2'],
      ['bulk', 0, 'mass%', 's-4'],
    ]);
    // Less than 40 is not none: it stays what the lab wrote.
    expect(p.rows.map((r) => r.reading!.below)).toEqual([false, true, false]);
  });
  test.each([
    ['Sample,Result,Unit\nQP-9,1,%', 'line 2: sample QP-9 is not on this job'],
    ['Sample,Result,Unit,Analyte\nQP-1,0,%,Asbestos (PLM)', 'line 2: the lab looked for asbestos, and sample QP-1 was taken for lead'],
    ['Sample,Result,Unit,Date\nQP-1,1,%,2029-01-01', 'line 2: is dated in the future: 2029-01-01'],
    [
      'Sample,Result,Unit\nQP-1,620000,ppm',
      'line 2: 620000 is more lead than paint holds (30 %): check the unit, and enter it by hand if it is right',
    ],
    ['Sample,Result,Unit\nQP-3,1,%', 'line 2: sample QP-3 is planned, but was not taken'],
    ['Sample,Result,Unit\nQP-1,1,%\nqp-001,2,%', 'line 3: sample qp-001 stands on line 2 already'],
    ['Sample,Result,Unit\nQP-1,=1+1,%', 'line 2: value begins like a spreadsheet formula: =1+1'],
    ['Sample,Result,Unit\nQP-1,high,%', 'line 2: "high" is not a result'],
    ['Sample,Result,Unit\nQP-1,1,furlong', 'line 2: "furlong" is not a unit that is known here'],
    ['Sample,Result,Unit\nQP-1,1', 'line 2: has 2 cells where the first line has 3'],
    ['Sample,Result\nQP-1,1', 'line 2: state the unit: %, ppm or mg/cm2'],
    ['Sample,Result,Unit\nQP-1,-4,ppm', 'line 2: a result cannot be negative'],
    ['Sample,Result,Unit\nQP-1,500,%', 'line 2: more than 100 % by mass: check the unit'],
    ['Sample,Result,Unit,Date\nQP-1,1,%,2026-01-02', 'line 2: is dated before sample QP-001 was taken'],
  ])('%j says what is wrong on its line', (text, message) => expect(says(preview(text))).toContain(message));
  test('a needed column that is missing stops the whole, by name', () => {
    expect(preview('Foo,Result\nQP-1,1').problems).toEqual([{ path: 'sample', message: 'say which column holds the sample number' }]);
  });
  test('the same file twice writes nothing new; another answer for an answered sample is stopped', () => {
    const f = facts();
    const t = table('Sample,Result,Unit\nQP-1,0.7,%');
    const set = {
      kind: 'lab',
      mapping: guessMapping(t.headers),
      unit: null,
      takenAt: '2026-05-10T12:00:00.000Z',
      rules: 'us',
      by: 'T',
      now: '2026-05-20T12:00:00.000Z',
    } as const;
    const first = previewImport(t, f, set).rows[0]!.reading!;
    const after: JobFacts = {
      ...f,
      surfaces: [{ ...f.surfaces[0]!, readings: [{ ...first, id: 'r-1', by: 'T' }] }],
    };
    expect(previewImport(t, after, set)).toMatchObject({ ready: 0, already: 1, wrong: 0 });
    expect(previewImport(table('Sample,Result,Unit\nQP-1,0.9,%'), after, set)).toMatchObject({ ready: 0, wrong: 1 });
  });
});

test('a lab’s day without an hour is not before the hour of cutting on that day', () => {
  const p = preview('Sample,Result,Unit,Date\nQP-1,1,%,2026-05-04\nQP-2,1,%,2026-05-03');
  expect(p.rows[0]!.reading!.takenAt).toBe(AT);
  expect(says(p)).toEqual(['line 3: is dated before sample QP-002 was taken']);
});

test('a wrong sample number is put right in its row; the file stays as it is', () => {
  const text = 'Sample,Result,Unit\nQP-O01,0.8,%\n';
  expect(says(preview(text))).toEqual(['line 2: sample QP-O01 is not on this job']);
  const mended = preview(text, { renamed: { 2: 'QP-001' } });
  expect([mended.ready, mended.wrong, mended.rows[0]!.reading!.sampleId]).toEqual([1, 0, 's-1']);
  expect(preview(text, { renamed: { 2: 'QP-003' } }).wrong).toBe(1);
});

// 40 CFR 745.82(a): XRF decides only in the hands of a certified inspector, so the table says whose.
test('who decides by XRF is said once for the whole table, and only for XRF', () => {
  const by = { kind: 'instrument', decidedBy: 'inspector', certificate: ' RA-104 ' } as const;
  const rows = preview('Surface,Result,Unit\nSill,0.2,mg/cm2\nSill,12,%MC\n', by).rows.map((r) => [
    r.reading!.decidedBy,
    r.reading!.certificate,
  ]);
  expect(rows).toEqual([
    ['inspector', 'RA-104'],
    ['unsaid', ''],
  ]);
});

test('an instrument’s list is read by surface and room; an ambiguous name asks for the room', () => {
  const p = preview('Room,Component,Reading,Units\nRoom,Sill,0.7,mg/cm2\nRoom,Door,1.1,mg/cm2', { kind: 'instrument' });
  expect([p.ready, p.wrong]).toEqual([1, 1]);
  expect(p.rows[0]!.reading).toMatchObject({ kind: 'xrf', value: 0.7, toSubstrate: true });
  expect(says(p)).toEqual(['line 3: there is no surface "Door" on this job']);
});

describe('files as they go', () => {
  test('no cell runs in a spreadsheet, and what is written is read back', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.string({ minLength: 1 }).filter((s) => s.trim() === s && !/[\u0000\r\n]/.test(s)),
          { minLength: 2, maxLength: 5 },
        ),
        (cells) => {
          const text = writeTable(
            cells.map((_, i) => `c${i}`),
            [cells],
          );
          const t = readTable(bytes(text));
          expect(t.ok).toBe(true);
          if (t.ok) for (const c of t.value.rows[0]!.cells) expect(isFormula(c)).toBe(false);
        },
      ),
    );
  });
  // How spreadsheets take a formula for one: OWASP, CSV injection; full-width forms and semicolons as separators from common practice.
  test.each([
    ['=1+1', "'=1+1"],
    ['  =1+1', "'  =1+1"],
    ['\t=1+1', "'\t'=1+1"],
    ['\u200b\uFF1D1', "'\u200b\uFF1D1"],
    ['\uFF0B44 20', "'\uFF0B44 20"],
    ['@cmd', "'@cmd"],
    ['sash; =cmd|x', "sash; '=cmd|x"],
    ['two\n-2+3', "two\n'-2+3"],
    ['-4.5', '-4.5'],
    ['a = b', 'a = b'],
  ])('%j goes out as %j', (cell, as) => {
    const [, row] = Papa.parse<string[]>(writeTable(['a', 'b'], [[cell, 'x']])).data;
    expect(row).toEqual([as, 'x']);
  });
  test('a header of a hundred thousand words is told, not searched; a day of the year 0 is none', () => {
    const long = readTable(bytes(`time,temp,humidity,${'wind'.repeat(100_000)}\n1,2,3,4`));
    expect(long.ok ? [] : long.problems).toEqual([{ path: 'line 1', message: 'the name of column 4 is over 200 letters long' }]);
    expect([readDate('0000-01-05', 'us'), readDate('01/05/0026', 'us'), readDate('2026-01-05', 'us')?.at.slice(0, 10)]).toEqual([
      null,
      null,
      '2026-01-05',
    ]);
  });
  test('the register goes out with its states', () => {
    const csv = registerCsv(sampleRegister(facts(), DEFAULT_SETTINGS, '2026-05-20T00:00:00.000Z'));
    expect(csv.split('\r\n')[1]).toMatch(/^QP-001,lead,chip,Room,Sill,,due,/);
  });
});

describe('an hourly climate', () => {
  const hours = (n: number, row = (i: number) => `${i},${10 + (i % 5)},80`) =>
    `hour,temperature C,humidity\n${Array.from({ length: n }, (_, i) => row(i)).join('\n')}`;
  test('is read hour by hour; a short gap is bridged, Fahrenheit is turned', () => {
    const r = readClimate(table(hours(48, (i) => (i === 5 ? '5,,' : `${i},${10 + (i % 5)},80`))));
    expect(r.ok && [r.value.tempC.length, r.value.tempC[5], r.value.simulated]).toEqual([48, 14, false]);
    const f = readClimate(table(hours(24, (i) => `${i},50,80`).replace('temperature C', 'temp F')));
    expect(f.ok && f.value.tempC[0]).toBeCloseTo(10, 9);
  });
  test.each([
    [hours(5), /at least a day/],
    [hours(30, (i) => `${i},${i === 9 ? 'x' : 10},80`), /numbers/],
    [hours(30, (i) => `${i},${i === 9 ? 70 : 10},80`), /check the unit/],
    [hours(30, (i) => `${i},10,${i === 9 ? 180 : 80}`), /no humidity/],
    [hours(30).replace('humidity', 'dew'), /humidity or RH/],
  ])('%# is refused with its reason', (text, message) => {
    const r = readClimate(table(text));
    expect(r.ok ? '' : r.problems[0]!.message).toMatch(message);
  });
});
