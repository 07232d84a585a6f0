import { pathBy } from '../../kind.ts';
import { workStem } from '../../shared/stemLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workStem(
    rowsAsLines(shape.region, context, values.spacingMm),
    { stitchMm: values.stitchMm, side: 'right' },
    context,
    sink,
  ),
);
