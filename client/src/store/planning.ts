import { createSelector } from '@reduxjs/toolkit';
import type { FirmSettings, Machine } from '@roughsill/core';
import type { SessionState } from './slices';

type Rooted = { readonly session: SessionState };
/** What plans are made with, the same object while nothing of it changed. */
export const planning = createSelector(
  [(s: Rooted) => s.session.settings, (s: Rooted) => s.session.firm.machines],
  (settings, machines: readonly Machine[]): FirmSettings => (machines.length === 0 ? settings : { ...settings, machines }),
);
