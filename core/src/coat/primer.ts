/** Which primer, where: by material, what was left behind, what bleeds and what goes on top. */
import {
  CLEAR_TOPCOATS,
  COAT_USES,
  MASONRY,
  METAL,
  PLASTER,
  PLASTIC,
  SOAKING_TOPCOATS,
  TIMBER,
  type Binder,
  type MethodId,
  type Product,
  type Surface,
  type TopcoatId,
} from '../facts';
import type { SurfaceContext } from '../views';
import { methodById, type Method } from '../catalogue';
import { FERROUS } from '../catalogue/method';
import { isRenewed, methodsOf, picksOf, type Choice } from '../choose';
import { answer, typed, why, type Answer, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { measure, type Measure } from '../units/units';
import { degreeShare, isHeater, liveLayers, liveParts, type TakeOff } from '../walk';
import { isDamp, isPresent, leadDepths, type LeadPicture } from '../probe';
import { endsClear } from '../trial';
import { againstTopcoat, isHot, MOLD_SEALS, needsBond, stainOf, usualTopcoat } from './fits';
import { litresFor } from './film';
import { LAYING, layingOf, withLoss, type LayingOf } from './laying';
import { extentOf, finishOf, finishSpec } from '../repair';
import { bareByPieces } from '../trial';
import { SHEET_C } from '../catalogue/drying';
import { coatingOf, ownOf, priceOf, saysOfCoat } from '../shelf/firm-sheets';
import { asLaid, guaranteed } from './as-laid';
import type { CoatingPlan, CoatLine, CoatWhere } from './plan';
import { blastedShare, takesOf, takesWords, timesOn } from './absorption';
import { baseOf, TOPCOATS_DATA, type CoatId, type Coating, type PrimerId } from '../catalogue/coatings';

/** Of a part scraped to a sound layer, about this share ends bare when nobody graded it. Common practice: spot-prime, and measure on the day. */
const BARE_SHARE_OF_LOOSE = 0.35;
/** An edge is followed until it holds: what was graded as failed grows by so much. Common practice, no published source. */
const EDGES_GROW = 2;

/** How much of a scraped face ends bare: by its degrees of flaking and rust where they were read (ISO 4628-3, -5), and by its pieces where each was looked at. */
function bareShareOfLoose(s: Surface): number {
  const shares = (['flakeGrade', 'rustGrade'] as const).flatMap((g) => {
    const degree = s[g];
    const pct = degree === null ? null : degreeShare(g, degree);
    return pct === null ? [] : [pct / 100];
  });
  const read = shares.length === 0 ? null : Math.min(1, Math.max(...shares) * EDGES_GROW);
  const looked = bareByPieces(s, read ?? BARE_SHARE_OF_LOOSE);
  return looked === null ? (read ?? BARE_SHARE_OF_LOOSE) : Math.max(looked, read ?? 0);
}

/** The films that the next coat touches after a method: the top one, the first that holds, or none. */
function filmUnder(m: Method, lead: LeadPicture): Binder[] {
  if (m.bite === 'bare' || lead.coats.length === 0) return [];
  // Scraping takes what is loose in patches, down to the first coat that holds: between them the top one stays.
  const top = lead.coats[0]!.coat;
  const holds = m.bite === 'loose' && top.soundness !== 'sound' ? lead.coats[leadDepths(lead).looseCoats] : undefined;
  return [top.binder, ...(holds === undefined ? [] : [holds.coat.binder])];
}
/** Knots and a hand round each, share of bare softwood. Common practice. */
const KNOT_SHARE = 0.05;

/** What stills bare plaster: the firm's school, barred where glue would take up water again or close lime. */
function plasterSeal(s: Surface, ctx: SurfaceContext, usual: Answer<PrimerId>): Answer<PrimerId> {
  if (ctx.settings.plasterSeal !== 'thinnedPva') return usual;
  const against =
    s.material === 'limePlaster'
      ? why('prime.pvaOnLime', 'trade-prime', {}, 'care')
      : ctx.place === 'outside' || isDamp(s) || ctx.space.moldKit !== null || ctx.space.comesIn
        ? why('prime.pvaInDamp', 'trade-prime', {}, 'care')
        : s.topcoat !== null && CLEAR_TOPCOATS.includes(s.topcoat)
          ? why('prime.pvaUnderClear', 'trade-prime', {}, 'care')
          : null;
  return against === null
    ? answer('thinnedPva', why('prime.pva', 'firm-setting', {}))
    : { value: usual.value, because: [...usual.because, against] };
}

/** What is laid for one of these first of all is laid where they are. */
const IN_SPOTS: readonly string[] = ['prime.stain', 'prime.moldOnLime'];

/** Half alcohol, half water, on a cloth that is wrung out; dry in half an hour. Common practice, no published source. */
export const WIPE = { litresPerM2: 0.015, alcoholShare: 0.5, driesH: 0.5 } as const;
/** It takes them up: the cloth turns the color of the coat. */
const SPIRIT_SOLUBLE: readonly Binder[] = ['shellac', 'lacquer', 'distemper', 'limewash', 'casein'];
/** Barred where alcohol dissolves the coat, where nobody tried it on a coat of which nobody knows what it is, and where a cloth may drag fibres. */
function lastWipe(s: Surface, ctx: SurfaceContext, left: 'bare' | 'partly' | 'coated'): CoatingPlan['wipe'] {
  if (ctx.settings.lastWipe !== 'alcohol' || left === 'bare') return 'none';
  const [top] = liveLayers(s);
  if (top === undefined || isPresent(ctx.asbestos.coat.value)) return 'none';
  const gives = top.alcohol === 'dissolves' || top.alcohol === 'softens' || SPIRIT_SOLUBLE.includes(top.binder);
  return gives || (top.binder === 'unknown' && top.alcohol === 'untried') ? 'barred' : 'alcohol';
}

/**
 * What seals the place of growth that was cleaned off: the firm's school, but glue not outdoors. Nothing on metal and plastic, from which it
 * is wiped; nothing under lime, silicate or what is clear, for it would close the one and show through the other.
 */
function moldSeal(
  s: Surface,
  ctx: SurfaceContext,
  topcoat: TopcoatId,
): { readonly product: PrimerId & CoatId; readonly because: readonly Reason[] } | null {
  const { base, clear } = TOPCOATS_DATA[topcoat];
  if (METAL.includes(s.material) || PLASTIC.includes(s.material) || base === 'mineral' || clear) return null;
  const swells = ctx.settings.moldSeal === 'pva' && ctx.place === 'outside';
  const { product, rule, effect } = MOLD_SEALS[swells ? 'stainBlock' : ctx.settings.moldSeal];
  return {
    product,
    because: [why(rule, 'trade-mold', {}, effect), ...(swells ? [why('prime.pvaInDamp', 'trade-prime', {}, 'care')] : [])],
  };
}

function primerFor(
  s: Surface,
  ctx: SurfaceContext,
  left: 'bare' | 'partly' | 'coated',
  films: readonly Binder[],
  topcoat: TopcoatId,
): Answer<PrimerId> {
  const top = TOPCOATS_DATA[topcoat];
  const facts = { material: s.material, topcoat };
  if (topcoat === 'antifoulingCoat' && left !== 'coated') return answer('underwaterPrimer', why('prime.underwater', 'mem-antifoul', facts));
  if (SOAKING_TOPCOATS.includes(topcoat) || topcoat === 'pasteWax') return answer('none', why('prime.soaksIn', 'trade-prime', facts));
  if (isHot(s)) return answer('none', why('prime.heatEnamel', 'mem-film', facts));
  // A stoved or powder-coated film takes no paint by itself, of whatever kind.
  if (left === 'coated' && films.includes('factory') && isHeater(s.element))
    return answer('heatResistant', why('prime.heater', 'trade-prime', facts));
  if (left === 'coated' && films.includes('factory')) return answer('bonding', why('prime.factory', 'trade-prime', facts));
  if (left === 'coated' && isHeater(s.element) && METAL.includes(s.material))
    return ctx.settings.heaterGround === 'primed' || ctx.settings.primeAlways
      ? answer('heatResistant', why('prime.heaterAll', 'firm-setting', facts))
      : answer('none', why('prime.heaterKeyed', 'trade-prime', facts));
  if (left === 'coated' && !isHeater(s.element) && needsBond(films, topcoat))
    return answer('bonding', why('prime.overHardFilm', 'trade-prime', facts));
  if (left === 'coated')
    // A film under lime keeps it from the wall, and a pigment under what is clear is seen: no school primes there.
    return ctx.settings.primeAlways && top.base !== 'mineral' && !top.clear
      ? answer('bonding', why('prime.always', 'firm-setting', facts))
      : answer('none', why('prime.soundCoats', 'trade-prime', facts));
  if (isHeater(s.element) && FERROUS.includes(s.material)) return answer('heatResistant', why('prime.heater', 'trade-prime', facts));
  if (PLASTIC.includes(s.material)) return answer('bonding', why('prime.plastic', 'trade-prime', facts));
  if (s.material === 'brass')
    return top.clear
      ? answer('none', why('prime.brassClear', 'trade-prime', facts))
      : answer('etch', why('prime.brass', 'trade-prime', facts));
  if (s.material === 'aluminium') return answer('etch', why('prime.aluminium', 'trade-prime', facts));
  if (s.material === 'galvanised') return answer('etch', why('prime.galvanised', 'trade-prime', facts));
  if (s.material === 'mildSteel' && left === 'bare' && ctx.settings.brightSteel === 'etch')
    return answer('etch', why('prime.steelEtch', 'firm-setting', facts, 'care'));
  if (s.material === 'mildSteel') return answer('zincPhosphate', why('prime.steel', 'trade-prime', facts));
  if (s.material === 'castIron') return answer('zincPhosphate', why('prime.steel', 'trade-prime', facts));
  if (top.base === 'mineral') return answer('mineral', why('prime.mineral', 'trade-prime', facts));
  if (PLASTER.includes(s.material)) {
    const rule = s.material === 'limePlaster' ? 'prime.limePlaster' : 'prime.plaster';
    return plasterSeal(s, ctx, answer('plasterSealer', why(rule, 'trade-prime', facts)));
  }
  if (MASONRY.includes(s.material)) return answer('alkaliResistant', why('prime.masonry', 'trade-prime', facts));
  if (top.clear) return answer('sandingSealer', why('prime.clear', 'trade-prime', facts));
  if (s.material === 'oilyWood') return answer('oilyWood', why('prime.oilyWood', 'trade-prime', facts));
  if (s.material === 'tanninWood') return answer('stainBlock', why('prime.tannin', 'trade-prime', facts));
  if (top.base === 'solvent' || ctx.place === 'outside') return answer('alkydWood', why('prime.alkyd', 'trade-prime', facts));
  return answer('acrylicWood', why('prime.acrylic', 'trade-prime', facts));
}

/** What takes growth off with it: a cleaning, or the piece itself going. */
const CLEANS = (m: Method): boolean => m.removesPiece || (m.takes.length === 1 && m.takes[0] === 'mold');

/** By the firm's own sheet: which, and what it says of the film. */
function sheetWords(own: Product | null, data: Coating): Reason[] {
  if (own === null || !saysOfCoat(own)) return [];
  return [
    why('coat.ownSheet', 'firm-sheet', {
      named: typed(own.name),
      film: measure(data.dryFilmUm, 'um'),
      solids: measure(data.volumeSolidsPct, '%'),
      wait: measure(data.recoatH.low, 'h'),
      at: measure(SHEET_C, 'C'),
    }),
  ];
}

/** A primer in the tone of what comes over it saves a coat; what is clear, mineral or seals a stain takes no tint. */
const TAKES_TINT: readonly PrimerId[] = ['acrylicWood', 'alkydWood', 'bonding', 'alkaliResistant', 'oilyWood'];
function tintWords(s: Surface, primer: PrimerId): Reason[] {
  if (s.tint === null || !TAKES_TINT.includes(primer)) return [];
  return [why('prime.tint', 'trade-prime', { tint: `tint.${s.tint}`, to: `tintedTo.${s.tint}` })];
}

/** So many coats are wanted, so many are enough: what one more costs, or what is missing. */
function againstEnough(wanted: number, enough: number, topcoat: TopcoatId, areaM2: number, settings: FirmSettings): Reason[] {
  if (wanted === enough) return [];
  const data = coatingOf(settings, topcoat);
  if (wanted < enough) {
    const film = measure(wanted * data.dryFilmUm, 'um');
    return [why('coat.tooFew', 'trade-prime', { wanted, enough, film: [film, measure(enough * data.dryFilmUm, 'um')] }, 'care')];
  }
  const litres = litresFor(areaM2, 1, data.volumeSolidsPct, data.dryFilmUm, LAYING.brush.lossPct);
  const hours = areaM2 / ((LAYING.brush.m2PerH.low + LAYING.brush.m2PerH.high) / 2);
  const cost = litres * priceOf(settings, topcoat) + hours * settings.labourPerHour;
  return [
    why('coat.more', 'trade-prime', {
      wanted,
      enough,
      litres: measure(litres, 'L'),
      hours: measure(hours, 'h'),
      cost: measure(cost, settings.pricesIn),
    }),
  ];
}

function line(
  use: CoatLine['use'],
  product: CoatId,
  areaM2: number,
  because: CoatLine['because'],
  settings: FirmSettings,
  moreCoats = 0,
): CoatLine {
  const data = coatingOf(settings, product);
  const own = ownOf(settings, product);
  const coats = data.coats + moreCoats;
  return {
    use,
    product,
    own,
    areaM2,
    coats,
    litres: litresFor(areaM2, coats, data.volumeSolidsPct, data.dryFilmUm, LAYING.brush.lossPct),
    laidL: 0,
    eachLM2: 0,
    againM2: 0,
    way: 'brush',
    where: 'all',
    recoatH: data.recoatH,
    because: [...because, ...sheetWords(own, data)],
  };
}

/** As it is laid: with what is lost on the way, and why in this way. */
function laid(l: CoatLine, layings: readonly LayingOf[], s: Surface, outdoors: boolean): CoatLine {
  const how = layings.find(({ use }) => use === l.use)?.selected;
  if (how === undefined) return l;
  return { ...l, way: how.value, litres: withLoss(l.litres, how.value, s, outdoors), because: [...l.because, ...how.because] };
}

/** Sharp edges on which rust starts. */
export const striped = (s: Pick<Surface, 'material'>): boolean => FERROUS.includes(s.material) || s.material === 'galvanised';

/** What an earlier blasting or caustic tore open, m2. */
const damagedOn = (s: Surface): number =>
  s.defects
    .filter((x) => x.removedAt === null && (x.kind === 'blastDamage' || x.kind === 'causticDamage'))
    .reduce((sum, x) => sum + extentOf(x), 0);

/** The coats from knots to finish for a surface, with litres and intervals. */
export function coat(s: Surface, ctx: SurfaceContext, area: TakeOff, choice: Choice, lead: LeadPicture): CoatingPlan {
  const worked = choice.parts.flatMap((p) => (p.selected.value ? [{ areaM2: p.areaM2, method: methodById(p.selected.value) }] : []));
  const looseShare = bareShareOfLoose(s);
  // Above a suspect the scraper stops in a coat that holds: nothing there is bared, and nothing is primed as bare. Law H2.
  const scrapedBare = isPresent(ctx.asbestos.below.value) ? 0 : looseShare;
  const bareM2 = worked.reduce(
    (sum, w) => sum + w.areaM2 * (w.method.bite === 'bare' ? 1 : w.method.bite === 'loose' ? scrapedBare : 0),
    0,
  );
  const uncoated = s.layers.every((l) => l.removedAt !== null) && s.coatsCounted;
  const leftValue = uncoated || (bareM2 > 0 && bareM2 >= area.totalM2 * 0.98) ? 'bare' : bareM2 > 0 ? 'partly' : 'coated';
  const primedM2 = uncoated ? area.totalM2 : bareM2;
  const left = answer(leftValue, why(`left.${leftValue}`, 'trade-prime', { area: measure(primedM2, 'm2') })) as CoatingPlan['left'];
  const films = [...new Set(worked.flatMap((w) => (w.areaM2 > 0 ? filmUnder(w.method, lead) : [])))];
  const topcoatId = s.topcoat ?? usualTopcoat(s, ctx, films, endsClear(s));
  const residues = [...new Set(methodsOf(choice).flatMap((m) => m.leaves))].filter(
    // Grain is raised and charred on wood only.
    (r) => TIMBER.includes(s.material) || (r !== 'grain' && r !== 'char'),
  );
  if (topcoatId === null)
    return {
      left,
      bareM2: 0,
      topcoat: answer(null, why('topcoat.leftBare', 'trade-prime', { material: s.material })),
      lines: [],
      refusedLines: [],
      layings: [],
      blasted: 0,
      residues,
      wipe: 'none',
      refused: [],
      asks: [],
    };
  const topcoat = answer(
    topcoatId,
    s.topcoat
      ? why('topcoat.byPerson', 'job-record', { topcoat: topcoatId })
      : why('topcoat.default', 'trade-prime', { topcoat: topcoatId, material: s.material }),
  );
  // What the client declined, what no method may take as far as it has to go, what is left alone or hidden behind a board is not coated;
  // bare material that somebody wants painted has nothing to be left alone.
  const nobodySaid = uncoated && choice.parts.every((p) => !p.chosenByPerson);
  const leftAlone = (id: MethodId) => id === 'cover' || (id === 'leave' && !nobodySaid);
  const stopped = choice.parts.some((p) => p.selected.value === null);
  if (s.declinedOn !== null || stopped || (worked.length > 0 && worked.every((w) => leftAlone(w.method.id))))
    return { left, bareM2, topcoat, lines: [], refusedLines: [], layings: [], blasted: 0, residues, wipe: 'none', refused: [], asks: [] };
  const growth = s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0;
  const cleaned = choice.parts.every((p) => picksOf(p).some((x) => CLEANS(methodById(x.option.methodId))));
  const renewed = isRenewed(choice);
  const against = [
    ...againstTopcoat(topcoatId, { s, ctx, films, bare: leftValue !== 'coated', renewed }),
    ...(growth && !cleaned ? [why('coat.overGrowth', ctx.rulebook.sources.mold, {}, 'block', 'hazard')] : []),
  ];
  const refused = against.filter((r) => r.effect === 'block');
  const asks = against.filter((r) => r.effect !== 'block');
  if (refused.length > 0)
    return { left, bareM2: primedM2, topcoat, lines: [], refusedLines: [], layings: [], blasted: 0, residues, wipe: 'none', refused, asks };

  const lines: CoatLine[] = [];
  const timber = TIMBER.includes(s.material);
  const top = TOPCOATS_DATA[topcoatId];
  if (timber && leftValue !== 'coated' && s.knots !== 'no' && s.material === 'softwood' && s.element !== 'hull' && !top.clear) {
    const knots: Measure = measure(KNOT_SHARE * 100, '%');
    lines.push(
      line(
        'knots',
        'knotting',
        primedM2 * KNOT_SHARE,
        [
          s.knots === 'yes'
            ? why('prime.knots', 'trade-prime', { share: knots })
            : why('prime.knotsUnknown', 'trade-prime', { share: knots }),
        ],
        ctx.settings,
      ),
    );
  }
  const sealed = worked.length > 0 && worked.every((w) => w.method.id === 'encapsulate' || w.method.id === 'thickPrimer');
  // Nothing is scuffed or bonded on what may hold asbestos, beside a sealed part either.
  const primer: Answer<PrimerId> =
    sealed || (leftValue === 'coated' && isPresent(ctx.asbestos.coat.value))
      ? answer('none', why('prime.overSealer', 'trade-prime'))
      : primerFor(s, ctx, leftValue, films, topcoatId);
  if (primer.value !== 'none') {
    const first = worked.some((w) => w.method.caustic) ? [why('prime.afterAlkali', 'trade-prime', {}, 'care')] : [];
    const incompatible =
      baseOf(primer.value) === 'solvent' && top.base === 'water' ? [why('prime.waterOverSolvent', 'trade-interval', {}, 'care')] : [];
    const primed = leftValue === 'coated' ? area.totalM2 : primedM2;
    lines.push(
      line('primer', primer.value, primed, [...primer.because, ...first, ...incompatible, ...tintWords(s, primer.value)], ctx.settings),
    );
  }
  /** One product that does two things is laid once, over both places, and what speaks for either is said. */
  const block = (product: PrimerId & CoatId, areaM2: number, because: readonly Reason[]) => {
    const same = lines.findIndex((l) => l.product === product && l.use === 'primer');
    if (same < 0) return lines.push(line('primer', product, areaM2, because, ctx.settings));
    const there = lines[same]!;
    lines[same] = line(
      'primer',
      product,
      Math.min(area.totalM2, there.areaM2 + areaM2),
      [...there.because.filter((r) => r.rule !== 'coat.ownSheet'), ...because],
      ctx.settings,
    );
  };
  const seal = growth && !renewed ? moldSeal(s, ctx, topcoatId) : null;
  if (seal !== null) {
    const patchM2 = s.material === 'limePlaster' && (s.moldM2 ?? 0) > 0 ? Math.min(s.moldM2!, area.totalM2) : null;
    // A whole face of lime under a sealer is a face that no longer breathes.
    if (patchM2 !== null)
      block(seal.product, patchM2, [
        ...seal.because.filter((r) => r.rule !== 'prime.moldStain'),
        why('prime.moldOnLime', 'trade-mold', { area: measure(patchM2, 'm2') }, 'care'),
      ]);
    else
      block(seal.product, area.totalM2, [
        ...seal.because,
        ...(s.material === 'limePlaster' ? [why('prime.moldUnmeasured', 'trade-mold', {}, 'care')] : []),
      ]);
  }
  const stain = renewed || top.clear || baseOf(topcoatId) === 'mineral' ? null : stainOf(s);
  if (stain !== null) {
    const stainedM2 = s.stainM2 !== null && s.stainM2 > 0 ? Math.min(s.stainM2, area.totalM2) : area.totalM2;
    block('stainBlock', stainedM2, [
      s.stainM2 !== null && s.stainM2 > 0
        ? why('prime.stain', 'trade-prime', { stain: `stain.${stain}`, area: measure(stainedM2, 'm2') })
        : why('prime.stainAll', 'trade-prime', { stain: `stain.${stain}` }),
      ...(s.material === 'limePlaster' ? [why('prime.stainOnLime', 'trade-prime', {}, 'care')] : []),
    ]);
  }
  const finish = finishSpec(s);
  const moreCoats = top.clear || baseOf(topcoatId) === 'mineral' ? 0 : finish.extraCoats;
  const usualCoats = coatingOf(ctx.settings, topcoatId).coats;
  const extra = moreCoats > 0 ? [why('finish.extraCoat', 'trade-repair', { coats: usualCoats, finish: finishOf(s) })] : [];
  // A pure strong color is made in a clear base: what is under it shines through.
  const hides = s.tint === 'strong' && !top.clear ? 1 : 0;
  const strong = hides > 0 ? [why('coat.strongTint', 'trade-prime', { tint: 'tint.strong' })] : [];
  const enough = usualCoats + moreCoats + hides;
  const wanted = s.coatsWanted ?? enough;
  lines.push(
    line(
      'topcoat',
      topcoatId,
      area.totalM2,
      [...topcoat.because, ...extra, ...strong, ...againstEnough(wanted, enough, topcoatId, area.totalM2, ctx.settings), ...asks],
      ctx.settings,
      wanted - usualCoats,
    ),
  );
  const chosen = new Map(choice.parts.map((p) => [p.partId, p.selected.value]));
  const blasted = blastedShare(s, (p) => chosen.get(p.id) ?? null);
  for (const [i, l] of lines.entries()) {
    const takes = takesOf(l.product, s, blasted, ctx.settings);
    const litres = l.litres * timesOn(takes, coatingOf(ctx.settings, l.product).dryFilmUm, l.coats);
    if (litres > l.litres) lines[i] = { ...l, litres, because: [...l.because, ...takesWords(takes, s, litres - l.litres)] };
  }
  // Knots are sealed as they are; the first coat over the whole is what a torn grain drinks.
  const first = lines.findIndex((l) => l.use !== 'knots');
  const damagedM2 = Math.min(damagedOn(s), lines[first]!.areaM2);
  if (damagedM2 > 0) {
    const l = lines[first]!;
    lines[first] = {
      ...l,
      againM2: damagedM2,
      litres: l.litres * (1 + damagedM2 / (l.areaM2 * l.coats)),
      because: [...l.because, why('prime.damaged', 'trade-repair', { area: measure(damagedM2, 'm2') }, 'care')],
    };
  }
  // Paint draws thin off a sharp edge of steel: a stripe along it before each coat.
  const arrisM2 = striped(s) ? liveParts(s).reduce((sum, p) => sum + (p.kind === 'arris' ? (area.partM2[p.id] ?? 0) : 0), 0) : 0;
  if (arrisM2 > 0 && area.totalM2 > 0)
    for (const [i, l] of lines.entries()) {
      if (l.areaM2 <= 0 || l.coats <= 0) continue;
      const stripeM2 = (arrisM2 * l.areaM2 * l.coats) / area.totalM2;
      lines[i] = { ...l, againM2: l.againM2 + stripeM2, litres: l.litres * (1 + stripeM2 / (l.areaM2 * l.coats)) };
    }
  const layings = COAT_USES.flatMap((use): LayingOf[] => {
    const own = lines.filter((l) => l.use === use);
    return own.length === 0 ? [] : [layingOf(use, own, { s, ctx })];
  });
  const notSo = layings.flatMap((l) => l.selected.because.filter((r) => r.effect === 'block'));
  const whereOf = (l: CoatLine): CoatWhere =>
    l.areaM2 >= area.totalM2 * 0.98
      ? 'all'
      : l.use === 'knots' || (l.because[0] !== undefined && IN_SPOTS.includes(l.because[0].rule))
        ? 'spots'
        : 'bare';
  const outdoors = ctx.place === 'outside';
  const whole = lines.map((l) => ({
    ...guaranteed(asLaid(laid(l, layings, s, outdoors), s, blasted, ctx.spread, ctx.settings, outdoors)),
    where: whereOf(l),
  }));
  const lays = notSo.length === 0;
  return {
    left,
    bareM2: primedM2,
    topcoat,
    lines: lays ? whole : [],
    refusedLines: lays ? [] : whole,
    layings,
    blasted,
    residues,
    wipe: lastWipe(s, ctx, leftValue),
    refused: lays ? refused : notSo,
    asks,
  };
}
