/** What a drawing may hold at most; beyond it, it is refused rather than read for minutes. */
export const LIMITS = {
  characters: 16_000_000,
  nodes: 60_000,
  depth: 200,
  /** Shapes after every `use` has been followed. */
  shapes: 5_000,
  useDepth: 12,
} as const;
