import { describeStitch } from '../../kind.ts';
import { workBack } from '../../shared/backLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { params } from './params.ts';

export const backFill = describeStitch({
  id: 'back-fill',
  name: 'Back stitch filling',
  otherNames: ['back stitch rows'],
  worksOn: 'area',
  purpose: 'Firm, flat surfaces with an even grain.',
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
    workBack(rowsAsLines(shape.region, context.angleRad, values.spacingMm), values.stitchMm, sink),
});
