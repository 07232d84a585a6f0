import { describeStitch } from '../../kind.ts';
import { workChain } from '../../shared/chainLine.ts';
import { rowsAsLines } from '../../shared/rowsAsLines.ts';
import { CLOTH_SHOWS, EDGE_RAGGED, PULLED_IN } from '../../shared/texts.ts';
import { params } from './params.ts';

export const chainFill = describeStitch({
  id: 'chain-fill',
  name: 'Chain stitch filling',
  otherNames: ['tambour filling', 'rows of chain'],
  worksOn: 'area',
  purpose: 'A knitted look that takes about half the thread of satin; the cloth shows a little.',
  params,
  needle: 'sharp',
  usualStrands: 2,
  hasDirection: true,
  followsCurves: true,
  isRaised: true,
  snags: true,
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
    workChain(rowsAsLines(shape.region, context.angleRad, values.spacingMm), values.stitchMm, context, sink),
});
