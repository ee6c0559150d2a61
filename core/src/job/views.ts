/** The narrow views that a surface may have of its job and of its room: what is not in them cannot change its plan. */
import type { Job, Space, Surface, WallId } from '../facts';
import { limitSetOf } from '../air/breathing';
import type { OwnAir } from '../air/own-samples';
import type { HazardState } from '../probe/state';
import { moldKitFor, type MoldKit } from '../probe/mold';
import { asbestosTrainedOn, entitledOn, bookFor, type FirmSettings, type Rulebook } from '../rulebook';
import { HISTORIC_BEFORE, type SiteView, type SpaceView } from '../views';
import { isPaid } from '../walk';
import type { ZoneGiven, ZoneView } from '../zone';
import type { Floor } from '../geometry/shapes';

export const live = <T extends { readonly removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);

export const yearOf = (job: Job, space: Space | undefined, s: Surface): number | null => s.yearMade ?? space?.yearBuilt ?? job.yearBuilt;

function occupants(job: Job): SiteView['childOrPregnancy'] {
  if (job.childUnder6 === 'yes' || job.pregnancy === 'yes') return 'yes';
  return job.childUnder6 === 'no' && job.pregnancy === 'no' ? 'no' : 'unknown';
}

/** A building of this age, or of none that is known, may be protected without anybody on site knowing. */
export const mayBeListed = (job: Pick<Job, 'yearBuilt'>): boolean => job.yearBuilt === null || job.yearBuilt < HISTORIC_BEFORE;

export const siteView = (job: Job, settings: FirmSettings, thisYear: number): SiteView => ({
  rulebook: bookFor(job, settings),
  airLimits: limitSetOf(job.rulebook, job.stateLayer),
  dwelling: job.dwelling,
  paid: isPaid(job),
  assisted: job.publicFunding === 'yes',
  childOrPregnancy: occupants(job),
  ownHomeWithChild: job.dwelling && !isPaid(job) && occupants(job) !== 'no',
  childLivesHere: job.dwelling && job.childUnder6 === 'yes',
  power: job.power,
  water: job.water,
  listed: job.listed === 'unknown' && !mayBeListed(job) ? 'no' : job.listed,
  // Who lives in the house matters where somebody does; what nobody said counts as there.
  asthma: job.asthma === 'unknown' && !job.dwelling ? 'no' : job.asthma,
  others: job.otherTrades.trim() !== '' ? 'yes' : job.livedIn === 'unknown' && !job.dwelling ? 'no' : job.livedIn,
  entitled: entitledOn(settings, job.startOn, thisYear),
  asbestosTrained: asbestosTrainedOn(settings, job.startOn, thisYear),
  thisYear,
});

/** A usual storey: where a scaffold stands and nobody said how high the work is, it is at least this high. Common practice, no published source. */
const STOREY_M = 3;
const onScaffold = ({ kind, nearby }: Pick<Space, 'kind' | 'nearby'>): boolean =>
  kind === 'elevation' && nearby.some((n) => n.what === 'scaffold');

/**
 * @param growthM2 of each surface with growth in it, m2; null: unmeasured
 * @param asbestosPiece the strictest state of lagging and boards in it
 * @param gasPipe one of its surfaces is a gas pipe: whatever else is worked in it is worked beside gas
 */
export const spaceView = (
  space: Space,
  growthM2: readonly (number | null)[],
  minorWork: boolean | null,
  suspectM2: number,
  gasPipe: boolean,
  asbestosPiece: HazardState,
  rulebook: Rulebook,
): SpaceView => ({
  kind: space.kind,
  lengthM: space.lengthM,
  widthM: space.widthM,
  heightM: space.heightM,
  boundaryM: space.boundaryM,
  services: gasPipe && !space.services.includes('gasPipe') ? [...space.services, 'gasPipe'] : space.services,
  nearby: space.kind === 'elevation' ? space.nearby : [],
  accessM: space.accessM ?? (onScaffold(space) ? Math.max(space.heightM ?? 0, STOREY_M) : 0),
  goesAnyway: space.goesAnyway,
  causeKnown: space.moisture !== null,
  comesIn: space.moisture !== null && (space.moisture.leak === 'yes' || space.moisture.rising === 'yes'),
  moldKit: growthM2.length > 0 ? moldKitFor(growthM2, rulebook) : null,
  minorWork,
  asbestosPiece,
  suspectM2,
});

/** The house from above, from the lengths of its sides; null: too few were measured. */
export function footprintOf(spaces: readonly Space[]): Floor | null {
  const along = (...sides: readonly WallId[]) =>
    spaces.find((s) => s.kind === 'elevation' && s.removedAt === null && s.lengthM !== null && s.side !== null && sides.includes(s.side))
      ?.lengthM;
  const [lengthM, widthM] = [along('A', 'C'), along('B', 'D')];
  return lengthM && widthM ? { lengthM, widthM } : null;
}

/** From the lightest to the heaviest. */
const MOLD_KITS: readonly MoldKit[] = ['n95', 'ffp3', 'n95Suit', 'ffp3Suit', 'fullFace', 'fullP3'];

/**
 * What a zone knows of its rooms or sides.
 * @param views of those that it takes in, by `roomIds`; of the bench, those from which its pieces come
 * @param longestDayH of the people who are put down in it; 0: nobody is
 */
export function zoneGiven(
  kind: ZoneView['kind'],
  sides: ZoneView['sides'],
  roomIds: readonly string[],
  views: readonly SpaceView[],
  footprint: Floor | null,
  site: SiteView,
  settings: FirmSettings,
  longestDayH: number,
  shiftH: number | null,
  ownAir: readonly OwnAir[],
): ZoneGiven {
  const boundaries = views.map((v) => v.boundaryM);
  const kits = views.flatMap((v) => v.moldKit ?? []).sort((a, b) => MOLD_KITS.indexOf(b.value) - MOLD_KITS.indexOf(a.value));
  return {
    rulebook: site.rulebook,
    settings,
    place: kind === 'bench' ? 'bench' : kind === 'room' ? 'inside' : 'outside',
    rooms:
      kind === 'room'
        ? views.map(({ lengthM, widthM, heightM }, i) => ({
            spaceId: roomIds[i]!,
            heightM,
            floor: lengthM !== null && widthM !== null ? { lengthM, widthM } : null,
          }))
        : [],
    footprint,
    sides,
    boundaryM: boundaries.length === 0 || boundaries.includes(null) ? null : Math.min(...(boundaries as number[])),
    airLimits: site.airLimits,
    shiftH: Math.max(shiftH ?? settings.hoursPerDay, longestDayH),
    ownAir,
    accessM: Math.max(0, ...views.map((v) => v.accessM)),
    moldKit: kits[0] ?? null,
    assisted: site.assisted,
    childLivesHere: site.childLivesHere,
    minorWork: views.some((v) => v.minorWork === false) ? false : views.every((v) => v.minorWork === null) ? null : true,
    goesAnyway: views.map((v) => v.goesAnyway),
    services: [...new Set(views.flatMap((v) => v.services))],
    nearby: kind === 'elevation' ? views.flatMap((v) => v.nearby) : [],
  };
}

/** In which of the three kinds of place a surface is worked. */
export const placeOf = (s: Surface, space: Pick<SpaceView, 'kind'>): 'inside' | 'outside' | 'bench' =>
  s.bench ? 'bench' : space.kind === 'room' ? 'inside' : 'outside';
export const isOutdoors = (s: Surface, space: Pick<SpaceView, 'kind'> | undefined): boolean =>
  space !== undefined && placeOf(s, space) === 'outside';
