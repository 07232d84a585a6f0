import { pathBy } from '../../kind.ts';
import { workChain } from '../../shared/chainLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workChain(rowsAsLines(shape.region, context, values.spacingMm), values.stitchMm, context, sink),
);
