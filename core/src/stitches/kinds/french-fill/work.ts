import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { packKnots } from '../../shared/packKnots.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  packKnots(shape, { ...values, gapWraps: 1 }, context, sink),
);
