import { useEffect } from 'react';

/** The service worker keeps the app itself, so that it opens without signal. Only the built app has one. */
export function useOffline(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  }, []);
}
