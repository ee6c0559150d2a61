/** What was seen at its strokes and coats, laid over the steps of a surface: more or less to lay, hours, the clock, what is looked at again. */
import { filmOf, methodById, type Consumable, type Method } from '../catalogue';
import type { FirmSettings } from '../rulebook';
import { priceOf } from '../shelf/firm-sheets';
import { moneyPerM2 } from '../choose/cost';
import type { Choice } from '../choose';
import type { Range } from '../units/units';
import { picksOf } from '../choose';
import { LAYING, type CoatingPlan, type CoatLine } from '../coat';
import type { Surface } from '../facts';
import { isPresent, type LeadPicture } from '../probe';
import { why, type Reason } from '../reasons';
import type { SurfaceContext } from '../views';
import { measure } from '../units/units';
import { gate, NOTHING, plus, type Amount, type GateSpec, type StepKind, type StepSpec } from '../step';
import { seenAt, seenTold, type Seen } from './seen';
import type { SeenAt } from '../step';

/** A sign that sends work back: when, from which step on. */
export interface Sent {
  readonly at: string;
  /** The step at which it was seen. */
  readonly stepId: string;
  /** Null: that step itself. */
  readonly backTo: StepKind | null;
  /** Into an older coat. */
  readonly broke: boolean;
}

export interface Signed {
  readonly steps: readonly StepSpec[];
  readonly sent: readonly Sent[];
  /** What is used more or less for it, in the firm's money. */
  readonly materials: number;
}

/** Of what was lifted, what is laid again. Common practice, no published source. */
const RELAID = 0.5;
/** Laying what is fresh, h/m2, where the method has no laying rate of its own: a pump sprayer or a brush. Common practice. */
const WET_H_M2 = 1 / 15;

/** Wiping or rinsing it again, h/m2, as the rinse of a whole face is reckoned. */
const RINSE_H_M2: Range = { low: 1 / 25, high: 1 / 10 };

const times = (r: Range, k: number): Range => ({ low: r.low * k, high: r.high * k });

/** One pass over 1 m2 of the stroke or coat. */
interface Once {
  readonly handsOnH: Range;
  readonly waitH: Range;
  /** Used up at every pass, per m2. */
  readonly uses: readonly (Amount & { readonly money: number })[];
  /** Of those, what is laid in litres. */
  readonly product: (Amount & { readonly money: number }) | null;
  readonly layHPerM2: number;
}

const used = (c: Consumable, settings: FirmSettings): Once['uses'][number] => ({
  what: c.id,
  amount: c.perM2,
  money: moneyPerM2(c, settings),
});

function onceOfStroke(m: Method, choice: Choice, partId: string, settings: FirmSettings): Once {
  const part = choice.parts.find((p) => p.partId === partId)!;
  const { perM2 } = picksOf(part).find((k) => k.option.methodId === m.id)!.option;
  const uses = m.consumables.filter((c) => c.everyPass).map((c) => used(c, settings));
  const product = m.consumables.find((c) => c.perM2.unit === 'L' && (m.laying !== null || c.everyPass));
  return {
    handsOnH: { low: perM2.personHours.low / perM2.passes.low, high: perM2.personHours.high / perM2.passes.high },
    waitH: perM2.dwellHours ?? NOTHING,
    uses,
    product: product ? used(product, settings) : null,
    layHPerM2: m.laying ? 1 / m.laying.layM2PerH : WET_H_M2,
  };
}

function onceOfCoat(l: CoatLine, ctx: SurfaceContext): Once {
  const litres = l.eachLM2;
  const product = { what: l.product, amount: measure(litres, 'L'), money: litres * priceOf(ctx.settings, l.product) };
  // The tool stands ready: it is not set up again for a spot.
  const { m2PerH } = LAYING[l.way];
  const handsOnH = { low: 1 / m2PerH.high, high: 1 / m2PerH.low };
  return { handsOnH, waitH: l.recoatH, uses: [product], product, layHPerM2: handsOnH.high };
}

interface Inputs {
  readonly s: Surface;
  readonly ctx: SurfaceContext;
  readonly choice: Choice;
  readonly coating: CoatingPlan;
  readonly lead: LeadPicture;
}

interface Change {
  handsOnH: Range;
  waitH: Range;
  amounts: Amount[];
  money: number;
  because: Reason[];
  gates: GateSpec[];
  /** Checks that stand where the repairs are done. */
  later: GateSpec[];
}

const UNTOUCHED = (st: StepSpec): Change => ({
  handsOnH: st.handsOnH,
  waitH: st.waitH,
  amounts: [...st.amounts],
  money: 0,
  because: [],
  gates: [],
  later: [],
});

function takes(c: Change, of: Once['uses'][number], m2: number): void {
  const { value: perM2, unit } = of.amount;
  const i = c.amounts.findIndex((a) => a.what === of.what && a.amount.unit === unit);
  const before = i < 0 ? 0 : c.amounts[i]!.amount.value;
  // Nothing comes back into the tin beyond what was to be taken out of it, and no money for it either.
  const after = Math.max(0, before + perM2 * m2);
  const amount = { what: of.what, amount: measure(unit === 'pieces' ? Math.ceil(after) : after, unit) };
  if (i < 0) c.amounts.push(amount);
  else c.amounts[i] = amount;
  if (perM2 > 0) c.money += (of.money * (after - before)) / perM2;
}

/** The check that a sign asks for, from when it was seen. */
const seenGate = (x: Seen, backTo: StepKind, because: Reason): GateSpec => ({
  ...gate({ hold: 'seen', sign: x.sign, nth: x.nth }, backTo, because),
  since: x.record.takenAt,
});

/** What one sign does to its step. */
function does(c: Change, x: Seen, once: Once | null, at: SeenAt, lead: LeadPicture): void {
  const area = measure(x.areaM2, 'm2');
  const { act } = x.spec;
  c.because.push(why(`sign.${x.sign}`, 'trade-seen', {}, x.spec.role === 'goOn' ? 'note' : 'care'));
  const stop = (): void => {
    c.gates.push(seenGate(x, 'check', why('gate.seenStop', 'trade-seen', { sign: x.sign })));
  };
  if (x.held) {
    c.because.push(x.held);
    return stop();
  }
  const share = at.areaM2 > 0 ? x.areaM2 / at.areaM2 : 0;
  const product = once?.product ?? null;
  if (act.does === 'lift' && c.waitH.high > 0) c.waitH = times(c.waitH, 1 - share);
  else if (act.does === 'lift') {
    // Nothing soaks: it goes as it should, and the slow end of the estimate falls away there.
    c.handsOnH = { low: c.handsOnH.low, high: c.handsOnH.high - (share * (c.handsOnH.high - c.handsOnH.low)) / 2 };
    c.because.push(why('seen.fast', 'trade-seen', { area }));
  }
  if (act.does === 'wait') {
    c.waitH = plus(c.waitH, act.h);
    c.because.push(why('seen.clock', 'trade-seen', { low: measure(act.h.low, 'h'), high: measure(act.h.high, 'h') }));
  }
  if (act.does === 'wet' && once) {
    c.handsOnH = plus(c.handsOnH, { low: x.areaM2 * once.layHPerM2, high: x.areaM2 * once.layHPerM2 });
    if (product) {
      takes(c, product, x.areaM2 * act.films);
      const litres = measure(product.amount.value * x.areaM2 * act.films, 'L');
      c.because.push(why('seen.wet', 'trade-seen', { area, litres }));
    } else c.because.push(why('seen.wetWater', 'trade-seen', { area }));
  }
  if (act.does === 'again' && once) {
    c.handsOnH = plus(c.handsOnH, times(once.handsOnH, x.areaM2));
    c.waitH = plus(c.waitH, once.waitH);
    for (const u of once.uses) takes(c, u, x.areaM2);
    c.because.push(why('seen.again', 'trade-seen', { area }));
  }
  if (act.does === 'film' && product) {
    const range = 'stroke' in at ? filmOf(at.stroke) : null;
    const wanted = product.amount.value * act.factor;
    const held = range ? Math.min(Math.max(wanted, range[0]), range[1]) : wanted;
    takes(c, product, (held / product.amount.value - 1) * x.areaM2);
    c.because.push(why('seen.film', 'trade-seen'));
    if (range && held !== wanted)
      c.because.push(why('seen.filmHeld', 'trade-seen', { least: measure(range[0] * 1000, 'um'), most: measure(range[1] * 1000, 'um') }));
  }
  if (act.does === 'relay' && product) {
    takes(c, product, -RELAID * x.areaM2);
    c.because.push(why('seen.relay', 'trade-seen', { litres: measure(product.amount.value * RELAID * x.areaM2, 'L') }));
    if (isPresent(lead.overall.value)) c.because.push(why('seen.relayLead', 'trade-seen', {}, 'care', 'hazard'));
  }
  if (act.does === 'fill') c.later.push(seenGate(x, 'repair', why('gate.seenFilled', 'trade-seen', { sign: x.sign })));
  if (act.does === 'tool' || act.does === 'fill')
    c.handsOnH = plus(c.handsOnH, times({ low: act.h, high: act.h * 2 }, Math.max(1, x.areaM2)));
  if (act.does === 'stop') stop();
  if (act.does === 'back') {
    // Wiped or rinsed again, or worked again there.
    const again = act.to === 'rinse' ? RINSE_H_M2 : once?.handsOnH;
    if (again) c.handsOnH = plus(c.handsOnH, times(again, x.areaM2));
    c.gates.push(seenGate(x, act.to, why('gate.seenBack', 'trade-seen', { sign: x.sign })));
  }
  if (act.does === 'breakThrough') {
    if (isPresent(lead.overall.value))
      c.because.push(why('seen.brokeLead', 'trade-scrape', { state: lead.overall.value }, 'care', 'hazard'));
    c.gates.push(seenGate(x, 'remove', why('gate.seenBroke', 'trade-seen')));
  }
}

/** What sends work back, and from where. */
function sentBy(x: Seen, stepId: string): Sent | null {
  const { act } = x.spec;
  const sent = (backTo: StepKind | null, broke = false): Sent => ({ at: x.record.takenAt, stepId, backTo, broke });
  if (x.held || act.does === 'stop' || act.does === 'again' || act.does === 'wet' || act.does === 'fill') return sent(null);
  if (act.does === 'back') return sent(act.to);
  return act.does === 'breakThrough' ? sent(null, true) : null;
}

/** The steps with what was seen at them. */
export function withSigns(steps: readonly StepSpec[], input: Inputs): Signed {
  const { s, ctx, choice, coating, lead } = input;
  if (s.signs.length === 0) return { steps, sent: [], materials: 0 };
  const told = seenTold({ asbestos: ctx.asbestos, lead });
  const sent: Sent[] = [];
  let materials = 0;
  let brokeM2 = 0;
  let later: GateSpec[] = [];
  /** Of several repairs the first; where nothing is repaired, the first coat. */
  const here = (st: StepSpec): GateSpec[] => {
    if (later.length === 0 || !['repair', 'prime', 'coat'].includes(st.kind)) return [];
    const due = later;
    later = [];
    return due;
  };
  const signed = steps.map((st): StepSpec => {
    const { at } = st;
    const due = here(st);
    if (!at) return due.length === 0 ? st : { ...st, gates: [...st.gates, ...due] };
    const seen = seenAt(s, at, told);
    const line = 'coat' in at ? coating.lines.find((l) => l.product === at.coat) : undefined;
    // What was broken into is primed again, with the first coat of the piece.
    const again = line !== undefined && line === coating.lines[0] ? brokeM2 : 0;
    if (seen.length === 0 && again === 0 && due.length === 0) return st;
    const once =
      'stroke' in at ? onceOfStroke(methodById(at.stroke), choice, at.partId, ctx.settings) : line ? onceOfCoat(line, ctx) : null;
    const c = UNTOUCHED(st);
    for (const x of seen) {
      does(c, x, once, at, lead);
      const back = sentBy(x, st.id);
      if (back) sent.push(back);
      if (x.spec.act.does === 'breakThrough' && !x.held) brokeM2 += x.areaM2;
    }
    if (again > 0 && once) {
      c.handsOnH = plus(c.handsOnH, times(once.handsOnH, again));
      for (const u of once.uses) takes(c, u, again);
      c.because.push(why('seen.again', 'trade-seen', { area: measure(again, 'm2') }));
    }
    materials += c.money;
    later.push(...c.later);
    return {
      ...st,
      handsOnH: c.handsOnH,
      waitH: c.waitH,
      amounts: c.amounts,
      gates: [...st.gates, ...due, ...c.gates],
      because: [...st.because, ...c.because.filter((r, i) => c.because.indexOf(r) === i)],
    };
  });
  // Nothing is repaired or coated: it is looked at with the last step.
  const last = signed.at(-1);
  if (last && later.length > 0) signed[signed.length - 1] = { ...last, gates: [...last.gates, ...later] };
  return { steps: signed, sent, materials };
}
