/** The page for the client says of one surface what the plan says of it. */
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aFacts, aPart, aReading, aSurface, COATS } from '../testing';
import { clientPage } from './client';

const YEAR = 2026;
const room = { lengthM: 5, widthM: 4, heightM: 2.6 };
const page = (over: Parameters<typeof aSurface>[0], settings = DEFAULT_SETTINGS) =>
  clientPage(aFacts(aSurface({ id: 's', name: 'Door', count: 4, ...over }), { space: room }), 's', settings, YEAR)!;

test('what nobody chose is proposed; what somebody chose is chosen, with the plan’s own price and the sentence that was typed', () => {
  expect(page({}).decided).toBe(false);
  const over = { parts: [aPart('flat', 'infrared', { id: 'p' })], clientWhy: '  You keep the old glass. ' };
  const told = page(over);
  expect(told).toMatchObject({ decided: true, own: 'You keep the old glass.' });
  const [first, ...rest] = told.methods;
  const plan = createDeriver().derive(
    aFacts(aSurface({ id: 's', name: 'Door', count: 4, ...over }), { space: room }),
    DEFAULT_SETTINGS,
    YEAR,
  );
  expect(first).toMatchObject({ methodId: 'infrared', chosen: true, money: plan.surfaces[0]!.money });
  expect(rest.map((m) => m.chosen)).toEqual([false, false]);
  // Each of the others says by how much it differs, and none is compared with itself.
  expect(told.insteadOf).toHaveLength(2);
  for (const says of told.insteadOf) expect(says).toMatch(/(more|less|same price)/);
  expect(told.found).toContain('Lead is assumed: it is treated as there until it is ruled out.');
});

test('where nothing may be done, the page says so, promises no price and no sheet', () => {
  // Flaking lead, in a firm that hands lead over.
  const found = aReading({ id: 'r', spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
  const told = page({ conditions: ['flaking'], readings: [found] }, { ...DEFAULT_SETTINGS, stopOnLead: true });
  expect(told.methods.some((m) => m.chosen)).toBe(false);
  expect(told.chosenBecause.join(' ')).toMatch(/Stop and ask/);
  expect(told).toMatchObject({ insteadOf: [], care: [] });
  expect(told.price).not.toMatch(/\$/);
});
