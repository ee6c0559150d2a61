/** Which build of the app this page is. Written into the page itself when the app is exported (scripts/lib/build.mjs). */
const named = (page: Pick<Document, 'querySelector'>): string => page.querySelector('meta[name=build]')?.getAttribute('content') ?? '';

export const BUILD = typeof document === 'undefined' ? '' : named(document);

/** Whether the server has another build of the app by now. Without signal nobody knows, and it counts as none. */
export async function isReplaced(): Promise<boolean> {
  try {
    const page = await fetch('/index.html', { cache: 'no-store', headers: { accept: 'text/html' } });
    if (!page.ok) return false;
    const there = named(new DOMParser().parseFromString(await page.text(), 'text/html'));
    return there !== '' && there !== BUILD;
  } catch {
    return false;
  }
}

const TRIED = 'replaced-by';
/**
 * Loads the app anew, once for each build that this page was: a fault that a new app has too must not go round and round.
 * @param wanted the page that was asked for, where the address in the bar is still that of the one before
 */
export function loadAnew(wanted: string = location.pathname): boolean {
  try {
    if (sessionStorage.getItem(TRIED) === BUILD) return false;
    sessionStorage.setItem(TRIED, BUILD);
  } catch {
    return false;
  }
  if (wanted === location.pathname) location.reload();
  else location.assign(wanted);
  return true;
}
