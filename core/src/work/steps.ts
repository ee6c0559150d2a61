/** The ordered steps of one surface: what, how long, with how much, and what must be true before the next. */
import { FACE_PH } from './judge';
import { MASONRY, METAL, PLASTER, TIMBER, type MethodId, type Residue, type Surface, type HoldKey, type StepKey } from '../facts';
import type { SurfaceContext } from '../views';
import { filmOf, lifterOf, LIFTER_M2, methodById, usesGrit, type Method } from '../catalogue';
import { FERROUS } from '../catalogue/method';
import { effortOn, isMains, methodsOf, picksOf, reactions, RUST_FACE, RUST_SPOTS, type Choice, type Stroke } from '../choose';
import type { Range } from '../units/units';
import { DEW_MARGIN_C, LAYING, layH, leavesProfile, PROFILE, stainOf, WIPE, type CoatingPlan, type CoatLine } from '../coat';
import { baseOf } from '../catalogue';
import type { LeadPicture } from '../probe';
import { isDamp, isPresent, readsWet } from '../probe';
import { why, type Reason } from '../reasons';
import { finishOf, finishSpec, liveDefects, type Repair } from '../repair';
import { pieceWords } from '../trial';
import { CROSS_CUT_TO_UM } from '../trial';
import { measure } from '../units/units';
import { evaporates } from '../shelf/firm-sheets';
import { goodsOf } from '../walk';
import { repairSteps, siliconeSteps } from './repairs';
import { cutInH, maskMoney } from './masking';
import {
  beforeStrokes,
  chalkGate,
  chalks,
  cutInM,
  denib,
  goodsStep,
  maskForCoats,
  mistSteps,
  serviceStep,
  unmask,
  unmaskStrokes,
  washStep,
} from './trade-steps';
import { strokeOnWords } from './stroke-on';
import { gate, hours, hoursOf, NOTHING, plus, stepOf, type Asked, type GateSpec, type StepSpec } from '../step';

/** Drying oil in a heap of rags heats itself. */
const SELF_HEATING: readonly string[] = ['alkydGloss', 'clearVarnish', 'alkydWood', 'woodStain', 'penetratingOil'];

/** What lies over the old coat: it disturbs nothing, and is work all the same. */
const COVERS: readonly MethodId[] = ['thickPrimer', 'encapsulate', 'cover'];

interface Inputs {
  readonly s: Surface;
  readonly ctx: SurfaceContext;
  readonly choice: Choice;
  readonly coating: CoatingPlan;
  readonly lead: LeadPicture;
  readonly repairs: readonly Repair[];
}

/** Of a sanding in two halves the coarse one is named; the last is the stroke itself. */
const halfOf = (x: Stroke) => (x.half === 'coarse' ? ({ half: 'coarse' } as const) : {});
/** Its check names the method always: what passed for one stroke says nothing of another. Law O3. */
const strokeKey = (x: Stroke, main: boolean): StepKey => ({
  step: 'remove',
  part: x.kind,
  ...(main ? {} : { method: x.methodId }),
  ...halfOf(x),
});
/** Of a sanding in two halves, the coarse one is the larger. */
const HALF = { coarse: 0.6, final: 0.4 } as const;

/** How long it dries before the next tool, h. Common practice, no published source. */
const DRY_BETWEEN: Range = hours(1, 24);

/** A stroke that was made before: what it left is there until it is cleared away, and wet until it has dried. */
interface Earlier {
  readonly method: Method;
  cleared: boolean;
  wet: boolean;
}

/** What a product leaves that is worked against by whatever comes next. */
const CHEMICAL: readonly Residue[] = ['solvent', 'alkali', 'acid', 'bleach', 'alcohol'];

/** Between two strokes that must not meet: what is cleared away, its proof, and drying. */
function betweenSteps(x: Stroke, m: Method, earlier: Earlier[], s: Surface): StepSpec[] {
  const next = { part: x.kind, method: x.methodId, ...halfOf(x) };
  const out = new Map<Residue, StepSpec>();
  const clearStep = (clear: Residue, because: readonly Reason[]): StepSpec =>
    stepOf({
      step: { step: 'between', residue: clear, ...next },
      kind: 'rinse',
      title: why('step.between', 'trade-strip', { then: x.methodId, residue: clear }),
      handsOnH: hours(x.areaM2 / 25, x.areaM2 / 10),
      waitH: DRY_BETWEEN,
      gates: [cleanGate({ hold: 'cleanBefore', residue: clear, ...next }, clear, s)],
      because: [...because, why(RINSE_WORDS[clear], 'trade-strip')],
    });
  for (const e of earlier) {
    if (e.cleared) continue;
    const first = e.method;
    for (const { rule, source, clear } of reactions(first, m)) {
      out.set(clear, clearStep(clear, [why(rule, source, { first: first.id, then: m.id }, 'care', 'hazard')]));
      e.cleared = true;
    }
  }
  // What a stroke leaves behind comes off, and is proved gone, before the next tool: of the same product, once at its end. Law O1.
  for (const e of earlier) {
    if (e.cleared || e.method.id === m.id) continue;
    for (const clear of e.method.leaves) {
      if (!CHEMICAL.includes(clear) || out.has(clear)) continue;
      out.set(clear, clearStep(clear, [why('order.ownRemoval', 'trade-strip', { first: e.method.id, then: m.id }, 'care')]));
      e.cleared = true;
    }
  }
  if (out.size === 0 && isMains(m) && earlier.some((e) => e.wet))
    out.set(
      'water',
      stepOf({
        step: { step: 'between', residue: 'water', ...next },
        kind: 'dry',
        title: why('step.betweenDry', 'trade-strip', { then: x.methodId }),
        waitH: DRY_BETWEEN,
        gates: [gate({ hold: 'dryBefore', ...next }, 'dry', why('gate.dryToTouch', 'trade-strip'))],
      }),
    );
  if (out.size > 0) for (const e of earlier) e.wet = false;
  return [...out.values()];
}

/** A meter for wood, a taped sheet for what is mineral; metal is wiped and is ready in an hour. Common practice. */
function dryGate(id: 'moisture' | 'stainDry', timber: boolean, metal: boolean): GateSpec {
  if (metal) return gate(id, 'dry', why('gate.metalDry', 'trade-interval'), [{ what: 'waitedMin', atLeast: measure(60, 'min') }]);
  if (!timber) return gate(id, 'dry', why('gate.moistureMineral', 'astm-d4263'), [{ what: 'waitedH', atLeast: measure(16, 'h') }]);
  const limit = measure(15, '%MC');
  return gate(id, 'dry', why('gate.moisture', 'mem-moisture', { limit }), [{ what: 'moisturePct', atMost: limit }]);
}

/** A week of it at the coldest face, %: five under what grows mold in a month. ISO 13788; the margin is common practice. */
const CURED_RH = measure(75, '%RH');
/** Wood that is still wetted stays above. Wood Handbook. */
const CURED_WOOD = measure(16, '%MC');
/** A cause is cured when a reading says so: the air of a room by a logger's week, what is wetted by its own moisture. Law O2. */
function curedGate(s: Surface, { place, space }: SurfaceContext): GateSpec {
  const byAir = place === 'inside' && goodsOf(s.element) === null && !space.comesIn && !s.conditions.includes('wet') && !readsWet(s);
  if (byAir)
    return gate('causeCured', 'prepare', why('gate.causeCuredAir', 'iso13788', { limit: CURED_RH }), [
      { what: 'faceRhPct', atMost: CURED_RH },
    ]);
  if (TIMBER.includes(s.material))
    return gate('causeCured', 'prepare', why('gate.causeCuredWood', 'mem-moisture', { limit: CURED_WOOD }), [
      { what: 'moisturePct', atMost: CURED_WOOD },
    ]);
  return gate('causeCured', 'prepare', why('gate.causeCured', 'astm-d4263'), [{ what: 'waitedH', atLeast: measure(16, 'h') }]);
}

/** The wet face, like the water that rinsed it: no more than 1 below or 2 above it. ASTM D4262; 6 to 8.5 is practice. */
const NEUTRAL: Asked = {
  what: 'ph',
  atLeast: measure(6, 'pH'),
  atMost: measure(8.5, 'pH'),
  near: { what: 'rinsePh', ...FACE_PH },
};
/** Water that was in use before is no rinse water. Common practice, no published source. */
const RINSE_WATER: Asked = { what: 'rinsePh', atLeast: measure(5.5, 'pH'), atMost: measure(9.5, 'pH') };
/** A drop sinks in within a minute where nothing closes the pores. ASTM F3191, from memory. */
const DROP = measure(60, 's');
/** Water lies on clean metal as one film for so long. The water-break test, from memory. */
const FILM = measure(30, 's');
function cleanGate(id: HoldKey, residue: Residue, s: Surface): GateSpec {
  if (residue === 'alkali' || residue === 'acid') return gate(id, 'rinse', why('gate.alkaliGone', 'astm-d4262'), [NEUTRAL, RINSE_WATER]);
  if (residue !== 'solvent') return gate(id, 'rinse', why('gate.clothClean', 'trade-strip', { residue }));
  // Planed wood takes up a drop in its own time: there it only must not bead.
  if (TIMBER.includes(s.material)) return gate(id, 'rinse', why('gate.solventGoneWood', 'trade-strip'));
  return MASONRY.includes(s.material) || PLASTER.includes(s.material)
    ? gate(id, 'rinse', why('gate.solventGone', 'astm-f3191', { limit: DROP }), [{ what: 'dropS', atMost: DROP }])
    : gate(id, 'rinse', why('gate.solventGoneHard', 'mem-waterbreak', { limit: FILM }), [{ what: 'filmS', atLeast: FILM }]);
}

const PROFILE_LEAST = measure(PROFILE.leastUm, 'um');
const PROFILE_MOST = measure(PROFILE.mostUm, 'um');
const profileGate = (): GateSpec =>
  gate('profile', 'remove', why('gate.profile', 'astm-d4417', { least: PROFILE_LEAST, most: PROFILE_MOST }), [
    { what: 'profileUm', atLeast: PROFILE_LEAST, atMost: PROFILE_MOST },
  ]);

/** Nothing new has come out for a week. Common practice, no published source. */
const SALTS_STAY_AWAY = measure(168, 'h');
/** What the patch test may find on metal before a coat. IMO PSPC, MSC.215(82), as sodium chloride by ISO 8502-9. */
const SALT_ON_METAL = measure(50, 'mg/m2');
const mineralSalts = (s: Surface): boolean =>
  s.conditions.includes('salty') && (MASONRY.includes(s.material) || PLASTER.includes(s.material));
/** Brushed off dry until none comes: water takes them back in. */
const saltsDry = (areaM2: number, leaded: boolean): StepSpec =>
  stepOf({
    step: 'salts',
    kind: 'dry',
    title: why('step.saltsDry', 'trade-prime', { area: measure(areaM2, 'm2') }),
    handsOnH: hours(areaM2 / 30, areaM2 / 12),
    waitH: hours(SALTS_STAY_AWAY.value, SALTS_STAY_AWAY.value * 2),
    because: [why('salts.dry', 'trade-prime', {}, 'care'), ...(leaded ? [why('salts.dryLead', 'trade-prime', {}, 'care', 'hazard')] : [])],
    gates: [
      gate('saltsGone', 'dry', why('gate.saltsGone', 'trade-prime', { limit: SALTS_STAY_AWAY }), [
        { what: 'waitedH', atLeast: SALTS_STAY_AWAY },
      ]),
    ],
  });
/** Washed off with fresh water; on metal a patch says whether it is gone. */
const saltsRinse = (s: Surface, areaM2: number): StepSpec =>
  stepOf({
    step: 'salts',
    kind: 'rinse',
    title: why('step.saltsRinse', 'trade-prime', { area: measure(areaM2, 'm2') }),
    handsOnH: hours(areaM2 / 25, areaM2 / 10),
    because: [why('salts.rinse', 'trade-prime', {})],
    gates: [
      METAL.includes(s.material)
        ? gate('saltsGone', 'rinse', why('gate.saltsMetal', 'imo-pspc', { limit: SALT_ON_METAL }), [
            { what: 'saltMgM2', atMost: SALT_ON_METAL },
          ])
        : gate('saltsGone', 'rinse', why('gate.saltsWhite', 'trade-prime', {})),
    ],
  });

const times = (r: Range, by: Range): Range => ({ low: r.low * by.low, high: r.high * by.high });

/** @returns the strokes, and which of the products are still on it when the last of them is done */
function removeSteps({ s, choice, lead }: Inputs): { readonly strokes: StepSpec[]; readonly left: ReadonlySet<Residue> } {
  const { strokes, apart } = choice.sequence;
  const earlier: Earlier[] = [];
  let soaking: string | null = null;
  const cleaned = new Set<string>();
  /** Cleaned twice on one part, each cleaning has a check of its own. */
  const moldClean = (x: Stroke): HoldKey => {
    const again = cleaned.has(x.kind);
    cleaned.add(x.kind);
    return { hold: 'moldClean', part: x.kind, ...(again ? { method: x.methodId } : {}) };
  };
  const made = strokes.flatMap((x, i): StepSpec[] => {
    const m = methodById(x.methodId);
    if (!m.disturbs && !COVERS.includes(m.id)) return [];
    const between = betweenSteps(x, m, earlier, s);
    earlier.push({ method: m, cleared: false, wet: m.wet });
    const part = choice.parts.find((p) => p.partId === x.partId)!;
    const pick = picksOf(part).find((k) => k.option.methodId === x.methodId)!;
    const share = x.half === null ? 1 : HALF[x.half];
    const effort = effortOn(x.areaM2 * share, pick.option.perM2, m);
    // What may hurt is said where it is done, not only where it was chosen.
    const careful = pick.option.because.filter((r) => r.effect === 'care' && !/^(fit|trial)\./.test(r.rule));
    const because: Reason[] = [...pick.because, ...careful.filter((r) => !pick.because.includes(r))];
    const next = strokes.slice(i + 1).find((y) => y.partId !== x.partId);
    if (next && pick.main && (m.caustic || m.vapour))
      because.push(
        why(next.methodId === x.methodId ? 'order.topDown' : 'order.messyFirst', 'trade-strip', {
          part: x.kind,
          first: x.methodId,
          then: next.methodId,
        }),
      );
    if (x.half !== null) because.push(why(x.half === 'coarse' ? 'order.coarseHalf' : 'order.finalHalf', 'trade-sand'));
    for (const r of apart) if (r.weighed.some((w) => w.asked === 'first' && w.found === x.methodId)) because.push(r);
    if (m.bite === 'loose' && !m.takes.includes('rust') && m.id !== 'puttyCut')
      because.push(why('order.twoPassRule', 'trade-scrape'), ...blades(s));
    if (m.id === 'masonryStripper') because.push(why('order.bladeDrag', 'trade-scrape'));
    because.push(...gritWords(m, s, x.partId));
    const toolC = s.parts.find((p) => p.id === x.partId)?.toolC ?? null;
    if (m.heatC !== null && m.heatC > 150 && toolC !== null)
      because.push(why('order.toolSet', 'job-record', { tool: measure(toolC, 'C') }));
    // What goes down to the material has no older coat to break into.
    if (pick.main && m.bite !== 'bare' && isPresent(lead.overall.value)) because.push(why('order.breakThrough', 'trade-scrape'));
    if (pick.main && FERROUS.includes(s.material) && isSpotted(s) && !m.takes.includes('rust'))
      because.push(why('order.rustSpots', 'trade-rust', {}, 'care'));
    const film = filmOf(m.id);
    const lifter = x.areaM2 > 0 ? lifterOf(m, x.kind) : null;
    if (film)
      because.push(
        why('seen.film.range', 'mem-stripper-film', { least: measure(film[0] * 1000, 'um'), most: measure(film[1] * 1000, 'um') }),
      );
    if (lifter) because.push(why(`lift.${lifter}`, 'trade-seen'));
    const together = soaking === x.methodId && effort.dwellHours !== null;
    soaking = x.methodId;
    if (together) because.push(why('order.soaksTogether', 'trade-round'));
    const gates =
      m.takes.length === 1 && m.takes[0] === 'mold'
        ? [gate(moldClean(x), 'remove', why('gate.moldClean', 'trade-mold'))]
        : !pick.main || x.half === 'coarse'
          ? []
          : m.bite === 'loose'
            ? [gate({ hold: 'edgesHold', part: x.kind, method: m.id }, 'remove', why('gate.edgesHold', 'trade-scrape'))]
            : m.bite === 'bare' && !m.removesPiece
              ? [gate({ hold: 'bare', part: x.kind, method: m.id }, 'remove', why('gate.bareReached', 'trade-strip'))]
              : [];
    return [
      ...between,
      stepOf({
        step: strokeKey(x, pick.main),
        at: { stroke: m.id, partId: x.partId, areaM2: x.areaM2 * share, half: x.half },
        kind: 'remove',
        title: why('step.remove', m.source, { part: x.kind, method: m.id, area: measure(x.areaM2, 'm2') }),
        handsOnH: effort.personHours,
        // Like parts soak side by side; each pass stands its own time.
        waitH: together || effort.dwellHours === null ? NOTHING : times(effort.dwellHours, pick.option.perM2.passes),
        amounts: [
          ...effort.consumables.map((c) => ({
            what: c.id,
            amount: c.amount.unit === 'pieces' ? measure(Math.ceil(c.amount.value), 'pieces') : c.amount,
          })),
          ...(lifter ? [{ what: lifter, amount: measure(Math.ceil(x.areaM2 / LIFTER_M2), 'pieces') }] : []),
        ],
        gates,
        because,
      }),
    ];
  });
  return { strokes: made, left: new Set(earlier.flatMap((e) => (e.cleared ? [] : e.method.leaves))) };
}

/** Rust in spots, ISO 4628-3: less than a face of it. */
const isSpotted = (s: Surface): boolean => (s.rustGrade ?? 0) >= RUST_SPOTS && (s.rustGrade ?? 0) < RUST_FACE;

/** The abrasives that the person planned; where nobody did, what is usual. */
function gritWords(m: Method, s: Surface, partId: string): Reason[] {
  if (!usesGrit(m)) return [];
  const grits = s.parts.find((p) => p.id === partId)?.grits ?? [];
  if (grits.length > 0) return [why('order.ownGrits', 'job-record', { grits: grits.join(', ') })];
  if (m.bite === 'skin') return m.id === 'padSand' ? [] : [why('order.scuffGrit', 'trade-sand')];
  return s.aim === 'bareClear' ? [why('order.bareGrit', 'trade-sand')] : [];
}

/** Which blade: flat under what lifts, carbide where the film is checked. */
function blades(s: Surface): Reason[] {
  const has = (c: Surface['conditions'][number]) => s.conditions.includes(c);
  return [
    ...(has('flaking') || has('blistered') ? [why('order.bladeFlat', 'trade-scrape')] : []),
    ...(has('checked') ? [why('order.bladeCarbide', 'trade-scrape')] : []),
  ];
}

/** What is still to be tested, said as it is: lead that is found is not waited for. */
function testOpen(lead: LeadPicture): Reason[] {
  if (lead.next.value === 'none') return [];
  return lead.overall.value === 'found' ? [why('prep.depthOpen', 'job-record', {})] : [why('prep.testFirst', 'job-record', {}, 'care')];
}

/** How it is proved that what stays holds: not by a cut into a suspect, and through a thick film not by a cross-cut. */
function adhesionCheck(s: Surface, { asbestos }: SurfaceContext, coating: CoatingPlan): Reason {
  // Tape takes what is loose with it.
  if (isPresent(asbestos.coat.value)) return why('gate.adhesionLook', 'trade-sample');
  if (isPresent(asbestos.overall.value)) return why('gate.adhesionNoCut', 'trade-scrape');
  if (coating.left.value === 'bare') return why('gate.adhesionBare', 'trade-prime');
  const film = s.filmUm;
  return film !== null && film > CROSS_CUT_TO_UM
    ? why('gate.adhesionThick', 'astm-d3359', { film: [measure(film, 'um'), measure(CROSS_CUT_TO_UM, 'um')] })
    : why('gate.adhesion', 'trade-scrape');
}

/** What holds well enough for the next coat: at most a trace along the cut. The classes are those of ASTM D3359; the limit is common practice. */
const HOLDS: Asked = { what: 'adhesionClass', atLeast: measure(4, 'class') };
/** Where tape is pulled from a cut, it is a class and not an opinion. */
const adhesionGate = (check: Reason): GateSpec =>
  gate('adhesion', 'remove', check, ['gate.adhesion', 'gate.adhesionThick'].includes(check.rule) ? [HOLDS] : []);

const RINSE_WORDS = {
  acid: 'rinse.acid',
  grain: 'rinse.grain',
  solvent: 'rinse.solvent',
  alkali: 'rinse.alkali',
  water: 'rinse.water',
  dust: 'rinse.dust',
  grit: 'rinse.grit',
  char: 'rinse.char',
  bleach: 'rinse.bleach',
  alcohol: 'rinse.alcohol',
} as const;

/** A waxed cloth before solvent paint is a school; before waterborne paint it is a mistake. */
function dustWords(ctx: SurfaceContext, coating: CoatingPlan): Reason[] {
  const plain = why(ctx.rulebook.id === 'uk' ? 'rinse.dustUk' : 'rinse.dust', 'trade-strip');
  if (ctx.settings.dustOff === 'microfibre') return [plain];
  const first = coating.lines[0]?.product ?? coating.topcoat.value;
  return first !== null && baseOf(first) === 'solvent'
    ? [why(ctx.rulebook.id === 'uk' ? 'rinse.dustTackUk' : 'rinse.dustTack', 'firm-setting')]
    : [plain, why('rinse.noTackUnderWater', 'firm-setting', {}, 'care')];
}

/** What the tool is cleaned with, each time that it was used. A brush is wrapped between coats and washed with the day's. */
const cleanedWith = ({ product, way, coats, areaM2 }: CoatLine): StepSpec['amounts'] =>
  way === 'brush' || LAYING[way].cleanL === 0 || areaM2 * coats === 0
    ? []
    : [{ what: baseOf(product) === 'solvent' ? 'toolThinner' : 'toolWater', amount: measure(LAYING[way].cleanL * coats, 'L') }];

/** Laid once more where the ground drinks; the tool is in the hand. */
const onceMore = ({ way, againM2 }: CoatLine): Range => hours(againM2 / LAYING[way].m2PerH.high, againM2 / LAYING[way].m2PerH.low);

/** ISO 8502-4: the face at least so far above the dew point. */
const DEW = measure(DEW_MARGIN_C, 'deltaC');

/**
 * What is filled and rubbed beside the defects that were recorded: by how good it has to look; where they were recorded, only what was
 * overlooked. Common practice, no published source.
 */
function smallFilling(s: Surface, areaM2: number): Range {
  const { filling } = finishSpec(s);
  const recorded = liveDefects(s).length > 0;
  return hours((areaM2 / 20) * filling, (recorded ? areaM2 / 12 : areaM2 / 6) * filling);
}
const finishWords = (s: Surface, ctx: SurfaceContext): Reason => {
  const spec = finishSpec(s);
  return why('finish.judged', 'trade-repair', {
    finish: finishOf(s),
    light: spec.light,
    from: spec.from[ctx.rulebook.id],
    stays: measure(spec.staysMm, 'mm'),
  });
};

/** As if the refused way of laying were none: what it would take. */
const asIfLaid = (input: Inputs): Inputs => ({
  ...input,
  coating: { ...input.coating, lines: input.coating.refusedLines, refusedLines: [], refused: [] },
});

/** What the steps cost in masking: those of a refused way too, for asking makes nothing cheaper. */
export const maskingMoney = (input: Inputs, steps: readonly StepSpec[]): number =>
  maskMoney(input.coating.refusedLines.length > 0 ? plannedSteps(asIfLaid(input)) : steps, input.ctx.settings);

/** The steps of one surface, from what the earlier stages decided; its zone sets up, cleans and verifies around them (zone/steps.ts). */
export function ownSteps(input: Inputs): StepSpec[] {
  const steps = plannedSteps(input);
  if (input.coating.refusedLines.length === 0) return steps;
  const whole = hoursOf(plannedSteps(asIfLaid(input)));
  const without = hoursOf(steps);
  // Another ground coat may ask for less in its turn: what is asked about never gives hours back.
  const more = (a: Range, b: Range): Range => {
    const low = Math.max(0, a.low - b.low);
    return { low, high: Math.max(low, a.high - b.high) };
  };
  return steps.map((st) =>
    st.key.step === 'askCoat' ? { ...st, handsOnH: more(whole.handsOnH, without.handsOnH), waitH: more(whole.waitH, without.waitH) } : st,
  );
}

function plannedSteps(input: Inputs): StepSpec[] {
  const { s, ctx, choice, coating, lead } = input;
  const areaM2 = choice.parts.reduce((a, p) => a + p.areaM2, 0);
  const steps: StepSpec[] = [];
  const step = (st: Parameters<typeof stepOf>[0]) => steps.push(stepOf(st));

  // Every part of it was taken off the list: there is nothing to work on.
  if (areaM2 <= 0) return steps;
  const blocked = choice.parts.filter((p) => p.selected.value === null);
  if (blocked.length > 0) {
    step({
      step: 'ask',
      kind: 'ask',
      title: why('step.ask', 'job-record', { parts: blocked.map((p) => p.kind) }),
      because: blocked.flatMap((p) => p.selected.because),
    });
    return steps;
  }
  const picks = methodsOf(choice);
  const disturbing = picks.filter((m) => m.disturbs);
  if (picks.length > 0 && picks.every((m) => m.id === 'leave') && coating.lines.length === 0 && coating.refused.length === 0) {
    step({
      step: 'leave',
      kind: 'verify',
      title: why('step.leave', 'trade-aim', {}),
      gates: [gate('stillSound', 'check', why('gate.stillSound', 'trade-aim'))],
    });
    return steps;
  }

  const damp = isDamp(s);
  const dampGates = damp ? [curedGate(s, ctx)] : [];
  step({
    step: 'prepare',
    kind: 'prepare',
    title: why('step.prepare', 'trade-contain', { methods: picks.map((m) => m.id) }),
    because: [
      ...(s.bench ? [why('prep.bench', 'nps-pb9')] : []),
      ...(disturbing.some((m) => m.caustic) ? [why('prep.eyewashFirst', 'ansi-z358')] : []),
      ...(disturbing.length > 0 ? testOpen(lead) : []),
      ...pieceWords(s),
    ],
    gates: dampGates,
  });

  const { strokes, left } = removeSteps(input);
  steps.push(...serviceStep(input, 'before'), ...beforeStrokes(input), ...siliconeSteps(input), ...washStep(input), ...strokes);

  for (const residue of coating.residues) {
    if (CHEMICAL.includes(residue) && !left.has(residue)) continue;
    step({
      step: { step: 'rinse', residue },
      kind: 'rinse',
      title: why('step.rinse', 'trade-strip', { residue }),
      handsOnH: hours(areaM2 / 25, areaM2 / 10),
      because: residue === 'dust' ? dustWords(ctx, coating) : [why(RINSE_WORDS[residue], 'trade-strip')],
      gates: [
        cleanGate({ hold: 'clean', residue }, residue, s),
        ...(residue === 'grit' && coating.lines.length > 0 && picks.some((m) => leavesProfile(m.id, s.material)) ? [profileGate()] : []),
      ],
    });
  }
  const timber = TIMBER.includes(s.material);
  const metal = METAL.includes(s.material);
  const suspect = isPresent(ctx.asbestos.overall.value);
  if (s.conditions.includes('salty') && !mineralSalts(s) && !isPresent(ctx.asbestos.coat.value)) steps.push(saltsRinse(s, areaM2));
  const wetting = disturbing.some((m) => m.wet) || steps.some((st) => st.key.step === 'salts');
  // What is sealed in damp stays damp.
  if (wetting || damp || picks.some((m) => COVERS.includes(m.id))) {
    const deep = disturbing.some((m) => m.caustic || m.id === 'steam');
    step({
      step: 'dry',
      kind: 'dry',
      title: why('step.dry', 'trade-interval', {}),
      waitH: metal ? hours(1, 2) : deep ? hours(48, 168) : hours(4, 24),
      gates: [dryGate('moisture', timber, metal)],
    });
  }
  if (mineralSalts(s) && !suspect) steps.push(saltsDry(areaM2, isPresent(lead.overall.value)));
  step({
    step: 'check',
    at: { check: true, areaM2 },
    kind: 'check',
    title: why('step.check', 'trade-prime', {}),
    // By what there is to look at: ten doors one by one are looked at as long as one entry of ten. Common practice, no published source.
    handsOnH: hours(areaM2 / 40, areaM2 / 16),
    because: [
      ...(coating.wipe === 'barred' && coating.lines.length > 0 ? [why('wipe.barred', 'firm-setting', {}, 'care')] : []),
      ...(mineralSalts(s) && suspect ? [why('salts.suspect', ctx.rulebook.sources.asbestosWork, {}, 'care', 'hazard')] : []),
    ],
    gates: [
      adhesionGate(adhesionCheck(s, ctx, coating)),
      // A stain that is still fed comes through whatever is laid on it.
      ...((stainOf(s) === 'water' || stainOf(s) === 'unsaid') &&
      coating.lines.length > 0 &&
      !suspect &&
      !steps.some((st) => st.key.step === 'dry')
        ? [dryGate('stainDry', timber, metal)]
        : []),
      ...(chalks(s) && coating.left.value !== 'bare' && !suspect && !steps.some((st) => st.key.step === 'wash') ? [chalkGate()] : []),
    ],
  });
  const glazed = s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass');
  const puttied =
    picks.some((m) => m.takes.includes('putty')) || input.repairs.some((r) => r.repair.value === 'rePutty' || r.repair.value === 'reglaze');
  // Whole metal has nothing to fill.
  if (!metal || glazed || s.conditions.includes('openJoints'))
    step({
      step: 'fill',
      kind: 'repair',
      // Putty that has its own step, or that nobody has cleared of asbestos, is not touched by this one.
      title: why(glazed && !isPresent(ctx.asbestos.putty.value) && !puttied ? 'step.repair' : 'step.repairPlain', 'trade-prime', {}),
      handsOnH: smallFilling(s, areaM2),
      because: [
        ...(s.finish === null ? [] : [finishWords(s, ctx)]),
        ...(s.conditions.includes('openJoints') ? [why('repair.joints', 'trade-prime')] : []),
        ...(suspect ? [why('repair.suspect', ctx.rulebook.sources.asbestosWork, {}, 'care', 'hazard')] : []),
      ],
    });

  steps.push(...repairSteps(input));
  steps.push(...unmaskStrokes(input));
  if (coating.wipe === 'alcohol' && coating.lines.length > 0)
    step({
      step: 'lastWipe',
      kind: 'wash',
      title: why('step.lastWipe', 'firm-setting', { area: measure(areaM2, 'm2') }),
      handsOnH: hours(areaM2 / 40, areaM2 / 20),
      waitH: hours(WIPE.driesH / 2, WIPE.driesH),
      amounts: areaM2 > 0 ? [{ what: 'alcohol', amount: measure(areaM2 * WIPE.litresPerM2, 'L') }] : [],
      because: [why('wipe.alcohol', 'firm-setting')],
      gates: [gate('wipeAir', 'wash', why('gate.coatAir', 'trade-coat-air'))],
    });

  if (coating.refused.length > 0)
    step({
      step: 'askCoat',
      kind: 'ask',
      title: why('step.askCoat', 'trade-prime', { topcoat: coating.topcoat.value ?? '' }),
      because: coating.refused,
    });
  steps.push(...maskForCoats(input));
  const lineM = cutInM(input);
  coating.lines.forEach((l, i) => {
    const last = i === coating.lines.length - 1;
    const kind = l.use === 'topcoat' ? 'coat' : 'prime';
    const between = Math.max(l.coats - 1, 0);
    // Nothing is rubbed where the sealer over what may hold asbestos would be rubbed through: it is wiped, and takes as long.
    const rub = denib(l.product, l.areaM2, !finishSpec(s).denibs ? 0 : i === 0 ? between : l.coats, !isPresent(ctx.asbestos.coat.value));
    // What is closed for one mist stays closed for the next, and is looked over again.
    const before = coating.lines[i - 1];
    steps.push(...mistSteps(input, l, before !== undefined && LAYING[before.way].sprays));
    step({
      step: { step: kind, product: l.product },
      at: { coat: l.product, sprayed: LAYING[l.way].sprays, areaM2: l.areaM2, recoatH: l.recoatH },
      kind,
      title: why(l.use === 'knots' ? 'step.knots' : l.use === 'primer' ? 'step.prime' : 'step.coat', 'trade-interval', {
        product: l.product,
        coats: l.coats,
        area: measure(l.areaM2, 'm2'),
        by: l.way,
        where: `where.${l.where}`,
      }),
      handsOnH: plus(plus(plus(layH(l, l.way), onceMore(l)), rub.handsOnH), cutInH(l.use === 'knots' ? 0 : lineM, l.coats)),
      waitH: hours(l.recoatH.low * (between + (last ? 0 : 1)), l.recoatH.high * (between + (last ? 0 : 1))),
      amounts: [{ what: l.product, amount: measure(l.litres, 'L') }, ...cleanedWith(l)],
      because: [
        ...l.because,
        why('coat.interval', 'trade-interval', {
          low: measure(l.recoatH.low, 'h'),
          high: measure(l.recoatH.high, 'h'),
          at: measure(20, 'C'),
        }),
        ...rub.because,
        ...strokeOnWords(s, l, ctx),
        ...(lineM > 0 && l.use !== 'knots'
          ? [why('coat.cutIn', 'trade-lay', { line: measure(lineM, 'm'), overlap: measure(2, 'mm') })]
          : []),
      ],
      gates: [
        ...(i === 0
          ? [gate('dewPoint', 'dry', why('gate.dewPoint', 'iso8502-4', { limit: DEW }), [{ what: 'aboveDewC', atLeast: DEW }])]
          : []),
        // Of its strokes the zone asks this before they begin; what is in a coat evaporates when it was given back.
        ...(ctx.place !== 'outside' && evaporates(ctx.settings, l.product) && !LAYING[l.way].sprays && l.areaM2 * l.coats > 0
          ? [gate({ hold: 'coatAir', product: l.product }, kind, why('gate.coatAir', 'trade-coat-air'))]
          : []),
        // What the last coat leaves in the rags is looked to before anybody goes home.
        ...(last && coating.lines.some((x) => SELF_HEATING.includes(x.product))
          ? [gate('rags', kind, why('gate.rags', 'trade-prime'))]
          : []),
      ],
    });
  });

  steps.push(...unmask(input), ...serviceStep(input, 'after'), ...goodsStep(input));

  if (picks.some((m) => m.id === 'encapsulate' || m.id === 'thickPrimer') && isPresent(ctx.asbestos.coat.value)) {
    const by = ctx.rulebook.sources.asbestosTold;
    step({
      step: 'asbestosStays',
      kind: 'verify',
      title: why('step.asbestosStays', by, {}),
      handsOnH: hours(0.25, 0.5),
      gates: [gate('asbestosEntered', 'verify', why('gate.asbestosEntered', by))],
    });
  }
  return steps;
}
