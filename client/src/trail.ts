/** Where one came from: the way back leads there, to the place on the screen that was left. */
import { useEffect, useRef, useState } from 'react';
import type { ScrollView } from 'react-native';
import { router, usePathname, type Href } from 'expo-router';

interface Visit {
  readonly href: string;
  /** The nearest part of the page's title, as it was when the screen was left. */
  title: string;
}
const trail: Visit[] = [];
const MOST_VISITS = 50;
/** How far each screen was scrolled when it was left. */
const leftAt = new Map<string, number>();
/** The screen that the browser's own way back led to; from a link one comes in at the top. */
let cameBackTo: string | null = null;

const here = (): string => (typeof location === 'undefined' ? '/' : location.pathname + location.search);
if (typeof window !== 'undefined') window.addEventListener('popstate', () => (cameBackTo = here()));

/** The router puts the address in its bar a moment after it has drawn the screen. */
function afterAddress(act: () => void): () => void {
  const timer = setTimeout(act, 0);
  return () => clearTimeout(timer);
}

function record(): void {
  const href = here();
  if (cameBackTo !== href) cameBackTo = null;
  const job = jobIn(href);
  if (job !== undefined) sessionStorage.setItem(LAST_JOB, job);
  const last = trail.at(-1);
  if (last?.href === href) return;
  if (trail.at(-2)?.href === href) trail.pop();
  else trail.push({ href, title: '' });
  if (trail.length > MOST_VISITS) trail.shift();
}

/** In the frame of the app, once: writes the trail. */
export function useTrail(): void {
  const path = usePathname();
  useEffect(() => afterAddress(record), [path]);
}

const LAST_JOB = 'job-looked-at';
const jobIn = (href: string): string | undefined =>
  /^\/(?:job|facts|survey|samples|compare|rounds|table|certainty|client|bags|breathing)\/([^/?]+)/.exec(href)?.[1];

/** The job that was looked at last, also before the page was loaded anew; null: none yet in this tab. */
export function jobLookedAt(): string | null {
  for (const { href } of [...trail].reverse()) {
    const id = jobIn(href);
    if (id !== undefined) return id;
  }
  return typeof sessionStorage === 'undefined' ? null : sessionStorage.getItem(LAST_JOB);
}

/** Called by whoever sets the page's title, from an effect. */
export const titled = (title: string): (() => void) =>
  afterAddress(() => {
    record();
    trail.at(-1)!.title = title;
  });

/** Whether the browser's own way back stays in the app. */
export const cameFromHere = (): boolean => trail.length > 1;

interface WayBack {
  /** What the place is called that it leads to. */
  readonly label: string;
  readonly go: () => void;
}
/**
 * @param usual where it leads when one came from nowhere in particular, and what that is called
 * @param within only what begins so is an origin: the way out of a job leads into no other
 */
export function useWayBack(usual: { readonly href: string; readonly label: string }, within: string): WayBack {
  const path = usePathname();
  // The screen may be put together before or after its visit is written down.
  const [at] = useState(() => (trail.at(-1)?.href.split('?')[0] === path ? trail.at(-2) : trail.at(-1)));
  if (at !== undefined && at.href.includes(within))
    return { label: at.href === usual.href || at.title === '' ? usual.label : at.title, go: () => history.back() };
  return { label: usual.label, go: () => router.navigate(usual.href as Href) };
}

const TRIES = 40;
const TRY_MS = 50;
/** For the pane that scrolls: remembered while it is looked at, put back when one comes back to it. */
export function useKeptScroll() {
  const path = usePathname();
  const ref = useRef<ScrollView>(null);
  const href = useRef(here());
  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined;
    const stop = afterAddress(() => {
      href.current = here();
      const y = leftAt.get(href.current) ?? 0;
      if (cameBackTo !== href.current || y === 0) return;
      // What is below may still be coming in.
      let tries = 0;
      timer = setInterval(() => {
        const node = ref.current?.getScrollableNode() as HTMLElement | undefined;
        tries += 1;
        if (node && node.scrollHeight - node.clientHeight >= y) node.scrollTop = y;
        if (tries >= TRIES || (node && Math.abs(node.scrollTop - y) < 2)) clearInterval(timer);
      }, TRY_MS);
    });
    return () => {
      stop();
      clearInterval(timer);
    };
  }, [path]);
  return {
    ref,
    scrollEventThrottle: 16,
    onScroll: (e: { nativeEvent: { contentOffset: { y: number } } }) => {
      // A last word of a pane that is gone already would say that it was left at its top.
      const node = ref.current?.getScrollableNode() as HTMLElement | undefined;
      if (node?.isConnected) leftAt.set(href.current, e.nativeEvent.contentOffset.y);
    },
  };
}
