/**
 * What stands in a field and was not entered yet survives a closed tab. It is kept in localStorage, which alone can be read before the
 * field is first drawn, half a second after the last key and once more when the page goes away.
 */
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import type { TextInput } from 'react-native';

const PREFIX = 'rough-sill.draft.';
const KEEP_AFTER_MS = 500;
const OLD_MS = 14 * 24 * 3600 * 1000;

interface Kept {
  readonly text: string;
  /** What was recorded when it was typed: another value since then, and the draft is about something else. */
  readonly recorded: string;
  readonly at: number;
}

/** Storage may be full or shut off: a draft is a help, not a promise. */
function quietly<T>(f: () => T): T | undefined {
  try {
    return f();
  } catch {
    return undefined;
  }
}

/** Drops what nobody came back to. */
function sweep(now: number): void {
  for (let i = localStorage.length - 1; i >= 0; i -= 1) {
    const key = localStorage.key(i);
    if (!key?.startsWith(PREFIX)) continue;
    const kept = quietly(() => JSON.parse(localStorage.getItem(key)!) as Kept);
    if (!kept || now - kept.at > OLD_MS) localStorage.removeItem(key);
  }
}
let swept = false;

/** One field on one page. Several of one name are told apart by their order on it. */
function keyOf(element: HTMLElement | null, name: string): string {
  const page = `${location.pathname}${location.search}`;
  const alike = [...document.querySelectorAll('[data-draft]')].filter((e) => e.getAttribute('data-draft') === name);
  const like = element ? alike.indexOf(element) : 0;
  return `${PREFIX}${page}|${name}|${Math.max(0, like)}`;
}

/** What was entered field by field and is not recorded yet: it stands until it is, also over a closed tab. */
export function useKept<T extends object>(name: string, none: T): readonly [T, (value: T) => void] {
  const key = `${PREFIX}${location.pathname}${location.search}|${name}`;
  const [value, setValue] = useState(() => {
    const kept = quietly(() => JSON.parse(localStorage.getItem(key) ?? 'null') as Kept | null);
    return kept ? (quietly(() => JSON.parse(kept.text) as T) ?? none) : none;
  });
  const put = (next: T) => {
    setValue(next);
    const kept: Kept = { text: JSON.stringify(next), recorded: '', at: Date.now() };
    quietly(() => (Object.keys(next).length === 0 ? localStorage.removeItem(key) : localStorage.setItem(key, JSON.stringify(kept))));
  };
  return [value, put];
}

export interface DraftField {
  readonly text: string;
  /** It was typed before this page was opened. */
  readonly found: boolean;
  /** A key was pressed. */
  readonly type: (text: string) => void;
  /** Set by something else than typing. */
  readonly show: (text: string) => void;
  /** The field was left: it is entered now, or refused beside it. */
  readonly done: () => void;
}

/**
 * What is being typed; starts again when the recorded value changes while nothing is typed.
 * @param name of the field on its page
 * @param onFound told when a draft from before is shown
 */
export function useDraft(
  recorded: string,
  name: string,
  onFound?: (text: string) => void,
): readonly [RefObject<TextInput | null>, DraftField] {
  const [text, setText] = useState(recorded);
  const [seen, setSeen] = useState(recorded);
  const [found, setFound] = useState(false);
  const [typing, setTyping] = useState(false);
  const ref = useRef<TextInput>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const typed = useRef<string>(undefined);
  if (seen !== recorded) {
    setSeen(recorded);
    // Another tab or phone wrote meanwhile: what is being typed here stands until the field is left.
    if (!typing) {
      setText(recorded);
      setFound(false);
    }
  }
  const save = useCallback(() => {
    clearTimeout(timer.current);
    if (typed.current === undefined) return;
    const kept: Kept = { text: typed.current, recorded, at: Date.now() };
    quietly(() => localStorage.setItem(keyOf(ref.current as unknown as HTMLElement, name), JSON.stringify(kept)));
  }, [recorded, name]);

  useEffect(() => {
    const element = ref.current as unknown as HTMLElement | null;
    element?.setAttribute('data-draft', name);
  }, [name]);
  useEffect(() => {
    // After all fields of the page have their name, so that their order is known.
    const kept = quietly(() => {
      if (!swept) sweep(Date.now());
      swept = true;
      return JSON.parse(localStorage.getItem(keyOf(ref.current as unknown as HTMLElement, name)) ?? 'null') as Kept | null;
    });
    if (!kept || kept.recorded !== recorded || kept.text === recorded) return;
    setText(kept.text);
    setFound(true);
    onFound?.(kept.text);
    // Once, when the field is first drawn.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useEffect(() => {
    window.addEventListener('pagehide', save);
    return () => {
      window.removeEventListener('pagehide', save);
      clearTimeout(timer.current);
    };
  }, [save]);

  const field: DraftField = {
    text,
    found,
    type: (t) => {
      setText(t);
      setFound(false);
      setTyping(true);
      typed.current = t;
      clearTimeout(timer.current);
      timer.current = setTimeout(save, KEEP_AFTER_MS);
    },
    show: setText,
    done: () => {
      clearTimeout(timer.current);
      typed.current = undefined;
      setFound(false);
      setTyping(false);
      quietly(() => localStorage.removeItem(keyOf(ref.current as unknown as HTMLElement, name)));
    },
  };
  return [ref, field];
}
