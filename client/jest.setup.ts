// NativeWind leaves its components out when NODE_ENV is test; without them className would do nothing.
require('react-native-css-interop/dist/runtime/components');

// A busy machine takes its time: what is waited for is a condition, and this is only how long before it is given up.
require('@testing-library/dom').configure({ asyncUtilTimeout: 30_000 });

// Jest has no workers: what a screen asks is answered in the page; the others are stood in for by the tests that need one.
jest.mock('./src/workers/spawn', () => {
  const silent = () => ({ addEventListener: () => undefined, postMessage: () => undefined, terminate: () => undefined });
  return {
    spawnDeriveWorker: silent,
    spawnPhotoWorker: silent,
    spawnMoldWorker: silent,
    spawnAskWorker: () => {
      let tell: (e: { data: unknown }) => void = () => undefined;
      return {
        addEventListener: (_: string, f: typeof tell) => (tell = f),
        postMessage: ({ run, ask, thisYear }: { run: number; ask: never; thisYear: number }) =>
          void Promise.resolve().then(() => tell({ data: { run, answer: require('./src/workers/answer').answerTo(ask, thisYear) } })),
        terminate: () => undefined,
      };
    },
  };
});

// A store in memory, as browsers have one; each test file begins with an empty one.
globalThis.structuredClone ??= ((value: unknown) =>
  value === undefined ? undefined : JSON.parse(JSON.stringify(value))) as typeof structuredClone;
require('fake-indexeddb/auto');
