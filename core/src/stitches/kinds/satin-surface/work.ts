import { pathBy } from '../../kind.ts';
import { params } from './params.ts';
import { workSatinSurface } from './path.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workSatinSurface(shape, values.spacingMm, context, sink),
);
