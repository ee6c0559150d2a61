/** Keys for a desk: / find, n new, j k move, Enter in, Esc back, 1 to 7 stages, w why; ? lists them. Never while something is being typed. */
import { useEffect, type RefObject } from 'react';
import type { TextInput } from 'react-native';
import { router } from 'expo-router';
import type { JobFacts } from '@roughsill/core';
import { STAGES, type StageId } from './stages';

export const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'find a surface'],
  ['n', 'new surface, or new job on the first screen'],
  ['j  k', 'next and previous surface of those that are shown'],
  ['Enter', 'into the surface that is open'],
  ['Esc', 'out of it again, then back to the list, then to the jobs'],
  ['1 to 7', 'stages in the order of work'],
  ['w', 'unfold every why on the screen'],
  ['Ctrl z', 'take the last entry back'],
  ['?', 'this list'],
];

export const isTyping = (t: EventTarget | null): boolean =>
  t instanceof HTMLElement && (['INPUT', 'TEXTAREA', 'SELECT'].includes(t.tagName) || t.isContentEditable);

/** Runs a key's act unless something is being typed or a modifier is held. */
export function useKeys(act: (key: string) => boolean): void {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return;
      if (act(e.key)) e.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
}

interface JobKeys {
  readonly facts: JobFacts;
  readonly stage: StageId;
  readonly surfaceId?: string;
  readonly go: (s: StageId, id?: string) => void;
  readonly find: RefObject<TextInput | null>;
  readonly shownRef: RefObject<Shown>;
}

/** Surfaces as the list shows them; null until it stands. A key that walks along it may be pressed before: then it waits for it. */
export interface Shown {
  readonly ids: readonly string[] | null;
  readonly waiting?: (ids: readonly string[]) => void;
}

/** The list stands: what was waiting for it goes on. */
export function tellShown(shownRef: RefObject<Shown>, ids: readonly string[]): void {
  const { waiting } = shownRef.current;
  shownRef.current = { ids };
  waiting?.(ids);
}

/** In place: what stands at the top of the screen stays where it is. */
function unfoldAll(): void {
  const all = [...document.querySelectorAll<HTMLElement>('[data-why]')];
  const shut = all.filter((b) => b.getAttribute('aria-expanded') !== 'true');
  const seen = all.find((b) => b.getBoundingClientRect().bottom > 0);
  const was = seen?.getBoundingClientRect().top ?? 0;
  (shut.length > 0 ? shut : all).forEach((b) => b.click());
  requestAnimationFrame(() => {
    const pane = seen?.closest<HTMLElement>('[data-testid=surface], [data-testid=page], [data-testid=list]');
    if (seen && pane) pane.scrollTop += seen.getBoundingClientRect().top - was;
  });
}

/** The first thing of the open surface that can be done. */
function goIn(): boolean {
  const first = document.querySelector<HTMLElement>(
    '[data-testid=surface] [data-testid=next] button, [data-testid=surface] button, [data-testid=surface] input',
  );
  first?.focus();
  return first !== null;
}
const isOnControl = (): boolean =>
  document.activeElement instanceof HTMLElement &&
  document.activeElement.closest('a, button, [role=button], [role=radio], [role=checkbox]') !== null;

export function useJobKeys({ facts, stage, surfaceId, go, find, shownRef }: JobKeys): void {
  useKeys((key) => {
    const walk = (by: 1 | -1) => (ids: readonly string[]) => {
      const at = surfaceId === undefined ? -1 : ids.indexOf(surfaceId);
      if (ids.length > 0) go(stage, ids[Math.min(Math.max(at + by, 0), ids.length - 1)]);
    };
    const number = STAGES[Number(key) - 1];
    if (number) go(number, surfaceId);
    else if (key === 'j' || key === 'k') {
      const step = walk(key === 'j' ? 1 : -1);
      if (shownRef.current.ids === null) shownRef.current = { ids: null, waiting: step };
      else step(shownRef.current.ids);
    } else if (key === 'Enter') return surfaceId !== undefined && !isOnControl() && goIn();
    else if (key === 'Escape') {
      if (surfaceId === undefined) router.navigate('/');
      else if (document.activeElement?.closest('[data-testid=surface]')) (document.activeElement as HTMLElement).blur();
      else go(stage);
    } else if (key === '/') find.current?.focus();
    else if (key === 'w') unfoldAll();
    else if (key === 'n') {
      const space = facts.surfaces.find((s) => s.id === surfaceId)?.spaceId ?? facts.spaces.find((s) => s.removedAt === null)?.id;
      router.navigate(space ? `/add/${facts.job.id}?space=${space}` : `/add/${facts.job.id}`);
    } else return false;
    return true;
  });
}
