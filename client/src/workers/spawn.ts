/** In a module of their own: Metro finds each worker by its very expression, and Jest stands in for them. */
export const spawnDeriveWorker = (): Worker => new Worker(new URL('./derive.worker.ts', import.meta.url));
export const spawnPhotoWorker = (): Worker => new Worker(new URL('./photo.worker.ts', import.meta.url));
export const spawnMoldWorker = (): Worker => new Worker(new URL('./mold.worker.ts', import.meta.url));
export const spawnAskWorker = (): Worker => new Worker(new URL('./ask.worker.ts', import.meta.url));
