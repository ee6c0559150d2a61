/** What the site asks for before anybody starts, whatever the method: from who lives there, who pays, and what the building is. */
import type { JobFacts } from '../facts';
import { typed, why, type Reason } from '../reasons';
import { bookOf } from '../rulebook';
import { convert, measure } from '../units/units';
import { isPaid } from './paid';

/** @returns duties in the order in which they fall due; each with its source */
export function siteDuties(facts: JobFacts): Reason[] {
  const { job } = facts;
  const rules = bookOf(job);
  const old = job.yearBuilt === null || job.yearBuilt < rules.leadPresumedBefore.is.value;
  const out: Reason[] = [];
  if (job.listed === 'yes') out.push(why('duty.consent', 'trade-aim', {}));
  if (old && job.dwelling && rules.id === 'us' && isPaid(job)) {
    out.push(why('duty.pamphlet', 'cfr40-745.84', {}));
    if (job.contractIn === 'other') out.push(why('duty.languageOther', 'cfr40-745.84', {}));
    else if (job.contractIn !== 'en') out.push(why('duty.language', 'cfr40-745.84', { language: `language.${job.contractIn}` }));
    if (job.tenure === 'rented') out.push(why('duty.tenant', 'cfr40-745.84', {}));
    if (job.tenure === 'unknown') out.push(why('duty.tenantUnknown', 'cfr40-745.84', {}));
  }
  if (old && job.publicFunding === 'yes' && rules.minorWorkAssisted) {
    const { insideRoom } = rules.minorWorkAssisted;
    out.push(why('duty.assisted', insideRoom.source, { inside: insideRoom.is }));
  }
  if (old && (job.childUnder6 === 'yes' || job.pregnancy === 'yes')) out.push(why('duty.child', rules.sources.verification, {}));
  if (job.dwellings !== null && job.dwellings > 1 && job.samplingSeed.trim() === '')
    out.push(why('duty.dwellings', rules.sources.sampling, { count: job.dwellings }));
  if (job.otherTrades.trim() !== '') out.push(why('duty.trades', rules.sources.cleaning, { who: typed(job.otherTrades.trim()) }));
  const near = Math.min(...facts.spaces.flatMap((s) => (s.removedAt === null && s.boundaryM !== null ? [s.boundaryM] : [])));
  const { is: screen, source } = rules.screenWithin;
  if (near < convert(screen.value, screen.unit, 'm')) out.push(why('duty.neighbour', source, { near: measure(near, 'm') }));
  return out;
}
