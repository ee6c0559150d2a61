/** In which order the methods of a surface are worked, whatever order they were entered in, and why anything was moved. */
import type { MethodId, PartKind, Surface } from '../facts';
import { METHODS, methodById, type Method } from '../catalogue';
import { why, type Reason, type SourceId } from '../reasons';
import { isMains, reactions, type ReactionRule } from './reacts';

export interface Stroke {
  readonly partId: string;
  readonly kind: PartKind;
  readonly methodId: MethodId;
  /** Coarse and final are the two halves of one sanding, with the stripping of other parts between them. */
  readonly half: 'coarse' | 'final' | null;
  readonly areaM2: number;
}

export interface Sequence {
  readonly strokes: readonly Stroke[];
  /** Why the entered order was changed; empty: it was right, or none was entered. */
  readonly moved: readonly Reason[];
  /** What must be kept apart in this sequence. */
  readonly apart: readonly Reason[];
}

/** Phases of the work. Common practice, no published source. */
type Phase =
  | 'wash'
  | 'mold'
  | 'soak'
  | 'coarse'
  | 'takeOut'
  | 'strip'
  | 'steam'
  | 'heat'
  | 'blast'
  | 'scrape'
  | 'machine'
  | 'hand'
  | 'acid'
  | 'putty'
  | 'sand'
  | 'keep';
const PHASES: readonly Phase[] = [
  'wash',
  'mold',
  'soak',
  'takeOut',
  'coarse',
  'strip',
  'steam',
  'heat',
  'blast',
  'scrape',
  'machine',
  'hand',
  'acid',
  'putty',
  'sand',
  'keep',
];

/** Stripper drips on what lies below: turned before mouldings before flats. */
const PART_ORDER: readonly PartKind[] = ['turned', 'carved', 'tight', 'threads', 'moulded', 'besideGlass', 'underside', 'flat', 'arris'];

function settlePhase(m: Method): Phase {
  if (m.id === 'leave' || m.id === 'cover' || m.id === 'encapsulate') return 'keep';
  if (m.takes.includes('dirt')) return 'wash';
  if (m.takes.length === 1 && m.takes[0] === 'mold') return 'mold';
  if (m.takes.length === 1 && (m.takes[0] === 'texture' || m.takes[0] === 'distemper')) return 'soak';
  if (m.takes.includes('putty')) return 'putty';
  if (m.acid) return 'acid';
  if (m.removesPiece) return 'takeOut';
  if (m.caustic || m.vapour) return 'strip';
  if (m.id === 'steam') return 'steam';
  if (m.heatC !== null) return 'heat';
  if (m.blast !== 'no') return 'blast';
  // In threads and corners the hand goes after the machine.
  if (m.takes.includes('rust')) return m.powered ? 'machine' : 'hand';
  if (m.bite === 'loose' || m.id === 'wetScrapeBare') return 'scrape';
  return 'sand';
}

const PHASE: ReadonlyMap<MethodId, Phase> = new Map(METHODS.map((m) => [m.id, settlePhase(m)]));
const phaseOf = (id: MethodId): Phase => PHASE.get(id)!;
const phaseOfStroke = (x: Stroke): Phase => (x.half === 'coarse' ? 'coarse' : phaseOf(x.methodId));
const rank = (x: Stroke): number => PHASES.indexOf(phaseOfStroke(x)) * 100 + PART_ORDER.indexOf(x.kind);
const token = (x: Stroke): string => `${x.partId}/${x.methodId}`;

/** Why `first` comes before `then`. */
function orderReason(first: Stroke, then: Stroke): Reason {
  const facts = { first: first.methodId, then: then.methodId, part: first.kind };
  const a = phaseOfStroke(first);
  const b = phaseOfStroke(then);
  if (a === 'wash') return why('order.washFirst', 'trade-wash', facts);
  if (a === 'mold') return why('order.moldFirst', 'trade-mold', facts);
  if (a === 'soak') return why('order.soakFirst', 'trade-wash', facts);
  if (a === 'machine' || (a === 'hand' && b === 'acid')) return why('order.rust', 'trade-rust', facts);
  if (b === 'putty') return why('order.puttyAfter', 'trade-putty', facts);
  if (a === 'strip' && b === 'strip') return why('order.topDown', 'trade-strip', facts);
  if (a === 'strip') return why('order.messyFirst', 'trade-strip', facts);
  return why('order.roughFirst', 'trade-strip', facts);
}

/** What reacts in this order, and a mains tool on what a wet stroke left: a rinse, its proof and drying stand between (work/steps.ts). */
function apartReasons(strokes: readonly Stroke[]): Reason[] {
  const ms = [...new Set(strokes.map((x) => x.methodId))].map(methodById);
  const out: Reason[] = [];
  const add = (rule: ReactionRule, source: SourceId, first: Method, then: Method) => {
    if (!out.some((r) => r.rule === rule)) out.push(why(rule, source, { first: first.id, then: then.id }, 'care', 'hazard'));
  };
  ms.forEach((first, i) => {
    for (const then of ms.slice(i + 1)) {
      for (const { rule, source } of reactions(first, then)) add(rule, source, first, then);
      if (first.wet && isMains(then)) add('apart.mainsWet', 'trade-strip', first, then);
    }
  });
  return out;
}

/**
 * The right order. What was entered is kept where the work leaves it free; every move has its reason.
 * A sanding to bare with strippers on other parts is split: coarse before them, final after, so that drips are sanded away.
 */
export function sequence(s: Pick<Surface, 'workOrder' | 'aim'>, chosen: readonly Omit<Stroke, 'half'>[]): Sequence {
  const stripped = chosen.some((x) => phaseOf(x.methodId) === 'strip');
  const strokes = chosen.flatMap((x): Stroke[] => {
    const m = methodById(x.methodId);
    const split = s.aim === 'bareClear' && stripped && m.bite === 'bare' && phaseOf(m.id) === 'sand';
    return split
      ? [
          { ...x, half: 'coarse' },
          { ...x, half: 'final' },
        ]
      : [{ ...x, half: null }];
  });
  const place = new Map(s.workOrder.map((t, i) => [t, i]));
  const entered = [...strokes].sort((a, b) => (place.get(token(a)) ?? 1e6) - (place.get(token(b)) ?? 1e6) || rank(a) - rank(b));
  // Parts of one phase may be worked in the order that the person likes, save where what drips decides.
  const free = (x: Stroke) => {
    const p = phaseOfStroke(x);
    return p === 'strip' ? rank(x) : PHASES.indexOf(p) * 100;
  };
  const right = entered
    .map((x, i) => ({ x, i }))
    .sort((a, b) => free(a.x) - free(b.x) || (place.size > 0 ? a.i - b.i : rank(a.x) - rank(b.x) || a.i - b.i));
  const moved: Reason[] = [];
  if (place.size > 0) {
    const named = entered.filter((x) => place.has(token(x)) && x.half !== 'coarse');
    for (let i = 1; i < named.length; i += 1) {
      const late = named[i]!;
      // The nearest that was entered before it and belongs after it says why.
      const wrong = named.slice(0, i).findLast((early) => free(early) > free(late));
      if (wrong) moved.push(orderReason(late, wrong));
    }
  }
  const out = right.map((r) => r.x);
  return { strokes: out, moved, apart: apartReasons(out) };
}
