/** H1, O3, O5 and P1 over a zone: everything that its strokes reach, one of everything, and checks that hold. */
import { NEARBY, type Check, type JobFacts, type Surface } from '../../../../core/src/facts';
import { createDeriver } from '../../../../core/src/job/derive';
import { type JobPlan } from '../../../../core/src/job/plan';
import type { SurfacePlan } from '../../../../core/src/zone/surface-plan';
import type { ZonePlan } from '../../../../core/src/zone';
import { bookOf } from '../../../../core/src/rulebook';
import { wasteOf } from '../../../../core/src/waste';
import { shiftsOf } from '../../../../core/src/job/shift';
import { zoneSigns } from '../../../../core/src/zone/signs';
import { limitFor, measured, presumed } from '../oracle/air';
import { FACTOR } from '../oracle/masks';
import { DOES, type Does } from '../oracle/methods';
import { THIS_YEAR } from '../scenario';
import type { Run } from '../run';
import type { Law } from './law';

const present = (state: string): boolean => state !== 'notFound';
const isMoldy = (s: Surface): boolean => s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0;
const nameOf = (facts: JobFacts, id: string): string => facts.surfaces.find((s) => s.id === id)?.name ?? id;

/** What the plan does to a surface: the methods that it picked, by what they are on site. */
const strokesOf = (p: SurfacePlan): (Does & { readonly id: string })[] =>
  p.choice.parts
    .flatMap((part) => [part.selected.value, ...part.also.map((a) => a.value)])
    .flatMap((id) => (id === null ? [] : [{ ...DOES[id], id }]))
    .filter((d) => d.to !== 'nothing');

const isWorked = (p: SurfacePlan): boolean => p.work.steps.some((st) => st.kind === 'prepare');

/** Over 2 m, or from a scaffold of which nobody said how high. */
function atHeight({ facts }: Run, s: Surface): boolean {
  const { accessM, kind, nearby } = facts.spaces.find((x) => x.id === s.spaceId)!;
  return accessM === null ? kind === 'elevation' && nearby.some((n) => n.what === 'scaffold') : accessM > 2;
}

/** A zone has what any of its strokes reaches or makes. */
function missingHazards(run: Run, z: ZonePlan): string[] {
  const has = (kind: string, id: string) => z.hazards.some((h) => h.kind === kind && h.surfaceIds.includes(id));
  return z.surfaceIds.flatMap((id) => {
    const p = run.plans.get(id);
    const s = run.facts.surfaces.find((x) => x.id === id);
    if (!p || !s) return [`${z.name} holds ${id}, of which there is no plan`];
    const strokes = strokesOf(p);
    if (strokes.length === 0) return [];
    const wanted: readonly (readonly [string, boolean])[] = [
      ['lead', present(p.lead.overall.value)],
      ['asbestos', present(p.asbestos.overall.value)],
      ['mold', isMoldy(s)],
      ['hotWork', strokes.some((d) => d.hot === true)],
      ['caustic', strokes.some((d) => d.id.startsWith('caustic'))],
      ['vapour', strokes.some((d) => d.id === 'solventGel')],
      ['dust', strokes.some((d) => d.motor === true || d.dryHand === true || d.blast === 'open')],
      ['height', atHeight(run, s)],
    ];
    const out = wanted.filter(([kind, is]) => is && !has(kind, id)).map(([kind]) => `${z.name}: ${kind} of ${s.name} is forgotten`);
    if (present(p.lead.overall.value) && z.protection.care !== 'lead')
      out.push(`${z.name}: set up for ${z.protection.care} beside lead on ${s.name}`);
    if (present(p.asbestos.overall.value) && !z.protection.needed.value) out.push(`${z.name}: not guarded above asbestos on ${s.name}`);
    return out;
  });
}

function countedTwice(run: Run): string[] {
  const { job, facts } = run;
  const out: string[] = [];
  for (const p of job.surfaces) {
    const holding = job.zones.filter((z) => z.surfaceIds.includes(p.surfaceId));
    if (holding.length !== 1 || holding[0]!.zoneId !== p.zoneId) out.push(`${nameOf(facts, p.surfaceId)} is in ${holding.length} zones`);
  }
  for (const z of job.zones) {
    const rooms = z.spaceIds.map((id) => facts.spaces.find((s) => s.id === id)!);
    const floor = rooms.reduce((sum, r) => sum + (r.lengthM ?? Infinity) * (r.widthM ?? Infinity), 0);
    if (z.kind === 'room' && z.protection.sheetLaidM2.value > floor + 1e-6) out.push(`${z.name}: more sheet than the room holds`);
    // 10 ft by 40 CFR 745.85; under UK rules the same by good practice, rounded to 3.05 m.
    const [beyond, edge] = [facts.job.rulebook === 'uk' ? 3.05 : 3.048, rooms[0]?.boundaryM ?? Infinity];
    if (z.kind === 'elevation' && rooms.length === 1 && rooms[0]!.lengthM !== null) {
      const most = (rooms[0]!.lengthM + 2 * beyond) * Math.min(beyond, edge);
      if (z.protection.sheetLaidM2.value > most + 1e-6) out.push(`${z.name}: sheet beyond its side or its boundary`);
    }
    const listed = z.steps.flatMap((st) => st.amounts).filter((a) => a.what === 'sheet');
    const bought = listed.reduce((sum, a) => sum + a.amount.value, 0);
    if (z.steps.length > 0 && Math.abs(bought - z.protection.sheetBoughtM2) > 1e-6)
      out.push(`${z.name}: ${z.protection.sheetBoughtM2} m2 of sheet in the price, ${bought} on the list`);
    if (z.steps.filter((s) => s.kind === 'protect').length > 1) out.push(`${z.name}: set up twice`);
  }
  const own = job.surfaces.reduce((sum, p) => sum + p.work.handsOnH.high - p.work.sharedH.high, 0);
  const hours = job.zones.reduce((sum, z) => sum + z.handsOnH.high, own);
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6 * Math.max(1, Math.abs(b));
  if (!near(hours, job.totals.personHours.high)) out.push(`${hours} h in zones and surfaces, ${job.totals.personHours.high} h on the job`);
  const surfaces = job.surfaces.reduce((sum, p) => sum + p.money.high, 0);
  if (!near(surfaces + job.totals.lines.tests.high + job.totals.lines.packs.high, job.totals.money.high))
    out.push('the money of the surfaces and the tests is not that of the job');
  // Each line is reckoned where its work is planned, the whole from the surfaces: two ways to one sum.
  for (const end of ['low', 'high'] as const) {
    const lines = Object.values(job.totals.lines).reduce((sum, l) => sum + l[end], 0);
    if (!near(lines, job.totals.money[end])) out.push(`the lines of the money come to ${lines}, the job to ${job.totals.money[end]}`);
  }
  for (const z of job.zones)
    if (
      z.steps.length > 0 &&
      z.protection.respirator.value !== null &&
      Object.values(run.settings.wearPerDay).every((x) => x > 0) &&
      z.bought.wear.low <= 0
    )
      out.push(`${z.name}: a mask is worn and nobody pays for it`);
  return out;
}

/** The most growth in any room where a stroke meets some, ft2: a room's patches are summed, and one that nobody measured is taken for a large one. EPA 402-K-01-001. */
function grows({ facts }: Run, members: readonly SurfacePlan[], z: ZonePlan): number {
  const is = (s: Surface) => s.removedAt === null && (s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0);
  // A stroke of any kind sets it free, where it is on the piece that is worked.
  const met = members.some(
    (p) => facts.surfaces.some((s) => s.id === p.surfaceId && is(s)) && strokesOf(p).some((d) => d.to !== 'nothing'),
  );
  if (!met) return 0;
  // Joined rooms stand open to each other: growth in the one that nobody works is in the same closed place.
  return Math.max(
    ...z.spaceIds.map((room) => {
      const moldy = facts.surfaces.filter((s) => s.spaceId === room && is(s));
      return moldy.reduce((sum, s) => sum + (s.moldM2 === null ? Infinity : s.moldM2 / 0.09290304), 0);
    }),
    0,
  );
}

/** Holds free silica: masonry, concrete, plaster, and the joint compound of boards. */
const STONE = ['limePlaster', 'gypsumPlaster', 'board', 'concrete', 'brick', 'stone'];
/** Each hazard has its own measures, and what must not go through the house is behind a closed door. EPA 402-K-01-001; 29 CFR 1926.1153; NFPA 51B. */
const keptInTooLittle = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const members = z.surfaceIds.flatMap((id) => run.plans.get(id) ?? []).filter(isWorked);
    const strokes = members.flatMap(strokesOf);
    const gates = z.steps.flatMap((st) => st.gates.map((g) => g.id));
    const growth = z.kind === 'room' ? grows(run, members, z) : 0;
    const stone = members.some(
      (p) =>
        STONE.includes(run.facts.surfaces.find((s) => s.id === p.surfaceId)!.material) &&
        strokesOf(p).some((d) => d.motor === true || d.dryHand === true || d.blast === 'open'),
    );
    const closed = z.protection.needed.value && z.protection.openings.value === 'closeAndSeal';
    const wanted: readonly (readonly [string, boolean, boolean])[] = [
      ['growth of 10 ft2 and no sheet round it', growth >= 10, gates.some((g) => g.startsWith('growth-sheet'))],
      ['growth of over 100 ft2 and no second sheet', growth > 100 && growth < Infinity, gates.includes('growth-sheet.two')],
      ['growth of 10 ft2 and the room stands open', growth >= 10, closed],
      ['dust of stone and the room stands open', stone && z.kind !== 'elevation', closed],
      ['dust of stone and a dry broom', stone, gates.includes('dust-kept') && gates.includes('dust-gone')],
      ['heat and nobody clears what burns', strokes.some((d) => d.hot === true), gates.includes('hot-clear')],
      [
        'heat beside solvent on one day',
        strokes.some((d) => d.hot === true) && strokes.some((d) => d.id === 'solventGel'),
        gates.includes('heat-apart'),
      ],
      ['solvent and a pilot light', strokes.some((d) => d.id === 'solventGel'), gates.includes('flames-out')],
    ];
    return wanted.filter(([, is, has]) => is && !has).map(([what]) => `${z.name}: ${what}`);
  });

/** A coat of it is cut, sealed or covered, or the piece goes out with whatever of it may hold asbestos. Law H11. */
function isOnAsbestos(p: SurfacePlan): boolean {
  const picked = p.choice.parts
    .flatMap((part) => [part.selected.value, ...part.also.map((a) => a.value)])
    .flatMap((id) => (id === null ? [] : [DOES[id]]));
  const { coat, below, putty } = p.asbestos;
  if (present(coat.value) && picked.some((d) => d.to !== 'nothing' || d.closes === true)) return true;
  return picked.some((d) => d.to === 'out') && (present(below.value) || present(putty.value));
}

/** Where a stroke goes into a coat that may hold asbestos. 29 CFR 1926.1101(g)(9), (h), (j), (k); CAR 2012. */
const fibresLoose = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const into = z.surfaceIds.filter((id) => {
      const p = run.plans.get(id);
      return p !== undefined && isOnAsbestos(p);
    });
    if (into.length === 0) return z.protection.fibres ? [`${z.name}: set up for fibres that nobody frees`] : [];
    const { care, fibres, respirator, kit, needed } = z.protection;
    const worn = kit.map((k) => k.value);
    const gates = z.steps.flatMap((st) => st.gates.map((g) => g.id));
    const waste = wasteOf(run.facts, run.job, run.settings).map((w) => w.stream);
    const wanted: readonly (readonly [string, boolean])[] = [
      ['an area of its own', needed.value && fibres && (care === 'asbestos' || care === 'lead')],
      [
        'a mask of factor 10, or 20 under UK rules',
        respirator.value !== null && FACTOR[respirator.value]! >= (run.facts.job.rulebook === 'uk' ? 20 : 10),
      ],
      ['suit and overshoes', worn.includes('coverall') && worn.includes('bootCovers')],
      ['its vacuum', worn.includes(run.facts.job.rulebook === 'uk' ? 'asbestosVacuum' : 'hepaVacuum')],
      ['its checks', z.steps.length === 0 || (gates.includes('fibres-ready') && gates.includes('fibres-gone'))],
      ['its sign', zoneSigns(z, bookOf(run.facts.job)).some((x) => x.about === 'asbestos' && x.en[0] === 'DANGER')],
      ['its bags', waste.includes('suspectAsbestos')],
    ];
    return wanted.filter(([, has]) => !has).map(([what]) => `${z.name}: asbestos is worked without ${what}`);
  });

/** Live services beside the work are made safe before it and put back after it; heat is watched. */
function unsafeBeside(run: Run): string[] {
  return run.job.zones.flatMap((z) => {
    // Where a part is not decided yet, nothing is done.
    const members = z.surfaceIds.flatMap((id) => run.plans.get(id) ?? []).filter(isWorked);
    const near = run.facts.spaces.filter((x) => members.some((p) => p.spaceId === x.id)).flatMap((x) => x.services);
    const strokes = members.flatMap(strokesOf);
    const gates = z.steps.flatMap((st) => st.gates.map((g) => `${st.kind}/${g.id}`));
    const any = (f: (d: Does) => boolean) => strokes.some(f);
    const dusty = any((d) => d.motor === true || d.dryHand === true || d.blast === 'open');
    const wanted: readonly (readonly [string, boolean])[] = [
      ['protect/alarm-covered', near.includes('alarm') && (any((d) => d.hot === true) || dusty)],
      ['cleanUp/alarm-uncovered', near.includes('alarm') && (any((d) => d.hot === true) || dusty)],
      ['protect/wiring-dead', near.includes('wiring') && any((d) => d.wet === true)],
      ['protect/heater-cold', near.includes('liveHeater') && any((d) => d.wet === true)],
      ['cleanUp/fire-watch', any((d) => d.hot === true)],
      ['protect/air-runs', z.kind === 'room' && grows(run, members, z) >= 10],
    ];
    return [...wanted, ...liesNear(run, z, members.length > 0)]
      .filter(([g, is]) => is !== gates.includes(g) && (is || g.startsWith('protect/near.') || g === 'protect/air-runs'))
      .map(([g, is]) => `${z.name}: ${is ? 'no' : 'needless'} ${g}`);
  });
}

/** Feet are exact: 7 ft and 20 ft; a mist under UK rules 2 m and 6 m. */
const MIST_M = { us: { can: 2.1336, lowPressure: 2.1336, airless: 6.096 }, uk: { can: 2, lowPressure: 2, airless: 6 } } as const;
/**
 * Before a side that is guarded, or from which anything runs off: what lies within 20 ft (6.1 m under UK rules), and what nobody measured; before one that is sprayed what its
 * mist reaches; a scaffold wherever anything is done. Grit flies 15 m; caustic and acid run 12 m into drain, pond and bed, and so may the water
 * of any rinse; from above the first storey what falls may drift 1.5 m farther for each. Common practice. Between what must and what may
 * be asked the law is silent.
 */
function liesNear(run: Run, z: ZonePlan, worked: boolean): (readonly [string, boolean])[] {
  const { facts } = run;
  const mists = mistsOf(run, z).map(({ l }) => MIST_M[facts.job.rulebook][l.way as keyof (typeof MIST_M)['us']]);
  const sealed = facts.job.rulebook === 'uk' ? 6.1 : 6.096;
  const there = z.kind === 'elevation' ? facts.spaces.filter((x) => z.spaceIds.includes(x.id)).flatMap((x) => x.nearby) : [];
  const members = z.surfaceIds.flatMap((id) => run.plans.get(id) ?? []).filter(isWorked);
  // Water and what is in it runs off, with lead in it or without.
  const runs = members.some(
    (p) =>
      strokesOf(p).some((d) => d.wet === true || d.laid === true || d.brings !== undefined) ||
      p.work.steps.some((st) => !st.shared && (st.kind === 'wash' || st.kind === 'rinse')),
  );
  const within = Math.max(z.surfaceIds.length > 0 && (z.protection.needed.value || runs) ? sealed : 0, ...mists);
  const strokes = members.flatMap(strokesOf);
  const storeys = Math.max(
    0,
    ...facts.spaces.filter((x) => z.spaceIds.includes(x.id)).map((x) => Math.max(x.accessM ?? 0, x.heightM ?? 0) / 3),
  );
  return NEARBY.flatMap((what): (readonly [string, boolean])[] => {
    const into = ['drain', 'pond', 'vegetables'].includes(what);
    const burns = strokes.some((d) => d.brings?.some((b) => b === 'alkali' || b === 'acid'));
    const grit = strokes.some((d) => d.blast === 'open');
    const must = Math.max(within, grit ? 15 : 0, into && burns ? 12 : 0);
    const may = within === 0 ? must : Math.max(must, within + 1.5 * storeys, into && runs ? 12 : 0);
    const near = (m: number) =>
      worked && there.some((n) => n.what === what && (what === 'scaffold' || (m > 0 && (n.outM === null || n.outM <= m))));
    return near(may) && !near(must) ? [] : [[`protect/near.${what}`, near(must)]];
  });
}

/** Given back last, once all of the zone has passed; nothing is kept closed that was never sealed. */
const notGivenBack = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const gates = z.steps.flatMap((st) => st.gates);
    const last = gates.at(-1);
    const back = gates.find((g) => g.id === 'released');
    if (gates.length === 0) return [];
    if ((back !== undefined) !== z.protection.needed.value) return [`${z.name}: ${back ? 'needlessly' : 'never'} given back`];
    if (back && last !== back) return [`${z.name}: something is checked after it was given back`];
    return back?.state === 'passed' && gates.some((g) => g.state !== 'passed') ? [`${z.name}: given back before all has passed`] : [];
  });

/** Nobody at one of several tasks needs more than what everybody wears when they go on at once, and one task is the whole. */
const wornTooLittle = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const p = z.protection;
    const factor = (id: string | null) => (id === null ? 0 : FACTOR[id]!);
    return p.tasks.flatMap((t) => [
      ...(factor(t.respirator.value) > factor(p.respirator.value)
        ? [`${z.name}: ${t.methodId} alone asks for a better mask than the zone`]
        : []),
      ...t.cartridges.filter((c) => !p.cartridges.includes(c)).map((c) => `${z.name}: no ${c} cartridge beside ${t.methodId}`),
      ...(p.tasks.length === 1 && t.kit.map((k) => k.value).join() !== p.kit.map((k) => k.value).join()
        ? [`${z.name}: its one task is dressed otherwise than the zone`]
        : []),
    ]);
  });

/** Thinned with solvent: by what the tins say, not by the product's own table. */
const SOLVENT_COATS = [
  'alkydGloss',
  'clearVarnish',
  'metalEnamel',
  'antifoulingCoat',
  'heatEnamel',
  'woodStain',
  'penetratingOil',
  'pasteWax',
  'underwaterPrimer',
  'alkydWood',
  'knotting',
  'stainBlock',
  'oilyWood',
  'sandingSealer',
  'zincPhosphate',
  'etch',
  'heatResistant',
];
const laidWithSolvent = (run: Run, z: ZonePlan) =>
  z.surfaceIds.flatMap(
    (id) => run.plans.get(id)?.coating.lines.filter((l) => SOLVENT_COATS.includes(l.product) && l.areaM2 > 0 && l.coats > 0) ?? [],
  );
/** Air from a line needs no cartridge. */
const airFed = (id: string | null): boolean => id?.startsWith('airline') ?? false;
/** What makes a mist, and how far it flies, m: as the trade has it, no published source. */
const MISTS: Readonly<Record<string, number>> = { can: 2, lowPressure: 2, airless: 6 };
const mistsOf = (run: Run, z: ZonePlan) =>
  z.surfaceIds.flatMap((id) => {
    const plan = run.plans.get(id);
    return (plan?.coating.lines ?? []).flatMap((l) => (l.way in MISTS && l.areaM2 > 0 && l.coats > 0 ? [{ l, plan: plan! }] : []));
  });
/** A mist stays this side of the boundary, burns in no room, is breathed by nobody, and waits until the place is closed for it. */
const mistLoose = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const mists = mistsOf(run, z);
    const { coat } = z.protection;
    const said = z.hazards.some((h) => h.kind === 'mist');
    return [
      ...(said === mists.length > 0 ? [] : [`${z.name}: a mist is ${said ? 'told that nobody makes' : 'not told'}`]),
      ...mists.flatMap(({ l, plan }) => {
        const s = run.facts.surfaces.find((x) => x.id === plan.surfaceId)!;
        const space = run.facts.spaces.find((x) => x.id === s.spaceId)!;
        const where = `${z.name}: ${l.product} by ${l.way}`;
        const solvent = SOLVENT_COATS.includes(l.product);
        const before = plan.work.steps.findIndex((st) =>
          st.gates.some((g) => /^mist-(kept|wind)\./.test(g.id) && g.id.endsWith(`.${l.product}`)),
        );
        const at = plan.work.steps.findIndex((st) => ['prime', 'coat'].includes(st.kind) && st.id.endsWith(`.${l.product}`));
        const edge = space.boundaryM ?? 0;
        return [
          ...(coat === null || coat.respirator.value === null ? [`${where} without a mask`] : []),
          ...(solvent && !airFed(coat?.respirator.value ?? null) && !coat?.cartridges.includes('organicVapour')
            ? [`${where} without its cartridge`]
            : []),
          ...(coat?.kit.some((k) => k.value === 'coverall') ? [] : [`${where} without a suit`]),
          ...(at >= 0 && (before < 0 || before > at) ? [`${where} before the place is closed for it`] : []),
          ...(!s.bench && space.kind === 'elevation' && edge < MISTS[l.way]! ? [`${where} goes over the boundary`] : []),
          ...(!s.bench && space.kind === 'room' && solvent && (l.way !== 'can' || l.areaM2 > 1.5) ? [`${where} burns in a room`] : []),
          ...(l.way !== 'can' && run.facts.job.power === 'no' ? [`${where} without power`] : []),
        ];
      }),
    ];
  });
/** A coat over a sealed suspect is laid and left: the finest pad goes through the sealer. */
const rubsSuspect = (run: Run): string[] =>
  [...run.plans.values()].flatMap((p) =>
    present(p.asbestos.coat.value) && p.work.steps.some((st) => st.because.some((r) => r.rule === 'coat.denib'))
      ? [`${nameOf(run.facts, p.surfaceId)}: rubbed between coats, over what may hold asbestos`]
      : [],
  );
/** What of its own coats gives off solvent, is not sprayed, and is laid without anybody asking for air and flames. */
const unaired = (plan: SurfacePlan | undefined): string[] =>
  (plan?.coating.lines ?? [])
    .filter((l) => SOLVENT_COATS.includes(l.product) && !(l.way in MISTS) && l.areaM2 * l.coats > 0)
    .filter((l) =>
      plan!.work.steps.some(
        (st) =>
          ['prime', 'coat'].includes(st.kind) && st.id.endsWith(`.${l.product}`) && !st.gates.some((g) => g.id === `coat-air.${l.product}`),
      ),
    )
    .map((l) => l.product);
/** Who coats with solvent indoors has the cartridge for it, and the zone says that there is vapour. */
const coatsUnmasked = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const laid = laidWithSolvent(run, z);
    // What its own sheet asks to be dressed for is no mistake.
    const goods = new Set<string>(z.surfaceIds.flatMap((id) => run.plans.get(id)?.coating.lines.map((l) => l.product) ?? []));
    const bySheet = (run.settings.products ?? []).some(
      (p) => goods.has(p.good) && (p.gloves !== null || p.filter !== null || (p.flashC ?? 61) <= 60),
    );
    if (laid.length === 0)
      return z.protection.coat === null || bySheet || mistsOf(run, z).length > 0 ? [] : [`${z.name}: dressed for a coat that nobody lays`];
    const { coat } = z.protection;
    return [
      ...(coat === null ? [`${z.name}: ${laid[0]!.product} is laid and nobody is dressed for it`] : []),
      ...(coat &&
      z.kind !== 'elevation' &&
      (coat.respirator.value === null || !(airFed(coat.respirator.value) || coat.cartridges.includes('organicVapour')))
        ? [`${z.name}: ${laid[0]!.product} inside without its cartridge`]
        : []),
      ...(z.kind === 'elevation'
        ? []
        : z.surfaceIds.flatMap((id) =>
            unaired(run.plans.get(id)).map((product) => `${z.name}: ${product} inside, and nobody asks for air and flames`),
          )),
      ...(z.hazards.some((h) => h.kind === 'vapour') ? [] : [`${z.name}: the vapour of ${laid[0]!.product} is forgotten`]),
    ];
  });

/** While it is sealed nobody is told to open a window for what is laid then, nor by a sign at its door. */
const opensTheSeal = (run: Run): string[] =>
  run.job.zones.flatMap((z) =>
    z.protection.openings.value !== 'closeAndSeal'
      ? []
      : [
          ...zoneSigns(z, bookOf(run.facts.job))
            .filter((s) => [...s.en, ...s.es].some((l) => /WINDOWS OPEN|VENTANAS ABIERTAS/.test(l)))
            .map((s) => `${z.name}: sealed, and its sign (${s.about}) says to keep the windows open`),
          ...z.vapour
            // With a stroke goes what its residue is wiped off with.
            .filter((v) => (v.value.what in DOES || v.value.what === 'whiteSpirit') && v.value.openM2 !== v.value.shutM2)
            .map((v) => `${z.name}: sealed, and more ${v.value.what} may be laid with its windows open`),
        ],
  );

/** The longest day of anybody who is put down in a zone, over all zones of that day, h. */
function longestDay({ stints }: JobFacts, zoneId: string): number {
  const there = stints.filter((s) => s.removedAt === null);
  const day = (a: (typeof there)[number]) =>
    there
      .filter((b) => b.on === a.on && b.person.trim().toLowerCase() === a.person.trim().toLowerCase())
      .reduce((sum, b) => sum + b.hours, 0);
  return Math.max(0, ...there.filter((s) => s.zoneId === zoneId).map(day));
}

/** Factor times limit covers what is breathed at every task on lead, whatever the length of the shift; no mask only on two own results a week apart. */
const coversTooLittle = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const { facts } = run;
    const limit = limitFor(facts, Math.max(z.setup.shiftH ?? run.settings.hoursPerDay, longestDay(facts, z.zoneId)));
    return z.protection.tasks.flatMap((t) => {
      const on = z.surfaceIds.flatMap((id) => {
        const p = run.plans.get(id);
        const s = facts.surfaces.find((x) => x.id === id)!;
        return p && present(p.lead.overall.value) && strokesOf(p).some((d) => d.id === t.methodId) ? [s] : [];
      });
      const breathed = on.map((s) => measured(facts, s, t.methodId) ?? { most: presumed(t.methodId), settled: false });
      const most = Math.max(0, ...breathed.map((b) => b.most));
      const refused = t.respirator.because.some((r) => r.effect === 'block');
      if (most === 0 || refused) return [];
      const factor = t.respirator.value === null ? 1 : FACTOR[t.respirator.value]!;
      if (factor * limit < Math.min(most, 1000 * limit) - 1e-6)
        return [`${z.name}: ${t.respirator.value ?? 'no mask'} at ${t.methodId} covers ${factor * limit}, and ${most} is breathed`];
      return t.respirator.value === null && !breathed.every((b) => b.settled)
        ? [`${z.name}: no mask at ${t.methodId} on results that are not two, a week apart`]
        : [];
    });
  });

/** Whoever is in several zones wears what the strictest asks for, enough for a day of that length, and the day is the sum of its parts. */
const wrongShifts = (run: Run): string[] =>
  shiftsOf(run.facts, run.job, run.settings).flatMap((s) => {
    const factor = (id: string | null) => (id === null ? 0 : FACTOR[id]!);
    const zones = run.job.zones.filter((z) => s.stints.some((x) => x.zoneId === z.zoneId));
    // At the strokes, and while it is coated: what asks for more than is worn.
    const worn = (z: ZonePlan) => [z.protection.respirator.value, z.protection.coat?.respirator.value ?? null];
    const least = zones.find((z) => worn(z).some((id) => factor(id) > factor(s.mask)));
    // Whoever coats with solvent indoors wears a cartridge for it, whatever else they do that day.
    const gassed = zones.find((z) => z.kind !== 'elevation' && laidWithSolvent(run, z).length > 0);
    const hours = s.stints.reduce((sum, x) => sum + x.hours, 0);
    const limit = limitFor(run.facts, hours);
    const worst = Math.max(0, ...s.parts.map((p) => p.ugM3 ?? Infinity));
    const lead = s.parts.reduce((sum, p) => sum + p.hours * (p.ugM3 ?? 0), 0);
    return [
      ...(least ? [`${s.person}: ${s.mask ?? 'no mask'}, and ${least.name} asks for ${worn(least).join(' and ')}`] : []),
      ...(Math.max(1, factor(s.mask)) * limit < Math.min(worst, 1000 * limit) - 1e-6
        ? [`${s.person}: ${s.mask ?? 'no mask'} on a day of ${hours} h, and ${worst} is breathed`]
        : []),
      ...(gassed && (s.mask === null || !(airFed(s.mask) || s.cartridges.includes('organicVapour')))
        ? [`${s.person}: coats in ${gassed.name} without a cartridge for it`]
        : []),
      ...(Math.abs(s.parts.reduce((sum, p) => sum + p.hours, 0) - hours) > 1e-6 ? [`${s.person}: hours lost on the way`] : []),
      ...(s.lead && Math.abs(s.lead.average - lead / Math.max(8, hours)) > 1e-6
        ? [`${s.person}: the day is not the sum of its parts`]
        : []),
    ];
  });

/** From above down: what is overhead before what it drips on, what is walked on last. */
const LEVEL: Readonly<Record<string, number>> = {
  ceiling: 0,
  wall: 1,
  siding: 1,
  door: 2,
  doubleHungSash: 2,
  baseboard: 3,
  floorBoards: 4,
};
const outOfTurn = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const levels = z.order.flatMap((id) => LEVEL[run.facts.surfaces.find((s) => s.id === id)!.element] ?? []);
    const worked = z.surfaceIds.filter((id) => run.plans.has(id) && isWorked(run.plans.get(id)!));
    return [
      ...(levels.some((n, i) => i > 0 && n < levels[i - 1]!) ? [`${z.name}: something is worked before what drips on it`] : []),
      ...([...z.order].sort().join() === [...worked].sort().join()
        ? []
        : [`${z.name}: what is worked and what stands in its order differ`]),
    ];
  });

const FINISH = ['prime', 'coat', 'unmask'];
/** Cleaned and verified after the last stroke and before anything is coated. */
function outOfOrder(run: Run): string[] {
  return run.job.surfaces.flatMap((p) => {
    const kinds = p.work.steps.map((s) => s.kind);
    const last = (k: string) => kinds.lastIndexOf(k as (typeof kinds)[number]);
    const coat = kinds.findIndex((k) => FINISH.includes(k));
    const name = nameOf(run.facts, p.surfaceId);
    const out: string[] = [];
    if (kinds.includes('remove') && last('cleanUp') < last('remove')) out.push(`${name}: a stroke after the clean-up`);
    if (coat >= 0 && (coat < last('cleanUp') || p.work.steps.findIndex((x) => x.id === 'verify') > coat))
      out.push(`${name}: coated before it is cleaned`);
    if (kinds.includes('remove') && kinds.indexOf('remove') < kinds.indexOf('protect')) out.push(`${name}: a stroke before it is set up`);
    return out;
  });
}

/** Fittings, masking, washing and de-nibbing where they belong, and only there. */
function senseless(run: Run): string[] {
  return run.job.surfaces.filter(isWorked).flatMap((p) => {
    const s = run.facts.surfaces.find((x) => x.id === p.surfaceId)!;
    const ids = p.work.steps.map((st) => st.id);
    const at = (id: string) => ids.indexOf(id);
    const stroke = p.work.steps.findIndex((st) => st.kind === 'remove');
    const coat = p.work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat');
    const out: string[] = [];
    const say = (what: string) => out.push(`${s.name}: ${what}`);
    const glazed = s.parts.some((x) => x.removedAt === null && x.kind === 'besideGlass');
    // Cut in by hand where the firm does so; what flies or spatters is masked all the same.
    const byHand = run.settings.glassLine === 'cutIn' && p.coating.lines.every((l) => ['brush', 'pad', 'wipe'].includes(l.way));
    if (coat >= 0 && glazed && !byHand && (at('mask.coats') < 0 || at('mask.coats') > coat || at('unmask') < coat))
      say('glass is coated beside without masking on and off');
    for (const st of p.work.steps.filter((x) => x.kind === 'mask' && x.id.startsWith('mask.'))) {
      const tape = st.amounts.filter((x) => x.what.endsWith('Tape'));
      if (tape.length === 0 || tape.some((x) => !(x.amount.value > 0))) say(`${st.id} has no tape`);
      // A metre of it is an edge of something on the piece: no more than everything there is, ten times about.
      const most = 10 * s.count * s.faces * (30 * (s.lengthM + s.widthM) + 10);
      if (tape.some((x) => x.amount.value > most)) say(`${st.id} takes more tape than there are edges`);
    }
    if (coat >= 0 && ['door', 'doubleHungSash', 'casementSash', 'shutter'].includes(s.element) && at('fittings') < 0)
      say('nobody looks to its fittings');
    if (at('fittings') >= 0 && stroke >= 0 && at('fittings') > stroke) say('fittings are looked to after a stroke');
    if (at('unmask') >= 0 && at('unmask') < p.work.steps.findLastIndex((st) => st.kind === 'coat')) say('unmasked before the last coat');
    if (coat < 0 && at('mask.coats') >= 0) say('masked for coats that are not planned');
    const unscrewed = p.work.steps.some((st) => st.title.rule === 'step.fittingsOff');
    // Nothing is fitted again while the coat that goes on before it is asked about.
    if (coat < 0 && at('unmask') >= 0 !== (unscrewed && at('coat.ask') < 0))
      say('fittings and their way back do not agree where no coat is laid');
    if (at('mask.strokes') >= 0 && at('mask.coats') < 0 && at('unmask.strokes') < 0) say('what was masked for the strokes never comes off');
    const scuffs = strokesOf(p).some((d) => d.id === 'overcoat');
    const first = p.work.steps.findIndex((st) => st.kind === 'remove');
    const washed = p.choice.parts.some((x) => x.also.some((a) => a.value === 'washDegrease'));
    const cleaned = p.choice.parts.some((x) => x.also.some((a) => ['moldWash', 'moldBiocide', 'moldBleach'].includes(a.value)));
    if (cleaned && at('wash') >= 0 && p.choice.parts.length === 1) say('growth is washed like dirt before it is cleaned');
    const soluble = ['limewash', 'distemper'].includes(
      s.layers.filter((l) => l.removedAt === null).sort((a, b) => a.position - b.position)[0]?.binder ?? '',
    );
    if (soluble && at('wash') >= 0) say('what water takes up is washed');
    if (scuffs && !washed && !cleaned && !soluble && !present(p.asbestos.coat.value) && (at('wash') < 0 || at('wash') > first))
      say('scuffed before it is washed');
    if (at('wash') >= 0 && present(p.asbestos.coat.value)) say('what may hold asbestos is wetted');
    if (at('wash') >= 0 && coat < 0 && stroke < 0) say('washed for nothing');
    return out;
  });
}

interface Turn {
  readonly surfaceId: string | null;
  readonly zoneId: string;
  readonly gate: string;
  /** What it says. */
  readonly rule: string;
  readonly backTo: string;
  readonly step: number;
  readonly kind: string;
}
/** Every check of a zone in the turn in which it falls due: prepared, set up, every surface to its last stroke, cleaned, verified, finished. */
function turnsOf(job: JobPlan, z: ZonePlan): Turn[] {
  // What is left as it is waits for nothing, and nothing for it.
  const members = z.surfaceIds.flatMap((id) => job.surfaces.find((p) => p.surfaceId === id) ?? []).filter(isWorked);
  const isFinish = (st: SurfacePlan['work']['steps'][number]) =>
    FINISH.includes(st.kind) ||
    st.id === 'coat.ask' ||
    st.id === 'asbestosStays' ||
    st.id === 'giveBack' ||
    st.id === 'mask.coats' ||
    st.id.startsWith('mist.');
  const own = (want: (st: SurfacePlan['work']['steps'][number]) => boolean) =>
    members.flatMap((p) =>
      p.work.steps.flatMap((st, step) =>
        st.shared || !want(st)
          ? []
          : st.gates.map((g): Turn => ({
              surfaceId: p.surfaceId,
              zoneId: z.zoneId,
              gate: g.id,
              rule: g.because.rule,
              backTo: g.backTo,
              step,
              kind: st.kind,
            })),
      ),
    );
  const shared = (want: (kind: string) => boolean) =>
    z.steps.flatMap((st, step) =>
      want(st.kind)
        ? st.gates.map((g): Turn => ({
            surfaceId: null,
            zoneId: z.zoneId,
            gate: g.id,
            rule: g.because.rule,
            backTo: g.backTo,
            step,
            kind: st.kind,
          }))
        : [],
    );
  return [
    ...own((st) => st.kind === 'prepare'),
    ...shared((k) => k === 'protect'),
    ...own((st) => st.kind !== 'prepare' && !isFinish(st)),
    ...shared((k) => k !== 'protect'),
    ...own(isFinish),
  ];
}

const at = (minute: number): string => new Date(Date.parse('2026-06-01T06:00:00.000Z') + minute * 60_000).toISOString();
/**
 * Checks that have a number: the last that passes and the first that does not. ASTM D4262 (pH 6 to 8.5), D4263 (16 h), ISO 8502-4 (3 C),
 * ASTM F3191 (60 s), water-break test (30 s), IMO MSC.215(82) (50 mg/m2): from memory;
 * ASTM D3359 (class 4), ISO 4628-6 (class 1): classes published, limits common practice;
 * HUD guidelines (20 mph), NFPA 51B (60 min), 40 CFR 745.227 (5, 40 and 100 ug/ft2); 15 % in wood from memory.
 */
const NUMBERS: readonly (readonly [gate: RegExp, good: Check['measured'], bad: Check['measured'], rule?: RegExp])[] = [
  [
    /^(moisture|stain-dry)$/,
    [
      { what: 'moisturePct', value: 15 },
      { what: 'waitedMin', value: 60 },
      { what: 'waitedH', value: 16 },
    ],
    [
      { what: 'moisturePct', value: 15.1 },
      { what: 'waitedMin', value: 59 },
      { what: 'waitedH', value: 15 },
    ],
  ],
  [/^mist-wind\./, [{ what: 'windMs', value: 4.4 }], [{ what: 'windMs', value: 4.5 }]],
  [
    /^clean\.(alkali|acid)/,
    [
      { what: 'ph', value: 8.5 },
      { what: 'rinsePh', value: 6.5 },
    ],
    [
      { what: 'ph', value: 8.5 },
      { what: 'rinsePh', value: 6.4 },
    ],
  ],
  [/^clean\.solvent/, [{ what: 'dropS', value: 60 }], [{ what: 'dropS', value: 61 }], /^gate\.solventGone$/],
  [/^clean\.solvent/, [{ what: 'filmS', value: 30 }], [{ what: 'filmS', value: 29 }], /^gate\.solventGoneHard$/],
  [/^salts-gone$/, [{ what: 'saltMgM2', value: 50 }], [{ what: 'saltMgM2', value: 50.1 }], /^gate\.saltsMetal$/],
  [/^profile$/, [{ what: 'profileUm', value: 25 }], [{ what: 'profileUm', value: 24.9 }]],
  [/^profile$/, [{ what: 'profileUm', value: 100 }], [{ what: 'profileUm', value: 100.1 }]],
  [/^salts-gone$/, [{ what: 'waitedH', value: 168 }], [{ what: 'waitedH', value: 167 }], /^gate\.saltsGone$/],
  [/^rebate-dry\./, [{ what: 'waitedH', value: 24 }], [{ what: 'waitedH', value: 23 }]],
  [/^putty-skin\./, [{ what: 'waitedH', value: 168 }], [{ what: 'waitedH', value: 167 }]],
  [
    /^cause-cured$/,
    [
      { what: 'faceRhPct', value: 75 },
      { what: 'moisturePct', value: 16 },
      { what: 'waitedH', value: 16 },
    ],
    [
      { what: 'faceRhPct', value: 75.1 },
      { what: 'moisturePct', value: 16.1 },
      { what: 'waitedH', value: 15 },
    ],
  ],
  [/^adhesion$/, [{ what: 'adhesionClass', value: 4 }], [{ what: 'adhesionClass', value: 3 }], /^gate\.adhesion(Thick)?$/],
  [/^washed$/, [{ what: 'chalkClass', value: 1 }], [{ what: 'chalkClass', value: 2 }], /^gate\.washedChalk$/],
  [/^chalk$/, [{ what: 'chalkClass', value: 1 }], [{ what: 'chalkClass', value: 2 }]],
  [/^piece-cold$/, [{ what: 'faceC', value: 30 }], [{ what: 'faceC', value: 30.1 }]],
  [/^heater-waited$/, [{ what: 'waitedH', value: 48 }], [{ what: 'waitedH', value: 47.5 }]],
  [/^goods-clear$/, [{ what: 'leadPpm', value: 23 }], [{ what: 'leadPpm', value: 90.1 }]],
  [/^dew-point$/, [{ what: 'aboveDewC', value: 3 }], [{ what: 'aboveDewC', value: 2.9 }]],
  [/^wind$/, [{ what: 'windMs', value: 8.9 }], [{ what: 'windMs', value: 9 }]],
  [/^fire-watch$/, [{ what: 'waitedMin', value: 60 }], [{ what: 'waitedMin', value: 59 }]],
  [
    /^clearance$/,
    [
      { what: 'dustFloor', value: 4.9 },
      { what: 'dustSill', value: 39 },
      { what: 'dustTrough', value: 99 },
    ],
    [
      { what: 'dustFloor', value: 5 },
      { what: 'dustSill', value: 39 },
      { what: 'dustTrough', value: 99 },
    ],
  ],
];
const numbersOf = (t: Turn) => NUMBERS.find(([id, , , rule]) => id.test(t.gate) && (rule === undefined || rule.test(t.rule)));

const record = (t: Turn, i: number, outcome: 'pass' | 'fail'): Check => ({
  id: `turn-${i}-${outcome}`,
  gate: t.gate,
  // What a surface passed may have been recorded with its zone, or without.
  zoneId: t.surfaceId === null || i % 2 === 0 ? t.zoneId : null,
  outcome,
  measured: numbersOf(t)?.[1] ?? [],
  pieceIds: null,
  spokeOf: null,
  note: '',
  takenAt: at(i),
  supersedesId: null,
  supersedesWhy: null,
  by: 'Tester',
});
/** The job with these checks and no others. */
const withChecks = (facts: JobFacts, made: readonly { readonly turn: Turn; readonly check: Check }[]): JobFacts => ({
  ...facts,
  checks: made.flatMap((m) => (m.turn.surfaceId === null ? [m.check] : [])),
  surfaces: facts.surfaces.map((s) => ({
    ...s,
    // What was begun and then taken off the list, or declined, has no turn, and goes on counting towards minor work.
    checks: [
      ...(s.removedAt === null && s.declinedOn === null ? [] : s.checks),
      ...made.flatMap((m) => (m.turn.surfaceId === s.id ? [m.check] : [])),
    ],
  })),
});

/** All is passed in turn; then one fails. What it sends back is open again, and nothing else of another surface's strokes. */
function unheld(run: Run): string[] {
  const { facts, job, settings } = run;
  if (run.before !== null || facts.surfaces.reduce((n, s) => n + s.layers.length + s.parts.length, 0) % 3 !== 1) return [];
  const z = job.zones.find((x) => x.steps.some((s) => s.gates.length > 0));
  if (!z) return [];
  const turns = turnsOf(job, z);
  const passes = turns.map((turn, i) => ({ turn, check: record(turn, i, 'pass') }));
  const states = (f: JobFacts) => {
    const plan = createDeriver().derive(f, settings, THIS_YEAR);
    const zone = plan.zones.find((x) => x.zoneId === z.zoneId)!;
    return (t: Turn): string => {
      const steps = t.surfaceId === null ? zone.steps : plan.surfaces.find((p) => p.surfaceId === t.surfaceId)!.work.steps;
      return steps.flatMap((s) => s.gates).find((g) => g.id === t.gate && (t.surfaceId === null) === (g.zoneId !== null))?.state ?? 'gone';
    };
  };
  const all = states(withChecks(facts, passes));
  const notYet = turns.filter((t) => all(t) !== 'passed');
  if (notYet.length > 0) return [`${z.name}: ${notYet[0]!.gate} is ${all(notYet[0]!)} though all was passed in its turn`];
  const pick = turns[(facts.surfaces.length * 7 + facts.spaces.length * 3 + turns.length) % turns.length]!;
  const after = states(withChecks(facts, [...passes, { turn: pick, check: record(pick, turns.length + 1, 'fail') }]));
  const from = turns.indexOf(pick);
  const out: string[] = [];
  if (after(pick) === 'passed') out.push(`${z.name}: ${pick.gate} stays passed after it failed`);
  turns.forEach((t, i) => {
    const follows = i > from && (t.surfaceId === pick.surfaceId || t.surfaceId === null || pick.surfaceId === null);
    // Checks of one step stand beside each other.
    const beside = t.surfaceId === pick.surfaceId && t.step === pick.step;
    if (follows && !beside && after(t) === 'passed') out.push(`${z.name}: ${t.gate} stays passed after ${pick.gate} failed before it`);
    const stroke = t.surfaceId !== null && pick.surfaceId !== null && t.surfaceId !== pick.surfaceId && i < turns.length;
    const beforeZone = turns.slice(i + 1).some((x) => x.surfaceId === null && x.gate === 'cleaned');
    if (stroke && beforeZone && after(t) !== 'passed') out.push(`${z.name}: ${t.gate} of another surface is taken back with ${pick.gate}`);
  });
  // A stroke that was passed in another zone does not count in this one.
  const stroke = turns.findIndex((t) => t.kind === 'remove');
  if (stroke >= 0) {
    const moved = passes.map((p, i) => (i === stroke ? { ...p, check: { ...p.check, zoneId: 'another-zone' } } : p));
    const now = states(withChecks(facts, moved))(turns[stroke]!);
    if (now === 'passed') out.push(`${z.name}: ${turns[stroke]!.gate} is passed from another zone`);
  }
  // What has a number is not passed by a tick, and a number beyond its limit is a failure whatever was ticked.
  const asked = turns.findIndex((t) => numbersOf(t) !== undefined);
  if (asked >= 0) {
    const turn = turns[asked]!;
    const [, , bad] = numbersOf(turn)!;
    const with_ = (measured: Check['measured']) =>
      states(
        withChecks(
          facts,
          // As far as it: a place that was given back is set up again before anything else.
          passes.slice(0, asked + 1).map((p, i) => (i === asked ? { ...p, check: { ...p.check, measured } } : p)),
        ),
      )(turn);
    if (with_([]) !== 'open') out.push(`${z.name}: ${turn.gate} is ${with_([])} by a tick without its number`);
    if (with_(bad) !== 'failed') out.push(`${z.name}: ${turn.gate} is ${with_(bad)} beyond its limit`);
  }
  // Given back out of its turn: what it says is so, and sheet and seals go up again. Passed for no piece: it holds for none.
  const up = passes.find((p) => p.turn.gate === 'containment-up');
  if (up) {
    const before = passes.slice(0, passes.indexOf(up) + 1);
    const down = turns.find((t) => t.gate === 'released')!;
    const now = states(withChecks(facts, [...before, { turn: down, check: record(down, turns.length + 1, 'pass') }]))(up.turn);
    if (now === 'passed') out.push(`${z.name}: sheet and seals stand though they were taken down`);
    const forNone = { turn: up.turn, check: { ...up.check, pieceIds: [], spokeOf: [] } };
    if (states(withChecks(facts, [...before.slice(0, -1), forNone]))(up.turn) === 'passed')
      out.push(`${z.name}: sheet and seals stand for pieces that were not there`);
  }
  // Out of turn nothing counts.
  const last = turns.at(-1)!;
  if (turns.length > 1 && last.step !== turns[0]!.step) {
    const early = states(withChecks(facts, [{ turn: last, check: record(last, 1, 'pass') }]));
    if (early(last) === 'passed') out.push(`${z.name}: ${last.gate} is passed out of turn`);
  }
  return out;
}

export const ZONE_LAWS: readonly Law[] = [
  {
    id: 'H1',
    says: 'a zone has every hazard that a stroke in it reaches or makes',
    check: (run) => run.job.zones.flatMap((z) => missingHazards(run, z)),
  },
  { id: 'H10c', says: 'what runs beside the work is made safe before it and put back after it', check: unsafeBeside },
  {
    id: 'O3',
    says: 'a failure takes back every later pass; nothing is passed out of turn, nor by a tick where there is a number',
    check: unheld,
  },
  { id: 'O8b', says: 'what a tradesman would not start without is there, and what makes no sense is not', check: senseless },
  { id: 'O5', says: 'set up before the first stroke, cleaned and verified after the last and before the coats', check: outOfOrder },
  { id: 'O5b', says: 'a sealed zone is given back last, when all of it has passed', check: notGivenBack },
  { id: 'P2b', says: 'where tasks go on at once everybody wears the strictest of them', check: wornTooLittle },
  {
    id: 'P2',
    says: 'a mask covers what is presumed or measured at each task on lead, by the limit for that shift',
    check: coversTooLittle,
  },
  { id: 'W2c', says: 'a sealed room has no window to open', check: opensTheSeal },
  { id: 'H1b', says: 'the coating strokes have their mask, gloves and vapour too', check: coatsUnmasked },
  { id: 'H1f', says: 'a mist is kept on site, breathed by nobody, and waits for its closing', check: mistLoose },
  { id: 'H2e', says: 'nothing is rubbed over what may hold asbestos', check: rubsSuspect },
  { id: 'H1d', says: 'who goes from zone to zone wears the strictest mask, and breathes the sum of their day', check: wrongShifts },
  { id: 'H1e', says: 'what is reached is kept in by the measures of its class', check: keptInTooLittle },
  { id: 'H2d', says: 'a suspect coat that trained people work has its own area, mask, suit, sign, checks and bags', check: fibresLoose },
  { id: 'O8c', says: 'a zone is worked from above down, each of its pieces once', check: outOfTurn },
  { id: 'P1', says: 'one zone, one of everything, never more than the room holds', check: countedTwice },
];
