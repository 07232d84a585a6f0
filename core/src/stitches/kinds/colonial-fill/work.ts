import { pathBy } from '../../kind.ts';
import { FIGURE_OF_EIGHT } from '../../shared/knot.ts';
import { packKnots } from '../../shared/packKnots.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  packKnots(shape, { ...values, wraps: FIGURE_OF_EIGHT, gapWraps: 1 }, context, sink),
);
