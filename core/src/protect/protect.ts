/** Containment, presumed exposure, equipment, bags and signs for the methods that the surfaces of a zone are going to meet. */
import type { Chemistry, MethodId } from '../facts';
import type { MoldKit } from '../probe/mold';
import { methodById, type Method } from '../catalogue';
import { isPresent, strictest, type HazardState } from '../probe';
import { answer, say, why, type Answer, type Reason, type RuleId, type SourceId } from '../reasons';
import { EXPOSURE_CLASSES, type ExposureClassId, type FirmSettings, type Limit, type RespiratorId } from '../rulebook';
import { convert, measure } from '../units/units';
import type { Rect } from '../zone/shapes';
import type { Needs } from './needs';
import { sheetOf } from './sheet';
import type { ZoneContext } from './zone-context';

export type Kit =
  | 'coverall'
  | 'nitrileGloves'
  | 'solventGloves'
  | 'causticGloves'
  | 'heatGloves'
  | 'goggles'
  | 'faceShield'
  | 'eyewash'
  | 'bleachCartridge'
  | 'hearing'
  | 'hepaVacuum'
  | 'leadVacuum'
  | 'asbestosVacuum'
  | 'mister'
  | 'extinguisher'
  | 'washStation'
  | 'bootCovers';

/** Organic vapour holds solvent; acid gas holds chlorine and acid mist. Neither holds the other. */
export type Cartridge = 'organicVapour' | 'acidGas';

/** As every screen and paper puts it behind the mask. */
export const withCartridges = (cs: readonly Cartridge[]): string =>
  cs.length === 0 ? '' : `, with cartridges for ${cs.map(say).join(' and for ')}`;

/** A method at work in the zone, and what it asks of whoever does it. */
export interface Task {
  readonly methodId: MethodId;
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
   * lead: its sign, its clean-up and its check. guard: set up for what a slip would break into. leaveAlone: what may hold asbestos is not
   * touched at all. ordinary: nothing that is known or suspected is disturbed.
   */
  readonly care: 'lead' | 'guard' | 'leaveAlone' | 'ordinary';
  /** Sheet on the floor or ground, m2, as laid; with laps and turn-ups, m2, as bought. */
  readonly sheetLaidM2: Answer<number>;
  readonly sheetBoughtM2: number;
  /** As it lies, seen from above (zone/shapes.ts): of the pieces whose place was said. */
  readonly sheet: readonly Rect[];
  /** How far the sheet goes beyond the work, m. */
  readonly beyondM: number;
  readonly verticalScreen: Answer<boolean>;
  readonly openings: Answer<'closeAndSeal' | 'closeNear' | 'none'>;
  readonly exposure: Answer<ExposureClassId>;
  readonly respirator: Answer<RespiratorId | null>;
  /** Cartridges that go with the dust filter, by what is in the air. 42 CFR 84. */
  readonly cartridges: readonly Cartridge[];
  readonly kit: readonly Answer<Kit>[];
  /** What each task asks for by itself; where several go on at once, everybody wears the strictest of them, as above. */
  readonly tasks: readonly Task[];
  readonly bags: Answer<number>;
  readonly sign: Answer<readonly string[]>;
}

const metres = (l: Limit): number => convert(l.is.value, l.is.unit, 'm');

/** Laps, turn-ups and a spare corner. Common practice. */
const SHEET_ALLOWANCE = 1.15;
/** One contractor bag for each so many m2 of sheet folded dirty side in, and for each so many m2 of film taken off. Common practice. */
const SHEET_PER_BAG_M2 = 8;
const FILM_PER_BAG_M2 = 10;

function worstExposure(methods: readonly Method[]): ExposureClassId {
  const order: readonly ExposureClassId[] = ['none', 'class1', 'class2', 'class3'];
  return methods.reduce<ExposureClassId>((worst, m) => (order.indexOf(m.exposure) > order.indexOf(worst) ? m.exposure : worst), 'none');
}

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
function alsoBreathed(methods: readonly Method[], ctx: ZoneContext): { readonly least: RespiratorId; readonly because: Reason }[] {
  const { rulebook } = ctx;
  const out: { least: RespiratorId; because: Reason }[] = [];
  if (ctx.moldKit && methods.some((m) => m.takes.includes('mold') && m.disturbs))
    out.push({ least: MOLD_NEEDS[ctx.moldKit.value], because: why('ppe.mold', rulebook.sources.mold, { kit: ctx.moldKit.value }) });
  const blast = methods.filter((m) => m.blast !== 'no');
  if (blast.length > 0)
    out.push({
      least: blast.some((m) => m.blast === 'hard')
        ? rulebook.respirators.find((r) => r.apf >= 1000)!.id
        : rulebook.id === 'uk'
          ? 'halfP3'
          : 'halfMask',
      because: why('ppe.blast', 'trade-blast'),
    });
  else if (methods.some((m) => m.dust === 'high' || m.powered || m.handDry))
    out.push({ least: rulebook.respirators[0]!.id, because: why('ppe.dust', 'trade-sand') });
  return out;
}

function respiratorFor(
  exposure: ExposureClassId,
  vapour: boolean,
  ctx: ZoneContext,
  methods: readonly Method[],
): Answer<RespiratorId | null> {
  const forLead = forLeadAndVapour(exposure, vapour, ctx);
  const also = alsoBreathed(methods, ctx);
  if (also.length === 0 || (forLead.value === null && forLead.because.some((r) => r.effect === 'block'))) return forLead;
  const rank = (id: RespiratorId | null) => ctx.rulebook.respirators.findIndex((r) => r.id === id);
  const most = also.reduce((a, b) => (rank(b.least) > rank(a.least) ? b : a));
  const because = also.map((a) => a.because);
  if (forLead.value !== null && rank(forLead.value) >= rank(most.least))
    return { value: forLead.value, because: [...forLead.because, ...because] };
  return { value: most.least, because: [...because, ...(forLead.value === null ? [] : forLead.because)] };
}

function forLeadAndVapour(exposure: ExposureClassId, vapour: boolean, ctx: ZoneContext): Answer<RespiratorId | null> {
  const { rulebook } = ctx;
  if (exposure === 'none' && vapour) {
    const mask = rulebook.respirators.find((r) => r.vapour)!;
    return answer(mask.id, why('ppe.vapourOnly', rulebook.respiratorSource, { respirator: mask.id }));
  }
  if (exposure === 'none') return answer(null, why('ppe.noRespirator', rulebook.respiratorSource));
  const limit = convert(rulebook.leadAir.is.value, rulebook.leadAir.is.unit, 'ug/m3');
  const upper = EXPOSURE_CLASSES[exposure].upperUgM3;
  const fits = rulebook.respirators.filter((r) => (!vapour || r.vapour) && (upper === null ? r.apf >= 1000 : r.apf * limit >= upper));
  const pick = fits[0];
  if (!pick) return answer(null, why('ppe.noneCovers', rulebook.respiratorSource, {}, 'block', 'law'));
  const reason =
    upper === null
      ? why('ppe.airline', rulebook.respiratorSource, { apf: measure(pick.apf, 'x') })
      : why('ppe.covers', rulebook.respiratorSource, {
          respirator: pick.id,
          apf: measure(pick.apf, 'x'),
          leadAir: rulebook.leadAir.is,
          maximum: measure(pick.apf * limit, 'ug/m3'),
          upper: measure(upper, 'ug/m3'),
        });
  return answer(pick.id, reason, ...(vapour ? [why('ppe.vapourToo', rulebook.respiratorSource)] : []));
}

/** What each chemistry passes least: laminate holds all of them; of the others only what is named. Glove tables, from memory. */
const GLOVES = {
  unsaid: 'kit.glovesLaminate',
  benzylAlcohol: 'kit.glovesButyl',
  nmp: 'kit.glovesButyl',
  limonene: 'kit.glovesNitrile',
  mineralSpirits: 'kit.glovesNitrile',
  methyleneChloride: 'kit.glovesLaminate',
} as const satisfies Record<Chemistry, RuleId>;

/** Of several strippers the gloves that hold all: where they ask for different ones, laminate. */
function glovesFor(methods: readonly Method[], settings: FirmSettings): Reason {
  const found = methods.filter((m) => m.vapour && m.id !== 'moldBleach').map((m) => settings.rates[m.id]?.chemistry ?? 'unsaid');
  const gloves = [...new Set(found.map((c) => GLOVES[c]))];
  const one = gloves.length === 1 ? gloves[0]! : 'kit.glovesLaminate';
  return why(one, 'mem-gloves', { chemistry: [...new Set(found)] });
}

function kitFor(
  methods: readonly Method[],
  { guarded, lead, asbestos }: { readonly guarded: boolean; readonly lead: boolean; readonly asbestos: HazardState },
  { rulebook: { sources, id }, moldKit, settings }: ZoneContext,
): Answer<Kit>[] {
  const out: Answer<Kit>[] = [];
  const add = (kit: Kit, reason: Reason) => out.push(answer(kit, reason));
  const any = (f: (m: Method) => boolean) => methods.some(f);
  if (methods.length === 0) return out;
  if (guarded) {
    const clothes = lead ? why('kit.leadClothes', sources.clothing) : why('kit.guardClothes', sources.asbestosWork);
    add('coverall', clothes);
    add('bootCovers', clothes);
    add('washStation', why('kit.washHands', sources.clothing));
    if (id === 'us') add('hepaVacuum', why('kit.hepa', sources.cleaning));
    else if (isPresent(asbestos)) add('asbestosVacuum', why('kit.classH', 'uk-vacuum'));
    else add('leadVacuum', why('kit.classMH', 'uk-vacuum'));
  }
  add('goggles', why('kit.eyes', 'trade-contain'));
  if (any((m) => m.caustic)) {
    add('causticGloves', why('kit.causticGloves', 'mem-gloves'));
    add('faceShield', why('kit.causticFace', 'trade-strip'));
    add('eyewash', why('kit.eyewash', 'ansi-z358'));
  } else if (any((m) => m.vapour && m.id !== 'moldBleach')) add('solventGloves', glovesFor(methods, settings));
  else if (any((m) => m.id === 'moldBleach')) add('causticGloves', why('kit.bleachGloves', 'mem-gloves'));
  else add('nitrileGloves', why('kit.gloves', 'mem-gloves'));
  if (any((m) => m.wet)) add('mister', why('kit.keepWet', 'trade-scrape'));
  if (any((m) => m.heatC !== null && m.heatC > 150)) {
    add('heatGloves', why('kit.heat', 'trade-heat'));
    add('extinguisher', why('kit.fire', 'nfpa-51b', { watch: measure(60, 'min') }));
  }
  if (any((m) => m.acid) && !any((m) => m.caustic)) {
    add('faceShield', why('kit.acidFace', 'trade-rust'));
    add('eyewash', why('kit.acidEyewash', 'ansi-z358'));
  }
  if (any((m) => m.id === 'moldBleach')) add('bleachCartridge', why('kit.bleachCartridge', 'mem-gloves'));
  const suited = moldKit !== null && moldKit.value !== 'n95' && moldKit.value !== 'ffp3';
  if (suited && !guarded && any((m) => m.takes.includes('mold'))) add('coverall', why('kit.moldSuit', sources.mold));
  if (any((m) => m.noisy)) add('hearing', why('kit.noise', 'trade-sand'));
  return out;
}

/** Of several, in this order: what binds most comes first. */
const CARES: readonly Protection['care'][] = ['lead', 'guard', 'leaveAlone', 'ordinary'];

/** What each surface says of why, each reason once, from those that ask for the most. */
function neededBecause(needs: readonly Needs[], care: Protection['care'], ctx: ZoneContext): Reason[] {
  const { rulebook } = ctx;
  const asking = needs.filter((n) => n.care === care);
  const reasons = asking.map(({ lead, putty, leadState, asbestos }) =>
    putty && !isPresent(leadState)
      ? why('protect.leadPutty', 'trade-putty')
      : lead
        ? why('protect.leadWork', rulebook.leadPresumedBefore.source, { leadInReach: leadState })
        : care === 'guard'
          ? why('protect.aboveAsbestos', rulebook.sources.asbestosWork, { asbestos })
          : care === 'leaveAlone'
            ? why('protect.leaveAlone', rulebook.sources.asbestosWork, { asbestos })
            : why('protect.noHazardDisturbed', 'job-record', { leadInReach: leadState }),
  );
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
  const guarded = lead || working.some((n) => n.care === 'guard');
  const care = CARES.find((c) => needs.some((n) => n.care === c)) ?? 'ordinary';
  const because = neededBecause(needs, care, ctx);

  const beyondLimit = outside ? rulebook.sheetBeyond.outside : rulebook.sheetBeyond.inside;
  const beyondM = methods.length === 0 ? 0 : metres(beyondLimit);
  const sheetBy: SourceId = guarded ? beyondLimit.source : 'trade-contain';
  const sheet = sheetOf(working, beyondM, ctx);
  const laid = sheet.areaM2;
  const { boundaryM: boundary } = ctx;
  const nearBoundary = outside && guarded && (boundary === null || boundary < metres(rulebook.screenWithin));

  const onLead = new Set(working.flatMap((n) => (n.lead ? n.methods : [])));
  const asbestos = strictest(needs.map((n) => n.asbestos));
  /** What so many methods ask for at once. */
  const wear = (of: readonly Method[]) => {
    const exposure = worstExposure(of.filter((m) => onLead.has(m.id)));
    return {
      exposure,
      respirator: respiratorFor(
        exposure,
        of.some((m) => m.vapour),
        ctx,
        of,
      ),
      cartridges: [
        ...(of.some((m) => m.vapour && m.id !== 'moldBleach') ? (['organicVapour'] as const) : []),
        ...(of.some((m) => m.id === 'moldBleach') ? (['acidGas'] as const) : []),
      ],
      kit: kitFor(of, { guarded, lead, asbestos }, ctx),
    };
  };
  const { exposure: exposureClass, respirator, cartridges, kit } = wear(methods);
  const bagCount = guarded ? Math.ceil(laid / SHEET_PER_BAG_M2 + disturbedM2 / FILM_PER_BAG_M2) : Math.ceil(disturbedM2 / FILM_PER_BAG_M2);

  return {
    needed: { value: guarded, because },
    care,
    sheetLaidM2: answer(
      laid,
      guarded
        ? why(outside ? 'protect.sheetOutside' : 'protect.sheetInside', beyondLimit.source, {
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
            why('protect.openingsNear', rulebook.openingsClosedWithin.source, { within: rulebook.openingsClosedWithin.is }),
          )
        : answer('closeAndSeal', why('protect.sealRoom', rulebook.sheetBeyond.inside.source)),
    exposure: answer(exposureClass, exposureReason(exposureClass, ctx)),
    respirator,
    cartridges,
    kit,
    tasks: methods.map((m) => {
      const { exposure: _e, ...worn } = wear([m]);
      return { methodId: m.id, ...worn };
    }),
    bags: answer(
      bagCount,
      why('protect.bags', guarded ? rulebook.sources.waste : 'trade-contain', {
        area: measure(laid, 'm2'),
        film: measure(disturbedM2, 'm2'),
      }),
    ),
    sign: lead
      ? answer(rulebook.signLines, why('protect.sign', rulebook.signSource))
      : answer([], guarded ? why('protect.noSignAbove', rulebook.sources.asbestosWork) : why('protect.noSign', rulebook.signSource)),
  };
}

function exposureReason(c: ExposureClassId, ctx: ZoneContext): Reason {
  const upper = EXPOSURE_CLASSES[c].upperUgM3;
  if (c === 'none') return why('exposure.none', ctx.rulebook.sources.clothing);
  const rule = ctx.rulebook.id === 'uk' ? 'exposure.presumedUk' : upper === null ? 'exposure.presumedTop' : 'exposure.presumed';
  return why(rule, ctx.rulebook.id === 'uk' ? 'clw2002' : 'cfr29-1926.62d2', { class: c, upper: measure(upper ?? 2500, 'ug/m3') });
}
