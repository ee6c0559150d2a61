/** The stages of a surface, as a painter meets them: what is told, what can be pressed, and what comes of it. */
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { DEFAULT_SETTINGS, type JobFacts } from '@roughsill/core';
import { examples } from '@roughsill/demo';
import { jobsSlice } from '../store/slices';
import { makeStore, type Store } from '../store/store';
import { UnitsProvider } from '../kit';
import { findSurface } from '../store';
import { useSurfacePlan } from '../store/derived';
import { useAppSelector } from '../store/store';
import { ChooseStage } from './choose/ChooseStage';
import { CoatStage } from './coat/CoatStage';
import { ProbeStage } from './probe/ProbeStage';
import { ProtectStage } from './protect/ProtectStage';
import { WalkStage } from './walk/WalkStage';
import { WorkStage } from './work/WorkStage';
import { SurfaceList } from './SurfaceList';
import { digestOf, createDeriver } from '@roughsill/core';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() }, Link: ({ children }: { children: unknown }) => children }));

const STAGES = {
  walk: WalkStage,
  probe: ProbeStage,
  choose: ChooseStage,
  protect: ProtectStage,
  coat: CoatStage,
  work: WorkStage,
} as const;

function Stage({ jobId, surfaceId, stage }: { jobId: string; surfaceId: string; stage: keyof typeof STAGES }) {
  const facts = useAppSelector((s) => s.jobs.byId[jobId]!.facts);
  const plan = useSurfacePlan(facts, surfaceId)!;
  const Shown = STAGES[stage] as React.ComponentType<any>;
  return (
    <Shown facts={facts} surface={findSurface(facts, surfaceId)} plan={plan} go={() => undefined} looking={null} onLook={() => undefined} />
  );
}

function show(
  stage: keyof typeof STAGES,
  edit: (f: JobFacts) => JobFacts = (f) => f,
  example = 'one-window',
): { store: Store; surface: () => JobFacts['surfaces'][number]; zoneChecks: () => JobFacts['checks'] } {
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as any;
  (globalThis as any).AbortSignal = { timeout: () => undefined };
  const facts = edit(examples()[example]!);
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId: facts.job.id, base: facts, cursor: 1, waiting: [] }));
  const surfaceId = facts.surfaces[0]!.id;
  render(
    <Provider store={store}>
      <UnitsProvider value={facts.job.units}>
        <Stage jobId={facts.job.id} surfaceId={surfaceId} stage={stage} />
      </UnitsProvider>
    </Provider>,
  );
  const now = () => store.getState().jobs.byId[facts.job.id]!.facts;
  return { store, surface: () => now().surfaces[0]!, zoneChecks: () => now().checks };
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const untested = (f: JobFacts): JobFacts => ({ ...f, surfaces: f.surfaces.map((s) => ({ ...s, readings: [] })) });

test('walk: shares that do not add up cannot be kept; those that do are written together', async () => {
  const { surface } = show('walk');
  fireEvent.click(await screen.findByTestId('parts-folded', {}, { timeout: 20_000 }));
  await screen.findByTestId('share-flat', {}, { timeout: 20_000 });
  const type = (id: string, text: string) => {
    fireEvent.change(screen.getByTestId(id), { target: { value: text } });
    fireEvent.blur(screen.getByTestId(id));
  };
  type('share-flat', '60');
  expect(screen.getByText(/add to 110 %, not 100 %/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Keep these shares' }).getAttribute('aria-disabled')).toBe('true');
  type('share-moulded', '20');
  press('Keep these shares');
  expect(surface().parts.map((p) => [p.kind, p.sharePct])).toEqual([
    ['flat', 60],
    ['moulded', 20],
    ['besideGlass', 20],
  ]);
});

test('walk: a coat is added below, moved up, and its year told to be in the future', async () => {
  const { surface } = show('walk');
  await screen.findByTestId('add-coat-unknown', {}, { timeout: 20_000 });
  fireEvent.click(screen.getByTestId('add-coat-unknown'));
  expect(surface().layers).toHaveLength(5);
  fireEvent.click(screen.getByTestId('coat-5'));
  press('Move coat 5 up');
  const order = [...surface().layers].sort((a, b) => a.position - b.position).map((l) => l.id);
  expect(order[3]).toBe(surface().layers[4]!.id);
  fireEvent.click(screen.getByTestId('coat-1'));
  const coat = within(screen.getByRole('group', { name: 'Coat 1 from the top' }));
  fireEvent.change(coat.getByLabelText('Year, if known'), { target: { value: '2999' } });
  fireEvent.blur(coat.getByLabelText('Year, if known'));
  expect(screen.getAllByText('2999 is in the future: check the year').length).toBeGreaterThan(0);
  expect(surface().layers[0]!.yearApplied).toBe(2004);
});

test('walk: a copy takes sizes and coats along, but nothing that was found', () => {
  const { store } = show('walk');
  press('Copy Lower sash');
  const { surfaces } = store.getState().jobs.byId['one-window']!.facts;
  expect(surfaces).toHaveLength(2);
  expect(surfaces[1]).toMatchObject({ name: 'Lower sash, copy', readings: [], checks: [] });
  expect(surfaces[1]!.layers.map((l) => l.binder)).toEqual(surfaces[0]!.layers.map((l) => l.binder));
});

test('probe: the next test is named with its reason, and a face swab leaves the coats below assumed', async () => {
  const { surface } = show('probe', untested);
  expect(screen.getByTestId('next-test').textContent).toMatch(/Cut a notch through all coats/);
  fireEvent.click(screen.getByTestId('record-spot'));
  const form = await screen.findByTestId('reading-form');
  fireEvent.click(within(form).getByRole('radio', { name: 'unchanged' }));
  expect(form.textContent).toMatch(/Unchanged proves nothing until the control/);
  fireEvent.click(within(form).getByRole('radio', { name: 'worked' }));
  fireEvent.click(screen.getByTestId('save-reading'));
  await waitFor(() => expect(surface().readings).toHaveLength(1));
  expect(surface().readings[0]).toMatchObject({
    kind: 'spot',
    spot: 'unchanged',
    control: 'worked',
    toSubstrate: false,
    reachedLayerIds: ['ow-sash-coat1'],
  });
  expect(screen.getByRole('button', { name: /^why: coat 2, lead assumed/ })).toBeTruthy();
});

test('probe: a swab without a result and a lab value without a unit are told beside their fields, and nothing is written', async () => {
  const { surface } = show('probe', untested);
  fireEvent.click(screen.getByTestId('record-spot'));
  fireEvent.click(await screen.findByTestId('save-reading'));
  expect(await screen.findByText('Say what the swab did.')).toBeTruthy();
  press('Not now');
  fireEvent.click(screen.getByTestId('record-lab'));
  const value = await screen.findByTestId('reading-value');
  fireEvent.change(value, { target: { value: '0.7' } });
  fireEvent.blur(value);
  fireEvent.click(screen.getByTestId('save-reading'));
  expect(await screen.findByText('State the unit: %, ppm or mg/cm².')).toBeTruthy();
  expect(surface().readings).toEqual([]);
});

test('choose: the law is final; practice may be overruled, with a why that goes on record', () => {
  const { surface } = show('choose', (f) => ({ ...f, surfaces: f.surfaces.map((s) => ({ ...s, aim: 'bareClear' as const })) }));
  fireEvent.click(screen.getByTestId('blocked-flat'));
  const flat = within(screen.getByTestId('part-flat'));
  fireEvent.click(flat.getByRole('button', { name: /^open flame, blocked/ }));
  expect(flat.getByText('The law or the hazard forbids it outright. It cannot be chosen.')).toBeTruthy();
  fireEvent.click(flat.getByRole('button', { name: /^hot air, then scrape, blocked/ }));
  fireEvent.click(flat.getByRole('button', { name: 'Keep it against practice' }));
  expect(flat.getByText('Say why: it goes on record.')).toBeTruthy();
  fireEvent.change(flat.getByLabelText('Why you keep it all the same'), { target: { value: 'air is sampled' } });
  fireEvent.click(flat.getByRole('button', { name: 'Keep it against practice' }));
  expect(surface().parts[0]).toMatchObject({ methodId: 'heatGun', insistedWhy: 'air is sampled' });
  expect(screen.getByText(/against practice: “air is sampled”/)).toBeTruthy();
});

test('choose: each verdict stands in words, with hours and money unless it is blocked', () => {
  show('choose');
  const infrared = screen.getAllByTestId('method-infrared')[0]!;
  expect(infrared.textContent).toMatch(/with care: A burn/);
  expect(infrared.textContent).toMatch(/min.*\$/);
  fireEvent.click(screen.getByTestId('blocked-flat'));
  expect(screen.getByTestId('part-flat').querySelector('[data-testid=method-torch]')!.textContent).not.toMatch(/\$/);
});

test('protect: figures carry their unit, the sign its words', () => {
  show('protect');
  expect(screen.getByText(/^88.9 ft² of sheet laid, .* to buy · close and seal the room · \d waste bags · a sign\.$/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('area-open'));
  expect(screen.getByRole('button', { name: /^why: Floor sheet, laid, 88.9 ft²/ })).toBeTruthy();
  expect(screen.getByRole('img', { name: /^Sign: DANGER/ })).toBeTruthy();
  expect(screen.getByText('Half mask with P100 filters')).toBeTruthy();
});

test('coat: may it be coated now, in the job’s own degrees', () => {
  show('coat');
  for (const [id, text] of [
    ['air', '68'],
    ['humidity', '85'],
    ['surface-temperature', '66'],
  ] as const) {
    fireEvent.change(screen.getByTestId(id), { target: { value: text } });
    fireEvent.blur(screen.getByTestId(id));
  }
  // 20 C at 85 %: dew point 17.4 C = 63.3 F; 5.4 F above it is 68.7 F.
  expect(screen.getByTestId('may-coat-answer').textContent).toMatch(/^Wait: dew point 63.3 °F. The surface must be at least 68.7 °F/);
});

test('work: a check of the zone is passed, then failed; both are kept, and what it sends back is open', () => {
  const { surface, zoneChecks } = show('work');
  press(/^Pass: Sheet, seals and signs are up/);
  press(/^Fail: Sheet, seals and signs are up/);
  expect(zoneChecks().map((c) => [c.outcome, c.zoneId])).toEqual([
    ['pass', surface().spaceId],
    ['fail', surface().spaceId],
  ]);
  expect(surface().checks).toEqual([]);
  expect(screen.getByTestId('step-protect').textContent).toMatch(/the work stands here/);
});

test('the list of a stage says what is still open there, and finds by name', () => {
  const facts = examples()['quill-point']!;
  const digest = digestOf(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, 2026));
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  const list = (stage: 'probe' | 'protect', filter: string) => (
    <Provider store={store}>
      <SurfaceList facts={facts} digest={digest} stage={stage} filter={filter} by="page" />
    </Provider>
  );
  const { rerender } = render(list('probe', ''));
  expect(screen.getByTestId('row-qp-wainscot').textContent).toMatch(/Wait for the lab.*waiting/);
  rerender(list('probe', 'ceiling'));
  expect(screen.queryByTestId('row-qp-wainscot')).toBeNull();
  expect(screen.getByTestId('row-qp-kitchen-ceiling')).toBeTruthy();
});

test('walk: a size is typed as it is read off a tape, and the sum says what it came to; one that is none is told', async () => {
  const { surface } = show('walk');
  fireEvent.click(screen.getByTestId('what-it-is'));
  const length = await screen.findByTestId('lengthM');
  const before = screen.getByTestId('take-off').textContent;
  const type = (text: string) => {
    fireEvent.change(length, { target: { value: text } });
    fireEvent.blur(length);
  };
  type('3 ft 6 1/2 in');
  expect(surface().lengthM).toBeCloseTo(42.5 * 0.0254, 6);
  expect(screen.getByTestId('take-off').textContent).not.toBe(before);
  type('a yard or so');
  expect(surface().lengthM).toBeCloseTo(42.5 * 0.0254, 6);
  expect(length.getAttribute('aria-invalid')).toBe('true');
});

test('probe: what is withdrawn says why, stays on the record, and its surface is in doubt again', async () => {
  const { surface } = show('probe');
  const standing = surface().readings.length;
  fireEvent.click(screen.getAllByRole('button', { name: /^Withdraw this reading/ })[0]!);
  press('Withdraw it');
  expect(screen.getByText('Say in a word or two why it is withdrawn.')).toBeTruthy();
  expect(surface().readings).toHaveLength(standing);
  fireEvent.change(screen.getByLabelText('Why is it withdrawn'), { target: { value: 'the swab was of last year' } });
  press('Withdraw it');
  await waitFor(() => expect(surface().readings).toHaveLength(standing + 1));
  expect(surface().readings.at(-1)).toMatchObject({ kind: 'withdrawn', supersedesWhy: 'the swab was of last year' });
  expect(within(screen.getByTestId('record')).getByText(/Replaces an earlier record: the swab was of last year/)).toBeTruthy();
});

test('work: a number is asked for, not a tick; out of its limit it fails by itself, and both stand on record', () => {
  const { surface, zoneChecks } = show('work');
  const all = () => [...surface().checks, ...zoneChecks()];
  const asked = () => screen.queryAllByTestId(/^measured-/)[0];
  for (let i = 0; i < 30 && !asked(); i += 1)
    fireEvent.click(screen.getAllByRole('button', { name: /^Pass: / }).find((b) => b.getAttribute('aria-pressed') !== 'true')!);
  // The first is the moisture of the wood, after its wet strokes.
  expect(asked()!.getAttribute('data-testid')).toBe('measured-moisture-moisturePct');
  const record = () => fireEvent.click(within(asked()!.closest('[role=group]')!).getByRole('button', { name: /^It is so: record/ }));
  const before = all().length;
  record();
  expect(screen.getByText('Read it off: a tick is only for what has no number.')).toBeTruthy();
  expect(all()).toHaveLength(before);
  const enter = (value: string) => {
    fireEvent.change(asked()!, { target: { value } });
    fireEvent.blur(asked()!);
    record();
  };
  enter('22');
  enter('12');
  expect(surface().checks.slice(-2)).toMatchObject([
    { gate: 'moisture', outcome: 'fail', measured: [{ what: 'moisturePct', value: 22 }] },
    { gate: 'moisture', outcome: 'pass', measured: [{ what: 'moisturePct', value: 12 }] },
  ]);
});
