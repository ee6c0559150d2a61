/** What somebody with a licence will need where asbestos may have to come off, so that the rest of the job is planned around it. */
import type { JobFacts } from '../facts';
import { isPresent, strictest, type HazardState } from '../probe';
import { typed, why, type Reason } from '../reasons';
import { bookOf } from '../rulebook';
import { DAYS } from '../calendar/notices';
import { measure } from '../units/units';
import type { ZonePlan } from './plan';

type AZone = Pick<ZonePlan, 'zoneId' | 'name' | 'surfaceIds' | 'fibreIds'>;
interface ASurface {
  readonly surfaceId: string;
  readonly asbestos: HazardState;
  readonly areaM2: number;
}

/**
 * @param all zones of the job: those without any of it can go on meanwhile
 * @returns none: nothing in the zone may hold asbestos, but what trained people of the firm work themselves
 */
export function licensedNeeds(zone: AZone, all: readonly AZone[], surfaces: readonly ASurface[], { job }: JobFacts): Reason[] {
  const suspected = new Map(surfaces.filter((s) => isPresent(s.asbestos)).map((s) => [s.surfaceId, s]));
  const suspects = (z: AZone) => z.surfaceIds.flatMap((id) => (z.fibreIds.includes(id) ? [] : (suspected.get(id) ?? [])));
  const here = suspects(zone);
  if (here.length === 0) return [];
  const uk = bookOf(job).id === 'uk';
  const area = measure(
    here.reduce((sum, s) => sum + s.areaM2, 0),
    'm2',
  );
  const asbestos = strictest(here.map((s) => s.asbestos));
  const free = all.filter((z) => z.zoneId !== zone.zoneId && suspects(z).length === 0).map((z) => z.name);
  return [
    why(uk ? 'licensed.whoUk' : 'licensed.who', uk ? 'uk-asbestos-classes' : 'cfr29-1926.1101', { area, asbestos }),
    why(uk ? 'licensed.noticeUk' : 'licensed.notice', uk ? 'uk-asbestos' : 'cfr40-61.145', {
      days: uk ? DAYS.ukLicensed : DAYS.asbestosWorking,
    }),
    why('licensed.room', 'trade-contain'),
    why(uk ? 'licensed.clearanceUk' : 'licensed.clearance', uk ? 'uk-asbestos' : 'cfr29-1926.1101'),
    free.length > 0
      ? why('licensed.meanwhile', 'trade-contain', { others: typed(free.join(', ')) })
      : why('licensed.nothingElse', 'trade-contain'),
  ];
}
