/** What the two journeys of stitches in two threads are called. */
export const BACK_STITCH_BASE = { name: 'Back stitch base', inSentence: 'the back stitch base' } as const;
export const LAID_THREAD = { name: 'Laid thread', inSentence: 'the laid thread' } as const;
export const LAID_THREADS = { name: 'Laid threads', inSentence: 'the laid threads' } as const;
export const LATTICE = { name: 'Lattice', inSentence: 'the lattice' } as const;
export const SPOKES = { name: 'Spokes', inSentence: 'the spokes' } as const;
export const WHIPPING = { name: 'Whipping', inSentence: 'the whipping' } as const;
export const LACING = { name: 'Lacing', inSentence: 'the lacing' } as const;
export const WEAVING = { name: 'Weaving', inSentence: 'the weaving' } as const;
export const THORNS = { name: 'Thorns', inSentence: 'the thorns' } as const;
export const TIES = { name: 'Ties', inSentence: 'the ties' } as const;
