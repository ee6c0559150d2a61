import { createSelector } from '@reduxjs/toolkit';
import type { FirmSettings, Machine, Person } from '@roughsill/core';
import type { SessionState } from './slices';

type Rooted = { readonly session: SessionState };
/** What plans are made with, the same object while nothing of it changed. */
export const planning = createSelector(
  [(s: Rooted) => s.session.settings, (s: Rooted) => s.session.firm.machines, (s: Rooted) => s.session.firm.people],
  (settings, machines: readonly Machine[], people: readonly Person[]): FirmSettings =>
    machines.length === 0 && people.length === 0 ? settings : { ...settings, machines, people },
);
