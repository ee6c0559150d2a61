/** The sample job as if it had been surveyed these days: what is at the lab is still at the lab. */
import type { JobFacts } from '@roughsill/core';

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/;
const DAY_MS = 86_400_000;

const DAY = /^\d{4}-\d\d-\d\d$/;

function moved<T>(value: T, days: number): T {
  if (typeof value === 'string') {
    const later = () => new Date(Date.parse(value) + days * DAY_MS).toISOString();
    return (INSTANT.test(value) ? later() : DAY.test(value) ? later().slice(0, 10) : value) as T;
  }
  if (Array.isArray(value)) return value.map((v: unknown) => moved(v, days)) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, moved(v, days)])) as T;
  return value;
}

/**
 * Moves every instant and every day of a job by whole days, so that its last sample was cut the day before `now`.
 * Years that were recorded (built, painted) stay.
 */
export function shiftedTo(facts: JobFacts, now: Date): JobFacts {
  const last = Math.max(...facts.surfaces.flatMap((s) => s.samples.flatMap((x) => (x.takenAt ? [Date.parse(x.takenAt)] : []))));
  return Number.isFinite(last) ? moved(facts, Math.floor((now.getTime() - last) / DAY_MS)) : facts;
}
