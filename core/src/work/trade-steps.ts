/**
 * What a tradesman does around the strokes and coats of a piece and would not start without: fittings off or masked, glass and raw masonry
 * masked, sound paint washed before it is scuffed, masking off while the coat still gives. Law O8. Allowances: common practice, no
 * published source.
 */
import { MASONRY, METAL, type Binder, type ElementId, type Surface, type HoldKey } from '../facts';
import { methodById } from '../catalogue';
import { methodsOf, type Choice } from '../choose';
import type { Range } from '../units/units';
import { closeForMistH, LAYING, MIST_WIND, type CoatingPlan, type CoatLine } from '../coat';
import { GOODS_LEAD, isOnGoods, isPresent, type LeadPicture } from '../probe';
import { why, type Reason } from '../reasons';
import type { SurfaceContext } from '../views';
import { measure } from '../units/units';
import { goodsOf, isHeater, liveLayers } from '../walk';
import { glassLineM, maskH, maskingOfCoats, maskingOfStrokes, mistFilmM2, spoilersOf, unmaskH, type Masked, type Masking } from './masking';
import { gate, hours, plus, stepOf, type GateSpec, type StepSpec } from '../step';

/** Handles, stays, catches, lifts, plates: how many a piece usually carries. Hinges stay. */
const FITTINGS: Readonly<Partial<Record<ElementId, number>>> = {
  doubleHungSash: 3,
  casementSash: 3,
  metalCasement: 3,
  door: 4,
  shutter: 2,
  furniture: 4,
  machineHousing: 4,
};
/** Riveted, welded or under pressure: nobody takes them off to paint behind them, whatever the school. */
const FIXED: readonly ElementId[] = ['metalCasement', 'machineHousing'];

/** Person-hours. */
const ALLOW = {
  offEach: { low: 0.04, high: 0.1 },
  onEach: { low: 0.04, high: 0.1 },
  cleanEach: { low: 0.08, high: 0.2 },
  washPerM2: { low: 1 / 30, high: 1 / 12 },
  denibPerM2: { low: 1 / 60, high: 1 / 25 },
} as const satisfies Record<string, Range>;
const by = (r: Range, k: number): Range => ({ low: r.low * k, high: r.high * k });

export interface Around {
  readonly s: Surface;
  readonly ctx: SurfaceContext;
  readonly choice: Choice;
  readonly coating: CoatingPlan;
}

const fittingsOf = (s: Surface): number => (FITTINGS[s.element] ?? 0) * s.count;

/** Fittings go, unless the firm's school leaves them, or they are screwed into what may hold asbestos. */
const fittingsStay = ({ s, ctx }: Around): boolean =>
  ctx.settings.fittings === 'stay' || FIXED.includes(s.element) || isPresent(ctx.asbestos.coat.value);

/** What is beside it and must not be touched. */
function targets(a: Around): Masked[] {
  const { s, ctx } = a;
  const is = (...ids: readonly ElementId[]) => ids.includes(s.element);
  const out: Masked[] = [];
  if (s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass')) out.push('glass');
  if (ctx.place === 'outside' && !MASONRY.includes(s.material) && !is('railing', 'ironRailing', 'hull', 'handrail')) out.push('rawMasonry');
  if (isHeater(s.element) || is('machineHousing')) out.push('ratingPlate');
  if (is('gasPipe')) out.push('gasParts');
  if ((isHeater(s.element) || is('pipe', 'gasPipe')) && ctx.place === 'inside') out.push('wallBehind');
  if (is('baseboard', 'stairFlight', 'newelPost', 'post', 'railing', 'column', 'machineHousing') && ctx.place === 'inside')
    out.push('floorEdge');
  if (fittingsOf(s) > 0 && fittingsStay(a)) out.push('fittings');
  return out;
}

/** Joinery in a wall: what flies or runs gets onto the wall about it. */
const IN_A_WALL: readonly ElementId[] = [
  'casing',
  'windowFrame',
  'door',
  'doubleHungSash',
  'casementSash',
  'metalCasement',
  'sill',
  'baseboard',
  'wainscot',
  'cornice',
  'heaterBoard',
];
const beside = ({ s, ctx }: Around, flies: boolean): Masked[] =>
  flies && ctx.place === 'inside' && IN_A_WALL.includes(s.element) ? ['wallBeside'] : [];

/** By hand along a steady line, the school of firms that tape no glass; what flies or spatters is always masked. */
const cutsIn = ({ ctx, coating }: Around): boolean =>
  ctx.settings.glassLine === 'cutIn' && coating.lines.every((l) => !LAYING[l.way].sprays && l.way !== 'roller');
/** What is masked for the coats. */
const coatTargets = (a: Around): Masked[] => [
  ...targets(a).filter((x) => x !== 'glass' || !cutsIn(a)),
  ...beside(
    a,
    a.coating.lines.some((l) => LAYING[l.way].sprays),
  ),
];

/** Glass that is cut in: its line, m; 0 where it is taped or there is none. */
export const cutInM = (a: Around): number => (cutsIn(a) && targets(a).includes('glass') ? glassLineM(a.s) : 0);

/** Off and tagged, or the school that leaves them on. */
function fittingsStep(a: Around): StepSpec[] {
  const count = fittingsOf(a.s);
  if (count === 0) return [];
  const stay = fittingsStay(a);
  const because = FIXED.includes(a.s.element)
    ? [why('fittings.fixed', 'trade-prime')]
    : stay && a.ctx.settings.fittings === 'off'
      ? [why('fittings.suspect', a.ctx.rulebook.sources.asbestosWork, {}, 'care', 'hazard')]
      : [why(stay ? 'fittings.stay' : 'fittings.off', stay ? 'firm-setting' : 'trade-prime')];
  return [
    stepOf({
      step: 'fittings',
      kind: 'mask',
      title: why(stay ? 'step.fittingsStay' : 'step.fittingsOff', 'trade-prime', { count: measure(count, 'pieces') }),
      handsOnH: by(stay ? ALLOW.cleanEach : ALLOW.offEach, count),
      because,
    }),
  ];
}

const maskStep = (
  step: 'maskStrokes' | 'maskCoats',
  a: Around,
  what: readonly Masked[],
  made: Masking,
  because: readonly Reason[],
): StepSpec =>
  stepOf({
    step,
    kind: 'mask',
    title: why('step.mask', 'trade-contain', { what: what.map((w) => `mask.${w}`) }),
    handsOnH: maskH(made, what.length * a.s.count),
    amounts: made.amounts,
    because: [...because, ...made.because],
  });
const coatMasking = (a: Around, what: readonly Masked[]): Masking => maskingOfCoats(what, a.s, fittingsOf(a.s), a.coating, a.ctx);

/** A heater is cold when its face reads so, whatever the hand says. Common practice, no published source. */
const COLD = measure(30, 'C');
/** It stays off so long after its last coat. N26, common practice. */
const STAYS_OFF = measure(48, 'h');

/** A pipe under gas is tested before and after by whoever may; a machine is locked out by whoever runs it. */
const serviceGates = ({ s, coating }: Around, when: 'before' | 'after'): GateSpec[] => [
  ...(s.element === 'gasPipe'
    ? [
        gate(
          { hold: 'gasTightOf', when },
          when === 'before' ? 'mask' : 'unmask',
          why(when === 'before' ? 'gate.gasBefore' : 'gate.gasAfter', 'trade-gas'),
        ),
      ]
    : []),
  ...(s.element === 'machineHousing' && when === 'before' ? [gate('lockedOut', 'mask', why('gate.lockedOut', 'cfr29-1910.147'))] : []),
  ...(isHeater(s.element) && when === 'before'
    ? [gate('pieceCold', 'mask', why('gate.pieceCold', 'trade-heat', { limit: COLD }), [{ what: 'faceC', atMost: COLD }])]
    : []),
  ...(isHeater(s.element) && when === 'after' && coating.lines.length > 0
    ? [
        gate('heaterWaited', 'unmask', why('gate.heaterWaited', 'trade-interval', { limit: STAYS_OFF }), [
          { what: 'waitedH', atLeast: STAYS_OFF },
        ]),
      ]
    : []),
];
/** Out of use before anybody lays a hand on it, back in use after the last coat. */
export function serviceStep(a: Around, when: 'before' | 'after'): StepSpec[] {
  const gates = serviceGates(a, when);
  if (gates.length === 0) return [];
  const gas = a.s.element === 'gasPipe';
  return [
    stepOf({
      step: { step: 'service', when },
      kind: when === 'before' ? 'mask' : 'unmask',
      title: !gas
        ? when === 'before'
          ? why('step.outOfUse', 'trade-heat')
          : why('step.heatAgain', 'trade-interval')
        : why(when === 'before' ? 'step.gasBefore' : 'step.gasAfter', 'trade-gas'),
      handsOnH: gas ? hours(0.1, 0.25) : hours(0.05, 0.15),
      waitH: !gas && when === 'after' ? hours(STAYS_OFF.value, STAYS_OFF.value) : hours(0, 0),
      gates,
      because: gas
        ? [why('gas.painted', 'trade-gas', {}, 'care', 'hazard')]
        : when === 'after'
          ? [why('heater.warmUp', 'trade-interval', { rest: STAYS_OFF }, 'care')]
          : [],
    }),
  ];
}
/** What goes back to somebody is given back with what is on it known. */
export function goodsStep(a: Around & { readonly lead: LeadPicture }): StepSpec[] {
  const goods = goodsOf(a.s.element);
  if (goods === null || !isOnGoods(a.lead.standing, a.ctx.rulebook)) return [];
  const us = a.ctx.rulebook.id === 'us';
  const limit = GOODS_LEAD[us ? 'us' : 'uk'];
  const bare = a.coating.left.value === 'bare';
  const source = us ? 'cfr16-1303' : 'mem-toys-uk';
  return [
    stepOf({
      step: 'giveBack',
      kind: 'verify',
      title: why('step.giveBack', source),
      gates: [
        goods === 'childs'
          ? gate('goodsClear', 'remove', why('gate.goodsClear', source, { limit }), [
              { what: 'leadPpm', atMost: measure(limit.value, 'ppm') },
            ])
          : gate('goodsTold', 'verify', why(bare ? 'gate.goodsBare' : 'gate.goodsTold', source, { limit: GOODS_LEAD.us })),
      ],
    }),
  ];
}

/** Something is taken off it or laid on it: what is left alone keeps its fittings. */
const isWorked = ({ choice, coating }: Around): boolean => coating.lines.length > 0 || methodsOf(choice).some((m) => m.disturbs);

/** What the strokes would spoil, and the masking that keeps it from them; null: there is none. */
function strokeMasking(a: Around): { readonly what: readonly Masked[]; readonly made: Masking } | null {
  const strokes = methodsOf(a.choice);
  const spoilers = spoilersOf(strokes);
  const what = [...targets(a), ...beside(a, spoilers.includes('blasting') || spoilers.includes('chemistry'))];
  if (what.length === 0 || spoilers.length === 0 || !isWorked(a)) return null;
  return { what, made: maskingOfStrokes(what, a.s, fittingsOf(a.s), strokes) };
}

/** Before the first stroke: fittings, and what a stroke would spoil. */
export function beforeStrokes(a: Around): StepSpec[] {
  if (!isWorked(a)) return [];
  const masked = strokeMasking(a);
  return [
    ...fittingsStep(a),
    ...(masked === null ? [] : [maskStep('maskStrokes', a, masked.what, masked.made, [why('mask.beforeStrokes', 'trade-contain')])]),
  ];
}

const masksForCoats = (a: Around): boolean => a.coating.lines.length > 0 && coatTargets(a).length > 0;

/** After the last stroke, where no coat is masked for in its place. */
export function unmaskStrokes(a: Around): StepSpec[] {
  const masked = strokeMasking(a);
  if (masked === null || masksForCoats(a)) return [];
  return [
    stepOf({
      step: 'unmaskStrokes',
      kind: 'mask',
      title: why('step.unmask', 'trade-prime'),
      handsOnH: unmaskH(masked.made, masked.what.length * a.s.count),
      because: [why('unmask.strokes', 'trade-contain')],
      gates: [gate('strokesUnmasked', 'mask', why('gate.unmasked', 'trade-prime'))],
    }),
  ];
}

/** What water takes up: it is brushed down, not washed. */
const DISSOLVES: readonly Binder[] = ['distemper', 'limewash'];

/** So much chalk on the tape still lets the next coat hold. Classes of ISO 4628-6; the limit is common practice. */
const CHALK = measure(1, 'class');
export const chalks = (s: Surface): boolean => s.conditions.includes('powdery') || (s.chalkGrade ?? 0) > CHALK.value;

/** What chalks and is not washed is tried with tape before anything goes on. */
export const chalkGate = (): GateSpec =>
  gate('chalk', 'remove', why('gate.chalk', 'iso4628', { limit: CHALK }), [{ what: 'chalkClass', atMost: CHALK }]);

/** Sound paint that is scuffed and coated over is washed first: scuffing grease in is worse than leaving it. Law O4. */
export function washStep(a: Around): StepSpec[] {
  const parts = a.choice.parts.filter((p) => {
    const main = p.selected.value === null ? null : methodById(p.selected.value);
    // Growth is cleaned off first, and that washes it; a helper that washes already is not doubled.
    const washed = p.also.some((x) => x.value === 'washDegrease' || methodById(x.value).takes.includes('mold'));
    return main !== null && main.disturbs && main.bite === 'skin' && main.takes.includes('coat') && !washed;
  });
  const areaM2 = parts.reduce((sum, p) => sum + p.areaM2, 0);
  const face = liveLayers(a.s)[0]?.binder;
  if (areaM2 <= 0 || isPresent(a.ctx.asbestos.coat.value) || (face !== undefined && DISSOLVES.includes(face))) return [];
  const metal = METAL.includes(a.s.material);
  return [
    stepOf({
      step: 'wash',
      kind: 'wash',
      title: why('step.wash', 'trade-wash', { parts: parts.map((p) => p.kind), area: measure(areaM2, 'm2') }),
      handsOnH: by(ALLOW.washPerM2, areaM2),
      waitH: metal ? hours(0.5, 1) : hours(1, 4),
      because: [why('wash.before', 'trade-wash')],
      gates: [
        chalks(a.s)
          ? gate('washed', 'wash', why('gate.washedChalk', 'iso4628', { limit: CHALK }), [{ what: 'chalkClass', atMost: CHALK }])
          : gate('washed', 'wash', why('gate.washed', 'trade-wash')),
      ],
    }),
  ];
}

/** Films are de-nibbed between two coats; mineral coats and what is poison are not. */
const NOT_RUBBED: readonly string[] = ['limewash', 'silicatePaint', 'antifoulingCoat', 'woodStain', 'penetratingOil', 'pasteWax'];

/** Between the coats of one product, and before it when another lies below. @param passes how often */
export const denib = (
  product: string,
  areaM2: number,
  passes: number,
  rubs: boolean,
): { readonly handsOnH: Range; readonly because: readonly Reason[] } =>
  passes <= 0 || NOT_RUBBED.includes(product)
    ? { handsOnH: hours(0, 0), because: [] }
    : {
        handsOnH: by(ALLOW.denibPerM2, areaM2 * passes),
        because: [rubs ? why('coat.denib', 'trade-sand') : why('coat.wiped', 'trade-sample')],
      };

/** Before the first coat. */
export function maskForCoats(a: Around): StepSpec[] {
  const what = coatTargets(a);
  return masksForCoats(a) ? [maskStep('maskCoats', a, what, coatMasking(a, what), [why('mask.beforeCoats', 'trade-prime')])] : [];
}

/**
 * Before a coat is sprayed: the place closed for its mist, people out, flames out; outdoors what lies within its reach. Law H1.
 * @param closed the coat before it was sprayed too
 */
export function mistSteps({ ctx }: Pick<Around, 'ctx'>, { product, way, areaM2, coats }: CoatLine, closed: boolean): StepSpec[] {
  const { reach } = LAYING[way];
  if (reach === null || areaM2 * coats === 0) return [];
  const outside = ctx.place === 'outside';
  const hold: HoldKey = { hold: outside ? 'mistWind' : 'mistKept', product };
  return [
    stepOf({
      step: { step: 'mist', product },
      kind: 'mask',
      title: why(outside ? 'step.mistOutside' : ctx.place === 'bench' ? 'step.mistBench' : 'step.mistInside', 'trade-lay', {
        product,
        by: way,
      }),
      handsOnH: closed ? hours(0, 0) : closeForMistH(areaM2),
      amounts: closed || ctx.place === 'bench' ? [] : [{ what: 'maskFilm', amount: measure(mistFilmM2(ctx, areaM2), 'm2') }],
      gates: [
        outside
          ? gate(hold, 'mask', why('gate.mistOutside', 'trade-lay', { reach: reach[ctx.rulebook.id], limit: MIST_WIND }), [
              { what: 'windMs', below: MIST_WIND },
            ])
          : gate(hold, 'mask', why(ctx.place === 'bench' ? 'gate.mistBench' : 'gate.mistInside', 'trade-lay')),
      ],
    }),
  ];
}

/** After the last coat; where none is laid, the fittings go back all the same. */
export function unmask(a: Around): StepSpec[] {
  const what = masksForCoats(a) ? coatTargets(a) : [];
  // While a coat is asked about, they wait for it.
  const back = fittingsStay(a) || !isWorked(a) || a.coating.refused.length > 0 ? 0 : fittingsOf(a.s);
  if (what.length === 0 && back === 0) return [];
  const off = what.length > 0 ? unmaskH(coatMasking(a, what), what.length * a.s.count) : hours(0, 0);
  const on = by(ALLOW.onEach, back);
  return [
    stepOf({
      step: 'unmask',
      kind: 'unmask',
      title: why(back > 0 ? (what.length > 0 ? 'step.unmaskAndFit' : 'step.fit') : 'step.unmask', 'trade-prime', {
        count: measure(back, 'pieces'),
      }),
      handsOnH: plus(off, on),
      because: [
        ...(what.length > 0 ? [why('unmask.when', 'trade-prime')] : []),
        ...(what.includes('glass') ? [why('unmask.glass', 'trade-prime')] : []),
      ],
      gates: [gate('asFound', 'unmask', why(back > 0 ? 'gate.fitted' : 'gate.unmasked', 'trade-prime'))],
    }),
  ];
}
