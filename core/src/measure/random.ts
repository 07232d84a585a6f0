/** A seeded source of random numbers: the same seed gives the same sequence everywhere. */
export interface Random {
  /** A number in [0, 1). */
  next(): number;
  /** A number in [low, high). */
  between(low: number, high: number): number;
  /** A number of the standard normal distribution. */
  normal(): number;
}

/**
 * Source: T. Ettinger, public domain; normal numbers by the polar method (Marsaglia and Bray 1964).
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  let spare: number | null = null;
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  const normal = (): number => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    for (;;) {
      const [u, v] = [2 * next() - 1, 2 * next() - 1];
      const s = u * u + v * v;
      if (s >= 1 || s === 0) continue;
      const factor = Math.sqrt((-2 * Math.log(s)) / s);
      spare = v * factor;
      return u * factor;
    }
  };
  return { next, between: (low, high) => low + (high - low) * next(), normal };
}

/** A 32-bit hash of a text (FNV-1a), to derive one seed from another and a name. */
export function seedFrom(seed: number, text: string): number {
  let hash = (2166136261 ^ seed) >>> 0;
  for (let i = 0; i < text.length; i++) {
    hash = Math.imul(hash ^ text.charCodeAt(i), 16777619) >>> 0;
  }
  return hash;
}
