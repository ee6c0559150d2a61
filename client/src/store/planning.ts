import { createSelector } from '@reduxjs/toolkit';
import type { FirmSettings, Machine, Person, Product } from '@roughsill/core/records';
import type { SessionState } from './slices';

type Rooted = { readonly session: SessionState };
/** What plans are made with, the same object while nothing of it changed. What stands in tins changes no plan. */
export const planning = createSelector(
  [
    (s: Rooted) => s.session.settings,
    (s: Rooted) => s.session.firm.machines,
    (s: Rooted) => s.session.firm.people,
    (s: Rooted) => s.session.firm.products,
    (s: Rooted) => s.session.firm.sourceChecks,
    () => new Date().toISOString().slice(0, 10),
  ],
  (settings, machines: readonly Machine[], people: readonly Person[], products: readonly Product[], sourceChecks, today): FirmSettings => ({
    ...settings,
    machines,
    people,
    products,
    sourceChecks,
    today,
  }),
);
