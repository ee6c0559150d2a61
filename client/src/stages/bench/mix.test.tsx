/** The mixing bench answers while one types; live, a portion and a hot reading change what comes next; the crew reads it in its language. */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { ProductFields, TinFields } from '@roughsill/core';
import { add, commitToFirm } from '../../store';
import { makeStore, type Store } from '../../store/store';
import { MixScreen } from './MixScreen';

jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  usePathname: () => '/mix',
}));

const type = (testId: string, value: string) => {
  fireEvent.change(screen.getByTestId(testId), { target: { value } });
  fireEvent.blur(screen.getByTestId(testId));
};
const says = (testId: string) => screen.getByTestId(testId).textContent?.replaceAll('\u00a0', ' ');
const press = (testId: string) => fireEvent.click(screen.getByTestId(testId));
const tool = (name: string) => fireEvent.click(screen.getByRole('radio', { name }));

let store: Store;
const open = () =>
  render(
    <Provider store={store}>
      <MixScreen />
    </Provider>,
  );
beforeEach(() => {
  localStorage.clear();
  store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
});

test('caustic: refused the wrong way round and in aluminum; live it stops when hot, takes back, and speaks Spanish', () => {
  open();
  expect(says('mix-plan')).toMatch(/portions, all in after \d+ min/);
  fireEvent.click(screen.getByRole('radio', { name: 'water onto caustic' }));
  expect(says('mix-plan')).toMatch(/boils at once/);
  expect(screen.queryByTestId('mix-begin')).toBeNull();
  fireEvent.click(screen.getByRole('radio', { name: 'caustic into water' }));
  fireEvent.change(screen.getByTestId('mix-vessel'), { target: { value: 'aluminium' } });
  expect(says('mix-plan')).toMatch(/hydrogen, which explodes/);
  fireEvent.change(screen.getByTestId('mix-vessel'), { target: { value: 'polyethylene' } });
  type('mix-caustic', '9000');
  expect(says('mix-plan')).toMatch(/stronger than the trade mixes/);
  expect((screen.getByTestId('mix-caustic') as HTMLInputElement).value).toBe('9000');
  type('mix-caustic', '750');
  press('mix-begin');
  expect(says('mix-stage')).toMatch(/^Portion 1: put in \d+ g/);
  type('mix-weighed', '900');
  expect(screen.getByTestId('caustic-live').textContent).toMatch(/1 – 750\sg/);
  type('mix-weighed', '320');
  press('mix-put');
  expect(says('caustic-live')).toMatch(/320 g in, 430 g to go/);
  type('mix-felt', '1400');
  expect(says('caustic-live')).toMatch(/The thermometer must be between 32 °F and 284 °F/);
  expect(says('mix-stage')).not.toMatch(/Stop/);
  type('mix-felt', '140');
  expect(says('mix-stage')).toMatch(/^Stop: 140 °F/);
  press('bench-language');
  expect(says('mix-stage')).toMatch(/^Alto: 140 °F/);
  fireEvent.click(screen.getByRole('button', { name: 'Deshacer la última entrada' }));
  expect(says('mix-stage')).not.toMatch(/Alto/);
  press('mix-end');
  expect(screen.getByTestId('mix-begin')).toBeTruthy();
  expect(screen.queryByTestId('mixes')).toBeNull();
});

test('two pails at once, each goes on after the page was closed; a portion that another phone confirmed too counts once', () => {
  jest.useFakeTimers();
  const { unmount } = open();
  press('mix-begin');
  press('mix-put');
  press('mix-back');
  type('mix-name', 'For the stair');
  press('mix-begin');
  press('mix-back');
  unmount();
  act(() => {
    jest.advanceTimersByTime(120_000);
  });
  open();
  const [first, second] = store.getState().session.firm.mixes;
  expect([says(`mix-of-${first!.id}`), says(`mix-of-${second!.id}`)]).toEqual([
    expect.stringMatching(/^Pail 1.*[1-9]\d* g of 750 g in/),
    expect.stringMatching(/^For the stair.* 0 g of 750 g in/),
  ]);
  press(`mix-open-${first!.id}`);
  expect(says('caustic-live')).toMatch(/· [23] min/);
  const [step] = store.getState().session.firm.mixSteps;
  const g = step!.amount;
  const also = add('mixStep', { mixId: first!.id, at: new Date().toISOString(), portion: 1, amount: g, by: 'Other phone' });
  act(() => void store.dispatch(commitToFirm([also])));
  expect(says('caustic-live')).toMatch(new RegExp(`${Math.round(g)} g in,.*Portion 1 was confirmed twice: it counts once`));
  // More than the recipe holds is refused whoever says it.
  const more = add('mixStep', { mixId: first!.id, at: new Date().toISOString(), portion: 2, amount: 750, by: '' });
  expect(store.dispatch(commitToFirm([more]))).toEqual([expect.objectContaining({ path: 'amount' })]);
  jest.useRealTimers();
});

test('acid, thinning, what must not meet, labels, blasting: each against its reference value', () => {
  open();
  tool('Acid, rinse');
  // pH 12.5 is 1.26 g/L; citric 1.6 g for each g.
  expect(says('neutral-answer')).toMatch(/^13 g of caustic in it: 20 g/);
  type('proof-first', '8');
  expect(says('proof-answer')).toMatch(/^Not yet/);
  type('proof-second', '9');
  expect(says('proof-answer')).toMatch(/^Both readings/);
  type('proof-second', '12');
  expect(says('proof-answer')).toMatch(/neutralize/);
  tool('Thin');
  type('thin-water', '');
  type('thin-want', '8');
  expect(says('thin-answer')).toMatch(/water makes it weaker/i);
  type('thin-want', '0.5');
  expect(says('thin-answer')).toMatch(/of 0.5 %/);
  tool('Never together');
  // 1 L of 5.25 % in 30 m3: 566 ppm.
  expect(says('meet-answer')).toMatch(/Chlorine gas.*566 ppm/);
  tool('Labels');
  expect(says('label-answer')).toMatch(/^DANGER: Caustic soda/);
  type('label-pct', '0.3');
  expect(says('label-answer')).toMatch(/^Caustic soda/);
  tool('Blasting air');
  expect(says('nozzle-answer')).toMatch(/brings 185 cfm here: enough/);
  type('nozzle-psi', '100');
  expect(says('nozzle-answer')).toMatch(/at most a nozzle of 5\/16"/);
});

test('a pot that stood on this device alone before it was a record becomes one, and stands as long as it stood', () => {
  const mixedAt = Date.now() - 5 * 60_000;
  const old = { id: '1', kind: 'thinnedPaint', name: 'Gray for the rail', airC: 20, ownH: null, mixedAt, stirredAt: mixedAt };
  const kept = { text: JSON.stringify({ draft: {}, pots: [old] }), recorded: '', at: Date.now() };
  localStorage.setItem(`rough-sill.draft.${location.pathname}${location.search}|bench-pots`, JSON.stringify(kept));
  open();
  tool('On the clock');
  expect(says('pot-bench')).toMatch(/Gray for the rail: good/);
  const { pots } = store.getState().session.firm;
  expect(pots).toMatchObject([{ kind: 'thinnedPaint', mixedAt: new Date(mixedAt).toISOString() }]);
  expect(localStorage.getItem(`rough-sill.draft.${location.pathname}${location.search}|bench-pots`)).toBeNull();
});

test('what stands mixed is on the clock: stirred, over, told over every other tool, and kept over a closed tab', () => {
  jest.useFakeTimers({ now: Date.parse('2026-05-04T08:00:00.000Z') });
  try {
    const { unmount } = open();
    tool('On the clock');
    fireEvent.change(screen.getByTestId('pot-name'), { target: { value: 'Gray for the rail' } });
    fireEvent.blur(screen.getByTestId('pot-name'));
    press('pot-begin');
    expect(says('pot-bench')).toMatch(/Gray for the rail: good/);
    act(() => jest.advanceTimersByTime(31 * 60_000));
    expect(says('pot-bench')).toMatch(/Gray for the rail: stir/);
    tool('Thin');
    expect(says('pots-due')).toMatch(/Stir it now/);
    tool('On the clock');
    fireEvent.click(screen.getByRole('button', { name: 'Stirred: Gray for the rail' }));
    expect(says('pot-bench')).toMatch(/Gray for the rail: good/);
    unmount();
    act(() => jest.advanceTimersByTime(11 * 3_600_000));
    open();
    press('bench-language');
    expect(says('pot-bench')).toMatch(/Gray for the rail: caducada.*No la use/);
    fireEvent.click(screen.getByRole('button', { name: 'Used up or thrown out: Gray for the rail' }));
    expect(says('pot-bench')).not.toMatch(/caducada/);
  } finally {
    jest.useRealTimers();
  }
});

test('a strength of the shelf comes to the bench, with the age of its oldest open tin', () => {
  open();
  act(() => {
    const product = ProductFields.parse({ name: 'House bleach', good: 'bleach', strengthPct: 8.25 });
    const tin = TinFields.parse({ good: 'bleach', productId: 'p-bleach', amount: 2, openedOn: '2020-01-01' });
    store.dispatch(commitToFirm([add('product', product, undefined, 'p-bleach'), add('tin', tin, undefined, 't-bleach')]));
  });
  tool('Thin');
  fireEvent.change(screen.getByTestId('thin-shelf'), { target: { value: 'p-bleach' } });
  expect((screen.getByTestId('thin-stock') as HTMLInputElement).value).toBe('8.25');
  expect(says('thin-answer')).toMatch(/older than a year/);
});

test('a product of the shelf is labelled by its own sheet; thinned, its flash point no longer stands for it', () => {
  open();
  act(() => {
    const fields = { name: 'House gel', good: 'stripperGel', chemistry: 'benzylAlcohol', strengthPct: 40, flashC: 20, gloves: 'laminate' };
    const unsaid = ProductFields.parse({ name: 'Old gel', good: 'stripperGel' });
    store.dispatch(
      commitToFirm([add('product', ProductFields.parse(fields), undefined, 'p-gel'), add('product', unsaid, undefined, 'p-old')]),
    );
  });
  tool('Labels');
  const shelf = screen.getByTestId('label-shelf') as HTMLSelectElement;
  expect([...shelf.options].map((o) => o.text)).toEqual(expect.arrayContaining(['House gel, 40 %']));
  expect([...shelf.options].map((o) => o.text).join()).not.toMatch(/Old gel/);
  fireEvent.change(shelf, { target: { value: 'p-gel' } });
  expect(says('label-answer')).toMatch(/^DANGER: Stripper with benzyl alcohol.*Highly flammable.*laminate gloves/);
  type('label-pct', '20');
  expect(says('label-answer')).toMatch(/^WARNING: Stripper with benzyl alcohol/);
  expect(says('label-answer')).not.toMatch(/flammable/);
});
