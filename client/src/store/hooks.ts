/** Facts and what follows from them, for screens. One surface is derived in the page; a large job's lists come from the worker. */
import { useEffect, useMemo, useState } from 'react';
import {
  createDeriver,
  digestOf,
  spellAs,
  type Deriver,
  type FirmFacts,
  type FirmSettings,
  type JobDigest,
  type JobFacts,
  type Surface,
  type SurfacePlan,
  type ZonePlan,
} from '@roughsill/core';
import { isLarge } from './large';
import type { LoadStatus } from './slices';
import { planning } from './planning';
import { useAppDispatch, useAppSelector } from './store';
import { loadJob } from './sync';

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

/** The job, asked for when it is not here yet. */
export function useJob(jobId: string): { readonly facts: JobFacts | undefined; readonly status: LoadStatus } {
  const dispatch = useAppDispatch();
  const facts = useAppSelector((s) => s.jobs.byId[jobId]?.facts);
  // Every page of a job begins here: what it says is written as where its rules come from.
  if (facts) spellAs(facts.job.rulebook);
  const status = useAppSelector((s) => s.jobs.status[jobId] ?? 'none');
  useEffect(() => {
    void dispatch(loadJob(jobId));
  }, [dispatch, jobId]);
  return { facts, status };
}

/** What plans are made with: the settings, and the firm's machines and people. */
export const useSettings = (): FirmSettings => useAppSelector(planning);

/** A job that another page speaks of: fetched, where it is not here yet. */
export function useJobFacts(jobId: string | null): JobFacts | undefined {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (jobId !== null) void dispatch(loadJob(jobId));
  }, [dispatch, jobId]);
  return useAppSelector((s) => (jobId === null ? Object.values(s.jobs.byId)[0] : s.jobs.byId[jobId])?.facts);
}

/**
 * What plans were made with before anybody here set anything on this screen. It follows what the server sends until
 * then, and does not wait for a job: on a slow line a rate may be set before the job that it changes has come in.
 */
export function useSettingsAsOpened(): FirmSettings {
  const settings = useSettings();
  const set = useAppSelector((s) => s.session.settingsSet);
  const [was, setWas] = useState({ settings, set });
  if (was.set === set && was.settings !== settings) setWas({ settings, set });
  return was.set === set ? settings : was.settings;
}
export const useFirm = (): FirmFacts => useAppSelector((s) => s.session.firm);

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

export const findSurface = (facts: JobFacts, id: string): Surface | undefined =>
  facts.surfaces.find((s) => s.id === id && s.removedAt === null);
