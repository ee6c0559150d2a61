/** The coat stage: what is wanted of a finish changes what is laid; a coat that went on too early asks why, and a tin is emptied by what it took. */
import { fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { examples } from '@roughsill/demo';
import { UnitsProvider } from '../../kit';
import { add, commitToFirm } from '../../store';
import { useSurfacePlan } from '../../store/derived';
import { jobsSlice } from '../../store/slices';
import { makeStore, useAppSelector, type Store } from '../../store/store';
import { CoatStage } from './CoatStage';

jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  useLocalSearchParams: () => ({ jobId: 'quill-point' }),
  usePathname: () => '/',
}));

const SASH = 'qp-sash-river';
function Stage() {
  const facts = useAppSelector((s) => s.jobs.byId['quill-point']!.facts);
  const plan = useSurfacePlan(facts, SASH)!;
  return <CoatStage facts={facts} surface={facts.surfaces.find((s) => s.id === SASH)!} plan={plan} />;
}
let store: Store;
beforeEach(() => {
  localStorage.clear();
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as never;
  (globalThis as { AbortSignal: unknown }).AbortSignal = { timeout: () => undefined };
  store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId: 'quill-point', base: examples()['quill-point']!, cursor: 1, waiting: [] }));
  const fields = {
    good: 'waterborneEggshell',
    productId: null,
    amount: 3,
    at: 'van',
    forJobId: null,
    batch: 'K',
    colour: '',
    openedOn: null,
  };
  store.dispatch(commitToFirm([add('tin', fields, undefined, 'tin-here')]));
  render(
    <Provider store={store}>
      <UnitsProvider value="m">
        <Stage />
      </UnitsProvider>
    </Provider>,
  );
});
const sash = () => store.getState().jobs.byId['quill-point']!.facts.surfaces.find((s) => s.id === SASH)!;
const type = (testId: string, value: string) => {
  fireEvent.change(screen.getByTestId(testId), { target: { value } });
  fireEvent.blur(screen.getByTestId(testId));
};

test('a strong tone lays one coat more, and the drawing says so', () => {
  const drawn = () => screen.getByTestId('section').getAttribute('aria-label');
  expect(drawn()).toMatch(/^From the top: new: 2 × waterborne eggshell, harbor gray/);
  fireEvent.change(screen.getByTestId('tint'), { target: { value: 'strong' } });
  expect(drawn()).toMatch(/^From the top: new: 3 × waterborne eggshell/);
  type('coats-wanted', '9');
  expect(sash().coatsWanted).toBeNull();
});

test('what is taken back is in its tin again, and no more than came out of it', () => {
  fireEvent.click(screen.getByTestId('laid-waterborneEggshell'));
  fireEvent.change(screen.getByTestId('laid-tin-waterborneEggshell'), { target: { value: 'tin-here' } });
  const inTin = () => store.getState().session.firm.tins[0]!.amount;
  // More was laid than the tin held: another tin, that nobody wrote down, gave the rest.
  type('laid-litres-waterborneEggshell', '4');
  fireEvent.click(screen.getByTestId('laid-put-waterborneEggshell'));
  // Nothing before it has passed yet: asked, and kept with a reason.
  expect([inTin(), screen.getByTestId('early-waterborneEggshell').textContent]).toEqual([3, expect.stringMatching(/have not passed/)]);
  type('early-why-waterborneEggshell', 'checked by the foreman on paper');
  fireEvent.click(screen.getByTestId('laid-put-waterborneEggshell'));
  expect(inTin()).toBe(0);
  fireEvent.click(screen.getByRole('button', { name: /^Take back/ }));
  expect([inTin(), sash().laid.length]).toEqual([3, 2]);
});

test('too early is not written without a reason; with it the record stands, and the tin is less', () => {
  fireEvent.click(screen.getByTestId('laid-waterborneEggshell'));
  const lay = () => {
    type('laid-litres-waterborneEggshell', '1');
    fireEvent.click(screen.getByTestId('laid-put-waterborneEggshell'));
  };
  fireEvent.change(screen.getByTestId('laid-tin-waterborneEggshell'), { target: { value: 'tin-here' } });
  lay();
  expect(sash().laid).toHaveLength(0);
  type('early-why-waterborneEggshell', 'checked on paper');
  lay();
  expect([sash().laid.length, store.getState().session.firm.tins[0]!.amount]).toEqual([1, 2]);
  lay();
  expect(sash().laid).toHaveLength(1);
  expect(screen.getByTestId('early-waterborneEggshell').textContent).toMatch(/6\sh too early/);
  type('early-why-waterborneEggshell', 'the ferry leaves at noon');
  lay();
  expect(
    sash()
      .laid.map((x) => x.earlyWhy)
      .sort(),
  ).toEqual(['checked on paper', 'the ferry leaves at noon']);
  expect(screen.queryByTestId('early-waterborneEggshell')).toBeNull();
});

test('what was right for other numbers is not said of a wrong one', () => {
  type('air', '20');
  type('humidity', '50');
  type('surface-temperature', '25');
  const says = () => screen.getByTestId('may-coat-answer').textContent;
  expect(says()).toMatch(/^Go:/);
  type('surface-temperature', 'abc');
  expect(says()).toBe('No answer until the marked number is right.');
  type('surface-temperature', '8');
  expect(says()).toMatch(/^Wait:/);
});
