import type { ParamTable } from '../../params.ts';

/** A colonial knot has one size for a thread: its figure of eight is always the same. */
export const params = {} as const satisfies ParamTable;
