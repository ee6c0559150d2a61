/** Keys for a desk: / find, n new, j k move, 1 to 7 stages, w why, ? the list of keys. Never while something is being typed. */
import { useEffect, type RefObject } from 'react';
import type { TextInput } from 'react-native';
import { router } from 'expo-router';
import type { JobFacts } from '@roughsill/core';
import { STAGES, type StageId } from './stages';

export const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'find a surface'],
  ['n', 'new surface, or new job on the first screen'],
  ['j  k', 'next and previous surface'],
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
}

function unfoldAll(): void {
  const all = [...document.querySelectorAll<HTMLElement>('[data-why]')];
  const shut = all.filter((b) => b.getAttribute('aria-expanded') !== 'true');
  (shut.length > 0 ? shut : all).forEach((b) => b.click());
}

export function useJobKeys({ facts, stage, surfaceId, go, find }: JobKeys): void {
  useKeys((key) => {
    const place = new Map(facts.spaces.map((s) => [s.id, s.position]));
    const gone = new Set(facts.spaces.filter((s) => s.removedAt !== null).map((s) => s.id));
    const order = facts.surfaces
      .filter((s) => s.removedAt === null && !gone.has(s.spaceId))
      .sort((a, b) => (place.get(a.spaceId) ?? 0) - (place.get(b.spaceId) ?? 0) || a.position - b.position);
    const at = order.findIndex((s) => s.id === surfaceId);
    const number = STAGES[Number(key) - 1];
    if (number) go(number, surfaceId);
    else if (key === 'j') go(stage, order[Math.min(at + 1, order.length - 1)]?.id);
    else if (key === 'k') go(stage, order[Math.max(at - 1, 0)]?.id);
    else if (key === '/') find.current?.focus();
    else if (key === 'w') unfoldAll();
    else if (key === 'n') {
      const space = order[at]?.spaceId ?? facts.spaces.find((s) => s.removedAt === null)?.id;
      router.navigate(space ? `/add/${facts.job.id}?space=${space}` : `/add/${facts.job.id}`);
    } else if (key === '?') router.navigate('/keys');
    else return false;
    return true;
  });
}
