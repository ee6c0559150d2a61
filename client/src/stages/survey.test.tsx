/** Walk and Probe beyond single surfaces: what a surveyor sees, presses, and what comes of it. */
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { areasOf, createDeriver, DEFAULT_SETTINGS, digestOf, sampleRegister, takeOff, type JobFacts } from '@roughsill/core';
import { outlook, PINE, REMEDIES, simulatedClimate } from '@roughsill/core/moist';
import { examples } from '@roughsill/demo';
import { UnitsProvider } from '../kit';
import { commit } from '../store';
import { jobsSlice } from '../store/slices';
import { makeStore, useAppSelector, type Store } from '../store/store';
import { AreaCard } from './probe/AreaPanel';
import { GrowthChart } from './probe/GrowthChart';
import { ImportScreen } from './probe/ImportScreen';
import { SampleCard } from './probe/SampleCard';
import { planArea, takeChip } from './probe/samples';
import { TodayPanel } from './probe/TodayPanel';
import { copySpace, sameCoats } from './walk/drafts';
import { kitDrafts } from './walk/kits';
import { TakeOffPanel } from './walk/TakeOffPanel';
import { Trials } from './walk/Trials';

const mockParams: Record<string, string> = { jobId: 'quill-point' };
jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  useLocalSearchParams: () => mockParams,
  usePathname: () => '/',
}));

const NOW = '2026-04-17T09:00:00.000Z';
function open(example = 'quill-point', edit: (f: JobFacts) => JobFacts = (f) => f): { store: Store; facts: () => JobFacts } {
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as never;
  (globalThis as { AbortSignal: unknown }).AbortSignal = { timeout: () => undefined };
  const facts = edit(examples()[example]!);
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId: facts.job.id, base: facts, cursor: 1, waiting: [] }));
  return { store, facts: () => store.getState().jobs.byId[facts.job.id]!.facts };
}
const inside = (store: Store, children: React.ReactNode) =>
  render(
    <Provider store={store}>
      <UnitsProvider value="ft">{children}</UnitsProvider>
    </Provider>,
  );
const planOf = (f: JobFacts) => createDeriver().derive(f, DEFAULT_SETTINGS, 2026);

test('a kit makes whole rooms with free names; the batch is accepted as one and undone as one', () => {
  const { store, facts } = open();
  const made = kitDrafts(facts(), 'bath', 2);
  expect(made.names).toEqual(['Bathroom', 'Bathroom 2']);
  expect(store.dispatch(commit('quill-point', made.drafts, 'added'))).toEqual([]);
  expect(facts().surfaces.filter((s) => s.spaceId === made.first)).toHaveLength(8);
  expect(store.getState().notice.undo[0]!.changes).toHaveLength(made.drafts.length);
});

test('a copied room brings sizes and coats, but nothing that was found; same coats never lie over counted ones', () => {
  const { store, facts } = open();
  const hall = facts().spaces.find((s) => s.id === 'qp-ticket-hall')!;
  expect(store.dispatch(commit('quill-point', copySpace(facts(), hall), 'copied'))).toEqual([]);
  const copy = facts().spaces.find((s) => s.name === 'Ticket hall, copy')!;
  const copied = facts().surfaces.filter((s) => s.spaceId === copy.id);
  expect(copied).toHaveLength(5);
  expect(copied.every((s) => s.readings.length === 0 && s.samples.length === 0 && s.layers.length > 0)).toBe(true);
  expect(sameCoats(copied[0]!, copied[1]!)).toEqual([]);
});

test('today says how many are clear, what nobody may touch, and what the samples ask for', () => {
  const { store, facts } = open();
  inside(store, <TodayPanel facts={facts()} digest={digestOf(facts(), planOf(facts()))} />);
  const today = screen.getByTestId('today');
  expect(today.textContent).toMatch(/1clear9assumed4waiting6found/);
  expect(screen.getByTestId('not-to-be-touched').textContent).toMatch(/Textured ceiling, Lagged heating pipe, Wrought landing rail/);
  expect(screen.getByTestId('today-act').textContent).toMatch(/overdue/);
});

test('the sum behind an area is shown line by line; a size is put right in the user’s own units', () => {
  const { store, facts } = open();
  const sash = facts().surfaces.find((s) => s.id === 'qp-sash-river')!;
  const onSet = jest.fn();
  inside(store, <TakeOffPanel surface={sash} area={takeOff(sash)} onSet={onSet} />);
  expect(screen.getByTestId('take-off').textContent).toMatch(/Less glass: .*× 2/);
  const muntin = screen.getByTestId('measure-muntinM');
  fireEvent.change(muntin, { target: { value: '0.1' } });
  fireEvent.blur(muntin);
  expect(onSet.mock.calls[0][0].muntinM).toBeCloseTo(0.03048, 6);
  fireEvent.change(muntin, { target: { value: '-1' } });
  fireEvent.blur(muntin);
  expect(onSet).toHaveBeenCalledTimes(1);
  expect(screen.getByText('A size cannot be negative.')).toBeTruthy();
});

test('trials point to a binder with its doubt; a sure one is taken over with a press', () => {
  const { store, facts } = open();
  const coat = { ...facts().surfaces[0]!.layers[1]!, alcohol: 'dissolves', alkali: 'softens', water: 'none', heat: 'softens' } as const;
  const onSet = jest.fn();
  inside(store, <Trials coat={coat} onSet={onSet} />);
  fireEvent.click(screen.getByRole('button', { name: 'Shellac: take it over' }));
  expect(onSet.mock.calls[0][0].binder).toBe('shellac');
  fireEvent.click(screen.getByRole('button', { name: /^why: binder/ }));
  expect(screen.getByText('Alcohol: dissolves it.')).toBeTruthy();
});

describe('a sample', () => {
  function Cards({ only }: { only: string }) {
    const facts = useAppSelector((s) => s.jobs.byId['quill-point']!.facts);
    return (
      <>
        {sampleRegister(facts, DEFAULT_SETTINGS, NOW)
          .lines.filter((l) => l.sample.number === only)
          .map((l) => (
            <SampleCard key={l.sample.id} facts={facts} line={l} />
          ))}
      </>
    );
  }
  test('is taken, sent and answered, each with one press; the answer needs its unit', () => {
    const { store, facts } = open();
    const surface = facts().surfaces.find((s) => s.id === 'qp-plinth')!;
    store.dispatch(
      commit('quill-point', [takeChip(facts(), surface, 'all', 'Ines Marlow', 'QP', { takenAt: '2026-04-16T09:00:00.000Z' })], 'chip'),
    );
    const made = facts().surfaces.find((s) => s.id === 'qp-plinth')!.samples[0]!;
    expect([made.number, made.toSubstrate, made.reachedLayerIds.length]).toEqual(['QP-015', true, 2]);
    inside(store, <Cards only="QP-015" />);
    fireEvent.click(screen.getByRole('button', { name: 'QP-015 sent' }));
    fireEvent.click(screen.getByRole('button', { name: 'Enter the answer to QP-015' }));
    const value = screen.getByTestId('answer-value');
    fireEvent.change(value, { target: { value: '0.7' } });
    fireEvent.blur(value);
    fireEvent.click(screen.getByTestId('save-answer'));
    expect(screen.getByText('State the unit: %, ppm or mg/cm².')).toBeTruthy();
    fireEvent.change(screen.getByTestId('answer-unit'), { target: { value: 'mass%' } });
    fireEvent.click(screen.getByTestId('save-answer'));
    expect(screen.getByText('answered: 0.7 %, found')).toBeTruthy();
    expect(planOf(facts()).surfaces.find((p) => p.surfaceId === 'qp-plinth')!.lead.overall.value).toBe('found');
  });
  test('whose number is used twice says so, and is renumbered in place', () => {
    const { store, facts } = open();
    const surface = facts().surfaces.find((s) => s.id === 'qp-plinth')!;
    store.dispatch(commit('quill-point', [takeChip(facts(), surface, 'all', 'Ned', 'QP', { number: 'qp 3' })], 'chip'));
    inside(store, <Cards only="qp 3" />);
    expect(screen.getByRole('alert').textContent).toMatch(/two phones took it/);
    fireEvent.click(screen.getByRole('button', { name: 'More about qp 3' }));
    const number = screen.getByLabelText('Number');
    fireEvent.change(number, { target: { value: 'QP-020' } });
    fireEvent.blur(number);
    expect(facts().surfaces.find((s) => s.id === 'qp-plinth')!.samples[0]!.number).toBe('QP-020');
  });
});

test('an area plans what it still needs at drawn places, and asks for a seed where the job has none', () => {
  const { store, facts } = open();
  const area = areasOf(facts()).find((a) => a.kind === 'plaster' && a.year === 1904)!;
  expect(planArea(facts(), area, 'QP')).toHaveLength(3);
  inside(store, <AreaCard facts={facts()} area={area} />);
  fireEvent.click(screen.getByRole('button', { name: /^Plan 3 samples/ }));
  expect(areasOf(facts()).find((a) => a.key === area.key)!.samples).toHaveLength(3);

  const bare = open('quill-point', (f) => ({ ...f, job: { ...f.job, samplingSeed: '' } }));
  expect(planArea(bare.facts(), area, 'QP')).toEqual([]);
});

test('a table is looked over before it is brought in; wrong rows hold it back until they are left out', async () => {
  const { store, facts } = open();
  inside(store, <ImportScreen />);
  const file = new File(['x'], 'lab.csv');
  const text = 'Sample;Result;Unit\nQP-003;0,81;%\nQP-404;1;%\n';
  Object.defineProperty(file, 'arrayBuffer', { value: async () => Uint8Array.from(Buffer.from(text)).buffer });
  await act(async () => void fireEvent.change(screen.getByTestId('table-file'), { target: { files: [file] } }));
  expect(within(screen.getByTestId('preview')).getByText('Line 3: sample QP-404 is not on this job')).toBeTruthy();
  expect(screen.queryByTestId('bring-in')).toBeNull();
  // The right sample is picked in the row, and judged again there.
  fireEvent.change(screen.getByTestId('rename-3'), { target: { value: 'QP-003' } });
  expect(within(screen.getByTestId('preview')).getByText('Line 3: sample QP-003 stands on line 2 already')).toBeTruthy();
  fireEvent.click(screen.getByTestId('leave-out'));
  expect(screen.getByTestId('import-told').textContent).toBe('1 result imported.');
  expect(facts().surfaces.find((s) => s.id === 'qp-wainscot')!.readings[0]).toMatchObject({
    sampleId: 'qp-s3',
    value: 0.81,
    unit: 'mass%',
  });
});

test('the chart says in words what its lines show', () => {
  const { store, facts } = open();
  const space = facts().spaces.find((s) => s.id === 'qp-wash')!;
  const climate = simulatedClimate('test');
  const lines = (['now', 'all'] as const).map((as) => ({
    as,
    outlook: outlook(space.moisture!, space, climate, PINE, as === 'now' ? [] : REMEDIES, 'us'),
  }));
  inside(store, <GrowthChart lines={lines} says="Growth index by week" />);
  expect(screen.getByRole('img', { name: 'Growth index by week' })).toBeTruthy();
});
