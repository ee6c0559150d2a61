/** Work of this length and no longer stands between two answers, ms. */
const SLICE_MS = 12;

/** Lets others be answered when this has gone on for a while. */
export function breather(): () => Promise<void> | undefined {
  let since = performance.now();
  return () => {
    if (performance.now() - since < SLICE_MS) return undefined;
    return new Promise((resolve) =>
      setImmediate(() => {
        since = performance.now();
        resolve();
      }),
    );
  };
}
