/** What is told to whom by which day, before the first stroke and after the last. */
import type { JobFacts } from '../facts';
import { why, type Reason } from '../reasons';
import { bookOf } from '../rulebook';
import { isPaid } from '../walk';
import { addDays, isWorkingDay, workingDaysBefore } from './holidays';

export interface Notice {
  readonly id: 'pamphlet' | 'pamphletPost' | 'tenants' | 'asbestosAuthority' | 'ukLicensed' | 'ukNotifiable' | 'neighbours' | 'records';
  /** The first and the last day on which it is right; null: open at that end, or no first day of work is set. */
  readonly from: string | null;
  readonly by: string | null;
  /** The last day has gone by, and the work has not begun. */
  readonly late: boolean;
  readonly because: Reason;
}

export interface NoticesAsked {
  readonly facts: JobFacts;
  /** Lead in reach of any stroke; asbestos that somebody else will take out. */
  readonly lead: boolean;
  readonly asbestosOut: boolean;
  /** Asbestos that trained people of the firm work themselves. */
  readonly asbestosOwn: boolean;
  /** `2026-05-04`, by the job's own clock. */
  readonly today: string;
}

/** Days before the start. 40 CFR 745.84: at most 60; by post at least 7. 40 CFR 61.145(b): 10 working days. CAR 2012, ASB5: 14 days. */
export const DAYS = { pamphletMost: 60, pamphletPost: 7, asbestosWorking: 10, ukLicensed: 14, neighbours: 7, recordsAfter: 30 } as const;

export function noticesOf({ facts, lead, asbestosOut, asbestosOwn, today }: NoticesAsked): Notice[] {
  const { job } = facts;
  const start = job.startOn;
  const rules = bookOf(job);
  const old = job.yearBuilt === null || job.yearBuilt < rules.leadPresumedBefore.is.value;
  const out: Notice[] = [];
  const add = (id: Notice['id'], from: string | null, by: string | null, because: Reason) =>
    out.push({
      id,
      from,
      by, // Once the work has begun nobody can be told earlier any more.
      late: by !== null && by < today && start !== null && today <= start,
      because,
    });
  const before = (n: number): string | null => (start === null ? null : addDays(start, -n));
  const eve = before(1);
  if (job.rulebook === 'us') {
    if (lead && old && job.dwelling && isPaid(job)) {
      add('pamphlet', before(DAYS.pamphletMost), start, why('notice.pamphlet', 'cfr40-745.84', { days: DAYS.pamphletMost }));
      if (job.tenure !== 'ownerOccupied')
        add(
          'pamphletPost',
          before(DAYS.pamphletMost),
          before(DAYS.pamphletPost),
          why('notice.pamphletPost', 'cfr40-745.84', { days: DAYS.pamphletPost }),
        );
      add('records', start, null, why('notice.records', 'cfr40-745.84', { days: DAYS.recordsAfter }));
    }
    if (asbestosOut)
      add(
        'asbestosAuthority',
        null,
        start === null ? null : workingDaysBefore(start, DAYS.asbestosWorking, 'us'),
        why('notice.asbestos', 'cfr40-61.145', { days: DAYS.asbestosWorking }, 'care'),
      );
  } else if (asbestosOut || asbestosOwn) {
    if (asbestosOut)
      add('ukLicensed', null, before(DAYS.ukLicensed), why('notice.ukLicensed', 'uk-asbestos', { days: DAYS.ukLicensed }, 'care'));
    add('ukNotifiable', null, eve, why('notice.ukNotifiable', 'uk-asbestos', {}, 'care'));
  }
  if (job.tenure === 'rented' || job.family === 'multi')
    add('tenants', null, before(DAYS.neighbours), why('notice.tenants', 'trade-house', { days: DAYS.neighbours }));
  const near = facts.spaces.some(
    (s) => s.removedAt === null && s.kind === 'elevation' && s.nearby.some((n) => n.what === 'neighbourWindow' || n.what === 'playArea'),
  );
  if (lead && near) add('neighbours', null, before(DAYS.neighbours), why('notice.neighbours', 'trade-house', { days: DAYS.neighbours }));
  return out;
}

/** The first working day on which work may begin and no notice comes too late. */
export function earliestStart(asked: NoticesAsked): string {
  let day = asked.today;
  for (let i = 0; i < 60; i += 1) {
    const all = noticesOf({ ...asked, facts: { ...asked.facts, job: { ...asked.facts.job, startOn: day } } });
    if (all.every((n) => !n.late) && isWorkingDay(day, asked.facts.job.rulebook)) return day;
    day = addDays(day, 1);
  }
  return day;
}
