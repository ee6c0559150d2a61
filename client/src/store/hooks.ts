/** Facts, for screens; what follows from them stands in derived.ts, apart from the first screen. */
import { useEffect, useState } from 'react';
import { spellAs, type FirmFacts, type FirmSettings, type JobFacts, type Surface } from '@roughsill/core/records';
import type { LoadStatus } from './slices';
import { planning } from './planning';
import { useAppDispatch, useAppSelector } from './store';
import { loadJob } from './sync';

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

export const findSurface = (facts: JobFacts, id: string): Surface | undefined =>
  facts.surfaces.find((s) => s.id === id && s.removedAt === null);
