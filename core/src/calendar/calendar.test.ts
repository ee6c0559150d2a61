/** Working days over holidays, year ends and summer time; notices by their days. */
import { aFacts, aSurface } from '../testing';
import { addDays, earliestStart, holidays, isWorkingDay, noticesOf, workingDaysBefore } from './index';

// US Office of Personnel Management, federal holidays 2026 and 2027; gov.uk, bank holidays in England and Wales 2026 and 2027: from memory.
test.each([
  ['us', 2026, ['01-01', '01-19', '02-16', '05-25', '06-19', '07-03', '09-07', '10-12', '11-11', '11-26', '12-25']],
  ['us', 2027, ['01-01', '01-18', '02-15', '05-31', '06-18', '07-05', '09-06', '10-11', '11-11', '11-25', '12-24', '12-31']],
  ['uk', 2026, ['01-01', '04-03', '04-06', '05-04', '05-25', '08-31', '12-25', '12-28']],
  ['uk', 2027, ['01-01', '03-26', '03-29', '05-03', '05-31', '08-30', '12-27', '12-28']],
] as const)('public holidays, %s %d', (country, year, want) => {
  const own = [...holidays(country, year)].filter((d) => d.startsWith(String(year))).map((d) => d.slice(5));
  expect(own.sort()).toEqual([...want]);
});

test('ten working days before, over a holiday, the end of the year and the change of the clocks', () => {
  // Counted by hand on a calendar.
  expect(workingDaysBefore('2026-11-30', 10, 'us')).toBe('2026-11-13');
  expect(workingDaysBefore('2027-01-05', 3, 'us')).toBe('2026-12-30');
  expect(workingDaysBefore('2026-04-08', 2, 'uk')).toBe('2026-04-02');
  expect(workingDaysBefore('2026-03-30', 1, 'uk')).toBe('2026-03-27');
  expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
  expect([isWorkingDay('2026-05-04', 'us'), isWorkingDay('2026-05-04', 'uk')]).toEqual([true, false]);
});

describe('notices', () => {
  const facts = (job: object = {}) => aFacts(aSurface(), { job: { startOn: '2026-11-30', tenure: 'rented', ...job } });
  const ids = (job: object, over: object = {}) =>
    noticesOf({ facts: facts(job), lead: true, asbestosOut: false, asbestosOwn: false, today: '2026-11-01', ...over }).map((n) => [
      n.id,
      n.from,
      n.by,
      n.late,
    ]);
  // 40 CFR 745.84: not more than 60 days before; by post 7 days before.
  test('the pamphlet has a first and a last day, and post takes a week', () => {
    expect(ids({})).toEqual([
      ['pamphlet', '2026-10-01', '2026-11-30', false],
      ['pamphletPost', '2026-10-01', '2026-11-23', false],
      ['records', '2026-11-30', null, false],
      ['tenants', null, '2026-11-23', false],
    ]);
    expect(
      ids({}, { today: '2026-11-24' })
        .filter((n) => n[3])
        .map((n) => n[0]),
    ).toEqual(['pamphletPost', 'tenants']);
  });
  test('no first day is no late day; no lead and an owner of their own home need no pamphlet', () => {
    expect(ids({ startOn: null }).every((n) => n[2] === null && n[3] === false)).toBe(true);
    expect(ids({ tenure: 'ownerOccupied' }, { lead: false })).toEqual([]);
    expect(ids({ worker: 'owner', tenure: 'ownerOccupied' })).toEqual([]);
  });
  // 40 CFR 61.145(b): ten working days. Control of Asbestos Regulations 2012: fourteen days for licensed work.
  test('asbestos that somebody takes out: working days in the US, calendar days in the UK; a day that is too near gives the next that fits', () => {
    const asked = { lead: false, asbestosOut: true, asbestosOwn: false, today: '2026-11-20' };
    const us = noticesOf({ facts: facts({ tenure: 'ownerOccupied' }), ...asked });
    expect(us.map((n) => [n.id, n.by, n.late])).toEqual([['asbestosAuthority', '2026-11-13', true]]);
    const uk = noticesOf({ facts: facts({ rulebook: 'uk', tenure: 'ownerOccupied' }), ...asked });
    expect(uk.map((n) => [n.id, n.by, n.late])).toEqual([
      ['ukLicensed', '2026-11-16', true],
      ['ukNotifiable', '2026-11-29', false],
    ]);
    expect(earliestStart({ facts: facts({ rulebook: 'uk', tenure: 'ownerOccupied' }), ...asked })).toBe('2026-12-04');
    expect(earliestStart({ facts: facts({ tenure: 'ownerOccupied' }), ...asked })).toBe('2026-12-07');
  });
});
