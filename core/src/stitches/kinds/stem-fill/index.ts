import { describeStitch } from '../../kind.ts';
import { workStem } from '../../shared/stemLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { ROW_FILLING } from '../../shared/traits.ts';
import { params } from './params.ts';

export const stemFill = describeStitch({
  ...ROW_FILLING,
  id: 'stem-fill',
  name: 'Stem stitch filling',
  otherNames: ['crewel rows'],
  purpose: 'Swirling, ropy surfaces: trunks, hair, water.',
  params,
  work: (shape, values, context, sink) =>
    workStem(
      rowsAsLines(shape.region, context, values.spacingMm),
      { stitchMm: values.stitchMm, side: 'right' },
      context,
      sink,
    ),
});
