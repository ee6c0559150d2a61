/** Coats in order, salts, putty, and what a sheet says of hands, lungs and years. */
import { filmLaid, isOutdoors, type Laid, type Product, type Surface, type SurfacePlan, type TopcoatId } from '@roughsill/core';
import type { Run } from '../run';
import type { Law } from './law';

const CLEAR_OR_MINERAL: readonly TopcoatId[] = ['clearVarnish', 'woodStain', 'penetratingOil', 'pasteWax', 'limewash', 'silicatePaint'];
const WASHED_OFF: readonly Surface['material'][] = ['mildSteel', 'castIron', 'galvanised', 'aluminium', 'brass', 'fibreglass', 'laminate'];
const LIVES = (p: Product): boolean => p.removedAt === null && p.inUse;
const byName = (a: Product, b: Product): number => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.id < b.id ? -1 : 1);
const ownOf = (run: Run, good: string): Product | undefined =>
  (run.settings.products ?? []).filter((p) => LIVES(p) && p.good === good).sort(byName)[0];

const each = (run: Run, f: (s: Surface, p: SurfacePlan) => readonly string[]): string[] =>
  run.job.surfaces.flatMap((p) => {
    const s = run.facts.surfaces.find((x) => x.id === p.surfaceId)!;
    return f(s, p).map((what) => `${s.name} (${s.id}): ${what}`);
  });

/** What bleeds is blocked before anything hides it, as far as it goes, and nothing lies over the finish. */
const stainsThrough = (run: Run): string[] =>
  each(run, (s, { coating, choice }) => {
    const last = coating.lines.at(-1);
    if (last === undefined) return [];
    const out = last.use === 'topcoat' ? [] : ['the topcoat is not the last'];
    const stained = s.conditions.includes('waterStain') || s.conditions.includes('smokeStain') || (s.stainM2 ?? 0) > 0;
    if (!stained || WASHED_OFF.includes(s.material) || CLEAR_OR_MINERAL.includes(last.product as TopcoatId)) return out;
    const renewed = choice.parts.every((p) => p.areaM2 === 0 || p.selected.value === 'replacePart');
    const block = coating.lines.find((l) => l.product === 'stainBlock');
    const least = Math.min(s.stainM2 === null || s.stainM2 === 0 ? Infinity : s.stainM2, last.areaM2);
    if (!renewed && (block === undefined || block.areaM2 < least - 1e-6))
      out.push(`${least} m2 of stain, ${block?.areaM2 ?? 0} m2 blocked`);
    return out;
  });

const MINERAL_TOPS: readonly TopcoatId[] = ['limewash', 'silicatePaint'];
/** What has a film or a pigment, and closes lime or shows through what is clear. */
const FILMS: readonly string[] = ['stainBlock', 'alkydWood', 'acrylicWood', 'bonding', 'thinnedPva'];
/** Glue that swells is no ground where water comes; a film is none under lime or what is clear; oil turns to soap on zinc (ISO 12944-5). */
const swells = (run: Run): string[] =>
  each(run, (s, { coating }) => {
    const top = coating.lines.at(-1)?.product as TopcoatId | undefined;
    const film = coating.lines.find((l) => FILMS.includes(l.product));
    const out: string[] = [];
    if (film !== undefined && top !== undefined && MINERAL_TOPS.includes(top)) out.push(`${film.product} under ${top}`);
    if (top === 'clearVarnish' && film !== undefined) out.push(`${film.product} under what is clear`);
    if (s.material === 'galvanised' && coating.lines.some((l) => l.product === 'alkydWood')) out.push('an oil undercoat on zinc');
    const [glue] = coating.lines.filter((l) => l.product === 'thinnedPva' && !l.because.some((r) => r.rule === 'prime.moldPva'));
    if (glue !== undefined && (s.material === 'limePlaster' || s.conditions.includes('wet') || s.conditions.includes('moldy')))
      out.push('diluted PVA on lime or in the damp');
    return out;
  });

const MINERAL: readonly Surface['material'][] = ['limePlaster', 'gypsumPlaster', 'board', 'concrete', 'brick', 'stone'];
const TIGHT: readonly TopcoatId[] = ['alkydGloss', 'waterborneGloss', 'metalEnamel', 'clearVarnish', 'floorPaint'];
/** Salts are out, or kept away, before a coat shuts them in. */
const saltShutIn = (run: Run): string[] =>
  each(run, (s, { coating, work, asbestos }) => {
    if (!s.conditions.includes('salty') || coating.lines.length === 0) return [];
    const out: string[] = [];
    const top = coating.lines.at(-1)!.product as TopcoatId;
    if (MINERAL.includes(s.material) && TIGHT.includes(top)) out.push(`${top} over salts`);
    const suspect = asbestos.overall.value !== 'notFound';
    const at = work.steps.findIndex((st) => st.gates.some((g) => g.id === 'salts-gone'));
    const coat = work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat');
    if (!suspect && coat >= 0 && (at < 0 || at > coat)) out.push('coated before anybody looked for salts');
    return out;
  });

/** A sheet's own gloves and mask are worn by whoever lays it, and what flashes is laid with air. */
const GLOVES = ['nitrile', 'neoprene', 'butyl', 'laminate'];
const sheetUnworn = (run: Run): string[] =>
  run.job.zones.flatMap((z) => {
    const laid = z.surfaceIds.flatMap((id) => run.plans.get(id)?.coating.lines.filter((l) => l.areaM2 > 0 && l.coats > 0) ?? []);
    const { coat } = z.protection;
    return laid.flatMap((l) => {
      const own = ownOf(run, l.product);
      if (own === undefined) return [];
      const out: string[] = [];
      const worn =
        coat?.kit.flatMap((k) => k.because.flatMap((r) => r.weighed.filter((w) => w.asked === 'material').map((w) => String(w.found)))) ??
        [];
      if (own.gloves !== null && !worn.some((w) => GLOVES.indexOf(w) >= GLOVES.indexOf(own.gloves!)))
        out.push(`${z.name}: ${l.product} asks for ${own.gloves}, ${worn.join() || 'nothing'} is worn`);
      if (own.filter !== null && (coat === null || coat.respirator.value === null))
        out.push(`${z.name}: ${l.product} without the mask of its sheet`);
      if (own.filter === 'suppliedAir' && !/^airline/.test(coat?.respirator.value ?? ''))
        out.push(`${z.name}: ${l.product} without air from a line`);
      if (own.flashC !== null && own.flashC <= 60 && !z.hazards.some((h) => h.kind === 'vapour'))
        out.push(`${z.name}: ${l.product} flashes, and nobody says so`);
      return out;
    });
  });

/** Glass lies on a primed rebate, and no coat goes on before the putty has its skin. */
const softPutty = (run: Run): string[] =>
  each(run, (_, { work }) =>
    ['reglaze', 'rePutty'].flatMap((kind) => {
      const at = (test: RegExp) => work.steps.findIndex((st) => st.gates.some((g) => test.test(g.id)));
      const glazed = work.steps.findIndex((st) => st.id === `repair.${kind}`);
      if (glazed < 0) return [];
      const coat = work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat');
      const rebate = at(new RegExp(`^rebate-dry\\.${kind}$`));
      const skin = at(new RegExp(`^putty-skin\\.${kind}$`));
      return [
        ...(rebate < 0 || rebate > glazed ? ['putty on a raw rebate'] : []),
        ...(skin < 0 || (coat >= 0 && skin > coat) ? ['coated over soft putty'] : []),
      ];
    }),
  );

/** What the client declined is left as it is: nothing is laid on it, and nobody is asked about its coat. */
const laidOnDeclined = (run: Run): string[] =>
  each(run, (s, { coating, choice }) =>
    s.declinedOn !== null &&
    choice.parts.every((p) => p.areaM2 === 0 || p.selected.value === 'leave') &&
    coating.lines.length + coating.refused.length > 0
      ? ['declined, and a coat is planned or asked about']
      : [],
  );

const LEARNT: readonly string[] = ['coat.spreadUsed', 'coat.spreadOff'];
/** Whoever lays what the plan has, where it has it, has the film that the plan wants: by every way of laying, on every ground, outdoors and in. */
const plannedIsWanted = (run: Run): string[] =>
  each(run, (s, { coating }) => {
    const outdoors = isOutdoors(
      s,
      run.facts.spaces.find(({ id }) => id === s.spaceId),
    );
    return coating.lines.flatMap((l) => {
      // What was measured on this job has its own say; what is laid once more on edges and wounds is more than a film.
      if (l.laidL > 0 || l.againM2 > 0 || l.areaM2 <= 0 || l.coats <= 0 || l.because.some((r) => LEARNT.includes(r.rule))) return [];
      const record: Laid = {
        id: 'as-planned',
        product: l.product,
        way: l.way,
        coats: l.coats,
        areaM2: l.areaM2,
        litres: l.litres,
        wetUm: null,
        thinnedPct: 0,
        tinId: null,
        tinL: null,
        earlyWhy: '',
        withdrawn: false,
        supersedesId: null,
        takenAt: '2026-05-04T08:00:00.000Z',
        by: 'Tester',
      };
      const film = filmLaid(record, s, coating.blasted, run.settings, outdoors);
      return film === null || Math.abs(film.dryUm / film.wantedUm - 1) < 0.01
        ? []
        : [`${l.product}, laid as planned, is ${film.dryUm} um of ${film.wantedUm}`];
    });
  });

const GRIT: readonly string[] = ['hardBlast', 'vacuumBlast'];
/** Grit leaves steel and iron with valleys: they are measured, within 1 and 4 mil, before a coat closes them. SSPC-SP 11, ISO 8503-1. */
const profileUnread = (run: Run): string[] =>
  each(run, (s, { choice, coating, work }) => {
    const blasted = choice.parts.some((p) => p.areaM2 > 0 && p.selected.value !== null && GRIT.includes(p.selected.value));
    if (!blasted || coating.lines.length === 0 || (s.material !== 'mildSteel' && s.material !== 'castIron')) return [];
    const laid = work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat');
    // Where a part is undecided the whole piece waits: nothing is laid, and the plan says so and nothing else.
    if (laid < 0)
      return work.steps.every((st) => st.kind === 'ask') && work.steps.length > 0
        ? []
        : ['coats are planned, and no step lays them or asks'];
    const asks = work.steps.slice(0, laid).flatMap((st) => st.gates.flatMap((g) => g.asks));
    const read = asks.find((a) => a.what === 'profileUm');
    return read?.atLeast?.value === 25 && read.atMost?.value === 100 ? [] : ['blasted, and coated over whatever profile there is'];
  });

/** A coat that is written down before what comes before it has passed says so where it is laid, with who laid it. */
const laidUnasked = (run: Run): string[] =>
  each(run, (s, { work }) => {
    const gone = new Set(s.laid.map((x) => x.supersedesId));
    const products = new Set(s.laid.filter((x) => !x.withdrawn && !gone.has(x.id)).map((x) => x.product as string));
    return [...products].flatMap((product) => {
      const at = work.steps.findIndex((st) => st.at !== undefined && 'coat' in st.at && st.at.coat === product);
      if (at < 0 || work.steps.slice(0, at).every((st) => st.gates.every((g) => g.state === 'passed'))) return [];
      const says = work.steps[at]!.because.some((r) => r.rule === 'coat.laidOpen' || r.rule === 'coat.insistedOpen');
      return says ? [] : [`${product} stands as laid, and nothing says what was open before it`];
    });
  });

export const COAT_LAWS: readonly Law[] = [
  { id: 'O3c', says: 'a coat that is written down is judged like a check', check: laidUnasked },
  { id: 'C3ab', says: 'the profile of blasted steel is read before its coat', check: profileUnread },
  { id: 'C3aa', says: 'laid as planned, a coat is as thick as wanted', check: plannedIsWanted },
  { id: 'C3z', says: 'nothing is laid on what the client declined', check: laidOnDeclined },
  { id: 'C3t', says: 'a stain is blocked before the coat that hides it', check: stainsThrough },
  { id: 'C3u', says: 'glue that swells is no ground in the damp, and a film none under lime', check: swells },
  { id: 'C3v', says: 'salts are gone before a coat', check: saltShutIn },
  { id: 'C3w', says: 'a sheet’s own gloves, mask and air', check: sheetUnworn },
  { id: 'C3x', says: 'putty on a primed rebate, a coat on its skin', check: softPutty },
];
