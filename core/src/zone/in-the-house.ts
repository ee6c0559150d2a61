/** The people of the house, and others who work in it: who may be where, when they leave, and when they come back. */
import type { JobFacts } from '../facts';
import { typed, why, type Reason } from '../reasons';
import { byLaw } from '../protect';
import { bookOf } from '../rulebook';
import type { ZonePlan } from './plan';

/** @returns what nobody said of the house counts as there */
export function inTheHouse(zone: ZonePlan, { job }: JobFacts): Reason[] {
  const guarded = zone.protection.needed.value;
  const breathes = zone.hazards.some((h) => ['vapour', 'mold', 'dust', 'mist'].includes(h.kind));
  const out: Reason[] = [];
  const toxic = zone.hazards.some((h) => h.kind === 'poison' || h.kind === 'antifoul');
  if (guarded || toxic) {
    out.push(
      guarded
        ? why('house.crewOnly', byLaw(zone.protection) ? bookOf(job).sources.cleaning : 'trade-house')
        : why('house.poison', 'mem-poison'),
    );
    if (job.childUnder6 !== 'no') out.push(why(job.childUnder6 === 'yes' ? 'house.child' : 'house.childUnsaid', 'trade-house'));
    if (job.pregnancy !== 'no') out.push(why(job.pregnancy === 'yes' ? 'house.pregnancy' : 'house.pregnancyUnsaid', 'trade-house'));
  }
  if (breathes && job.asthma !== 'no') out.push(why(job.asthma === 'yes' ? 'house.asthma' : 'house.asthmaUnsaid', 'trade-house'));
  // The mist of a coat, and what is in it, once the place was given back.
  if (zone.hazards.some((h) => h.kind === 'mist') && (job.livedIn !== 'no' || job.otherTrades.trim() !== ''))
    out.push(why('house.mist', 'trade-lay'));
  if (guarded && job.livedIn !== 'no') out.push(why('house.nights', 'trade-house'));
  if (zone.setup.staying.trim()) out.push(why('house.staying', 'job-record', { who: typed(zone.setup.staying.trim()) }));
  if (job.otherTrades.trim()) out.push(why('house.trades', 'trade-house', { who: typed(job.otherTrades.trim()) }));
  return out;
}
