/** What the core takes for its main work, each figure beside a baseline measured in the same run. Bundled as the server and the worker are. */
import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import Papa from 'papaparse';
import {
  createDeriver,
  writeJobFile,
  BLANK_READING,
  BLANK_SAMPLE,
  DEFAULT_SETTINGS,
  METHODS,
  methodById,
  offersAt,
  USUAL_MOISTURE,
  type JobFacts,
  type Reading,
  type Surface,
  recoatOf,
  packsFor,
  specsFor,
  windowsOf,
} from '@roughsill/core';
import { compareMethods } from '@roughsill/core/compare';
import { guessMapping, previewImport, readTable } from '@roughsill/core/import';
import { course, mixNow } from '@roughsill/core/prepare';
import { outlookOf, outsideHours, simulatedWeather, USUAL_HOURS } from '@roughsill/core/weather';
import { faceClimate, forecast, growthIndex, outlook, PINE, roomAir, simulatedClimate } from '@roughsill/core/moist';
import { jobReport, programme, reporter, surveyReport } from '@roughsill/core/report';
import { roundInput, rounds, simulate } from '@roughsill/core/rounds';
import { drawDwellings } from '@roughsill/core/survey';
import { wasteOf } from '@roughsill/core/waste';
import { largeJob, quillPoint } from '@roughsill/demo';
import { median, row, time } from './rows';

const NOW = '2026-06-01T00:00:00.000Z';
export const largeJobText = (n: number) => writeJobFile(largeJob(n));
const factsOf = (text: string): JobFacts => {
  const { format: _f, version: _v, ...facts } = JSON.parse(text);
  return facts;
};

function derivation() {
  const text = writeJobFile(largeJob(400));
  const whole = [];
  const parse = [];
  const edit = [];
  for (let i = 0; i < 40; i += 1) {
    parse.push(time(() => JSON.parse(text)));
    const facts = factsOf(text);
    whole.push(time(() => createDeriver().derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  let facts = factsOf(text);
  const deriver = createDeriver();
  deriver.derive(facts, DEFAULT_SETTINGS, 2026);
  for (let i = 0; i < 200; i += 1) {
    facts = { ...facts, surfaces: facts.surfaces.map((s, k) => (k === i ? { ...s, conditions: ['runs'] } : s)) };
    edit.push(time(() => deriver.derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row(
    'derive 400 surfaces, against JSON.parse of the file',
    median(whole.slice(10)),
    median(parse.slice(10)),
    'ms',
    'whole at most 120 ms',
  );
  row('one edit of 400, against the whole', median(edit), median(whole.slice(10)), 'ms', 'at most 1/50 = 0.0200');
}

/** A change of how one zone is run, and of where a surface stands: its zone is derived again, and nothing else. */
function zoneEdit() {
  const base = largeJob(400);
  const deriver = createDeriver();
  const whole = [];
  for (let i = 0; i < 15; i += 1) whole.push(time(() => createDeriver().derive(base, DEFAULT_SETTINGS, 2026)));
  let facts = base;
  deriver.derive(facts, DEFAULT_SETTINGS, 2026);
  const edit = [];
  for (let i = 0; i < 60; i += 1) {
    facts = { ...facts, spaces: facts.spaces.map((s, k) => (k === i % facts.spaces.length ? { ...s, crew: (i % 5) + 1 } : s)) };
    edit.push(time(() => deriver.derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row('one zone run otherwise, of 400 surfaces, against the whole', median(edit), median(whole.slice(5)), 'ms', 'at most 1/50 = 0.0200');
}

/** What protects people on a large job: every zone's waste, its day of breathing, and the written programme. */
function protection() {
  const facts = largeJob(400);
  const plan = createDeriver().derive(facts, DEFAULT_SETTINGS, 2026);
  const whole = [];
  const waste = [];
  const paper = [];
  for (let i = 0; i < 12; i += 1) {
    whole.push(time(() => createDeriver().derive(facts, DEFAULT_SETTINGS, 2026)));
    waste.push(time(() => wasteOf(facts, plan, DEFAULT_SETTINGS)));
    paper.push(time(() => programme(facts, plan, DEFAULT_SETTINGS, { people: [] }, NOW)));
  }
  row('waste of 400 surfaces, against the whole derivation', median(waste.slice(4)), median(whole.slice(4)), 'ms', 'at most 1/4 = 0.2500');
  row('the written programme of 400 surfaces, against the whole', median(paper.slice(4)), median(whole.slice(4)), 'ms', 'at most 2.0000');
}

/** A tap on a job of 4,000 surfaces: the surface that is on the screen, and the whole job behind it. */
function tap() {
  const deriver = createDeriver();
  const id = (facts: JobFacts) => facts.surfaces[5]!.id;
  const one: number[] = [];
  const all: number[] = [];
  const whole: number[] = [];
  let facts = largeJob(4000);
  for (let i = 0; i < 3; i += 1) whole.push(time(() => createDeriver().derive(facts, DEFAULT_SETTINGS, 2026)));
  deriver.derive(facts, DEFAULT_SETTINGS, 2026);
  for (let i = 0; i < 120; i += 1) {
    facts = { ...facts, surfaces: facts.surfaces.map((s, k) => (k === 5 ? { ...s, lengthM: 1 + i / 1000 } : s)) };
    one.push(time(() => deriver.surface(facts, id(facts), DEFAULT_SETTINGS, 2026)));
    all.push(time(() => deriver.derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row('a tap on one of 4,000 surfaces, against the whole', median(one.slice(20)), median(whole), 'ms', 'at most 16 ms');
  row('the sums of that job after it, against the whole', median(all.slice(20)), median(whole), 'ms', 'no aim set');
}

/** A tap on a sign beside a running step: the surface with it, and what may be told next. */
function signTap() {
  const deriver = createDeriver();
  const base = largeJob(400);
  const plain = deriver.derive(base, DEFAULT_SETTINGS, 2026);
  const [id, step] = plain.surfaces.flatMap((p) => {
    const st = p.work.steps.find((x) => x.at !== undefined && 'stroke' in x.at && x.kind === 'remove');
    return st === undefined ? [] : [[p.surfaceId, st] as const];
  })[0]!;
  const at = step.at!;
  const taps: number[] = [];
  const whole: number[] = [];
  for (let i = 0; i < 3; i += 1) whole.push(time(() => createDeriver().derive(base, DEFAULT_SETTINGS, 2026)));
  const told = { suspect: false, leadPresent: true };
  for (let i = 0; i < 120; i += 1) {
    const signs = Array.from({ length: 1 + (i % 3) }, (_, n) => ({
      id: `bench-${i}-${n}`,
      sign: 'oldColour' as const,
      partId: 'stroke' in at ? at.partId : null,
      methodId: 'stroke' in at ? at.stroke : null,
      product: null,
      extent: 'spot' as const,
      note: '',
      takenAt: '2026-05-04T08:00:00.000Z',
      by: 'Bench',
      supersedesId: null,
      supersedesWhy: null,
    }));
    const facts = { ...base, surfaces: base.surfaces.map((s) => (s.id === id ? { ...s, signs } : s)) };
    const s = facts.surfaces.find((x) => x.id === id)!;
    taps.push(
      time(() => {
        deriver.surface(facts, id, DEFAULT_SETTINGS, 2026);
        offersAt(s, at, told, new Date(0));
      }),
    );
  }
  row(
    'a tap on a sign: the surface and the signs that may follow, against a whole job of 400',
    median(taps.slice(20)),
    median(whole),
    'ms',
    'at most 16 ms',
  );
}

/** The slim plan: its bytes against those of the job file, and what 4,000 surfaces take: in a process of its own, as the memory is judged. */
async function slimPlan() {
  const small = await alone(400);
  const large = await alone(4000);
  row('plan of 400 surfaces as JSON, against their job file', small.mb, small.file, 'MB', 'at most 4 MB');
  row('plan of 4,000 surfaces derived and written, against 400', large.ms, small.ms, 'ms', 'at most 10 s');
  row('memory of that run at its height, against the 512 MB that it may take', large.peak, 512, 'MB', 'below 1');
}

const alone = (n: number) =>
  new Promise<ReturnType<typeof planOf>>((resolve, reject) => {
    const script = `import(process.argv[1]).then((m) => process.send(m.planOf(${n})))`;
    const child = spawn(process.execPath, ['-e', script, fileURLToPath(import.meta.url)], {
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    child.once('message', (m) => resolve(m as ReturnType<typeof planOf>));
    child.once('exit', (code) => reject(new Error(`the plan of ${n} surfaces ended with ${code}`)));
  });

/** The plan of a job of n surfaces: milliseconds, MB of text, MB of its job file, MB of memory at its height. */
export function planOf(n: number) {
  const file = largeJobText(n);
  const facts = factsOf(file);
  let text = '';
  const ms = time(() => {
    text = JSON.stringify(jobReport(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, 2026), DEFAULT_SETTINGS, NOW));
  });
  return { ms, mb: text.length / 1e6, file: file.length / 1e6, peak: process.resourceUsage().maxRSS / 1024 };
}

/** Every method on every part of 400 surfaces, with nothing remembered; then one surface planned with each method in turn. */
function choosing() {
  const text = writeJobFile(largeJob(400));
  const facts = factsOf(text);
  const fresh = [];
  const again = [];
  for (let i = 0; i < 20; i += 1) {
    // A settings object of its own has no verdicts kept for it.
    fresh.push(time(() => createDeriver().derive(facts, { ...DEFAULT_SETTINGS }, 2026)));
    again.push(time(() => createDeriver().derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row(
    `verdicts of 400 surfaces x ${METHODS.length} methods with none kept, against with those of like parts kept`,
    median(fresh.slice(5)),
    median(again.slice(5)),
    'ms',
    'no aim set',
  );
  const point = quillPoint();
  const compare = [];
  const once = [];
  for (let i = 0; i < 20; i += 1) {
    compare.push(time(() => compareMethods(point, 'qp-sash-river', DEFAULT_SETTINGS, 2026)));
    once.push(time(() => createDeriver().derive(point, DEFAULT_SETTINGS, 2026)));
  }
  row(
    'one surface planned with every method, against the whole job once',
    median(compare.slice(5)),
    median(once.slice(5)),
    'ms',
    'no aim set',
  );
}

/** The best round by the core, against trying every size by simulation. */
function roundsBench() {
  const q = {
    method: methodById('masonryStripper'),
    crew: { laying: 1, lifting: 1, shared: false },
    weather: { faceC: 18, sun: false, wind: false, covered: true },
    pieceM2: 0.25,
    speed: 1,
    soakH: 1,
    pieces: null,
    settings: DEFAULT_SETTINGS,
  };
  const input = roundInput(q);
  const brute = () => {
    let best = 0;
    let done = 0;
    for (let k = 1; k <= 400; k += 1) {
      if (simulate({ ...input, dayMin: Infinity }, k, k).spoilt) break;
      const day = simulate(input, k);
      if (day.done > done) [best, done] = [k, day.done];
    }
    return [best, done];
  };
  const own = [];
  const base = [];
  for (let i = 0; i < 40; i += 1) {
    own.push(time(() => rounds(q)));
    base.push(time(brute));
  }
  row('the best round, against every size played through', median(own.slice(10)), median(base.slice(10)), 'ms', 'no aim set');
}

/** 400 surfaces with 600 readings, from facts to the whole survey: groups, areas, decisions, register, today. */
function assessment() {
  const base = largeJob(400);
  const extra = (s: Surface, n: number): Reading => ({
    ...BLANK_READING,
    id: `${s.id}-m${n}`,
    kind: 'moisture',
    takenAt: base.job.createdAt,
    value: 12,
    unit: '%rel',
    by: 'bench',
  });
  let left = 600 - base.surfaces.reduce((a, s) => a + s.readings.length, 0);
  const surfaces = base.surfaces.map((s) => (left-- > 0 ? { ...s, readings: [...s.readings, extra(s, 1)] } : s));
  const text = writeJobFile({ ...base, surfaces });
  const own = [];
  const parse = [];
  for (let i = 0; i < 12; i += 1) {
    parse.push(time(() => JSON.parse(text)));
    const facts = factsOf(text);
    own.push(time(() => surveyReport(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, 2026), DEFAULT_SETTINGS, NOW, reporter('ft'))));
  }
  row(
    'whole-house survey, 400 surfaces and 600 readings, against JSON.parse of the file',
    median(own.slice(4)),
    median(parse.slice(4)),
    'ms',
    'at most 200 ms',
  );
}

/** The growth index as one would first write it: an object an hour. */
function plainGrowth(hours: readonly { c: number; rh: number }[]) {
  let m = 0;
  let dry = 0;
  return hours.map(({ c, rh }) => {
    const critical = c > 20 ? 80 : -0.00267 * c ** 3 + 0.16 * c ** 2 - 3.13 * c + 100;
    if (c > 0 && c <= 50 && rh >= critical) {
      dry = 0;
      const tm = Math.exp(-0.68 * Math.log(c) - 13.9 * Math.log(rh) + 66.02);
      const tv = Math.exp(-0.74 * Math.log(c) - 12.72 * Math.log(rh) + 61.5);
      const x = (critical - rh) / (critical - 100);
      const k2 = Math.max(0, 1 - Math.exp(2.3 * (m - (1 + 7 * x - 2 * x * x))));
      m += ((m < 1 ? 1 : 2 / (tv / tm - 1)) * k2) / (7 * tm * 24);
    } else {
      dry += 1;
      m -= dry <= 6 ? 0.032 / 24 : dry <= 24 ? 0 : 0.016 / 24;
    }
    m = Math.min(6, Math.max(0, m));
    return { c, rh, m };
  });
}

function moldYear() {
  const moisture: Parameters<typeof roomAir>[0] = {
    ...USUAL_MOISTURE,
    insideC: 19,
    insideRhPct: 70,
    outsideC: 4,
    outsideRhPct: 85,
    uValueWm2K: 2,
    fanRatedM3h: 60,
    fanMeasuredM3h: null,
    fanMinPerDay: 30,
    leakAch: 0.8,
    waterGPerDay: 600,
    burstsPerDay: 3,
    leak: 'no',
    rising: 'no',
    fanVentsOutside: 'yes',
    laundryDries: 'no',
    coldCorner: 'yes',
  };
  const room = { lengthM: 2.4, widthM: 2, heightM: 2.4 };
  const climate = simulatedClimate('bench');
  const face = faceClimate(roomAir(moisture, room, [], 'us'), climate);
  const hours = Array.from(face.tempC, (c, i) => ({ c, rh: face.rhPct[i]! }));
  const own = [];
  const plain = [];
  const all = [];
  for (let i = 0; i < 30; i += 1) {
    own.push(time(() => growthIndex(face.tempC, face.rhPct)));
    plain.push(time(() => plainGrowth(hours)));
    all.push(time(() => forecast(moisture, room, climate, PINE, 'us')));
  }
  row(
    'growth index over a year of hours, against a plain loop over objects',
    median(own.slice(10)),
    median(plain.slice(10)),
    'ms',
    'at most 150 ms',
  );
  const year = [];
  for (let i = 0; i < 30; i += 1) year.push(time(() => outlook(moisture, room, climate, PINE, [], 'us')));
  row(
    'a room through a year, heat and vapour with both accounts and the index, against a plain loop of the index alone',
    median(year.slice(10)),
    median(plain.slice(10)),
    'ms',
    'at most 150 ms',
  );
  row(
    'the cause finder: every remedy, all, and the cheapest set that is enough, against one plain loop',
    median(all.slice(10)),
    median(plain.slice(10)),
    'ms',
    'no aim set',
  );
}

function dwellings() {
  /** The rule by its definition: whole binomials, no table kept. */
  const choose = (n: number, k: number) => Array.from({ length: k }, (_, i) => (n - i) / (i + 1)).reduce((a, b) => a * b, 1);
  const plain = (of: number) => {
    const bad = Math.min(Math.ceil(0.05 * of), 50);
    let n = 1;
    while (choose(of - bad, n) / choose(of, n) >= 0.05) n += 1;
    return n;
  };
  const own = [];
  const base = [];
  for (let i = 0; i < 40; i += 1) {
    own.push(time(() => drawDwellings(1000, 'before1960', `seed ${i}`)));
    base.push(time(() => plain(1000)));
  }
  row('which of 1,000 dwellings to test, against the size alone by whole binomials', median(own), median(base), 'ms', 'no aim set');
}

function tables() {
  const base = largeJob(400);
  const samples = (s: Surface, i: number) =>
    Array.from({ length: 13 }, (_, k) => ({
      ...BLANK_SAMPLE,
      id: `${s.id}-x${k}`,
      number: `S-${i * 13 + k}`,
      takenAt: base.job.createdAt,
      toSubstrate: true,
      removedAt: null,
    }));
  const facts = { ...base, surfaces: base.surfaces.map((s, i) => ({ ...s, samples: samples(s, i) })) };
  const text = `Sample,Result,Unit\n${Array.from({ length: 5000 }, (_, i) => `S-${i},${(i % 97) / 50},%`).join('\n')}\n`;
  const bytes = new TextEncoder().encode(text);
  const own = [];
  const parse = [];
  for (let i = 0; i < 12; i += 1) {
    parse.push(time(() => Papa.parse(text)));
    own.push(
      time(() => {
        const table = readTable(bytes);
        if (!table.ok) throw new Error('the table of the bench is not read');
        previewImport(table.value, facts, {
          kind: 'lab',
          mapping: guessMapping(table.value.headers),
          unit: null,
          takenAt: base.job.createdAt,
          rules: 'us',
          by: 'bench',
          now: NOW,
        });
      }),
    );
  }
  row(
    'reading and judging a CSV of 5,000 rows, against splitting it only',
    median(own.slice(3)),
    median(parse.slice(3)),
    'ms',
    'no aim set',
  );
}

/** Packs for 200 lines of a list, against a search through every number of every pack. */
function packChoice() {
  const packs = [
    { size: 0.75, price: 14 },
    { size: 2.5, price: 38 },
    { size: 5, price: 70 },
  ];
  const searched = (need: number): number => {
    let best = Infinity;
    for (let a = 0; a <= Math.ceil(need / 0.75); a += 1)
      for (let b = 0; b <= Math.ceil(need / 2.5); b += 1) {
        const c = Math.max(0, Math.ceil((need - a * 0.75 - b * 2.5) / 5 - 1e-9));
        best = Math.min(best, a * 14 + b * 38 + c * 70);
      }
    return best;
  };
  const needs = Array.from({ length: 200 }, (_, i) => ((i * 37) % 400) / 4 + 0.25);
  const own = [];
  const plain = [];
  for (let i = 0; i < 12; i += 1) {
    own.push(time(() => needs.forEach((n) => packsFor(n, packs))));
    plain.push(time(() => needs.forEach(searched)));
  }
  row('packs for 200 lines, against every filling of three sizes', median(own.slice(3)), median(plain.slice(3)), 'ms', 'at most 40 ms');
}

/** 400 faces in one zone, three coats each, through ten days by the hour: against a fresh look at every hour of every face. */
function coatWindows() {
  const weather = simulatedWeather('bench', 'temperateCoast', Date.UTC(2026, 4, 4), 240);
  const specs = (['acrylicWood', 'exteriorAcrylic', 'exteriorAcrylic'] as const).flatMap((product) =>
    specsFor({ product, way: 'brush', areaM2: 6, recoatH: recoatOf(product) }, 1),
  );
  const faces = Array.from({ length: 400 }, (_, i) => ({
    surfaceId: `s${i}`,
    name: '',
    material: i % 3 === 0 ? ('brick' as const) : ('softwood' as const),
    specs: specs.map((s) => ({ ...s, strokeH: 0.5 + (i % 5) })),
    shade: null,
    bareMostH: null,
  }));
  const place = {
    outside: { facing: 's' as const, shade: 'mid' as const, shaded: [] },
    room: { heatedC: 16, airChangesH: 2, volumeM3: 40, waterGH: 0, driedGH: 0 },
    fRsi: 0.7,
  };
  const hours = outsideHours(weather, { ...place.outside, body: 'timber' });
  const own = [];
  const plain = [];
  for (let i = 0; i < 12; i += 1) {
    own.push(time(() => outlookOf(weather, 'elevation', faces, place, USUAL_HOURS)));
    plain.push(time(() => faces.forEach((f) => f.specs.forEach((s) => windowsOf(hours, s)))));
  }
  row(
    'windows of 400 faces with three coats over 240 h, against each face for itself',
    median(own.slice(3)),
    median(plain.slice(3)),
    'ms',
    'at most 30 ms',
  );
  const mix = {
    waterL: 5,
    causticG: 2500,
    waterC: 12,
    airC: 18,
    vessel: { kind: 'polyethylene' as const, acrossM: 0.26, deepM: 0.3 },
    stirrer: 'hand' as const,
    bathC: null,
    ceilingC: 50,
    order: 'causticToWater' as const,
  };
  const live = [];
  const once = [];
  for (let i = 0; i < 12; i += 1) {
    live.push(time(() => mixNow(mix, [], 0)));
    once.push(time(() => course(mix, [{ atS: 0, g: 2500 }], [], 3600)));
  }
  row(
    'a caustic mix with all its portions and waits, against one hour of its heat',
    median(live.slice(3)),
    median(once.slice(3)),
    'ms',
    'at most 60 ms',
  );
}

/** Every part of the core, in the order it is printed. */
export const CORE_ROWS = {
  derivation,
  zoneEdit,
  protection,
  tap,
  signTap,
  slimPlan,
  choosing,
  roundsBench,
  assessment,
  moldYear,
  coatWindows,
  packChoice,
  dwellings,
  tables,
};
export { median, row, rows } from './rows';
