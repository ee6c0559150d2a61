/**
 * Situations of a house, and the answer that somebody of the trade would give. Each was written down before the code that answers it.
 */
import { BLANK_BOARD, ProductFields, type Board, type JobFacts, type Product, type Reading, type Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { sampleRegister } from '../probe/register';
import { clientPage } from '../report/client';
import { programme } from '../report/programme';
import { jobReport } from '../report/report';
import { jobMarkdown } from '../report/markdown';
import { methodById } from '../catalogue';
import { DEFAULT_SETTINGS, type FirmSettings } from '../rulebook';
import { surfaceProblems } from '../facts';
import {
  aCheck,
  aDefect,
  aFacts,
  aLaid,
  aLayer,
  aMachine,
  aPart,
  aReading,
  aSample,
  aSign,
  aSquare,
  aSurface,
  aTrained,
  looked,
  AT,
  THIS_YEAR,
  type Setup,
} from '../testing';
import { wasteOf } from '../waste';
import { laidAsks } from '../work';

const NOW = '2026-05-05T13:20:00.000Z';
const ALL = { reachedLayerIds: ['coat-0', 'coat-1', 'coat-2'], toSubstrate: true };
const chip = (value: number, unit: 'mass%' | 'ppm' = 'mass%', over: Partial<Reading> = {}): Reading =>
  aReading({ id: 'chip', kind: 'lab', value, unit, ...ALL, ...over });

/** All that one job says: its plan, and every paper in words. */
function told(surface: Surface, setup: Setup = {}) {
  const facts: JobFacts = aFacts(surface, setup);
  const settings: FirmSettings = { ...DEFAULT_SETTINGS, ...setup.settings };
  const plan = createDeriver().derive(facts, settings, THIS_YEAR);
  const report = jobReport(facts, plan, settings, NOW, { detail: 'all' });
  const page = clientPage(facts, surface.id, settings, THIS_YEAR);
  const own = plan.surfaces.find((p) => p.surfaceId === surface.id)!;
  const sections = programme(facts, plan, settings, { people: [] }, NOW);
  return {
    facts,
    plan,
    own,
    protection: own.protection,
    kit: own.protection.kit.map((k) => k.value),
    steps: own.work.steps,
    ids: own.work.steps.map((st) => st.id),
    gates: own.work.steps.flatMap((st) => st.gates.map((g) => g.id)),
    waste: wasteOf(facts, plan, settings),
    client: [...(page?.found ?? []), ...(page?.coats.map((c) => `${c.says}: ${c.state}`) ?? []), ...(page?.chosenBecause ?? [])].join('\n'),
    programme: JSON.stringify(sections),
    paper: jobMarkdown(report),
    rules: own.choice.parts.flatMap((p) => p.options.flatMap((o) => o.because.map((r) => `${o.methodId}:${r.rule}`))),
    verdict: (methodId: string) => own.choice.parts[0]!.options.find((o) => o.methodId === methodId)?.verdict,
    register: sampleRegister(facts, settings, NOW),
  };
}
type Told = ReturnType<typeof told>;
const has = (t: string, re: RegExp): boolean => re.test(t);

const door = (over: Partial<Surface> = {}): Surface => aSurface({ element: 'door', parts: [aPart('flat', 'drySand')], ...over });
const HOT = { allowHotAirOnLead: true };
const OUTSIDE = { kind: 'elevation' as const, lengthM: 10, heightM: 5 };
const ceiling = (over: Partial<Surface> = {}): Surface =>
  aSurface({
    element: 'ceiling',
    material: 'gypsumPlaster',
    layers: [aLayer(0, { binder: 'textured', look: 'stipple' })],
    parts: [aPart('flat')],
    ...over,
  });
const bulk = (value: number, over: Partial<Reading> = {}): Pick<Surface, 'samples' | 'readings'> => ({
  samples: [aSample({ id: 'bulk-1', hazard: 'asbestos', suspect: 'texturedCoat', kind: 'bulk', takenAt: AT, sentAt: AT })],
  readings: [aReading({ id: 'answer', kind: 'bulk', value, unit: 'mass%', analysis: 'pointCount', sampleId: 'bulk-1', ...over })],
});
const sash = (over: Partial<Surface> = {}): Surface =>
  aSurface({ element: 'doubleHungSash', parts: [aPart('flat'), aPart('besideGlass', null, { id: 'part-glass' })], ...over });
const puttyFound = {
  samples: [
    aSample({ id: 'bulk-1', hazard: 'asbestos' as const, suspect: 'putty' as const, kind: 'bulk' as const, takenAt: AT, sentAt: AT }),
  ],
  readings: [aReading({ id: 'answer', kind: 'bulk', value: 4, unit: 'mass%', analysis: 'pointCount', sampleId: 'bulk-1' })],
};

interface Situation {
  readonly it: string;
  readonly holds: () => boolean;
}
const sit = (it: string, holds: () => boolean): Situation => ({ it, holds });
const worker = ({ protection, kit }: Told): boolean =>
  protection.exposure.value === 'class1' &&
  protection.respirator.value !== null &&
  kit.includes('washStation') &&
  kit.includes('hepaVacuum');

// Lead's rungs: 29 CFR 1926.62(d)(2), 16 CFR 1303, 24 CFR 35.110; the firm's threshold under UK rules is common practice, no published source.
const LEAD: readonly Situation[] = [
  sit('0.49 % in the paint, sanded dry: a mask, washing and a HEPA vacuum, without the sign of a lead job', () => {
    const t = told(door({ readings: [chip(0.49)] }));
    return worker(t) && t.protection.care === 'ordinary' && t.protection.sign.value.length === 0;
  }),
  sit('1,006 ppm under hot air: the same', () =>
    worker(told(door({ readings: [chip(1006, 'ppm')], parts: [aPart('flat', 'heatGun')] }), { settings: HOT })),
  ),
  sit('1,006 ppm: no paper says that no lead was found, and the page for the client names the number', () => {
    const t = told(door({ readings: [chip(1006, 'ppm')] }));
    return !has(t.client + t.paper + t.programme, /no lead/i) && has(t.client, /1,?006 ppm/);
  }),
  sit(
    'below the limit and sanded dry: the programme has a mask on whoever does it',
    () => !has(told(door({ readings: [chip(0.3)] })).programme, /no respirator/i),
  ),
  sit('20 ppm is shown as 20 ppm and never as 0 %', () => {
    const t = told(door({ readings: [chip(20, 'ppm')] }));
    return has(t.paper, /20 ppm/) && !has(t.paper + t.client, /\b0 %/);
  }),
  sit('a lab that found none below 40 ppm: no class of exposure, and its reporting limit is printed', () => {
    const t = told(door({ readings: [chip(40, 'ppm', { below: true })] }));
    return t.protection.exposure.value === 'none' && has(t.paper, /40 ppm/);
  }),
  sit('UK, 30 ppm on a coat of 2012: no lead job, no consignment note, and a mask for the dust', () => {
    const t = told(
      door({ yearMade: 2012, layers: [aLayer(0, { yearApplied: 2012 })], readings: [chip(30, 'ppm', { reachedLayerIds: ['coat-0'] })] }),
      {
        job: { rulebook: 'uk', units: 'm' },
      },
    );
    const codes = t.waste.flatMap((w) => w.classed.value.codes);
    return (
      t.own.lead.overall.value === 'notFound' &&
      t.protection.care === 'ordinary' &&
      !codes.includes('08 01 17*') &&
      t.protection.respirator.value !== null
    );
  }),
  sit('UK, 500 ppm is below the threshold of the firm and 650 ppm is found; nothing calls it a legal limit', () => {
    const at = (ppm: number) => told(door({ readings: [chip(ppm, 'ppm')] }), { job: { rulebook: 'uk', units: 'm' } });
    const low = at(500);
    return (
      low.own.lead.overall.value === 'notFound' &&
      at(650).own.lead.overall.value === 'found' &&
      has(low.paper, /threshold/) &&
      !has(low.paper, /the limit for lead paint/i)
    );
  }),
  sit('offices, 0.3 % in what comes off: the waste is tested before it goes; 80 ppm cannot leach so much', () => {
    const at = (r: Reading) => {
      const { waste } = told(door({ readings: [r] }), { job: { dwelling: false } });
      return (['sheetAndChips', 'clean'] as const).flatMap((x) => waste.find((w) => w.stream === x) ?? [])[0]?.classed.value.class;
    };
    return at(chip(0.3)) === 'test' && at(chip(80, 'ppm')) === 'ordinary';
  }),
  sit(
    'below the limit is never told beside “no lead in reach”',
    () => !has(told(door({ readings: [chip(0.2)] })).paper, /no lead in reach/i),
  ),
  sit(
    'a wet scrape through paint below the limit asks for no mask: it is neither dusty nor hot',
    () => told(door({ readings: [chip(0.2)], parts: [aPart('flat', 'wetScrapeLoose')] })).protection.exposure.value === 'none',
  ),
];

// 29 CFR 1926.1101; CAR 2012.
const ASBESTOS: readonly Situation[] = [
  sit('a found texture is sealed: trained people, sheet, mask, sign and waste, and no paper says that nothing is disturbed', () => {
    const t = told(ceiling({ ...bulk(4), parts: [aPart('flat', 'encapsulate')] }), { settings: { people: [aTrained] } });
    return (
      t.protection.care === 'asbestos' &&
      t.protection.sheetLaidM2.value > 0 &&
      t.protection.respirator.value !== null &&
      t.waste.some((w) => w.stream === 'suspectAsbestos') &&
      !has(t.paper + t.programme, /no hazard is disturbed|no lead or asbestos work/i)
    );
  }),
  sit('a sash whose putty is found is taken out by trained people only: zone, mask, asbestos waste', () => {
    const out = sash({
      ...puttyFound,
      parts: [aPart('flat', 'replacePart', { sharePct: 70 }), aPart('besideGlass', 'replacePart', { id: 'part-glass', sharePct: 30 })],
    });
    const both = { ...aTrained, certificates: [...aTrained.certificates, { kind: 'renovator' as const, number: '', until: '2099-01-01' }] };
    const t = told(out, { settings: { people: [both] } });
    return (
      told(out).verdict('replacePart') === 'blocked' &&
      t.protection.fibres &&
      t.protection.respirator.value !== null &&
      t.gates.includes('fibres-ready') &&
      t.waste.some((w) => w.stream === 'suspectAsbestos')
    );
  }),
  sit('a boxed pipe at 18 % stays in the room: it is named where brick is scraped', () => {
    const lagging = aSurface({
      id: 'lag',
      name: 'Boiler pipe',
      element: 'pipeLagging',
      layers: [],
      parts: [aPart('flat', 'leave', { id: 'part-lag' })],
      samples: [aSample({ id: 'bulk-2', hazard: 'asbestos', suspect: 'lagging', kind: 'bulk', takenAt: AT, sentAt: AT })],
      readings: [aReading({ id: 'lag-answer', kind: 'bulk', value: 18, unit: 'mass%', analysis: 'pointCount', sampleId: 'bulk-2' })],
    });
    const t = told(aSurface({ element: 'wall', material: 'brick', parts: [aPart('flat', 'wetScrapeLoose')] }), { others: [lagging] });
    const zone = t.plan.zones.find((z) => z.zoneId === t.own.zoneId)!;
    const said = JSON.stringify(zone.steps);
    return said.includes('Boiler pipe');
  }),
  sit('beside found lagging no power tool runs', () => {
    const lagging = aSurface({
      id: 'lag',
      name: 'Boiler pipe',
      element: 'pipeLagging',
      layers: [],
      parts: [aPart('flat', 'leave', { id: 'part-lag' })],
      samples: [aSample({ id: 'bulk-2', hazard: 'asbestos', suspect: 'lagging', kind: 'bulk', takenAt: AT, sentAt: AT })],
      readings: [aReading({ id: 'lag-answer', kind: 'bulk', value: 18, unit: 'mass%', analysis: 'pointCount', sampleId: 'bulk-2' })],
    });
    return (
      told(door({ yearMade: 2015, layers: [aLayer(0, { yearApplied: 2015 })], parts: [aPart('flat', 'powerSand')] }), {
        others: [lagging],
      }).verdict('powerSand') === 'blocked'
    );
  }),
  sit('0.6 % by count is told as 0.6 % with what binds, not as none', () => {
    const t = told(ceiling({ ...bulk(0.6) }));
    return has(t.paper, /0\.6 %/) && t.register.lines[0]!.answer !== 'clear';
  }),
  sit('a texture that nobody sampled is neither filled nor sanded nor primed bare', () => {
    const t = told(ceiling({ defects: [aDefect('hole', { areaM2: 0.01 })] }));
    return !t.ids.some((id) => /fill|skim|sand|prime\.bare/.test(id));
  }),
  sit('above a plaster that nobody sampled a scrape bares nothing, and nothing is primed as bare', () => {
    const t = told(
      aSurface({
        element: 'wall',
        material: 'gypsumPlaster',
        layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
        parts: [aPart('flat', 'wetScrapeLoose')],
      }),
    );
    return t.own.coating.bareM2 === 0 && !t.own.coating.lines.some((l) => l.where === 'bare');
  }),
  sit('untested putty is never re-puttied: the sample comes first', () => {
    const t = told(sash({ defects: [aDefect('loosePutty', { lengthM: 1 })] }));
    return !has(JSON.stringify(t.steps.map((st) => st.id)), /putty/i);
  }),
  sit('over a wall board that nobody sampled, dry scraping is not what the plan proposes', () => {
    const t = told(aSurface({ element: 'wall', material: 'board', parts: [aPart('flat')], layers: [aLayer(0, { soundness: 'failing' })] }));
    const picked = t.own.choice.parts[0]!.selected.value;
    return picked === null || !methodById(picked).handDry;
  }),
  sit('coats of a suspect plaster are not counted by a cut: the asbestos sample is asked first', () => {
    const t = told(aSurface({ element: 'wall', material: 'gypsumPlaster', parts: [aPart('flat')], coatsCounted: false, layers: [] }));
    return t.own.next.act === 'sampleAsbestos';
  }),
  sit('old lime plaster that a surveyor recorded as original and unpatched may be scraped to bare', () => {
    const t = told(
      aSurface({
        element: 'wall',
        material: 'limePlaster',
        yearMade: 1890,
        yearHow: 'original, unpatched: survey 12 March',
        parts: [aPart('flat', 'wetScrapeBare')],
      } as Partial<Surface>),
    );
    return t.own.asbestos.below.value === 'notFound' && t.verdict('neutralStripper') !== 'blocked';
  }),
  sit('the year of the building clears no putty; the year of the pane itself does, with how it is known', () => {
    const byHouse = told(sash(), { job: { yearBuilt: 1900 } });
    const byPiece = told(sash({ yearMade: 1900, yearHow: 'joiner’s bill in the house book' } as Partial<Surface>), {
      job: { yearBuilt: 1900 },
    });
    const unproven = told(sash({ yearMade: 1900 }), { job: { yearBuilt: 1900 } });
    const at = (t: Told) => t.own.asbestos.putty.value;
    return at(byHouse) !== 'notFound' && at(byPiece) === 'notFound' && at(unproven) !== 'notFound';
  }),
  sit('what is not suspected, not tested, and tested with none found are three words', () => {
    const none = told(door()).paper;
    const tested = told(
      ceiling({
        samples: [1, 2, 3].map((n) =>
          aSample({
            id: `b-${n}`,
            number: `S-00${n}`,
            hazard: 'asbestos',
            suspect: 'texturedCoat',
            kind: 'bulk',
            place: `place ${n}`,
            takenAt: AT,
            sentAt: AT,
          }),
        ),
        readings: [1, 2, 3].map((n) =>
          aReading({ id: `r-${n}`, kind: 'bulk', value: 0, unit: 'mass%', analysis: 'plm', sampleId: `b-${n}` }),
        ),
        material: 'softwood',
      }),
    ).paper;
    return has(none, /Asbestos: not suspected/i) && has(tested, /Asbestos: (tested, )?none found/i);
  }),
];

const pond = { ...OUTSIDE, nearby: [{ what: 'pond' as const, outM: 0.5, alongM: null, lengthM: null }] };
const LEADFREE = [chip(0, 'ppm')];
const WORK: readonly Situation[] = [
  sit('stripper half a metre from a pond, no lead in it: the pond is covered', () =>
    has(
      JSON.stringify(
        told(aSurface({ element: 'siding', readings: LEADFREE, parts: [aPart('flat', 'neutralStripper')] }), {
          space: pond,
        }).plan.zones.flatMap((z) => z.steps),
      ),
      /pond/,
    ),
  ),
  sit('a vegetable bed under a wall that is washed with a biocide, no lead in it: it is covered', () =>
    has(
      JSON.stringify(
        told(aSurface({ element: 'siding', readings: LEADFREE, conditions: ['moldy'], moldM2: 1, parts: [aPart('flat', 'moldBiocide')] }), {
          space: { ...OUTSIDE, nearby: [{ what: 'vegetables', outM: 1, alongM: null, lengthM: null }] },
        }).plan.zones.flatMap((z) => z.steps),
      ),
      /vegetable/,
    ),
  ),
  sit('a caustic paste on a door without lead: shield, gloves, eyewash and water in reach are a check before it is opened', () => {
    const t = told(door({ readings: LEADFREE, parts: [aPart('flat', 'causticPoultice')] }), { space: OUTSIDE });
    const kit = t.steps.flatMap((st) => st.gates).some((g) => g.id === 'burns-ready');
    return kit && ['causticGloves', 'faceShield', 'eyewash'].every((k) => t.kit.includes(k as never));
  }),
  sit('texture is soaked and scraped: where its words ask for a mask, a mask is worn and bought', () => {
    const t = told(
      ceiling({ yearMade: 2005, layers: [aLayer(0, { binder: 'textured', yearApplied: 2005 })], parts: [aPart('flat', 'textureSoak')] }),
    );
    return t.protection.respirator.value !== null;
  }),
  sit('grease is washed off a wall with growth: the first stroke is in the mask of the growth', () => {
    const t = told(
      aSurface({
        element: 'wall',
        material: 'gypsumPlaster',
        yearMade: 2001,
        layers: [aLayer(0, { yearApplied: 2001 })],
        conditions: ['moldy'],
        moldM2: 2,
        readings: LEADFREE,
        parts: [aPart('flat', 'overcoat', { alsoIds: ['washDegrease', 'moldWash'] })],
      }),
    );
    return (['washDegrease', 'moldWash'] as const).every((id) => t.protection.tasks.find((x) => x.methodId === id)?.respirator.value);
  }),
  sit(
    'growth on oil-soaked boards is still washed off',
    () =>
      told(
        aSurface({
          element: 'floorBoards',
          conditions: ['moldy', 'oilSoaked'],
          moldM2: 1,
          readings: LEADFREE,
          parts: [aPart('flat', 'moldWash')],
        }),
      ).verdict('moldWash') !== 'blocked',
  ),
  sit('historic concrete is blasted by nobody’s default', () => {
    const t = told(aSurface({ element: 'wall', material: 'concrete', aim: 'fastest', parts: [aPart('flat')] }), { space: OUTSIDE });
    const picked = t.own.choice.parts[0]!.selected.value;
    return picked === null || methodById(picked).blast === 'no';
  }),
  sit('acid after a solvent stripper: its residue is off and proved before the acid', () => {
    const t = told(
      aSurface({
        element: 'heater',
        material: 'castIron',
        rustGrade: 3,
        readings: LEADFREE,
        parts: [aPart('flat', 'solventGel', { alsoIds: ['rustGel'] })],
      }),
    );
    const [strip, off, rust] = ['remove.flat', 'between.solvent.flat.rustGel', 'remove.flat.rustGel'].map((id) => t.ids.indexOf(id));
    return strip! >= 0 && strip! < off! && off! < rust! && t.steps[off!]!.gates.length > 0;
  }),
  sit('silicone comes off before anything is scuffed', () => {
    const t = told(door({ readings: LEADFREE, parts: [aPart('flat', 'overcoat')], defects: [aDefect('silicone', { lengthM: 1 })] }));
    const at = (re: RegExp) => t.ids.findIndex((id) => re.test(id));
    return at(/silicone/) >= 0 && at(/silicone/) < at(/^remove\./);
  }),
  sit('a child under six lives there: dust wipes are offered', () =>
    has(told(door({ parts: [aPart('flat', 'wetScrapeLoose')] }), { job: { childUnder6: 'yes', livedIn: 'yes' } }).paper, /dust wipe/i),
  ),
];

const ORDER: readonly Situation[] = [
  sit('sheet and seals were passed, then a lead answer came: they are looked at again', () => {
    const wet = door({ yearMade: 2001, layers: [aLayer(0, { yearApplied: 2001 })], parts: [aPart('flat', 'wetScrapeLoose')] });
    const gate = told(wet).gates;
    const checks = gate.map((g) => aCheck(g, { takenAt: '2026-05-04T10:00:00.000Z' }));
    const t = told(
      { ...wet, checks, readings: [chip(1, 'mass%', { takenAt: '2026-05-04T12:00:00.000Z', reachedLayerIds: ['coat-0'] })] },
      { zoneChecks: checks },
    );
    const setUp = t.steps.filter((st) => st.kind === 'protect').flatMap((st) => st.gates);
    return setUp.length > 0 && setUp.every((g) => g.state !== 'passed');
  }),
  sit('a window that is replaced gets no stain block for its growth', () => {
    const t = told(sash({ conditions: ['moldy'], moldM2: 0.2, parts: [aPart('flat', 'replacePart')] }));
    return !t.own.coating.lines.some((l) => l.product === 'stainBlock');
  }),
  sit('one putty step, and no “re-putty” before the primer', () => {
    const t = told(
      sash({
        yearMade: 2003,
        layers: [aLayer(0, { yearApplied: 2003 })],
        defects: [aDefect('loosePutty', { lengthM: 2 })],
        parts: [aPart('flat', 'overcoat'), aPart('besideGlass', 'puttyCut', { id: 'part-glass' })],
      }),
    );
    return (
      t.steps.every((st) => st.title.rule !== 'step.repair') && t.ids.filter((id) => /^repair\.(rePutty|reglaze)/.test(id)).length === 1
    );
  }),
  sit('a window that comes out is never minor work', () => {
    const t = told(sash({ parts: [aPart('flat', 'replacePart'), aPart('besideGlass', 'replacePart', { id: 'part-glass' })] }));
    return t.plan.spaces[0]!.minorWork.value !== true;
  }),
];

const EVIDENCE: readonly Situation[] = [
  sit('one wall entered twice in a room is asked about', () => {
    const wall = aSurface({ element: 'wall', material: 'limePlaster', name: 'Wall A', wall: 'A', parts: [aPart('flat')] });
    const beside = (on: 'A' | 'B') =>
      told(wall, { others: [{ ...wall, id: 'again', wall: on, parts: [aPart('flat', null, { id: 'part-again' })] }] }).paper;
    return has(beside('A'), /Was it entered twice/) && !has(beside('B'), /entered twice/);
  }),
  sit('a coat older than its piece is asked about, and lead is presumed', () => {
    const t = told(door({ yearMade: 2005, layers: [aLayer(0, { yearApplied: 1950 })], parts: [aPart('flat')] }));
    return t.own.lead.overall.value === 'assumed' && t.own.lead.asks.length > 0;
  }),
  sit('a reading dated after today is refused', () =>
    surfaceProblems(null, door({ readings: [chip(0.2, 'mass%', { takenAt: '2031-01-01T10:00:00.000Z' })] }), 'surface', THIS_YEAR).some(
      (p) => /after|future|later/i.test(p.message),
    ),
  ),
  sit('“every method is blocked” is never said above one that may', () => {
    const t = told(ceiling());
    return (
      !has(t.paper, /every method is blocked/i) ||
      t.own.choice.parts.every((p) => p.options.every((o) => o.verdict === 'blocked' || o.methodId === 'leave'))
    );
  }),
];

const gateOn = (t: Told, id: string) => t.steps.flatMap((st) => st.gates).find((g) => g.id === id);
const at = (hour: number): string => `2026-05-04T${String(hour).padStart(2, '0')}:00:00.000Z`;
const HELD: readonly Situation[] = [
  sit('the room was given back by a tick out of turn: sheet and seals are down, and go up again', () => {
    const up = aCheck('containment-up', { takenAt: at(7) });
    const down = aCheck('released', { takenAt: at(8) });
    const t = (zoneChecks: readonly (typeof up)[]) => gateOn(told(door(), { zoneChecks }), 'containment-up')?.state;
    return t([up]) === 'passed' && t([up, down]) === 'open' && t([down, aCheck('containment-up', { takenAt: at(9) })]) === 'passed';
  }),
  sit('sheet and seals stood for one door; a second one is worked in the room: they are looked at again', () => {
    const first = door();
    const spoke = gateOn(told(first), 'containment-up')!.of!;
    const zoneChecks = [aCheck('containment-up', { pieceIds: [...spoke.pieceIds], spokeOf: [...spoke.spokeOf] })];
    const second = aSurface({ id: 'second', element: 'door', parts: [aPart('flat', 'wetScrapeLoose', { id: 'part-2' })] });
    const alone = gateOn(told(first, { zoneChecks }), 'containment-up')!;
    const both = gateOn(told(first, { zoneChecks, others: [second] }), 'containment-up')!;
    return alone.state === 'passed' && both.state === 'open' && both.outgrown;
  }),
  sit('water and gloves were checked for one caustic; another is planned now: checked again', () => {
    const plan = (methodId: 'causticPoultice' | 'causticReady', zoneChecks: Setup['zoneChecks'] = []) =>
      gateOn(told(door({ readings: LEADFREE, parts: [aPart('flat', methodId)] }), { space: OUTSIDE, zoneChecks }), 'burns-ready')!;
    const spoke = plan('causticPoultice').of!;
    const checked = [aCheck('burns-ready', { pieceIds: [...spoke.pieceIds], spokeOf: [...spoke.spokeOf] })];
    return plan('causticPoultice', checked).state === 'passed' && plan('causticReady', checked).state === 'open';
  }),
];

const wallLaid = (over: Parameters<typeof aLaid>[0]) =>
  aSurface({
    element: 'wall',
    material: 'limePlaster',
    topcoat: 'matEmulsion',
    yearMade: 2005,
    layers: [aLayer(0, { yearApplied: 2005 })],
    conditions: ['moldy'],
    moldM2: 1,
    readings: LEADFREE,
    parts: [aPart('flat', 'overcoat')],
    laid: [aLaid(over)],
  });
const LAID: readonly Situation[] = [
  sit('a coat is written down over growth that nobody cleaned: the plan says so, with who laid it', () => {
    const t = told(wallLaid({ areaM2: 1, litres: 0.1, by: 'Ines' }));
    return has(t.paper, /Ines.? wrote down mat emulsion before this check had passed/i);
  }),
  sit('insisted, the reason stands on the paper with the name', () =>
    has(
      told(wallLaid({ areaM2: 1, litres: 0.1, by: 'Ines', earlyWhy: 'cleaned yesterday' })).paper,
      /Ines.? laid .* said: .?cleaned yesterday/i,
    ),
  ),
  sit('four gallons on ten square feet: asked before it is kept', () => {
    const s = wallLaid({});
    const t = told(s);
    const line = t.own.coating.lines.find((l) => l.product === 'matEmulsion')!;
    const draft = aLaid({ areaM2: 0.93, litres: 15.1 });
    return laidAsks(draft, line, s, t.own, DEFAULT_SETTINGS, false).some((r) => r.rule === 'ask.laidFilm');
  }),
];

const trialled = (square: Parameters<typeof aSquare>[0], over: Partial<Surface> = {}) =>
  told(
    aSurface({
      element: 'door',
      readings: LEADFREE,
      aim: 'bareClear',
      parts: [aPart('flat', 'solventGel', { sharePct: 60 }), aPart('moulded', 'solventGel', { sharePct: 40 })],
      squares: [aSquare(square)],
      ...over,
    }),
  );
const clean = { id: 'sq', methodId: 'solventGel' as const, dwellMin: 60, lifted: 'bare' as const, stayedPct: 0, surfaceC: 20 };
const TRIAL: readonly Situation[] = [
  sit('a square that had a fifth of the gel that is laid proves nothing, clean or not', () => {
    const thin = { sizeCm2: 400, usedMl: 8 };
    return (
      trialled({ ...clean, ...thin }).own.trials.every((t) => t.state.value !== 'works') &&
      trialled({ ...clean, lifted: 'nothing', dwellMin: 10_000, ...thin }).own.trials.every((t) => t.state.value !== 'failed') &&
      trialled({ ...clean, sizeCm2: 400, usedMl: 60 }).own.trials.some((t) => t.state.value === 'works')
    );
  }),
  sit('a square with an answer whose clock nobody began proves nothing', () =>
    trialled({ ...clean, dwellMin: null }).own.trials.every((t) => t.state.value !== 'works'),
  ),
  sit('what came clean on the flat says nothing of the moulding: it is tried there first', () => {
    const rule = (t: Told, part: number) =>
      t.own.choice.parts[part]!.options.find((o) => o.methodId === 'solventGel')!.because.map((r) => r.rule);
    const t = trialled({ ...clean, partId: 'part-flat' });
    return !rule(t, 0).includes('trial.carriedOnly') && rule(t, 1).includes('trial.carriedOnly');
  }),
  sit('milk-paint remover came clean on a coat that nobody knows: it may be used, and milk paint is named', () => {
    const t = trialled(
      { ...clean, methodId: 'milkPowder' },
      { layers: [aLayer(0, { binder: 'unknown' })], parts: [aPart('flat', 'milkPowder')] },
    );
    return t.verdict('milkPowder') !== 'blocked' && t.rules.includes('milkPowder:trial.likelyCasein');
  }),
];

/** Strokes of two parts, all passed; then an older coat shows at one of them. */
const broken = (sign: Partial<Surface['signs'][number]>) => {
  const s = aSurface({
    element: 'door',
    readings: [chip(1)],
    parts: [aPart('flat', 'wetScrapeLoose', { sharePct: 60 }), aPart('moulded', 'wetScrapeLoose', { sharePct: 40 })],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
  });
  const gates = told(s)
    .steps.flatMap((st) => st.gates)
    .map((g, i) => aCheck(g.id, { zoneId: g.zoneId, takenAt: `2026-05-04T10:${String(i).padStart(2, '0')}:00.000Z` }));
  const checks = gates.filter((g) => g.zoneId === null);
  const seen = { ...aSign('oldColour'), takenAt: '2026-05-04T16:00:00.000Z', ...sign };
  return told({ ...s, checks, signs: [seen] }, { zoneChecks: gates.filter((g) => g.zoneId !== null) });
};
const BROKEN: readonly Situation[] = [
  sit('an older coat shows on the moulding: the flat keeps its pass, the moulding and the clean-up are open', () => {
    const t = broken({ methodId: 'wetScrapeLoose', partId: 'part-moulded' });
    const state = (id: string) => gateOn(t, id)!.state;
    return (
      state('edges-hold.flat.wetScrapeLoose') === 'passed' &&
      state('edges-hold.moulded.wetScrapeLoose') !== 'passed' &&
      state('cleaned') !== 'passed'
    );
  }),
  sit('an older coat shows while the new coats are rubbed down: what was verified is open again', () => {
    const before = broken({ sign: 'coatSkips', product: 'none' });
    const product = before.own.coating.lines.at(-1)!.product;
    return gateOn(broken({ methodId: null, partId: null, product }), 'cleaned')!.state !== 'passed';
  }),
];

const kitHas = (t: Told, ...kit: readonly string[]): boolean => kit.every((k) => t.kit.includes(k as never));
const aProduct = (over: Partial<Product> & Pick<Product, 'good'>): Product => ({
  ...ProductFields.parse({ name: 'Own one', good: over.good }),
  id: 'product-1',
  removedAt: null,
  ...over,
});
const POISON: readonly Situation[] = [
  sit('zinc chromate on a railing without lead: no dry wire brush, no torch; mask, suit, washing; named; its debris is held apart', () => {
    const t = told(
      aSurface({
        element: 'railing',
        material: 'mildSteel',
        layers: [aLayer(0, { binder: 'alkyd', yearApplied: 1995, poisons: ['chromate'] })],
        yearMade: 1990,
        readings: [chip(0, 'ppm', { reachedLayerIds: ['coat-0'] })],
        parts: [aPart('flat', 'wetScrapeLoose')],
      }),
      { space: OUTSIDE },
    );
    return (
      t.verdict('drySand') === 'blocked' &&
      t.verdict('heatGun') === 'blocked' &&
      t.protection.respirator.value !== null &&
      kitHas(t, 'coverall', 'washStation') &&
      t.gates.includes('poison-ready') &&
      t.waste.some((w) => w.stream === 'biocideDebris') &&
      has(t.paper, /chromate/i)
    );
  }),
  ...(
    [
      ['nobody looked: treated as chromate', {}, { yearApplied: 1990 }, true],
      ['nobody knows when', {}, { yearApplied: null }, true],
      ['looked for, and none shows', {}, { yearApplied: 1990, poisonsLookedFor: true }, false],
      ['its only coat is of 1996', {}, { yearApplied: 1996 }, false],
      ['the coats are not counted to the metal', { coatsCounted: false }, { yearApplied: 1989, poisonsLookedFor: true }, true],
      ['it is timber', { material: 'softwood' }, { yearApplied: 1990 }, false],
    ] as const
  ).map(([what, over, coat, there]) =>
    sit(`a railing of 1990, no lead in its coat; what its primer holds: ${what}`, () => {
      const t = told(
        aSurface({
          element: 'railing',
          material: 'mildSteel',
          layers: [aLayer(0, { binder: 'alkyd', ...coat })],
          yearMade: 1990,
          readings: [chip(0, 'ppm', { reachedLayerIds: ['coat-0'] })],
          parts: [aPart('flat', 'wetScrapeBare')],
          ...over,
        }),
        { space: OUTSIDE },
      );
      return [
        t.verdict('drillBrush') === 'blocked' && t.rules.includes('drillBrush:poison.dry'),
        t.rules.includes('wetScrapeBare:poison.unsaid'),
        t.gates.includes('poison-ready'),
        kitHas(t, 'coverall', 'washStation'),
        t.waste.some((w) => w.stream === 'biocideDebris'),
        has(t.paper, /chromate \(assumed, nobody looked\)/),
        has(t.client, /^Chromate: nobody looked/m),
      ].every((x) => x === there);
    }),
  ),
  sit('the chromate lies under two sound coats: the top one is scuffed as ever', () => {
    const t = told(
      door({
        yearMade: 1995,
        layers: [0, 1, 2].map((n) => aLayer(n, { yearApplied: 1995, poisons: n === 2 ? ['chromate'] : [] })),
        readings: LEADFREE,
        parts: [aPart('flat', 'overcoat')],
      }),
    );
    return t.verdict('overcoat') !== 'blocked' && !t.gates.includes('poison-ready');
  }),
  sit('two coats of 1996 over a chromate primer, no lead: the top is free, below it is set up first', () => {
    const t = told(
      aSurface({
        element: 'railing',
        material: 'mildSteel',
        layers: [0, 1, 2].map((n) => aLayer(n, { yearApplied: 1996, poisons: n === 2 ? ['chromate'] : [] })),
        yearMade: 1996,
        readings: LEADFREE,
        parts: [aPart('flat', 'overcoat')],
      }),
      { space: OUTSIDE },
    );
    return t.own.touch.map((x) => x.answer.value).join() === 'free,free,controlled';
  }),
  sit('an owner’s cot with a child at home: nobody touches it today, and what nobody may work is in no sum', () => {
    const home = { worker: 'owner', tenure: 'ownerOccupied', publicFunding: 'no', childUnder6: 'yes' } as const;
    const t = told(aSurface({ element: 'cot', yearMade: 1950, layers: [aLayer(0, { soundness: 'failing' })] }), { job: home });
    return t.own.touch.every((x) => x.answer.value === 'stop') && t.own.money.high === 0 && t.own.coating.lines.length === 0;
  }),
  sit('1,500 ppm under a shrouded sander, a small child at home: looked over, wipes offered, suits thrown out as what they hold', () => {
    const t = told(door({ readings: [chip(1500, 'ppm')], parts: [aPart('flat', 'hepaSand')] }), { job: { childUnder6: 'yes' } });
    return t.gates.includes('cleaned') && has(t.paper, /offer dust wipes/) && t.waste.some((w) => w.stream === 'filters');
  }),
  sit('only its top coat is scuffed, and rust is cut out of it: the chromate below is reached', () => {
    const t = (defects: Surface['defects']) =>
      told(
        aSurface({
          element: 'railing',
          material: 'mildSteel',
          layers: [0, 1].map((n) => aLayer(n, { yearApplied: 1996, poisons: n === 1 ? ['chromate'] : [] })),
          yearMade: 1996,
          readings: LEADFREE,
          parts: [aPart('flat', 'overcoat')],
          defects,
        }),
        { space: OUTSIDE },
      );
    const cut = t([aDefect('rustJacking')]);
    return (
      !t([]).gates.includes('poison-ready') && cut.gates.includes('poison-ready') && cut.waste.some((w) => w.stream === 'biocideDebris')
    );
  }),
  sit('soft grit: nut allergy is asked, and its dust is said to burn', () => {
    const t = told(aSurface({ element: 'siding', readings: LEADFREE, parts: [aPart('flat', 'sweepBlast')] }), { space: OUTSIDE });
    return (
      t.rules.includes('sweepBlast:blast.softGrit') &&
      (t.own.choice.parts[0]!.selected.value !== 'sweepBlast' || t.gates.includes('soft-grit'))
    );
  }),
  sit('a floor paint of two parts is sprayed: supplied air, until its sheet denies isocyanate', () => {
    const floor = (isocyanate: Product['isocyanate']) =>
      told(
        aSurface({
          element: 'floorBoards',
          topcoat: 'floorPaint',
          layings: { topcoat: 'lowPressure' },
          yearMade: 2005,
          layers: [aLayer(0, { yearApplied: 2005 })],
          readings: LEADFREE,
          parts: [aPart('flat', 'overcoat')],
        }),
        { settings: { products: [aProduct({ name: 'Deck two', good: 'floorPaint', chemistry: 'twoPart', isocyanate })] } },
      ).protection.coat?.respirator.value;
    return floor('unknown') === 'airline' && floor('no') !== 'airline';
  }),
  sit('a hose of air is worn, and no machine of the firm supplies it: it is hired, and its air is a check', () => {
    const t = told(
      aSurface({
        element: 'railing',
        material: 'mildSteel',
        rustGrade: 4,
        layers: looked([aLayer(0)]),
        readings: LEADFREE,
        parts: [aPart('flat', 'hardBlast')],
      }),
      { space: OUTSIDE, settings: { machines: [aMachine({ kind: 'vacuum' })] } },
    );
    return t.gates.includes('breathing-air') && has(t.paper, /breathing-air supply/i);
  }),
  sit('a gas pipe is masked: its vent stays open', () => {
    const t = told(aSurface({ element: 'gasPipe', material: 'mildSteel', readings: LEADFREE, parts: [aPart('flat', 'overcoat')] }));
    return !has(t.paper, /(mask|tape)[^.]*\bvent\b/i);
  }),
  sit('a room with a gas pipe in it is sealed for lead: flues and air inlets stay open', () => {
    const t = told(door({ parts: [aPart('flat', 'wetScrapeLoose')] }), { space: { services: ['gasPipe'] } });
    return t.gates.includes('vents-open');
  }),
];

const boarded = (over: Partial<Surface> = {}) =>
  told(
    aSurface({
      element: 'siding',
      material: 'softwood',
      yearMade: 2005,
      lengthM: 4,
      widthM: 0.2,
      count: 10,
      readings: LEADFREE,
      layers: [aLayer(0, { soundness: 'failing' }), aLayer(1)],
      parts: [aPart('flat', 'wetScrapeLoose')],
      ...over,
    }),
    { space: OUTSIDE },
  );
const aBoard = (label: string, over: Partial<Board>): Board => ({ ...BLANK_BOARD, id: `board-${label}`, label, removedAt: null, ...over });
const SEEN: Board[] = [
  aBoard('1', { oilSoaked: 'yes' }),
  aBoard('2', { rotten: 'yes' }),
  aBoard('3', { mixed: true, oilSoaked: 'no' }),
  aBoard('4', { coats: 3, soundCoats: 0, oilSoaked: 'no' }),
];
const timberM = ({ steps }: Told): number =>
  steps.flatMap((st) => st.amounts.filter((a) => a.what === 'stock')).reduce((sum, a) => sum + a.amount.value, 0);
// Common practice, no published source: soaked or rotten goes, one bad end is cut at the joint, what holds nowhere is stripped.
const BOARDS: readonly Situation[] = [
  sit('of ten boards two go and one is cut at the joint: their timber and hours are in the plan, and their numbers on paper', () => {
    const [t, none] = [boarded({ boards: SEEN }), boarded()];
    const replaced = t.steps.find((st) => st.id === 'repair.replacePiece');
    return (
      timberM(t) === 10 &&
      timberM(none) === 0 &&
      (replaced?.handsOnH.low ?? 0) >= 3 &&
      has(t.paper, /replace: .?1, 2/i) &&
      has(t.paper, /strip: .?4/i)
    );
  }),
  sit('oil in two boards of a wall whose others hold none: the wall is not taken out for it', () => {
    const t = boarded({ boards: SEEN, conditions: ['oilSoaked'], parts: [aPart('flat')] });
    return t.own.choice.parts[0]!.selected.value !== 'replacePart' && timberM(t) === 10;
  }),
  sit('all of a wall is taken out: its bad boards and its holes go with it, and no timber is bought twice', () => {
    const t = boarded({ boards: SEEN, defects: [aDefect('hole')], parts: [aPart('flat', 'replacePart')] });
    return timberM(t) === 0 && t.ids.every((id) => !id.startsWith('repair.')) && has(t.paper, /this goes with it/);
  }),
  sit('six of ten nobody has looked at: the crew is told so', () => has(boarded({ boards: SEEN }).paper, /6 nobody has looked at/)),
  sit('a plan whose boards all hold bares less than one whose boards do not', () => {
    const all = (over: Partial<Board>) =>
      boarded({ boards: Array.from({ length: 10 }, (_, i) => aBoard(String(i + 1), over)) }).own.coating.bareM2;
    return (
      all({ coats: 3, soundCoats: 3 }) < all({ coats: 3, soundCoats: 1 }) &&
      all({ coats: 3, soundCoats: 1 }) < all({ coats: 3, soundCoats: 0 })
    );
  }),
  sit('boards that go hold asbestos in their coat: asked first, and nothing is cut', () => {
    const t = boarded({ boards: SEEN, layers: [aLayer(0, { binder: 'textured', look: 'stipple' })], yearMade: null, readings: [] });
    return t.ids.every((id) => id !== 'repair.replacePiece');
  }),
];

describe.each([
  ['boards', BOARDS],
  ['poison', POISON],
  ['laid', LAID],
  ['trial', TRIAL],
  ['broken', BROKEN],
  ['held', HELD],
  ['lead', LEAD],
  ['asbestos', ASBESTOS],
  ['work', WORK],
  ['order', ORDER],
  ['evidence', EVIDENCE],
] as const)('%s', (_, all) => {
  for (const { it: says, holds } of all) test(says, () => expect(holds()).toBe(true));
});
