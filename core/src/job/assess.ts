/** Assessment above single surfaces: what each testing combination and homogeneous area costs to test, and to leave untested. */
import { BLANK_READING, type JobFacts, type Reading, type Surface, type SuspectKind } from '../facts';
import { createDeriver } from './derive';
import { type JobPlan } from './plan';
import type { SurfacePlan } from '../zone/surface-plan';
import { standingReadings, strictest, type AsbestosArea, type HazardState } from '../probe';
import { leadChance, testOrAssume, type TestOrAssume } from '../probe/decide';
import { leadGroups, type LeadGroup } from '../probe/lead-groups';
import { why, type Answer } from '../reasons';
import { bookFor, type FirmSettings } from '../rulebook';

export interface GroupAssessment {
  readonly group: LeadGroup;
  readonly state: HazardState;
  readonly tests: number;
  readonly chance: Answer<number>;
  /** Null where every coat is accounted for. */
  readonly decision: Answer<TestOrAssume> | null;
}

/** The surface as if a full-depth lab chip had come back: what treating it as positive costs is the difference of two such plans. */
function asIf(s: Surface, leadPct: number, at: string): Surface {
  const reading: Reading = {
    ...BLANK_READING,
    id: 'as-if',
    kind: 'lab',
    takenAt: at,
    reachedLayerIds: s.layers.map((l) => l.id),
    toSubstrate: true,
    value: leadPct,
    unit: 'mass%',
    by: '',
  };
  return { ...s, readings: [reading], samples: [] };
}

const middle = (m: { readonly low: number; readonly high: number }) => (m.low + m.high) / 2;

/**
 * Money between "holds lead" and "holds none" for each surface, by deriving the job in both worlds.
 * Null: where lead is found no method is left, and there is no price.
 * @param ids whose answer is supposed; the others stay as they are
 */
function positiveMoney(
  facts: JobFacts,
  ids: ReadonlySet<string>,
  settings: FirmSettings,
  thisYear: number,
): ReadonlyMap<string, number | null> {
  if (ids.size === 0) return new Map();
  // One memory for both: what is not supposed is planned once.
  const deriver = createDeriver();
  const world = (leadPct: number): ReadonlyMap<string, number | null> => {
    const supposed = { ...facts, surfaces: facts.surfaces.map((s) => (ids.has(s.id) ? asIf(s, leadPct, facts.job.createdAt) : s)) };
    const plans =
      ids.size > 8
        ? deriver.derive(supposed, settings, thisYear).surfaces
        : [...ids].flatMap((id) => deriver.surface(supposed, id, settings, thisYear) ?? []);
    return new Map(plans.map((p) => [p.surfaceId, p.proof === 'unpriced' ? null : middle(p.money)]));
  };
  const [yes, no] = [world(5), world(0)];
  return new Map(
    [...ids].map((id) => {
      const [found, clear] = [yes.get(id), no.get(id)];
      // No method is left where lead is found: no amount says what that costs. Law V4.
      return [id, found === null && clear !== null ? null : Math.max(0, (found ?? 0) - (clear ?? 0))];
    }),
  );
}

/** Some test of it would still say something. */
const isOpen = (plans: readonly SurfacePlan[]): boolean =>
  plans.some((p) => p.lead.next.value !== 'none' && p.lead.next.value !== 'waitForLab');

/**
 * One testing combination.
 * @param plans of its surfaces
 * @param extra from `positiveMoney`, when it was reckoned for the whole job already
 */
export function assessGroup(
  facts: JobFacts,
  group: LeadGroup,
  plans: readonly SurfacePlan[],
  settings: FirmSettings,
  thisYear: number,
  extra?: ReadonlyMap<string, number | null>,
): GroupAssessment {
  const rulebook = bookFor(facts.job, settings);
  const ids = new Set(group.surfaceIds);
  const surfaces = facts.surfaces.filter((s) => ids.has(s.id));
  const space = facts.spaces.find((s) => s.id === group.spaceId);
  const first = surfaces[0]!;
  const swabs = surfaces
    .flatMap((s) => standingReadings(s))
    .filter((r) => r.kind === 'spot' && r.kitRecognised && r.toSubstrate && r.spot !== 'unclear')
    .map((r) => r.spot === 'changed');
  const builtYear = first.yearMade ?? space?.yearBuilt ?? facts.job.yearBuilt;
  const chance = leadChance(builtYear, first.element, swabs, rulebook);
  const state = strictest(plans.map((p) => p.lead.overall.value));
  const open = isOpen(plans);
  const labOnly = rulebook.leadPaint === null || !settings.recognisedKit || plans.some((p) => p.lead.next.value === 'labAllCoats');
  const tests = group.needed.value;
  const more = open ? (extra ?? positiveMoney(facts, ids, settings, thisYear)) : undefined;
  const decision = open
    ? testOrAssume({
        chance: chance.value,
        testMoney: tests * (labOnly ? settings.testPrices.chip : settings.testPrices.swab),
        positiveMoney: group.surfaceIds.reduce((a, id) => a + (more?.get(id) ?? 0), 0),
        delayDays: labOnly ? settings.labDays.lead : 0,
        // A child or a pregnancy, or lead that some test has met already: the rule asks, not the purse.
        mustTest:
          facts.job.publicFunding === 'yes'
            ? why('decide.mustLab', 'cfr24-35.1350')
            : group.surfaceIds.some((id) => more?.get(id) === null)
              ? why('decide.noPriceIfFound', 'firm-setting', {})
              : undefined,
      })
    : null;
  return { group, state, tests, chance, decision };
}

export function assessGroups(facts: JobFacts, plan: JobPlan, settings: FirmSettings, thisYear: number): GroupAssessment[] {
  const byId = new Map(plan.surfaces.map((p) => [p.surfaceId, p]));
  const groups = leadGroups(facts).map((group) => ({ group, plans: group.surfaceIds.flatMap((id) => byId.get(id) ?? []) }));
  const asked = new Set(groups.flatMap(({ group, plans }) => (isOpen(plans) ? group.surfaceIds : [])));
  const extra = positiveMoney(facts, asked, settings, thisYear);
  return groups.map(({ group, plans }) => assessGroup(facts, group, plans, settings, thisYear, extra));
}

/** Chance that a suspect of each kind, from before the ban, holds asbestos. From memory of survey practice: ranks, not measurements. */
const ASBESTOS_PRIOR: Readonly<Record<SuspectKind, number>> = {
  texturedCoat: 0.35,
  plaster: 0.06,
  jointCompound: 0.25,
  bitumenCoat: 0.2,
  putty: 0.15,
  lagging: 0.6,
  heaterBoard: 0.4,
};

export interface AreaAssessment {
  readonly area: AsbestosArea;
  readonly decision: Answer<TestOrAssume> | null;
}

export function assessArea(area: AsbestosArea, facts: JobFacts, settings: FirmSettings): AreaAssessment {
  const settled = area.state.value === 'found' || area.state.value === 'notFound' || area.state.value === 'waiting';
  if (settled || area.members.length === 0) return { area, decision: null };
  const uk = facts.job.rulebook === 'uk';
  const decision = testOrAssume({
    chance: ASBESTOS_PRIOR[area.kind],
    testMoney: area.needed.value * settings.testPrices.bulk,
    positiveMoney: Math.max(area.totalM2, 1) * settings.licensedRemovalPerM2,
    delayDays: settings.labDays.asbestos,
    mustTest: why('decide.beforeDisturb', uk ? 'uk-asbestos' : 'cfr29-1926.1101'),
  });
  return { area, decision };
}
