/** A seeded source of random numbers: the same seed gives the same sequence everywhere. */
export interface Random {
  /** A number in [0, 1). */
  next(): number;
  /** A number in [low, high). */
  between(low: number, high: number): number;
}

/**
 * Mulberry32, a 32-bit generator that passes the usual small test batteries.
 * Source: T. Ettinger, public domain.
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return { next, between: (low, high) => low + (high - low) * next() };
}

/** A 32-bit hash of a text (FNV-1a), to derive one seed from another and a name. */
export function seedFrom(seed: number, text: string): number {
  let hash = (2166136261 ^ seed) >>> 0;
  for (let i = 0; i < text.length; i++) {
    hash = Math.imul(hash ^ text.charCodeAt(i), 16777619) >>> 0;
  }
  return hash;
}
