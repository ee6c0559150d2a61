/** Outside a job: the one that was looked at last, so that a rate is told in its units and with what it changes there. */
import { useState } from 'react';
import type { JobFacts, UnitSystem } from '@roughsill/core';
import { useJobFacts, useSettings } from '../store';
import { jobLookedAt } from '../trail';

export function useJobAtHand(): { readonly facts: JobFacts | undefined; readonly units: UnitSystem } {
  const [id] = useState(jobLookedAt);
  const facts = useJobFacts(id);
  const { pricesIn } = useSettings();
  return { facts, units: facts?.job.units ?? (pricesIn === 'USD' ? 'ft' : 'm') };
}
