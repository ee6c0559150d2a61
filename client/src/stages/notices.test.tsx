/** The thin bar above the ledge, and the plan on paper. */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { router } from 'expo-router';
import { examples } from '@roughsill/demo';
import { commit, remove, set } from '../store/changes';
import { jobsSlice, noticeSlice, outboxSlice } from '../store/slices';
import { makeStore, type Store } from '../store/store';
import { JobNotices } from './JobNotices';
import { Notices } from './Notices';
import { PrintScreen } from './work/PrintScreen';

const mockParams = { jobId: 'quill-point', surface: undefined as string | undefined };
jest.mock('expo-router', () => ({
  router: { navigate: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  useLocalSearchParams: () => mockParams,
  usePathname: () => '/',
}));

const facts = examples()['quill-point']!;
const jobId = facts.job.id;
function open(): Store {
  // A server that never answers: nothing comes back while the screen is looked at.
  (globalThis as any).AbortSignal = { timeout: () => undefined };
  globalThis.fetch = jest.fn(() => new Promise(() => undefined)) as any;
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId: facts.job.id, base: facts, cursor: 1, waiting: [] }));
  return store;
}
const bar = (store: Store, at?: string) =>
  render(<Provider store={store}>{at === undefined ? <Notices /> : <JobNotices jobId={at} />}</Provider>);

test('it is quiet when nothing is wrong', () => {
  expect(bar(open()).container.textContent).toBe('');
  expect(bar(open(), jobId).container.textContent).toBe('All entries are kept and sent.This phone');
});

test('what is not sent is counted, in the singular and the plural', () => {
  const store = open();
  store.dispatch(commit(jobId, [set('job', jobId, { name: 'A' })], null));
  store.dispatch(outboxSlice.actions.away('No signal to the server.'));
  const { rerender } = bar(store, jobId);
  expect(screen.getByTestId('away').textContent).toMatch(/No signal to the server. 1 entry is kept on this phone/);
  act(() => {
    store.dispatch(commit(jobId, [set('job', jobId, { name: 'B' })], null));
    store.dispatch(outboxSlice.actions.away('No signal to the server.'));
  });
  rerender(
    <Provider store={store}>
      <JobNotices jobId={jobId} />
    </Provider>,
  );
  expect(screen.getByTestId('away').textContent).toMatch(/2 entries are kept/);
});

test('an act of this job can be taken back here; of another job only outside all jobs', () => {
  const store = open();
  store.dispatch(commit(jobId, [remove('surface', 'qp-plinth')], 'Salt-worn brick plinth removed'));
  const here = bar(store, 'another-job');
  expect(here.container.textContent).toMatch(/kept/);
  expect(screen.queryByTestId('undo')).toBeNull();
  here.unmount();
  bar(store);
  fireEvent.click(screen.getByTestId('undo'));
  expect(store.getState().jobs.byId[jobId]!.facts.surfaces.find((s) => s.id === 'qp-plinth')!.removedAt).toBeNull();
});

test('a trial square that is over says so on every screen of its job, and leads there; one of yesterday does not', () => {
  const store = open();
  const begun = (minutesAgo: number) => new Date(Date.now() - minutesAgo * 60_000).toISOString();
  const start = (minutesAgo: number) =>
    store.dispatch(commit(jobId, [set('square', 'qp-q3', { startedAt: begun(minutesAgo), dwellMin: 60 }, 'qp-sash-river')], null));
  start(29 * 60);
  const first = bar(store, jobId);
  expect(first.container.textContent).not.toMatch(/Square 3/);
  first.unmount();
  start(70);
  bar(store, jobId);
  expect(screen.getByTestId('due-square').textContent).toMatch(/Square 3, Sashes, river side: over by 10 min, lift it/);
  fireEvent.click(screen.getByRole('button', { name: 'Go to square 3 on Sashes, river side' }));
  expect(jest.mocked(router.navigate)).toHaveBeenCalledWith('/job/quill-point/trial/qp-sash-river');
});

test('a clash names both values; a refusal names what was wrong', () => {
  const store = open();
  store.dispatch(
    noticeSlice.actions.clashed([{ changeId: 'c-1', entity: 'job', entityId: jobId, field: 'yearBuilt', theirs: 1931, yours: null }]),
  );
  store.dispatch(
    noticeSlice.actions.refused({
      says: 'Something in it needs putting right.',
      problems: [{ path: 'x', message: 'this surface is not on the job' }],
    }),
  );
  bar(store, jobId);
  expect(screen.getByTestId('clash').textContent).toMatch(/changed this to 1931. Yours, nothing, stands now/);
  expect(screen.getByTestId('refused').textContent).toMatch(/this surface is not on the job/);
  fireEvent.click(screen.getAllByRole('button', { name: 'Seen' })[0]!);
  expect(screen.queryByTestId('clash')).toBeNull();
});

test('a clash of a whole sheet of answers is named and fells nothing', () => {
  const store = open();
  const sheet = { insideC: 20, insideRhPct: 60, leak: 'no' };
  store.dispatch(
    noticeSlice.actions.clashed([{ changeId: 'c-2', entity: 'space', entityId: 'x', field: 'moisture', theirs: null, yours: sheet }]),
  );
  bar(store, jobId);
  expect(screen.getByTestId('clash').textContent).toMatch(/Yours, a sheet of answers, stands now/);
});

test('on paper: the whole job, or one surface, with its steps, checks, reasons and their sources', () => {
  const store = open();
  const paper = () => (
    <Provider store={store}>
      <PrintScreen />
    </Provider>
  );
  const { rerender } = render(paper());
  const zones = () => screen.getAllByRole('heading', { level: 2 }).filter((h) => h.textContent.startsWith('Work zone: '));
  const surfaces = () => screen.getAllByRole('heading', { level: 3 });
  expect([zones().length, surfaces().length]).toEqual([7, 20]);
  expect(screen.getByTestId('paper-summary').textContent).toMatch(/\$[\d,]+ to \$[\d,]+ · .* days/);
  // Every reason once, and every number that is named has its note.
  const notes = [...document.querySelectorAll('.paper-notes li')].map((li) => li.textContent);
  expect(new Set(notes).size).toBe(notes.length);
  const named = [...document.querySelectorAll('.paper sup')].flatMap((s) => s.textContent.split(', ').map(Number));
  expect(new Set(named)).toEqual(new Set(notes.map((_, i) => i + 1)));
  mockParams.surface = 'qp-keeper-door';
  rerender(paper());
  expect(surfaces().map((h) => h.textContent)).toEqual([expect.stringMatching(/^1 × Four-panel door/)]);
  expect(zones().map((h) => h.textContent)).toEqual(['Work zone: Bench']);
  const text = screen.getByTestId('paper').textContent!;
  const source =
    /XRF read 2.6 mg\/cm²; bare material alone adds 0.05 mg\/cm², which leaves 2.55 mg\/cm² to hold against the limit of 1 mg\/cm². \((S\d+)\)/.exec(
      text,
    )?.[1];
  expect(text).toContain(`${source} HUD Guidelines, 2nd edition`);
  expect(text).toMatch(/☑ Sheet, seals and signs are up/);
  expect(text).toMatch(/No trial stands behind this price: it is a guess until squares are done/);
});
