import { describeStitch } from '../../kind.ts';
import { workRunning } from '../../shared/runningLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const runningFill = describeStitch({
  ...ROW_FILLING,
  id: 'running-fill',
  name: 'Running stitch filling',
  otherNames: ['open filling', 'darning rows'],
  purpose: 'Light, open fillings in petals and wings.',
  params,
  coverWidths: 0,
  work: (shape, values, context, sink) =>
    workRunning(rowsAsLines(shape.region, context, values.spacingMm), values, sink),
});
