/** Per part: every method's verdict, its hours and cost, ranked for the user's aim. */
import type { Aim, MethodId, Part, Surface } from '../facts';
import type { SurfaceContext } from '../views';
import { valueOf } from '../graph/graph';
import type { LeadPicture } from '../probe';
import { answer, typed, why, type Answer, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import type { Hold } from '../trial';
import { liveParts, type TakeOff } from '../walk';
import { midpoint, unitEffort, type UnitEffort } from './cost';
import { requiredDepth } from './depth';
import { biteDepth, isHelper, methodById, METHODS, type Bite, type Method } from '../catalogue';
import { sequence, type Sequence } from './sequence';
import { coatsReached, partSheet, sheetFor, surfaceSheet, type PartSheet, type SurfaceSheet } from './sheet';
import { judge, type MethodVerdict, type Verdict } from './verdict';

export interface MethodOption extends MethodVerdict {
  /** On one square metre; effortOn() scales it to the part. */
  readonly perM2: UnitEffort;
  readonly harm: number;
  readonly bite: Bite;
  /** How many coats, from the top, the method reaches: where the bite line is drawn. */
  readonly coatsReached: number;
}

export interface PartChoice {
  readonly partId: string;
  readonly kind: Part['kind'];
  readonly areaM2: number;
  /** What takes the coat off, or leaves it on; best first. */
  readonly options: readonly MethodOption[];
  /** What goes before or after: washing, mold, rust gel, putty. */
  readonly helpers: readonly MethodOption[];
  /** Of those, what the plan has: picked, or asked for by the state of the surface. */
  readonly also: readonly Answer<MethodId>[];
  /** What the person chose, or else the best that is not blocked; null: everything is blocked. */
  readonly selected: Answer<MethodId | null>;
  /** The plan has what the person chose; not so when that is blocked now. */
  readonly chosenByPerson: boolean;
}

export interface Choice {
  readonly required: Answer<Bite>;
  readonly parts: readonly PartChoice[];
  readonly sequence: Sequence;
}

/** Never was for this material, or has nothing here to take off: no news among what is blocked. */
export const beside = (o: MethodVerdict): boolean => o.because.some((r) => r.rule === 'fit.material' || r.rule === 'fit.nothingToTake');

const VERDICT_ORDER: Readonly<Record<Verdict, number>> = { go: 0, care: 1, blocked: 2 };

/** Smaller is better, reckoned on one square metre. Ties fall to cost. */
function rankFor(aim: Aim, o: MethodOption): number {
  const hours = midpoint(o.perM2.personHours);
  const cost = midpoint(o.perM2.total);
  // An hour of soaking costs little, for other work goes on meanwhile; a week of it still counts.
  if (aim === 'fastest') return hours + (o.perM2.dwellHours ? midpoint(o.perM2.dwellHours) * 0.05 : 0);
  if (aim === 'cheapest') return cost;
  if (aim === 'bareClear' || aim === 'patina') return o.harm * 1e6 + cost;
  // A cover hides the piece for good: it stands with what goes deepest. A sealer comes after what a film can be kept up by.
  const depth =
    o.methodId === 'cover'
      ? biteDepth('bare')
      : o.methodId === 'encapsulate' || o.methodId === 'thickPrimer'
        ? biteDepth('loose')
        : biteDepth(o.bite);
  return (depth * 10 + o.harm) * 1e6 + cost;
}

function rank(aim: Aim, options: MethodOption[]): MethodOption[] {
  return options.sort(
    (a, b) =>
      VERDICT_ORDER[a.verdict] - VERDICT_ORDER[b.verdict] ||
      rankFor(aim, a) - rankFor(aim, b) ||
      midpoint(a.perM2.total) - midpoint(b.perM2.total),
  );
}

/** Ranked options of one fact sheet of a surface, by part. */
type OfSheet = Map<string, readonly MethodOption[]>;
/** What is the same for every surface under one firm's settings. */
export interface OptionMemo {
  /** Ranked options already reached, by fact sheet and then by part: a house has far fewer different sheets than parts. */
  readonly sheets: Map<string, OfSheet>;
  /** The work of each method on one square metre, in their order, where no square taught anything. */
  readonly efforts: Map<string, readonly UnitEffort[]>;
}
export const optionMemo = (): OptionMemo => ({ sheets: new Map(), efforts: new Map() });

/** Those of one sheet. What squares taught belongs to one surface, so nothing is shared then. */
function ofSheet(s: SurfaceSheet, memo: OptionMemo): OfSheet {
  if (Object.keys(s.trials).length > 0) return new Map();
  const key = valueOf(s);
  let of = memo.sheets.get(key);
  if (!of) memo.sheets.set(key, (of = new Map()));
  return of;
}

function usualEfforts(s: SurfaceSheet, part: PartSheet, settings: FirmSettings, { efforts }: OptionMemo): readonly UnitEffort[] {
  const key = `${part.kind}/${s.accessM}/${s.faceC}`;
  let made = efforts.get(key);
  if (!made)
    efforts.set(
      key,
      (made = METHODS.map((m) => unitEffort(m, part.kind, settings, { accessM: s.accessM, faceC: s.faceC, learned: undefined }))),
    );
  return made;
}

/** Every method on one kind of part, best first. @param known must be of this sheet, and `memo` of one firm's settings only */
function optionsFor(s: SurfaceSheet, part: PartSheet, settings: FirmSettings, known: OfSheet, memo: OptionMemo): readonly MethodOption[] {
  const key = `${part.kind}/${part.grits.join()}/${part.toolC}`;
  const there = known.get(key);
  if (there) return there;
  const efforts = usualEfforts(s, part, settings, memo);
  const options = METHODS.map((m, i): MethodOption => {
    const { methodId, verdict, because, canInsist } = judge(m, sheetFor(s, m, part, settings));
    const learned = s.trials[m.id];
    return {
      methodId,
      verdict,
      because: learned && m.suits.includes(s.material) ? [...because, ...learned.because] : because,
      canInsist,
      perM2: learned ? unitEffort(m, part.kind, settings, { accessM: s.accessM, faceC: s.faceC, learned }) : efforts[i]!,
      harm: m.harm,
      bite: m.bite,
      coatsReached: coatsReached(m.bite, s.depths),
    };
  });
  const ranked = rank(s.aim, options);
  known.set(key, ranked);
  return ranked;
}

/** Helpers that the person added and that may not be used here: never left out without a word. */
const refusedHelpers = (part: Part, helpers: readonly MethodOption[]): Reason[] =>
  part.alsoIds.flatMap((id) => {
    const o = helpers.find((h) => h.methodId === id);
    if (!o || o.verdict !== 'blocked') return [];
    return [why('also.refused', 'job-record', { method: id }, 'block', 'hazard'), ...o.because.filter((r) => r.effect === 'block')];
  });

const open = new WeakMap<readonly MethodOption[], ReadonlySet<MethodId>>();
/** Those that are not blocked. Like parts share their list. */
function openIn(options: readonly MethodOption[]): ReadonlySet<MethodId> {
  let made = open.get(options);
  if (!made) open.set(options, (made = new Set(options.filter((o) => o.verdict !== 'blocked').map((o) => o.methodId))));
  return made;
}

const RUST_HELPERS: readonly MethodId[] = ['rustGel'];
const MOLD_CLEANERS: readonly MethodId[] = ['moldWash', 'moldBiocide', 'moldBleach'];

/** What the state of the surface asks for, beside what was picked. */
function alsoOn(
  part: Part,
  helpers: readonly MethodOption[],
  s: SurfaceSheet,
  ctx: SurfaceContext,
  main: MethodId | null,
): Answer<MethodId>[] {
  const disturbed = main !== null && methodById(main).disturbs && !methodById(main).removesPiece;
  const allowedHere = openIn(helpers);
  const allowed = (id: MethodId) => allowedHere.has(id);
  const out = part.alsoIds.filter(allowed).map((id) => answer(id, why('also.byPerson', 'job-record', { method: id })));
  const cleans = part.alsoIds.some((id) => allowed(id) && methodById(id).takes.includes('mold'));
  // The firm's school where it may be used here, else another that may.
  const school = s.moldy && disturbed && !cleans ? [ctx.settings.moldSchool, ...MOLD_CLEANERS].find(allowed) : undefined;
  if (school) out.push(answer(school, why('also.mold', 'firm-setting', { method: school })));
  // What takes the paint does not take the rust under it.
  const takesRust = [main, ...part.alsoIds.filter(allowed)].some((id) => id !== null && methodById(id).takes.includes('rust'));
  const derust = RUST_HELPERS.find(allowed);
  if (s.rusty && disturbed && !takesRust && derust) out.push(answer(derust, why('also.rust', 'trade-rust', { method: derust })));
  return out;
}

/** The two everyday answers hold nothing but the method's name, so each is made once for each method. */
const everyday = new Map<string, Answer<MethodId>>();
function everydayAnswer(rule: 'choice.byPerson' | 'choice.bestForAim', method: MethodId): Answer<MethodId> {
  const key = rule + method;
  const known = everyday.get(key);
  if (known) return known;
  const made = answer(method, why(rule, rule === 'choice.byPerson' ? 'job-record' : 'trade-aim', { method }));
  everyday.set(key, made);
  return made;
}

/** Doing nothing and hiding it are always compared, but they are decisions for a person, not a default. */
const NEVER_BY_DEFAULT: readonly MethodId[] = ['leave', 'cover'];
/** An old piece that could be saved goes, and what may hold asbestos is sealed for good or worked, only when a person says so. */
const BY_PERSON_ONLY: readonly string[] = [
  'fit.replaceLast',
  'asbestos.sealing',
  'asbestos.sealingUk',
  'asbestos.classThree',
  'asbestos.nonLicensed',
];
/** What may hold asbestos and does not fail is left, whatever the next coat would like: that is no neglect. */
const isSuspectAndSound = (leave: MethodOption, options: readonly MethodOption[]): boolean =>
  leave.verdict !== 'blocked' &&
  leave.because.some((r) => r.rule === 'fit.leaveSound') &&
  options.some((o) => o.because.some((r) => r.rule.startsWith('asbestos.noDisturbing')));
/** What stands in for the ordinary course where that is barred. */
const SECOND_BEST: readonly MethodId[] = ['thickPrimer', 'encapsulate'];

/**
 * What a careful tradesman would do first: on a film that holds, wash, scuff, overcoat; else what goes no deeper than it must, in the order
 * of the aim. Nothing is sealed, scraped or replaced by default where less will do.
 */
function byDefault(options: readonly MethodOption[]): MethodOption | undefined {
  const open = options.filter(
    (o) => o.verdict !== 'blocked' && !NEVER_BY_DEFAULT.includes(o.methodId) && !o.because.some((r) => BY_PERSON_ONLY.includes(r.rule)),
  );
  const usual = open.filter((o) => !SECOND_BEST.includes(o.methodId) && !methodById(o.methodId).removesPiece);
  const least = Math.min(...usual.map((o) => biteDepth(o.bite)));
  return (
    usual.find((o) => o.methodId === 'overcoat') ??
    usual.find((o) => biteDepth(o.bite) === least) ??
    open[0] ??
    options.find((o) => o.methodId === 'leave' && (o.verdict === 'go' || isSuspectAndSound(o, options)))
  );
}

/** Too shallow, or nothing done at all: to lift what else stands against it would not get the work done. */
const NO_ANSWER: readonly string[] = ['fit.notDeepEnough', 'fit.leaveUndone'];

/** What stands against the method that is nearest to being allowed: each block says what lifts it. */
function nearestBlocks(options: readonly MethodOption[]): readonly Reason[] {
  const blocks = (o: MethodOption) => o.because.filter((r) => r.effect === 'block');
  const fits = options.filter((o) => o.verdict === 'blocked' && !beside(o) && !o.because.some((r) => NO_ANSWER.includes(r.rule)));
  const nearest = fits.reduce<MethodOption | null>((a, o) => (a === null || blocks(o).length < blocks(a).length ? o : a), null);
  return nearest === null ? [] : blocks(nearest);
}

/** What cleans, or is a person's decision, may be open where nothing answers for the part. */
function mayStill(options: readonly MethodOption[]): readonly Reason[] {
  const open = options.filter((o) => o.verdict !== 'blocked' && o.methodId !== 'leave').map((o) => o.methodId);
  return open.length === 0 ? [] : [why('choice.mayStill', 'job-record', { methods: open })];
}

/** What the client declined is left, whatever was chosen on it before. */
const LEFT: Answer<MethodId | null> = answer<MethodId | null>('leave', why('depth.declined', 'job-record'));

/** Of each ranked list, by what was chosen: like parts share the list, and so the answer. */
const selections = new WeakMap<readonly MethodOption[], Map<MethodId | null, Answer<MethodId | null>>>();
function select(part: Part, options: readonly MethodOption[]): Answer<MethodId | null> {
  // What somebody insists on has their own words in it.
  if (part.methodId !== null && part.insistedWhy?.trim()) return selectAnew(part, options);
  let of = selections.get(options);
  if (!of) selections.set(options, (of = new Map()));
  let made = of.get(part.methodId);
  if (!made) of.set(part.methodId, (made = selectAnew(part, options)));
  return made;
}

function selectAnew(part: Part, options: readonly MethodOption[]): Answer<MethodId | null> {
  const chosen = options.find((o) => o.methodId === part.methodId);
  if (chosen && chosen.verdict !== 'blocked') return everydayAnswer('choice.byPerson', chosen.methodId);
  if (chosen && chosen.canInsist && part.insistedWhy?.trim()) {
    return answer(
      chosen.methodId,
      why('choice.insisted', 'job-record', { method: chosen.methodId, note: typed(part.insistedWhy) }, 'care'),
      ...chosen.because,
    );
  }
  const best = byDefault(options);
  if (!chosen && best) return everydayAnswer('choice.bestForAim', best.methodId);
  const refused = chosen
    ? [
        why('choice.refused', 'job-record', { method: chosen.methodId }, 'block', 'hazard'),
        ...chosen.because.filter((r) => r.effect === 'block'),
      ]
    : [];
  if (!best) {
    // What speaks against the chosen one is said once.
    const nearest = nearestBlocks(options).filter((r) => refused.every((x) => x.rule !== r.rule));
    return {
      value: null,
      because: [...refused, why('choice.allBlocked', 'job-record', {}, 'block', 'hazard'), ...mayStill(options), ...nearest],
    };
  }
  return { value: best.methodId, because: [...refused, why('choice.instead', 'trade-aim', { method: best.methodId })] };
}

/** Options in two lists, made once for each ranked list. */
const split = new WeakMap<readonly MethodOption[], { readonly main: readonly MethodOption[]; readonly helpers: readonly MethodOption[] }>();
function splitOptions(all: readonly MethodOption[]) {
  const known = split.get(all);
  if (known) return known;
  const made = { main: all.filter((o) => !isHelper(methodById(o.methodId))), helpers: all.filter((o) => isHelper(methodById(o.methodId))) };
  split.set(all, made);
  return made;
}

const counted = new WeakMap<readonly MethodOption[], Readonly<Record<Verdict, number>>>();
/** How many methods may be used, need care and are blocked; what was never for this material is not counted. Like parts share their list. */
export function countsOf(options: readonly MethodOption[]): Readonly<Record<Verdict, number>> {
  const known = counted.get(options);
  if (known) return known;
  const made = { go: 0, care: 0, blocked: 0 };
  for (const o of options) if (!beside(o)) made[o.verdict] += 1;
  counted.set(options, made);
  return made;
}

export function choose(s: Surface, ctx: SurfaceContext, area: TakeOff, lead: LeadPicture, hold: Hold, memo: OptionMemo): Choice {
  const required = requiredDepth(s, ctx, lead, hold);
  const sheet = surfaceSheet(s, ctx, lead, required.value);
  const known = ofSheet(sheet, memo);
  const parts = liveParts(s).map((part): PartChoice => {
    const { main, helpers } = splitOptions(optionsFor(sheet, partSheet(part), ctx.settings, known, memo));
    const declined = s.declinedOn !== null;
    const selected = declined ? LEFT : select(part, main);
    const refused = refusedHelpers(part, helpers);
    return {
      partId: part.id,
      kind: part.kind,
      areaM2: area.partM2[part.id] ?? 0,
      options: main,
      helpers,
      also: declined ? [] : alsoOn(part, helpers, sheet, ctx, selected.value),
      selected: refused.length === 0 ? selected : { ...selected, because: [...selected.because, ...refused] },
      chosenByPerson: part.methodId !== null && selected.value === part.methodId,
    };
  });
  const strokes = parts.flatMap((p) =>
    p.areaM2 <= 0 || p.selected.value === null
      ? []
      : [p.selected.value, ...p.also.map((a) => a.value)].map((methodId) => ({
          partId: p.partId,
          kind: p.kind,
          methodId,
          areaM2: p.areaM2,
        })),
  );
  return { required, parts, sequence: sequence(s, strokes) };
}

/** What stands behind the hours of a plan: squares tried here for all that is worked, for some of it, or for none; or there is no plan. */
export type PriceProof = 'trial' | 'partly' | 'none' | 'unpriced';
export function priceProof(parts: readonly PartChoice[]): PriceProof {
  if (parts.some((p) => p.selected.value === null)) return 'unpriced';
  const proofs = parts.flatMap((p) =>
    picksOf(p).flatMap((x) => (x.main && methodById(x.option.methodId).disturbs ? [x.option.perM2.proof] : [])),
  );
  const tried = proofs.filter((p) => p === 'trial').length;
  return tried === 0 ? 'none' : tried === proofs.length ? 'trial' : 'partly';
}
/** Of several plans that have a price: all tried, some, or none. */
export function jointProof(all: readonly PriceProof[]): PriceProof {
  const proofs = all.filter((p) => p !== 'unpriced');
  if (all.length > 0 && proofs.length === 0) return 'unpriced';
  return proofs.every((p) => p === 'none') ? 'none' : proofs.every((p) => p === 'trial') ? 'trial' : 'partly';
}

/** A method of the plan with its unit effort. */
export interface Picked {
  readonly option: MethodOption;
  readonly main: boolean;
  readonly because: readonly Reason[];
}

const picked = new WeakMap<PartChoice, readonly Picked[]>();
/** What the plan does, by method: main and helping. Every stage asks for it, so it is looked up once for each part. */
export function picksOf(p: PartChoice): readonly Picked[] {
  let made = picked.get(p);
  if (!made) picked.set(p, (made = picksAnew(p)));
  return made;
}

/** All of the piece is taken out and copied; a part on which nothing is decided is not. */
export const isRenewed = ({ parts }: Pick<Choice, 'parts'>): boolean =>
  parts.every((p) => p.areaM2 === 0 || (p.selected.value !== null && methodById(p.selected.value).removesPiece));

const methodsIn = new WeakMap<Choice['parts'], readonly Method[]>();
/** Every method of the plan, main and helping, each once, as its parts name them. */
export function methodsOf({ parts }: Pick<Choice, 'parts'>): readonly Method[] {
  let made = methodsIn.get(parts);
  if (!made) methodsIn.set(parts, (made = [...new Set(parts.flatMap((p) => picksOf(p).map((x) => methodById(x.option.methodId))))]));
  return made;
}

function picksAnew(p: PartChoice): readonly Picked[] {
  const main = p.options.find((o) => o.methodId === p.selected.value);
  const helping = p.also.flatMap((a): Picked[] => {
    const option = p.helpers.find((o) => o.methodId === a.value);
    return option ? [{ option, main: false, because: a.because }] : [];
  });
  return main ? [{ option: main, main: true, because: p.selected.because }, ...helping] : helping;
}
