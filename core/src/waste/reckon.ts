/** How much leaves a job, by stream: from its sheet, from the coats that its strokes take off, and from what they use up. */
import { maskKg } from '../work';
import { MEETINGS, methodById, type AgentId, type Consumable, type Method } from '../catalogue';
import { asbestosStates, methodsOf, picksOf, poisonsReached, worksOn } from '../choose';
import type { Range } from '../units/units';
import { baseOf } from '../catalogue';
import { isGood, WASTE_STREAMS, type JobFacts, type Surface, type WasteStreamId } from '../facts';
import { isLow, isPoisoned, isPresent, type LeadPicture } from '../probe';
import { why, type Answer, type Reason } from '../reasons';
import { cuts } from '../repair';
import type { FirmSettings } from '../rulebook';
import { agentsOf, chemistryOf } from '../shelf/firm-sheets';
import type { SurfacePlan } from '../zone/surface-plan';
import { convert, measure } from '../units/units';
import { isOfHouse } from '../walk';
import { byLaw } from '../protect';
import type { ZonePlan } from '../zone';
import { classify, MAY_LEACH_MG_KG, type Classed } from './classify';
import { IN_STREAM, STREAMS } from './streams';

export interface WasteLine {
  readonly stream: WasteStreamId;
  readonly kg: Range;
  /** Where it is poured. */
  readonly litres: Range | null;
  /** Pails, drums or cans, filled so that one person may lift them; null: bags, which are counted by what fills them (protect/). */
  readonly containers: Range | null;
  readonly classed: Answer<Classed>;
  readonly because: readonly Reason[];
}

/** 6 mil of polyethylene, kg/m2: 0.152 mm at 920 kg/m3. */
const SHEET_KG_M2 = 0.14;
/** A dry coat, kg/m2: 50 to 100 um at 1.5 kg/L. Common practice, no published source. */
const COAT_KG_M2: Range = { low: 0.075, high: 0.15 };
const FILM_KG_PER_UM_M2 = 0.0015;
/** Of what is loose or skinned, as a share of the film. Common practice, no published source. */
const SHARE_OFF = {
  none: { low: 0, high: 0 },
  skin: { low: 0.02, high: 0.05 },
  loose: { low: 0.1, high: 0.5 },
  bare: { low: 1, high: 1 },
} as const;
/** Texture, 2 to 4 mm at 1,100 kg/m3, with as much water again as it drinks. Common practice, no published source. */
const TEXTURE_WET_KG_M2: Range = { low: 3.5, high: 7 };
/** A board or sash taken out, kg/m2. Common practice, no published source. */
const PIECE_KG_M2: Range = { low: 8, high: 16 };
/** Suit, filters and the share of a vacuum bag of one person in a day, kg. Common practice, no published source. */
const DAY_KG: Range = { low: 0.3, high: 0.8 };
/** Wipes and cloths of growth that is cleaned, kg/m2. Common practice, no published source. */
const WIPES_KG_M2: Range = { low: 0.1, high: 0.4 };
/** A rag holds about its own weight. Common practice, no published source. */
const RAG_KG_PER_L = 2;

/** Where what a method uses up goes; what is not here stays on the wall, or goes with the chips. */
const GOES_TO: Readonly<Partial<Record<Consumable['id'], WasteStreamId>>> = {
  stripperGel: 'solventSludge',
  neutralGel: 'solventSludge',
  masonryGel: 'solventSludge',
  causticPaste: 'causticSludge',
  readyCaustic: 'causticSludge',
  milkPowder: 'causticSludge',
  whiteSpirit: 'solventRags',
  rustAcid: 'acidRinse',
  water: 'washWater',
  flushLiquid: 'washWater',
  cleaner: 'washWater',
  biocide: 'washWater',
  bleach: 'washWater',
  softGrit: 'media',
  soda: 'media',
  spongeGrit: 'media',
  hardGrit: 'media',
};
const isProduct = (what: string): what is Consumable['id'] => what in GOES_TO;
/** A litre of grit. Common practice, no published source. */
const GRIT_KG_PER_L = 1.4;
/** Of a gel some of the carrier is gone before it is lifted; of water what the wall drinks. Common practice, no published source. */
const LEAST_LEFT: Readonly<Partial<Record<WasteStreamId, number>>> = { solventSludge: 0.6, causticSludge: 0.8, washWater: 0.5 };

interface Sum {
  low: number;
  high: number;
  litres: Range | null;
  lead: boolean;
  /** Of lead under what counts as found, the most, mg/kg of the film. */
  lowMgKg: number;
  /** Some of it comes off goods, a machine or a boat. */
  goods: boolean;
  /** A poison other than lead is in some of it. */
  poison: boolean;
  readonly chemistry: Set<string>;
  /** What its contents count as where two things must not meet. */
  readonly agents: Set<AgentId>;
  readonly because: Map<string, Reason>;
}

/** Where a film goes that this method takes off. */
function streamOf(m: Method, guarded: boolean): WasteStreamId {
  if (m.caustic) return 'causticSludge';
  if (m.vapour && !m.takes.includes('mold')) return 'solventSludge';
  if (m.acid) return 'acidRinse';
  if (m.blast !== 'no') return 'media';
  if (m.takes.length === 1 && m.takes[0] === 'mold') return 'moldDebris';
  return guarded ? 'sheetAndChips' : 'clean';
}

/** What is dry and poisonous goes in a bin of its own; sludge and liquids stay with their like, for what they do to each other. */
const poisonous = (stream: WasteStreamId): WasteStreamId => (DRY.includes(stream) ? 'biocideDebris' : stream);
const DRY: readonly WasteStreamId[] = ['clean', 'sheetAndChips', 'media', 'moldDebris'];

/** Lead in what is thrown away: as found, or less than that with its number; Infinity: less, and nobody has a number by mass. */
interface Held {
  readonly lead: boolean;
  readonly lowMgKg: number;
  /** It comes off goods, a machine or a boat. */
  readonly goods?: boolean;
  /** It may hold a poison other than lead. */
  readonly poison?: boolean;
}
const NO_LEAD: Held = { lead: false, lowMgKg: 0 };
function heldBy({ standing }: LeadPicture): Held {
  if (!isLow(standing)) return { lead: isPresent(standing.state), lowMgKg: 0 };
  const { measured } = standing;
  const byMass = measured !== null && measured.unit !== 'mg/cm2';
  return { lead: false, lowMgKg: byMass ? convert(measured.value, measured.unit, 'mg/kg') : Infinity };
}

class Streams {
  readonly sums = new Map<WasteStreamId, Sum>();

  add(
    stream: WasteStreamId,
    kg: Range,
    { lead, lowMgKg, goods = false, poison = false }: Held,
    because: Reason,
    litres: Range | null = null,
  ): Sum {
    const known = this.sums.get(stream);
    const sum: Sum = known ?? {
      low: 0,
      high: 0,
      litres: null,
      lead: false,
      lowMgKg: 0,
      goods: false,
      poison: false,
      chemistry: new Set(),
      agents: new Set(),
      because: new Map(),
    };
    sum.low += kg.low;
    sum.high += kg.high;
    if (litres) sum.litres = { low: (sum.litres?.low ?? 0) + litres.low, high: (sum.litres?.high ?? 0) + litres.high };
    sum.lead ||= lead;
    sum.goods ||= goods;
    sum.poison ||= poison;
    sum.lowMgKg = Math.max(sum.lowMgKg, lowMgKg);
    // Each place says its own once; the same amount of the same is said once.
    sum.because.set(JSON.stringify(because), because);
    if (!known) this.sums.set(stream, sum);
    return sum;
  }
}

const by = (r: Range, k: number): Range => ({ low: r.low * k, high: r.high * k });

function filmOf(s: Surface): Range {
  if (s.filmUm !== null) return { low: s.filmUm * FILM_KG_PER_UM_M2, high: s.filmUm * FILM_KG_PER_UM_M2 };
  const coats = Math.max(1, s.layers.filter((l) => l.removedAt === null).length);
  return by(COAT_KG_M2, coats);
}

function fromSurface(s: Surface, plan: SurfacePlan, settings: FirmSettings, out: Streams): void {
  const poison =
    isPoisoned(s) ||
    poisonsReached(
      methodsOf(plan.choice),
      plan.lead,
      plan.repairs.some((r) => cuts(r.meant)),
    ).length > 0;
  const held: Held = { ...heldBy(plan.lead), goods: !isOfHouse(s.element), poison };
  // What may leach is kept apart from the plain rubbish, also where no rule for lead paint binds.
  const guarded = byLaw(plan.protection) || held.lowMgKg >= MAY_LEACH_MG_KG;
  // What trained people take off a suspect coat, and all that it is on, is asbestos.
  const asbestos = asbestosStates(plan.asbestos);
  const fibres = isPresent(asbestos.coat);
  const coats = s.layers.filter((l) => l.removedAt === null).length;
  const goesTo = (own: WasteStreamId): WasteStreamId => (fibres ? 'suspectAsbestos' : poison ? poisonous(own) : own);
  const debris = guarded ? 'sheetAndChips' : 'clean';
  const textured = s.layers.some((l) => l.removedAt === null && l.binder === 'textured');
  for (const part of plan.choice.parts)
    for (const { option } of picksOf(part)) {
      const m = methodById(option.methodId);
      const on = worksOn(m, asbestos);
      if ((!m.disturbs && !on) || part.areaM2 === 0) continue;
      const area = measure(part.areaM2, 'm2');
      if (m.removesPiece) {
        out.add(
          on ? 'suspectAsbestos' : goesTo(debris),
          by(PIECE_KG_M2, part.areaM2),
          held,
          why('waste.fromPieces', 'trade-waste', { area }),
        );
        continue;
      }
      const share = SHARE_OFF[option.bite];
      const film = filmOf(s);
      const wet = textured && m.takes.includes('texture');
      const kg =
        m.takes.length === 1 && m.takes[0] === 'mold'
          ? by(WIPES_KG_M2, part.areaM2)
          : wet
            ? { low: TEXTURE_WET_KG_M2.low * part.areaM2 * share.low, high: TEXTURE_WET_KG_M2.high * part.areaM2 * share.high }
            : { low: film.low * part.areaM2 * share.low, high: film.high * part.areaM2 * share.high };
      const stream = goesTo(streamOf(m, guarded));
      const sum = out.add(
        stream,
        kg,
        held,
        wet ? why('waste.texture', 'trade-waste', { area }) : why('waste.fromCoats', 'trade-waste', { area, coats: Math.max(1, coats) }),
      );
      if (m.vapour) sum.chemistry.add(chemistryOf(settings, m.id));
    }
  // What the steps use up is what the shopping list has: the same litres.
  for (const step of plan.work.steps)
    if (!step.shared)
      for (const { what, amount } of step.amounts) {
        if (!isProduct(what) || amount.unit === 'pieces') continue;
        const stream = goesTo(GOES_TO[what]!);
        const litres = convert(amount.value, amount.unit, 'L');
        const least = litres * (LEAST_LEFT[stream] ?? 1);
        const perL = stream === 'media' ? GRIT_KG_PER_L : stream === 'solventRags' ? RAG_KG_PER_L : (STREAMS[stream].kgPerL ?? 1);
        const said = why(stream === 'solventRags' ? 'waste.fromRags' : 'waste.fromProduct', 'trade-waste', { litres: amount });
        const poured = STREAMS[stream].kgPerL === null ? null : { low: least, high: litres };
        const sum = out.add(stream, { low: least * perL, high: litres * perL }, stream === 'solventRags' ? NO_LEAD : held, said, poured);
        // In a bag of asbestos it is not the bin that tells what the stuff does to another.
        for (const agent of IN_STREAM[GOES_TO[what]!]) sum.agents.add(agent);
        if (isGood(what)) for (const agent of agentsOf(settings, what)) sum.agents.add(agent);
      }
  // What cleaned the tools of the coats: there is none of what was taken off in it.
  for (const step of plan.work.steps)
    if (!step.shared)
      for (const { what, amount } of step.amounts) {
        if (what !== 'toolWater' && what !== 'toolThinner') continue;
        const [stream, said] =
          what === 'toolWater' ? (['washWater', 'waste.fromTools'] as const) : (['solventSludge', 'waste.fromToolsThinner'] as const);
        const kg = amount.value * (STREAMS[stream].kgPerL ?? 1);
        out.add(stream, { low: kg * 0.8, high: kg }, NO_LEAD, why(said, 'trade-waste', { litres: amount }), {
          low: amount.value * 0.8,
          high: amount.value,
        });
      }
  // What was up for the strokes has on it what they took off; what was up for the coats is plain rubbish.
  for (const step of plan.work.steps)
    if (!step.shared)
      for (const { what, amount } of step.amounts) {
        const kgEach = maskKg(what);
        if (kgEach === 0) continue;
        const stream = step.key.step === 'maskStrokes' ? goesTo(debris) : 'clean';
        const kg = amount.value * kgEach;
        out.add(stream, { low: kg, high: kg }, stream === 'clean' ? NO_LEAD : held, why('waste.fromMasking', 'trade-waste', { amount }));
      }
  const oil = plan.coating.lines.filter((l) => baseOf(l.product) === 'solvent').reduce((sum, l) => sum + l.litres, 0);
  // A twentieth of what is laid ends in rags and brushes. Common practice, no published source.
  if (oil > 0)
    out.add(
      'oilyRags',
      { low: oil * 0.02 * RAG_KG_PER_L, high: oil * 0.05 * RAG_KG_PER_L },
      NO_LEAD,
      why('waste.fromRags', 'trade-waste', { litres: measure(oil * 0.05, 'L') }),
    );
}

/** What the strokes of a zone let fall on its sheet. */
type Falls = Required<Pick<Held, 'lowMgKg' | 'goods'>>;
const NOTHING_FALLS: Falls = { lowMgKg: 0, goods: false };

/**
 * @param ownH hours of the work on its surfaces, at most
 * @param falls the most of low lead that falls on its sheet, mg/kg of the film, and whether some of it comes off goods
 */
function fromZone(zone: ZonePlan, ownH: number, falls: Falls, settings: FirmSettings, out: Streams): void {
  const { protection, steps } = zone;
  if (steps.length === 0) return;
  const { lowMgKg } = falls;
  const mold = zone.hazards.some((h) => h.kind === 'mold');
  const poison = zone.hazards.some((h) => h.kind === 'antifoul' || h.kind === 'poison');
  const held: Held = { lead: protection.care === 'lead', ...falls, poison };
  const stream: WasteStreamId = protection.fibres
    ? 'suspectAsbestos'
    : poison
      ? 'biocideDebris'
      : byLaw(protection) || lowMgKg >= MAY_LEACH_MG_KG
        ? 'sheetAndChips'
        : mold
          ? 'moldDebris'
          : 'clean';
  if (protection.sheetBoughtM2 > 0) {
    const kg = protection.sheetBoughtM2 * SHEET_KG_M2;
    out.add(stream, { low: kg, high: kg }, held, why('waste.fromSheet', 'trade-waste', { area: measure(protection.sheetBoughtM2, 'm2') }));
  }
  if (protection.needed.value || mold || poison || protection.kit.some((k) => k.value === 'coverall')) {
    const days = Math.max(1, Math.ceil((ownH + zone.handsOnH.high) / (zone.setup.shiftH ?? settings.hoursPerDay) - 1e-9));
    out.add(
      protection.fibres ? 'suspectAsbestos' : 'filters',
      by(DAY_KG, days),
      held,
      why('waste.fromSuits', 'trade-waste', { days: measure(days, 'd') }),
    );
  }
  if (protection.care === 'guard' && !out.sums.has('suspectAsbestos'))
    out.add('suspectAsbestos', { low: 0, high: 0 }, NO_LEAD, why('waste.mayBreak', 'trade-waste'));
}

/** What a bin of this job must not be poured together with, and what cannot all go into the one. Law P3. */
function apart(stream: WasteStreamId, inside: readonly (readonly [WasteStreamId, ReadonlySet<AgentId>])[]): Reason[] {
  const own = inside.find(([id]) => id === stream)![1];
  return inside.flatMap(([other, agents]) => {
    const meets = MEETINGS.filter((m) => m.hurts && ((own.has(m.one) && agents.has(m.other)) || (own.has(m.other) && agents.has(m.one))));
    // Alkali and its acid in one bin are what neutralizing is.
    return meets
      .filter((m) => other !== stream || m.forms !== 'boil')
      .map((m) =>
        other === stream
          ? why(
              'waste.twoOfThem',
              m.source,
              { one: `agent.${m.one}`, other: `agent.${m.other}`, forms: `forms.${m.forms}` },
              'care',
              'hazard',
            )
          : why('waste.notInto', m.source, { other: `stream.${other}`, forms: `forms.${m.forms}` }, 'care', 'hazard'),
      );
  });
}

/**
 * @param surfaces and zones as the job's derivation has them
 * @returns a line for each stream that leaves, in the order of the list; kg and L as ranges
 */
export function wasteOf(
  facts: JobFacts,
  { surfaces, zones }: { readonly surfaces: readonly SurfacePlan[]; readonly zones: readonly ZonePlan[] },
  settings: FirmSettings,
): WasteLine[] {
  const out = new Streams();
  const byId = new Map(facts.surfaces.map((s) => [s.id, s]));
  const ownH = new Map<string, number>();
  const falls = new Map<string, Falls>();
  for (const plan of surfaces) {
    const s = byId.get(plan.surfaceId);
    if (s) fromSurface(s, plan, settings, out);
    if (s && methodsOf(plan.choice).some((m) => m.disturbs)) {
      const { lowMgKg, goods } = falls.get(plan.zoneId) ?? NOTHING_FALLS;
      falls.set(plan.zoneId, { lowMgKg: Math.max(lowMgKg, heldBy(plan.lead).lowMgKg), goods: goods || !isOfHouse(s.element) });
    }
    ownH.set(plan.zoneId, (ownH.get(plan.zoneId) ?? 0) + plan.work.handsOnH.high - plan.work.sharedH.high);
  }
  for (const zone of zones) fromZone(zone, ownH.get(zone.zoneId) ?? 0, falls.get(zone.zoneId) ?? NOTHING_FALLS, settings, out);
  const inside = [...out.sums].map(([stream, sum]) => [stream, new Set([...IN_STREAM[stream], ...sum.agents])] as const);
  const { job } = facts;
  return WASTE_STREAMS.flatMap((stream) => {
    const sum = out.sums.get(stream);
    if (!sum) return [];
    const { container, fillKg } = STREAMS[stream];
    const bagged = container === 'bag' || container === 'doubleBag';
    return [
      {
        stream,
        kg: { low: sum.low, high: sum.high },
        litres: sum.litres,
        containers: bagged ? null : { low: Math.ceil(sum.low / fillKg - 1e-9), high: Math.ceil(sum.high / fillKg - 1e-9) },
        classed: classify({
          stream,
          rulebook: job.rulebook,
          dwelling: job.dwelling,
          goods: sum.goods,
          poison: sum.poison,
          lead: sum.lead,
          lowMgKg: sum.lowMgKg,
          test: job.wasteTests.find((t) => t.stream === stream) ?? null,
          chemistry: [...sum.chemistry] as never,
        }),
        because: [...sum.because.values(), ...apart(stream, inside)],
      },
    ];
  });
}

/** The class of a bag: as planned; of what nobody planned, with lead in it and everything untested. */
export const classFor = (stream: WasteStreamId, lines: readonly WasteLine[], { job }: Pick<JobFacts, 'job'>): Answer<Classed> =>
  lines.find((l) => l.stream === stream)?.classed ??
  classify({
    stream,
    rulebook: job.rulebook,
    dwelling: job.dwelling,
    goods: false,
    poison: false,
    lead: true,
    lowMgKg: 0,
    test: job.wasteTests.find((t) => t.stream === stream) ?? null,
    chemistry: ['unsaid'],
  });
