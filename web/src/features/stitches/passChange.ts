import type { Pass } from '@junctura/core/piece';

/**
 * What is to be another of a layer. What a list or a pair holds is made of the layer as it is by then: what is shown may be a plan older.
 */
export type PassChange = Partial<Pass> | ((now: Pass) => Partial<Pass>);
