/** What follows from facts, for screens. One surface is derived in the page; a large job's lists come from the worker. */
import { useEffect, useMemo, useState } from 'react';
import {
  createDeriver,
  digestOf,
  type Deriver,
  type FirmSettings,
  type JobDigest,
  type JobFacts,
  type SurfacePlan,
  type ZonePlan,
} from '@roughsill/core';
import { useSettings } from './hooks';
import { isLarge } from './large';
import { useAppSelector } from './store';

const derivers = new Map<string, Deriver>();
function deriverFor(jobId: string): Deriver {
  let d = derivers.get(jobId);
  if (!d) {
    d = createDeriver();
    derivers.set(jobId, d);
  }
  return d;
}
const thisYear = (): number => new Date().getUTCFullYear();

export function useSurfacePlan(facts: JobFacts, surfaceId: string): SurfacePlan | undefined {
  const settings = useSettings();
  return useMemo(() => deriverFor(facts.job.id).surface(facts, surfaceId, settings, thisYear()), [facts, surfaceId, settings]);
}

/** A zone, with what is remembered of its job: quick, also of a large one. */
export const zonePlanOf = (facts: JobFacts, zoneId: string, settings: FirmSettings): ZonePlan | undefined =>
  deriverFor(facts.job.id).zone(facts, zoneId, settings, thisYear());

/** The zone in which a surface is worked. */
export function useZonePlan(facts: JobFacts, zoneId: string): ZonePlan | undefined {
  const settings = useSettings();
  return useMemo(() => zonePlanOf(facts, zoneId, settings), [facts, zoneId, settings]);
}

let anyDrawn = false;
const waitingForDrawn = new Set<() => void>();
/** Told by the screen that was asked for, once it is drawn: then the whole job may be reckoned without keeping anybody waiting. */
export function drawn(): void {
  if (anyDrawn) return;
  anyDrawn = true;
  setTimeout(() => waitingForDrawn.forEach((f) => f()), AFTER_DRAWN_MS);
}
const AFTER_DRAWN_MS = 30;
/** A screen that never says that it is drawn must not hold the counts back for ever. */
const AT_MOST_MS = 4000;

/** False until the first screen of the page is drawn: what the whole job says can come a moment after the surface that was asked for. */
function useDrawn(): boolean {
  const [is, setIs] = useState(anyDrawn);
  useEffect(() => {
    if (is) return undefined;
    const tell = () => setIs(true);
    waitingForDrawn.add(tell);
    const timer = setTimeout(tell, AT_MOST_MS);
    return () => {
      clearTimeout(timer);
      waitingForDrawn.delete(tell);
    };
  }, [is]);
  return is;
}

/** Lists and counts of a whole job, and where they were reckoned. */
export function useDigest(facts: JobFacts): { readonly digest: JobDigest | undefined; readonly by: 'page' | 'worker' } {
  const settings = useSettings();
  const large = isLarge(facts);
  const fromWorker = useAppSelector((s) => s.jobs.digests[facts.job.id]);
  const isDrawn = useDrawn();
  const fromPage = useMemo(
    () => (large || !isDrawn ? undefined : digestOf(facts, deriverFor(facts.job.id).derive(facts, settings, thisYear()))),
    [facts, settings, large, isDrawn],
  );
  return large ? { digest: fromWorker, by: 'worker' } : { digest: fromPage, by: 'page' };
}
