/** The defects of the ground as steps: one for each kind of repair, with its layers, its drying, its dust and its proof. */
import type { RepairId, Surface } from '../facts';
import type { Range } from '../units/units';
import type { CoatingPlan } from '../coat';
import { isLow, isPresent, type LeadPicture } from '../probe';
import { cuts, DEFECT, extentOf, finishSpec, type Repair } from '../repair';
import { FILLER } from '../catalogue';
import { why, type Reason } from '../reasons';
import { fillerDryH, ownOf, priceOf } from '../shelf/firm-sheets';
import { measure } from '../units/units';
import type { Around } from './trade-steps';
import { gate, hours, plus, stepOf, type Amount, type GateSpec, type StepSpec } from '../step';

interface Inputs extends Around {
  readonly lead: LeadPicture;
  readonly repairs: readonly Repair[];
}

/** Edges of old film that are skimmed level: what ends beside bare ground. Common practice, no published source. */
const LEVEL_SHARE = 0.15;
const LEVEL_H_M2: Range = { low: 0.25, high: 0.6 };

const names = (rs: readonly Repair[]): string[] => [...new Set(rs.map((r) => r.defect.kind))];

/** What rubbing it down makes, and how that is kept in. */
function rubWords(r: Repair, { lead }: Inputs): Reason[] {
  if (r.filler === null) return [];
  const { rubbed, dust } = FILLER[r.filler];
  if (!rubbed) return dust === 'silica' ? [why('repair.notRubbed', 'mem-filler', { filler: r.filler })] : [];
  return isPresent(lead.overall.value) || isLow(lead.standing)
    ? [why('repair.rubWet', 'trade-repair', {}, 'care', 'hazard')]
    : [why('repair.rubDry', 'trade-repair', { dust: `dust.${dust}` }, 'care')];
}

/** Work on putty that holds glass. */
const GLAZES: readonly RepairId[] = ['rePutty', 'reglaze'];
/** A rebate is primed and dry before oil putty lies on it, h. Common practice, no published source. */
const REBATE_DRIES = measure(24, 'h');
/** Later than this the oil has gone out of it unpainted, d. From memory of putty makers' sheets. */
const PAINT_BY = measure(28, 'd');
/** Bed behind the glass, and how far the face stays behind the sight line so that paint laps onto the glass, mm. Common practice. */
const BED = measure(2, 'mm');
const LAP = measure(2, 'mm');

const shareOf = (rs: readonly Repair[], share: number): Range =>
  rs.reduce((sum, r) => plus(sum, hours(r.handsOnH.low * share, r.handsOnH.high * share)), hours(0, 0));
/** Said where the tool goes in. */
const cutsLead = (kind: RepairId, lead: LeadPicture): Reason[] =>
  cuts(kind) && isPresent(lead.overall.value) ? [why('repair.cutLead', 'trade-repair', {}, 'care', 'hazard')] : [];
/** The old out and the rebate primed; then the bed and the face. */
function glazingStep(kind: RepairId, rs: readonly Repair[], { lead }: Inputs): StepSpec {
  return stepOf({
    step: { step: 'rebate', repair: kind },
    kind: 'repair',
    title: why('step.rebate', 'trade-repair', { repair: `repair.${kind}` }),
    handsOnH: shareOf(rs, REBATE_SHARE),
    waitH: hours(REBATE_DRIES.value, REBATE_DRIES.value),
    because: unique([...rs.flatMap((r) => r.repair.because), ...cutsLead(kind, lead), why('putty.rebate', 'trade-repair')]),
    gates: [
      gate({ hold: 'glassEased', repair: kind }, 'repair', why('gate.paneWhole', 'trade-repair')),
      gate({ hold: 'rebateDry', repair: kind }, 'repair', why('gate.rebateDry', 'trade-repair', { limit: REBATE_DRIES }), [
        { what: 'waitedH', atLeast: REBATE_DRIES },
      ]),
    ],
  });
}
/** Taking out and priming, of the hours that the glazing takes. Common practice, no published source. */
const REBATE_SHARE = 0.5;
const puttyWords = (): Reason[] => [
  why('putty.bed', 'trade-repair', { bed: BED }),
  why('putty.face', 'trade-repair', { lap: LAP }),
  why('putty.paintBy', 'mem-putty', { by: PAINT_BY }, 'care'),
];

function gatesOf(repair: RepairId, { ctx }: Inputs): GateSpec[] {
  if (repair === 'siliconeOff') return [gate('siliconeGone', 'repair', why('gate.siliconeGone', 'trade-repair'))];
  if (GLAZES.includes(repair)) {
    const skin = measure(fillerDryH(ctx.settings, 'glazingPutty').low, 'h');
    const own = ownOf(ctx.settings, 'glazingPutty')?.recoatLeastH ?? null;
    return [
      gate({ hold: 'puttySkin', repair }, 'repair', why('gate.puttySkin', own === null ? 'mem-putty' : 'firm-sheet', { limit: skin }), [
        { what: 'waitedH', atLeast: skin },
      ]),
    ];
  }
  return [gate({ hold: 'repaired', repair }, 'repair', why('gate.repairHard', 'trade-repair', { repair: `repair.${repair}` }))];
}

const unique = (because: readonly Reason[]): Reason[] => {
  const seen = new Set<string>();
  return because.filter((r) => !seen.has(JSON.stringify(r)) && seen.add(JSON.stringify(r)));
};

/** What is mixed, bought or let in for a group of them. */
function amountsOf(rs: readonly Repair[]): Amount[] {
  const sums = new Map<string, Amount>();
  for (const { amount } of rs) {
    if (amount === null) continue;
    const value = amount.value + (sums.get(amount.what)?.amount.value ?? 0);
    sums.set(amount.what, { what: amount.what, amount: measure(value, amount.unit) });
  }
  return [...sums.values()];
}

const longest = (rs: readonly Repair[]): Range => ({
  low: Math.max(...rs.map((r) => r.waitH.low)),
  high: Math.max(...rs.map((r) => r.waitH.high)),
});

/** Of old film, what is skimmed level at its edges, m2; a millimetre of it is a litre on each. */
const levelledM2 = (s: Surface, coating: CoatingPlan): number =>
  finishSpec(s).levels && coating.left.value === 'partly' && coating.lines.length > 0 ? coating.bareM2 * LEVEL_SHARE : 0;

/** What is bought for repairs and levelling, in the firm's money. */
export const repairMoney = ({ s, ctx, coating, repairs }: Pick<Inputs, 's' | 'ctx' | 'coating' | 'repairs'>): number =>
  repairs.reduce((sum, r) => sum + r.money, 0) + levelledM2(s, coating) * priceOf(ctx.settings, 'fineSurfacer');

/** Silicone smears under a pad and nothing keys on it: it comes off before anything is washed or scuffed. */
export const siliconeSteps = (input: Inputs): StepSpec[] =>
  repairSteps({ ...input, repairs: input.repairs.filter((r) => r.repair.value === 'siliconeOff') }, true);

/** @param early those that come before the strokes; else all the others */
export function repairSteps(input: Inputs, early = false): StepSpec[] {
  const { s, ctx, coating } = input;
  const repairs = early ? input.repairs : input.repairs.filter((r) => r.repair.value !== 'siliconeOff');
  const out: StepSpec[] = [];
  const asked = repairs.filter((r) => r.repair.value === 'ask');
  if (asked.length > 0)
    out.push(
      stepOf({
        step: 'askRepair',
        kind: 'ask',
        title: why('step.repairAsk', 'trade-repair', { defects: names(asked) }),
        handsOnH: asked.reduce((sum, r) => plus(sum, r.handsOnH), hours(0, 0)),
        // Nothing is fetched for what may not be done; its hours and price stand, for not knowing makes nothing cheaper.
        waitH: longest(asked),
        gates: [gate('repairAnswered', 'ask', why('gate.repairAnswered', 'trade-repair', { defects: names(asked) }))],
        because: unique(asked.flatMap((r) => r.repair.because)),
      }),
    );
  const kinds = [...new Set(repairs.map((r) => r.repair.value))].filter((r) => r !== 'ask' && r !== 'leave');
  for (const kind of kinds) {
    const rs = repairs.filter((r) => r.repair.value === kind);
    const found = rs.filter((r) => r.defect.asFound).length;
    const layered = rs.filter((r) => r.layers > 1);
    const sealed = rs.find((r) => r.filler !== null && FILLER[r.filler].sealedBy === 'primer' && coating.lines.length > 0);
    const ordered = rs.find((r) => r.leadDays !== null);
    if (GLAZES.includes(kind)) out.push(glazingStep(kind, rs, input));
    out.push(
      stepOf({
        step: { step: 'mend', repair: kind },
        kind: 'repair',
        title: why('step.repairOne', 'trade-repair', { repair: `repair.${kind}`, defects: names(rs) }),
        handsOnH: shareOf(rs, GLAZES.includes(kind) ? 1 - REBATE_SHARE : 1),
        // They dry side by side.
        waitH: longest(rs),
        amounts: amountsOf(rs),
        gates: gatesOf(kind, input),
        because: unique([
          ...(GLAZES.includes(kind) ? puttyWords() : rs.flatMap((r) => r.repair.because)),
          ...layered.map((r) => why('repair.layers', 'mem-filler', { layers: measure(r.layers, 'pieces'), filler: r.filler! })),
          ...(GLAZES.includes(kind) ? [] : cutsLead(kind, input.lead)),
          ...rs.flatMap((r) => rubWords(r, input)),
          ...(sealed ? [why('repair.sealAfter', 'trade-repair', { filler: sealed.filler! })] : []),
          ...(ordered
            ? [
                why('repair.order', 'trade-repair', {
                  low: measure(ordered.leadDays!.low, 'd'),
                  high: measure(ordered.leadDays!.high, 'd'),
                }),
              ]
            : []),
          ...(s.element === 'ceiling' && (kind === 'patch' || kind === 'skim' || kind === 'fill')
            ? [why('repair.texture', 'trade-repair')]
            : []),
          ...(found > 0 ? [why('repair.asFound', 'trade-repair', { count: measure(found, 'pieces') })] : []),
        ]),
      }),
    );
  }
  if (early) return out;
  // Old film that ends beside bare ground shows its edge; nothing is skimmed over what may hold asbestos.
  const levelM2 = levelledM2(s, coating);
  const suspect = isPresent(ctx.asbestos.overall.value);
  if (levelM2 > 0)
    out.push(
      stepOf({
        step: suspect ? 'askLevel' : 'level',
        kind: suspect ? 'ask' : 'repair',
        title: why('step.level', 'trade-repair', { area: measure(levelM2, 'm2') }),
        handsOnH: { low: LEVEL_H_M2.low * levelM2, high: LEVEL_H_M2.high * levelM2 },
        waitH: fillerDryH(ctx.settings, 'fineSurfacer'),
        amounts: suspect ? [] : [{ what: 'fineSurfacer', amount: measure(levelM2, 'L') }],
        because: [
          ...(suspect ? [why('repair.notInto', ctx.rulebook.sources.asbestosWork, {}, 'block', 'hazard')] : []),
          ...(isPresent(input.lead.overall.value) || isLow(input.lead.standing)
            ? [why('repair.rubWet', 'trade-repair', {}, 'care', 'hazard')]
            : []),
        ],
      }),
    );
  return out;
}

/** Every defect in a line: what it is, how large, what is done. */
export const defectSize = (r: Repair) => {
  const { extent } = DEFECT[r.defect.kind];
  const size = extentOf(r.defect);
  return extent === 'area' ? measure(size, 'm2') : extent === 'length' ? measure(size, 'm') : measure(size, 'pieces');
};
