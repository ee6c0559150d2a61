/** The narrow views that a surface may have of its job and of its room: what is not in them cannot change its plan. */
import type { Job, Space, Surface } from '../facts';
import { moldKitFor } from '../probe/mold';
import { RULEBOOKS, type Rulebook } from '../rulebook';
import type { SiteView, SpaceView } from '../surface/context';
import { isPaid } from '../walk';

export const live = <T extends { readonly removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);

export const yearOf = (job: Job, space: Space | undefined, s: Surface): number | null => s.yearMade ?? space?.yearBuilt ?? job.yearBuilt;

function occupants(job: Job): SiteView['childOrPregnancy'] {
  if (job.childUnder6 === 'yes' || job.pregnancy === 'yes') return 'yes';
  return job.childUnder6 === 'no' && job.pregnancy === 'no' ? 'no' : 'unknown';
}

export const siteView = (job: Job, thisYear: number): SiteView => ({
  rulebook: RULEBOOKS[job.rulebook],
  dwelling: job.dwelling,
  paid: isPaid(job),
  assisted: job.publicFunding === 'yes',
  childOrPregnancy: occupants(job),
  power: job.power,
  water: job.water,
  listed: job.listed,
  asthma: job.asthma,
  others: job.otherTrades.trim() !== '' || job.livedIn === 'yes',
  thisYear,
});

/** @param growthM2 of each surface with growth in it, m2; null: unmeasured */
export const spaceView = (
  space: Space,
  growthM2: readonly (number | null)[],
  minorWork: boolean | null,
  rulebook: Rulebook,
): SpaceView => ({
  kind: space.kind,
  lengthM: space.lengthM,
  widthM: space.widthM,
  boundaryM: space.boundaryM,
  services: space.services,
  accessM: space.accessM ?? 0,
  goesAnyway: space.goesAnyway,
  causeKnown: space.moisture !== null,
  moldKit: growthM2.length > 0 ? moldKitFor(growthM2, rulebook) : null,
  minorWork,
});

/** In which of the three kinds of place a surface is worked. */
export const placeOf = (s: Surface, space: SpaceView): 'inside' | 'outside' | 'bench' =>
  s.bench ? 'bench' : space.kind === 'room' ? 'inside' : 'outside';
