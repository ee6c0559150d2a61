/** Chance from a seed: the same seed draws the same, on every machine. */

/** FNV-1a over the seed's characters, so that any text is a seed. */
function hash(seed: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < seed.length; i += 1) h = Math.imul(h ^ seed.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/**
 * Uniform numbers in [0, 1). The mixing step is mulberry32, a small public-domain generator: good for drawing places, not for secrets.
 * @throws RangeError for an empty seed: a plan that cannot be drawn again is no evidence
 */
export function seeded(seed: string): () => number {
  if (seed.trim() === '') throw new RangeError('a random plan needs a seed, so that it can be drawn again');
  let state = hash(seed);
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** `n` of the numbers 1 to `of`, each equally likely, in ascending order. */
export function draw(n: number, of: number, random: () => number): number[] {
  const all = Array.from({ length: of }, (_, i) => i + 1);
  const take = Math.min(n, of);
  for (let i = 0; i < take; i += 1) {
    const j = i + Math.floor(random() * (of - i));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
  return all.slice(0, take).sort((a, b) => a - b);
}
