/** Containment, presumed exposure, equipment, bags and signs for the methods that the surfaces of a zone are going to meet. */
import { LEAD_LIMITS, leadLimit, LIMIT_SOURCES } from '../air/breathing';
import { exposureTo, type Exposure } from './breathed';
import { coatWear, type CoatWear } from './coat-wear';
import { gloveOver } from './gloves';
import { suitFacts } from './heat';
import { ownedMask } from './masks';
import { loudest, minutesAt, UNDER_ONE } from './noise';
import { vibrationOf, type Vibration } from './vibration';
import type { MethodId } from '../facts';
import { sheetFor, type MoldKit } from '../probe/mold';
import { methodById, neverUnmasked, type Method } from '../catalogue';
import { isLow, isPresent, rungKey, strictest, type HazardState, type CoatPoison } from '../probe';
import { answer, say, why, type Answer, type Reason, type SourceId } from '../reasons';
import { type ExposureClassId, type FirmSettings, type Limit, type RespiratorId, type Rulebook } from '../rulebook';
import { chemistryOf, ownStripper } from '../shelf/firm-sheets';
import { convert, measure } from '../units/units';
import type { Rect } from '../geometry/shapes';
import type { Care, Needs } from '../surface/needs';
import { sheetOf } from './sheet';
import type { ZoneContext } from './zone-context';
import type { Cartridge, Kit } from './kit';

/** As every screen and paper puts it behind the mask. */
export const withCartridges = (cs: readonly Cartridge[]): string =>
  cs.length === 0 ? '' : `, with cartridges for ${cs.map(say).join(' and for ')}`;

/** A method at work in the zone, and what it asks of whoever does it. */
export interface Task {
  readonly methodId: MethodId;
  /** Lead in the air at it, before any mask, ug/m3; 0: none is disturbed; null: no upper end. */
  readonly breathedUgM3: number | null;
  readonly respirator: Answer<RespiratorId | null>;
  readonly cartridges: readonly Cartridge[];
  readonly kit: readonly Answer<Kit>[];
}

/** What a task asks for beyond what all of them do. */
export const ownKit = (task: Task, all: readonly Task[]): readonly Answer<Kit>[] =>
  task.kit.filter((k) => !all.every((t) => t.kit.some((x) => x.value === k.value)));

/** As every screen and paper puts it: mask, cartridges, and what is its own. */
export const taskWears = (task: Task, all: readonly Task[]): string =>
  [
    `${task.respirator.value ? say(task.respirator.value) : 'no respirator'}${withCartridges(task.cartridges)}`,
    ...ownKit(task, all).map((k) => say(k.value)),
  ].join(', ');

export interface Protection {
  readonly needed: Answer<boolean>;
  /**
   * lead: its sign, its clean-up and its check. asbestos: trained people work it. guard: set up for what a slip would break into. growth, silica: a closed room, and a clean-up
   * without a broom. leaveAlone: what may hold asbestos is not touched at all. ordinary: nothing of that is disturbed. What else is reached has
   * its own measures beside it (zone/measures.ts).
   */
  readonly care: Care;
  /** A coat that may hold asbestos is worked in it, by trained people; with lead beside it too. */
  readonly fibres: boolean;
  /** Sheet on the floor or ground, m2, as laid; with laps and turn-ups, m2, as bought. */
  readonly sheetLaidM2: Answer<number>;
  readonly sheetBoughtM2: number;
  /** What holds it up and closes it, in its price: tape, m; poles of an upright screen; zip doors. */
  readonly fixings: { readonly tapeM: number; readonly poles: number; readonly zipDoors: number };
  /** As it lies, seen from above (zone/shapes.ts): of the pieces whose place was said. */
  readonly sheet: readonly Rect[];
  /** How far the sheet goes beyond the work, m. */
  readonly beyondM: number;
  readonly verticalScreen: Answer<boolean>;
  readonly openings: Answer<'closeAndSeal' | 'closeNear' | 'none'>;
  readonly exposure: Answer<ExposureClassId>;
  /** The most lead that anybody breathes at one of the tasks, before the mask, ug/m3: by class, or as the firm's own samples have it; null: no upper end. */
  readonly breathedUgM3: number | null;
  readonly respirator: Answer<RespiratorId | null>;
  /** Cartridges that go with the dust filter, by what is in the air. 42 CFR 84. */
  readonly cartridges: readonly Cartridge[];
  readonly kit: readonly Answer<Kit>[];
  /** What each task asks for by itself; where several go on at once, everybody wears the strictest of them, as above. */
  readonly tasks: readonly Task[];
  /** Whoever lays its coats with solvent, and those that are sprayed; null: none is. */
  readonly coat: CoatWear | null;
  /** A coat is sprayed at a pressure that goes through skin. */
  readonly injects: boolean;
  /** Of each tool that shakes, how long a day. */
  readonly vibration: readonly Answer<Vibration>[];
  readonly bags: Answer<number>;
  readonly sign: Answer<readonly string[]>;
}

const metres = (l: Limit): number => convert(l.is.value, l.is.unit, 'm');

/** Somebody in it breathes what comes through a hose: in the strokes or in the coats. */
export const onAirline = ({ respirator, coat }: Pick<Protection, 'respirator' | 'coat'>, { respirators }: Rulebook): boolean =>
  respirators.some((r) => r.build === 'airline' && (r.id === respirator.value || r.id === coat?.respirator.value));

/** Laps, turn-ups and a spare corner. Common practice. */
const SHEET_ALLOWANCE = 1.15;
/** One contractor bag for each so many m2 of sheet folded dirty side in, and for each so many m2 of film taken off. Common practice. */
const SHEET_PER_BAG_M2 = 8;
const FILM_PER_BAG_M2 = 10;

/** By class of growth, the least of the respirators on the list that keeps it out. EPA 402-K-01-001 table 2. */
const MOLD_NEEDS: Readonly<Record<MoldKit, RespiratorId>> = {
  n95: 'halfMask',
  n95Suit: 'halfMask',
  fullFace: 'fullFace',
  ffp3: 'ffp3',
  ffp3Suit: 'ffp3',
  fullP3: 'fullP3',
};

/** What the growth and the grit ask for, beside lead: each with its reason. Common practice for grit: a hood for hard grit. */
/** What is set free beside lead: fibres, by the state of the coat; the poison of an old antifouling. */
interface Freed {
  readonly fibres: HazardState | null;
  readonly antifoul: boolean;
  readonly poisons: readonly CoatPoison[];
  /** One of them is the first to touch growth. */
  readonly growth: boolean;
}

function alsoBreathed(
  methods: readonly Method[],
  { fibres, antifoul, poisons, growth }: Freed,
  ctx: ZoneContext,
): { readonly least: RespiratorId; readonly because: Reason }[] {
  const { rulebook } = ctx;
  const out: { least: RespiratorId; because: Reason }[] = [];
  if (ctx.moldKit && growth)
    out.push({ least: MOLD_NEEDS[ctx.moldKit.value], because: why('ppe.mold', rulebook.sources.mold, { kit: ctx.moldKit.value }) });
  if (methods.some(neverUnmasked)) out.push({ least: rulebook.respirators[0]!.id, because: why('ppe.texture', 'trade-wash') });
  if (fibres)
    out.push({
      least: rulebook.leastMask.fibres,
      because: why('ppe.fibres', rulebook.sources.asbestosWork, { asbestos: fibres }),
    });
  const dustMask = rulebook.leastMask.toxicDust;
  if (antifoul) out.push({ least: dustMask, because: why('ppe.biocide', 'mem-antifoul') });
  if (poisons.length > 0) out.push({ least: dustMask, because: why('ppe.poison', 'mem-poison', { poisons }) });
  const blast = methods.filter((m) => m.blast !== 'no');
  if (blast.length > 0)
    out.push({
      least: blast.some((m) => m.blast === 'hard') ? rulebook.respirators.find((r) => r.apf >= 1000)!.id : dustMask,
      because: why('ppe.blast', 'trade-blast'),
    });
  else if (methods.some((m) => m.dust === 'high' || m.powered || m.handDry))
    out.push({ least: rulebook.respirators[0]!.id, because: why('ppe.dust', 'trade-sand') });
  return out;
}

function askedOf(
  exposure: Exposure,
  vapour: boolean,
  freed: Freed,
  ctx: ZoneContext,
  methods: readonly Method[],
): Answer<RespiratorId | null> {
  const also = alsoBreathed(methods, freed, ctx);
  const rank = (id: RespiratorId) => ctx.rulebook.respirators.findIndex((r) => r.id === id);
  const floor = Math.max(0, ...also.map((a) => rank(a.least)));
  const forLead = forLeadAndVapour(exposure, vapour, floor, ctx);
  if (also.length === 0 || (forLead.value === null && forLead.because.some((r) => r.effect === 'block'))) return forLead;
  const because = also.map((a) => a.because);
  return forLead.value === null
    ? { value: ctx.rulebook.respirators[floor]!.id, because }
    : { value: forLead.value, because: [...forLead.because, ...because] };
}

/** @param floor the least that something else asks for, by its place among the masks: what is said is said of the mask that is worn */
function forLeadAndVapour(
  { upperUgM3: upper, own, settled }: Exposure,
  vapour: boolean,
  floor: number,
  ctx: ZoneContext,
): Answer<RespiratorId | null> {
  const { rulebook } = ctx;
  const masks = rulebook.respirators.slice(floor);
  const limit = leadLimit(ctx.airLimits, ctx.shiftH);
  const limitSource = LIMIT_SOURCES[ctx.airLimits];
  const under = upper !== null && upper > 0 && upper <= limit;
  if ((upper === 0 || (under && settled)) && vapour) {
    const mask = masks.find((r) => r.vapour)!;
    return answer(mask.id, why('ppe.vapourOnly', rulebook.respiratorSource, { respirator: mask.id }));
  }
  if (upper === 0) return answer(null, why('ppe.noRespirator', rulebook.respiratorSource));
  const held = measure(limit, 'ug/m3');
  if (under && settled) return answer(null, why('ppe.ownUnder', limitSource, { breathed: [measure(upper, 'ug/m3'), held] }));
  const fits = masks.filter((r) => (!vapour || r.vapour) && (upper === null ? r.apf >= 1000 : r.apf * limit >= upper));
  const pick = fits[0];
  if (!pick) return answer(null, why('ppe.noneCovers', rulebook.respiratorSource, {}, 'block', 'law'));
  const reason = under
    ? why('ppe.ownOnce', limitSource, { respirator: pick.id, breathed: [measure(upper, 'ug/m3'), held] })
    : upper === null
      ? why('ppe.airline', rulebook.respiratorSource, { apf: measure(pick.apf, 'x') })
      : why(own ? 'ppe.coversOwn' : 'ppe.covers', rulebook.respiratorSource, {
          respirator: pick.id,
          apf: measure(pick.apf, 'x'),
          leadAir: held,
          maximum: measure(pick.apf * limit, 'ug/m3'),
          upper: measure(upper, 'ug/m3'),
        });
  return answer(
    pick.id,
    reason,
    ...(limit < LEAD_LIMITS[ctx.airLimits].limit
      ? [why('ppe.longShift', limitSource, { shift: measure(ctx.shiftH, 'h'), limit: held })]
      : []),
    ...(ctx.airLimits === 'california' ? [why('ppe.stateLimit', limitSource, { limit: held })] : []),
    ...(vapour ? [why('ppe.vapourToo', rulebook.respiratorSource), why('ppe.changeCartridge', 'mem-cartridge')] : []),
  );
}

/** 0.4 gpm for 15 minutes; 10 seconds' walk. ANSI Z358.1 */
const EYEWASH = { litres: measure(6, 'gal'), within: measure(55, 'ft') };

/** Of several strippers the glove that holds all of them. Law P3. */
function glovesFor(methods: readonly Method[], settings: FirmSettings): Reason[] {
  const laid = methods.filter((m) => m.vapour && m.id !== 'moldBleach');
  const hands = laid.map((m) => ({ chemical: chemistryOf(settings, m.id), said: ownStripper(settings, m.id)?.gloves ?? null }));
  const { material, changeMin } = gloveOver(hands);
  const told = laid.filter((_, i) => hands[i]!.said !== null).map((m) => m.id);
  return [
    why('kit.glovesFor', 'mem-gloves', {
      chemicals: [...new Set(hands.map((h) => h.chemical))],
      material,
      change: measure(changeMin, 'min'),
    }),
    ...(told.length > 0 ? [why('kit.glovesSheet', 'firm-sheet', { products: told, material })] : []),
  ];
}

function kitFor(
  methods: readonly Method[],
  {
    guarded,
    lead,
    low,
    near,
    fibres,
    antifoul,
    poisoned,
    growth,
    asbestos,
  }: Readonly<Record<'guarded' | 'lead' | 'low' | 'near' | 'fibres' | 'antifoul' | 'poisoned' | 'growth', boolean>> & {
    readonly asbestos: HazardState;
  },
  { rulebook: { sources, id }, moldKit, settings }: ZoneContext,
): Answer<Kit>[] {
  const out: Answer<Kit>[] = [];
  const add = (kit: Kit, ...because: readonly Reason[]) => out.push({ value: kit, because });
  const any = (f: (m: Method) => boolean) => methods.some(f);
  if (methods.length === 0) return out;
  const heat = why('kit.suitHeat', 'niosh-85-115', suitFacts());
  const dressed = lead || low || near || fibres;
  if (dressed) {
    const clothes = fibres
      ? why('kit.fibreClothes', sources.asbestosWork)
      : lead || low
        ? why('kit.leadClothes', sources.clothing)
        : why('kit.guardClothes', sources.asbestosWork);
    out.push(answer('coverall', clothes, heat));
    add('bootCovers', clothes);
    add('washStation', why('kit.washHands', sources.clothing));
  }
  const toxic = antifoul || poisoned;
  if (guarded || low || toxic) {
    if (id === 'us') add('hepaVacuum', why('kit.hepa', dressed ? sources.cleaning : 'trade-contain'));
    else if (isPresent(asbestos)) add('asbestosVacuum', why('kit.classH', 'uk-vacuum'));
    else add('leadVacuum', why(lead || low ? 'kit.classMH' : 'kit.classM', 'uk-vacuum'));
  }
  if (toxic && !dressed) {
    const clothes = antifoul ? why('kit.biocide', 'mem-antifoul') : why('kit.poison', 'mem-poison');
    out.push(answer('coverall', clothes, heat));
    add('bootCovers', clothes);
    add('washStation', clothes);
  }
  const bleach = any((m) => m.id === 'moldBleach');
  const solvent = any((m) => m.vapour && m.id !== 'moldBleach');
  add('goggles', why('kit.eyes', 'trade-contain'));
  if (any((m) => m.caustic)) {
    add('causticGloves', why('kit.causticGloves', 'mem-gloves'));
    add('faceShield', why('kit.causticFace', 'trade-strip'));
    add('eyewash', why('kit.eyewash', 'ansi-z358', EYEWASH));
  } else if (bleach) add('causticGloves', why('kit.bleachGloves', 'mem-gloves'));
  // One does not stand for the other: what holds caustic lets most solvents through.
  if (solvent) add('solventGloves', ...glovesFor(methods, settings));
  if (!solvent && !bleach && !any((m) => m.caustic)) add('nitrileGloves', why('kit.gloves', 'mem-gloves'));
  if (any((m) => m.wet)) add('mister', why('kit.keepWet', 'trade-scrape'));
  if (any((m) => m.heatC !== null && m.heatC > 150)) {
    add('heatGloves', why('kit.heat', 'trade-heat'));
    add('extinguisher', why('kit.fire', 'nfpa-51b', { watch: measure(60, 'min') }));
  }
  if (any((m) => m.acid) && !any((m) => m.caustic)) {
    add('faceShield', why('kit.acidFace', 'trade-rust'));
    add('eyewash', why('kit.acidEyewash', 'ansi-z358', EYEWASH));
  }
  if (any((m) => m.id === 'moldBleach')) add('bleachCartridge', why('kit.bleachCartridge', 'mem-gloves'));
  const suited = moldKit !== null && sheetFor(moldKit.value) !== 'none';
  if (suited && !dressed && !toxic && growth) out.push(answer('coverall', why('kit.moldSuit', sources.mold), heat));
  if (moldKit !== null && sheetFor(moldKit.value) === 'full' && !dressed && !toxic && growth)
    add('bootCovers', why('kit.moldSuit', sources.mold));
  const loud = loudest(methods);
  if (loud) {
    const [level, bare] = [measure(loud.db, 'dBA'), measure(Math.floor(minutesAt(loud.db)), 'min')];
    if (minutesAt(loud.db - UNDER_ONE) >= 480) add('hearing', why('kit.noise', sources.noise, { method: loud.methodId, level, bare }));
    else {
      const one = measure(Math.floor(minutesAt(loud.db - UNDER_ONE)), 'min');
      add('hearingTwice', why('kit.noiseTwice', sources.noise, { method: loud.methodId, level, bare, one }));
    }
  }
  return out;
}

/** Tape goes round the sheet, and again where the sealed room's openings are closed; a pole every metre and a half. Common practice, no published source. */
const TAPE_LAPS = 1.1;
const TAPE_OPENINGS_M = 12;
const POLE_EVERY_M = 1.5;

/** @param laid m2; a sheet of which nobody knows the shape is taken for a square one */
function fixingsOf(
  laid: number,
  rects: readonly Rect[],
  { guarded, outside, screen }: { readonly guarded: boolean; readonly outside: boolean; readonly screen: boolean },
): Protection['fixings'] {
  if (laid === 0) return { tapeM: 0, poles: 0, zipDoors: 0 };
  const wide = rects.length > 0 ? Math.max(...rects.map((r) => r.x1)) - Math.min(...rects.map((r) => r.x0)) : Math.sqrt(laid);
  const deep = laid / wide;
  const round = 2 * (wide + deep);
  return {
    tapeM: round * TAPE_LAPS + (guarded && !outside ? TAPE_OPENINGS_M : 0),
    poles: screen ? Math.ceil(wide / POLE_EVERY_M) + 1 : 0,
    zipDoors: guarded && !outside ? 1 : 0,
  };
}

/** Of several, in this order: what binds most comes first. */
const CARES: readonly Care[] = ['lead', 'asbestos', 'guard', 'growth', 'silica', 'leaveAlone', 'ordinary'];
/** Under these the room is closed, and given back. */
const CLOSED: readonly Care[] = ['lead', 'asbestos', 'guard', 'growth', 'silica'];

/** The rules for lead or for asbestos bind it; anything else is kept in by their model, which is common practice. */
export const byLaw = ({ care }: Pick<Protection, 'care'>): boolean => care === 'lead' || care === 'asbestos' || care === 'guard';

function neededOf({ lead, low, standing, putty, leadState, asbestos }: Needs, care: Care, { rulebook, moldKit }: ZoneContext): Reason {
  if (putty && !isPresent(leadState)) return why('protect.leadPutty', 'trade-putty');
  if (lead) return why('protect.leadWork', rulebook.leadPresumedBefore.source, { leadInReach: leadState });
  const fibresBy = rulebook.sources.asbestosWork;
  if (care === 'asbestos') return why('protect.fibres', fibresBy, { asbestos });
  if (care === 'guard') return why('protect.aboveAsbestos', fibresBy, { asbestos });
  if (care === 'growth') return why('protect.growth', rulebook.sources.mold, { kit: moldKit!.value });
  if (care === 'silica') return why('protect.silica', rulebook.sources.silica);
  if (care === 'leaveAlone') return why('protect.leaveAlone', fibresBy, { asbestos });
  const known = { lead: rungKey(standing) };
  if (low.length > 0) return why('protect.leadLow', rulebook.sources.clothing, { ...known, methods: low }, 'care', 'law');
  return why(isLow(standing) ? 'protect.leadLowCalm' : 'protect.noHazardDisturbed', 'job-record', known);
}

/** What each surface says of why, each reason once, from those that ask for the most. */
function neededBecause(needs: readonly Needs[], care: Care, ctx: ZoneContext): Reason[] {
  const reasons = needs.filter((n) => n.care === care).map((n) => neededOf(n, care, ctx));
  return [...new Map(reasons.map((r) => [JSON.stringify(r), r])).values()];
}

/**
 * What must stand before the first stroke in a zone: one of everything, by the union of what its surfaces reach. Lead that is not shown
 * absent is protected against as if found.
 */
export function protect(needs: readonly Needs[], ctx: ZoneContext): Protection {
  const { rulebook } = ctx;
  const working = needs.filter((n) => n.methods.length > 0);
  const methods = [...new Set(working.flatMap((n) => n.methods))].map(methodById);
  const disturbedM2 = working.reduce((sum, n) => sum + n.disturbedM2, 0);
  const outside = ctx.place === 'outside';
  const lead = working.some((n) => n.lead);
  const guarded = lead || working.some((n) => CLOSED.includes(n.care));
  const care = CARES.find((c) => needs.some((n) => n.care === c)) ?? 'ordinary';
  const fibres = working.some((n) => n.fibres);
  const because = neededBecause(needs, care, ctx);

  const beyondLimit = outside ? rulebook.sheetBeyond.outside : rulebook.sheetBeyond.inside;
  const beyondM = methods.length === 0 ? 0 : metres(beyondLimit);
  // The rule for lead is the model where something else is kept in.
  const law = byLaw({ care });
  const sheetBy: SourceId = law ? beyondLimit.source : 'trade-contain';
  const sheet = sheetOf(working, beyondM, ctx);
  const laid = sheet.areaM2;
  const { boundaryM: boundary } = ctx;
  const nearBoundary = outside && guarded && (boundary === null || boundary < metres(rulebook.screenWithin));

  const asbestos = strictest(needs.map((n) => n.asbestos));
  /** What so many methods ask for at once. */
  const wear = (of: readonly Method[]) => {
    const exposure = exposureTo(of, working, ctx);
    const vapour = of.some((m) => m.vapour);
    const low = working.some((n) => of.some((m) => n.low.includes(m.id)));
    const antifoul = working.some((n) => n.reaches.includes('antifoul') && of.some((m) => n.methods.includes(m.id)));
    const poisons = [...new Set(working.flatMap((n) => (of.some((m) => n.methods.includes(m.id)) ? n.poisons : [])))];
    const growth = working.some((n) => of.some((m) => n.meetsGrowth.includes(m.id)));
    const fibresOf = working.some((n) => n.fibres && of.some((m) => n.methods.includes(m.id))) ? asbestos : null;
    return {
      exposure,
      respirator: ownedMask(askedOf(exposure, vapour, { fibres: fibresOf, antifoul, poisons, growth }, ctx, of), vapour, {
        masks: rulebook.respirators,
        owned: ctx.settings.masks,
      }),
      cartridges: [
        ...(of.some((m) => m.vapour && m.id !== 'moldBleach') ? (['organicVapour'] as const) : []),
        ...(of.some((m) => m.id === 'moldBleach') ? (['acidGas'] as const) : []),
      ],
      kit: kitFor(
        of,
        {
          guarded,
          lead,
          low,
          near: working.some((n) => n.care === 'guard'),
          fibres,
          antifoul,
          poisoned: poisons.length > 0,
          growth,
          asbestos,
        },
        ctx,
      ),
    };
  };
  const { exposure, respirator, cartridges, kit } = wear(methods);
  const bagCount = guarded ? Math.ceil(laid / SHEET_PER_BAG_M2 + disturbedM2 / FILM_PER_BAG_M2) : Math.ceil(disturbedM2 / FILM_PER_BAG_M2);

  return {
    needed: { value: guarded, because },
    care,
    fibres,
    sheetLaidM2: answer(
      laid,
      guarded
        ? why(outside ? 'protect.sheetOutside' : 'protect.sheetInside', sheetBy, {
            beyond: beyondLimit.is,
            width: measure(
              working.reduce((sum, n) => sum + n.runM * n.pieces, 0),
              'm',
            ),
            area: measure(laid, 'm2'),
          })
        : // The rule for lead binds nobody here: cloths go as far, by habit.
          why('protect.coverSheet', 'trade-contain', { area: measure(laid, 'm2') }),
      ...(sheet.capped ? [why('protect.sheetToWalls', sheetBy)] : []),
      ...(sheet.cutAtBoundary ? [why('protect.sheetToBoundary', sheetBy, { boundary: measure(boundary!, 'm') })] : []),
      ...(sheet.guessed > 1 ? [why('protect.sheetGuessed', 'trade-contain', { count: sheet.guessed })] : []),
    ),
    sheet: sheet.rects,
    fixings: fixingsOf(laid, sheet.rects, { guarded, outside, screen: nearBoundary }),
    sheetBoughtM2: laid * SHEET_ALLOWANCE,
    beyondM,
    verticalScreen: nearBoundary
      ? answer(
          true,
          boundary === null
            ? why('protect.boundaryUnknown', rulebook.screenWithin.source, { limit: rulebook.screenWithin.is })
            : why('protect.screen', rulebook.screenWithin.source, { boundary: [measure(boundary, 'm'), rulebook.screenWithin.is] }),
        )
      : answer(false, why('protect.noScreen', rulebook.screenWithin.source)),
    openings: !guarded
      ? { value: 'none', because }
      : outside
        ? answer(
            'closeNear',
            why('protect.openingsNear', law ? rulebook.openingsClosedWithin.source : 'trade-contain', {
              within: rulebook.openingsClosedWithin.is,
            }),
          )
        : answer('closeAndSeal', why('protect.sealRoom', sheetBy)),
    exposure: answer(exposure.class, ...exposure.because),
    breathedUgM3: exposure.upperUgM3,
    respirator,
    cartridges,
    kit,
    tasks: methods.map((m) => {
      const { exposure: alone, ...worn } = wear([m]);
      return { methodId: m.id, breathedUgM3: alone.upperUgM3, ...worn };
    }),
    coat: coatWear(needs, ctx),
    injects: needs.some((n) => n.mists.some((m) => m.way === 'airless')),
    vibration: vibrationOf(methods),
    bags: answer(
      bagCount,
      why('protect.bags', law ? rulebook.sources.waste : 'trade-contain', {
        area: measure(laid, 'm2'),
        film: measure(disturbedM2, 'm2'),
      }),
    ),
    sign: lead
      ? answer(rulebook.signLines, why('protect.sign', rulebook.signSource))
      : answer(
          [],
          care === 'guard' ? why('protect.noSignAbove', rulebook.sources.asbestosWork) : why('protect.noSign', rulebook.signSource),
        ),
  };
}
