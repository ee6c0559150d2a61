/** In which units, and on which clock, the job is read; and what the firm itself looked up. */
import { createContext, useContext } from 'react';
import type { SourceCheck, UnitSystem } from '@roughsill/core/records';

const Units = createContext<UnitSystem>('ft');
export const UnitsProvider = Units.Provider;
export const useUnits = (): UnitSystem => useContext(Units);

const Zone = createContext<string | undefined>(undefined);
export const ZoneProvider = Zone.Provider;

/** A UTC instant on the job's own clock. */
export function useWhen(): (instant: string) => string {
  const timeZone = useContext(Zone);
  return (instant) => new Date(instant).toLocaleString('en-US', { timeZone, dateStyle: 'medium', timeStyle: 'short' });
}

/** The day alone, where many stand in a table. */
export function useDay(): (instant: string) => string {
  const timeZone = useContext(Zone);
  return (instant) => new Date(instant).toLocaleDateString('en-US', { timeZone, month: 'short', day: 'numeric' });
}

const Checks = createContext<readonly SourceCheck[]>([]);
export const SourceChecksProvider = Checks.Provider;
export const useSourceChecks = (): readonly SourceCheck[] => useContext(Checks);
