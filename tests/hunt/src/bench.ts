/** The bench, with or without a job: random recipes, crews that keep to them or not, bottles, nozzles and questions, each held against a law. */
import fc from 'fast-check';
import { z } from 'zod';
import { GOOD_IDS, STUFFS, VESSEL_IDS, type Product } from '../../../core/src/facts';
import { MEETINGS } from '../../../core/src/catalogue';
import {
  ACID_IDS,
  acidFor,
  CARBONATE_IDS,
  carbonateFor,
  checkMix,
  chlorineOf,
  CONTENT_IDS,
  contentOf,
  CONTENTS,
  course,
  hazardsOf,
  LANGUAGES,
  MEDIA_IDS,
  mixNow,
  nozzle,
  NOZZLES_IN,
  phOnTheWay,
  potNow,
  QUESTION_IDS,
  QUESTIONS,
  Refused,
  refusalSays,
  thin,
  type CausticMix,
  type MixEvent,
} from '../../../core/src/prepare';
import { POT_IDS } from '../../../core/src/facts';
import { airPa } from '../../../core/src/prepare/nozzle';
import { ProductFields } from '../../../core/src/facts/schema';
import { agentsOf } from '../../../core/src/shelf';

export interface BenchLaw {
  readonly id: string;
  readonly says: string;
  /** Times for each thousand surfaces of the hunt. */
  readonly often: number;
  /** @returns the first breach; null: the law holds */
  readonly look: (seed: number, runs: number) => string | null;
}
function law<T>(id: string, says: string, often: number, given: fc.Arbitrary<T>, check: (x: T) => readonly string[]): BenchLaw {
  return {
    id,
    says,
    often,
    look: (seed, runs) => {
      const done = fc.check(
        fc.property(given, (x) => check(x).length === 0),
        // Shrinking a simulated mix takes minutes: the first breach is told as it was met.
        { seed, numRuns: runs, endOnFailure: true },
      );
      if (!done.failed) return null;
      if (!done.counterexample) throw done.errorInstance;
      const [x] = done.counterexample;
      return `${check(x)[0] ?? 'it does not break again'} at ${JSON.stringify(x)}`;
    },
  };
}
/** Evenly over the range: of all doubles most are next to nothing. */
const STEPS = 20_000;
const number = (min: number, max: number) => fc.integer({ min: 0, max: STEPS }).map((i) => min + ((max - min) * i) / STEPS);
/** What the bench does not take breaks nothing: it says so. */
function taken<T>(f: () => T): T | null {
  try {
    return f();
  } catch (e) {
    if (e instanceof Refused) return null;
    throw e;
  }
}

const BEARS = ['polyethylene', 'polypropylene', 'stainless'] as const;
const mix: fc.Arbitrary<CausticMix> = fc
  .record({
    waterL: number(0.5, 20),
    gL: number(30, 520),
    waterC: number(2, 25),
    airC: number(-5, 35),
    vessel: fc.record({
      kind: fc.oneof({ weight: 9, arbitrary: fc.constantFrom(...BEARS) }, { weight: 1, arbitrary: fc.constantFrom(...VESSEL_IDS) }),
      acrossM: number(0.2, 0.6),
      deepM: number(0.2, 0.6),
    }),
    stirrer: fc.constantFrom('hand' as const, 'drill' as const),
    bathC: fc.option(number(2, 20)),
    ceilingC: number(32, 60),
    order: fc.constant('causticToWater' as const),
  })
  .map(({ gL, ...m }) => ({ ...m, causticG: gL * m.waterL }));

/** By what the bench says: a portion when it says so, waiting when it says so, until it is ready. */
function followed(m: CausticMix): string[] {
  if (taken(() => (checkMix(m), true)) === null) return [];
  const events: MixEvent[] = [];
  let atS = 0;
  for (let turn = 0; turn < 400; turn += 1) {
    const now = taken(() => mixNow(m, events, atS));
    // It would never cool: refused, and nothing is in it that was not told.
    if (now === null) return [];
    if (now.peakC > m.ceilingC + 0.5) return [`${now.peakC} C where ${m.ceilingC} is the most`];
    const { at } = now;
    if (at.stage === 'stop') return ['stopped, though the crew did as it was told'];
    if (at.stage === 'ready' || at.stage === 'cool') return Math.abs(now.leftG) > 1 ? [`${now.leftG} g are left over`] : [];
    if (at.stage === 'put') events.push({ kind: 'put', n: at.n, atS, g: at.g });
    atS += at.stage === 'wait' ? Math.max(1, at.forS) : 15;
  }
  return ['it never ends'];
}

/** Portions at any moment and of any size, and readings of any pail: what is told next never carries it past the ceiling. */
const crew = fc.record({
  m: mix,
  did: fc.array(
    fc.oneof(
      fc.record({ kind: fc.constant('put' as const), share: number(0.05, 0.6), afterS: fc.integer({ min: 0, max: 900 }) }),
      fc.record({ kind: fc.constant('felt' as const), offC: number(-6, 20), afterS: fc.integer({ min: 0, max: 900 }) }),
    ),
    { maxLength: 6 },
  ),
});
const putsOf = (events: readonly MixEvent[]) => events.flatMap((e) => (e.kind === 'put' ? [e] : []));
const feltOf = (events: readonly MixEvent[]) => events.flatMap((e) => (e.kind === 'felt' ? [e] : []));
function unruly({
  m,
  did,
}: {
  m: CausticMix;
  did: readonly ({ afterS: number } & ({ kind: 'put'; share: number } | { kind: 'felt'; offC: number }))[];
}): string[] {
  const events: MixEvent[] = [];
  let atS = 0;
  let inG = 0;
  for (const d of did) {
    atS += d.afterS;
    if (d.kind === 'put') {
      const g = d.share * (m.causticG - inG);
      if (g < 1) continue;
      inG += g;
      events.push({ kind: 'put', n: events.length + 1, atS, g });
    } else events.push({ kind: 'felt', atS, c: Math.max(0, Math.min(140, m.waterC + d.offC)) });
    const now = taken(() => mixNow(m, events, atS));
    if (now === null) return [];
    const last = events.findLast((e) => e.kind === 'felt');
    if (now.at.stage !== 'stop' && last?.kind === 'felt' && last.c >= m.ceilingC)
      return ['the thermometer says too hot, and the bench goes on'];
    const lies = course(m, putsOf(events), feltOf(events), atS + 1800).points.filter((p) => p.atS > atS);
    if (now.at.stage !== 'stop' && lies.some((p) => p.c > m.ceilingC + 0.5))
      return ['what lies in it carries it past the ceiling, and nothing is said'];
    if (now.at.stage !== 'put') continue;
    const more: MixEvent = { kind: 'put', n: 99, atS, g: now.at.g };
    const { points } = course(m, putsOf([...events, more]), feltOf(events), atS + 1800);
    const ahead = Math.max(...points.filter((p) => p.atS > atS).map((p) => p.c));
    if (ahead > m.ceilingC + 0.5) return [`a portion is told that makes ${ahead} C where ${m.ceilingC} is the most`];
  }
  return [];
}

/** Molar masses by the atomic weights of IUPAC, and the hydrogens that are given up: worked by hand, apart from the core. */
const NAOH = 22.99 + 15.999 + 1.008;
const BY_HAND = {
  citric: { g: 6 * 12.011 + 8 * 1.008 + 7 * 15.999, gives: 3 },
  acetic: { g: 2 * 12.011 + 4 * 1.008 + 2 * 15.999, gives: 1 },
  phosphoric: { g: 3 * 1.008 + 30.974 + 4 * 15.999, gives: 2 },
} as const;
const CARBONATE_G = { bicarbonate: 22.99 + 1.008 + 12.011 + 3 * 15.999, washingSoda: 2 * 22.99 + 12.011 + 3 * 15.999 } as const;
const off = (is: number, wanted: number): boolean => Math.abs(is - wanted) > 0.002 * Math.abs(wanted) + 1e-9;

const neutral = law(
  'B3',
  'acid and alkali meet in the weights that chemistry gives, and the pH only falls on the way',
  200,
  fc.record({
    causticG: number(0.1, 5000),
    litres: number(0.5, 500),
    acid: fc.constantFrom(...ACID_IDS),
    carbonate: fc.constantFrom(...CARBONATE_IDS),
  }),
  ({ causticG, litres, acid, carbonate }) => {
    const { g, gives } = BY_HAND[acid];
    const { pureG } = acidFor(causticG, acid);
    const back = carbonateFor(pureG, acid, carbonate);
    const takes = carbonate === 'washingSoda' ? 2 : 1;
    const way = phOnTheWay(causticG, litres, acid);
    return [
      ...(off(pureG, (causticG / NAOH / gives) * g) ? [`${pureG} g of ${acid}`] : []),
      ...(off(back.g, ((pureG / g) * gives * CARBONATE_G[carbonate]) / takes) ? [`${back.g} g of ${carbonate}`] : []),
      ...(way.some((x, i) => i > 0 && x.ph > way[i - 1]!.ph + 1e-6) ? ['the pH rises on the way'] : []),
    ];
  },
);

const thinned = law(
  'B4',
  'thinning keeps what was in the bottle, and chlorine only gets less',
  300,
  fc.record({ stockPct: number(0.1, 100), share: number(0.01, 1), part: number(0.01, 50), days: fc.integer({ min: 0, max: 3000 }) }),
  ({ stockPct, share, part, days }) => {
    const it = taken(() => thin({ stockPct, wantPct: stockPct * share, water: null, part, whole: null }));
    if (it === null) return [];
    const out: string[] = [];
    if (off(it.whole, it.part + it.rest)) out.push('part and water are not the whole');
    if (off(it.whole * stockPct * share, part * stockPct)) out.push('more or less is in it than was in the bottle');
    if (it.water < 0.01) return out;
    const again = thin({ stockPct, wantPct: null, water: it.water, part: null, whole: it.whole });
    if (off(again.part, it.part)) out.push('from the other end it comes to something else');
    if (stockPct <= 15 && chlorineOf(stockPct, days, it.water).ppm > (stockPct * 10_000) / (1 + it.water) + 1e-6)
      out.push('more chlorine than was in it');
    return out;
  },
);

const labels = law(
  'B5',
  'a label is no milder for a stronger bottle, and names all that the shelf holds apart',
  300,
  fc.record({
    content: fc.constantFrom(...CONTENT_IDS),
    weak: number(0.01, 1),
    strong: number(0.01, 1),
    flashC: fc.option(fc.integer({ min: -20, max: 120 })),
    good: fc.constantFrom(...GOOD_IDS),
    chemistry: fc.constantFrom(...STUFFS),
  }),
  ({ content, weak, strong, flashC, good, chemistry }) => {
    const worst = { danger: 2, warning: 1 };
    const rank = (share: number, flash: number | null) =>
      worst[hazardsOf(content, CONTENTS[content].strongest * share, { gloves: null, flashC: flash }).signal!] ?? 0;
    const out: string[] = [];
    if (rank(Math.min(weak, strong), flashC) > rank(Math.max(weak, strong), flashC)) out.push(`${content}: milder when stronger`);
    if (rank(weak, flashC) < rank(weak, null)) out.push(`${content}: milder for its flash point`);
    if (
      flashC !== null &&
      flashC <= 60 &&
      !hazardsOf(content, CONTENTS[content].strongest, { gloves: null, flashC }).pictograms.includes('flame')
    )
      out.push(`${content}: flashes at ${flashC} C, and no flame is on it`);
    const product: Product = { ...ProductFields.parse({ name: 'Own', good, chemistry }), id: 'own', removedAt: null };
    const filled = contentOf(product);
    // Of its chemistry alone: a good may bring more, as its name says.
    const agents = agentsOf({ products: [product] }, good).filter((a) => filled !== null && CONTENTS[filled].agents.includes(a));
    for (const m of filled === null ? [] : MEETINGS)
      for (const [one, other] of [[m.one, m.other] as const, [m.other, m.one] as const])
        if (agents.includes(one) && !hazardsOf(filled!, CONTENTS[filled!].strongest).never.includes(other))
          out.push(`${filled}: ${other} is not on its label`);
    return out;
  },
);
/** A product of a chemistry that the shelf knows has a label that knows it too. */
const unnamed = law('B6', 'what the shelf holds apart for its chemistry, its label names', 60, fc.constantFrom(...STUFFS), (chemistry) => {
  const product: Product = { ...ProductFields.parse({ name: 'Own', good: 'thickener', chemistry }), id: 'own', removedAt: null };
  const filled = contentOf(product);
  if (filled === null) return [];
  return agentsOf({ products: [product] }, 'thickener')
    .filter((a) => !CONTENTS[filled].agents.includes(a))
    .map((a) => `${chemistry}: the label of ${filled} does not know that it is ${a}`);
});

const pots = law(
  'B7',
  'what stands mixed never gets better, and lives no longer in the warm',
  200,
  fc.record({
    kind: fc.constantFrom(...POT_IDS),
    airC: number(0, 35),
    moreC: number(0, 10),
    stoodH: number(0, 60),
    moreH: number(0, 60),
    stirred: fc.boolean(),
  }),
  ({ kind, airC, moreC, stoodH, moreH, stirred }) => {
    const at = (c: number, h: number) => potNow({ kind, airC: c, ownH: null, stoodH: h, unstirredH: stirred ? 0 : h });
    const now = at(airC, stoodH);
    const out: string[] = [];
    if (now.state === 'over' && at(airC, stoodH + moreH).state !== 'over') out.push('past it, and good again later');
    if (at(airC + moreC, stoodH).lifeH > now.lifeH + 1e-9) out.push('it lives longer in the warm');
    if ((now.state === 'over') !== now.leftH <= 1e-9 && Math.abs(now.leftH) > 1e-6) out.push('over, and time is left');
    return out;
  },
);

/** Choked flow of air, gamma 1.4, by the textbook; the core's coefficient is held against the trade's table in its own tests. */
function chokedM3H(boreIn: number, psi: number, outerPa: number): number {
  const gamma = 1.4;
  const p0 = psi * 6894.757 + outerPa;
  const area = (Math.PI / 4) * (boreIn * 0.0254) ** 2;
  const flux = Math.sqrt(gamma / (287.05 * 293.15)) * (2 / (gamma + 1)) ** ((gamma + 1) / (2 * (gamma - 1)));
  return ((0.81 * area * p0 * flux) / 1.204) * 3600;
}
const air = law(
  'B8',
  'a nozzle passes what the choked flow of what arrives at it passes; a longer hose, a height or wear never help',
  150,
  fc.record({
    boreIn: fc.constantFrom(...NOZZLES_IN),
    gaugePsi: number(30, 140),
    hoseM: number(5, 60),
    hoseBoreMm: number(19, 50),
    altitudeM: number(0, 3000),
    media: fc.constantFrom(...MEDIA_IDS),
  }),
  (x) => {
    const asked = { ...x, wornIn: 0, machineM3H: null, timber: null, hours: 1 };
    const it = taken(() => nozzle(asked));
    if (it === null) return [];
    const out: string[] = [];
    const wanted = chokedM3H(x.boreIn, it.nozzlePsi, airPa(x.altitudeM));
    if (Math.abs(it.freeM3H - wanted) > 0.01 * wanted) out.push(`${it.freeM3H} m3/h where theory has ${wanted}`);
    if (Math.abs(it.nozzlePsi + it.hoseLossPsi - x.gaugePsi) > 0.05) out.push('what is lost and what arrives are not what was put in');
    const longer = taken(() => nozzle({ ...asked, hoseM: x.hoseM + 10 }));
    if (longer !== null && longer.nozzlePsi > it.nozzlePsi + 1e-6) out.push('a longer hose brings more');
    const worn = taken(() => nozzle({ ...asked, wornIn: 0.03 }));
    if (worn !== null && worn.freeM3H < it.freeM3H) out.push('worn wider it takes less air');
    return out;
  },
);

interface Shape {
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Shape[];
  readonly oneOf?: readonly Shape[];
  readonly items?: Shape;
  readonly properties?: Readonly<Record<string, Shape>>;
  readonly required?: readonly string[];
}
/** Anything of a published shape; numbers of every size a person may type. */
function anyOf(s: Shape): fc.Arbitrary<unknown> {
  if (s.const !== undefined) return fc.constant(s.const);
  if (s.enum) return fc.constantFrom(...s.enum);
  const either = s.anyOf ?? s.oneOf;
  if (either) return fc.oneof(...either.map(anyOf));
  if (s.type === 'array') return fc.array(anyOf(s.items!), { maxLength: 4 });
  if (s.type === 'integer') return fc.oneof(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 1000 }));
  if (s.type === 'number') return fc.oneof(number(0, 14), number(1, 120), number(0, 3000), fc.constantFrom(-1, 0, 1, 100, 1e6));
  if (s.type === 'boolean') return fc.boolean();
  if (s.type === 'object')
    return fc.record(Object.fromEntries(Object.entries(s.properties ?? {}).map(([k, v]) => [k, anyOf(v)])), {
      requiredKeys: [...(s.required ?? [])],
    });
  return s.type === 'null' ? fc.constant(null) : fc.string({ maxLength: 6 });
}
/** A climate is reckoned for each: the laws of the windows look at it with a job. */
const asked = QUESTION_IDS.filter((id) => id !== 'windows').map((id) =>
  anyOf(z.toJSONSchema(QUESTIONS[id].asks, { io: 'input' }) as Shape).map((input) => ({ id, input })),
);
/** A recipe is weighed in grams, on whichever side of the sea. */
const METRIC = /°C|\d\s?(L|mL|kg|m|mm|m²|bar|m³\/h)\b/;
/** Gauges of blasting machines are in psi everywhere; bar stands before it. */
const IMPERIAL = /°F|\d\s?(gal|lb|oz|ft|cfm|qt)\b/;
const answers = law(
  'B9',
  'every question is answered or refused in words, in the units that were asked for',
  600,
  fc.oneof(...asked),
  ({ id, input }) => {
    const read = QUESTIONS[id].asks.safeParse(input);
    if (!read.success) return [];
    const given = read.data as { units: 'ft' | 'm'; language: (typeof LANGUAGES)[number] };
    let says: readonly string[];
    try {
      ({ says } = QUESTIONS[id].answer(read.data));
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      says = [refusalSays(e.refusal, given.language, given.units)];
    }
    const text = says.join(' | ');
    return [
      ...(/NaN|undefined|Infinity|\[object/.test(text) ? [`${id}: ${text}`] : []),
      ...(given.units === 'ft' && METRIC.test(text) ? [`${id}, asked in feet: ${METRIC.exec(text)![0]} in ${text}`] : []),
      ...(given.units === 'm' && IMPERIAL.test(text) ? [`${id}, asked in metres: ${IMPERIAL.exec(text)![0]} in ${text}`] : []),
    ];
  },
);

export const BENCH_LAWS: readonly BenchLaw[] = [
  law('B1', 'a mix that is made as the bench says stays under its ceiling and takes all of it', 60, mix, followed),
  law('B2', 'whatever a crew does, no portion is told that carries the mix past its ceiling', 100, crew, unruly),
  neutral,
  thinned,
  labels,
  unnamed,
  pots,
  air,
  answers,
];
