/**
 * The one memory of the derivation. A node is a pure function of narrow views, remembered by the identity of its inputs; a view that
 * comes out equal stays the same object, so that what hangs on it is not derived again. Nobody writes a key by hand.
 */
import { same } from './same';

const NOTHING: readonly unknown[] = [];

/** The function with its last answer: given the same objects, it gives the same object back. */
export function node<const I extends readonly unknown[], O>(f: (...inputs: I) => O): (...inputs: I) => O {
  let last: readonly unknown[] = NOTHING;
  let answer: O;
  return (...inputs) => {
    if (last !== NOTHING && last.length === inputs.length && last.every((x, i) => Object.is(x, inputs[i]))) return answer;
    answer = f(...inputs);
    last = inputs;
    return answer;
  };
}

/** Keeps a view: one that says the same as the last gives the last. */
export function kept<T extends object>(): (made: T) => T {
  let last: T | undefined;
  return (made) => {
    if (last === undefined || !same(last, made)) last = made;
    return last;
  };
}

/** Keeps a list: one with the very same objects in it gives the last. */
export function keptList<T>(): (made: readonly T[]) => readonly T[] {
  let last: readonly T[] = [];
  return (made) => {
    if (made.length !== last.length || made.some((x, i) => !Object.is(x, last[i]))) last = made;
    return last;
  };
}

/**
 * A list whose items are made one by one, from what stands at the same place in other lists. Where all of that is the same, the item stays as it
 * is; where every item stays, so does the list: on a large job an edit costs the one surface that it touches.
 */
export function eachKept<const E extends readonly unknown[], const C extends readonly unknown[], O>(
  make: (each: E, i: number, ...shared: C) => O,
): (lists: { readonly [K in keyof E]: readonly E[K][] }, ...shared: C) => readonly O[] {
  let from: readonly (readonly unknown[])[] = [];
  let given: readonly unknown[] = [];
  let answers: readonly O[] = [];
  return (lists, ...shared) => {
    const now = lists as readonly (readonly unknown[])[];
    const alike = from.length > 0 && shared.every((x, i) => Object.is(x, given[i]));
    const size = now[0]!.length;
    if (alike && now.every((l, k) => l === from[k])) return answers;
    let stays = size === answers.length;
    // Plain loops: on a large job this is gone through at every tap.
    const next: O[] = [];
    for (let i = 0; i < size; i += 1) {
      let kept = alike && i < answers.length;
      for (let k = 0; kept && k < now.length; k += 1) kept = Object.is(now[k]![i], from[k]![i]);
      const item = kept ? answers[i]! : make(now.map((l) => l[i]) as unknown as E, i, ...shared);
      stays &&= kept || Object.is(item, answers[i]);
      next.push(item);
    }
    [from, given] = [now, shared];
    if (!stays) answers = next;
    return answers;
  };
}

const values = new WeakMap<object, string>();

/** What an object says, as one string: equal sheets, wherever they were made, share one answer. */
export function valueOf(x: object): string {
  let v = values.get(x);
  if (v === undefined) values.set(x, (v = JSON.stringify(x)));
  return v;
}

/** One of a kind for each key, made when it is first asked for, and dropped with `only` when its key is gone. */
export class Each<K, V> {
  private readonly of = new Map<K, V>();
  constructor(private readonly make: (key: K) => V) {}

  at(key: K): V {
    let v = this.of.get(key);
    if (v === undefined) this.of.set(key, (v = this.make(key)));
    return v;
  }

  /** So that memory stays as large as the job. */
  only(there: readonly { readonly id: K }[]): void {
    if (this.of.size <= there.length) return;
    const keys = new Set(there.map((x) => x.id));
    for (const k of this.of.keys()) if (!keys.has(k)) this.of.delete(k);
  }
}
