import { pathBy } from '../../kind.ts';
import { FIGURE_OF_EIGHT, workKnots } from '../../shared/knot.ts';
import { params } from './params.ts';

export const work = pathBy(params, ({ spots }, _values, { coreMm }, sink) =>
  workKnots(spots, FIGURE_OF_EIGHT, coreMm, sink),
);
