import '../global.css';
import { useEffect, useState, type ReactNode } from 'react';
import { Provider } from 'react-redux';
import { useFonts } from 'expo-font';
import { router, Slot, usePathname, type ErrorBoundaryProps } from 'expo-router';
import besley from '@fontsource/besley/files/besley-latin-700-normal.woff2';
import read from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2';
import readBold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2';
import { spellAs } from '@roughsill/core/records';
import { SourceChecksProvider } from '../src/kit/Units';
import { boot, readEarly, useAppSelector, useFirm } from '../src/store';
import { useKeys } from '../src/stages/keys';
import { Stumbled } from '../src/Stumbled';
import { titled, useTrail } from '../src/trail';
import { useOffline } from '../src/useOffline';
import { PAGE_TITLES } from '../src/useTitle';

// Every screen but the first needs this piece: it is fetched while the page is still being put together, and behind the first screen
// as soon as that one stands.
/** Its jobs are asked for and drawn first. */
const AFTER_FIRST_MS = 400;
/** With the routes of a job, which would else be asked for one after the other, each when the one above it is drawn. */
const fetchRest = () =>
  void Promise.all([
    import('../src/stages/lazy-screens'),
    import('./job/[jobId]/_layout'),
    import('./job/[jobId]/[stage]/index'),
    import('./job/[jobId]/[stage]/[surfaceId]'),
  ]).catch(() => undefined);
if (typeof location !== 'undefined' && location.pathname !== '/') fetchRest();

// What this phone keeps is read meanwhile.
const early = typeof indexedDB === 'undefined' ? undefined : readEarly();

/** What fails outside every screen. */
export const ErrorBoundary = ({ error, retry }: ErrorBoundaryProps) => <Stumbled error={error} onRetry={() => void retry()} />;

/** Pigments for daylight or a cellar, on the page's root element. */
function Pigments() {
  const dim = useAppSelector((s) => s.session.dim);
  useEffect(() => {
    document.documentElement.classList.toggle('dim', dim);
  }, [dim]);
  return null;
}

/** What the firm held against the documents is said under every reason. */
function Checked({ children }: { readonly children: ReactNode }) {
  return <SourceChecksProvider value={useFirm().sourceChecks}>{children}</SourceChecksProvider>;
}

/** The frame that the page drew before any script stands behind the app until its first heading is there. */
function useFrameGone(): void {
  useEffect(() => {
    const frame = document.getElementById('frame');
    const root = document.getElementById('root');
    if (!frame || !root) return undefined;
    const look = () => {
      if (!root.querySelector('h1, [role=heading]')) return;
      frame.remove();
      seen.disconnect();
      if (location.pathname === '/') setTimeout(fetchRest, AFTER_FIRST_MS);
    };
    const seen = new MutationObserver(look);
    seen.observe(root, { childList: true, subtree: true });
    look();
    return () => seen.disconnect();
  }, []);
}

/** What holds on every screen: its name, and the key that lists the keys. */
function Everywhere() {
  const path = usePathname();
  const name = PAGE_TITLES[path];
  const pounds = useAppSelector((s) => s.session.settings.pricesIn === 'GBP');
  if (name !== undefined) spellAs(pounds ? 'uk' : 'us');
  useTrail();
  useEffect(() => {
    if (name === undefined) return undefined;
    document.title = `${name} · Rough Sill`;
    return titled(name);
  }, [name]);
  useKeys((key) => {
    if (key !== '?' || path === '/keys') return false;
    router.navigate('/keys');
    return true;
  });
  return null;
}

export default function Layout() {
  const [store] = useState(() => boot(early));
  // Screens do not wait for the fonts: a system face stands in until they are here.
  useFonts({ Besley: besley, Hyperlegible: read, HyperlegibleBold: readBold });
  useOffline();
  useFrameGone();
  return (
    <Provider store={store}>
      <Pigments />
      <Everywhere />
      <Checked>
        <Slot />
      </Checked>
    </Provider>
  );
}
