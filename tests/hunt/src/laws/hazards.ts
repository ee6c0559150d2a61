/** H: what the work reaches is stopped, whoever insists; what ends above it is not. */
import type { MethodOption, PartChoice } from '../../../../core/src/choose';
import type { MethodId, Surface } from '../../../../core/src/facts';
import type { SurfacePlan } from '../../../../core/src/zone/surface-plan';
import { coatsOf, DOES, meets, opens, react, type Does } from '../oracle/methods';
import { THIS_YEAR } from '../scenario';
import type { Run } from '../run';
import type { Law } from './law';

const present = (state: string): boolean => state !== 'notFound';
const live = <T extends { readonly removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);

interface Judged {
  readonly s: Surface;
  readonly plan: SurfacePlan;
  readonly part: PartChoice;
  readonly o: MethodOption;
  readonly does: Does;
}
/** Every method on every part that a person could still get: allowed, or blocked in a way that may be insisted upon. */
function reachable(run: Run): Judged[] {
  return run.facts.surfaces.flatMap((s) => {
    const plan = run.plans.get(s.id);
    if (!plan) return [];
    return plan.choice.parts.flatMap((part) =>
      [...part.options, ...part.helpers].flatMap((o) =>
        o.verdict === 'blocked' && !o.canInsist ? [] : [{ s, plan, part, o, does: DOES[o.methodId] }],
      ),
    );
  });
}
const told = ({ s, part, o }: Judged, what: string): string => `${s.name}, ${part.kind}: ${o.methodId} is ${o.verdict} in spite of ${what}`;
/** A law that looks at each method that can be had. */
const never = (id: string, says: string, wrong: (j: Judged, run: Run) => string | false): Law => ({
  id,
  says,
  check: (run) =>
    reachable(run).flatMap((j) => {
      const what = wrong(j, run);
      return what === false ? [] : [told(j, what)];
    }),
});

/** 40 CFR 745.89, 745.90: the firm's certificate and a certified renovator, on the first day, or when nobody set that on the first of the year. */
function entitled({ facts, settings }: Run): boolean {
  const day = facts.job.startOn ?? `${THIS_YEAR}-01-01`;
  const lasts = (until: string | null) => until === null || Date.parse(until) >= Date.parse(day);
  const all = (settings.people ?? []).filter((p) => p.removedAt === null).flatMap((p) => p.certificates);
  return (
    settings.certified && lasts(settings.certifiedUntil) && (all.length === 0 || all.some((c) => c.kind === 'renovator' && lasts(c.until)))
  );
}
/**
 * Trained people of the firm, on the first day, wet and by hand: of a small coat under US rules (class III: one bag, taken for 10 ft2), of any
 * that needs no licence under UK rules. 29 CFR 1926.1101(b), (k)(9); CAR 2012.
 */
function openToTrained({ facts, settings, plans }: Run, s: Surface, plan: SurfacePlan, does: Does): boolean {
  const day = facts.job.startOn ?? `${THIS_YEAR}-01-01`;
  const people = (settings.people ?? []).filter((p) => p.removedAt === null).flatMap((p) => p.certificates);
  if (!people.some((c) => c.kind === 'asbestosTrained' && c.until !== null && Date.parse(c.until) >= Date.parse(day))) return false;
  if (s.element === 'pipeLagging' || s.element === 'heaterBoard') return false;
  // Taken out whole, wet and wrapped, it is the same class of work.
  if (does.to !== 'out' && (does.wet !== true || does.motor || does.dryHand || does.hot || does.flame || does.blast || does.mains))
    return false;
  if ((does.brings ?? []).some((a) => a === 'alkali' || a === 'acid')) return false;
  // What is worked in the room together is one repair; what is joined to it is looked at elsewhere.
  const workedM2 = facts.surfaces
    .filter((x) => x.removedAt === null && x.spaceId === s.spaceId && x.declinedOn === null)
    .reduce((sum, x) => {
      const p = x.id === s.id ? plan : plans.get(x.id);
      if (!p || !present(p.asbestos.coat.value)) return sum;
      const left = new Set(live(x.parts).flatMap((q) => (q.methodId !== null && DOES[q.methodId].to === 'nothing' ? q.id : [])));
      return sum + p.choice.parts.reduce((m2, q) => m2 + (left.has(q.partId) ? 0 : q.areaM2), 0);
    }, 0);
  return facts.job.rulebook === 'uk' || workedM2 <= 10 * 0.09290304 + 1e-6;
}
const cuts = (d: Does): boolean => d.to !== 'nothing';
const isMoldy = (s: Surface): boolean => s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0;
const child = (run: Run): boolean => run.facts.job.childUnder6 !== 'no' || run.facts.job.pregnancy !== 'no';

/** Lead in a coat that the stroke opens, by the states of the coats; a coat that is off the list counts wherever it lay. */
function leadReached(plan: SurfacePlan, s: Surface, does: Does): boolean {
  const n = coatsOf(s).length === 0 ? plan.lead.coats.length : opens(does.to, s);
  return plan.lead.coats.slice(0, n).some((c) => present(c.state));
}

/** ISO 4628: from these degrees a film counts as failing. Common practice. */
const failing = (s: Surface): boolean =>
  live(s.layers).some((l) => l.soundness === 'failing') ||
  s.conditions.some((c) => c === 'blistered' || c === 'flaking' || c === 'powdery') ||
  (s.blisterGrade ?? 0) >= 2 ||
  (s.flakeGrade ?? 0) >= 2 ||
  (s.crackGrade ?? 0) >= 3 ||
  (s.chalkGrade ?? 0) >= 3;

const lastFace = (s: Surface): number | null => {
  const gone = new Set(s.readings.map((r) => r.supersedesId));
  const of = (kind: string) =>
    s.readings
      .filter((r) => r.kind === kind && r.value !== null && !gone.has(r.id))
      .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
      .at(-1)?.value ?? null;
  return of('surfaceTemp') ?? of('air');
};
/** No record was replaced, so that the last reading is plain. */
const plainReadings = (s: Surface): boolean => s.readings.every((r) => r.supersedesId === null);

/** Methods of removal in the order in which the plan works them, each with where it stands among the steps. */
function strokesOf(plan: SurfacePlan): { readonly id: MethodId; readonly at: number }[] {
  return plan.work.steps.flatMap((st, at) => {
    const id = st.title.weighed.find((w) => w.asked === 'method')?.found;
    return st.kind === 'remove' && typeof id === 'string' ? [{ id: id as MethodId, at }] : [];
  });
}

export const HAZARDS_LAWS: readonly Law[] = [
  never('H2', 'nothing cuts, heats or soaks into a suspect: coat, putty, what lies below', ({ s, plan, part, does }, run) => {
    if (!cuts(does)) return false;
    const { coat, below, putty } = plan.asbestos;
    if (present(coat.value) && !openToTrained(run, s, plan, does)) return `asbestos ${coat.value} in the coat`;
    // The piece goes with its putty and with what it is made of. Law H11.
    if (does.to === 'out' && (present(below.value) || present(putty.value)) && !openToTrained(run, s, plan, does))
      return 'asbestos in what goes out with the piece';
    if (does.to !== 'out' && present(below.value) && meets(does.to, s)) return `asbestos ${below.value} below`;
    if (present(putty.value) && (does.putty || (part.kind === 'besideGlass' && does.to !== 'out' && meets(does.to, s))))
      return `asbestos ${putty.value} in the putty`;
    return false;
  }),
  never('H11', 'what may hold asbestos is sealed or covered by trained people only', ({ s, plan, does }, run) => {
    if (does.closes !== true || !present(plan.asbestos.coat.value)) return false;
    const day = run.facts.job.startOn ?? `${THIS_YEAR}-01-01`;
    const trained = (run.settings.people ?? []).some(
      (p) =>
        p.removedAt === null &&
        p.certificates.some((c) => c.kind === 'asbestosTrained' && c.until !== null && Date.parse(c.until) >= Date.parse(day)),
    );
    return trained && s.element !== 'pipeLagging' && s.element !== 'heaterBoard' ? false : `asbestos ${plan.asbestos.coat.value} in it`;
  }),
  {
    id: 'H2b',
    says: 'no check of the plan cuts into a suspect',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        const { coat, below } = plan.asbestos;
        const cut = plan.work.steps
          .flatMap((st) => st.gates)
          .find((g) => g.id === 'adhesion' && ['gate.adhesion', 'gate.adhesionThick'].includes(g.because.rule));
        const notch =
          ['notchAllCoats', 'notchForDepth', 'labAllCoats'].includes(plan.lead.next.value) && plan.lead.overall.value !== 'found';
        return [
          ...(present(plan.asbestos.overall.value) && cut ? [`${s.name}: a cross-cut into what may hold asbestos`] : []),
          ...((present(coat.value) || present(below.value)) && notch
            ? [`${s.name}: ${plan.lead.next.value} into what may hold asbestos`]
            : []),
        ];
      }),
  },
  never('H4', 'nothing closes over growth, and no rule about films blocks its cleaning', ({ s, does }) =>
    isMoldy(s) && does.closes ? 'growth' : false,
  ),
  {
    id: 'H4b',
    says: 'growth can be cleaned where nothing but its own hazards stands against it, and the plan cleans and dries it before a coat',
    check: (run) =>
      run.facts.surfaces.flatMap((s) => {
        const plan = run.plans.get(s.id);
        if (!plan || !isMoldy(s)) return [];
        const free = !present(plan.asbestos.overall.value);
        const shut = plan.choice.parts.flatMap((p) =>
          p.helpers
            .filter((o) => o.methodId === 'moldWash' && o.verdict === 'blocked')
            .flatMap((o) =>
              o.because
                .filter((r) => r.effect === 'block' && /^(lead\.rubs|fit\.(over|not)|mold)/.test(r.rule))
                .map((r) => `${s.name}: cleaning is blocked by ${r.rule}`),
            ),
        );
        const firstCoat = plan.work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat');
        if (firstCoat < 0 || !free) return shut;
        const before = plan.work.steps.slice(0, firstCoat);
        const out = plan.choice.parts.every((p) => p.selected.value !== null && DOES[p.selected.value].to === 'out');
        const cleaned = out || before.some((st) => st.gates.some((g) => g.id.startsWith('mold-clean')));
        const dry = before.some((st) => st.kind === 'dry' && st.gates.length > 0);
        return [
          ...shut,
          ...(cleaned ? [] : [`${s.name}: a coat over growth that no step cleans`]),
          ...(dry ? [] : [`${s.name}: a coat over growth without drying`]),
        ];
      }),
  },
  never('H5', 'lead in reach: no dry hand abrasion, flame, open motor or open blast', ({ s, plan, does }, run) => {
    if (!leadReached(plan, s, does)) return false;
    // The one school: hand-scraping outdoors, as the firm's setting, and not where 24 CFR 35.140 binds.
    const outdoors = run.facts.spaces.find((x) => x.id === s.spaceId)?.kind === 'elevation' && !s.bench;
    const school = run.settings.allowDryScrapeOutdoors && outdoors && run.facts.job.publicFunding !== 'yes' && does.to === 'loose';
    if (does.dryHand && !school) return 'lead in reach of dry hand work';
    if (does.motor) return 'lead in reach of a motor without a shroud';
    if (does.flame) return 'lead in reach of a flame';
    return does.blast === 'open' ? 'lead in reach of open blast' : false;
  }),
  never(
    'H5c',
    'no tool at or above its limit on lead: 1,100 F for hot air, 1,000 F for infrared, 500 C in the UK',
    ({ s, plan, part, o, does }, run) => {
      const toolC = s.parts.find((p) => p.id === part.partId)?.toolC ?? null;
      if (toolC === null || (o.methodId !== 'heatGun' && o.methodId !== 'infrared')) return false;
      const limitC = run.facts.job.rulebook === 'uk' ? 500 : ((o.methodId === 'heatGun' ? 1100 : 1000) - 32) / 1.8;
      return toolC >= limitC && leadReached(plan, s, does) ? `lead under a tool at ${toolC} C` : false;
    },
  ),
  never('H5d', 'methylene chloride is not to be had', ({ o }, run) =>
    run.settings.rates[o.methodId]?.chemistry === 'methyleneChloride' && o.methodId !== 'leave' ? 'what is in it' : false,
  ),
  {
    id: 'H5e',
    says: 'nothing is planned on a square of methylene chloride, by its kind or its name',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) =>
        (plans.get(s.id)?.trials ?? [])
          .filter((t) => t.state.value !== 'failed')
          .filter((t) =>
            s.squares.some(
              (q) =>
                q.removedAt === null &&
                q.methodId === t.methodId &&
                q.product.trim() === t.product &&
                q.chemistry === t.chemistry &&
                q.coating.trim().toLowerCase() === t.coating.toLowerCase() &&
                (q.chemistry === 'methyleneChloride' || /DCM/.test(q.product)),
            ),
          )
          .map((t) => `${s.name}: ${t.methodId} ${t.state.value} with ${t.product || t.chemistry}`),
      ),
  },
  never(
    'H6',
    'a firm without certificate or renovator on the first day does no paid work on more than a little lead paint where people live',
    ({ s, plan, does }, run) => {
      const { job } = run.facts;
      // Furniture, chairs, cots and toys are no part of the house.
      if (['furniture', 'chair', 'cot', 'toy'].includes(s.element)) return false;
      const own = job.worker === 'owner' && job.tenure === 'ownerOccupied' && job.publicFunding !== 'yes';
      if (!cuts(does) || entitled(run) || !job.dwelling || job.rulebook !== 'us' || own) return false;
      const room = run.facts.spaces.find((x) => x.id === s.spaceId)?.kind === 'room';
      // 40 CFR 745.83: 6 ft2 in a room, 20 ft2 outside; whole faces of which nobody has decided anything.
      const plain = s.parts.every((p) => p.removedAt !== null || p.methodId === null);
      const large = plan.area.totalM2 > (room ? 6 : 20) * 0.09290304 + 1e-6;
      return plain && large && plan.lead.coats.some((c) => present(c.state)) ? 'lead paint, and no certificate' : false;
    },
  ),
  never('H6b', 'nobody disturbs lead in their own home where a small child or a pregnancy may be', ({ s, plan, does }, run) => {
    const { job } = run.facts;
    const own = job.worker === 'owner' && job.tenure === 'ownerOccupied' && job.publicFunding !== 'yes';
    return own && job.dwelling && child(run) && cuts(does) && leadReached(plan, s, does) ? 'an owner, a child and lead' : false;
  }),
  // From memory of makers' sheets: chromate left primers for metal in the nineties.
  never('H14b', 'what a primer on old metal holds counts as chromate until somebody has looked: no dust, no heat', ({ s, does }, run) => {
    const room = run.facts.spaces.find((x) => x.id === s.spaceId);
    const coats = live(s.layers).toSorted((a, b) => a.position - b.position);
    const oldest = s.coatsCounted ? coats.at(-1) : null;
    if (oldest === undefined || oldest?.poisonsLookedFor || (oldest?.poisons.length ?? 0) > 0) return false;
    const old = [oldest?.yearApplied, s.yearMade, room?.yearBuilt, run.facts.job.yearBuilt].every((y) => (y ?? 0) < 1995);
    if (!old || !['mildSteel', 'castIron', 'galvanised', 'aluminium'].includes(s.material)) return false;
    if (opens(does.to, s) < coatsOf(s).length) return false;
    return does.dryHand || does.motor || does.blast === 'open' || does.hot || does.flame ? 'into an old primer' : false;
  }),
  {
    id: 'H2c',
    says: 'what is sealed over possible asbestos is entered, labelled and told; what stays above it is not called lead work',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan || plan.work.standsAt === 'ask') return [];
        const sealed =
          plan.choice.parts.some((p) => p.selected.value === 'encapsulate' || p.selected.value === 'thickPrimer') &&
          present(plan.asbestos.coat.value);
        const entered = plan.work.steps.some((st) => st.gates.some((g) => g.id === 'asbestos-entered'));
        const said = plan.protection.needed.because.some((r) => r.weighed.some((w) => w.asked === 'leadInReach' && w.found === 'notFound'));
        return [
          ...(sealed && !entered ? [`${s.name}: sealed over asbestos ${plan.asbestos.coat.value}, and nobody enters it`] : []),
          ...(said && plan.protection.care === 'lead' ? [`${s.name}: lead is not found, and the work is set up for lead`] : []),
          ...(plan.protection.needed.because.some((r) => r.rule === 'protect.aboveAsbestos') &&
          plan.work.steps.some((st) => st.gates.some((g) => g.id === 'verified'))
            ? [`${s.name}: the lead check where no lead is`]
            : []),
          ...(plan.protection.sign.value.length > 0 && plan.protection.care !== 'lead' ? [`${s.name}: a lead sign without lead`] : []),
        ];
      }),
  },
  never('H5c', 'nobody works on what the client declined', ({ s, o }) =>
    s.declinedOn !== null && o.methodId !== 'leave' ? 'the client’s no' : false,
  ),
  never('H5b', 'failing lead where a small child may live is never simply left', ({ s, plan, o }, run) =>
    o.methodId === 'leave' && s.declinedOn === null && failing(s) && plan.lead.coats.some((c) => present(c.state)) && child(run)
      ? 'failing lead and a child'
      : false,
  ),
  never('H8', 'what ruins the material for good cannot be had', ({ s, o }) => {
    const timber = ['softwood', 'tanninWood', 'oilyWood', 'plywood'].includes(s.material);
    if (timber && o.methodId === 'hardBlast') return 'hard grit on timber';
    if (o.methodId === 'torch') return 'a torch on old joinery';
    if (['brick', 'stone'].includes(s.material) && DOES[o.methodId].blast) return `blasting of ${s.material}`;
    if (s.material === 'plywood' && DOES[o.methodId].hot) return 'heat on veneer';
    return ['aluminium', 'galvanised'].includes(s.material) && DOES[o.methodId].brings?.includes('alkali') && !DOES[o.methodId].blast
      ? `alkali on ${s.material}`
      : false;
  }),
  {
    id: 'H9',
    says: 'between two that react stand a rinse, its proof and drying',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        const strokes = strokesOf(plan);
        return strokes.flatMap((first, i) =>
          strokes.slice(i + 1).flatMap((then) => {
            if (!react(DOES[first.id], DOES[then.id])) return [];
            const between = plan.work.steps.slice(first.at + 1, then.at);
            return between.some((st) => st.kind === 'rinse' && st.gates.length > 0 && st.waitH.low > 0)
              ? []
              : [`${s.name}: ${first.id}, then ${then.id}, with nothing between`];
          }),
        );
      }),
  },
  never('H9b', 'no mains tool on what is wet', ({ s, does }) => (s.conditions.includes('wet') && does.mains ? 'a wet surface' : false)),
  never('H10', 'gas beside it: no heat, no grit; a spark never without its condition', ({ s, o, does }, run) => {
    if (!run.facts.spaces.find((x) => x.id === s.spaceId)?.services.includes('gasPipe')) return false;
    if (does.hot || does.blast) return 'a gas pipe';
    return does.motor && !o.because.some((r) => r.rule.startsWith('site.gas')) ? 'a gas pipe, and not a word of it' : false;
  }),
  never('H10b', 'a frozen or a hot face changes what can be laid', ({ s, o, does }) => {
    const face = plainReadings(s) ? lastFace(s) : null;
    if (face === null || o.verdict === 'blocked') return false;
    if (face <= 0 && does.wet) return `a face at ${face} C`;
    return face > 40 && does.laid ? `a face at ${face} C` : false;
  }),
];
