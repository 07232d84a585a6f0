import { describeStitch } from '../../kind.ts';
import { workStem } from '../../shared/stemLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { params } from './params.ts';

export const stemFill = describeStitch({
  id: 'stem-fill',
  name: 'Stem stitch filling',
  otherNames: ['crewel rows'],
  worksOn: 'area',
  purpose: 'Swirling, ropy surfaces: trunks, hair, water.',
  params,
  needle: 'sharp',
  usualStrands: 2,
  hasDirection: true,
  followsCurves: true,
  isRaised: false,
  snags: false,
  coverWidths: 1,
  start: 'A waste knot outside the shape, cut off when its thread is bound.',
  end: 'Weave back under the rows behind.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work the first row along the edge or through the middle.',
    'Turn and work the next row close beside it.',
    'Go on, row by row, to the far edge.',
  ],
  work: (shape, values, context, sink) =>
    workStem(
      rowsAsLines(shape.region, context.angleRad, values.spacingMm),
      { stitchMm: values.stitchMm, side: 'right' },
      context,
      sink,
    ),
});
