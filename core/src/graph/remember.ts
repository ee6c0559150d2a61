/**
 * A memory by key for what is dear to make and always comes out the same. It never holds more than `most`: full, it begins anew, for who
 * asks for ever new keys (a time zone in every spelling) would else fill the memory of the server.
 */
export function remember<V>(most: number): { of(key: string, make: () => V): V; clear(): void; readonly size: number } {
  const kept = new Map<string, V>();
  return {
    of(key, make) {
      const known = kept.get(key);
      if (known !== undefined) return known;
      const made = make();
      if (kept.size >= most) kept.clear();
      kept.set(key, made);
      return made;
    },
    clear: () => kept.clear(),
    get size() {
      return kept.size;
    },
  };
}
