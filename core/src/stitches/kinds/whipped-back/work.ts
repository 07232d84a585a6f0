import { pathBy } from '../../kind.ts';
import { workWhippedBack } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workWhippedBack(shape, values.stitchMm, context, sink),
);
