import { describeStitch } from '../../kind.ts';
import { workBack } from '../../shared/backLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const backFill = describeStitch({
  ...ROW_FILLING,
  id: 'back-fill',
  name: 'Back stitch filling',
  otherNames: ['back stitch rows'],
  purpose: 'Firm, flat surfaces with an even grain.',
  params,
  work: (shape, values, context, sink) =>
    workBack(rowsAsLines(shape.region, context, values.spacingMm), values.stitchMm, sink),
});
