/** In a module of its own: Metro finds the worker by this very expression, and Jest stands in for it. */
export const spawnDeriveWorker = (): Worker => new Worker(new URL('./derive.worker.ts', import.meta.url));
