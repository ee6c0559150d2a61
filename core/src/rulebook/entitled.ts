/** What entitles the firm to paid lead work beyond minor amounts: its certificate, and a certified renovator. 40 CFR 745.89, 745.90. */
import type { FirmSettings } from './settings';

export const ENTITLED = ['yes', 'none', 'ranOut', 'noRenovator', 'renovatorRanOut'] as const;
export type Entitled = (typeof ENTITLED)[number];

/**
 * On the first day of work; where nobody set that, on the first day of this year: what ran out before it entitles to nothing. A firm that
 * keeps no certificates of its people here yet is taken to have its renovator: nobody said that it has not.
 * @param startOn `2026-05-04`
 */
export function entitledOn(
  { certified, certifiedUntil, people = [] }: Pick<FirmSettings, 'certified' | 'certifiedUntil' | 'people'>,
  startOn: string | null,
  thisYear: number,
): Entitled {
  const day = startOn ?? `${thisYear}-01-01`;
  const holds = (until: string | null): boolean => until === null || until >= day;
  if (!certified) return 'none';
  if (!holds(certifiedUntil)) return 'ranOut';
  const kept = people.flatMap((p) => (p.removedAt === null ? p.certificates : []));
  const renovators = kept.filter((c) => c.kind === 'renovator');
  if (kept.length === 0 || renovators.some((c) => holds(c.until))) return 'yes';
  return renovators.length > 0 ? 'renovatorRanOut' : 'noRenovator';
}
