/** What is seen at a stroke, and damage of the ground: told by a tap, answered at once, taken back, kept without a signal. */
import { useEffect } from 'react';
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { NO_FIRM, SIGN_DATA, SIGNS, type JobFacts, type Material, type SurfacePlan } from '@roughsill/core';
import { examples } from '@roughsill/demo';
import { UnitsProvider } from '../kit';
import { sessionSlice } from '../store';
import { useSurfacePlan } from '../store/derived';
import { jobsSlice } from '../store/slices';
import { makeStore, useAppSelector, type Store } from '../store/store';
import type { StageProps } from './props';
import { Defects, Finish } from './walk/Defects';
import { SignPicture } from './work/SignPicture';
import { WorkStage } from './work/WorkStage';

jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  useLocalSearchParams: () => ({ jobId: 'quill-point' }),
  usePathname: () => '/',
}));

const DOOR = 'qp-keeper-door';
function open(): { store: Store; facts: () => JobFacts } {
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as never;
  (globalThis as { AbortSignal: unknown }).AbortSignal = { timeout: () => undefined };
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId: 'quill-point', base: examples()['quill-point']!, cursor: 1, waiting: [] }));
  return { store, facts: () => store.getState().jobs.byId['quill-point']!.facts };
}
const doorOf = (facts: JobFacts) => facts.surfaces.find((s) => s.id === DOOR)!;
let latest: SurfacePlan;
const seePlan = (plan: SurfacePlan): void => {
  latest = plan;
};
function Stage({ show }: { readonly show: (p: StageProps) => React.ReactNode }) {
  const facts = useAppSelector((s) => s.jobs.byId['quill-point']!.facts);
  const plan = useSurfacePlan(facts, DOOR)!;
  useEffect(() => seePlan(plan), [plan]);
  return <>{show({ facts, surface: doorOf(facts), plan })}</>;
}
const inside = (store: Store, show: (p: StageProps) => React.ReactNode) =>
  render(
    <Provider store={store}>
      <UnitsProvider value="ft">
        <Stage show={show} />
      </UnitsProvider>
    </Provider>,
  );

describe('signs', () => {
  test('every one is drawn, on any ground', () => {
    for (const material of ['softwood', 'brick', 'mildSteel', 'limePlaster'] satisfies Material[])
      for (const sign of SIGNS) {
        const { container, unmount } = render(<SignPicture sign={sign} material={material} />);
        // The ground, its lines, the face, and at least one stroke of what is seen.
        expect([sign, container.querySelectorAll('path').length >= 3]).toEqual([sign, true]);
        expect(container.innerHTML).not.toMatch(/undefined|NaN/);
        unmount();
      }
  });
  test('one tap tells it over the extent that is chosen; it is taken back by a record of its own', () => {
    const { store, facts } = open();
    inside(store, (p) => <WorkStage {...p} />);
    const step = within(screen.getByTestId('step-remove.flat'));
    expect(step.getByTestId('seen-heatSmoke')).toBeTruthy();
    fireEvent.click(step.getByTestId('see'));
    fireEvent.click(step.getByRole('radio', { name: /^All of it, / }));
    const before = latest.work.steps.find((st) => st.id === 'remove.flat')!.handsOnH.high;
    fireEvent.click(step.getByTestId('sign-heatGum'));
    const told = () => doorOf(facts()).signs;
    expect(told().at(-1)).toMatchObject({ sign: 'heatGum', extent: 'whole', methodId: 'infrared', partId: 'qp-keeper-door-flat' });
    expect(latest.work.steps.find((st) => st.id === 'remove.flat')!.handsOnH.high).toBeGreaterThan(before);
    fireEvent.click(step.getByRole('button', { name: 'Take it back: drags like gum' }));
    expect(told().at(-1)).toMatchObject({ sign: 'withdrawn', supersedesId: told().at(-2)!.id });
    expect(step.queryByTestId('seen-heatGum')).toBeNull();
    expect(latest.work.steps.find((st) => st.id === 'remove.flat')!.handsOnH.high).toBeCloseTo(before, 9);
  });
  test('what would be done over for ever is refused beside its tile', () => {
    const { store } = open();
    inside(store, (p) => <WorkStage {...p} />);
    const step = within(screen.getByTestId('step-remove.flat'));
    fireEvent.click(step.getByTestId('see'));
    fireEvent.click(step.getByRole('radio', { name: /^All of it, / }));
    for (let n = 0; n < 2; n += 1) fireEvent.click(step.getByTestId('sign-heatGum'));
    const tile = step.getByTestId('sign-heatGum');
    expect(tile.getAttribute('aria-disabled')).toBe('true');
    expect(tile.textContent).toContain('this method has reached its end here');
    // Others are open as before.
    expect(step.getByTestId('sign-heatScorch').getAttribute('aria-disabled')).not.toBe('true');
    expect(SIGN_DATA.heatScorch.role).toBe('ruined');
  });
  test('the firm’s own picture stands in for the drawing', () => {
    const { store } = open();
    const own = { id: 'pic', sign: 'heatGum' as const, hash: 'a'.repeat(64), width: 4, height: 3, removedAt: null };
    act(() => void store.dispatch(sessionSlice.actions.firmChanged({ ...NO_FIRM, signPictures: [own] })));
    inside(store, (p) => <WorkStage {...p} />);
    const step = within(screen.getByTestId('step-remove.flat'));
    fireEvent.click(step.getByTestId('see'));
    expect(step.getByTestId('sign-heatGum').innerHTML).toContain('a'.repeat(64));
    expect(step.getByTestId('sign-heatScorch').innerHTML).not.toContain('/api/photos/');
  });
});

describe('damage of the ground', () => {
  test('nothing is recorded before its kind is chosen; a key puts it without a place', () => {
    const { store, facts } = open();
    inside(store, (p) => <Defects {...p} />);
    const own = () => doorOf(facts()).defects.filter((x) => x.removedAt === null);
    fireEvent.click(screen.getByTestId('face-drawing'));
    expect(own()).toHaveLength(2);
    fireEvent.change(screen.getByTestId('defect-kind'), { target: { value: 'crack' } });
    fireEvent.click(screen.getByTestId('face-drawing'), { clientX: 0, clientY: 0 });
    expect(own()).toHaveLength(3);
    expect(own().find((x) => x.kind === 'crack')).toMatchObject({ alongM: null, upM: null, moving: 'unknown', asFound: true });
    expect(screen.getByText('3. Crack, not measured')).toBeTruthy();
    // Of plaster there is none on a wooden door.
    expect(within(screen.getByTestId('defect-kind')).queryByRole('option', { name: 'loose plaster' })).toBeNull();
  });
  test('a wrong size is said beside its field, and what stood there stays', () => {
    const { store, facts } = open();
    inside(store, (p) => <Defects {...p} />);
    fireEvent.click(screen.getByTestId('defect-1'));
    const deep = screen.getByTestId('defect-depth');
    fireEvent.change(deep, { target: { value: '-2' } });
    fireEvent.blur(deep);
    expect(screen.getByText('More than 0.')).toBeTruthy();
    expect(doorOf(facts()).defects.find((x) => x.kind === 'hole')!.depthMm).toBe(22);
  });
  test('a finish says how it is judged, and changes the coats', () => {
    const { store, facts } = open();
    inside(store, (p) => <Finish {...p} />);
    expect(screen.getByText(/one coat more, rubbed level/)).toBeTruthy();
    const coats = latest.coating.lines.at(-1)!.coats;
    fireEvent.click(screen.getByRole('radio', { name: 'sound and tidy' }));
    expect(doorOf(facts()).finish).toBe('tidy');
    expect(latest.coating.lines.at(-1)!.coats).toBe(coats - 1);
  });
});
