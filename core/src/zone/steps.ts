/** What a zone does once for all its surfaces: set up, clean daily and at the end, verify. Hours of setting up: common practice, no published source. */
import type { Machine, MethodId, Nearby, Service, Surface } from '../facts';
import { methodById, pours, type Method } from '../catalogue';
import type { Range } from '../units/units';
import { measure } from '../units/units';
import { standingText, type Standing } from '../probe';
import { typed, why, type Answer, type Reason } from '../reasons';
import { lacksAirSupply, type Limit } from '../rulebook';
import { byLaw, onAirline, type Protection, type ZoneContext } from '../protect';
import { type Needs } from '../surface/needs';
import type { ZoneAir } from './air';
import { accessGates, nestGates, type ZoneAccess } from './access';
import { drawnIn, machineGates } from './machines';
import { measuresOf } from './measures';
import { nearbyGates } from './nearby';
import { clothsForFloor } from '../work';
import { gate, gateOf, plus, stepOf, type Asked, type GateSpec, type StepSpec } from '../step';

/** Person-hours of a zone's own work. Common practice, no published source. */
const ALLOW = {
  layOut: { low: 0.25, high: 0.75 },
  cover: { low: 0.25, high: 0.5 },
  contain: { low: 0.5, high: 1 },
  airMachine: { low: 0.25, high: 0.5 },
  layPerM2: { low: 1 / 40, high: 1 / 15 },
  daily: { low: 0.25, high: 0.5 },
  cleanUp: { low: 0.25, high: 0.5 },
  cleanLead: { low: 0.5, high: 1 },
  cleanPerM2: { low: 1 / 30, high: 1 / 12 },
  verify: { low: 0.25, high: 0.75 },
  takeDown: { low: 0.25, high: 0.5 },
} as const satisfies Record<string, Range>;
const by = (r: Range, k: number): Range => ({ low: r.low * k, high: r.high * k });

export interface ZoneWork {
  readonly ctx: ZoneContext;
  readonly needs: readonly Needs[];
  readonly protection: Protection;
  /** Every method that is planned in it, those that disturb nothing too. */
  readonly methods: readonly MethodId[];
  /** The pieces that are worked. */
  readonly workedIds: readonly string[];
  /** Hours of the strokes, hands on. */
  readonly strokesH: Range;
  readonly crew: number;
  readonly shiftH: number;
  readonly assisted: boolean;
  readonly childLivesHere: boolean;
  /** All of it is minor work; null: no such class. */
  readonly minorWork: boolean | null;
  readonly goesAnyway: readonly string[];
  readonly services: readonly Service[];
  readonly nearby: readonly Nearby[];
  /** How far the mist of its coats flies outdoors, m; 0: none is sprayed. */
  readonly mistReachM: number;
  /** Water or a chemical runs down from a stroke, a wash or a rinse. Law H10. */
  readonly runsOff: boolean;
  /** Pieces of the zone, some of which are its way in and where its air goes out. */
  readonly openings: readonly { readonly name: string; readonly opening: Surface['opening'] }[];
  /** Of the firm, that stand in it. */
  readonly machines: readonly Machine[];
  /** Suction while growth is cleaned; null: none is asked for. */
  readonly air: Answer<ZoneAir> | null;
  /** From what it is worked. */
  readonly access: Answer<ZoneAccess> | null;
  /** Pieces in it that may hold asbestos and stay as they are. */
  readonly asbestosBeside: readonly AsbestosBeside[];
}

/** What stands in a zone, is not worked on, and may hold asbestos. */
export interface AsbestosBeside {
  readonly surfaceId: string;
  readonly name: string;
  readonly standing: Standing;
}
const besideGate = (all: readonly AsbestosBeside[], { rulebook }: ZoneContext): GateSpec[] => {
  if (all.length === 0) return [];
  const found = all.some((b) => b.standing.word === 'found');
  return [
    gateOf(
      { pieceIds: all.map((b) => b.surfaceId), spokeOf: found ? ['found'] : [] },
      'asbestosBeside',
      'protect',
      why(found ? 'gate.asbestosBesideFound' : 'gate.asbestosBeside', rulebook.sources.asbestosWork, {
        what: typed(all.map((b) => `${b.name} (${standingText(b.standing, 'm')})`).join(', ')),
      }),
    ),
  ];
};

/** What is thrown out anyway is not wrapped and saved: it stays as the first sheet, and leaves as waste of the work. */
const thrownOut = (what: readonly string[]): Reason[] =>
  what.filter((w) => w.trim() !== '').map((w) => why('prep.goesAnyway', 'job-record', { what: typed(w.trim()) }));

/** By which pieces a sealed room is entered, and by which its air goes out. */
function inAndOut({ openings, ctx: { place, rulebook } }: ZoneWork): Reason[] {
  if (place !== 'inside') return [];
  const named = (use: Surface['opening']) => openings.filter((o) => o.opening === use).map((o) => typed(o.name));
  const [doors, air] = [named('wayIn'), named('airOut')];
  return [
    ...(doors.length > 0 ? [why('protect.wayIn', rulebook.sheetBeyond.inside.source, { doors })] : []),
    ...(air.length > 0 ? [why('protect.airOut', 'trade-contain', { by: air })] : []),
  ];
}

/** Working days of the crew for so many hours, each begun day a whole one. */
const daysFor = (hoursH: number, { crew, shiftH }: ZoneWork): number => Math.ceil(hoursH / (crew * shiftH) - 1e-9);

/** The work beside live services: what is made safe before the first stroke, and put back after the last. Law H10. */
function besideServices({ services, needs }: ZoneWork): { readonly before: GateSpec[]; readonly after: GateSpec[] } {
  const methods = [...new Set(needs.flatMap((n) => n.methods))].map(methodById);
  const any = (f: (m: Method) => boolean) => methods.some(f);
  const hot = any((m) => m.heatC !== null && m.heatC > 150);
  const before: GateSpec[] = [];
  const after: GateSpec[] = [];
  if (services.includes('gasPipe') && any((m) => m.powered || m.vapour))
    before.push(gate('gasTight', 'protect', why('gate.gasTight', 'trade-rust')));
  if (services.includes('wiring') && any((m) => m.wet)) before.push(gate('wiringDead', 'protect', why('gate.wiringDead', 'trade-strip')));
  if (services.includes('liveHeater') && any((m) => m.vapour || m.wet))
    before.push(gate('heaterCold', 'protect', why('gate.heaterCold', 'trade-heat')));
  if (services.includes('alarm') && any((m) => m.dust === 'high' || (m.heatC !== null && m.heatC > 90))) {
    before.push(gate('alarmCovered', 'protect', why('gate.alarmCovered', 'trade-heat')));
    after.push(gate('alarmUncovered', 'cleanUp', why('gate.alarmUncovered', 'trade-heat')));
  }
  const watch = measure(60, 'min');
  if (hot) after.push(gate('fireWatch', 'cleanUp', why('gate.fireWatch', 'nfpa-51b', { watch }), [{ what: 'waitedMin', atLeast: watch }]));
  return { before, after };
}

export function zoneSteps(z: ZoneWork): StepSpec[] {
  const { ctx, protection } = z;
  const { rulebook } = ctx;
  const guarded = protection.needed.value;
  const laid = protection.sheetLaidM2.value;
  const hose = onAirline(protection, rulebook);
  const outside = ctx.place === 'outside';
  const { is: wind, source: windBy } = rulebook.windStop;
  // Another mask is another check: what was put on for the lighter one does not count.
  const kitGate = gateOf(
    { spokeOf: protection.kit.map((k) => k.value) },
    { hold: 'kitOn', wear: protection.respirator.value ?? 'dress' },
    'protect',
    why('gate.kitOn', rulebook.respiratorSource),
  );
  const windGate = gate('wind', 'protect', why('gate.wind', windBy, { limit: wind }), [{ what: 'windMs', below: wind }]);
  const working = z.needs.flatMap((n) => n.methods);
  const reached = z.needs.flatMap((n) => n.reaches);
  const beside = besideServices(z);
  const measures = measuresOf(z.needs, ctx);
  // What is neither lead nor asbestos is kept in and cleaned up on their model.
  const [sheetBy, cleanBy] = byLaw(protection)
    ? [rulebook.sheetBeyond.inside.source, rulebook.sources.cleaning]
    : (['trade-contain', 'trade-contain'] as const);
  const tools = z.methods.map(methodById).reduce<Range>((sum, m) => plus(sum, m.setUpH), ALLOW.layOut);
  const steps = [
    stepOf({
      step: 'protect',
      kind: 'protect',
      title: guarded
        ? why('step.protect', 'trade-contain', { area: measure(laid, 'm2') })
        : why(outside ? 'step.coverGround' : 'step.cover', 'trade-contain'),
      handsOnH: plus(
        plus(tools, by(ALLOW.airMachine, z.air?.value.machines ?? 0)),
        guarded ? plus(ALLOW.contain, by(ALLOW.layPerM2, laid)) : ALLOW.cover,
      ),
      // What the price holds, whatever the care: it is bought.
      amounts: [
        ...(protection.sheetBoughtM2 > 0 ? [{ what: 'sheet', amount: measure(protection.sheetBoughtM2, 'm2') }] : []),
        // In the price of the sheet.
        ...(protection.fixings.tapeM > 0 ? [{ what: 'tape', amount: measure(Math.ceil(protection.fixings.tapeM), 'm') }] : []),
        ...(protection.fixings.poles > 0 ? [{ what: 'poles', amount: measure(protection.fixings.poles, 'pieces') }] : []),
        ...(protection.fixings.zipDoors > 0 ? [{ what: 'zipDoors', amount: measure(protection.fixings.zipDoors, 'pieces') }] : []),
        ...(protection.bags.value > 0 ? [{ what: 'wasteBags', amount: measure(protection.bags.value, 'pieces') }] : []),
        ...(z.air ? [{ what: 'airMachines', amount: measure(z.air.value.machines, 'pieces') }] : []),
      ],
      because: [
        ...(z.air?.because ?? []),
        ...(z.access?.because ?? []),
        ...(hose && lacksAirSupply(ctx.settings) ? [why('ppe.airToHire', 'firm-setting', {}, 'care')] : []),
        ...(guarded
          ? [
              ...protection.sheetLaidM2.because,
              ...protection.openings.because,
              ...inAndOut(z),
              ...protection.respirator.because,
              ...thrownOut(z.goesAnyway),
            ]
          : [
              ...protection.needed.because,
              ...protection.sheetLaidM2.because,
              ...protection.respirator.because,
              ...thrownOut(z.goesAnyway),
            ]),
      ],
      gates: [
        ...besideGate(z.asbestosBeside, ctx),
        ...beside.before,
        ...accessGates(
          z.access,
          ctx,
          z.nearby.some((n) => n.what === 'scaffold'),
        ),
        ...nestGates(ctx),
        ...nearbyGates(
          z.nearby,
          {
            guarded,
            runsOff: z.runsOff,
            pours: working.some((id) => pours(methodById(id))),
            blasts: working.some((id) => methodById(id).blast !== 'no' && !methodById(id).hepa),
            heightM: ctx.accessM,
            mistReachM: z.mistReachM,
          },
          rulebook,
        ),
        ...machineGates(z.machines, z.needs),
        ...(guarded
          ? [
              gateOf(
                { pieceIds: z.workedIds, spokeOf: [protection.care] },
                'containmentUp',
                'protect',
                why(protection.care === 'lead' ? 'gate.containmentUp' : 'gate.containmentUpUnsigned', sheetBy),
              ),
            ]
          : []),
        ...measures.before,
        ...(guarded && ctx.place === 'inside' && (z.services.includes('gasPipe') || z.services.includes('liveHeater'))
          ? [gate('ventsOpen', 'protect', why('gate.ventsOpen', 'trade-gas'))]
          : []),
        ...(hose ? [gate('breathingAir', 'protect', why('gate.breathingAir', rulebook.respiratorSource))] : []),
        ...(guarded || protection.respirator.value !== null || measures.dressed ? [kitGate] : []),
        ...(outside && (guarded || working.some((id) => methodById(id).blast !== 'no')) ? [windGate] : []),
        ...(z.air ? [gate('airRuns', 'protect', why('gate.airRuns', z.air.because[0]!.source))] : []),
      ],
    }),
  ];
  // Dust of a little lead settles as any lead does.
  const low = z.needs.some((n) => n.low.length > 0);
  const days = { low: daysFor(z.strokesH.low, z), high: daysFor(z.strokesH.high, z) };
  if (guarded && days.high > 1)
    steps.push(
      stepOf({
        step: 'daily',
        kind: 'cleanUp',
        title: why('step.daily', cleanBy, { times: Math.max(1, days.high - 1) }),
        handsOnH: { low: ALLOW.daily.low * Math.max(0, days.low - 1), high: ALLOW.daily.high * (days.high - 1) },
        gates: z.air ? [gate('smokeDaily', 'cleanUp', why('gate.smokeDaily', z.air.because[0]!.source))] : [],
      }),
    );
  steps.push(
    stepOf({
      step: 'cleanUp',
      kind: 'cleanUp',
      title: why(protection.care === 'lead' ? 'step.cleanUpLead' : guarded ? 'step.cleanUpGuarded' : 'step.cleanUp', cleanBy),
      handsOnH: guarded ? plus(ALLOW.cleanLead, by(ALLOW.cleanPerM2, laid)) : ALLOW.cleanUp,
      because: guarded
        ? [
            ...(z.machines.length > 0 && drawnIn(reached) !== 'nothing'
              ? [why('clean.tagMachines', 'trade-contain', { machines: z.machines.map((m) => typed(m.name)), on: drawnIn(reached) })]
              : []),
            why(outside ? 'clean.outside' : rulebook.id === 'uk' ? 'clean.insideUk' : 'clean.inside', cleanBy, {
              beyond: measure(2, 'ft'),
            }),
          ]
        : low
          ? [
              why(outside ? 'clean.outside' : rulebook.id === 'uk' ? 'clean.insideUk' : 'clean.inside', 'trade-contain', {
                beyond: measure(2, 'ft'),
              }),
              ...(outside ? [] : childWipes(z, 0)),
            ]
          : [],
      gates: [...beside.after, ...measures.after, ...(guarded || low ? [gate('cleaned', 'cleanUp', why('gate.cleaned', cleanBy))] : [])],
    }),
  );
  if (protection.care === 'lead')
    steps.push(
      verifyStep(z),
      ...clearance(
        z,
        z.needs.some((n) => n.lead && n.sills > 0),
      ),
    );
  if (guarded)
    steps.push(
      stepOf({
        step: 'release',
        kind: 'verify',
        title: why('step.release', 'trade-contain'),
        handsOnH: ALLOW.takeDown,
        because: protection.sign.value.length > 0 ? [why('release.signLast', rulebook.signSource)] : [],
        gates: [gate('released', 'cleanUp', why('gate.released', 'trade-contain'))],
      }),
    );
  return steps;
}

/** A floor and a sill of each window, one more of the floor outside the zone. Common practice, no published source. */
const CHILD_WIPES = 2;
function childWipes({ ctx: { settings, rulebook }, childLivesHere }: ZoneWork, sills: number): Reason[] {
  if (!childLivesHere) return [];
  const count = CHILD_WIPES + sills;
  return [
    why(
      'verify.childWipes',
      rulebook.sources.childWipes,
      { count, money: measure(count * settings.testPrices.chip, settings.pricesIn) },
      'care',
    ),
  ];
}

function verifyStep(z: ZoneWork): StepSpec {
  const {
    ctx: { rulebook, place },
    needs,
    protection,
  } = z;
  const section: Limit = rulebook.floorSectionBelow;
  const outside = place === 'outside';
  const card = rulebook.verifiedBy === 'card';
  const source = rulebook.sources.verification;
  const sills = needs.reduce((sum, n) => sum + (n.lead ? n.sills : 0), 0);
  return stepOf({
    step: 'verify',
    kind: 'verify',
    title: why(outside ? 'step.verifyOutside' : card ? 'step.verifyInside' : 'step.verifyCloth', source),
    handsOnH: ALLOW.verify,
    amounts: outside
      ? []
      : [{ what: 'wipeCloths', amount: measure(clothsForFloor(protection.sheetLaidM2.value, section) + sills, 'pieces') }],
    because: outside ? [] : [...childWipes(z, sills), why(card ? 'verify.card' : 'verify.cloth', source, { limit: section.is })],
    gates: [gate('verified', 'cleanUp', why(outside ? 'gate.nothingVisible' : card ? 'gate.cardPasses' : 'gate.clothsClean', source))],
  });
}

/** 24 CFR 35.1340: in assisted housing, beyond the smallest work, an examination clears it and not the firm's own cloths. */
function clearance({ ctx: { rulebook }, assisted, minorWork }: ZoneWork, windows: boolean): StepSpec[] {
  const { dustAction } = rulebook;
  if (!assisted || dustAction === null || rulebook.minorWorkAssisted === null || minorWork !== false) return [];
  const [floor, sill, trough] = [dustAction.floor.is, dustAction.sill.is, dustAction.trough.is];
  return [
    stepOf({
      step: 'clearance',
      kind: 'verify',
      title: why('step.clearance', 'cfr24-35.1340'),
      waitH: { low: 1, high: 96 },
      gates: [
        gate('clearance', 'cleanUp', why('gate.clearance', 'cfr24-35.1340', { floor, sill, trough }), [
          { what: 'dustFloor', below: floor },
          ...(windows
            ? ([
                { what: 'dustSill', below: sill },
                { what: 'dustTrough', below: trough },
              ] satisfies Asked[])
            : []),
        ]),
      ],
    }),
  ];
}
