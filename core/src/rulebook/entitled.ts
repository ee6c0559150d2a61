/** What entitles the firm to paid lead work beyond minor amounts: its certificate, and a certified renovator. 40 CFR 745.89, 745.90. */
import { say } from '../reasons/en/vocabulary';
import type { FirmSettings } from './settings';

export const ENTITLED = ['yes', 'none', 'ranOut', 'noRenovator', 'renovatorRanOut'] as const;
export type Entitled = (typeof ENTITLED)[number];

/** Held against the first day of work, or against today where that is later or nobody set one. */
const neededOn = (startOn: string | null, today: string): string => (startOn === null || startOn < today ? today : startOn);

/**
 * On the first day of work, or today where that is later: what ran out before it entitles to nothing. A firm that keeps no certificates of
 * its people here yet is taken to have its renovator: nobody said that it has not.
 * @param startOn `2026-05-04`
 */
export function entitledOn(
  { certified, certifiedUntil, people = [], today }: Pick<FirmSettings, 'certified' | 'certifiedUntil' | 'people' | 'today'>,
  startOn: string | null,
  thisYear: number,
): Entitled {
  const day = neededOn(startOn, today ?? startOn ?? `${thisYear}-01-01`);
  const holds = (until: string | null): boolean => until === null || until >= day;
  if (!certified) return 'none';
  if (!holds(certifiedUntil)) return 'ranOut';
  const kept = people.flatMap((p) => (p.removedAt === null ? p.certificates : []));
  const renovators = kept.filter((c) => c.kind === 'renovator');
  if (kept.length === 0 || renovators.some((c) => holds(c.until))) return 'yes';
  return renovators.length > 0 ? 'renovatorRanOut' : 'noRenovator';
}

/** Somebody of the firm is trained for asbestos work on that day: a training of which nobody entered the last day shows nothing. 29 CFR 1926.1101(k)(9); CAR 2012 */
export function asbestosTrainedOn(
  { people = [], today }: Pick<FirmSettings, 'people' | 'today'>,
  startOn: string | null,
  thisYear: number,
): boolean {
  const day = neededOn(startOn, today ?? startOn ?? `${thisYear}-01-01`);
  return people.some(
    (p) => p.removedAt === null && p.certificates.some((c) => c.kind === 'asbestosTrained' && c.until !== null && c.until >= day),
  );
}

/** A certificate that does not last as long as it is needed. */
export interface CertificateOut {
  /** Of whom; null: the firm's own. */
  readonly person: string | null;
  readonly kind: 'renovator' | 'asbestosTrained';
  /** Its last day. */
  readonly until: string;
}

/** @param today `2026-05-04` @returns those that have run out by then; under UK rules the firm has none of its own */
export function certificatesOut(
  { certified, certifiedUntil, people = [] }: Pick<FirmSettings, 'certified' | 'certifiedUntil' | 'people'>,
  { rulebook, startOn }: { readonly rulebook: 'us' | 'uk'; readonly startOn: string | null },
  today: string,
): CertificateOut[] {
  const day = neededOn(startOn, today);
  const own: CertificateOut[] =
    rulebook === 'us' && certified && certifiedUntil !== null && certifiedUntil < day
      ? [{ person: null, kind: 'renovator', until: certifiedUntil }]
      : [];
  const held = people.flatMap((p) =>
    p.removedAt !== null
      ? []
      : p.certificates.flatMap(({ kind, until }): CertificateOut[] =>
          (kind === 'renovator' || kind === 'asbestosTrained') && until !== null && until < day ? [{ person: p.name, kind, until }] : [],
        ),
  );
  return [...own, ...held];
}

/** As every screen and paper puts it. */
export function certificateSays({ person, kind, until }: CertificateOut, startOn: string | null, today: string): string {
  const whose = person === null ? 'The firm’s certificate for lead work' : `${person}, ${say(`certificate.${kind}`)}`;
  return until < today ? `${whose}: ran out on ${until}.` : `${whose}: runs out on ${until}, before the first day, ${startOn}.`;
}
