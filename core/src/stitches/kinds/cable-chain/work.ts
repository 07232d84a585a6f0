import { pathBy } from '../../kind.ts';
import { workCableChain } from './path.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workCableChain(shape, values.stitchMm, context, sink),
);
