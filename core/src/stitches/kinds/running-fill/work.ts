import { pathBy } from '../../kind.ts';
import { workRunning } from '../../shared/runningLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { params } from './params.ts';

export const work = pathBy(params, (shape, values, context, sink) =>
  workRunning(rowsAsLines(shape.region, context, values.spacingMm), values, sink),
);
