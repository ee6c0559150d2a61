/**
 * What is done about each defect of the ground, in which layers, how long it takes and what it needs. The least that lasts is proposed first.
 * Limits of size and depth: common practice, no published source.
 */
import { BLANK_DEFECT, MASONRY, PLASTER, TIMBER, type Defect, type DefectKind, type RepairId, type Surface } from '../facts';
import type { Range } from '../units/units';
import { isPresent } from '../probe';
import { answer, typed, why, type Answer, type Reason } from '../reasons';
import type { SurfaceContext } from '../views';
import { fillerDryH, priceOf } from '../shelf/firm-sheets';
import { measure } from '../units/units';
import { FILLER, layersFor, type FillerId } from '../catalogue/fillers';
import { finishSpec } from './finish';
import { labelsOf, triageOf } from '../trial/triage';

type Ground = 'timber' | 'plaster' | 'masonry' | 'metal';
export const groundOf = (s: Pick<Surface, 'material'>): Ground =>
  TIMBER.includes(s.material) ? 'timber' : PLASTER.includes(s.material) ? 'plaster' : MASONRY.includes(s.material) ? 'masonry' : 'metal';

/** How its extent is said, and on what it can be. */
export interface DefectSpec {
  readonly extent: 'area' | 'length' | 'count';
  readonly on: readonly Ground[];
  /** Deep or shallow matters. */
  readonly depth: boolean;
  /** Taken where nobody measured it: mm, and m2, m or 1. */
  readonly usual: { readonly depthMm: number; readonly extent: number };
}
const ALL: readonly Ground[] = ['timber', 'plaster', 'masonry', 'metal'];
const d = (extent: DefectSpec['extent'], on: readonly Ground[], depth: boolean, depthMm: number, size: number): DefectSpec => ({
  extent,
  on,
  depth,
  usual: { depthMm, extent: size },
});
export const DEFECT: Readonly<Record<DefectKind, DefectSpec>> = {
  hole: d('area', ALL, true, 10, 0.01),
  dent: d('area', ALL, true, 2, 0.005),
  crack: d('length', ['timber', 'plaster', 'masonry'], true, 3, 0.5),
  gap: d('length', ['timber', 'plaster', 'masonry'], false, 5, 0.5),
  loosePlaster: d('area', ['plaster'], true, 12, 0.25),
  openJoint: d('length', ['timber', 'masonry'], true, 10, 0.5),
  rot: d('area', ['timber'], true, 20, 0.02),
  missing: d('count', ['timber', 'plaster', 'masonry', 'metal'], false, 1, 1),
  blastDamage: d('area', ALL, false, 2, 0.25),
  causticDamage: d('area', ['timber', 'metal'], false, 1, 0.25),
  sealant: d('length', ALL, false, 6, 0.5),
  silicone: d('length', ALL, false, 3, 0.5),
  nail: d('count', ['timber', 'plaster'], false, 2, 1),
  rustJacking: d('length', ['masonry', 'metal', 'plaster'], true, 20, 0.3),
  loosePutty: d('length', ['timber', 'metal'], false, 8, 0.5),
  brokenPane: d('count', ['timber', 'metal'], false, 4, 1),
  pastSaving: d('count', ['timber', 'metal'], false, 1, 1),
  badEnd: d('count', ['timber', 'metal'], false, 1, 1),
};

/** m2 or m: what of it was measured, else the usual. */
export const extentOf = (x: Defect): number => {
  const { extent, usual } = DEFECT[x.kind];
  const each = extent === 'area' ? (x.areaM2 ?? usual.extent) : extent === 'length' ? (x.lengthM ?? usual.extent) : 1;
  return each * x.pieces;
};
const measured = (x: Defect): boolean => {
  const { extent } = DEFECT[x.kind];
  return extent === 'count' || (extent === 'area' ? x.areaM2 : x.lengthM) !== null;
};
const depthOf = (x: Defect): number => x.depthMm ?? DEFECT[x.kind].usual.depthMm;

/** What each repair is made with on a ground; not in it: it is not made there. */
const MADE_WITH: Readonly<Record<RepairId, Readonly<Partial<Record<Ground, FillerId | null>>>>> = {
  leave: { timber: null, plaster: null, masonry: null, metal: null },
  ask: { timber: null, plaster: null, masonry: null, metal: null },
  skim: { timber: 'fineSurfacer', plaster: 'fineSurfacer', masonry: 'mineralMortar', metal: 'metalFiller' },
  fill: { timber: 'woodFiller', plaster: 'gypsumFiller', masonry: 'mineralMortar', metal: 'metalFiller' },
  patch: { plaster: 'gypsumFiller', masonry: 'mineralMortar' },
  flexible: { timber: 'flexibleSealant', plaster: 'flexibleSealant', masonry: 'flexibleSealant' },
  consolidate: { timber: 'woodResin', masonry: null },
  splice: { timber: 'woodGlue' },
  replacePiece: { timber: null, plaster: null, masonry: null, metal: null },
  rakeAndPoint: { masonry: 'limeMortar' },
  refix: { timber: 'woodGlue', plaster: 'plasterWashers' },
  reseal: { timber: 'flexibleSealant', plaster: 'flexibleSealant', masonry: 'flexibleSealant', metal: 'flexibleSealant' },
  siliconeOff: { timber: 'siliconeRemover', plaster: 'siliconeRemover', masonry: 'siliconeRemover', metal: 'siliconeRemover' },
  treatRust: { masonry: 'rustPrimer', metal: 'rustPrimer', plaster: 'rustPrimer' },
  rePutty: { timber: 'glazingPutty', metal: 'glazingPutty' },
  reglaze: { timber: 'glazingPutty', metal: 'glazingPutty' },
};
/** Lime takes lime. */
const withWhat = (repair: RepairId, s: Surface): FillerId | null => {
  const usual = MADE_WITH[repair][groundOf(s)] ?? null;
  return s.material === 'limePlaster' && usual === 'gypsumFiller' ? 'limePlasterMix' : usual;
};

/** Repairs that cut, rake, pierce or take out: they go into the coats and what is below. */
const CUTS: readonly RepairId[] = [
  'patch',
  'splice',
  'replacePiece',
  'rakeAndPoint',
  'refix',
  'siliconeOff',
  'treatRust',
  'rePutty',
  'reglaze',
  'reseal',
];
export const cuts = (repair: RepairId): boolean => CUTS.includes(repair);
/** Repairs that rub, fill or soak: into a suspect they are not made either. Law H2. */
const TOUCHES: readonly RepairId[] = ['skim', 'fill', 'consolidate', 'flexible', ...CUTS];

/** What is allowed on this kind of defect, the least first. */
const CHOICES: Readonly<Record<DefectKind, readonly RepairId[]>> = {
  hole: ['leave', 'fill', 'patch', 'splice', 'replacePiece', 'ask'],
  dent: ['leave', 'skim', 'fill', 'patch', 'splice', 'ask'],
  crack: ['leave', 'fill', 'flexible', 'rakeAndPoint', 'patch', 'splice', 'ask'],
  gap: ['leave', 'flexible'],
  loosePlaster: ['leave', 'refix', 'patch', 'ask'],
  openJoint: ['leave', 'refix', 'rakeAndPoint', 'splice'],
  rot: ['consolidate', 'splice', 'replacePiece', 'ask'],
  missing: ['leave', 'replacePiece', 'splice', 'ask'],
  blastDamage: ['leave', 'skim', 'ask'],
  causticDamage: ['leave', 'skim', 'ask'],
  sealant: ['leave', 'reseal'],
  silicone: ['siliconeOff', 'ask'],
  nail: ['leave', 'refix'],
  rustJacking: ['treatRust', 'ask'],
  loosePutty: ['leave', 'rePutty'],
  brokenPane: ['reglaze', 'ask'],
  pastSaving: ['replacePiece', 'ask'],
  badEnd: ['replacePiece', 'splice', 'ask'],
};
export const repairsFor = (kind: DefectKind, s: Pick<Surface, 'material'>): readonly RepairId[] =>
  CHOICES[kind].filter((r) => MADE_WITH[r][groundOf(s)] !== undefined);

/** Rot over so much of a piece, or so deep: the piece, not a patch. */
const ROT_CONSOLIDATES_MM = 10;
const ROT_SPLICE_SHARE = 0.4;
/** A hole in timber larger than a palm is pieced in, not filled, m2. */
const HOLE_PIECED_M2 = 0.01;
/** Loose plaster no larger than this is fixed back in place of being cut out, m2. */
const PLASTER_REFIX_M2 = 0.5;
/** Iron that lifts more than this may carry something, m. */
const JACKING_ASKS_M = 1;

type Why = readonly Reason[];
const trade = (
  rule:
    | 'repair.stays'
    | 'repair.least'
    | 'repair.deep'
    | 'repair.moves'
    | 'repair.stillUnknown'
    | 'repair.rotSmall'
    | 'repair.rotLarge'
    | 'repair.rotWhole'
    | 'repair.plasterHeld'
    | 'repair.plasterGone'
    | 'repair.joint'
    | 'repair.jointWood'
    | 'repair.missing'
    | 'repair.pastSaving'
    | 'repair.badEnd'
    | 'repair.seal'
    | 'repair.silicone'
    | 'repair.nail'
    | 'repair.rust'
    | 'repair.rustCarries'
    | 'repair.putty'
    | 'repair.pane'
    | 'repair.damaged',
): Why => [why(rule, 'trade-repair')];

/** The least that lasts, by kind, ground, depth and extent. */
function proposed(x: Defect, s: Surface, totalM2: number): readonly [RepairId, Why] {
  const { staysMm } = finishSpec(s);
  const ground = groundOf(s);
  const depth = depthOf(x);
  const size = extentOf(x);
  switch (x.kind) {
    case 'dent':
      return depth <= staysMm
        ? ['leave', trade('repair.stays')]
        : [depth <= FILLER.fineSurfacer.mostMm! ? 'skim' : 'fill', trade('repair.least')];
    case 'hole':
      if (depth <= staysMm) return ['leave', trade('repair.stays')];
      if (ground === 'timber')
        return size / x.pieces > HOLE_PIECED_M2 || depth > FILLER.woodFiller.mostMm!
          ? ['splice', trade('repair.deep')]
          : ['fill', trade('repair.least')];
      if (ground === 'metal') return depth > FILLER.metalFiller.mostMm! ? ['ask', trade('repair.deep')] : ['fill', trade('repair.least')];
      return depth > FILLER[withWhat('fill', s)!].mostMm! || size / x.pieces > HOLE_PIECED_M2
        ? ['patch', trade('repair.deep')]
        : ['fill', trade('repair.least')];
    case 'crack':
      if (x.moving === 'no') return depth <= staysMm ? ['leave', trade('repair.stays')] : ['fill', trade('repair.least')];
      return ['flexible', trade(x.moving === 'yes' ? 'repair.moves' : 'repair.stillUnknown')];
    case 'gap':
      return ['flexible', trade('repair.moves')];
    case 'loosePlaster':
      return s.material === 'limePlaster' && size / x.pieces <= PLASTER_REFIX_M2
        ? ['refix', trade('repair.plasterHeld')]
        : ['patch', trade('repair.plasterGone')];
    case 'openJoint':
      return ground === 'masonry' ? ['rakeAndPoint', trade('repair.joint')] : ['refix', trade('repair.jointWood')];
    case 'rot':
      if (totalM2 > 0 && size > totalM2 * ROT_SPLICE_SHARE) return ['replacePiece', trade('repair.rotWhole')];
      return depth <= ROT_CONSOLIDATES_MM ? ['consolidate', trade('repair.rotSmall')] : ['splice', trade('repair.rotLarge')];
    case 'missing':
      return ['replacePiece', trade('repair.missing')];
    case 'blastDamage':
    case 'causticDamage':
      return staysMm >= DEFECT[x.kind].usual.depthMm ? ['leave', trade('repair.stays')] : ['skim', trade('repair.damaged')];
    case 'sealant':
      return ['reseal', trade('repair.seal')];
    case 'silicone':
      return ['siliconeOff', trade('repair.silicone')];
    case 'nail':
      return ['refix', trade('repair.nail')];
    case 'rustJacking':
      return size > JACKING_ASKS_M ? ['ask', trade('repair.rustCarries')] : ['treatRust', trade('repair.rust')];
    case 'loosePutty':
      return ['rePutty', trade('repair.putty')];
    case 'brokenPane':
      return ['reglaze', trade('repair.pane')];
    case 'pastSaving':
      return ['replacePiece', trade('repair.pastSaving')];
    case 'badEnd':
      return ['replacePiece', trade('repair.badEnd')];
  }
}

/** What comes next where a filler would have to be deeper than it bears. */
const DEEPER: Readonly<Record<Ground, Readonly<Partial<Record<RepairId, RepairId>>>>> = {
  timber: { skim: 'fill', fill: 'splice' },
  plaster: { skim: 'fill', fill: 'patch', patch: 'ask' },
  masonry: { skim: 'patch', fill: 'patch', patch: 'ask' },
  metal: { skim: 'fill', fill: 'ask' },
};
const bears = (repair: RepairId, x: Defect, s: Surface): boolean => {
  const filler = withWhat(repair, s);
  const most = filler === null || !DEFECT[x.kind].depth ? null : FILLER[filler].mostMm;
  return most === null || depthOf(x) <= most + 1e-9;
};
/** As proposed, or the next that goes so deep. */
function borne(x: Defect, s: Surface, [value, because]: readonly [RepairId, Why]): readonly [RepairId, Why] {
  if (bears(value, x, s)) return [value, because];
  const next = DEEPER[groundOf(s)][value] ?? 'ask';
  return borne(x, s, [next, trade('repair.deep')]);
}

/** Hands on, per m2, m or piece: low and high. Common practice, no published source. */
const HOURS: Readonly<Record<RepairId, readonly [perUnit: Range, setUp: number]>> = {
  leave: [{ low: 0, high: 0 }, 0],
  ask: [{ low: 0, high: 0 }, 0],
  skim: [{ low: 0.2, high: 0.5 }, 0.1],
  fill: [{ low: 0.5, high: 1.5 }, 0.1],
  patch: [{ low: 1.5, high: 4 }, 0.25],
  flexible: [{ low: 0.03, high: 0.08 }, 0.05],
  consolidate: [{ low: 2, high: 6 }, 0.25],
  splice: [{ low: 10, high: 40 }, 1],
  replacePiece: [{ low: 1, high: 3 }, 0.5],
  rakeAndPoint: [{ low: 0.25, high: 0.6 }, 0.25],
  refix: [{ low: 0.2, high: 0.6 }, 0.1],
  reseal: [{ low: 0.08, high: 0.2 }, 0.1],
  siliconeOff: [{ low: 0.15, high: 0.4 }, 0.1],
  treatRust: [{ low: 1, high: 3 }, 0.25],
  rePutty: [{ low: 0.25, high: 0.5 }, 0.1],
  reglaze: [{ low: 1, high: 2.5 }, 0.25],
};
/** A bead of sealant or putty, or what a joint takes, L/m. */
const BEAD_L_M: Readonly<Partial<Record<RepairId, number>>> = {
  flexible: 0.03,
  reseal: 0.05,
  rakeAndPoint: 0.15,
  rePutty: 0.06,
  treatRust: 0.05,
  fill: 0.03,
  siliconeOff: 0.05,
};
/** Resin that soaks into rotten wood, L/m2. */
const RESIN_L_M2 = 2;
/** What is lost on the knife and in the tub. */
const LOST = 1.2;
/** Stock for a piece that is let in or copied, m a piece, and how long it is ordered before. Common practice. */
const STOCK_M = 1;
/** The longest that is stocked, and of a piece with one sound end the share that is copied. Common practice. */
const LONGEST_M = 4.8;
const BAD_END = 0.5;
/** A whole piece of a surface that is counted in pieces, or one of its boards: as long as the surface. */
function stockOf(x: Defect, { lengthM, widthM }: Surface): number {
  if (x.kind !== 'pastSaving' && x.kind !== 'badEnd') return STOCK_M * x.pieces;
  const longest = Math.max(lengthM ?? 0, widthM ?? 0);
  return (longest > 0 ? Math.min(longest, LONGEST_M) : STOCK_M) * (x.kind === 'badEnd' ? BAD_END : 1) * x.pieces;
}
const LEAD_DAYS: Range = { low: 7, high: 21 };

export interface Repair {
  readonly defect: Defect;
  /** Its extent was measured; else it is taken as a usual one. */
  readonly measured: boolean;
  readonly repair: Answer<RepairId>;
  /** What is done once what is asked is answered; else the same. */
  readonly meant: RepairId;
  /** What else may be done. */
  readonly others: readonly RepairId[];
  readonly filler: FillerId | null;
  readonly layers: number;
  readonly handsOnH: Range;
  readonly waitH: Range;
  readonly amount: { readonly what: string; readonly value: number; readonly unit: 'L' | 'pieces' | 'm' } | null;
  readonly money: number;
  /** Ordered so many days before; null: from the shelf. */
  readonly leadDays: Range | null;
}

function amountOf(repair: RepairId, filler: FillerId | null, x: Defect, depth: number, s: Surface): Repair['amount'] {
  const size = extentOf(x);
  if (repair === 'splice' || repair === 'replacePiece') return { what: 'stock', value: stockOf(x, s), unit: 'm' };
  if (filler === null) return null;
  if (FILLER[filler].unit === 'pieces') return { what: filler, value: Math.ceil(size * 12), unit: 'pieces' };
  const bead = BEAD_L_M[repair];
  if (DEFECT[x.kind].extent === 'length' && bead !== undefined) return { what: filler, value: size * bead * LOST, unit: 'L' };
  if (DEFECT[x.kind].extent === 'count') return { what: filler, value: 0.05 * size, unit: 'L' };
  if (filler === 'woodResin') return { what: filler, value: size * RESIN_L_M2 * LOST, unit: 'L' };
  // A litre on a square metre is a millimetre.
  return { what: filler, value: size * depth * LOST, unit: 'L' };
}

interface Decided {
  readonly answer: Answer<RepairId>;
  /** What it would be once the question is answered: its hours and stuff stay in the price, for not knowing makes nothing cheaper. */
  readonly meant: RepairId;
}
const asked = (meant: RepairId, reasons: Why, first: Reason): Decided => ({ answer: answer('ask', first, ...reasons), meant });

/** A person's choice where it can be made; else what is proposed, and why not the other. */
function decided(x: Defect, s: Surface, ctx: SurfaceContext, totalM2: number, { stroked, renewed }: Worked, boards: Why): Decided {
  if (renewed) return { answer: answer('leave', why('repair.renewed', 'trade-repair'), ...boards), meant: 'leave' };
  const spec = DEFECT[x.kind];
  if (!spec.on.includes(groundOf(s)))
    return asked('ask', [], why('repair.notHere', 'job-record', { defect: x.kind, material: s.material }, 'block'));
  if (spec.extent === 'area' && x.areaM2 !== null && x.areaM2 * x.pieces > totalM2 * 1.001 && totalM2 > 0)
    return asked(
      'ask',
      [],
      why('repair.larger', 'job-record', { defect: measure(x.areaM2 * x.pieces, 'm2'), area: measure(totalM2, 'm2') }, 'block'),
    );
  const [best, because] = borne(x, s, proposed(x, s, totalM2));
  const wanted = x.repair ?? best;
  const reasons: Reason[] = [...because];
  let value = wanted;
  if (x.repair !== null) {
    const filler = withWhat(x.repair, s);
    if (!repairsFor(x.kind, s).includes(x.repair)) {
      reasons.push(why('repair.notSo', 'trade-repair', { repair: `repair.${x.repair}`, defect: x.kind }, 'block'));
      value = best;
    } else if (filler !== null && !bears(x.repair, x, s)) {
      const deep = [measure(depthOf(x), 'mm'), measure(FILLER[filler].mostMm!, 'mm')] as const;
      reasons.push(why('repair.tooDeep', 'mem-filler', { filler, deep }, 'block'));
      value = best;
    } else reasons.splice(0, reasons.length, why('repair.byPerson', 'job-record', { repair: `repair.${x.repair}` }));
  }
  if (finishSpec(s).asks && value !== 'leave' && x.repair === null)
    return asked(value, reasons, why('repair.museum', 'trade-repair', { repair: `repair.${value}` }));
  if (TOUCHES.includes(value) && isPresent(ctx.asbestos.overall.value))
    return asked(value, reasons, why('repair.notInto', ctx.rulebook.sources.asbestosWork, {}, 'block', 'hazard'));
  if (cuts(value) && !stroked) return asked(value, reasons, why('repair.noStroke', 'job-record', { repair: `repair.${value}` }, 'block'));
  return { answer: answer(value, ...reasons, ...boards), meant: value };
}

/** What the strokes do to the piece. */
export interface Worked {
  /** Something on it is disturbed anyway, so that its zone stands. */
  readonly stroked: boolean;
  /** All of it is taken out and copied: what is wrong with it goes too. */
  readonly renewed: boolean;
}
/** @param boards of pieces that a look condemned, and that nobody entered as damage: which they are */
export function repairOf(x: Defect, s: Surface, ctx: SurfaceContext, totalM2: number, worked: Worked, boards: Why = []): Repair {
  const { answer: repair, meant } = decided(x, s, ctx, totalM2, worked, boards);
  const filler = withWhat(meant, s);
  const depth = depthOf(x);
  const layers = filler !== null && DEFECT[x.kind].depth ? layersFor(filler, depth) : 1;
  const [perUnit, setUp] = HOURS[meant];
  const size = extentOf(x);
  const dry = filler === null ? { low: 0, high: 0 } : fillerDryH(ctx.settings, filler);
  const amount = amountOf(meant, filler, x, depth, s);
  const price = amount === null ? 0 : priceOf(ctx.settings, amount.what === 'stock' ? 'stock' : filler!) * amount.value;
  const glass = meant === 'reglaze' ? 25 * size : 0;
  return {
    defect: x,
    measured: measured(x),
    repair: measured(x)
      ? repair
      : { value: repair.value, because: [...repair.because, why('repair.unmeasured', 'job-record', {}, 'care')] },
    meant,
    others: repairsFor(x.kind, s).filter((r) => r !== repair.value),
    filler,
    layers,
    handsOnH: { low: perUnit.low * size + setUp, high: perUnit.high * size * layers + setUp * layers },
    waitH: { low: dry.low * layers, high: dry.high * layers },
    amount,
    money: price + glass,
    leadDays: amount?.what === 'stock' ? LEAD_DAYS : null,
  };
}

/** What the look at each piece condemned, as damage with the numbers of the pieces: those that go in one, those cut at the joint in another. */
function condemned(s: Surface): { readonly x: Defect; readonly boards: Why }[] {
  const { pieces } = triageOf(s);
  return (['replace', 'split'] as const).flatMap((verdict) => {
    const these = pieces.filter((p) => p.says.value === verdict);
    if (these.length === 0) return [];
    const note = labelsOf(these);
    const kind = verdict === 'replace' ? 'pastSaving' : 'badEnd';
    return [
      {
        x: { ...BLANK_DEFECT, id: `${s.id}.${verdict}`, kind, pieces: these.length, seenOn: '', note, removedAt: null },
        boards: [why('board.these', 'trade-board', { doing: verdict, pieces: typed(note) })],
      },
    ];
  });
}

/** What of them was there before the first stroke, and what the work made. */
export const liveDefects = (s: Surface): Defect[] => s.defects.filter((x) => x.removedAt === null);
export const repairsOf = (s: Surface, ctx: SurfaceContext, totalM2: number, worked: Worked): Repair[] => [
  ...liveDefects(s).map((x) => repairOf(x, s, ctx, totalM2, worked)),
  ...condemned(s).map(({ x, boards }) => repairOf(x, s, ctx, totalM2, worked, boards)),
];
