/** Trial and Choose: squares and their clocks, the order of work, piece by piece, what is compared, how much at once. */
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { DEFAULT_SETTINGS, withNewIds, type JobFacts, type Square } from '@roughsill/core';
import { compareMethods } from '@roughsill/core/compare';
import { examples } from '@roughsill/demo';
import { UnitsProvider } from '../kit';
import { commit, remove } from '../store';
import { useSurfacePlan } from '../store/derived';
import { jobsSlice } from '../store/slices';
import { makeStore, useAppSelector, type Store } from '../store/store';
import { ChooseStage } from './choose/ChooseStage';
import { CompareScreen } from './choose/CompareScreen';
import { RoundsScreen } from './choose/RoundsScreen';
import type { StageProps } from './props';
import { TrialStage } from './trial/TrialStage';

const mockParams: Record<string, string> = { jobId: 'quill-point' };
jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  useLocalSearchParams: () => mockParams,
  usePathname: () => '/',
}));
function open(): { store: Store; facts: () => JobFacts } {
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as never;
  (globalThis as { AbortSignal: unknown }).AbortSignal = { timeout: () => undefined };
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId: 'quill-point', base: examples()['quill-point']!, cursor: 1, waiting: [] }));
  return { store, facts: () => store.getState().jobs.byId['quill-point']!.facts };
}
const surfaceOf = (facts: JobFacts, id: string) => facts.surfaces.find((s) => s.id === id)!;

function Stage({ id, show }: { readonly id: string; readonly show: (p: StageProps) => React.ReactNode }) {
  const facts = useAppSelector((s) => s.jobs.byId['quill-point']!.facts);
  const plan = useSurfacePlan(facts, id)!;
  return <>{show({ facts, surface: surfaceOf(facts, id), plan })}</>;
}
const inside = (store: Store, children: React.ReactNode) =>
  render(
    <Provider store={store}>
      <UnitsProvider value="ft">{children}</UnitsProvider>
    </Provider>,
  );
const trial = (store: Store, id: string) => inside(store, <Stage id={id} show={(p) => <TrialStage {...p} />} />);
const choosing = (store: Store, id: string) =>
  inside(store, <Stage id={id} show={(p) => <ChooseStage {...p} go={() => undefined} looking={null} onLook={() => undefined} />} />);

/** Lifted before or after its time: that is asked, and answered. */
const sayWhyOff = () => {
  const why = screen.queryByTestId('why-off');
  if (why) fireEvent.change(why, { target: { value: 'called away' } });
};

describe('trial squares', () => {
  test('three are marked out side by side; a clock is started, lifted and answered; the next one is proposed', () => {
    const { store, facts } = open();
    trial(store, 'qp-counter');
    fireEvent.change(screen.getByTestId('try-method'), { target: { value: 'milkPowder' } });
    fireEvent.click(screen.getByTestId('start-squares'));
    const squares = () => surfaceOf(facts(), 'qp-counter').squares;
    expect(squares().map((q) => q.dwellMin)).toEqual([30, 60, 120]);
    expect(new Set(squares().map((q) => q.atX)).size).toBe(3);
    fireEvent.click(screen.getByTestId('start-1'));
    expect(squares()[0]!.startedAt).not.toBeNull();
    expect(screen.getByTestId('square-1').textContent).toMatch(/lift in 30 min/);
    const lift = (n: number, what: string) => {
      fireEvent.click(screen.getByTestId(`lift-${n}`));
      if (n === 1) {
        // Its clock had just been started: without a word nothing is written.
        fireEvent.click(screen.getByTestId('save-square'));
        expect(screen.getByText(/Say in a word or two why/)).toBeTruthy();
      }
      sayWhyOff();
      fireEvent.click(within(screen.getByTestId('lifted')).getByRole('radio', { name: what }));
      fireEvent.click(screen.getByTestId('save-square'));
    };
    lift(1, 'some');
    lift(2, 'all, to bare');
    lift(3, 'all, to bare');
    expect(squares().map((q: Square) => q.lifted)).toEqual(['some', 'bare', 'bare']);
    const panel = screen.getByTestId('trial-milkPowder');
    expect(panel.textContent).toMatch(/works/);
    // The first was lifted at once: its clock says less than a minute, whatever was meant.
    expect(screen.getByRole('img', { name: /alkaline powder.*clean/ })).toBeTruthy();
  });
  test('down to a coat, but which: the form keeps what was entered and says what is missing', () => {
    const { store, facts } = open();
    trial(store, 'qp-sash-river');
    fireEvent.click(screen.getByTestId('lift-3'));
    sayWhyOff();
    fireEvent.click(within(screen.getByTestId('lifted')).getByRole('radio', { name: 'down to a coat' }));
    fireEvent.click(screen.getByTestId('save-square'));
    expect(screen.getByText('say on which coat it stopped')).toBeTruthy();
    expect(surfaceOf(facts(), 'qp-sash-river').squares[2]!.lifted).toBeNull();
    fireEvent.change(screen.getByLabelText('It stopped on'), { target: { value: 'qp-sash-river-coat5' } });
    const size = screen.getByTestId('square-size');
    fireEvent.change(size, { target: { value: '62' } });
    fireEvent.blur(size);
    fireEvent.click(screen.getByTestId('save-square'));
    expect(surfaceOf(facts(), 'qp-sash-river').squares[2]!.stoppedOnLayerId).toBe('qp-sash-river-coat5');
    // 62 square inches are kept as 400 square centimetres.
    expect(surfaceOf(facts(), 'qp-sash-river').squares[2]!.sizeCm2).toBeCloseTo(400, 0);
  });
  test('a patch of what does not soak is recorded without minutes', () => {
    const { store, facts } = open();
    trial(store, 'qp-railing');
    fireEvent.change(screen.getByTestId('try-method'), { target: { value: 'infrared' } });
    fireEvent.click(screen.getByTestId('start-squares'));
    fireEvent.click(screen.getByTestId('lift-1'));
    expect(screen.queryByTestId('square-stood')).toBeNull();
    fireEvent.click(within(screen.getByTestId('lifted')).getByRole('radio', { name: 'all, to bare' }));
    fireEvent.click(screen.getByTestId('save-square'));
    const [patch] = surfaceOf(facts(), 'qp-railing').squares;
    expect([patch!.lifted, patch!.dwellMin]).toEqual(['bare', null]);
    expect(screen.getByTestId('trial-infrared').textContent).toMatch(/works/);
  });
  test('a cross-cut decides how deep, and says so', () => {
    const { store } = open();
    trial(store, 'qp-keeper-base');
    fireEvent.click(screen.getByTestId('record-crossCut'));
    fireEvent.click(screen.getByRole('radio', { name: '1 up to 65 %' }));
    expect(within(screen.getByTestId('film')).getByText('strip')).toBeTruthy();
  });
  test('each coating has its own answer, and the blast that etched the brick is out', () => {
    const { store } = open();
    trial(store, 'qp-plinth');
    expect(screen.getAllByTestId('trial-masonryStripper')[0]!.textContent).toMatch(/works/);
    expect(screen.getAllByTestId('trial-masonryStripper')[1]!.textContent).toMatch(/not yet/);
    expect(screen.getByTestId('trial-softBlast').textContent).toMatch(/does not work/);
  });
});

test('what another job learned on the same coating is carried over, marked, and does not let a caustic plan out', () => {
  const { store, facts } = open();
  let n = 0;
  const other = withNewIds(examples()['quill-point']!, () => `other-${(n += 1)}`);
  store.dispatch(
    jobsSlice.actions.jobLoaded({
      jobId: other.job.id,
      base: { ...other, job: { ...other.job, name: 'The boathouse' } },
      cursor: 1,
      waiting: [],
    }),
  );
  const sash = surfaceOf(facts(), 'qp-sash-river');
  for (const q of sash.squares) store.dispatch(commit('quill-point', [remove('square', q.id, sash.id)], 'square removed'));
  trial(store, 'qp-sash-river');
  const panel = screen.getByTestId('carry');
  expect(panel.textContent).toMatch(/Sashes, river side · The boathouse · 1 h 30/);
  fireEvent.click(within(panel).getAllByRole('button', { name: /^Carry over solvent gel/ })[1]!);
  const made = surfaceOf(facts(), 'qp-sash-river').squares.find((q) => q.removedAt === null)!;
  expect([made.carriedFrom, made.startedAt, made.lifted]).toEqual(['Sashes, river side, The boathouse', null, 'some']);
  expect(screen.getByTestId('trial-solventGel').textContent).toMatch(/carried from Sashes, river side, The boathouse/);
});

describe('choosing', () => {
  test('an order that is asked for against the work is put right, with the reason', () => {
    const { store, facts } = open();
    choosing(store, 'qp-railing');
    expect(screen.queryByTestId('moved')).toBeNull();
    const part = surfaceOf(facts(), 'qp-railing').parts[0]!;
    fireEvent.click(screen.getByTestId(`helpers-${part.kind}`));
    fireEvent.click(within(screen.getByTestId(`part-${part.kind}`)).getByRole('button', { name: 'Add wash and degrease' }));
    expect(surfaceOf(facts(), 'qp-railing').parts[0]!.alsoIds).toEqual(['washDegrease']);
    expect(screen.getByTestId('stroke-1').textContent).toMatch(/wash and degrease/);
    fireEvent.click(screen.getByTestId('reorder'));
    fireEvent.click(screen.getAllByRole('button', { name: /earlier$/ })[0]!);
    expect(screen.getByTestId('stroke-1').textContent).toMatch(/wash and degrease/);
    expect(screen.getByTestId('moved').textContent).toMatch(/grease that is rubbed in/);
  });
  test('boards are looked at one by one; the count follows', () => {
    const { store } = open();
    choosing(store, 'qp-siding');
    const panel = screen.getByTestId('boards');
    expect(panel.textContent).toMatch(/2 keep.*1 strip.*1 split at the joint.*2 replace.*1 look again/);
    fireEvent.click(screen.getByTestId('add-board'));
    fireEvent.click(within(screen.getByTestId('board-oil')).getByRole('radio', { name: 'yes' }));
    expect((screen.getByTestId('board-label') as HTMLInputElement).value).toBe('8');
    fireEvent.click(screen.getByTestId('save-board'));
    expect(panel.textContent).toMatch(/3 replace/);
    const coats = screen.getByTestId('board-coats');
    fireEvent.change(coats, { target: { value: '2' } });
    fireEvent.blur(coats);
    const sound = screen.getByTestId('board-sound');
    fireEvent.change(sound, { target: { value: '3' } });
    fireEvent.blur(sound);
    fireEvent.click(screen.getByTestId('save-board'));
    expect(screen.getByText('piece 9: more sound coats than coats')).toBeTruthy();
  });
});

test('compare: what the worker reckoned is drawn, up to three stand side by side, and the never-stripping are told of', async () => {
  const { store, facts } = open();
  mockParams['surface'] = 'qp-sash-river';
  inside(store, <CompareScreen />);
  await act(async () => undefined);
  const expected = compareMethods(facts(), 'qp-sash-river', DEFAULT_SETTINGS, new Date().getUTCFullYear());
  expect(screen.getAllByRole('checkbox')).toHaveLength(expected.open.length);
  for (const id of ['infrared', 'solventGel', 'neutralStripper']) {
    fireEvent.click(screen.getByTestId(`compare-${id}`));
    await act(async () => undefined);
  }
  expect(screen.getByTestId('side-by-side').querySelectorAll('[data-testid^="side-"]')).toHaveLength(3);
  expect(screen.getByTestId('side-solventGel').textContent).toMatch(/trial squares here/);
  expect(screen.getByTestId('what-if').textContent).toMatch(/An hour costs a fifth more/);
  expect(screen.getByTestId('always').textContent).toMatch(/Leave and look again.*blocked/);
  expect(screen.getByTestId('strippers').textContent).toMatch(/two people/);
});

test('rounds: a stepper answers at once; what dries first cannot be laid, and says what would lift it', () => {
  const { store } = open();
  mockParams['surface'] = 'qp-plinth';
  inside(store, <RoundsScreen />);
  fireEvent.change(screen.getByTestId('round-method'), { target: { value: 'solventGel' } });
  const before = screen.getByTestId('rounds-answer').textContent;
  expect(before).toMatch(/in a round/);
  fireEvent.click(screen.getByTestId('covered'));
  expect(screen.getByTestId('rounds-answer').textContent).toMatch(/Nothing can be laid like this/);
  fireEvent.click(screen.getByRole('button', { name: /^why: how much at once/ }));
  expect(screen.getByText(/Cover it, shade it/)).toBeTruthy();
});

describe('what only the person knows', () => {
  const SASH = 'qp-sash-river';
  const flat = (facts: JobFacts) => surfaceOf(facts, SASH).parts.find((p) => p.kind === 'flat' && p.removedAt === null)!;
  const row = () => within(screen.getByTestId('part-flat')).getByTestId('method-infrared');
  const toggle = () => fireEvent.click(within(row()).getByRole('button', { name: /why and details/ }));

  test('a tool set too hot blocks the choice, says so, and the setting can be put right where it stands', () => {
    const { store, facts } = open();
    choosing(store, SASH);
    fireEvent.click(screen.getByTestId('blocked-flat'));
    toggle();
    fireEvent.click(within(row()).getByTestId('choose-infrared'));
    const set = (value: string) => {
      fireEvent.change(within(row()).getByTestId('tool-temperature'), { target: { value } });
      fireEvent.blur(within(row()).getByTestId('tool-temperature'));
    };
    set('1000');
    expect(flat(facts()).toolC).toBeCloseTo(537.8, 1);
    const part = screen.getByTestId('part-flat');
    expect(part.textContent).toMatch(/was chosen, but it is blocked now/);
    expect(part.textContent).not.toMatch(/Nobody has chosen yet/);
    // Still open and still to be edited: below the limit it is in the plan again.
    set('900');
    expect(screen.getByTestId('part-flat').textContent).not.toMatch(/blocked now/);
    expect(within(row()).getByRole('button', { name: 'Take the choice back' })).toBeTruthy();
  });

  test('abrasives are read as they stand on the sheets, whatever is between; an absurd one is told beside its field', () => {
    const { store, facts } = open();
    choosing(store, 'qp-keeper-door');
    const kind = surfaceOf(facts(), 'qp-keeper-door').parts.find((p) => p.removedAt === null)!.kind;
    fireEvent.click(screen.getByTestId(`blocked-${kind}`));
    const sand = () => within(screen.getByTestId(`part-${kind}`)).getByTestId('method-wetSand');
    fireEvent.click(within(sand()).getByRole('button', { name: /why and details/ }));
    fireEvent.click(within(sand()).getByTestId('choose-wetSand'));
    const type = (value: string) => {
      fireEvent.change(within(sand()).getByTestId('grits'), { target: { value } });
      fireEvent.blur(within(sand()).getByTestId('grits'));
    };
    type('120, 240/320');
    const grits = () => surfaceOf(facts(), 'qp-keeper-door').parts.find((p) => p.kind === kind && p.removedAt === null)!.grits;
    expect(grits()).toEqual([120, 240, 320]);
    type('120 9000');
    expect(sand().textContent).toMatch(/finer than any paper/);
    expect(grits()).toEqual([120, 240, 320]);
  });

  test('the gauge is kept in micrometres and shown in mils; what is in the tin goes with its squares, and a banned one is told', () => {
    const { store, facts } = open();
    trial(store, SASH);
    fireEvent.change(screen.getByTestId('film-thickness'), { target: { value: '20' } });
    fireEvent.blur(screen.getByTestId('film-thickness'));
    expect(surfaceOf(facts(), SASH).filmUm).toBeCloseTo(508, 6);
    fireEvent.change(screen.getByTestId('try-method'), { target: { value: 'neutralStripper' } });
    fireEvent.change(screen.getByTestId('chemistry'), { target: { value: 'methyleneChloride' } });
    fireEvent.click(screen.getByTestId('start-squares'));
    const laid = surfaceOf(facts(), SASH).squares.filter((q) => q.methodId === 'neutralStripper');
    expect(laid.map((q) => q.chemistry)).toEqual(['methyleneChloride', 'methyleneChloride', 'methyleneChloride']);
    expect(screen.getByTestId('trial-neutralStripper').textContent).toMatch(
      /Banned for stripping paint: nothing is planned on this square/,
    );
  });
});
