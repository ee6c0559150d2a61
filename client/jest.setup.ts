// NativeWind leaves its components out when NODE_ENV is test; without them className would do nothing.
require('react-native-css-interop/dist/runtime/components');

// Jest has no workers: a large job's worker is stood in for by the tests that need one.
jest.mock('./src/workers/spawn', () => ({
  spawnDeriveWorker: () => ({ addEventListener: () => undefined, postMessage: () => undefined }),
}));

// A store in memory, as browsers have one; each test file begins with an empty one.
globalThis.structuredClone ??= ((value: unknown) =>
  value === undefined ? undefined : JSON.parse(JSON.stringify(value))) as typeof structuredClone;
require('fake-indexeddb/auto');
