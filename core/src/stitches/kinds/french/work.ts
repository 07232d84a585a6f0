import { pathBy } from '../../kind.ts';
import { workKnots } from '../../shared/knot.ts';
import { params } from './params.ts';

export const work = pathBy(params, ({ spots }, values, { coreMm }, sink) =>
  workKnots(spots, Math.round(values.wraps), coreMm, sink),
);
