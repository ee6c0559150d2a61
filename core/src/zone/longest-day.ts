/** How long the day of those who are put down in a zone is, over all zones in which they work that day. */
import type { Stint } from '../facts';

/** However it is written, somebody is one person. */
export const dayKey = (s: Stint): string => `${s.on} ${s.person.trim().toLowerCase()}`;

/** Of each zone, the longest day of anybody who is put down in it, h: so long a shift its limits are held against. 29 CFR 1926.62(c)(2) */
export function longestDays(stints: readonly Stint[]): ReadonlyMap<string, number> {
  const days = new Map<string, number>();
  const there = stints.filter((s) => s.removedAt === null);
  for (const s of there) days.set(dayKey(s), (days.get(dayKey(s)) ?? 0) + s.hours);
  const longest = new Map<string, number>();
  for (const s of there) longest.set(s.zoneId, Math.max(longest.get(s.zoneId) ?? 0, days.get(dayKey(s))!));
  return longest;
}
