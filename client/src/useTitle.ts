/** What the browser's tab, its history and a screen reader call the page: where one is, the nearest first. */
import { useEffect } from 'react';
import { titled } from './trail';

export function useTitle(...parts: readonly (string | undefined)[]): void {
  const title = [...parts.filter(Boolean), 'Rough Sill'].join(' · ');
  useEffect(() => {
    document.title = title;
    return titled(title.split(' · ')[0]!);
  }, [title]);
}

/** Pages outside a job. */
export const PAGE_TITLES: Readonly<Record<string, string>> = {
  '/': 'Jobs',
  '/new': 'New job',
  '/who': 'Who is here',
  '/firm': 'The firm',
  '/settings': 'Settings',
  '/catalogue': 'Methods',
  '/air': 'Air and breathing',
  '/mix': 'Mixing bench',
  '/shelf': 'Shelf',
  '/sources': 'Sources',
  '/keys': 'Keys',
  '/aside': 'Set aside',
};
