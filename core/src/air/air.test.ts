/** Air, solvents and breathing, against worked examples outside the project. */
import { convert } from '../units/units';
import { RULEBOOKS } from '../rulebook';
import {
  airAgainstFire,
  airAgainstHarm,
  airFrom,
  changesFlow,
  dayOfLead,
  layAtOnce,
  leadInDust,
  leadLimit,
  leakM3h,
  machinesFor,
  maskFor,
  mayStop,
  mixture,
  monthsToNext,
  ppmIn,
  pressureOver,
  purgeHours,
  RangedError,
  samplePlan,
  shareAfter,
  SOLVENTS,
  twa8,
  vapourM3,
} from './index';

const cfm = (m3h: number) => convert(m3h, 'm3/h', 'cfm');
const ft3 = (n: number) => n * 0.3048 ** 3;

describe('flow', () => {
  // NIOSH and EPA sizing practice: a room of 30 x 20 x 9 ft; a machine of 500 cfm at 80 %.
  test.each([
    [4, 360, 1],
    [6, 540, 2],
  ])('%s changes an hour of 5,400 ft3: %s cfm, %s machines', (ach, wanted, machines) => {
    const flow = changesFlow(ft3(5400), ach);
    expect(cfm(flow)).toBeCloseTo(wanted, 6);
    expect(machinesFor(flow, convert(500, 'cfm', 'm3/h'))).toBe(machines);
  });
  test('exactly what a machine brings is one machine', () => {
    expect(machinesFor(400, 500)).toBe(1);
    expect(machinesFor(400.1, 500)).toBe(2);
  });
  // Orifice equation, Cd 0.61, 1.2 kg/m3: 5 Pa through 0.01 m2 is about 63 m3/h; 0.5 ft2 at 0.02 in w.c. (4.98 Pa) about 185 cfm at Cd 0.65.
  test('a leak, and the pressure that a flow holds over it', () => {
    expect(leakM3h(0.01, 5)).toBeCloseTo(63.4, 1);
    expect(cfm(leakM3h(0.5 * 0.09290304, 0.02 * 249.089, 0.65))).toBeCloseTo(185, -1);
    expect(pressureOver(leakM3h(0.02, 5), 0.02)).toBeCloseTo(5, 9);
  });
  // CDC environmental guideline, table B.1.
  test.each([
    [0.01, 6, 46],
    [0.01, 4, 69],
    [0.001, 6, 69],
  ])('down to %s at %s changes an hour: %s min', (share, ach, minutes) => {
    expect(purgeHours(share, ach) * 60).toBeCloseTo(minutes, 0);
    expect(purgeHours(share, ach, 3)).toBeCloseTo(3 * purgeHours(share, ach), 9);
  });
  test('no fresh air never purges', () => {
    expect(purgeHours(0.01, 0)).toBe(Infinity);
  });
  // Mass balance: 0.5 L/min of vapour, 200 cfm: 88.3 ppm in the end; 87.0 after 30 min in 40 m3.
  test('what a steady source leaves in the air', () => {
    const flow = convert(200, 'cfm', 'm3/h');
    expect(shareAfter(0.03, flow, 40, 1000) * 1e6).toBeCloseTo(88.3, 1);
    expect(shareAfter(0.03, flow, 40, 0.5) * 1e6).toBeCloseTo(87.0, 1);
    expect(shareAfter(0.03, 0, 40, 2) * 1e6).toBeCloseTo(1500, 6);
  });
});

describe('solvent in a room', () => {
  const spirits = SOLVENTS.mineralSpirits;
  // Ideal gas at 20 C; ACGIH Industrial Ventilation for the shape of the rule.
  test('a litre of mineral spirits: its vapour, its air, a closed room', () => {
    expect(vapourM3(780, spirits)).toBeCloseTo(0.132, 3);
    expect(airAgainstFire(780, spirits)).toBeCloseTo(146.9, 0);
    expect(airAgainstFire(780, spirits, 0.25)).toBeCloseTo(58.7, 0);
    expect(ppmIn(780, spirits, 40)).toBeCloseTo(3304, -1);
    // At 100 ppm about 1,300 m3, mixed well.
    expect(airAgainstHarm(780, spirits, 100, 1)).toBeCloseTo(1320, -1);
  });
  // Industrial ventilation texts: 200 g/h of M 92 held at 50 ppm with K 3 asks for 3,143 m3/h (0.0241 m3/mol there).
  test('fresh air against harm', () => {
    expect(airAgainstHarm(200, { mw: 92 }, 50, 3) / 3143).toBeCloseTo(1, 2);
  });
  test('too much at once: twice the room and twice the windows let twice as much be laid; a longer drying lets more', () => {
    const given = { solvent: 'mineralSpirits', litresPerM2: 0.1, hours: 2, volumeM3: 40, freshM3h: 100 } as const;
    const one = layAtOnce(given);
    // 50 g/h at 100 ppm, mixed by 3; a room of 40 m3 and 100 m3/h give 120 m3/h: worked by hand.
    expect(one.perM2.harm).toBeCloseTo(198.2, 0);
    expect(one.atOnceM2).toBeCloseTo(120 / one.perM2.harm, 9);
    expect(layAtOnce({ ...given, volumeM3: 80, freshM3h: 200 }).atOnceM2).toBeCloseTo(2 * one.atOnceM2, 9);
    expect(layAtOnce({ ...given, hours: 4 }).atOnceM2).toBeGreaterThan(one.atOnceM2);
    // ACGIH and AIHA against 29 CFR 1910.1000: of what is worse to breathe less may be laid.
    expect(layAtOnce({ ...given, solvent: 'toluene' }).atOnceM2).toBeLessThan(one.atOnceM2 / 4);
    expect(() => layAtOnce({ ...given, volumeM3: 0 })).toThrow(RangedError);
  });
  test('solvents that act alike are summed', () => {
    expect(
      mixture([
        { ppm: 50, limitPpm: 100 },
        { ppm: 60, limitPpm: 100 },
      ]),
    ).toBeCloseTo(1.1, 9);
  });
});

describe('a day’s lead', () => {
  // 29 CFR 1926.62(c): 90 x 4 + 120 x 1.5 + 0 x 2.5 over eight hours is 67.5.
  test('over eight hours', () => {
    const tasks = [
      { ugM3: 90, hours: 4 },
      { ugM3: 120, hours: 1.5 },
      { ugM3: 0, hours: 2.5 },
    ];
    expect(twa8(tasks)).toBeCloseTo(67.5, 9);
    expect(dayOfLead(tasks, 'osha')).toMatchObject({ over: true, atAction: true, limit: 50 });
    expect(monthsToNext(dayOfLead(tasks, 'osha'))).toBe(3);
  });
  // 29 CFR 1926.62(c)(2): 400 divided by the hours.
  test.each([
    [8, 50],
    [10, 40],
    [12, 33.3],
  ])('a shift of %s h has a limit of %s', (hours, limit) => {
    expect(leadLimit('osha', hours)).toBeCloseTo(limit, 1);
  });
  test('ten hours: 75 x 4 + 60 x 3 + 0 x 3 is 60.0 over eight and 48.0 over the shift, against 40.0', () => {
    const day = dayOfLead(
      [
        { ugM3: 75, hours: 4 },
        { ugM3: 60, hours: 3 },
        { ugM3: 0, hours: 3 },
      ],
      'osha',
    );
    expect([day.twa8, day.average, day.limit, day.over]).toEqual([60, 48, 40, true]);
    expect(day.factor).toBeCloseTo(1.2, 9);
  });
  test('the three sets: what is over in California may be under at OSHA and in the United Kingdom; the action level is met by reaching it', () => {
    const tasks = [{ ugM3: 30, hours: 8 }];
    expect(dayOfLead(tasks, 'osha')).toMatchObject({ over: false, atAction: true });
    expect(dayOfLead(tasks, 'california')).toMatchObject({ over: true });
    expect(dayOfLead(tasks, 'uk')).toMatchObject({ over: false, atAction: false });
    expect(dayOfLead([{ ugM3: 29.9, hours: 8 }], 'osha').atAction).toBe(false);
  });
  test('30 hours in a day, or less than nothing, is refused', () => {
    expect(() => dayOfLead([{ ugM3: 10, hours: 30 }], 'osha')).toThrow('30 hours in one day');
    expect(() => twa8([{ ugM3: -1, hours: 2 }])).toThrow(RangedError);
  });
  // 29 CFR 1910.134 table 1: half mask 10, full face 50.
  test('the least mask that has the factor; a vapour asks for one that takes a cartridge', () => {
    const list = RULEBOOKS.us.respirators;
    expect(maskFor(list, 36, false)?.id).toBe('fullFace');
    expect(maskFor(list, 10, false)?.id).toBe('halfMask');
    expect(maskFor(list, 10.01, false)?.apf).toBe(25);
    expect(maskFor(list, 1001, false)).toBeNull();
    expect(maskFor(RULEBOOKS.uk.respirators, 20, false)?.id).toBe('ffp3');
    expect(maskFor(RULEBOOKS.uk.respirators, 20, true)?.id).toBe('halfP3');
  });
  test('dust of 2.0 mg/m3 with 5 % of lead in it is 100 ug/m3', () => {
    expect(leadInDust(2, 5)).toBeCloseTo(100, 9);
  });
});

describe('air samples', () => {
  test('2 L/min for 8 h: 960 L; the least that the lab sees, and what the filter held', () => {
    const plan = samplePlan({ lPerMin: 2, minutes: 480, leastUg: 1 }, 480, 50);
    expect(plan.litres).toBe(960);
    expect(plan.detectableUgM3).toBeCloseTo(1.04, 2);
    expect(plan.tells).toBe(true);
    expect(airFrom(48, 960)).toBeCloseTo(50, 9);
  });
  test('too short to tell, or longer than its shift', () => {
    expect(samplePlan({ lPerMin: 2, minutes: 15, leastUg: 1 }, 480, 50).tells).toBe(false);
    expect(() => samplePlan({ lPerMin: 2, minutes: 500, leastUg: 1 }, 480, 50)).toThrow('it cannot be longer');
    expect(() => samplePlan({ lPerMin: 0, minutes: 100, leastUg: 1 }, 480, 50)).toThrow(RangedError);
  });
  // 29 CFR 1926.62(d)(6): two results under the action level, at least seven days apart.
  test('monitoring stops after two results under the action level seven days apart, not six, and not when one between was above', () => {
    const at = (day: number, twa: number) => ({ at: `2026-05-${String(day).padStart(2, '0')}T12:00:00.000Z`, twa8: twa });
    expect(mayStop([at(1, 10), at(8, 12)], 'osha')).toBe(true);
    expect(mayStop([at(1, 10), at(7, 12)], 'osha')).toBe(false);
    expect(mayStop([at(1, 10), at(5, 40), at(9, 12)], 'osha')).toBe(false);
    expect(mayStop([at(1, 30), at(8, 12)], 'osha')).toBe(false);
    expect(mayStop([], 'osha')).toBe(false);
  });
});
