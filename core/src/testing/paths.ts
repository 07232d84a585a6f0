import type { MoveSink } from '../stitches/index.ts';
import { PATHS } from '../stitches/paths.ts';

/** What some work gives while satin is worked by another path, as no stitch should be. */
export function withSatin<T>(
  path: (shape: unknown, params: unknown, context: unknown, to: MoveSink) => void,
  work: () => T,
): T {
  const paths = PATHS as Record<'satin', unknown>;
  const right = paths.satin;
  paths.satin = path;
  try {
    return work();
  } finally {
    paths.satin = right;
  }
}
