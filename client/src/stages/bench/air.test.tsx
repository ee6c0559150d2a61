/** The bench answers while one types, and what cannot be is told in place of the answer, with what was typed still there. */
import { fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { makeStore } from '../../store/store';
import { AirScreen } from './AirScreen';

jest.mock('expo-router', () => ({
  router: { navigate: jest.fn(), replace: jest.fn() },
  Link: ({ children }: { children: unknown }) => children,
  usePathname: () => '/air',
}));

const type = (testId: string, value: string) => {
  fireEvent.change(screen.getByTestId(testId), { target: { value } });
  fireEvent.blur(screen.getByTestId(testId));
};
const says = (testId: string) => screen.getByTestId(testId).textContent;

test('machines for a room, a day over its limit with its mask, a sample that could not be', () => {
  localStorage.clear();
  render(
    <Provider store={makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never)}>
      <AirScreen />
    </Provider>,
  );
  // NIOSH and EPA sizing practice: 30 x 20 x 9 ft, machines of 500 cfm at 80 %.
  expect(says('room-air-answer')).toMatch(/^360 cfm: 1 machine of that kind/);
  type('air-ach', '6');
  expect(says('room-air-answer')).toMatch(/^540 cfm: 2 machines/);
  // 29 CFR 1926.62(c): 67.5 over eight hours.
  expect(says('day-answer')).toMatch(/^Over: 67.5 µg\/m³ against 50 µg\/m³. Half mask/);
  fireEvent.click(screen.getByRole('radio', { name: 'United Kingdom' }));
  expect(says('day-answer')).toMatch(/^Within: 67.5 µg\/m³ against 150 µg\/m³/);
  type('task-h-0', '30');
  expect(says('day-answer')).toMatch(/hours in one day: check the tasks/);
  expect((screen.getByTestId('task-h-0') as HTMLInputElement).value).toBe('30');
  type('sample-minutes', '500');
  expect(says('sample-answer')).toMatch(/it cannot be longer/);
  type('sample-minutes', '240');
  expect(says('sample-answer')).toMatch(/^480 L: .*4 h of the shift are not in it/);
  // In a smaller room less may be laid.
  const most = (text: string | null) => Number(/at most ([\d.]+)/.exec(text ?? '')![1]);
  const before = most(says('solvent-answer'));
  type('solvent-room', '700');
  expect(most(says('solvent-answer'))).toBeLessThan(before);
});
