/** Keys that walk along the list of a job. */
import { fireEvent, renderHook } from '@testing-library/react';
import { examples } from '@roughsill/demo';
import { tellShown, useJobKeys, type Shown } from './keys';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

test('a key pressed before the list stands waits for it; the last one counts; an empty list is no way to walk', () => {
  const go = jest.fn();
  const shown: { current: Shown } = { current: { ids: null } };
  renderHook(() => useJobKeys({ facts: examples()['quill-point']!, stage: 'walk', go, find: { current: null }, shownRef: shown }));
  fireEvent.keyDown(window, { key: 'j' });
  fireEvent.keyDown(window, { key: 'j' });
  expect(go).not.toHaveBeenCalled();
  tellShown(shown, ['first', 'second']);
  expect(go.mock.calls).toEqual([['walk', 'first']]);
  tellShown(shown, []);
  fireEvent.keyDown(window, { key: 'k' });
  expect(go).toHaveBeenCalledTimes(1);
});
