/** The bench as questions: one schema and one answer each, for the API and the command line alike. Numbers in SI, sentences in the asker's units. */
import { z } from 'zod';
import { AGENT_IDS, gasOf, meetingsAmong } from '../catalogue';
import { LIMIT_IDS, specsFor } from '../coat';
import { bySheet, DRYING_KINDS, PRODUCT_IDS, recoatOf } from '../catalogue';
import { Day, FACINGS, GLOVE_MATERIALS, isTimeZone, isYearOfTrade, LAYINGS, MATERIALS, VESSEL_IDS, POT_IDS } from '../facts';
import { withCommas } from '../units/units';
import { bareMostH, HOUR_MS, outlookOf, REGION_IDS, SHADES, simulatedWeather, USUAL_HOURS } from '../weather';
import { USUAL_CEILING_C } from './caustic';
import { CONTENT_IDS, hazardsOf } from './label';
import { ACID_IDS, acidFor, CARBONATE_IDS, carbonateFor, phOnTheWay, proofOf, rinsesFor } from './neutralise';
import { chlorineOf, pasteFor, powderFor, thin } from './dilute';
import { CEILING_GROUNDS, mistFor, SCRAPES } from './mist';
import { MEDIA_IDS, nozzle, passesOver, TIMBER_SCHOOLS } from './nozzle';
import { potNow } from './pot';
import { RINSE_HOLDS, rinseWaterFor, steamFor } from './site-water';
import { mixNow, type MixEvent } from './recipe';
import { schedule, type CausticMix } from './caustic';
import { amounts, benchWords, LANGUAGES, mistSays, passesSay, potSays, rinseSays, steamSays, timberSays } from './words';

const Told = { units: z.enum(['ft', 'm']).default('m'), language: z.enum(LANGUAGES).default('en') };
const n = z.number();
const maybe = z.number().nullable().default(null);
/** What the data sheet of what is in a bottle says of it. */
const SHEET_SAYS = { gloves: z.enum(GLOVE_MATERIALS).nullable().default(null), flashC: maybe };

const Mix = z.strictObject({
  waterL: n,
  causticG: n,
  waterC: n.default(12),
  airC: n.default(18),
  vessel: z.strictObject({ kind: z.enum(VESSEL_IDS), acrossM: n, deepM: n }),
  stirrer: z.enum(['hand', 'drill']).default('hand'),
  bathC: maybe,
  ceilingC: n.default(USUAL_CEILING_C),
  order: z.enum(['causticToWater', 'waterToCaustic']).default('causticToWater'),
});
const Event = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('put'), n: z.int().min(1).max(500), atS: n.min(0), g: n }),
  z.strictObject({ kind: z.literal('felt'), atS: n.min(0), c: n }),
]);

interface Question<S extends z.ZodType> {
  readonly summary: string;
  readonly asks: S;
  /** @throws Refused in trade words */
  readonly answer: (asked: z.output<S>) => { readonly says: readonly string[] };
}
const question = <S extends z.ZodType>(
  summary: string,
  asks: S,
  answer: (asked: z.output<S>) => { readonly says: readonly string[] },
): Question<z.ZodType> => ({ summary, asks, answer: (a) => answer(a as z.output<S>) });

export const QUESTIONS = {
  caustic: question(
    'Caustic into water: portions, waits and how hot it gets; with what has happened, where it stands and what comes next',
    z.strictObject({ ...Told, mix: Mix, happened: z.array(Event).max(1000).default([]), nowS: n.min(0).default(0) }),
    ({ mix, happened, nowS, units, language }) => {
      const words = benchWords(language);
      const a = amounts(units);
      const planned = schedule(mix satisfies CausticMix);
      const now = mixNow(mix, happened satisfies MixEvent[], nowS);
      const stage = words.stage(now.at, mix, a);
      return { schedule: planned, now, says: [...(happened.length === 0 ? words.before(mix, a) : []), `${stage.head}.`, ...stage.more] };
    },
  ),
  neutralise: question(
    'Acid for the alkali that is left, the heat of it and the pH on the way',
    z.strictObject({ ...Told, causticG: n, acid: z.enum(ACID_IDS), litres: n, soldPct: maybe }),
    ({ causticG, acid, litres, soldPct, units }) => {
      const a = amounts(units);
      const it = soldPct === null ? acidFor(causticG, acid) : acidFor(causticG, acid, soldPct / 100);
      const sold = it.soldMl === null ? a.g(it.soldG) : `${a.L(it.soldMl / 1000)} (${a.g(it.soldG)})`;
      return {
        ...it,
        way: phOnTheWay(causticG, litres, acid),
        says: [`${sold} as it is sold, in at least ${a.L(it.waterL)} of water.`],
      };
    },
  ),
  carbonate: question(
    'Bicarbonate or washing soda for an acid that is left, with the gas that foams out of it',
    z.strictObject({ ...Told, acidG: n, acid: z.enum(ACID_IDS), carbonate: z.enum(CARBONATE_IDS) }),
    ({ acidG, acid, carbonate, units }) => {
      const a = amounts(units);
      const it = carbonateFor(acidG, acid, carbonate);
      return { ...it, says: [`${a.g(it.g)}, a little at a time: ${a.L(it.gasL)} of gas foam out of it.`] };
    },
  ),
  powder: question(
    'Powder remover for milk paint on an area, and its water',
    z.strictObject({ ...Told, areaM2: n }),
    ({ areaM2, units }) => {
      const a = amounts(units);
      const it = powderFor(areaM2);
      return { ...it, says: [`${a.L(it.powderL.low)} to ${a.L(it.powderL.high)} of powder, half as much water.`] };
    },
  ),
  rinse: question(
    'Rinse water alone: how often until the water that runs off is at the wanted pH; and the proof by two readings',
    z.strictObject({
      ...Told,
      fromPh: n,
      toPh: n,
      eachLM2: n,
      face: z.enum(['smooth', 'wood', 'masonry']),
      waterPh: maybe,
      facePh: z.array(n).max(20).default([]),
    }),
    ({ fromPh, toPh, eachLM2, face, waterPh, facePh, language }) => {
      const it = rinsesFor(fromPh, toPh, eachLM2, face);
      const proof = waterPh === null ? null : proofOf(waterPh, facePh);
      return { ...it, proof, says: proof === null ? [] : [benchWords(language).proof[proof]] };
    },
  ),
  thin: question(
    'Thinning: any two of strengths, parts of water, part and whole give the rest; with the age of a bleach, its chlorine',
    z.strictObject({ ...Told, stockPct: maybe, wantPct: maybe, water: maybe, partL: maybe, wholeL: maybe, bleachDays: maybe }),
    ({ stockPct, wantPct, water, partL, wholeL, bleachDays, units }) => {
      const a = amounts(units);
      const it = thin({ stockPct, wantPct, water, part: partL, whole: wholeL });
      const chlorine = bleachDays === null || stockPct === null ? null : chlorineOf(stockPct, bleachDays, it.water);
      return {
        ...it,
        chlorine,
        says: [
          `${a.L(it.part)} into ${a.L(it.rest)} of water: ${a.L(it.whole)}.`,
          ...(chlorine ? [`${withCommas(Math.round(chlorine.ppm))} ppm of chlorine.`] : []),
        ],
      };
    },
  ),
  paste: question(
    'A thickened paste: litres, thickener, pieces of cover and tape',
    z.strictObject({ ...Told, areaM2: n, filmMm: n, thickenerGL: n.default(30), windMS: n.default(0) }),
    ({ units, areaM2, filmMm, thickenerGL, windMS }) => {
      const a = amounts(units);
      const it = pasteFor({ areaM2, filmMm, thickenerGL, windMS });
      return { ...it, says: [`${a.L(it.litres)} of paste with ${a.g(it.thickenerG)} of thickener, in ${it.portions} portions.`] };
    },
  ),
  mist: question(
    'Water on a textured ceiling: a mist, what hangs there, and what a test scrape says comes next',
    z.strictObject({
      ...Told,
      areaM2: n,
      painted: z.boolean(),
      ground: z.enum(CEILING_GROUNDS),
      mistsDone: z.int().default(0),
      scrape: z.enum(SCRAPES).default('none'),
    }),
    ({ units, language, ...m }) => {
      const it = mistFor(m);
      const { mist } = benchWords(language);
      return { ...it, says: [...mistSays(it, mist, amounts(units)), ...(m.mistsDone === 0 ? mist.before : [])] };
    },
  ),
  pot: question(
    'What stands mixed: how long it may be used, and when it is stirred',
    z.strictObject({ ...Told, kind: z.enum(POT_IDS), airC: n.default(20), ownH: maybe, stoodH: n, unstirredH: n.default(0) }),
    ({ language, units: _units, ...pot }) => {
      const it = potNow(pot);
      return { ...it, says: potSays(it, benchWords(language).pot) };
    },
  ),
  rinseWater: question(
    'Rinse water of an area: how much, in how many drums, and where it may go',
    z.strictObject({
      ...Told,
      areaM2: n,
      eachLM2: n.default(4),
      rinses: z.int().default(2),
      drumL: n.default(120),
      holds: z.enum(RINSE_HOLDS).default('lead'),
    }),
    ({ language, units, ...rinse }) => {
      const it = rinseWaterFor(rinse);
      return { ...it, says: rinseSays(it, rinse.holds, benchWords(language).siteWater, amounts(units)) };
    },
  ),
  steam: question(
    'Steam: how much a boiler makes, its water, and the air that the room needs',
    z.strictObject({ ...Told, kw: n.default(2), tankL: n.default(5), waterC: n.default(15), areaM2: n, volumeM3: maybe }),
    ({ language, units, ...steam }) => {
      const it = steamFor(steam);
      return { ...it, says: steamSays(it, benchWords(language).siteWater, amounts(units)) };
    },
  ),
  nozzle: question(
    'Air, pressure and media of a blasting nozzle',
    z.strictObject({
      ...Told,
      boreIn: n,
      wornIn: n.default(0),
      gaugePsi: n,
      hoseM: n.default(15),
      hoseBoreMm: n.default(32),
      altitudeM: n.default(0),
      machineM3H: maybe,
      media: z.enum(MEDIA_IDS),
      timber: z.enum(TIMBER_SCHOOLS).nullable().default(null),
      hours: n.default(1),
      fullM2: n.default(0),
      sweepM2: n.default(0),
    }),
    ({ units, language, fullM2, sweepM2, ...job }) => {
      const it = nozzle(job);
      const passes = passesOver(job.media, it.mediaKgH, { full: fullM2, sweep: sweepM2 });
      const a = amounts(units);
      const { blast } = benchWords(language);
      return {
        ...it,
        passes,
        says: [
          `${a.of({ value: it.freeM3H, unit: 'm3/h' })} at ${a.of({ value: it.nozzlePsi, unit: 'psi' })}.`,
          ...timberSays(it, blast, a),
          ...passesSay(passes, blast, a),
          ...blast.lockout,
        ],
      };
    },
  ),
  windows: question(
    'When coats may go on: by a simulated climate, the hours of each limit, the first chain, and what a day later costs. It plans; it opens nothing',
    z.strictObject({
      ...Told,
      coats: z
        .array(
          z.strictObject({
            product: z.enum(PRODUCT_IDS),
            coats: z.int().min(1, 'at least one coat').max(6, 'at most six coats').default(1),
            way: z.enum(LAYINGS).default('brush'),
            /** Of the product’s own sheet: hours until the next coat, by heat. It outranks the rule of thumb. */
            sheet: z
              .array(z.strictObject({ c: n.min(-10).max(60), h: n.min(0.05, 'a time is more than 0').max(2000) }))
              .min(2, 'two points at different degrees are needed')
              .max(8)
              .nullable()
              .default(null),
            dries: z.enum(DRYING_KINDS).nullable().default(null),
            areaM2: n.min(0.01, 'an area is more than 0').max(5000, 'check the unit'),
          }),
        )
        .min(1, 'no coat is named')
        .max(10),
      material: z.enum(MATERIALS).default('softwood'),
      region: z.enum(REGION_IDS),
      seed: z.string().max(80).default('windows'),
      from: z.iso.datetime().refine(isYearOfTrade, 'check the year of the time'),
      days: z.int().min(1).max(30).default(10),
      /** Of the clock on the wall, as IANA names it, for daylight saving. */
      timeZone: z.string().refine(isTimeZone, 'no such time zone').default('UTC'),
      outside: z
        .strictObject({ facing: z.enum(FACINGS), shade: z.enum(SHADES).default('mid') })
        .nullable()
        .default(null),
      room: z
        .strictObject({
          heatedC: n.min(-10).max(35).nullable(),
          airChangesH: n.min(0.05).max(30),
          volumeM3: n.min(1).max(10_000),
          waterGH: n.min(0).max(5000).default(100),
        })
        .nullable()
        .default(null),
    }),
    ({ coats, material, region, seed, from, days, timeZone, outside, room, language }) => {
      const weather = simulatedWeather(seed, region, Date.parse(from), days * 24);
      const specs = coats.flatMap((c) =>
        specsFor({ ...c, recoatH: recoatOf(c.product) }, c.coats).map((s) => (c.sheet === null ? s : bySheet(s, c.sheet, c.dries))),
      );
      const place = {
        outside: { ...(outside ?? { facing: 's' as const, shade: 'mid' as const }), shaded: [] },
        room: { ...(room ?? { heatedC: 16, airChangesH: 2, volumeM3: 40, waterGH: 100 }), driedGH: 0 },
        fRsi: 0.7,
      };
      const it = outlookOf(
        weather,
        outside === null ? 'room' : 'elevation',
        [{ surfaceId: '', name: '', material, specs, shade: null, bareMostH: bareMostH(material, 'bare') }],
        place,
        { ...USUAL_HOURS, timeZone },
      );
      const at = (h: number) => new Date(weather.startMs + h * HOUR_MS).toISOString();
      const open = (band: Uint8Array) => band.reduce((sum, x) => sum + x, 0);
      return {
        simulated: weather.simulated,
        coats: it.chain.coats.map((l, i) => ({
          product: specs[i]!.product,
          startsAt: at(l.startH),
          readyAt: at(l.readyH),
          abrade: l.abrade,
        })),
        stopped: it.chain.stopped,
        dayLaterH: it.dayLaterH,
        bareTooLong: it.bareTooLong,
        openHours: it.coats.map((c) => ({
          all: open(c.windows.may),
          ...Object.fromEntries(LIMIT_IDS.map((id) => [id, open(c.windows.bands[id])])),
        })),
        says: [
          language === 'es' ? 'Tiempo simulado: sirve para planear, no para empezar.' : 'Simulated weather: it plans, it opens nothing.',
        ],
      };
    },
  ),
  meet: question(
    'What must not meet among these, what would come of it in this room, and what separates them',
    z.strictObject({ ...Told, agents: z.array(z.enum(AGENT_IDS)).min(2).max(AGENT_IDS.length), amount: maybe, roomM3: maybe }),
    ({ agents, amount, roomM3, language }) => {
      const words = benchWords(language);
      const found = meetingsAmong(agents).map((m) => ({
        ...m,
        made: amount === null || roomM3 === null ? null : gasOf(m, amount, roomM3),
      }));
      return {
        found,
        says: found.map((m) => `${words.agent[m.one]} + ${words.agent[m.other]}: ${words.forms[m.forms]}. ${words.parted[m.parted]}`),
      };
    },
  ),
  label: question(
    'What stands on a bottle: signal word, hazards, pictograms, gloves, eyes and what it must never meet',
    z.strictObject({ ...Told, content: z.enum(CONTENT_IDS), pct: n, ...SHEET_SAYS }),
    ({ content, pct, language, gloves, flashC }) => {
      const it = hazardsOf(content, pct, { gloves, flashC });
      const words = benchWords(language);
      return { ...it, says: [words.content[content], ...it.codes.map((code) => words.hazard[code])] };
    },
  ),
} as const;
export type QuestionId = keyof typeof QUESTIONS;
export const QUESTION_IDS = Object.keys(QUESTIONS) as QuestionId[];

/** A sheet of labels: as many of each as stand there. */
export const LabelSheet = z.strictObject({
  units: z.enum(['ft', 'm']).default('m'),
  languages: z.array(z.enum(LANGUAGES)).min(1).max(2).default(['en', 'es']),
  bottles: z
    .array(
      z.strictObject({
        content: z.enum(CONTENT_IDS),
        named: z.string().trim().max(80).default(''),
        pct: n,
        /** No sheet names it: `pct` is the strongest that it may be, and the label says so. */
        pctUnsaid: z.boolean().default(false),
        ...SHEET_SAYS,
        ratio: z.string().trim().max(60).default(''),
        madeOn: Day,
        by: z.string().trim().min(1, 'who made it?').max(60),
        count: z.int().min(1, 'at least one label').max(48, 'at most 48 of one kind').default(1),
      }),
    )
    .min(1, 'no bottle is named')
    .max(24),
});
export type LabelSheet = z.output<typeof LabelSheet>;
