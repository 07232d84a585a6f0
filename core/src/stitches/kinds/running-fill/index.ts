import { describeStitch } from '../../kind.ts';
import { workRunning } from '../../shared/runningLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { params } from './params.ts';

export const runningFill = describeStitch({
  id: 'running-fill',
  name: 'Running stitch filling',
  otherNames: ['open filling', 'darning rows'],
  worksOn: 'area',
  purpose: 'Light, open fillings in petals and wings.',
  params,
  needle: 'sharp',
  usualStrands: 2,
  hasDirection: true,
  followsCurves: true,
  isRaised: false,
  snags: false,
  coverWidths: 0,
  start: 'A waste knot outside the shape, cut off when its thread is bound.',
  end: 'Weave back under the rows behind.',
  faults: [CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN],
  steps: [
    'Work the first row along the edge or through the middle.',
    'Turn and work the next row close beside it.',
    'Go on, row by row, to the far edge.',
  ],
  work: (shape, values, context, sink) =>
    workRunning(rowsAsLines(shape.region, context.angleRad, values.spacingMm), values, sink),
});
