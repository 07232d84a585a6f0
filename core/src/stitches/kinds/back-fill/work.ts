import { pathBy } from '../../kind.ts';
import { workBack } from '../../shared/backLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workBack(rowsAsLines(shape.region, context, values.spacingMm), values.stitchMm, sink),
);
