/** The first screen: a file that is wrong is told line by line before anything is sent; settings write the firm's own rates. */
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { router } from 'expo-router';
import { JobLine, NO_FIRM, writeJobFile, type Change, type JobFacts } from '@roughsill/core';
import { examples } from '@roughsill/demo';
import { makeStore } from '../../store/store';
import { jobsSlice, sessionSlice } from '../../store/slices';
import { JobFactsScreen } from './JobFactsScreen';
import { NewJobScreen } from './NewJobScreen';
import { CatalogueScreen } from './CatalogueScreen';
import { SourcesScreen } from './ReferenceScreens';
import { StartScreen } from './StartScreen';
import { WhoScreen } from './WhoScreen';

jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  useLocalSearchParams: () => mockParams,
  usePathname: () => '/',
}));

let mockParams: Record<string, string> = {};
const calls: [string, string | undefined][] = [];
let answer: (url: string) => { status: number; body: unknown };
beforeEach(() => {
  calls.length = 0;
  mockParams = {};
  jest.mocked(router.navigate).mockClear();
  jest.mocked(router.replace).mockClear();
  answer = () => ({ status: 200, body: { jobs: [] } });
  (globalThis as any).AbortSignal = { timeout: () => undefined };
  globalThis.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
    calls.push([url, init?.body]);
    const sent = init?.body && url === '/api/changes' ? (JSON.parse(init.body) as { changes: { id: string }[] }).changes : [];
    const r = url === '/api/changes' ? { status: 200, body: { accepted: sent.map((c) => c.id), clashes: [], cursors: {} } } : answer(url);
    return { ok: r.status < 400, status: r.status, json: async () => r.body };
  }) as any;
});
const store = () => makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
const show = (Screen: () => React.ReactNode, s = store()) => {
  render(
    <Provider store={s}>
      <Screen />
    </Provider>,
  );
  return s;
};
const bring = (text: string) => {
  const file = new File([text], 'job.roughsill.json');
  Object.defineProperty(file, 'text', { value: async () => text });
  fireEvent.change(screen.getByTestId('import'), { target: { files: [file] } });
};

test('an empty list teaches the next step', async () => {
  show(StartScreen);
  expect(await screen.findByText(/No job yet. Start one/)).toBeTruthy();
});

test('a wrong file names its paths and is never sent', async () => {
  show(StartScreen);
  bring(writeJobFile(examples()['one-window']!).replace('"widthM": 0.86', '"widthM": -2'));
  expect((await screen.findByTestId('import-problems')).textContent).toContain('surfaces[0].widthM: width must be more than 0');
  expect(calls.filter(([url]) => url.includes('import'))).toEqual([]);
});

test('a job that is here already is offered as a copy', async () => {
  answer = (url) =>
    url.includes('copy')
      ? { status: 201, body: { jobId: 'new-one', cursor: 1 } }
      : url.includes('import')
        ? { status: 409, body: { type: '/problems/already-here', title: 'It is already here' } }
        : { status: 200, body: { jobs: [] } };
  show(StartScreen);
  bring(writeJobFile(examples()['one-window']!));
  fireEvent.click(await screen.findByTestId('import-copy'));
  await waitFor(() => expect(router.navigate).toHaveBeenCalledWith('/job/new-one/walk'));
});

test('without signal and without jobs the screen says so, and lets a new one begin', async () => {
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as any;
  show(StartScreen);
  expect(await screen.findByText(/No signal, and no job has been opened on this phone yet/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('new-job'));
  expect(router.navigate).toHaveBeenCalledWith('/new');
});

test('a new job: UK rules bring metres; a year in the future stays in its field with its reason', async () => {
  const s = show(NewJobScreen);
  fireEvent.change(screen.getByTestId('job-name'), { target: { value: 'Terrace' } });
  fireEvent.change(screen.getByTestId('year-built'), { target: { value: '2999' } });
  fireEvent.blur(screen.getByTestId('year-built'));
  fireEvent.click(screen.getByRole('radio', { name: 'United Kingdom' }));
  // Three things are asked; the rest where it first changes an answer.
  expect(screen.queryByRole('radio', { name: 'metres' })).toBeNull();
  fireEvent.click(screen.getByTestId('save-job'));
  expect(await screen.findByText('The year is in the future: check it.')).toBeTruthy();
  fireEvent.change(screen.getByTestId('year-built'), { target: { value: '1898' } });
  fireEvent.blur(screen.getByTestId('year-built'));
  fireEvent.click(screen.getByTestId('save-job'));
  await waitFor(() => expect(Object.values(s.getState().jobs.byId)).toHaveLength(1));
  expect(Object.values(s.getState().jobs.byId)[0]!.facts.job).toMatchObject({
    name: 'Terrace',
    yearBuilt: 1898,
    rulebook: 'uk',
    units: 'm',
    childUnder6: 'unknown',
  });
});

test('a job takes over the address and year of its house, and is told when the list says another', async () => {
  const job = examples()['one-window']!;
  const opened = { ...job, job: { ...job.job, place: '', yearBuilt: null } };
  mockParams = { jobId: job.job.id };
  const s = store();
  s.dispatch(jobsSlice.actions.jobLoaded({ jobId: job.job.id, base: opened, cursor: 1, waiting: [] }));
  const site = { id: 'pier', name: 'Pier house', address: '', yearBuilt: 1898, note: '', removedAt: null };
  s.dispatch(sessionSlice.actions.firmChanged({ ...NO_FIRM, sites: [site] }));
  show(JobFactsScreen, s);
  fireEvent.change(await screen.findByTestId('site'), { target: { value: 'pier' } });
  expect((screen.getByLabelText('Where it is') as HTMLInputElement).value).toBe('Pier house');
  expect((screen.getByTestId('year-built') as HTMLInputElement).value).toBe('1898');
  act(() => void s.dispatch(sessionSlice.actions.firmChanged({ ...NO_FIRM, sites: [{ ...site, address: '2 Pier Row' }] })));
  expect(screen.getByText('On the list the house is at: 2 Pier Row.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Take that over' }));
  await waitFor(() =>
    expect(s.getState().jobs.byId[job.job.id]!.facts.job).toMatchObject({ siteId: 'pier', place: '2 Pier Row', yearBuilt: 1898 }),
  );
});

const line = (job: JobFacts['job'], over: object = {}) => JobLine.parse({ ...job, surfaces: 1, cursor: 1, ...over });

test('the next job at a house begins with all that was found there; what was done and passed stays behind', async () => {
  const one = examples()['one-window']!;
  const was = { ...one, job: { ...one.job, siteId: 'pier', yearBuilt: 1898 } };
  const s = store();
  s.dispatch(
    sessionSlice.actions.firmChanged({
      ...NO_FIRM,
      sites: [{ id: 'pier', name: 'Pier house', address: '2 Pier Row', yearBuilt: 1898, note: '', removedAt: null }],
    }),
  );
  s.dispatch(jobsSlice.actions.jobLoaded({ jobId: was.job.id, base: was, cursor: 1, waiting: [] }));
  s.dispatch(jobsSlice.actions.listLoaded([line(was.job)]));
  show(NewJobScreen, s);
  fireEvent.change(screen.getByTestId('job-name'), { target: { value: 'Pier house, the year after' } });
  fireEvent.change(screen.getByTestId('house'), { target: { value: 'pier' } });
  expect((screen.getByTestId('from') as HTMLSelectElement).value).toBe(was.job.id);
  // To begin without it is possible, and says what is lost.
  fireEvent.click(screen.getByRole('radio', { name: 'rooms and pieces' }));
  expect(screen.getByText(/What was found there is not known to a job that begins without it/)).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'all that was found' }));
  fireEvent.click(screen.getByTestId('save-job'));
  await waitFor(() => expect(Object.keys(s.getState().jobs.byId)).toHaveLength(2));
  const made = Object.values(s.getState().jobs.byId).find((j) => j.facts.job.id !== was.job.id)!.facts;
  expect(made.job).toMatchObject({ name: 'Pier house, the year after', siteId: 'pier', place: '2 Pier Row', yearBuilt: 1898 });
  expect(made.surfaces[0]!.readings.map((r) => [r.value, r.by])).toEqual(was.surfaces[0]!.readings.map((r) => [r.value, r.by]));
  expect(made.surfaces[0]!.checks).toEqual([]);
  expect(router.replace).toHaveBeenCalledWith(`/job/${made.job.id}/walk`);
});

test('a job begun from another by its own button keeps its rules and units, and observations name nobody who only brought them in', async () => {
  const uk = examples()['uk-stair']!;
  mockParams = { from: uk.job.id };
  const s = store();
  s.dispatch(sessionSlice.actions.atPhone({ person: 'Mara Tarn', personId: 'p-mara' }));
  s.dispatch(jobsSlice.actions.jobLoaded({ jobId: uk.job.id, base: uk, cursor: 1, waiting: [] }));
  s.dispatch(jobsSlice.actions.listLoaded([line(uk.job)]));
  show(NewJobScreen, s);
  fireEvent.change(screen.getByTestId('job-name'), { target: { value: 'The next stair' } });
  fireEvent.click(screen.getByRole('radio', { name: 'all that was found' }));
  fireEvent.click(screen.getByTestId('save-job'));
  await waitFor(() => expect(Object.keys(s.getState().jobs.byId)).toHaveLength(2));
  const made = Object.values(s.getState().jobs.byId).find((j) => j.facts.job.id !== uk.job.id)!.facts;
  expect(made.job).toMatchObject({ rulebook: 'uk', units: uk.job.units });
  const sent = calls.flatMap(([url, body]) => (url === '/api/changes' ? JSON.parse(body!).changes : [])) as Change[];
  const said = [...s.getState().outbox.waiting, ...sent];
  expect(said.filter((c) => c.by !== 'Mara Tarn' && c.personId !== null)).toEqual([]);
  expect(said.some((c) => c.by === 'Mara Tarn' && c.personId === 'p-mara')).toBe(true);
});

test('a job that cannot be fetched begins nothing, and says so', async () => {
  const s = store();
  s.dispatch(jobsSlice.actions.listLoaded([line({ ...examples()['one-window']!.job, id: 'far' })]));
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as any;
  show(NewJobScreen, s);
  fireEvent.change(screen.getByTestId('job-name'), { target: { value: 'Next' } });
  fireEvent.change(screen.getByTestId('from'), { target: { value: 'far' } });
  fireEvent.click(screen.getByTestId('save-job'));
  expect(await screen.findByText(/there is no signal to fetch it/)).toBeTruthy();
  expect(Object.keys(s.getState().jobs.byId)).toEqual([]);
});

test('what is put away leaves the list, and is found by its name, its place or its client', async () => {
  const { job } = examples()['one-window']!;
  const jobs = [
    ...[1, 2, 3, 4, 5].map((n) => line({ ...job, id: `open-${n}`, name: `House ${n}` })),
    line({ ...job, id: 'old', name: 'Mill', jobState: 'archived', clientName: 'Orla Venn' }),
  ];
  answer = () => ({ status: 200, body: { jobs } });
  show(StartScreen);
  expect(await screen.findByText('House 1')).toBeTruthy();
  expect(screen.queryByText('Mill')).toBeNull();
  fireEvent.change(screen.getByTestId('find-job'), { target: { value: 'venn órla' } });
  expect(await screen.findByText('Mill')).toBeTruthy();
  expect(screen.queryByText('House 1')).toBeNull();
  fireEvent.change(screen.getByTestId('find-job'), { target: { value: '' } });
  fireEvent.click(screen.getByRole('radio', { name: 'put away, 1' }));
  expect(screen.getByText('Mill')).toBeTruthy();
});

test('a client of the list is named on the job, with the language of the contract; the name stays for whoever has no list', async () => {
  const job = examples()['one-window']!;
  mockParams = { jobId: job.job.id };
  const s = store();
  s.dispatch(jobsSlice.actions.jobLoaded({ jobId: job.job.id, base: job, cursor: 1, waiting: [] }));
  const client = {
    id: 'venn',
    name: 'Orla Venn',
    address: '',
    phone: '555 0142',
    email: '',
    reads: 'es',
    note: '',
    removedAt: null,
  } as const;
  s.dispatch(sessionSlice.actions.firmChanged({ ...NO_FIRM, clients: [client] }));
  show(JobFactsScreen, s);
  fireEvent.change(await screen.findByTestId('client'), { target: { value: 'venn' } });
  const now = () => s.getState().jobs.byId[job.job.id]!.facts.job;
  expect(now()).toMatchObject({ clientId: 'venn', clientName: 'Orla Venn', contractIn: 'es' });
  expect(screen.getByText('555 0142')).toBeTruthy();
  act(
    () =>
      void s.dispatch(sessionSlice.actions.firmChanged({ ...NO_FIRM, clients: [{ ...client, removedAt: '2026-05-05T08:00:00.000Z' }] })),
  );
  expect(now().clientName).toBe('Orla Venn');
  expect((screen.getByTestId('client') as HTMLSelectElement).selectedOptions[0]!.textContent).toBe('Orla Venn, taken off the list');
});

test('who is at this phone is one tap on a name of the firm, or a new name on its list', () => {
  const person = (id: string, name: string) => ({ id, name, certificates: [], fitTests: [], training: [], removedAt: null });
  const s = store();
  s.dispatch(sessionSlice.actions.firmChanged({ ...NO_FIRM, people: [person('p-1', 'Ines Marlow'), person('p-2', 'Odo Quarry')] }));
  show(WhoScreen, s);
  fireEvent.click(screen.getByRole('radio', { name: 'Odo Quarry' }));
  expect(s.getState().session).toMatchObject({ person: 'Odo Quarry', personId: 'p-2' });
  fireEvent.click(screen.getByRole('button', { name: 'Add: Name' }));
  expect(screen.getByText('It needs a name.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Mara Tarn' } });
  fireEvent.click(screen.getByRole('button', { name: 'Add: Name' }));
  const { people } = s.getState().session.firm;
  expect(people.map((p) => p.name)).toEqual(['Ines Marlow', 'Odo Quarry', 'Mara Tarn']);
  expect(s.getState().session).toMatchObject({ person: 'Mara Tarn', personId: people[2]!.id });
});

test('a source is held against its document: who did and against what is said there, and can be taken back', () => {
  const s = store();
  s.dispatch(sessionSlice.actions.atPhone({ person: 'Mara Tarn', personId: null }));
  show(SourcesScreen, s);
  fireEvent.click(screen.getByRole('button', { name: 'I checked it: IRC R408.3' }));
  fireEvent.click(screen.getByTestId('checked-mem-cellar'));
  expect(screen.getByText('Name the document that you looked at.')).toBeTruthy();
  fireEvent.change(screen.getByTestId('against-mem-cellar'), { target: { value: 'IRC 2024, R408.3' } });
  fireEvent.click(screen.getByTestId('checked-mem-cellar'));
  expect(screen.getByText(/^Checked by Mara Tarn on \d{4}-\d\d-\d\d: IRC 2024, R408.3\.$/)).toBeTruthy();
  expect(screen.getByText(/^1 of \d+ documents checked by the firm\.$/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Take back the check of IRC R408.3' }));
  expect(screen.queryByText(/^Checked by/)).toBeNull();
});

test('the catalogue: facts with their sources; a rate of one’s own is kept in m2 and marked; the slow one may not pass the fast', async () => {
  const s = show(CatalogueScreen);
  fireEvent.click(screen.getByRole('button', { name: 'infrared, then scrape: facts and rates' }));
  expect(screen.getByTestId('method-card-infrared').textContent).toMatch(/People: one or two: the same person-hours/);
  expect(screen.getByTestId('method-card-infrared').textContent).toMatch(/From memory: verify locally/);
  const low = screen.getByTestId('rate-low-infrared');
  fireEvent.change(low, { target: { value: '20' } });
  fireEvent.blur(low);
  // What is sent in the background has been answered.
  await act(async () => undefined);
  expect(s.getState().session.settings.rates.infrared!.lowM2PerH).toBeCloseTo(1.858, 3);
  expect(screen.getByTestId('method-card-infrared').textContent).toMatch(/your own · 20 to/);
  fireEvent.change(screen.getByTestId('rate-low-infrared'), { target: { value: '90' } });
  fireEvent.blur(screen.getByTestId('rate-low-infrared'));
  expect(screen.getByText('the slow rate is above the fast one')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Back to the usual numbers for infrared, then scrape' }));
  await act(async () => undefined);
  expect(s.getState().session.settings.rates).toEqual({});
});
